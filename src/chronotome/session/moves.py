"""How far strokes move: the nearest takes a line, the others go along, what is left alone stays."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import TempoMap
from chronotome.session.lines import SAME_STEP
from chronotome.session.memo import MANY, by_identity
from chronotome.session.metre import MetreMap
from chronotome.session.recipes import ScopedSettings, shortest_step
from chronotome.session.strokes import Strokes
from chronotome.session.targets import Reason
from chronotome.units import BeatArray, Frames

ATTACK_SECONDS = 0.015
"""Of the last hit's sound that stays inside its take at least, where there is as much."""
WHOLE_MS = 5.0
"""A take that is longer or shorter than whole bars by less is one of whole bars."""
AS_NEAR_MS = 2.0
"""Strokes as near to a line as that are equally near: the stronger takes it."""


@dataclass(frozen=True, eq=False)
class MoveSettings:
    """What the recipe of each hit says, in frames."""

    pull: NDArray[np.float64]
    alone: NDArray[np.float64]
    catch: NDArray[np.float64]
    """Frames from its line beyond which a hit is not pulled."""

    @staticmethod
    def of(recipes: ScopedSettings, recipe: NDArray[np.int64], tempo: TempoMap, rate: int) -> "MoveSettings":
        every = recipes.every
        pull = np.array([each.pull for each in every])
        alone = np.array([each.leave_alone * rate / 1000.0 for each in every])
        catch = np.array(
            [
                np.inf if each.catch >= 1 else 0.5 * each.catch * shortest_step(each, tempo) * rate
                for each in every
            ]
        )
        return MoveSettings(pull[recipe], alone[recipe], catch[recipe])

    def of_part(self, part: slice) -> "MoveSettings":
        return MoveSettings(self.pull[part], self.alone[part], self.catch[part])


@dataclass(frozen=True, eq=False)
class HitTimes:
    """Counted onsets in session frames, their lines in beats, where a person put them (or NaN)."""

    ids: Frames
    fitted: Frames
    lines: BeatArray
    steps: BeatArray
    """Where their lines are on the straight grid."""
    away: NDArray[np.float64]
    """Frames from the line, negative early."""
    strengths: NDArray[np.float64]
    loudness: NDArray[np.float64]
    """dB."""
    asked: NDArray[np.float64]
    by_hand: NDArray[np.bool_]
    keeps_line: NDArray[np.bool_]
    """Set by hand, and still nearest to the line that it would take: no other takes that."""
    has_line: NDArray[np.bool_]
    stays: NDArray[np.bool_]


@dataclass(frozen=True)
class Ends:
    """Session frames between which a take sounds, and its length in beats if that is whole bars, else 0."""

    start: int
    end: int
    bars: float

    @staticmethod
    def of(start: int, end: int, tempo: TempoMap, metre: MetreMap, rate: int) -> "Ends":
        first, last = tempo.beat_of(start / rate), tempo.beat_of(end / rate)
        bars = metre.whole_bars(first, last)
        strays = abs(tempo.seconds_of(first + bars) - end / rate)
        return Ends(start, end, bars if strays < WHOLE_MS / 1000 else 0.0)

    @property
    def without_bars(self) -> "Ends":
        """For a part of a take: the line at its end is not the one at its start."""
        return Ends(self.start, self.end, 0.0)

    def holds(self, frames: Frames) -> NDArray[np.bool_]:
        return (frames >= self.start) & (frames < self.end)


@dataclass(frozen=True, eq=False)
class Moves:
    target: NDArray[np.float64]
    reasons: NDArray[np.int64]
    on_lines: NDArray[np.bool_]
    """Hits that take a line: nothing but a hand moves them from where they go."""


def moves_of(hits: HitTimes, strokes: Strokes, asked: MoveSettings, ends: Ends, rate: int) -> Moves:
    """Where each hit goes: strokes first, then lines, then what lies between.

    The loudest hit of a stroke leads: the others keep the distance to it that they were played at. The
    nearest stroke takes a line; the others move by what their neighbours move, never farther from their
    lines than they were played. A stroke whose leader is left alone stays, and none leaves its take.
    """
    lead = strokes.leaders
    away, held = hits.away[lead], hits.by_hand[lead]
    stays = (((np.abs(away) <= asked.alone[lead]) & hits.has_line[lead]) | hits.stays[lead]) & ~held
    near = (np.abs(away) <= asked.catch[lead]) & hits.has_line[lead]
    takes = _nearest(hits, strokes, ends, rate) & near & ~held
    moves = np.where(stays, 0.0, -asked.pull[lead] * away)
    moves[held] = (hits.asked - hits.fitted)[lead[held]]
    moves = _inside(moves, hits.fitted[lead], held, ends, rate)
    rest = ~(takes | held)
    carried = _inside(_between(hits, strokes, moves, takes | held), hits.fitted[lead], held, ends, rate)
    moves[rest] = np.where(stays, 0.0, carried)[rest]
    target = hits.fitted.astype(np.float64) + moves[strokes.of]
    target[hits.by_hand] = hits.asked[hits.by_hand]
    reasons = np.full(len(hits.ids), int(Reason.WITH_STROKE))
    reasons[lead] = np.where(takes, int(Reason.GRID), int(Reason.CARRIED))
    reasons[lead[_leaves(hits, strokes, ends, rate) & ~held]] = Reason.INSIDE
    reasons[lead[stays]] = Reason.LEFT_ALONE
    reasons[hits.by_hand] = Reason.BY_HAND
    on_lines = np.zeros(len(hits.ids), bool)
    on_lines[lead[takes]] = True
    return Moves(target, reasons, on_lines)


