"""Spans of samples that sound over the mix: hits that are heard, counts, loops of the shelf, later keys."""

from typing import NamedTuple

import numpy as np

from chronotome.dsp.audio import Curve, Samples
from chronotome.render.mix import OUT_CHANNELS, fold_down

VOICES = 64
PREVIEW = 0
"""The owner of what the window lets be heard; one of its own at a time."""
END_FADE = 96
"""Frames over which a voice ends."""
AT_ONCE = 4096
MOST_CHANNELS = 64
FOLDS = [fold_down(max(1, channels), OUT_CHANNELS) for channels in range(MOST_CHANNELS + 1)]
FOLDS[1] = np.ones((1, OUT_CHANNELS), np.float32)


class VoiceSource(NamedTuple):
    """What a voice plays: where its samples lie in the arena, how many frames of how many channels, how loud.

    `round` frames after its start it begins again; 0: it sounds once.
    """

    offset: int
    frames: int
    channels: int
    gain: float
    round: int = 0


class _Voice:
    """One span sounding. `left` frames are to come in this round; 0: it is free."""

    __slots__ = ("left", "owner", "place", "span")

    def __init__(self) -> None:
        self.span = VoiceSource(0, 0, 1, 0.0)
        self.owner, self.place, self.left = PREVIEW, 0, 0


class Voices:
    """64 of them, made once: a block plays those that sound. One thread uses it, the audio callback.

    Invariant: a voice that gives way, is let go of, or comes to its end fades over `END_FADE` frames.
    """

    def __init__(self, floats: Curve) -> None:
        self._floats = floats
        self._voices = [_Voice() for _ in range(VOICES)]
        self._part = np.zeros((AT_ONCE, OUT_CHANNELS), np.float32)
        self._end = np.linspace(1, 0, END_FADE, endpoint=False, dtype=np.float32)[:, None]

    @property
    def sound(self) -> bool:
        return any(voice.left for voice in self._voices)

    @property
    def count(self) -> int:
        """How many sound."""
        return sum(voice.left > 0 for voice in self._voices)

    def start(self, span: VoiceSource, owner: int, since: int = 0) -> None:
        """Let a span sound from the next frame on, `since` frames into its round; its owner's last gives way.

        Where none is free the one that is nearest to its end is cut off.
        """
        self.release(owner)
        voice = min(self._voices, key=_left)
        voice.span, voice.owner = span, owner
        voice.place = span.offset + since * span.channels
        voice.left = (span.round or span.frames) - since

    def release(self, owner: int) -> None:
        """What an owner lets sound comes to its end."""
        for voice in self._voices:
            if voice.left and voice.owner == owner:
                voice.left = min(voice.left, END_FADE)
                voice.span = voice.span._replace(round=0)

    def add_into(self, out: Samples) -> None:
        """Add what comes next of each to `out`, float32 (frames, 2)."""
        for voice in self._voices:
            if voice.left:
                self._add(voice, out)

    def _add(self, voice: _Voice, out: Samples) -> None:
        span, done = voice.span, 0
        while voice.left and done < len(out):
            count = min(voice.left, len(out) - done, AT_ONCE)
            samples = self._floats[voice.place : voice.place + count * span.channels]
            part = self._part[:count]
            np.matmul(samples.reshape(count, span.channels), FOLDS[span.channels], out=part)
            part *= span.gain
            ending = max(0, count - max(0, voice.left - END_FADE))
            if ending and not span.round:
                passed = END_FADE - voice.left + count - ending
                part[count - ending :] *= self._end[passed : passed + ending]
            out[done : done + count] += part
            voice.place += count * span.channels
            voice.left -= count
            done += count
            if not voice.left and span.round:
                voice.place, voice.left = span.offset, span.round


def _left(voice: _Voice) -> int:
    return voice.left
