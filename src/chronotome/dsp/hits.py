"""How loud hits are, and of what: measured where each begins."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.units import Frames

LOUDEST_WITHIN, LOUDEST_OVER = 0.080, 0.010
"""Seconds: of so much from the onset on, the loudest so much."""
SILENCE = -120.0
ENERGY_WITHIN = 0.015
"""Seconds from an attack: which of two hits is the louder is heard there."""
RING_WITHIN, RISES = 0.012, 2.5
"""Seconds before an attack, and how many times their power: with less, it is the ring of a louder hit that is
heard, which is not the new hit's own. (Of 2,000 flams of real strokes, 6 to 40 ms apart, the louder led 82 %
without this, 92 % with it.)
"""
TIMBRE_SECONDS = 0.046
BAND_EDGES = (150.0, 300.0, 600.0, 1200.0, 2400.0, 4800.0, 9600.0)
BANDS = len(BAND_EDGES) + 1
DEPTH = 63
"""Decibels below the strongest band that a timbre can tell."""
BITS = 6
AT_ONCE = 256
LEAST_RISE, LEAST_NEWS = 6.0, 1.0
"""Decibels that an attack rises over what is just before it, and over the loudest of what was."""
SHORT = 0.003
NEAR, BEFORE, LATELY = (-0.002, 0.012), (-0.015, -0.003), (-0.045, -0.003)
"""Seconds about an onset: where its attack is, what is just before it, and what was."""
QUIET = 1e-5
"""Of the recording's mean power: beneath that nothing counts."""


@dataclass(frozen=True, eq=False)
class HitTraits:
    """For each hit its level in dB, and its timbre: how far each of eight bands is below the strongest.

    A timbre is one whole number, six bits a band, the lowest band last.
    """

    levels: NDArray[np.float64]
    energies: NDArray[np.float64]
    """dB of the energy of the 15 ms from the attack on, less what rings there: the highest leads a flam."""
    timbres: NDArray[np.int64]
    attacks: NDArray[np.bool_]
    """True where it begins with an attack, so that not a sample of that may be stretched."""


def hit_traits(samples: Samples, rate: int, frames: Frames) -> HitTraits:
    """Measure hits.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    rate : int
        Of the samples.
    frames : int64, (hits,)
        Where each begins; rising.

    Returns
    -------
    HitTraits
        The level of the loudest 10 ms of the 80 ms from the onset on, never of the next hit; the energy of
        the first 15 ms, whatever comes, and without what rings there already.
    """
    levels, timbres = np.full(len(frames), SILENCE), np.zeros(len(frames), np.int64)
    energies = np.full(len(frames), SILENCE)
    for start in range(0, len(frames), AT_ONCE):
        part = slice(start, start + AT_ONCE)
        until = np.append(frames[1:], len(samples))[part]
        levels[part] = _levels(samples, rate, frames[part], until)
        timbres[part] = _timbres(samples, rate, frames[part])
        energies[part] = _energies(samples, rate, frames[part])
    return HitTraits(levels, energies, timbres, has_attack(samples, rate, frames))


