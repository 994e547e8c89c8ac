"""Grooves: when and how loud the steps of a bar are played, and how sure that is."""

from collections.abc import Iterable
from functools import cached_property
from itertools import pairwise
from typing import Annotated

import numpy as np
from msgspec import Meta, Struct
from msgspec.structs import replace
from numpy.typing import NDArray

from chronotome.session.grid import FASTEST, Grid
from chronotome.session.limits import Id, Name
from chronotome.session.metre import Metre
from chronotome.session.timebase import Timebase
from chronotome.units import BeatArray

MOST_BARS = 4
MOST_OFFSET = 250.0
SOFTEST, LOUDEST = -60.0, 12.0
MOST_STEPS = 4096
STEP_APART = 1e-6
GrooveId = Id
Milliseconds = NDArray[np.float64]
Decibels = NDArray[np.float64]


class GrooveStep(Struct, frozen=True):
    """One step: `offset_ms` is positive when late; `level_db` is that of the loudest step or below."""

    beat: Annotated[float, Meta(ge=0.0, le=MOST_BARS * 128.0)]
    """Quarter notes from the groove's start."""
    offset_ms: Annotated[float, Meta(ge=-MOST_OFFSET, le=MOST_OFFSET)] = 0.0
    level_db: Annotated[float, Meta(ge=SOFTEST, le=LOUDEST)] = 0.0
    spread_ms: Annotated[float, Meta(ge=0.0, le=1e4)] = 0.0
    """How far the hits that it was taken from lie about it."""
    hits: Annotated[int, Meta(ge=0, le=1 << 31)] = 0


class Groove(Struct, frozen=True, dict=True):
    """A timing and loudness profile over one to four bars.

    Invariants: steps rise strictly in beat and lie within its bars; a step without hits is left out.
    """

    id: GrooveId
    name: Name
    grid: Grid = Grid()
    bars: Annotated[int, Meta(ge=1, le=MOST_BARS)] = 1
    metre: Metre = Metre()
    steps: Annotated[tuple[GrooveStep, ...], Meta(max_length=MOST_STEPS)] = ()
    beats_per_minute: Annotated[float, Meta(ge=0.0, le=FASTEST)] = 0.0
    """Tempo at which it was played; 0 where nobody knows: then it is the same ms at any tempo."""

    def __post_init__(self) -> None:
        beats = [step.beat for step in self.steps]
        if any(later - earlier < STEP_APART for earlier, later in pairwise(beats)):
            raise ValueError("steps of a groove must rise")
        if beats and beats[-1] >= self.length - STEP_APART:
            raise ValueError("a step lies beyond the bars of its groove")

    @property
    def length(self) -> float:
        """Quarter notes until it begins again."""
        return self.bars * self.metre.bar

    @cached_property
    def beats(self) -> BeatArray:
        return np.array([step.beat for step in self.steps])

    @cached_property
    def offsets(self) -> Milliseconds:
        return np.array([step.offset_ms for step in self.steps])

    @cached_property
    def levels(self) -> Decibels:
        return np.array([step.level_db for step in self.steps])

    def offsets_at(self, beats: BeatArray) -> Milliseconds:
        """How late beats of the song are played, in ms: between two steps, from one to the other."""
        return self._at(beats, self.offsets)

    def levels_at(self, beats: BeatArray) -> Decibels:
        """How loud beats of the song are played, in dB."""
        return self._at(beats, self.levels)

    def _at(self, beats: BeatArray, values: NDArray[np.float64]) -> NDArray[np.float64]:
        if not len(values):
            return np.zeros(len(beats))
        return np.asarray(np.interp(beats, self.beats, values, period=self.length))

    @property
    def sure_to(self) -> float:
        """Ms within which a step is known: the median of what is expected of each mean."""
        spreads = [step.spread_ms / max(1, step.hits) ** 0.5 for step in self.steps if step.hits > 1]
        return float(np.median(spreads)) if spreads else 0.0


def with_step(
    groove: Groove, at: int, *, offset_ms: float | None = None, level_db: float | None = None
) -> Groove:
    """With one step set by hand."""
    step = groove.steps[at]
    offset = step.offset_ms if offset_ms is None else held_offset(groove, offset_ms)
    level = step.level_db if level_db is None else min(LOUDEST, max(SOFTEST, round(level_db, 1)))
    new = replace(step, offset_ms=offset, level_db=level)
    return groove if new == step else _with(groove, (*groove.steps[:at], new, *groove.steps[at + 1 :]))


