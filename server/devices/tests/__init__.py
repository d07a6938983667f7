"""Devices over a real database, and over real sockets."""
