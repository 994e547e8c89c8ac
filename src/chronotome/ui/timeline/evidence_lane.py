"""What evidence lanes share of which a stage has several: buttons in the header that switch between them."""

from collections.abc import Sequence

import numpy as np
from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.ui.state.figures import signed
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.words import tr

BUTTON, GAP, FOOT = 19, 3, 8
EDGE = 22
"""Pixels above and below the scale."""


class EvidenceLane(TrackLane):
    """A lane with the switch at its header's foot."""

    stage: Stage
    choices: Sequence[tuple[str, str]] = ()
    """The lanes of its stage: what each is called, and the words of its button."""

    def __init__(self, desk: UiContext, name: str) -> None:
        super().__init__(desk, name)
        view = desk.view
        for signal in (view.evidence_changed, view.scope_changed, view.groove_changed):
            signal.connect(self.update)

    @property
    def switch_top(self) -> int:
        return self.height() - FOOT - len(self.choices) * (BUTTON + GAP)

    def paint_switch(self, painter: QPainter) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        painter.setFont(text_font(11))
        shown = view.evidence.get(self.stage, self.choices[0][0] if self.choices else "")
        for at, (name, words) in enumerate(self.choices):
            box, is_on = self._box(at), name == shown
            painter.setPen(QPen(colour(theme.ink if is_on else theme.strong_rule), 1))
            painter.setBrush(colour(theme.ink if is_on else theme.panel))
            painter.drawRoundedRect(box, 5, 5)
            painter.setPen(colour(theme.on_ink if is_on else theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)

    def _box(self, at: int) -> QRectF:
        top = self.switch_top + at * (BUTTON + GAP)
        return QRectF(12.5, top + 0.5, HEADER - 26, BUTTON)

    def press_switch(self, event: QMouseEvent) -> bool:
        """Whether one of the buttons was meant."""
        for at, (name, _words) in enumerate(self.choices):
            if self._box(at).contains(event.position()):
                self.desk.view.show_evidence(self.stage, name)
                return True
        return event.position().x() < HEADER

    # Milliseconds, early above the middle and late below

    def _y_of(self, milliseconds: float, scale: float) -> float:
        middle = self.height() / 2
        return middle + float(np.clip(milliseconds / scale, -1, 1)) * (middle - EDGE)

    def _milliseconds_of(self, y: float, scale: float) -> float:
        middle = self.height() / 2
        return (y - middle) / (middle - EDGE) * scale

    def _paint_axis(self, painter: QPainter, content: QRect, scale: float) -> None:
        theme = self.desk.view.theme
        for share in (-1.0, -0.5, 0.5, 1.0):
            y = self._y_of(share * scale, scale)
            painter.setPen(QPen(colour(theme.rule), 1, Qt.PenStyle.DotLine))
            painter.drawLine(QPointF(content.left(), y), QPointF(content.right() - 30, y))
            self.paint_axis_label(painter, y, signed(share * scale, 0 if scale > 15 else 1))
        painter.setPen(QPen(colour(theme.soft_ink), 1))
        painter.drawLine(
            QPointF(content.left(), self.height() / 2), QPointF(content.right(), self.height() / 2)
        )
        painter.setFont(text_font(9, 600))
        painter.setPen(colour(theme.early))
        painter.drawText(QPointF(content.left() + 6, 13), tr("EARLY"))
        painter.setPen(colour(theme.late))
        painter.drawText(QPointF(content.left() + 6, self.height() - 6), tr("LATE"))
