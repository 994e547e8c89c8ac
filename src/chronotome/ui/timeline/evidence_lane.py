"""What the evidence lanes of Tighten share: three buttons in the header that switch between them."""

from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.ui.desk import Desk
from chronotome.ui.theme import colour, text_font
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.ui.view_state import Evidence

BUTTON, GAP, FOOT = 19, 3, 8


class EvidenceLane(TrackLane):
    """A lane with the switch at its header's foot."""

    def __init__(self, desk: Desk, name: str) -> None:
        super().__init__(desk, name)
        desk.view.evidence_changed.connect(self.update)

    @property
    def switch_top(self) -> int:
        return self.height() - FOOT - 3 * (BUTTON + GAP)

    def paint_switch(self, painter: QPainter) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        painter.setFont(text_font(11))
        for evidence in Evidence:
            box = self._box(evidence)
            is_on = view.evidence is evidence
            painter.setPen(QPen(colour(theme.ink if is_on else theme.strong_rule), 1))
            painter.setBrush(colour(theme.ink if is_on else theme.panel))
            painter.drawRoundedRect(box, 5, 5)
            painter.setPen(colour(theme.on_ink if is_on else theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, evidence.words)

    def _box(self, evidence: Evidence) -> QRectF:
        top = self.switch_top + int(evidence) * (BUTTON + GAP)
        return QRectF(12.5, top + 0.5, HEADER - 26, BUTTON)

    def press_switch(self, event: QMouseEvent) -> bool:
        """Whether one of the buttons was meant."""
        for evidence in Evidence:
            if self._box(evidence).contains(event.position()):
                self.desk.view.show_evidence(evidence)
                return True
        return event.position().x() < HEADER
