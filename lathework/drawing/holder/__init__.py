"""Drawing a holder: its parts and their mates in section, together and apart."""
