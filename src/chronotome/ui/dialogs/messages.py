"""What went wrong, in one list: several messages are never several boxes."""

import time

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QDialogButtonBox, QScrollArea, QVBoxLayout, QWidget

from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.words import tr

MOST = 200
WIDTH, HEIGHT = 520, 260


class Messages(Dialog):
    """The newest at the top; open until it is closed, and nothing waits for it."""

    def __init__(self, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Messages"))
        self.setModal(False)
        self.resize(WIDTH, HEIGHT)
        self.told: list[str] = []
        layout = QVBoxLayout(self)
        body = QWidget()
        self._rows = QVBoxLayout(body)
        self._rows.addStretch(1)
        area = QScrollArea()
        area.setWidgetResizable(True)
        area.setWidget(body)
        layout.addWidget(area)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        forget = buttons.addButton(tr("Clear"), QDialogButtonBox.ButtonRole.ResetRole)
        forget.clicked.connect(self.forget)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)

    def add(self, sentence: str) -> None:
        """Keep a message, and show all of them."""
        self.told = [sentence, *self.told][:MOST]
        label = Label(f"{time.strftime('%H:%M')}  {sentence}")
        label.setWordWrap(True)
        label.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self._rows.insertWidget(0, label)
        while self._rows.count() > MOST + 1:  # the stretch is one
            self._drop(self._rows.count() - 2)
        self.show()
        self.raise_()

    def forget(self) -> None:
        self.told = []
        while self._rows.count() > 1:
            self._drop(0)
        self.reject()

    def _drop(self, place: int) -> None:
        item = self._rows.takeAt(place)
        widget = None if item is None else item.widget()
        if widget is not None:
            widget.deleteLater()
