"""Evidence of Tighten: how loud each hit was played, and how loud it is heard."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.session.loudness import hit_gains_of, levels_of
from chronotome.ui.commands.hits import HitCommands
from chronotome.ui.state.figures import plain, signed
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.evidence_lane import EvidenceLane
from chronotome.ui.timeline.hit_test import nearest_in_reach
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import paint_dots, paint_each, ring
from chronotome.words import tr

SOFTEST, LOUDEST = -36.0, 6.0
"""Decibels beside the loudest hit, at the foot and at the top; what is softer lies at the foot."""
EDGE, REACH = 12, 9
MOST_RINGS = 120
"""More hits than this in sight are dots."""
TOLD = 0.05
"""Decibels: hits that are drawn by less are as loud as they were."""
Levels = NDArray[np.float64]


class LoudnessLane(EvidenceLane):
    """A ring as played, a dot as edited; click one to select its hit, Shift+click for several."""

    hint = tr(
        "Ring: as played. Dot: as edited. Click a hit to select it.\nThe Loudness slider evens hits out."
    )

    def __init__(self, desk: UiContext, commands: HitCommands) -> None:
        super().__init__(desk, tr("Loudness of each hit"))
        self._commands = commands
        self.setMinimumHeight(140)
        self.setMouseTracking(True)

    @property
    def shown(self) -> Shown | None:
        return self.desk.guiding

    def _levels(self, shown: Shown) -> tuple[Levels, Levels]:
        """Of each target, in dB beside the loudest as played: as played, and as heard."""
        gains = hit_gains_of(self.desk.session, shown.track, shown.take)
        played, _bands = levels_of(shown.recording, shown.targets.onsets)
        played = played - np.nanmax(played) if np.isfinite(played).any() else played
        return played, played if gains is None else played + gains

    def _ys(self, levels: Levels) -> Levels:
        share = (LOUDEST - np.clip(levels, SOFTEST, LOUDEST)) / (LOUDEST - SOFTEST)
        return EDGE + share * (self.height() - 2 * EDGE)

    def paint_header(self, painter: QPainter) -> None:
        theme, shown = self.desk.view.theme, self.shown
        y = self.paint_words(painter, 8, tr("Loudness"), size=13, weight=600, value=theme.ink)
        self.paint_switch(painter)
        if shown is None or not len(shown.targets):
            return
        played, heard = self._levels(shown)
        for words, levels, value in (
            (tr("before"), played, theme.soft_ink),
            (tr("now"), heard, theme.ink),
        ):
            spread = levels[np.isfinite(levels)]
            if y + 16 > self.switch_top or not len(spread):
                break
            painter.setFont(text_font(10))
            painter.setPen(colour(theme.soft_ink))
            painter.drawText(QPointF(12, y + 12), words)
            painter.setFont(figure_font(11))
            painter.setPen(colour(value))
            box = QRectF(0, y, HEADER - 12, 16)
            painter.drawText(box, Qt.AlignmentFlag.AlignRight, f"±{plain(float(spread.std()))}")
            y += 18

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, shown = self.desk.view.theme, self.shown
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        for level in (0.0, -12.0, -24.0):
            y = float(self._ys(np.array([level]))[0])
            painter.setPen(QPen(colour(theme.rule), 1, Qt.PenStyle.DotLine))
            painter.drawLine(QPointF(content.left(), y), QPointF(content.right() - 34, y))
            self.paint_axis_label(painter, y, signed(level, 0))
        if shown is not None and len(shown.targets):
            self._paint_hits(painter, content, shown)
        self.paint_sweep(painter)

    def _paint_hits(self, painter: QPainter, content: QRect, shown: Shown) -> None:
        theme, chosen = self.desk.view.theme, self.desk.view.chosen
        played, heard = self._levels(shown)
        xs, before, now = self.xs_of(shown.landings), self._ys(played), self._ys(heard)
        seen = np.flatnonzero(np.isfinite(played) & (xs > HEADER - 20) & (xs < self.width() + 20))
        is_chosen = np.isin(shown.targets.onsets[seen], chosen.onsets)
        if len(seen) > MOST_RINGS:
            layers = (
                (before, theme.strong_rule, seen),
                (now, theme.ink, seen),
                (now, theme.accent, seen[is_chosen]),
            )
            dots = [(xs[some], ys[some], colour(value)) for ys, value, some in layers]
            paint_dots(painter, content.left(), (content.width(), content.height()), dots)
            return
        drawn = seen[np.abs(heard[seen] - played[seen]) > TOLD]
        painter.setPen(QPen(colour(theme.soft_ink), 1))
        painter.drawLines(
            [
                QLineF(x, a, x, b)
                for x, a, b in zip(*(each[drawn].tolist() for each in (xs, before, now)), strict=True)
            ]
        )
        painter.setBrush(colour(theme.paper))
        paint_each(painter, ring, zip(xs[drawn].tolist(), before[drawn].tolist(), strict=True), 4.0)
        for some, value in ((seen[~is_chosen], theme.ink), (seen[is_chosen], theme.accent)):
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(colour(value))
            paint_each(painter, ring, zip(xs[some].tolist(), now[some].tolist(), strict=True), 4.0)

    def _hit_at(self, place: QPointF) -> int | None:
        """Number of the target under the pointer."""
        shown = self.shown
        if shown is None or not len(shown.targets) or place.x() < HEADER:
            return None
        played, heard = self._levels(shown)
        xs = np.where(np.isfinite(played), self.xs_of(shown.landings), -1e9)
        ys = np.nan_to_num(self._ys(heard))
        return nearest_in_reach(xs, ys, place.x(), place.y(), reach=REACH)

    def told_at(self, place: QPointF) -> str:
        at, shown = self._hit_at(place), self.shown
        if at is None or shown is None:
            return ""
        played, heard = (float(each[at]) for each in self._levels(shown))
        if abs(heard - played) <= TOLD:
            return tr("{0} dB", signed(played))
        return tr("{0} dB, as played {1} dB", signed(heard), signed(played))

    def offers_at(self, x: float, y: float) -> str:
        at, shown = self._hit_at(QPointF(x, y)), self.shown
        if at is None or shown is None:
            return "tighten" if x >= HEADER else ""
        onset = int(shown.targets.onsets[at])
        if onset not in self.desk.view.chosen.onsets:
            self.desk.view.chosen.select(onset)
        return "hit"

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton or self.press_switch(event):
            return
        at, shown, x = self._hit_at(event.position()), self.shown, event.position().x()
        if at is None or shown is None:
            self.begin_sweep(x, lambda: self._put_playhead(x), self._commands.sweep)
        elif event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            self._commands.add_or_drop(int(shown.targets.onsets[at]))
        else:
            self.desk.view.chosen.select(int(shown.targets.onsets[at]))

    def point_at(self, event: QMouseEvent) -> None:
        is_over = self._hit_at(event.position()) is not None
        self.setCursor(Qt.CursorShape.PointingHandCursor if is_over else Qt.CursorShape.ArrowCursor)

    def _put_playhead(self, x: float) -> None:
        self.desk.view.chosen.select(None)
        self.desk.transport.go_to(self.frame_of(x))
