"""Slices: a take cut into hits that can be placed, copied and shaped one by one; columns, like onsets."""

from collections.abc import Sequence
from enum import IntEnum
from functools import cached_property
from typing import Annotated

import msgspec
import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.dsp.tone import LEAST_CUTOFF, NO_CUTOFF, Tone
from chronotome.session.limits import FrameCount, FrameNumber, Id
from chronotome.session.memo import by_identity
from chronotome.session.table import Column, SlideRange, Table, Unit, columns_of
from chronotome.units import Frames
from chronotome.words import tr

SliceId = Id
MOST_SLICES = 100_000
HIGHEST_SLICE = 1 << 22
"""Ids of slices are below it: those of their onsets are made of both."""
COPY = 1 << 31
"""Onsets of the nth copy have ids so many times n higher than those they are copies of."""
MOST_TABLE = 1000
LEAST_ROLL, MOST_ROLL = 2, 32

Semitones = Annotated[float, Meta(ge=-36.0, le=36.0)]
Pan = Annotated[float, Meta(ge=-1.0, le=1.0)]
Loudness = Annotated[float, Meta(ge=-90.0, le=24.0)]
Milliseconds = Annotated[float, Meta(ge=0.0, le=60_000.0)]
Tilt = Annotated[float, Meta(ge=-24.0, le=24.0)]
Cutoff = Annotated[float, Meta(ge=LEAST_CUTOFF, le=NO_CUTOFF)]


class Lengthen(IntEnum):
    """What becomes of a sound that is made longer; a shorter one is cut, or stretched as well."""

    CUT = 0
    """What follows it in the recording is heard."""
    RING = 1
    """Its tail goes on."""
    STRETCH = 2


class Roll(Struct, frozen=True):
    """One hit as several shorter repeats of itself, each beginning with its attack.

    `count` repeats fill its length, or one comes every `step` quarter notes where that is not 0. Ramps lead
    from the first to the last, or there and back.
    """

    count: Annotated[int, Meta(ge=LEAST_ROLL, le=MOST_ROLL)] = 4
    step: Annotated[float, Meta(ge=0.0, le=4.0)] = 0.0
    loudness: tuple[Loudness, Loudness] = (0.0, 0.0)
    semitones: tuple[Semitones, Semitones] = (0.0, 0.0)
    pans: tuple[Pan, Pan] = (0.0, 0.0)
    hurry: Annotated[float, Meta(ge=0.125, le=8.0)] = 1.0
    """How many times as fast the last follow one another as the first."""
    returns: bool = False
    """Ramps of pitch and pan lead back to where they began."""


class Scatter(Struct, frozen=True):
    """A seeded spread about the values that hits have: of each, how far to either side at most.

    The same seed gives the same draws on every machine, for each hit its own.
    """

    seed: Annotated[int, Meta(ge=0, le=1 << 31)] = 1
    loudness: Annotated[float, Meta(ge=0.0, le=24.0)] = 0.0
    pan: Annotated[float, Meta(ge=0.0, le=1.0)] = 0.0
    semitones: Annotated[float, Meta(ge=0.0, le=24.0)] = 0.0
    start: Annotated[float, Meta(ge=0.0, le=500.0)] = 0.0
    """Milliseconds into the sound, only ever later."""
    timing: Annotated[float, Meta(ge=0.0, le=200.0)] = 0.0
    """Milliseconds."""
    lean: Annotated[float, Meta(ge=-1.0, le=1.0)] = 0.0
    """To which side most draws fall: -1 only lower, 1 only higher."""


