"""Shape of a pattern: one value of every step as a stem, drawn with the mouse in any round."""

from dataclasses import dataclass, field

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QEvent, QLineF, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.session.edits.patterns import shape_steps
from chronotome.session.model import Session
from chronotome.session.patterns import PatternId, StepId
from chronotome.ui.controls.figures import counted, decibels, plain, sides, signed
from chronotome.ui.controls.typed import TypedFigure, numbers_only
from chronotome.ui.desk import Desk
from chronotome.ui.theme import colour, text_font
from chronotome.ui.timeline.hit_test import nearest_in_reach
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import paint_dots, paint_each, ring
from chronotome.ui.timeline.shape_scale import Scale
from chronotome.ui.timeline.step_marks import Steps, steps_of
from chronotome.ui.timeline.track_lane import TrackLane

EDGE, REACH = 10, 9
BUTTON, GAP, TOP = 16, 3, 24
FIGURE = QRect(0, 0, 76, 20)
MOST_RINGS = 220


def _share(value: float) -> str:
    return f"{100 * value:.0f} %"


def _times(value: float) -> str:
    return f"×{value:.0f}"


def _notes(value: float) -> str:
    return "its own" if value <= 0 else f"{plain(value, 3)} ♩"


def _semitones(value: float) -> str:
    return f"{signed(value, 2)} st"


def _pan(value: float) -> str:
    return sides(100 * value)


SCALES = {
    "loudness": Scale(-24.0, 12.0, 0.0, 0.5, decibels, (-12.0, 6.0)),
    "pans": Scale(-1.0, 1.0, 0.0, 0.05, _pan, (-0.5, 0.5)),
    "semitones": Scale(-12.0, 12.0, 0.0, 1.0, _semitones, (-7.0, 7.0)),
    "lengths": Scale(0.0, 2.0, 0.0, 0.0625, _notes, (0.5, 1.0, 1.5)),
    "chances": Scale(0.0, 1.0, 1.0, 0.05, _share, (0.5,)),
    "repeats": Scale(1.0, 8.0, 1.0, 1.0, _times, (4.0,)),
}
WORDS = {
    "loudness": "loud",
    "pans": "pan",
    "semitones": "pitch",
    "lengths": "length",
    "chances": "chance",
    "repeats": "repeats",
}


@dataclass
class StepDrag:
    """Values drawn over steps: free, with Shift a line, with Ctrl a curve up and back."""

    desk: Desk
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
            words = f"{WORDS[self.name].capitalize()} of {counted(len(self.values), 'step')}"
            self.desk.store.apply(self._edit, words)

    def cancel(self) -> None:
        self.desk.store.drop_draft()


