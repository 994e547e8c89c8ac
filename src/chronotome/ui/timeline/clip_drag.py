"""Dragging clips: moved, copied, trimmed, faded, repeated. A draft at each move, one step when let go."""

from dataclasses import dataclass

from chronotome.bridge.store import Edit
from chronotome.session.edits.clips import MOST_TIMES, Place, copy, move, repeat, set_clip, trim
from chronotome.session.model import Session, TrackId
from chronotome.ui.state.shown import Shown, period_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.clip_frames import ClipFrame, Grip
from chronotome.ui.timeline.gestures import on_a_line
from chronotome.words import tr

LABELS = {
    Grip.BODY: tr("Move clip"),
    Grip.START: tr("Trim start of clip"),
    Grip.END: tr("Trim end of clip"),
    Grip.RISE: tr("Fade in clip"),
    Grip.FALL: tr("Fade out clip"),
    Grip.AGAIN: tr("Repeat clip"),
}
HINTS = {
    Grip.BODY: tr(
        "Drag to move the clip, Ctrl+drag to copy, drag out of the window to export. Shift: no snap."
    ),
    Grip.START: tr("Drag to trim. The audio stays in place."),
    Grip.END: tr("Drag to trim. The audio stays in place."),
    Grip.RISE: tr("Drag to fade in."),
    Grip.FALL: tr("Drag to fade out."),
    Grip.AGAIN: tr("Drag right to repeat the clip."),
}


@dataclass
class ClipDrag:
    """A clip that is being dragged by one of its grips."""

    desk: UiContext
    frame: ClipFrame
    grip: Grip
    grabbed: float
    """Session frame under the pointer when it was taken."""
    places: tuple[Place, ...]
    """All that move along."""
    copies: bool = False
    edit: Edit | None = None
    words: str = ""

    @property
    def shown(self) -> Shown:
        return self.frame.shown

    def to(self, frame: float, *, is_free: bool, track: TrackId | None = None) -> None:
        """Draft what letting go here would do."""
        edit = self._edit(frame, is_free=is_free, track=track)
        self.edit = edit
        if edit is None:
            self.desk.store.drop_draft()
        else:
            self.desk.store.draft(edit)

    def _edit(self, frame: float, *, is_free: bool, track: TrackId | None) -> Edit | None:
        if self.grip is Grip.BODY:
            return self._moved(frame, is_free=is_free, track=track)
        if self.grip is Grip.AGAIN:
            return self._repeated(frame)
        if self.grip in {Grip.RISE, Grip.FALL}:
            return self._faded(frame)
        return self._trimmed(frame, is_free=is_free)

    def _moved(self, frame: float, *, is_free: bool, track: TrackId | None) -> Edit | None:
        by = round(frame - self.grabbed if is_free else self._in_steps(frame))
        own = self.shown.track.id
        to = track if track is not None and len(self.places) == 1 else own
        if by == 0 and to == own:
            return None
        places, copies = self.places, self.copies
        target = None if to == own else to

        def edit(session: Session) -> Session:
            return copy(session, places, by, target) if copies else move(session, places, by, target)

        return edit

    def _in_steps(self, frame: float) -> float:
        """Frames from where it was taken, in whole steps of the grid: what was in time stays so."""
        desk, view = self.desk, self.desk.view
        if not view.is_snapping:
            return frame - self.grabbed
        session = desk.session
        start = float(self.shown.heard_anchors[0])
        beat = session.beat_of(start)
        beats = session.beat_of(start + frame - self.grabbed) - beat
        steps = round(beats / view.grid.step)
        return session.frame_of(beat + steps * view.grid.step) - start

    def _repeated(self, frame: float) -> Edit | None:
        window, every = self.shown.heard_anchors, self.every()
        times = min(MOST_TIMES, round((frame - float(window[-1])) / every))
        self.words = f"×{max(0, times) + 1}"
        if times < 1:
            return None
        place = self.frame.place
        return lambda session: repeat(session, *place, times, every)

    def every(self) -> int:
        """Frames after which it comes again: whole beats where it is about so long."""
        return period_of(self.desk.session, self.shown)

    def _faded(self, frame: float) -> Edit:
        window, rate = self.shown.heard_anchors, self.shown.rate
        length = float(window[-1] - window[0]) / rate
        is_out = self.grip is Grip.FALL
        seconds = (float(window[-1]) - frame if is_out else frame - float(window[0])) / rate
        seconds = round(min(max(0.0, seconds), length), 4)
        self.words = tr("{0:.0f} ms", 1000 * seconds)
        values = {"fade_out" if is_out else "fade_in": seconds}
        place = self.frame.place
        return lambda session: set_clip(session, [place], **values)

    def _trimmed(self, frame: float, *, is_free: bool) -> Edit:
        source = self.shown.recording_frame_beyond(frame if is_free else on_a_line(self.desk, frame))
        is_reversed = self.shown.take.mirror is not None
        place, is_start = self.frame.place, (self.grip is Grip.START) is not is_reversed

        def edit(session: Session) -> Session:
            return trim(session, *place, start=source if is_start else None, end=None if is_start else source)

        return edit

    def finish(self) -> None:
        if self.edit is None:
            self.desk.store.drop_draft()
            return
        label = tr("Copy clip") if self.copies and self.grip is Grip.BODY else LABELS[self.grip]
        before = {clip.id for _, clip in self.desk.store.history.session.clips}
        self.desk.store.apply(self.edit, label)
        known = {clip.id: track.id for track, clip in self.desk.session.clips}
        new = tuple((track, clip) for clip, track in known.items() if clip not in before)
        kept = tuple((known[clip], clip) for _, clip in self.places if clip in known)
        self.desk.view.chosen.choose_clips(new if self.copies and new else kept)

    def cancel(self) -> None:
        self.desk.store.drop_draft()
