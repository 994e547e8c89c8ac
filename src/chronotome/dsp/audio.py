"""Samples with their rate, checked at the door."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

Samples = NDArray[np.float32]
"""float32, shape (frames, channels)."""
Curve = NDArray[np.float32]
"""float32, shape (frames,) or (hops,)."""


@dataclass(frozen=True, eq=False)
class Audio:
    """Samples and their rate.

    Invariants: `samples` is float32 of shape (frames, channels), channels at least 1, all values finite;
    nobody writes into it through this object.
    """

    samples: Samples
    rate: int

    def __post_init__(self) -> None:
        if self.samples.ndim != 2 or self.samples.dtype != np.float32 or self.samples.shape[1] < 1:
            raise ValueError(
                f"samples must be float32 (frames, channels), are {self.samples.dtype} {self.samples.shape}"
            )
        if self.rate <= 0:
            raise ValueError(f"rate must be positive, is {self.rate}")

    @property
    def frames(self) -> int:
        return len(self.samples)

    @property
    def channels(self) -> int:
        return int(self.samples.shape[1])


def audio_of(samples: NDArray[np.floating], rate: int) -> Audio:
    """Audio from any float array of shape (frames,) or (frames, channels).

    Raises
    ------
    ValueError
        If a value is not finite.
    """
    shaped = np.atleast_2d(np.asarray(samples, np.float32))
    shaped = shaped.T if np.ndim(samples) == 1 else shaped
    if not np.isfinite(shaped).all():
        raise ValueError("samples must be finite")
    shaped = np.ascontiguousarray(shaped)
    shaped.flags.writeable = False
    return Audio(shaped, rate)


SILENCE = 1e-6
"""-120 dB: below the last bit of 20, where no recording has anything to find."""


def is_silent(samples: Samples) -> bool:
    """Whether nothing is louder than -120 dB: numbers that are too small to be multiplied are no sound."""
    at_once = 1 << 20
    blocks = (samples[start : start + at_once] for start in range(0, len(samples), at_once))
    return not any(float(np.abs(block).max(initial=0.0)) > SILENCE for block in blocks)


def mono(samples: Samples) -> Samples:
    """Mean of the channels; the loudest one where they cancel each other.

    Parameters
    ----------
    samples : float32, shape (frames, channels)

    Returns
    -------
    float32, shape (frames,)
    """
    if samples.shape[1] == 1:
        return np.ascontiguousarray(samples[:, 0])
    mean = samples[:, 0].copy()
    for channel in range(1, samples.shape[1]):
        mean += samples[:, channel]
    mean /= samples.shape[1]
    energies = [float(np.einsum("i,i->", column, column)) for column in samples.T]
    if float(np.dot(mean, mean)) > 0.2 * max(energies):
        return mean
    return np.ascontiguousarray(samples[:, int(np.argmax(energies))])


def frames_between(source: Samples, start: int, end: int) -> Samples:
    """source[start:end], zeros outside."""
    inside = source[max(0, start) : max(0, min(end, len(source)))]
    if start >= 0 and end <= len(source):
        return inside
    before = min(max(0, -start), end - start)
    return np.pad(inside, ((before, end - start - before - len(inside)), (0, 0)))
