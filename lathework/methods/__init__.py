"""Making a thread: what holds a die, what guides a tap, die heads, threading tools, gears; ways/ weighs them."""
