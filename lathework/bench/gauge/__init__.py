"""At the gauge: what a thread may be tried with, what it said, and what that says of its die."""
