"""A map from where things were played to where they belong."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.units import Frames

Places = NDArray[np.float64]


@dataclass(frozen=True, eq=False)
class TimeMap:
    """Where session frames as played belong after the fit; straight between beats, straight on at both ends.

    Invariants: both rise strictly; two or more.
    """

    played: Places
    fitted: Places

    def __call__(self, played: Places | Frames) -> Places:
        return _through(np.asarray(played, np.float64), self.played, self.fitted)

    def played_of(self, fitted: Places | Frames) -> Places:
        """The way back."""
        return _through(np.asarray(fitted, np.float64), self.fitted, self.played)


def _through(at: Places, known: Places, values: Places) -> Places:
    first = (values[1] - values[0]) / (known[1] - known[0])
    last = (values[-1] - values[-2]) / (known[-1] - known[-2])
    inside = np.interp(at, known, values)
    return np.asarray(inside + np.minimum(at - known[0], 0) * first + np.maximum(at - known[-1], 0) * last)
