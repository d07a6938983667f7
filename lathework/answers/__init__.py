"""What a thread and a hole are asked for: a thread at a glance, its page, a hole for it."""
