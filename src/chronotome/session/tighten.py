"""Onsets + grid + settings -> targets: computed, never baked."""

from dataclasses import dataclass
from enum import IntEnum
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from chronotome.session.counting import counted_of
from chronotome.session.fitted import Fitted
from chronotome.session.follow import fitted_of
from chronotome.session.grid import Grid, Metre, TempoMap, nearest_lines
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import Recording, Session, Take, TightenSettings, Track
from chronotome.session.strokes import SHARE_OF_STEP, Strokes, strokes_of
from chronotome.units import BeatArray, Frames, at_other_rate, frames_at

LEAST_APART_SECONDS = 0.002
ON_LINE_MS = 10.0
"""A hit this near to its line is on it, and stays so."""
FAR_MS = 20.0
AS_NEAR_MS = 2.0
"""Strokes as near to a line as that are equally near: the stronger takes it."""


class Reason(IntEnum):
    """Why an onset lands where it lands."""

    GRID = 0
    LEFT_ALONE = 1
    BY_HAND = 2
    CARRIED = 3
    """Another stroke is nearer to its line, or it is out of catch range: its neighbours carry it along."""
    WITH_STROKE = 4
    """It is part of a stroke that another onset leads: it keeps its distance from that."""


REASON_WORDS = {
    Reason.GRID: "grid",
    Reason.LEFT_ALONE: "left alone",
    Reason.BY_HAND: "by hand",
    Reason.CARRIED: "between",
    Reason.WITH_STROKE: "with its stroke",
}


@dataclass(frozen=True, eq=False)
class Targets:
    """Where each counted onset of a clip is and where it should sound.

    Invariants: columns of equal length, in order of time; `played`, `fitted`, `line` and `target` are session
    frames; `played`, `fitted` and `target` rise strictly. `fitted` is where a hit is once its recording
    follows the song, and `played` where it does not.
    """

    onsets: Frames
    strengths: NDArray[np.float64]
    played: Frames
    fitted: Frames
    fitted_beats: BeatArray
    line: Frames
    line_beats: BeatArray
    target: Frames
    reasons: NDArray[np.int64]
    strokes: NDArray[np.int64]
    """The stroke that each belongs to, counted from 0."""
    rate: int

    @property
    def spans(self) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
        """First and last hit of each stroke that is more than one."""
        firsts = np.flatnonzero(np.diff(self.strokes, prepend=-1) > 0)
        lasts = np.append(firsts[1:], len(self.strokes)) - 1
        return firsts[lasts > firsts], lasts[lasts > firsts]

    def room_of(self, at: int) -> tuple[float, float]:
        """The session frames between which hit number `at` may be moved: its neighbours' strokes stay."""
        before = np.flatnonzero(self.strokes < self.strokes[at])
        after = np.flatnonzero(self.strokes > self.strokes[at])
        apart = LEAST_APART_SECONDS * self.rate
        low, high = -np.inf, np.inf
        first, last = (np.flatnonzero(self.strokes == self.strokes[at])[place] for place in (0, -1))
        if len(before):
            low = self.target[before[-1]] + apart + self.target[at] - self.target[first]
        if len(after):
            high = self.target[after[0]] - apart - (self.target[last] - self.target[at])
        return float(min(low, self.target[at])), float(max(high, self.target[at]))

    def __len__(self) -> int:
        return len(self.onsets)

    @cached_property
    def drift(self) -> NDArray[np.float64]:
        """Milliseconds from the line as played and fitted; negative early."""
        return np.asarray((self.fitted - self.line) * (1000.0 / self.rate), np.float64)

    @cached_property
    def landing(self) -> NDArray[np.float64]:
        """Milliseconds from the line where it lands."""
        return np.asarray((self.target - self.line) * (1000.0 / self.rate), np.float64)

    @property
    def spread_before(self) -> float:
        """Root mean square of the drift of every hit as played, in ms."""
        return _spread(self.drift)

    @property
    def spread_now(self) -> float:
        """The same of where they land."""
        return _spread(self.landing)

    @property
    def far_before(self) -> int:
        """Hits that were played more than 20 ms from their lines."""
        return int(np.count_nonzero(np.abs(self.drift) > FAR_MS))

    @property
    def far_now(self) -> int:
        """Hits that land more than 20 ms from their lines."""
        return int(np.count_nonzero(np.abs(self.landing) > FAR_MS))


