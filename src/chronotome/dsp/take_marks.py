"""Where a take belongs: one line through all that was said of which frame was heard as one came in."""

import numpy as np
from numpy.typing import NDArray

STEADY_SECONDS = 0.05
"""Marks farther from their middle than that are of another round, or of another jump."""
SETTLING_SECONDS = 3.0
"""Of a take's beginning: devices say better where they are once they have run for a while."""
MOST_SLOPE = 500e-6
"""Two clocks do not drift apart more than that; a line that rises more is made of noise."""


def place_of(keys: NDArray[np.int64], places: NDArray[np.int64], rate: int) -> int | None:
    """The session frame at which a take's first frame was heard.

    Parameters
    ----------
    keys : int64, shape (marks,)
        Frames of the take; they rise.
    places : int64, shape (marks,)
        By each mark, where the take's first frame belongs: they differ by what devices are off by.
    rate : int
        Frames a second.

    Returns
    -------
    The middle one of the marks along a line, by least squares, in the middle of the take: there it is right
    however two clocks drift apart; where something was left out, for most of it. None without marks.
    """
    if not len(keys):
        return None
    first = _round_of(places, rate)
    keys, places = keys[first], places[first]
    if keys[-1] - keys[0] > 2 * SETTLING_SECONDS * rate:
        settled = keys - keys[0] >= SETTLING_SECONDS * rate
        keys, places = keys[settled], places[settled]
    middle = (keys[0] + keys[-1]) / 2
    slope = 0.0
    if keys[-1] > keys[0]:
        slope = float(np.polyfit(keys - middle, places, 1)[0])
    away = 0.0 if abs(slope) > MOST_SLOPE else slope
    return round(float(np.median(places - away * (keys - middle))))


def _round_of(places: NDArray[np.int64], rate: int) -> NDArray[np.bool_]:
    """Marks of the first round or jump: those about the middle of its first ones, found twice."""
    near = STEADY_SECONDS * rate
    centre = places[0]
    for _ in range(2):
        kept = np.abs(places - centre) <= near
        centre = np.median(places[kept])
    return np.asarray(np.abs(places - centre) <= near)
