"""Beats and lines: tempo map and grid."""

from bisect import bisect_right
from functools import cached_property, lru_cache
from itertools import pairwise
from typing import Annotated

import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.session.limits import MOST_BEATS, Beat, Moment
from chronotome.session.metre import Metre, MetreMap
from chronotome.units import BeatArray, SecondsArray
from chronotome.words import Named

SLOWEST, FASTEST = 20.0, 400.0
Tempo = Annotated[float, Meta(ge=SLOWEST, le=FASTEST)]


class TempoChange(Struct, frozen=True):
    """From `beat` on, `beats_per_minute` quarter notes per minute."""

    beat: Beat
    beats_per_minute: Tempo


class TempoMap(Struct, frozen=True, dict=True):
    """Ties beats to seconds.

    Invariants: at least one change; changes rise strictly in beat; beat 0 (beat one of bar 1) sounds at
    `beat_one` seconds; before the first change its tempo holds.
    """

    changes: Annotated[tuple[TempoChange, ...], Meta(max_length=MOST_BEATS)] = (TempoChange(0.0, 120.0),)
    beat_one: Moment = 0.0

    def __post_init__(self) -> None:
        beats = [change.beat for change in self.changes]
        if not beats or any(later <= earlier for earlier, later in pairwise(beats)):
            raise ValueError(f"tempo changes must rise in beat, are at {beats}")

    def at(self, beat: float) -> float:
        """Quarter notes a minute at a beat; where it changes, those from there on."""
        at = bisect_right([change.beat for change in self.changes], beat)
        return self.changes[max(0, at - 1)].beats_per_minute

    @property
    def is_constant(self) -> bool:
        return len(self.changes) == 1

    @cached_property
    def knots(self) -> tuple[BeatArray, SecondsArray, NDArray[np.float64]]:
        """Beats of changes, their moments in seconds, and seconds a beat from there on."""
        beats = np.array([change.beat for change in self.changes])
        per_beat = 60.0 / np.array([change.beats_per_minute for change in self.changes])
        moments = np.concatenate([[0.0], np.cumsum(np.diff(beats) * per_beat[:-1])])
        at_zero = max(0, int(np.searchsorted(beats, 0.0, side="right")) - 1)
        moments += self.beat_one - (moments[at_zero] - beats[at_zero] * per_beat[at_zero])
        return beats, moments, per_beat

    def seconds_at(self, beats: BeatArray) -> SecondsArray:
        knots, moments, per_beat = self.knots
        at = np.maximum(np.searchsorted(knots, beats, side="right") - 1, 0)
        return moments[at] + (beats - knots[at]) * per_beat[at]

    def beats_at(self, seconds: SecondsArray) -> BeatArray:
        knots, moments, per_beat = self.knots
        at = np.maximum(np.searchsorted(moments, seconds, side="right") - 1, 0)
        return knots[at] + (seconds - moments[at]) / per_beat[at]

    def seconds_of(self, beat: float) -> float:
        return float(self.seconds_at(np.array([beat]))[0])

    def beat_of(self, seconds: float) -> float:
        return float(self.beats_at(np.array([seconds]))[0])


class Feel(Named):
    STRAIGHT = "straight"
    TRIPLET = "triplet"
    DOTTED = "dotted"
    QUINTUPLET = "quintuplet"
    SEPTUPLET = "septuplet"


LENGTH_OF = {
    Feel.STRAIGHT: 1.0,
    Feel.TRIPLET: 2.0 / 3.0,
    Feel.DOTTED: 1.5,
    Feel.QUINTUPLET: 4.0 / 5.0,
    Feel.SEPTUPLET: 4.0 / 7.0,
}
"""Of the straight step: three, five or seven in the place of two, four and four."""
DIVISIONS = (1, 2, 4, 8, 16, 32, 64)


class Grid(Struct, frozen=True):
    """Lines every 1/`division`: straight, triplet, dotted, or five or seven in the place of four."""

    division: Annotated[int, Meta(ge=1, le=64)] = 16
    feel: Feel = Feel.STRAIGHT

    @property
    def step(self) -> float:
        """Distance of two lines in quarter notes."""
        return 4.0 / self.division * LENGTH_OF[self.feel]

    @property
    def words(self) -> str:
        return f"1/{self.division}" + ("" if self.feel is Feel.STRAIGHT else f" {self.feel}")


@lru_cache(maxsize=256)
def bar_lines(grid: Grid, metre: Metre) -> tuple[float, ...]:
    """Lines of one bar in quarter notes from its start, the start of the next bar last."""
    count = int(np.ceil(metre.bar / grid.step - 1e-9))
    lines = (np.arange(count) * grid.step).tolist()
    return (*(line for line in lines if line < metre.bar - 1e-9), metre.bar)


def lines_each(first: float, last: float, step: float, metre: MetreMap) -> BeatArray:
    """Lines every `step` quarter notes from each bar's start, from one beat up to another.

    Where `step` is 0, or longer than a bar, there is one a bar; the last of these may be at `last` itself.
    """
    starts = metre.bar_lines(metre.bar_start(first), last)
    ends = metre.beats_of(metre.bars_at(starts).round() + 1)
    parts = [
        np.arange(start, end - 1e-9, step) if 0 < step < end - start else np.array([start])
        for start, end in zip(starts.tolist(), ends.tolist(), strict=True)
    ]
    lines = np.concatenate([np.zeros(0), *parts])
    return lines[(lines >= first - 1e-9) & (lines < last - 1e-9)]


def nearest_lines(beats: BeatArray, grid: Grid, metre: MetreMap) -> BeatArray:
    """The line of the straight grid nearest to each beat; every bar starts the grid anew."""
    starts = metre.beats_of(np.floor(metre.bars_at(beats)))
    inside, found = beats - starts, np.empty(len(beats))
    stretch = np.maximum(np.searchsorted(metre.stretches[1], beats, side="right") - 1, 0)
    for at in np.unique(stretch).tolist():
        here, lines = stretch == at, np.array(bar_lines(grid, metre.metres[at]))
        above = np.clip(np.searchsorted(lines, inside[here]), 1, len(lines) - 1)
        low, high = lines[above - 1], lines[above]
        found[here] = np.where(inside[here] - low <= high - inside[here], low, high)
    return np.asarray(starts + found)
