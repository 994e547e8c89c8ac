"""What a person should look at: places where the machine is not sure."""

import math
from collections.abc import Sequence
from dataclasses import replace

import numpy as np
from numpy.typing import NDArray

from chronotome.session.anchors import anchors_of
from chronotome.session.check import NOTHING, Check, CheckColumns, Checks, Do, Fix, Kind
from chronotome.session.grid import TempoMap
from chronotome.session.memo import by_identity, by_parts
from chronotome.session.metre import MetreMap, position_words
from chronotome.session.model import Session, Take, Track
from chronotome.session.onsets import OnsetId
from chronotome.session.other_checks import other_parts
from chronotome.session.rough_joins import Rough, RoughJoins
from chronotome.session.rows import score_of
from chronotome.session.targets import FAR_MS, Reason, Targets
from chronotome.session.tighten import targets_of
from chronotome.words import tr

USUAL_MOVES, TWICE, LEAST_MOVE_MS, FEW_MOVES = 75, 2.0, 1.0, 8
DOUBTFUL_SHARE = 0.36
"""Of the distance between two lines: farther from both than this is doubtful."""
MOVED_SECONDS = 0.010
WHOLE = 1e-6
AT_THE_EDGE = 1.005
"""Drags stop where sound is stretched as far as it bears, to the frame: there it still bears it."""


def checks_of(
    session: Session, track: Track, take: Take | None = None, rough: Sequence[RoughJoins] = ()
) -> Checks:
    """Places on a take of a track, the first where none is named, in order of time.

    None on one that is locked to another, and none against a tempo that nobody chose. `rough` is what
    rendering found; of what was changed since then it says nothing.
    """
    take = take or track.first_take
    if session.guide_of(track.id) != track.id or take is None or not session.is_tempo_set:
        return NOTHING
    return _take_checks(session, track, take, tuple(rough))


@by_identity(32)  # every lane asks, at every paint; the rail of every track
def _take_checks(session: Session, track: Track, take: Take, rough: tuple[RoughJoins, ...]) -> Checks:
    targets = targets_of(session, track, take)
    bears = track.moving_of(take).borne if take.playing is None else math.inf  # steps are not stretched
    own = _own_parts(targets, track.own_tempo or session.tempo, session.metre, bears)
    parts = (*own, *other_parts(session, track, take))
    if rough:
        anchors = anchors_of(session, track, take)
        score = score_of(session, track, take, anchors)
        same = (each for each in rough if each.score is score)
        parts = (*parts, *(_rough(each, targets, anchors.offset, session.metre) for each in same))
    return _merged(parts, take.accepted)


@by_identity(64)
def _rough(joins: RoughJoins, targets: Targets, offset: int, metre: MetreMap) -> Rough:
    return Rough(joins, targets, offset, metre)


@by_identity(64)
def _own_parts(targets: Targets, tempo: TempoMap, metre: MetreMap, bears: float) -> tuple[CheckColumns, ...]:
    own = _Between(targets, tempo, metre), _Far(targets), _Inside(targets, metre)
    return own if math.isinf(bears) else (*own, _Stretched(targets, bears))


@by_parts(64, lambda parts, accepted: (*parts, accepted))
def _merged(parts: tuple[CheckColumns, ...], accepted: tuple[tuple[OnsetId, str], ...]) -> Checks:
    """In order of time, without what was accepted for good."""
    sizes = [len(part.onsets) for part in parts]
    owner = np.repeat(np.arange(len(parts)), sizes)
    number = np.concatenate([np.arange(size) for size in sizes])
    played = np.concatenate([np.asarray(part.played, np.int64) for part in parts])
    onsets = np.concatenate([np.asarray(part.onsets, np.int64) for part in parts])
    order = np.lexsort((owner, played))
    for onset, kind in accepted:
        alike = [at for at, part in enumerate(parts) if part.kind == kind]
        order = order[~((onsets[order] == onset) & np.isin(owner[order], alike))]
    noisy = [at for at, part in enumerate(parts) if part.kind is Kind.NOISE]
    is_noise = np.isin(owner[order], noisy)  # of what is no hit nothing else is told
    order = order[is_noise | ~np.isin(played[order], played[order][is_noise])]
    owners, numbers = owner[order].tolist(), number[order].tolist()
    kinds = tuple(parts[each].kind for each in owners)
    return Checks(kinds, played[order], onsets[order], lambda at: parts[owners[at]].check(numbers[at]))


class _CheckedPlaces:
    """Places that are hits among the targets."""

    kind: Kind = Kind.BETWEEN

    def __init__(self, targets: Targets, places: NDArray[np.int64]) -> None:
        self.targets, self.places = targets, places
        self.onsets, self.played = targets.onsets[places], targets.played[places]


