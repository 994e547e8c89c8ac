"""Shape: one value of every hit as a stem, drawn with the mouse."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QEvent, QLineF, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.session.edits.shaping import set_value, values_of
from chronotome.session.runs import shaped
from chronotome.session.slices import VALUES, SliceId
from chronotome.ui.controls.figures import counted
from chronotome.ui.controls.typed import TypedFigure, numbers_only
from chronotome.ui.desk import Desk
from chronotome.ui.theme import colour, text_font
from chronotome.ui.timeline.hit_test import nearest_in_reach
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import paint_dots, paint_each, ring
from chronotome.ui.timeline.shape_drag import ShapeDrag
from chronotome.ui.timeline.shape_scale import SCALES, Scale
from chronotome.ui.timeline.shown import Shown
from chronotome.ui.timeline.slice_marks import Spans, spans_of
from chronotome.ui.timeline.track_lane import TrackLane

EDGE = 12
BUTTON, GAP, TOP = 18, 3, 28
REACH = 9
MOST_RINGS = 220
"""More hits than this in sight are stems without rings."""
SCATTERED = {"loudness": "loudness", "pan": "pans", "pitch": "semitones"}
SHORT = {"loudness": "loud", "fade in": "in", "fade out": "out"}
FIGURE = QRect(0, 0, 76, 20)


class ShapeLane(TrackLane):
    """Press and draw: every hit that the pointer passes takes the value it is at."""

    hint = (
        "Draw over hits: free, Shift a line, Ctrl a curve up and back, Alt without steps. "
        "Double-click types. Chosen hits move together."
    )

    def __init__(self, desk: Desk) -> None:
        super().__init__(desk, "Shape of each hit")
        self.setMinimumHeight(128)
        self._pointer: QPointF | None = None
        desk.view.evidence_changed.connect(self.update)

    @property
    def _scale(self) -> Scale:
        return SCALES[self.desk.view.shape]

    # Places

    def _y_of(self, share: NDArray[np.float64]) -> NDArray[np.float64]:
        return self.height() - EDGE - share * (self.height() - 2 * EDGE)

    def _share_at(self, y: float) -> float:
        return (self.height() - EDGE - y) / max(1, self.height() - 2 * EDGE)

    def _box(self, number: int) -> QRectF:
        width = (HEADER - 24 - GAP) / 2
        row, column = divmod(number, 2)
        return QRectF(12.5 + column * (width + GAP), TOP + row * (BUTTON + GAP) + 0.5, width, BUTTON)

    def _points(self, shown: Shown, spans: Spans) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
        values = values_of(self.desk.session, shown.take, self.desk.view.shape)
        return self.xs_of(spans.starts), self._y_of(self._scale.share_of(values))

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        self.paint_words(painter, 6, "Shape", size=13, weight=600, value=theme.ink)
        painter.setFont(text_font(10))
        for number, name in enumerate(VALUES):
            box, is_on = self._box(number), view.shape == name
            painter.setPen(QPen(colour(theme.ink if is_on else theme.strong_rule), 1))
            painter.setBrush(colour(theme.ink if is_on else theme.panel))
            painter.drawRoundedRect(box, 5, 5)
            painter.setPen(colour(theme.on_ink if is_on else theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, SHORT.get(name, name))

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme = self.desk.view.theme
        painter.fillRect(content, colour(theme.paper))
        shown = self.shown
        spans = spans_of(shown)
        if shown is None or spans is None:
            self._paint_offer(painter, content, is_apart=shown is not None and shown.take.slices is not None)
            return
        self.paint_grid(painter, content)
        self._paint_levels(painter, content)
        self._paint_stems(painter, content, shown, spans)
        self._paint_axis(painter)
        self.paint_sweep(painter)
        self._paint_figure(painter, shown, spans)

    def _paint_offer(self, painter: QPainter, content: QRect, *, is_apart: bool) -> None:
        words = "Take the clip apart to shape its hits: Ctrl+H"
        if is_apart:
            words = "As played, nothing is shaped: A listens to it as edited"
        painter.setFont(text_font(12))
        painter.setPen(colour(self.desk.view.theme.soft_ink))
        painter.drawText(content, Qt.AlignmentFlag.AlignCenter, words)

    @property
    def _marks(self) -> list[tuple[float, float]]:
        """Values that lines are drawn at, and their places."""
        values = (*self._scale.marks, self._scale.zero)
        return list(zip(values, self._y_of(self._scale.share_of(np.array(values))).tolist(), strict=True))

    def _paint_levels(self, painter: QPainter, content: QRect) -> None:
        theme = self.desk.view.theme
        for value, y in self._marks:
            is_zero = value == self._scale.zero
            style = Qt.PenStyle.SolidLine if is_zero else Qt.PenStyle.DotLine
            painter.setPen(QPen(colour(theme.soft_ink if is_zero else theme.rule), 1, style))
            painter.drawLine(QPointF(content.left(), y), QPointF(content.right(), y))

    def _paint_axis(self, painter: QPainter) -> None:
        for value, y in self._marks:
            self.paint_axis_label(painter, min(max(y, 8), self.height() - 8), self._scale.words(value))

    def _paint_stems(self, painter: QPainter, content: QRect, shown: Shown, spans: Spans) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        xs, ys = self._points(shown, spans)
        seen = np.flatnonzero((xs > HEADER - 8) & (xs < self.width() + 8) & spans.heard)
        zero = float(self._y_of(self._scale.share_of(np.array([self._scale.zero])))[0])
        chosen = np.isin(spans.slices.id_array, view.hits)
        self._paint_scattered(painter, shown, spans, xs, seen)
        if len(seen) > MOST_RINGS:
            size, picked = (content.width(), content.height()), seen[chosen[seen]]
            layers = [
                (xs[some], ys[some], colour(value))
                for some, value in ((seen, theme.ink), (picked, theme.accent))
            ]
            paint_dots(painter, content.left(), size, layers)
            return
        for some, value in ((seen[~chosen[seen]], theme.ink), (seen[chosen[seen]], theme.accent)):
            painter.setPen(QPen(colour(value), 2.6))
            pairs = list(zip(xs[some].tolist(), ys[some].tolist(), strict=True))
            painter.drawLines([QLineF(x, zero, x, y) for x, y in pairs])
            painter.setPen(QPen(colour(value), 1.4))
            painter.setBrush(colour(theme.card))
            paint_each(painter, ring, pairs, 7)

    def _paint_scattered(
        self, painter: QPainter, shown: Shown, spans: Spans, xs: NDArray[np.float64], seen: NDArray[np.int64]
    ) -> None:
        """Where scatters put the hits that they spread."""
        name = SCATTERED.get(self.desk.view.shape)
        spread = spans.slices.column("scattered") > 0
        some = seen[spread[seen]]
        if name is None or not len(some):
            return
        values = getattr(shaped(spans.slices, shown.recording.rate), name)
        ys = self._y_of(self._scale.share_of(values))
        painter.setPen(QPen(colour(self.desk.view.theme.accent, 150), 1.6))
        pairs = zip(xs[some].tolist(), ys[some].tolist(), strict=True)
        painter.drawLines([QLineF(x - 5, y, x + 5, y) for x, y in pairs])

    def _paint_figure(self, painter: QPainter, shown: Shown, spans: Spans) -> None:
        """The value beside the pointer, of the hit that is nearest or of what is being drawn."""
        pointer = self._pointer
        if pointer is None or pointer.x() < HEADER:
            return
        scale = self._scale
        xs, ys = self._points(shown, spans)
        at = nearest_in_reach(xs, ys, pointer.x(), pointer.y(), reach=2 * REACH)
        if isinstance(self.drag, ShapeDrag):
            words = scale.words(scale.value_at(self._share_at(pointer.y()), is_free=False))
        elif at is not None:
            words = scale.words(float(values_of(self.desk.session, shown.take, self.desk.view.shape)[at]))
        else:
            return
        self.paint_beside(painter, pointer + QPointF(0, -22), words)

    # Mouse

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton:
            return
        place, shown = event.position(), self.shown
        if place.x() < HEADER:
            for number, name in enumerate(VALUES):
                if self._box(number).contains(place):
                    self.desk.view.show_shape(name)
            return
        spans = spans_of(shown)
        if shown is None or spans is None:
            return
        self._begin(shown, spans, event)

    def _begin(self, shown: Shown, spans: Spans, event: QMouseEvent) -> None:
        view, place = self.desk.view, (shown.track.id, shown.clip.id)
        x, y = event.position().x(), event.position().y()
        xs, ys = self._points(shown, spans)
        heard = spans.heard
        near = nearest_in_reach(np.where(heard, xs, -1e9), ys, x, y, reach=REACH)
        if near is None:
            column = np.abs(np.where(heard, xs, -1e9) - x)
            near = int(column.argmin()) if len(column) and column.min() <= REACH else None
        nearest = None if near is None else spans.slices.ids[near]
        is_some = len(view.hits) > 1
        on_ring = near is not None and abs(ys[near] - y) <= REACH
        moves_all = is_some and nearest in view.hits and on_ring and not event.modifiers()
        may = heard & (np.isin(spans.slices.id_array, view.hits) if is_some else True)
        order = np.flatnonzero(may)
        values = values_of(self.desk.session, shown.take, view.shape)
        ids = tuple(spans.slices.ids[at] for at in order.tolist())
        before = dict(zip(spans.slices.ids, values.tolist(), strict=True))
        value = self._value(event)
        self.drag = ShapeDrag(
            self.desk,
            place,
            view.shape,
            ids,
            spans.starts[order],
            before,
            (self.frame_of(x), value),
            nearest if nearest in ids else None,
            moves_all,
        )
        self._pointer = event.position()

    def _value(self, event: QMouseEvent) -> float:
        is_free = bool(event.modifiers() & Qt.KeyboardModifier.AltModifier)
        return self._scale.value_at(self._share_at(event.position().y()), is_free=is_free)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        self._pointer = event.position()
        keys = event.modifiers()
        if isinstance(self.drag, ShapeDrag):
            self.drag.to(
                self.frame_of(event.position().x()),
                self._value(event),
                is_line=bool(keys & Qt.KeyboardModifier.ShiftModifier),
                is_bow=bool(keys & Qt.KeyboardModifier.ControlModifier),
            )
        self.update()

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        """Type the value of the hit under the pointer, and of all that are chosen with it."""
        shown, x, y = self.shown, event.position().x(), event.position().y()
        spans = spans_of(shown)
        if shown is None or spans is None or x < HEADER:
            return
        xs, ys = self._points(shown, spans)
        near = nearest_in_reach(xs, ys, x, y, reach=2 * REACH)
        if near is None:
            return
        self.cancel_drag()
        self.type_value(shown, spans.slices.ids[near], QPointF(float(xs[near]), float(ys[near])))

    def type_value(self, shown: Shown, hit: SliceId, at: QPointF) -> None:
        view, name = self.desk.view, self.desk.view.shape
        hits = view.hits if hit in view.hits else (hit,)
        place, scale = (shown.track.id, shown.clip.id), self._scale
        values = values_of(self.desk.session, shown.take, name)
        slices = shown.take.slices
        own = 0.0 if slices is None else float(values[slices.at([hit])[0]])
        unit = {"pan": 0.01, "start": 0.001, "length": 0.001}.get(name, 1.0)

        def keep(number: float) -> None:
            self.desk.store.apply(
                lambda session: set_value(session, place, name, dict.fromkeys(hits, number * unit)),
                f"{name.capitalize()} of {counted(len(hits), 'hit')}",
            )

        left, top = min(at.x() + 6, self.width() - 80), max(2, min(at.y() - 10, self.height() - 24))
        box = FIGURE.translated(int(left), int(top))
        TypedFigure(self, box, scale.words(own), numbers_only(keep), f"{name.capitalize()} of the hit")

    def leaveEvent(self, event: QEvent) -> None:
        self._pointer = None
        self.update()
        super().leaveEvent(event)
