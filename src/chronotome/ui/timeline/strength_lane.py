"""Strength: a stem per onset, and the threshold that tells hits from faint ones."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.dsp.bands import Band
from chronotome.session.edits.marks import set_threshold
from chronotome.session.memo import by_identity
from chronotome.session.model import Session
from chronotome.session.onsets import Onsets
from chronotome.ui.commands.marks import MarkCommands
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import ValueDrag
from chronotome.ui.timeline.hit_test import nearest_in_reach
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import paint_each, paint_stems, ring, square, up
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.ui.timeline.wave_lane import toggle_onset
from chronotome.units import Frames
from chronotome.words import tr

Screen = NDArray[np.float64]
"""Pixels."""
REACH = 8
MARGIN = 18
MOST_MARKS = 90
"""More onsets than this in sight are stems only."""


@by_identity(4)
def _histogram(onsets: Onsets) -> tuple[Frames, Screen]:
    """How many onsets there are in each twentieth of the axis, and where it begins and ends."""
    counts, edges = np.histogram(onsets.strength_array, 20, (0, 100))
    return counts, edges


class StrengthLane(TrackLane):
    """Drag the line: weak onsets turn hollow and silent at once. Double-click one: keep or drop it."""

    hint = tr(
        "Drag the threshold line. Double-click an onset to keep or delete it.\nDrag over "
        "several, then press Delete."
    )

    shows_counts = True

    def __init__(self, desk: UiContext, marks: MarkCommands) -> None:
        super().__init__(desk, tr("Strength of each onset"))
        self._marks = marks
        self.setMinimumHeight(140)

    def _y_of(self, strength: float) -> float:
        return self.height() - MARGIN - strength / 100 * (self.height() - 2 * MARGIN)

    def _strength_of(self, y: float) -> float:
        return (self.height() - MARGIN - y) / (self.height() - 2 * MARGIN) * 100

    def paint_header(self, painter: QPainter) -> None:
        theme, shown = self.desk.view.theme, self.shown
        y = self.paint_words(painter, 8, tr("Strength"), size=13, weight=600, value=theme.ink) + 8
        if shown is None:
            return
        self._paint_histogram(painter, shown)
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        for row, words in enumerate((tr("■ low"), tr("● mid"), tr("▲ high"))):
            painter.drawText(QPointF(12, y + 14 + row * 14), words)

    def _paint_histogram(self, painter: QPainter, shown: Shown) -> None:
        """How many onsets there are at each strength, along the lane's own axis."""
        theme = self.desk.view.theme
        counts, edges = _histogram(shown.recording.onsets)
        most = max(1, int(counts.max(initial=0)))
        for count, low, high in zip(counts.tolist(), edges[:-1].tolist(), edges[1:].tolist(), strict=True):
            if not count:
                continue
            length = 3 + 23 * float(np.log1p(count) / np.log1p(most))
            top, bottom = self._y_of(high), self._y_of(low)
            is_counted = high > shown.recording.threshold
            value = theme.soft_ink if is_counted else theme.strong_rule
            painter.fillRect(QRectF(HEADER - 4 - length, top + 1, length, bottom - top - 1), colour(value))

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, shown = self.desk.view.theme, self.shown
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        if shown is None:
            return
        y = self._y_of(shown.recording.threshold)
        painter.fillRect(
            QRectF(content.left(), y, content.width(), self.height() - y), colour(theme.wash, 70)
        )
        self._paint_stems(painter, shown)
        painter.setPen(QPen(colour(theme.accent), 1.6))
        painter.drawLine(QPointF(content.left(), y), QPointF(content.right(), y))
        painter.setFont(figure_font(10, 500))
        words = f"{shown.recording.threshold:.0f}"
        painter.fillRect(QRectF(content.right() - 32, y - 8, 28, 16), colour(theme.accent))
        painter.setPen(colour(theme.on_ink))
        painter.drawText(QRectF(content.right() - 32, y - 8, 28, 16), Qt.AlignmentFlag.AlignCenter, words)

    def _paint_stems(self, painter: QPainter, shown: Shown) -> None:
        theme, onsets = self.desk.view.theme, shown.recording.onsets
        xs = self.xs_of(shown.onset_frames())
        counted = shown.counts
        visible = np.flatnonzero((xs > HEADER - 8) & (xs < self.width() + 8))
        foot = self.height() - MARGIN
        ys = foot - onsets.strength_array / 100 * (self.height() - 2 * MARGIN)
        content = self.content
        layers = [
            (xs[visible[chosen[visible]]], ys[visible[chosen[visible]]], colour(value))
            for value, chosen in ((theme.strong_rule, ~counted), (theme.ink, counted))
        ]
        paint_stems(painter, content.left(), (content.width(), content.height()), layers, foot)
        for value, chosen in ((theme.strong_rule, ~counted), (theme.ink, counted)):
            stems = visible[chosen[visible]]
            painter.setPen(QPen(colour(value), 1))
            if len(visible) <= MOST_MARKS:
                painter.setBrush(colour(theme.ink if value == theme.ink else theme.paper))
                self._paint_symbols(painter, onsets, stems, xs, ys)
        locked = visible[onsets.lock_array[visible]]
        painter.setPen(QPen(colour(theme.ink), 1.6))
        painter.drawLines([QLineF(x - 4, foot + 4, x + 4, foot + 4) for x in xs[locked].tolist()])
        if self.desk.view.chosen.onsets:
            picked = visible[np.isin(onsets.id_array[visible], self.desk.view.chosen.onsets)]
            painter.setPen(QPen(colour(theme.accent), 2))
            painter.setBrush(colour(theme.accent))
            painter.drawLines([QLineF(xs[at], foot, xs[at], ys[at]) for at in picked.tolist()])
            self._paint_symbols(painter, onsets, picked, xs, ys)
        self.paint_sweep(painter)

    @staticmethod
    def _paint_symbols(painter: QPainter, onsets: Onsets, places: Frames, xs: Screen, ys: Screen) -> None:
        """A square for low, a ring for mid, a triangle for high."""
        bands = onsets.band_array[places]

        def of(band: Band) -> list[tuple[float, float]]:
            chosen = places[bands == band]
            return list(zip(xs[chosen].tolist(), ys[chosen].tolist(), strict=True))

        paint_each(painter, square, of(Band.LOW), 3.5)
        paint_each(painter, ring, of(Band.MID), 3.8)
        paint_each(painter, up, of(Band.HIGH), 8.0)

    # Mouse

    def offers_at(self, x: float, y: float) -> str:
        found = self._onset_at(x, y) if x >= HEADER else None
        if found is None:
            return "mark" if x >= HEADER else ""
        onset = int(found[0].recording.onsets.ids[found[1]])
        if onset not in self.desk.view.chosen.onsets:
            self.desk.view.chosen.select(onset)
        return "onset"

    def _onset_at(self, x: float, y: float) -> tuple[Shown, int] | None:
        shown = self.shown
        if shown is None or not len(shown.recording.onsets):
            return None
        strengths = shown.recording.onsets.strength_array
        ys = self.height() - MARGIN - strengths / 100 * (self.height() - 2 * MARGIN)
        found = nearest_in_reach(self.xs_of(shown.onset_frames()), ys, x, y, reach=REACH)
        return None if found is None else (shown, found)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        shown = self.shown
        x, y = event.position().x(), event.position().y()
        if shown is None or event.button() is not Qt.MouseButton.LeftButton or x < HEADER:
            return
        found = self._onset_at(x, y)
        if found is not None:
            onset = shown.recording.onsets.ids[found[1]]
            if event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
                self._marks.extend_to(onset)
            else:
                self.desk.view.chosen.select(onset)
                self._marks.hear(onset)
        elif abs(y - self._y_of(shown.recording.threshold)) <= REACH:
            content = shown.recording.content

            def edit(session: Session, threshold: float) -> Session:
                return set_threshold(session, content, threshold)

            drag = ValueDrag(self.desk, edit, tr("Set threshold"), is_sifting=True)
            self.hold(drag, lambda drag, event: drag.to(self._strength_of(event.position().y())))
        else:
            self.begin_sweep(x, lambda: self._put_playhead(x), self._marks.sweep)

    def _put_playhead(self, x: float) -> None:
        self.desk.view.chosen.select(None)
        self.desk.transport.go_to(self.frame_of(x))

    def point_at(self, event: QMouseEvent) -> None:
        y, shown = event.position().y(), self.shown
        if shown is not None:
            is_over = abs(y - self._y_of(shown.recording.threshold)) <= REACH
            self.setCursor(Qt.CursorShape.SizeVerCursor if is_over else Qt.CursorShape.ArrowCursor)

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        found = self._onset_at(event.position().x(), event.position().y())
        if found is not None:
            toggle_onset(self.desk, *found)
