"""Hits of a clip that was taken apart, in the wave lane: where each is, and which is under the pointer."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen

from chronotome.session.edits.rhythm import rhythm_of
from chronotome.session.slices import SliceId, Slices
from chronotome.ui.state.figures import signed
from chronotome.ui.state.shown import Shown, Spans, spans_of
from chronotome.ui.state.theme import colour, figure_font
from chronotome.ui.timeline.lane import HEADER, Lane

FOOT = 26
"""Pixels at the lane's foot, where hits are named and swept over."""
TAG = 16
EDGE = 5
OWN, ON_LINE = 6, 0.5
"""Pixels from its attack on in which a hit is taken, and no end of the one before; and the line itself."""
NARROWEST_TAG = 5
MOST_LINES = 150
"""More hits than this in sight have no lines and no names."""


def slice_at(shown: Shown, frame: float) -> SliceId | None:
    """The hit that is heard at a session frame: of several the one that began last."""
    spans = spans_of(shown)
    if spans is None:
        return None
    under = np.flatnonzero((spans.starts <= frame) & (spans.ends > frame) & spans.heard)
    if not len(under):
        return None
    return spans.slices.ids[int(under[spans.starts[under].argmax()])]


def slice_edge_at(lane: Lane, shown: Shown, x: float) -> SliceId | None:
    """The hit whose end is under the pointer: not over the first pixels of the one after it."""
    spans = spans_of(shown)
    if spans is None:
        return None
    lefts, rights = lane.xs_of(spans.starts), lane.xs_of(spans.ends)
    if ((lefts - ON_LINE <= x) & (x < lefts + OWN) & (x < rights) & spans.heard).any():
        return None
    near = np.flatnonzero((np.abs(rights - x) <= EDGE) & spans.heard)
    if not len(near):
        return None
    at = int(near[np.abs(rights[near] - x).argmin()])
    return spans.slices.ids[at] if rights[at] - lefts[at] > 3 * EDGE else None


def between(shown: Shown, first: float, last: float) -> list[SliceId]:
    """Hits that begin between two session frames."""
    spans = spans_of(shown)
    if spans is None:
        return []
    low, high = sorted((first, last))
    inside = (spans.starts >= low) & (spans.starts < high) & spans.heard
    return spans.slices.id_array[inside].tolist()


def paint_slices(painter: QPainter, lane: Lane, shown: Shown, top: int) -> None:
    """A wash behind the chosen ones, a line where each begins, and at the foot what was done to it."""
    spans = spans_of(shown)
    if spans is None:
        return
    theme, view = lane.desk.view.theme, lane.desk.view
    lefts, rights = lane.xs_of(spans.starts), lane.xs_of(spans.ends)
    seen = np.flatnonzero((rights > HEADER) & (lefts < lane.width()) & spans.heard)
    foot, window = lane.height() - FOOT, shown.plan.window
    begin, end = (lane.x_of(frame) for frame in (window.start, window.end))
    painter.save()
    inside = QRectF(begin, 0, end - begin + 1, lane.height()).intersected(QRectF(lane.content))
    painter.setClipRect(inside, Qt.ClipOperation.IntersectClip)
    is_here = view.chosen.place == (shown.track.id, shown.clip.id)
    chosen = np.isin(spans.slices.id_array, view.chosen.hits) if is_here else np.zeros(len(lefts), bool)
    marked = seen[chosen[seen]]
    bands = _bands(lane, lefts[marked], rights[marked])
    _paint_bands(painter, bands, (top, foot - top), colour(theme.wash, 120))
    if len(seen) > MOST_LINES:  # tags would be too narrow to be told apart
        strip = (foot + 4, TAG)
        _paint_bands(painter, _bands(lane, lefts[seen], rights[seen]), strip, colour(theme.strong_rule))
        _paint_bands(painter, bands, strip, colour(theme.accent))
    else:
        painter.setPen(QPen(colour(theme.ink, 120), 1, Qt.PenStyle.DotLine))
        painter.drawLines([QLineF(x, top, x, foot) for x in lefts[seen].tolist()])
        painter.setPen(QPen(colour(theme.accent), 1.2))
        painter.drawLines([QLineF(x, top, x, foot) for x in lefts[marked].tolist()])
        _paint_tags(painter, lane, spans, lefts, rights, seen, chosen)
    painter.restore()


