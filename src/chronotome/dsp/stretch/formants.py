"""A voice keeps its colour at another pitch: the envelopes of its spectra are moved the other way beforehand.

Source: A. Röbel and X. Rodet, "Efficient Spectral Envelope Estimation and its Application to Pitch Shifting
and Envelope Preservation", 2005 (the true envelope: few terms of a cepstrum, raised until no peak is above).
"""

from functools import lru_cache

import numpy as np
import scipy.fft
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve, Samples, frames_between

WINDOW_SECONDS = 0.043
OVERLAP = 4
SMOOTHEST_SECONDS = 0.0026
"""Quefrencies up to that shape the envelope, ever less of them: voices up to 400 Hz have longer periods."""
ROUNDS = 10
MOST_GAIN = 3.5
"""Nepers either way, 30 dB."""
FLOOR = 1e-7


def recoloured(source: Samples, rate: int, start: int, end: int, ratio: float) -> Samples:
    """Source frames [start, end), their spectral envelopes squeezed by `ratio`, each as loud as it was.

    Played `ratio` times as fast, they have the envelopes of the source. Each frame depends on nothing but the
    recording, wherever the span begins.

    Parameters
    ----------
    source : float32, shape (frames, channels)
        All channels are filtered alike: the phase between them stays.
    ratio : float
        2 for an octave up.

    Returns
    -------
    float32, shape (end - start, channels)
    """
    size = scipy.fft.next_fast_len(int(WINDOW_SECONDS * rate) // OVERLAP, real=True) * OVERLAP
    hop = size // OVERLAP
    first, count = start // hop - OVERLAP + 1, (end - 1) // hop - start // hop + OVERLAP
    local = frames_between(source, first * hop, (first + count - 1) * hop + size)
    views = np.lib.stride_tricks.sliding_window_view(local, size, axis=0)[::hop]
    window = _window(size)
    spectra = scipy.fft.rfft(views * window, axis=-1)
    power = np.einsum("fcb,fcb->fb", spectra, spectra.conj()).real
    gains = _gains(power, rate, size, ratio)
    frames = scipy.fft.irfft(spectra * gains[:, None], size, axis=-1) * (window / (OVERLAP / 2))
    result = np.zeros((len(local), source.shape[1]), np.float32)
    for number in range(count):
        result[number * hop : number * hop + size] += frames[number].T
    skipped = start - first * hop
    return result[skipped : skipped + end - start]


def _gains(power: NDArray[np.float32], rate: int, size: int, ratio: float) -> NDArray[np.float32]:
    """By what each bin of each frame is multiplied."""
    logs = (0.5 * np.log(np.maximum(power, FLOOR**2 * size))).astype(np.float32)
    envelope = _envelopes(logs, max(4, int(SMOOTHEST_SECONDS * rate)))
    bins = np.arange(power.shape[1], dtype=np.float64)
    at = np.minimum(bins * ratio, bins[-1])
    low = np.minimum(at.astype(np.int64), len(bins) - 2)
    share = (at - low).astype(np.float32)
    wanted = envelope[:, low] * (1 - share) + envelope[:, low + 1] * share
    gains = np.exp(np.clip(wanted - envelope, -MOST_GAIN, MOST_GAIN))
    before, after = power.sum(axis=1), (power * gains**2).sum(axis=1)
    gains *= np.sqrt((before + FLOOR) / (after + FLOOR))[:, None]
    return gains.astype(np.float32)


def _envelopes(logs: NDArray[np.float32], terms: int) -> NDArray[np.float32]:
    """The smooth curves that lie on the peaks of log spectra, shape (frames, bins)."""
    size = 2 * (logs.shape[1] - 1)
    lifter = np.zeros(size // 2 + 1, np.float32)
    lifter[:terms] = 0.5 + 0.5 * np.cos(np.pi * np.arange(terms) / terms)
    raised = logs
    smooth = logs
    for _ in range(ROUNDS):
        cepstra = scipy.fft.irfft(raised, size, axis=-1)[:, : size // 2 + 1] * lifter
        smooth = scipy.fft.dct(cepstra, type=1, axis=-1)
        raised = np.maximum(logs, smooth)
    return np.asarray(smooth, np.float32)


@lru_cache(maxsize=8)
def _window(size: int) -> Curve:
    return np.sqrt(0.5 - 0.5 * np.cos(2 * np.pi * (np.arange(size) + 0.5) / size)).astype(np.float32)
