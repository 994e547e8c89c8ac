"""Onsets that are one hit to the player: flams, drags, rattles."""

from collections.abc import Iterator
from dataclasses import dataclass
from functools import cached_property
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.units import Frames

USUAL_STROKE = 40.0
"""Milliseconds from an onset within which another one is the same stroke."""
BEFORE = 1.2
"""Of that: a grace note leads its stroke from farther away than a rattle follows one."""
AS_LOUD = 1.5
"""Decibels nearer than that are equal: which of the two is the grace note, nobody hears."""
SHARE_OF_STEP = 0.75
"""Of a grid step: at fast grids two neighbours that belong to two lines are two strokes."""
LONGEST = 1.75
"""Strokes of a drag come one after another: so many times as far from the loudest all together."""


@dataclass(frozen=True, eq=False)
class Strokes:
    """Onsets grouped.

    Invariants: `of[k]` is the stroke of onset k and never falls; `leaders` are onsets, one a stroke, rising.
    """

    of: NDArray[np.int64]
    leaders: NDArray[np.int64]

    def __len__(self) -> int:
        return len(self.leaders)

    @cached_property
    def firsts(self) -> NDArray[np.int64]:
        """The first onset of each stroke."""
        return np.flatnonzero(np.diff(self.of, prepend=-1))

    @property
    def leads(self) -> NDArray[np.bool_]:
        found = np.zeros(len(self.of), bool)
        found[self.leaders] = True
        return found


def strokes_of(frames: Frames, loudness: NDArray[np.float64], within: float) -> Strokes:
    """Group sorted frames: the loudest first takes its neighbours, each within so many frames of the next.

    `loudness` is in dB. Of equally loud ones the earlier leads.
    """
    count = len(frames)
    close = np.diff(frames) <= BEFORE * within
    if not close.any():
        every = np.arange(count)
        return Strokes(every, every)
    starts = np.flatnonzero(np.concatenate([[True], ~close]))
    ends = np.append(starts[1:], count)
    sizes = ends - starts
    first, leads = np.ones(count, bool), np.ones(count, bool)
    pairs = starts[sizes == 2]
    later = loudness[pairs + 1] > loudness[pairs]
    as_loud = loudness[pairs + 1] > loudness[pairs] - AS_LOUD
    joined = as_loud | (frames[pairs + 1] - frames[pairs] <= within)
    first[pairs[joined] + 1] = False
    leads[pairs[joined] + ~later[joined]] = False
    for start, end in zip(starts[sizes > 2].tolist(), ends[sizes > 2].tolist(), strict=True):
        leads[start:end] = False
        for group in _groups(frames[start:end].tolist(), loudness[start:end], within):
            leads[start + group.leader] = True
            first[start + group.start + 1 : start + group.end] = False
    return Strokes(np.cumsum(first) - 1, np.flatnonzero(leads))


class _Group(NamedTuple):
    leader: int
    start: int
    end: int


def _groups(frames: list[int], loudness: NDArray[np.float64], within: float) -> Iterator[_Group]:
    """The strokes of one crowd, loudest first."""
    free = [True] * len(frames)
    before, after = BEFORE * within, within
    for loudest in np.argsort(-loudness, kind="stable").tolist():
        if not free[loudest]:
            continue
        start, end, at = loudest, loudest + 1, frames[loudest]
        while start and free[start - 1] and frames[start] - frames[start - 1] <= before:
            if at - frames[start - 1] > LONGEST * before:
                break
            start -= 1
        while end < len(frames) and free[end]:
            reach = before if loudness[end] > loudness[loudest] - AS_LOUD else after
            if frames[end] - frames[end - 1] > reach or frames[end] - at > LONGEST * after:
                break
            end += 1
        free[start:end] = [False] * (end - start)
        yield _Group(loudest, start, end)
