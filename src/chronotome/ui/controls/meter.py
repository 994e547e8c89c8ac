"""Output level, left and right, with the loudest of the last seconds; below, what an open input hears."""

import math
import time

from PySide6.QtCore import QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPaintEvent
from PySide6.QtWidgets import QWidget

from chronotome.ui.state.theme import colour
from chronotome.ui.state.view_state import ViewState
from chronotome.words import tr

LOWEST = -54.0
FALL_PER_SECOND = 30.0
HOLD_SECONDS = 2.0
HEIGHT = 30


class Meter(QWidget):
    def __init__(self, view: ViewState) -> None:
        super().__init__()
        self._view = view
        self._levels = [LOWEST, LOWEST]
        self._peak, self._peak_at, self._last = LOWEST, 0.0, time.monotonic()
        self._input: float | None = None
        self._input_at = 0.0
        self.setFixedSize(106, HEIGHT)
        self.setAccessibleName(tr("Output level"))
        view.theme_changed.connect(self.update)

    def sizeHint(self) -> QSize:
        return QSize(106, HEIGHT)

    def show_input(self, peak: float | None) -> None:
        """How loud the input is; None where it is closed."""
        now = time.monotonic()
        if peak is None:
            self._input = None
        else:
            fallen = LOWEST if self._input is None else self._input - FALL_PER_SECOND * (now - self._input_at)
            self._input = max(LOWEST, fallen, 20 * math.log10(max(peak, 1e-6)))
        self._input_at = now
        self.update()

    def show_levels(self, left: float, right: float) -> None:
        now = time.monotonic()
        fall = FALL_PER_SECOND * (now - self._last)
        self._last = now
        new = [max(LOWEST, 20 * math.log10(max(level, 1e-6))) for level in (left, right)]
        levels = [max(level, old - fall) for level, old in zip(new, self._levels, strict=True)]
        peak = self._peak if now - self._peak_at < HOLD_SECONDS else LOWEST
        if max(new) >= peak:
            peak, self._peak_at = max(new), now
        if levels != self._levels or peak != self._peak:
            self._levels, self._peak = levels, peak
            self.setAccessibleDescription(tr("{0:.0f} dB", max(levels)))
            self.setToolTip(tr("Peak {0:.1f} dB", peak).replace("-", "−"))
            self.update()

    def paintEvent(self, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter = QPainter(self)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)

        def x_of(level: float) -> float:
            return (min(6.0, max(LOWEST, level)) - LOWEST) / (6.0 - LOWEST) * self.width()

        top = 2 if self._input is not None else 6
        levels = [*self._levels] if self._input is None else [*self._levels, self._input]
        for row, level in enumerate(levels):
            box = QRectF(0, top + row * 9, self.width(), 7)
            painter.setPen(colour(theme.rule))
            painter.setBrush(colour(theme.paper))
            painter.drawRoundedRect(box.adjusted(0.5, 0.5, -0.5, -0.5), 2, 2)
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(colour(theme.soft_ink if row < len(self._levels) else theme.accent))
            painter.drawRect(QRectF(1, box.top() + 1, max(0.0, x_of(level) - 2), 5))
        painter.fillRect(QRectF(x_of(0.0), 0, 1.6, self.height()), colour(theme.late))
        if self._peak > LOWEST:
            painter.fillRect(QRectF(x_of(self._peak), top, 1.6, 16), colour(theme.ink))
        painter.end()
