"""From a place that heard a change to the frame where the attack starts."""

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view

from chronotome.dsp.audio import Curve, Samples, mono
from chronotome.dsp.onsets.rises import octave_rises
from chronotome.units import Frames

PREDICTION_ORDER = 16
ROWS_AT_ONCE = 64
"""Few enough that what is worked on stays in the cache of a core."""
CONTEXT = 0.040
"""Seconds around that are heard too when one attack is looked for."""
LEAST_CLEAR = 4.0
"""Change from which something starts that a mark may be pulled to."""


def rows_around(signal: Curve, centres: Frames, before: int, after: int) -> Curve:
    """float32, shape (centres, before + after): the signal around each centre, zeros outside."""
    if len(centres) and centres.min() >= before and centres.max() + after <= len(signal):
        return sliding_window_view(signal, before + after)[centres - before]
    places = centres[:, None] + np.arange(-before, after)[None]
    inside = (places >= 0) & (places < len(signal))
    return np.where(inside, signal[np.clip(places, 0, len(signal) - 1)], np.float32(0))


def first_frames(signal: Curve, rate: int, coarse: Frames) -> Frames:
    """The frame where each attack starts: where the past no longer predicts the signal.

    An autoregressive model of order 16 is fitted on the 25 ms before; the answer is the first frame whose
    prediction error exceeds both 1.5 times its past maximum and 2 % of what follows.
    """
    frames = np.empty(len(coarse), np.int64)
    for start in range(0, len(coarse), ROWS_AT_ONCE):
        chosen = slice(start, start + ROWS_AT_ONCE)
        frames[chosen] = _first_frames(signal, rate, coarse[chosen])
    return frames


def _first_frames(signal: Curve, rate: int, coarse: Frames) -> Frames:
    past, back, ahead, gap = (int(seconds * rate) for seconds in (0.025, 0.005, 0.004, 0.0025))
    before = past + back
    rows = rows_around(signal, coarse, before, ahead + int(0.006 * rate))
    errors = np.abs(_prediction_errors(rows, before - gap))
    errors[:, :PREDICTION_ORDER] = 0
    usual = errors[:, : before - gap].max(axis=1)
    peak = errors[:, past:].max(axis=1)
    limit = np.minimum(np.maximum(1.5 * usual, 0.02 * peak), 0.5 * peak)
    first = (errors[:, before - gap :] >= limit[:, None]).argmax(axis=1) + before - gap
    return np.maximum(coarse - before + first, 0)


def _prediction_errors(rows: Curve, fitted: int) -> Curve:
    """Error of a linear predictor fitted on the first `fitted` values of each row (Levinson, batched)."""
    windowed = rows[:, :fitted] * np.hanning(fitted)
    lags = np.stack(
        [
            np.einsum("ij,ij->i", windowed[:, : fitted - lag], windowed[:, lag:])
            for lag in range(PREDICTION_ORDER + 1)
        ],
        axis=1,
    )
    lags[:, 0] = lags[:, 0] * (1 + 1e-4) + 1e-12
    weights = np.zeros((len(rows), PREDICTION_ORDER + 1))
    weights[:, 0] = 1
    error = lags[:, 0].copy()
    for order in range(1, PREDICTION_ORDER + 1):
        reflection = -(weights[:, :order] * lags[:, order:0:-1]).sum(axis=1) / error
        turned = weights[:, :order][:, ::-1].copy()
        weights[:, 1 : order + 1] += reflection[:, None] * turned
        error = np.maximum(error * (1 - reflection**2), 1e-15)
    result, part, factors = rows.copy(), np.empty_like(rows), weights.astype(np.float32)
    for order in range(1, PREDICTION_ORDER + 1):
        np.multiply(factors[:, order : order + 1], rows[:, :-order], out=part[:, order:])
        result[:, order:] += part[:, order:]
    return result


def nearest_attack(samples: Samples, rate: int, frame: int, reach: float) -> int | None:
    """The frame where an attack starts within `reach` seconds of `frame`; None where nothing starts.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
        Only what is near is read.
    """
    away = int(reach * rate)
    before = away + int(CONTEXT * rate)
    start, end = max(0, frame - before), min(len(samples), frame + before)
    part = mono(samples[start:end])
    peak = float(np.abs(part).max(initial=0.0))
    if len(part) < 2 * PREDICTION_ORDER or peak <= 0:
        return None
    padding = int(CONTEXT * rate)
    signal = np.pad(part / np.float32(peak), (padding, padding))
    rises = octave_rises(signal, rate)
    places = np.arange(len(rises.change)) * rises.hop - padding + start - frame
    nearness = np.exp(-0.5 * (places / max(1, away)) ** 2)
    change = np.where(np.abs(places) <= away, rises.change * nearness, 0)
    best = int(change.argmax())
    if rises.change[best] < LEAST_CLEAR:
        return None
    exact = int(first_frames(signal, rate, np.array([best * rises.hop]))[0])
    return max(0, exact - padding + start)


def nearest_crossing(samples: Samples, frame: int, reach: int) -> int:
    """The frame nearest to `frame`, within `reach` frames, from which on the mean has another sign."""
    start, end = max(0, frame - reach), min(len(samples), frame + reach + 1)
    part = samples[start:end].mean(axis=1)
    crossings = np.flatnonzero((part[:-1] < 0) != (part[1:] < 0)) + 1 + start
    return int(crossings[np.abs(crossings - frame).argmin()]) if len(crossings) else frame
