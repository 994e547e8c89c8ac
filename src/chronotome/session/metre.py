"""Bars: the metre of a song, which may change at bar lines, and positions in words.

Bars are counted from 0 here and from 1 in words; a pickup lies in bars below.
"""

import re
from dataclasses import dataclass
from functools import cached_property, lru_cache
from itertools import pairwise
from typing import Annotated

import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.session.limits import MOST_BEATS
from chronotome.units import BeatArray

MOST_METRE_CHANGES = 4096
MOST_BEATS_IN_BAR = 32
UNITS = (2, 4, 8, 16)
ON_LINE = 1e-6
"""Bars within which a place is on a bar line."""


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

    @property
    def words(self) -> str:
        return f"{self.beats}/{self.unit}"


METRES = tuple(
    Metre(beats, unit)
    for unit, most in ((4, (2, 3, 4, 5, 6, 7)), (8, (3, 5, 6, 7, 9, 11, 12)))
    for beats in most
)
"""Those that are offered."""


def metre_of(words: str) -> Metre:
    """The metre that is written as "7/8".

    Raises
    ------
    ValueError
        Where it is none: 1 to 32 beats of halves, quarters, eighths or sixteenths.
    """
    found = re.fullmatch(r"\s*(\d{1,2})\s*/\s*(\d{1,2})\s*", words)
    beats, unit = (int(each) for each in found.groups()) if found else (0, 0)
    if not 1 <= beats <= MOST_BEATS_IN_BAR or unit not in UNITS:
        raise ValueError(f"“{words}” is no metre: say 4/4")
    return Metre(beats, unit)


class MetreChange(Struct, frozen=True):
    """From the line of a bar on another metre; `bar` is counted from 0."""

    bar: Annotated[int, Meta(ge=1, le=MOST_BEATS)]
    metre: Metre


