"""Shape of a pattern: one value of every step as a stem, drawn with the mouse in any round."""

from dataclasses import dataclass, field
from typing import ClassVar

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, QRect, Qt
from PySide6.QtGui import QMouseEvent, QPainter

from chronotome.session.edits.patterns import shape_steps
from chronotome.session.model import Session
from chronotome.session.patterns import Pattern, PatternId, StepId
from chronotome.ui.controls.units import scale_of
from chronotome.ui.state.figures import counted
from chronotome.ui.state.theme import colour
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.hit_test import nearest_in_reach
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.step_marks import Steps, steps_of
from chronotome.ui.timeline.value_lane import REACH, ValueLane
from chronotome.words import tr

SHOWN = {name: column for name, column in Pattern.shaped.items() if column.shown is not None}
SCALES = {name: scale_of(column) for name, column in SHOWN.items()}


@dataclass
class StepShapeDrag:
    """Values drawn over steps: free, with Shift a line, with Ctrl a curve up and back."""

    desk: UiContext
    pattern: PatternId
    name: str
    ids: NDArray[np.int64]
    frames: NDArray[np.float64]
    start: tuple[float, float]
    values: dict[StepId, float] = field(default_factory=dict)
    last: tuple[float, float] = (0.0, 0.0)

    def __post_init__(self) -> None:
        self.last = self.start

    def to(self, frame: float, value: float, *, is_line: bool = False, is_bow: bool = False) -> None:
        if is_line or is_bow:
            self.values = self._between(self.start, (frame, value), is_bow=is_bow)
        else:
            self.values |= self._between(self.last, (frame, value))
        self.last = (frame, value)

    def show(self) -> None:
        """As far as it is drawn."""
        if self.values:
            self.desk.store.draft(self._edit)

    def at_once(self, step: StepId, value: float) -> None:
        """The one that was pressed on."""
        self.values[step] = value
        self.desk.store.draft(self._edit)

    def _between(
        self, first: tuple[float, float], last: tuple[float, float], *, is_bow: bool = False
    ) -> dict[StepId, float]:
        low, high = min(first[0], last[0]), max(first[0], last[0])
        inside = np.flatnonzero((self.frames >= low) & (self.frames <= high))
        share = (self.frames[inside] - first[0]) / ((last[0] - first[0]) or 1.0)
        along = np.sin(np.pi * share) if is_bow else share
        drawn = first[1] + (last[1] - first[1]) * along
        return dict(zip(self.ids[inside].tolist(), drawn.tolist(), strict=True))

    def _edit(self, session: Session) -> Session:
        for step, value in self.values.items():
            session = shape_steps(session, self.pattern, (step,), self.name, value)
        return session

    def finish(self) -> None:
        if self.values:
            words = tr("{0} of {1}", SHOWN[self.name].label, counted(len(self.values), "step"))
            self.desk.store.apply(self._edit, words)

    def cancel(self) -> None:
        self.desk.store.drop_draft()


class StepShapeLane(ValueLane):
    """Press and draw: every step that the pointer passes takes the value it is at."""

    hint = tr("Draw values over steps. Shift: line. Ctrl: curve. Double-click: type.")
    edge, button, top, title, thick = 10, 16, 24, 12, 2.4
    names: ClassVar = {name: column.short for name, column in SHOWN.items()}
    drawing = StepShapeDrag

    def __init__(self, desk: UiContext) -> None:
        view = desk.view
        super().__init__(
            desk, tr("Shape of each step"), 92, SCALES, lambda: view.step_shape, view.show_step_shape
        )

    @property
    def steps(self) -> Steps | None:
        return steps_of(self.desk.session, self.shown)

    def _points(self, steps: Steps) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
        values = steps.pattern.column(self.value)[steps.step].astype(np.float64)
        return self.xs_of(steps.starts), self.y_of(self.scale.share_of(values))

    # Painting

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        steps = self.steps
        painter.fillRect(content, colour(self.desk.view.theme.paper))
        if steps is None:
            return
        self.paint_grid(painter, content)
        self.paint_levels(painter, content)
        xs, ys = self._points(steps)
        seen = np.flatnonzero((xs > HEADER - 8) & (xs < self.width() + 8))
        chosen = np.isin(steps.pattern.column("ids")[steps.step], self.desk.view.chosen.steps)
        self.paint_values(painter, content, xs, ys, seen, chosen)
        self.paint_axis(painter)
        self.paint_figure(painter, lambda pointer: self._words_at(steps, pointer))

    def _words_at(self, steps: Steps, pointer: QPointF) -> str | None:
        xs, ys = self._points(steps)
        at = nearest_in_reach(xs, ys, pointer.x(), pointer.y(), reach=2 * REACH)
        if at is None:
            return None
        return self.scale.words(float(steps.pattern.column(self.value)[int(steps.step[at])]))

    # Mouse

    def offers_at(self, x: float, y: float) -> str:  # noqa: ARG002 - a step is meant at any height
        steps, place = self.steps, self.desk.view.chosen.place
        if x < HEADER or steps is None or place is None:
            return ""
        xs = self._points(steps)[0]
        near = int(np.abs(xs - x).argmin()) if len(xs) else -1
        if near < 0 or abs(xs[near] - x) > REACH:
            return "steps" if self.desk.view.chosen.steps else "pattern"
        step = steps.pattern.ids[int(steps.step[near])]
        if step not in self.desk.view.chosen.steps:
            self.desk.view.chosen.choose_hits(place, (step,))
        return "steps"

    def mousePressEvent(self, event: QMouseEvent) -> None:
        place, steps = event.position(), self.steps
        is_left = event.button() is Qt.MouseButton.LeftButton
        if not is_left or self.press_header(place) or steps is None or not len(steps.step):
            return
        ids, view = steps.pattern.column("ids")[steps.step], self.desk.view
        may = np.isin(ids, view.chosen.steps) if len(view.chosen.steps) > 1 else np.ones(len(ids), np.bool_)
        drag = StepShapeDrag(
            self.desk,
            steps.pattern.id,
            view.step_shape,
            ids[may],
            steps.starts[may],
            (self.frame_of(place.x()), self.value_under(event)),
        )
        self.hold(drag, self.draw)
        self._pointer = place
        xs, _ = self._points(steps)
        near = np.abs(xs[may] - place.x())
        if len(near) and near.min() <= REACH:
            drag.at_once(int(ids[may][int(near.argmin())]), self.value_under(event))

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        """Type the value of the step under the pointer, and of all that are chosen with it."""
        steps, x, y = self.steps, event.position().x(), event.position().y()
        if steps is None or x < HEADER:
            return
        xs, ys = self._points(steps)
        near = nearest_in_reach(xs, ys, x, y, reach=2 * REACH)
        if near is None:
            return
        self.cancel_drag()
        view, name, pattern = self.desk.view, self.desk.view.step_shape, steps.pattern
        step = pattern.ids[int(steps.step[near])]
        chosen = view.chosen.steps if step in view.chosen.steps else (step,)
        unit = {"pans": 0.01, "chances": 0.01}.get(name, 1.0)

        def keep(number: float) -> None:
            self.desk.store.apply(
                lambda session: shape_steps(session, pattern.id, chosen, name, number * unit),
                tr("{0} of {1}", SHOWN[name].label, counted(len(chosen), "step")),
            )

        own = float(pattern.column(name)[int(steps.step[near])])
        self.type_at(QPointF(float(xs[near]), float(ys[near])), own, keep, tr("Step value"))
