"""The holdings of a plan: what is gripped, in which order, how far the work stands out."""
