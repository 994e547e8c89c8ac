"""Named spans in a strip over the waves: to go to, to take by their ends, and more by the right button."""

from collections.abc import Callable, Sequence
from functools import partial
from typing import NamedTuple

from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QContextMenuEvent, QFontMetrics, QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QMenu

from chronotome.bridge.store import Edit
from chronotome.session.model import Session
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import ValueDrag, is_free
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_lane import TrackLane

EDGE = 5


class Strip(NamedTuple):
    """A span on screen: its words, its beats, and whether it is the one that is meant just now."""

    words: str
    start: float
    end: float
    is_chosen: bool


class SpanStrip(TrackLane):
    """There where spans are; a lane of them says what they are and what is done to them."""

    title = ""
    label = ""
    """What dragging an end is called."""
    height_of = 22

    def __init__(self, desk: UiContext, name: str) -> None:
        super().__init__(desk, name)
        self.setFixedHeight(self.height_of)

    def spans(self) -> Sequence[Strip]:
        """Those that there are, in order."""
        return ()

    def go_to(self, number: int) -> None:
        """At a click."""

    def open(self, number: int) -> None:
        """At a double-click."""

    def moved(self, number: int, end: str, beat: float) -> Edit:  # noqa: ARG002 - for those that can be moved
        """An end, `start` or `end`, at another beat; nothing, where a lane does not say how."""
        return lambda session: session

    def choices(self, number: int) -> Sequence[tuple[str, Callable[[], None]]]:  # noqa: ARG002 - the same
        """What the right button offers."""
        return ()

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme = self.desk.view.theme
        y = (self.height() - 18) // 2 + 1
        self.paint_words(painter, y, self.title, size=11, weight=400, value=theme.ink)

    def _ends(self, span: Strip) -> tuple[float, float]:
        session = self.desk.session
        return self.x_of(session.frame_of(span.start)), self.x_of(session.frame_of(span.end))

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, height = self.desk.view.theme, self.height()
        painter.fillRect(content, colour(theme.paper))
        font = text_font(11, 500)
        painter.setFont(font)
        for span in self.spans():
            left, right = self._ends(span)
            if right < HEADER or left > self.width():
                continue
            box = QRectF(left + 1, 3, right - left - 2, height - 6)
            painter.setPen(QPen(colour(theme.strong_rule), 1))
            painter.setBrush(colour(theme.wash if span.is_chosen else theme.panel))
            painter.drawRoundedRect(box, 4, 4)
            painter.setPen(colour(theme.ink))
            begin = max(box.left(), HEADER) + 6
            room = int(box.right() - begin - 4)
            if room > 12:
                words = QFontMetrics(font).elidedText(span.words, Qt.TextElideMode.ElideRight, room)
                painter.drawText(QPointF(begin, height - 7), words)

    # Mouse

    def _span_at(self, x: float) -> tuple[int, str] | None:
        """The span under the pointer, and whether its start or end is taken."""
        edges: list[tuple[float, bool, int, str]] = []
        inside: int | None = None
        for number, span in enumerate(self.spans()):
            left, right = self._ends(span)
            edges.append((abs(x - left), x < left, number, "start"))
            edges.append((abs(x - right), x >= right, number, "end"))
            inside = number if left <= x < right else inside
        away, _, nearest, end = min(edges, key=lambda edge: edge[:2], default=(EDGE + 1.0, False, -1, ""))
        if nearest >= 0 and away <= EDGE:  # of two that touch, the one that the pointer is in
            return nearest, end
        return None if inside is None else (inside, "")

    def mousePressEvent(self, event: QMouseEvent) -> None:
        x = event.position().x()
        found = self._span_at(x)
        if event.button() is not Qt.MouseButton.LeftButton or found is None or x < HEADER:
            return
        number, end = found
        if end:
            edit = partial(self._with_end, number, end)
            self.hold(ValueDrag(self.desk, edit, self.label), self._move_end)
        else:
            self.go_to(number)

    def _with_end(self, number: int, end: str, session: Session, beat: float) -> Session:
        return self.moved(number, end, beat)(session)

    def _move_end(self, drag: ValueDrag, event: QMouseEvent) -> None:
        beat = self.beat_of_x(event.position().x())
        drag.to(beat if is_free(event) else self.desk.session.metre.beat_line(beat))

    def point_at(self, event: QMouseEvent) -> None:
        found = self._span_at(event.position().x())
        is_edge = found is not None and bool(found[1])
        self.setCursor(Qt.CursorShape.SizeHorCursor if is_edge else Qt.CursorShape.ArrowCursor)

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        found = self._span_at(event.position().x())
        if found is not None:
            self.open(found[0])

    def contextMenuEvent(self, event: QContextMenuEvent) -> None:
        found = self._span_at(event.pos().x())
        if found is None:
            return
        menu = QMenu(self)
        for words, do in self.choices(found[0]):
            menu.addAction(words, partial(do))
        menu.exec(event.globalPos())
