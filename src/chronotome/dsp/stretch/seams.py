"""Spectra around a frame: their peaks, and what turns each partial as far on as it would be later."""

import numpy as np
import scipy.fft
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples, frames_between
from chronotome.dsp.fades import hann

STEADY = 1.6
"""Radians by which two guesses of how far on a partial would be may differ."""
Spectra = NDArray[np.complex64]


def as_far_on(source: Samples, place: int, shift: int, size: int, hop: int) -> Spectra:
    """What turns the bins around a frame as far on as its partials are `shift` frames later.

    It depends on nothing but the recording, the place and the shift: rows on both sides of it meet in it.
    What is not steady stays as recorded: nobody knows how far on it would be.
    """
    local = frames_between(source, place - size // 2 - hop, place + size - size // 2 + hop).T
    window = hann(size)
    earlier, now, later = (
        scipy.fft.rfft(local[:, at : at + size] * window, axis=-1) for at in (0, hop, 2 * hop)
    )
    starts, peaks, _ = regions(power_of(now)[None])
    before, after = (
        np.angle(np.add.reduceat(np.einsum("cb,cb->b", one, two.conj()), starts))
        for one, two in ((now, earlier), (later, now))
    )
    change = after - before
    change -= 2 * np.pi * np.rint(change / (2 * np.pi))
    expected = 2 * np.pi * peaks * hop / size
    off = before + change / 2 - expected
    off -= 2 * np.pi * np.rint(off / (2 * np.pi))
    angles = np.mod((expected + off) * (shift / hop), 2 * np.pi)
    angles[np.abs(change * (shift / hop)) > STEADY] = 0.0
    turns = np.asarray(np.cos(angles) + 1j * np.sin(angles), np.complex64)
    return np.repeat(turns, np.diff(starts, append=now.shape[1]))


def around(  # noqa: PLR0917 - which part of what, and how it is turned
    source: Samples, place: int, part: tuple[int, int], size: int, overlap: int, turned: Spectra | None
) -> Samples:
    """The recording around a frame, verbatim or with each partial turned."""
    low, high = part
    if turned is None:
        return frames_between(source, place + low, place + high)
    hop = size // overlap
    numbers = np.arange(-(overlap // 2), overlap // 2 + 1)
    at = place + numbers * hop - size // 2
    local = np.ascontiguousarray(frames_between(source, int(at[0]), int(at[-1]) + size).T)
    views, window = sliding_window_view(local, size, axis=1), hann(size)
    now = scipy.fft.rfft(views[:, at - at[0]] * window, axis=-1)
    starts, peaks, _ = regions(power_of(now))
    now *= np.repeat(turned[peaks], np.diff(starts, append=now[0].size)).reshape(now.shape[1:])
    frames = scipy.fft.irfft(now, size, axis=-1) * (window * scale_of(size, overlap))
    result = np.zeros((len(local), (len(numbers) - 1) * hop + size), np.float32)
    for number in range(len(numbers)):
        result[:, number * hop : number * hop + size] += frames[:, number]
    middle = overlap // 2 * hop + size // 2
    return np.ascontiguousarray(result[:, middle + low : middle + high].T)


def scale_of(size: int, overlap: int) -> np.float32:
    return np.float32(1 / (overlap * float(np.mean(hann(size).astype(np.float64) ** 2))))


def power_of(spectra: Spectra) -> NDArray[np.float32]:
    """Of all channels together; the first axis is theirs."""
    power = np.square(spectra[0].real)
    power += np.square(spectra[0].imag)
    for channel in spectra[1:]:
        power += np.square(channel.real)
        power += np.square(channel.imag)
    return np.asarray(power, np.float32)


def regions(
    power: NDArray[np.float32],
) -> tuple[NDArray[np.int64], NDArray[np.int64], NDArray[np.int64]]:
    """Flat starts of the regions of all frames, the bin of each one's peak, and where each frame's begin.

    A peak is louder than two bins on either side; regions meet half-way.
    """
    frames, bins = power.shape
    is_peak = np.zeros(power.shape, bool)
    middle = power[:, 2:-2]
    is_peak[:, 2:-2] = (middle > power[:, 1:-3]) & (middle >= power[:, 3:-1])
    is_peak[:, 2:-2] &= (middle > power[:, :-4]) & (middle >= power[:, 4:])
    is_peak[~is_peak.any(axis=1), 1] = True
    at = np.flatnonzero(is_peak)
    row = at // bins
    starts = np.zeros(len(at), np.int64)
    same = row[1:] == row[:-1]
    starts[1:] = np.where(same, (at[1:] + at[:-1]) // 2 + 1, row[1:] * bins)
    return starts, at - row * bins, np.searchsorted(row, np.arange(frames + 1))
