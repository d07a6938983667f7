"""What there is to make it with: metals, drills."""
