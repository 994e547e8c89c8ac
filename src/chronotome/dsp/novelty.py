"""Curves of change per hop."""

from dataclasses import dataclass

import numpy as np
from scipy.ndimage import maximum_filter1d, median_filter

from chronotome.dsp.audio import Curve
from chronotome.dsp.spectrum import Spectrogram, band_magnitudes, triangular_bank
from chronotome.progress import Progress, part_of, unheard

HOP_SECONDS = 0.005
COMPRESSION = 1000.0
FALL_DB_PER_SECOND = 6.0
FLOOR_DB = -70.0
MEDIAN_SECONDS = 0.13
BLOCK = 16
"""Hops that share one value of the peak follower."""
HOPS_AT_ONCE = 256 * BLOCK
ATTACK_SCALE, PITCH_SCALE = 0.0624, 0.0219  # brings both curves to one scale


@dataclass(frozen=True, eq=False)
class Novelty:
    """Both curves of change on one axis of hops.

    Invariants: equal lengths; `change` is their mean, `excess` is `change` over its running median.
    """

    change: Curve
    excess: Curve
    attack: Curve
    hop: int


def peak_follower(magnitudes: Spectrogram, fall: float, *, block: int) -> Spectrogram:
    """Per block of hops and band, the loudest magnitude near it, falling by `fall` per hop both ways."""
    starts = np.arange(0, len(magnitudes), block)
    loudest = np.log(np.maximum.reduceat(magnitudes, starts, axis=0) + np.float32(1e-12))
    slope = (starts * np.log(fall)).astype(np.float32)[:, None]
    forward = np.maximum.accumulate(loudest - slope, axis=0) + slope
    backward = np.maximum.accumulate((loudest + slope)[::-1], axis=0)[::-1] - slope
    return np.exp(np.maximum(forward, backward))


def whitened_flux(magnitudes: Spectrogram, *, hops_per_second: float, lag: int) -> Curve:
    """Rise of the whitened, log-compressed spectrum over `lag` hops, mean over bands.

    Parameters
    ----------
    magnitudes : float32, shape (hops, bands), at least 0
        Overwritten.
    hops_per_second : float
    lag : int
        Hops to look back, at least 1.

    Returns
    -------
    float32, shape (hops,), at least 0

    Notes
    -----
    Whitening after Stowell and Plumbley, "Adaptive Whitening for Improved Real-Time Audio Onset
    Detection", 2007; the three-band maximum before the difference (against vibrato) after Böck and
    Widmer, "Maximum Filter Vibrato Suppression for Onset Detection", 2013.
    """
    fall = 10 ** (-FALL_DB_PER_SECOND / 20 / hops_per_second)
    floor = float(magnitudes.max()) * 10 ** (FLOOR_DB / 20)
    followed = np.maximum(peak_follower(magnitudes, fall, block=BLOCK), np.float32(max(floor, 1e-12)))
    flux = np.empty(len(magnitudes), np.float32)
    before = np.zeros((lag, magnitudes.shape[1]), np.float32)
    for start in range(0, len(magnitudes), HOPS_AT_ONCE):  # whole blocks; memory stays small
        part = magnitudes[start : start + HOPS_AT_ONCE]
        blocks = followed[start // BLOCK : (start + HOPS_AT_ONCE) // BLOCK]
        part /= np.repeat(blocks, BLOCK, axis=0)[: len(part)]
        part *= COMPRESSION
        part += 1
        np.log10(part, out=part)
        earlier = np.concatenate([before, maximum_filter1d(part, 3, axis=1)])
        before = earlier[len(part) :]
        flux[start : start + len(part)] = np.maximum(part - earlier[: len(part)], 0).mean(axis=1)
    return flux


def novelty(signal: Curve, rate: int, *, progress: Progress = unheard) -> Novelty:
    """Change per 5 ms hop: a 23 ms window for attacks, a 93 ms window for pitch and soft starts.

    Parameters
    ----------
    signal : float32, shape (frames,)
        Peak about 1.
    rate : int
        Frames per second.
    """
    hop = max(1, round(HOP_SECONDS * rate))
    scale = 2.0 ** max(-3, round(np.log2(rate / 44100)))
    hops = len(signal) // hop + 1
    attack = _flux_with(signal, rate, int(1024 * scale), hop, hops, 0.015, part_of(progress, 0, 0.45))
    wide_hop, wide_hops = 2 * hop, len(signal) // (2 * hop) + 1
    wide = _flux_with(
        signal, rate, int(4096 * scale), wide_hop, wide_hops, 0.020, part_of(progress, 0.45, 1.0)
    )
    late = 0.010 * rate / hop  # the long window hears an attack this much early
    pitch = np.interp(np.arange(hops) - late, np.arange(wide_hops) * 2.0, wide).astype(np.float32)
    attack /= np.float32(ATTACK_SCALE)
    pitch /= np.float32(PITCH_SCALE)
    change = (attack + pitch) / 2
    reach = int(MEDIAN_SECONDS * rate / hop) | 1
    return Novelty(change, change - median_filter(change, reach, mode="constant"), attack, hop)


def _flux_with(  # noqa: PLR0917 - a private step of `novelty`
    signal: Curve, rate: int, size: int, hop: int, hops: int, lag_seconds: float, progress: Progress
) -> Curve:
    bank = triangular_bank(rate, size, lowest=30.0, highest=16000.0, per_octave=12)
    magnitudes = band_magnitudes(signal, bank, hop=hop, hops=hops, progress=progress)
    hops_per_second = rate / hop
    return whitened_flux(
        magnitudes, hops_per_second=hops_per_second, lag=max(1, round(lag_seconds * hops_per_second))
    )
