"""Overlap-add of similar frames: noise and drum tails keep their texture.

Source: W. Verhelst and M. Roelands, "An Overlap-Add Technique Based on Waveform Similarity (WSOLA) for High
Quality Time-Scale Modification of Speech", 1993.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve, Samples, frames_between
from chronotome.dsp.fades import hann

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
        return frames_between(source, start, start + length)
    size = min(int(FRAME_SECONDS * rate) // 2 * 2, max(SHORTEST, min(spanned, length) // 4 * 2))
    hop = size // 2
    search = _Search(
        source, max(0, start - size), high, size=size, reach=min(int(search_seconds * rate), size)
    )
    window = np.repeat(hann(size)[:, None], source.shape[1], axis=1)
    count = -(-length // hop) + 1
    result = np.zeros((count * hop + size, source.shape[1]), np.float32)
    ratio = (end - start) / length
    place = start - hop
    for index in range(count):
        if index:
            place = search.best(place + hop, start - hop + round(index * hop * ratio))
        frame = frames_between(source, place, place + size) * window
        skipped = hop if index == 0 else 0
        at = max(0, (index - 1) * hop)
        result[at : at + size - skipped] += frame[skipped:]
    return result[:length]


@dataclass
class _Search:
    """Finds where the source continues most like what was last written; all within [low, high)."""

    source: Samples
    low: int
    high: int
    size: int
    reach: int

    def __post_init__(self) -> None:
        span = self.source[self.low : self.high]
        self._signal: Curve = span @ np.full(span.shape[1], 1 / span.shape[1], np.float32)
        whole = len(self._signal) // COARSENESS * COARSENESS
        self._coarse = self._signal[:whole].reshape(-1, COARSENESS) @ np.full(
            COARSENESS, 1 / COARSENESS, np.float32
        )
        self._energy, self._fine_energy = _sums(self._coarse), _sums(self._signal)

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
        if len(field) <= len(pattern) or len(pattern) < 8:
            return None
        alike = np.correlate(field, pattern) / _norms(self._energy, begin, len(field), len(pattern))
        return self.low + (begin + int(np.argmax(alike))) * COARSENESS

    def _fine_best(self, natural: int, first: int, last: int, fallback: int) -> int:
        pattern = self._signal[natural - self.low : natural - self.low + self.size]
        if last <= first or len(pattern) < self.size:
            return max(self.low, min(fallback, self.high - self.size))
        field = self._signal[first - self.low : last - self.low + self.size]
        norms = _norms(self._fine_energy, first - self.low, len(field), self.size)
        return first + int(np.argmax(np.correlate(field, pattern) / norms))


def _sums(signal: Curve) -> NDArray[np.float64]:
    """Energy up to each frame."""
    sums = np.zeros(len(signal) + 1)
    np.cumsum(np.square(signal, dtype=np.float64), out=sums[1:])
    return sums


def _norms(sums: NDArray[np.float64], first: int, length: int, width: int) -> NDArray[np.float64]:
    """Amplitudes of all that is as wide as that in `length` frames from the first on."""
    energy = sums[first + width : first + length + 1] - sums[first : first + length - width + 1]
    return np.asarray(np.sqrt(energy + 1e-9))
