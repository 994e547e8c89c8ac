"""Patterns: steps that play the slices of a kit, round after round; columns, like onsets."""

from collections.abc import Iterable, Mapping, Sequence
from itertools import pairwise
from typing import Annotated, Any

import msgspec
import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.session.kits import KitId
from chronotome.session.limits import Id, Name
from chronotome.session.memo import by_identity
from chronotome.session.slices import Loudness, Pan, Semitones, mixed
from chronotome.units import Frames

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

PLACED = ("ids", "slices", "places")
SHAPED = ("lengths", "loudness", "pans", "semitones", "chances", "repeats", "slopes", "everys", "turns")
USUAL: dict[str, float] = dict.fromkeys(SHAPED, 0.0) | {"chances": 1.0, "repeats": 1, "everys": 1}
WHOLE = frozenset({"ids", "slices", "repeats", "everys", "turns"})
"""Columns of whole numbers."""


class Pattern(Struct, frozen=True, dict=True):
    """Steps of a kit: columns, one entry per step, in the order of their places.

    Invariants: columns of equal length, those of shape may be empty: as usual. `places` are quarter notes
    from the pattern's start, below `beats`; they need not lie on a grid: what was played in is kept as
    played. Ids are unique and below `next_id`.
    """

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
        lengths = {len(getattr(self, name)) for name in PLACED}
        lengths |= {len(getattr(self, name)) for name in SHAPED if getattr(self, name)}
        if len(lengths) != 1:
            raise ValueError(f"columns of steps must be of one length, are {sorted(lengths)}")
        if any(after < before for before, after in pairwise(self.places)):
            raise ValueError("steps must be in the order of their places")
        if self.places and self.places[-1] >= self.beats:
            raise ValueError("a step must lie within its pattern")
        if len(set(self.ids)) < len(self.ids) or max(self.ids, default=0) >= self.next_id:
            raise ValueError("ids of steps must be unique and below next_id")

    def __len__(self) -> int:
        return len(self.ids)

    def column(self, name: str) -> NDArray[Any]:
        """A column as an array, with what is usual where it is empty."""
        values = getattr(self, name)
        kind = np.int64 if name in WHOLE else np.float64
        return _array(values, kind) if values else np.full(len(self), USUAL.get(name, 0), kind)

    def at(self, ids: Iterable[StepId]) -> list[int]:
        """Where steps stand in the columns, in their order; those that are not there are left out."""
        wanted = set(ids)
        return [place for place, each in enumerate(self.ids) if each in wanted]

    def with_values(self, name: str, at: Sequence[int], values: Sequence[Any]) -> "Pattern":
        """With other values in a column; the same object where they are the same."""
        column = self.column(name).tolist()
        before = list(column)
        for place, value in zip(at, values, strict=True):
            column[place] = int(value) if name in WHOLE else float(value)
        if column == before:
            return self
        is_usual = name in SHAPED and all(value == USUAL[name] for value in column)
        return self._in_order({name: () if is_usual else tuple(column)})

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
        for name in SHAPED:
            if getattr(self, name) or name in columns:
                usual = int(USUAL[name]) if name in WHOLE else USUAL[name]
                more = columns.get(name, [usual] * count)[:count]
                new[name] = (*self.column(name).tolist(), *more)
        return self._in_order(new, next_id=first + count)

    def only(self, at: Sequence[int]) -> "Pattern":
        """With the steps at some places of the columns."""
        columns = {}
        for name in (*PLACED, *SHAPED):
            column = getattr(self, name)
            columns[name] = tuple(column[place] for place in at) if column else ()
        return msgspec.structs.replace(self, **columns)

    def without(self, ids: Iterable[StepId]) -> "Pattern":
        gone = set(self.at(ids))
        return self if not gone else self.only([at for at in range(len(self)) if at not in gone])

    def with_beats(self, beats: float) -> "Pattern":
        """Of another length; what lies beyond its end is no longer there."""
        beats = min(LONGEST_PATTERN, max(SHORTEST_PATTERN, float(beats)))
        inside = [at for at, place in enumerate(self.places) if place < beats]
        kept = self if len(inside) == len(self) else self.only(inside)
        return msgspec.structs.replace(kept, beats=beats)

    def _in_order(self, columns: dict[str, tuple[Any, ...]], **values: Any) -> "Pattern":
        places = columns.get("places")
        if places is not None and any(after < before for before, after in pairwise(places)):
            order = np.argsort(np.array(places), kind="stable").tolist()
            whole = {name: columns.get(name, getattr(self, name)) for name in (*PLACED, *SHAPED)}
            columns = {
                name: tuple(column[at] for at in order) if column else () for name, column in whole.items()
            }
        return msgspec.structs.replace(self, **columns, **values)


@by_identity(1024)
def _array(values: tuple[Any, ...], kind: type) -> NDArray[Any]:
    made: NDArray[Any] = np.array(values, kind)
    made.flags.writeable = False
    return made


def chance(seed: int, ids: Frames, rounds: Frames) -> NDArray[np.float64]:
    """For each step and round a number from 0 up to 1, the same on every machine, in any order.

    It depends on nothing but its arguments: what is heard in a bar is what is exported in that bar.
    """
    return mixed(seed, ids * (1 << 24) + rounds % (1 << 24))
