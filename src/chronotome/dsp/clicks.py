"""How much a join clicks."""

import numpy as np

from chronotome.dsp.audio import Curve, Samples
from chronotome.units import Frames

ALLOWED = 6.0
"""Decibels by which a join may be rougher than the roughest place of what was played."""
REACH = 8
"""Frames to either side of a join that count."""


def second_difference(samples: Samples) -> Curve:
    """Loudest second difference over channels per frame: a steep high-pass that hears steps and kinks.

    Returns
    -------
    float32, shape (frames,), at least 0; 0 at both ends
    """
    rough = np.zeros(len(samples), np.float32)
    if len(samples) > 2:
        bends = np.abs(np.diff(samples, 2, axis=0))
        rough[1:-1] = bends[:, 0] if samples.shape[1] == 1 else bends.max(axis=1)
    return rough


def clicks_at(samples: Samples, joins: Frames, reference: Samples) -> Curve:
    """Level in dB by which each join is rougher than the roughest place of `reference`.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
        The sound that has the joins.
    joins : int64, shape (n,)
    reference : float32, shape (frames, channels)
        The recording it was made from.
    """
    limit = float(second_difference(reference).max(initial=0.0)) + 1e-9
    rough = second_difference(samples)
    places = np.clip(joins[:, None] + np.arange(-REACH, REACH + 1)[None], 0, max(0, len(rough) - 1))
    return (20 * np.log10(rough[places].max(axis=1) / limit + 1e-9)).astype(np.float32)


def nearest_crossing(samples: Samples, frame: int, reach: int) -> int:
    """The frame nearest to another, by `reach` at most, at which the sum of the channels goes through 0.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    frame : int
    reach : int

    Returns
    -------
    int
        `frame` itself where there is none.
    """
    first, last = max(1, frame - reach), min(len(samples), frame + reach + 1)
    if last <= first:
        return frame
    wave = samples[first - 1 : last].sum(axis=1)
    found = first + np.flatnonzero((wave[:-1] <= 0) != (wave[1:] <= 0))
    return frame if not len(found) else int(found[np.abs(found - frame).argmin()])
