"""Published tables as text files, each with its provenance, and the loader that checks them."""
