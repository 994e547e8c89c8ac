"""What can be said for certain about a mix: its joins, its peak, its loudness."""

from collections.abc import Iterator
from dataclasses import dataclass
from enum import IntEnum

import numpy as np
from numpy.typing import NDArray

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

    def __len__(self) -> int:
        return len(self.frames)


@dataclass(frozen=True, eq=False)
class Proof:
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
    frames, clips, edges = list[Frames](), list[Frames](), list[Frames]()
    for clip in (clip for track in plan.tracks if track.gain != 0 for clip in track.clips):
        for edge, found in _joins_in(clip):
            frames.append(found)
            clips.append(np.full(len(found), clip.id))
            edges.append(np.full(len(found), edge))
    if not frames:
        return Joins(*(np.zeros(0, np.int64),) * 3)
    every = np.concatenate(frames)
    places, first = np.unique(every, return_index=True)
    return Joins(places, np.concatenate(clips)[first], np.concatenate(edges)[first])


def _joins_in(clip: ClipPlan) -> Iterator[tuple[Edge, Frames]]:
    score, window = clip.score, clip.window
    if not len(score):
        return
    changed, ends = ~score.as_recorded, score.heard + score.length
    apart = (score.start[1:] != score.end[:-1]) | (ends != np.roll(score.heard, -1))[:-1]
    inside = score.heard[1:][changed[:-1] | changed[1:] | apart]
    yield Edge.INSIDE, inside[(inside > window.start) & (inside < window.end)]
    yield Edge.START, np.array([window.start] if window.start > score.heard[0] else [], np.int64)
    yield Edge.END, np.array([window.end] if window.end < ends.max() else [], np.int64)


def proof_of(mix: OfflineMix, plan: Plan, progress: Progress = unheard) -> Proof:
    """Read a mix once, as edited and as played, and check it."""
    found = joins_of(plan)
    joins, meter = found.frames, LoudnessMeter(plan.rate, mix.channels)
    roughest = 1e-9
    at_joins = np.zeros(len(joins))
    loudest = 0.0
    for start in range(0, mix.frames, AT_ONCE):
        frames = min(AT_ONCE, mix.frames - start)
        roughest = max(
            roughest, float(second_difference(mix.read(start, frames, Side.AS_PLAYED)).max(initial=0))
        )
        edited = mix.read(max(0, start - REACH), frames + 2 * REACH, Side.EDITED)
        own = edited[min(start, REACH) :][:frames]
        loudest = max(loudest, peak(own))
        meter.add(own)
        rough = second_difference(edited)
        inside = np.flatnonzero((joins >= start) & (joins < start + frames))
        places = joins[inside][:, None] - max(0, start - REACH) + np.arange(-REACH, REACH + 1)[None]
        at_joins[inside] = rough[np.clip(places, 0, len(rough) - 1)].max(axis=1)
        progress((start + frames) / mix.frames)
    levels = 20 * np.log10(at_joins / roughest + 1e-9)
    progress(1.0)
    return Proof(found, levels, loudest, meter.value)
