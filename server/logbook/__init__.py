"""Everything recorded, searched and exported."""