class Slices(Table, frozen=True, dict=True):
    """A table with one entry per slice, in the order of their places.

    Invariants: columns of equal length, those of shape may be empty: as recorded. Frames are the
    recording's own: a slice is frames [start, end) of it, placed where frame `place` of it would sound had
    nothing been moved. Ids are unique and below `next_id`; `copies` are 0, or the slice's own id where it is
    not the first of its sound; `original` is the span that was taken apart. `rolled` and `scattered` are 0,
    or the place in `rolls` and `scatters` counted from 1.
    """

    placed = ("ids", "starts", "ends", "places", "copies")
    whole = frozenset(placed)
    original: tuple[FrameNumber, FrameCount]
    ids: Annotated[tuple[SliceId, ...], Meta(max_length=MOST_SLICES)] = ()
    starts: tuple[FrameNumber, ...] = ()
    ends: tuple[FrameCount, ...] = ()
    places: tuple[FrameNumber, ...] = ()
    copies: tuple[Id, ...] = ()
    loudness: tuple[Loudness, ...] = ()
    pans: tuple[Pan, ...] = ()
    semitones: tuple[Semitones, ...] = ()
    by_tape: tuple[bool, ...] = ()
    """Whether the pitch changes the length as well."""
    reversed: tuple[bool, ...] = ()
    tilts: tuple[Tilt, ...] = ()
    """dB by which the highest octaves are louder, and the lowest softer."""
    cutoffs: tuple[Cutoff, ...] = ()
    """Hz above which a low-pass takes highs out; the most: none does."""
    fade_ins: tuple[Milliseconds, ...] = ()
    fade_outs: tuple[Milliseconds, ...] = ()
    offsets: tuple[FrameNumber, ...] = ()
    """Frames of its sound that are left out at its start."""
    lengths: tuple[FrameNumber, ...] = ()
    """How long it sounds before it is moved; 0: as long as it is."""
    lengthened: tuple[Annotated[int, Meta(ge=0, le=2)], ...] = ()
    rolled: tuple[Annotated[int, Meta(ge=0, le=MOST_TABLE)], ...] = ()
    scattered: tuple[Annotated[int, Meta(ge=0, le=MOST_TABLE)], ...] = ()
    rolls: Annotated[tuple[Roll, ...], Meta(max_length=MOST_TABLE)] = ()
    scatters: Annotated[tuple[Scatter, ...], Meta(max_length=MOST_TABLE)] = ()
    fills: bool = False
    """Whether what sounds before an emptied place rings on in it."""
    next_id: Annotated[int, Meta(ge=1, le=HIGHEST_SLICE)] = 1

    def __post_init__(self) -> None:
        self.check_columns("slices")
        if self.original[1] <= self.original[0] or not _rise(self.starts, self.ends):
            raise ValueError("a slice, and what was taken apart, must end after it starts")
        if _highest(self.ids) >= self.next_id:
            raise ValueError("ids of slices must be unique and below next_id")
        if not _are_own(self.copies, self.ids):
            raise ValueError("a copy must be numbered by its slice")
        for name, table in (("rolled", self.rolls), ("scattered", self.scatters)):
            if self.column(name).max(initial=0) > len(table):
                raise ValueError(f"a slice is {name} in a way that is not there")

    @property
    def id_array(self) -> Frames:
        return self.column("ids")

    @property
    def start_array(self) -> Frames:
        return self.column("starts")

    @property
    def end_array(self) -> Frames:
        return self.column("ends")

    @property
    def place_array(self) -> Frames:
        return self.column("places")

    @cached_property
    def spans(self) -> Frames:
        """Frames between place and end of each before it is moved: what a person set, or what it is."""
        own = self.end_array - self.start_array
        lengths = self.column("lengths")
        return np.where(lengths > 0, lengths, own)

    @property
    def reach(self) -> int:
        """Frames up to which they lay out the recording: a shortened one has its room (`rearranged`)."""
        own = self.end_array - self.start_array
        return int((self.place_array + np.maximum(own, self.column("lengths"))).max(initial=0))

    @property
    def is_untouched(self) -> bool:
        """Whether every slice sounds as it was recorded, where it was."""
        return not self.is_shaped and self.starts == self.places

    @property
    def is_toned(self) -> NDArray[np.bool_]:
        """Which sound in another tone than recorded."""
        toned = np.zeros(len(self), np.bool_)
        for name in TONE.values():
            if getattr(self, name):
                toned |= self.column(name) != self.shaped[name].usual
        return toned

    def tone_at(self, at: int) -> Tone:
        return Tone(**{name: float(self.column(column)[at]) for name, column in TONE.items()})

    def with_more(self, others: "Slices", at: Sequence[int], places: Sequence[int]) -> "Slices":
        """With slices of the same recording laid at other places: copies, with ids of their own.

        As many as a take holds; the rest is left out.
        """
        first = self.next_id
        at = list(at)[: max(0, min(MOST_SLICES - len(self), HIGHEST_SLICE - first))]
        places = list(places)[: len(at)]
        if not at:
            return self
        ids = tuple(range(first, first + len(at)))
        columns = {}
        for name in self.shaped:
            ours, theirs = getattr(self, name), getattr(others, name)
            if ours or theirs:
                more = others.column(name)[list(at)].tolist()
                columns[name] = (*self.column(name).tolist(), *more)
        rolls, scatters = self.rolls, self.scatters
        if others is not self:
            for name, own, table in (
                ("rolled", rolls, others.rolls),
                ("scattered", scatters, others.scatters),
            ):
                if name in columns:
                    old, new = columns[name][: len(self)], columns[name][len(self) :]
                    columns[name] = (*old, *(each and each + len(own) for each in new))
                if name == "rolled":
                    rolls = (*own, *table)
                else:
                    scatters = (*own, *table)
        columns |= {
            "ids": (*self.ids, *ids),
            "starts": (*self.starts, *(others.starts[each] for each in at)),
            "ends": (*self.ends, *(others.ends[each] for each in at)),
            "places": (*self.places, *places),
            "copies": (*self.copies, *ids),
        }
        more = self.in_order(columns, rolls=rolls, scatters=scatters, next_id=first + len(at))
        return more if others is self else more.swept("rolls").swept("scatters")

    def with_cut(self, at: int, by: int) -> "Slices":
        """With one cut in two, `by` frames into it; both are shaped as it was."""
        new, columns = self.next_id, {}
        if len(self) >= MOST_SLICES or new >= HIGHEST_SLICE:
            return self
        for name in self.names():
            column = getattr(self, name)
            columns[name] = (*column[: at + 1], *column[at : at + 1], *column[at + 1 :])

        def put(name: str, place: int, value: int) -> None:
            columns[name] = (*columns[name][:place], value, *columns[name][place + 1 :])

        put("ids", at + 1, new)
        put("copies", at + 1, new if self.copies[at] else 0)
        put("starts", at + 1, self.starts[at] + by)
        put("ends", at, self.starts[at] + by)
        put("places", at + 1, self.places[at] + by)
        return self.in_order(columns, next_id=new + 1)

    def in_table(self, name: str, value: Roll | Scatter) -> tuple["Slices", int]:
        """With a roll or a scatter in the table of such, and the number by which slices name it."""
        table = getattr(self, name)
        if value in table:
            return self, table.index(value) + 1
        kept = self.swept(name)
        table = (*getattr(kept, name)[: MOST_TABLE - 1], value)
        return msgspec.structs.replace(kept, **{name: table}), len(table)

    def swept(self, name: str) -> "Slices":
        """Without the entries of a table that no slice names, or that stand in it twice."""
        column = {"rolls": "rolled", "scatters": "scattered"}[name]
        old, values = getattr(self, name), getattr(self, column)
        table = tuple(dict.fromkeys(old[each - 1] for each in values if each))[:MOST_TABLE]
        numbers = {each: number for number, each in enumerate(table, 1)}
        renamed = tuple(numbers.get(old[each - 1], len(table)) if each else 0 for each in values)
        return msgspec.structs.replace(self, **{name: table, column: renamed})


