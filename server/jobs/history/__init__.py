"""What earlier jobs tell: closed ones as they were, what dies did, mistakes as lessons, how it was done before."""
