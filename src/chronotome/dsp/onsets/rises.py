"""Energy per octave band every 0.7 ms, and how steeply it rises."""

from dataclasses import dataclass
from functools import cached_property, lru_cache

import numpy as np
import scipy.fft
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve
from chronotome.dsp.spectrum import Spectrogram, fast_size, windows_of

WINDOW_SECONDS, HOP_SECONDS = 128 / 44100, 0.0007
RISE_SPAN, BEFORE = 0.005, 0.015
OCTAVES = (0.0, 250.0, 600.0, 1200.0, 2500.0, 5000.0, 10000.0)
QUIETEST = np.float32(1e-7)
HOPS_AT_ONCE = 2048


@dataclass(frozen=True, eq=False)
class Rises:
    """Energies and their rises on one axis of hops.

    Invariants: `energies` and `ratios` are float32 of shape (octaves, hops); hop k is centred on frame
    `k * hop`; a ratio is the log of the mean over the next 5 ms to the maximum over the last 15 ms;
    `change` is the sum of the positive ratios.
    """

    hop: int
    energies: Spectrogram
    ratios: Spectrogram
    change: Curve

    @cached_property
    def groups(self) -> Spectrogram:
        """Shape (hops, 5): energies below 250 Hz, to 1.2 kHz, to 5 kHz, above; all of them."""
        each = self.energies
        four = [each[0], each[1:3].sum(axis=0), each[3:5].sum(axis=0), each[5:].sum(axis=0)]
        return np.stack([*four, np.sum(four, axis=0)], axis=1)

    @cached_property
    def levels(self) -> Spectrogram:
        """The logarithm of the groups."""
        return np.log(self.groups)

    @cached_property
    def totals(self) -> NDArray[np.float64]:
        """Shape (1 + hops, 5): sums of the groups before each hop."""
        return np.concatenate([np.zeros((1, 5)), np.cumsum(self.groups, axis=0, dtype=np.float64)])


@lru_cache(maxsize=16)
def _octaves(rate: int, size: int) -> Spectrogram:
    """Float32, shape (size // 2 + 1, octaves): 1 where a bin belongs to the octave."""
    frequencies = np.arange(size // 2 + 1) * rate / size
    octave = np.searchsorted(OCTAVES, frequencies, side="right") - 1
    return (octave[:, None] == np.arange(len(OCTAVES))).astype(np.float32)


def _energies(signal: Curve, rate: int, hop: int) -> Spectrogram:
    size = fast_size(WINDOW_SECONDS * rate)
    hops = len(signal) // hop + 1
    window = np.hanning(size + 2)[1:-1].astype(np.float32)
    window /= window.sum()
    octaves = np.repeat(_octaves(rate, size), 2, axis=0)  # of real and imaginary parts alike
    padded = np.pad(signal, (size // 2, size // 2))
    energies = np.empty((len(OCTAVES), hops), np.float32)
    windowed = np.empty((min(hops, HOPS_AT_ONCE), size), np.float32)
    for start in range(0, hops, HOPS_AT_ONCE):
        end = min(hops, start + HOPS_AT_ONCE)
        part = np.multiply(
            windows_of(padded, size, hop, start * hop, end - start), window, out=windowed[: end - start]
        )
        parts = scipy.fft.rfft(part, axis=1).view(np.float32)
        energies[:, start:end] = (np.multiply(parts, parts, out=parts) @ octaves).T
    energies += QUIETEST
    return energies


def _loudest_before(energies: Spectrogram, back: int) -> Spectrogram:
    """Maximum over the `back` hops before each; the first ones see silence."""
    loudest, span = energies, 1
    while span < back:
        step = min(span, back - span)
        wider = loudest.copy()
        np.maximum(wider[:, step:], loudest[:, :-step], out=wider[:, step:])
        loudest, span = wider, span + step
    before = np.full_like(energies, QUIETEST)
    before[:, 1:] = loudest[:, :-1]
    return before


def _mean_after(energies: Spectrogram, ahead: int) -> Spectrogram:
    """Mean over each hop and those after it, `ahead` in all; fewer at the end."""
    total = energies.copy()
    for step in range(1, ahead):
        total[:, :-step] += energies[:, step:]
    hops = energies.shape[1]
    counts = np.minimum(ahead, hops - np.arange(hops)).astype(np.float32)
    total /= counts
    return total


def octave_rises(signal: Curve, rate: int) -> Rises:
    """Rises of the octave-band energies.

    Parameters
    ----------
    signal : float32, shape (frames,)
        Peak about 1.
    rate : int
        Frames per second.
    """
    hop = max(1, int(HOP_SECONDS * rate))
    energies = _energies(signal, rate, hop)
    back, ahead = max(1, int(BEFORE * rate / hop)), max(1, int(RISE_SPAN * rate / hop))
    ratios = _mean_after(energies, ahead)
    ratios /= _loudest_before(energies, min(back, energies.shape[1]))
    np.log(ratios, out=ratios)
    change = np.maximum(ratios, 0).sum(axis=0)
    return Rises(hop, energies, ratios, change)
