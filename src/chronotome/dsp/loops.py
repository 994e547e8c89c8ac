"""What a file's length says about its tempo."""

from dataclasses import dataclass

import numpy as np

from chronotome.dsp.listener import Listener
from chronotome.dsp.names import tempo_in_name
from chronotome.dsp.tempo import FASTEST

LONGEST_LOOP = 90.0
LEAST_SILENCE = 0.05
SILENCE_COST = 0.001
WHOLE_TOLERANCE = 0.005
EXACT_TOLERANCE = 0.0011
"""Hits this near to one grid tell the tempo better than the end of the sound before silence does."""


@dataclass(frozen=True)
class Loop:
    """A file that is exactly `beats` beats long."""

    beats_per_minute: float
    beats: int


def loop_of(
    listener: Listener,
    measured: float,
    *,
    tolerance: float,
    name: str = "",
    beats_in_bar: int = 4,
    starts_on_one: bool = False,
) -> Loop | None:
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
    beats_in_bar : int
    starts_on_one : bool
        The file starts with beat one, as loops do: whole bars may then differ from the measure by more.
    """
    rate = listener.rate
    duration = listener.frames / rate
    if duration > LONGEST_LOOP:
        return None
    lengths = [duration]
    end = _end_of_sound(listener) / rate
    if duration - end > LEAST_SILENCE:
        lengths.append(end)
    named = tempo_in_name(name)
    best: tuple[float, Loop] | None = None
    for is_cut, length in enumerate(lengths):
        for beats in (*range(1, 17), *range(18, 65, 2), *range(68, 257, 4)):
            loop = Loop(60 * beats / length, beats)
            error = _loop_error(loop, measured)
            cost = error + SILENCE_COST * is_cut + _bar_cost(beats, beats_in_bar)
            if named and abs(loop.beats_per_minute - named) < 0.02 * named:
                cost -= 0.002
            is_whole = starts_on_one and not is_cut and beats % beats_in_bar == 0
            most = max(tolerance, WHOLE_TOLERANCE) if is_whole else tolerance
            if error < most and 50 <= loop.beats_per_minute <= FASTEST and (best is None or cost < best[0]):
                if is_cut and tolerance <= EXACT_TOLERANCE and error < EXACT_TOLERANCE:
                    loop = Loop(measured * _nearest_ratio(loop.beats_per_minute / measured), beats)
                best = (cost, loop)
    return best[1] if best else None


def _end_of_sound(listener: Listener) -> int:
    """Frames up to the last one that stands out from what the file ends with."""
    signal = np.abs(listener.part(0, listener.frames))
    floor = float(signal[-int(0.02 * listener.rate) :].max(initial=0.0))
    loud = np.flatnonzero(signal > max(2 * floor, 2e-5 * float(signal.max(initial=0.0))))
    return int(loud[-1]) + 1 if len(loud) else listener.frames


def _nearest_ratio(ratio: float) -> float:
    return min((1.0, 2.0, 0.5), key=lambda each: abs(ratio - each))


def _loop_error(loop: Loop, measured: float) -> float:
    ratios = ((1.0, 0.0), (2.0, 0.0015), (0.5, 0.0015))
    return min(abs(loop.beats_per_minute / (measured * ratio) - 1) + cost for ratio, cost in ratios)


def _bar_cost(beats: int, beats_in_bar: int) -> float:
    bars = beats / beats_in_bar
    if bars in {1, 2, 4, 8, 16, 32}:
        return 0.0
    if beats % beats_in_bar == 0:
        return 0.0003
    return 0.0006 if beats % 3 == 0 else 0.0012
