"""By how much what comes back through an input is later than it should be."""

import numpy as np
from scipy.signal import chirp, correlate

from chronotome.dsp.audio import Curve, Samples

BURSTS = 6
GAP_SECONDS = 0.5
LEAD_SECONDS, TAIL_SECONDS = 0.5, 1.6
BURST_SECONDS = 0.03
LOUDNESS = 0.5
EARLIEST, LATEST = -0.1, 0.35
"""Seconds around its place within which a burst is looked for."""
LEAST_LIKE = 0.35
"""Cosine between what came and the burst: a room blurs it, noise is far below."""
AGREEING_SECONDS = 0.002
LEAST_AGREEING = 4


def burst(rate: int) -> Curve:
    """A short sweep, float32: its correlation with itself has one sharp peak."""
    moments = np.arange(round(BURST_SECONDS * rate)) / rate
    sweep = chirp(moments, 400.0, BURST_SECONDS, min(8000.0, 0.4 * rate), method="logarithmic")
    return np.asarray(LOUDNESS * sweep * np.hanning(len(moments)), np.float32)


def burst_frames(rate: int) -> list[int]:
    """The frame of the train at which each burst begins."""
    return [round((LEAD_SECONDS + number * GAP_SECONDS) * rate) for number in range(BURSTS)]


def train(rate: int) -> Samples:
    """What is played to measure: float32 (frames, 1), silence after it."""
    whole = np.zeros((round((LEAD_SECONDS + BURSTS * GAP_SECONDS + TAIL_SECONDS) * rate), 1), np.float32)
    one = burst(rate)
    for frame in burst_frames(rate):
        whole[frame : frame + len(one), 0] = one
    return whole


def delay_of(heard: Samples, began: int, rate: int) -> float | None:
    """By how many seconds what was heard came later than it was played.

    Parameters
    ----------
    heard : float32 (frames, channels)
    began : int
        The frame of it at which the train's first one should have come, by the devices' own times.

    Returns
    -------
    The median over the bursts; None where fewer than four came, or where they do not agree within 2 ms.
    """
    mono, one = heard.mean(axis=1, dtype=np.float64), burst(rate).astype(np.float64)
    found = []
    for frame in burst_frames(rate):
        low = began + frame + round(EARLIEST * rate)
        high = began + frame + round(LATEST * rate) + len(one)
        part = mono[max(0, low) : max(0, high)]
        if len(part) < 2 * len(one):
            continue
        scores = correlate(part, one, "valid", "fft")
        energy = np.maximum(np.convolve(part**2, np.ones(len(one)), "valid"), 1e-12)
        likeness = np.abs(scores) / np.sqrt(energy * (one**2).sum())
        best = int(np.abs(scores).argmax())
        if likeness[best] >= LEAST_LIKE:
            found.append((max(0, low) + best - began - frame) / rate)
    if len(found) < LEAST_AGREEING:
        return None
    middle = float(np.median(found))
    agreeing = sum(abs(each - middle) <= AGREEING_SECONDS for each in found)
    return middle if agreeing >= LEAST_AGREEING else None
