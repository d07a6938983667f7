"""Ways to make a thread: what holds the die, what guides the tap, chasing, running the spindle backward."""
