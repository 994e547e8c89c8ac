"""Pulse: the measured tempo, beat by beat, beside the tempo of the song."""

import numpy as np
from PySide6.QtCore import QPointF, QRect, Qt
from PySide6.QtGui import QPainter, QPen, QPolygonF

from chronotome.ui.desk import Desk
from chronotome.ui.figures import plain
from chronotome.ui.theme import colour, figure_font, text_font
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_lane import TrackLane

MARGIN = 22
NARROWEST = 6.0
"""Beats per minute from foot to top, at least."""


class PulseLane(TrackLane):
    """Evidence of Fit. It shows; what is set stands in the tray."""

    hint = "The curve is the tempo from beat to beat as measured, the line is the tempo of the song."

    def __init__(self, desk: Desk) -> None:
        super().__init__(desk, "Tempo beat by beat")
        self.setMinimumHeight(140)

    def paint_header(self, painter: QPainter) -> None:
        theme, shown = self.desk.view.theme, self.shown
        y = self.paint_words(painter, 8, "Pulse", size=13, weight=600, value=theme.ink)
        y = self.paint_words(painter, y, "bpm at each beat", size=10, weight=400, value=theme.soft_ink)
        measured = None if shown is None else shown.recording.measured
        if measured is None:
            return
        painter.setFont(figure_font(12, 500))
        painter.setPen(colour(theme.ink))
        painter.drawText(QPointF(12, y + 18), f"{plain(measured.beats_per_minute, 2)}")
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(QPointF(12, y + 34), "constant" if measured.is_constant else "drifting")
        painter.drawText(QPointF(12, y + 49), f"sure {measured.confidence:.0%}")

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, shown = self.desk.view.theme, self.shown
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        song = self.desk.session.tempo.beats_per_minute
        measured = None if shown is None else shown.recording.measured
        beats = np.array(measured.beats if measured else (), np.float64)
        tempi = 60 / np.maximum(np.diff(beats), 1e-3)
        known = np.append(tempi, song)
        middle = float(np.median(known))
        reach = max(NARROWEST / 2, float(np.percentile(np.abs(known - middle), 95)) * 1.3)

        def y_of(tempo: float) -> float:
            share = float(np.clip((tempo - middle) / reach, -1, 1))
            return self.height() / 2 - share * (self.height() / 2 - MARGIN)

        y = y_of(song)
        painter.setPen(QPen(colour(theme.accent), 1.4, Qt.PenStyle.DashLine))
        painter.drawLine(QPointF(content.left(), y), QPointF(content.right(), y))
        self._paint_axis(painter, content, (middle - reach, middle, middle + reach), y_of(middle - reach))
        if shown is None or len(beats) < 2:
            return
        frames = np.rint(beats * shown.rate).astype(np.int64) + shown.clip.start
        xs = self.xs_of(shown.heard_of_played(frames)).tolist()
        points = [QPointF(x, y_of(tempo)) for x, tempo in zip(xs[1:], tempi.tolist(), strict=True)]
        painter.setPen(QPen(colour(theme.ink), 1.8))
        painter.drawPolyline(QPolygonF(points))
        painter.setBrush(colour(theme.card))
        for point in points:
            if -10 < point.x() < self.width() + 10:
                painter.drawEllipse(point, 2.6, 2.6)
        painter.setPen(QPen(colour(theme.soft_ink), 1.4))
        for x in xs:
            painter.drawLine(QPointF(x, 0), QPointF(x, 8))

    def _paint_axis(
        self, painter: QPainter, content: QRect, tempi: tuple[float, float, float], foot: float
    ) -> None:
        theme = self.desk.view.theme
        top = self.height() - foot
        for tempo, y in zip(reversed(tempi), (top, self.height() / 2, foot), strict=True):
            painter.setPen(QPen(colour(theme.rule), 1, Qt.PenStyle.DotLine))
            painter.drawLine(QPointF(HEADER, y), QPointF(content.right() - 46, y))
            self.paint_axis_label(painter, y, plain(tempo, 2))
