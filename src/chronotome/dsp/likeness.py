"""Which hits are the same sound: by their spectra, whatever their loudness, and by the pitch of tones."""

from dataclasses import dataclass
from typing import Any

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.units import Frames

LOW_SECONDS, HIGH_SECONDS, LEAST_SECONDS = 0.25, 0.046, 0.05
"""What is heard of each hit, below and above the middle: up to the next one, but so much of it at least."""
BEFORE_SECONDS = (0.045, 0.003)
"""What sounds in that time before an attack is taken for what goes on under it, and taken away."""
LEFT = 0.02
"""Share of a band that is always left of it."""
LOWEST, MIDDLE, HIGHEST, PER_OCTAVE = 40.0, 3200.0, 15_000.0, 24
LOW_RATE = 11000
"""Below the middle it is heard at about that rate."""
SOFTENED = 0.35
"""Power of the spectra's energies: the weak partials of a tone count as well."""
SMOOTHED = (0.25, 0.5, 1.0, 0.5, 0.25)
ALIKE = 0.15
"""Distance of spectra up to which two are the same sound: at 0.27 a ride over a ringing snare is a snare."""
TONE_SECONDS = (0.020, 0.300)
TONE_HERTZ, LOW_TONE = (35.0, 1000.0), 200.0
"""Where pitches are looked for. Of low tones they count: bands cannot tell two semitones apart there."""
LOW_SHARE = 0.02
"""Of a sound's energy that lies where low tones are, so that it can be one."""
CLEAR, FIRST_PEAK = 0.8, 0.93
"""Correlation with itself a period later from which on it is a tone; share of that of an earlier one."""
SAME_PITCH = 0.035
MOST_TIMES = 5
"""Periods that are so many times one another may be of one pitch."""
AT_ONCE = 256
Rows = NDArray[np.float32]


@dataclass(frozen=True, eq=False)
class Likeness:
    """What hits sound like: (hits, bands) of unit length, and the pitch of those that are tones, else 0."""

    spectra: NDArray[np.float32]
    pitches: NDArray[np.float64]

    def alike(self, to: NDArray[np.int64], within: float = ALIKE) -> NDArray[np.bool_]:
        """True for each hit that is the same sound as one of some, as near as that."""
        found = np.zeros(len(self.spectra), np.bool_)
        for one in to.tolist():
            near = 1.0 - self.spectra @ self.spectra[one] <= within
            found |= near & ~_are_apart(self.pitches, self.pitches[one])
            found[one] = True
        return found


