"""A lane in which a track's clips can be taken: by their strips, edges, fades and lower corners."""

from collections.abc import Callable, Sequence

from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QMouseEvent
from PySide6.QtWidgets import QApplication

from chronotome.session.edits.clips import in_groups
from chronotome.session.model import Track, TrackId
from chronotome.ui.desk import Desk
from chronotome.ui.timeline.clip_drag import HINTS, ClipDrag
from chronotome.ui.timeline.clip_frames import Grip, grip_at
from chronotome.ui.timeline.gestures import is_free
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.shown import Shown, all_shown
from chronotome.ui.timeline.track_lane import TrackLane

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

    clip_hint = "A clip’s strip: click chooses, drag moves, Ctrl+drag copies. Edges trim, corners fade."

    def __init__(self, desk: Desk, name: str, of: Callable[[], Track | None]) -> None:
        super().__init__(desk, name)
        self._of = of
        self._pressed = QPointF()

    @property
    def clips(self) -> Sequence[Shown]:
        """All clips of the lane's track, in the order in which they sound."""
        track, store = self._of(), self.desk.store
        known = {each.id for each in store.placed.tracks}
        if track is None or track.id not in known:
            return ()
        return all_shown(store.placed, store.placed.track(track.id), self.desk.transport.side)

    def press_clip(self, event: QMouseEvent) -> bool:
        """Take the clip under the pointer; False where there is none."""
        x, y = event.position().x(), event.position().y()
        found = grip_at(self, self.clips, x, y) if x >= HEADER else None
        if found is None:
            self.desk.view.choose_clips(())
            return False
        frame, grip = found
        view, keys = self.desk.view, event.modifiers()
        is_more = bool(keys & Qt.KeyboardModifier.ShiftModifier)
        is_copy = bool(keys & Qt.KeyboardModifier.ControlModifier)
        others = tuple(place for place in view.clips if place != frame.place)
        if frame.place in view.clips and is_more:
            gone = in_groups(self.desk.session, (frame.place,))
            view.choose_clips(tuple(place for place in others if place not in gone))
            return True
        view.choose_clips((*others, frame.place) if is_more or frame.place in view.clips else (frame.place,))
        places = view.clips if grip is Grip.BODY else (frame.place,)
        self._pressed = event.position()
        self.drag = ClipDrag(self.desk, frame, grip, self.frame_of(x), places, copies=is_copy)
        return True

    def move_clip(self, event: QMouseEvent) -> None:
        """Go on dragging, or show what a press would take."""
        drag = self.drag
        if isinstance(drag, ClipDrag):
            if drag.edit is None and (event.position() - self._pressed).manhattanLength() < 4:
                return
            to = self._track_under(event) if drag.grip is Grip.BODY else None
            drag.to(self.frame_of(event.position().x()), is_free=is_free(event), track=to)
            if drag.words:
                self.desk.say(drag.words)
            return
        found = grip_at(self, self.clips, event.position().x(), event.position().y())
        self.setCursor(Qt.CursorShape.ArrowCursor if found is None else CURSORS[found[1]])
        self.desk.view.hint(self.clip_hint if found is None else HINTS[found[1]])

    def _track_under(self, event: QMouseEvent) -> TrackId | None:
        """The track whose lane the pointer is over while a clip is dragged."""
        lane = QApplication.widgetAt(event.globalPosition().toPoint())
        track = lane._of() if isinstance(lane, ClipLane) else None  # noqa: SLF001 - another of these
        return None if track is None else track.id
