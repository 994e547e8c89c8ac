"""Names of files, tracks and sessions are text, whatever signs are in them: `<b>` is shown, not obeyed."""

import html

from PySide6.QtCore import Qt
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QLabel, QMessageBox, QWidget

from chronotome.ui.controls.dialog import without_icons
from chronotome.words import tr


def tip(text: str) -> str:
    """A tooltip that shows just this."""
    return f"<span>{html.escape(text)}</span>" if {"<", "&"} & set(text) else text


class Label(QLabel):
    """Words as they stand."""

    def __init__(self, words: str = "") -> None:
        super().__init__()
        self.setTextFormat(Qt.TextFormat.PlainText)
        self.setText(words)


class _Question(QMessageBox):
    def showEvent(self, event: QShowEvent) -> None:
        super().showEvent(event)
        without_icons(self)


def question(parent: QWidget | None, text: str, more: str) -> QMessageBox:
    """A box that asks, about things that people named."""
    box = _Question(QMessageBox.Icon.NoIcon, tr("Chronotome"), text, parent=parent)
    box.setTextFormat(Qt.TextFormat.PlainText)
    box.setInformativeText(more)
    for label in box.findChildren(QLabel):  # the box tells it to the first only
        label.setTextFormat(Qt.TextFormat.PlainText)
    return box
