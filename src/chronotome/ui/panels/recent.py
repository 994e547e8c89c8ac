"""Sessions that were worked on lately, each with a small picture of how loud it is along its time."""

from dataclasses import dataclass
from pathlib import Path

import numpy as np
from PySide6.QtCore import QRectF, QSize, Qt
from PySide6.QtGui import QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QPushButton

from chronotome.files.names import path_from, shown
from chronotome.files.places import Settings, ViewPosition
from chronotome.files.session_file import is_session
from chronotome.render.mix import Side
from chronotome.ui.controls.plain_text import tip
from chronotome.ui.state.figures import counted, plain
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.shown import all_shown
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import ViewState
from chronotome.ui.timeline.track_wave import track_columns
from chronotome.units import gain_of
from chronotome.words import tr

CARD = QSize(196, 92)
PARTS = 86
"""Of a session, in its picture."""
MOST_SHOWN = 3


def wave_of(desk: UiContext) -> str:
    """How loud each part of the session is: two hexadecimal digits for each."""
    session, loudest = desk.session, np.zeros(PARTS)
    edges = np.linspace(0.0, max(1, desk.view.sight.extent), PARTS + 1)
    for track in session.tracks:
        clips = [] if track.is_muted else all_shown(session, track, Side.EDITED)
        lows, highs = track_columns(clips, desk.recordings.pool.sources, edges, desk.bands)
        loudest = np.maximum(loudest, np.maximum(highs, -lows) * gain_of(track.level))
    loudest /= max(0.05, float(loudest.max()))
    return bytes(np.clip(np.rint(255 * loudest), 0, 255).astype(np.uint8)).hex()


@dataclass(frozen=True)
class Recent:
    """A session, and how it was left."""

    folder: Path
    sight: ViewPosition

    @property
    def about(self) -> str:
        if not self.sight.tracks:
            return ""
        return tr("{0} bpm, {1}", plain(self.sight.tempo, 2), counted(self.sight.tracks, "track"))


def recent_of(settings: Settings) -> list[Recent]:
    """Those that are still there."""
    folders = (path_from(name) for name in settings.recent)
    found = (
        (folder, name) for folder, name in zip(folders, settings.recent, strict=True) if is_session(folder)
    )
    return [Recent(folder, settings.sights.get(name, ViewPosition())) for folder, name in found][:MOST_SHOWN]


class RecentCard(QPushButton):
    def __init__(self, view: ViewState, recent: Recent) -> None:
        super().__init__()
        self._view, self._recent = view, recent
        self.setFixedSize(CARD)
        self.setAccessibleName(tr("Open {0}", shown(recent.folder.name)))
        self.setAccessibleDescription(recent.about)
        self.setToolTip(tip(shown(str(recent.folder))))
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        view.theme_changed.connect(self.update)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme, recent = self._view.theme, self._recent
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        is_near = self.underMouse() or self.hasFocus()
        painter.setPen(QPen(colour(theme.accent if is_near else theme.strong_rule), 1.5 if is_near else 1))
        painter.setBrush(colour(theme.card))
        painter.drawRoundedRect(QRectF(self.rect()).adjusted(1, 1, -1, -1), 6, 6)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.wave))
        for part, loud in enumerate(bytes.fromhex(recent.sight.wave)):
            high = max(1.0, 34.0 * loud / 255)
            painter.drawRect(QRectF(12 + 2.0 * part, 28 - high / 2, 1.4, high))
        room = CARD.width() - 24
        painter.setPen(colour(theme.ink))
        painter.setFont(text_font(13, 600))
        name = painter.fontMetrics().elidedText(shown(recent.folder.name), Qt.TextElideMode.ElideMiddle, room)
        painter.drawText(QRectF(12, 50, room, 18), Qt.AlignmentFlag.AlignVCenter, name)
        painter.setPen(colour(theme.soft_ink))
        painter.setFont(text_font(11))
        painter.drawText(QRectF(12, 68, room, 16), Qt.AlignmentFlag.AlignVCenter, recent.about)
