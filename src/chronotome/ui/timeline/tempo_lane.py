"""The song's tempo under the ruler: points that are dragged, stepped to or reached evenly."""

from dataclasses import dataclass

import numpy as np
from PySide6.QtCore import QPointF, QRect, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen, QPolygonF

from chronotome.session.edits.tempo import move_tempo_point
from chronotome.session.grid import FASTEST, SLOWEST
from chronotome.session.model import Session
from chronotome.session.tempo_points import TempoPoint, points_of
from chronotome.ui.commands.song import SongCommands
from chronotome.ui.state.figures import counted, plain
from chronotome.ui.state.theme import colour, figure_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.accessible_lists import point_words
from chronotome.ui.timeline.gestures import STILL, is_free
from chronotome.ui.timeline.hit_test import nearest_column
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import paint_each, ring
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.words import tr

HEIGHT = 54
TOP, FOOT = 15, 9
"""Pixels above the fastest tempo, for its figure, and below the slowest."""
REACH = 8
LEAST_SPAN = 12.0
"""Bpm from foot to top at least: a little change is drawn little."""
CLOSEST_POINTS = 9
FINE = 0.01
"""Bpm, for who holds Shift; else whole ones."""


@dataclass
class PointDrag:
    """A tempo point in the hand: along the song or in tempo, as it went first."""

    desk: UiContext
    number: int
    point: TempoPoint
    is_sideways: bool | None = None
    value: TempoPoint | None = None

    def to(self, beat: float, bpm: float) -> None:
        self.value = TempoPoint(beat, min(FASTEST, max(SLOWEST, bpm)))
        self.desk.store.draft(self._edit)

    def _edit(self, session: Session) -> Session:
        value = self.value or self.point
        return move_tempo_point(session, self.number, value.beat, value.bpm)

    def finish(self) -> None:
        if self.value is not None:
            self.desk.store.apply(self._edit, tr("Move tempo point"))

    def cancel(self) -> None:
        self.desk.store.drop_draft()


