"""What must be said of a plan beside its steps: of the job, its holes, its speeds, its ways, of what a run found."""