@dataclass(frozen=True)
class MetreMap:
    """Where the bars of a song are. Beats are quarter notes from beat one.

    Invariants: changes rise strictly in bar; the first metre holds before beat one too.
    """

    first: Metre
    changes: tuple[MetreChange, ...] = ()

    def __post_init__(self) -> None:
        if any(later.bar <= earlier.bar for earlier, later in pairwise(self.changes)):
            raise ValueError(f"metre changes must rise in bar, are at {[each.bar for each in self.changes]}")

    @cached_property
    def metres(self) -> tuple[Metre, ...]:
        """The metre of each stretch."""
        return (self.first, *(each.metre for each in self.changes))

    @cached_property
    def stretches(self) -> tuple[NDArray[np.float64], BeatArray, BeatArray]:
        """First bar of each stretch of one metre, the beat at which it begins, and the length of its bars."""
        bars = np.array([0, *(each.bar for each in self.changes)], np.float64)
        lengths = np.array([each.bar for each in self.metres])
        return bars, np.concatenate([[0.0], np.cumsum(np.diff(bars) * lengths[:-1])]), lengths

    @property
    def shortest_bar(self) -> float:
        return float(self.stretches[2].min())

    @property
    def longest_bar(self) -> float:
        return float(self.stretches[2].max())

    def stretch_at(self, beat: float) -> int:
        """The number of the stretch in which a beat lies."""
        return max(0, int(np.searchsorted(self.stretches[1], beat + ON_LINE, side="right")) - 1)

    def metre_at(self, beat: float) -> Metre:
        return self.metres[self.stretch_at(beat)]

    def bars_at(self, beats: BeatArray) -> NDArray[np.float64]:
        """Bars from beat one, with the share of the bar that has passed, at beats."""
        bars, starts, lengths = self.stretches
        at = np.maximum(np.searchsorted(starts, beats, side="right") - 1, 0)
        return bars[at] + (beats - starts[at]) / lengths[at]

    def beats_of(self, bars: NDArray[np.float64]) -> BeatArray:
        """Beats at bars, the other way round."""
        firsts, starts, lengths = self.stretches
        at = np.maximum(np.searchsorted(firsts, bars, side="right") - 1, 0)
        return starts[at] + (bars - firsts[at]) * lengths[at]

    def inside(self, beats: BeatArray) -> tuple[NDArray[np.int64], BeatArray]:
        """The bar of each beat, and how far behind its line it is; what is hardly before a line is on it."""
        bars = np.floor(self.bars_at(beats) + 1e-9)
        return bars.astype(np.int64), beats - self.beats_of(bars)

    def kinds_at(self, beats: BeatArray) -> NDArray[np.int64]:
        """A number for the metre that each beat is in: the same where the metre is."""
        known: dict[Metre, int] = {}
        kinds = np.array([known.setdefault(each, len(known)) for each in self.metres])
        at = np.searchsorted(self.stretches[1], beats + ON_LINE, side="right") - 1
        return np.asarray(kinds[np.maximum(at, 0)])

    def seen_from(self, beat: float) -> "MetreMap":
        """The map counted from the bar in which a beat lies: that is bar 0."""
        if not self.changes:
            return self
        bar = int(np.floor(self.bar_at(beat) + ON_LINE))
        later = tuple(MetreChange(each.bar - bar, each.metre) for each in self.changes if each.bar > bar)
        return metre_map(self.metre_at(beat), later)

    def whole_bars(self, first: float, last: float) -> float:
        """Quarter notes of the whole bars that come nearest to the way from one beat to another."""
        at = self.stretch_at(first)
        if at == self.stretch_at(last):
            bar = self.metres[at].bar
            return bar * round((last - first) / bar)
        return self.bars_from(first, round(self.bar_at(last) - self.bar_at(first))) - first

    def bar_at(self, beat: float) -> float:
        return float(self.bars_at(np.array([beat]))[0])

    def beat_of(self, bar: float) -> float:
        return float(self.beats_of(np.array([bar], np.float64))[0])

    def bar_length(self, beat: float) -> float:
        """Quarter notes of the bar in which a beat lies."""
        return self.metre_at(beat).bar

    def bar_start(self, beat: float) -> float:
        """The line of the bar in which a beat lies."""
        return self.beat_of(np.floor(self.bar_at(beat) + ON_LINE))

    def next_bar(self, beat: float) -> float:
        """The first bar line at a beat or behind it."""
        return self.beat_of(np.ceil(self.bar_at(beat) - ON_LINE))

    def nearest_bar(self, beat: float) -> float:
        """The bar line nearest to a beat, by the bar in which it lies."""
        return self.beat_of(round(self.bar_at(beat)))

    def bars_from(self, beat: float, count: float) -> float:
        """The beat so many bars behind another one."""
        return self.beat_of(self.bar_at(beat) + count)

    def bar_lines(self, first: float, last: float) -> BeatArray:
        """Bar lines from one beat to another."""
        low, high = self.bars_at(np.array([first, last]))
        return self.beats_of(np.arange(np.ceil(low - ON_LINE), np.floor(high + ON_LINE) + 1))

    def beat_lines(self, first: float, last: float) -> tuple[BeatArray, NDArray[np.int64]]:
        """Beats of the metre from one beat to another, and which of its bar each is, 0 the first."""
        parts, places = [np.zeros(0)], [np.zeros(0, np.int64)]
        _, starts, _ = self.stretches
        ends = [*starts[1:].tolist(), np.inf]
        for at, (metre, end) in enumerate(zip(self.metres, ends, strict=True)):
            start = float(starts[at])
            low = first if at == 0 else max(first, start)
            high = min(last, end - metre.beat / 2)
            numbers = np.arange(
                np.ceil((low - start) / metre.beat - ON_LINE),
                np.floor((high - start) / metre.beat + ON_LINE) + 1,
            )
            parts.append(start + numbers * metre.beat)
            places.append(np.mod(numbers, metre.beats).astype(np.int64))
        return np.concatenate(parts), np.concatenate(places)

    def beat_line(self, beat: float) -> float:
        """The beat of the metre nearest to a beat of the song."""
        at = self.stretch_at(beat)
        start, unit = float(self.stretches[1][at]), self.metres[at].beat
        return start + round((beat - start) / unit) * unit

    def position(self, beat: float) -> tuple[int, int, int]:
        """Bar, beat and sixteenth of the beat at a place, each from 1."""
        sixteenths = int(np.floor(beat * 4 + 1e-6))
        bar = int(np.floor(self.bar_at(sixteenths / 4) + ON_LINE))
        rest = sixteenths - round(self.beat_of(bar) * 4)
        per_beat = max(1, round(self.metre_at(sixteenths / 4).beat * 4))
        return bar + 1, rest // per_beat + 1, rest % per_beat + 1


@lru_cache(maxsize=256)
def metre_map(first: Metre, changes: tuple[MetreChange, ...] = ()) -> MetreMap:
    """One object for equal ones: what is worked out from it is found by identity."""
    return MetreMap(first, changes)


def beat_in(words: str, metre: MetreMap) -> float | None:
    """The beat of a position written as `position_words` does, or of its beginning; None for others."""
    found = re.fullmatch(r"\s*([-−]?\d+)(?:\.(\d+))?(?:\.(\d+))?\s*", words)
    if found is None:
        return None
    bar, beat, sixteenth = (int((each or "1").replace("−", "-")) for each in found.groups())
    start = metre.beat_of(bar - 1)
    return start + (beat - 1) * metre.metre_at(start).beat + (sixteenth - 1) / 4


def hit_words(beat: float, metre: MetreMap) -> str:
    """The position of a hit: the sixteenth that it is nearest to, so that a little early is still on one."""
    return position_words(np.floor(beat * 4 + 0.5) / 4, metre)


def position_words(beat: float, metre: MetreMap) -> str:
    """bar.beat.sixteenth, counted from 1; a pickup has bar 0 and below."""
    return ".".join(map(str, metre.position(beat))).replace("-", "−")
