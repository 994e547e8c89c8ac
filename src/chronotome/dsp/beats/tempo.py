"""Tempo from onsets: local periodicity and constant grids."""

from dataclasses import dataclass

import numpy as np
import scipy.fft
from numpy.typing import NDArray
from scipy.ndimage import gaussian_filter1d

from chronotome.dsp.onsets.listener import Listener
from chronotome.dsp.spectrum import in_threads
from chronotome.units import Frames, SecondsArray

Weights = NDArray[np.float64]
PULSES_PER_SECOND = 100.0
PULSE_SPREAD = 0.012
SLOWEST, FASTEST = 45.0, 220.0
USUAL, USUAL_SPREAD = 110.0, 0.75
BAND_EDGES = ((30.0, 150.0), (150.0, 2500.0), (5000.0, 16000.0), (30.0, 16000.0))
LOW, MID, HIGH, ALL = range(4)
NEAR_GRID = 0.022
WANDER_SECONDS = 3.0
ONSETS_AT_ONCE = 256
FREQUENCIES_AT_ONCE = 128


@dataclass(frozen=True)
class ConstantGrid:
    """Moments at start + k * period, k whole.

    `spread` is the weighted distance (root mean square) of the onsets from a quarter of it, in seconds.
    """

    period: float
    start: float
    spread: float


def onset_weights(listener: Listener, frames: Frames, strengths: Weights) -> tuple[Weights, Weights]:
    """How much each onset counts as a pulse, and how loudly each band rises with it.

    Returns
    -------
    weights, shape (onsets,)
        Strength times rise; at most about 1.65.
    rises, shape (4, onsets)
        64 ms after against 64 ms before, within 0 to 1: low, mid, high, all of it (`BAND_EDGES`).
    """
    rate = listener.rate
    size = int(0.064 * rate)
    fade = np.hanning(2 * size)[size:].astype(np.float32)
    frequency = np.fft.rfftfreq(size, 1 / rate)
    spans = [(frequency >= lowest) & (frequency < highest) for lowest, highest in BAND_EDGES]
    rises = np.zeros((len(spans), len(frames)))

    def weigh(start: int, end: int) -> None:
        rows = np.stack([listener.part(frame - size, frame + size) for frame in frames[start:end].tolist()])
        after = np.abs(scipy.fft.rfft(rows[:, size:] * fade, axis=1)) ** 2
        before = np.abs(scipy.fft.rfft(rows[:, :size] * fade[::-1], axis=1)) ** 2
        for rise, span in zip(rises, spans, strict=True):
            gained = np.sqrt(after[:, span].sum(axis=1)) - np.sqrt(before[:, span].sum(axis=1))
            rise[start:end] = np.maximum(gained, 0)

    in_threads(weigh, len(frames), ONSETS_AT_ONCE)  # in batches: memory stays small
    rises /= rises.max(axis=1, initial=0.0, keepdims=True) + 1e-12
    weights = strengths / 100 * (0.15 + np.sqrt(rises[ALL]) + 0.5 * np.sqrt(rises[LOW]))
    return weights, rises


def pulse_train(moments: SecondsArray, weights: Weights, duration: float) -> Weights:
    """The onsets as Gaussian pulses of 12 ms on an axis of 100 per second."""
    total = int(duration * PULSES_PER_SECOND) + 2
    train = np.zeros(total)
    places = moments * PULSES_PER_SECOND
    whole = np.clip(places.astype(int), 0, total - 2)
    share = places - whole
    np.add.at(train, whole, weights * (1 - share))
    np.add.at(train, whole + 1, weights * share)
    return gaussian_filter1d(train, PULSE_SPREAD * PULSES_PER_SECOND, mode="constant")