def _spread(drift: NDArray[np.float64]) -> float:
    return float(np.sqrt(np.mean(drift**2))) if len(drift) else 0.0


def targets_of(session: Session, track: Track, take: Take) -> Targets:
    """Targets of a take by its own onsets, and its own recipe or its track's."""
    recording = session.recording_of(take)
    counts = counted_of(session, take)
    fitted = fitted_of(session, track, take)
    recipe = track.recipe_of(take)
    return _targets(take, recording, counts, recipe, session.tempo, session.metre, session.rate, fitted)


@by_identity(MANY)
def _targets(  # noqa: PLR0917 - found again by the identity of each
    take: Take,
    recording: Recording,
    counts: NDArray[np.bool_],
    settings: TightenSettings,
    tempo: TempoMap,
    metre: Metre,
    rate: int,
    fit: Fitted | None,
) -> Targets:
    places = _places(recording, counts, take.source_start, take.start, rate, fit)
    lined = _lined(places, settings.grid, settings.swing, tempo, metre, rate)
    hits = _hits(take, recording, places, lined, tempo, rate)
    strokes = _strokes(places, recording, settings.stroke, settings.grid, tempo, rate)
    moves = _moves(hits, strokes, settings, _Scale(rate, _shortest_step(settings, tempo)))
    landed = _in_order(
        places.fitted,
        np.rint(moves.target).astype(np.int64),
        hits.by_hand,
        max(1, int(LEAST_APART_SECONDS * rate)),
    )
    return Targets(
        hits.ids,
        hits.strengths,
        places.played,
        places.fitted,
        lined.beats,
        lined.line_frames,
        lined.lines,
        landed,
        moves.reasons,
        strokes.of,
        rate,
    )


@dataclass(frozen=True, eq=False)
class _Places:
    """Which onsets count, where they are as played, and where after the fit; frames of the session."""

    chosen: NDArray[np.int64]
    played: Frames
    fitted: Frames


@by_identity(MANY)
def _places(  # noqa: PLR0917 - found again by the identity of each
    recording: Recording,
    counts: NDArray[np.bool_],
    source_start: int,
    start: int,
    rate: int,
    fit: Fitted | None,
) -> _Places:
    """What no setting of Tighten changes: sliders move only what comes after."""
    chosen = np.flatnonzero(counts)
    frames = recording.onsets.frame_array[chosen]
    played = start + at_other_rate(frames - source_start, recording.rate, rate)
    distinct = np.diff(played, prepend=-1) > 0  # two neighbours may round to one frame at a lower rate
    chosen, played = chosen[distinct], played[distinct]
    fitted = played if fit is None else np.rint(fit(played)).astype(np.int64)
    if fit is not None:  # two of one frame stay in order; nothing sounds before the session's first frame
        apart = np.arange(len(fitted))
        fitted = np.maximum(np.maximum.accumulate(fitted - apart), 0) + apart
    return _Places(chosen, played, fitted)


@dataclass(frozen=True, eq=False)
class _Lined:
    """Hits after the fit in beats, and their lines in beats and in frames of the session."""

    beats: BeatArray
    lines: BeatArray
    line_frames: Frames


@by_identity(MANY)
def _lined(  # noqa: PLR0917 - found again by the identity of each
    places: _Places, grid: Grid, swing: float, tempo: TempoMap, metre: Metre, rate: int
) -> _Lined:
    beats = tempo.beats_at(places.fitted / rate)
    lines = nearest_lines(beats, grid, metre, swing)
    return _Lined(beats, lines, frames_at(tempo.seconds_at(lines), rate))


