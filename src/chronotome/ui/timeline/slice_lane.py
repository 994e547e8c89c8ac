"""A lane in which hits of clips that were taken apart can be taken, beside the clips themselves."""

from collections.abc import Callable

from PySide6.QtCore import Qt
from PySide6.QtGui import QMouseEvent

from chronotome.session.edits.clips import Place
from chronotome.session.model import Track
from chronotome.session.slices import SliceId
from chronotome.ui.commands.slices import SliceCommands
from chronotome.ui.state.shown import Shown, spans_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.clip_frames import grip_at
from chronotome.ui.timeline.clip_lane import ClipLane
from chronotome.ui.timeline.gestures import is_free
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.slice_drag import LengthDrag, SliceDrag, take_edge, take_slice
from chronotome.ui.timeline.slice_marks import FOOT, ON_LINE, between, slice_at, slice_edge_at
from chronotome.words import tr


class SliceLane(ClipLane):
    """Click a hit: choose and hear it, with Shift more. Drag: move, with Ctrl copy; its end: longer."""

    slice_hint = tr(
        "Click a hit to play it, drag to move it, its end to change the length.\n"
        "Ctrl+drag copies. Drag along the bottom edge to select several."
    )

    def __init__(
        self, desk: UiContext, name: str, of: Callable[[], Track | None], slices: SliceCommands
    ) -> None:
        super().__init__(desk, name, of)
        self._slices = slices

    def is_in(self, shown: Shown, x: float) -> bool:
        return bool(shown.heard_anchors[0] <= self.frame_of(x) < shown.heard_anchors[-1])

    def press_inside(self, event: QMouseEvent) -> bool:
        """Take a hit of a clip that was taken apart; along the foot, and in gaps, sweep over several."""
        x, keys = event.position().x(), event.modifiers()
        shown = next((each for each in self.clips if self.is_in(each, x)), None)
        if shown is None or spans_of(shown) is None:
            return False
        view, place, frame = self.desk.view, (shown.track.id, shown.clip.id), self.frame_of(x)
        is_more = bool(keys & Qt.KeyboardModifier.ShiftModifier)
        kept = view.chosen.hits if is_more and view.chosen.place == place else ()
        hit, edge = slice_at(shown, self.frame_of(x + ON_LINE)), slice_edge_at(self, shown, x)
        is_foot = event.position().y() >= self.height() - FOOT
        if hit is None or is_foot:

            def sweep(first: float, last: float) -> None:
                view.chosen.choose_hits(place, (*kept, *between(shown, first, last)))

            def click() -> None:
                if hit is not None:
                    self._choose_slice(place, hit, is_more=is_more)
                else:
                    view.chosen.choose_hits(place, ())
                    self.desk.transport.go_to(frame)

            self.begin_sweep(x, click, sweep)
        elif edge is not None and not keys:
            self._hold_edge(take_edge(self.desk, shown, edge))
        else:
            if hit not in view.chosen.hits or is_more or view.chosen.place != place:
                self._choose_slice(place, hit, is_more=is_more)
            copies = bool(keys & Qt.KeyboardModifier.ControlModifier)
            self._slices.hear(hit)
            self.hold(take_slice(self.desk, shown, hit, x, frame, copies=copies), self._move_slice)
        return True

    def _hold_edge(self, drag: LengthDrag | None) -> None:
        if drag is not None:
            self.hold(drag, self._move_edge)

    def _choose_slice(self, place: Place, hit: SliceId, *, is_more: bool) -> None:
        """One hit; with Shift it is chosen with the others, or no longer."""
        view = self.desk.view
        others = view.chosen.hits if is_more and view.chosen.place == place else ()
        left = tuple(each for each in others if each != hit)
        view.chosen.choose_hits(place, left if hit in others else (*left, hit))

    def _move_slice(self, drag: SliceDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        x, both = event.position().x(), bool(event.modifiers() & Qt.KeyboardModifier.AltModifier)
        drag.to(x, self.frame_of(x), is_free=is_free(event), both_sound=both)
        if drag.words:
            self.desk.say(drag.words)

    def _move_edge(self, drag: LengthDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        drag.to(self.frame_of(event.position().x()), is_free=is_free(event))
        if drag.words:
            self.desk.say(drag.words)

    def point_at_clip(self, event: QMouseEvent) -> None:
        """What a press would take, of hits too."""
        super().point_at_clip(event)
        x, y = event.position().x(), event.position().y()
        if x < HEADER or grip_at(self, self.clips, x, y) is not None:
            return
        shown = next((each for each in self.clips if self.is_in(each, x)), None)
        if shown is None or spans_of(shown) is None:
            return
        is_edge = y < self.height() - FOOT and slice_edge_at(self, shown, x) is not None
        self.setCursor(Qt.CursorShape.SizeHorCursor if is_edge else Qt.CursorShape.ArrowCursor)
        self.desk.view.hint(self.slice_hint)
