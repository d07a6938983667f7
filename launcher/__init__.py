"""The `conch` command: Python's standard library only, so that it runs before anything is installed."""
