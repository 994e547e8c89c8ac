"""A heading that opens and closes what lies below it."""

from PySide6.QtCore import QPointF, QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPaintEvent, QPen, QPolygonF
from PySide6.QtWidgets import QAbstractButton, QSizePolicy, QVBoxLayout, QWidget

from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.view_state import ViewState
from chronotome.words import tr

HEIGHT = 24
ARROW = 3.5


class Fold(QAbstractButton):
    """Closed at first: what is rarer lies here. Its words may say what is inside; `body` holds the rows."""

    def __init__(self, view: ViewState, words: str) -> None:
        super().__init__()
        self._view = view
        self.body = QWidget()
        self.rows = QVBoxLayout(self.body)
        self.rows.setContentsMargins(0, 0, 0, 4)
        self.rows.setSpacing(8)
        self.body.hide()
        self.setText(words)
        self.setCheckable(True)
        self.setAccessibleName(words)
        self.setToolTip(tr("Show or hide: {0}", words))
        self.setFixedHeight(HEIGHT)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.toggled.connect(self.body.setVisible)
        view.theme_changed.connect(self.update)

    def say(self, words: str) -> None:
        """What is inside, as it is now."""
        if words != self.text():
            self.setText(words)
            self.setAccessibleName(words)
            self.update()

    def sizeHint(self) -> QSize:
        return QSize(200, HEIGHT)

    def paintEvent(self, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter = QPainter(self)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if self.hasFocus() or self.underMouse():
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(colour(theme.panel))
            painter.drawRoundedRect(QRectF(-4, 0, self.width() + 8, HEIGHT), 4, 4)
        middle = QPointF(5, HEIGHT / 2)
        ends = [(-ARROW, -ARROW / 2), (0.0, ARROW / 2), (ARROW, -ARROW / 2)]
        if not self.isChecked():
            ends = [(-ARROW / 2, -ARROW), (ARROW / 2, 0.0), (-ARROW / 2, ARROW)]
        painter.setPen(QPen(colour(theme.soft_ink), 1.4))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawPolyline(QPolygonF([middle + QPointF(*end) for end in ends]))
        painter.setFont(text_font(11, 500))
        painter.setPen(colour(theme.soft_ink))
        words = painter.fontMetrics().elidedText(self.text(), Qt.TextElideMode.ElideRight, self.width() - 18)
        painter.drawText(QRectF(16, 0, self.width() - 16, HEIGHT), Qt.AlignmentFlag.AlignVCenter, words)
        painter.end()
