"""What is stretched: hatching along the wave's foot, with the ratio printed on it."""

from functools import lru_cache

import numpy as np
from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QBrush, QPainter, QTransform

from chronotome.ui.theme import colour, figure_font
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.ui.timeline.shown import Shown

NARROWEST_LABEL = 36
NARROWEST_HATCHING = 12
LEAST_RATIO_SHOWN = 0.015


def paint_hatching(painter: QPainter, lane: Lane, shown: Shown, span: tuple[int, int]) -> None:
    """Denser the more the sound is compressed, wider the more it is expanded."""
    theme = lane.desk.view.theme
    source, heard = shown.anchors
    xs = lane.xs_of(heard)
    top, bottom = span
    in_sight = (xs[1:] > HEADER) & (xs[:-1] < lane.width()) & (np.diff(xs) > NARROWEST_HATCHING)
    chosen = np.flatnonzero(in_sight)
    spans = np.diff(heard)[chosen] / np.abs(np.diff(source)[chosen])
    changed = np.abs(spans - 1) >= LEAST_RATIO_SHOWN
    chosen, spans = chosen[changed], spans[changed]
    pairs = list(zip(xs[chosen].tolist(), xs[chosen + 1].tolist(), spans.tolist(), strict=True))
    for start, right, ratio in pairs:
        left = max(start, HEADER)
        painter.fillRect(QRectF(left, top, right - left, bottom - top), hatching(theme.strong_rule, ratio))
    painter.setFont(figure_font(9))
    for left, right, ratio in pairs:
        if right - left <= NARROWEST_LABEL:
            continue
        box = QRectF(left, top, right - left, bottom - top)
        words = f"×{ratio:.2f}"
        width = painter.fontMetrics().horizontalAdvance(words) + 6
        ground = QRectF(box.center().x() - width / 2, top + 3, width, bottom - top - 6)
        painter.fillRect(ground, colour(theme.card))
        painter.setPen(colour(theme.ink))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)


def hatching(value: str, ratio: float) -> QBrush:
    """Slanted lines: denser the more it is compressed, wider the more it is expanded."""
    return _hatching(value, round(float(np.clip(ratio**4, 0.4, 2.5)), 1))


@lru_cache(maxsize=64)
def _hatching(value: str, scale: float) -> QBrush:
    brush = QBrush(colour(value), Qt.BrushStyle.BDiagPattern)
    brush.setTransform(QTransform.fromScale(scale, scale))
    return brush
