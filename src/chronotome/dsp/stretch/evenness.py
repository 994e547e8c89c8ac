"""How far the level of what was stretched strays from the recording's, and what evens holes and bumps."""

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.dsp.fades import raised_cosine

STEP_SECONDS, STEPS, AROUND_SECONDS = 0.0025, 4, 0.020
"""Levels of 10 ms, so many steps, are taken at each step."""
FLOOR = -45.0
"""Decibels below the loudest place, beneath which nothing counts."""
LEAST_HOLE, LEAST_BUMP = 1.5, 0.5
"""Decibels from which on a hole is filled, and a bump taken down, which roughens nothing."""
ROUNDS, MOST_ROUNDS, WIDE = 5, 12, 3.0
"""How often the level is bent at most, and how often while it still strays by so many dB."""
BORNE, MOST, NOTHING = 0.3, 9.0, 0.05
"""Down to how many dB it is bent; by how many; what is none."""
BELL = np.array([0.15, 0.3, 0.6, 0.3, 0.15])
"""By what it bends before and after."""


class Evenness:
    """The levels of a recording's span, as the measure of what is made of it, whatever its length."""

    def __init__(self, before: Samples, rate: int) -> None:
        self._hop = max(1, int(STEP_SECONDS * rate))
        self._frames = len(before)
        self._is_long = len(before) > 2 * STEPS * self._hop
        if not self._is_long:
            return
        level = _levels(before, self._hop)
        around = int(AROUND_SECONDS * rate / self._hop)
        nearby = sliding_window_view(np.pad(level, around, mode="edge"), 2 * around + 1)
        floor = level.max() + FLOOR
        low, high = nearby.min(axis=1), nearby.max(axis=1)
        self._low, self._high = np.where(low > floor, low, -np.inf), np.maximum(high, floor)

    def strays(self, after: Samples) -> float:
        """The deepest hole or the highest bump, in dB: 0 where neither is."""
        return float(np.abs(self._stray(after)).max(initial=0.0))

    def evened(self, after: Samples, first: int, last: int, loud: int | None = None) -> Samples:
        """With holes filled up and bumps taken down by a level that bends; frames outside [first, last) stay.

        Bumps are taken down from frame `loud` on, where that is told: out of a verbatim attack that is long
        for its length. Only what is beyond the levels of the recording nearby is made up for, by at most
        9 dB each time.
        """
        if last - first < 2 * STEPS * self._hop:
            return after
        made, hop = after, self._hop
        places = np.arange(max(0, len(after) // hop - STEPS + 1)) * hop + STEPS * hop // 2
        is_high, is_low = places >= (first if loud is None else loud) + hop, places >= first + hop
        for number in range(MOST_ROUNDS):
            stray = self._stray(made)
            if not len(stray) or (number >= ROUNDS and np.abs(stray).max() < WIDE):
                break
            gains = _made_up_for(stray)
            gains[(places >= last - hop) | ~np.where(gains < 0, is_high, is_low)] = 0
            bent = np.flatnonzero(np.abs(gains) > NOTHING)
            if not len(bent):
                break
            made = made.copy() if made is after else made
            for run in np.split(bent, np.flatnonzero(np.diff(bent) > 2) + 1):
                nodes = np.pad(
                    np.exp2(gains[run[0] : run[-1] + 1] * (np.log2(10) / 20)), 1, constant_values=1.0
                )
                curve = nodes[:-1, None] + np.diff(nodes)[:, None] * raised_cosine(hop)
                low = int(places[run[0]]) - hop
                made[low : low + curve.size] *= curve.astype(np.float32).reshape(-1, 1)
        return made

    def _stray(self, after: Samples) -> NDArray[np.float64]:
        """By how many dB each step is above the loudest, or below the softest, within 20 ms of its moment."""
        if not self._is_long or len(after) <= 2 * STEPS * self._hop:
            return np.zeros(0)
        now = _levels(after, self._hop)
        middle = STEPS / 2
        there = (np.arange(len(now)) + middle) * (self._frames / len(after)) - middle
        at = np.clip(np.rint(there).astype(np.int64), 0, len(self._low) - 1)
        hole, bump = np.minimum(now - self._low[at], 0.0), np.maximum(now - self._high[at], 0.0)
        return np.asarray(hole + bump)


def _made_up_for(stray: NDArray[np.float64]) -> NDArray[np.float64]:
    """By how many dB each step is to be louder."""
    beyond = np.clip(np.abs(stray) - BORNE, 0.0, MOST)
    beyond[stray > 0] *= stray.max() >= LEAST_BUMP
    beyond[stray < 0] *= stray.min() <= -LEAST_HOLE
    return -np.convolve(np.sign(stray) * beyond, BELL, "same")


def _levels(samples: Samples, hop: int) -> NDArray[np.float64]:
    steps = samples[: len(samples) // hop * hop].reshape(-1, hop * samples.shape[1])
    sums = np.zeros(len(steps) + 1)
    np.cumsum(np.einsum("ij,ij->i", steps, steps), dtype=np.float64, out=sums[1:])
    return np.asarray(10 * np.log10((sums[STEPS:] - sums[:-STEPS]) / (STEPS * steps.shape[1]) + 1e-12))
