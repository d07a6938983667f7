"""News over a real database and real sockets."""
