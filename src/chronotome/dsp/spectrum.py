"""Windows, filter banks, halving of the rate, and band magnitudes per hop."""

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
"""Few enough that memory stays small; many enough that threads do not wait for the interpreter."""


@lru_cache(maxsize=16)
def periodic_hann(size: int) -> Curve:
    """Hann window that sums to a constant at any whole fraction of its size."""
    return np.hanning(size + 1)[:-1].astype(np.float32)


@lru_cache(maxsize=16)
def triangular_bank(
    rate: float, size: int, *, lowest: float, highest: float, per_octave: int
) -> tuple[Spectrogram, Curve]:
    """Triangular bands on a logarithmic axis of frequency, each with weights that sum to 1.

    Returns
    -------
    bank : float32, shape (size // 2 + 1, bands)
    centres : float32, shape (bands,)
        Hz.
    """
    steps = int(np.floor(np.log2(min(highest, rate * 0.49) / lowest) * per_octave)) + 2
    edges = np.unique(np.round(lowest * 2.0 ** (np.arange(steps) / per_octave) * size / rate).astype(int))
    edges = edges[edges <= size // 2]
    bank = np.zeros((size // 2 + 1, max(1, len(edges) - 2)), np.float32)
    for band, (left, centre, right) in enumerate(zip(edges[:-2], edges[1:-1], edges[2:], strict=True)):
        bank[left : centre + 1, band] = np.linspace(0, 1, centre - left + 1)
        bank[centre : right + 1, band] = np.linspace(1, 0, right - centre + 1)
        bank[:, band] /= bank[:, band].sum()
    return bank, (edges[1:-1] * rate / size).astype(np.float32)


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


def _half_band(taps: int) -> Curve:
    """Every second tap of it is 0: a windowed sinc that cuts at a quarter of the rate."""
    places = np.arange(taps) - taps // 2
    weights = np.sinc(places / 2) * np.kaiser(taps, 6)
    return np.asarray(weights / weights.sum(), np.float32)


def halved(signal: Curve, *, taps: int) -> Curve:
    """The signal at half its rate; frame k of it is frame 2 k.

    Parameters
    ----------
    signal : float32, shape (frames,)
    taps : int
        4 n + 3: the length of the half-band filter.
    """
    weights, middle = _half_band(taps), taps // 2
    padded = np.pad(signal, (middle, middle + 1))
    frames = (len(signal) + 1) // 2
    result = weights[middle] * padded[middle : middle + 2 * frames : 2]
    even = padded[::2].copy()  # each is read by many taps: side by side, that is quick
    pair = np.empty_like(result)
    for away in range(1, middle + 1, 2):
        first, second = (middle - away) // 2, (middle + away) // 2
        np.add(even[first : first + frames], even[second : second + frames], out=pair)
        pair *= weights[middle + away]
        result += pair
    return result


@lru_cache(maxsize=64)
def fast_size(wanted: float) -> int:
    """The even size nearest to `wanted` that is quick to transform: a product of 2, 3, 5 and 7.

    Powers of two alone would make windows up to a third longer or shorter at other rates.
    """
    near = range(max(8, 2 * round(wanted / 4)), 2 * round(wanted) + 8, 2)
    return min((size for size in near if _is_smooth(size)), key=lambda size: abs(size - wanted))


def _is_smooth(size: int) -> bool:
    for factor in (2, 3, 5, 7):
        while size % factor == 0:
            size //= factor
    return size == 1


def windows_of(signal: Curve, size: int, hop: int, start: int, hops: int) -> Spectrogram:
    """View of shape (hops, size); row k begins at frame `start + k * hop`. All of it must be inside."""
    step = signal.strides[0]
    return as_strided(signal[start:], (hops, size), (step * hop, step), writeable=False)


def band_magnitudes(signal: Curve, bank: Spectrogram, *, hop: int) -> Spectrogram:
    """Magnitude per hop and band; hop k is centred on frame k * hop, zeros stand outside.

    Never holds more than `HOPS_AT_ONCE` spectra.
    """
    size = 2 * (bank.shape[0] - 1)
    hops = len(signal) // hop + 1
    window = periodic_hann(size)
    window = window / (window.sum() / 2)
    used = np.flatnonzero(bank.any(axis=1))
    first, last = int(used[0]), int(used[-1]) + 1
    weights = np.ascontiguousarray(bank[first:last])
    magnitudes = np.empty((hops, bank.shape[1]), np.float32)
    padded = np.pad(signal, (size // 2, size // 2))
    windowed = np.empty((min(hops, HOPS_AT_ONCE), size), np.float32)
    spectra = np.empty((len(windowed), last - first), np.float32)
    for start in range(0, hops, HOPS_AT_ONCE):
        end = min(hops, start + HOPS_AT_ONCE)
        part = np.multiply(
            windows_of(padded, size, hop, start * hop, end - start), window, out=windowed[: end - start]
        )
        bins = np.abs(scipy.fft.rfft(part, axis=1)[:, first:last], out=spectra[: end - start])
        np.matmul(bins, weights, out=magnitudes[start:end])
    return magnitudes
