"""Steps of a pattern where they are heard, in every round: under the wave, with their keys."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QRectF, Qt
from PySide6.QtGui import QPainter, QPen

from chronotome.render.mix import Side
from chronotome.session.kits import Kit, key_name
from chronotome.session.memo import by_identity
from chronotome.session.model import Session
from chronotome.session.patterned import Patterned
from chronotome.session.patterns import Pattern
from chronotome.ui.state.shown import NOWHERE, Shown
from chronotome.ui.state.theme import colour, figure_font
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.ui.timeline.slice_marks import FOOT, TAG
from chronotome.units import Frames

NARROWEST = 9
"""Pixels of a hit below which its key is not printed."""
MOST_KEYS = 220
LEAST_SHOWN = 0.03
"""Seconds that a step is drawn long at least."""


@dataclass(frozen=True, eq=False)
class Steps:
    """The steps of a pattern in every round of a clip: columns, in the order of rounds."""

    pattern: Pattern
    kit: Kit
    step: Frames
    """Where each stands in the pattern's columns."""
    round: Frames
    """Counted from the clip's first."""
    starts: NDArray[np.float64]
    """Session frames at which each is heard, or would be."""
    ends: NDArray[np.float64]
    sounds: NDArray[np.bool_]
    """Which chance, and their turn, let sound."""
    rows: Frames
    """Which slice of the kit each plays; -1: none that is there."""


def steps_of(session: Session, shown: Shown | None) -> Steps | None:
    """None where a clip plays a recording."""
    if shown is None or shown.plan.patterned is None or shown.take.playing is None:
        return None
    _, pattern, kit = session.played_by(shown.take, shown.take.playing)
    return _steps(shown, shown.plan.patterned, pattern, kit, session)


@by_identity(8)
def _steps(shown: Shown, patterned: Patterned, pattern: Pattern, kit: Kit, session: Session) -> Steps:
    laid, take = patterned.laid, shown.take
    rounds = max(
        1, int(np.ceil((0.0 if take.playing is None else take.playing.beats) / pattern.beats - 1e-9))
    )
    count = len(pattern)
    step, turn = np.tile(np.arange(count), rounds), np.repeat(np.arange(rounds), count)
    beats = take.beat + turn * pattern.beats + pattern.column("places")[step]
    starts = session.tempo.seconds_at(beats) * session.rate
    first = int(np.floor(take.beat / pattern.beats + 1e-9))
    sounds, lengths = np.zeros(len(step), np.bool_), np.zeros(len(step))
    at = (laid.round - first) * count + laid.step
    inside = (at >= 0) & (at < len(step))
    sounds[at[inside]] = True
    heard = patterned.starts if shown.side is Side.EDITED else laid.start + laid.frames
    starts[at[inside]] = heard[inside]
    lengths[at[inside]] = (patterned.ends - patterned.starts)[inside]
    places = {each.id: row for row, each in enumerate(kit.slices)}
    rows = np.array([places.get(each, -1) for each in pattern.slices], np.int64)[step]
    if not sounds.all():
        lengths = np.where(sounds, lengths, _usual_lengths(session, pattern, kit, step, starts))
    ends = starts + np.maximum(lengths, LEAST_SHOWN * session.rate)
    return Steps(pattern, kit, step, turn, starts, ends, sounds, rows)


def _usual_lengths(
    session: Session, pattern: Pattern, kit: Kit, step: NDArray[np.int64], starts: NDArray[np.float64]
) -> NDArray[np.float64]:
    """For how many session frames each step would sound that begins at a frame."""
    rates = {each.content: each.rate for each in session.recordings}
    pieces = {each.id: (each.end - each.start) * session.rate / rates[each.recording] for each in kit.slices}
    notes, timebase = pattern.column("lengths")[step], session.timebase
    wanted = timebase.frames_at(timebase.beats_at(starts) + notes) - starts
    whole = np.array([pieces.get(each, 0.0) for each in pattern.slices])
    return np.where(notes > 0, wanted, whole[step])


