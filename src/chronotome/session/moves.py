"""How far strokes move: the nearest takes a line, the others go along, what lies on its line stays."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import TempoMap
from chronotome.session.memo import MANY, by_identity
from chronotome.session.recipes import Recipes, shortest_step
from chronotome.session.strokes import Strokes
from chronotome.session.targets import Reason
from chronotome.units import BeatArray, Frames

ON_LINE_MS = 10.0
"""A hit this near to its line is on it, and stays so."""
AS_NEAR_MS = 2.0
"""Strokes as near to a line as that are equally near: the stronger takes it."""


@dataclass(frozen=True, eq=False)
class Asked:
    """What the recipe of each hit says, in frames."""

    pull: NDArray[np.float64]
    alone: NDArray[np.float64]
    catch: NDArray[np.float64]
    """Frames from its line beyond which a hit is not pulled."""

    @staticmethod
    def of(recipes: Recipes, recipe: NDArray[np.int64], tempo: TempoMap, rate: int) -> "Asked":
        every = recipes.every
        pull = np.array([each.pull for each in every])
        alone = np.array([each.leave_alone * rate / 1000.0 for each in every])
        catch = np.array(
            [
                np.inf if each.catch >= 1 else 0.5 * each.catch * shortest_step(each, tempo) * rate
                for each in every
            ]
        )
        return Asked(pull[recipe], alone[recipe], catch[recipe])


@dataclass(frozen=True, eq=False)
class Hits:
    """Counted onsets in session frames, their lines in beats, where a person put them (or NaN)."""

    ids: Frames
    fitted: Frames
    lines: BeatArray
    away: NDArray[np.float64]
    """Frames from the line, negative early."""
    strengths: NDArray[np.float64]
    asked: NDArray[np.float64]
    by_hand: NDArray[np.bool_]
    keeps_line: NDArray[np.bool_]
    """Set by hand, and still nearest to the line that it would take: no other takes that."""
    has_line: NDArray[np.bool_]
    stays: NDArray[np.bool_]


@dataclass(frozen=True, eq=False)
class Moves:
    target: NDArray[np.float64]
    reasons: NDArray[np.int64]


def moves_of(hits: Hits, strokes: Strokes, asked: Asked, rate: int) -> Moves:
    """Where each hit goes: strokes first, then lines, then what lies between.

    The nearest stroke takes a line; the others move by what their neighbours move, never farther from their
    lines than they were played. What was left alone or lies on its line stays there, whatever leads it.
    """
    away, by_hand = hits.away, hits.by_hand
    leader = strokes.leaders[strokes.of]
    alone = (((np.abs(away) <= asked.alone) & hits.has_line) | hits.stays) & ~by_hand
    low, high = _allowed(away, alone, by_hand | ~hits.has_line, strokes, rate)
    near = np.abs(away[strokes.leaders]) <= asked.catch[strokes.leaders]
    near &= hits.has_line[strokes.leaders]
    takes = _nearest(hits, strokes, rate) & near & ~by_hand[strokes.leaders]
    wanted = -asked.pull[strokes.leaders] * away[strokes.leaders]
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
    return Moves(target, reasons)


def _allowed(
    away: NDArray[np.float64],
    alone: NDArray[np.bool_],
    by_hand: NDArray[np.bool_],
    strokes: Strokes,
    rate: int,
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """How far each stroke may move: none of its hits leaves its line, none that is left alone moves."""
    on_line = ON_LINE_MS * rate / 1000.0
    is_on = (np.abs(away) <= on_line) & ~by_hand
    low = np.where(is_on, -on_line - away, -np.inf)
    high = np.where(is_on, on_line - away, np.inf)
    low[alone] = high[alone] = 0.0
    return _least(strokes, low), -_least(strokes, -high)


def _least(strokes: Strokes, values: NDArray[np.float64]) -> NDArray[np.float64]:
    """The highest value of each stroke's hits."""
    return np.asarray(np.maximum.reduceat(values, strokes.firsts)) if len(values) else values


@by_identity(MANY)
def _nearest(hits: Hits, strokes: Strokes, rate: int) -> NDArray[np.bool_]:
    """Which strokes are the nearest of their line, of equally near ones the strongest."""
    nearness = np.floor(np.abs(hits.away[strokes.leaders]) * (1000.0 / rate / AS_NEAR_MS))
    lines = np.round(hits.lines[strokes.leaders], 9)
    taken = (hits.by_hand & ~hits.keeps_line)[strokes.leaders]
    order = np.lexsort((-hits.strengths[strokes.leaders], nearness, taken, lines))
    first = np.ones(len(order), bool)
    first[1:] = np.diff(lines[order]) > 0
    takes = np.zeros(len(order), bool)
    takes[order[first]] = True
    return takes


def _between(
    hits: Hits,
    strokes: Strokes,
    moves: NDArray[np.float64],
    fixed: NDArray[np.bool_],
    allowed: tuple[NDArray[np.float64], NDArray[np.float64]],
) -> NDArray[np.float64]:
    """Moves of the strokes between those that are fixed: by what these move, never farther from a line."""
    if fixed.all() or not fixed.any():
        return np.zeros(len(moves))
    places = hits.fitted[strokes.leaders]
    whole = np.rint(places + moves) - places  # a hit that is held where it lands carries others as before
    carried = np.interp(places, places[fixed], whole[fixed])
    low, high = _over_the_line(hits, strokes)
    low, high = np.maximum(low, allowed[0]), np.minimum(high, allowed[1])
    return np.where(low <= high, np.clip(carried, low, np.maximum(low, high)), 0.0)


@by_identity(MANY)
def _over_the_line(hits: Hits, strokes: Strokes) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """How far each stroke may move until one of its hits is as far from its line on the other side."""
    free = np.where(hits.has_line, 0.0, np.inf)
    low = _least(strokes, np.where(hits.away > 0, -2 * hits.away, -free))
    return low, -_least(strokes, np.where(hits.away < 0, 2 * hits.away, -free))


def in_order(played: Frames, target: Frames, by_hand: NDArray[np.bool_], apart: int) -> Frames:
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
