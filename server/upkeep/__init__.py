"""What keeps the records of a shop for years: how the store stands, everything as one file of open formats and back."""
