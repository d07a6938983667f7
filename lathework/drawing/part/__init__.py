"""The part in the chuck, drawn to scale."""
