"""What sounds where, as rows: the one thing that drawing, checking and rendering read."""

from dataclasses import dataclass, replace
from functools import cached_property, lru_cache
from itertools import pairwise
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.hush import HushBy, Hushed
from chronotome.dsp.stretch.engines import EngineName, Gap
from chronotome.dsp.stretch.segment import ENGINES, PLAIN, Shape
from chronotome.session.anchors import Anchors, engine_for
from chronotome.session.limits import ContentHash
from chronotome.session.loudness import hit_gains_of
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import LockGroup, Recording, Session, Take, Track
from chronotome.session.targets import Targets
from chronotome.session.tighten import targets_of
from chronotome.units import Frames, gain_of

Together = tuple[tuple[ContentHash, int], ...]
"""Recordings rendered as one, each with its distance in frames from the one at hand; empty: alone."""
SEAM_SECONDS, SEAM_SLACK = 1.0, 0.3
"""Without an attack for so long, a span is cut: what a hand moves is rendered anew, and no more."""
SHIFT_STEP = 0.1
"""Seconds: attacks that are moved by less than half of it leave long tones behind them as they are."""
HUSH_REACH = 0.2
"""Seconds around a row that an engine may look at."""
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
    """(rows, 2): left and right, times those of clip and track."""
    semitones: NDArray[np.float64]
    is_reversed: NDArray[np.bool_]
    fade_in: Frames
    """Frames over which it comes in, within its length, as `fade_out`."""
    fade_out: Frames
    loud: NDArray[np.float64]
    """How loud each is in both channels; where it joins, its end leads to how loud the next is."""
    joins: NDArray[np.bool_]
    """Where True nothing is between this row and the next: its end leads into the attack that follows."""
    together: Together = ()
    shapes: tuple[Shape, ...] = ()
    """What each is between its ends; empty: nothing in particular."""
    keeps_formants: bool = False
    """Whether what is at another pitch keeps its colour."""

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
        """Whether all rows are as loud as they were played, and neither come in nor go out by themselves."""
        usual = _usual(len(self))
        if self.gains is usual.gains and self.fade_in is self.fade_out is usual.nothing:
            return True
        return bool((self.gains == 1.0).all() and not self.fade_in.any() and not self.fade_out.any())

    @cached_property
    def is_even(self) -> bool:
        """Whether every row is as loud as it was played."""
        return self.loud is _usual(len(self)).loud or bool((self.loud == 1.0).all())

    @cached_property
    def loud_ends(self) -> NDArray[np.float64]:
        """How loud each row is at its end: as the next one where it joins."""
        return np.where(self.joins, np.append(self.loud[1:], self.loud[-1:]), self.loud)

    @cached_property
    def as_recorded(self) -> NDArray[np.bool_]:
        """True for each row that is the very frames of its recording."""
        same = (self.length == self.end - self.start) & ~self.is_reversed
        if self.shapes:
            same &= np.array(
                [not (shape.bends or shape.hushed or any(shape.shifts)) for shape in self.shapes]
            )
        return np.asarray(same & (self.semitones == 0.0))

    @cached_property
    def shape(self) -> Frames:
        """A number for each shape; equal ones have the same."""
        if not self.shapes:
            return _usual(len(self)).nothing
        known = {id(shape): 0 if shape == PLAIN else hash(shape) for shape in self.shapes}
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


def score_of(session: Session, track: Track, take: Take, anchors: Anchors) -> Score:
    """The rows of a take whose map is known; a clip's window says which of them sound."""
    guide, leading = session.leading(track, take)
    group = session.group_of(track.id)
    engine = engine_for(session, guide, leading)
    is_alone = group is None or not ENGINES[engine].hears_together or _is_untouched(anchors)
    together = () if is_alone or group is None else _together(session, group, take, anchors.offset)
    targets = targets_of(session, guide, leading)
    score = _score(take, anchors, targets, session.rate, engine, together)
    moving = guide.moving_of(leading)
    score = (
        _pitched(score, moving.semitones, moving.keeps_formants, anchors.offset)
        if moving.semitones
        else score
    )
    if engine is EngineName.CUTTING and moving.gap != PLAIN.gap:
        score = _filled(score, moving.gap)
    if take.hushes:
        score = _hushed(score, take, session.recording_of(take))
    gains = hit_gains_of(session, guide, leading)
    return score if gains is None else _as_loud(score, targets, gains, anchors.offset)


@by_identity(MANY)
def _score(  # noqa: PLR0917 - found again by the identity of each
    take: Take, anchors: Anchors, targets: Targets, rate: int, engine: EngineName, together: Together
) -> Score:
    start, landed, shapes = anchors.source, anchors.landed, tuple[Shape, ...]()
    if ENGINES[engine].bends and len(start) > 2:
        start, landed, shapes = _bent(anchors, rate)
    score = joined(take.recording, rate, engine, start, landed, together, shapes)
    played = targets.played + anchors.offset
    at = np.minimum(played.searchsorted(start[:-1]), max(0, len(played) - 1))
    if len(played):
        score.onset[:] = np.where(played[at] == start[:-1], targets.onsets[at], NO_HIT)
    return score if anchors.axis is None else mirrored(score, anchors.axis)


