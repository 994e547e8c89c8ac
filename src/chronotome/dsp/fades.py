"""Curves that lead one sound into another."""

from collections.abc import Callable
from functools import lru_cache

import numpy as np

from chronotome.dsp.audio import Curve, Samples


@lru_cache(maxsize=64)
def hann(size: int) -> Curve:
    """float32, shape (size,): symmetric, of which halves that lie over one another add up to 1."""
    return (0.5 - 0.5 * np.cos(2 * np.pi * (np.arange(size) + 0.5) / size)).astype(np.float32)


def raised_cosine(length: int) -> Curve:
    """float32, shape (length,): rises from just above 0 to just below 1."""
    return (0.5 - 0.5 * np.cos(np.pi * (np.arange(length) + 0.5) / max(length, 1))).astype(np.float32)


def straight(length: int) -> Curve:
    """The same, at one slope."""
    return ((np.arange(length) + 0.5) / max(length, 1)).astype(np.float32)


def firm(length: int) -> Curve:
    """The same, most of the way in the middle third."""
    rising = raised_cosine(length)
    return rising**3 / (rising**3 + (1 - rising) ** 3)


def crossfade(before: Samples, after: Samples, rise: Callable[[int], Curve] = raised_cosine) -> Samples:
    """Lead `before` into `after`, its gain set by their measured correlation, so that the level holds.

    Parameters
    ----------
    before, after : float32, shape (frames, channels)
        Of equal shape.
    rise : function of a length
        The curve along which `after` comes in.
    """
    if before.shape != after.shape:
        raise ValueError(f"before and after must have one shape, have {before.shape} and {after.shape}")
    if not len(before):
        return before
    rising = rise(len(before))
    falling = 1 - rising
    energy = float(np.sqrt(np.sum(before * before) * np.sum(after * after)))
    alike = float(np.sum(before * after)) / energy if energy > 0 else 1.0
    alike = min(1.0, max(alike, -0.3))
    gain = 1 / np.sqrt(rising**2 + falling**2 + 2 * alike * rising * falling)
    return (before * (falling * gain)[:, None] + after * (rising * gain)[:, None]).astype(np.float32)
