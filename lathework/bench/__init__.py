"""What is recorded at the bench, folded into where the work stands and what may be done next."""
