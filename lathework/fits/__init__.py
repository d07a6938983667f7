"""Fits: what the workshop's words for them mean by ISO 286, the limits a size is made to, what pressing and shrinking
want."""
