"""The way out of a session: nothing that is not saved is left unasked, and nothing is left by halves."""

from collections.abc import Callable
from enum import Enum, auto
from pathlib import Path

from chronotome.errors import ChronotomeError
from chronotome.ui.state.asking import CANCEL, DISCARD, SAVE, Answer, Question
from chronotome.ui.state.ui_context import UiContext
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

    def __init__(self, desk: UiContext, ask_folder: Callable[[], Path | None]) -> None:
        self._desk, self._ask_folder = desk, ask_folder
        self.way = Way.STAYING
        self._question: Question | None = None

    def when_safe(self, then: Then) -> None:
        """Do something that closes the session, after asking about edits that are not saved."""
        if self.way is Way.SAVING:
            self._desk.say(tr("Saving. Please wait."))
        elif self._question is not None:
            self._question.raise_()
        elif not self._desk.store.is_modified:
            then()
        elif self.way is Way.STAYING:
            self._ask(then)

    def _ask(self, then: Then) -> None:
        self.way = Way.ASKED

        def decide(answer: Answer) -> None:
            self._question = None
            self._desk.store.drop_draft()  # a drag that never ended is no edit
            if answer is SAVE:
                self._save(then)
            elif answer is DISCARD:
                self._go(then)
            else:
                self.way = Way.STAYING

        text, more = tr("The session has unsaved changes"), tr("Save your changes?")
        self._question = self._desk.ask.decide(text, more, (SAVE, DISCARD, CANCEL), decide)

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
