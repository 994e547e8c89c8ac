"""A recording as it is heard below or above a frequency, as far as drawing it needs."""

from collections.abc import Callable

from chronotome.dsp.audio import Samples, frames_between
from chronotome.dsp.crossover import hears_around, one_band
from chronotome.dsp.overview import BUCKET, Overview
from chronotome.render.pool import Source
from chronotome.session.model import Crossover

BLOCK = BUCKET << 9
"""Frames that are filtered at once."""
MOST_AT_ONCE = 1 << 17
"""Frames that are filtered while somebody waits for a picture."""


class Banded(Source):
    """A source whose overview is filtered, and spans of its samples as they are asked for."""

    def __init__(self, source: Source, crossover: Crossover, overview: Overview) -> None:
        super().__init__(source.content, source.region, source.rate, overview, source.is_whole)
        self._crossover = crossover
        self._first, self._found = 0, source.region.samples[:0]

    def near(self, first: int, last: int) -> Samples | None:
        """Filtered frames; what was asked for before is not filtered again. None: they are too many."""
        if last - first > MOST_AT_ONCE:
            return None
        if not self._first <= first <= last <= self._first + len(self._found):
            spare = (last - first) // 2
            self._first = max(0, first - spare)
            self._found = filtered(self, self._crossover, self._first, last + spare)
        return self._found[first - self._first : last - self._first]


def filtered(source: Source, crossover: Crossover, first: int, last: int) -> Samples:
    """Frames of one band, from a little before them to a little after."""
    around = int(hears_around(crossover.hertz) * source.rate) + 1
    part = frames_between(source.region.samples, first - around, last + around)
    band = one_band(part, source.rate, crossover.hertz, is_high=crossover.is_high)
    return band[around : around + last - first]


def banded(source: Source, crossover: Crossover, report: Callable[[float], None]) -> Banded:
    """All of it, block by block."""
    frames = len(source.region.samples)
    overview = Overview(frames)
    for start in range(0, frames, BLOCK):
        report(start / frames)
        overview.add(start, filtered(source, crossover, start, min(frames, start + BLOCK)))
    return Banded(source, crossover, overview)