def local_tempo(train: Weights, *, window: float = 8.0, hop: float = 1.0) -> tuple[SecondsArray, Weights]:
    """Tempo every second: the likeliest path through local autocorrelations with a harmonic comb.

    Returns
    -------
    moments in seconds, beats per minute; equal lengths

    Notes
    -----
    A log-normal prior about 110 bpm; the path is found by Viterbi's method over the logarithm of tempo.
    """
    steps = 60
    tempi = SLOWEST * 2 ** (np.arange(int(steps * np.log2(FASTEST / SLOWEST)) + 1) / steps)
    size, step = int(window * PULSES_PER_SECOND), int(hop * PULSES_PER_SECOND)
    padded = np.pad(train, size // 2)
    starts = np.arange(0, max(1, len(train)), step)
    windows = np.stack([padded[start : start + size] for start in starts]) * np.hanning(size)
    windows -= windows.mean(axis=1, keepdims=True)
    spectra = scipy.fft.rfft(windows, scipy.fft.next_fast_len(2 * size), axis=1)
    similarity = scipy.fft.irfft(np.abs(spectra) ** 2, axis=1)[:, :size]
    similarity /= similarity[:, :1] + 1e-9
    similarity /= np.maximum(0.1, 1 - np.arange(size) / size)[None]

    def at(lags: Weights) -> Weights:
        whole = np.clip(lags.astype(int), 0, size - 2)
        share = lags - whole
        return similarity[:, whole] * (1 - share) + similarity[:, whole + 1] * share

    lags = 60 / tempi * PULSES_PER_SECOND
    limit = size * 0.8
    score = at(lags) + 0.5 * at(np.minimum(2 * lags, limit)) + 0.25 * at(np.minimum(4 * lags, limit))
    score = np.maximum(score + 0.25 * at(lags / 2), 0)
    score *= np.exp(-0.5 * (np.log2(tempi / USUAL) / USUAL_SPREAD) ** 2)
    score /= score.max() + 1e-9
    distance = np.abs(np.arange(len(tempi))[:, None] - np.arange(len(tempi))[None])
    return starts / PULSES_PER_SECOND, tempi[_best_path(score, 0.1 * distance)]


def _best_path(score: Weights, cost: Weights) -> Frames:
    total = score[0].copy()
    came_from = np.zeros(score.shape, np.int64)
    for step in range(1, len(score)):
        choices = total[None] - cost
        came_from[step] = choices.argmax(axis=1)
        total = np.take_along_axis(choices, came_from[step][:, None], axis=1)[:, 0] + score[step]
    path = np.zeros(len(score), np.int64)
    path[-1] = total.argmax()
    for step in range(len(score) - 1, 0, -1):
        path[step - 1] = came_from[step][path[step]]
    return path


LONG_SPAN = 600.0
"""Seconds that are searched as a whole; a longer take is searched around what its beginning says."""


def refined_frequency(moments: SecondsArray, weights: Weights, near: float) -> float:
    """Beats per second within 3 % of `near` at which the onsets' periodogram is highest."""
    span = max(1.0, float(moments[-1] - moments[0]))

    def score(frequencies: Weights) -> Weights:
        total = np.zeros(len(frequencies))
        for start in range(0, len(frequencies), FREQUENCIES_AT_ONCE):
            part = slice(start, start + FREQUENCIES_AT_ONCE)
            for harmonic in (1, 2, 4):
                phases = np.exp(-2j * np.pi * harmonic * frequencies[part, None] * moments[None])
                total[part] += np.abs(phases @ weights) ** 2 / np.sqrt(harmonic)
        return total

    low, high = 0.97 * near, 1.03 * near
    if span > LONG_SPAN:  # hours at once would cost hours times hours
        early = moments <= moments[0] + LONG_SPAN
        known = refined_frequency(moments[early], weights[early], near)
        low, high = known - 2 / LONG_SPAN, known + 2 / LONG_SPAN
    grid = np.linspace(low, high, int(max(81, (high - low) * span * 16)))
    best = near
    for _ in range(4):
        best = float(grid[score(grid).argmax()])
        grid = np.linspace(best - (grid[1] - grid[0]), best + (grid[1] - grid[0]), 41)
    return best


def constant_grid(moments: SecondsArray, weights: Weights, frequency: float) -> ConstantGrid:
    """Robust least squares of the onsets on the nearest quarter of a beat."""
    phase = float(np.angle((weights * np.exp(-2j * np.pi * frequency * moments)).sum()))
    period, start = 1 / frequency, -phase / (2 * np.pi * frequency)
    trusted, error = weights, np.zeros(len(moments))
    for _ in range(4):
        places = np.round((moments - start) / period * 4) / 4
        error = moments - (start + places * period)
        trusted = weights * np.exp(-0.5 * (error / 0.025) ** 2)
        matrix = np.stack([np.ones_like(places), places], axis=1)
        normal = matrix.T @ (matrix * trusted[:, None])
        if np.linalg.det(normal) < 1e-12:
            break
        start, period = np.linalg.solve(normal, matrix.T @ (trusted * moments))
    spread = float(np.sqrt((trusted * error**2).sum() / max(trusted.sum(), 1e-12)))
    return ConstantGrid(float(period), float(start), spread)


def fit_of(grid: ConstantGrid, moments: SecondsArray, weights: Weights) -> float:
    """How much better than by chance the onsets lie on quarters or thirds of the grid; 1 is all of them."""
    best = 0.0
    for parts in (4, 3):
        near = min(NEAR_GRID, 0.28 * grid.period / parts)
        by_chance = min(0.95, 2 * near * parts / grid.period)
        places = (moments - grid.start) / grid.period * parts
        distance = np.abs((places + 0.5) % 1 - 0.5) / parts * grid.period
        share = float(np.average(distance < near, weights=weights))
        best = max(best, (share - by_chance) / (1 - by_chance))
    return best


def wander_of(grid: ConstantGrid, moments: SecondsArray, weights: Weights) -> float:
    """Seconds by which the onsets, three seconds at a time, wander about the grid from end to end."""
    turns = weights * np.exp(8j * np.pi * (moments - grid.start) / grid.period)
    span = max(WANDER_SECONDS, 4 * grid.period)
    phases = []
    for start in np.arange(moments[0], max(moments[-1] - span, moments[0]) + 1e-9, span / 2):
        inside = slice(*np.searchsorted(moments, (start, start + span)))
        total = turns[inside].sum()
        if len(turns[inside]) >= 4 and abs(total) > 0.3 * weights[inside].sum():
            phases.append(float(np.angle(total)))
    if len(phases) < 3:
        return 0.0
    low, high = np.percentile(np.unwrap(phases), (5, 95))
    return float((high - low) / (8 * np.pi) * grid.period)


def likely_frequencies(train: Weights, count: int = 6) -> list[float]:
    """Beats per second at which the spectrum of the pulses and its harmonics are highest, best first."""
    total = 4 * len(train)
    spectrum = np.abs(np.fft.rfft(train - train.mean(), total))
    frequencies = np.arange(len(spectrum)) * PULSES_PER_SECOND / total
    low, high = np.searchsorted(frequencies, (50 / 60, 195 / 60))
    places = np.arange(low, high)
    score = np.zeros(len(places))
    for harmonic, share in ((1, 1.0), (2, 1.0), (3, 0.5), (4, 0.8)):
        score += share * spectrum[np.minimum(places * harmonic, len(spectrum) - 1)]
    found: list[float] = []
    for place in np.argsort(-score).tolist():
        frequency = float(frequencies[low + place])
        if all(abs(frequency / other - 1) > 0.03 for other in found):
            found.append(frequency)
        if len(found) == count:
            break
    return found
