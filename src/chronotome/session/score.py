"""What sounds where, as rows: the one thing that drawing, checking and rendering read."""

from dataclasses import dataclass
from functools import cached_property, lru_cache
from itertools import count
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.engines import EngineName
from chronotome.dsp.stretch.segment import PLAIN, Shape
from chronotome.dsp.tone import AS_RECORDED
from chronotome.session.limits import ContentHash
from chronotome.units import Frames

MOST_SHAPES = 400_000
Together = tuple[tuple[ContentHash, int], ...]
"""Recordings rendered as one, each with its distance in frames from the one at hand; empty: alone."""


NO_HIT = -1
"""Where a row begins at no onset: at an edge, at a beat, at a faint attack."""


@dataclass(frozen=True, eq=False)
class Score:
    """What sounds where: one row a span of a recording; where it `joins`, the next goes on where it ends.

    Invariants: columns of equal length, one row or more, in the order in which they are heard; `end` is past
    `start`, `length` is 1 or more; frames at the session's `rate`, source frames in `start` and `end`,
    session frames in `heard`.
    """

    rate: int
    engine: EngineName
    recordings: tuple[ContentHash, ...]
    recording: Frames
    """Which of the recordings."""
    start: Frames
    end: Frames
    heard: Frames
    length: Frames
    onset: Frames
    """The id of the hit that it begins with, or `NO_HIT`."""
    gains: NDArray[np.float64]
    """(rows, 2): left and right, times those of clip and track; where it joins, it leads to the next."""
    semitones: NDArray[np.float64]
    is_reversed: NDArray[np.bool_]
    rises: Frames
    """(rows, 2): session frames between which it comes in, as `falls` where it goes out; alike: at once."""
    falls: Frames
    joins: NDArray[np.bool_]
    """Where True nothing is between this row and the next: its end leads into the attack that follows."""
    together: Together = ()
    shapes: tuple[Shape, ...] = ()
    """What each is between its ends; empty: nothing in particular."""
    keeps_formants: bool = False
    """Whether what is at another pitch keeps its colour."""
    ending: NDArray[np.float64] | None = None
    """(rows, 2): how loud each is at its end; None: as the next one where it joins."""

    def __len__(self) -> int:
        return len(self.start)

    @cached_property
    def until(self) -> Frames:
        """Session frame at which all rows up to each have ended; rises, also where rows overlap."""
        return np.maximum.accumulate(self.heard + self.length)

    @cached_property
    def overlaps(self) -> bool:
        """Whether a row begins before one of those before it has ended."""
        return bool((self.heard[1:] < self.until[:-1]).any())

    @cached_property
    def is_plain(self) -> bool:
        """Whether no row comes in or goes out by itself."""
        if self.rises is self.falls is _usual(len(self)).edges:
            return True
        return not self.has_edges.any()

    @cached_property
    def has_edges(self) -> NDArray[np.bool_]:
        """Which rows come in or go out by themselves."""
        return np.asarray((self.rises[:, 1] > self.rises[:, 0]) | (self.falls[:, 1] > self.falls[:, 0]))

    @cached_property
    def is_even(self) -> bool:
        """Whether every row is as loud as it was played."""
        return self.gains is _usual(len(self)).gains or bool((self.gains == 1.0).all())

    @cached_property
    def gains_at_end(self) -> NDArray[np.float64]:
        """(rows, 2): how loud each is at its end: as the next one where it joins."""
        if self.ending is not None:
            return self.ending
        following = np.concatenate([self.gains[1:], self.gains[-1:]])
        return np.where(self.joins[:, None], following, self.gains)

    @cached_property
    def as_recorded(self) -> NDArray[np.bool_]:
        """True for each row that is the very frames of its recording."""
        same = (self.length == self.end - self.start) & ~self.is_reversed
        if self.shapes:
            same &= np.array(
                [
                    not (shape.bends or shape.hushed or any(shape.shifts) or shape.band)
                    and shape.tone == AS_RECORDED
                    for shape in self.shapes
                ]
            )
        return np.asarray(same & (self.semitones == 0.0))

    @cached_property
    def shape(self) -> Frames:
        """A number for each shape; equal ones have the same."""
        if not self.shapes:
            return _usual(len(self)).nothing
        known = {id(shape): 0 if shape == PLAIN else _number_of(shape) for shape in self.shapes}
        return np.array([known[id(shape)] for shape in self.shapes], np.int64)

    @cached_property
    def _by_start(self) -> Frames | None:
        """The order of source frames; None where rows are in it."""
        rises = len(self) < 2 or bool((np.diff(self.start) > 0).all())
        return None if rises else np.argsort(self.start, kind="stable")

    def same_rows(self, other: "Score") -> Frames:
        """For each row, which row of another score sounds alike, but for place and loudness; -1 for none."""
        mine, theirs = (
            (each.rate, each.engine, each.recordings, each.together, each.keeps_formants)
            for each in (self, other)
        )
        if mine != theirs:
            return np.full(len(self), -1)
        columns = ("start", "end", "length", "joins", "recording", "semitones", "is_reversed", "shape")
        if len(self) == len(other) and np.array_equal(self.start, other.start):  # a hit was moved
            alike = np.ones(len(self), np.bool_)
            for name in columns[1:]:
                alike &= getattr(other, name) == getattr(self, name)
            return np.where(alike, np.arange(len(self)), -1)
        order = other._by_start  # noqa: SLF001 - another of these
        starts = other.start if order is None else other.start[order]
        at = np.minimum(starts.searchsorted(self.start), len(other) - 1)
        at = at if order is None else order[at]
        same = np.ones(len(self), np.bool_)
        for name in columns:
            same &= getattr(other, name)[at] == getattr(self, name)
        return np.where(same, at, -1)


