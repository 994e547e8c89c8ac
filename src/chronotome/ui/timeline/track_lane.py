"""A lane about the focused track, and the drags that start in it."""

from PySide6.QtGui import QMouseEvent

from chronotome.session.edits.tightening import reset_hit
from chronotome.ui.desk import Desk
from chronotome.ui.timeline.gestures import HitDrag, ValueDrag
from chronotome.ui.timeline.lane import Lane
from chronotome.ui.timeline.shown import Shown, shown_of


class TrackLane(Lane):
    """Shows the focused track's clip. Letting go keeps a drag, Escape leaves no trace of it."""

    def __init__(self, desk: Desk, name: str) -> None:
        super().__init__(desk, name)
        self.drag: HitDrag | ValueDrag | None = None
        desk.view.focus_changed.connect(self.update)

    @property
    def shown(self) -> Shown | None:
        track = self.desk.view.focused
        return None if track is None else shown_of(self.desk.session, track, self.desk.transport.side)

    def reset_hit(self, shown: Shown, at: int) -> None:
        """Take back what was set by hand for hit number `at` of the targets."""
        onset = int(shown.targets.onsets[at])
        self.desk.store.apply(
            lambda session: reset_hit(session, shown.track.id, shown.clip.id, onset), "Reset hit"
        )

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        if self.drag is not None:
            self.drag.finish()
            self.drag = None

    def cancel_drag(self) -> bool:
        """False if nothing was dragged."""
        if self.drag is None:
            return False
        self.drag.cancel()
        self.drag = None
        return True
