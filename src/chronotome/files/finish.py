"""A mix on its way into a file: another rate, another level, a loop that closes, dither; or nothing of it."""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.dsp.loudness import SILENT, LoudnessMeter
from chronotome.files.audio_out import Encoding, rounded
from chronotome.progress import Progress, unheard
from chronotome.render.mix import Side
from chronotome.render.renderer import OfflineMix
from chronotome.units import gain_of
from chronotome.words import Named

FRAMES_AT_ONCE = 1 << 16
MOST_GAIN = 60.0
"""dB by which what is nearly silent is made louder at most."""
RATES = (22050, 32000, 44100, 48000, 88200, 96000, 176400, 192000)
LONGEST_TAIL = 60.0


class Aim(Named):
    """What the level of what is written is brought to."""

    NOTHING = "as it is", "as is"
    PEAK = "peak"
    LOUDNESS = "loudness"


@dataclass(frozen=True)
class Finish:
    """What becomes of a span of a mix; the usual one leaves the very samples that were heard."""

    rate: int = 0
    """Frames a second of the file; 0: the session's."""
    aim: Aim = Aim.NOTHING
    level: float = -1.0
    """dB of the loudest sample, or LUFS (ITU-R BS.1770)."""
    is_dithered: bool = True
    """Of 16 bits: triangular noise of one step, by the same numbers each time."""
    closes: bool = False
    """What rings after the end is heard at the start: the file is a loop."""
    tail: float = 0.0
    """Seconds after the end that are written too."""

    def rate_for(self, encoding: Encoding, own: int) -> int:
        """Frames a second that an encoding holds, as near to what is wanted as it can."""
        wanted = self.rate or own
        if not encoding.rates or wanted in encoding.rates:
            return wanted
        return next((each for each in encoding.rates if each >= wanted), encoding.rates[-1])


@dataclass(frozen=True, eq=False)
class Cut:
    """A span of a mix as it goes into a file of so many frames a second."""

    mix: OfflineMix
    own: int
    """Frames a second of the mix."""
    rate: int
    start: int
    end: int
    side: Side
    finish: Finish

    @property
    def frames(self) -> int:
        """Of the file."""
        return max(1, round(self._whole * self.rate / self.own))

    @property
    def _whole(self) -> int:
        """Frames of the mix that are read."""
        tail = 0 if self.finish.closes else round(self.finish.tail * self.own)
        return self.end - self.start + tail

    def blocks(self, gain: float = 1.0) -> Iterator[Samples]:
        """At the file's rate, so much louder."""
        made = self._read() if self.rate == self.own else self._resampled()
        for block in made:
            yield block if gain == 1.0 else block * np.float32(gain)

    def gain(self, progress: Progress = unheard) -> float:
        """What brings it to the level that is wanted; 1 for silence."""
        finish, loudest, done = self.finish, 0.0, 0
        if finish.aim is Aim.NOTHING:
            return 1.0
        meter = LoudnessMeter(self.rate, self.mix.channels)
        for block in self.blocks():
            loudest = max(loudest, float(np.abs(block).max(initial=0.0)))
            if finish.aim is Aim.LOUDNESS:
                meter.add(block)
            done += len(block)
            progress(done / self.frames)
        if loudest <= 0.0:
            return 1.0
        level = meter.value if finish.aim is Aim.LOUDNESS else 20 * float(np.log10(loudest))
        if level <= SILENT:
            return 1.0
        return gain_of(min(MOST_GAIN, finish.level - level))

    def _read(self) -> Iterator[Samples]:
        """As it is heard; where the loop closes, what rings over its end added to its start."""
        stop, length = self.start + self._whole, self.end - self.start
        for at in range(self.start, stop, FRAMES_AT_ONCE):
            count = min(FRAMES_AT_ONCE, stop - at)
            block = self.mix.read(at, count, self.side)
            if self.finish.closes:
                after = self.end + at - self.start
                while after < self.mix.frames:  # a ring longer than the loop goes round again
                    block = block + self.mix.read(after, count, self.side)
                    after += length
            yield block

    def _resampled(self) -> Iterator[Samples]:
        """By soxr at its best, and as long as the span to the frame."""
        import soxr  # noqa: PLC0415 - the window opens without it

        stream = soxr.ResampleStream(self.own, self.rate, self.mix.channels, "float32", "VHQ")
        left = self.frames
        for block in self._read():
            made = stream.resample_chunk(np.ascontiguousarray(block))[:left]
            left -= len(made)
            if len(made):
                yield made
        made = stream.resample_chunk(np.zeros((0, self.mix.channels), np.float32), last=True)[:left]
        yield np.concatenate([made, np.zeros((left - len(made), self.mix.channels), np.float32)])


def dithered(blocks: Iterator[Samples], steps: float) -> Iterator[Samples]:
    """Triangular noise of one step, before they are rounded to so many; the same each time."""
    random = np.random.Generator(np.random.PCG64(16))
    for block in blocks:
        noise = random.random(block.shape) - random.random(block.shape)
        yield rounded(block.astype(np.float64) + noise / steps, steps)