def held_offset(groove: Groove, offset_ms: float) -> float:
    """No farther than half of what is between steps at its own tempo: steps stay in order."""
    per_beat = 60000 / (groove.beats_per_minute or 120.0)
    most = min(MOST_OFFSET, 0.49 * groove.grid.step * per_beat)
    return round(min(most, max(-most, offset_ms)), 2)


def smoothed(groove: Groove) -> Groove:
    """Each step drawn half-way to the mean of its neighbours."""

    def half(values: NDArray[np.float64]) -> NDArray[np.float64]:
        return np.asarray(values / 2 + (np.roll(values, 1) + np.roll(values, -1)) / 4)

    return _valued(groove, half(groove.offsets), half(groove.levels)) if len(groove.steps) > 2 else groove


def mirrored(groove: Groove) -> Groove:
    """What was late is as early."""
    return _valued(groove, -groove.offsets, groove.levels)


def rotated(groove: Groove, by: int) -> Groove:
    """Each step played as the one `by` steps of the grid before it was."""
    length = groove.length
    turned = sorted(
        (replace(step, beat=_on_step(groove, step.beat + by * groove.grid.step)) for step in groove.steps),
        key=lambda step: step.beat,
    )
    apart = all(later.beat - earlier.beat >= STEP_APART for earlier, later in pairwise(turned))
    return _with(groove, tuple(turned)) if apart and all(each.beat < length for each in turned) else groove


def _on_step(groove: Groove, beat: float) -> float:
    inside = beat % groove.length
    return 0.0 if groove.length - inside < STEP_APART else inside