@by_identity(64)
def _highest(ids: tuple[int, ...]) -> int:
    """The highest id; ValueError where one stands twice."""
    if len(set(ids)) != len(ids):
        raise ValueError("ids of slices must be unique and below next_id")
    return max(ids, default=0)


@by_identity(64)
def _are_own(copies: tuple[int, ...], ids: tuple[int, ...]) -> bool:
    return all(copy in {0, own} for copy, own in zip(copies, ids, strict=True))


@by_identity(64)
def _rise(starts: tuple[int, ...], ends: tuple[int, ...]) -> bool:
    return all(end > start for start, end in zip(starts, ends, strict=True))


Slices.shaped = columns_of(
    Slices,
    (
        Column(
            "loudness",
            tr("Loudness"),
            Unit.DECIBELS,
            step=1.0,
            slid=SlideRange(-24, 12, 0.5),
            shown=SlideRange(-24, 12, 0.5),
            marks=(-18, -12, -6, 6),
            short=tr("loud"),
        ),
        Column(
            "pans",
            tr("Pan"),
            Unit.SIDES,
            step=0.1,
            slid=SlideRange(-1, 1, 0.01),
            shown=SlideRange(-1, 1, 0.05),
            marks=(-0.5, 0.5),
            key="pan",
            short=tr("pan"),
        ),
        Column(
            "semitones",
            tr("Pitch"),
            Unit.SEMITONES,
            step=1.0,
            slid=SlideRange(-24, 24, 1),
            shown=SlideRange(-12, 12, 1),
            marks=(-7, 7),
            key="pitch",
            short=tr("pitch"),
        ),
        Column("by_tape"),
        Column("reversed"),
        Column(
            "tilts",
            tr("Tone"),
            Unit.TILT,
            step=1.0,
            slid=SlideRange(-12, 12, 1),
            shown=SlideRange(-12, 12, 1),
            marks=(-6, 6),
            key="tilt",
            short=tr("tilt"),
        ),
        Column(
            "cutoffs",
            tr("Cutoff"),
            Unit.HERTZ,
            NO_CUTOFF,
            step=500.0,
            slid=SlideRange(LEAST_CUTOFF, NO_CUTOFF, 1),
            shown=SlideRange(LEAST_CUTOFF, NO_CUTOFF, 1),
            marks=(200, 1000, 5000),
            key="cutoff",
            short=tr("cutoff"),
        ),
        Column(
            "fade_ins",
            tr("Fade in"),
            Unit.MILLISECONDS,
            step=5.0,
            slid=SlideRange(0, 500, 1),
            shown=SlideRange(0, 200, 5),
            marks=(50, 100, 150),
            key="fade in",
            short=tr("in"),
            is_rare=True,
        ),
        Column(
            "fade_outs",
            tr("Fade out"),
            Unit.MILLISECONDS,
            step=5.0,
            slid=SlideRange(0, 1000, 1),
            shown=SlideRange(0, 400, 5),
            marks=(100, 200, 300),
            key="fade out",
            short=tr("out"),
            is_rare=True,
        ),
        Column(
            "offsets",
            tr("Start offset"),
            Unit.SECONDS,
            step=0.005,
            slid=SlideRange(0, 0.3, 0.001),
            shown=SlideRange(0, 0.2, 0.005),
            marks=(0.05, 0.1, 0.15),
            key="start",
            short=tr("start"),
            is_rare=True,
            in_frames=True,
        ),
        Column(
            "lengths",
            tr("Length"),
            Unit.SECONDS,
            step=0.01,
            slid=SlideRange(0, 2, 0.005),
            shown=SlideRange(0, 1, 0.01),
            marks=(0.25, 0.5, 0.75),
            key="length",
            short=tr("length"),
            is_rare=True,
            in_frames=True,
        ),
        Column("lengthened"),
        Column("rolled"),
        Column("scattered"),
    ),
)
TONE = {"tilt": "tilts", "cutoff": "cutoffs"}
"""Columns of what a tone is made of."""
VALUES = {each.key: each for each in Slices.shaped.values() if each.shown is not None}
"""Columns that lanes, sliders and keys change, by what these call them."""


