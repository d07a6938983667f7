"""What may be said at the bench: a declared act each, held against where the work stands and turned into an entry."""
