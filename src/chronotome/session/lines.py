"""Where the lines of a recipe are: grid, swing, groove and shift as one."""

from dataclasses import dataclass
from functools import lru_cache
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import Feel, Grid, TempoMap, bar_lines
from chronotome.session.groove import Groove
from chronotome.session.memo import by_identity
from chronotome.session.metre import Metre, MetreMap
from chronotome.session.onsets import OnsetId
from chronotome.units import BeatArray
from chronotome.words import Named

LEAST_GAP = 1e-4
"""Beats between two lines, however far a groove moves them."""
SAME_STEP = 1e-6
AT_ONCE = 64
"""Bars: lines are worked out for so many bars, so that what is scrolled over is not worked out anew."""


class SwingOf(Named):
    """Which pairs swing: those of the grid itself, or of eighths or sixteenths whatever the grid."""

    GRID = "grid"
    EIGHTHS = "eighths"
    SIXTEENTHS = "sixteenths"


UNIT_OF = {SwingOf.EIGHTHS: 0.5, SwingOf.SIXTEENTHS: 0.25}


class GridRule(NamedTuple):
    """All that decides where lines are, but for tempo and metre."""

    grid: Grid = Grid()
    swing: float = 50.0
    swing_of: SwingOf = SwingOf.GRID
    groove: Groove | None = None
    timing: float = 1.0
    """How much of the groove's offsets."""
    scales: bool = False
    """The groove is the same share of a step at any tempo; else the same ms."""
    shift: float = 0.0
    """Milliseconds later, all of them."""

    @property
    def is_moved(self) -> bool:
        return bool(self.shift or (self.groove is not None and self.groove.steps and self.timing))


class LineRules(NamedTuple):
    """Which ruling holds where: the first everywhere, others in spans of beats, others for single hits."""

    rulings: tuple[GridRule, ...]
    spans: tuple[tuple[float, float], ...] = ()
    """Of the second ruling on, one each, in order."""
    hits: tuple[tuple[OnsetId, int], ...] = ()
    """Hits, each with the number of its ruling."""


@dataclass(frozen=True, eq=False)
class Lines:
    """Lines in order.

    Invariants: columns of equal length, both rise strictly. `steps` are beats on the straight grid, `beats`
    where the lines are.
    """

    steps: BeatArray
    beats: BeatArray

    def nearest(self, beats: BeatArray) -> NDArray[np.int64]:
        """The number of the line that each beat is nearest to; of two as near the earlier."""
        above = np.clip(np.searchsorted(self.beats, beats), 1, len(self.beats) - 1)
        is_below = beats - self.beats[above - 1] <= self.beats[above] - beats
        return np.asarray(above - is_below)

    def between(self, first: float, last: float) -> "Lines":
        low, high = np.searchsorted(self.beats, [first - 1e-9, last + 1e-9])
        return Lines(self.steps[low:high], self.beats[low:high])


def lines_over(first: float, last: float, ruling: GridRule, metre: MetreMap, tempo: TempoMap) -> Lines:
    """Every line from a bar before one beat to a bar behind another."""
    low, high = (metre.bar_at(first) - 1) / AT_ONCE, (metre.bar_at(last) + 1) / AT_ONCE
    low, high = int(np.floor(low)) * AT_ONCE, int(np.floor(high) + 1) * AT_ONCE
    return _lines(low, high, same(ruling), metre, tempo)


@lru_cache(maxsize=256)
def same(ruling: GridRule) -> GridRule:
    """One object for equal ones: what is worked out from it is found by identity."""
    return ruling


@lru_cache(maxsize=256)
def same_reach(reach: LineRules) -> LineRules:
    """One object for equal ones: lines are found again while other settings are changed."""
    return reach


