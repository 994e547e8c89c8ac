"""One choice of a few, one below the other, each in its own words."""

from collections.abc import Sequence

from PySide6.QtCore import QEvent, QPointF, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QSizePolicy, QWidget

from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.view_state import ViewState

ROW = 22
STEPS = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1}


class Choices(QWidget):
    """`chosen` carries the index that a person chose. A row is words, and a note at its right end."""

    chosen = Signal(int)

    def __init__(self, view: ViewState, name: str, rows: Sequence[tuple[str, str]] = ()) -> None:
        super().__init__()
        self._view = view
        self._rows: list[tuple[str, str]] = []
        self._index = -1
        self.setAccessibleName(name)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        view.theme_changed.connect(self.update)
        self.set_rows(rows)

    @property
    def index(self) -> int:
        return self._index

    @property
    def rows(self) -> list[tuple[str, str]]:
        return self._rows

    def set_rows(self, rows: Sequence[tuple[str, str]]) -> None:
        if list(rows) != self._rows:
            self._rows = list(rows)
            self.setFixedHeight(max(1, ROW * len(self._rows)))
            self._describe()

    def set_index(self, index: int) -> None:
        if index != self._index:
            self._index = index
            self._describe()

    def _describe(self) -> None:
        shown = self._rows[self._index] if 0 <= self._index < len(self._rows) else ("", "")
        self.setAccessibleDescription(" ".join(filter(None, shown)))
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(200, ROW * len(self._rows))

    def choose(self, index: int) -> None:
        """As a person does."""
        if 0 <= index < len(self._rows) and index != self._index:
            self.set_index(index)
            self.chosen.emit(index)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self.choose(int(event.position().y() // ROW))

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

    def paintEvent(self, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter = QPainter(self)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        for index, (words, note) in enumerate(self._rows):
            row = QRectF(0, index * ROW, self.width(), ROW)
            is_chosen = index == self._index
            if is_chosen:
                painter.setPen(Qt.PenStyle.NoPen)
                painter.setBrush(colour(theme.panel))
                painter.drawRoundedRect(row.adjusted(0, 1, 0, -1), 4, 4)
            painter.setPen(QPen(colour(theme.ink if is_chosen else theme.soft_ink), 1.4))
            painter.setBrush(colour(theme.ink) if is_chosen else Qt.BrushStyle.NoBrush)
            painter.drawEllipse(QPointF(10, row.center().y()), 4, 4)
            painter.setPen(colour(theme.ink))
            painter.setFont(text_font(12, 600 if is_chosen else 400))
            painter.drawText(row.adjusted(22, 0, -4, 0), Qt.AlignmentFlag.AlignVCenter, words)
            painter.setFont(figure_font(10))
            painter.setPen(colour(theme.soft_ink))
            right = Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight
            painter.drawText(row.adjusted(0, 0, -6, 0), right, note)
        if self.hasFocus():
            painter.setPen(QPen(colour(theme.accent), 1))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRoundedRect(QRectF(0.5, 0.5, self.width() - 1, self.height() - 1), 4, 4)
        painter.end()
