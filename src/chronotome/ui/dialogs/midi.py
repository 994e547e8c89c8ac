"""Which MIDI inputs play the keys, and which outputs hear the clock: as ports come and go."""

from collections.abc import Callable, Iterable

from PySide6.QtCore import QTimer
from PySide6.QtWidgets import QCheckBox, QDialogButtonBox, QVBoxLayout, QWidget

from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

LOOK_MILLISECONDS = 500


class _Boxes:
    """A box for each port; what was ticked stays ticked when ports come and go."""

    def __init__(self, layout: QVBoxLayout, ticked: Iterable[str], words: Callable[[bool], str]) -> None:
        self.label = Label()
        self.label.setWordWrap(True)
        layout.addWidget(self.label)
        self._rows = QVBoxLayout()
        layout.addLayout(self._rows)
        self._ticked, self._words = set(ticked), words
        self._shown: list[str] | None = None
        self.boxes: list[QCheckBox] = []

    def chosen(self) -> tuple[str, ...]:
        """Ticked ones, also of ports that are away now."""
        here = {box.text() for box in self.boxes}
        return tuple([box.text() for box in self.boxes if box.isChecked()] + sorted(self._ticked - here))

    def show(self, names: list[str]) -> None:
        if names == self._shown:
            return
        ticked = set(self.chosen())
        self._shown, self._ticked = names, ticked
        for box in self.boxes:
            box.hide()
            box.deleteLater()
        self.boxes = [QCheckBox(name) for name in names]
        for box in self.boxes:
            box.setChecked(box.text() in ticked)
            self._rows.addWidget(box)
        self.label.setText(self._words(bool(names)))


class MidiDialog(Dialog):
    """With no input ticked, every one plays, also later ones; the clock goes where it is ticked."""

    def __init__(self, desk: UiContext, parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("MIDI inputs and clock"))
        self._keys, self._in_time = desk.keys, desk.in_time
        settings = desk.preferences.settings
        layout = QVBoxLayout(self)
        self.inputs = _Boxes(layout, settings.midi, self._input_words)
        note = Label(
            tr(
                "MIDI note C2 (36) is key Q; higher notes are the next keys. If no input is "
                "ticked, all inputs play."
            )
        )
        note.setObjectName("soft")
        note.setWordWrap(True)
        layout.addWidget(note)
        self.outputs = _Boxes(layout, settings.clock_to, self._output_words)
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

    @classmethod
    def ask(cls, desk: UiContext, parent: QWidget | None) -> None:
        """Show it, and keep what was chosen."""
        dialog = cls(desk, parent)
        if dialog.exec():
            desk.preferences.keep(midi=dialog.inputs.chosen(), clock_to=dialog.outputs.chosen())

    def _input_words(self, has_ports: bool) -> str:  # noqa: FBT001 - one of a kind
        missing = self._keys.midi_missing
        if missing:
            return tr(
                "MIDI is unavailable: {0}. The computer keyboard, pads and MIDI files still play.", missing
            )
        return tr("MIDI inputs that play the keys:") if has_ports else tr("No MIDI input is connected")

    def _output_words(self, has_ports: bool) -> str:  # noqa: FBT001 - one of a kind
        if has_ports:
            return tr("MIDI outputs that receive the clock, with start, stop and position:")
        return tr("No MIDI output is connected.")

    def _show(self) -> None:
        """What is there now."""
        missing = self._keys.midi_missing
        self.inputs.show([] if missing else [each for each in self._keys.midi_words.split("\n") if each])
        self.outputs.show(self._in_time.clock_outputs)
