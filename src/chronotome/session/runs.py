"""Slices -> runs: which of them sound on in one another, where each is heard; rolls, what rings on."""

from collections.abc import Sequence
from dataclasses import dataclass, fields, replace
from functools import cached_property
from typing import Any, NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.engines import EngineName
from chronotome.session.anchors import MOST_LONGER_SECONDS, MOST_TIMES_LONGER, Anchors
from chronotome.session.grid import TempoMap
from chronotome.session.memo import by_identity
from chronotome.session.slices import MOST_ROLL, Lengthen, Roll, Scatter, Slices, draw
from chronotome.units import Frames, at_other_rate

LEAST_GAP_SECONDS = 0.001
"""A gap that is shorter is not filled, a repeat of a roll that would be shorter is left out."""
MOST_REPEATS = 50_000
"""Of all rolls of a take."""
KINDS = ("loudness", "pan", "semitones", "start", "timing")
"""What scatters spread; the place of each is part of its seed."""
LOUDEST, SOFTEST, HIGHEST = 24.0, -90.0, 36.0
Column = NDArray[Any]


class Shaped(NamedTuple):
    """What slices are like with what scatters add: a column each."""

    loudness: Column
    pans: Column
    semitones: Column
    offsets: Column
    """Frames of the recording."""
    timing: Column
    """Seconds by which each is heard later."""


def shaped(slices: Slices, rate: int) -> Shaped:
    """The values of slices of a recording at `rate`, scatters drawn."""
    loudness, pans, semitones = (slices.column(name).copy() for name in ("loudness", "pans", "semitones"))
    offsets, timing = slices.column("offsets").astype(np.float64), np.zeros(len(slices))
    for number, scatter in enumerate(slices.scatters, 1):
        here, *added = _scattered(scatter, number, slices.ids, slices.scattered)
        for column, more in zip((loudness, pans, semitones), added[:3], strict=True):
            column[here] += more
        offsets[here] += np.abs(added[3]) * rate / 1000
        timing[here] = added[4] / 1000
    return Shaped(
        np.clip(loudness, SOFTEST, LOUDEST),
        np.clip(pans, -1.0, 1.0),
        np.clip(np.round(semitones, 4), -HIGHEST, HIGHEST),
        np.rint(offsets).astype(np.int64),
        timing,
    )


@by_identity(64)
def _scattered(
    scatter: Scatter, number: int, ids: tuple[int, ...], scattered: tuple[int, ...]
) -> tuple[Column, ...]:
    """Which slices a scatter spreads, and what it adds to each of their values, in the order of `KINDS`."""
    here = np.flatnonzero(np.array(scattered, np.int64) == number)
    own = np.array(ids, np.int64)[here]
    return here, *(drawn(scatter, kind, own) for kind in KINDS)


def drawn(scatter: Scatter, kind: str, ids: Frames) -> NDArray[np.float64]:
    """What a scatter adds to one of the values of slices."""
    most = float(getattr(scatter, kind))
    return most * draw(scatter.seed, ids, KINDS.index(kind), scatter.lean) if most else np.zeros(len(ids))


@dataclass(frozen=True, eq=False)
class Runs:
    """Slices that sound on in one another as they were recorded, or one by itself: columns, one per run.

    Frames at the session's rate: source frames [start, start + length) are heard from `begins` to `ends`;
    `laid` is where it begins in the recording as slices lay it out. `first` and `last` are slices.
    """

    first: Frames
    last: Frames
    start: Frames
    length: Frames
    laid: Frames
    begins: Frames
    ends: Frames
    semitones: Column
    loudness: Column
    """dB beside those of its slices, as `pans`."""
    pans: Column
    is_one_row: NDArray[np.bool_]
    rings: Frames
    """Frames by which its last row rings on."""
    engines: NDArray[np.object_]
    """What renders it, where that is not what renders the take; else None."""

    @cached_property
    def has_engine(self) -> NDArray[np.bool_]:
        """Which are rendered in a way of their own."""
        return np.array([each is not None for each in self.engines.tolist()], np.bool_)

    def only(self, which: Column) -> "Runs":
        return self if which.dtype == bool and which.all() else Runs(*(each[which] for each in self._columns))

    def with_more(self, others: Sequence["Runs"]) -> "Runs":
        columns = zip(self._columns, *(each._columns for each in others), strict=True)  # noqa: SLF001 - of others of these
        return Runs(*(np.concatenate(each) for each in columns))

    @property
    def _columns(self) -> list[Column]:
        return [getattr(self, name) for name in _COLUMNS]

    @cached_property
    def axis(self) -> Frames:
        """Where each begins on an axis on which they follow one another: where it is laid, or later."""
        lengths = self.length + 1
        before = np.cumsum(lengths) - lengths
        return np.asarray(before + np.maximum.accumulate(self.laid - before))


_COLUMNS = tuple(each.name for each in fields(Runs))


