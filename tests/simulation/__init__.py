"""Made-up specimens with known threads, to try the identification on."""
