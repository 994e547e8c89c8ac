"""The Store: holds the current session; everything else reads it, and hears when it is another."""

import contextlib
from collections.abc import Callable
from typing import Any

from PySide6.QtCore import QObject, Signal

from chronotome.session.history import History
from chronotome.session.model import Session
from chronotome.session.normalise_patterns import settled
from chronotome.session.validity import is_within_reach
from chronotome.words import tr

Edit = Callable[[Session], Session]
WatchedPart = Callable[[Session], Any]


class Store(QObject):
    """History, and at most one draft on top of it.

    Invariants: a draft is always made from the last kept session; `changed` is emitted once per new object.
    """

    changed = Signal(object, object)
    """(before, after): the session that is shown and heard is another one."""
    refused = Signal(str)
    """An edit was not made, and why."""
    kept = Signal(str, object)
    """(kind, history): `then`, `amend`, `undo`, `redo` or `reset` led to this history."""

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._history = History(Session())
        self._draft: Session | None = None
        self._is_sifting = False
        self._saved: Session | None = self._history.session

    @property
    def session(self) -> Session:
        """What is shown and heard: the draft, where there is one."""
        return self._history.session if self._draft is None else self._draft

    @property
    def history(self) -> History:
        return self._history

    @property
    def is_modified(self) -> bool:
        return self._history.session is not self._saved

    @property
    def unsaved_edits(self) -> int:
        """Steps between what the disk holds and now; at least one where they are not the same."""
        if not self.is_modified:
            return 0
        past, future = self._history.past, self._history.future
        for steps in (past, future):
            for back, step in enumerate(reversed(steps), start=1):
                if step.session is self._saved:
                    return back
        return max(1, len(past))

    @property
    def is_drafting(self) -> bool:
        return self._draft is not None

    @property
    def is_sifting(self) -> bool:
        """The draft only changes which onsets count, and the hand is still moving."""
        return self._is_sifting and self._draft is not None

    @property
    def placed(self) -> Session:
        """The session by which things have their places: while onsets are sifted, the last kept one.

        Working out where an hour of hits lands takes longer than a hand waits; which of them count does not.
        """
        return self._history.session if self.is_sifting else self.session

    def _edited(self, before: Session, edit: Edit) -> Session:
        """What an edit makes of a session: nothing, where no document could hold it."""
        after = settled(edit(before))
        if is_within_reach(before, after):
            return after
        self.refused.emit(tr("Not moved: the position would be more than a day away"))
        return before

    def draft(self, edit: Edit, *, is_sifting: bool = False) -> None:
        """Show and hear an edit of the last kept session, without keeping it."""
        self._is_sifting = is_sifting
        self._become(self._history, self._edited(self._history.session, edit))

    def drop_draft(self) -> None:
        self._become(self._history, None)

    def apply(self, edit: Edit, label: str) -> None:
        """Keep an edit as one step of undo."""
        history = self._history.then(self._edited(self._history.session, edit), label)
        is_new = history is not self._history
        self._become(history, None)
        if is_new:
            self.kept.emit("then", history)

    def apply_again(self, edit: Edit, label: str) -> None:
        """Make the last step anew, from the session before it: what goes on growing is one step of undo."""
        if not self._history.past or self._history.undo_label != label:
            self.apply(edit, label)
            return
        undone = self._history.undone()
        history = undone.then(self._edited(undone.session, edit), label)
        if history is undone:  # it was refused, or nothing grows: what is there stays
            self._become(self._history, None)
            return
        self._become(history, None)
        self.kept.emit("undo", undone)
        self.kept.emit("then", history)

    def take_back(self, change: Edit) -> None:
        """Take something out of every session of the history: it should never have come in."""
        was_saved = self._history.session is self._saved
        history = self._history.mapped(change)
        if was_saved or not history.past:
            self._saved = history.session
        self._become(history, None)
        self.kept.emit("reset", history)

    def rewrite(self, change: Edit) -> None:
        """Every session of the history changed by what happened outside; no disk has it yet."""
        self._saved = None
        history = self._history.mapped(change)
        self._become(history, None)
        self.kept.emit("reset", history)

    def amend(self, edit: Edit) -> None:
        """Take in what the machine found out; no step of undo, and no reason to ask for saving."""
        session = settled(edit(self._history.session))
        if session is self._history.session:
            return
        if self._history.session is self._saved:
            self._saved = session
        history = self._history.amended(session)
        self._become(history, None if self._draft is None else settled(edit(self._draft)))
        self.kept.emit("amend", history)

    def undo(self) -> None:
        if self._history.past:
            self._become(self._history.undone(), None)
            self.kept.emit("undo", self._history)

    def redo(self) -> None:
        if self._history.future:
            self._become(self._history.redone(), None)
            self.kept.emit("redo", self._history)

    def go(self, steps: int) -> None:
        """So many steps back, or on: shown once, kept step by step."""
        back = steps < 0
        room = len(self._history.past) if back else len(self._history.future)
        passed, history = list[History](), self._history
        for _ in range(min(abs(steps), room)):
            history = history.undone() if back else history.redone()
            passed.append(history)
        if passed:
            self._become(history, None)
            for each in passed:
                self.kept.emit("undo" if back else "redo", each)

    def reset(self, history: History, *, is_saved: bool) -> None:
        """Another document."""
        self._saved = history.session if is_saved else None
        self._become(history, None)
        self.kept.emit("reset", history)

    def mark_saved(self, session: Session) -> None:
        """`session` is what the disk holds now."""
        self._saved = session
        self.kept.emit("saved", self._history)

    def watch(self, owner: QObject, heard: Callable[[], None], *parts: WatchedPart) -> None:
        """Call `heard` now, and whenever one of the parts is another object, until `owner` is gone."""
        last = [part(self.session) for part in parts]

        def on_changed(_before: Session, after: Session) -> None:
            now = [part(after) for part in parts]
            if any(new is not old for new, old in zip(now, last, strict=True)):
                last[:] = now
                heard()

        self.changed.connect(on_changed)

        def on_gone() -> None:
            with contextlib.suppress(RuntimeError):  # the store went first
                self.changed.disconnect(on_changed)

        owner.destroyed.connect(on_gone)
        heard()

    def _become(self, history: History, draft: Session | None) -> None:
        before = self.session
        self._history = history
        self._draft = None if draft is history.session else draft
        after = self.session
        if after is not before:
            self.changed.emit(before, after)
