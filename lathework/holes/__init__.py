"""A hole for a thread: which drill, how deep, how strong, thin metal, mending, taper pipes."""
