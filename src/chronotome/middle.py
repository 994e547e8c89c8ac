"""The middle of a few numbers."""

import numpy as np
from numpy.typing import ArrayLike


def middle_of(values: ArrayLike) -> float:
    """The median of at least one number.

    NumPy's own loads its masked arrays with the first call: 30 ms of the start.
    """
    ordered = np.sort(np.asarray(values, np.float64), axis=None)
    half = len(ordered) // 2
    return float(ordered[half]) if len(ordered) % 2 else float((ordered[half - 1] + ordered[half]) / 2)
