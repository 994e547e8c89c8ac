"""A lane in which a track's clips can be taken: by their strips, edges, fades and lower corners."""

from collections.abc import Callable, Sequence
from functools import partial

from PySide6.QtCore import QLineF, QPointF, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QApplication

from chronotome.session.edits.clips import in_groups
from chronotome.session.model import Track, TrackId
from chronotome.ui.state.shown import Shown, all_shown
from chronotome.ui.state.theme import colour
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.clip_drag import HINTS, ClipDrag
from chronotome.ui.timeline.clip_frames import Grip, clip_badge_at, grip_at
from chronotome.ui.timeline.gestures import STILL, is_free
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.range_drag import RangeDrag
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.words import tr

CURSORS = {
    Grip.BODY: Qt.CursorShape.OpenHandCursor,
    Grip.START: Qt.CursorShape.SizeHorCursor,
    Grip.END: Qt.CursorShape.SizeHorCursor,
    Grip.RISE: Qt.CursorShape.PointingHandCursor,
    Grip.FALL: Qt.CursorShape.PointingHandCursor,
    Grip.AGAIN: Qt.CursorShape.PointingHandCursor,
}


class ClipLane(TrackLane):
    """Click a strip: choose the clip, with Shift or Ctrl more of them. Drag: move, trim, fade, repeat."""

    scrolls_in_sweep = True
    clip_hint = tr(
        "Drag a clip title to move it, its edges to trim, its corners to fade.\nCtrl+drag "
        "copies. Shift+click selects more. Drag over the wave to select a range."
    )

    def __init__(self, desk: UiContext, name: str, of: Callable[[], Track | None]) -> None:
        super().__init__(desk, name)
        self._of = of

    @property
    def clips(self) -> Sequence[Shown]:
        """All clips of the lane's track, in the order in which they sound."""
        track, store = self._of(), self.desk.store
        known = {each.id for each in store.placed.tracks}
        if track is None or track.id not in known:
            return ()
        placed = self.desk.placed
        return all_shown(placed, placed.track(track.id), self.desk.transport.side)

    def told_at(self, place: QPointF) -> str:
        found = None
        if place.x() >= HEADER and self.desk.view.stage is Stage.REWORK:
            found = clip_badge_at(self, self.clips, place)
        return "" if found is None else found[1].told

    def press_clip(self, event: QMouseEvent) -> bool:
        """Take the clip under the pointer; False where there is none."""
        x, y = event.position().x(), event.position().y()
        badge = clip_badge_at(self, self.clips, event.position()) if x >= HEADER else None
        if badge is not None:
            self.desk.view.chosen.choose_clips((badge[0].place,))
            self.desk.view.want_setting(badge[1].stage, badge[1].control)
            return True
        found = grip_at(self, self.clips, x, y) if x >= HEADER else None
        if found is None and x >= HEADER and self.press_inside(event):
            return True
        if found is None:
            track = self._of()
            if track is not None and x >= HEADER:
                click = partial(self.click_wave, x)
                self.hold(RangeDrag(self.desk, track.id, x, self.frame_of(x), click), self._sweep_range)
                return True
            self.desk.view.chosen.choose_clips(())
            return False
        frame, grip = found
        view, keys = self.desk.view, event.modifiers()
        is_more = bool(keys & Qt.KeyboardModifier.ShiftModifier)
        is_copy = bool(keys & Qt.KeyboardModifier.ControlModifier)
        others = tuple(place for place in view.chosen.clips if place != frame.place)
        if frame.place in view.chosen.clips and is_more:
            gone = in_groups(self.desk.session, (frame.place,))
            view.chosen.choose_clips(tuple(place for place in others if place not in gone))
            return True
        is_more = is_more or frame.place in view.chosen.clips
        view.chosen.choose_clips((*others, frame.place) if is_more else (frame.place,))
        places = view.chosen.clips if grip is Grip.BODY else (frame.place,)
        drag = ClipDrag(self.desk, frame, grip, self.frame_of(x), places, copies=is_copy)
        self.hold(drag, partial(self._move_clip, event.position()))
        return True

    def offers_clip_at(self, x: float, y: float) -> str:
        """The clip under the pointer, or the hits that are selected in it."""
        view, found = self.desk.view, grip_at(self, self.clips, x, y)
        if found is None:
            is_chosen = view.chosen.clips or view.chosen.range is not None
            return "slices" if view.chosen.hits else "clip" if is_chosen else ""
        if found[0].place not in view.chosen.clips:
            view.chosen.choose_clips((found[0].place,))
        return "clip"

    def press_inside(self, event: QMouseEvent) -> bool:  # noqa: ARG002 - what lanes with more in them read
        """Take something within a clip; False where there is nothing."""
        return False

    def click_wave(self, x: float) -> None:
        """What a click between the handles does: the playhead goes there."""
        self.desk.view.chosen.choose_clips(())
        self.desk.transport.go_to(self.frame_of(x))

    def paint_range(self, painter: QPainter) -> None:
        span, track = self.desk.view.chosen.range, self._of()
        if span is None or track is None or track.id not in span.tracks:
            return
        left, right = max(HEADER, self.x_of(span.start)), self.x_of(span.end)
        if right > left:
            painter.fillRect(
                QRectF(left, 0, right - left, self.height()), colour(self.desk.view.theme.wash, 110)
            )
            painter.setPen(QPen(colour(self.desk.view.theme.accent), 1))
            painter.drawLines([QLineF(x, 0, x, self.height()) for x in (self.x_of(span.start), right)])

    def _sweep_range(self, drag: RangeDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        x = event.position().x()
        drag.to(x, self.frame_of(x), self._track_under(event), is_free=is_free(event))

    def _move_clip(self, pressed: QPointF, drag: ClipDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        if drag.edit is None and (event.position() - pressed).manhattanLength() <= STILL:
            return
        to = self._track_under(event) if drag.grip is Grip.BODY else None
        drag.to(self.frame_of(event.position().x()), is_free=is_free(event), track=to)
        if drag.words:
            self.desk.say(drag.words)

    def point_at_clip(self, event: QMouseEvent) -> None:
        """What a press would take of the clips, as a cursor and in words."""
        found = grip_at(self, self.clips, event.position().x(), event.position().y())
        self.setCursor(Qt.CursorShape.ArrowCursor if found is None else CURSORS[found[1]])
        self.desk.view.hint(self.clip_hint if found is None else HINTS[found[1]])

    def _track_under(self, event: QMouseEvent) -> TrackId | None:
        """The track whose lane the pointer is over while a clip is dragged."""
        lane = QApplication.widgetAt(event.globalPosition().toPoint())
        track = lane._of() if isinstance(lane, ClipLane) else None  # noqa: SLF001 - another of these
        return None if track is None else track.id
