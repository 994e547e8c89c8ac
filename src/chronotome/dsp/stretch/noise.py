"""Noise made longer or shorter: its spectrum goes on as it went, its phases are drawn anew.

What is copied comes again and is heard as a flutter; what a vocoder holds rings. Where a sound is noise, as
cymbals, shakers, breath and rain are, only its level at each moment and frequency is heard.

Source: X. Serra and J. O. Smith, "Spectral Modeling Synthesis", 1990, for the stochastic part of a sound.
"""

import numpy as np

from chronotome.dsp.audio import Samples, frames_between
from chronotome.dsp.fades import crossfade

WINDOW_SECONDS = 0.024
"""As long as noise is heard as one colour, and short beside what it changes in."""
OVERLAP = 4
"""Windows that lie over one another: as many add up to one in power."""
COME_IN_SECONDS = 0.010
EVEN = 32
"""Frames that windows are made of: their transforms are fast."""
SHORTEST = 64
"""Frames below which nothing is worth a spectrum."""


def drawn_anew(source: Samples, rate: int, start: int, end: int, length: int) -> Samples:
    """Source frames [start, end) as `length` frames of noise with the same level at each frequency.

    The same span gives the same frames, always: the phases are drawn from its place.

    Parameters
    ----------
    source : float32, shape (frames, channels)
    rate : int
    start, end : int
        Frames, rising; nothing from `end` on is looked at, where the next attack begins.
    length : int
        Frames wanted, at least 1.

    Returns
    -------
    float32, shape (length, channels)
        Begins as a verbatim continuation of the source at `start`.
    """
    spanned = end - start
    size = round(WINDOW_SECONDS * rate / EVEN) * EVEN
    size = min(max(size, SHORTEST), max(SHORTEST, spanned // 2 // OVERLAP * OVERLAP))
    if spanned < SHORTEST:
        return frames_between(source, start, start + length)
    hop = size // OVERLAP
    window = np.sqrt(np.hanning(size + 1)[:-1])
    hops = -(-length // hop) + OVERLAP
    middles = (np.arange(hops) - OVERLAP / 2 + 0.5) * hop * (spanned / length)  # of the source, from `start`
    first = np.clip(np.rint(middles - size / 2), 0, max(0, spanned - size)).astype(np.int64)
    inside = frames_between(source, start, end)
    draw = np.random.default_rng((start, end, length))
    made = np.zeros((hops * hop + size, source.shape[1]), np.float32)
    for number, at in enumerate(first.tolist()):
        heard = np.fft.rfft(
            inside[at : at + size] * window[: len(inside[at : at + size]), None], size, axis=0
        )
        turn = np.exp(
            2j * np.pi * draw.random(len(heard))
        )  # of all channels alike: a noise stays as wide as it was
        again = np.fft.irfft(heard * turn[:, None], size, axis=0)
        made[number * hop : number * hop + size] += (again * window[:, None]).astype(np.float32)
    made = made[hop * OVERLAP // 2 :][:length]
    over = min(int(COME_IN_SECONDS * rate), length // 2, spanned // 2)
    made[:over] = crossfade(inside[:over], made[:over])
    return made
