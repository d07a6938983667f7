"""Steps of threads outside: dies, die heads, threading tools, gauging."""
