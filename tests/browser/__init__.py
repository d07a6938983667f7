"""The real interface on the real server, driven in headless Chromium."""
