"""Match: lines from the focused track's hits to those of the take that they follow, whose wave lies below."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPainterPath, QPen

from chronotome.session.match import NOBODY, Pairs
from chronotome.session.model import Track
from chronotome.session.tighten import pairs_of
from chronotome.ui.commands.tightening import TightenCommands
from chronotome.ui.state.figures import counted, plain, signed
from chronotome.ui.state.shown import Shown, all_shown
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.evidence_lane import EvidenceLane
from chronotome.ui.timeline.gestures import STILL
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import down, paint_each, up
from chronotome.ui.timeline.track_wave import track_columns
from chronotome.ui.timeline.waveform import wave_image
from chronotome.words import tr

REACH = 9
FOOT = 0.42
"""Of the lane's height is the other's wave."""
CLOSEST_FIGURES = 34
LEAST_SHOWN = 10.0
"""Milliseconds: nearer than that no figure is printed."""
SIZE = 9.0


@dataclass(frozen=True, eq=False)
class _View:
    """Pairs as they are on screen."""

    shown: Shown
    other: Track
    pairs: Pairs
    tops: NDArray[np.float64]
    feet: NDArray[np.float64]


@dataclass
class PairDrag:
    """A line whose end is taken from one hit to another."""

    commands: TightenCommands
    onset: int
    x: float
    y: float
    to: int | None = None
    has_moved: bool = False

    def finish(self) -> None:
        if self.has_moved and self.to is not None:
            self.commands.pair(self.onset, self.to)

    def cancel(self) -> None:
        """Nothing was changed yet."""


class MatchLane(EvidenceLane):
    """Drag an end of a line to another hit to pair it; click a line and break the pair by key."""

    hint = tr(
        "Drag a hit or the end of a line onto another hit to pair them.\nCtrl+B removes the selected pair."
    )

    def __init__(self, desk: UiContext, commands: TightenCommands) -> None:
        super().__init__(desk, tr("Match: paired hits of two takes"))
        self._commands = commands
        self.setMinimumHeight(140)

    @property
    def _wave_top(self) -> int:
        return round(self.height() * (1 - FOOT))

    def _view(self) -> _View | None:
        shown, session = self.desk.guiding, self.desk.session
        if shown is None:
            return None
        pairs = pairs_of(session, shown.track, shown.take)
        match = next((each.match for each in self._recipes(shown) if each.match is not None), None)
        if pairs is None or match is None:
            return None
        other = session.track(match.track)
        return _View(shown, other, pairs, self.xs_of(shown.hits), self.xs_of(pairs.other.frames))

    def _recipes(self, shown: Shown) -> tuple:  # type: ignore[type-arg]
        spans = (span.recipe for span in shown.track.spans)
        return (shown.recipe, *spans, *(each.recipe for each in shown.take.touches if each.recipe))

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, view = self.desk.view.theme, self._view()
        y = self.paint_words(painter, 8, tr("Match"), size=13, weight=600, value=theme.ink)
        if view is not None:
            pairs = view.pairs
            paired, soft = int(pairs.is_paired.sum()), {"size": 10, "weight": 400}
            words = tr("with {0}", view.other.name)
            y = self.paint_words(painter, y, words, value=theme.soft_ink, **soft)
            y = self.paint_words(painter, y, counted(paired, "pair"), value=theme.soft_ink, **soft)
            alone = int((~pairs.is_paired).sum())
            unsure = int((~pairs.is_sure).sum())
            words = tr("{0} unpaired · {1} unsure", alone, unsure)
            y = self.paint_words(painter, y, words, value=theme.soft_ink, **soft)
            apart = pairs.apart(self.desk.session.rate)
            if paired and y + 16 < self.switch_top:
                before = float(np.sqrt(np.nanmean(apart**2)))
                at = np.flatnonzero(pairs.is_paired)
                left = view.shown.targets.target[at] - pairs.other.frames[pairs.partner[at]]
                now = float(np.sqrt(np.mean((left * 1000.0 / self.desk.session.rate) ** 2)))
                painter.setFont(figure_font(11))
                painter.setPen(colour(theme.ink))
                painter.drawText(QPointF(12, y + 12), f"±{plain(before)} → ±{plain(now)}")
        self.paint_switch(painter)

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme = self.desk.view.theme
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        view = self._view()
        if view is None:
            painter.setFont(text_font(13))
            painter.setPen(colour(theme.soft_ink))
            words = tr("This track has no take to match. Choose one in the tray.")
            painter.drawText(content, Qt.AlignmentFlag.AlignCenter, words)
            return
        self._paint_wave(painter, content, view.other)
        self._paint_pairs(painter, view)
        self._paint_ends(painter, view)
        if isinstance(self.drag, PairDrag) and self.drag.has_moved:
            at = np.flatnonzero(view.pairs.own.onsets == self.drag.onset)
            painter.setPen(QPen(colour(theme.accent), 1.6))
            painter.drawLine(QPointF(view.tops[at[0]], 8), QPointF(self.drag.x, self.drag.y))

    def _paint_wave(self, painter: QPainter, content: QRect, other: Track) -> None:
        theme, ratio = self.desk.view.theme, self.devicePixelRatioF()
        top = self._wave_top
        painter.fillRect(QRect(content.left(), top, content.width(), self.height() - top), colour(theme.card))
        clips = all_shown(self.desk.session, other, self.desk.transport.side)
        viewport = self.desk.view.sight.viewport
        lows, highs = track_columns(
            clips, self.desk.recordings.pool.sources, viewport.edges(ratio), self.desk.bands
        )
        height = max(8, int((self.height() - top - 12) * ratio))
        image = wave_image(lows, highs, colour(theme.wave), height=height, ratio=ratio)
        painter.drawImage(QPointF(content.left(), top + 10), image)
        painter.setPen(QPen(colour(theme.rule), 1))
        painter.drawLine(content.left(), top, content.right(), top)
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(
            QPointF(content.left() + 6, self.height() - 5), tr("{0} is the reference", other.name)
        )

    def _paint_pairs(self, painter: QPainter, view: _View) -> None:
        theme, pairs, foot = self.desk.view.theme, view.pairs, float(self._wave_top)
        apart = pairs.apart(self.desk.session.rate)
        seen = pairs.is_paired & (view.tops > HEADER - 60) & (view.tops < self.width() + 60)
        painter.setFont(figure_font(10))
        last = -1e9
        for at in np.flatnonzero(seen).tolist():
            top, bottom = float(view.tops[at]), float(view.feet[pairs.partner[at]])
            is_sure = bool(pairs.is_sure[at])
            is_selected = pairs.own.onsets[at] in self.desk.view.chosen.onsets
            if not is_sure:
                left, right = sorted((top, bottom))
                painter.fillRect(QRectF(left - 9, 0, right - left + 18, foot), colour(theme.wash, 150))
            value = theme.accent if is_selected or pairs.by_hand[at] else theme.ink
            dash = Qt.PenStyle.SolidLine if is_sure else Qt.PenStyle.DashLine
            painter.setPen(QPen(colour(value), 2.0 if is_selected else 1.3, dash))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            path = QPainterPath(QPointF(top, 6))
            path.cubicTo(QPointF(top, foot / 2), QPointF(bottom, foot / 2), QPointF(bottom, foot - 2))
            painter.drawPath(path)
            x = (top + bottom) / 2 + 4
            if abs(apart[at]) >= LEAST_SHOWN and x - last >= CLOSEST_FIGURES:
                painter.setPen(colour(theme.late if apart[at] > 0 else theme.early))
                painter.drawText(QPointF(x, foot / 2 + 4), signed(float(apart[at]), 0))
                last = x

    def _paint_ends(self, painter: QPainter, view: _View) -> None:
        theme, pairs, foot = self.desk.view.theme, view.pairs, self._wave_top
        others = np.isin(np.arange(len(view.feet)), pairs.partner)
        rows = (
            (view.tops[pairs.is_paired], 6.0, up, True),
            (view.tops[~pairs.is_paired], 6.0, up, False),
            (view.feet[others], foot - 4.0, down, True),
            (view.feet[~others], foot - 4.0, down, False),
        )
        for xs, y, shape, is_full in rows:
            seen = xs[(xs > HEADER - 12) & (xs < self.width() + 12)]
            painter.setPen(QPen(colour(theme.ink), 1.2))
            painter.setBrush(colour(theme.ink) if is_full else colour(theme.paper))
            paint_each(painter, shape, ((x, y) for x in seen.tolist()), SIZE)

    # Mouse

    def _own_at(self, view: _View, x: float, y: float) -> int | None:
        """The hit whose line or notch is under the pointer."""
        partner = view.pairs.partner
        feet = (
            np.where(partner != NOBODY, view.feet[np.maximum(partner, 0)], view.tops)
            if len(view.feet)
            else view.tops
        )
        share = float(np.clip(y / max(1, self._wave_top), 0, 1))
        share = share * share * (3 - 2 * share)
        xs = np.where(partner != NOBODY, view.tops + share * (feet - view.tops), view.tops)
        if y > self._wave_top / 3:
            xs = np.where(partner != NOBODY, xs, np.inf)
        at = int(np.abs(xs - x).argmin()) if len(xs) else -1
        return at if at >= 0 and abs(xs[at] - x) <= REACH else None

    def _other_at(self, view: _View, x: float) -> int | None:
        at = int(np.abs(view.feet - x).argmin()) if len(view.feet) else -1
        return at if at >= 0 and abs(view.feet[at] - x) <= 2 * REACH else None

    def offers_at(self, x: float, y: float) -> str:
        view = self._view() if x >= HEADER else None
        at = None if view is None else self._own_at(view, x, y)
        if view is None or at is None:
            return "tighten" if x >= HEADER else ""
        onset = int(view.pairs.own.onsets[at])
        if onset not in self.desk.view.chosen.onsets:
            self.desk.view.chosen.select(onset)
        return "pair"

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton or self.press_switch(event):
            return
        x, y, view = event.position().x(), event.position().y(), self._view()
        at = None if view is None else self._own_at(view, x, y)
        if view is None or at is None:
            self.desk.view.chosen.select(None)
            self.desk.transport.go_to(self.frame_of(x))
            return
        onset = int(view.pairs.own.onsets[at])
        self.desk.view.chosen.select(onset)
        self.hold(PairDrag(self._commands, onset, x, y), self._move_end)

    def _move_end(self, drag: PairDrag, event: QMouseEvent) -> None:
        x, y, view = event.position().x(), event.position().y(), self._view()
        if view is None:
            return
        drag.has_moved |= abs(x - drag.x) + abs(y - drag.y) > STILL
        at = self._other_at(view, x)
        drag.to = None if at is None else int(view.pairs.other.onsets[at])
        if drag.has_moved:
            drag.x, drag.y = (x, y) if at is None else (float(view.feet[at]), self._wave_top - 2.0)
        self.update()

    def point_at(self, event: QMouseEvent) -> None:
        x, y, view = event.position().x(), event.position().y(), self._view()
        if view is None:
            return
        is_over = x >= HEADER and self._own_at(view, x, y) is not None
        self.setCursor(Qt.CursorShape.PointingHandCursor if is_over else Qt.CursorShape.ArrowCursor)