def paint_rhythm(painter: QPainter, lane: Lane, top: int) -> None:
    """Lines where dragged hits are pulled to, where that is the rhythm of another clip."""
    view, session = lane.desk.view, lane.desk.session
    known = {(track.id, clip.id) for track, clip in session.clips}
    if view.rhythm is None or view.rhythm not in known:
        return
    frames = session.tempo.seconds_at(rhythm_of(session, view.rhythm)) * session.rate
    xs = lane.xs_of(frames)
    xs = xs[(xs > HEADER) & (xs < lane.width())]
    painter.setPen(QPen(colour(lane.desk.view.theme.accent, 170), 1, Qt.PenStyle.DashLine))
    painter.drawLines([QLineF(x, top, x, lane.height() - FOOT) for x in xs.tolist()])


def _bands(lane: Lane, lefts: NDArray[np.float64], rights: NDArray[np.float64]) -> list[tuple[int, int]]:
    """Columns of pixels that spans cover, as few bands as there are."""
    width = lane.width()
    edges = np.zeros(width + 1, np.int64)
    np.add.at(edges, np.clip(np.floor(lefts), 0, width).astype(np.int64), 1)
    np.add.at(edges, np.clip(np.maximum(np.floor(rights), lefts + 1), 0, width).astype(np.int64), -1)
    is_covered = np.append(np.cumsum(edges)[:-1] > 0, False)
    turns = np.flatnonzero(np.diff(np.append(False, is_covered)))
    return list(zip(turns[::2].tolist(), turns[1::2].tolist(), strict=True))


def _paint_bands(
    painter: QPainter, bands: list[tuple[int, int]], place: tuple[int, int], value: QColor
) -> None:
    top, height = place
    painter.setPen(Qt.PenStyle.NoPen)
    painter.setBrush(value)
    painter.drawRects([QRectF(left, top, right - left, height) for left, right in bands])


def _paint_tags(  # noqa: PLR0917 - what is seen, and of it what is chosen
    painter: QPainter,
    lane: Lane,
    spans: Spans,
    lefts: NDArray[np.float64],
    rights: NDArray[np.float64],
    seen: NDArray[np.int64],
    chosen: NDArray[np.bool_],
) -> None:
    theme, y = lane.desk.view.theme, lane.height() - FOOT + 4
    painter.setFont(figure_font(10))
    following = np.append(lefts[1:], np.inf)
    words = tags_of(spans.slices)
    for at in seen.tolist():
        right = min(rights[at], following[at])
        box = QRectF(lefts[at] + 0.5, y + 0.5, max(2.0, right - lefts[at] - 2), TAG)
        painter.setPen(QPen(colour(theme.accent if chosen[at] else theme.strong_rule), 1))
        painter.setBrush(colour(theme.accent if chosen[at] else theme.paper))
        painter.drawRoundedRect(box, 3, 3)
        if words[at] and box.width() >= painter.fontMetrics().horizontalAdvance(words[at]) + NARROWEST_TAG:
            painter.setPen(colour(theme.on_ink if chosen[at] else theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words[at])


def tags_of(slices: Slices) -> list[str]:
    """What was done to each hit: ← reversed, ×8 a roll, its pitch, ~ scattered."""
    rolled, spread = slices.column("rolled"), slices.column("scattered")
    turned, pitch = slices.column("reversed"), slices.column("semitones")
    touched = np.flatnonzero((rolled > 0) | (spread > 0) | turned | (pitch != 0))
    words = [""] * len(slices)
    for at in touched.tolist():
        parts = ["←"] if turned[at] else []
        if rolled[at]:
            roll = slices.rolls[int(rolled[at]) - 1]
            parts.append("≣" if roll.step else f"×{roll.count}")
        if pitch[at]:
            parts.append(signed(float(pitch[at]), 0 if float(pitch[at]).is_integer() else 2))
        words[at] = " ".join([*parts, *(["~"] if spread[at] else [])])
    return words
