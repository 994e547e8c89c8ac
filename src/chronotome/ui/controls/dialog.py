"""A dialog over the window: Find opens over it too."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QKeySequence, QShortcut
from PySide6.QtWidgets import QDialog, QWidget


class Dialog(QDialog):
    def __init__(self, parent: QWidget | None) -> None:
        super().__init__(parent)
        find = QShortcut(QKeySequence(Qt.Key.Key_F3), self)
        find.activated.connect(self._find)

    def _find(self) -> None:
        """By the window that it belongs to."""
        window = self.parentWidget()
        while window is not None and not hasattr(window, "find_over"):
            window = window.parentWidget()
        if window is not None:
            window.find_over(self)
