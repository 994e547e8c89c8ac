"""Joins above the proof, as places to check: what rendering found of a score."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.engines import ENGINES
from chronotome.session.check import Check, Do, Fix, Kind
from chronotome.session.metre import MetreMap, hit_words
from chronotome.session.score import Score
from chronotome.session.targets import Targets
from chronotome.units import Frames
from chronotome.words import tr


@dataclass(frozen=True, eq=False)
class RoughJoins:
    """Rows of a score in which it clicks, by so many dB more than the roughest place of the recording."""

    score: Score
    rows: Frames
    levels: NDArray[np.float64]


class Rough:
    """A place each: the hit that the row begins with, or the last one before it."""

    kind = Kind.JOIN

    def __init__(self, joins: RoughJoins, targets: Targets, offset: int, metre: MetreMap) -> None:
        self._targets, self._metre, self._is_cut = targets, metre, ENGINES[joins.score.engine].fills_gaps
        score, rows = joins.score, joins.rows
        if score.ending is None:
            places = targets.played.searchsorted(score.start[rows] - offset, "right") - 1
        else:  # taken apart, a row is where it is heard, not where it was recorded
            places = targets.target.searchsorted(score.heard[rows], "right") - 1
        order = np.lexsort((-joins.levels, places))
        first = np.diff(places[order], prepend=-1) > 0
        some = order[first & (places[order] >= 0)]
        self._at, self._levels = places[some], joins.levels[some]
        self.onsets, self.played = targets.onsets[self._at], targets.played[self._at]

    def check(self, number: int) -> Check:
        at, level = int(self._at[number]), float(self._levels[number])
        targets = self._targets
        onset, beat = int(targets.onsets[at]), float(targets.steps[at])
        mends = [Fix(tr("Lengthen crossfade"), Do.CROSS, onset)] if self._is_cut else []
        mends.append(Fix(tr("As played"), Do.MOVE, onset, float(targets.fitted_beats[at])))
        return Check(
            onset,
            beat,
            int(targets.played[at]),
            tr("audible join"),
            tr("+{0:.0f} dB", level),
            tr(
                "join after {0} clicks: {1:.0f} dB above\nthe roughest place in the recording",
                hit_words(beat, self._metre),
                level,
            ),
            kind=Kind.JOIN,
            mends=tuple(mends),
        )
