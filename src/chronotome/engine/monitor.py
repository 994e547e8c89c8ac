"""Hearing the input: from its thread into the audio callback, a few blocks later, without a lock."""

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.render.mix import OUT_CHANNELS

RING_FRAMES = 1 << 15
FADE = 64
LEAST_AHEAD = 2
"""Blocks of the output that lie ready before it begins: two clocks are never quite in step."""
MOST_AHEAD = 6


class Monitor:
    """One thread puts, another one adds. Where the two clocks drift apart it begins anew, faded."""

    def __init__(self) -> None:
        self._ring: Samples = np.zeros((RING_FRAMES, OUT_CHANNELS), np.float32)
        self._part: Samples = np.zeros((RING_FRAMES // 2, OUT_CHANNELS), np.float32)
        self._rise = ((np.arange(FADE, dtype=np.float32) + 1) / (FADE + 1))[:, None]
        self._fall = self._rise[::-1].copy()
        self._head = self._tail = self._heard = 0
        """Frames that were put, that are added next, and before which nothing is heard once more."""
        self._largest = 0
        self._is_running = False

    def put(self, block: Samples) -> None:
        """What the input heard, float32 (frames, 2), at most half the ring."""
        block = block[-(RING_FRAMES // 2) :]
        at, frames = self._head % RING_FRAMES, len(block)
        first = min(frames, RING_FRAMES - at)
        self._ring[at : at + first] = block[:first]
        self._ring[: frames - first] = block[first:]
        self._largest = max(self._largest, frames)
        self._head += frames

    def add_into(self, out: Samples) -> bool:
        """Add what was put and is still to be heard to a block; False where that is nothing."""
        frames = len(out)
        room = LEAST_AHEAD * frames + self._largest
        ready = self._head - self._tail
        is_new = not self._is_running or ready > MOST_AHEAD * frames + 2 * self._largest
        if is_new:
            if self._head - self._heard < room:
                return False
            self._tail, ready = self._head - room, room
        if ready < frames:  # a larger block than the ones before
            self.drop()
            return False
        is_last = ready < 2 * frames
        part = self._part[:frames]
        at = self._tail % RING_FRAMES
        first = min(frames, RING_FRAMES - at)
        part[:first] = self._ring[at : at + first]
        part[first:] = self._ring[: frames - first]
        fade = min(FADE, frames)
        if is_new:
            part[:fade] *= self._rise[:fade]
        if is_last:
            part[-fade:] *= self._fall[-fade:]
        out += part
        self._tail += frames
        self._heard = self._head if is_last else self._tail
        self._is_running = not is_last
        return True

    def drop(self) -> None:
        """What was put and not heard is not wanted any more."""
        self._is_running, self._heard = False, self._head