def repeated(groove: Groove, bars: int) -> Groove:
    """Over more bars, each like those before; or over the first of them only."""
    bars = min(MOST_BARS, max(1, bars))
    times = -(-bars // groove.bars)
    steps = (
        replace(step, beat=step.beat + time * groove.length) for time in range(times) for step in groove.steps
    )
    kept = tuple(step for step in steps if step.beat < bars * groove.metre.bar - STEP_APART)
    return replace(groove, bars=bars, steps=kept)


def blended(groove: Groove, other: Groove, share: float) -> Groove:
    """From one groove (share 0) to another (share 1): each step that either has."""
    bars = max(groove.bars, other.bars)
    one, two = repeated(groove, bars), repeated(other, bars)
    if one.metre.bar != two.metre.bar or not other.steps:
        return groove
    beats = _distinct([*one.beats.tolist(), *two.beats.tolist()])
    offsets = (1 - share) * one.offsets_at(beats) + share * two.offsets_at(beats)
    levels = (1 - share) * one.levels_at(beats) + share * two.levels_at(beats)
    known = {step.beat: step for step in (*two.steps, *one.steps)}
    steps = (known.get(beat, GrooveStep(beat)) for beat in beats.tolist())
    return _valued(replace(one, steps=tuple(steps)), offsets, levels)


def _distinct(beats: Iterable[float]) -> BeatArray:
    ordered = np.array(sorted(beats))
    return ordered[np.diff(ordered, prepend=-1.0) > STEP_APART]


def _valued(groove: Groove, offsets: Milliseconds, levels: Decibels) -> Groove:
    changed = zip(groove.steps, offsets.tolist(), levels.tolist(), strict=True)
    return _with(
        groove,
        tuple(
            replace(step, offset_ms=round(offset, 2), level_db=round(level, 1))
            for step, offset, level in changed
        ),
    )


def _with(groove: Groove, steps: tuple[GrooveStep, ...]) -> Groove:
    return replace(groove, steps=steps)


FEW_BARS = 4
"""From so many on it can be told what is a fill."""
PART_OF_IT = 0.34
"""A step that fewer of the bars have is no part of the groove."""
UNLIKE = 0.5
"""A bar that has less in common with the usual one is a fill."""


def taken(  # noqa: PLR0917 - what a hit is
    seconds: NDArray[np.float64],
    beats: BeatArray,
    levels: Decibels,
    strengths: NDArray[np.float64],
    timebase: Timebase,
    like: Groove,
) -> Groove:
    """Hits folded into the bars of a groove: for each step the middle of their offsets and levels.

    Parameters
    ----------
    seconds, beats : float64, (hits,)
        Where each hit is, in time and in quarter notes of the song; rising.
    levels : float64, (hits,)
        dB; NaN where it is not known.
    strengths : float64, (hits,)
        Of several hits at one step of one bar the strongest counts.
    timebase : Timebase
        Where beats of the song are in time, and where its bars begin.
    like : Groove
        Name, grid, bars, metre and tempo of what is to be taken.

    Returns
    -------
    Groove
        Offsets are Hodges-Lehmann estimates (the median of all means of two): 95 % as precise as a mean where
        hits lie about a step normally, and unmoved by a few that do not. Bars unlike the others, and steps
        that few bars have, are left out.
        Source: J. L. Hodges and E. L. Lehmann, "Estimates of Location Based on Rank Tests", 1963.
    """
    metre, grid = like.metre, like.grid
    per_bar = int(np.ceil(metre.bar / grid.step - 1e-9))
    seconds_at, song = timebase.tempo.seconds_at, timebase.metre
    bars = np.floor(song.bars_at(beats + grid.step / 2))
    steps = np.rint((beats - song.beats_of(bars)) / grid.step)
    beyond = steps >= per_bar
    bars, steps = bars + beyond, np.where(beyond, 0, steps)
    late = (seconds - seconds_at(song.beats_of(bars) + steps * grid.step)) * 1000.0
    best = _strongest(bars, steps, strengths)
    bars, steps, late, levels = (each[best].astype(np.float64) for each in (bars, steps, late, levels))
    usual = _usual_bars(bars, steps, like.bars, per_bar)
    places = np.mod(bars, like.bars) * per_bar + steps
    loudest, made = -np.inf, list[GrooveStep]()
    for place in np.unique(places[usual]).astype(int).tolist():
        here = usual & (places == place)
        rounds = len(np.unique(bars[usual & (np.mod(bars, like.bars) == place // per_bar)]))
        if rounds >= FEW_BARS and here.sum() < PART_OF_IT * rounds:
            continue
        known = levels[here & ~np.isnan(levels)]
        level = float(np.median(known)) if len(known) else 0.0
        loudest = max(loudest, level)
        offset = _middle(late[here])
        spread = 1.4826 * float(np.median(np.abs(late[here] - offset)))
        beat = place // per_bar * metre.bar + place % per_bar * grid.step
        made.append(
            GrooveStep(
                round(beat, 9),
                round(min(MOST_OFFSET, max(-MOST_OFFSET, offset)), 2),
                level,
                round(spread, 2),
                int(here.sum()),
            )
        )
    return _with(
        like, tuple(replace(step, level_db=round(max(SOFTEST, step.level_db - loudest), 1)) for step in made)
    )


def _strongest(
    bars: NDArray[np.float64], steps: NDArray[np.float64], strengths: NDArray[np.float64]
) -> NDArray[np.int64]:
    """The strongest hit at each step of each bar, in order of time."""
    order = np.lexsort((-strengths, steps, bars))
    first = np.ones(len(order), bool)
    first[1:] = (np.diff(bars[order]) != 0) | (np.diff(steps[order]) != 0)
    return np.sort(order[first])


def _usual_bars(
    bars: NDArray[np.float64], steps: NDArray[np.float64], period: int, per_bar: int
) -> NDArray[np.bool_]:
    """True for each hit of a bar that is like most others at its place in the groove."""
    usual = np.ones(len(bars), bool)
    for turn in range(period):
        mine = np.mod(bars, period) == turn
        numbers = np.unique(bars[mine])
        if len(numbers) < FEW_BARS:
            continue
        has = np.zeros((len(numbers), per_bar), bool)
        has[np.searchsorted(numbers, bars[mine]), steps[mine].astype(int)] = True
        common = has.mean(0) >= 0.5
        shared, either = (has & common).sum(1), (has | common).sum(1)
        fills = numbers[shared < UNLIKE * np.maximum(1, either)]
        if len(fills) < len(numbers):
            usual[mine] = ~np.isin(bars[mine], fills)
    return usual


def _middle(values: NDArray[np.float64]) -> float:
    """The median of the means of all pairs, each with itself too; of the first 200 where there are more."""
    some = values[:: max(1, len(values) // 200)]
    first, second = np.triu_indices(len(some))
    return float(np.median((some[first] + some[second]) / 2))
