"""Sound between a session and a device that play at different rates: resampled on its way, in its time.

soxr makes arrays of its own, a few KB a block: the one place of a callback that does.
"""

from typing import Any

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.engine.streams import Hear, Process
from chronotome.render.mix import OUT_CHANNELS

QUALITY = "HQ"
ROOM = 1 << 16
"""Frames that may lie ready: far more than the resampler holds back and the largest block."""


def _stream(before: int, after: int) -> Any:
    import soxr  # noqa: PLC0415 - only where rates differ

    return soxr.ResampleStream(before, after, OUT_CHANNELS, dtype="float32", quality=QUALITY)


class OtherRate:
    """Asks a process at the session's rate, gives blocks at the device's.

    Invariant: frame n of the device sounds what the session has at n / device's rate. What lies ready, for
    the resampler looks ahead, is told as later: each block that is asked for has its own true moment.
    """

    def __init__(self, process: Process, rate: int, device_rate: int) -> None:
        self._process, self._rate, self._device_rate = process, rate, device_rate
        self._stream = _stream(rate, device_rate)
        self._ready: Samples = np.zeros((ROOM, OUT_CHANNELS), np.float32)
        self._count = self._asked = self._given = 0
        self._block: Samples = np.zeros((0, OUT_CHANNELS), np.float32)
        self._rests = 0
        self.lead = 0.0
        """Seconds, the longest by which a block was asked for before the device's own next frame."""

    @property
    def ahead(self) -> float:
        """Frames of the session that were asked for and are not given yet."""
        return self._asked - self._given * self._rate / self._device_rate

    def process(self, out: Samples, when: float) -> bool:
        """Fill a block of the device, float32 (frames, 2), sounding at `when`; False where it is silence."""
        frames = max(1, round(len(out) * self._rate / self._device_rate))
        if len(self._block) != frames:
            self._block = np.zeros((frames, OUT_CHANNELS), np.float32)
        while self._count < len(out):
            lead = self.ahead / self._rate
            self.lead = max(lead, self.lead)
            if self._process(self._block, when + lead):
                self._rests = ROOM
            self._asked += frames
            made = self._stream.resample_chunk(self._block)
            self._ready[self._count : self._count + len(made)] = made
            self._count += len(made)
        out[:] = self._ready[: len(out)]
        self._count -= len(out)
        self._ready[: self._count] = self._ready[len(out) : len(out) + self._count]
        self._given += len(out)
        self._rests = max(0, self._rests - len(out))
        return self._rests > 0


class OtherRateHeard:
    """Takes blocks at the device's rate, hands them on at the session's, each with its moment."""

    def __init__(self, hear: Hear, rate: int, device_rate: int) -> None:
        self._hear, self._rate, self._device_rate = hear, rate, device_rate
        self._stream = _stream(device_rate, rate)
        self._came = self._made = 0

    def hear(self, block: Samples, came: float) -> None:
        """A block, float32 (frames, 2), whose first frame came in at a moment of the monotonic clock."""
        moment = came - (self._came / self._device_rate - self._made / self._rate)
        made = self._stream.resample_chunk(np.ascontiguousarray(block))
        self._came += len(block)
        self._made += len(made)
        if len(made):
            self._hear(made, moment)
