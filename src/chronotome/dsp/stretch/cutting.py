"""Slices move whole; a gap behind one is filled from its own tail."""

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.dsp.fades import crossfade, raised_cosine
from chronotome.dsp.stretch.engines import Fill

TAIL_SECONDS = 0.08
TURN_FADE_SECONDS = 0.005
FASTEST_DECAY = 1e-3


def cut_to_length(  # noqa: PLR0917 - as engines are called, and what comes into the gap
    source: Samples, rate: int, start: int, end: int, length: int, fill: Fill = Fill.TO_AND_FRO
) -> Samples:
    """Source frames from `start` on, verbatim; past `end` comes the tail, its level falling on, or nothing.

    Returns
    -------
    float32, shape (length, channels)
    """
    inside = np.zeros((end - start, source.shape[1]), np.float32)
    low, high = max(0, start), min(end, len(source))
    inside[low - start : max(low, high) - start] = source[low:high]
    if length <= len(inside):
        return inside[:length]
    filled = np.zeros((length, source.shape[1]), np.float32)
    filled[: len(inside)] = inside
    if fill is Fill.NOTHING:
        fade = min(int(TURN_FADE_SECONDS * rate), len(inside))
        filled[len(inside) - fade : len(inside)] *= raised_cosine(fade)[::-1, None]
    elif len(inside) >= 32:
        _fill_from_tail(filled, len(inside), rate, fill)
    return filled


def _level(samples: Samples) -> float:
    return float(np.sqrt(np.mean(samples * samples) + 1e-12))


def _fill_from_tail(filled: Samples, position: int, rate: int, fill: Fill) -> None:
    span = max(16, int(min(position * 0.5, TAIL_SECONDS * rate)))
    tail = filled[position - span : position].copy()
    half = span // 2
    per_frame = min(1.0, _level(tail[half:]) / _level(tail[:half])) ** (2.0 / span)
    per_frame = max(per_frame, FASTEST_DECAY ** (1 / span))
    fade = max(1, min(int(TURN_FADE_SECONDS * rate), span // 3))
    frames = np.arange(span)
    elapsed, is_turned = 0, fill is not Fill.AGAIN
    while position < len(filled):
        if is_turned:  # wanted level over its own: turned round, it rises by itself
            turn = tail[::-1] * (per_frame ** (elapsed + 2 * frames)).astype(np.float32)[:, None]
        else:
            turn = tail * np.float32(per_frame ** (span + elapsed))
        filled[position - fade : position] = crossfade(filled[position - fade : position], turn[:fade])
        more = min(span - fade, len(filled) - position)
        filled[position : position + more] = turn[fade : fade + more]
        position += more
        elapsed += more
        is_turned ^= fill is Fill.TO_AND_FRO