def lines_within(first: float, last: float, reach: LineRules, metre: MetreMap, tempo: TempoMap) -> Lines:
    """Lines from one beat to another as every hit there has them: in spans of their own, by their ruling."""
    usual = lines_over(first, last, reach.rulings[0], metre, tempo).between(first, last)
    parts, kept = list[Lines](), np.ones(len(usual.steps), bool)
    for ruling, (start, end) in zip(reach.rulings[1:], reach.spans, strict=False):
        if start < last and end > first:
            lines = lines_over(start, end, ruling, metre, tempo)
            inside = (lines.steps >= start - SAME_STEP) & (lines.steps < end - SAME_STEP)
            inside &= (lines.beats >= first) & (lines.beats <= last)
            parts.append(Lines(lines.steps[inside], lines.beats[inside]))
            kept &= (usual.steps < start - SAME_STEP) | (usual.steps >= end - SAME_STEP)
    if not parts:
        return usual
    parts.append(Lines(usual.steps[kept], usual.beats[kept]))
    beats = np.concatenate([each.beats for each in parts])
    order = np.argsort(beats, kind="stable")
    return Lines(np.concatenate([each.steps for each in parts])[order], beats[order])


@lru_cache(maxsize=256)
def lines_of_bar(ruling: GridRule, metre: Metre) -> tuple[BeatArray, BeatArray]:
    """Lines of one bar in beats from its start: on the straight grid, and swung."""
    steps = np.array(bar_lines(ruling.grid, metre)[:-1])
    return steps, _swung(steps, ruling)


def _swung(steps: BeatArray, ruling: GridRule) -> BeatArray:
    if ruling.swing == 50.0:
        return steps
    if ruling.swing_of is SwingOf.GRID:
        swung = steps.copy()
        if ruling.grid.feel is Feel.STRAIGHT:
            step = ruling.grid.step
            swung[1::2] = steps[1::2] - step + 2 * step * ruling.swing / 100.0
        return swung
    unit = UNIT_OF[ruling.swing_of]
    inside = np.mod(steps + 1e-9, 2 * unit) - 1e-9
    share = ruling.swing / 50.0
    there = np.where(inside < unit, inside * share, unit * share + (inside - unit) * (2 - share))
    return np.asarray(steps - inside + there)


@by_identity(64)
def _lines(low: int, high: int, ruling: GridRule, metre: MetreMap, tempo: TempoMap) -> Lines:
    firsts, begins, _ = metre.stretches
    ends = [*firsts[1:].tolist(), high]
    parts = list[tuple[BeatArray, BeatArray, BeatArray]]()
    for at, (each, end) in enumerate(zip(metre.metres, ends, strict=True)):
        bars = np.arange(low if at == 0 else max(low, int(firsts[at])), min(high, int(end)), dtype=np.float64)
        starts = metre.beats_of(bars)
        steps, swung = lines_of_bar(ruling, each)
        every = (starts[:, None] + steps[None]).ravel()
        beats = every if swung is steps else (starts[:, None] + swung[None]).ravel()
        parts.append((every, beats, every - begins[at]))
    every, beats, counted = (np.concatenate(each) for each in zip(*parts, strict=True))
    return Lines(every, _moved(counted, beats, ruling, tempo) if ruling.is_moved else beats)


def _moved(steps: BeatArray, beats: BeatArray, ruling: GridRule, tempo: TempoMap) -> BeatArray:
    """With the groove's offsets and the shift; lines stay in order. `steps` count from the metre change."""
    groove = ruling.groove
    late = np.full(len(beats), ruling.shift)
    if groove is not None and groove.steps and ruling.timing:
        offsets = groove.offsets_at(steps) * ruling.timing
        if ruling.scales and groove.beats_per_minute:
            beats = beats + offsets * (groove.beats_per_minute / 60000)
        else:
            late = late + offsets
    if late.any():
        beats = tempo.beats_at(tempo.seconds_at(beats) + late / 1000)
    apart = np.arange(len(beats)) * LEAST_GAP
    return np.asarray(np.maximum.accumulate(beats - apart) + apart)
