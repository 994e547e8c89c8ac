"""How values are spread, as bars about a middle."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QSizePolicy, QWidget

from chronotome.ui.state.theme import colour, figure_font
from chronotome.ui.state.view_state import ViewState
from chronotome.words import tr

HEIGHT, BARS = 64, 25
FOOT = 14
"""Pixels below the bars, for the figures at both ends."""


class Histogram(QWidget):
    """Bars of `values` between -`most` and `most`, with what stands at both ends."""

    def __init__(self, view: ViewState, name: str) -> None:
        super().__init__()
        self._view = view
        self._counts = np.zeros(BARS, np.int64)
        self._ends = ("", "")
        self.setAccessibleName(name)
        self.setFixedHeight(HEIGHT)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        view.theme_changed.connect(self.update)

    @property
    def counts(self) -> NDArray[np.int64]:
        return self._counts

    def show_values(self, values: NDArray[np.float64], most: float, ends: tuple[str, str]) -> None:
        counts, _ = np.histogram(values, BARS, (-most or -1.0, most or 1.0))
        if (counts != self._counts).any() or ends != self._ends:
            self._counts, self._ends = counts, ends
            self.setAccessibleDescription(tr("{0} values from {1} to {2}", counts.sum(), ends[0], ends[1]))
            self.update()

    def sizeHint(self) -> QSize:
        return QSize(240, HEIGHT)

    def paintEvent(self, _event: QPaintEvent) -> None:
        theme, painter = self._view.theme, QPainter(self)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(colour(theme.rule), 1))
        painter.setBrush(colour(theme.paper))
        painter.drawRoundedRect(QRectF(0.5, 0.5, self.width() - 1, self.height() - 1), 6, 6)
        width, foot = (self.width() - 12) / BARS, self.height() - FOOT
        tallest = max(1, int(self._counts.max()))
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.wave))
        for at, count in enumerate(self._counts.tolist()):
            if count:
                tall = max(2.0, (foot - 8) * count / tallest)
                painter.drawRect(QRectF(6 + at * width, foot - tall, max(1.0, width - 2), tall))
        painter.setPen(QPen(colour(theme.accent), 1))
        middle = self.width() / 2
        painter.drawLine(int(middle), 4, int(middle), foot)
        painter.setFont(figure_font(9))
        painter.setPen(colour(theme.soft_ink))
        box = QRectF(8, foot, self.width() - 16, FOOT - 1)
        painter.drawText(box, Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter, self._ends[0])
        painter.drawText(box, Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter, self._ends[1])
        painter.end()
