"""Which metre, and for how many bars."""

from PySide6.QtWidgets import QComboBox, QDialogButtonBox, QFormLayout, QSpinBox, QWidget

from chronotome.session.metre import METRES, Metre, metre_of
from chronotome.ui.controls.dialog import Dialog
from chronotome.words import tr

MOST_BARS = 999


class MetreDialog(Dialog):
    """A metre of those in use, or one that is typed; OK waits until it is one."""

    def __init__(self, now: Metre, words: str, parent: QWidget | None, *, asks_bars: bool = True) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Change metre"))
        layout = QFormLayout(self)
        self._box = QComboBox()
        self._box.setEditable(True)
        self._box.setInsertPolicy(QComboBox.InsertPolicy.NoInsert)
        self._box.addItems([each.words for each in METRES])
        self._box.setCurrentText(now.words)
        self._box.setAccessibleName(words)
        self._box.editTextChanged.connect(self._on_typed)
        layout.addRow(words, self._box)
        self._bars = QSpinBox()
        self._bars.setButtonSymbols(QSpinBox.ButtonSymbols.NoButtons)
        self._bars.setRange(0, MOST_BARS)
        self._bars.setSpecialValueText(tr("from here on"))
        self._bars.setAccessibleName(tr("Number of bars"))
        if asks_bars:
            layout.addRow(tr("Number of bars:"), self._bars)
        self._buttons = QDialogButtonBox(
            QDialogButtonBox.StandardButton.Ok | QDialogButtonBox.StandardButton.Cancel
        )
        self._buttons.accepted.connect(self.accept)
        self._buttons.rejected.connect(self.reject)
        layout.addRow(self._buttons)

    def _on_typed(self, words: str) -> None:
        try:
            metre_of(words)
        except ValueError:
            is_one = False
        else:
            is_one = True
        self._buttons.button(QDialogButtonBox.StandardButton.Ok).setEnabled(is_one)

    @property
    def metre(self) -> Metre:
        return metre_of(self._box.currentText())

    @property
    def bars(self) -> int:
        """0: from here on."""
        return self._bars.value()
