"""The core, tested on its own."""
