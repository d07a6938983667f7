"""Steps that make holes and thread them, along the axis and across."""
