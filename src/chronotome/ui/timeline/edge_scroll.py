"""While a hand drags at a side of a lane, the time axis scrolls on, and what is dragged comes along."""

from typing import Any

from PySide6.QtCore import QObject, QTimer
from PySide6.QtGui import QMouseEvent

EDGE = 24
"""Pixels from a side at which it begins."""
MILLISECONDS = 30
SPEED, FASTEST = 0.6, 36.0
"""Pixels a step, by how far beyond the edge the pointer is; and at most."""


class EdgeScroll(QObject):
    """Of one lane; it asks for nothing while nobody drags."""

    def __init__(self, lane: Any) -> None:
        super().__init__(lane)
        self._lane = lane
        self._event: QMouseEvent | None = None
        self._pixels = 0.0
        self._drag: object = None
        self._has_been_inside = False
        self._timer = QTimer(self)
        self._timer.setInterval(MILLISECONDS)
        self._timer.timeout.connect(self._step)

    def see(self, event: QMouseEvent) -> None:
        """Where the pointer is while something is dragged."""
        x, content = event.position().x(), self._lane.content
        if self._lane.drag is not self._drag:
            self._drag, self._has_been_inside = self._lane.drag, False
        self._has_been_inside |= content.left() + EDGE < x < content.right() - EDGE
        if not self._has_been_inside and content.left() < x < content.right():
            return  # taken near the side: it is not held there
        beyond = max(0.0, x - (content.right() - EDGE)) - max(0.0, content.left() + EDGE - x)
        self._pixels = max(-FASTEST, min(FASTEST, SPEED * beyond))
        self._event = event.clone() if beyond else None
        if beyond and not self._timer.isActive():
            self._timer.start()

    def _step(self) -> None:
        event = self._event
        if event is None or self._lane.drag is None:
            self._timer.stop()
            self._event = None
            return
        self._lane.desk.view.sight.scroll(self._pixels)
        self._lane.mouseMoveEvent(event)
