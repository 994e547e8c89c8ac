"""Undo and redo over whole sessions."""

from collections.abc import Callable
from dataclasses import dataclass

from chronotome.session.model import Session, replace

MOST_STEPS = 500
"""That can be undone: what disk and memory bear where each step may hold 20,000 hits."""


@dataclass(frozen=True, eq=False)
class HistoryEntry:
    """A session that was kept, and the words for the edit that led away from it."""

    session: Session
    label: str


@dataclass(frozen=True, eq=False)
class History:
    """The session and every one before and after it.

    Invariants: undoing all of `past` and redoing it gives the same objects back; an edit that returned its
    argument is no step.
    """

    session: Session
    past: tuple[HistoryEntry, ...] = ()
    future: tuple[HistoryEntry, ...] = ()

    def then(self, session: Session, label: str) -> "History":
        """One step on; what had been undone is forgotten, and so is the oldest of too many steps."""
        if session is self.session:
            return self
        return History(session, (*self.past[1 - MOST_STEPS :], HistoryEntry(self.session, label)))

    def mapped(self, change: Callable[[Session], Session]) -> "History":
        """Every session changed; steps that then lead from one to the same are none."""
        present = change(self.session)
        past: list[HistoryEntry] = []
        for step in self.past:
            changed = change(step.session)
            if past and _are_alike(past[-1].session, changed):
                past[-1] = HistoryEntry(past[-1].session, step.label)
            else:
                past.append(HistoryEntry(changed, step.label))
        if past and _are_alike(past[-1].session, present):
            present = past.pop().session
        future = tuple(HistoryEntry(change(step.session), step.label) for step in self.future)
        return History(present, tuple(past), future)

    def amended(self, session: Session) -> "History":
        """The present replaced without a step: for what a machine found out, which is not undone by hand."""
        return self if session is self.session else History(session, self.past, self.future)

    def undone(self) -> "History":
        if not self.past:
            return self
        step = self.past[-1]
        return History(step.session, self.past[:-1], (*self.future, HistoryEntry(self.session, step.label)))

    def redone(self) -> "History":
        if not self.future:
            return self
        step = self.future[-1]
        return History(step.session, (*self.past, HistoryEntry(self.session, step.label)), self.future[:-1])

    def shortened(self, steps: int) -> "History":
        """With no more than the latest steps."""
        return History(self.session, self.past[max(0, len(self.past) - steps) :], self.future)

    @property
    def undo_label(self) -> str | None:
        return self.past[-1].label if self.past else None

    @property
    def redo_label(self) -> str | None:
        return self.future[-1].label if self.future else None


def _are_alike(one: Session, other: Session) -> bool:
    """Whether nothing is to be seen of the way from one to the other: ids given out between them are not."""
    if not (one.tracks or other.tracks):  # the first recording gives an empty session its name and rate
        one = replace(one, name=other.name, rate=other.rate)
    return replace(one, next_id=other.next_id) == other
