"""The list of controls that are bound, each removable."""

from functools import partial

from PySide6.QtWidgets import QDialogButtonBox, QGridLayout, QVBoxLayout, QWidget

from chronotome.ui.actions.learning import Learning, control_words
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.state.preferences import Preferences
from chronotome.words import tr

WIDTH = 460


class BoundControls(Dialog):
    def __init__(self, preferences: Preferences, learning: Learning, parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("MIDI controls"))
        self.setMinimumWidth(WIDTH)
        self._preferences, self._learning = preferences, learning
        layout = QVBoxLayout(self)
        self.words = Label()
        self.words.setWordWrap(True)
        layout.addWidget(self.words)
        self._rows = QGridLayout()
        self._rows.setColumnStretch(1, 1)
        layout.addLayout(self._rows)
        buttons = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)
        self._show()

    def _show(self) -> None:
        while self._rows.count():
            item = self._rows.takeAt(0)
            widget = None if item is None else item.widget()
            if widget is not None:
                widget.hide()
                widget.deleteLater()
        bound = self._learning.bound
        for row, (number, target) in enumerate(sorted(bound.items(), key=lambda each: int(each[0]))):
            self._rows.addWidget(Label(control_words(int(number))), row, 0)
            self._rows.addWidget(Label(self._learning.words_of(target)), row, 1)
            remove = plain_button(tr("Remove"), partial(self._on_remove, number))
            remove.setAccessibleName(tr("Remove {0}", control_words(int(number))))
            self._rows.addWidget(remove, row, 2)
        how = tr("To add one, choose Play > Devices and sync > Learn MIDI control.")
        self.words.setText(how if bound else tr("No MIDI control is assigned yet.") + " " + how)

    def _on_remove(self, number: str) -> None:
        self._learning.forget(number)
        self._show()
