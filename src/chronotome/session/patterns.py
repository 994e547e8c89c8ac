"""Patterns: steps that play the slices of a kit, round after round; columns, like onsets."""

from collections.abc import Mapping, Sequence
from dataclasses import replace
from typing import Annotated, Any

import msgspec
import numpy as np
from msgspec import Meta
from numpy.typing import NDArray

from chronotome.session.kits import KitId
from chronotome.session.limits import Id, Name
from chronotome.session.slices import Loudness, Pan, Semitones, Slices, mixed
from chronotome.session.table import Column, SlideRange, Table, Unit, columns_of
from chronotome.units import Frames
from chronotome.words import tr

PatternId = Id
StepId = Id
MOST_STEPS = 20_000
"""Of one pattern."""
HIGHEST_STEP = 1 << 22
"""Ids of steps are below it: those of their hits are made of round and step."""
MOST_PATTERNS = 500
MOST_REPEATS = 8
MOST_EVERY = 16
SHORTEST_PATTERN, LONGEST_PATTERN = 0.25, 4096.0

Beats = Annotated[float, Meta(ge=0.0, le=LONGEST_PATTERN)]


class Pattern(Table, frozen=True, dict=True):
    """Steps of a kit: a table with one entry per step, in the order of their places.

    Invariants: columns of equal length, those of shape may be empty: as usual. `places` are quarter notes
    from the pattern's start, below `beats`; they need not lie on a grid: what was played in is kept as
    played. Ids are unique and below `next_id`.
    """

    placed = ("ids", "slices", "places")
    whole = frozenset({"ids", "slices"})
    id: PatternId
    name: Name
    kit: KitId
    beats: Annotated[float, Meta(ge=SHORTEST_PATTERN, le=LONGEST_PATTERN)] = 4.0
    """Quarter notes of one round."""
    upbeat: Beats = 0.0
    """Quarter notes from its start to its first bar line."""
    seed: Annotated[int, Meta(ge=0, le=1 << 31)] = 1
    """What chance draws by."""
    ids: Annotated[tuple[StepId, ...], Meta(max_length=MOST_STEPS)] = ()
    slices: tuple[Id, ...] = ()
    places: tuple[Beats, ...] = ()
    lengths: tuple[Beats, ...] = ()
    """Quarter notes that it sounds; 0: as long as its slice is."""
    loudness: tuple[Loudness, ...] = ()
    pans: tuple[Pan, ...] = ()
    semitones: tuple[Semitones, ...] = ()
    chances: tuple[Annotated[float, Meta(ge=0.0, le=1.0)], ...] = ()
    """How likely it sounds in a round."""
    repeats: tuple[Annotated[int, Meta(ge=1, le=MOST_REPEATS)], ...] = ()
    """How many times it sounds within its length."""
    slopes: tuple[Annotated[float, Meta(ge=-60.0, le=60.0)], ...] = ()
    """dB by which the last repeat is louder than the first."""
    everys: tuple[Annotated[int, Meta(ge=1, le=MOST_EVERY)], ...] = ()
    """It sounds in one of so many rounds: in the first of them, or `turns` later."""
    turns: tuple[Annotated[int, Meta(ge=0, lt=MOST_EVERY)], ...] = ()
    next_id: Annotated[int, Meta(ge=1, le=HIGHEST_STEP)] = 1

    def __post_init__(self) -> None:
        self.check_columns("steps")
        if self.places and self.places[-1] >= self.beats:
            raise ValueError("a step must lie within its pattern")
        if len(set(self.ids)) < len(self.ids) or max(self.ids, default=0) >= self.next_id:
            raise ValueError("ids of steps must be unique and below next_id")

    def with_steps(self, columns: Mapping[str, Sequence[Any]]) -> "Pattern":
        """With more steps, given by `slices`, `places` and whatever is not usual; as many as it holds."""
        room = min(MOST_STEPS - len(self), HIGHEST_STEP - self.next_id)
        count = min(len(columns["places"]), max(0, room))
        if not count:
            return self
        first = self.next_id
        new: dict[str, tuple[Any, ...]] = {"ids": (*self.ids, *range(first, first + count))}
        for name in ("slices", "places"):
            new[name] = (*getattr(self, name), *columns[name][:count])
        for name, column in self.shaped.items():
            if getattr(self, name) or name in columns:
                more = columns.get(name, [column.kind(column.usual)] * count)[:count]
                new[name] = (*self.column(name).tolist(), *more)
        return self.in_order(new, next_id=first + count)

    def with_beats(self, beats: float) -> "Pattern":
        """Of another length; what lies beyond its end is no longer there."""
        beats = min(LONGEST_PATTERN, max(SHORTEST_PATTERN, float(beats)))
        inside = [at for at, place in enumerate(self.places) if place < beats]
        kept = self if len(inside) == len(self) else self.only(inside)
        return msgspec.structs.replace(kept, beats=beats)


_LOUDNESS, _PANS, _SEMITONES = (Slices.shaped[name] for name in ("loudness", "pans", "semitones"))
Pattern.shaped = columns_of(
    Pattern,
    (
        replace(_LOUDNESS, marks=(-12, 6)),
        replace(_PANS, key=""),
        replace(_SEMITONES, key=""),
        Column(
            "lengths",
            tr("Length"),
            Unit.BEATS,
            step=0.125,
            slid=SlideRange(0, 4, 0.0625),
            shown=SlideRange(0, 2, 0.0625),
            marks=(0.5, 1, 1.5),
            short=tr("length"),
        ),
        Column(
            "chances",
            tr("Chance"),
            Unit.SHARE,
            1.0,
            step=0.1,
            slid=SlideRange(0, 1, 0.05),
            shown=SlideRange(0, 1, 0.05),
            marks=(0.5,),
            short=tr("chance"),
        ),
        Column(
            "repeats",
            tr("Repeats"),
            Unit.TIMES,
            1,
            step=1,
            slid=SlideRange(1, 8, 1),
            shown=SlideRange(1, 8, 1),
            marks=(4,),
            short=tr("repeats"),
        ),
        Column("slopes", tr("Repeat ramp"), Unit.DECIBELS, slid=SlideRange(-24, 24, 1)),
        Column("everys", tr("Cycles"), Unit.NUMBER, 1),
        Column("turns", tr("Cycle offset"), Unit.NUMBER),
    ),
)


def chance(seed: int, ids: Frames, rounds: Frames) -> NDArray[np.float64]:
    """For each step and round a number from 0 up to 1, the same on every machine, in any order.

    It depends on nothing but its arguments: what is heard in a bar is what is exported in that bar.
    """
    return mixed(seed, ids * (1 << 24) + rounds % (1 << 24))
