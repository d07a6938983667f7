"""Jobs and what happened to them at the bench."""
