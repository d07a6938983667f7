"""What the shop owns: dies, taps and drills, and which of it serves a thread."""
