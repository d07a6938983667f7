"""The metal and the machine as they stand; acts that change them, what must hold before each and what it leaves."""
