"""How high a sound is: the middle of its spectrum, for sounds with and without a pitch."""

import numpy as np

from chronotome.dsp.audio import Samples

HEARD_SECONDS = 0.25
LOWEST = 20.0


def height_of(samples: Samples, rate: int) -> float:
    """The frequency with as much energy below as above it, of the first quarter of a second.

    Parameters
    ----------
    samples : float32, shape (frames, channels)

    Returns
    -------
    Hz, 20 or more; 20 of silence.
    """
    some = samples[: round(HEARD_SECONDS * rate)].astype(np.float64).mean(axis=1)
    if len(some) < 2 or not some.any():
        return LOWEST
    energy = np.abs(np.fft.rfft(some * np.hanning(2 * len(some))[len(some) :])) ** 2
    frequencies = np.fft.rfftfreq(len(some), 1 / rate)
    energy[frequencies < LOWEST] = 0.0
    total = np.cumsum(energy)
    if total[-1] <= 0:
        return LOWEST
    return float(max(LOWEST, frequencies[int(total.searchsorted(total[-1] / 2))]))
