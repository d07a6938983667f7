"""The threads of a part as they are made: their sizes, their ways, how they are driven and geared, the schools."""
