"""The log: searched over a real database."""
