"""From a hop that heard a change to the frame where the attack starts."""

from dataclasses import dataclass

import numpy as np
import scipy.fft
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray
from scipy.ndimage import maximum_filter1d

from chronotome.dsp.audio import Curve
from chronotome.units import Frames

BACK, AHEAD, BEFORE = 0.050, 0.030, 0.015
RISE_SPAN = 0.005
SHORT_WINDOW, SHORT_HOP = 0.003, 0.0007
NEARNESS = 0.012
EARLIEST_SHARE = 0.4
PREDICTION_ORDER = 16


@dataclass(frozen=True, eq=False)
class Attacks:
    """Coarse attacks, one per candidate: frame, height of the change, rise over what came before."""

    frames: Frames
    heights: NDArray[np.float64]
    rises: NDArray[np.float64]


def rows_around(signal: Curve, centres: Frames, before: int, after: int) -> Curve:
    """float32, shape (centres, before + after): the signal around each centre, zeros outside."""
    places = centres[:, None] + np.arange(-before, after)[None]
    inside = (places >= 0) & (places < len(signal))
    return np.where(inside, signal[np.clip(places, 0, len(signal) - 1)], np.float32(0))


def coarse_attacks(signal: Curve, rate: int, candidates: Frames) -> Attacks:
    """The earliest strong rise of the octave-band energies near each candidate, to 0.7 ms.

    Parameters
    ----------
    signal : float32, shape (frames,)
    rate : int
    candidates : int64, shape (n,)
        Frames to look around, 50 ms back and 30 ms ahead.
    """
    size = int(2 ** round(np.log2(SHORT_WINDOW * rate)))
    hop = max(8, int(SHORT_HOP * rate))
    before, after = int((BACK + BEFORE) * rate), int(AHEAD * rate)
    rows = rows_around(signal, candidates, before + size, after + size)
    energies = _octave_energies(rows, size, hop)
    hops = energies.shape[1]
    change, following = _change_scores(
        energies, max(1, int(RISE_SPAN * rate / hop)), int(BEFORE * rate / hop)
    )
    offsets = np.arange(hops) * hop - (before + size) + size / 2
    change[:, (offsets < -BACK * rate) | (offsets > AHEAD * rate)] = 0
    near = change * np.exp(-0.5 * (offsets / rate / NEARNESS) ** 2)[None]
    best = near.argmax(axis=1)
    each = np.arange(len(candidates))
    heights = change[each, best]
    best = _earliest_strong(change, heights, best, reach=int(0.002 * rate / hop), back=int(0.03 * rate / hop))
    past = np.clip(best[:, None] - 1 - np.arange(max(1, int(BEFORE * rate / hop))), 0, hops - 1)
    loudest_before = energies[each[:, None], past].max(axis=1)
    rises = np.maximum(np.log(following[each, best] / loudest_before), 0).sum(axis=1)
    frames = np.clip(np.round(candidates + offsets[best]).astype(np.int64), 0, len(signal) - 1)
    return Attacks(frames, heights, rises)


def _octave_energies(rows: Curve, size: int, hop: int) -> NDArray[np.float32]:
    """float32, shape (rows, hops, octaves), never 0."""
    hops = (rows.shape[1] - size) // hop + 1
    window = np.hanning(size + 2)[1:-1].astype(np.float32)
    window /= window.sum()
    views = sliding_window_view(rows, size, axis=1)[:, ::hop][:, :hops]
    spectra = scipy.fft.rfft(views * window, axis=2)
    energies = spectra.real**2 + spectra.imag**2
    edges = [0] + [2**octave for octave in range(int(np.log2(size // 2)))]
    return np.add.reduceat(energies, edges, axis=2) + np.float32(1e-7)


def _change_scores(
    energies: NDArray[np.float32], ahead: int, back: int
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """Summed log ratio of the mean just after to the maximum just before, and that mean itself."""
    hops = energies.shape[1]
    back = max(1, back)
    sums = np.cumsum(np.pad(energies, ((0, 0), (1, 0), (0, 0))), axis=1, dtype=np.float64)
    here = np.arange(hops)
    ends = np.minimum(hops, here + ahead)
    following = (sums[:, ends] - sums[:, here]) / (ends - here)[None, :, None]
    loudest = maximum_filter1d(energies, back, axis=1)
    shift = back - back // 2
    preceding = np.concatenate([np.repeat(loudest[:, :1], shift, axis=1), loudest[:, :-shift]], axis=1)
    return np.maximum(np.log(following / preceding), 0).sum(axis=2), following


def _earliest_strong(
    change: NDArray[np.float64], heights: NDArray[np.float64], best: Frames, *, reach: int, back: int
) -> Frames:
    """A strum or flam starts with its first strong rise, not with its strongest."""
    hops = np.arange(change.shape[1])[None]
    is_peak = change >= maximum_filter1d(change, 2 * reach + 1, axis=1)
    is_strong = change >= np.maximum(EARLIEST_SHARE * heights, 2.0)[:, None]
    is_near = (hops <= best[:, None]) & (hops >= best[:, None] - back)
    wanted = is_peak & is_strong & is_near
    wanted[np.arange(len(best)), best] = True
    return wanted.argmax(axis=1)


def first_frames(signal: Curve, rate: int, coarse: Frames) -> Frames:
    """The frame where each attack starts: where the past no longer predicts the signal.

    An autoregressive model of order 16 is fitted on the 25 ms before; the answer is the first frame whose
    prediction error exceeds both 1.5 times its past maximum and 2 % of what follows.
    """
    past, back, ahead, gap = (int(seconds * rate) for seconds in (0.025, 0.005, 0.004, 0.0025))
    before = past + back
    rows = rows_around(signal, coarse, before, ahead + int(0.006 * rate)).astype(np.float64)
    errors = np.abs(_prediction_errors(rows, before - gap))
    errors[:, :PREDICTION_ORDER] = 0
    usual = errors[:, : before - gap].max(axis=1)
    peak = errors[:, past:].max(axis=1)
    limit = np.minimum(np.maximum(1.5 * usual, 0.02 * peak), 0.5 * peak)
    first = (errors[:, before - gap :] >= limit[:, None]).argmax(axis=1) + before - gap
    return np.maximum(coarse - before + first, 0)


def _prediction_errors(rows: NDArray[np.float64], fitted: int) -> NDArray[np.float64]:
    """Error of a linear predictor fitted on the first `fitted` values of each row (Levinson, batched)."""
    spectra = scipy.fft.rfft(
        rows[:, :fitted] * np.hanning(fitted), scipy.fft.next_fast_len(2 * fitted), axis=1
    )
    lags = scipy.fft.irfft(np.abs(spectra) ** 2, axis=1)[:, : PREDICTION_ORDER + 1]
    lags[:, 0] = lags[:, 0] * (1 + 1e-4) + 1e-12
    weights = np.zeros((len(rows), PREDICTION_ORDER + 1))
    weights[:, 0] = 1
    error = lags[:, 0].copy()
    for order in range(1, PREDICTION_ORDER + 1):
        reflection = -(weights[:, :order] * lags[:, order:0:-1]).sum(axis=1) / error
        turned = weights[:, :order][:, ::-1].copy()
        weights[:, 1 : order + 1] += reflection[:, None] * turned
        error = np.maximum(error * (1 - reflection**2), 1e-15)
    result = rows.copy()
    for order in range(1, PREDICTION_ORDER + 1):
        result[:, order:] += weights[:, order : order + 1] * rows[:, :-order]
    return result
