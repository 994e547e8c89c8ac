"""Clips in a lane: their frames with names, fades and handles, and which of these is under the pointer."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from enum import Enum

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QPainter, QPainterPath, QPen

from chronotome.render.plan import Fade
from chronotome.session.edits.clips import Place
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.timeline.badges import Badge, Placed, badge_at, clip_badges, in_strip, paint_badges
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.words import tr

STRIP = 17
"""Pixels of the strip with the name, by which a clip is taken."""
EDGE, CORNER = 5, 7
LEAST_FOR_HANDLES = 40
LOWEST_FOR_HANDLES, LOWEST_FOR_NAMES = 50, 30
"""Pixels of a lane's height: a low one has no room for handles, a folded one none for names."""
FADE_POINTS = 24


class Grip(Enum):
    """What of a clip is under the pointer."""

    BODY = "move"
    START = "start"
    END = "end"
    RISE = "fade in"
    FALL = "fade out"
    AGAIN = "repeat"


@dataclass(frozen=True)
class ClipFrame:
    """A clip's place on screen."""

    shown: Shown
    left: float
    right: float

    @property
    def place(self) -> Place:
        return self.shown.track.id, self.shown.clip.id

    def handle(self, fade: Fade | None, lane: Lane, *, is_out: bool) -> float:
        """Where a fade's handle is: at its end, or in the corner while there is none."""
        if fade is None:
            return self.right - CORNER if is_out else self.left + CORNER
        return lane.x_of(fade.start if is_out else fade.end)


def frames_in(lane: Lane, clips: Sequence[Shown]) -> Iterator[ClipFrame]:
    """Those in sight, from left to right."""
    for shown in clips:
        heard = shown.heard_anchors
        left, right = lane.x_of(float(heard[0])), lane.x_of(float(heard[-1]))
        if right >= HEADER and left <= lane.width():
            yield ClipFrame(shown, left, right)


def grip_at(lane: Lane, clips: Sequence[Shown], x: float, y: float) -> tuple[ClipFrame, Grip] | None:
    """What a press would take; of clips that overlap, of the later one."""
    found = None
    for frame in frames_in(lane, clips):
        grip = _grip(lane, frame, x, y)
        if grip is not None:
            found = frame, grip
    return found


def _grip(lane: Lane, frame: ClipFrame, x: float, y: float) -> Grip | None:
    if not frame.left - EDGE <= x <= frame.right + EDGE:
        return None
    if _has_handles(frame, lane):
        handle = _handle(lane, frame, x, y)
        if handle is not None:
            return handle
    reach = min(EDGE, (frame.right - frame.left) / 4)
    if abs(x - frame.left) <= reach:
        return Grip.START
    if abs(x - frame.right) <= reach:
        return Grip.END
    return Grip.BODY if frame.left <= x <= frame.right and y < STRIP else None


def _has_handles(frame: ClipFrame, lane: Lane) -> bool:
    return frame.right - frame.left > LEAST_FOR_HANDLES and lane.height() >= LOWEST_FOR_HANDLES


def _handle(lane: Lane, frame: ClipFrame, x: float, y: float) -> Grip | None:
    plan = frame.shown.plan
    if STRIP <= y <= STRIP + 2 * CORNER:
        if abs(x - frame.handle(plan.fade_in, lane, is_out=False)) <= CORNER:
            return Grip.RISE
        if abs(x - frame.handle(plan.fade_out, lane, is_out=True)) <= CORNER:
            return Grip.FALL
    is_low = y >= lane.height() - STRIP and 0 <= frame.right - x <= 2 * CORNER
    return Grip.AGAIN if is_low else None


