"""The web server: thin endpoints over small actions over the core."""
