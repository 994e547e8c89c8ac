"""Anchors -> rows: bent, pitched, hushed, as loud as their hits."""

from dataclasses import replace
from functools import lru_cache
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.mute_span import Hushed, MuteMethod
from chronotome.dsp.stretch.attacks import APART, REACH
from chronotome.dsp.stretch.engines import ENGINES, EngineName
from chronotome.dsp.stretch.gaps import Gap
from chronotome.dsp.stretch.segment import PLAIN, Shape
from chronotome.session.anchors import Anchors, engine_for
from chronotome.session.bends import bent, shifts_of
from chronotome.session.loudness import hit_gains_of
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import Crossover, LockGroup, Recording, Session, Take, Track
from chronotome.session.patterned import Patterned, patterned
from chronotome.session.score import NO_HIT, Score, Together, joined, mirrored
from chronotome.session.sliced import Sliced, sliced
from chronotome.session.targets import Targets
from chronotome.session.tighten import targets_of
from chronotome.units import Frames, gain_of

HUSH_REACH = 0.2
"""Seconds around a row that an engine may look at."""


def score_of(session: Session, track: Track, take: Take, anchors: Anchors) -> Score:
    """The rows of a take whose map is known; a clip's window says which of them sound."""
    if take.playing is not None:
        return patterned_of(session, track, take).score
    guide, leading = session.leading(track, take)
    group = session.group_of(track.id)
    engine = engine_for(session, guide, leading)
    is_alone = group is None or not ENGINES[engine].hears_together or _is_untouched(anchors)
    together = () if is_alone or group is None else _together(session, group, take, anchors.offset)
    targets = targets_of(session, guide, leading)
    moving, gains = guide.moving_of(leading), hit_gains_of(session, guide, leading)
    if take.slices is None:
        score = _score(take, anchors, targets, session.rate, engine, together)
    else:
        score = sliced_of(session, track, take, anchors).score
        gains = None  # it is as loud as its hits already
    if moving.semitones and take.slices is None:
        score = _pitched(score, moving.semitones, moving.keeps_formants, anchors.offset)
    if ENGINES[engine].fills_gaps and moving.gap != PLAIN.gap:
        score = _filled(score, moving.gap)
    if take.hushes:
        score = _hushed(score, take, session.recording_with(take.recording))
    if take.crossover is not None:
        score = _one_band(score, take.crossover)
    return score if gains is None else _as_loud(score, targets, gains, anchors.offset)


def patterned_of(session: Session, track: Track, take: Take, *, is_edited: bool = True) -> Patterned:
    """The hits of a take that plays a pattern, as they are heard; else where its steps were put."""
    if take.playing is None:
        raise ValueError("a take that plays a recording has no pattern")
    laid, pattern, kit = session.played_by(take, take.playing)
    targets = targets_of(session, track, take)
    is_moved = is_edited and bool((targets.target != targets.played).any())
    gains = hit_gains_of(session, track, take) if is_edited else None
    return patterned(
        take,
        laid,
        pattern,
        kit,
        session.recordings,
        targets if is_moved or gains is not None else None,
        gains,
        session.tempo,
        session.rate,
    )


def sliced_of(session: Session, track: Track, take: Take, anchors: Anchors) -> Sliced:
    """The hits of a take that was taken apart, as they are heard."""
    guide, leading = session.leading(track, take)
    engine, group = engine_for(session, guide, leading), session.group_of(track.id)
    is_alone = group is None or not ENGINES[engine].hears_together
    return sliced(
        take,
        session.recording_with(take.recording),
        anchors,
        targets_of(session, guide, leading),
        hit_gains_of(session, guide, leading),
        engine,
        guide.moving_of(leading),
        session.tempo,
        session.rate,
        () if is_alone or group is None else _together(session, group, take, anchors.offset),
    )