def likeness_of(samples: Samples, rate: int, frames: Frames, until: Frames) -> Likeness:
    """Listen to hits.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    rate : int
    frames, until : int64, shape (hits,)
        Where each begins, and where the next one does.
    """
    mono = np.asarray(sum(samples[:, channel] for channel in range(samples.shape[1])), np.float32)
    step = max(1, round(rate / LOW_RATE))
    count = len(mono) // step
    low = np.asarray(sum(mono[each : count * step : step] for each in range(step)), np.float32)
    edges = LOWEST * 2 ** (np.arange(int(np.log2(HIGHEST / LOWEST) * PER_OCTAVE) + 2) / PER_OCTAVE)
    below, above = edges[edges <= MIDDLE], edges[edges >= edges[edges <= MIDDLE][-1]]
    found, pitches = list[Rows](), list[NDArray[np.float64]]()
    for first in range(0, len(frames), AT_ONCE):
        start, end = frames[first : first + AT_ONCE], until[first : first + AT_ONCE]
        lows = _spectra(low, rate / step, start // step, end // step, below, LOW_SECONDS)
        highs = _spectra(mono, rate, start, end, above, HIGH_SECONDS)
        both = np.concatenate([lows, highs], axis=1)
        found.append(both)
        heard = _pitches(low, rate / step, start // step, end // step)
        share = both[:, edges[1:] <= LOW_TONE].sum(axis=1) / np.maximum(both.sum(axis=1), 1e-20)
        pitches.append(np.where((heard < LOW_TONE) & (share > LOW_SHARE), heard, 0.0))
    if not found:
        return Likeness(np.zeros((0, len(edges) - 1), np.float32), np.zeros(0))
    spectra = np.concatenate(found)
    spectra = (spectra / np.maximum(spectra.max(axis=1, keepdims=True), 1e-20)) ** SOFTENED
    reach = len(SMOOTHED) // 2
    padded, smooth = np.pad(spectra, ((0, 0), (reach, reach))), np.zeros_like(spectra)
    for at, weight in enumerate(SMOOTHED):
        smooth += np.float32(weight) * padded[:, at : at + spectra.shape[1]]
    smooth /= np.maximum(np.linalg.norm(smooth, axis=1, keepdims=True), 1e-12)
    return Likeness(smooth, np.concatenate(pitches))


def _fft() -> Any:
    """In single precision, many rows at once."""
    import scipy.fft  # noqa: PLC0415 - SciPy takes longer than the window to open

    return scipy.fft


def _cut(mono: Rows, start: Frames, length: Frames, most: int) -> Rows:
    """(hits, most): each from its start on for its length, zeros behind."""
    at = start[:, None] + np.arange(most)
    heard = mono[np.clip(at, 0, max(0, len(mono) - 1))] if len(mono) else np.zeros(at.shape, np.float32)
    heard[(at < 0) | (at >= len(mono)) | (np.arange(most) >= length[:, None])] = 0.0
    return heard


def _spectra(  # noqa: PLR0917 - where hits are, and what is heard of each
    mono: Rows, rate: float, start: Frames, end: Frames, edges: NDArray[np.float64], seconds: float
) -> Rows:
    """(hits, bands): energy between edges in Hz, without what went on before."""
    most, least = int(seconds * rate), int(min(LEAST_SECONDS, seconds) * rate)
    size = 1 << int(np.ceil(np.log2(most)))
    length = np.clip(end - start, least, most)
    share = np.arange(most) / length[:, None]
    fade = np.cos(np.clip(2 * share - 1, 0.0, 1.0) * (np.pi / 2)).astype(np.float32) ** 2
    power = _banded(_cut(mono, start, length, most) * fade, size, edges * size / rate)
    count = int((BEFORE_SECONDS[0] - BEFORE_SECONDS[1]) * rate)
    window = np.hanning(count).astype(np.float32)
    before = _cut(mono, start - int(BEFORE_SECONDS[0] * rate), np.full(len(start), count), count)
    under = _banded(before * window, size, edges * size / rate)
    under *= ((fade**2 * (share < 1)).sum(axis=1) / (window @ window))[:, None]
    return np.maximum(power - under, np.float32(LEFT) * power)


def _banded(heard: Rows, size: int, bands: NDArray[np.float64]) -> Rows:
    """Energy between edges, which may lie between the bins of the spectrum."""
    spectrum = _fft().rfft(heard, size, axis=1)
    power = spectrum.real**2 + spectrum.imag**2
    sums = np.concatenate([np.zeros((len(heard), 1)), np.cumsum(power, axis=1, dtype=np.float64)], axis=1)
    bands = np.clip(bands, 0, sums.shape[1] - 1.001)
    whole = bands.astype(np.int64)
    between = bands - whole
    at = sums[:, whole] * (1 - between) + sums[:, whole + 1] * between
    return np.diff(at, axis=1).astype(np.float32)


def _pitches(mono: Rows, rate: float, start: Frames, end: Frames) -> NDArray[np.float64]:
    """Hz of tones behind their attacks, by the first clear peak of the autocorrelation; 0: none."""
    first, last = (int(seconds * rate) for seconds in TONE_SECONDS)
    count = last - first
    until = np.maximum(end, start + int(LEAST_SECONDS * rate))
    length = np.clip(until - start - first, 0, count)
    heard = _cut(mono, start + first, length, count)
    size = 1 << int(np.ceil(np.log2(2 * count)))
    spectrum = _fft().rfft(heard, size, axis=1)
    alike = _fft().irfft(spectrum.real**2 + spectrum.imag**2, size, axis=1)
    energy = np.concatenate(
        [np.zeros((len(heard), 1)), np.cumsum(heard.astype(np.float64) ** 2, axis=1)], axis=1
    )
    found = np.zeros(len(start))
    shortest = int(rate / TONE_HERTZ[1])
    for row, own in enumerate(length.tolist()):
        longest = min(int(rate / TONE_HERTZ[0]) + 1, own // 2)
        if longest - shortest >= 4:
            lags = np.arange(longest)
            power = energy[row, own - lags] * (energy[row, own] - energy[row, lags])
            found[row] = _first_peak(alike[row, :longest] / np.sqrt(np.maximum(power, 1e-18)), shortest)
    return np.divide(rate, found, out=np.zeros(len(found)), where=found > 0)


def _first_peak(alike: NDArray[np.float64], shortest: int) -> float:
    """The lag, with a fraction, of the first peak that is about as high as any; 0 where none is clear."""
    dips = np.flatnonzero(alike < 0.5)
    begin = max(shortest, int(dips[0])) if len(dips) else shortest
    part = alike[begin:]
    if len(part) < 3 or part.max() < CLEAR:
        return 0.0
    peaks = (part[1:-1] >= part[:-2]) & (part[1:-1] >= part[2:]) & (part[1:-1] > FIRST_PEAK * part.max())
    found = np.flatnonzero(peaks)
    if not len(found):
        return 0.0
    at = begin + int(found[0]) + 1
    left, middle, right = alike[at - 1 : at + 2].tolist()
    bend = left - 2 * middle + right
    return at + (0.5 * (left - right) / bend if bend else 0.0)


def _are_apart(pitches: NDArray[np.float64], pitch: float) -> NDArray[np.bool_]:
    """Which tones are of another pitch, octaves and other multiples aside."""
    if not pitch:
        return np.zeros(len(pitches), np.bool_)
    known = np.where(pitches > 0, pitches, pitch)
    times = np.maximum(known / pitch, pitch / known)
    whole = np.clip(np.rint(times), 1, MOST_TIMES)
    return np.asarray(np.abs(times / whole - 1.0) > SAME_PITCH)
