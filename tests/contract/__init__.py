"""What the product promises about itself: its interfaces, its documents, its docstrings."""
