"""What changed, told to every page that is looked at: that it changed, not how; each page asks for what it shows."""
