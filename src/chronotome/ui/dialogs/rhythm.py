"""Of which clip hits take the rhythm, how, and how far: heard and seen while it is chosen."""

from collections.abc import Sequence

from PySide6.QtWidgets import QDialogButtonBox, QVBoxLayout, QWidget

from chronotome.bridge.store import Edit
from chronotome.session.edits.clips import Place
from chronotome.session.edits.rhythm import rhythm_of, take_rhythm
from chronotome.session.model import Session
from chronotome.session.slices import SliceId
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.figures import percent
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

BY_ORDER, BY_NEAREST = range(2)


class RhythmDialog(Dialog):
    """A draft of the session at each choice; one step of undo when it is taken, no trace when it is not."""

    def __init__(
        self,
        desk: UiContext,
        place: Place,
        hits: Sequence[SliceId],
        others: Sequence[tuple[Place, str]],
        parent: QWidget | None,
    ) -> None:
        super().__init__(parent)
        self._desk, self._place, self._hits, self._others = desk, place, hits, others
        self.setWindowTitle(tr("Copy rhythm"))
        self.setMinimumWidth(320)
        layout = QVBoxLayout(self)
        layout.setSpacing(10)
        layout.addWidget(Label(tr("Move these hits to the times of the hits in:")))
        self.of = Combo(tr("Source of the rhythm"), [name for _, name in others])
        self.of.activated.connect(lambda _index: self._draft())
        layout.addWidget(self.of)
        self.by = Segmented(desk.view, tr("Assignment"), [tr("in order"), tr("nearest")])
        self.by.chosen.connect(lambda _index: self._draft())
        layout.addWidget(self.by)
        self.strength = ValueSlider(desk.view, tr("Strength"), 0, 100, percent, step=1, usual=100)
        self.strength.slid.connect(lambda _value: self._draft())
        self.strength.settled.connect(lambda _value: self._draft())
        layout.addWidget(self.strength)
        buttons = QDialogButtonBox(
            QDialogButtonBox.StandardButton.Ok | QDialogButtonBox.StandardButton.Cancel
        )
        buttons.accepted.connect(self.accept)
        buttons.rejected.connect(self.reject)
        layout.addWidget(buttons)
        self._draft()

    @property
    def edit(self) -> Edit:
        other, _ = self._others[max(0, self.of.currentIndex())]
        place, hits = self._place, self._hits
        is_nearest, strength = self.by.index == BY_NEAREST, self.strength.value / 100

        def edit(session: Session) -> Session:
            beats = rhythm_of(session, other)
            return take_rhythm(session, place, hits, beats, is_nearest=is_nearest, strength=strength)

        return edit

    def _draft(self) -> None:
        self._desk.store.draft(self.edit)

    def accept(self) -> None:
        self._desk.store.apply(self.edit, tr("Copy rhythm from {0}", self.of.currentText()))
        super().accept()

    def reject(self) -> None:
        self._desk.store.drop_draft()
        super().reject()
