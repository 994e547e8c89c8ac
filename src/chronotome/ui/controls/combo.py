"""A list that drops down, and whose keys come before the window's shortcuts."""

from collections.abc import Sequence

from PySide6.QtCore import QEvent, Qt
from PySide6.QtGui import QKeyEvent, QWheelEvent
from PySide6.QtWidgets import QComboBox

OWN_KEYS = {
    Qt.Key.Key_Up,
    Qt.Key.Key_Down,
    Qt.Key.Key_PageUp,
    Qt.Key.Key_PageDown,
    Qt.Key.Key_Home,
    Qt.Key.Key_End,
    Qt.Key.Key_Space,
    Qt.Key.Key_Return,
    Qt.Key.Key_Enter,
}


class Combo(QComboBox):
    """As narrow as it has to be: its tooltip says what is chosen. Scrolling over it changes nothing."""

    def __init__(self, name: str, words: Sequence[str] = ()) -> None:
        super().__init__()
        self.setAccessibleName(name)
        self.addItems(list(words))
        self.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self._about = ""
        self.setToolTip("")
        self.currentTextChanged.connect(lambda _text: self.setToolTip(self._about))

    def setToolTip(self, about: str) -> None:
        """What it is about, above what is chosen."""
        self._about = about
        super().setToolTip("\n".join(each for each in (about, self.currentText()) if each))

    def event(self, event: QEvent) -> bool:
        is_asked = event.type() is QEvent.Type.ShortcutOverride
        if is_asked and isinstance(event, QKeyEvent) and Qt.Key(event.key()) in OWN_KEYS:
            event.accept()
            return True
        return super().event(event)

    def wheelEvent(self, event: QWheelEvent) -> None:
        event.ignore()
