"""Noises in the wave that are not heard: paper over them, and edges that are dragged."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QPainter, QPen

from chronotome.session.edits.fixes import move_hush
from chronotome.session.model import Session
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.timeline.gestures import ValueDrag
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.words import tr

REACH = 4
LEAST = 2.0


def paint_noises(lane: Lane, painter: QPainter, clips: Sequence[Shown], rows: tuple[float, float]) -> None:
    """What is heard instead is written in each; `rows` are where they begin and end."""
    theme = lane.desk.view.theme
    painter.setFont(text_font(10))
    for shown in clips:
        xs = np.sort(_edges(lane, shown), axis=1)
        for number in np.flatnonzero((xs[:, 1] >= HEADER) & (xs[:, 0] <= lane.width())).tolist():
            each, (left, right) = shown.take.hushes[number], xs[number].tolist()
            box = QRectF(left, rows[0], max(LEAST, right - left), rows[1] - rows[0])
            painter.setPen(QPen(colour(theme.accent), 1, Qt.PenStyle.DotLine))
            painter.setBrush(colour(theme.card, 190))
            painter.drawRect(box)
            painter.setPen(colour(theme.accent))
            if painter.fontMetrics().horizontalAdvance(each.by) < box.width() - 6:
                painter.drawText(box.adjusted(4, 0, 0, -3), Qt.AlignmentFlag.AlignBottom, each.by)


def edge_at(lane: Lane, shown: Shown, x: float) -> tuple[int, bool] | None:
    """The noise whose edge is under the pointer, and whether that is its end."""
    away = np.abs(_edges(lane, shown) - x)
    if not away.size or away.min() > REACH:
        return None
    number, side = np.unravel_index(int(away.argmin()), away.shape)
    return int(number), bool(side)


def _edges(lane: Lane, shown: Shown) -> NDArray[np.float64]:
    """Where the noises of a take begin and end on screen, shape (noises, 2)."""
    frames = np.array([(each.start, each.end) for each in shown.take.hushes], np.int64).reshape(-1, 2)
    return lane.xs_of(shown.frames_shown(frames.ravel())).reshape(-1, 2)


def drag_edge(lane: Lane, shown: Shown, number: int, *, is_end: bool) -> ValueDrag:
    """Take an edge elsewhere: frames of the recording, up to the noises beside it."""
    track, clip = shown.track.id, shown.clip.id

    def edit(session: Session, frame: float) -> Session:
        take = session.track(track).clip(clip).take
        return move_hush(session, track, take, number, round(frame), is_end=is_end)

    return ValueDrag(lane.desk, edit, tr("Move edge of muted span"))
