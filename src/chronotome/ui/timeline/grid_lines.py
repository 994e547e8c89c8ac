"""Where the lines of bars, beats and grid are on screen: worked out once for all lanes."""

from functools import lru_cache

import numpy as np

from chronotome.session.grid import Grid, Metre, TempoMap, lines_between
from chronotome.ui.timeline.viewport import Viewport

CLOSEST = 9
"""Pixels between lines below which they are left out."""
FINE, BEAT, BAR = range(3)
Lines = tuple[tuple[int, tuple[float, ...]], ...]


@lru_cache(maxsize=4)
def grid_lines(  # noqa: PLR0917 - found again by all of it
    tempo: TempoMap, rate: int, metre: Metre, grid: Grid, swing: float, viewport: Viewport
) -> Lines:
    """(kind, x from the lane's content) of every line in sight, finest first."""
    first, last = (tempo.beat_of(frame / rate) for frame in (viewport.start, viewport.end))
    per_beat = viewport.width / max(1e-9, last - first)
    found = []

    def xs_of(beats: np.ndarray) -> tuple[float, ...]:
        return tuple(np.round(viewport.xs_of(tempo.seconds_at(beats) * rate)).tolist())

    if grid.step * per_beat >= CLOSEST:
        found.append((FINE, xs_of(lines_between(first, last, grid, metre, swing))))
    for kind, step in ((BEAT, metre.beat), (BAR, metre.bar)):
        if step * per_beat >= CLOSEST:
            beats = np.arange(np.ceil(first / step), np.floor(last / step) + 1) * step
            found.append((kind, xs_of(beats)))
    return tuple(found)
