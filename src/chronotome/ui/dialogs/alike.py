"""Which hits sound alike: how many and which is seen while it is said how alike."""

from collections.abc import Callable, Iterable

import numpy as np
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QDialogButtonBox, QVBoxLayout, QWidget

from chronotome.dsp.likeness import ALIKE
from chronotome.session.edits.clips import Place
from chronotome.session.slices import SliceId
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.figures import counted, percent
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

LEAST, MOST = 60, 97
USUAL = round(100 * (1 - ALIKE))


class AlikeDialog(Dialog):
    """What is found is chosen as long as it is open; Cancel chooses what was chosen before."""

    def __init__(
        self,
        desk: UiContext,
        place: Place,
        found: Callable[[float], Iterable[SliceId]],
        parent: QWidget | None,
    ) -> None:
        super().__init__(parent)
        self._desk, self._place, self._found = desk, place, found
        self._before = desk.view.chosen.hits
        self.setWindowTitle(tr("Similar hits"))
        self.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self.setMinimumWidth(320)
        layout = QVBoxLayout(self)
        layout.setSpacing(10)
        self.told = Label()
        layout.addWidget(self.told)
        self.how = ValueSlider(desk.view, tr("Similarity"), LEAST, MOST, percent, step=1, usual=USUAL)
        self.how.slid.connect(lambda _value: self._show())
        self.how.settled.connect(lambda _value: self._show())
        layout.addWidget(self.how)
        buttons = QDialogButtonBox(
            QDialogButtonBox.StandardButton.Ok | QDialogButtonBox.StandardButton.Cancel
        )
        buttons.button(QDialogButtonBox.StandardButton.Ok).setText(tr("Select"))
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)
        self._show()

    def _show(self) -> None:
        hits = tuple(self._found(1 - self.how.value / 100))
        count = len(np.unique(np.array(hits, np.int64)))
        self.told.setText(tr("{0} similar hits: they are marked in the wave.", counted(count, "hit")))
        self._desk.view.chosen.choose_hits(self._place, hits)

    def reject(self) -> None:
        self._desk.view.chosen.choose_hits(self._place, self._before)
        super().reject()
