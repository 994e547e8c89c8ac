"""Audio -> frames, strengths and bands of what starts."""

from dataclasses import dataclass

import numpy as np
import scipy.fft
from numpy.typing import NDArray

from chronotome.dsp.attack import coarse_attacks, first_frames, rows_around
from chronotome.dsp.audio import Audio, Curve, mono
from chronotome.dsp.novelty import Novelty, novelty
from chronotome.dsp.peaks import local_maxima, strongest_apart
from chronotome.dsp.spectrum import in_threads
from chronotome.progress import Progress, part_of, unheard
from chronotome.units import Frames

LEAST_SPACING = 0.030
CANDIDATES_AT_ONCE = 128
SHORTEST = 256
"""Frames below which nothing is looked for."""
# Logistic of log excess and log rise, calibrated to the probability of being an onset.
EXCESS_WEIGHT, RISE_WEIGHT, OFFSET = 3.31, 2.15, -1.04
BAND_EDGES = (200.0, 2500.0)
BAND_TILT = np.array([1.0, 3.0, 12.0])  # natural spectra fall; without it nothing would count as high


@dataclass(frozen=True, eq=False)
class DetectedOnsets:
    """Candidates in order of time.

    Invariants: equal lengths; `frames` strictly rising; `strengths` within 0 to 100.
    """

    frames: Frames
    strengths: NDArray[np.float64]
    bands: NDArray[np.int64]

    def __len__(self) -> int:
        return len(self.frames)


NOTHING = DetectedOnsets(np.zeros(0, np.int64), np.zeros(0), np.zeros(0, np.int64))


def detect_onsets(audio: Audio, *, progress: Progress = unheard) -> DetectedOnsets:
    """Every candidate, from faint to sure, each at the frame where its attack starts.

    Parameters
    ----------
    audio : Audio
        Any rate and number of channels.
    progress : Progress

    Returns
    -------
    DetectedOnsets
        Empty for silence. A strength of 45 is as likely an onset as not, by the detector's calibration.

    Notes
    -----
    Two whitened log-flux curves (Böck and Widmer, 2013), candidates at their common maxima; each is then
    moved to the earliest strong rise of its octave-band energies and on to the first frame that a linear
    predictor of the past does not expect.
    """
    signal = mono(audio.samples)
    is_view = np.shares_memory(signal, audio.samples)
    peak = float(max(signal.max(initial=0.0), -signal.min(initial=0.0)))
    if len(signal) < SHORTEST or peak <= 0:
        return NOTHING
    signal = np.multiply(signal, np.float32(1 / peak), out=None if is_view else signal)
    curves = novelty(signal, audio.rate, progress=part_of(progress, 0.0, 0.7))
    hops = _candidate_hops(curves, audio.rate)
    if not len(hops):
        return NOTHING
    frames, rises = _refined(
        signal, audio.rate, _first_guess(curves, hops, audio.rate, len(signal)), progress
    )
    logit = EXCESS_WEIGHT * np.log(curves.excess[hops]) + RISE_WEIGHT * np.log1p(rises) + OFFSET
    strengths = 100.0 / (1.0 + np.exp(-logit))
    early = int(0.012 * audio.rate)
    if np.abs(signal[:early]).max() < 0.02:  # zero padding giving way to a noise floor is no onset
        strengths[frames < early] = 0.0
    order = np.argsort(frames, kind="stable")
    frames, strengths = frames[order], strengths[order]
    kept = strongest_apart(frames, strengths, int(LEAST_SPACING * audio.rate))
    frames, strengths = frames[kept], strengths[kept]
    bands = _bands(signal, audio.rate, frames)
    progress(1.0)
    return DetectedOnsets(frames, np.round(strengths, 2), bands)


def _candidate_hops(curves: Novelty, rate: int) -> Frames:
    reach = round(0.030 * rate / curves.hop)
    return np.flatnonzero(local_maxima(curves.change, reach=reach) & (curves.excess > 0.2))


def _first_guess(curves: Novelty, hops: Frames, rate: int, total: int) -> Frames:
    """The short window's peak nearby tells the time better, where it has one."""
    back, ahead = round(0.020 * rate / curves.hop), round(0.045 * rate / curves.hop)
    padded = np.pad(curves.attack, (back, ahead))
    nearby = padded[hops[:, None] + np.arange(back + ahead + 1)[None]]
    best = nearby.argmax(axis=1)
    hops = np.where(nearby.max(axis=1) > 0.25, hops + best - back, hops)
    return np.clip((hops * curves.hop - 0.003 * rate).astype(np.int64), 0, total - 1)


def _refined(
    signal: Curve, rate: int, guesses: Frames, progress: Progress
) -> tuple[Frames, NDArray[np.float64]]:
    frames = np.empty(len(guesses), np.int64)
    rises = np.empty(len(guesses))

    def refine(start: int, end: int) -> None:
        attacks = coarse_attacks(signal, rate, guesses[start:end])
        rises[start:end] = attacks.rises
        exact = first_frames(signal, rate, attacks.frames)
        frames[start:end] = np.where(attacks.heights > 1.5, exact, guesses[start:end])

    in_threads(refine, len(guesses), CANDIDATES_AT_ONCE, part_of(progress, 0.7, 0.98))
    return frames, rises


def _bands(signal: Curve, rate: int, frames: Frames) -> NDArray[np.int64]:
    """The band that gains most energy in the 43 ms after the attack."""
    size = max(64, int(0.043 * rate))
    fade = np.hanning(2 * size)[size:].astype(np.float32)
    frequency = np.fft.rfftfreq(size, 1 / rate)
    columns = np.searchsorted(frequency, BAND_EDGES)
    bands = np.empty(len(frames), np.int64)

    def weigh(start: int, end: int) -> None:
        rows = rows_around(signal, frames[start:end], size, size)
        after = np.abs(scipy.fft.rfft(rows[:, size:] * fade, axis=1)) ** 2
        before = np.abs(scipy.fft.rfft(rows[:, :size] * fade[::-1], axis=1)) ** 2
        gained = np.maximum(after - before, 0)
        sums = np.stack([part.sum(axis=1) for part in np.split(gained, columns, axis=1)], axis=1)
        bands[start:end] = (sums * BAND_TILT).argmax(axis=1)

    if len(frames):
        in_threads(weigh, len(frames), 4 * CANDIDATES_AT_ONCE)
    return bands
