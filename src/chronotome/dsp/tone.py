"""What a hit sounds like beside its loudness: tilted darker or brighter, without its highs."""

from typing import NamedTuple

import numpy as np

from chronotome.dsp.audio import Samples

PIVOT = 1000.0
"""Hz: what is there stays about as loud."""
HEARS_BACK = 0.05
"""Seconds before a moment that matter to it: what is older is 130 dB down and more."""


LEAST_CUTOFF, NO_CUTOFF = 60.0, 20_000.0
"""Hz: the darkest low-pass, and from where on there is none."""


class Tone(NamedTuple):
    """How a sound is coloured. Each field has the name of the property of a slice that says it."""

    tilt: float = 0.0
    """dB by which its highest octaves are louder, and its lowest softer: -24 (dark) to 24 (bright)."""
    cutoff: float = NO_CUTOFF
    """Hz above which a low-pass takes its partials out, 12 dB an octave."""


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
    return _cut_off(_tilted(samples, rate, tone.tilt), rate, tone.cutoff)


def _tilted(samples: Samples, rate: int, decibels: float) -> Samples:
    """A one-pole crossover at 1 kHz, its highs louder by so many dB and its lows softer by as many."""
    from scipy.signal import lfilter  # noqa: PLC0415 - SciPy takes longer than the window to open

    if not decibels:
        return samples
    k = np.tan(np.pi * min(PIVOT, 0.4 * rate) / rate)
    lows = lfilter([k / (1 + k), k / (1 + k)], [1.0, (k - 1) / (k + 1)], samples.astype(np.float64), axis=0)
    high, low = 10 ** (decibels / 20), 10 ** (-decibels / 20)
    return np.asarray(high * samples + (low - high) * lows, np.float32)


def _cut_off(samples: Samples, rate: int, hertz: float) -> Samples:
    """A Butterworth low-pass of the second order, 3 dB down at `hertz`; none near half the rate."""
    from scipy.signal import butter, sosfilt  # noqa: PLC0415 - SciPy takes longer than the window to open

    if hertz >= min(NO_CUTOFF, 0.45 * rate):
        return samples
    sections = butter(2, max(LEAST_CUTOFF, hertz), fs=rate, output="sos")
    return np.asarray(sosfilt(sections, samples.astype(np.float64), axis=0), np.float32)
