"""Rendered rows in which a join is rougher than the proof allows, found while one edits."""

from collections.abc import Callable

import numpy as np

from chronotome.dsp.clicks import ALLOWED, second_difference
from chronotome.dsp.stretch.engines import EngineName
from chronotome.render.laid import Placed
from chronotome.render.pool import Source
from chronotome.session.rough import RoughJoins

AT_ONCE = 1 << 18


def rough_joins(placed: Placed, is_wanted: Callable[[], bool]) -> RoughJoins | None:
    """Rows that were rendered and have a place rougher than any of their recording, as fast as it is read.

    `is_wanted` is asked while recordings are read for how rough they are; None where it says no.
    """
    score = placed.score
    rows = np.flatnonzero(placed.ready & (placed.rough > 0))
    limits = np.ones(len(rows))
    for number, source in enumerate(placed.sources):
        some = score.recording[rows] == number
        limit = roughest(source, is_wanted) if some.any() else 1.0
        if limit is None:
            return None
        limits[some] = limit
    speed = 2 ** (score.semitones[rows] / 12)
    if score.engine is EngineName.TAPE:
        speed = speed * (score.end - score.start)[rows] / score.length[rows]
    levels = 20 * np.log10(placed.rough[rows] / (limits * np.maximum(1.0, speed) ** 2) + 1e-9)
    loud = levels > ALLOWED
    return RoughJoins(score, rows[loud], levels[loud])


def roughest(source: Source, is_wanted: Callable[[], bool]) -> float | None:
    """The roughest place of a recording, found once; None where that is no longer wanted."""
    if source.roughest is None:
        found, samples = 1e-9, source.region.samples
        for start in range(0, len(samples), AT_ONCE):
            if not is_wanted():
                return None
            part = samples[start : start + AT_ONCE + 2]
            found = max(found, float(second_difference(part).max(initial=0.0)))
        source.roughest = found
    return source.roughest
