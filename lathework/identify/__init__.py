"""What thread is this? Evidence, a ranking over the whole library, and the next best thing to measure."""
