"""Overlap-add of similar frames: noise and drum tails keep their texture.

Source: W. Verhelst and M. Roelands, "An Overlap-Add Technique Based on Waveform Similarity (WSOLA) for High
Quality Time-Scale Modification of Speech", 1993.
"""

from dataclasses import dataclass

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve, Samples

FRAME_SECONDS = 0.040
SEARCH_SECONDS, WIDE_SEARCH_SECONDS = 0.016, 0.026
COARSENESS = 4
SHORTEST = 64


def overlap_wide(source: Samples, rate: int, start: int, end: int, length: int) -> Samples:
    """The same, looking farther: for low tones, whose periods are longer than 16 ms."""
    return overlap_similar(source, rate, start, end, length, WIDE_SEARCH_SECONDS)


def overlap_similar(  # noqa: PLR0917 - as engines are called, and how far it looks
    source: Samples, rate: int, start: int, end: int, length: int, search_seconds: float = SEARCH_SECONDS
) -> Samples:
    """Source frames [start, end) as `length` frames; never looks past `end`, where the next attack begins.

    Returns
    -------
    float32, shape (length, channels)
        Starts as a verbatim continuation of the source at `start`.
    """
    low, high = max(0, start), min(end, len(source))
    spanned = high - low
    if spanned < SHORTEST or start < 0:
        return _plain(source, start, length)
    size = min(int(FRAME_SECONDS * rate) // 2 * 2, max(SHORTEST, min(spanned, length) // 4 * 2))
    hop = size // 2
    search = _Search(
        source, max(0, start - size), high, size=size, reach=min(int(search_seconds * rate), size)
    )
    window = (0.5 - 0.5 * np.cos(2 * np.pi * (np.arange(size) + 0.5) / size)).astype(np.float32)[:, None]
    count = -(-length // hop) + 1
    result = np.zeros((count * hop + size, source.shape[1]), np.float32)
    ratio = (end - start) / length
    place = start - hop
    for index in range(count):
        if index:
            place = search.best(place + hop, start - hop + round(index * hop * ratio))
        frame = _plain(source, place, size) * window
        skipped = hop if index == 0 else 0
        at = max(0, (index - 1) * hop)
        result[at : at + size - skipped] += frame[skipped:]
    return result[:length]


def _plain(source: Samples, start: int, length: int) -> Samples:
    result = np.zeros((length, source.shape[1]), np.float32)
    low, high = max(0, start), min(start + length, len(source))
    if high > low:
        result[low - start : high - start] = source[low:high]
    return result


@dataclass
class _Search:
    """Finds where the source continues most like what was last written; all within [low, high)."""

    source: Samples
    low: int
    high: int
    size: int
    reach: int

    def __post_init__(self) -> None:
        self._signal: Curve = self.source[self.low : self.high].mean(axis=1)
        whole = len(self._signal) // COARSENESS * COARSENESS
        self._coarse = self._signal[:whole].reshape(-1, COARSENESS).mean(axis=1)
        self._energy = np.cumsum(np.pad(self._coarse.astype(np.float64) ** 2, (1, 0)))

    def best(self, natural: int, wanted: int) -> int:
        first = max(wanted - self.reach, self.low)
        last = min(wanted + self.reach, self.high - self.size)
        if last <= first:
            return max(self.low, min(wanted, self.high - self.size))
        if first <= natural <= last and abs(natural - wanted) < 0.35 * self.reach:
            return natural
        near = self._coarse_best(natural, first, last)
        if near is None:
            return max(first, min(wanted, last))
        return self._fine_best(natural, max(near - COARSENESS, first), min(near + COARSENESS, last), near)

    def _coarse_best(self, natural: int, first: int, last: int) -> int | None:
        at = (natural - self.low) // COARSENESS
        pattern = self._coarse[at : at + self.size // COARSENESS]
        begin = (first - self.low) // COARSENESS
        field = self._coarse[begin : (last - self.low) // COARSENESS + len(pattern)]
        places = len(field) - len(pattern)
        if places < 1 or len(pattern) < 8:
            return None
        total = 1 << (len(field) - 1).bit_length()
        product = np.fft.rfft(field, total) * np.conj(np.fft.rfft(pattern, total))
        alike: NDArray[np.float64] = np.fft.irfft(product, total)[: places + 1]
        ends = begin + len(pattern) + np.arange(places + 1)
        energy = self._energy[np.minimum(ends, len(self._coarse))] - self._energy[ends - len(pattern)]
        return self.low + (begin + int(np.argmax(alike / np.sqrt(energy + 1e-9)))) * COARSENESS

    def _fine_best(self, natural: int, first: int, last: int, fallback: int) -> int:
        pattern = self._signal[natural - self.low : natural - self.low + self.size]
        if last <= first or len(pattern) < self.size:
            return max(self.low, min(fallback, self.high - self.size))
        field = sliding_window_view(self._signal[first - self.low : last - self.low + self.size], self.size)
        alike = field @ pattern / np.sqrt(np.einsum("ij,ij->i", field, field) + 1e-9)
        return first + int(np.argmax(alike))
