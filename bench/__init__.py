"""Figures: accuracy, speed, memory, latency."""
