"""What the bench answers: the step in hand, its sizes, its gauge, its turns."""
