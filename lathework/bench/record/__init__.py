"""The record of a job file: how it is declared, read, and brought up from earlier versions."""
