"""Groove: each step of a bar at its ms from the line, as wide as it is loud, with how sure it is."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QFontMetrics, QMouseEvent, QPainter, QPen

from chronotome.session.edits.grooves import change_groove
from chronotome.session.groove import Groove, GrooveId, with_step
from chronotome.session.model import Session
from chronotome.ui.state.figures import counted, grid_words, plain, signed
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.evidence_lane import EvidenceLane
from chronotome.ui.timeline.lane import HEADER
from chronotome.words import tr

SCALES = (15.0, 30.0, 60.0, 120.0, 240.0)
WIDEST, NARROWEST = 13.0, 3.0
SOFT_DB = 24.0
"""Below the loudest step: as narrow as a bar is drawn."""
REACH = 9
CALLOUT_WIDTH = 132.0
DECIBELS_PER_PIXEL = 0.2
FOLLOWING = tr("Width: loudness. Whisker: uncertainty. A step you drag changes in every bar.")


@dataclass
class GrooveStepDrag:
    """Steps under the pointer are put where it is; Ctrl: their loudness; Shift: all that it passes."""

    desk: UiContext
    groove: GrooveId
    before: Groove
    step: int
    grip: float
    pressed_y: float
    is_loudness: bool
    after: Groove | None = None
    last: tuple[float, float] = (0.0, 0.0)
    """Where the pointer was before, in pixels and ms."""

    def to(self, groove: Groove) -> None:
        self.after = groove
        self.desk.store.draft(self._edit)

    def _edit(self, session: Session) -> Session:
        after = self.after
        return session if after is None else change_groove(session, self.groove, lambda _old: after)

    def finish(self) -> None:
        if self.after is not None:
            words = tr("Set step loudness") if self.is_loudness else tr("Move groove step")
            self.desk.store.apply(self._edit, words)

    def cancel(self) -> None:
        self.desk.store.drop_draft()


@dataclass(frozen=True, eq=False)
class _Bars:
    """What is drawn: the step of each bar in sight, where it is, and whether its bar is at hand."""

    steps: NDArray[np.int64]
    xs: NDArray[np.float64]
    is_here: NDArray[np.bool_]


class GrooveLane(EvidenceLane):
    """Drag a step up or down: the groove changes in every bar."""

    hint = tr(
        "Drag a step up or down to change the groove in every bar.\nShift+drag draws over "
        "steps. Ctrl+drag changes the loudness."
    )

    def __init__(self, desk: UiContext) -> None:
        super().__init__(desk, tr("Groove: offset of each step in milliseconds"))
        self.setMinimumHeight(140)
        self._pointed: int | None = None
        self._bar = 0

    # Places

    def _scale(self, groove: Groove) -> float:
        most = float(np.abs(groove.offsets).max()) if groove.steps else 0.0
        return next((scale for scale in SCALES if scale >= most * 1.05), SCALES[-1])

    def _bars(self, groove: Groove) -> _Bars:
        session = self.desk.session
        first, last = self.beat_of_x(HEADER - 20), self.beat_of_x(self.width() + 20)
        length = groove.length
        rounds = np.arange(np.floor(first / length), np.floor(last / length) + 1)
        beats = (rounds[:, None] * length + groove.beats[None]).ravel()
        steps = np.tile(np.arange(len(groove.steps)), len(rounds))
        inside = (beats >= first) & (beats <= last)
        here = np.floor(session.beat_of(self.desk.transport.position) / length)
        is_here = np.floor(beats / length + 1e-9) == here
        xs = self.xs_of(session.tempo.seconds_at(beats[inside]) * session.rate)
        return _Bars(steps[inside], xs, is_here[inside])

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, groove = self.desk.view.theme, self.desk.groove
        y = self.paint_words(painter, 8, tr("Groove"), size=13, weight=600, value=theme.ink)
        if groove is not None:
            y = self.paint_words(painter, y, groove.name, size=10, weight=400, value=theme.soft_ink)
            words = tr("{0} of {1}", counted(groove.bars, "bar"), grid_words(groove.grid))
            y = self.paint_words(painter, y, words, size=10, weight=400, value=theme.soft_ink)
            if groove.sure_to and y + 34 < self.switch_top:
                y = self.paint_words(
                    painter, y + 4, tr("accurate to"), size=10, weight=400, value=theme.soft_ink
                )
                painter.setFont(figure_font(12))
                painter.setPen(colour(theme.ink))
                painter.drawText(QPointF(12, y + 12), tr("±{0} ms", plain(groove.sure_to)))
        self.paint_switch(painter)

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, groove = self.desk.view.theme, self.desk.groove
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        if groove is None or not groove.steps:
            painter.setFont(text_font(13))
            painter.setPen(colour(theme.soft_ink))
            words = tr("No groove yet. Extract one from a track (Shift+G), or choose one in the tray.")
            painter.drawText(content, Qt.AlignmentFlag.AlignCenter, words)
            return
        scale = self._scale(groove)
        self._paint_axis(painter, content, scale)
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(QPointF(content.left() + 44, self.height() - 6), FOLLOWING)
        bars = self._bars(groove)
        self._paint_steps(painter, groove, bars, scale)
        if self._pointed is not None and self._pointed < len(groove.steps):
            self._paint_callout(painter, groove, self._pointed, bars)

    def _width_of(self, groove: Groove, step: int, room: float) -> float:
        share = 1 - min(1.0, max(0.0, -groove.steps[step].level_db / SOFT_DB))
        return min(room, NARROWEST + share * (WIDEST - NARROWEST))

    def _paint_steps(self, painter: QPainter, groove: Groove, bars: _Bars, scale: float) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        room = max(2.0, float(np.diff(np.sort(bars.xs)).min()) * 0.7) if len(bars.xs) > 1 else WIDEST
        middle = self.height() / 2
        for step, x, is_here in zip(
            bars.steps.tolist(), bars.xs.tolist(), bars.is_here.tolist(), strict=True
        ):
            each = groove.steps[step]
            y, width = self._y_of(each.offset_ms, scale), self._width_of(groove, step, room)
            value = theme.early if each.offset_ms < 0 else theme.late
            value = theme.ink if abs(each.offset_ms) < 2 else value
            alpha = 255 if is_here else 90
            top, height = min(middle, y), max(3.0, abs(y - middle))
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(colour(value, alpha))
            painter.drawRect(QRectF(x - width / 2, top - (1.5 if height == 3.0 else 0), width, height))
            if each.spread_ms:
                low, high = (self._y_of(each.offset_ms + sign * each.spread_ms, scale) for sign in (-1, 1))
                painter.setPen(QPen(colour(theme.ink, alpha), 1.2))
                painter.drawLine(QPointF(x, low), QPointF(x, high))
                for end in (low, high):
                    painter.drawLine(QPointF(x - 3, end), QPointF(x + 3, end))
            if step == view.step:
                painter.setPen(QPen(colour(theme.accent, alpha), 1.6))
                painter.setBrush(Qt.BrushStyle.NoBrush)
                painter.drawEllipse(QPointF(x, y), 9, 9)

    def _paint_callout(self, painter: QPainter, groove: Groove, step: int, bars: _Bars) -> None:
        theme, each = self.desk.view.theme, groove.steps[step]
        places = np.flatnonzero(bars.steps == step)
        if not len(places):
            return
        here = places[bars.is_here[places]]
        x = float(bars.xs[here[0] if len(here) else places[0]])
        title, height = step_words(groove, step), 40.0
        wide = max(CALLOUT_WIDTH, QFontMetrics(text_font(11, 600)).horizontalAdvance(title) + 20.0)
        left = x + 16 if x + 16 + wide < self.width() else x - 16 - wide
        beside = (bars.xs > left - WIDEST) & (bars.xs < left + wide + WIDEST)
        offsets = np.array([groove.steps[at].offset_ms for at in bars.steps[beside].tolist()])
        is_above = -offsets.clip(max=0).sum() <= offsets.clip(min=0).sum()  # where fewer bars are covered
        top = 4.0 if is_above else self.height() - height - 4.0
        box = QRectF(left, top, wide, height)
        painter.setPen(QPen(colour(theme.strong_rule), 1))
        painter.setBrush(colour(theme.card))
        painter.drawRoundedRect(box, 6, 6)
        painter.setPen(colour(theme.ink))
        painter.setFont(text_font(11, 600))
        painter.drawText(box.adjusted(10, 5, -4, 0), Qt.AlignmentFlag.AlignLeft, title)
        painter.setPen(colour(theme.soft_ink))
        painter.setFont(text_font(11))
        words = (
            tr("{0}, ±{1} ms", counted(each.hits, "hit"), plain(each.spread_ms))
            if each.hits
            else tr("set by hand")
        )
        painter.drawText(box.adjusted(10, 20, -4, 0), Qt.AlignmentFlag.AlignLeft, words)

    # Mouse

    def _step_at(self, x: float) -> int | None:
        groove = self.desk.groove
        if groove is None or not groove.steps:
            return None
        bars = self._bars(groove)
        if not len(bars.xs):
            return None
        at = int(np.abs(bars.xs - x).argmin())
        return int(bars.steps[at]) if abs(bars.xs[at] - x) <= REACH else None

    def offers_at(self, x: float, y: float) -> str:  # noqa: ARG002 - a step is as high as the lane
        groove = self.desk.groove if x >= HEADER else None
        if groove is None:
            return "tighten" if x >= HEADER else ""
        self.desk.view.show_groove(groove.id, self._step_at(x))
        return "groove"

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton or self.press_switch(event):
            return
        x, y = event.position().x(), event.position().y()
        step, groove = self._step_at(x), self.desk.groove
        if step is None or groove is None:
            self.desk.view.show_groove(self.desk.view.groove, None)
            self.desk.transport.go_to(self.frame_of(x))
            return
        self.desk.view.show_groove(groove.id, step)
        grip = y - self._y_of(groove.steps[step].offset_ms, self._scale(groove))
        is_loudness = bool(event.modifiers() & Qt.KeyboardModifier.ControlModifier)
        pressed = (x, self._milliseconds_of(y, self._scale(groove)))
        drag = GrooveStepDrag(self.desk, groove.id, groove, step, grip, y, is_loudness, last=pressed)
        self.hold(drag, self._drag_to)

    def point_at(self, event: QMouseEvent) -> None:
        x = event.position().x()
        pointed = self._step_at(x) if x >= HEADER else None
        if pointed != self._pointed:
            self._pointed = pointed
            self.update()
        self.setCursor(Qt.CursorShape.ArrowCursor if pointed is None else Qt.CursorShape.SizeVerCursor)

    def _drag_to(self, drag: GrooveStepDrag, event: QMouseEvent) -> None:
        x, y, keys = event.position().x(), event.position().y(), event.modifiers()
        scale, now = self._scale(drag.before), drag.after or drag.before
        if drag.is_loudness:
            louder = (drag.pressed_y - y) * DECIBELS_PER_PIXEL
            drag.to(
                with_step(drag.before, drag.step, level_db=drag.before.steps[drag.step].level_db + louder)
            )
        elif keys & Qt.KeyboardModifier.ShiftModifier:
            drag.to(self._drawn(drag, now, x, self._milliseconds_of(y, scale)))
        elif abs(y - drag.pressed_y) >= 2 or drag.after is not None:
            offset = float(round(self._milliseconds_of(y - drag.grip, scale)))
            drag.to(with_step(now, drag.step, offset_ms=offset))
        self._pointed = drag.step

    def _drawn(self, drag: GrooveStepDrag, groove: Groove, x: float, offset: float) -> Groove:
        """With every step between the last place of the pointer and this one on the line between them."""
        last_x, last_offset = drag.last
        bars = self._bars(groove)
        low, high = sorted((last_x, x))
        passed = (bars.xs >= low - REACH) & (bars.xs <= high + REACH)
        for step, place in zip(bars.steps[passed].tolist(), bars.xs[passed].tolist(), strict=True):
            share = 1.0 if x == last_x else float(np.clip((place - last_x) / (x - last_x), 0, 1))
            groove = with_step(
                groove, step, offset_ms=float(round(last_offset + share * (offset - last_offset)))
            )
        drag.last = (x, offset)
        return groove

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        """A step on its line."""
        step, groove = self._step_at(event.position().x()), self.desk.groove
        if step is not None and groove is not None:
            number = groove.id
            self.desk.store.apply(
                lambda session: change_groove(
                    session, number, lambda each: with_step(each, step, offset_ms=0.0)
                ),
                tr("Reset groove step"),
            )

    def _on_moved(self, frame: float) -> None:
        """Another bar is at hand."""
        groove, session = self.desk.groove, self.desk.session
        if groove is not None and self.isVisible():
            bar = int(np.floor(session.beat_of(frame) / groove.length))
            if bar != self._bar:
                self._bar = bar
                self._update_content()
        super()._on_moved(frame)


def step_words(groove: Groove, step: int) -> str:
    """Step 12: +20 ms, −9 dB."""
    each = groove.steps[step]
    number = round(each.beat / groove.grid.step) + 1
    return tr("step {0}: {1} ms, {2} dB", number, signed(each.offset_ms, 0), signed(each.level_db, 0))
