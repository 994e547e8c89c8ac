"""What a person should look at: places where the machine is not sure."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from enum import StrEnum
from typing import overload

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import Metre, TempoMap, position_words
from chronotome.session.memo import by_identity
from chronotome.session.model import Session, Take, Track
from chronotome.session.onsets import OnsetId
from chronotome.session.tighten import Reason, Targets, targets_of
from chronotome.units import Frames

DOUBTFUL_SHARE = 0.36
"""Of the distance between two lines: farther from both than this is doubtful."""
MOVED_SECONDS = 0.010


class Choice(StrEnum):
    """What a person can decide about a hit between two lines."""

    EARLIER = "to the earlier line"
    LATER = "to the later line"
    LEAVE = "leave it as played"


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


@dataclass(frozen=True, eq=False)
class Checks(Sequence[Check]):
    """Places in order of time; the words of each are made when they are read.

    Invariants: columns of equal length; `places` are hits among the targets.
    """

    places: NDArray[np.int64]
    played: Frames
    onsets: NDArray[np.int64]
    _made: Callable[[int], Check]

    def __len__(self) -> int:
        return len(self.places)

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

    def of(self, onset: OnsetId | None) -> Check | None:
        """The first place of an onset."""
        if onset is None:
            return None
        found = np.flatnonzero(self.onsets == onset)
        return self[int(found[0])] if len(found) else None


def _no_check(at: int) -> Check:
    raise IndexError(at)


NOTHING = Checks(np.zeros(0, np.int64), np.zeros(0, np.int64), np.zeros(0, np.int64), _no_check)


def checks_of(session: Session, track: Track, take: Take | None = None) -> Checks:
    """Places on a take of a track, the first where none is named, in order of time.

    None on one that is locked to another, and none against a tempo that nobody chose.
    """
    take = take or track.first_take
    if session.guide_of(track.id) != track.id or take is None or not session.is_tempo_set:
        return NOTHING
    return _take_checks(session, track, take)


def _take_checks(session: Session, track: Track, take: Take) -> Checks:
    return _found(targets_of(session, track, take), session.tempo, session.metre, track.bears)


@by_identity(64)
def _found(targets: Targets, tempo: TempoMap, metre: Metre, bears: float) -> Checks:
    between = _Between(targets, tempo, metre)
    stretched = _Stretched(targets, bears)
    places = np.concatenate([between.places, stretched.places])
    kinds = np.repeat([0, 1], [len(between.places), len(stretched.places)])
    order = np.argsort(places, kind="stable")
    places, kinds = places[order], kinds[order]

    def made(at: int) -> Check:
        return (stretched if kinds[at] else between).check(int(places[at]))

    return Checks(places, targets.played[places], targets.onsets[places], made)


class _Between:
    """Strokes far from both lines around them. Those that lead no line are named by why."""

    def __init__(self, targets: Targets, tempo: TempoMap, metre: Metre) -> None:
        self._targets, self._tempo, self._metre = targets, tempo, metre
        apart = np.abs(targets.other - targets.line_beats)
        doubtful = np.flatnonzero(np.abs(targets.fitted_beats - targets.line_beats) >= DOUBTFUL_SHARE * apart)
        judged = (targets.reasons == Reason.GRID) | (targets.reasons == Reason.CARRIED)
        self.places = doubtful[judged[doubtful]]

    def check(self, at: int) -> Check:
        targets, metre = self._targets, self._metre
        line, other = float(targets.line_beats[at]), float(targets.other[at])
        off = float(targets.drift[at])
        rest = float(targets.fitted[at] / targets.rate - self._tempo.seconds_of(other)) * 1000
        here, there = (
            position_words(float(steps[at]), metre) for steps in (targets.steps, targets.other_steps)
        )
        sentence = f"{_side(off)} {here}\nor {_side(rest)} {there}"
        title = "between two lines" if targets.reasons[at] == Reason.GRID else "another hit is nearer"
        figure = f"{abs(off):.0f} ms"
        return _check(targets, at, title, figure, sentence, (min(line, other), max(line, other)))


def _side(drift: float) -> str:
    return f"{abs(drift):.0f} ms {'late' if drift > 0 else 'early'} of"


class _Stretched:
    """Hits whose sound up to the next one is made much longer or shorter."""

    def __init__(self, targets: Targets, bears: float) -> None:
        self._targets, self._bears = targets, bears
        self.places = np.zeros(0, np.int64)
        if len(targets) < 2:
            return
        shifts = np.abs(np.diff(targets.target) - np.diff(targets.fitted))
        moved = np.flatnonzero(shifts > MOVED_SECONDS * targets.rate)
        ratios = self._ratios_of(moved)
        self.places = moved[(ratios > bears) | (ratios < 1 / bears)]

    def _ratios_of(self, at: NDArray[np.int64]) -> NDArray[np.float64]:
        target, played = self._targets.target, self._targets.played
        return np.asarray((target[at + 1] - target[at]) / (played[at + 1] - played[at]), np.float64)

    def check(self, at: int) -> Check:
        ratio = float(self._ratios_of(np.array([at]))[0])
        limit = self._bears if ratio > 1 else 1 / self._bears
        sentence = f"the sound up to the next hit is made ×{ratio:.2f} as long"
        return _check(self._targets, at, f"stretched past {limit:.3g}", f"×{ratio:.2f}", sentence)


def _check(  # noqa: PLR0917 - the words of a check, in their order
    targets: Targets,
    at: int,
    title: str,
    figure: str,
    sentence: str,
    lines: tuple[float | None, float | None] = (None, None),
) -> Check:
    return Check(
        int(targets.onsets[at]),
        float(targets.steps[at]),
        int(targets.played[at]),
        title,
        figure,
        sentence,
        lines[0],
        lines[1],
    )
