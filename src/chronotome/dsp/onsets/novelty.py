"""Whitened log-flux per hop: what changed, in which octave, and how loud it was before and after."""

from dataclasses import dataclass
from functools import lru_cache
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray
from scipy.ndimage import median_filter

from chronotome.dsp.audio import Curve
from chronotome.dsp.spectrum import Spectrogram, band_magnitudes, fast_size, halved, triangular_bank

HOP_SECONDS = 0.005
LONG_HOP = 0.010
SHORT_SECONDS, LONG_SECONDS = 1024 / 44100, 4096 / 44100
LOWEST, HIGHEST, HIGHEST_LONG, PER_OCTAVE = 30.0, 16000.0, 4600.0, 12
SHORT_LAG, LONG_LAG, SLOW_LAG = 0.015, 0.020, 0.080
COMPRESSION = 1000.0
FALL_DB_PER_SECOND = 6.0
FLOOR = 10 ** (-90.0 / 20)
"""Of the follower, for a signal whose peak is 1."""
LOW_RATE = 10000
LONG_EARLY = 0.010
MEDIAN_SECONDS = 0.13
BLOCK = 16
"""Hops that share one value of the peak follower."""
SHORT_SCALE, LONG_SCALE = 0.0624, 0.0219  # brings the curves to one scale
SHORT_OCTAVES = (0.0, 120.0, 240.0, 480.0, 960.0, 1920.0, 3840.0, 7680.0)
LONG_OCTAVES = (0.0, 60.0, 120.0, 240.0, 480.0, 960.0, 1920.0)
BAND_EDGES = (0.0, 200.0, 2500.0)


@dataclass(frozen=True, eq=False)
class Flux:
    """Rises of one spectrogram. `octaves` and `levels` have one column per octave."""

    change: Curve
    octaves: Spectrogram
    levels: Spectrogram


class Low(NamedTuple):
    """A signal at a low rate: frame k of it is frame `parts * k` of the whole."""

    signal: Curve
    parts: int


@dataclass(frozen=True, eq=False)
class Novelty:
    """All curves on one axis of hops.

    Invariants: equal lengths; `change` is the mean of the short and the long window's change; `excess` is
    `change` over its running median; `bands` are magnitudes below 200 Hz, between, and above 2.5 kHz.
    """

    hop: int
    change: Curve
    excess: Curve
    short: Flux
    long: Flux
    slow: Flux
    bands: Spectrogram
    low: Low


@lru_cache(maxsize=16)
def _grouping(centres: tuple[float, ...], edges: tuple[float, ...]) -> Spectrogram:
    """Weights of shape (bands, groups): the mean over the bands that begin at an edge; 0 where none does."""
    group = np.searchsorted(edges, centres, side="right") - 1
    weights = (group[:, None] == np.arange(len(edges))).astype(np.float32)
    return weights / np.maximum(weights.sum(axis=0), 1)


def peak_follower(magnitudes: Spectrogram, fall: float, *, block: int) -> Spectrogram:
    """Per block of hops and band, the loudest magnitude near it, falling by `fall` per hop both ways."""
    starts = np.arange(0, len(magnitudes), block)
    loudest = np.log(np.maximum.reduceat(magnitudes, starts, axis=0) + np.float32(1e-12))
    slope = (starts * np.log(fall)).astype(np.float32)[:, None]
    forward = np.maximum.accumulate(loudest - slope, axis=0) + slope
    backward = np.maximum.accumulate((loudest + slope)[::-1], axis=0)[::-1] - slope
    return np.exp(np.maximum(forward, backward))


def whitened(magnitudes: Spectrogram, *, hops_per_second: float) -> Spectrogram:
    """Log-compressed magnitudes relative to what is usual for their band. Overwrites `magnitudes`.

    Notes
    -----
    Stowell and Plumbley, "Adaptive Whitening for Improved Real-Time Audio Onset Detection", 2007.
    """
    fall = 10 ** (-FALL_DB_PER_SECOND / 20 / hops_per_second)
    followed = np.maximum(peak_follower(magnitudes, fall, block=BLOCK), np.float32(FLOOR))
    scale = np.float32(COMPRESSION) / followed
    whole = len(magnitudes) // BLOCK
    blocks = magnitudes[: whole * BLOCK].reshape(whole, BLOCK, -1)
    blocks *= scale[:whole, None]
    magnitudes[whole * BLOCK :] *= scale[whole:]
    magnitudes += 1
    np.log(magnitudes, out=magnitudes)
    magnitudes *= np.float32(1 / np.log(10))
    return magnitudes


