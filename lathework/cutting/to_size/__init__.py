"""What a slide does with what is dialled, and which cut brings a size to its band."""
