"""The core, tested on its own."""

try:
    from hypothesis import settings
except ImportError:
    # The benchmark draws on the samples with the run's own packages alone.
    pass
else:
    # Machines are shared and stall: how long an example takes is the benchmark's business, not a test's.
    settings.register_profile("conch", deadline=None)
    settings.load_profile("conch")
