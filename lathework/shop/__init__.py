"""What there is to make it with: metals, racks of drills, and the things one owns."""
