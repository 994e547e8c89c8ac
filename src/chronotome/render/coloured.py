"""Recordings coloured for another pitch, a second at a time: rows that lie close share them."""

from functools import lru_cache

import numpy as np

from chronotome.dsp.audio import Samples, frames_between
from chronotome.render.pool import Source

MOST_PARTS = 96
"""Of a second each: 37 MB in stereo."""


def coloured(source: Source, ratio: float, start: int, end: int) -> Samples:
    """Frames of a recording whose spectral envelopes are squeezed by `ratio`; zeros outside of it."""
    length, rate = len(source.region.samples), source.rate
    low, high = max(0, start), min(end, length)
    if high <= low:
        return frames_between(source.region.samples, start, end)
    parts = [_part(source, ratio, number) for number in range(low // rate, (high - 1) // rate + 1)]
    first = low // rate * rate
    whole = np.concatenate(parts)[low - first : high - first]
    return np.pad(whole, ((low - start, end - high), (0, 0)))


@lru_cache(maxsize=MOST_PARTS)
def _part(source: Source, ratio: float, number: int) -> Samples:
    from chronotome.dsp.stretch.formants import recoloured  # noqa: PLC0415 - SciPy takes longer than the window to open

    samples, rate = source.region.samples, source.rate
    return recoloured(samples, rate, number * rate, min(len(samples), (number + 1) * rate), ratio)
