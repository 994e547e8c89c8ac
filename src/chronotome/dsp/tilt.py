"""Darker or brighter: the level of all that sounds, tilted about the middle."""

import numpy as np

from chronotome.dsp.audio import Samples

PIVOT = 1000.0
"""Hz: what is there stays about as loud."""
HEARS_BACK = 0.05
"""Seconds before a moment that matter to it: what is older is 130 dB down and more."""


def tilted(samples: Samples, rate: int, decibels: float) -> Samples:
    """A one-pole crossover at 1 kHz, its highs louder by so many dB and its lows softer by as many.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    rate : int
    decibels : float
        -24 (dark) to 24 (bright). Causal, of the first order: no attack is smeared.

    Returns
    -------
    float32, the same shape
    """
    from scipy.signal import lfilter  # noqa: PLC0415 - SciPy takes longer than the window to open

    if not decibels or not len(samples):
        return samples
    k = np.tan(np.pi * min(PIVOT, 0.4 * rate) / rate)
    lows = lfilter([k / (1 + k), k / (1 + k)], [1.0, (k - 1) / (k + 1)], samples.astype(np.float64), axis=0)
    high, low = 10 ** (decibels / 20), 10 ** (-decibels / 20)
    return np.asarray(high * samples + (low - high) * lows, np.float32)
