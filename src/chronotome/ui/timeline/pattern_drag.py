"""Drags in the lane of a pattern: steps drawn, moved, lengthened, erased, made louder or rarer."""

from collections.abc import Callable
from dataclasses import dataclass, field

from chronotome.session.edits.patterns import (
    move_steps,
    remove_steps,
    set_step,
    shape_steps,
)
from chronotome.session.model import Session
from chronotome.session.patterns import Pattern, PatternId, StepId
from chronotome.ui.controls.units import words_of
from chronotome.ui.state.figures import counted, plain, signed
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

PER_PIXEL = {"loudness": 0.15, "chances": 0.01, "repeats": 0.08}


@dataclass
class DrawDrag:
    """Steps set on one row, one in each cell that the pointer comes into."""

    desk: UiContext
    pattern: PatternId
    piece: int
    length: float
    places: list[float] = field(default_factory=list)
    words: str = ""

    def to(self, place: float) -> None:
        if place not in self.places:
            self.places.append(place)
            self.desk.store.draft(self._edit)

    def _edit(self, session: Session) -> Session:
        for place in self.places:
            session = set_step(session, self.pattern, self.piece, place)
        return session

    def finish(self) -> None:
        self.desk.store.apply(self._edit, tr("Set {0}", counted(len(self.places), "step")))

    def cancel(self) -> None:
        self.desk.store.drop_draft()


@dataclass
class EraseDrag:
    """Steps that the pointer passes go."""

    desk: UiContext
    pattern: PatternId
    gone: set[StepId] = field(default_factory=set)
    words: str = ""
    is_meant: bool = False
    """The hand has moved: until then it may be a click."""

    def over(self, step: StepId | None) -> None:
        if step is not None and step not in self.gone:
            self.gone.add(step)
            self.desk.store.draft(self._edit)

    def _edit(self, session: Session) -> Session:
        return remove_steps(session, self.pattern, self.gone)

    def finish(self) -> None:
        if self.gone:
            self.desk.store.apply(self._edit, tr("Delete {0}", counted(len(self.gone), "step")))

    def cancel(self) -> None:
        self.desk.store.drop_draft()


@dataclass
class MoveDrag:
    """Chosen steps that are moved in time, and from row to row."""

    desk: UiContext
    pattern: PatternId
    steps: tuple[StepId, ...]
    own: dict[StepId, int]
    """The slice that each plays."""
    order: list[int]
    """The slices from the top row down."""
    hear: Callable[[int], None]
    by: float = 0.0
    rows: int = 0
    words: str = ""

    def to(self, by: float, rows: int) -> None:
        if (by, rows) == (self.by, self.rows):
            return
        is_other = rows != self.rows
        self.by, self.rows = by, rows
        self.words = tr("{0} quarter notes", signed(by, 3)) if by else ""
        if is_other:
            self.hear(self._below(self.own[self.steps[-1]]))
        self.desk.store.draft(self._edit)

    def _below(self, piece: int) -> int:
        """The slice so many rows below another one; the last row where there are no more."""
        at = self.order.index(piece) if piece in self.order else 0
        return self.order[min(len(self.order) - 1, max(0, at + self.rows))]

    def _edit(self, session: Session) -> Session:
        pieces = {step: self._below(piece) for step, piece in self.own.items()} if self.rows else {}
        return move_steps(session, self.pattern, self.steps, self.by, pieces)

    def finish(self) -> None:
        if self.by or self.rows:
            self.desk.store.apply(self._edit, tr("Move {0}", counted(len(self.steps), "step")))

    def cancel(self) -> None:
        self.desk.store.drop_draft()


@dataclass
class StepValueDrag:
    """A value of chosen steps that follows the pointer: each as much more as the one that was taken."""

    desk: UiContext
    pattern: PatternId
    steps: tuple[StepId, ...]
    name: str
    own: float
    """Of the one that was taken."""
    before: dict[StepId, float]
    most: float = 0.0
    """Quarter notes of sound that there are from the taken one's beginning on; 0: it is no length."""
    value: float | None = None
    words: str = ""

    def to(self, value: float) -> None:
        column = Pattern.shaped[self.name]
        value = round(column.held(value)) if column.kind is int else column.held(value)
        if value == self.value or (self.value is None and value == self.own):
            return
        self.value = value
        self.words = f"{column.label} {words_of(column, value)}"
        if self.most and value > self.most:
            self.words = tr("{0} · the slice ends after {1}", self.words, plain(self.most, 2))
        self.desk.store.draft(self._edit)

    def _edit(self, session: Session) -> Session:
        by = 0.0 if self.value is None else self.value - self.own
        for step in self.steps:
            session = shape_steps(session, self.pattern, (step,), self.name, self.before[step] + by)
        return session

    def finish(self) -> None:
        if self.value is not None:
            words = tr("{0} of {1}", Pattern.shaped[self.name].label, counted(len(self.steps), "step"))
            self.desk.store.apply(self._edit, words)

    def cancel(self) -> None:
        self.desk.store.drop_draft()


PatternDrag = DrawDrag | EraseDrag | MoveDrag | StepValueDrag
