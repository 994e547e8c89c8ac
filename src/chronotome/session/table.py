"""Tables: things in columns, one entry each, in order; and what a column is, told once.

A property of hits or steps is a field of its table (which says how it is kept and between what it lies) and a
`Column` (which says how it is called, shown and stepped). Files, lanes, sliders, keys and edits read both.
"""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from enum import Enum, auto
from functools import lru_cache
from itertools import pairwise
from typing import Any, ClassVar, NamedTuple, Self, get_args, get_type_hints

import msgspec
import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.session.memo import by_identity


class Unit(Enum):
    """What the numbers of a column are: how they are written and slid is up to the screen."""

    NUMBER = auto()
    DECIBELS = auto()
    SIDES = auto()
    """-1 left to 1 right."""
    SEMITONES = auto()
    TILT = auto()
    """dB from dark to bright."""
    MILLISECONDS = auto()
    SECONDS = auto()
    HERTZ = auto()
    """Of a low-pass; the most is off."""
    BEATS = auto()
    """Quarter notes; 0: as long as the sound is."""
    SHARE = auto()
    TIMES = auto()


class SlideRange(NamedTuple):
    """From the foot to the top of a lane, or of a slider, and what it snaps to."""

    low: float
    high: float
    snap: float


WHOLE = SlideRange(0.0, 1.0, 1.0)


@dataclass(frozen=True)
class Column:
    """A property of everything in a table. `least` and `most` come from the type of its field."""

    name: str
    """Of the field, in code and in files."""
    label: str = ""
    """On screen."""
    unit: Unit = Unit.NUMBER
    usual: float = 0.0
    """What an empty column means."""
    step: float = 1.0
    """By which a key changes it."""
    slid: SlideRange = WHOLE
    shown: SlideRange | None = None
    """None: no lane shows it."""
    marks: tuple[float, ...] = ()
    """Values that lines are drawn at in a lane."""
    key: str = ""
    """What actions call it; its name, where nothing is said."""
    short: str = ""
    """On the button of a lane."""
    is_rare: bool = False
    """Whether the tray keeps it folded."""
    in_frames: bool = False
    """Kept as frames of the recording, shown as seconds."""
    least: float = 0.0
    most: float = 0.0
    kind: type = float

    def stepped(self, value: float, steps: int) -> float:
        """A value some steps on: of what is heard by octaves, sixths of an octave."""
        return value * 2 ** (steps / 6) if self.unit is Unit.HERTZ else value + steps * self.step

    def held(self, value: float) -> float:
        return min(self.most, max(self.least, value))


def columns_of(table: type["Table"], told: Iterable[Column]) -> dict[str, Column]:
    """The columns of a table by name, with kind and bounds as its fields have them."""
    hints, found = get_type_hints(table, include_extras=True), dict[str, Column]()
    for column in told:
        kind, least, most = _bounds(get_args(hints[column.name])[0])
        found[column.name] = replace(column, key=column.key or column.name, least=least, most=most, kind=kind)
    return found


def _bounds(hint: Any) -> tuple[type, float, float]:
    """Kind, least and most of what a column holds."""
    kind, *more = get_args(hint) or (hint,)
    metas = [each for each in more if isinstance(each, Meta)]
    least = max((float(each.ge) for each in metas if each.ge is not None), default=0.0)
    ends = [float(each.le) for each in metas if each.le is not None]
    ends += [float(each.lt) - 1 for each in metas if each.lt is not None]
    return kind, least, min(ends, default=1.0)


