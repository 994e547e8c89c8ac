"""Which MIDI inputs play the keys: those that are there, as they come and go."""

from PySide6.QtCore import QTimer
from PySide6.QtWidgets import QCheckBox, QDialog, QDialogButtonBox, QVBoxLayout, QWidget

from chronotome.bridge.keys import Keys
from chronotome.ui.controls.plain_text import Label
from chronotome.words import tr

LOOK_MILLISECONDS = 500


class MidiDialog(QDialog):
    """A box for each input; with none ticked, or all, every one plays, also those that come later."""

    def __init__(self, keys: Keys, chosen: tuple[str, ...], parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("MIDI inputs"))
        self._keys, self._chosen = keys, set(chosen)
        self.boxes: list[QCheckBox] = []
        self._shown: str | None = None
        layout = QVBoxLayout(self)
        self.words = Label()
        self.words.setWordWrap(True)
        layout.addWidget(self.words)
        self._rows = QVBoxLayout()
        layout.addLayout(self._rows)
        note = Label(tr("Notes from C2 (36) on play the keys from Q on. With none ticked, all inputs play."))
        note.setObjectName("soft")
        note.setWordWrap(True)
        layout.addWidget(note)
        kinds = QDialogButtonBox.StandardButton
        buttons = QDialogButtonBox(kinds.Ok | kinds.Cancel)
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)
        self._timer = QTimer(self)
        self._timer.setInterval(LOOK_MILLISECONDS)
        self._timer.timeout.connect(self._show)
        self._timer.start()
        self._show()

    def chosen(self) -> tuple[str, ...]:
        return tuple(box.text() for box in self.boxes if box.isChecked())

    def _show(self) -> None:
        """What is there now; what was ticked stays ticked."""
        told = self._keys.midi_words
        if told == self._shown:
            return
        self._shown = told
        ticked = self._chosen | set(self.chosen())
        for box in self.boxes:
            box.hide()
            box.deleteLater()
        missing = self._keys.midi_missing
        names = [] if missing else [each for each in told.split("\n") if each]
        self.boxes = [QCheckBox(name) for name in names]
        for box in self.boxes:
            box.setChecked(box.text() in ticked)
            self._rows.addWidget(box)
        if missing:
            self.words.setText(tr("There is {0}. Keys, pads and files of notes play all the same.", missing))
        else:
            self.words.setText(tr("These inputs are there:") if names else tr("No input is plugged in."))
