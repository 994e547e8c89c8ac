"""A lane about the focused track, and the drags that start in it."""

from collections.abc import Callable
from functools import partial
from typing import TypeVar

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen

from chronotome.session.edits.tightening import reset_hit
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import STILL, Drag, SweepDrag
from chronotome.ui.timeline.lane import Lane
from chronotome.words import tr

D = TypeVar("D", bound=Drag)


class TrackLane(Lane):
    """Shows the focused track's clip. Letting go keeps a drag, Escape leaves no trace of it."""

    scrolls_in_sweep = False
    """Whether a sweep that comes to a side goes on beyond it."""

    def __init__(self, desk: UiContext, name: str) -> None:
        super().__init__(desk, name)
        self.drag: Drag | None = None
        self._follow: Callable[[QMouseEvent], None] | None = None
        desk.view.chosen.focus_changed.connect(self.update)
        desk.rendering.checked.connect(self.update)

    @property
    def shown(self) -> Shown | None:
        return self.desk.shown

    def reset_hit(self, shown: Shown, at: int) -> None:
        """Take back what was set by hand for hit number `at` of the targets."""
        onset = int(shown.targets.onsets[at])
        self.desk.store.apply(
            lambda session: reset_hit(session, shown.track.id, shown.clip.id, onset), tr("Reset")
        )

    def hold(self, drag: D, follow: Callable[[D, QMouseEvent], None]) -> None:
        """From now on a drag is under way, which follows each move of the hand."""
        self.drag, self._follow = drag, partial(follow, drag)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self._follow is None:
            self.point_at(event)
        else:
            self._follow(event)

    def point_at(self, event: QMouseEvent) -> None:
        """Show what a press would take; nothing is held."""

    def begin_sweep(self, x: float, click: Callable[[], None], sweep: Callable[[float, float], None]) -> None:
        def follow(drag: SweepDrag, event: QMouseEvent) -> None:
            """Nothing is swept before the pointer has moved for good."""
            if self.scrolls_in_sweep:
                self.edge_scroll.see(event)
            if drag.end is not None or abs(event.position().x() - x) > STILL:
                drag.end = self.frame_of(event.position().x())
                self.update()

        self.hold(SweepDrag(self.frame_of(x), sweep, click), follow)

    def paint_sweep(self, painter: QPainter) -> None:
        if isinstance(self.drag, SweepDrag) and self.drag.end is not None:
            left, right = sorted((self.x_of(self.drag.start), self.x_of(self.drag.end)))
            painter.setPen(QPen(colour(self.desk.view.theme.accent), 1))
            painter.setBrush(colour(self.desk.view.theme.accent, 40))
            painter.drawRect(QRectF(left, 0.5, right - left, self.height() - 2))

    def paint_beside(self, painter: QPainter, place: QPointF, words: str) -> None:
        """Words beside what is under the hand, on whichever side there is room."""
        theme = self.desk.view.theme
        painter.setFont(figure_font(11))
        width = painter.fontMetrics().horizontalAdvance(words) + 12
        left = place.x() + 8 if place.x() + 8 + width < self.width() else place.x() - 8 - width
        box = QRectF(left, min(max(place.y(), 2), self.height() - 20), width, 18)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.accent))
        painter.drawRoundedRect(box, 4, 4)
        painter.setPen(colour(theme.on_ink))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        drag, self.drag, self._follow = self.drag, None, None
        if drag is not None:
            drag.finish()
            self.update()

    def cancel_drag(self) -> bool:
        if self.drag is None:
            return False
        self.drag.cancel()
        self.drag = self._follow = None
        self.update()
        return True
