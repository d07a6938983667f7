"""The set-up sheet as PDF."""
