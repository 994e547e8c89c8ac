"""How far the level of what was stretched strays from the recording's: holes and bumps."""

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples

STEP_SECONDS, STEPS, AROUND_SECONDS = 0.0025, 4, 0.020
"""Levels of 10 ms, so many steps, are taken at each step."""
FLOOR = -45.0
"""Decibels below the loudest place, beneath which nothing counts."""


def strays(before: Samples, after: Samples, rate: int) -> float:
    """The deepest hole or the highest bump, in dB: 0 where neither is.

    Levels of 10 ms are compared with the lowest and the highest within 20 ms of the same moment in the
    recording, whose length may be another.
    """
    hop = max(1, int(STEP_SECONDS * rate))
    if min(len(before), len(after)) <= 2 * STEPS * hop:
        return 0.0
    level, now = _levels(before, hop), _levels(after, hop)
    around = int(AROUND_SECONDS * rate / hop)
    spread = sliding_window_view(np.pad(level, around, mode="edge"), 2 * around + 1)
    low, high = spread.min(axis=1), spread.max(axis=1)
    at = np.rint(np.linspace(0, len(level) - 1, len(now))).astype(np.int64)
    floor = level.max() + FLOOR
    hole = np.where(low[at] > floor, low[at] - now, 0.0).max()
    bump = np.where(high[at] > floor, now - high[at], 0.0).max()
    return float(max(hole, bump, 0.0))


def _levels(samples: Samples, hop: int) -> NDArray[np.float64]:
    steps = samples[: len(samples) // hop * hop].reshape(-1, hop * samples.shape[1])
    sums = np.zeros(len(steps) + 1)
    np.cumsum(np.einsum("ij,ij->i", steps, steps), dtype=np.float64, out=sums[1:])
    return np.asarray(10 * np.log10((sums[STEPS:] - sums[:-STEPS]) / (STEPS * steps.shape[1]) + 1e-12))
