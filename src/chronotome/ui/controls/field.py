"""A field that stays in the window: entered by a click or Enter; left, keys are the window's again."""

import re

from PySide6.QtCore import QEvent, Qt, Signal
from PySide6.QtGui import QFocusEvent, QKeyEvent, QMouseEvent, QWheelEvent
from PySide6.QtWidgets import QLineEdit

STEPS = {Qt.Key.Key_Up: 1.0, Qt.Key.Key_Down: -1.0}
FINE = 0.1
"""Of a step, with Shift; Ctrl: ten of them."""


def stepped(text: str, by: float) -> str:
    """A text whose first number is larger by so much, with as many decimals as it takes."""
    found = re.search(r"[-+−]?\d*[.,]?\d+", text)
    if found is None:
        return text
    said = found.group().replace("−", "-").replace(",", ".")
    decimals = max(len(said.partition(".")[2]), 0 if by == round(by) else 1)
    made = f"{float(said) + by:.{decimals}f}".replace("-", "−")
    return f"{text[: found.start()]}{made}{text[found.end() :]}"


def step_of(modifiers: Qt.KeyboardModifier, by: float) -> float:
    """A step, by what is held with it."""
    if modifiers & Qt.KeyboardModifier.ShiftModifier:
        return by * FINE
    return by * (10.0 if modifiers & Qt.KeyboardModifier.ControlModifier else 1.0)


class Field(QLineEdit):
    """Enter, Tab, going elsewhere keep what was typed; Escape does not. Arrows and wheel step a number."""

    kept = Signal(str)
    """What was typed, where it is another text; of one that confirms, after Enter also the same."""

    def __init__(self, name: str, *, is_number: bool = False, confirms: bool = False) -> None:
        super().__init__()
        self._shown, self._is_number, self._confirms = "", is_number, confirms
        self.setAccessibleName(name)
        self.setReadOnly(True)

    @property
    def is_entered(self) -> bool:
        return not self.isReadOnly()

    def show_text(self, text: str) -> None:
        """What stands in it while nobody types."""
        self._shown = text
        if not self.is_entered and text != self.text():
            self.setText(text)
            self.setCursorPosition(0)

    def enter(self) -> None:
        if not self.is_entered:
            self.setReadOnly(False)
            self.selectAll()

    def leave(self, *, is_kept: bool, is_confirmed: bool = False) -> None:
        """Keys are the window's again."""
        if not self.is_entered:
            return
        text = self.text()
        self.setReadOnly(True)
        self.deselect()
        self.setText(self._shown)
        self.setCursorPosition(0)
        if is_kept and (text != self._shown or is_confirmed):
            self.kept.emit(text)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        was_entered = self.is_entered
        super().mousePressEvent(event)
        if not was_entered:
            self.enter()

    def mouseDoubleClickEvent(self, _event: QMouseEvent) -> None:
        self.enter()
        self.selectAll()

    def event(self, event: QEvent) -> bool:
        """While nobody types, its keys are shortcuts of the window; else those that edit are not."""
        if event.type() is QEvent.Type.ShortcutOverride and isinstance(event, QKeyEvent):
            own = {Qt.Key.Key_Return, Qt.Key.Key_Enter, *(STEPS if self._is_number else ())}
            if event.key() in own or (self.is_entered and event.key() == Qt.Key.Key_Escape):
                event.accept()
                return True
            if not self.is_entered:
                event.ignore()
                return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        key = Qt.Key(event.key())
        if key in STEPS and self._is_number:
            self._step(step_of(event.modifiers(), STEPS[key]))
        elif not self.is_entered:
            if key in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
                self.enter()
            else:
                event.ignore()
        elif key in {Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Escape}:
            is_kept = key != Qt.Key.Key_Escape
            self.leave(is_kept=is_kept, is_confirmed=is_kept and self._confirms)
        else:
            super().keyPressEvent(event)

    def wheelEvent(self, event: QWheelEvent) -> None:
        """Scrolling a tray must not change values: only one that is entered is stepped."""
        if self._is_number and self.is_entered:
            self._step(step_of(event.modifiers(), 1.0 if event.angleDelta().y() > 0 else -1.0))
            event.accept()
        else:
            event.ignore()

    def _step(self, by: float) -> None:
        """While it is typed in its text, else at once."""
        text = stepped(self.text(), by)
        if self.is_entered:
            self.setText(text)
            self.selectAll()
        elif text != self._shown:
            self.kept.emit(text)

    def focusOutEvent(self, event: QFocusEvent) -> None:
        super().focusOutEvent(event)
        if event.reason() is not Qt.FocusReason.PopupFocusReason:
            self.leave(is_kept=True)
