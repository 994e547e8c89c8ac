"""The units of time used everywhere, and the only conversions between them."""

import numpy as np
from numpy.typing import NDArray

Frames = NDArray[np.int64]
"""Instants of audio, all channels, counted from 0."""
BeatArray = NDArray[np.float64]
"""Quarter notes since beat one of bar 1; negative in a pickup."""
SecondsArray = NDArray[np.float64]


def frames_at(seconds: SecondsArray, rate: int) -> Frames:
    """Nearest frames to many moments."""
    return np.rint(seconds * rate).astype(np.int64)


def at_other_rate(frames: Frames, rate: int, other: int) -> Frames:
    """Frames counted at `rate`, counted at `other` instead."""
    if rate == other:
        return frames
    return np.rint(frames * (other / rate)).astype(np.int64)


def gain_of(decibels: float) -> float:
    """Amplitude factor of a level in dB."""
    return float(10.0 ** (decibels / 20.0))


def decibels_of(gain: float) -> float:
    """Level in dB of an amplitude factor; -inf for 0."""
    return float(20.0 * np.log10(gain)) if gain > 0 else float("-inf")
