"""Bars and beats, the loop, and the warp markers on the lower edge."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen, QPolygonF

from chronotome.session.edits.metre import move_metre_change
from chronotome.session.edits.timing import set_loop
from chronotome.session.grid import nearest_lines
from chronotome.session.metre import MetreMap, metre_map
from chronotome.session.model import Session
from chronotome.session.targets import Reason
from chronotome.ui.commands.song import SongCommands
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, figure_width
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import HitDrag, ValueDrag, is_free, take_hit
from chronotome.ui.timeline.hit_test import nearest_column
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import diamond, paint_each
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.units import BeatArray
from chronotome.words import tr

HEIGHT = 34
REACH = 6
MARKER_ZONE = 12
CLOSEST_LABELS = 44
SMALLEST_DRAG = 4
CLOSEST_MARKERS = 9
BESIDE_NUMBER = 24.0
"""Pixels of the number of the bar, beside which a metre that begins there is told."""


class LoopDrag(ValueDrag):
    """A loop that is swept; where nothing was swept it was a click."""


class MetreDrag(ValueDrag):
    """Its value is the bar from which a metre holds; `number` counts the metres of the song from 0."""

    def __init__(self, desk: UiContext, number: int) -> None:
        self.number = number
        kept = tuple(each for at, each in enumerate(desk.session.metre_changes, 1) if at != number)
        self._others = metre_map(desk.session.first_metre, kept)
        super().__init__(
            desk,
            lambda session, bar: move_metre_change(session, number - 1, round(bar)),
            tr("Move metre change"),
        )

    def to_beat(self, beat: float) -> None:
        """The bar line nearest to a beat, as bars would be without this change."""
        bar = float(round(self._others.bar_at(beat)))
        if bar != self.value:
            self.to(bar)


def _numbered(
    metre: MetreMap, first: float, last: float, per_beat: float
) -> tuple[BeatArray, NDArray[np.int64]]:
    """Beats that are numbered, as far as there is room, and which of its bar each is."""
    if min(each.beat for each in metre.metres) * per_beat >= CLOSEST_LABELS:
        return metre.beat_lines(first, last)
    every = 1
    while every * metre.shortest_bar * per_beat < CLOSEST_LABELS and every < 1 << 14:
        every *= 2
    lines = metre.bar_lines(first, last)
    lines = lines[np.rint(metre.bars_at(lines)) % every == 0]
    return lines, np.zeros(len(lines), np.int64)


class Ruler(TrackLane):
    """Drag: loop a span. Drag a diamond: move that hit. Double-click one: take back what was set by hand."""

    hint = tr(
        "Drag to set a loop. Drag a diamond to move its hit.\nDouble-click a diamond to "
        "reset it. Drag a metre to another bar. Shift: no snap."
    )

    def __init__(self, desk: UiContext, song: SongCommands) -> None:
        super().__init__(desk, tr("Ruler: bars and beats"))
        self._song = song
        self.setFixedHeight(HEIGHT)
        self._pressed_at = 0.0

    def paint_header(self, painter: QPainter) -> None:
        theme = self.desk.view.theme
        self.paint_words(painter, 9, tr("Bars"), size=11, weight=400, value=theme.ink)

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme = self.desk.view.theme
        painter.fillRect(content, colour(theme.paper))
        self._paint_loop(painter)
        self._paint_numbers(painter, content)
        self._paint_metres(painter)
        self._paint_markers(painter)
        x = self.x_of(self.desk.transport.position)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.accent))
        painter.drawPolygon(QPolygonF([QPointF(x - 5, 0), QPointF(x + 5, 0), QPointF(x, 8)]))

    def _paint_loop(self, painter: QPainter) -> None:
        session, theme = self.desk.session, self.desk.view.theme
        if session.loop is None:
            return
        ends = np.array([session.loop.start, session.loop.end])
        left, right = self.xs_of(session.tempo.seconds_at(ends) * session.rate).tolist()
        alpha = 255 if session.is_looping else 90
        painter.fillRect(QRectF(left, 0, right - left, HEIGHT), colour(theme.wash, alpha))

    def _paint_numbers(self, painter: QPainter, content: QRect) -> None:
        session, theme = self.desk.session, self.desk.view.theme
        metre, tempo = session.metre, session.tempo
        first, last = self.beat_of_x(content.left() - 40), self.beat_of_x(content.right())
        per_beat = content.width() / max(1e-9, last - first)
        beats, places = _numbered(metre, first, last, per_beat)
        bars = np.floor(metre.bars_at(beats + 1e-6)).astype(int).tolist()
        xs = self.xs_of(tempo.seconds_at(beats) * session.rate)
        for bar, rest, x in zip(bars, places.tolist(), xs, strict=True):
            is_bar = rest == 0
            painter.setPen(QPen(colour(theme.ink if is_bar else theme.strong_rule), 1))
            painter.drawLine(QPointF(x + 0.5, 6 if is_bar else 18), QPointF(x + 0.5, HEIGHT))
            font = (12, 500) if is_bar else (10, 400)
            painter.setFont(figure_font(*font))
            painter.setPen(colour(theme.ink if is_bar else theme.soft_ink))
            words = f"{bar + 1}" if is_bar else f"{bar + 1}.{rest + 1}"
            if x + 5 + figure_width(words, *font) <= self.width():
                painter.drawText(QPointF(x + 5, 17), words.replace("-", "−"))

    def _metre_boxes(self) -> list[tuple[QRectF, int, str]]:
        """Beside the numbers of bars: the metre that begins there, by its number; 0 the first one."""
        session = self.desk.session
        metre = session.metre
        if not metre.changes:
            return []
        _, starts, _ = metre.stretches
        xs = self.xs_of(session.tempo.seconds_at(starts) * session.rate).tolist()
        boxes, free = list[tuple[QRectF, int, str]](), 0.0
        for number, (x, each) in enumerate(zip(xs, metre.metres, strict=True)):
            wide = figure_width(each.words, 9, 500) + 8.0
            if x + BESIDE_NUMBER >= free and HEADER < x + BESIDE_NUMBER < self.width():
                boxes.append((QRectF(x + BESIDE_NUMBER, 5, wide, 13), number, each.words))
                free = x + BESIDE_NUMBER + wide + 2
        return boxes

    def _paint_metres(self, painter: QPainter) -> None:
        theme = self.desk.view.theme
        painter.setFont(figure_font(9, 500))
        for box, number, words in self._metre_boxes():
            is_held = isinstance(self.drag, MetreDrag) and self.drag.number == number
            painter.setPen(QPen(colour(theme.accent if is_held else theme.ink), 1))
            painter.setBrush(colour(theme.wash if is_held else theme.card))
            painter.drawRoundedRect(box, 3, 3)
            painter.setPen(colour(theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)

    def _paint_markers(self, painter: QPainter) -> None:
        shown, theme = self.shown, self.desk.view.theme
        if shown is None or not len(shown.targets):
            return
        targets = shown.targets
        sides = np.array([self.frame_of(HEADER - 8), self.frame_of(self.width() + 8)])
        sides = np.sort(shown.map.mirrored(sides))
        visible = np.arange(*np.searchsorted(targets.target, sides).tolist())
        visible = visible[shown.sounding[visible]]
        by_hand = targets.reasons[visible] == Reason.BY_HAND
        wanted = by_hand | (targets.target[visible] != targets.played[visible])
        if np.count_nonzero(wanted) * CLOSEST_MARKERS > self.width():
            wanted = by_hand
        visible, by_hand = visible[wanted], by_hand[wanted]
        xs = dict(zip(visible.tolist(), self.xs_of(shown.landings[visible]).tolist(), strict=True))
        y = HEIGHT - 6
        painter.setPen(QPen(colour(theme.soft_ink), 1.2))
        painter.setBrush(colour(theme.paper))
        paint_each(painter, diamond, ((xs[at], y) for at in visible[~by_hand].tolist()), 4)
        painter.setPen(QPen(colour(theme.accent), 1.2))
        selected = visible[~by_hand & (targets.onsets[visible] == self.desk.view.chosen.onset)]
        paint_each(painter, diamond, ((xs[at], y) for at in selected.tolist()), 4)
        painter.setBrush(colour(theme.accent))
        paint_each(painter, diamond, ((xs[at], y) for at in visible[by_hand].tolist()), 5)

    # Mouse

    def _marker_at(self, x: float, y: float) -> tuple[Shown, int] | None:
        shown = self.shown
        if shown is None or y < HEIGHT - MARKER_ZONE or not len(shown.targets):
            return None
        at = nearest_column(self.xs_of(shown.landings), x, reach=REACH)
        return None if at is None or not shown.sounding[at] else (shown, at)

    def _metre_at(self, place: QPointF) -> int | None:
        return next((number for box, number, _ in self._metre_boxes() if box.contains(place)), None)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        x, y = event.position().x(), event.position().y()
        if event.button() is not Qt.MouseButton.LeftButton or x < HEADER:
            return
        self._pressed_at = x
        found = self._marker_at(x, y)
        if found is not None:
            shown, at = found
            grip = x - float(self.xs_of(shown.landings[at : at + 1])[0])
            self.hold(take_hit(self.desk, shown, at, grip=grip), self._move_hit)
            return
        number = self._metre_at(event.position())
        if number is not None:
            if number:
                self.hold(MetreDrag(self.desk, number), self._move_metre)
            return
        start = self._snapped(x)

        def loop_to(session: Session, end: float) -> Session:
            return set_loop(session, start, end)

        self.hold(LoopDrag(self.desk, loop_to, tr("Loop span")), self._move_loop)

    def _snapped(self, x: float) -> float:
        beat = self.beat_of_x(x)
        if not self.desk.view.is_snapping:
            return beat
        return float(nearest_lines(np.array([beat]), self.desk.view.grid, self.desk.session.metre)[0])

    def offers_at(self, x: float, y: float) -> str:  # noqa: ARG002 - it is the same at any height
        if x < HEADER:
            return ""
        if not self.desk.transport.is_playing:
            self.desk.transport.go_to(self.frame_of(x))
        return "ruler"

    def _move_hit(self, drag: HitDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        drag.to_beat(self.beat_of_x(event.position().x() - drag.grip), is_free=is_free(event))

    def _move_metre(self, drag: MetreDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        if self._is_meant(event):
            drag.to_beat(self.beat_of_x(event.position().x() - BESIDE_NUMBER))

    def _move_loop(self, drag: LoopDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        x = event.position().x()
        if self._is_meant(event):
            drag.to(self.beat_of_x(x) if is_free(event) else self._snapped(x))

    def _is_meant(self, event: QMouseEvent) -> bool:
        return abs(event.position().x() - self._pressed_at) >= SMALLEST_DRAG

    def point_at(self, event: QMouseEvent) -> None:
        place = event.position()
        is_over = self._marker_at(place.x(), place.y()) is not None or bool(self._metre_at(place))
        self.setCursor(Qt.CursorShape.SizeHorCursor if is_over else Qt.CursorShape.ArrowCursor)

    def mouseReleaseEvent(self, event: QMouseEvent) -> None:
        x = event.position().x()
        is_click = isinstance(self.drag, LoopDrag) and self.drag.value is None
        super().mouseReleaseEvent(event)
        if is_click:
            self.desk.transport.go_to(self.frame_of(x))

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        found = self._marker_at(event.position().x(), event.position().y())
        number = self._metre_at(event.position())
        if found is not None:
            shown, at = found
            self.reset_hit(shown, at)
        elif number is not None:
            self._song.ask_metre(float(self.desk.session.metre.stretches[1][number]))
