"""The steps of a pattern as bars: as long as they sound, as high as they are loud."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QPainter, QPen

from chronotome.dsp.height import height_of
from chronotome.render.pool import Source
from chronotome.session.kits import Kit
from chronotome.session.memo import by_identity
from chronotome.session.model import Recording
from chronotome.session.patterns import StepId
from chronotome.ui.state.theme import Theme, colour
from chronotome.ui.timeline.step_marks import Steps
from chronotome.units import Frames

QUIETEST = -24.0
"""dB at which a bar is as low as it gets."""
LOWEST_SHARE, LOWEST_TOOTH, NARROWEST_TOOTH = 0.2, 0.25, 2.5
Numbers = NDArray[np.float64]


@dataclass(frozen=True, eq=False)
class BarRects:
    """Where the bars in sight are: left and right edges, tops of their rows, and how high a row is."""

    lefts: Numbers
    rights: Numbers
    tops: Numbers
    height: float

    @property
    def widths(self) -> Numbers:
        return np.maximum(3.0, self.rights - self.lefts - 1.5)


def paint_bars(  # noqa: PLR0917 - what is seen, and of it what is chosen
    painter: QPainter, theme: Theme, steps: Steps, seen: Frames, bars: BarRects, chosen: tuple[StepId, ...]
) -> None:
    """Solid: always. Broken: by chance, filled to its odds. Combed: repeats."""
    step, pattern = steps.step[seen], steps.pattern
    loud = np.clip((pattern.column("loudness")[step] - QUIETEST) / -QUIETEST, 0.0, 1.0)
    tall = np.maximum(LOWEST_SHARE, 0.25 + 0.75 * loud) * (bars.height - 2.0)
    lows, widths = bars.tops + bars.height - 1.0 - tall, bars.widths
    odds = pattern.column("chances")[step] / pattern.column("everys")[step]
    repeats, slopes = pattern.column("repeats")[step], pattern.column("slopes")[step]
    is_chosen = np.isin(pattern.column("ids")[step], chosen)
    is_plain = (odds >= 1.0) & (repeats == 1)
    painter.setPen(Qt.PenStyle.NoPen)
    for some, ink in ((is_plain & ~is_chosen, theme.ink), (is_plain & is_chosen, theme.accent)):
        painter.setBrush(colour(ink))
        columns = (bars.lefts[some], lows[some], widths[some], tall[some])
        boxes = zip(*(each.tolist() for each in columns), strict=True)
        painter.drawRects([QRectF(*each) for each in boxes])
    painter.setRenderHint(QPainter.RenderHint.Antialiasing, on=False)
    for some, ink in ((~is_plain & ~is_chosen, theme.ink), (~is_plain & is_chosen, theme.accent)):
        fills, outlines = list[QRectF](), list[QRectF]()
        for at in np.flatnonzero(some).tolist():
            box = QRectF(float(bars.lefts[at]), float(lows[at]), float(widths[at]), float(tall[at]))
            share = min(1.0, float(odds[at]))
            for part in _teeth(box, int(repeats[at]), float(slopes[at])):
                if share < 1.0:
                    outlines.append(part.adjusted(0.5, 0.5, -0.5, -0.5))
                    part.setWidth(part.width() * share)
                fills.append(part)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(ink))
        painter.drawRects(fills)
        if outlines:
            pen = QPen(colour(ink), 1.0, Qt.PenStyle.CustomDashLine)
            pen.setDashPattern([2.5, 2.0])
            painter.setPen(pen)
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRects(outlines)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)


def _teeth(box: QRectF, count: int, slope: float) -> list[QRectF]:
    """A bar as so many narrower ones, each as high as it is loud."""
    if count == 1 or box.width() < NARROWEST_TOOTH * count:
        return [box]
    width, gap, made = box.width() / count, 1.5, []
    for number in range(count):
        along = number / max(1, count - 1)
        share = max(LOWEST_TOOTH, 1.0 + slope * (along if slope < 0 else along - 1) / -QUIETEST)
        height = share * box.height()
        made.append(QRectF(box.left() + number * width, box.bottom() - height, max(1.5, width - gap), height))
    return made


def heights_of(kit: Kit, recordings: tuple[Recording, ...], sources: tuple[Source, ...]) -> Numbers:
    """How high each slice of a kit sounds, Hz; 0 where its recording was not read yet."""
    return _heights(kit, recordings, *sources)


@by_identity(16)
def _heights(kit: Kit, recordings: tuple[Recording, ...], *sources: Source) -> Numbers:
    rates = {each.content: each.rate for each in recordings}
    known = {each.content: each for each in sources}
    heights = np.zeros(len(kit.slices))
    for at, each in enumerate(kit.slices):
        source = known.get(each.recording)
        if source is not None:
            ratio = source.rate / rates[each.recording]
            span = source.region.samples[round(each.start * ratio) : round(each.end * ratio)]
            heights[at] = height_of(span, source.rate)
    return heights
