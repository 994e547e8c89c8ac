"""How the numbers of a column are written, slid and drawn on screen."""

from collections.abc import Callable
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.session.table import Column, Unit
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.figures import (
    decibels,
    hertz,
    milliseconds,
    own_or_notes,
    percent,
    plain,
    semitones,
    sides,
    tilt,
    times,
)
from chronotome.ui.state.view_state import ViewState


class UnitFormat(NamedTuple):
    """`words` of a figure as it stands on screen, `factor` times the value that a table keeps."""

    words: Callable[[float], str]
    factor: float = 1.0
    is_log: bool = False
    """Whether a lane or a slider gives each octave the same room."""


UNITS = {
    Unit.NUMBER: UnitFormat(lambda value: plain(value, 0)),
    Unit.DECIBELS: UnitFormat(decibels),
    Unit.SIDES: UnitFormat(sides, 100.0),
    Unit.SEMITONES: UnitFormat(semitones),
    Unit.TILT: UnitFormat(tilt),
    Unit.MILLISECONDS: UnitFormat(milliseconds),
    Unit.SECONDS: UnitFormat(milliseconds, 1000.0),
    Unit.HERTZ: UnitFormat(hertz, is_log=True),
    Unit.BEATS: UnitFormat(own_or_notes),
    Unit.SHARE: UnitFormat(percent, 100.0),
    Unit.TIMES: UnitFormat(times),
}


def words_of(column: Column, value: float) -> str:
    """A value as a table keeps it, written."""
    unit = UNITS[column.unit]
    return unit.words(value * unit.factor)


def factor_of(column: Column) -> float:
    """Figures on screen for a value of 1."""
    return UNITS[column.unit].factor


def slider_of(view: ViewState, column: Column, name: str = "") -> ValueSlider:
    """It shows and tells figures: values times `factor_of`."""
    unit, span = UNITS[column.unit], column.slid
    low, high, snap = (each * unit.factor for each in span)
    usual = min(high, max(low, column.usual * unit.factor))
    return ValueSlider(
        view, name or column.label, low, high, unit.words, step=snap, usual=usual, is_log=unit.is_log
    )


class Scale(NamedTuple):
    """What a lane shows of a value, from its foot to its top, where stems begin, and what it snaps to."""

    low: float
    high: float
    zero: float
    snap: float
    words: Callable[[float], str]
    marks: tuple[float, ...]
    """Values that lines are drawn at."""
    is_log: bool = False

    def share_of(self, values: NDArray[np.float64]) -> NDArray[np.float64]:
        """How far up from the foot, 0 to 1."""
        if self.is_log:
            held = np.maximum(values, self.low)
            return np.clip(np.log(held / self.low) / np.log(self.high / self.low), 0.0, 1.0)
        return np.clip((values - self.low) / (self.high - self.low), 0.0, 1.0)

    def value_at(self, share: float, *, is_free: bool) -> float:
        share = min(1.0, max(0.0, share))
        if self.is_log:
            value = self.low * (self.high / self.low) ** share
            return value if is_free or share in {0.0, 1.0} else float(f"{value:.2g}")
        value = self.low + share * (self.high - self.low)
        return value if is_free else round(value / self.snap) * self.snap


def scale_of(column: Column) -> Scale:
    """Of a column that a lane shows."""
    low, high, snap = column.shown or column.slid

    def words(value: float) -> str:
        return words_of(column, value)

    return Scale(low, high, column.usual, snap, words, column.marks, UNITS[column.unit].is_log)
