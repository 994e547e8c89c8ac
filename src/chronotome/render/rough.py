"""Rendered rows in which a join is rougher than the proof allows, found while one edits."""

from collections.abc import Callable

import numpy as np

from chronotome.dsp.clicks import ALLOWED, second_difference
from chronotome.dsp.stretch.engines import ENGINES
from chronotome.render.placements import Placed
from chronotome.render.pool import Source
from chronotome.session.rough_joins import RoughJoins

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
    if ENGINES[score.engine].pitched_by is not None:  # its pitch follows its speed
        speed = speed * (score.end - score.start)[rows] / score.length[rows]
    levels = 20 * np.log10(placed.rough[rows] / (limits * np.maximum(1.0, speed) ** 2) + 1e-9)
    loud = levels > ALLOWED
    return RoughJoins(score, rows[loud], levels[loud])


def roughest(source: Source, is_wanted: Callable[[], bool]) -> float | None:
    """The roughest place of a recording; None where that is no longer wanted: next time it goes on."""
    samples = source.region.samples
    while source.rough_until < len(samples):
        if not is_wanted():
            return None
        part = samples[source.rough_until : source.rough_until + AT_ONCE + 2]
        source.roughest = max(source.roughest, float(second_difference(part).max(initial=0.0)))
        source.rough_until += AT_ONCE
    return source.roughest
