"""Slices as sound files: of what, as what, and how they are called, with an example while it is typed."""

from PySide6.QtWidgets import QDialogButtonBox, QFormLayout, QLineEdit, QVBoxLayout, QWidget

from chronotome.files.audio_out import ENCODINGS, Encoding
from chronotome.files.naming import FIELDS, USUAL, WrongTemplate
from chronotome.files.slice_files import slice_names
from chronotome.session.kits import Kit
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

SHOWN = 3


class SliceFilesDialog(Dialog):
    """What is chosen is in `kit`, `encoding` and `template`."""

    def __init__(self, desk: UiContext, kits: list[tuple[str, Kit]], parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Export slices"))
        self.setMinimumWidth(460)
        self._desk, self._kits = desk, kits
        form = QFormLayout()
        self.of = Combo(tr("Slices of"), [words for words, _ in kits])
        self.of.activated.connect(lambda _index: self._show())
        form.addRow(tr("Slices of"), self.of)
        self.kind = Combo(tr("File format"), [each.words for each in ENCODINGS.values()])
        self.kind.setCurrentIndex(list(ENCODINGS).index("wav24"))
        self.kind.activated.connect(lambda _index: self._show())
        form.addRow(tr("File format"), self.kind)
        self.names = QLineEdit(USUAL)
        self.names.setAccessibleName(tr("File names"))
        self.names.textEdited.connect(lambda _text: self._show())
        form.addRow(tr("File names"), self.names)
        fields = Label("  ".join(f"{{{each}}}" for each in FIELDS))
        fields.setObjectName("soft")
        form.addRow("", fields)
        self.example = Label()
        self.example.setWordWrap(True)
        self.example.setMinimumHeight(64)
        self.example.setAccessibleName(tr("Example"))
        form.addRow(tr("Example"), self.example)
        layout = QVBoxLayout(self)
        layout.addLayout(form)
        kinds = QDialogButtonBox.StandardButton
        self.buttons = QDialogButtonBox(kinds.Ok | kinds.Cancel)
        self.buttons.button(kinds.Ok).setText(tr("Choose folder…"))
        self.buttons.accepted.connect(self.accept)
        self.buttons.rejected.connect(self.reject)
        layout.addWidget(self.buttons)
        self._show()

    @property
    def kit(self) -> Kit:
        return self._kits[max(0, self.of.currentIndex())][1]

    @property
    def encoding(self) -> Encoding:
        return list(ENCODINGS.values())[self.kind.currentIndex()]

    @property
    def template(self) -> str:
        return self.names.text()

    def _show(self) -> None:
        """The first names that it makes, or what is wrong with it."""
        try:
            names = slice_names(self._desk.session, self.kit, self.template, self.encoding.suffix)
        except WrongTemplate as error:
            self.example.setText(tr("Current settings: {0}.", error))
            names = []
        else:
            more = len(names) - SHOWN
            rest = [tr("and {0}", counted(more, "more", "more"))] if more > 0 else []
            self.example.setText("\n".join([*names[:SHOWN], *rest]))
        self.buttons.button(QDialogButtonBox.StandardButton.Ok).setEnabled(bool(names))
