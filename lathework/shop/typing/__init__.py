"""What one owns, as people type it: lines read into things."""
