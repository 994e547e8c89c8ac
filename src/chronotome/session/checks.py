"""What a person should look at: places where the machine is not sure."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from enum import StrEnum
from typing import overload

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import bar_lines, nearest_lines, position_words
from chronotome.session.memo import by_identity
from chronotome.session.model import Clip, Recording, Session, Track
from chronotome.session.onsets import OnsetId
from chronotome.session.tighten import Reason, Targets, targets_of
from chronotome.units import Frames

DOUBTFUL_SHARE = 0.36
"""Of the distance between two lines: farther from both than this is doubtful."""
MOST_STRETCH, LEAST_STRETCH = 1.25, 0.8
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


def checks_of(session: Session, track: Track) -> Checks:
    """Places on a track, in order of time.

    None on one that is locked to another, and none against a tempo that nobody chose.
    """
    if session.guide_of(track.id) != track.id or not track.clips or not session.is_tempo_set:
        return NOTHING
    return _clip_checks(session, track, track.clips[0])


def _clip_checks(session: Session, track: Track, clip: Clip) -> Checks:
    targets = targets_of(session, track, clip)
    return _found(targets, session, track, session.recording_of(clip))


@by_identity(64)
def _found(targets: Targets, session: Session, track: Track, _recording: Recording) -> Checks:
    between = _Between(targets, session, track)
    stretched = _Stretched(targets, session)
    places = np.concatenate([between.places, stretched.places])
    kinds = np.concatenate([np.zeros(len(between.places), int), np.ones(len(stretched.places), int)])
    order = np.lexsort((kinds, places))
    places, kinds = places[order], kinds[order]

    def made(at: int) -> Check:
        return (stretched if kinds[at] else between).check(int(places[at]))

    return Checks(places, targets.played[places], targets.onsets[places], made)


class _Between:
    """Strokes far from both lines around them. Those that lead no line are named by why."""

    def __init__(self, targets: Targets, session: Session, track: Track) -> None:
        self._targets, self._session, self._settings = targets, session, track.tighten
        lines = np.array(bar_lines(track.tighten.grid, session.metre, track.tighten.swing))
        fitted = session.tempo.beats_at(targets.fitted / session.rate)
        self._drift = fitted - targets.line_beats
        self._steps = _steps(lines, targets.line_beats % session.metre.bar, self._drift > 0)
        judged = (targets.reasons == Reason.GRID) | (targets.reasons == Reason.CARRIED)
        doubtful = judged & (np.abs(self._drift) >= DOUBTFUL_SHARE * self._steps)
        self.places = np.flatnonzero(doubtful)

    def check(self, at: int) -> Check:
        targets, settings, metre = self._targets, self._settings, self._session.metre
        line, drift, step = (float(each[at]) for each in (targets.line_beats, self._drift, self._steps))
        beyond = np.array([line + (step if drift > 0 else -step)])
        other = float(nearest_lines(beyond, settings.grid, metre, settings.swing)[0])
        off = float(targets.drift[at])
        rest = float(targets.fitted[at] / targets.rate - self._session.tempo.seconds_of(other)) * 1000
        sentence = (
            f"{_side(off)} {position_words(line, metre)}\nor {_side(rest)} {position_words(other, metre)}"
        )
        title = "between two lines" if targets.reasons[at] == Reason.GRID else "another hit is nearer"
        figure = f"{abs(off):.0f} ms"
        return _check(targets, at, title, figure, sentence, (min(line, other), max(line, other)))


def _steps(
    lines: NDArray[np.float64], inside: NDArray[np.float64], is_after: NDArray[np.bool_]
) -> NDArray[np.float64]:
    """Distance from each line of the bar to the next one, or to the one before it."""
    gaps = np.diff(lines)
    after = np.clip(np.searchsorted(lines, inside), 1, len(lines) - 1)
    at = np.where(inside - lines[after - 1] <= lines[after] - inside, after - 1, after) % len(gaps)
    return np.where(is_after, gaps[at], gaps[at - 1])


def _side(drift: float) -> str:
    return f"{abs(drift):.0f} ms {'late' if drift > 0 else 'early'} of"


class _Stretched:
    """Hits whose sound up to the next one is made much longer or shorter."""

    def __init__(self, targets: Targets, session: Session) -> None:
        self._targets = targets
        self.places = np.zeros(0, np.int64)
        if len(targets) < 2:
            return
        self._ratios = np.diff(targets.target) / np.diff(targets.played)
        shift = np.abs(np.diff(targets.target) - np.diff(targets.fitted)) / session.rate
        outside = (self._ratios > MOST_STRETCH) | (self._ratios < LEAST_STRETCH)
        self.places = np.flatnonzero(outside & (shift > MOVED_SECONDS))

    def check(self, at: int) -> Check:
        ratio = float(self._ratios[at])
        limit = MOST_STRETCH if ratio > 1 else LEAST_STRETCH
        sentence = f"the sound up to the next hit is made ×{ratio:.2f} as long"
        return _check(self._targets, at, f"stretched past {limit}", f"×{ratio:.2f}", sentence)


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
        float(targets.line_beats[at]),
        int(targets.played[at]),
        title,
        figure,
        sentence,
        lines[0],
        lines[1],
    )
