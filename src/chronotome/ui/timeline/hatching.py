"""What is stretched: hatching along the wave's foot, with the ratio printed on it; where it is cut, gaps."""

from functools import lru_cache

import numpy as np
from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QBrush, QPainter, QTransform

from chronotome.dsp.stretch.engines import ENGINES
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, figure_width
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.words import tr

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
    lefts = xs[chosen]
    if ENGINES[shown.plan.score.engine].fills_gaps:  # nothing is stretched: what is hatched are gaps
        played = np.abs(np.diff(source)[chosen])
        gaps = spans > 1
        milliseconds = (np.diff(heard)[chosen] - played)[gaps] * 1000 / shown.rate
        lefts, chosen = lane.xs_of(heard[chosen] + played)[gaps], chosen[gaps]
        words, spans = [tr("gap {0:.0f} ms", each) for each in milliseconds.tolist()], np.ones(len(chosen))
    else:
        words = [f"×{ratio:.2f}" for ratio in spans.tolist()]
    boxes = [
        QRectF(max(left, HEADER), top, right - max(left, HEADER), bottom - top)
        for left, right in zip(lefts.tolist(), xs[chosen + 1].tolist(), strict=True)
    ]
    for box, ratio in zip(boxes, spans.tolist(), strict=True):
        painter.fillRect(box, hatching(theme.strong_rule, ratio))
    painter.setFont(figure_font(9))
    for box, each in zip(boxes, words, strict=True):
        width = figure_width(each, 9) + 6
        if box.width() <= max(NARROWEST_LABEL, width):
            continue
        ground = QRectF(box.center().x() - width / 2, top + 3, width, bottom - top - 6)
        painter.fillRect(ground, colour(theme.card))
        painter.setPen(colour(theme.ink))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, each)


def hatching(value: str, ratio: float) -> QBrush:
    """Slanted lines: denser the more it is compressed, wider the more it is expanded."""
    return _hatching(value, round(float(np.clip(ratio**4, 0.4, 2.5)), 1))


@lru_cache(maxsize=64)
def _hatching(value: str, scale: float) -> QBrush:
    brush = QBrush(colour(value), Qt.BrushStyle.BDiagPattern)
    brush.setTransform(QTransform.fromScale(scale, scale))
    return brush
