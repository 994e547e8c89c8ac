"""What stands where the timeline will be: what can be dropped there, and three cards to begin with."""

from collections.abc import Callable, Sequence
from pathlib import Path

from PySide6.QtCore import QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from chronotome.ui.controls.plain_text import Label
from chronotome.ui.panels.recent import Recent, RecentCard
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.view_state import ViewState
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
        self._build_recent(layout)
        layout.addStretch(1)
        view.theme_changed.connect(self.update)

    def add_card(self, title: str, words: str, do: Callable[[], object]) -> None:
        card = Card(self._view, title, words)
        card.clicked.connect(lambda _checked=False: do())
        self.cards.append(card)
        self._row.insertWidget(self._row.count() - 1, card)

    def _build_recent(self, layout: QVBoxLayout) -> None:
        """A line with its heading, and the cards below it."""
        self._recent = QWidget()
        rows = QVBoxLayout(self._recent)
        rows.setContentsMargins(0, 20, 0, 0)
        head = QHBoxLayout()
        head.addStretch(1)
        words = Label(tr("Recent sessions"))
        words.setObjectName("heading")
        self.forget = QPushButton(tr("Clear list"))
        self.forget.setObjectName("band")
        middle = QWidget()
        middle.setFixedWidth(3 * CARD.width() + 16)
        line = QHBoxLayout(middle)
        line.setContentsMargins(0, 0, 0, 0)
        line.addWidget(words)
        line.addStretch(1)
        line.addWidget(self.forget)
        head.addWidget(middle)
        head.addStretch(1)
        rows.addLayout(head)
        self._places = QHBoxLayout()
        self._places.setSpacing(8)
        rows.addLayout(self._places)
        layout.addWidget(self._recent)
        self._recent.hide()

    def show_recent(self, recent: Sequence[Recent], do: Callable[[Path], object]) -> None:
        """Those that were worked on lately, the last one first."""
        while self._places.count():
            item = self._places.takeAt(0)
            widget = None if item is None else item.widget()
            if widget is not None:
                widget.hide()
                widget.deleteLater()
        self._recent.setVisible(bool(recent))
        self._places.addStretch(1)
        for each in recent:
            card = RecentCard(self._view, each)
            card.clicked.connect(lambda _checked=False, each=each: do(each.folder))
            self._places.addWidget(card)
        self._places.addStretch(1)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter.fillRect(self.rect(), colour(theme.paper))
        top = self.cards[0].y() - 96 if self.cards else self.height() // 2
        painter.setPen(colour(theme.ink))
        painter.setFont(text_font(22, 600))
        painter.drawText(0, top, self.width(), 32, Qt.AlignmentFlag.AlignHCenter, TITLE)
        painter.setPen(colour(theme.soft_ink))
        painter.setFont(text_font(13))
        painter.drawText(0, top + 40, self.width(), 24, Qt.AlignmentFlag.AlignHCenter, WORDS)
