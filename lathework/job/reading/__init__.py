"""The document of a job read field by field, each error beside its field."""
