"""The size line and the choices."""
