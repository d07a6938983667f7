"""Each change to stored jobs is one small action in one transaction, used alike by API, commands and import."""
