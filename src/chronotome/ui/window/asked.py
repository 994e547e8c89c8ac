"""What commands ask, asked by dialogs over the window; most of them are loaded when they are wanted."""

import re
from collections.abc import Callable, Sequence
from pathlib import Path
from typing import Any

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QAbstractButton, QApplication, QFileDialog, QInputDialog, QMessageBox, QWidget

from chronotome.files.audio_out import Encoding
from chronotome.files.names import shown
from chronotome.session.kits import Kit
from chronotome.session.metre import Metre
from chronotome.ui.controls.plain_text import question
from chronotome.ui.state.asking import CANCEL, DISCARD, OPEN, SAVE, Answer, Role
from chronotome.ui.state.guarded import guard_overrides
from chronotome.words import tr

ENDING = re.compile(r"\(\*(\.[\w.]+)\)$")
"""Of a kind of files that has one."""
BUTTONS, ROLES = QMessageBox.StandardButton, QMessageBox.ButtonRole
OF_DESKTOP = {CANCEL: BUTTONS.Cancel, SAVE: BUTTONS.Save, OPEN: BUTTONS.Open, DISCARD: BUTTONS.Discard}
OF_ROLE = {
    Role.DO: ROLES.AcceptRole,
    Role.OTHER: ROLES.ActionRole,
    Role.DISCARD: ROLES.DestructiveRole,
    Role.CANCEL: ROLES.RejectRole,
}


class Asked:
    """An `Asking`: dialogs lie over what is in front, questions that stay open over the window."""

    def __init__(self) -> None:
        self.window: QWidget | None = None
        self._pads: dict[Any, QWidget] = {}
        """Of each window that was asked for some."""

    @property
    def _front(self) -> QWidget | None:
        return QApplication.activeWindow() or self.window

    def text(self, title: str, words: str, usual: str = "") -> str | None:
        said, is_said = QInputDialog.getText(self._front, title, words, text=usual)
        return said if is_said else None

    def whole(self, title: str, words: str, usual: int, low: int, high: int) -> int | None:
        said, is_said = QInputDialog.getInt(self._front, title, words, usual, low, high)
        return said if is_said else None

    def number(  # noqa: PLR0917 - a figure and its bounds
        self, title: str, words: str, usual: float, low: float, high: float, digits: int
    ) -> float | None:
        said, is_said = QInputDialog.getDouble(self._front, title, words, usual, low, high, digits)
        return said if is_said else None

    def one_of(self, title: str, words: str, names: Sequence[str]) -> str | None:
        said, is_said = QInputDialog.getItem(self._front, title, words, names, 0, editable=False)
        return said if is_said else None

    def file(self, title: str, folder: str, kinds: str) -> Path | None:
        said, _ = QFileDialog.getOpenFileName(self._front, title, folder, kinds)
        return Path(said) if said else None

    def files(self, title: str, folder: str, kinds: str) -> list[Path]:
        said, _ = QFileDialog.getOpenFileNames(self._front, title, folder, kinds)
        return [Path(name) for name in said]

    def new_file(self, title: str, usual: str, kinds: str = "") -> Path | None:
        said, kind = QFileDialog.getSaveFileName(self._front, title, usual, kinds)
        if not said:
            return None
        path, ending = Path(said), ENDING.search(kind)
        if ending is None or path.suffix:
            return path
        whole = path.with_name(path.name + ending[1])
        return whole if not whole.exists() or self._replaces(whole) else None

    def _replaces(self, path: Path) -> bool:
        """Whether a file may be written over that was not named in full: the dialog has not asked."""
        text = tr("“{0}” exists already", shown(path.name))
        box = question(self._front, text, tr("Replace it?"))
        box.setStandardButtons(BUTTONS.Yes | BUTTONS.Cancel)
        box.setDefaultButton(BUTTONS.Cancel)
        return box.exec() == BUTTONS.Yes

    def folder(self, title: str, usual: str = "") -> Path | None:
        said = QFileDialog.getExistingDirectory(self._front, title, usual)
        return Path(said) if said else None

    def decide(
        self, text: str, more: str, answers: Sequence[Answer], then: Callable[[Answer], None]
    ) -> QMessageBox:
        box = question(self.window, text, more)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        said = dict[QAbstractButton, Answer]()
        for answer in answers:
            usual = OF_DESKTOP.get(answer)
            if usual is None:
                button = box.addButton(answer.words, OF_ROLE[answer.role])
            else:
                button = box.addButton(usual)
            said[button] = answer
            if answer is answers[0]:
                box.setDefaultButton(button)
        box.buttonClicked.connect(lambda button: then(said[button]))
        box.open()
        return box

    def metre(self, now: Metre, words: str, *, asks_bars: bool = True) -> tuple[Metre, int] | None:
        from chronotome.ui.dialogs.metre import MetreDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        dialog = MetreDialog(now, words, self._front, asks_bars=asks_bars)
        return (dialog.metre, dialog.bars) if dialog.exec() else None

    def slice_files(self, where: Any, kits: list[tuple[str, Kit]]) -> tuple[Kit, Encoding, str] | None:
        from chronotome.ui.dialogs.slice_files import SliceFilesDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        dialog = SliceFilesDialog(where, kits, self._front)
        return (dialog.kit, dialog.encoding, dialog.template) if dialog.exec() else None

    def rhythm(self, where: Any, place: Any, hits: Any, others: Any) -> None:
        from chronotome.ui.dialogs.rhythm import RhythmDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        RhythmDialog(where, place, hits, others, self._front).exec()

    def alike(self, where: Any, place: Any, found: Callable[[float], Any]) -> None:
        from chronotome.ui.dialogs.alike import AlikeDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        AlikeDialog(where, place, found, self._front).open()

    def pads(self, where: Any, play: Any) -> None:
        from chronotome.ui.dialogs.pads import PadsWindow  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        pads = self._pads.get(play)
        if pads is None:
            pads = self._pads[play] = PadsWindow(where, play, self._front)
        pads.show()
        pads.raise_()

    def midi(self, where: Any) -> None:
        from chronotome.ui.dialogs.midi import MidiDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        MidiDialog.ask(where, self._front)

    def loopback(self, loopback: Any) -> float | None:
        from chronotome.ui.dialogs.loopback import LoopbackDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        dialog = LoopbackDialog(loopback, self._front)
        return dialog.measured if dialog.exec() else None

    def information(self, where: Any) -> None:
        from chronotome.ui.dialogs.information import InformationDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        InformationDialog(where, self._front).open()
