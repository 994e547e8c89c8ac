"""A first guess of the beat: a ladder of even steps that the onsets climb, steady or drifting.

The guess may be twice, half or two thirds of what a listener would tap; `metre` chooses among these.
"""

from dataclasses import dataclass

import numpy as np

from chronotome.dsp.beats.tempo import (
    PULSES_PER_SECOND,
    ConstantGrid,
    Weights,
    constant_grid,
    fit_of,
    likely_frequencies,
    local_tempo,
    pulse_train,
    refined_frequency,
    wander_of,
)
from chronotome.units import SecondsArray

TIGHTNESS = 60.0
SURE_FIT, LEAST_FIT = 0.72, 0.5
MOST_WANDER = 0.020
SNAP = 0.030
STEADY_ERROR, STEADY_SHARE = 0.012, 0.85


@dataclass(frozen=True, eq=False)
class Pacing:
    """Step k happens at `seconds[k]`; straight on before the first and after the last.

    Invariants: two steps or more; `seconds` rises strictly.
    """

    seconds: SecondsArray
    is_constant: bool
    spread: float
    """Distance of the onsets from a constant grid, root mean square, in seconds."""

    @property
    def period(self) -> float:
        """Seconds from step to step, the median."""
        return float(np.median(np.diff(self.seconds)))

    def steps_at(self, moments: SecondsArray) -> SecondsArray:
        """Steps, with fractions, at moments in seconds."""
        first, last = self.seconds[1] - self.seconds[0], self.seconds[-1] - self.seconds[-2]
        inside = np.interp(moments, self.seconds, np.arange(len(self.seconds)))
        before = np.minimum(moments - self.seconds[0], 0) / first
        return np.asarray(inside + before + np.maximum(moments - self.seconds[-1], 0) / last)

    def seconds_at(self, steps: SecondsArray) -> SecondsArray:
        first, last = self.seconds[1] - self.seconds[0], self.seconds[-1] - self.seconds[-2]
        inside = np.interp(steps, np.arange(len(self.seconds)), self.seconds)
        top = len(self.seconds) - 1
        return np.asarray(inside + np.minimum(steps, 0) * first + np.maximum(steps - top, 0) * last)


def first_pacing(moments: SecondsArray, weights: Weights, duration: float) -> Pacing:
    """Even steps where the onsets lie on one grid, else beats that follow the drift.

    Notes
    -----
    Beats come from dynamic programming (D. Ellis, "Beat Tracking by Dynamic Programming", 2007).
    """
    train = pulse_train(moments, weights, duration)
    times, tempi = local_tempo(train)
    usual = float(np.median(tempi)) / 60
    grid, fit = _best_grid(moments, weights, [usual, *likely_frequencies(train)])
    if fit > LEAST_FIT and wander_of(grid, moments, weights) < MOST_WANDER:
        return _even(grid.start, grid.period, grid.spread)
    beats = tracked_beats(train, times, tempi)
    if len(beats) < 4:
        return _even(grid.start, 1 / usual, grid.spread)
    nearest = moments[np.abs(beats[:, None] - moments[None]).argmin(axis=1)]
    near = np.abs(nearest - beats) < SNAP
    snapped = np.where(near, nearest, beats)
    period, start = np.polyfit(np.arange(len(beats)), snapped, 1)
    error = np.abs(snapped - start - period * np.arange(len(beats)))
    if (
        near.sum() > 4
        and np.median(error[near]) < STEADY_ERROR
        and np.mean(error[near] < 0.035) > STEADY_SHARE
    ):
        return _even(float(start), float(period), float(np.std(error[error < 0.035])))
    blended = np.pad(0.7 * snapped + 0.3 * beats, 1, mode="reflect", reflect_type="odd")
    smoothed = np.maximum.accumulate(np.convolve(blended, [0.2, 0.6, 0.2], "valid"))
    rising = np.concatenate([[True], np.diff(smoothed) > 0.05])
    return Pacing(smoothed[rising], is_constant=False, spread=grid.spread)


def _even(start: float, period: float, spread: float) -> Pacing:
    return Pacing(np.array([start, start + period]), is_constant=True, spread=spread)


def _best_grid(
    moments: SecondsArray, weights: Weights, frequencies: list[float]
) -> tuple[ConstantGrid, float]:
    """The grid that the onsets lie on best; the usual frequency where it is good enough."""
    found: list[tuple[float, ConstantGrid]] = []
    for frequency in frequencies:
        grid = constant_grid(moments, weights, refined_frequency(moments, weights, frequency))
        fit = fit_of(grid, moments, weights)
        if not found and fit > SURE_FIT:
            return grid, fit
        found.append((fit + (0.06 if not found else 0.0), grid))
    fit, grid = max(found, key=lambda each: each[0])
    return grid, fit


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
