"""What can be said for certain about a mix: its joins, its peak, its loudness."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.clicks import ALLOWED, REACH, second_difference
from chronotome.dsp.loudness import loudness, peak
from chronotome.progress import Progress, unheard
from chronotome.render.mix import Side
from chronotome.render.plan import Plan
from chronotome.render.renderer import OfflineMix
from chronotome.units import Frames

AT_ONCE = 1 << 18


@dataclass(frozen=True, eq=False)
class Proof:
    """Levels in dB of each join against the roughest place as played; peak and loudness of the whole."""

    joins: Frames
    levels: NDArray[np.float64]
    peak: float
    loudness: float

    @property
    def clicks(self) -> int:
        return int((self.levels > ALLOWED).sum())


def joins_of(plan: Plan) -> Frames:
    """Session frames at which one piece gives way to another that was changed, or does not go on in it."""
    joins: list[Frames] = []
    for track in plan.tracks:
        if track.gain == 0:
            continue
        for clip in track.clips:
            score, window = clip.score, clip.window
            changed = ~score.as_recorded
            apart = (score.start[1:] != score.end[:-1]) | (
                score.heard + score.length != np.roll(score.heard, -1)
            )[:-1]
            inside = score.heard[1:][changed[:-1] | changed[1:] | apart]
            joins.append(inside[(inside > window.start) & (inside < window.end)])
            is_cut = window.start > score.heard[0]
            joins.append(np.array([window.start] if is_cut else [], np.int64))
    return np.unique(np.concatenate(joins)) if joins else np.zeros(0, np.int64)


def proof_of(mix: OfflineMix, plan: Plan, progress: Progress = unheard) -> Proof:
    """Read a mix once, as edited and as played, and check it."""
    joins = joins_of(plan)
    roughest = 1e-9
    at_joins = np.zeros(len(joins))
    loudest = 0.0
    for start in range(0, mix.frames, AT_ONCE):
        frames = min(AT_ONCE, mix.frames - start)
        roughest = max(
            roughest, float(second_difference(mix.read(start, frames, Side.AS_PLAYED)).max(initial=0))
        )
        edited = mix.read(max(0, start - REACH), frames + 2 * REACH, Side.EDITED)
        loudest = max(loudest, peak(edited))
        rough = second_difference(edited)
        inside = np.flatnonzero((joins >= start) & (joins < start + frames))
        places = joins[inside][:, None] - max(0, start - REACH) + np.arange(-REACH, REACH + 1)[None]
        at_joins[inside] = rough[np.clip(places, 0, len(rough) - 1)].max(axis=1)
        progress(0.8 * (start + frames) / mix.frames)
    levels = 20 * np.log10(at_joins / roughest + 1e-9)
    whole = loudness(mix.read(0, mix.frames), plan.rate)
    progress(1.0)
    return Proof(joins, levels, loudest, whole)
