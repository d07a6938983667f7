"""What a plan works with, out of a shop: what serves, what is missing, what may stand in."""
