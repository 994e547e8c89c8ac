"""Where hits go once a few of them were moved by hand: worked out about these, as before everywhere else.

A stroke that takes a line of its own, or that a hand holds, parts what is before it from what is behind it:
nothing that happens on one side of it moves anything on the other.
"""

from collections.abc import Sequence
from dataclasses import dataclass, fields, replace
from functools import cached_property
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import TempoMap
from chronotome.session.lines import SAME_STEP
from chronotome.session.moves import (
    Ends,
    HitTimes,
    MoveSettings,
    apart_by,
    in_order,
    moves_of,
    whole_lines,
    within,
)
from chronotome.session.onsets import OnsetId
from chronotome.session.strokes import Strokes
from chronotome.session.targets import LEAST_APART_SECONDS, Reason
from chronotome.session.touches import Touches, beats_of_onsets, moved_between
from chronotome.units import BeatArray, Frames

FARTHEST = 200
"""Strokes looked through for one that parts what changed from the rest."""
HOLDING = np.array([Reason.GRID, Reason.BY_HAND])


class Landed(NamedTuple):
    """Where each hit goes, and why."""

    target: Frames
    reasons: NDArray[np.int64]


@dataclass(eq=False)
class _Known:
    """How far the work came at each hit, by the last hand.

    Invariants: columns of equal length. `below` and `above` are the highest `wanted` up to each hit and the
    lowest from it on, less what keeps hits apart: where all before are below all from there on, neither gives
    way to the other.
    """

    touches: Touches
    by_hand: NDArray[np.bool_]
    on_lines: NDArray[np.bool_]
    reasons: NDArray[np.int64]
    wanted: Frames
    ordered: Frames
    target: Frames
    below: Frames
    above: Frames

    def copy(self) -> "_Known":
        columns = (getattr(self, each.name) for each in fields(self)[1:])
        return _Known(self.touches, *(column.copy() for column in columns))

    @property
    def landed(self) -> Landed:
        return Landed(self.target, self.reasons)