class TempoLane(TrackLane):
    """There where the song's tempo changes. Drag a point; double-click: one more, or a number for one."""

    hint = tr(
        "Drag a tempo point up, down or along the song. Shift: fine.\nDouble-click the lane to add a "
        "point, a point to type its tempo. Right-click for more."
    )

    def __init__(self, desk: UiContext, commands: SongCommands) -> None:
        super().__init__(desk, tr("Tempo of the song"))
        self._commands = commands
        self.setFixedHeight(HEIGHT)
        self._held_range: tuple[float, float] | None = None
        self._pressed = QPointF()
        desk.store.watch(self, self._on_tempo, lambda session: session.tempo)
        self._on_tempo()

    def _on_tempo(self) -> None:
        """Where nothing changes it is folded away; never under a hand that drags a point."""
        is_there = len(self.points) > 1 or isinstance(self.drag, PointDrag)
        self.setVisible(is_there)

    @property
    def points(self) -> tuple[TempoPoint, ...]:
        return points_of(self.desk.session.tempo)

    # Scale

    def _range(self) -> tuple[float, float]:
        """Bpm at the foot and at the top; they stay while a point is dragged."""
        if self._held_range is not None:
            return self._held_range
        tempi = [each.bpm for each in self.points]
        middle, half = (max(tempi) + min(tempi)) / 2, max(LEAST_SPAN, max(tempi) - min(tempi)) / 2
        return middle - half, middle + half

    def y_of(self, bpm: np.ndarray) -> np.ndarray:
        low, high = self._range()
        return np.asarray(HEIGHT - FOOT - (bpm - low) / (high - low) * (HEIGHT - TOP - FOOT))

    def _bpm_of(self, y: float) -> float:
        low, high = self._range()
        return low + (HEIGHT - FOOT - y) / (HEIGHT - TOP - FOOT) * (high - low)

    def _places(self) -> tuple[np.ndarray, np.ndarray]:
        """Where the points are on screen."""
        session, points = self.desk.session, self.points
        beats = np.array([each.beat for each in points])
        xs = self.xs_of(session.tempo.seconds_at(beats) * session.rate)
        return xs, self.y_of(np.array([each.bpm for each in points]))

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, points = self.desk.view.theme, self.points
        y = self.paint_words(painter, 4, tr("Tempo"), size=11, weight=600, value=theme.ink)
        ramps = sum(each.is_ramp for each in points)
        words = [counted(len(points), "point"), *([counted(ramps, "ramp")] if ramps else [])]
        for line, each in enumerate(words):
            self.paint_words(painter, y + 13 * line, each, size=10, weight=400, value=theme.soft_ink)

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, points = self.desk.view.theme, self.points
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        xs, ys = self._places()
        corners = [QPointF(min(content.left() - 4.0, float(xs[0])), float(ys[0]))]
        for point, x, y in zip(points, xs.tolist(), ys.tolist(), strict=True):
            if not point.is_ramp:
                corners.append(QPointF(x, corners[-1].y()))
            corners.append(QPointF(x, y))
        corners.append(QPointF(max(content.right() + 4.0, float(xs[-1])), float(ys[-1])))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.setPen(QPen(colour(theme.ink), 1.8))
        painter.drawPolyline(QPolygonF(corners))
        seen = np.flatnonzero((xs > HEADER - 60) & (xs < self.width() + 8))
        if len(seen) * CLOSEST_POINTS <= self.width():
            painter.setBrush(colour(theme.paper))
            painter.setPen(QPen(colour(theme.ink), 1.8))
            paint_each(painter, ring, ((float(xs[at]), float(ys[at])) for at in seen.tolist()), 4.5)
        self._paint_figures(painter, seen, xs, ys)

    def _paint_figures(self, painter: QPainter, seen: np.ndarray, xs: np.ndarray, ys: np.ndarray) -> None:
        """The tempo of each point that has room; of the one in the hand always."""
        theme, points, free = self.desk.view.theme, self.points, float(HEADER)
        painter.setFont(figure_font(10))
        wide = painter.fontMetrics()
        drag = self.drag if isinstance(self.drag, PointDrag) and self.drag.value is not None else None
        for at in seen.tolist():
            words, x = plain(points[at].bpm, 2), float(xs[at])
            y = float(ys[at]) - 6 if ys[at] - 6 > TOP - 4 else float(ys[at]) + 14
            if x + 5 >= free and drag is None:
                painter.setPen(colour(theme.ink))
                painter.drawText(QPointF(x + 5, max(11.0, y)), words)
                free = x + 5 + wide.horizontalAdvance(words) + 6
        if drag is not None and drag.value is not None:
            value, session = drag.value, self.desk.session
            where = f"{self.desk.session.metre.position(value.beat)[0]}"
            place = QPointF(
                self.x_of(session.frame_of(value.beat)), float(self.y_of(np.array([value.bpm]))[0])
            )
            self.paint_beside(painter, place, tr("{0} bpm, bar {1}", plain(value.bpm, 2), where))

    # Mouse

    def _point_at(self, place: QPointF) -> int | None:
        xs, ys = self._places()
        at = nearest_column(xs, place.x(), reach=REACH)
        return at if at is not None and abs(ys[at] - place.y()) <= 2 * REACH else None

    def offers_at(self, x: float, y: float) -> str:
        if x < HEADER:
            return ""
        at = self._point_at(QPointF(x, y))
        beat = self.beat_of_x(x) if at is None else self.points[at].beat
        if not self.desk.transport.is_playing:
            self.desk.transport.go_to(self.desk.session.frame_of(beat))
        return "tempo"

    def told_at(self, place: QPointF) -> str:
        at = self._point_at(place)
        if at is None:
            return ""
        return point_words(self.points[at], self.desk.session.metre)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton or event.position().x() < HEADER:
            return
        at = self._point_at(event.position())
        if at is None:
            self.desk.transport.go_to(self.frame_of(event.position().x()))
            return
        self._pressed, self._held_range = event.position(), self._range()
        self.hold(PointDrag(self.desk, at, self.points[at]), self._move_point)

    def point_at(self, event: QMouseEvent) -> None:
        is_over = self._point_at(event.position()) is not None
        self.setCursor(Qt.CursorShape.SizeAllCursor if is_over else Qt.CursorShape.ArrowCursor)

    def _move_point(self, drag: PointDrag, event: QMouseEvent) -> None:
        away = event.position() - self._pressed
        if drag.is_sideways is None:
            if max(abs(away.x()), abs(away.y())) <= STILL:
                return
            drag.is_sideways = abs(away.x()) > abs(away.y()) and drag.number > 0
        session = self.desk.store.history.session  # under the hand the song's beats move
        if drag.is_sideways:
            self.edge_scroll.see(event)
            beat = session.beat_of(self.frame_of(event.position().x()))
            drag.to(beat if is_free(event) else session.metre.beat_line(beat), drag.point.bpm)
            return
        rise = self._bpm_of(event.position().y()) - self._bpm_of(self._pressed.y())
        bpm = drag.point.bpm + rise * (0.1 if is_free(event) else 1.0)
        drag.to(drag.point.beat, round(bpm / FINE) * FINE if is_free(event) else round(bpm))

    def mouseReleaseEvent(self, event: QMouseEvent) -> None:
        self._held_range = None
        super().mouseReleaseEvent(event)
        self._on_tempo()

    def cancel_drag(self) -> bool:
        self._held_range = None
        is_cancelled = super().cancel_drag()
        self._on_tempo()
        return is_cancelled

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton or event.position().x() < HEADER:
            return
        at = self._point_at(event.position())
        if at is not None:
            self._commands.ask_tempo(self.points[at].beat)
            return
        beat = self.beat_of_x(event.position().x())
        line = beat if is_free(event) else self.desk.session.metre.beat_line(beat)
        self._commands.set_tempo_from(line, float(round(self._bpm_of(event.position().y()))))
