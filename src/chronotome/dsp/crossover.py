"""Lows and highs of a sound that add up to it again, and smear no attack."""

import numpy as np

from chronotome.dsp.audio import Samples

WIDTH = float(np.sqrt(np.log(2) / 2) / np.pi)
"""Of a Gaussian, in periods of the frequency at which it lets half of the sound through."""
REACH = 4.0
"""Widths on either side that are heard: what is beyond is 70 dB down."""


def hears_around(hertz: float) -> float:
    """Seconds on either side of a moment that matter to it."""
    return REACH * WIDTH / hertz


def one_band(samples: Samples, rate: int, hertz: float, *, is_high: bool) -> Samples:
    """What is below a frequency, or all that is left without it.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    rate : int
    hertz : float
        20 to 20,000: there both bands are 6 dB down.
    is_high : bool

    Returns
    -------
    float32, the same shape; low and high of the same samples add up to these.
        A Gaussian of no phase: it neither rings nor swings past what it follows, so attacks stay where they
        are (the price is a gentle slope at first).
    """
    from scipy.signal import fftconvolve  # noqa: PLC0415 - SciPy takes longer than the window to open

    if not len(samples):
        return samples
    width = WIDTH / hertz * rate
    reach = max(1, int(np.ceil(REACH * width)))
    bell = np.exp(-0.5 * (np.arange(-reach, reach + 1) / width) ** 2)
    low = fftconvolve(samples.astype(np.float64), (bell / bell.sum())[:, None], mode="same", axes=0)
    if len(samples) < len(bell):
        padded = np.pad(samples, ((reach, reach), (0, 0))).astype(np.float64)
        low = fftconvolve(padded, (bell / bell.sum())[:, None], mode="same", axes=0)[reach:-reach]
    return np.asarray(samples - low if is_high else low, np.float32)
