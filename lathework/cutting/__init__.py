"""Taking metal off outside: the blank, grooves, cuts, the next cut, speeds, torque."""
