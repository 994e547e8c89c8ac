"""How far the second of two equal notes is played late."""

from dataclasses import dataclass

import numpy as np

from chronotome.dsp.beats.tempo import Weights
from chronotome.units import SecondsArray

FEWEST = 6


@dataclass(frozen=True)
class Swing:
    """Where the second note of a pair falls within it: 50 % is straight, 66.7 % a triplet.

    `division` is 8 where eighths swing, 16 where sixteenths do.
    """

    percent: float
    division: int


def swing_of(moments: SecondsArray, weights: Weights, beats: SecondsArray) -> Swing | None:
    """The swing of a take whose beats are known; None where too few notes lie between them.

    Notes
    -----
    The weighted median of where the off-beat notes fall, of the finer division that is played.
    """
    if len(beats) < 2:
        return None
    inside = (moments >= beats[0]) & (moments < beats[-1])
    places = np.interp(moments[inside], beats, np.arange(len(beats))) % 1.0
    heavy = weights[inside]
    off_sixteenth = ((places > 0.18) & (places < 0.40)) | ((places > 0.68) & (places < 0.90))
    off_eighth = (places > 0.42) & (places < 0.78)
    on_third = np.abs(places - 1 / 3) < 0.045
    sixteenths = places[off_sixteenth] % 0.5 * 200
    plays_sixteenths = off_sixteenth.sum() >= FEWEST and heavy[off_sixteenth].sum() > 0.12 * heavy.sum()
    straight_eighths = np.abs(places - 0.5) < 0.04
    if plays_sixteenths and heavy[straight_eighths].sum() > 0.5 * heavy[off_eighth & ~straight_eighths].sum():
        return _median(sixteenths, heavy[off_sixteenth], 16)
    if off_eighth.sum() < FEWEST or heavy[on_third].sum() > heavy[off_eighth].sum():
        return None
    return _median(places[off_eighth] * 100, heavy[off_eighth], 8)


def _median(percents: Weights, weights: Weights, division: int) -> Swing:
    order = np.argsort(percents)
    total = np.cumsum(weights[order])
    percent = float(percents[order][np.searchsorted(total, total[-1] / 2)])
    return Swing(round(min(75.0, max(50.0, percent)), 1), division)