def flux(levels: Spectrogram, *, lag: int, grouping: Spectrogram, scale: float) -> Flux:
    """Rise of whitened levels over `lag` hops, over all bands and per octave.

    Notes
    -----
    The three-band maximum before the difference suppresses vibrato: Böck and Widmer, "Maximum Filter
    Vibrato Suppression for Onset Detection", 2013.
    """
    widest = levels.copy()
    np.maximum(widest[:, 1:], levels[:, :-1], out=widest[:, 1:])
    np.maximum(widest[:, :-1], levels[:, 1:], out=widest[:, :-1])
    rises = levels.copy()
    rises[lag:] -= widest[: max(0, len(levels) - lag)]
    np.maximum(rises, 0, out=rises)
    change = rises @ np.full(levels.shape[1], 1 / (levels.shape[1] * scale), np.float32)
    return Flux(change, rises @ grouping, levels @ grouping)


def novelty(signal: Curve, rate: int) -> Novelty:
    """Change per 5 ms hop: a 23 ms window for attacks, a 93 ms window for pitch and soft starts.

    Parameters
    ----------
    signal : float32, shape (frames,)
        Peak about 1.
    rate : int
        Frames per second.
    """
    hop = max(1, round(HOP_SECONDS * rate))
    bank, centres = triangular_bank(
        rate, fast_size(SHORT_SECONDS * rate), lowest=LOWEST, highest=HIGHEST, per_octave=PER_OCTAVE
    )
    magnitudes = band_magnitudes(signal, bank, hop=hop)
    bands = magnitudes @ _grouping(tuple(centres), BAND_EDGES)
    levels = whitened(magnitudes, hops_per_second=rate / hop)
    short = flux(
        levels,
        lag=max(1, round(SHORT_LAG * rate / hop)),
        grouping=_grouping(tuple(centres), SHORT_OCTAVES),
        scale=SHORT_SCALE,
    )
    low = _low(signal, rate)
    long, slow = _long_windows(low, rate, hop, len(levels))
    change = (short.change + long.change) * np.float32(0.5)
    reach = int(MEDIAN_SECONDS * rate / hop) | 1
    excess: Curve = change - median_filter(change, reach, mode="constant").astype(np.float32)
    return Novelty(hop, change, excess, short, long, slow, bands, low)


def _low(signal: Curve, rate: int) -> Low:
    parts = int(2 ** max(0, np.floor(np.log2(rate / LOW_RATE))))
    for left in range(int(np.log2(parts)), 0, -1):
        signal = halved(signal, taps=23 if left == 1 else 7)
    return Low(signal, parts)


def _long_windows(low: Low, rate: int, hop: int, hops: int) -> tuple[Flux, Flux]:
    """Flux of the long window over 20 and over 80 ms, brought to the axis of hops."""
    signal, parts = low
    low_rate = rate / parts
    wide_hop = max(1, round(LONG_HOP * low_rate))
    bank, centres = triangular_bank(
        low_rate,
        fast_size(LONG_SECONDS * low_rate),
        lowest=LOWEST,
        highest=HIGHEST_LONG,
        per_octave=PER_OCTAVE,
    )
    levels = whitened(band_magnitudes(signal, bank, hop=wide_hop), hops_per_second=low_rate / wide_hop)
    early = LONG_EARLY * rate / hop  # the long window hears an attack before it comes
    places = (np.arange(hops) - early) * hop / (wide_hop * parts)
    grouping = _grouping(tuple(centres), LONG_OCTAVES)
    fluxes = [
        flux(levels, lag=max(1, round(lag * low_rate / wide_hop)), grouping=grouping, scale=LONG_SCALE)
        for lag in (LONG_LAG, SLOW_LAG)
    ]
    long, slow = (
        Flux(_at(places, each.change), _at(places, each.octaves), _at(places, each.levels)) for each in fluxes
    )
    return long, slow


def _at(places: NDArray[np.float64], curve: NDArray[np.float32]) -> NDArray[np.float32]:
    """The curve between its hops, its ends held."""
    places = np.clip(places, 0, max(0, len(curve) - 1))
    left = np.minimum(places.astype(np.int64), max(0, len(curve) - 2))
    share = (places - left).astype(np.float32)
    share = share[:, None] if curve.ndim == 2 else share
    right = np.minimum(left + 1, len(curve) - 1)
    return curve[left] * (1 - share) + curve[right] * share
