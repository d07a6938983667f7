"""What thread is this? Evidence in, ranked candidates out; nothing is stored."""
