"""The middle and other ranks of numbers. NumPy's own load its masked arrays: 30 to 60 ms of the start."""

import numpy as np
from numpy.typing import ArrayLike


def middle_of(values: ArrayLike) -> float:
    """The median of at least one number."""
    ordered = np.sort(np.asarray(values, np.float64), axis=None)
    half = len(ordered) // 2
    return float(ordered[half]) if len(ordered) % 2 else float((ordered[half - 1] + ordered[half]) / 2)


def rank_of(values: ArrayLike, percent: float) -> float:
    """The smallest of at least one number that so many per cent of them do not exceed."""
    ordered = np.sort(np.asarray(values, np.float64), axis=None)
    return float(ordered[max(0, int(np.ceil(percent / 100 * len(ordered))) - 1)])
