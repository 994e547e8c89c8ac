"""Patterns -> hits: which steps sound in which round, and where they were put."""

from dataclasses import dataclass

import numpy as np

from chronotome.session.grid import TempoMap
from chronotome.session.kits import Kit
from chronotome.session.memo import by_identity
from chronotome.session.onsets import OnsetDecision, Onsets
from chronotome.session.patterns import HIGHEST_STEP, Pattern, chance
from chronotome.units import BeatArray, Frames

MOST_HITS = 50_000
"""Of one take; rounds beyond it are silent."""
CLOSE = 1e-9
USUAL_STRENGTH, STRENGTH_PER_DB = 80.0, 1.5
ROUNDS = 1 << 24
"""After so many rounds chance begins again."""


@dataclass(frozen=True, eq=False)
class PatternHits:
    """The steps of a pattern that sound in a take: columns, one entry per hit, in the order of time."""

    step: Frames
    """Where each stands in the pattern's columns."""
    round: Frames
    """Counted from the song's start."""
    beats: BeatArray
    """Of the song."""
    frames: Frames
    """Counted from the take's start, at the session's rate."""
    start: int
    """Session frame at which the take begins."""
    length: int
    """Frames of the take."""

    def __len__(self) -> int:
        return len(self.step)


@by_identity(512)
def laid_of(pattern: Pattern, beat: float, beats: float, tempo: TempoMap, rate: int) -> PatternHits:
    """A pattern played from a beat of the song on, over and over, for so many beats.

    Rounds are counted from the song's start, so that another clip draws other chances.
    """
    first = int(np.floor(beat / pattern.beats + CLOSE))
    edges = np.rint(tempo.seconds_at(np.array([beat, beat + beats])) * rate).astype(np.int64).tolist()
    rounds = int(np.ceil(beats / pattern.beats - CLOSE))
    rounds = min(rounds, MOST_HITS // max(1, len(pattern)))
    step = np.tile(np.arange(len(pattern)), rounds)
    turn = np.repeat(np.arange(rounds), len(pattern))
    counter = turn + first
    places = pattern.column("places")[step] + turn * pattern.beats
    every = pattern.column("everys")[step]
    sounds = places < beats - CLOSE
    sounds &= (counter - pattern.column("turns")[step]) % every == 0
    chances = pattern.column("chances")
    if (chances < 1.0).any():
        drawn = chance(pattern.seed, pattern.column("ids")[step], counter % ROUNDS)
        sounds &= drawn < chances[step]
    step, counter, places = step[sounds], counter[sounds], places[sounds]
    at = beat + places
    frames = np.rint(tempo.seconds_at(at) * rate).astype(np.int64) - edges[0]
    order = np.argsort(frames, kind="stable")
    return PatternHits(
        step[order], counter[order], at[order], frames[order], edges[0], max(1, edges[1] - edges[0])
    )


@by_identity(512)
def onsets_of(laid: PatternHits, pattern: Pattern, kit: Kit) -> Onsets:
    """The hits of a pattern as onsets, as strong as they are loud; at one frame each is one later."""
    count = len(laid)
    frames = np.maximum.accumulate(np.maximum(laid.frames, 0) - np.arange(count)) + np.arange(count)
    loud = pattern.column("loudness")[laid.step]
    strengths = np.clip(USUAL_STRENGTH + STRENGTH_PER_DB * loud, 1.0, 100.0)
    bands = {each.id: each.band for each in kit.slices}
    slices = pattern.column("slices")[laid.step].tolist()
    ids = hit_ids(laid, pattern)
    return Onsets(
        ids=tuple(ids.tolist()),
        frames=tuple(frames.tolist()),
        strengths=tuple(strengths.tolist()),
        bands=tuple(bands.get(each, 1) for each in slices),
        standings=(int(OnsetDecision.KEPT),) * count,
        next_id=int(ids.max(initial=0)) + 1,
        levels=tuple(np.clip(loud, -90.0, 24.0).tolist()),
        timbres=(0,) * count,
        attacks=(True,) * count,
        energies=tuple(np.clip(loud, -90.0, 24.0).tolist()),
    )


def hit_ids(laid: PatternHits, pattern: Pattern) -> Frames:
    """For each hit a number that no other has: its step's, and its round's."""
    return np.asarray(pattern.column("ids")[laid.step] + HIGHEST_STEP * (laid.round % ROUNDS))
