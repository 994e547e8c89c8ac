"""Dragging hits: moved, copied, made longer or shorter. A draft at each move, one step when let go."""

from dataclasses import dataclass, field

import numpy as np

from chronotome.bridge.store import Edit
from chronotome.session.edits.clips import Place
from chronotome.session.edits.hits import beats_of, copy, delete, landing, lengthen, move
from chronotome.session.edits.rhythm import rhythm_of
from chronotome.session.edits.slicing import is_apart
from chronotome.session.model import Session
from chronotome.session.slices import SliceId
from chronotome.ui.state.figures import counted, milliseconds, signed
from chronotome.ui.state.shown import Shown, spans_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import STILL, on_a_line
from chronotome.units import BeatArray
from chronotome.words import tr

SHORTEST = 0.003
"""Seconds of a hit whose edge is dragged."""


def where_apart(place: Place, edit: Edit) -> Edit:
    """An edit of hits, for when their clip is still there and taken apart."""
    return lambda session: edit(session) if is_apart(session, place) else session


def _ids_in(session: Session, place: Place) -> tuple[SliceId, ...]:
    if not is_apart(session, place):
        return ()
    slices = session.track(place[0]).clip(place[1]).take.slices
    return () if slices is None else slices.ids


def landed_on(
    before: Session, after: Session, place: Place, hits: tuple[SliceId, ...]
) -> tuple[SliceId, ...]:
    """Hits on which others were put, and did not lie before: what is put there replaces them."""
    known = set(_ids_in(before, place))
    new = [each for each in _ids_in(after, place) if each not in known]
    if not known:
        return ()
    beside = set(landing(before, place, hits))
    return tuple(each for each in landing(after, place, new or hits) if each not in beside)


@dataclass
class SliceDrag:
    """Chosen hits that are being dragged by one of them."""

    desk: UiContext
    place: Place
    hits: tuple[SliceId, ...]
    x: float
    grabbed: float
    """Session frame under the pointer when it was taken."""
    heard: float
    """Where the hit that was taken sounds, in beats, and where it is before Tighten moves it."""
    laid: float
    copies: bool = False
    edit: Edit | None = None
    words: str = ""
    lines: BeatArray | None = None
    """What it is pulled to, where that is not the grid."""

    def to(self, x: float, frame: float, *, is_free: bool, both_sound: bool = False) -> None:
        if self.edit is None and abs(x - self.x) < STILL:
            return
        session = self.desk.session
        wanted = session.frame_of(self.heard) + frame - self.grabbed
        beats = session.beat_of(wanted) - self.heard
        if not is_free and self.lines is not None and len(self.lines):
            line = float(self.lines[np.abs(self.lines - session.beat_of(wanted)).argmin()])
            beats = line - self.laid
        elif not is_free and self.desk.view.is_snapping:
            beats = session.beat_of(on_a_line(self.desk, wanted)) - self.laid
        place, hits, change = self.place, self.hits, copy if self.copies else move
        before = self.desk.store.history.session
        laid = where_apart(place, lambda session: change(session, place, hits, beats))
        self.words, self.edit = tr("{0} beats", signed(beats, 2)), laid
        gone = () if both_sound else landed_on(before, laid(before), place, hits)
        if gone:
            self.edit = lambda session: delete(laid(session), place, gone)
            self.words = tr("{0} · replaces {1}. Alt: both sound", self.words, counted(len(gone), "hit"))
        self.desk.store.draft(self.edit)

    def finish(self) -> None:
        if self.edit is None:
            return
        known = set(_ids_in(self.desk.store.history.session, self.place))
        what = "hit" if len(self.hits) == 1 else counted(len(self.hits), "hit")
        self.desk.store.apply(self.edit, f"{'Copy' if self.copies else 'Move'} {what}")
        new = tuple(each for each in _ids_in(self.desk.session, self.place) if each not in known)
        if new:
            self.desk.view.chosen.choose_hits(self.place, new)

    def cancel(self) -> None:
        self.desk.store.drop_draft()


def take_slice(
    desk: UiContext, shown: Shown, hit: SliceId, x: float, frame: float, *, copies: bool
) -> SliceDrag:
    """Begin to drag a hit, and the others that are chosen with it."""
    view, place = desk.view, (shown.track.id, shown.clip.id)
    hits = view.chosen.hits if hit in view.chosen.hits else (hit,)
    spans = spans_of(shown)
    at = 0 if spans is None else spans.slices.at([hit])[0]
    heard = 0.0 if spans is None else desk.session.beat_of(float(spans.starts[at]))
    laid = float(beats_of(desk.session, shown.take)[at])
    known = {(track.id, clip.id) for track, clip in desk.session.clips}
    lines = rhythm_of(desk.session, view.rhythm) if view.rhythm in known and view.rhythm else None
    return SliceDrag(desk, place, hits, x, frame, heard, laid, copies, lines=lines)


@dataclass
class LengthDrag:
    """The end of a hit that is being dragged: cut, ringing on, or stretched."""

    desk: UiContext
    place: Place
    hit: SliceId
    start: float
    """Session frame at which it sounds."""
    per_second: float
    """Of the recording's own time, seconds that are heard."""
    edit: Edit | None = None
    words: str = ""
    others: tuple[SliceId, ...] = field(default=())

    def to(self, frame: float, *, is_free: bool) -> None:
        end = frame if is_free else on_a_line(self.desk, frame)
        if end <= self.start:
            end = frame
        seconds = max(SHORTEST, (end - self.start) / self.desk.session.rate)
        place, hits, how = self.place, (self.hit, *self.others), self.desk.view.lengthens
        length = seconds / self.per_second
        self.words = milliseconds(1000 * seconds)

        def edit(session: Session) -> Session:
            return lengthen(session, place, hits, length, how)

        self.edit = where_apart(place, edit)
        self.desk.store.draft(self.edit)

    def finish(self) -> None:
        if self.edit is not None:
            self.desk.store.apply(self.edit, tr("Set hit length"))

    def cancel(self) -> None:
        self.desk.store.drop_draft()


def take_edge(desk: UiContext, shown: Shown, hit: SliceId) -> LengthDrag | None:
    """Begin to drag the end of a hit, and of those that are chosen with it."""
    spans, view = spans_of(shown), desk.view
    if spans is None:
        return None
    at = spans.slices.at([hit])[0]
    own = float(spans.slices.spans[at]) / shown.recording.rate
    heard = float(spans.ends[at] - spans.starts[at]) / desk.session.rate
    place = (shown.track.id, shown.clip.id)
    others = tuple(each for each in view.chosen.hits if each != hit) if hit in view.chosen.hits else ()
    return LengthDrag(desk, place, hit, float(spans.starts[at]), heard / own if own else 1.0, others=others)
