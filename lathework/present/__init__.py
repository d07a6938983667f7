"""Results as plain dictionaries: every figure told in both units, ready to show. No rule is computed here."""
