"""The shop over a real database."""
