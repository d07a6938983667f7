"""The rules of the job: pure Python, no interface, no clock, no network."""