class Laying:
    """Slices of one recording at the session's rate, and how they are heard."""

    def __init__(  # noqa: PLR0917 - what a take is heard by
        self,
        slices: Slices,
        frames: int,
        recording_rate: int,
        rate: int,
        anchors: Anchors,
        stretching: EngineName,
    ) -> None:
        self.slices, self.anchors, self.rate, self._stretching = slices, anchors, rate, stretching
        self._recording_rate = recording_rate
        self._longest = MOST_LONGER_SECONDS * rate
        """Frames that a hit rings on at most: what is rendered has to be held."""
        self.shape = shaped(slices, recording_rate)
        self.total = round(frames * rate / recording_rate)
        self.first_frame, self.last_frame = self._at_rate(np.array(slices.original)).tolist()
        self.starts, self.ends, self.laid = (
            self._at_rate(each) for each in (slices.start_array, slices.end_array, slices.place_array)
        )
        self.is_reversed, self.is_toned = slices.column("reversed"), slices.is_toned
        self.fade_ins, self.fade_outs = slices.column("fade_ins"), slices.column("fade_outs")
        self._rolled, self._by_tape = slices.column("rolled"), slices.column("by_tape")

    def _at_rate(self, frames: Frames) -> Frames:
        return at_other_rate(frames, self._recording_rate, self.rate)

    def heard(self, laid: Frames) -> Frames:
        """Session frames at which frames of the recording land as it is laid out."""
        return np.rint(self.anchors.landed_at(laid.astype(np.float64))).astype(np.int64)

    def runs(self, tempo: TempoMap) -> tuple[Runs, Frames, Frames]:
        """All that is heard, and the session frames at which each slice begins and ends."""
        goes_on = self._goes_on()
        first = np.flatnonzero(~goes_on)
        last = np.append(first[1:], len(goes_on))[: len(first)] - 1
        runs = self._placed(first, last)
        starts = self.heard(self.laid)
        ends = self.heard(self.laid + self.ends - self.starts)
        single, sounds = first == last, runs.length > 0
        starts[first[single]], ends[first[single]] = runs.begins[single], runs.ends[single]
        gone = first[single & ~sounds]
        ends[gone] = starts[gone]
        return self._ringing(self._rolling(runs.only(sounds), tempo)), starts, ends

    def _goes_on(self) -> NDArray[np.bool_]:
        """Which slices sound on from the one before as they were recorded."""
        slices, shape = self.slices, self.shape
        is_plain = (shape.semitones == 0) & ~self.is_reversed & ~self.is_toned & (self._rolled == 0)
        is_plain &= (self.fade_ins == 0) & (self.fade_outs == 0) & (shape.offsets == 0) & (shape.timing == 0)
        is_plain &= slices.column("lengths") == 0
        start, end, place = slices.start_array, slices.end_array, slices.place_array
        goes_on = np.zeros(len(slices), np.bool_)
        goes_on[1:] = is_plain[:-1] & is_plain[1:] & (end[:-1] == start[1:])
        goes_on[1:] &= place[:-1] + end[:-1] - start[:-1] == place[1:]
        return goes_on

    def _placed(self, first: Frames, last: Frames) -> Runs:
        """Runs where they are heard; those of which nothing is left have no length."""
        slices, shape = self.slices, self.shape
        wanted = self._at_rate(slices.column("lengths"))[first]
        how = slices.column("lengthened")[first]
        offsets = np.minimum(self._at_rate(shape.offsets)[first], self.ends[last] - self.starts[first] - 1)
        start = self.starts[first] + offsets
        own, laid = self.ends[last] - start, self.laid[first]
        wanted = np.minimum(wanted, MOST_TIMES_LONGER * own + self._longest)
        is_set = wanted > 0
        is_stretch = is_set & (how == Lengthen.STRETCH)
        is_ring = is_set & (how == Lengthen.RING) & (wanted > own)
        cut = np.minimum(wanted, np.where(how == Lengthen.CUT, self.total - start, own))
        length = np.where(is_set & ~is_stretch & ~is_ring, cut, own)
        span = np.where(is_stretch | is_ring, wanted, length)
        early = np.clip(int(self.anchors.source[0]) - laid, 0, None)  # nothing sounds before the first frame
        start, laid, length, span = start + early, laid + early, length - early, span - early
        begins, semitones = self.heard(laid), shape.semitones[first]
        ends = np.maximum(self.heard(laid + np.maximum(span, 1)), begins + 1)
        is_tape = self._by_tape[first] & (semitones != 0)
        shorter = np.rint((ends - begins) / 2 ** (semitones / 12)).astype(np.int64)
        ends = np.where(is_tape, begins + np.maximum(1, shorter), ends)
        engines = np.full(len(first), None, np.object_)
        for which, engine in (
            (is_stretch, self._stretching),
            (is_ring, EngineName.CUTTING),
            (is_tape, EngineName.TAPE),
        ):
            engines[which] = engine
        later = np.maximum(np.rint(shape.timing[first] * self.rate).astype(np.int64), -begins)
        return Runs(
            first,
            last,
            start,
            length,
            laid,
            begins + later,
            ends + later,
            np.where(is_tape, 0.0, semitones),
            np.zeros(len(first)),
            np.zeros(len(first)),
            is_tape | is_ring | is_stretch,
            np.zeros(len(first), np.int64),
            engines,
        )

    def _rolling(self, runs: Runs, tempo: TempoMap) -> Runs:
        """With each roll in the place of its hit."""
        number = self._rolled[runs.first]
        if not number.any():
            return runs
        made, count = list[Runs](), 0
        for at in np.flatnonzero(number).tolist():
            roll = self.slices.rolls[int(number[at]) - 1]
            if count > MOST_REPEATS:  # a mix holds no more: the others are single hits
                number = np.where(np.arange(len(number)) >= at, 0, number)
                break
            made.append(self._roll(runs, at, roll, tempo))
            count += len(made[-1].first)
        runs = runs.only(number == 0).with_more(made)
        return runs.only(np.lexsort((runs.begins, runs.laid)))

    def _roll(self, runs: Runs, at: int, roll: Roll, tempo: TempoMap) -> Runs:
        own, start, end = (
            float(self.shape.semitones[runs.first[at]]),
            int(runs.begins[at]),
            int(runs.ends[at]),
        )
        if self._by_tape[runs.first[at]]:  # the hit alone is shorter or longer: its place is not
            end = start + round((end - start) * 2 ** (own / 12))
        edges = roll_edges(roll, start, end, tempo, self.rate)
        begins, room, whole = edges[:-1], np.diff(edges), int(runs.length[at])
        count = len(begins)
        ramps = roll_ramps(roll, count)
        semitones = np.clip(np.round(own + ramps.semitones, 4), -HIGHEST, HIGHEST)
        length = heard = np.minimum(room, whole)
        is_tape = bool(self._by_tape[runs.first[at]])
        if is_tape:
            speeds = 2 ** (semitones / 12)
            length = np.clip(np.rint(room * speeds), 1, whole).astype(np.int64)
            heard = np.clip(np.rint(length / speeds), 1, room).astype(np.int64)
        one = {name: np.repeat(getattr(runs, name)[at], count) for name in _COLUMNS}
        one |= {"length": length, "begins": begins, "ends": begins + heard}
        one["laid"] = runs.laid[at] + begins - runs.begins[at]
        one["semitones"] = np.zeros(count) if is_tape else semitones
        one |= {"loudness": ramps.loudness, "pans": ramps.pans}
        one["is_one_row"] = np.ones(count, np.bool_)
        one["engines"] = np.full(count, EngineName.TAPE if is_tape else None, np.object_)
        return Runs(**one)

    def _ringing(self, runs: Runs) -> Runs:
        """What sounds before an emptied place rings on up to what comes next, where that is wanted."""
        if not self.slices.fills or len(runs.first) < 2:
            return runs
        order = np.argsort(runs.begins, kind="stable")
        until = np.maximum.accumulate(runs.ends[order])
        gaps = np.append(runs.begins[order][1:] - until[:-1], 0)
        rings = (gaps > LEAST_GAP_SECONDS * self.rate) & (runs.ends[order] == until)
        rings &= ~self.is_reversed[runs.last[order]]
        rings &= np.not_equal(runs.engines[order], EngineName.TAPE)
        longer = np.zeros(len(order), np.int64)
        longer[order] = np.where(rings, np.minimum(gaps, self._longest), 0)
        return replace(runs, rings=longer)


