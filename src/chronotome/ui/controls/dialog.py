"""A dialog over the window: Find opens over it too, and its buttons have words alone."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QIcon, QKeySequence, QShortcut, QShowEvent
from PySide6.QtWidgets import QDialog, QDialogButtonBox, QPushButton, QWidget


def without_icons(dialog: QDialog) -> None:
    """Desktops put ticks and crosses on standard buttons, whatever a style says once it is there."""
    for button in dialog.findChildren(QPushButton):
        if isinstance(button.parentWidget(), QDialogButtonBox):
            button.setIcon(QIcon())


class Dialog(QDialog):
    def __init__(self, parent: QWidget | None) -> None:
        super().__init__(parent)
        find = QShortcut(QKeySequence(Qt.Key.Key_F3), self)
        find.activated.connect(self._find)

    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        without_icons(self)

    def _find(self) -> None:
        """By the window that it belongs to."""
        window = self.parentWidget()
        while window is not None and not hasattr(window, "find_over"):
            window = window.parentWidget()
        if window is not None:
            window.find_over(self)
