"""What is to be made: stock, sections, holes, ends, walls, the copy of a sample."""
