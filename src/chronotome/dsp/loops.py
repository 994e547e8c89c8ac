"""What a file's length and name say about its tempo."""

import re
from dataclasses import dataclass

import numpy as np

from chronotome.dsp.listener import Listener
from chronotome.dsp.tempo import FASTEST

LONGEST_LOOP = 90.0


@dataclass(frozen=True)
class Loop:
    """A file that is exactly `beats` beats long."""

    beats_per_minute: float
    beats: int


def tempo_in_name(name: str) -> float | None:
    """A number of beats per minute in a file's name, if one is there."""
    named = re.search(r"(?<![\d.])(\d{2,3}(?:[._]\d{1,2})?)\s*bpm", name, re.IGNORECASE)
    if named:
        return float(named.group(1).replace("_", "."))
    bare = [
        float(text) for text in re.findall(r"(?<![\d.a-zA-Z])(\d{2,3}(?:\.\d{1,2})?)(?![\d.a-zA-Z])", name)
    ]
    likely = [value for value in bare if 50 <= value <= FASTEST]
    return likely[-1] if likely else None


def loop_of(listener: Listener, measured: float, *, tolerance: float, name: str = "") -> Loop | None:
    """The loop that the file is, if its length (with or without trailing silence) fits the measured tempo.

    Parameters
    ----------
    listener : Listener
        Of the whole file.
    measured : float
        Beats per minute.
    tolerance : float
        Share by which the tempi may differ.
    name : str
        A tempo in it is a weak vote.
    """
    rate = listener.rate
    duration = listener.frames / rate
    if duration > LONGEST_LOOP:
        return None
    signal = listener.part(0, listener.frames)
    lengths = [duration]
    loud = np.flatnonzero(np.abs(signal) > np.abs(signal).max() * 1e-3)
    if len(loud) and duration - loud[-1] / rate > 0.05:
        lengths.append(float(loud[-1] + 1) / rate)
    named = tempo_in_name(name)
    best: tuple[float, Loop] | None = None
    for silence_cost, length in zip((0.0, 0.001), lengths, strict=False):
        for beats in (*range(1, 17), *range(18, 65, 2), *range(68, 257, 4)):
            loop = Loop(60 * beats / length, beats)
            error = _loop_error(loop, measured)
            cost = error + silence_cost + _bar_cost(beats)
            if named and abs(loop.beats_per_minute - named) < 0.02 * named:
                cost -= 0.002
            if (
                error < tolerance
                and 50 <= loop.beats_per_minute <= FASTEST
                and (best is None or cost < best[0])
            ):
                best = (cost, loop)
    return best[1] if best else None


def _loop_error(loop: Loop, measured: float) -> float:
    ratios = ((1.0, 0.0), (2.0, 0.0015), (0.5, 0.0015))
    return min(abs(loop.beats_per_minute / (measured * ratio) - 1) + cost for ratio, cost in ratios)


def _bar_cost(beats: int) -> float:
    if beats % 16 == 0 or beats in {4, 8}:
        return 0.0
    if beats % 4 == 0:
        return 0.0003
    return 0.0006 if beats % 3 == 0 else 0.0012