def slices_at(cuts: Sequence[int], span: tuple[int, int]) -> Slices:
    """A span of a recording cut at frames of it, each part where it was."""
    edges = [span[0], *sorted({cut for cut in cuts if span[0] < cut < span[1]}), span[1]]
    starts, ends = tuple(edges[:-1]), tuple(edges[1:])
    count = len(starts)
    return Slices(span, tuple(range(1, count + 1)), starts, ends, starts, (0,) * count, next_id=count + 1)


def draw(seed: int, ids: Frames, kind: int, lean: float) -> NDArray[np.float64]:
    """For each id a number from -1 to 1, the same on every machine: sums and products only.

    SplitMix64 (Steele, Lea, Flood 2014) of seed, id and kind; three of its numbers added up, so that most
    are near the middle. `lean` takes from one side what it gives to the other.
    """
    total = np.zeros(len(ids))
    for number in range(3):
        total += mixed((seed * 8 + kind) * 4 + number, ids)
    drawn = total * (2 / 3) - 1.0
    return (1.0 - abs(lean)) * drawn + lean * np.abs(drawn)


def mixed(seed: int, ids: Frames) -> NDArray[np.float64]:
    """For each id a number from 0 up to 1, each as likely as any other."""
    with np.errstate(over="ignore"):
        state = ids.astype(np.uint64) * np.uint64(0x9E3779B97F4A7C15)
        state += np.uint64(seed % (1 << 64)) * np.uint64(0xD1B54A32D192ED03)
        state = (state ^ (state >> np.uint64(30))) * np.uint64(0xBF58476D1CE4E5B9)
        state = (state ^ (state >> np.uint64(27))) * np.uint64(0x94D049BB133111EB)
        state ^= state >> np.uint64(31)
    return (state >> np.uint64(11)).astype(np.float64) * 2.0**-53
