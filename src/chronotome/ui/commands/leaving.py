"""The way out of a session: nothing that is not saved is left unasked, and nothing is left by halves."""

from collections.abc import Callable
from enum import Enum, auto
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QAbstractButton, QMessageBox, QWidget

from chronotome.errors import ChronotomeError
from chronotome.ui.controls.plain_text import question
from chronotome.ui.ui_context import UiContext
from chronotome.words import tr

Then = Callable[[], None]


class Way(Enum):
    """How far somebody is on the way out."""

    STAYING = auto()
    ASKED = auto()
    SAVING = auto()


class Leaving:
    """Staying, asked, saving, and gone: then what was wanted is done, once, and it is staying again.

    Only its own save leads out: one by hand or by itself does not. What is edited while it saves is saved
    too. A save that fails, or is cancelled, and a question that is closed lead back to staying.
    """

    def __init__(self, window: QWidget, desk: UiContext, ask_folder: Callable[[], Path | None]) -> None:
        self._window, self._desk, self._ask_folder = window, desk, ask_folder
        self.way = Way.STAYING
        self._box: QMessageBox | None = None

    def when_safe(self, then: Then) -> None:
        """Do something that closes the session, after asking about edits that are not saved."""
        if self.way is Way.SAVING:
            self._desk.say(tr("Saving. Please wait."))
        elif self._box is not None:
            self._box.raise_()
        elif not self._desk.store.is_modified:
            then()
        elif self.way is Way.STAYING:
            self._ask(then)

    def _ask(self, then: Then) -> None:
        self.way = Way.ASKED
        box = question(self._window, tr("The session has unsaved changes"), tr("Save your changes?"))
        buttons = QMessageBox.StandardButton
        box.setStandardButtons(buttons.Save | buttons.Discard | buttons.Cancel)
        box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self._box = box

        def decide(button: QAbstractButton) -> None:
            answer, self._box = box.standardButton(button), None
            self._desk.store.drop_draft()  # a drag that never ended is no edit
            if answer == buttons.Save:
                self._save(then)
            elif answer == buttons.Discard:
                self._go(then)
            else:
                self.way = Way.STAYING

        box.buttonClicked.connect(decide)
        box.open()

    def _save(self, then: Then) -> None:
        folder = self._desk.document.folder or self._ask_folder()
        if folder is None:
            self.way = Way.STAYING
            return
        self.way = Way.SAVING
        self._desk.document.save(folder, then=lambda: self._saved(then), otherwise=self._not_saved)

    def _saved(self, then: Then) -> None:
        if self._desk.store.is_modified:  # what was edited meanwhile
            self._save(then)
        else:
            self._go(then)

    def _not_saved(self, _error: ChronotomeError) -> None:
        """Why was told already."""
        self.way = Way.STAYING

    def _go(self, then: Then) -> None:
        self.way = Way.STAYING
        then()
