"""Django management commands."""