def paint_frames(painter: QPainter, lane: Lane, clips: Sequence[Shown], chosen: Sequence[Place]) -> None:
    """An outline with a strip for each: filled where it is chosen; muted ones have a line through them."""
    theme = lane.desk.view.theme
    painter.setFont(text_font(10, 500))
    for frame in frames_in(lane, clips):
        is_chosen, clip = frame.place in chosen, frame.shown.clip
        left = max(frame.left, HEADER - 10.0)
        right = min(frame.right, lane.width() + 10.0)
        box = QRectF(left + 0.5, 1.5, max(2.0, right - left - 1), lane.height() - 4)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.accent if is_chosen else theme.strong_rule, 255 if is_chosen else 150))
        painter.drawRect(QRectF(box.left(), box.top(), box.width(), STRIP - 2))
        painter.setPen(QPen(colour(theme.accent if is_chosen else theme.soft_ink), 1.4 if is_chosen else 1))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(box)
        _paint_fades(painter, lane, frame)
        painter.setPen(colour(theme.on_ink if is_chosen else theme.ink))
        words = QRectF(max(box.left(), HEADER) + 6, box.top(), 0, STRIP - 2)
        words.setRight(box.right() - 4)
        badges = badges_of(lane, frame)
        paint_badges(painter, theme, badges)
        painter.setFont(text_font(10, 500))
        painter.setPen(colour(theme.on_ink if is_chosen else theme.ink))
        if badges:
            words.setRight(badges[-1][0].left() - 4)
        if words.width() > 12 and lane.height() >= LOWEST_FOR_NAMES:
            name = _words(frame)
            fitting = painter.fontMetrics().elidedText(name, Qt.TextElideMode.ElideRight, int(words.width()))
            painter.drawText(words, Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignLeft, fitting)
        if clip.is_muted:
            painter.setPen(QPen(colour(theme.soft_ink), 1, Qt.PenStyle.DashLine))
            painter.drawLine(QPointF(box.left(), lane.height() / 2), QPointF(box.right(), lane.height() / 2))


def badges_of(lane: Lane, frame: ClipFrame) -> list[Placed]:
    """What acts on a clip, in its strip as far as that is in sight."""
    if lane.height() < LOWEST_FOR_NAMES:
        return []
    left, right = max(frame.left, float(HEADER)), min(frame.right, float(lane.width()))
    strip = QRectF(left, 1.5, right - left, STRIP - 2)
    return in_strip(list(clip_badges(lane.desk.session, frame.shown.clip)), strip)


def clip_badge_at(lane: Lane, clips: Sequence[Shown], place: QPointF) -> tuple[ClipFrame, Badge] | None:
    """The badge under the pointer, and the clip that it is of."""
    if place.y() > STRIP:
        return None
    for frame in frames_in(lane, clips):
        badge = badge_at(badges_of(lane, frame), place)
        if badge is not None:
            return frame, badge
    return None


def _words(frame: ClipFrame) -> str:
    clip = frame.shown.clip
    name = clip.name or frame.shown.track.name
    parts = [f"← {name}" if clip.take.mirror is not None else name]
    if clip.level:
        parts.append(tr("{0:+.1f} dB", clip.level).replace("-", "−"))
    return " · ".join(parts)


def _paint_fades(painter: QPainter, lane: Lane, frame: ClipFrame) -> None:
    """Each fade as the curve that it is, and the handles at its end."""
    theme, plan = lane.desk.view.theme, frame.shown.plan
    top, foot = float(STRIP), lane.height() - 4.0
    for fade, is_out in ((plan.fade_in, False), (plan.fade_out, True)):
        if fade is not None and lane.x_of(fade.end) - lane.x_of(fade.start) > 3:
            shares = np.linspace(0, 1, FADE_POINTS)
            gains = np.cos(np.pi / 2 * shares) if is_out else np.sin(np.pi / 2 * shares)
            path = QPainterPath()
            for place, (share, gain) in enumerate(zip(shares.tolist(), gains.tolist(), strict=True)):
                x, y = lane.x_of(fade.start + share * (fade.end - fade.start)), foot - gain * (foot - top)
                path.lineTo(x, y) if place else path.moveTo(x, y)
            painter.setPen(QPen(colour(theme.ink), 1.2))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawPath(path)
        if _has_handles(frame, lane):
            painter.setPen(QPen(colour(theme.soft_ink), 1))
            painter.setBrush(colour(theme.card))
            x = frame.handle(fade, lane, is_out=is_out)
            painter.drawEllipse(QPointF(x, STRIP + CORNER), 3.2, 3.2)
    if _has_handles(frame, lane):
        painter.setPen(QPen(colour(theme.soft_ink), 1.4))
        x, y = frame.right - 5, lane.height() - 8
        painter.drawLine(QPointF(x - 6, y), QPointF(x, y))
        painter.drawLine(QPointF(x - 3, y - 3), QPointF(x, y))
        painter.drawLine(QPointF(x - 3, y + 3), QPointF(x, y))