_numbers: dict[Shape, int] = {}
_next = count(1)


def _number_of(shape: Shape) -> int:
    """One number for equal shapes, and for no others; a hash is none (that of -1.0 is that of -2.0).

    What is forgotten, of very many, gets another number: it is then found to be new, never to be the same.
    """
    if len(_numbers) > MOST_SHAPES:
        _numbers.clear()
    return _numbers.setdefault(shape, next(_next))


def joined(  # noqa: PLR0917 - what all rows have in common, and both columns of anchors
    content: ContentHash,
    rate: int,
    engine: EngineName,
    source: Frames,
    heard: Frames,
    together: Together = (),
    shapes: tuple[Shape, ...] = (),
) -> Score:
    """Rows between anchors, each going on in the next; the last rings out."""
    count = len(source) - 1
    usual = _usual(count)
    return Score(
        rate,
        engine,
        (content,),
        usual.nothing,
        source[:-1],
        source[1:],
        heard[:-1],
        np.diff(heard),
        np.full(count, NO_HIT),
        usual.gains,
        usual.semitones,
        usual.is_reversed,
        usual.edges,
        usual.edges,
        usual.joins,
        together,
        shapes,
    )


class _Usual(NamedTuple):
    """Columns of a take that nothing was done to, shared by all scores that are as long."""

    nothing: Frames
    gains: NDArray[np.float64]
    semitones: NDArray[np.float64]
    is_reversed: NDArray[np.bool_]
    edges: Frames
    joins: NDArray[np.bool_]


@lru_cache(maxsize=256)
def _usual(count: int) -> _Usual:
    joins = np.ones(count, np.bool_)
    joins[-1] = False
    made = _Usual(
        np.zeros(count, np.int64),
        np.ones((count, 2)),
        np.zeros(count),
        np.zeros(count, np.bool_),
        np.zeros((count, 2), np.int64),
        joins,
    )
    for column in made:
        column.setflags(write=False)
    return made


def mirrored(score: Score, axis: int) -> Score:
    """The same sound from its end to its start: what was heard at a frame is heard at `axis` less that."""
    turned = axis - score.heard - score.length
    order = np.argsort(turned, kind="stable")
    return Score(
        score.rate,
        score.engine,
        score.recordings,
        score.recording[order],
        score.start[order],
        score.end[order],
        turned[order],
        score.length[order],
        score.onset[order],
        score.gains[order],
        score.semitones[order],
        ~score.is_reversed[order],
        axis - score.falls[order, ::-1],
        axis - score.rises[order, ::-1],
        score.joins[order],
        score.together,
        tuple(score.shapes[at] for at in order.tolist()) if score.shapes else (),
        score.keeps_formants,
        None if score.ending is None else score.ending[order],
    )