class StepShapeLane(TrackLane):
    """Press and draw: every step that the pointer passes takes the value it is at."""

    hint = "Draw over steps: free, Shift a line, Ctrl up and back, Alt without steps. Double-click types."

    def __init__(self, desk: Desk) -> None:
        super().__init__(desk, "Shape of each step")
        self.setMinimumHeight(92)
        self._pointer: QPointF | None = None
        desk.view.evidence_changed.connect(self.update)

    @property
    def steps(self) -> Steps | None:
        return steps_of(self.desk.session, self.shown)

    @property
    def _scale(self) -> Scale:
        return SCALES[self.desk.view.step_shape]

    def _y_of(self, share: NDArray[np.float64]) -> NDArray[np.float64]:
        return self.height() - EDGE - share * (self.height() - 2 * EDGE)

    def _share_at(self, y: float) -> float:
        return (self.height() - EDGE - y) / max(1, self.height() - 2 * EDGE)

    def _box(self, number: int) -> QRectF:
        width = (HEADER - 24 - GAP) / 2
        row, column = divmod(number, 2)
        return QRectF(12.5 + column * (width + GAP), TOP + row * (BUTTON + GAP) + 0.5, width, BUTTON)

    def _points(self, steps: Steps) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
        values = steps.pattern.column(self.desk.view.step_shape)[steps.step].astype(np.float64)
        return self.xs_of(steps.starts), self._y_of(self._scale.share_of(values))

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        self.paint_words(painter, 4, "Shape", size=12, weight=600, value=theme.ink)
        painter.setFont(text_font(10))
        for number, name in enumerate(SCALES):
            box, is_on = self._box(number), view.step_shape == name
            painter.setPen(QPen(colour(theme.ink if is_on else theme.strong_rule), 1))
            painter.setBrush(colour(theme.ink if is_on else theme.panel))
            painter.drawRoundedRect(box, 5, 5)
            painter.setPen(colour(theme.on_ink if is_on else theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, WORDS[name])

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, steps = self.desk.view.theme, self.steps
        painter.fillRect(content, colour(theme.paper))
        if steps is None:
            return
        self.paint_grid(painter, content)
        scale = self._scale
        marks = (*scale.marks, scale.zero)
        places = list(zip(marks, self._y_of(scale.share_of(np.array(marks))).tolist(), strict=True))
        for value, y in places:
            is_zero = value == scale.zero
            style = Qt.PenStyle.SolidLine if is_zero else Qt.PenStyle.DotLine
            painter.setPen(QPen(colour(theme.soft_ink if is_zero else theme.rule), 1, style))
            painter.drawLine(QPointF(content.left(), y), QPointF(content.right(), y))
        self._paint_stems(painter, steps)
        for value, y in places:
            self.paint_axis_label(painter, min(max(y, 8), self.height() - 8), scale.words(value))
        self._paint_figure(painter, steps)

    def _paint_stems(self, painter: QPainter, steps: Steps) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        xs, ys = self._points(steps)
        seen = np.flatnonzero((xs > HEADER - 8) & (xs < self.width() + 8))
        zero = float(self._y_of(self._scale.share_of(np.array([self._scale.zero])))[0])
        chosen = np.isin(steps.pattern.column("ids")[steps.step], view.steps)
        if len(seen) > MOST_RINGS:
            content, picked = self.content, seen[chosen[seen]]
            layers = [
                (xs[some], ys[some], colour(value))
                for some, value in ((seen, theme.ink), (picked, theme.accent))
            ]
            paint_dots(painter, content.left(), (content.width(), content.height()), layers)
            return
        for some, value in ((seen[~chosen[seen]], theme.ink), (seen[chosen[seen]], theme.accent)):
            pairs = list(zip(xs[some].tolist(), ys[some].tolist(), strict=True))
            painter.setPen(QPen(colour(value), 2.4))
            painter.drawLines([QLineF(x, zero, x, y) for x, y in pairs])
            painter.setPen(QPen(colour(value), 1.4))
            painter.setBrush(colour(theme.card))
            paint_each(painter, ring, pairs, 6)

    def _paint_figure(self, painter: QPainter, steps: Steps) -> None:
        pointer = self._pointer
        if pointer is None or pointer.x() < HEADER:
            return
        if isinstance(self.drag, StepDrag):
            words = self._scale.words(self._scale.value_at(self._share_at(pointer.y()), is_free=False))
        else:
            xs, ys = self._points(steps)
            at = nearest_in_reach(xs, ys, pointer.x(), pointer.y(), reach=2 * REACH)
            if at is None:
                return
            column = steps.pattern.column(self.desk.view.step_shape)
            words = self._scale.words(float(column[int(steps.step[at])]))
        self.paint_beside(painter, pointer + QPointF(0, -22), words)

    # Mouse

    def _value(self, event: QMouseEvent) -> float:
        is_free = bool(event.modifiers() & Qt.KeyboardModifier.AltModifier)
        return self._scale.value_at(self._share_at(event.position().y()), is_free=is_free)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton:
            return
        place, steps = event.position(), self.steps
        if place.x() < HEADER:
            for number, name in enumerate(SCALES):
                if self._box(number).contains(place):
                    self.desk.view.show_step_shape(name)
            return
        if steps is None or not len(steps.step):
            return
        ids, view = steps.pattern.column("ids")[steps.step], self.desk.view
        may = np.isin(ids, view.steps) if len(view.steps) > 1 else np.ones(len(ids), np.bool_)
        drag = StepDrag(
            self.desk,
            steps.pattern.id,
            view.step_shape,
            ids[may],
            steps.starts[may],
            (self.frame_of(place.x()), self._value(event)),
        )
        self.drag, self._pointer = drag, place
        xs, _ = self._points(steps)
        near = np.abs(xs[may] - place.x())
        if len(near) and near.min() <= REACH:
            drag.at_once(int(ids[may][int(near.argmin())]), self._value(event))

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        self._pointer, keys = event.position(), event.modifiers()
        if isinstance(self.drag, StepDrag):
            self.drag.to(
                self.frame_of(event.position().x()),
                self._value(event),
                is_line=bool(keys & Qt.KeyboardModifier.ShiftModifier),
                is_bow=bool(keys & Qt.KeyboardModifier.ControlModifier),
            )
        self.update()

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
        chosen = view.steps if step in view.steps else (step,)
        unit = {"pans": 0.01, "chances": 0.01}.get(name, 1.0)

        def keep(number: float) -> None:
            self.desk.store.apply(
                lambda session: shape_steps(session, pattern.id, chosen, name, number * unit),
                f"{WORDS[name].capitalize()} of {counted(len(chosen), 'step')}",
            )

        left, top = min(xs[near] + 6, self.width() - 80), max(2.0, min(ys[near] - 10, self.height() - 24))
        words = self._scale.words(float(pattern.column(name)[int(steps.step[near])]))
        TypedFigure(
            self, FIGURE.translated(int(left), int(top)), words, numbers_only(keep), "Value of the step"
        )

    def leaveEvent(self, event: QEvent) -> None:
        self._pointer = None
        self.update()
        super().leaveEvent(event)
