"""How the values of hits are drawn and written: the scale of each, and its words."""

from collections.abc import Callable
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.ui.controls.figures import decibels, milliseconds, plain, semitones, sides
from chronotome.words import tr


class Scale(NamedTuple):
    """What a lane shows of a value, from its foot to its top, where stems begin, and what it snaps to."""

    low: float
    high: float
    zero: float
    snap: float
    words: Callable[[float], str]
    marks: tuple[float, ...]
    """Values that lines are drawn at."""

    def share_of(self, values: NDArray[np.float64]) -> NDArray[np.float64]:
        """How far up from the foot, 0 to 1."""
        return np.clip((values - self.low) / (self.high - self.low), 0.0, 1.0)

    def value_at(self, share: float, *, is_free: bool) -> float:
        value = self.low + min(1.0, max(0.0, share)) * (self.high - self.low)
        return value if is_free else round(value / self.snap) * self.snap


def _pan(value: float) -> str:
    return sides(100 * value)


def _tilt(value: float) -> str:
    return (
        tr("as recorded")
        if not value
        else tr("{0} dB {1}", plain(abs(value)), tr("bright") if value > 0 else tr("dark"))
    )


def _seconds(value: float) -> str:
    return milliseconds(1000 * value)


SCALES = {
    "loudness": Scale(-24.0, 12.0, 0.0, 0.5, decibels, (-18.0, -12.0, -6.0, 6.0)),
    "pan": Scale(-1.0, 1.0, 0.0, 0.05, _pan, (-0.5, 0.5)),
    "pitch": Scale(-12.0, 12.0, 0.0, 1.0, semitones, (-7.0, 7.0)),
    "tilt": Scale(-12.0, 12.0, 0.0, 1.0, _tilt, (-6.0, 6.0)),
    "fade in": Scale(0.0, 200.0, 0.0, 5.0, milliseconds, (50.0, 100.0, 150.0)),
    "fade out": Scale(0.0, 400.0, 0.0, 5.0, milliseconds, (100.0, 200.0, 300.0)),
    "start": Scale(0.0, 0.2, 0.0, 0.005, _seconds, (0.05, 0.1, 0.15)),
    "length": Scale(0.0, 1.0, 0.0, 0.01, _seconds, (0.25, 0.5, 0.75)),
}
