"""Bars, beats and lines: tempo map, metre, grid and swing."""

import re
from bisect import bisect_right
from functools import cached_property, lru_cache
from itertools import pairwise
from typing import Annotated

import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.session.limits import MOST_BEATS, Beat, Moment
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

    @property
    def beats_per_minute(self) -> float:
        """Tempo at beat one."""
        at = bisect_right([change.beat for change in self.changes], 0.0)
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


class Metre(Struct, frozen=True):
    """Beats in a bar and the note that is a beat: 4/4, 6/8."""

    beats: Annotated[int, Meta(ge=1, le=32)] = 4
    unit: Annotated[int, Meta(ge=2, le=16)] = 4

    @property
    def bar(self) -> float:
        """Length of a bar in quarter notes."""
        return self.beats * 4.0 / self.unit

    @property
    def beat(self) -> float:
        """Length of a beat in quarter notes."""
        return 4.0 / self.unit


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


def nearest_lines(beats: BeatArray, grid: Grid, metre: Metre) -> BeatArray:
    """The line of the straight grid nearest to each beat; every bar starts the grid anew."""
    lines = np.array(bar_lines(grid, metre))
    starts = np.floor(beats / metre.bar) * metre.bar
    inside = beats - starts
    above = np.clip(np.searchsorted(lines, inside), 1, len(lines) - 1)
    low, high = lines[above - 1], lines[above]
    return starts + np.where(inside - low <= high - inside, low, high)


def beat_in(words: str, metre: Metre) -> float | None:
    """The beat of a position written as `position_words` does, or of its beginning; None for others."""
    found = re.fullmatch(r"\s*([-−]?\d+)(?:\.(\d+))?(?:\.(\d+))?\s*", words)
    if found is None:
        return None
    bar, beat, sixteenth = (int((each or "1").replace("−", "-")) for each in found.groups())
    return (bar - 1) * metre.bar + (beat - 1) * metre.beat + (sixteenth - 1) / 4


def hit_words(beat: float, metre: Metre) -> str:
    """The position of a hit: the sixteenth that it is nearest to, so that a little early is still on one."""
    return position_words(np.floor(beat * 4 + 0.5) / 4, metre)


def position_words(beat: float, metre: Metre) -> str:
    """bar.beat.sixteenth, counted from 1; a pickup has bar 0 and below."""
    sixteenths = int(np.floor(beat * 4 + 1e-6))
    per_bar, per_beat = round(metre.bar * 4), max(1, round(metre.beat * 4))
    bar, rest = divmod(sixteenths, per_bar)
    return f"{bar + 1}.{rest // per_beat + 1}.{rest % per_beat + 1}".replace("-", "−")