def has_attack(samples: Samples, rate: int, frames: Frames) -> NDArray[np.bool_]:
    """Which onsets are attacks: what rises at once, by 6 dB, and is louder than all of the last 45 ms.

    Heard in the full band and in its first difference, whichever rises more. A low note's own periods and a
    growl rise over what is just before them, but not over what was. For long recordings only what is around
    the onsets is read.
    """
    rises = np.full((2, len(frames)), -np.inf)
    width, step = int(SHORT * rate), max(1, int(SHORT * rate) // 4)
    reach = int(0.05 * rate)
    floor = QUIET * float(np.mean(samples[:: max(1, len(samples) // (1 << 20))].astype(np.float64) ** 2))
    for start in range(0, len(frames), AT_ONCE):
        part = frames[start : start + AT_ONCE]
        around = _gathered(samples, part - reach, 2 * reach)
        for heard in (around, np.diff(around, axis=1, prepend=around[:, :1])):
            power = np.einsum("hfc,hfc->hf", heard, heard, dtype=np.float64) / heard.shape[2]
            sums = np.concatenate([np.zeros((len(part), 1)), np.cumsum(power, axis=1)], axis=1)

            def loudest(span: tuple[float, float], sums: NDArray[np.float64] = sums) -> NDArray[np.float64]:
                first, last = (reach + int(moment * rate) for moment in span)
                at = np.arange(first, last - width + 1, step)
                return np.asarray((sums[:, at + width] - sums[:, at]).max(1) / width)

            low, high = (reach + int(moment * rate) for moment in BEFORE)
            after = loudest(NEAR) + 1e-3 * floor
            before = np.stack([(sums[:, high] - sums[:, low]) / (high - low), loudest(LATELY)])
            rise = 10 * np.log10((after + 1e-15) / (before + floor + 1e-15))
            rises[:, start : start + AT_ONCE] = np.maximum(rises[:, start : start + AT_ONCE], rise)
    return np.asarray((rises[0] >= LEAST_RISE) & (rises[1] >= LEAST_NEWS))


def _gathered(samples: Samples, frames: Frames, length: int) -> NDArray[np.float32]:
    """(hits, length, channels) from each frame on; zeros past the end."""
    at = frames[:, None] + np.arange(length)
    found = samples[np.clip(at, 0, max(0, len(samples) - 1))]
    found[(at < 0) | (at >= len(samples))] = 0.0
    return found


def _levels(samples: Samples, rate: int, frames: Frames, until: Frames) -> NDArray[np.float64]:
    length, over = max(2, int(LOUDEST_WITHIN * rate)), max(1, int(LOUDEST_OVER * rate))
    power = (_gathered(samples, frames, length).astype(np.float64) ** 2).mean(2)
    power *= np.arange(length) < (until - frames)[:, None]
    sums = np.concatenate([np.zeros((len(frames), 1)), np.cumsum(power, axis=1)], axis=1)
    loudest = (sums[:, over:] - sums[:, :-over]).max(1)
    return np.asarray(10 * np.log10(np.maximum(loudest / over, 10 ** (SILENCE / 10))))


def _energies(samples: Samples, rate: int, frames: Frames) -> NDArray[np.float64]:
    ring, length = (max(1, round(seconds * rate)) for seconds in (RING_WITHIN, ENERGY_WITHIN))
    power = (_gathered(samples, frames - ring, ring + length).astype(np.float64) ** 2).mean(2)
    before, after = power[:, :ring].mean(1), power[:, ring:].mean(1)
    own = np.where(after >= RISES * before, after, after - before)
    return np.asarray(10 * np.log10(np.maximum(own, 10 ** (SILENCE / 10))))


def _timbres(samples: Samples, rate: int, frames: Frames) -> NDArray[np.int64]:
    size = int(TIMBRE_SECONDS * rate)
    mono = _gathered(samples, frames, size).mean(2) * np.hanning(size).astype(np.float32)
    power = np.abs(np.fft.rfft(mono, axis=1)) ** 2
    edges = [0, *(min(round(edge * size / rate), power.shape[1] - 1) for edge in BAND_EDGES)]
    bands = 10 * np.log10(np.add.reduceat(power, np.maximum.accumulate(edges), axis=1) + 1e-12)
    below = np.clip(np.rint(bands.max(1, keepdims=True) - bands), 0, DEPTH).astype(np.int64)
    return np.asarray((below << (BITS * np.arange(BANDS))).sum(1))


def bands_of(timbres: NDArray[np.int64]) -> NDArray[np.float64]:
    """(hits, 8): decibels of each band below the strongest."""
    return np.asarray((timbres[:, None] >> (BITS * np.arange(BANDS))) & DEPTH, np.float64)
