"""The header of a track's lane: dragged it goes to another place, its lower edge makes it taller."""

from collections.abc import Sequence
from typing import Protocol

from PySide6.QtCore import QPointF, QRect
from PySide6.QtGui import QMouseEvent
from PySide6.QtWidgets import QWidget

from chronotome.session.edits.tracks import move_track, rename, set_size
from chronotome.session.model import TrackId, TrackSize
from chronotome.ui.controls.typed import TypedName
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.lane import HEADER
from chronotome.words import tr

HEIGHTS = {TrackSize.FOLDED: 20, TrackSize.LOW: 38, TrackSize.USUAL: 56, TrackSize.TALL: 104}
FOOT = 5
"""Pixels above the lower edge by which a lane is made taller."""
MEANT = 6
"""Pixels from which on a press is a drag."""


class HeaderLane(Protocol):
    """A lane among others, as far as its header goes."""

    track_id: TrackId
    gap: bool | None

    def beside(self) -> Sequence["HeaderLane"]: ...
    def mapToGlobal(self, place: QPointF, /) -> QPointF: ...
    def height(self) -> int: ...
    def update(self) -> None: ...


class OrderDrag:
    """A track on its way among the others; it goes there when it is let go."""

    def __init__(self, desk: UiContext, lane: HeaderLane, at: QPointF) -> None:
        self._desk, self._lane, self._pressed = desk, lane, at
        self.is_meant = False
        self._after: TrackId | None = None
        self._is_before = False

    def to(self, event: QMouseEvent, lanes: Sequence[HeaderLane]) -> None:
        """Show the gap that it would go to."""
        self.is_meant = self.is_meant or abs(event.position().y() - self._pressed.y()) > MEANT
        if not self.is_meant:
            return
        y = event.globalPosition().y()
        for lane in lanes:
            top = lane.mapToGlobal(QPointF(0, 0)).y()
            is_over = top <= y < top + lane.height()
            is_first_half = y < top + lane.height() / 2
            lane.gap = None if not is_over else is_first_half
            if is_over:
                self._after, self._is_before = lane.track_id, is_first_half
            lane.update()

    def finish(self) -> None:
        self.cancel()
        if not self.is_meant or self._after is None or self._after == self._lane.track_id:
            return
        order = [track.id for track in self._desk.session.tracks]
        if not {self._after, self._lane.track_id} <= set(order):  # removed by a key meanwhile
            return
        track, own = self._lane.track_id, order.index(self._lane.track_id)
        others = [each for each in order if each != track]
        place = others.index(self._after) + (0 if self._is_before else 1)
        self._desk.store.apply(lambda session: move_track(session, track, place - own), tr("Move track"))

    def cancel(self) -> None:
        for lane in self._lane.beside():
            lane.gap = None
            lane.update()


class SizeDrag:
    """A lane that becomes taller or lower under the hand, in the steps there are."""

    def __init__(self, desk: UiContext, track: TrackId, at: float) -> None:
        self._desk, self._track = desk, track
        self._from, self._height = at, HEIGHTS[desk.session.track(track).size]
        self._size: TrackSize | None = None

    def to(self, y: float) -> None:
        wanted, track = self._height + y - self._from, self._track
        size = min(HEIGHTS, key=lambda each: abs(HEIGHTS[each] - wanted))
        if size is not self._size:
            self._size = size
            self._desk.store.draft(lambda session: set_size(session, track, size))

    def finish(self) -> None:
        size, track = self._size, self._track
        if size is None:
            self._desk.store.drop_draft()
        else:
            self._desk.store.apply(lambda session: set_size(session, track, size), tr("Track height"))

    def cancel(self) -> None:
        self._desk.store.drop_draft()


def type_name(desk: UiContext, lane: QWidget, track: TrackId) -> None:
    """The name of a track, typed where it stands."""

    def keep(name: str) -> None:
        desk.store.apply(lambda session: rename(session, track, name), tr("Rename track"))

    TypedName(lane, QRect(4, 2, HEADER - 10, 20), desk.session.track(track).name, keep, tr("Track name"))
