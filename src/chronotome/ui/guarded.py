"""Painting that cannot end the program: what raises is told in its place, and reported once."""

import sys
from collections.abc import Callable
from functools import wraps
from typing import TypeVar

from PySide6.QtCore import Qt
from PySide6.QtGui import QPainter, QPaintEvent
from PySide6.QtWidgets import QWidget

W = TypeVar("W", bound=QWidget)
NOT_DRAWN = "This could not be drawn. Undo, or open the session anew; nothing is lost."
_reported: set[tuple[type, str]] = set()


def guarded(paint: Callable[[W, QPainter, QPaintEvent], None]) -> Callable[[W, QPaintEvent], None]:
    """A `paintEvent` of a function that is given the painter, which is ended whatever happens.

    A painter that outlives its event takes the program down with it.
    """

    @wraps(paint)
    def paint_event(self: W, event: QPaintEvent) -> None:
        painter = QPainter(self)
        try:
            paint(self, painter, event)
        except Exception as error:  # noqa: BLE001 - whatever it is, the window must stay
            painter.end()
            _tell(self, error)
        else:
            painter.end()

    return paint_event


def _tell(widget: QWidget, error: Exception) -> None:
    painter = QPainter(widget)
    painter.fillRect(widget.rect(), widget.palette().window())
    painter.setPen(widget.palette().windowText().color())
    painter.drawText(
        widget.rect().adjusted(8, 2, -8, -2),
        Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap,
        NOT_DRAWN,
    )
    painter.end()
    kind = (type(widget), f"{type(error).__name__}: {error}")
    if kind not in _reported:
        _reported.add(kind)
        sys.excepthook(type(error), error, error.__traceback__)