@by_identity(MANY)
def _filled(score: Score, gap: Gap) -> Score:
    """With something else in its gaps."""
    return replace(
        score, shapes=tuple(shape._replace(gap=gap) for shape in score.shapes or (PLAIN,) * len(score))
    )


@by_identity(MANY)
def _hushed(score: Score, take: Take, recording: Recording) -> Score:
    """With what is not to be heard: each row knows of what it plays, and what it may look at."""
    ratio = score.rate / recording.rate
    spans = [
        Hushed(
            round(each.start * ratio),
            round(each.end * ratio),
            each.by,
            gain_of(each.level) if each.by is HushBy.LOWER else 0.0,
            (round(each.room_start * ratio), round(each.room_end * ratio)),
        )
        for each in take.hushes
    ]
    starts, ends = (np.array([span[side] for span in spans]) for side in (0, 1))
    score = _cut_at(score, np.unique(np.concatenate([starts, ends])))
    near = round(HUSH_REACH * score.rate)
    low, high = ends.searchsorted(score.start - near, "right"), starts.searchsorted(score.end + near, "left")
    shapes = list(score.shapes or (PLAIN,) * len(score))
    for row in np.flatnonzero(high > low).tolist():
        first, last = int(low[row]), int(high[row])
        is_heard = any(
            span.start < score.end[row] and span.end > score.start[row] for span in spans[first:last]
        )
        changed = is_heard or score.length[row] != score.end[row] - score.start[row] or shapes[row].bends
        if changed:
            shapes[row] = shapes[row]._replace(hushed=tuple(spans[first:last]))
    return replace(score, shapes=tuple(shapes))


def _cut_at(score: Score, edges: Frames) -> Score:
    """With rows that are as recorded cut at source frames within them: only what is hushed is rendered."""
    inside = (edges[None] > score.start[:, None]) & (edges[None] < score.end[:, None])
    inside &= score.as_recorded[:, None]
    parts = 1 + inside.sum(1)
    if (parts == 1).all():
        return score
    rows = np.repeat(np.arange(len(score)), parts)
    first = np.diff(rows, prepend=-1) > 0
    last = np.append(first[1:], True)
    cuts = edges[np.nonzero(inside)[1]]
    start, end = score.start[rows].copy(), score.end[rows].copy()
    start[~first], end[~last] = cuts, cuts
    whole = score.as_recorded[rows]
    length = np.where(whole, end - start, score.length[rows])
    heard = score.heard[rows] + np.where(whole, start - score.start[rows], 0)
    columns = {
        name: getattr(score, name)[rows]
        for name in ("recording", "gains", "semitones", "is_reversed", "loud")
    }
    return replace(
        score,
        start=start,
        end=end,
        heard=heard,
        length=length,
        onset=np.where(first, score.onset[rows], NO_HIT),
        fade_in=np.where(first, score.fade_in[rows], 0),
        fade_out=np.where(last, score.fade_out[rows], 0),
        joins=np.where(last, score.joins[rows], True),
        shapes=tuple(score.shapes[row] for row in rows.tolist()) if score.shapes else (),
        **columns,
    )


@by_identity(MANY)
def _pitched(score: Score, semitones: float, keeps_formants: bool, offset: int) -> Score:  # noqa: FBT001 - found again by it
    """All of it at another pitch: before it is read faster or slower, seams are that much farther on."""
    shapes = score.shapes
    if score.is_reversed.any():  # from the end to the start rows meet the other way round
        shapes = tuple(shape._replace(shifts=(0, 0)) for shape in shapes)
    elif any(shape.begins_softly for shape in shapes):
        edges = np.append(score.start, score.end[-1])
        heard = np.append(score.heard, score.heard[-1] + score.length[-1]) + offset
        is_seam = np.array([*(shape.begins_softly for shape in shapes), False])
        pairs = pairwise(shifts_of(edges, heard, is_seam, score.rate, 2 ** (semitones / 12)).tolist())
        shapes = tuple(shape._replace(shifts=pair) for shape, pair in zip(shapes, pairs, strict=True))
    return replace(
        score, shapes=shapes, semitones=np.full(len(score), semitones), keeps_formants=keeps_formants
    )


