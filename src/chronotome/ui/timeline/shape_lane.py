"""Shape: one value of every hit as a stem, drawn with the mouse."""

from typing import ClassVar

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QPointF, QRect, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.session.edits.shaping import set_value, values_of
from chronotome.session.runs import shaped
from chronotome.session.slices import VALUES, SliceId
from chronotome.ui.controls.units import scale_of
from chronotome.ui.state.figures import counted
from chronotome.ui.state.shown import Shown, Spans, spans_of
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.hit_test import nearest_in_reach
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.shape_drag import ShapeDrag
from chronotome.ui.timeline.value_lane import REACH, ValueLane
from chronotome.words import tr

SCATTERED = {"loudness": "loudness", "pan": "pans", "pitch": "semitones"}
SCALES = {name: scale_of(column) for name, column in VALUES.items()}


class ShapeLane(ValueLane):
    """Press and draw: every hit that the pointer passes takes the value it is at."""

    hint = tr(
        "Draw values over hits. Shift: line. Ctrl: curve. Double-click: type.\nSelected hits change together."
    )
    names: ClassVar = {name: column.short for name, column in VALUES.items()}
    drawing = ShapeDrag

    def __init__(self, desk: UiContext) -> None:
        view = desk.view
        super().__init__(desk, tr("Shape of each hit"), 128, SCALES, lambda: view.shape, view.show_shape)

    def _points(self, shown: Shown, spans: Spans) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
        values = values_of(self.desk.session, shown.take, self.value)
        return self.xs_of(spans.starts), self.y_of(self.scale.share_of(values))

    # Painting

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        painter.fillRect(content, colour(self.desk.view.theme.paper))
        shown = self.shown
        spans = spans_of(shown)
        if shown is None or spans is None:
            self._paint_offer(painter, content, is_apart=shown is not None and shown.take.slices is not None)
            return
        self.paint_grid(painter, content)
        self.paint_levels(painter, content)
        xs, ys = self._points(shown, spans)
        seen = np.flatnonzero((xs > HEADER - 8) & (xs < self.width() + 8) & spans.heard)
        self._paint_scattered(painter, shown, spans, xs, seen)
        chosen = np.isin(spans.slices.id_array, self.desk.view.chosen.hits)
        self.paint_values(painter, content, xs, ys, seen, chosen)
        self.paint_axis(painter)
        self.paint_sweep(painter)
        self.paint_figure(painter, lambda pointer: self._words_at(shown, spans, pointer))

    def _paint_offer(self, painter: QPainter, content: QRect, *, is_apart: bool) -> None:
        words = tr("Slice the clip to shape its hits: Ctrl+H")
        if is_apart:
            words = tr("You hear the clip as played. Press A to hear the shaped hits.")
        painter.setFont(text_font(12))
        painter.setPen(colour(self.desk.view.theme.soft_ink))
        painter.drawText(content, Qt.AlignmentFlag.AlignCenter, words)

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
        ys = self.y_of(self.scale.share_of(values))
        painter.setPen(QPen(colour(self.desk.view.theme.accent, 150), 1.6))
        pairs = zip(xs[some].tolist(), ys[some].tolist(), strict=True)
        painter.drawLines([QLineF(x - 5, y, x + 5, y) for x, y in pairs])

    def _words_at(self, shown: Shown, spans: Spans, pointer: QPointF) -> str | None:
        xs, ys = self._points(shown, spans)
        at = nearest_in_reach(xs, ys, pointer.x(), pointer.y(), reach=2 * REACH)
        if at is None:
            return None
        return self.scale.words(float(values_of(self.desk.session, shown.take, self.value)[at]))

    # Mouse

    def offers_at(self, x: float, y: float) -> str:  # noqa: ARG002 - a hit is meant at any height
        shown = self.shown
        spans = spans_of(shown) if x >= HEADER else None
        if shown is None or spans is None:
            return ""
        xs = np.where(spans.heard, self._points(shown, spans)[0], -1e9)
        near = int(np.abs(xs - x).argmin()) if len(xs) else -1
        chosen = self.desk.view.chosen
        is_near = near >= 0 and abs(xs[near] - x) <= REACH
        if is_near and spans.slices.ids[near] not in chosen.hits:
            chosen.choose_hits((shown.track.id, shown.clip.id), (spans.slices.ids[near],))
        return "slices"

    def mousePressEvent(self, event: QMouseEvent) -> None:
        shown = self.shown
        spans = spans_of(shown)
        is_left = event.button() is Qt.MouseButton.LeftButton
        if not is_left or self.press_header(event.position()) or shown is None or spans is None:
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
        is_some = len(view.chosen.hits) > 1
        on_ring = near is not None and abs(ys[near] - y) <= REACH
        moves_all = is_some and nearest in view.chosen.hits and on_ring and not event.modifiers()
        may = heard & (np.isin(spans.slices.id_array, view.chosen.hits) if is_some else True)
        order = np.flatnonzero(may)
        values = values_of(self.desk.session, shown.take, view.shape)
        ids = tuple(spans.slices.ids[at] for at in order.tolist())
        before = dict(zip(spans.slices.ids, values.tolist(), strict=True))
        value = self.value_under(event)
        drag = ShapeDrag(
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
        self.hold(drag, self.draw)
        self._pointer = event.position()

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
        hits = view.chosen.hits if hit in view.chosen.hits else (hit,)
        place = (shown.track.id, shown.clip.id)
        values = values_of(self.desk.session, shown.take, name)
        slices = shown.take.slices
        own = 0.0 if slices is None else float(values[slices.at([hit])[0]])
        unit = {"pan": 0.01, "start": 0.001, "length": 0.001}.get(name, 1.0)

        def keep(number: float) -> None:
            self.desk.store.apply(
                lambda session: set_value(session, place, name, dict.fromkeys(hits, number * unit)),
                tr("{0} of {1}", name.capitalize(), counted(len(hits), "hit")),
            )

        self.type_at(at, own, keep, tr("{0} of the hit", name.capitalize()))
