"""Speed and size, measured as ratios within one run."""
