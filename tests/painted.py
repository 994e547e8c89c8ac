"""What widgets of ours write with a painter: which of it is cut, sticks out, or lies over another text."""

from collections import defaultdict
from collections.abc import Iterator
from itertools import combinations
from typing import Any

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QPainter
from PySide6.QtWidgets import QWidget

_draw = QPainter.drawText
_written: dict[QWidget, dict[tuple[str, int, int], tuple[str, QRectF, bool]]] = defaultdict(dict)
RIGHT, CENTRE, MIDDLE = (
    Qt.AlignmentFlag.AlignRight.value,
    Qt.AlignmentFlag.AlignHCenter.value,
    Qt.AlignmentFlag.AlignVCenter.value,
)


def _record(painter: QPainter, *given: Any) -> Any:
    """Where a text is, and whether it is wider than its box, beside writing it."""
    widget, metrics = painter.device(), painter.fontMetrics()
    first, text = given[0], given[-1]
    if isinstance(widget, QWidget) and text:
        wide, high = metrics.horizontalAdvance(text), metrics.height()
        is_cut = False
        if isinstance(first, QPointF):
            place = QRectF(first.x(), first.y() - metrics.ascent(), wide, high)
        else:
            box = QRectF(first) if not isinstance(first, int) else QRectF(*given[:4])
            flags = given[4] if isinstance(first, int) else given[1] if len(given) > 2 else 0
            kinds = int(getattr(flags, "value", flags) or 0)
            is_cut = wide > box.width() + 1 and not kinds & Qt.TextFlag.TextWordWrap.value
            right, centre = box.right() - wide, box.center().x() - wide / 2
            left = right if kinds & RIGHT else centre if kinds & CENTRE else box.left()
            top = box.center().y() - high / 2 if kinds & MIDDLE else box.top()
            place = QRectF(left, top, wide, high)
            if kinds & Qt.TextFlag.TextWordWrap.value:
                place = box
        place = painter.transform().mapRect(place)
        _written[widget][text, round(place.x()), round(place.y())] = (text, place, is_cut)
    return _draw(painter, *given)


def begin() -> None:
    QPainter.drawText = _record  # type: ignore[method-assign, assignment]


def forget() -> None:
    """What was written before."""
    _written.clear()


def faults(widgets: list[QWidget]) -> Iterator[tuple[str, ...]]:
    """Of those that are ours, as far as they were painted since."""
    for widget in widgets:
        if not type(widget).__module__.startswith("chronotome"):
            continue
        texts, name = list(_written.pop(widget, {}).values()), type(widget).__name__
        room = QRectF(widget.rect()).adjusted(-1, -4, 1, 4)
        for text, place, is_cut in texts:
            if is_cut or not room.contains(place):
                yield "written cut", name, text
        for (one, here, _), (other, there, _) in combinations(texts, 2):
            both = here.intersected(there)
            if one != other and both.width() > 2 and both.height() > 6:
                yield "written over", name, one, other
