"""A figure that is typed in place."""

import re
from collections.abc import Callable

from PySide6.QtCore import QEvent, QRect, Qt, Signal
from PySide6.QtGui import QFocusEvent, QKeyEvent, QMouseEvent, QWheelEvent
from PySide6.QtWidgets import QLineEdit, QWidget

from chronotome.session.limits import LONGEST_NAME
from chronotome.ui.controls.field import STEPS, step_of, stepped
from chronotome.ui.controls.plain_text import Label
from chronotome.words import tr


def number_in(text: str) -> float | None:
    """The number that a text begins with, whatever sign, comma or unit it has; None where there is none."""
    plain = text.replace("−", "-").replace(",", ".").lstrip("±× ")
    found = re.match(r"[-+]?\d*\.?\d+", plain)
    return float(found.group()) if found else None


def numbers_only(keep: Callable[[float], None]) -> Callable[[str], None]:
    """Keep the number that a text begins with; a text without one changes nothing."""

    def keep_number(text: str) -> None:
        number = number_in(text)
        if number is not None:
            keep(number)

    return keep_number


class TypedFigure(QLineEdit):
    """Over the figure while it is typed. Enter and leaving it keep what was typed, Escape does not."""

    asks_for = tr("enter a number")
    is_number = True
    """Whether arrows and wheel step it."""

    def __init__(
        self, parent: QWidget, box: QRect, shown: str, keep: Callable[[str], None], name: str
    ) -> None:
        super().__init__(shown, parent)
        self._keep, self._shown = keep, shown
        self._is_over = False
        self.setObjectName("figure")
        self.setAccessibleName(f"{name}: {self.asks_for}")
        self.setAlignment(Qt.AlignmentFlag.AlignRight)
        self.setGeometry(box)
        self.selectAll()
        self.show()
        self.setFocus(Qt.FocusReason.OtherFocusReason)

    def event(self, event: QEvent) -> bool:
        """While a figure is typed, no key is a shortcut of the window."""
        if event.type() is QEvent.Type.ShortcutOverride:
            event.accept()
            return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self._end(is_kept=True)
        elif event.key() == Qt.Key.Key_Escape:
            self._end(is_kept=False)
        elif self.is_number and Qt.Key(event.key()) in STEPS:
            self._step(step_of(event.modifiers(), STEPS[Qt.Key(event.key())]))
        else:
            super().keyPressEvent(event)

    def wheelEvent(self, event: QWheelEvent) -> None:
        if self.is_number:
            self._step(step_of(event.modifiers(), 1.0 if event.angleDelta().y() > 0 else -1.0))

    def _step(self, by: float) -> None:
        self.setText(stepped(self.text(), by))
        self.selectAll()

    def focusOutEvent(self, event: QFocusEvent) -> None:
        super().focusOutEvent(event)
        self._end(is_kept=True)

    def _end(self, *, is_kept: bool) -> None:
        if self._is_over:
            return
        self._is_over = True
        text, parent = self.text(), self.parent()
        self.hide()
        self.deleteLater()
        if isinstance(parent, QWidget):
            parent.setFocus(Qt.FocusReason.OtherFocusReason)
        if is_kept and text != self._shown:
            self._keep(text)


class TypedName(TypedFigure):
    """A name that is typed where it stands."""

    asks_for = tr("enter a value")
    is_number = False

    def __init__(
        self, parent: QWidget, box: QRect, shown: str, keep: Callable[[str], None], name: str
    ) -> None:
        super().__init__(parent, box, shown, keep, name)
        self.setAlignment(Qt.AlignmentFlag.AlignLeft)
        self.setMaxLength(LONGEST_NAME)
        self.selectAll()  # a length that is set lets go of the selection


class FigureLabel(Label):
    """A figure that is shown, and typed after a double-click; what was typed is told as it is."""

    typed = Signal(str)

    def mouseDoubleClickEvent(self, _event: QMouseEvent) -> None:
        TypedFigure(self, self.rect(), self.text(), self.typed.emit, self.accessibleName())
