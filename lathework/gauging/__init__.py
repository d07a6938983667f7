"""Wires, gauges, the verdict of a mate, sizes before plating."""
