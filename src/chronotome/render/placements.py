"""Where the pieces of a track's clips lie in a mix: rendered rows -> placements, parts and lanes."""

import heapq
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from operator import is_ as is_same

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.segment import LEAD_IN
from chronotome.render.cache import Rendered
from chronotome.render.mix import EVEN, PART_COLUMNS, GainSegment, MixLane, Parts, Side
from chronotome.render.plan import ClipPlan, Fade, TrackPlan
from chronotome.render.pool import Source
from chronotome.session.score import Score
from chronotome.units import Frames

MOST_LOST = 0.75
"""Of a take whose hits were deleted: as played it is at most 6 dB softer, to be as loud as what is left."""


@dataclass(eq=False)
class Placed:
    """What is known of a score's rows: where the piece of each lies in the arena, and its gain in energy.

    Invariant: columns as long as the score; `ready` is False where a piece was not rendered yet, `wanted`
    where no clip lets it sound.
    """

    score: Score
    sources: tuple[Source, ...]
    channels: Frames
    offsets: Frames
    gained: NDArray[np.float64]
    rough: NDArray[np.float64]
    """The loudest second difference of each piece that was rendered; 0 of what is as recorded."""
    ready: NDArray[np.bool_]
    wanted: NDArray[np.bool_]
    _is_whole: bool = False

    def put(self, piece: int, rendered: Rendered) -> None:
        self.offsets[piece] = rendered.region.offset
        self.gained[piece] = rendered.gained
        self.rough[piece] = rendered.rough
        self.ready[piece] = True

    @property
    def is_whole(self) -> bool:
        """Whether every piece is rendered."""
        if not self._is_whole:
            self._is_whole = bool(self.ready.all())
        return self._is_whole

    def is_of(self, score: Score, sources: tuple[Source, ...]) -> bool:
        """Whether nothing is to be found out any more."""
        return self.score is score and self.has(sources) and self.is_whole

    def has(self, sources: tuple[Source, ...]) -> bool:
        return len(sources) == len(self.sources) and all(map(is_same, sources, self.sources))


class _Loudness:
    """How much louder all of it is as edited than as played; parts of one score add up to the whole of it."""

    def __init__(self) -> None:
        self._scores: dict[tuple[int, float], tuple[Placed, Frames, list[int]]] = {}
        self._apart: dict[int, int] = {}
        """Of scores that were taken apart, how many frames were."""

    def add(self, clip: ClipPlan, known: Placed, gain: float) -> None:
        score, rows, window = clip.score, clip.rows, clip.window
        key = (id(score), gain)
        if key not in self._scores:
            self._scores[key] = known, np.zeros(len(score), np.int64), []
        if clip.sliced is not None:
            self._apart[id(score)] = clip.sliced.frames
        _, heard_frames, source_frames = self._scores[key]
        ends = np.minimum(score.heard[rows] + score.length[rows], window.end)
        heard_frames[rows] += ends - np.maximum(score.heard[rows], window.start)
        source_frames.append(clip.played[1] - clip.played[0])

    @property
    def sums(self) -> tuple[float, float]:
        """Energy as played, and what is gained as edited."""
        total = gained = 0.0
        for (_, gain), (known, heard_frames, source_frames) in self._scores.items():
            score = known.score
            spans = score.end - score.start
            energy, whole = known.sources[0].energy, int(spans.sum())
            if len(known.sources) > 1:
                frames = np.bincount(score.recording, spans, len(known.sources)) / whole
                shares = zip(known.sources, frames.tolist(), strict=True)
                energy = sum(source.energy * share for source, share in shares)
            if id(score) in self._apart:  # as much as is heard of it, as loud as it is
                whole = self._apart[id(score)]
                heard = float((heard_frames / score.length * spans * (score.gains**2).mean(axis=1)).sum())
                lost = min(sum(source_frames) - heard, MOST_LOST * sum(source_frames))
                gained -= lost / whole * energy * gain**2
            total += sum(source_frames) / whole * energy * gain**2
            gained += float((heard_frames / score.length * known.gained).sum()) * gain**2
        return total, gained