@by_identity(MANY)
def _strokes(  # noqa: PLR0917 - found again by the identity of each
    places: _Places, recording: Recording, stroke: float, grid: Grid, tempo: TempoMap, rate: int
) -> Strokes:
    """Onsets that are one stroke: within `stroke` ms, and less where the grid is fast."""
    step = grid.step * 60 / max(change.beats_per_minute for change in tempo.changes)
    within = min(stroke / 1000, SHARE_OF_STEP * step) * rate
    return strokes_of(places.fitted, recording.onsets.strength_array[places.chosen], within)


def _shortest_step(settings: TightenSettings, tempo: TempoMap) -> float:
    """Seconds between two lines where the song is fastest."""
    return settings.grid.step * 60 / max(change.beats_per_minute for change in tempo.changes)


@dataclass(frozen=True)
class _Scale:
    """Frames per second, and seconds from line to line."""

    rate: int
    step: float

    def frames(self, milliseconds: float) -> float:
        return milliseconds * self.rate / 1000.0


@dataclass(frozen=True, eq=False)
class _Hits:
    """Counted onsets in session frames, their lines in beats, where a person put them (or NaN)."""

    ids: Frames
    fitted: Frames
    lines: BeatArray
    away: NDArray[np.float64]
    """Frames from the line, negative early."""
    strengths: NDArray[np.float64]
    asked: NDArray[np.float64]
    by_hand: NDArray[np.bool_]


@by_identity(MANY)
def _hits(  # noqa: PLR0917 - found again by the identity of each
    take: Take, recording: Recording, places: _Places, lined: _Lined, tempo: TempoMap, rate: int
) -> _Hits:
    ids = recording.onsets.id_array[places.chosen]
    hand = {marker.onset: marker.beat for marker in take.touches}
    by_hand = np.isin(ids, list(hand)) if hand else np.zeros(len(ids), bool)
    asked = np.full(len(ids), np.nan)
    if by_hand.any():
        wanted = np.array([hand[int(onset)] for onset in ids[by_hand]])
        asked[by_hand] = np.rint(tempo.seconds_at(wanted) * rate)
    away = (places.fitted - lined.line_frames).astype(np.float64)
    strengths = recording.onsets.strength_array[places.chosen]
    return _Hits(ids, places.fitted, lined.lines, away, strengths, asked, by_hand)


@dataclass(frozen=True, eq=False)
class _Moves:
    target: NDArray[np.float64]
    reasons: NDArray[np.int64]


def _moves(hits: _Hits, strokes: Strokes, settings: TightenSettings, scale: _Scale) -> _Moves:
    """Where each hit goes: strokes first, then lines, then what lies between.

    The nearest stroke takes a line; the others move by what their neighbours move, never farther from their
    lines than they were played. What was left alone or lies on its line stays there, whatever leads it.
    """
    away, by_hand = hits.away, hits.by_hand
    leader = strokes.leaders[strokes.of]
    alone = (np.abs(away) <= scale.frames(settings.leave_alone)) & ~by_hand
    low, high = _allowed(away, alone, by_hand, strokes, scale)
    takes = _takers(hits, strokes, scale, settings.catch) & ~by_hand[strokes.leaders]
    wanted = -settings.strength * away[strokes.leaders]
    held = by_hand[strokes.leaders]
    wanted[held] = (hits.asked - hits.fitted)[strokes.leaders[held]]
    moves = np.where(held, wanted, np.clip(wanted, low, high))
    rest = ~(takes | held)
    moves[rest] = _between(hits, strokes, moves, takes | held, (low, high))[rest]
    target = hits.fitted.astype(np.float64) + moves[strokes.of]
    target[by_hand] = hits.asked[by_hand]
    reasons = np.where(takes, int(Reason.GRID), int(Reason.CARRIED))[strokes.of]
    reasons[leader != np.arange(len(leader))] = Reason.WITH_STROKE
    reasons[alone & (target == hits.fitted)] = Reason.LEFT_ALONE
    reasons[by_hand] = Reason.BY_HAND
    return _Moves(target, reasons)


