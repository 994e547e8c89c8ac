"""One choice of a few, side by side."""

from collections.abc import Sequence
from typing import TypeVar

from PySide6.QtCore import QEvent, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QFontMetrics, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QAbstractButton, QSizePolicy

from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.view_state import ViewState

HEIGHT = 30
SIZES, MARGIN = (12, 11, 10), 8
"""Of words, the largest that fits; pixels that they leave free in their part."""
STEPS = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}
T = TypeVar("T")


def index_in(choices: Sequence[T], value: T) -> int:
    """Which choice a value is; -1 where it is none: a session may hold what the window does not offer."""
    return choices.index(value) if value in choices else -1


NARROWEST = 52
"""Pixels of a choice: five of them fit into a tray."""


class Segmented(QAbstractButton):
    """`chosen` carries the index that a person chose. To screen readers a button that says what is chosen."""

    chosen = Signal(int)

    def __init__(self, view: ViewState, name: str, words: Sequence[str], *, is_round: bool = False) -> None:
        super().__init__()
        self._view = view
        self._words = list(words)
        self._index = 0
        self._radius = HEIGHT / 2 if is_round else 6
        self._name = name
        self.setAccessibleName(name)
        self.setToolTip(name)
        self.setFixedHeight(HEIGHT)
        self.setMinimumWidth(NARROWEST * len(words))
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        view.theme_changed.connect(self.update)

    @property
    def index(self) -> int:
        return self._index

    def set_index(self, index: int) -> None:
        if index != self._index:
            self._index = index
            shown = self._words[index] if 0 <= index < len(self._words) else ""
            self.setAccessibleName(f"{self._name}: {shown}" if shown else self._name)
            self.update()

    def sizeHint(self) -> QSize:
        return QSize(70 * len(self._words), HEIGHT)

    def choose(self, index: int) -> None:
        """As a person does."""
        if index != self._index and 0 <= index < len(self._words):
            self.set_index(index)
            self.chosen.emit(index)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.choose(int(event.position().x() / self.width() * len(self._words)))

    def event(self, event: QEvent) -> bool:
        """Its own arrow keys come before the window's shortcuts."""
        is_asked = event.type() is QEvent.Type.ShortcutOverride
        if is_asked and isinstance(event, QKeyEvent) and Qt.Key(event.key()) in STEPS:
            event.accept()
            return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        step = STEPS.get(Qt.Key(event.key()))
        if step is None:
            super().keyPressEvent(event)
        else:
            self.choose(self._index + step)

    def size_of_words(self) -> int:
        """The largest at which all of them fit; 0 where none is small enough, and they are cut."""
        room = self.width() / len(self._words) - MARGIN
        for size in SIZES:
            metrics = QFontMetrics(text_font(size, 600))
            if all(metrics.horizontalAdvance(words) <= room for words in self._words):
                return size
        return 0

    def paintEvent(self, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter = QPainter(self)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        box = QRectF(0.5, 0.5, self.width() - 1, HEIGHT - 1)
        painter.setPen(QPen(colour(theme.accent if self.hasFocus() else theme.strong_rule), 1))
        painter.setBrush(colour(theme.paper))
        painter.drawRoundedRect(box, self._radius, self._radius)
        width, size = self.width() / len(self._words), self.size_of_words()
        for index, whole in enumerate(self._words):
            cell = QRectF(index * width, 0, width, HEIGHT)
            is_chosen = index == self._index
            if is_chosen:
                painter.setPen(Qt.PenStyle.NoPen)
                painter.setBrush(colour(theme.ink))
                painter.drawRoundedRect(cell.adjusted(3, 3, -3, -3), self._radius - 2, self._radius - 2)
            elif index and index - 1 != self._index:
                painter.setPen(QPen(colour(theme.rule), 1))
                painter.drawLine(int(cell.left()), 8, int(cell.left()), HEIGHT - 8)
            painter.setPen(colour(theme.on_ink if is_chosen else theme.ink))
            painter.setFont(text_font(size or SIZES[-1], 600 if is_chosen else 400))
            room = round(width) - MARGIN
            words = painter.fontMetrics().elidedText(whole, Qt.TextElideMode.ElideRight, room)
            painter.drawText(cell, Qt.AlignmentFlag.AlignCenter, words)
        painter.end()
