"""What can be said for certain about a mix: its joins, its peak, its loudness."""

from collections.abc import Iterator
from dataclasses import dataclass
from enum import IntEnum

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.dsp.clicks import ALLOWED, REACH, second_difference
from chronotome.dsp.loudness import LoudnessMeter, peak
from chronotome.progress import Progress, unheard
from chronotome.render.mix import Side
from chronotome.render.plan import ClipPlan, Plan
from chronotome.render.renderer import OfflineMix
from chronotome.units import Frames

AT_ONCE = 1 << 18


class Edge(IntEnum):
    """What a join is: between two rows of a clip, or where a clip was cut."""

    INSIDE = 0
    START = 1
    END = 2


@dataclass(frozen=True, eq=False)
class Joins:
    """Session frames of joins, in order and each once, with the clip of each and where in it they are."""

    frames: Frames
    clips: Frames
    edges: Frames
    bare: NDArray[np.bool_]
    """Where a recording itself begins or ends: a join with silence, which counts if it clicks."""

    def only(self, which: NDArray[np.bool_] | Frames) -> "Joins":
        return Joins(self.frames[which], self.clips[which], self.edges[which], self.bare[which])

    def __len__(self) -> int:
        return len(self.frames)


@dataclass(frozen=True, eq=False)
class JoinReport:
    """Levels in dB of each join against the roughest place as played; peak and loudness of the whole."""

    found: Joins
    levels: NDArray[np.float64]
    peak: float
    loudness: float

    @property
    def joins(self) -> Frames:
        return self.found.frames

    @property
    def clicks(self) -> int:
        return int((self.levels > ALLOWED).sum())


def joins_of(plan: Plan) -> Joins:
    """Where a piece gives way to one that was changed or does not go on in it, and where clips are cut."""
    parts = [
        Joins(found, np.full(len(found), clip.id), np.full(len(found), edge), np.full(len(found), is_bare))
        for clip in (clip for track in plan.tracks if track.gain != 0 for clip in track.clips)
        for edge, found, is_bare in _joins_in(clip)
    ]
    if not parts:
        return Joins(*(np.zeros(0, np.int64),) * 3, np.zeros(0, np.bool_))
    every = Joins(
        np.concatenate([each.frames for each in parts]),
        np.concatenate([each.clips for each in parts]),
        np.concatenate([each.edges for each in parts]),
        np.concatenate([each.bare for each in parts]),
    )
    order = np.lexsort((every.bare, every.frames))  # where clips meet, what was cut counts
    first = np.diff(every.frames[order], prepend=-1) > 0
    return every.only(order[first])


def _joins_in(clip: ClipPlan) -> Iterator[tuple[Edge, Frames, bool]]:
    score, window = clip.score, clip.window
    if not len(score):
        return
    changed, ends = ~score.as_recorded, score.heard + score.length
    apart = (score.start[1:] != score.end[:-1]) | (ends != np.roll(score.heard, -1))[:-1]
    inside = score.heard[1:][changed[:-1] | changed[1:] | apart]
    yield Edge.INSIDE, inside[(inside > window.start) & (inside < window.end)], False
    first, last = int(score.heard[0]), int(ends.max())
    yield Edge.START, np.array([max(window.start, first)]), window.start <= first
    yield Edge.END, np.array([min(window.end, last)]), window.end >= last


def _played_edges(plan: Plan) -> Frames:
    """Session frames at which clips begin and end as played: the file was cut there, it is no sound of it."""
    clips = [clip for track in plan.tracks for clip in track.clips]
    starts = np.array([clip.played_at for clip in clips], np.int64)
    lengths = np.array([clip.played[1] - clip.played[0] for clip in clips], np.int64)
    return np.concatenate([starts, starts + lengths])


def _around(mix: OfflineMix, start: int, frames: int) -> Samples:
    """A part of the mix as edited, with what is before and after it: silence, where there is nothing."""
    first = max(0, start - REACH)
    read = mix.read(first, start + frames + REACH - first, Side.EDITED)
    silence = np.zeros((first - start + REACH, read.shape[1]), np.float32)
    return np.concatenate([silence, read])


def proof_of(mix: OfflineMix, plan: Plan, progress: Progress = unheard) -> JoinReport:
    """Read a mix once, as edited and as played, and check it."""
    found = joins_of(plan)
    joins, meter = found.frames, LoudnessMeter(plan.rate, mix.channels)
    roughest, edges = 1e-9, _played_edges(plan)
    at_joins = np.zeros(len(joins))
    loudest = 0.0
    for start in range(0, mix.frames, AT_ONCE):
        frames = min(AT_ONCE, mix.frames - start)
        played = second_difference(mix.read(start, frames, Side.AS_PLAYED))
        for edge in edges[(edges > start - REACH) & (edges < start + frames + REACH)].tolist():
            played[max(0, edge - start - REACH) : max(0, edge - start + REACH)] = 0.0
        roughest = max(roughest, float(played.max(initial=0)))
        edited = _around(mix, start, frames)
        own = edited[REACH : REACH + frames]
        loudest = max(loudest, peak(own))
        meter.add(own)
        rough = second_difference(edited)
        last = start + frames >= mix.frames  # what ends with the mix meets silence behind it
        inside = np.flatnonzero((joins >= start) & (joins < start + frames + last))
        places = joins[inside][:, None] - start + np.arange(2 * REACH + 1)[None]
        at_joins[inside] = rough[np.clip(places, 0, len(rough) - 1)].max(axis=1)
        progress((start + frames) / mix.frames)
    levels = 20 * np.log10(at_joins / roughest + 1e-9)
    progress(1.0)
    counts = ~found.bare | (levels > ALLOWED)
    return JoinReport(found.only(counts), levels[counts], loudest, meter.value)
