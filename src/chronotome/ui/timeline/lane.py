"""What all lanes share: a header at the left, the common time axis, grid and playhead."""

from functools import cached_property, lru_cache

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QEvent, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QFontMetrics, QHelpEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QWheelEvent
from PySide6.QtWidgets import QSizePolicy, QToolTip, QWidget

from chronotome.session.lines import GridRule, LineRules
from chronotome.ui.controls.plain_text import tip
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.theme import colour, figure_font, figure_width, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.state.viewport import Places
from chronotome.ui.timeline.edge_scroll import EdgeScroll
from chronotome.ui.timeline.grid_lines import BAR, BEAT, FINE, grid_lines

HEADER = 104
WASH_BEFORE, WASH_AFTER = 12, 20
"""Pixels of ochre before and after a place to check."""
WHEEL_STEP = 120
ZOOM_STEP = 1.25


@lru_cache(maxsize=512)
def _fitting(words: str, size: int, weight: int) -> str:
    """Words as they fit into a header."""
    metrics = QFontMetrics(text_font(size, weight))
    return metrics.elidedText(words, Qt.TextElideMode.ElideMiddle, HEADER - 18)


class Lane(QWidget):
    """A horizontal strip of the timeline. Painting changes nothing."""

    hint = ""
    """What the pointer can do here, for the status line."""
    shows_counts = False

    def __init__(self, desk: UiContext, name: str) -> None:
        super().__init__()
        self.desk = desk
        self.setAccessibleName(name)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.ClickFocus)  # a click gives the arrow keys back to the hits
        self.setAttribute(Qt.WidgetAttribute.WA_OpaquePaintEvent)  # nothing under it has to be painted
        self._playhead = desk.transport.position
        self.header_name = ""
        view = desk.view
        for signal in (view.theme_changed, view.stage_changed):
            signal.connect(self.update)
        view.stage_changed.connect(self._tell_hint)
        for signal in (view.sight.viewport_changed, view.snap_changed, view.chosen.changed):
            signal.connect(self._update_content)
        desk.transport.side_changed.connect(self.update)
        desk.transport.moved.connect(self._on_moved)
        desk.store.changed.connect(self._on_session)

    def _on_session(self) -> None:
        """While onsets are sifted, only lanes that show which of them count are drawn anew."""
        if self.shows_counts or not self.desk.store.is_sifting:
            self.update()

    # The time axis

    @property
    def content(self) -> QRect:
        return QRect(HEADER, 0, max(1, self.width() - HEADER), self.height())

    def x_of(self, frame: float) -> float:
        return HEADER + self.desk.view.sight.viewport.x_of(frame)

    def xs_of(self, frames: Places) -> NDArray[np.float64]:
        return HEADER + self.desk.view.sight.viewport.xs_of(frames)

    def frame_of(self, x: float) -> float:
        return self.desk.view.sight.viewport.frame_of(x - HEADER)

    def beat_of_x(self, x: float) -> float:
        session = self.desk.session
        return session.beat_of(self.frame_of(x))

    def wheelEvent(self, event: QWheelEvent) -> None:
        delta = event.angleDelta()
        amount = delta.y() or delta.x()
        view = self.desk.view
        if event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            view.sight.zoom(ZOOM_STEP ** (amount / WHEEL_STEP), event.position().x() - HEADER)
        else:
            view.sight.scroll(-amount / WHEEL_STEP * view.sight.viewport.width / 8)
        event.accept()

    @cached_property
    def edge_scroll(self) -> EdgeScroll:
        """Of lanes in which something is dragged along the time axis."""
        return EdgeScroll(self)

    def cancel_drag(self) -> bool:
        """Escape during a drag leaves no trace; False where nothing was dragged."""
        return False

    def offers_at(self, x: float, y: float) -> str:  # noqa: ARG002 - what lanes with things in them read
        """What a right click there is about, as `context_menus.CONTEXT` has it; that is selected first."""
        return ""

    def told_at(self, _place: QPointF) -> str:
        """What lies there, in words for who rests the pointer on it; empty: nothing."""
        return ""

    def enterEvent(self, event: QEvent) -> None:
        self._tell_hint()
        event.accept()

    def leaveEvent(self, event: QEvent) -> None:
        self.desk.view.hint("")
        event.accept()

    def _tell_hint(self) -> None:
        if self.underMouse():
            self.desk.view.hint(self.hint_now())

    def hint_now(self) -> str:
        """The hint for the stage that is shown."""
        return self.hint

    def _update_content(self) -> None:
        """The header does not scroll."""
        self.update(self.content)

    # Painting

    @guarded
    def paintEvent(self, painter: QPainter, event: QPaintEvent) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        theme = self.desk.view.theme
        content = self.content
        if event.rect().right() >= HEADER:
            painter.setClipRect(content.intersected(event.rect()))
            self.paint_content(painter, content)
            self._paint_playhead(painter)
        if event.rect().left() < HEADER:
            painter.setClipRect(QRect(0, 0, HEADER, self.height()))
            painter.fillRect(0, 0, HEADER, self.height(), colour(theme.panel))
            self.paint_header(painter)
        painter.setClipping(False)
        painter.setPen(colour(theme.rule))
        painter.drawLine(0, self.height() - 1, self.width(), self.height() - 1)
        painter.drawLine(HEADER - 1, 0, HEADER - 1, self.height())
        if self.hasFocus():
            painter.setPen(QPen(colour(theme.accent), 1.5))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRect(QRectF(1, 1, self.width() - 2, self.height() - 3))

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        """Everything right of the header but the playhead."""

    def paint_header(self, painter: QPainter) -> None:
        """What stands in the header."""

    def paint_grid(self, painter: QPainter, content: QRect) -> None:
        """Lines of bars, beats and the grid in use; swing moves them."""
        session, view = self.desk.session, self.desk.view
        theme = view.theme
        reach = view.rulings if view.stage is Stage.TIGHTEN else LineRules((GridRule(view.grid),))
        values = {FINE: theme.rule, BEAT: theme.strong_rule, BAR: theme.soft_ink}
        clock = (session.tempo, session.rate, session.metre, reach)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing, on=False)
        for kind, lines in grid_lines(*clock, view.sight.viewport, content.left()):
            painter.setPen(QPen(colour(values[kind]), 1.0))
            painter.drawLines(lines)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)

    def paint_washes(self, painter: QPainter, frames: NDArray[np.float64], alpha: int) -> None:
        """Ochre behind places to check; where they are near one another it is one wash."""
        xs = np.sort(self.xs_of(frames))
        xs = xs[(xs > HEADER - WASH_AFTER) & (xs < self.width() + WASH_BEFORE)]
        if not len(xs):
            return
        firsts = np.flatnonzero(np.diff(xs, prepend=-np.inf) > WASH_BEFORE + WASH_AFTER)
        lasts = np.append(firsts[1:], len(xs)) - 1
        wash = colour(self.desk.view.theme.wash, alpha)
        for left, right in zip(xs[firsts].tolist(), xs[lasts].tolist(), strict=True):
            painter.fillRect(
                QRectF(left - WASH_BEFORE, 0, right - left + WASH_BEFORE + WASH_AFTER, self.height()), wash
            )

    def paint_words(
        self, painter: QPainter, y: int, words: str, *, size: int, weight: int, value: str
    ) -> int:
        """A line in the header, shortened to fit; returns where the next one starts."""
        font = text_font(size, weight)
        painter.setFont(font)
        painter.setPen(colour(value))
        fitting = _fitting(words, size, weight)
        painter.drawText(QRectF(12, y, HEADER - 16, size + 6), Qt.AlignmentFlag.AlignVCenter, fitting)
        return y + size + 6

    def event(self, event: QEvent) -> bool:
        """A name that is too long for the header is told in full; what is dragged out is told of."""
        if event.type() is QEvent.Type.ToolTip and isinstance(event, QHelpEvent):
            is_header = event.pos().x() < HEADER and self.header_name
            words = self.told_at(QPointF(event.pos()))
            words = tip(words or str(self.header_name)) if words or is_header else self.toolTip()
            QToolTip.showText(event.globalPos(), words, self)
            return True
        if event.type() is QEvent.Type.MouseMove and isinstance(event, QMouseEvent) and self._leaves(event):
            self.desk.view.left_window.emit(self)
        return super().event(event)

    def _leaves(self, event: QMouseEvent) -> bool:
        """Whether something is dragged out of the window."""
        is_held = bool(event.buttons() & Qt.MouseButton.LeftButton)
        return is_held and not self.window().frameGeometry().contains(event.globalPosition().toPoint())

    def name_header(self, name: str) -> None:
        self.header_name = name

    def paint_axis_label(self, painter: QPainter, y: float, words: str) -> None:
        """A figure at the right edge, on the lane's ground."""
        theme = self.desk.view.theme
        painter.setFont(figure_font(10))
        width = figure_width(words, 10) + 8
        box = QRectF(self.width() - width - 2, y - 7, width, 14)
        painter.fillRect(box, colour(theme.paper))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)

    def _paint_playhead(self, painter: QPainter) -> None:
        x = self.x_of(self.desk.transport.position)
        painter.setPen(QPen(colour(self.desk.view.theme.accent), 1.6))
        painter.drawLine(QPointF(x, 0), QPointF(x, self.height()))

    def _on_moved(self, frame: float) -> None:
        """Two narrow strips: where the playhead was and where it is."""
        for x in (self.x_of(self._playhead), self.x_of(frame)):
            if HEADER - 8 <= x <= self.width() + 8:
                self.update(int(x) - 8, 0, 17, self.height())
        self._playhead = frame
