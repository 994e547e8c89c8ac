"""A small view at fixed zoom around the mark under the pointer: where it is to the frame."""

import numpy as np
from PySide6.QtCore import QLineF, QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QWidget

from chronotome.render.pool import Source
from chronotome.session.edits.marks import correct_onsets
from chronotome.session.model import Session
from chronotome.session.onsets import OnsetId
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import ValueDrag
from chronotome.ui.timeline.marks import notch, paint_each
from chronotome.ui.timeline.waveform import columns
from chronotome.words import tr

WIDTH, HEIGHT = 268, 96
WIDE, NEAR = 178, 86
"""Pixels of both views: 30 ms to either side, and the frames next to the mark."""
REACH_SECONDS = 0.030
NEAR_FRAMES = 10
TOP, FOOT = 20, 8


class Lens(QWidget):
    """Drag in it: one pixel is one frame."""

    def __init__(self, desk: UiContext) -> None:
        super().__init__()
        self._desk = desk
        self.drag: ValueDrag | None = None
        self._held: OnsetId | None = None
        self._pressed = 0.0
        self.setFixedSize(WIDTH, HEIGHT)
        self.setAccessibleName(tr("Magnifier: 30 ms on either side of an onset"))
        self.setToolTip(tr("Drag: 1 pixel is 1 sample. , and . move by 1 sample, Alt+← and Alt+→ by 1 ms."))
        view = desk.view
        for signal in (
            view.chosen.changed,
            view.pointed_changed,
            view.chosen.focus_changed,
            view.theme_changed,
        ):
            signal.connect(self.update)
        desk.store.changed.connect(lambda: None if desk.store.is_sifting else self.update())

    @property
    def onset(self) -> OnsetId | None:
        """The onset under the pointer, or the selected one."""
        view = self._desk.view
        return self._held or view.pointed or view.chosen.onset

    def _found(self) -> tuple[Shown, Source, int] | None:
        """What is shown: the clip, its samples, and the onset's place in its columns."""
        shown = self._desk.shown
        if shown is None or self.onset is None:
            return None
        source = self._desk.recordings.pool.get(shown.recording.content)
        place = shown.recording.onsets.place_of(self.onset)
        return None if source is None or place is None else (shown, source, place)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme, found = self._desk.view.theme, self._found()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(colour(theme.rule), 1))
        painter.setBrush(colour(theme.card))
        painter.drawRoundedRect(QRectF(0.5, 0.5, WIDTH - 1, HEIGHT - 1), 6, 6)
        if found is None:
            painter.setFont(text_font(11))
            painter.setPen(colour(theme.soft_ink))
            painter.drawText(self.rect(), Qt.AlignmentFlag.AlignCenter, tr("Point at an onset to magnify it"))
            return
        shown, source, place = found
        frame = shown.recording.onsets.frames[place]
        ratio = source.rate / shown.recording.rate
        self._paint_wide(painter, source, frame * ratio, shown)
        self._paint_near(painter, source, frame * ratio)
        painter.setFont(figure_font(10))
        painter.setPen(colour(theme.ink))
        words = tr("sample {0}", frame)
        if shown.recording.onsets.lock_array[place]:
            words += " · locked"
        painter.drawText(QRectF(10, 3, 200, 15), Qt.AlignmentFlag.AlignVCenter, words)
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(QRectF(WIDE - 60, 3, 60, 15), Qt.AlignmentFlag.AlignRight, tr("±30 ms"))
        painter.drawText(
            QRectF(WIDE + 8, 3, NEAR - 4, 15), Qt.AlignmentFlag.AlignRight, tr("±{0} samples", NEAR_FRAMES)
        )

    def _paint_wide(self, painter: QPainter, source: Source, frame: float, shown: Shown) -> None:
        theme = self._desk.view.theme
        reach = REACH_SECONDS * source.rate
        edges = np.linspace(frame - reach, frame + reach, WIDE + 1 - 8)
        is_within = edges[1:] > 0
        lows, highs = columns(source, np.maximum(edges, 0), is_within)
        loudest = max(1e-6, float(np.abs(lows).max(initial=0)), float(np.abs(highs).max(initial=0)))
        middle, half = (TOP + HEIGHT - FOOT) / 2, (HEIGHT - TOP - FOOT) / 2
        lines = [
            QLineF(8 + x, middle - high * half, 8 + x, middle - low * half + 1)
            for x, (low, high) in enumerate(
                zip((lows / loudest).tolist(), (highs / loudest).tolist(), strict=True)
            )
        ]
        painter.setPen(QPen(colour(theme.wave), 1))
        painter.drawLines(lines)
        onsets = shown.recording.onsets
        ratio = source.rate / shown.recording.rate
        xs = 8 + (onsets.frame_array * ratio - frame + reach) / (2 * reach) * (WIDE - 8)
        inside = (xs > 8) & (xs < WIDE)
        middle_x = 8 + (WIDE - 8) / 2
        for chosen, value in (
            (inside & shown.counts, theme.ink),
            (inside & ~shown.counts, theme.strong_rule),
        ):
            others = [x for x in xs[chosen].tolist() if abs(x - middle_x) > 0.5]
            self._paint_marks(painter, others, colour(value))
        self._paint_marks(painter, [middle_x], colour(theme.accent))

    @staticmethod
    def _paint_marks(painter: QPainter, xs: list[float], value: QColor) -> None:
        painter.setPen(QPen(value, 1.2))
        painter.setBrush(value)
        painter.drawLines([QLineF(x, TOP, x, HEIGHT - FOOT) for x in xs])
        paint_each(painter, notch, ((x, float(TOP)) for x in xs), 6)

    def _paint_near(self, painter: QPainter, source: Source, frame: float) -> None:
        """Each frame as a dot: nothing is between two of them."""
        theme = self._desk.view.theme
        centre = round(frame)
        places = np.arange(centre - NEAR_FRAMES, centre + NEAR_FRAMES + 1)
        inside = (places >= 0) & (places < source.region.frames)
        values = np.zeros(len(places), np.float32)
        values[inside] = source.region.samples[places[inside]].mean(axis=1)
        loudest = max(1e-6, float(np.abs(values).max()))
        left, middle, half = WIDE + 14, (TOP + HEIGHT - FOOT) / 2, (HEIGHT - TOP - FOOT) / 2 - 3
        step = (NEAR - 12) / (len(places) - 1)
        points = [
            QPointF(left + at * step, middle - value * half)
            for at, value in enumerate((values / loudest).tolist())
        ]
        painter.setPen(QPen(colour(theme.rule), 1))
        painter.drawLine(QLineF(WIDE + 6, TOP - 4, WIDE + 6, HEIGHT - FOOT))
        painter.drawLine(QLineF(left, middle, left + NEAR - 12, middle))
        painter.setPen(QPen(colour(theme.wave), 1))
        painter.drawPolyline(points)
        painter.setBrush(colour(theme.wave))
        for point in points:
            painter.drawEllipse(point, 1.6, 1.6)
        self._paint_marks(painter, [left + NEAR_FRAMES * step], colour(theme.accent))

    # Mouse

    def mousePressEvent(self, event: QMouseEvent) -> None:
        found = self._found()
        if found is None or event.button() is not Qt.MouseButton.LeftButton or self.onset is None:
            return
        self._held = self.onset
        self._desk.view.chosen.select(self.onset)
        track, clip, onset = found[0].track.id, found[0].clip.id, self.onset
        self._pressed = event.position().x()

        def edit(session: Session, by: float) -> Session:
            return correct_onsets(session, track, clip, [onset], round(by))

        self.drag = ValueDrag(self._desk, edit, tr("Move onset"))

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self.drag is not None:
            self.drag.to(round(event.position().x() - self._pressed))
            self.update()

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        drag, self.drag, self._held = self.drag, None, None
        if drag is not None:
            drag.finish()

    def cancel_drag(self) -> bool:
        """False if nothing was dragged."""
        drag, self.drag, self._held = self.drag, None, None
        if drag is None:
            return False
        drag.cancel()
        self.update()
        return True
