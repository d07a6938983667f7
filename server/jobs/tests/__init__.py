"""The jobs app: actions and endpoints over a real database."""