def _leaves(hits: HitTimes, strokes: Strokes, ends: Ends, rate: int) -> NDArray[np.bool_]:
    """Strokes in the take whose lines are not, or so near its end that no attack would be left of them."""
    fitted = hits.fitted[strokes.leaders]
    line = fitted - hits.away[strokes.leaders]
    is_out = (line < ends.start) | (line > _last(fitted, ends, rate))
    return ends.holds(fitted) & is_out & hits.has_line[strokes.leaders]


def _inside(
    moves: NDArray[np.float64], fitted: Frames, held: NDArray[np.bool_], ends: Ends, rate: int
) -> NDArray[np.float64]:
    """Moves that leave what is in the take there, with its attack; what a hand moves goes where it is put."""
    kept = np.clip(moves, ends.start - fitted, _last(fitted, ends, rate) - fitted)
    return np.where(ends.holds(fitted) & ~held, kept, moves)


def _last(fitted: Frames, ends: Ends, rate: int) -> Frames:
    """Where each can be at the latest: with its attack, or as it was played."""
    return np.maximum(fitted, ends.end - round(ATTACK_SECONDS * rate))


def whole_lines(lines: BeatArray) -> BeatArray:
    """Lines by which strokes are told from one another: the same however they were worked out."""
    return np.asarray(np.round(lines, 9))


@by_identity(MANY)
def _nearest(hits: HitTimes, strokes: Strokes, ends: Ends, rate: int) -> NDArray[np.bool_]:
    """Which strokes are the nearest of their line, of equally near ones the loudest.

    In a take of whole bars the line at its end is the one at its start.
    """
    nearness = np.floor(np.abs(hits.away[strokes.leaders]) * (1000.0 / rate / AS_NEAR_MS))
    lines, steps = whole_lines(hits.lines[strokes.leaders]), hits.steps[strokes.leaders]
    if ends.bars and len(steps):
        lines[np.abs(steps - steps[0] - ends.bars) < SAME_STEP] = lines[0]
    taken = (hits.by_hand & ~hits.keeps_line)[strokes.leaders]
    order = np.lexsort((-hits.loudness[strokes.leaders], nearness, taken, lines))
    first = np.ones(len(order), bool)
    first[1:] = np.diff(lines[order]) != 0
    takes = np.zeros(len(order), bool)
    takes[order[first]] = True
    return takes


def _between(
    hits: HitTimes,
    strokes: Strokes,
    moves: NDArray[np.float64],
    fixed: NDArray[np.bool_],
) -> NDArray[np.float64]:
    """Moves of the strokes between those that are fixed: by what these move, never farther from a line."""
    if fixed.all() or not fixed.any():
        return np.zeros(len(moves))
    places = hits.fitted[strokes.leaders]
    whole = np.rint(places + moves) - places  # a hit that is held where it lands carries others as before
    carried = np.interp(places, places[fixed], whole[fixed])
    low, high = _over_the_line(hits, strokes)
    return np.clip(carried, low, high)


@by_identity(MANY)
def _over_the_line(hits: HitTimes, strokes: Strokes) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """How far each stroke may move until its leader is as far from its line on the other side."""
    away, has_line = hits.away[strokes.leaders], hits.has_line[strokes.leaders]
    low = np.where(has_line, np.minimum(0.0, -2 * away), -np.inf)
    return low, np.where(has_line, np.maximum(0.0, -2 * away), np.inf)


def in_order(
    target: Frames,
    by_hand: NDArray[np.bool_],
    on_lines: NDArray[np.bool_],
    offsets: Frames,
    first: int = 0,
) -> Frames:
    """Targets that rise: what was set by hand stays, then what takes a line; the rest gives way.

    `offsets` keep two onsets apart (`apart_by`); `first` is how many hits there are before these. Where fixed
    ones leave no room between them, the last resort is one frame each, past them.
    """
    if not len(target):
        return target
    level = target - offsets  # rising with room is level with never falling
    if (np.diff(level) >= 0).all() and target[0] >= first:
        return target
    level[on_lines] = _between_fixed(level, by_hand)[on_lines]
    level = np.maximum.accumulate(_between_fixed(level, by_hand | on_lines))
    place = np.arange(first, first + len(level))
    return np.maximum.accumulate(np.maximum(level + offsets, place) - place) + place


def apart_by(played: Frames, apart: int) -> Frames:
    """How far each hit keeps from the first at least: `apart` frames each, or as near as they were played."""
    return np.concatenate([[0], np.cumsum(np.minimum(np.diff(played), apart))])[: len(played)]


def _between_fixed(level: Frames, fixed: NDArray[np.bool_]) -> Frames:
    """Levels held between those before and those after that are fixed."""
    ends = np.iinfo(np.int64)
    floor = np.maximum.accumulate(np.where(fixed, level, ends.min))
    ceiling = np.minimum.accumulate(np.where(fixed, level, ends.max)[::-1])[::-1]
    return np.clip(level, floor, np.maximum(ceiling, floor))


def within(target: Frames, ends: Ends, place: Frames, count: int) -> Frames:
    """Rising targets of which none leaves the take; `place` counts them among the `count` hits of it."""
    return np.minimum(np.maximum(target, ends.start + place), ends.end - count + place)
