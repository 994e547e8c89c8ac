"""Slices move whole; a gap behind one is filled from its own tail, with the room's tone, or not at all."""

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.dsp.fades import crossfade, firm, raised_cosine, straight
from chronotome.dsp.mute_span import room_tone
from chronotome.dsp.stretch.gaps import Crossing, Fill, Gap

TAIL_SECONDS = 0.08
FASTEST_DECAY = 1e-3
CURVES = {Crossing.SMOOTH: raised_cosine, Crossing.STRAIGHT: straight, Crossing.FIRM: firm}
USUAL = Gap()


def cut_to_length(  # noqa: PLR0917 - as engines are called, and what comes into the gap
    source: Samples,
    rate: int,
    start: int,
    end: int,
    length: int,
    gap: Gap = USUAL,
    room: Samples | None = None,
) -> Samples:
    """Source frames from `start` on, verbatim; past `end` comes what fills the gap.

    A tail goes on falling in level as it fell; `room` is the recording's quiet place.

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
    fade = max(1, int(gap.fade * rate))
    if gap.fill is Fill.NOTHING or (gap.fill is Fill.ROOM and room is None):
        fade = min(fade, len(inside))
        filled[len(inside) - fade : len(inside)] *= CURVES[gap.crossing](fade)[::-1, None]
    elif gap.fill is Fill.ROOM and room is not None:
        begin = len(inside) - min(fade, len(inside))
        tone = room_tone(room, length - begin, rate)
        over = len(inside) - begin
        filled[begin : len(inside)] = crossfade(inside[begin:], tone[:over], CURVES[gap.crossing])
        filled[len(inside) :] = tone[over:]
    elif len(inside) >= 32:
        _fill_from_tail(filled, len(inside), rate, gap)
    return filled


def _level(samples: Samples) -> float:
    return float(np.sqrt(np.mean(samples * samples) + 1e-12))


def _fill_from_tail(filled: Samples, position: int, rate: int, gap: Gap) -> None:
    span = max(16, int(min(position * 0.5, TAIL_SECONDS * rate)))
    tail = filled[position - span : position].copy()
    half = span // 2
    per_frame = min(1.0, _level(tail[half:]) / _level(tail[:half])) ** (2.0 / span)
    per_frame = max(per_frame, FASTEST_DECAY ** (1 / span))
    fade = max(1, min(int(gap.fade * rate), span // 3))
    frames = np.arange(span)
    elapsed, is_turned = 0, gap.fill is not Fill.AGAIN
    while position < len(filled):
        if is_turned:  # wanted level over its own: turned round, it rises by itself
            turn = tail[::-1] * (per_frame ** (elapsed + 2 * frames)).astype(np.float32)[:, None]
        else:
            turn = tail * np.float32(per_frame ** (span + elapsed))
        filled[position - fade : position] = crossfade(
            filled[position - fade : position], turn[:fade], CURVES[gap.crossing]
        )
        more = min(span - fade, len(filled) - position)
        filled[position : position + more] = turn[fade : fade + more]
        position += more
        elapsed += more
        is_turned ^= gap.fill is Fill.TO_AND_FRO