class _Between(_CheckedPlaces):
    """Strokes far from both lines around them. Those that lead no line are named by why."""

    def __init__(self, targets: Targets, tempo: TempoMap, metre: MetreMap) -> None:
        self._tempo, self._metre = tempo, metre
        apart = np.abs(targets.other - targets.line_beats)
        doubtful = np.flatnonzero(np.abs(targets.fitted_beats - targets.line_beats) >= DOUBTFUL_SHARE * apart)
        judged = (targets.reasons == Reason.GRID) | (targets.reasons == Reason.CARRIED)
        super().__init__(targets, doubtful[judged[doubtful]])

    def check(self, number: int) -> Check:
        at, targets, metre = int(self.places[number]), self.targets, self._metre
        line, other = float(targets.line_beats[at]), float(targets.other[at])
        off = float(targets.drift[at])
        rest = float(targets.fitted[at] / targets.rate - self._tempo.seconds_of(other)) * 1000
        here, there = (
            position_words(float(steps[at]), metre) for steps in (targets.steps, targets.other_steps)
        )
        sentence = tr("{0} {1}\nor {2} {3}", _side(off), here, _side(rest), there)
        title = tr("between two lines") if targets.reasons[at] == Reason.GRID else tr("nearer to another hit")
        figure = tr("{0:.0f} ms", abs(off))
        return _check(targets, at, title, figure, sentence, (min(line, other), max(line, other)))


def _side(drift: float) -> str:
    return tr("{0:.0f} ms {1} of", abs(drift), tr("late") if drift > 0 else tr("early"))


class _Stretched(_CheckedPlaces):
    """Hits whose sound up to the next one is made much longer or shorter."""

    kind = Kind.STRETCHED

    def __init__(self, targets: Targets, bears: float) -> None:
        self._bears, self.targets = bears, targets
        shifts = np.abs(np.diff(targets.target) - np.diff(targets.fitted))
        moved = np.flatnonzero(shifts > MOVED_SECONDS * targets.rate)
        ratios = self._ratios_of(moved)
        by_tempo = (np.diff(targets.fitted) / np.diff(targets.played))[moved]
        most = bears * AT_THE_EDGE

        def is_beyond(ratio: NDArray[np.float64]) -> NDArray[np.bool_]:
            return (ratio > most) | (ratio < 1 / most)

        # where the song's tempo alone is more than is borne, only what Tighten adds is told of
        super().__init__(
            targets, moved[is_beyond(ratios) & (~is_beyond(by_tempo) | is_beyond(ratios / by_tempo))]
        )

    def _ratios_of(self, at: NDArray[np.int64]) -> NDArray[np.float64]:
        target, played = self.targets.target, self.targets.played
        return np.asarray((target[at + 1] - target[at]) / (played[at + 1] - played[at]), np.float64)

    def check(self, number: int) -> Check:
        at = int(self.places[number])
        ratio = float(self._ratios_of(np.array([at]))[0])
        limit = self._bears if ratio > 1 else 1 / self._bears
        sentence = tr("sound up to the next hit: ×{0:.2f} as long", ratio)
        title = tr("stretched beyond {0:.3g}", limit)
        return replace(
            _check(self.targets, at, title, f"×{ratio:.2f}", sentence),
            kind=self.kind,
            mends=(as_played(self.targets, at),),
        )


class _Far(_CheckedPlaces):
    """Hits that are moved over twice as far as nearly all others."""

    kind = Kind.FAR

    def __init__(self, targets: Targets) -> None:
        moves = np.abs(targets.target - targets.fitted) * (1000.0 / targets.rate)
        by_itself = (targets.reasons == Reason.GRID) | (targets.reasons == Reason.CARRIED)
        some = moves[by_itself & (moves > LEAST_MOVE_MS)]
        self._usual = float(np.percentile(some, USUAL_MOVES)) if len(some) >= FEW_MOVES else np.inf
        far = by_itself & (moves > max(FAR_MS, TWICE * self._usual))
        super().__init__(targets, np.flatnonzero(far))

    def check(self, number: int) -> Check:
        at = int(self.places[number])
        move = float(self.targets.target[at] - self.targets.fitted[at]) * 1000 / self.targets.rate
        sentence = tr(
            "moved by {0:.0f} ms; nearly all other\nhits move by less than {1:.0f} ms", abs(move), self._usual
        )
        return replace(
            _check(self.targets, at, tr("moved far"), tr("{0:.0f} ms", abs(move)), sentence),
            kind=self.kind,
            mends=(as_played(self.targets, at),),
        )


class _Inside(_CheckedPlaces):
    """Hits whose lines are past an end of their take, which tightening makes no longer."""

    kind = Kind.INSIDE

    def __init__(self, targets: Targets, metre: MetreMap) -> None:
        self._metre = metre
        super().__init__(targets, np.flatnonzero(targets.reasons == Reason.INSIDE))

    def check(self, number: int) -> Check:
        at, targets = int(self.places[number]), self.targets
        away = abs(float(targets.landing[at]))
        is_shared = self._is_the_first_ones(at)
        sentence = (
            tr("the take loops:\nits first hit already has this line")
            if is_shared
            else tr("target past the end of the take:\nthe hit stays inside, {0:.0f} ms before", away)
        )
        title = tr("kept inside the take")
        made = _check(targets, at, title, tr("{0:.0f} ms", away), sentence)
        return replace(made, kind=self.kind, mends=(as_played(targets, at),))

    def _is_the_first_ones(self, at: int) -> bool:
        """Whether the first hit is on the line that is a whole number of bars before."""
        first = int(self.targets.leads[0])
        bars = float(np.diff(self._metre.bars_at(self.targets.steps[[first, at]]))[0])
        return self.targets.reasons[first] == Reason.GRID and bars >= 1 and abs(bars - round(bars)) < WHOLE


def as_played(targets: Targets, at: int) -> Fix:
    """Leave a hit where it was played."""
    return Fix(tr("As played"), Do.MOVE, int(targets.onsets[at]), float(targets.fitted_beats[at]))


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
