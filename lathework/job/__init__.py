"""A part with its method and set-up as an open document: read, lifted from older versions, a stud repair."""
