"""Windows, filter banks and band magnitudes per hop."""

from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from functools import lru_cache

import numpy as np
import scipy.fft
from numpy.lib.stride_tricks import as_strided
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve
from chronotome.progress import Progress, unheard

Spectrogram = NDArray[np.float32]
"""float32, shape (hops, bands)."""

WORKERS = 2
HOPS_AT_ONCE = 512


@lru_cache(maxsize=16)
def periodic_hann(size: int) -> Curve:
    """Hann window that sums to a constant at any whole fraction of its size."""
    return np.hanning(size + 1)[:-1].astype(np.float32)


def triangular_bank(rate: float, size: int, *, lowest: float, highest: float, per_octave: int) -> Spectrogram:
    """Triangular bands on a logarithmic axis of frequency, each with weights that sum to 1.

    Returns
    -------
    float32, shape (size // 2 + 1, bands)
    """
    steps = int(np.floor(np.log2(min(highest, rate * 0.49) / lowest) * per_octave)) + 2
    edges = np.unique(np.round(lowest * 2.0 ** (np.arange(steps) / per_octave) * size / rate).astype(int))
    edges = edges[edges <= size // 2]
    bank = np.zeros((size // 2 + 1, max(1, len(edges) - 2)), np.float32)
    for band, (left, centre, right) in enumerate(zip(edges[:-2], edges[1:-1], edges[2:], strict=True)):
        bank[left : centre + 1, band] = np.linspace(0, 1, centre - left + 1)
        bank[centre : right + 1, band] = np.linspace(1, 0, right - centre + 1)
        bank[:, band] /= bank[:, band].sum()
    return bank


def in_threads(
    work: Callable[[int, int], None], total: int, at_once: int, progress: Progress = unheard
) -> None:
    """Call `work(start, end)` over [0, total) in chunks; NumPy and the transforms release the GIL."""
    spans = [(start, min(total, start + at_once)) for start in range(0, total, at_once)]
    if len(spans) == 1:
        work(*spans[0])
        return
    with ThreadPoolExecutor(WORKERS) as pool:
        try:
            for done, _ in enumerate(pool.map(lambda span: work(*span), spans), 1):
                progress(done / len(spans))
        except BaseException:
            pool.shutdown(cancel_futures=True)
            raise


def _padded(signal: Curve, start: int, end: int) -> Curve:
    inside = signal[max(0, start) : max(0, min(len(signal), end))]
    if start >= 0 and end <= len(signal):
        return inside
    return np.pad(inside, (max(0, -start), max(0, end - max(len(signal), start))))[: end - start]


def band_magnitudes(
    signal: Curve, bank: Spectrogram, *, hop: int, hops: int, progress: Progress = unheard
) -> Spectrogram:
    """Magnitude per hop and band; hop k is centred on frame k * hop, zeros stand outside.

    Never holds more than `HOPS_AT_ONCE` spectra per thread.
    """
    size = 2 * (bank.shape[0] - 1)
    window = periodic_hann(size)
    window = window / (window.sum() / 2)
    used = np.flatnonzero(bank.any(axis=1))
    first, last = int(used[0]), int(used[-1]) + 1
    weights = np.ascontiguousarray(bank[first:last])
    magnitudes = np.empty((hops, bank.shape[1]), np.float32)

    def fill(start: int, end: int) -> None:
        span = _padded(signal, start * hop - size // 2, (end - 1) * hop + size // 2)
        step = span.strides[0]
        views = as_strided(span, (end - start, size), (step * hop, step), writeable=False)
        spectra = scipy.fft.rfft(views * window, axis=1)[:, first:last]
        power = spectra.real**2  # |complex64| is three times slower
        power += spectra.imag**2
        magnitudes[start:end] = np.sqrt(power, out=power) @ weights

    in_threads(fill, hops, HOPS_AT_ONCE, progress)
    return magnitudes
