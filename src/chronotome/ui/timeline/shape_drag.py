"""Drawing a value over hits: free, a line, a curve up and back, or all chosen ones together."""

from dataclasses import dataclass, field

import numpy as np

from chronotome.session.edits.clips import Place
from chronotome.session.edits.shaping import set_value
from chronotome.session.edits.slicing import is_apart
from chronotome.session.model import Session
from chronotome.session.slices import SliceId
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.units import Frames
from chronotome.words import tr


@dataclass
class ShapeDrag:
    """Values that are being drawn. `ids` and `frames` are the hits that may be drawn over, in order."""

    desk: UiContext
    place: Place
    name: str
    ids: tuple[SliceId, ...]
    frames: Frames
    before: dict[SliceId, float]
    """Their values when it began."""
    start: tuple[float, float]
    """Session frame and value where it was pressed."""
    nearest: SliceId | None
    """The hit under the pointer when it was pressed."""
    moves_all: bool = False
    """All of them are moved by as much, instead of drawn over."""
    values: dict[SliceId, float] = field(default_factory=dict)
    _last: tuple[float, float] = (0.0, 0.0)

    def __post_init__(self) -> None:
        self._last = self.start

    def to(self, frame: float, value: float, *, is_line: bool = False, is_bow: bool = False) -> None:
        """Draw on to a frame and a value."""
        if self.moves_all:
            base = self.before[self.nearest] if self.nearest in self.before else self.start[1]
            self.values = {each: self.before[each] + value - base for each in self.ids}
        elif is_line or is_bow:
            self.values = self._between(self.start, (frame, value), is_bow=is_bow)
        else:
            found = self._between(self._last, (frame, value))
            if not found and self.nearest is not None and set(self.values) <= {self.nearest}:
                found = {self.nearest: value}
            self.values |= found
        self._last = (frame, value)

    def show(self) -> None:
        """As far as it is drawn."""
        if self.values:
            self.desk.store.draft(self._edit)

    def _between(
        self, first: tuple[float, float], last: tuple[float, float], *, is_bow: bool = False
    ) -> dict[SliceId, float]:
        """Values of the hits between two points: on a line, or up to the second one and back."""
        low, high = min(first[0], last[0]), max(first[0], last[0])
        inside = np.flatnonzero((self.frames >= low) & (self.frames <= high))
        if not len(inside):
            return {}
        share = (self.frames[inside] - first[0]) / ((last[0] - first[0]) or 1.0)
        along = np.sin(np.pi * share) if is_bow else share
        drawn = first[1] + (last[1] - first[1]) * along
        return {self.ids[at]: float(value) for at, value in zip(inside.tolist(), drawn.tolist(), strict=True)}

    def _edit(self, session: Session) -> Session:
        if not is_apart(session, self.place):
            return session
        return set_value(session, self.place, self.name, self.values)

    def finish(self) -> None:
        if self.values:
            self.desk.store.apply(
                self._edit, tr("{0} of {1}", self.name.capitalize(), counted(len(self.values), "hit"))
            )

    def cancel(self) -> None:
        self.desk.store.drop_draft()
