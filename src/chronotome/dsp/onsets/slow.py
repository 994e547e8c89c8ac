"""Attacks that are slow, or hidden under what rings on, heard again: where they start, and if they do."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.network import Features, network
from chronotome.dsp.onsets.detectors import KINDS
from chronotome.dsp.onsets.new_energy import AFTER, newcomers_of
from chronotome.dsp.onsets.novelty import Low
from chronotome.units import Frames

UNSURE_MS, VERY_UNSURE_MS = 0.7, 0.9
"""Expected errors from which an attack is heard again, and from which only that counts."""
LISTENED = AFTER[1]
"""Seconds that a sound must go on to be heard again: the end of a recording is nothing new."""
LED_FROM, LED_WHOLLY, MOST_LED = 3.0, 6.0, 25.0
"""Milliseconds: shorter ways are not led, longer ones wholly, none farther at once."""
ROUNDS = 2
SETTLED_FROM, SETTLED_WHOLLY, MOST_SETTLED = 1.0, 2.0, 35.0
"""Milliseconds likewise, of the last step: a small one would only blur an exact frame."""
SAME, NEAR_MS = 0.006, 150.0
"""Seconds within which two are one attack; ms within which another one nearby counts."""
NOBODY = -5.0
"""Logit of no other attack nearby."""


@dataclass(frozen=True, eq=False)
class Unsure:
    """Columns of equal length: frames, their expected errors in ms, and logits of their being an onset."""

    frames: Frames
    doubts: NDArray[np.float32]
    logits: NDArray[np.float32]

    def chosen(self, which: NDArray[np.int64]) -> "Unsure":
        return Unsure(self.frames[which], self.doubts[which], self.logits[which])


@dataclass(frozen=True, eq=False)
class SlowAttackFeatures:
    """Columns of equal length: ms to the attack, its expected error in ms, and logits of its being an onset.

    `logits` has a column for each of `KINDS`; `trust` is how much of it counts, 0 to 1.
    """

    shifts: NDArray[np.float32]
    doubts: NDArray[np.float32]
    logits: NDArray[np.float32]
    trust: NDArray[np.float32]


def heard_again(every: Unsure, which: NDArray[np.int64], low: Low, rate: int) -> SlowAttackFeatures:
    """Hear what is new around the unsure ones, go where it leads, hear again, then judge from both places.

    Parameters
    ----------
    every : Unsure
        All candidates of a part, frames of the signal at `rate`.
    which : int64, shape (unsure,)
        Those to be heard again.
    """
    unsure = every.chosen(which)
    told = told_of(unsure, low, rate)
    ways = np.clip(network("settled")(told)[:, 0], -MOST_SETTLED, MOST_SETTLED)
    doubts = network("unsettled")(told)[:, 0]
    told = np.concatenate([told, settled_of(every, which, ways, doubts, rate)], axis=1)
    trust = np.clip((unsure.doubts - UNSURE_MS) / (VERY_UNSURE_MS - UNSURE_MS), 0, 1)
    return SlowAttackFeatures(
        trust * _believed(ways, SETTLED_FROM, SETTLED_WHOLLY, MOST_SETTLED),
        unsure.doubts + trust * (doubts - unsure.doubts),
        np.stack([_judged(told, kind) for kind in KINDS], axis=1),
        trust,
    )


def _judged(told: Features, kind: NDArray[np.float32]) -> NDArray[np.float32]:
    return network("amended")(np.concatenate([told, np.tile(kind, (len(told), 1))], axis=1))[:, 0]


def settled_of(
    every: Unsure, which: NDArray[np.int64], ways: NDArray[np.float32], doubts: NDArray[np.float32], rate: int
) -> Features:
    """What the judge is told besides: the way and its doubt, and ms to the other attacks and their logits."""
    frames = every.frames.astype(np.float64)
    frames[which] += ways * (rate / 1000)
    order = np.argsort(frames, kind="stable")
    places, known = frames[order], every.logits[order]
    here, same = frames[which], SAME * rate
    before = np.searchsorted(places, here - same, side="left") - 1
    after = np.searchsorted(places, here + same, side="right")
    sides = []
    for at in (before, after):
        inside = np.clip(at, 0, len(places) - 1)
        away = np.abs(places[inside] - here) * (1000 / rate)
        is_near = (at == inside) & (away < NEAR_MS)
        sides.append([np.where(is_near, away, NEAR_MS), np.where(is_near, known[inside], NOBODY)])
    (gap_before, logit_before), (gap_after, logit_after) = sides
    columns = [ways, doubts, gap_before, gap_after, logit_before, logit_after]
    return np.stack(columns, axis=1).astype(np.float32)


def _believed(ways: NDArray[np.float32], least: float, wholly: float, most: float) -> NDArray[np.float32]:
    """Nothing of short ways, all of long ones, no step between; none longer than the most."""
    return np.clip(ways, -most, most) * np.clip((np.abs(ways) - least) / (wholly - least), 0, 1)


def told_of(unsure: Unsure, low: Low, rate: int) -> Features:
    """What the networks are told: what is new around each frame and where it leads, and what was known."""
    first = new_around(unsure.frames, low, rate)
    led, new = unsure.frames, first.copy()
    for _ in range(ROUNDS):
        ways = _believed(network("led")(new)[:, 0], LED_FROM, LED_WHOLLY, MOST_LED)
        steps = np.rint(ways * (rate / 1000)).astype(np.int64)
        led, gone = led + steps, np.flatnonzero(steps)
        new[gone] = new_around(led[gone], low, rate)
    known = np.stack([(led - unsure.frames) * (1000 / rate), unsure.doubts, unsure.logits], axis=1)
    return np.concatenate([first, new, known], axis=1, dtype=np.float32)


def new_around(frames: Frames, low: Low, rate: int) -> Features:
    """What is new around each frame of the signal at `rate`."""
    return newcomers_of(low.signal, np.rint(frames / low.parts).astype(np.int64), rate / low.parts)
