"""Single rules of the trade, each a function from facts to a figure with its working."""
