"""Drift: every hit at its ms from its line, filled as played, hollow where it lands."""

from collections.abc import Iterator
from functools import partial

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QFontMetrics, QMouseEvent, QPainter, QPen

from chronotome.order_stats import rank_of
from chronotome.session.check import Check
from chronotome.session.targets import FAR_MS, Reason
from chronotome.ui.commands.hits import HitCommands
from chronotome.ui.state.figures import plain, signed
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.evidence_lane import EvidenceLane
from chronotome.ui.timeline.gestures import HitDrag, is_free, take_hit
from chronotome.ui.timeline.hit_test import nearest_in_reach
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import (
    DOT,
    SMALL_DOWN,
    SMALL_RING,
    SMALL_UP,
    down,
    paint_dots,
    paint_each,
    ring,
    up,
)
from chronotome.units import Frames
from chronotome.words import tr

SCALES = (15.0, 30.0, 60.0, 120.0, 240.0)
REACH = 10
SELDOM_OUTSIDE = 90
"""Percentile of the drift that the scale holds; the rest sits at the edge."""
MOST_MARKS = 90
CROWDED = 3
"""Pixels of the lane for each hit, below which marks are dots."""
MOST_DASHED = 40
CALLOUT_WIDTH = 176
Screen = NDArray[np.float64]
"""Pixels."""


