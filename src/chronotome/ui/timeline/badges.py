"""What acts on a track or a clip beyond the usual, as tags where it acts; a click leads to its setting."""

from collections.abc import Iterator, Sequence
from typing import NamedTuple

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QFontMetricsF, QPainter, QPen

from chronotome.session.model import Clip, Session, Track
from chronotome.ui.state.figures import counted
from chronotome.ui.state.theme import Theme, colour, text_font
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr

HIGH, SIDE, GAP = 14.0, 5.0, 3.0
LEAST_NAME = 44.0
"""Pixels of a clip's strip that its name keeps."""


MOST_TOLD = 6


class Badge(NamedTuple):
    """What acts, what that means, and by which control it is set: its stage, and its action or its name."""

    words: str
    told: str
    stage: Stage
    control: str


Placed = tuple[QRectF, Badge]


def track_badges(session: Session, track: Track) -> Iterator[Badge]:
    group = session.group_of(track.id)
    if group is not None:
        guide = session.track(group.guide)
        others = len(group.tracks) - 1
        if guide is track:
            words, told = tr("guide"), tr("{0} follow its hits", counted(others, "locked track"))
        else:
            words, told = tr("locked"), tr("Its hits move with those of {0}", guide.name)
        yield Badge(words, told, Stage.REWORK, "unlock")
    if track.is_flipped:
        yield Badge(tr("inverted"), tr("Its polarity is inverted"), Stage.REWORK, "flip")
    if track.spans:
        told = tr("{0} of the track with its own Tighten settings", counted(len(track.spans), "span"))
        yield Badge(counted(len(track.spans), "span"), told, Stage.TIGHTEN, tr("Scope of the settings"))
    if track.layer is not None:
        told = tr("It plays what {0} plays", session.track(track.layer.of).name)
        yield Badge(tr("layer"), told, Stage.REWORK, tr("Level"))


def clip_badges(session: Session, clip: Clip) -> Iterator[Badge]:
    take = clip.take
    if clip.is_muted:
        yield Badge(tr("muted"), tr("The clip is muted"), Stage.REWORK, "mute-clip")
    if take.crossover is not None:
        hertz = f"{take.crossover.hertz:.0f}"
        words = tr("above {0} Hz", hertz) if take.crossover.is_high else tr("below {0} Hz", hertz)
        told = tr("Only what is {0} is heard, and drawn", words)
        yield Badge(words, told, Stage.REWORK, "all-bands")
    if take.tighten is not None:
        told = tr("The clip has its own Tighten settings, not those of its track")
        yield Badge(tr("own settings"), told, Stage.TIGHTEN, "own-recipe")
    if take.moving is not None:
        told = tr("The clip has its own method, material and pitch, not those of its track")
        yield Badge(tr("own method"), told, Stage.TIGHTEN, "own-moving")
    own = sum(1 for touch in take.touches if touch.recipe is not None)
    if own:
        told = tr("{0} with their own Tighten settings", counted(own, "hit"))
        yield Badge(counted(own, "own hit"), told, Stage.TIGHTEN, tr("Scope of the settings"))
    if take.hushes:
        words = tr("{0} muted", counted(len(take.hushes), "noise"))
        yield Badge(words, tr("{0} in the clip", words), Stage.TIGHTEN, tr("Muted noises"))
    if clip.kept and any(track.id == clip.kept for track in session.tracks):
        name = session.track(clip.kept).name
        told = tr("Bounced. What it was made of is kept on the muted track {0}", name)
        yield Badge(tr("bounced"), told, Stage.REWORK, "bounce-back")


def _wide(badge: Badge) -> float:
    return QFontMetricsF(text_font(9, 500)).horizontalAdvance(badge.words) + 2 * SIDE


def in_column(badges: Sequence[Badge], left: float, top: float, foot: float) -> list[Placed]:
    """One below the other; where there is no room for all, the last tells how many more there are."""
    rows = int(max(0.0, foot - top + GAP) // (HIGH + GAP))
    shown = [*badges[: rows - 1], more_of(badges[rows - 1 :])] if 0 < rows < len(badges) else badges[:rows]
    return [
        (QRectF(left, top + place * (HIGH + GAP), _wide(badge), HIGH), badge)
        for place, badge in enumerate(shown)
    ]


def more_of(badges: Sequence[Badge]) -> Badge:
    """One for several: how many, and all in words; a click leads to the first."""
    told = ". ".join(each.told for each in badges[:MOST_TOLD])
    return Badge(f"+{len(badges)}", told, badges[0].stage, badges[0].control)


def in_strip(badges: Sequence[Badge], strip: QRectF) -> list[Placed]:
    """From the right, as many as leave room for the name."""
    placed, right = list[Placed](), strip.right() - SIDE
    for badge in badges:
        left = right - _wide(badge)
        if left < strip.left() + LEAST_NAME:
            break
        placed.append((QRectF(left, strip.top() + (strip.height() - HIGH) / 2, right - left, HIGH), badge))
        right = left - GAP
    return placed


def badge_at(placed: Sequence[Placed], place: QPointF) -> Badge | None:
    return next((badge for box, badge in placed if box.contains(place)), None)


def paint_badges(painter: QPainter, theme: Theme, placed: Sequence[Placed]) -> None:
    painter.setFont(text_font(9, 500))
    for box, badge in placed:
        painter.setPen(QPen(colour(theme.soft_ink), 1))
        painter.setBrush(colour(theme.card))
        painter.drawRoundedRect(box.adjusted(0.5, 0.5, -0.5, -0.5), HIGH / 2 - 1, HIGH / 2 - 1)
        painter.setPen(colour(theme.ink))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, badge.words)
