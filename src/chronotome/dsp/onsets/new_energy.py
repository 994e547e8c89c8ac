"""What sounds after a frame and did not before it: how it comes in, however loud the rest rings on."""

import numpy as np
import scipy.fft
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve
from chronotome.dsp.network import Features
from chronotome.dsp.onsets.attack import rows_around
from chronotome.dsp.spectrum import periodic_hann
from chronotome.units import Frames

FINE_SECONDS, WIDE_SECONDS = 256 / 11025, 512 / 11025
"""Of the two windows: one that tells the time, one that tells tones apart."""
FINE_TIMES = np.asarray(np.arange(-22, 27) * 0.005, np.float64)
WIDE_TIMES = np.asarray(np.arange(-11, 14) * 0.010, np.float64)
LATE_TIMES = np.array([0.15, 0.2, 0.25, 0.3])
"""Seconds around a frame at which is listened."""
BEFORE, AFTER = (-0.0905, -0.0445), (0.0445, 0.1105)
"""Seconds around a frame that tell which bins are new."""
TIMES_OLD = 2.0
"""A bin is new by what it is louder than so many times its power before."""
EDGES = (500.0, 1500.0)
"""Hz between the three parts of the spectrum."""
FEATURES = len(FINE_TIMES) * 3 + len(WIDE_TIMES) + 3 + 1 + len(LATE_TIMES)
LEAST, MOST = -8.0, 4.0
"""Of logarithms of powers, relative to the loudest."""
SILENT = np.float32(1e-9)
AT_ONCE = 32
"""Candidates whose spectra are held together."""


def newcomers_of(signal: Curve, frames: Frames, rate: float) -> Features:
    """How what is new comes in around each frame.

    Parameters
    ----------
    signal : float32, shape (frames,)
        Peak about 1, at a low rate: tones start slowly below 5 kHz.
    frames : int64, shape (candidates,)
        Of that signal.
    rate : float
        Frames per second of that signal.

    Returns
    -------
    float32, shape (candidates, features)
        Logarithms of the power of what is new, every 5 ms in three parts of the spectrum, then every 10 ms by
        the wide window; of the share of all that sounds that is new; and of the power later on.

    Notes
    -----
    Each bin is weighted as a Wiener filter would that knows the spectrum before as noise: a tone that starts
    under others that ring on is seen alone.
    """
    found = np.zeros((len(frames), FEATURES), np.float32)
    for at in range(0, len(frames), AT_ONCE):
        found[at : at + AT_ONCE] = _rows(signal, frames[at : at + AT_ONCE], rate)
    return found


def _rows(signal: Curve, frames: Frames, rate: float) -> NDArray[np.float32]:
    count = len(frames)
    fine = _powers(signal, frames, FINE_TIMES, rate, FINE_SECONDS)
    weights, new, whole = _new(fine, FINE_TIMES)
    part = np.searchsorted(EDGES, scipy.fft.rfftfreq(round(FINE_SECONDS * rate), 1 / rate), side="right")
    parts = (part[:, None] == np.arange(len(EDGES) + 1)).astype(np.float32)
    fine *= weights[:, None]
    three = fine @ parts + SILENT
    total = three.sum(axis=2)
    loudest = total[:, FINE_TIMES >= 0].max(axis=1)[:, None]
    wide = _powers(signal, frames, WIDE_TIMES, rate, WIDE_SECONDS)
    wide_weights, wide_new, wide_whole = _new(wide, WIDE_TIMES)
    wide_total = np.matmul(wide, wide_weights[:, :, None])[:, :, 0] + SILENT
    late = _powers(signal, frames, LATE_TIMES, rate, FINE_SECONDS)
    late_total = np.matmul(late, weights[:, :, None])[:, :, 0] + SILENT
    columns = [
        np.log(three / loudest[:, :, None]).reshape(count, -1),
        np.log(wide_total / wide_total[:, WIDE_TIMES >= 0].max(axis=1)[:, None]),
        np.log((new @ parts + SILENT) / (whole @ parts + SILENT)),
        np.log((wide_new.sum(axis=1) + SILENT) / (wide_whole.sum(axis=1) + SILENT))[:, None],
        np.log(late_total / loudest),
    ]
    return np.clip(np.concatenate(columns, axis=1), LEAST, MOST)


def _powers(
    signal: Curve, frames: Frames, times: NDArray[np.float64], rate: float, seconds: float
) -> NDArray[np.float32]:
    """Shape (frames, times, bins): power of windows around each frame and time."""
    size = round(seconds * rate)
    centres = np.rint(frames[:, None] + times * rate).astype(np.int64)
    window = periodic_hann(size)
    rows = rows_around(signal, centres.ravel(), size // 2, size - size // 2) * (window / (window.sum() / 2))
    spectra = scipy.fft.rfft(rows, axis=1)
    return (spectra.real**2 + spectra.imag**2).reshape(len(frames), len(times), -1)


def _new(
    powers: NDArray[np.float32], times: NDArray[np.float64]
) -> tuple[NDArray[np.float32], NDArray[np.float32], NDArray[np.float32]]:
    """Per bin, shape (frames, bins): the weight of what is new, its power later on, and that of all."""
    before, after = (
        powers[:, (times >= first) & (times <= last)].mean(axis=1) for first, last in (BEFORE, AFTER)
    )
    weights = np.clip(1 - TIMES_OLD * before / (after + np.float32(1e-12)), 0, 1).astype(np.float32)
    return weights, weights * after, after
