"""The places to check at the foot of Tighten's tray."""

from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QWidget

from chronotome.session.check import Check
from chronotome.session.grid import position_words
from chronotome.ui.commands.general import Commands
from chronotome.ui.desk import Desk
from chronotome.ui.guarded import guarded
from chronotome.ui.theme import colour, figure_font, text_font


class CheckRow(QWidget):
    """A place to check; click to go there."""

    def __init__(self, desk: Desk, commands: Commands, check: Check) -> None:
        super().__init__()
        self._desk, self._commands, self.check = desk, commands, check
        self.setFixedHeight(30)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.setToolTip(check.sentence.replace("\n", " "))
        self.setAccessibleName(f"{check.title}, {check.figure}")

    def mousePressEvent(self, _event: QMouseEvent) -> None:
        self._commands.go_to_check(self.check)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._desk.view.theme
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        is_selected = self._desk.view.selected == self.check.onset
        box = QRectF(0.5, 0.5, self.width() - 1, self.height() - 1)
        painter.setPen(QPen(colour(theme.strong_rule if is_selected else theme.rule), 1))
        painter.setBrush(colour(theme.wash if is_selected else theme.paper))
        painter.drawRoundedRect(box, 6, 6)
        painter.setPen(colour(theme.ink))
        painter.setFont(figure_font(11))
        where = position_words(self.check.beat, self._desk.session.metre)
        painter.drawText(box.adjusted(8, 0, 0, 0), Qt.AlignmentFlag.AlignVCenter, where)
        painter.setFont(text_font(11))
        painter.drawText(box.adjusted(66, 0, 0, 0), Qt.AlignmentFlag.AlignVCenter, self.check.title)
        painter.setFont(figure_font(11))
        painter.setPen(colour(theme.late))
        flags = Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight
        painter.drawText(box.adjusted(0, 0, -8, 0), flags, self.check.figure)
