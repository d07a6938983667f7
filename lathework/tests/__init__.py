"""The core, tested on its own."""

from hypothesis import settings

# Machines are shared and stall: how long an example takes is the benchmark's business, not a test's.
settings.register_profile("conch", deadline=None)
settings.load_profile("conch")
