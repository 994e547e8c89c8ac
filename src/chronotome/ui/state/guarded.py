"""What raises in a painter or a handler cannot end the program: it is told in its place, once."""

import sys
from collections.abc import Callable
from functools import wraps
from types import FunctionType
from typing import Any, TypeVar

from PySide6.QtCore import QObject, Qt
from PySide6.QtGui import QPainter, QPaintEvent
from PySide6.QtWidgets import QWidget

from chronotome.words import tr

W = TypeVar("W", bound=QWidget)
NOT_DRAWN = tr("Display error. Undo the last step or reopen the session; your work is safe.")
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


def guard_overrides(of: type = QObject) -> None:
    """Let errors leave our overrides of Qt's methods as objects.

    In Python 3.11 what C raises (`int("x")`, `{}["x"]`) is no object yet until somebody catches it, and the
    binding (6.11.3) takes it for one: the program would crash. Later versions have objects at once.
    """
    kinds: list[type] = of.__subclasses__()
    for kind in kinds:
        if kind.__module__.startswith("chronotome."):
            native = next(base for base in kind.__mro__ if not base.__module__.startswith("chronotome."))
            overrides = [name for name in vars(kind) if not name.startswith("__") and hasattr(native, name)]
            for name in overrides:
                function = vars(kind)[name]
                if isinstance(function, FunctionType) and not hasattr(function, "is_guarded"):
                    setattr(kind, name, _caught(function))
        guard_overrides(kind)


def _caught(function: Callable[..., Any]) -> Callable[..., Any]:
    @wraps(function)
    def override(*args: Any, **kwargs: Any) -> Any:
        try:
            return function(*args, **kwargs)
        except Exception:  # noqa: TRY203 - caught: now it is an object
            raise

    override.is_guarded = True  # type: ignore[attr-defined]
    return override
