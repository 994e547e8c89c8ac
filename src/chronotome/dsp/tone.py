"""What a hit sounds like beside its loudness: tilted darker or brighter."""

from typing import NamedTuple

import numpy as np

from chronotome.dsp.audio import Samples

PIVOT = 1000.0
"""Hz: what is there stays about as loud."""
HEARS_BACK = 0.05
"""Seconds before a moment that matter to it: what is older is 130 dB down and more."""


class Tone(NamedTuple):
    """How a sound is coloured. Each field has the name of the property of a slice that says it."""

    tilt: float = 0.0
    """dB by which its highest octaves are louder, and its lowest softer: -24 (dark) to 24 (bright)."""


AS_RECORDED = Tone()


def toned(samples: Samples, rate: int, tone: Tone) -> Samples:
    """A sound in a tone. Causal, of low order: no attack is smeared.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    rate : int
    tone : Tone

    Returns
    -------
    float32, the same shape
    """
    if tone == AS_RECORDED or not len(samples):
        return samples
    return _tilted(samples, rate, tone.tilt)


def _tilted(samples: Samples, rate: int, decibels: float) -> Samples:
    """A one-pole crossover at 1 kHz, its highs louder by so many dB and its lows softer by as many."""
    from scipy.signal import lfilter  # noqa: PLC0415 - SciPy takes longer than the window to open

    if not decibels:
        return samples
    k = np.tan(np.pi * min(PIVOT, 0.4 * rate) / rate)
    lows = lfilter([k / (1 + k), k / (1 + k)], [1.0, (k - 1) / (k + 1)], samples.astype(np.float64), axis=0)
    high, low = 10 ** (decibels / 20), 10 ** (-decibels / 20)
    return np.asarray(high * samples + (low - high) * lows, np.float32)
