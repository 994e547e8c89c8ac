"""Chronotome: recordings tied to the beat."""

__version__ = "0.1.0"