@dataclass(frozen=True, eq=False)
class TrackPlacement:
    """A track as it stands in a mix; the parts of its lanes count from 0."""

    track: TrackPlan
    knowns: tuple[Placed | None, ...]
    """Of its clips as edited, then as played where that is a score of its own."""
    is_whole: bool
    lanes: tuple[MixLane, ...]
    parts: Parts
    total: float
    gained: float

    def is_of(self, track: TrackPlan, knowns: tuple[Placed | None, ...]) -> bool:
        """Whether it is still so: the very same clips, and all of them rendered."""
        return (
            self.is_whole
            and self.track.clips is track.clips
            and (self.track.gain, self.track.sides) == (track.gain, track.sides)
            and all(new is old for new, old in zip(knowns, self.knowns, strict=True))
        )


def laid_out(
    track: TrackPlan, knowns: tuple[Placed | None, ...], played_by: tuple[Placed | None, ...]
) -> TrackPlacement:
    edited, played = _Spread(Side.EDITED), _Spread(Side.AS_PLAYED)
    parts, count, loudness = [np.zeros((0, PART_COLUMNS))], 0, _Loudness()
    for clip, known, other in zip(track.clips, knowns, played_by, strict=True):
        gain = track.gain * clip.gain
        if known is None or not gain:
            continue
        if clip.as_played is not None:
            for spread, each in ((played, other or known), (edited, known)):
                placements = _rows(clip, each)
                parts.append(_row_parts(clip, each.score, gain, track.sides, placements))
                spread.add(placements, count)
                count += len(parts[-1])
            continue
        loudness.add(clip, known, gain)
        placements = _rows(clip, known)
        parts.append(_played_part(clip, gain, track.sides).row())
        played.add(_played(clip, known.sources[0]), count)
        parts.append(_row_parts(clip, known.score, gain, track.sides, placements))
        edited.add(placements, count + 1)
        count += 1 + len(parts[-1])
    is_whole = all(known is not None and known.is_whole for known in knowns)
    is_whole &= all(known is None or known.is_whole for known in played_by)
    lanes = (*played.lanes(), *edited.lanes())
    return TrackPlacement(
        track, (*knowns, *played_by), is_whole, lanes, np.concatenate(parts), *loudness.sums
    )


class _Spread:
    """Clips of a track laid out over as few lanes as need be: no two in one lane sound at once."""

    def __init__(self, side: Side) -> None:
        self._side = side
        self._lanes: list[list[tuple[Frames, ...]]] = []
        self._louds: list[list[NDArray[np.float64] | None]] = []
        self._ends: list[int] = []

    def add(self, placements: "_Placements", part: int) -> None:
        """Lay a clip's placements out; `part` is the number of the first part they name."""
        for run in placements.runs():
            starts, lengths = run.starts, run.lengths
            free = (lane for lane, end in enumerate(self._ends) if end <= starts[0])
            lane = next(free, len(self._lanes))
            if lane == len(self._lanes):
                self._lanes.append([])
                self._louds.append([])
                self._ends.append(0)
            self._lanes[lane].append((starts, lengths, run.offsets, run.channels, run.parts + part))
            self._louds[lane].append(run.loud)
            self._ends[lane] = int(starts[-1] + lengths[-1])

    def lanes(self) -> Iterator[MixLane]:
        for clips, louds in zip(self._lanes, self._louds, strict=True):
            starts, lengths, offsets, channels, parts = (
                np.concatenate(column) for column in zip(*clips, strict=True)
            )
            loud = _louds(louds, [len(clip[0]) for clip in clips])
            yield MixLane(self._side, starts, lengths, offsets, channels, parts, loud)


def _louds(louds: Sequence[NDArray[np.float64] | None], counts: Sequence[int]) -> NDArray[np.float64] | None:
    """Those of several clips as one; None where all are as loud as they were played."""
    if all(each is None for each in louds):
        return None
    pairs = zip(louds, counts, strict=True)
    return np.concatenate([np.repeat(EVEN, n, axis=1) if each is None else each for each, n in pairs], axis=1)


