"""Beats and bars: where the pulse falls, following drift."""

from dataclasses import dataclass

import numpy as np

from chronotome.dsp.audio import Audio
from chronotome.dsp.listener import Listener
from chronotome.dsp.onsets import DetectedOnsets
from chronotome.dsp.tempo import (
    FASTEST,
    PULSES_PER_SECOND,
    ConstantGrid,
    Loop,
    Weights,
    constant_grid,
    local_tempo,
    loop_of,
    onset_weights,
    pulse_train,
    refined_frequency,
    share_on_grid,
)
from chronotome.units import SecondsArray

TIGHTNESS = 60.0
ON_GRID = 0.72
FEWEST_ONSETS = 3
BEATS_IN_BAR = 4


@dataclass(frozen=True, eq=False)
class Pulse:
    """What was found out about tempo and beats.

    Invariants: `beats` and `downbeats` rise strictly, in seconds; `confidence` within 0 to 1;
    `beats_per_minute` is 0 where there was nothing to measure.
    """

    beats_per_minute: float
    beats: SecondsArray
    downbeats: SecondsArray
    confidence: float
    is_constant: bool
    loop: Loop | None


NO_PULSE = Pulse(0.0, np.zeros(0), np.zeros(0), 0.0, is_constant=False, loop=None)


def find_pulse(audio: Audio, onsets: DetectedOnsets, *, name: str = "") -> Pulse:
    """Tempo, beats and first beats of bars (4/4) of a recording.

    Parameters
    ----------
    audio : Audio
    onsets : DetectedOnsets
        As detected in `audio`; those of strength 20 and more count.
    name : str
        Of the file; a tempo in it is a weak vote for a loop.

    Notes
    -----
    A constant grid is fitted first; where the onsets do not lie on one, beats come from dynamic programming
    (D. Ellis, "Beat Tracking by Dynamic Programming", 2007).
    """
    counted = onsets.strengths > 20
    if counted.sum() < FEWEST_ONSETS:
        return NO_PULSE
    listener, rate = Listener(audio), audio.rate
    frames = onsets.frames[counted]
    moments = frames / rate
    weights, low = onset_weights(listener, frames, onsets.strengths[counted])
    duration = audio.frames / rate
    train = pulse_train(moments, weights, duration)
    times, tempi = local_tempo(train)
    grid = constant_grid(moments, weights, refined_frequency(moments, weights, float(np.median(tempi)) / 60))
    on_grid = max(share_on_grid(moments, weights, grid, 4), share_on_grid(moments, weights, grid, 3))
    is_constant = on_grid > ON_GRID
    if is_constant:
        grid = _best_phase(grid, moments, weights, low)
        first = np.ceil(-0.02 / grid.period - grid.start / grid.period)
        count = int((duration - grid.start) / grid.period - first) + 1
        beats = np.maximum(grid.start + grid.period * (first + np.arange(max(0, count))), 0)
        tempo = 60 / grid.period
    else:
        beats = _snapped(tracked_beats(train, times, tempi), moments)
        tempo = 60 / float(np.median(np.diff(beats))) if len(beats) > 1 else float(np.median(tempi))
    beats = beats[beats < duration]
    error = max(0.001, min(0.004, 4 * grid.spread / np.sqrt(len(moments)) / max(0.5, np.ptp(moments))))
    loop = loop_of(listener, tempo, tolerance=float(error) if is_constant else 0.006, name=name)
    phase, margin = _bar_phase(beats, moments, weights, low)
    confidence = float(np.clip(on_grid if is_constant else 0.5 * on_grid, 0, 1)) * (0.75 + 0.25 * margin)
    return Pulse(tempo, beats, beats[phase::BEATS_IN_BAR], round(confidence, 3), is_constant, loop)


def tracked_beats(train: Weights, times: SecondsArray, tempi: Weights) -> SecondsArray:
    """Beats in seconds that hit strong pulses and keep close to the local tempo."""
    total = len(train)
    pulses = train / (train.std() + 1e-9)
    periods = 60 / np.interp(np.arange(total) / PULSES_PER_SECOND, times, tempi) * PULSES_PER_SECOND
    score, came_from = pulses.copy(), np.full(total, -1)
    for here in range(total):
        period = periods[here]
        nearest = int(here - period / 2)
        if nearest < 1:
            continue
        before = np.arange(max(0, int(here - 2 * period)), nearest)
        gains = score[before] - TIGHTNESS * np.log((here - before) / period) ** 2
        best = int(gains.argmax())
        if gains[best] > 0:
            score[here], came_from[here] = pulses[here] + gains[best], before[best]
    tail = max(1, min(total, int(periods[-1])))
    here = total - tail + int(score[total - tail :].argmax())
    path = []
    while here >= 0:
        path.append(here)
        here = int(came_from[here])
    return np.array(path[::-1]) / PULSES_PER_SECOND


def _snapped(beats: SecondsArray, moments: SecondsArray) -> SecondsArray:
    """Beats pulled to an onset within 30 ms."""
    if not len(beats):
        return beats
    distance = np.abs(beats[:, None] - moments[None])
    nearest = moments[distance.argmin(axis=1)]
    return np.unique(np.where(distance.min(axis=1) < 0.030, nearest, beats))


def _best_phase(grid: ConstantGrid, moments: SecondsArray, weights: Weights, low: Weights) -> ConstantGrid:
    """Beats on the quarter, and at the double or half of it, where weight and low end gather most."""
    best, choice = -1.0, grid
    for factor in (0.5, 1.0, 2.0):
        period = grid.period * factor
        if not 50 <= 60 / period <= FASTEST:
            continue
        usual = np.exp(-0.5 * (np.log2(60 / period / 105.0) / 0.55) ** 2)
        for quarter in range(4):
            start = grid.start + quarter * grid.period / 4
            places = (moments - start) / period
            near = np.abs(places - np.round(places)) * period < 0.03
            covered = len(np.unique(np.round(places[near]))) / max(1.0, np.ptp(moments) / period)
            score = float((weights * (1 + low))[near].sum() / weights.sum() * min(1.0, covered / 0.7) * usual)
            if score > best:
                best, choice = score, ConstantGrid(period, start % period, grid.spread)
    return choice


def _bar_phase(
    beats: SecondsArray, moments: SecondsArray, weights: Weights, low: Weights
) -> tuple[int, float]:
    """Which of four beats starts a bar (low end there, other weight on beats 2 and 4), and by how much."""
    if len(beats) < BEATS_IN_BAR:
        return 0, 0.0
    reach = min(0.045, float(np.median(np.diff(beats))) / 5)
    after = np.clip(np.searchsorted(beats, moments), 1, len(beats) - 1)
    nearest = np.where(moments - beats[after - 1] <= beats[after] - moments, after - 1, after)
    near = np.abs(beats[nearest] - moments) < reach  # an onset is near to one beat at most
    bass, other = np.zeros(len(beats)), np.zeros(len(beats))
    np.maximum.at(bass, nearest[near], low[near])
    np.maximum.at(other, nearest[near], (weights * (1 - low))[near])
    scores = np.empty(BEATS_IN_BAR)
    for phase in range(BEATS_IN_BAR):
        bass_on_one = bass[phase::BEATS_IN_BAR].mean()
        off = np.concatenate([other[(phase + 1) % 4 :: 4], other[(phase + 3) % 4 :: 4]])
        scores[phase] = 1.5 * bass_on_one + 0.5 * off.mean()
    scores[0] += 0.05  # recordings tend to start on one
    order = np.sort(scores)
    return int(scores.argmax()), float(np.clip(order[-1] - order[-2], 0, 1))
