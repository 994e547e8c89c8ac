"""What stands where the timeline will be: what can be dropped there, and three cards to begin with."""

from collections.abc import Callable

from PySide6.QtCore import QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from chronotome.ui.guarded import guarded
from chronotome.ui.theme import colour, text_font
from chronotome.ui.view_state import ViewState
from chronotome.words import tr

CARD = QSize(196, 118)
TITLE = tr("Drop a recording here")
WORDS = tr("WAV, AIFF, FLAC, OGG, Opus or MP3. Files stay unchanged; nothing moves until you move it.")


class Card(QPushButton):
    """A way to begin: its title, and below it what that is."""

    def __init__(self, view: ViewState, title: str, words: str) -> None:
        super().__init__()
        self._view, self._title, self._words = view, title, words
        self.setFixedSize(CARD)
        self.setAccessibleName(title)
        self.setAccessibleDescription(words)
        self.setToolTip(words)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        view.theme_changed.connect(self.update)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        is_near = self.underMouse() or self.hasFocus()
        painter.setPen(QPen(colour(theme.accent if is_near else theme.strong_rule), 1.5 if is_near else 1))
        painter.setBrush(colour(theme.card))
        painter.drawRoundedRect(QRectF(self.rect()).adjusted(1, 1, -1, -1), 6, 6)
        painter.setPen(colour(theme.ink))
        painter.setFont(text_font(15, 600))
        painter.drawText(QRectF(16, 14, CARD.width() - 32, 24), Qt.AlignmentFlag.AlignVCenter, self._title)
        painter.setPen(colour(theme.soft_ink))
        painter.setFont(text_font(12))
        flags = Qt.AlignmentFlag.AlignTop | Qt.TextFlag.TextWordWrap
        painter.drawText(QRectF(16, 44, CARD.width() - 32, CARD.height() - 54), flags, self._words)


class Welcome(QWidget):
    def __init__(self, view: ViewState) -> None:
        super().__init__()
        self._view = view
        self.setAccessibleName(TITLE)
        self.cards: list[Card] = []
        layout = QVBoxLayout(self)
        layout.addStretch(1)
        self._row = QHBoxLayout()
        self._row.setSpacing(8)
        self._row.addStretch(1)
        self._row.addStretch(1)
        layout.addLayout(self._row)
        layout.addStretch(1)
        view.theme_changed.connect(self.update)

    def add_card(self, title: str, words: str, do: Callable[[], object]) -> None:
        card = Card(self._view, title, words)
        card.clicked.connect(lambda _checked=False: do())
        self.cards.append(card)
        self._row.insertWidget(self._row.count() - 1, card)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter.fillRect(self.rect(), colour(theme.paper))
        top = self.height() // 2 - CARD.height() // 2 - 96
        painter.setPen(colour(theme.ink))
        painter.setFont(text_font(22, 600))
        painter.drawText(0, top, self.width(), 32, Qt.AlignmentFlag.AlignHCenter, TITLE)
        painter.setPen(colour(theme.soft_ink))
        painter.setFont(text_font(13))
        painter.drawText(0, top + 40, self.width(), 24, Qt.AlignmentFlag.AlignHCenter, WORDS)
