"""Steps that shape the outside: facing, turning, tapers, edges, necks, the blade."""
