"""Two marks on one attack: the second is none where nothing in it is new."""

from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.units import Frames

NEAREST, FARTHEST = 0.005, 0.030
"""Seconds between the two marks of an attack that was found twice."""
HEARD_SECONDS = 0.012
NEW_DB = 3.0
"""By which a band is louder after a second hit than it was before. (Of real flams the least is 8.6 dB.)"""
EDGES = (0.0, 200.0, 400.0, 800.0, 1600.0, 3200.0, 6400.0, 12000.0, 20000.0)
SIZE = 4096
LEAST = 1e-3
"""Of the loudest band: what is softer is not heard beside it."""


def bring_nothing(samples: Samples, rate: int, frames: Frames) -> NDArray[np.bool_]:
    """Which onsets stand on the attack of the one before them, with no new energy in any band.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    rate : int
    frames : int64, shape (onsets,)
        Rising.

    Returns
    -------
    bool, shape (onsets,)
        False for the first.

    Notes
    -----
    The power of the 12 ms after an onset in nine bands of about an octave, against that of the 12 ms before
    it, or of as much as there is since the onset before.
    """
    found = np.zeros(len(frames), np.bool_)
    gaps = np.diff(frames, prepend=-rate) / rate
    for at in np.flatnonzero((gaps >= NEAREST) & (gaps <= FARTHEST)).tolist():
        first, own = int(frames[at - 1]), int(frames[at])
        length = round(HEARD_SECONDS * rate)
        before = _bands(samples[max(first, own - length) : own], rate)
        after = _bands(samples[own : own + length], rate)
        heard = LEAST * max(float(after.max()), 1e-20)
        found[at] = bool((10 * np.log10((after + heard) / (before + heard)) < NEW_DB).all())
    return found


def _bands(part: Samples, rate: int) -> NDArray[np.float64]:
    """Power of each band, whatever the part's length."""
    if len(part) < 2:
        return np.zeros(len(EDGES) - 1)
    window = np.hanning(len(part))
    spectrum = np.abs(np.fft.rfft(part.mean(axis=1) * window, SIZE)) ** 2 / max(
        1e-9, float((window**2).sum())
    )
    hertz = np.fft.rfftfreq(SIZE, 1 / rate)
    sums = [spectrum[(hertz >= low) & (hertz < high)] for low, high in pairwise(EDGES)]
    return np.array([float(each.mean()) if len(each) else 0.0 for each in sums])
