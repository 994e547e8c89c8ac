"""The whole take, and which part of it is in sight."""

from dataclasses import replace

import numpy as np
from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QImage, QMouseEvent, QPainter, QPen

from chronotome.ui.state.shown import all_shown
from chronotome.ui.state.theme import colour
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.ui.timeline.track_wave import track_columns
from chronotome.ui.timeline.waveform import wave_image
from chronotome.words import tr

HEIGHT = 30


class OverviewStrip(Lane):
    """Click or drag: look there."""

    hint = tr("Drag the outline to scroll. The wheel scrolls, Ctrl+wheel zooms.")

    def __init__(self, desk: UiContext) -> None:
        super().__init__(desk, tr("Overview"))
        self.setFixedHeight(HEIGHT)
        self._image: QImage | None = None
        self._key: tuple[object, ...] = ()
        desk.view.chosen.focus_changed.connect(self.update)
        desk.recordings.source_grew.connect(self._on_grew)
        desk.recordings.source_ready.connect(self._on_grew)
        desk.bands.found.connect(self._on_grew)

    def _on_grew(self, _content: str) -> None:
        self._key = ()
        self.update()

    @property
    def _per_pixel(self) -> float:
        return max(1.0, self.desk.view.sight.extent / self.content.width())

    def paint_header(self, painter: QPainter) -> None:
        self.paint_words(painter, 7, tr("Overview"), size=11, weight=400, value=self.desk.view.theme.ink)

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        painter.fillRect(content, colour(theme.panel))
        self._paint_wave(painter, content)
        left = HEADER + view.sight.viewport.start / self._per_pixel
        right = HEADER + view.sight.viewport.end / self._per_pixel
        window = QRectF(left, 1, right - left, HEIGHT - 3).intersected(QRectF(content).adjusted(1, 0, -1, 0))
        painter.setBrush(colour(theme.wash, 120))
        painter.setPen(QPen(colour(theme.ink), 1))
        painter.drawRoundedRect(window, 4, 4)
        x = HEADER + self.desk.transport.position / self._per_pixel
        painter.setPen(QPen(colour(theme.accent), 1.6))
        painter.drawLine(QPointF(x, 0), QPointF(x, HEIGHT))

    def _paint_wave(self, painter: QPainter, content: QRect) -> None:
        track, theme = self.desk.view.chosen.focused, self.desk.view.theme
        side, sources = self.desk.transport.side, self.desk.recordings.pool.sources
        clips = () if track is None else all_shown(self.desk.store.placed, track, side)
        found = [sources[each.recording.content] for each in clips if each.recording.content in sources]
        if not found:
            return
        ratio, is_whole = self.devicePixelRatioF(), all(source.is_whole for source in found)
        look = (side, content.width(), ratio, theme.name, len(found), is_whole)
        key = (look, self.desk.view.sight.extent, tuple(each.plan for each in clips))
        is_near = (
            self.desk.store.is_drafting and self._key[:1] == key[:1]
        )  # a hand moves: some frames per pixel
        if self._image is None or (key != self._key and not is_near):
            count = int(content.width() * ratio)
            edges = np.linspace(0.0, self.desk.view.sight.extent, count + 1)
            lows, highs = track_columns(clips, sources, edges, self.desk.bands)
            self._image = wave_image(
                lows,
                highs,
                colour(theme.strong_rule),
                height=int((HEIGHT - 4) * ratio),
                ratio=ratio,
            )
            self._key = key if is_whole else ()
        painter.drawImage(QPointF(HEADER, 2), self._image)

    def _paint_playhead(self, painter: QPainter) -> None:
        """The strip has its own axis: it is drawn with the content."""

    def _on_moved(self, _frame: float) -> None:
        self.update()

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self._look_at(event)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if event.buttons() & Qt.MouseButton.LeftButton:
            self._look_at(event)

    def _look_at(self, event: QMouseEvent) -> None:
        view = self.desk.view
        middle = (event.position().x() - HEADER) * self._per_pixel
        sight = view.sight
        span = sight.viewport.end - sight.viewport.start
        sight.show(replace(sight.viewport, start=middle - span / 2).held(sight.extent))
