"""A train of change gears, drawn to one scale as one looks at the end of the lathe."""
