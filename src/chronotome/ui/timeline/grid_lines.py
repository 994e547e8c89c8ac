"""Lines of bars, beats and grid as they are on screen: worked out once for all lanes."""

from functools import lru_cache

import numpy as np
from PySide6.QtCore import QLineF

from chronotome.session.grid import TempoMap
from chronotome.session.lines import LineRules, lines_within
from chronotome.session.metre import MetreMap
from chronotome.ui.state.viewport import Viewport

CLOSEST = 9
"""Pixels between lines below which they are left out."""
TALLEST = 4096
"""Every lane draws the same lines and shows as much of them as it is high."""
FINE, BEAT, BAR = range(3)
LineGroups = tuple[tuple[int, list[QLineF]], ...]


@lru_cache(maxsize=4)
def grid_lines(  # noqa: PLR0917 - found again by all of it
    tempo: TempoMap, rate: int, metre: MetreMap, reach: LineRules, viewport: Viewport, left: int
) -> LineGroups:
    """(kind, lines from `left` pixels on) of every line in sight, finest first."""
    first, last = (tempo.beat_of(frame / rate) for frame in (viewport.start, viewport.end))
    per_beat = viewport.width / max(1e-9, last - first)
    found = []

    def lines_at(beats: np.ndarray) -> list[QLineF]:
        xs = left + np.round(viewport.xs_of(tempo.seconds_at(beats) * rate))
        return [QLineF(x, 0, x, TALLEST) for x in xs.tolist()]

    if min(ruling.grid.step for ruling in reach.rulings) * per_beat >= CLOSEST:
        found.append((FINE, lines_at(lines_within(first, last, reach, metre, tempo).beats)))
    if min(each.beat for each in metre.metres) * per_beat >= CLOSEST:
        found.append((BEAT, lines_at(metre.beat_lines(first, last)[0])))
    if metre.shortest_bar * per_beat >= CLOSEST:
        found.append((BAR, lines_at(metre.bar_lines(first, last))))
    return tuple(found)
