"""A range that is swept over the waves of one track or several."""

from collections.abc import Callable

from chronotome.session.edits.clips import Range
from chronotome.session.model import TrackId
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import STILL, on_a_line


class RangeDrag:
    """From where it was pressed to where the pointer is, over all tracks between; a click where it rests."""

    def __init__(
        self, desk: UiContext, track: TrackId, x: float, frame: float, click: Callable[[], None]
    ) -> None:
        self._desk, self._track, self._x = desk, track, x
        self._start, self._click = frame, click
        self._before = desk.view.chosen.range
        self._is_meant = False

    @property
    def held(self) -> Range | None:
        """The range that was there, where the hand took hold within it."""
        span = self._before
        is_within = span is not None and span.start <= self._start < span.end and self._track in span.tracks
        return span if is_within else None

    def to(self, x: float, frame: float, track: TrackId | None, *, is_free: bool) -> None:
        self._is_meant = self._is_meant or abs(x - self._x) > STILL or track not in {None, self._track}
        if not self._is_meant:
            return
        order = self._as_shown()
        if self._track not in order:  # it was removed by a key meanwhile
            return
        first, last = sorted((order.index(self._track), order.index(track or self._track)))
        start, end = sorted((self._start, frame))
        if not is_free:
            start, end = on_a_line(self._desk, start), on_a_line(self._desk, end)
        if end > start:
            span = Range(max(0, round(start)), round(end), tuple(order[first : last + 1]))
            self._desk.view.chosen.choose_range(span)

    def _as_shown(self) -> list[TrackId]:
        """Tracks as their lanes stand: the focused one above all others."""
        focused = self._desk.view.chosen.focused
        return sorted(
            (each.id for each in self._desk.session.tracks),
            key=lambda each: focused is None or each != focused.id,
        )

    def finish(self) -> None:
        if not self._is_meant:
            self._desk.view.chosen.choose_range(None)
            self._click()

    def cancel(self) -> None:
        self._desk.view.chosen.choose_range(self._before)
