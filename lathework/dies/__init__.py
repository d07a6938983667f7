"""A die's setting and what it remembers."""
