"""A recording as one channel, read part by part."""

import math

import numpy as np

from chronotome.dsp.audio import Audio, Curve, Samples
from chronotome.dsp.spectrum import in_threads

FRAMES_AT_ONCE = 1 << 17


class Listener:
    """One channel of an audio, its peak at 1 and its mean at 0, read part by part.

    `loudest` is the frame of the peak: what is laid out from there lies alike however the recording is cut.
    """

    def __init__(self, audio: Audio) -> None:
        self.rate, self.frames = audio.rate, audio.frames
        self._samples = audio.samples
        self._channel = _loudest_where_the_mean_cancels(audio.samples)
        found: list[tuple[int, float, float, float, int]] = []

        def measure(start: int, end: int) -> None:
            part = self._mono(start, end)
            low, high = int(part.argmin()), int(part.argmax())
            loudest = start + (high if part[high] >= -part[low] else low)
            found.append((start, float(part.sum()), float(part[low]), float(part[high]), loudest))

        if self.frames:
            in_threads(measure, self.frames, FRAMES_AT_ONCE)
        _, sums, lows, highs, places = (
            zip(*sorted(found), strict=True) if found else ((), (), (0.0,), (0.0,), (0,))
        )
        tops = [max(high, -low) for low, high in zip(lows, highs, strict=True)]
        self.loudest = places[int(np.argmax(tops))]
        self._mean = np.float32(math.fsum(sums) / max(1, self.frames))
        self.peak = max(max(highs) - float(self._mean), float(self._mean) - min(lows)) if self.frames else 0.0

    def _mono(self, start: int, end: int) -> Curve:
        part = self._samples[start:end]
        if self._channel is not None:
            return part[:, self._channel].copy()
        total = part[:, 0].copy()
        for channel in range(1, part.shape[1]):
            total += part[:, channel]
        total /= part.shape[1]
        return total

    def part(self, start: int, end: int) -> Curve:
        """Frames [start, end), zeros outside of the audio."""
        first, last = max(0, start), min(self.frames, end)
        inside = self._mono(first, last)
        inside -= self._mean
        inside /= np.float32(self.peak)
        return np.pad(inside, (first - start, end - last))


def _loudest_where_the_mean_cancels(samples: Samples) -> int | None:
    """None where the mean of the channels stands for all of them; else the loudest channel."""
    channels = samples.shape[1]
    if channels == 1:
        return 0
    found: list[list[float]] = []

    def measure(start: int, end: int) -> None:
        columns = np.ascontiguousarray(samples[start:end].T)
        mean = columns.sum(axis=0)
        mean /= channels
        found.append([float(np.dot(each, each)) for each in (mean, *columns)])

    if not len(samples):
        return None
    in_threads(measure, len(samples), FRAMES_AT_ONCE)
    mean_energy, *energies = (math.fsum(sorted(each)) for each in zip(*found, strict=True))
    return None if mean_energy > 0.2 * max(energies) else int(np.argmax(energies))