def _allowed(
    away: NDArray[np.float64],
    alone: NDArray[np.bool_],
    by_hand: NDArray[np.bool_],
    strokes: Strokes,
    scale: _Scale,
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """How far each stroke may move: none of its hits leaves its line, none that is left alone moves."""
    on_line = scale.frames(ON_LINE_MS)
    is_on = (np.abs(away) <= on_line) & ~by_hand
    low = np.where(is_on, -on_line - away, -np.inf)
    high = np.where(is_on, on_line - away, np.inf)
    low[alone] = high[alone] = 0.0
    return _least(strokes, low), -_least(strokes, -high)


def _least(strokes: Strokes, values: NDArray[np.float64]) -> NDArray[np.float64]:
    """The highest value of each stroke's hits."""
    return np.asarray(np.maximum.reduceat(values, strokes.firsts)) if len(values) else values


def _takers(hits: _Hits, strokes: Strokes, scale: _Scale, catch: float) -> NDArray[np.bool_]:
    """Which strokes take their line: the nearest of each that is near enough."""
    takes = _nearest(hits, strokes, scale.rate)
    if catch >= 1:
        return takes
    return takes & (np.abs(hits.away[strokes.leaders]) <= 0.5 * catch * scale.step * scale.rate)


@by_identity(MANY)
def _nearest(hits: _Hits, strokes: Strokes, rate: int) -> NDArray[np.bool_]:
    """Which strokes are the nearest of their line, of equally near ones the strongest."""
    nearness = np.floor(np.abs(hits.away[strokes.leaders]) * (1000.0 / rate / AS_NEAR_MS))
    lines = np.round(hits.lines[strokes.leaders], 9)
    taken = hits.by_hand[strokes.leaders]
    order = np.lexsort((-hits.strengths[strokes.leaders], nearness, taken, lines))
    first = np.ones(len(order), bool)
    first[1:] = np.diff(lines[order]) > 0
    takes = np.zeros(len(order), bool)
    takes[order[first]] = True
    return takes


def _between(
    hits: _Hits,
    strokes: Strokes,
    moves: NDArray[np.float64],
    fixed: NDArray[np.bool_],
    allowed: tuple[NDArray[np.float64], NDArray[np.float64]],
) -> NDArray[np.float64]:
    """Moves of the strokes between those that are fixed: by what these move, never farther from a line."""
    if fixed.all() or not fixed.any():
        return np.zeros(len(moves))
    places = hits.fitted[strokes.leaders]
    carried = np.interp(places, places[fixed], moves[fixed])
    low, high = _over_the_line(hits, strokes)
    low, high = np.maximum(low, allowed[0]), np.minimum(high, allowed[1])
    return np.where(low <= high, np.clip(carried, low, np.maximum(low, high)), 0.0)


@by_identity(MANY)
def _over_the_line(hits: _Hits, strokes: Strokes) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """How far each stroke may move until one of its hits is as far from its line on the other side."""
    low = _least(strokes, np.where(hits.away > 0, -2 * hits.away, 0.0))
    return low, -_least(strokes, np.where(hits.away < 0, 2 * hits.away, 0.0))


def _in_order(played: Frames, target: Frames, by_hand: NDArray[np.bool_], apart: int) -> Frames:
    """Targets that rise: what was set by hand stays, the rest gives way.

    Two onsets end at least `apart` frames from each other, or as near as they were played. Where hand-set
    ones leave no room between them, the last resort is one frame each, past them.
    """
    if not len(target):
        return target
    gaps = np.minimum(np.diff(played), apart)
    offsets = np.concatenate([[0], np.cumsum(gaps)])
    level = target - offsets  # rising with room is level with never falling
    if (np.diff(level) >= 0).all() and target[0] >= 0:
        return target
    floor = np.maximum.accumulate(np.where(by_hand, level, np.iinfo(np.int64).min))
    ceiling = np.minimum.accumulate(np.where(by_hand, level, np.iinfo(np.int64).max)[::-1])[::-1]
    level = np.maximum.accumulate(np.clip(level, floor, np.maximum(ceiling, floor)))
    result = np.maximum(level + offsets, np.arange(len(level)))
    return np.maximum.accumulate(result - np.arange(len(level))) + np.arange(len(level))