def paint_steps(painter: QPainter, lane: Lane, shown: Shown, top: int) -> None:
    """A wash behind the chosen ones, a line where each begins, and its key at the foot."""
    steps = steps_of(lane.desk.session, shown)
    if steps is None:
        return
    theme, view = lane.desk.view.theme, lane.desk.view
    lefts, rights = lane.xs_of(steps.starts), lane.xs_of(steps.ends)
    seen = np.flatnonzero(steps.sounds & (rights > HEADER) & (lefts < lane.width()))
    if not len(seen):
        return
    seen = seen[np.argsort(lefts[seen], kind="stable")]
    foot, window = lane.height() - FOOT, shown.plan.window
    begin, end = (lane.x_of(frame) for frame in (window.start, window.end))
    painter.save()
    inside = QRectF(begin, 0, end - begin + 1, lane.height()).intersected(QRectF(lane.content))
    painter.setClipRect(inside, Qt.ClipOperation.IntersectClip)
    ids = np.array(steps.pattern.ids, np.int64)[steps.step[seen]]
    is_here = view.chosen.place == (shown.track.id, shown.clip.id)
    chosen = np.isin(ids, view.chosen.steps) if is_here else ids < 0
    if len(seen) <= MOST_KEYS:
        painter.setPen(QPen(colour(theme.ink, 120), 1, Qt.PenStyle.DotLine))
        painter.drawLines([QLineF(x, top, x, foot) for x in lefts[seen].tolist()])
    if len(seen) > MOST_KEYS:  # keys would cover one another
        seen, chosen = seen[chosen], chosen[chosen]
    painter.setFont(figure_font(10, 500))
    following, free = np.append(lefts[seen], np.inf)[1:], 0.0
    for at, is_chosen, after in zip(seen.tolist(), chosen.tolist(), following.tolist(), strict=True):
        width = min(rights[at], after) - lefts[at] - 1
        row = int(steps.rows[at])
        if is_chosen:
            painter.fillRect(QRectF(lefts[at], top, max(2.0, width), foot - top), colour(theme.wash, 120))
        if row >= 0 and width >= NARROWEST and (is_chosen or lefts[at] >= free):
            box = QRectF(lefts[at] + 2.5, foot + 4.5, 16, TAG)
            free = paint_key(painter, lane, box, key_name(steps.kit.slices[row].key), is_lit=is_chosen)
    painter.restore()


def paint_key(painter: QPainter, lane: Lane, box: QRectF, name: str, *, is_lit: bool) -> float:
    """A key with its letter, as wide as that is; returns where the next has room."""
    theme = lane.desk.view.theme
    box.setWidth(max(box.width(), painter.fontMetrics().horizontalAdvance(name) + 8.0))
    painter.setPen(QPen(colour(theme.accent if is_lit else theme.strong_rule), 1))
    painter.setBrush(colour(theme.accent if is_lit else theme.paper))
    painter.drawRoundedRect(box, 3, 3)
    painter.setPen(colour(theme.on_ink if is_lit else theme.ink))
    painter.drawText(box, Qt.AlignmentFlag.AlignCenter, name)
    return box.right()


def paint_keys(painter: QPainter, lane: Lane, shown: Shown) -> None:
    """The keys that play slices of a recording, where these begin; of a clip that plays no pattern."""
    kit, take = lane.desk.keys.at_hand, shown.take
    if kit is None or take.playing is not None:
        return
    pieces = [each for each in kit.slices if each.recording == shown.clip.recording]
    starts = _places_of(shown, np.array([each.start for each in pieces], np.int64))
    xs, window = lane.xs_of(starts), shown.plan.window
    is_seen = (xs > HEADER - 20) & (xs < lane.width()) & (starts >= window.start) & (starts < window.end)
    seen = np.flatnonzero(is_seen)
    if not len(seen) or len(seen) > MOST_KEYS:
        return
    seen = seen[np.argsort(xs[seen], kind="stable")]
    free = 0.0
    painter.setFont(figure_font(10, 500))
    foot = lane.height() - FOOT
    for at in seen.tolist():
        if xs[at] >= free:
            box = QRectF(xs[at] + 2.5, foot + 4.5, 16, TAG)
            free = paint_key(painter, lane, box, key_name(pieces[at].key), is_lit=False)


def _places_of(shown: Shown, starts: Frames) -> NDArray[np.float64]:
    """Session frames at which frames of a recording are heard first; nowhere where they are not."""
    slices, apart = shown.take.slices, shown.plan.sliced
    if slices is None or apart is None or shown.side is not Side.EDITED:
        return shown.frames_shown(starts)
    order = np.argsort(slices.start_array, kind="stable")
    known = slices.start_array[order]
    at = np.minimum(known.searchsorted(starts), len(known) - 1)
    return np.where(known[at] == starts, apart.starts[order][at], NOWHERE).astype(np.float64)
