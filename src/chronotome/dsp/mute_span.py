"""An unwanted noise taken away: silence, a fade, less of it, or the room's own tone in its place."""

from collections.abc import Sequence
from enum import StrEnum
from typing import NamedTuple

import numpy as np

from chronotome.dsp.audio import Samples, frames_between
from chronotome.dsp.fades import crossfade, raised_cosine

EDGE_SECONDS = 0.004
"""Over which the recording gives way, and comes back."""
ROOM_SECONDS, LEAST_ROOM_SECONDS = 0.4, 0.06
"""Of the recording's quietest place so much is its room tone."""
TURN_SECONDS = 0.03
QUIET_STEP = 0.01
LEAST_LEVEL = 1e-6
LOUD_STEP = 0.005
ABOVE_ROOM, NO_ROOM = 10 ** (6 / 20), 10 ** (-45 / 20)


class MuteMethod(StrEnum):
    """What comes in the place of a noise."""

    SILENCE = "silence"
    FADE = "fade"
    """It goes out over the span."""
    LOWER = "lower"
    ROOM = "room tone"


class Hushed(NamedTuple):
    """Frames [start, end) of a recording, at the rate at which it is rendered."""

    start: int
    end: int
    by: MuteMethod
    gain: float = 0.0
    """Amplitude that is left, for `LOWER`."""
    room: tuple[int, int] = (0, 0)
    """Frames of the recording's own room tone."""


def hushed(part: Samples, first: int, spans: Sequence[Hushed], source: Samples, rate: int) -> Samples:
    """A part of a recording, from frame `first` on, without the noises in it.

    Each frame depends on nothing but the recording and the spans, wherever the part begins.
    """
    result = np.array(part, np.float32)
    for span in spans:
        low, high = max(span.start - first, 0), min(span.end - first, len(result))
        if low >= high:
            continue
        keeps = _envelope(span, rate)[low + first - span.start : high + first - span.start, None]
        result[low:high] *= keeps
        if span.by is MuteMethod.ROOM:
            tone = _tone(source, span, rate)[low + first - span.start : high + first - span.start]
            result[low:high] += tone * np.sqrt(1 - keeps**2)
    return result


def _envelope(span: Hushed, rate: int) -> Samples:
    """How much of each frame is left."""
    length = span.end - span.start
    edge = max(1, min(int(EDGE_SECONDS * rate), length // 2))
    if span.by is MuteMethod.FADE:
        left = raised_cosine(max(1, length - edge))[::-1]
        return np.concatenate([left, raised_cosine(length - len(left))])
    left = np.full(length, span.gain if span.by is MuteMethod.LOWER else 0.0, np.float32)
    rising = raised_cosine(edge)
    left[:edge] += (1 - left[:edge]) * rising[::-1]
    left[length - edge :] += (1 - left[length - edge :]) * rising
    return left


def _tone(source: Samples, span: Hushed, rate: int) -> Samples:
    """Room tone as long as the span: the quiet place again and again, crossing over."""
    return room_tone(frames_between(source, *span.room), span.end - span.start, rate)


def room_tone(piece: Samples, length: int, rate: int) -> Samples:
    """A quiet place again and again, crossing over, until it is as long as wanted."""
    made = np.zeros((0, piece.shape[1]), np.float32)
    turn = min(int(TURN_SECONDS * rate), len(piece) // 3)
    if turn < 1:
        return np.zeros((length, piece.shape[1]), np.float32)
    while len(made) < length:
        if not len(made):
            made = piece
            continue
        over = crossfade(made[-turn:], piece[:turn])
        made = np.concatenate([made[:-turn], over, piece[turn:]])
    return made[:length]


def quiet_until(samples: Samples, rate: int) -> int:
    """Frames from the beginning on that hold nothing but the room: no 5 ms of it 6 dB louder than its tone.

    Where a recording has no quiet place, what is 45 dB below its loudest sample is as quiet as a room.
    """
    start, end = quiet_place(samples, rate)
    loudest = float(np.abs(samples).max(initial=0.0))
    room = float(np.sqrt(np.mean(samples[start:end].astype(np.float64) ** 2))) if end > start else 0.0
    most = min(room, loudest * NO_ROOM) * ABOVE_ROOM
    step = max(1, int(LOUD_STEP * rate))
    for at in range(0, len(samples), step):
        if float(np.sqrt(np.mean(samples[at : at + step].astype(np.float64) ** 2))) > max(most, LEAST_LEVEL):
            return at
    return len(samples)


def quiet_place(samples: Samples, rate: int) -> tuple[int, int]:
    """The frames of a recording at which it is quietest, but not silent: its room tone.

    Digital silence is no room; where there is no quiet place of 60 ms, the quietest there is.
    """
    step = max(1, int(QUIET_STEP * rate))
    count = len(samples) // step
    if count < 2:
        return 0, len(samples)
    power = np.zeros(count)
    for start in range(0, count, 4096):
        part = samples[start * step : min(count, start + 4096) * step]
        power[start : start + 4096] = (part.reshape(-1, step * samples.shape[1]) ** 2).mean(axis=1)
    wide = max(1, min(count // 2, int(ROOM_SECONDS / QUIET_STEP)))
    sums = np.concatenate([[0.0], np.cumsum(np.maximum(power, 0.0))])
    loudest = np.lib.stride_tricks.sliding_window_view(power, wide).max(axis=1)
    level = (sums[wide:] - sums[:-wide]) / wide + loudest
    level[(sums[wide:] - sums[:-wide]) / wide < LEAST_LEVEL**2] = np.inf
    best = int(level.argmin())
    return best * step, (best + wide) * step