@dataclass(frozen=True, eq=False)
class _Placements:
    """Of one clip: where they start, how long they are, where their samples lie, and which row each plays.

    Invariant: `starts` rises. `parts` counts from the clip's first part.
    """

    starts: Frames
    lengths: Frames
    offsets: Frames
    channels: Frames
    parts: Frames
    rows: Frames
    loud: NDArray[np.float64] | None = None
    """As a lane has it."""

    def runs(self) -> Iterator["_Placements"]:
        """As few as need be in which none begins before the one before it has ended."""
        if not len(self.starts):
            return
        ends = self.starts + self.lengths
        if (self.starts[1:] >= np.maximum.accumulate(ends)[:-1]).all():
            yield self
            return
        free, runs = list[tuple[int, int]](), np.zeros(len(ends), np.int64)
        for at, (start, end) in enumerate(zip(self.starts.tolist(), ends.tolist(), strict=True)):
            if free and free[0][0] <= start:  # the run that has been silent longest goes on
                run = heapq.heapreplace(free, (end, free[0][1]))[1]
            else:
                run = len(free)
                heapq.heappush(free, (end, run))
            runs[at] = run
        for run in range(len(free)):
            yield self.only(runs == run)

    def only(self, which: NDArray[np.bool_]) -> "_Placements":
        loud = None if self.loud is None else self.loud[:, which]
        return _Placements(
            self.starts[which],
            self.lengths[which],
            self.offsets[which],
            self.channels[which],
            self.parts[which],
            self.rows[which],
            loud,
        )


def _rows(clip: ClipPlan, known: Placed) -> _Placements:
    """The rows that are ready, each only as far as the window lets it sound."""
    window, score = clip.window, known.score
    rows = clip.rows_of(score)
    heard, length = score.heard[rows], score.length[rows]
    begins, ends = np.maximum(heard, window.start), np.minimum(heard + length, window.end)
    channels, numbers = known.channels[rows], np.arange(rows.start, rows.stop)
    offsets = known.offsets[rows] + (begins - heard) * channels
    nothing, loud = np.zeros(len(begins), np.int64), None
    if not score.is_even:
        is_whole = ends == heard + length
        gains = score.gains[rows]
        ending = np.where(is_whole[:, None], score.gains_at_end[rows], gains)
        over = np.minimum(np.minimum(round(LEAD_IN * score.rate), length // 4), ends - begins)
        loud = np.concatenate([gains.T, ending.T, np.maximum(over, 0)[None]])
    found = _Placements(begins, ends - begins, offsets, channels, nothing, numbers, loud)
    sounds = known.ready[rows] & (ends > begins)
    found = found if sounds.all() else found.only(sounds)
    if score.is_plain:
        return found
    has_edges = score.has_edges[found.rows]
    return replace(found, parts=np.where(has_edges, np.cumsum(has_edges), 0))


def _played(clip: ClipPlan, source: Source) -> _Placements:
    """The clip's span as it was recorded."""
    (first, last), region = clip.played, source.region
    values = (clip.played_at, last - first, region.offset + first * region.channels, region.channels, 0, 0)
    return _Placements(*(np.array([each]) for each in values))


def _played_part(clip: ClipPlan, gain: float, sides: tuple[float, float]) -> GainSegment:
    """How loud a clip is as played, and how it begins and ends."""
    begin, end = clip.played_at, clip.played_at + clip.played[1] - clip.played[0]
    rise, fall = clip.fade_in or Fade(0, 0), clip.fade_out or Fade(0, 0)
    up, down = (min(each.end - each.start, end - begin) for each in (rise, fall))
    left, right = (gain * side for side in sides)
    return GainSegment(
        left, right, (begin, begin + up) if up else (0, 0), (end - down, end) if down else (0, 0)
    )


def _row_parts(
    clip: ClipPlan, score: Score, gain: float, sides: tuple[float, float], placements: _Placements
) -> Parts:
    """Of its rows: one part for all, and one for each that comes in or goes out by itself."""
    rise, fall = clip.fade_in or Fade(0, 0), clip.fade_out or Fade(0, 0)
    part = GainSegment(gain * sides[0], gain * sides[1], rise, fall).row()
    if score.is_plain:
        return part
    rows = placements.rows[score.has_edges[placements.rows]]
    parts = np.repeat(part, 1 + len(rows), axis=0)
    parts[1:, 6:8], parts[1:, 8:10] = score.rises[rows], score.falls[rows]
    return parts
