"""A lane in which one value of many things is drawn with the mouse: what hits and steps have in common."""

from collections.abc import Callable, Mapping
from typing import Any, ClassVar

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QEvent, QLineF, QPointF, QRect, QRectF, Qt, QTimer
from PySide6.QtGui import QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QApplication

from chronotome.ui.controls.typed import TypedFigure, numbers_only
from chronotome.ui.controls.units import Scale
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import paint_dots, paint_each, ring
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.words import tr

GAP = 3
REACH = 9
FIGURE = QRect(0, 0, 76, 20)
SMALLEST_RING, MOST_RINGS = 3, 220
"""More in sight than this are stems without rings."""


def ring_size(xs: NDArray[np.float64], most: int) -> int:
    """The radius at which three of four rings do not touch the next one, in whole pixels."""
    gaps = np.diff(np.sort(xs))
    near = float(np.quantile(gaps, 0.25)) if len(gaps) else 2.5 * most
    return int(np.clip(near / 2.5, SMALLEST_RING, most))


class ValueLane(TrackLane):
    """Press and draw: free, with Shift a line, with Ctrl a curve up and back, with Alt without steps."""

    edge, button, top, title, thick = 12, 18, 28, 13, 2.6
    """Pixels: above and below, of the buttons and above them, of the words in the header, of stems."""
    names: ClassVar[Mapping[str, str]]
    """What can be drawn, and how it is called on its button."""
    drawing: ClassVar[type]
    """The drag along which values are drawn."""

    def __init__(  # noqa: PLR0917 - what is drawn, and where it is said which of it
        self,
        desk: UiContext,
        name: str,
        height: int,
        scales: Mapping[str, Scale],
        chosen: Callable[[], str],
        choose: Callable[[str], None],
    ) -> None:
        super().__init__(desk, name)
        self.setMinimumHeight(height)
        self._scales, self._chosen, self._choose = scales, chosen, choose
        self._pointer: QPointF | None = None
        self._showing = QTimer(self)
        self._showing.setSingleShot(True)
        self._showing.setInterval(0)
        self._showing.timeout.connect(self._show_drawn)
        desk.view.shape_changed.connect(self.update)

    @property
    def value(self) -> str:
        """Which of them is shown."""
        return self._chosen()

    @property
    def scale(self) -> Scale:
        return self._scales[self.value]

    # Places

    def y_of(self, share: NDArray[np.float64]) -> NDArray[np.float64]:
        return self.height() - self.edge - share * (self.height() - 2 * self.edge)

    def share_at(self, y: float) -> float:
        return (self.height() - self.edge - y) / max(1, self.height() - 2 * self.edge)

    def value_under(self, event: QMouseEvent) -> float:
        is_free = bool(event.modifiers() & Qt.KeyboardModifier.AltModifier)
        return self.scale.value_at(self.share_at(event.position().y()), is_free=is_free)

    def _box(self, number: int) -> QRectF:
        width, high = (HEADER - 24 - GAP) / 2, self.button
        row, column = divmod(number, 2)
        return QRectF(12.5 + column * (width + GAP), self.top + row * (high + GAP) + 0.5, width, high)

    @property
    def _marks(self) -> list[tuple[float, float]]:
        """Values that lines are drawn at, and their places."""
        values = (*self.scale.marks, self.scale.zero)
        return list(zip(values, self.y_of(self.scale.share_of(np.array(values))).tolist(), strict=True))

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme = self.desk.view.theme
        high = 6 if self.title > 12 else 4
        self.paint_words(painter, high, tr("Shape"), size=self.title, weight=600, value=theme.ink)
        painter.setFont(text_font(10))
        for number, (name, words) in enumerate(self.names.items()):
            box, is_on = self._box(number), self.value == name
            painter.setPen(QPen(colour(theme.ink if is_on else theme.strong_rule), 1))
            painter.setBrush(colour(theme.ink if is_on else theme.panel))
            painter.drawRoundedRect(box, 5, 5)
            painter.setPen(colour(theme.on_ink if is_on else theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)

    def paint_levels(self, painter: QPainter, content: QRect) -> None:
        """Lines at values that are easily read."""
        theme = self.desk.view.theme
        for value, y in self._marks:
            is_zero = value == self.scale.zero
            style = Qt.PenStyle.SolidLine if is_zero else Qt.PenStyle.DotLine
            painter.setPen(QPen(colour(theme.soft_ink if is_zero else theme.rule), 1, style))
            painter.drawLine(QPointF(content.left(), y), QPointF(content.right(), y))

    def paint_axis(self, painter: QPainter) -> None:
        for value, y in self._marks:
            self.paint_axis_label(painter, min(max(y, 8), self.height() - 8), self.scale.words(value))

    def paint_values(  # noqa: PLR0917 - what is seen, and of it what is chosen
        self,
        painter: QPainter,
        content: QRect,
        xs: NDArray[np.float64],
        ys: NDArray[np.float64],
        seen: NDArray[np.int64],
        chosen: NDArray[np.bool_],
    ) -> None:
        """A stem and a ring for each; where there are many, dots."""
        theme = self.desk.view.theme
        layers = ((seen[~chosen[seen]], theme.ink), (seen[chosen[seen]], theme.accent))
        if len(seen) > MOST_RINGS:
            dots = [(xs[some], ys[some], colour(value)) for some, value in layers]
            paint_dots(painter, content.left(), (content.width(), content.height()), dots)
            return
        zero = float(self.y_of(self.scale.share_of(np.array([self.scale.zero])))[0])
        for some, value in layers:
            painter.setPen(QPen(colour(value), self.thick))
            pairs = list(zip(xs[some].tolist(), ys[some].tolist(), strict=True))
            painter.drawLines([QLineF(x, zero, x, y) for x, y in pairs])
            painter.setPen(QPen(colour(value), 1.4))
            painter.setBrush(colour(theme.card))
            paint_each(painter, ring, pairs, ring_size(xs[seen], 7 if self.thick > 2.5 else 6))

    def paint_figure(self, painter: QPainter, words_at: Callable[[QPointF], str | None]) -> None:
        """The value beside the pointer: of what is being drawn, or of what is nearest."""
        pointer = self._pointer
        if pointer is None or pointer.x() < HEADER:
            return
        if isinstance(self.drag, self.drawing):
            words: str | None = self.scale.words(
                self.scale.value_at(self.share_at(pointer.y()), is_free=False)
            )
        else:
            words = words_at(pointer)
        if words is not None:
            self.paint_beside(painter, pointer + QPointF(0, -22), words)

    # Mouse

    def press_header(self, place: QPointF) -> bool:
        """A button of the header; False beside it."""
        if place.x() >= HEADER:
            return False
        for number, name in enumerate(self.names):
            if self._box(number).contains(place):
                self._choose(name)
        return True

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        self._pointer = event.position()
        super().mouseMoveEvent(event)
        self.update()

    def draw(self, drag: Any, event: QMouseEvent) -> None:
        """What follows the hand while values are drawn."""
        keys = event.modifiers()
        drag.to(
            self.frame_of(event.position().x()),
            self.value_under(event),
            is_line=bool(keys & Qt.KeyboardModifier.ShiftModifier),
            is_bow=bool(keys & Qt.KeyboardModifier.ControlModifier),
        )
        self._hear_every_point(is_on=True)
        self._showing.start()

    @staticmethod
    def _hear_every_point(*, is_on: bool) -> None:
        """However busy the machine is: usually of several moves that wait only the last is told of."""
        QApplication.setAttribute(Qt.ApplicationAttribute.AA_CompressHighFrequencyEvents, not is_on)

    def _show_drawn(self) -> None:
        """Once for all moves that waited."""
        if isinstance(self.drag, self.drawing):
            drawn: Any = self.drag
            drawn.show()

    def mouseReleaseEvent(self, event: QMouseEvent) -> None:
        self._hear_every_point(is_on=False)
        super().mouseReleaseEvent(event)

    def cancel_drag(self) -> bool:
        self._hear_every_point(is_on=False)
        return super().cancel_drag()

    def type_at(self, at: QPointF, own: float, keep: Callable[[float], None], name: str) -> None:
        """A figure is typed where the thing is that has it."""
        left, top = min(at.x() + 6, self.width() - 80), max(2.0, min(at.y() - 10, self.height() - 24))
        box = FIGURE.translated(int(left), int(top))
        TypedFigure(self, box, self.scale.words(own), numbers_only(keep), name)

    def leaveEvent(self, event: QEvent) -> None:
        self._pointer = None
        self.update()
        super().leaveEvent(event)
