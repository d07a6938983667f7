"""Sizes at the bench: how each reads, what its cuts teach, how it drifts from piece to piece."""
