"""Pads: the keys of a kit as squares for mouse and touch; lower on a pad is louder."""

import numpy as np
from PySide6.QtCore import QEvent, QLineF, QPointF, QRectF, QSize, Qt, QTimer
from PySide6.QtGui import QColor, QHideEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QTouchEvent
from PySide6.QtWidgets import QWidget

from chronotome.engine.kit_table import Note, NoteKind
from chronotome.session.kits import KitSlice, key_name
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.key_play import BANK, ROWS, KeyPlay
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

PAD, GAP, TOP = 52, 6, 30
LIT_MILLISECONDS = 140
SOFTEST = 0.25
COLUMNS, MOST_SHAPES = 40, 500
MOUSE = -1
"""Touches have numbers of their own."""


class PadsWindow(QWidget):
    """Three rows of pads, as letters lie on the keyboard. What is played is lit."""

    def __init__(self, desk: UiContext, play: KeyPlay, parent: QWidget | None) -> None:
        super().__init__(parent, Qt.WindowType.Tool)
        self.setWindowTitle(tr("Pads – Chronotome"))
        self.setAccessibleName(tr("Pads of the kit"))
        self.setAttribute(Qt.WidgetAttribute.WA_AcceptTouchEvents)
        self._desk, self._play = desk, play
        self._pressed: dict[int, int] = {}
        """By touch, the key that it holds."""
        self._lit: set[int] = set()
        self._shapes: dict[KitSlice, list[float]] = {}
        widest = max(count for _, count in ROWS)
        self.setFixedSize(QSize(2 * GAP + widest * (PAD + GAP), TOP + len(ROWS) * (PAD + GAP) + GAP))
        desk.keys.changed.connect(self.update)
        desk.keys.played.connect(self._on_played)
        desk.view.theme_changed.connect(self.update)

    def _box(self, at: int) -> QRectF:
        row = 0
        for row, (_, count) in enumerate(ROWS):  # noqa: B007 - the row that it is in
            if at < count:
                break
            at -= count
        left = GAP + at * (PAD + GAP) + row * PAD / 4
        return QRectF(left, TOP + row * (PAD + GAP), PAD, PAD)

    def key_at(self, place: QPointF) -> tuple[int, float] | None:
        """The key under a point, and how loud it is there."""
        for at in range(BANK):
            box = self._box(at)
            if box.contains(place):
                share = (place.y() - box.top()) / box.height()
                return at + self._play.bank * BANK, SOFTEST + (1.0 - SOFTEST) * min(1.0, max(0.0, share))
        return None

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme, kit = self._desk.view.theme, self._desk.keys.kit
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.fillRect(self.rect(), colour(theme.panel))
        painter.setFont(text_font(12, 600))
        painter.setPen(colour(theme.ink))
        name = tr("No kit to play") if kit is None else kit.name
        painter.drawText(QRectF(GAP + 4, 0, self.width(), TOP), Qt.AlignmentFlag.AlignVCenter, name)
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        words = tr("lower on a pad: louder    , and . for more pads")
        box = QRectF(0, 0, self.width() - GAP - 4, TOP)
        painter.drawText(box, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight, words)
        for at in range(BANK):
            key = at + self._play.bank * BANK
            piece = None if kit is None else kit.on_key(key)
            is_lit = key in self._lit or key in self._pressed.values()
            box = self._box(at)
            painter.setPen(QPen(colour(theme.strong_rule), 1))
            painter.setBrush(colour(theme.accent if is_lit else theme.card if piece else theme.panel))
            painter.drawRoundedRect(box, 6, 6)
            ink = colour(theme.on_ink if is_lit else theme.ink if piece else theme.soft_ink)
            painter.setFont(figure_font(12, 500))
            painter.setPen(ink)
            painter.drawText(box.adjusted(6, 3, 0, 0), Qt.AlignmentFlag.AlignLeft, key_name(key))
            if piece is not None:
                self._paint_shape(painter, box, piece, ink)

    def _paint_shape(self, painter: QPainter, box: QRectF, piece: KitSlice, ink: QColor) -> None:
        """What the slice looks like, as loud as it is."""
        peaks = self._peaks(piece)
        middle, left = box.top() + 0.64 * box.height(), box.left() + (PAD - len(peaks)) / 2
        painter.setPen(QPen(ink, 1))
        reach = 0.3 * box.height()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing, on=False)
        painter.drawLines(
            [
                QLineF(left + at, middle - peak * reach, left + at, middle + peak * reach)
                for at, peak in enumerate(peaks)
            ]
        )
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)

    def _peaks(self, piece: KitSlice) -> list[float]:
        """The loudest sample of each column, 0 to 1; none where its recording was not read yet."""
        known = self._shapes.get(piece)
        source = self._desk.recordings.pool.get(piece.recording)
        if known is not None or source is None:
            return known or []
        rate = self._desk.session.recording_with(piece.recording).rate
        start, end = (round(frame * source.rate / rate) for frame in (piece.start, piece.end))
        loud = np.abs(source.region.samples[start:end]).max(axis=1)
        edges = np.linspace(0, len(loud), COLUMNS, endpoint=False).astype(np.int64)
        peaks = np.minimum(1.0, np.maximum.reduceat(loud, edges)) if len(loud) else np.zeros(0)
        if len(self._shapes) > MOST_SHAPES:
            self._shapes.clear()
        self._shapes[piece] = peaks[:: -1 if piece.is_reversed else 1].tolist()
        return self._shapes[piece]

    # Mouse and touch

    def _press(self, touch: int, place: QPointF) -> None:
        found = self.key_at(place)
        if found is not None:
            self._pressed[touch] = found[0]
            self._desk.keys.press(*found)
            self.update()

    def _release(self, touch: int) -> None:
        key = self._pressed.pop(touch, None)
        if key is not None:
            self._desk.keys.release(key)
            self.update()

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is Qt.MouseButton.LeftButton:
            self._press(MOUSE, event.position())

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        self._release(MOUSE)

    def event(self, event: QEvent) -> bool:
        """Each finger by itself."""
        if isinstance(event, QTouchEvent):
            for point in event.points():
                if point.state() == point.State.Pressed:
                    self._press(point.id(), point.position())
                elif point.state() == point.State.Released:
                    self._release(point.id())
            event.accept()
            return True
        return super().event(event)

    def hideEvent(self, event: QHideEvent) -> None:
        for touch in list(self._pressed):
            self._release(touch)
        super().hideEvent(event)

    def _on_played(self, notes: list[Note]) -> None:
        """What sounds is lit for a moment, whoever played it."""
        started = {note.key for note in notes if note.kind == NoteKind.START}
        if started and self.isVisible():
            self._lit |= started
            self.update()
            QTimer.singleShot(LIT_MILLISECONDS, self, lambda: self._unlight(started))

    def _unlight(self, keys: set[int]) -> None:
        self._lit -= keys
        self.update()