@by_identity(MANY)
def _score(  # noqa: PLR0917 - found again by the identity of each
    take: Take, anchors: Anchors, targets: Targets, rate: int, engine: EngineName, together: Together
) -> Score:
    start, landed, shapes = anchors.source, anchors.landed, tuple[Shape, ...]()
    if ENGINES[engine].bends and len(start) > 2:
        start, landed, shapes = bent(start, landed, anchors.attacks, anchors.offset, rate)
    score = joined(take.recording, rate, engine, start, landed, together, shapes)
    score.onset[:] = _hits_at(start, targets.onsets, targets.played, anchors.offset)
    return score if anchors.axis is None else mirrored(score, anchors.axis)


@by_identity(64)
def _hits_at(start: Frames, onsets: Frames, played: Frames, offset: int) -> Frames:
    """The hit with which each row begins."""
    if not len(played):
        return np.full(len(start) - 1, NO_HIT)
    source = played + offset
    at = np.minimum(source.searchsorted(start[:-1]), len(source) - 1)
    return np.where(source[at] == start[:-1], onsets[at], NO_HIT)


@by_identity(MANY)
def _filled(score: Score, gap: Gap) -> Score:
    """With something else in its gaps."""
    return replace(
        score, shapes=tuple(shape._replace(gap=gap) for shape in score.shapes or (PLAIN,) * len(score))
    )


@by_identity(MANY)
def _one_band(score: Score, crossover: Crossover) -> Score:
    """With one band of it only."""
    band = crossover.hertz, crossover.is_high
    return replace(
        score, shapes=tuple(shape._replace(band=band) for shape in score.shapes or (PLAIN,) * len(score))
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
            gain_of(each.level) if each.by is MuteMethod.LOWER else 0.0,
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
    ending = None if score.ending is None else np.where(last[:, None], score.ending[rows], score.gains[rows])
    columns = {
        name: getattr(score, name)[rows]
        for name in ("recording", "gains", "semitones", "is_reversed", "rises", "falls")
    }
    return replace(
        score,
        start=start,
        end=end,
        heard=heard,
        length=length,
        onset=np.where(first, score.onset[rows], NO_HIT),
        joins=np.where(last, score.joins[rows], True),
        shapes=tuple(score.shapes[row] for row in rows.tolist()) if score.shapes else (),
        ending=ending,
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
    if not score.is_reversed.any():
        least = APART * REACH * score.rate * max(1.0, 2 ** (semitones / 12))
        is_long = np.minimum(score.end - score.start, score.length) >= least
        meet = (is_long[:-1] & is_long[1:] & score.joins[:-1]).tolist()
        shapes = _going_on(shapes or (PLAIN,) * len(score), meet)
    return replace(
        score, shapes=shapes, semitones=np.full(len(score), semitones), keeps_formants=keeps_formants
    )


def _going_on(shapes: tuple[Shape, ...], meet: list[bool]) -> tuple[Shape, ...]:
    """With what each row goes on from and in; one object for those that are one and go on alike."""
    made = dict[tuple[int, bool, bool], Shape]()
    for shape, before, after in zip(shapes, [False, *meet], [*meet, False], strict=True):
        if (id(shape), before, after) not in made:
            made[id(shape), before, after] = shape._replace(goes_on=(before, after))
    ends = zip(shapes, [False, *meet], [*meet, False], strict=True)
    return tuple(made[id(shape), before, after] for shape, before, after in ends)


@by_identity(MANY)
def _as_loud(score: Score, targets: Targets, gains: NDArray[np.float64], offset: int) -> Score:
    """Each row as loud as its hit, or as the last one before it; what nothing moved is cut at hits."""
    hits = targets.played + offset
    if not len(hits):
        return score
    score = _cut_at(score, hits)
    at = hits.searchsorted(score.start, "right") - 1
    loud = 10 ** (gains[np.maximum(at, 0)] / 20)
    loud = np.where(at >= 0, loud, 1.0)
    return replace(score, gains=np.stack([loud, loud], axis=1))


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
