"""What to make next: days and hours as people say them, the work of a shop as tasks, their order, and what is sure."""
