"""A sentence in the room that there is."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QResizeEvent
from PySide6.QtWidgets import QLabel, QSizePolicy

from chronotome.ui.controls.plain_text import tip


class Sentence(QLabel):
    """As much of a sentence as there is room for; all of it, and what follows in more lines, as a tooltip."""

    def __init__(self) -> None:
        super().__init__()
        self.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Preferred)
        self.setTextFormat(Qt.TextFormat.PlainText)
        self.said = ""

    def say(self, sentence: str) -> None:
        self.said = sentence
        self.setToolTip(tip(sentence))
        self._fit()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self._fit()

    def _fit(self) -> None:
        self.setText(
            self.fontMetrics().elidedText(
                self.said.partition("\n")[0], Qt.TextElideMode.ElideRight, self.width()
            )
        )
