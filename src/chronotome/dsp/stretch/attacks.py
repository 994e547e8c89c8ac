"""Where the attack is that a mark means: what is read faster or slower begins there, and not at the mark."""

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view

from chronotome.dsp.audio import Samples, frames_between

REACH = 0.020
"""Seconds from a mark within which its attack is looked for."""
APART = 4
"""How many times that two marks are apart, where an attack before the later one can only be its own."""
BLOCK, ON_IT, LATELY, SOON = 0.001, 2, 25, 3
"""Seconds of a block; in blocks, how near a mark is to be on its attack, what was, and what comes."""
LEAST_RISE, FIRST_SHARE = 2.0, 0.05
"""Times by which an attack rises over all that was lately; of its peak, what it begins with."""


def attack_beside(source: Samples, rate: int, frame: int) -> int:
    """Frames from a mark to its attack; 0 where it lies on one, or none is near.

    Parameters
    ----------
    source : float32, shape (frames, channels)
        Only what is within 50 ms is read.
    """
    block = max(1, round(BLOCK * rate))
    reach = round(REACH * rate / block)
    before, after = LATELY + reach, reach + SOON
    near = np.abs(frames_between(source, frame - before * block, frame + after * block))
    peaks = near.reshape(before + after, -1).max(axis=1)
    floor, at = 1e-3 * float(peaks.max()) + 1e-9, LATELY + reach
    lately = float(peaks[reach : at - ON_IT].max()) + floor
    if float(peaks[at - ON_IT : at + ON_IT + 1].max()) >= LEAST_RISE * lately:
        return 0
    coming = sliding_window_view(peaks, SOON).max(axis=1)[LATELY:]
    been = sliding_window_view(peaks, LATELY).max(axis=1)[: len(coming)]
    rises = coming / (been + floor)
    best = int(rises.argmax())
    if rises[best] < LEAST_RISE:
        return 0
    start = (LATELY + best) * block
    least = max(1.5 * float(been[best]), FIRST_SHARE * float(coming[best]))
    clear = near[start : start + SOON * block].max(axis=1) > least
    return start + int(clear.argmax()) - before * block
