"""A slider with its name and value over it; the value can be typed."""

import math
from collections.abc import Callable

from PySide6.QtCore import QEvent, QPointF, QRect, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QFontMetrics, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QWheelEvent
from PySide6.QtWidgets import QSizePolicy, QSlider

from chronotome.ui.controls.typed import TypedFigure, numbers_only
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.view_state import ViewState
from chronotome.words import tr

HEIGHT = 42
KNOB = 7
TRACK_Y = 32
TYPED_WIDTH = 76
NARROWEST = 60
STEPS_IN_OCTAVE = 6
"""Of a slider that gives each octave the same room."""
STEPS = {
    Qt.Key.Key_Left: -1,
    Qt.Key.Key_Down: -1,
    Qt.Key.Key_Right: 1,
    Qt.Key.Key_Up: 1,
    Qt.Key.Key_PageDown: -10,
    Qt.Key.Key_PageUp: 10,
}


class ValueSlider(QSlider):
    """Sliding tells `slid` at every move, letting go tells `settled`; keys settle at once.

    Qt's slider is what screen readers see: a role, a range, and the value to the next whole number.
    """

    slid = Signal(float)
    settled = Signal(float)
    dropped = Signal()
    """Escape while sliding."""

    def __init__(
        self,
        view: ViewState,
        name: str,
        low: float,
        high: float,
        words: Callable[[float], str],
        *,
        step: float = 1.0,
        usual: float | None = None,
        is_log: bool = False,
    ) -> None:
        super().__init__()
        self._view, self._name, self._words = view, name, words
        self._low, self._high, self._step, self._is_log = low, high, step, is_log
        self._usual = low if usual is None else usual
        self._value = self._usual
        self._note = ""
        self._is_sliding = False
        self.setRange(math.floor(low), math.ceil(high))
        self._tell_readers()
        self.setAccessibleName(name)
        self.setFixedHeight(HEIGHT)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        usual_words = words(self._usual)
        self.setToolTip(
            tr(
                "{0}. Drag or use the arrow keys. Double-click the figure or press Enter to "
                "type. Double-click the track: {1}.",
                name,
                usual_words,
            )
        )
        view.theme_changed.connect(self.update)

    @property
    def value(self) -> float:  # type: ignore[override]  # Qt's is the whole number that screen readers are told
        return self._value

    def _tell_readers(self) -> None:
        QSlider.setValue(self, round(self._value))
        self.setAccessibleDescription(self._words(self._value))

    def set_value(self, value: float, note: str = "") -> None:
        if (value, note) != (self._value, self._note):
            self._value, self._note = value, note
            self._tell_readers()
            self.update()

    def sizeHint(self) -> QSize:
        return QSize(240, HEIGHT)

    def minimumSizeHint(self) -> QSize:
        return QSize(NARROWEST, HEIGHT)

    def x_of(self, value: float) -> float:
        return KNOB + self._share_of(value) * (self.width() - 2 * KNOB)

    def _share_of(self, value: float) -> float:
        """How much of its way a value is, 0 to 1."""
        value = min(self._high, max(self._low, value))
        if self._is_log:
            return math.log(value / self._low) / math.log(self._high / self._low)
        return (value - self._low) / (self._high - self._low)

    def _value_at(self, share: float) -> float:
        share = min(1.0, max(0.0, share))
        if self._is_log:
            return self._low * (self._high / self._low) ** share
        return self._low + share * (self._high - self._low)

    def _value_of(self, x: float) -> float:
        return self._rounded(self._value_at((x - KNOB) / max(1, self.width() - 2 * KNOB)))

    def _rounded(self, value: float) -> float:
        value = min(self._high, max(self._low, value))
        if self._is_log:  # two figures are as fine as anybody hears; its ends are themselves
            return value if value in {self._low, self._high} else float(f"{value:.2g}")
        steps = round((value - self._low) / self._step)
        return round(self._low + steps * self._step, 6)

    def _settle(self, value: float) -> None:
        self.set_value(value, self._note)
        self.settled.emit(value)

    @property
    def words(self) -> str:
        """Its value as it is shown."""
        return self._words(self._value)

    def near(self, number: float) -> tuple[float, str]:
        """What a number that is typed for it would be, and its words."""
        value = round(min(self._high, max(self._low, number)), 2)
        return value, self._words(value)

    def put(self, number: float) -> None:
        """As if the number were typed."""
        self._settle(self.near(number)[0])

    def turn(self, share: float) -> None:
        """Slide to a share of its way; who turns it tells when it has settled."""
        value = self._rounded(self._value_at(share))
        if value != self._value:
            self.set_value(value, self._note)
            self.slid.emit(value)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is Qt.MouseButton.LeftButton and event.position().y() > TRACK_Y - 12:
            self._is_sliding = True
            self.mouseMoveEvent(event)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self._is_sliding:
            value = self._value_of(event.position().x())
            if value != self._value:
                self.set_value(value, self._note)
                self.slid.emit(value)

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        if self._is_sliding:
            self._is_sliding = False
            self.settled.emit(self._value)

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        """On the figure or its name it is typed; on the track it is as usual."""
        if self._is_sliding:
            self._is_sliding = False
            self.dropped.emit()
        if event.position().y() < TRACK_Y - 12:
            self.type()
        else:
            self._settle(self._usual)

    def type(self) -> None:
        """Let the value be typed, at any number that it may have."""
        box = QRect(self.width() - TYPED_WIDTH, 0, TYPED_WIDTH, 22)
        TypedFigure(self, box, self._words(self._value), numbers_only(self.put), self._name)

    def wheelEvent(self, event: QWheelEvent) -> None:
        event.ignore()  # scrolling a tray must not change values

    def event(self, event: QEvent) -> bool:
        """Its own keys come before the window's shortcuts."""
        is_asked = event.type() is QEvent.Type.ShortcutOverride
        if is_asked and isinstance(event, QKeyEvent) and Qt.Key(event.key()) in STEPS:
            event.accept()
            return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        steps = STEPS.get(Qt.Key(event.key()))
        if steps is not None:
            self._settle(self._rounded(self._stepped(steps)))
        elif event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self.type()
        elif event.key() == Qt.Key.Key_Escape and self._is_sliding:
            self._is_sliding = False
            self.dropped.emit()
        else:
            super().keyPressEvent(event)

    def _stepped(self, steps: int) -> float:
        if self._is_log:
            return self._value * 2 ** (steps / STEPS_IN_OCTAVE)
        return self._value + steps * self._step

    def paintEvent(self, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter = QPainter(self)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(colour(theme.ink if self.isEnabled() else theme.faint_ink))
        painter.setFont(figure_font(12))
        value = self._words(self._value)
        painter.drawText(QRectF(0, 2, self.width(), 18), Qt.AlignmentFlag.AlignRight, value)
        room = self.width() - painter.fontMetrics().horizontalAdvance(value) - 6
        painter.setFont(text_font(12, 500))
        name = painter.fontMetrics().elidedText(self._name, Qt.TextElideMode.ElideRight, room)
        painter.drawText(QRectF(0, 2, self.width(), 18), Qt.AlignmentFlag.AlignLeft, name)
        painter.setFont(figure_font(12))
        left = painter.fontMetrics().horizontalAdvance(value) + 16
        taken = QFontMetrics(text_font(12, 500)).horizontalAdvance(name) + left
        if self._note and taken + QFontMetrics(text_font(10)).horizontalAdvance(self._note) <= self.width():
            right = self.width() - painter.fontMetrics().horizontalAdvance(value) - 10
            painter.setFont(text_font(10))
            painter.setPen(colour(theme.soft_ink))
            painter.drawText(QRectF(0, 3, right, 18), Qt.AlignmentFlag.AlignRight, self._note)
        x = self.x_of(self._value)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.strong_rule))
        painter.drawRoundedRect(QRectF(0, TRACK_Y - 1.5, self.width(), 3), 1.5, 1.5)
        painter.setBrush(colour(theme.ink if self.isEnabled() else theme.faint_ink))
        painter.drawRoundedRect(QRectF(0, TRACK_Y - 1.5, x, 3), 1.5, 1.5)
        painter.setPen(QPen(colour(theme.accent if self.hasFocus() else theme.ink), 1.8))
        painter.setBrush(colour(theme.card))
        painter.drawEllipse(QPointF(x, TRACK_Y), KNOB - 0.5, KNOB - 0.5)
        painter.end()
