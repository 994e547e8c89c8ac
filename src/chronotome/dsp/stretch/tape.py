"""Speed and pitch change together: resampling with a windowed sinc."""

from functools import lru_cache

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view

from chronotome.dsp.audio import Curve, Samples

TAPS = 32
PHASES = 512
LOWEST_CUTOFF = 0.02
"""Of the band; a hit squeezed a hundredfold is a click, whatever is done."""
AT_ONCE = 1 << 14


@lru_cache(maxsize=32)
def _sinc_table(taps: int, cutoff: float) -> Curve:
    """Kaiser-windowed sinc, one row per phase; rows sum to 1."""
    offsets = np.arange(taps)[None] - taps // 2 + 1 - np.arange(PHASES + 1)[:, None] / PHASES
    window = np.i0(8.0 * np.sqrt(np.clip(1 - (offsets / (taps / 2)) ** 2, 0, 1))) / np.i0(8.0)
    table = np.sinc(cutoff * offsets) * cutoff * window
    return (table / table.sum(axis=1, keepdims=True)).astype(np.float32)


def at_other_speed(source: Samples, start: int, end: int, length: int) -> Samples:
    """Source frames [start, end) played in `length` frames; the cutoff follows the ratio against aliasing.

    Returns
    -------
    float32, shape (length, channels)
    """
    step = (end - start) / length
    taps = TAPS * 2 if step > 1.3 else TAPS
    cutoff = max(LOWEST_CUTOFF, round(min(1.0, 1 / step) * 0.97, 2))
    table = _sinc_table(taps, cutoff)
    low = start - taps
    padded = np.zeros((end - start + 2 * taps, source.shape[1]), np.float32)
    first, last = max(0, low), min(len(source), end + taps)
    padded[first - low : last - low] = source[first:last]
    views = [sliding_window_view(np.ascontiguousarray(column), taps) for column in padded.T]
    result = np.empty((length, source.shape[1]), np.float32)
    for begin in range(0, length, AT_ONCE):
        stop = min(length, begin + AT_ONCE)
        moments = np.arange(begin, stop) * step
        whole = np.floor(moments).astype(np.int64)
        phase = (moments - whole) * PHASES
        row = phase.astype(np.int64)
        share = (phase - row).astype(np.float32)[:, None]
        weights = table[row] * (1 - share) + table[row + 1] * share
        at = whole + taps - taps // 2 + 1
        for channel, view in enumerate(views):
            result[begin:stop, channel] = np.einsum("ij,ij->i", view[at], weights)
    return result


def at_tape_speed(
    source: Samples,
    rate: int,  # noqa: ARG001 - as other engines are called
    start: int,
    end: int,
    length: int,
) -> Samples:
    """Source frames [start, end) as `length` frames."""
    return at_other_speed(source, start, end, length)
