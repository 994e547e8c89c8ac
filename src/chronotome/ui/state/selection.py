"""What is chosen: one immutable value, of names alone, and what each choice makes of another."""

from collections.abc import Iterable
from dataclasses import dataclass, replace

from chronotome.session.edits.clips import Place, Range, in_groups
from chronotome.session.model import Clip, Session, Track, TrackId
from chronotome.session.onsets import OnsetId
from chronotome.session.patterns import StepId
from chronotome.session.slices import SliceId


@dataclass(frozen=True)
class Selection:
    """Of clips, hits or steps, a span and onsets, one kind is chosen at a time.

    What was removed from the session since may still be named here: the questions, which are given a session,
    leave it out.
    """

    track: TrackId | None = None
    """The one in the tall lane, once somebody has brought one there."""
    clips: tuple[Place, ...] = ()
    """The last chosen one last, as everywhere below."""
    worked_on: Place | None = None
    """The clip whose hits or steps were chosen last."""
    parts: tuple[SliceId | StepId, ...] = ()
    """Hits of that clip, or steps of the pattern that it plays."""
    span: Range | None = None
    onsets: tuple[OnsetId, ...] = ()
    onset: OnsetId | None = None
    """The one of them that keys move on from."""
    beat: float | None = None
    """Of the recording, in Fit."""

    def at_track(self, track: TrackId) -> "Selection":
        return replace(self, track=track, onsets=(), onset=None, beat=None)

    def with_clips(self, session: Session, clips: Iterable[Place]) -> "Selection":
        """With those in a group with them. The track of the last comes into the tall lane."""
        clips = in_groups(session, tuple(clips))
        there = self._brought(session, clips[-1][0]) if clips else self
        worked_on = None if clips else self.worked_on
        if (there.clips, there.parts, there.span) == (clips, (), None):
            return replace(there, worked_on=worked_on)
        return Selection(there.track, clips, worked_on)

    def with_parts(self, session: Session, place: Place, parts: Iterable[SliceId | StepId]) -> "Selection":
        """Hits or steps of a clip, whose track comes into the tall lane."""
        parts = tuple(dict.fromkeys(parts))
        there = self._brought(session, place[0])
        if (there.worked_on, there.parts, there.clips, there.span) == (place, parts, (), None):
            return there
        return Selection(track=there.track, worked_on=place, parts=parts)

    def with_span(self, span: Range | None) -> "Selection":
        return self if span == self.span else Selection(self.track, worked_on=self.worked_on, span=span)

    def with_onsets(self, onsets: tuple[OnsetId, ...], head: OnsetId | None) -> "Selection":
        return replace(self, onsets=onsets, onset=head)

    def with_beat(self, beat: float | None) -> "Selection":
        return replace(self, beat=beat)

    def _brought(self, session: Session, track: TrackId) -> "Selection":
        focused = self.focused(session)
        return self if focused is not None and focused.id == track else self.at_track(track)

    def focused(self, session: Session) -> Track | None:
        """The track in the tall lane: the first one until another is brought there."""
        tracks = session.tracks
        return next((track for track in tracks if track.id == self.track), tracks[0] if tracks else None)

    def clips_in(self, session: Session) -> tuple[Place, ...]:
        known = {(track.id, clip.id) for track, clip in session.clips} if self.clips else set()
        return tuple(place for place in self.clips if place in known)

    def span_in(self, session: Session) -> Range | None:
        """Of tracks that are all still there."""
        known = {track.id for track in session.tracks} if self.span is not None else set()
        return None if self.span is None or not known.issuperset(self.span.tracks) else self.span

    def clip(self, session: Session) -> Clip | None:
        """The clip of the focused track that is worked on: the last chosen, or its first."""
        track = self.focused(session)
        if track is None:
            return None
        chosen = [clip for each, clip in self.clips_in(session) if each == track.id]
        if not chosen and self.worked_on is not None and self.worked_on[0] == track.id:
            chosen = [clip.id for clip in track.clips if clip.id == self.worked_on[1]]
        return track.clip(chosen[-1]) if chosen else next(iter(track.clips), None)

    def place(self, session: Session) -> Place | None:
        """The focused track and its clip that is worked on."""
        track, clip = self.focused(session), self.clip(session)
        return None if track is None or clip is None else (track.id, clip.id)

    def hits_in(self, session: Session) -> tuple[SliceId, ...]:
        clip = self._of_parts(session)
        known = set() if clip is None or clip.take.slices is None else set(clip.take.slices.ids)
        return tuple(each for each in self.parts if each in known)

    def steps_in(self, session: Session) -> tuple[StepId, ...]:
        clip = self._of_parts(session)
        pattern = None if clip is None else session.pattern_of(clip.take)
        known = set() if pattern is None else set(pattern.ids)
        return tuple(each for each in self.parts if each in known)

    def _of_parts(self, session: Session) -> Clip | None:
        """The clip that is worked on where hits or steps of it are chosen."""
        clip = self.clip(session) if self.parts else None
        return clip if clip is not None and self.place(session) == self.worked_on else None
