"""Levels."""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples

SILENT = -120.0
HOPS = 4
"""Of 0.1 s in a block."""


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


class LoudnessMeter:
    """Integrated loudness of what is added block by block, gated.

    Source: ITU-R BS.1770-4. Every channel has weight 1.
    """

    def __init__(self, rate: int, channels: int) -> None:
        self._hop = max(1, round(0.1 * rate))
        self._filters = _k_weighting(rate)
        self._states = [np.zeros((2, channels)) for _ in self._filters]
        self._power: list[NDArray[np.float64]] = []
        self._rest = np.zeros(0)

    def add(self, samples: Samples) -> None:
        """What comes next, shape (frames, channels)."""
        from scipy.signal import lfilter  # noqa: PLC0415 - takes longer to import than the window to open

        weighted = samples.astype(np.float64)
        for number, (numerator, denominator) in enumerate(self._filters):
            weighted, self._states[number] = lfilter(
                numerator, denominator, weighted, axis=0, zi=self._states[number]
            )
        power = np.concatenate([self._rest, (weighted**2).sum(axis=1)])
        whole = len(power) // self._hop * self._hop
        self._power.append(power[:whole].reshape(-1, self._hop).sum(axis=1))
        self._rest = power[whole:]

    @property
    def value(self) -> float:
        """LUFS; -120 for silence. What is shorter than a block of 0.4 s is one that ends in silence."""
        hops = np.concatenate(self._power) if self._power else np.zeros(0)
        if len(hops) < HOPS:
            hops = np.append(hops, self._rest.sum())
            hops = np.pad(hops, (0, max(0, HOPS - len(hops))))
        sums = np.cumsum(np.pad(hops, (1, 0)))
        means = (sums[HOPS:] - sums[:-HOPS]) / (HOPS * self._hop)
        levels = -0.691 + 10 * np.log10(means + 1e-14)
        loud = means[levels > -70.0]
        if not len(loud):
            return SILENT
        gate = -0.691 + 10 * np.log10(loud.mean()) - 10.0
        kept = means[levels > max(gate, -70.0)]
        return float(-0.691 + 10 * np.log10(kept.mean())) if len(kept) else SILENT


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
    meter = LoudnessMeter(rate, samples.shape[1])
    meter.add(samples)
    return meter.value


def peak(samples: Samples) -> float:
    """Loudest sample, at least 0."""
    return float(max(samples.max(initial=0.0), -samples.min(initial=0.0)))