class Table(Struct, frozen=True, dict=True):
    """Columns of equal length in the order of `places`; those of shape may be empty: as usual.

    A table names its `placed` columns, which are always there, and tells of its `shaped` ones.
    """

    placed: ClassVar[tuple[str, ...]] = ()
    shaped: ClassVar[dict[str, Column]] = {}
    whole: ClassVar[frozenset[str]] = frozenset()
    """Placed columns of whole numbers."""

    @property
    def ids(self) -> tuple[int, ...]:
        """A number for each, never used twice; a table has them as a field."""
        return ()

    @classmethod
    def names(cls) -> tuple[str, ...]:
        """All columns, in the order in which files have them."""
        return (*cls.placed, *cls.shaped)

    def check_columns(self, what: str) -> None:
        """Raise ValueError where they are not of one length, or not in order."""
        lengths = {len(getattr(self, name)) for name in self.placed}
        lengths |= {len(getattr(self, name)) for name in self.shaped if getattr(self, name)}
        if len(lengths) != 1:
            raise ValueError(f"columns of {what} must be of one length, are {sorted(lengths)}")
        if (np.diff(self.column("places")) < 0).any():
            raise ValueError(f"{what} must be in the order of their places")

    def __len__(self) -> int:
        return len(self.ids)

    def column(self, name: str) -> NDArray[Any]:
        """A column as an array, with what is usual where it is empty."""
        values, column = getattr(self, name), self.shaped.get(name)
        kind = column.kind if column is not None else int if name in self.whole else float
        if values:
            return _array(values, kind)
        return _usual(len(self), kind, 0.0 if column is None else column.usual)

    def at(self, ids: Iterable[int]) -> list[int]:
        """Where things stand in the columns, in their order; those that are not there are left out."""
        known = _places(self.ids)
        return sorted(known[each] for each in ids if each in known)

    def with_values(self, name: str, at: Sequence[int], values: Sequence[Any]) -> Self:
        """With other values in a column; the same object where they are the same."""
        old, places = self.column(name), np.array(at, np.int64)
        wanted = np.array(values, old.dtype)
        if np.array_equal(old[places], wanted):
            return self
        values = list(getattr(self, name) or old.tolist())
        for place, value in zip(places.tolist(), wanted.tolist(), strict=True):
            values[place] = value
        column = self.shaped.get(name)
        is_usual = column is not None and all(value == column.usual for value in values)
        return self.in_order({name: () if is_usual else tuple(values)})

    def as_usual(self, at: Sequence[int]) -> Self:
        """With what is usual in every column of shape."""
        made = self
        for name, column in self.shaped.items():
            made = made.with_values(name, at, [column.usual] * len(at))
        return made

    @property
    def is_shaped(self) -> bool:
        """Whether anything is otherwise than usual."""
        return any(
            any(value != column.usual for value in getattr(self, name))
            for name, column in self.shaped.items()
        )

    def only(self, at: Sequence[int]) -> Self:
        """What stands at some places of the columns."""
        columns = {name: getattr(self, name) for name in self.names()}
        return msgspec.structs.replace(
            self,
            **{
                name: tuple(column[each] for each in at) if column else () for name, column in columns.items()
            },
        )

    def without(self, at: Iterable[int]) -> Self:
        """All but what stands at some places of the columns."""
        gone = set(at)
        return self if not gone else self.only([each for each in range(len(self)) if each not in gone])

    def in_order(self, columns: Mapping[str, tuple[Any, ...]], **values: Any) -> Self:
        """With other columns, in the order of their places; equal places stay in the order they are in."""
        places = columns.get("places")
        if places is not None and any(after < before for before, after in pairwise(places)):
            order = np.argsort(np.array(places), kind="stable").tolist()
            whole = {name: columns.get(name, getattr(self, name)) for name in self.names()}
            columns = {
                name: tuple(column[at] for at in order) if column else () for name, column in whole.items()
            }
        return msgspec.structs.replace(self, **columns, **values)


@by_identity(1024)
def _array(values: tuple[Any, ...], kind: type) -> NDArray[Any]:
    """Shared by all tables with the very same column: nobody writes into it."""
    made: NDArray[Any] = np.array(values, kind)
    made.flags.writeable = False
    return made


@lru_cache(maxsize=64)
def _usual(count: int, kind: type, usual: float) -> NDArray[Any]:
    made: NDArray[Any] = np.full(count, usual, kind)
    made.flags.writeable = False
    return made


@by_identity(64)
def _places(ids: tuple[int, ...]) -> dict[int, int]:
    return {each: place for place, each in enumerate(ids)}
