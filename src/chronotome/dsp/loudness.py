"""Levels."""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples

SILENT = -120.0


def _k_weighting(rate: int) -> list[tuple[NDArray[np.float64], NDArray[np.float64]]]:
    """Both filters of ITU-R BS.1770-4 for any rate, from their analogue prototypes."""

    def shelf() -> tuple[NDArray[np.float64], NDArray[np.float64]]:
        gain, quality, corner = 3.999843853973347, 0.7071752369554196, 1681.974450955533
        k = np.tan(np.pi * corner / rate)
        high = 10 ** (gain / 20)
        band = high**0.4996667741545416
        a0 = 1 + k / quality + k * k
        b = np.array(
            [high + band * k / quality + k * k, 2 * (k * k - high), high - band * k / quality + k * k]
        )
        return b / a0, np.array([1.0, 2 * (k * k - 1) / a0, (1 - k / quality + k * k) / a0])

    def high_pass() -> tuple[NDArray[np.float64], NDArray[np.float64]]:
        quality, corner = 0.5003270373238773, 38.13547087602444
        k = np.tan(np.pi * corner / rate)
        a0 = 1 + k / quality + k * k
        return np.array([1.0, -2.0, 1.0]), np.array(
            [1.0, 2 * (k * k - 1) / a0, (1 - k / quality + k * k) / a0]
        )

    return [shelf(), high_pass()]


def loudness(samples: Samples, rate: int) -> float:
    """Integrated loudness in LUFS, gated.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
        Every channel has weight 1.
    rate : int

    Returns
    -------
    float
        -120 for silence, or for less than one block of 0.4 s that is not silent enough to gate.

    Notes
    -----
    Source: ITU-R BS.1770-4.
    """
    from scipy.signal import lfilter  # noqa: PLC0415 - takes longer to import than the window to open

    block, hop = round(0.4 * rate), round(0.1 * rate)
    weighted = samples.astype(np.float64)
    for numerator, denominator in _k_weighting(rate):
        weighted = lfilter(numerator, denominator, weighted, axis=0)
    power = np.cumsum(np.pad((weighted**2).sum(axis=1), (1, 0)))
    starts = np.arange(0, max(1, len(samples) - block + 1), hop)
    ends = np.minimum(starts + block, len(samples))
    means = (power[ends] - power[starts]) / block
    levels = -0.691 + 10 * np.log10(means + 1e-14)
    loud = means[levels > -70.0]
    if not len(loud):
        return SILENT
    gate = -0.691 + 10 * np.log10(loud.mean()) - 10.0
    kept = means[levels > max(gate, -70.0)]
    return float(-0.691 + 10 * np.log10(kept.mean())) if len(kept) else SILENT


def peak(samples: Samples) -> float:
    """Loudest sample, at least 0."""
    return float(max(samples.max(initial=0.0), -samples.min(initial=0.0)))