class Ramps(NamedTuple):
    """What the repeats of a roll add to the values of their hit."""

    loudness: Column
    semitones: Column
    pans: Column


def roll_ramps(roll: Roll, count: int) -> Ramps:
    """From the first of so many repeats to the last; pitch and pan lead back where that is wanted."""
    along = np.arange(count) / max(1, count - 1)
    bow = 1.0 - np.abs(2 * along - 1.0) if roll.returns and count > 1 else along

    def ramp(ends: tuple[float, float], along: Column) -> Column:
        return ends[0] + (ends[1] - ends[0]) * along

    return Ramps(ramp(roll.loudness, along), ramp(roll.semitones, bow), ramp(roll.pans, bow))


def roll_edges(roll: Roll, begin: int, end: int, tempo: TempoMap, rate: int) -> Frames:
    """Session frames at which the repeats of a roll begin, and its end.

    Repeats on a grid come every `step` quarter notes from its beginning on; others fill it, the last so many
    times as fast after one another as the first.
    """
    if roll.step:
        beats = tempo.beat_of(begin / rate) + roll.step * np.arange(float(MOST_ROLL))
        frames = np.rint(tempo.seconds_at(beats) * rate).astype(np.int64)
        frames[0] = begin
        frames = frames[frames < end - round(LEAST_GAP_SECONDS * rate)]
    else:
        shares = np.cumsum(roll.hurry ** (-np.arange(roll.count) / max(1, roll.count - 1)))
        frames = begin + np.rint((end - begin) * np.append(0.0, shares[:-1]) / shares[-1]).astype(np.int64)
    return np.unique(np.append(np.minimum(frames, end - 1), end))