class DriftLane(EvidenceLane):
    """Drag a mark up or down: that hit lands there, by hand."""

    hint = tr(
        "Drag a mark up or down to move its hit. Drag over several to select.\nAlt: no "
        "snap. Shift+click selects more."
    )

    def __init__(self, desk: UiContext, commands: HitCommands) -> None:
        super().__init__(desk, tr("Drift of each hit in milliseconds"))
        self._commands = commands
        self.setMinimumHeight(140)
        self._pressed_y = 0.0

    @property
    def shown(self) -> Shown | None:
        return self.desk.guiding

    def _scale(self, shown: Shown) -> float:
        """Milliseconds at the edge of the lane: the smallest of a few that holds nearly all hits."""
        if not len(shown.targets):
            return SCALES[1]
        most = rank_of(np.abs(shown.targets.drift), SELDOM_OUTSIDE)
        return next((scale for scale in SCALES if scale >= most * 1.1), SCALES[-1])

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, shown = self.desk.view.theme, self.shown
        self.paint_words(painter, 8, tr("Drift"), size=13, weight=600, value=theme.ink)
        self.paint_switch(painter)
        if shown is None or not len(shown.targets):
            return
        targets, y = shown.targets, 24
        lean = float(np.mean(targets.drift))
        rows = (
            (tr("before"), f"±{plain(targets.spread_before)}", theme.soft_ink),
            (tr("now"), f"±{plain(targets.spread_now)}", theme.ink),
            (tr("over {0:.0f}", FAR_MS), f"{targets.far_before}→{targets.far_now}", theme.ink),
            (tr("average"), signed(lean), theme.late if lean > 0 else theme.early),
        )
        for words, figure, value in rows:
            if y + 20 > self.switch_top:
                break
            painter.setFont(text_font(10))
            painter.setPen(colour(theme.soft_ink))
            painter.drawText(QPointF(12, y + 14), words)
            painter.setFont(figure_font(11))
            painter.setPen(colour(value))
            box = QRectF(0, y + 2, HEADER - 12, 16)
            painter.drawText(box, Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter, figure)
            y += 18

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme = self.desk.view.theme
        painter.fillRect(content, colour(theme.paper))
        shown = self.shown
        if shown is None:
            return
        scale = self._scale(shown)
        self._paint_scale(painter, content, shown, scale)
        self.paint_grid(painter, content)
        self._paint_axis(painter, content, scale)
        self._paint_marks(painter, shown, scale)
        self._paint_callout(painter, shown, scale)
        self.paint_sweep(painter)

    def _paint_scale(self, painter: QPainter, content: QRect, shown: Shown, scale: float) -> None:
        theme = self.desk.view.theme
        checks = self.desk.checks(shown.track, shown.take)
        self.paint_washes(painter, shown.heard_of_played(checks.played), 110)
        window = max(shown.recipe.leave_alone, 0.6)
        top, bottom = self._y_of(-window, scale), self._y_of(window, scale)
        painter.fillRect(QRectF(content.left(), top, content.width(), bottom - top), colour(theme.wash))

    def _points(
        self, shown: Shown, scale: float
    ) -> tuple[NDArray[np.float64], NDArray[np.float64], NDArray[np.float64]]:
        """Screen x of each hit, y as played, y where it lands."""
        targets = shown.targets
        middle, reach = self.height() / 2, self.height() / 2 - 22
        played = middle + np.clip(targets.drift / scale, -1, 1) * reach
        landing = middle + np.clip(targets.landing / scale, -1, 1) * reach
        return self.xs_of(shown.hits), played, landing

    def _paint_marks(self, painter: QPainter, shown: Shown, scale: float) -> None:
        xs, played, landing = self._points(shown, scale)
        visible = np.flatnonzero((xs > HEADER - 12) & (xs < self.width() + 12))
        if len(visible) > MOST_MARKS:
            self._paint_small(painter, shown, visible, xs, (played, landing))
            return
        self._paint_stems(painter, shown, visible, xs, (played, landing))
        self._paint_played(painter, shown, visible, xs, played)
        self._paint_landing(painter, shown, visible, xs, landing)
        selected = visible[np.isin(shown.targets.onsets[visible], self.desk.view.chosen.onsets)]
        painter.setPen(QPen(colour(self.desk.view.theme.accent), 1.4))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        paint_each(painter, ring, _pairs(xs, played, selected), 11)

    def _paint_small(
        self, painter: QPainter, shown: Shown, visible: Frames, xs: Screen, ends: tuple[Screen, Screen]
    ) -> None:
        """Many: the same shapes and colours, of a few pixels each; where they are closer than that, dots."""
        theme, content, (played, landing) = self.desk.view.theme, self.content, ends
        drift = shown.targets.drift[visible]
        is_alone = np.abs(drift) <= shown.recipe.leave_alone
        is_picked = np.isin(shown.targets.onsets[visible], self.desk.view.chosen.onsets)
        is_crowded = len(visible) * CROWDED > content.width()
        lands = (visible, landing, theme.ink, DOT)
        plays = (
            (visible[is_alone], played, theme.soft_ink, SMALL_RING),
            (visible[~is_alone & (drift < 0)], played, theme.early, SMALL_UP),
            (visible[~is_alone & (drift >= 0)], played, theme.late, SMALL_DOWN),
        )
        picked = (visible[is_picked], played, theme.accent, SMALL_RING)
        order = (lands, *plays, picked) if is_crowded else (*plays, lands, picked)
        layers = [
            (xs[some], ys[some], colour(value), DOT if is_crowded else shape)
            for some, ys, value, shape in order
        ]
        paint_dots(painter, content.left(), (content.width(), content.height()), layers)

    def _paint_stems(
        self, painter: QPainter, shown: Shown, visible: Frames, xs: Screen, ends: tuple[Screen, Screen]
    ) -> None:
        """From where a hit was played to where it lands."""
        theme, (played, landing) = self.desk.view.theme, ends
        moved = visible[np.abs(landing[visible] - played[visible]) > 1.5]
        by_hand = shown.targets.reasons[moved] == Reason.BY_HAND
        is_early = shown.targets.drift[moved] < 0
        dash = Qt.PenStyle.DashLine if len(moved) <= MOST_DASHED else Qt.PenStyle.SolidLine
        for chosen, value in (
            (moved[by_hand], theme.accent),
            (moved[~by_hand & is_early], theme.early),
            (moved[~by_hand & ~is_early], theme.late),
        ):
            painter.setPen(QPen(colour(value), 1, dash))
            painter.drawLines([QLineF(xs[at], played[at], xs[at], landing[at]) for at in chosen.tolist()])

    def _paint_played(
        self, painter: QPainter, shown: Shown, visible: Frames, xs: Screen, played: Screen
    ) -> None:
        """Up when early, down when late, a ring when within the window; as large as it is strong."""
        theme, targets = self.desk.view.theme, shown.targets
        is_alone = np.abs(targets.drift[visible]) <= shown.recipe.leave_alone
        is_early = targets.drift[visible] < 0
        sizes = 6 + np.round(10 * targets.strengths / 100) / 2
        painter.setPen(Qt.PenStyle.NoPen)
        for chosen, value, is_up in (
            (visible[~is_alone & is_early], theme.early, True),
            (visible[~is_alone & ~is_early], theme.late, False),
        ):
            painter.setBrush(colour(value))
            for size in sorted(set(sizes[chosen].tolist())):
                alike = chosen[sizes[chosen] == size]
                paint_each(painter, up if is_up else down, _pairs(xs, played, alike), size)
        painter.setPen(QPen(colour(theme.ink), 2))
        painter.setBrush(colour(theme.card))
        paint_each(painter, ring, _pairs(xs, played, visible[is_alone]), 4)

    def _paint_landing(
        self, painter: QPainter, shown: Shown, visible: Frames, xs: Screen, landing: Screen
    ) -> None:
        theme = self.desk.view.theme
        by_hand = shown.targets.reasons[visible] == Reason.BY_HAND
        for chosen, line, fill in (
            (visible[~by_hand], theme.ink, theme.card),
            (visible[by_hand], theme.accent, theme.accent),
        ):
            painter.setPen(QPen(colour(line), 1.4))
            painter.setBrush(colour(fill))
            paint_each(painter, ring, _pairs(xs, landing, chosen), 3)

    def _paint_callout(self, painter: QPainter, shown: Shown, scale: float) -> None:
        """What is to check about the selected hit, in a sentence with numbers."""
        check = self.desk.checks(shown.track, shown.take).of(self.desk.view.chosen.onset)
        at = np.zeros(0, int) if check is None else np.flatnonzero(shown.targets.onsets == check.onset)
        if check is None or not len(at):
            return
        xs, played, _ = self._points(shown, scale)
        self._paint_box(painter, check, QPointF(xs[at[0]], played[at[0]]))

    def _paint_box(self, painter: QPainter, check: Check, place: QPointF) -> None:
        theme = self.desk.view.theme
        is_left = place.x() > HEADER + CALLOUT_WIDTH + 40
        left = place.x() - CALLOUT_WIDTH - 20 if is_left else place.x() + 24
        flags = Qt.AlignmentFlag.AlignLeft | Qt.TextFlag.TextWordWrap
        room = QRect(0, 0, CALLOUT_WIDTH - 18, self.height())
        height = 29.0 + QFontMetrics(text_font(11)).boundingRect(room, int(flags), check.sentence).height()
        top = min(max(6.0, place.y() - 40), self.height() - height - 8.0)
        box = QRectF(left, top, CALLOUT_WIDTH, height)
        painter.setPen(QPen(colour(theme.soft_ink), 1))
        painter.drawLine(place, QPointF(box.right() if is_left else box.left(), box.center().y()))
        painter.setBrush(colour(theme.card))
        painter.drawRoundedRect(box, 6, 6)
        painter.setPen(colour(theme.ink))
        painter.setFont(text_font(11, 600))
        painter.drawText(
            box.adjusted(10, 5, -8, 0), Qt.AlignmentFlag.AlignLeft, check.title[:1].upper() + check.title[1:]
        )
        painter.setFont(text_font(11))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(box.adjusted(10, 21, -8, 0), flags, check.sentence)

    # Mouse

    def offers_at(self, x: float, y: float) -> str:
        found = self._mark_at(x, y) if x >= HEADER else None
        if found is None:
            return "tighten" if x >= HEADER else ""
        onset = int(found[0].targets.onsets[found[1]])
        if onset not in self.desk.view.chosen.onsets:
            self.desk.view.chosen.select(onset)
        return "hit"

    def _mark_at(self, x: float, y: float) -> tuple[Shown, int] | None:
        shown = self.shown
        if shown is None or not len(shown.targets):
            return None
        xs, played, landing = self._points(shown, self._scale(shown))
        found = nearest_in_reach(xs, played, x, y, reach=REACH)
        if found is None:
            found = nearest_in_reach(xs, landing, x, y, reach=REACH)
        return None if found is None else (shown, found)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        x, y = event.position().x(), event.position().y()
        if event.button() is not Qt.MouseButton.LeftButton or self.press_switch(event):
            return
        found = self._mark_at(x, y)
        if found is None:
            self.begin_sweep(x, lambda: self._put_playhead(x), self._commands.sweep)
            return
        shown, at = found
        if event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            self._commands.add_or_drop(int(shown.targets.onsets[at]))
            return
        landing = float(shown.targets.landing[at])
        holds = bool(event.modifiers() & Qt.KeyboardModifier.ControlModifier)
        grip = y - self._y_of(landing, self._scale(shown))
        self.hold(take_hit(self.desk, shown, at, grip=grip, holds=holds), partial(self._move_hit, y))

    def _put_playhead(self, x: float) -> None:
        self.desk.view.chosen.select(None)
        self.desk.transport.go_to(self.frame_of(x))

    def point_at(self, event: QMouseEvent) -> None:
        is_over = self._mark_at(event.position().x(), event.position().y()) is not None
        self.setCursor(Qt.CursorShape.SizeVerCursor if is_over else Qt.CursorShape.ArrowCursor)

    def _move_hit(self, pressed: float, drag: HitDrag, event: QMouseEvent) -> None:
        y, shown = event.position().y(), self.shown
        if shown is None or (abs(y - pressed) < 2 and not drag.has_moved):
            return
        is_unsnapped = is_free(event) or not self.desk.view.is_snapping
        drag.to_drift(self._milliseconds_of(y - drag.grip, self._scale(shown)), is_free=is_unsnapped)

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        """Take back what was set by hand."""
        found = self._mark_at(event.position().x(), event.position().y())
        if found is not None:
            shown, at = found
            self.reset_hit(shown, at)


def _pairs(xs: Screen, ys: Screen, chosen: Frames) -> Iterator[tuple[float, float]]:
    return zip(xs[chosen].tolist(), ys[chosen].tolist(), strict=True)
