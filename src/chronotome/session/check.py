"""What a place to check is: where, what, how much in figures, and how it is put right."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import Protocol, overload

import numpy as np
from numpy.typing import NDArray

from chronotome.session.model import TrackId
from chronotome.session.onsets import OnsetId
from chronotome.units import Frames
from chronotome.words import Named


class Choice(Named):
    """What a person can decide about a hit between two lines."""

    EARLIER = "to the earlier line", "to earlier line"
    LATER = "to the later line", "to later line"
    LEAVE = "leave it as played", "keep as played"


class Kind(Named):
    """What is doubtful about a place."""

    BETWEEN = "between two lines"
    FAR = "moved far"
    INSIDE = "kept inside"
    STRETCHED = "stretched"
    FLAM = "flam with another track"
    LACKS = "locked track lacks it", "not in locked track"
    WRONG_LINE = "not the usual line", "unusual line"
    MISSING = "a hit is missing", "missing hit"
    DOUBLED = "two on one line", "two hits on one line"
    NOISE = "noise"
    JOIN = "join above the proof", "audible join"


OF_MARKS = frozenset({Kind.MISSING, Kind.DOUBLED, Kind.NOISE})
"""What is put right by the onsets themselves: a stage that shows onsets shows these too."""


class Do(Named):
    """What a mend does."""

    MOVE = "move the hit"
    MOVE_OTHER = "move the other track's hit"
    DROP = "drop the mark"
    KEEP = "keep the mark"
    SILENCE = "silence what is before the hit"
    CROSS = "cross over for longer"


@dataclass(frozen=True)
class Fix:
    """One way to put a place right."""

    words: str
    do: Do
    onset: OnsetId
    beat: float = 0.0
    """Where it goes."""
    track: TrackId = 0
    """Whose onset it is, where it is another track's."""
    frames: tuple[int, int] = (0, 0)
    """Of the recording."""


@dataclass(frozen=True)
class Check:
    """A place to listen to: where, what, and how much in figures."""

    onset: OnsetId
    beat: float
    played: int
    title: str
    figure: str
    sentence: str
    earlier: float | None = None
    """The beats of the two lines that it lies between, where that is what is not sure."""
    later: float | None = None
    kind: Kind = Kind.BETWEEN
    mends: tuple[Fix, ...] = ()


class CheckColumns(Protocol):
    """Places of one kind: columns of equal length, and the words of each."""

    @property
    def kind(self) -> Kind: ...
    @property
    def onsets(self) -> NDArray[np.int64]: ...
    @property
    def played(self) -> Frames: ...
    def check(self, number: int) -> Check: ...


@dataclass(frozen=True, eq=False)
class Checks(Sequence[Check]):
    """Places in order of time; the words of each are made when they are read.

    Invariants: columns of equal length.
    """

    kinds: tuple[Kind, ...]
    played: Frames
    onsets: NDArray[np.int64]
    _made: Callable[[int], Check]

    def __len__(self) -> int:
        return len(self.kinds)

    @overload
    def __getitem__(self, at: int) -> Check: ...
    @overload
    def __getitem__(self, at: slice) -> Sequence[Check]: ...
    def __getitem__(self, at: int | slice) -> Check | Sequence[Check]:
        if isinstance(at, slice):
            return [self._made(each) for each in range(*at.indices(len(self)))]
        if not -len(self) <= at < len(self):
            raise IndexError(at)
        return self._made(at % len(self))

    @cached_property
    def of_marks(self) -> tuple[int, ...]:
        """Which of them are about marks rather than about where hits go."""
        return tuple(at for at, kind in enumerate(self.kinds) if kind in OF_MARKS)

    def of_kind(self, kind: Kind | None) -> "Checks":
        """Only those of one kind; None: all."""
        if kind is None:
            return self
        places = [at for at, each in enumerate(self.kinds) if each is kind]
        made = self._made
        return Checks(
            (kind,) * len(places), self.played[places], self.onsets[places], lambda at: made(places[at])
        )

    def of(self, onset: OnsetId | None) -> Check | None:
        """The first place of an onset."""
        if onset is None:
            return None
        found = np.flatnonzero(self.onsets == onset)
        return self[int(found[0])] if len(found) else None


def _no_check(at: int) -> Check:
    raise IndexError(at)


NOTHING = Checks((), np.zeros(0, np.int64), np.zeros(0, np.int64), _no_check)


@dataclass(frozen=True, eq=False)
class CheckGroup:
    """Places of one kind, with their words made beforehand: there are few of them."""

    kind: Kind
    checks: tuple[Check, ...]

    @cached_property
    def onsets(self) -> NDArray[np.int64]:
        return np.array([check.onset for check in self.checks], np.int64)

    @cached_property
    def played(self) -> Frames:
        return np.array([check.played for check in self.checks], np.int64)

    def check(self, number: int) -> Check:
        return self.checks[number]
