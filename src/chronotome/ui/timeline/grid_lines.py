"""Lines of bars, beats and grid as they are on screen: worked out once for all lanes."""

from functools import lru_cache

import numpy as np
from PySide6.QtCore import QLineF

from chronotome.session.grid import Metre, TempoMap
from chronotome.session.lines import Reach, lines_within
from chronotome.ui.timeline.viewport import Viewport

CLOSEST = 9
"""Pixels between lines below which they are left out."""
TALLEST = 4096
"""Every lane draws the same lines and shows as much of them as it is high."""
FINE, BEAT, BAR = range(3)
Lines = tuple[tuple[int, list[QLineF]], ...]


@lru_cache(maxsize=4)
def grid_lines(  # noqa: PLR0917 - found again by all of it
    tempo: TempoMap, rate: int, metre: Metre, reach: Reach, viewport: Viewport, left: int
) -> Lines:
    """(kind, lines from `left` pixels on) of every line in sight, finest first."""
    first, last = (tempo.beat_of(frame / rate) for frame in (viewport.start, viewport.end))
    per_beat = viewport.width / max(1e-9, last - first)
    found = []

    def lines_at(beats: np.ndarray) -> list[QLineF]:
        xs = left + np.round(viewport.xs_of(tempo.seconds_at(beats) * rate))
        return [QLineF(x, 0, x, TALLEST) for x in xs.tolist()]

    if min(ruling.grid.step for ruling in reach.rulings) * per_beat >= CLOSEST:
        found.append((FINE, lines_at(lines_within(first, last, reach, metre, tempo).beats)))
    for kind, step in ((BEAT, metre.beat), (BAR, metre.bar)):
        if step * per_beat >= CLOSEST:
            beats = np.arange(np.ceil(first / step), np.floor(last / step) + 1) * step
            found.append((kind, lines_at(beats)))
    return tuple(found)
