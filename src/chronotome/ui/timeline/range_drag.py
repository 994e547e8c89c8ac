"""A range that is swept over the waves of one track or several."""

from collections.abc import Callable

import numpy as np

from chronotome.session.edits.clips import Range
from chronotome.session.grid import nearest_lines
from chronotome.session.model import TrackId
from chronotome.ui.desk import Desk
from chronotome.ui.timeline.clip_drag import STRAIGHT

STILL = 4
"""Pixels that a hand moves without meaning it."""


class RangeDrag:
    """From where it was pressed to where the pointer is, over all tracks between; a click where it rests."""

    def __init__(self, desk: Desk, track: TrackId, x: float, frame: float, click: Callable[[], None]) -> None:
        self._desk, self._track, self._x = desk, track, x
        self._start, self._click = frame, click
        self._before = desk.view.range
        self._is_meant = False

    def to(self, x: float, frame: float, track: TrackId | None, *, is_free: bool) -> None:
        self._is_meant = self._is_meant or abs(x - self._x) > STILL or track not in {None, self._track}
        if not self._is_meant:
            return
        order = [each.id for each in self._desk.session.tracks]
        first, last = sorted((order.index(self._track), order.index(track or self._track)))
        start, end = sorted((self._start, frame))
        if not is_free:
            start, end = self._snapped(start), self._snapped(end)
        if end > start:
            span = Range(max(0, round(start)), round(end), tuple(order[first : last + 1]))
            self._desk.view.choose_range(span)

    def _snapped(self, frame: float) -> float:
        """On a line of the grid that is shown, where snap is on."""
        desk, view = self._desk, self._desk.view
        if not view.is_snapping:
            return frame
        session = desk.session
        beat = session.tempo.beat_of(frame / session.rate)
        line = float(nearest_lines(np.array([beat]), view.grid, session.metre, STRAIGHT)[0])
        return session.tempo.seconds_of(line) * session.rate

    def finish(self) -> None:
        if not self._is_meant:
            self._desk.view.choose_range(None)
            self._click()

    def cancel(self) -> None:
        self._desk.view.choose_range(self._before)
