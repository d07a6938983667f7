"""A part as plain shapes on a sheet: screen, SVG and PDF draw the same ones."""