def _bent(anchors: Anchors, rate: int) -> tuple[Frames, Frames, tuple[Shape, ...]]:
    """Anchors that are attacks, and seams where these are far apart; the others bend what is between.

    Seams lie in equal parts between two attacks: they depend on nothing that a hand moves.
    """
    source, landed = anchors.source, anchors.landed
    is_hard = np.ones(len(source), bool) if anchors.attacks is None else anchors.attacks.copy()
    is_hard[[0, -1]] = True
    ends = source[is_hard]
    parts = np.maximum(1, np.ceil(np.diff(ends) / (SEAM_SECONDS * rate) - SEAM_SLACK)).astype(np.int64)
    number = np.arange(parts.sum()) - np.repeat(np.cumsum(parts) - parts, parts)
    starts = np.repeat(ends[:-1], parts)
    edges = starts + number * np.repeat(np.diff(ends), parts) // np.repeat(parts, parts)
    edges = np.append(edges, ends[-1])
    is_seam = np.append(number > 0, False)
    heard = np.where(np.isin(edges, source), 0, np.rint(np.interp(edges, source, landed))).astype(np.int64)
    known = np.isin(edges, source)
    heard[known] = landed[np.searchsorted(source, edges[known])]
    keeps = np.append(np.diff(heard) > 0, True) | ~is_seam
    edges, heard, is_seam = edges[keeps], heard[keeps], is_seam[keeps]
    shifts = shifts_of(edges, heard + anchors.offset, is_seam, rate)
    soft, to = source[~is_hard], landed[~is_hard]
    if not len(soft) and not is_seam.any():
        return edges, heard, ()
    low, high = np.searchsorted(soft, edges[:-1], "right"), np.searchsorted(soft, edges[1:], "left")
    kinds = [Shape((), begins, ends) for begins in (False, True) for ends in (False, True)]
    shapes = [kinds[each] for each in (2 * is_seam[:-1] + is_seam[1:]).tolist()]
    for row in np.flatnonzero((shifts[:-1] != 0) | (shifts[1:] != 0)).tolist():
        shapes[row] = shapes[row]._replace(shifts=(int(shifts[row]), int(shifts[row + 1])))
    for row in np.flatnonzero(high > low).tolist():
        of, there = (side[low[row] : high[row]] - ends[row] for side, ends in ((soft, edges), (to, heard)))
        is_plain = edges[row + 1] - edges[row] == heard[row + 1] - heard[row] and (of == there).all()
        if not is_plain:
            bends = tuple(zip(of.tolist(), there.tolist(), strict=True))
            shapes[row] = shapes[row]._replace(bends=bends)
    return edges, heard, tuple(shapes)


def shifts_of(
    edges: Frames, heard: Frames, is_seam: NDArray[np.bool_], rate: int, ratio: float = 1.0
) -> Frames:
    """Frames by which each seam is heard later than it was played, counted from the attack before it.

    Of more than two rows between attacks from about there, in round numbers from where it was played: a moved
    attack renders the next two anew. `ratio` is how much longer all of it is made, to be read faster.
    """
    attack = np.maximum.accumulate(np.where(is_seam, 0, np.arange(len(edges))))
    seams = np.bincount(attack, minlength=len(edges))[attack] - 1
    step, moved = round(SHIFT_STEP * rate), (heard - edges)[attack]
    moved = np.where(seams > 1, step * np.rint(moved / step).astype(np.int64), moved)
    from_attack = np.rint(ratio * (heard - edges[attack] - moved)).astype(np.int64)
    return np.where(is_seam, from_attack - (edges - edges[attack]), 0)


@by_identity(MANY)
def _as_loud(score: Score, targets: Targets, gains: NDArray[np.float64], offset: int) -> Score:
    """Each row as loud as its hit, or as the last one before it; what nothing moved is cut at hits."""
    hits = targets.played + offset
    if not len(hits):
        return score
    score = _cut_at(score, hits)
    at = hits.searchsorted(score.start, "right") - 1
    loud = 10 ** (gains[np.maximum(at, 0)] / 20)
    return replace(score, loud=np.where(at >= 0, loud, 1.0))


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
        usual.nothing,
        usual.nothing,
        usual.loud,
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
    loud: NDArray[np.float64]
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
        np.ones(count),
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
        score.fade_out[order],
        score.fade_in[order],
        score.loud[order],
        score.joins[order],
        score.together,
        tuple(score.shapes[at] for at in order.tolist()) if score.shapes else (),
    )


def _is_untouched(anchors: Anchors) -> bool:
    """Whether all of it sounds where it was played."""
    return len(anchors.source) == 2 and bool((anchors.landed - anchors.source == -anchors.offset).all())


def _together(session: Session, group: LockGroup, take: Take, offset: int) -> Together:
    """The recordings of a lock group, each with how much later the same moment is in it than at `offset`."""
    beside = (session.beside(session.track(each), take) for each in group.tracks)
    return _same(
        tuple(
            (other.recording, session.source_at_session_rate(other)[0] - other.start - offset)
            for other in beside
            if other is not None
        )
    )


@lru_cache(maxsize=1024)
def _same(together: Together) -> Together:
    """One object for equal ones: scores are found by identity."""
    return together