@dataclass(eq=False)
class HitRules:
    """All that decides where the hits of a take go but for what a hand did; it remembers the last hand.

    Columns are of equal length, in order of time, in session frames and beats.
    """

    ids: Frames
    fitted: Frames
    lines: BeatArray
    steps: BeatArray
    other: BeatArray
    line_frames: Frames
    has_line: NDArray[np.bool_]
    stays: NDArray[np.bool_]
    strengths: NDArray[np.float64]
    loudness: NDArray[np.float64]
    strokes: Strokes
    asked: MoveSettings
    ends: Ends
    tempo: TempoMap
    rate: int
    _known: _Known | None = None

    def landed(self, touches: Touches) -> Landed:
        """Where each hit goes."""
        known = None if self._known is None else self._near(self._known, touches)
        if known is None:
            known = self._all(touches)
        self._known = known
        return known.landed

    def _all(self, touches: Touches) -> _Known:
        by_onset = {touch.onset: touch.beat for touch in touches if touch.beat is not None}
        hits = self._hits(slice(0, len(self.ids)), by_onset)
        moves = moves_of(hits, self.strokes, self.asked, self.ends, self.rate)
        wanted = np.rint(moves.target).astype(np.int64)
        ordered = in_order(wanted, hits.by_hand, moves.on_lines, self._offsets)
        level = wanted - self._offsets
        below, above = np.maximum.accumulate(level), np.minimum.accumulate(level[::-1])[::-1]
        columns = hits.by_hand, moves.on_lines, moves.reasons, wanted, ordered, ordered, below, above
        known = _Known(touches, *columns)
        known.target = self._within(known)
        return known

    def _within(self, known: _Known) -> Frames:
        """None leaves the take, where all are in it and no hand has put one outside of it."""
        held = known.by_hand & ~self.ends.holds(known.ordered)
        if not self._is_inside or held.any():
            return known.ordered
        return within(known.ordered, self.ends, np.arange(len(held)), len(held))

    @cached_property
    def _offsets(self) -> Frames:
        return apart_by(self.fitted, max(1, int(LEAST_APART_SECONDS * self.rate)))

    @cached_property
    def _is_inside(self) -> bool:
        return bool(self.ends.holds(self.fitted).all())

    @cached_property
    def _by_id(self) -> tuple[NDArray[np.int64], Frames]:
        order = np.argsort(self.ids)
        return order, self.ids[order]

    @cached_property
    def _lead_lines(self) -> BeatArray:
        """The lines of the strokes as they are told from one another; empty where they do not rise."""
        lines = whole_lines(self.lines[self.strokes.leaders])
        return lines if (np.diff(lines) >= 0).all() else np.zeros(0)

    @cached_property
    def _wraps(self) -> NDArray[np.bool_]:
        """Strokes whose line is that at the start of a take of whole bars, too."""
        steps = self.steps[self.strokes.leaders]
        if not self.ends.bars or not len(steps):
            return np.zeros(len(steps), bool)
        return np.asarray(np.abs(steps - steps[0] - self.ends.bars) < SAME_STEP)

    def _hits(self, part: slice, hand: dict[OnsetId, float]) -> HitTimes:
        """The hits of a part, as a hand put them: it says in which beats."""
        ids, fitted, line_frames = self.ids[part], self.fitted[part], self.line_frames[part]
        by_hand, keeps_line = np.zeros((2, len(ids)), bool)
        asked = np.full(len(ids), np.nan)
        if hand:
            by_hand = np.isin(ids, list(hand))
        if by_hand.any():
            wanted = np.array([hand[int(onset)] for onset in ids[by_hand]])
            asked[by_hand] = np.rint(self.tempo.seconds_at(wanted) * self.rate)
            step = np.abs(self.tempo.seconds_at(self.other[part][by_hand]) * self.rate - line_frames[by_hand])
            keeps_line[by_hand] = np.abs(asked[by_hand] - line_frames[by_hand]) < 0.5 * step
        return HitTimes(
            ids,
            fitted,
            self.lines[part],
            self.steps[part],
            (fitted - line_frames).astype(np.float64),
            self.strengths[part],
            self.loudness[part],
            asked,
            by_hand,
            keeps_line,
            self.has_line[part],
            self.stays[part],
        )

    def _near(self, known: _Known, touches: Touches) -> _Known | None:
        """The same as all of it would be, or None where it takes all of it to know."""
        changed = moved_between(known.touches, touches)
        if changed is None:
            return None
        at = self._places_of(changed)
        if not len(at):
            return replace(known, touches=touches)
        reach = self._reach(known.reasons, self.strokes.of[at])
        if reach is None:
            return None
        new = known.copy()
        new.touches = touches
        moved = self._moved(new, *reach)
        span = self._span(known, new, moved)
        return None if span is None else self._ordered(new, span)

    def _places_of(self, onsets: Sequence[OnsetId]) -> NDArray[np.int64]:
        """Where onsets are among the hits; those that do not count are left out."""
        order, ids = self._by_id
        at = np.minimum(ids.searchsorted(onsets), max(0, len(ids) - 1))
        return order[at[ids[at] == onsets]] if len(ids) else at[:0]

    def _reach(self, reasons: NDArray[np.int64], strokes: NDArray[np.int64]) -> tuple[slice, slice] | None:
        """The strokes between those that part what changed from the rest, and all on these lines."""
        lines, count = self._lead_lines, len(self.strokes)
        if not len(lines):
            return None
        low = int(lines.searchsorted(lines[int(strokes.min())], "left"))
        high = int(lines.searchsorted(lines[int(strokes.max())], "right"))
        if high - low > FARTHEST:
            return None
        holds = np.isin(reasons[self.strokes.leaders[max(0, low - FARTHEST) : high + FARTHEST]], HOLDING)
        before = np.flatnonzero(holds[: min(low, FARTHEST)])
        behind = np.flatnonzero(holds[min(low, FARTHEST) + high - low :])
        first, last = low - min(low, FARTHEST) + int(before[-1]) + 1 if len(before) else 0, count
        if len(behind):
            last = high + int(behind[0])
        if (not len(before) and low > FARTHEST) or (not len(behind) and high + FARTHEST < count):
            return None
        start = int(lines.searchsorted(lines[first - 1], "left")) if first else 0
        end = int(lines.searchsorted(lines[last], "right")) if last < count else count
        if self._wraps[start:end].any() or (start == 0 and self._wraps.any()):
            return None
        return slice(first, last), slice(start, end)

    def _moved(self, new: _Known, own: slice, whole: slice) -> slice:
        """The strokes `own` worked out anew, out of all those in `whole`; which hits that are."""
        firsts = np.append(self.strokes.firsts, len(self.ids))
        part, moved = (slice(int(firsts[each.start]), int(firsts[each.stop])) for each in (whole, own))
        hits = self._hits(part, dict(beats_of_onsets(new.touches, self.ids[part].tolist())))
        strokes = Strokes(self.strokes.of[part] - whole.start, self.strokes.leaders[whole] - part.start)
        moves = moves_of(hits, strokes, self.asked.of_part(part), self.ends.without_bars, self.rate)
        at = slice(moved.start - part.start, moved.stop - part.start)
        new.by_hand[moved], new.on_lines[moved] = hits.by_hand[at], moves.on_lines[at]
        new.wanted[moved], new.reasons[moved] = np.rint(moves.target[at]), moves.reasons[at]
        return moved

    def _span(self, known: _Known, new: _Known, moved: slice) -> slice | None:
        """The hits that may give way to those that moved; None where these are too many."""
        level = new.wanted[moved] - self._offsets[moved]
        low, high = int(level.min()), int(level.max())
        first, last = max(0, moved.start - FARTHEST), min(len(self.ids), moved.stop + FARTHEST)
        before, here = known.below[first : moved.start], known.above[first + 1 : moved.start + 1]
        starts = np.flatnonzero((before <= here) & (before <= low)) + first + 1
        before, here = known.below[moved.stop - 1 : last - 1], known.above[moved.stop : last]
        stops = np.flatnonzero((before <= here) & (here >= high)) + moved.stop
        if (not len(starts) and first) or (not len(stops) and last < len(self.ids)):
            return None
        return slice(int(starts[-1]) if len(starts) else 0, int(stops[0]) if len(stops) else len(self.ids))

    def _ordered(self, new: _Known, span: slice) -> _Known:
        """With the hits of a span in order."""
        offsets = self._offsets[span]
        by_hand, on_lines, wanted = new.by_hand[span], new.on_lines[span], new.wanted[span]
        new.ordered[span] = in_order(wanted, by_hand, on_lines, offsets, span.start)
        level = wanted - offsets
        new.below[span] = np.maximum.accumulate(level)
        new.above[span] = np.minimum.accumulate(level[::-1])[::-1]
        new.target = self._within(new)
        return new
