"""Edits that cut clips: at an onset, and down to a span."""

from chronotome.session.edits.tracks import with_track
from chronotome.session.model import Clip, ClipId, LockGroup, Session, Track, TrackId, replace

SHORTEST = 2
"""Frames of a recording that a clip has at least."""


def crop(session: Session, track: TrackId, clip: ClipId, start: int, end: int) -> Session:
    """Keep frames [start, end) of the clip's recording; what is left sounds where it sounded."""

    def change(old: Track) -> Track:
        return replace(
            old,
            clips=tuple(
                _cropped(session, each, start, end) if each.id == clip else each for each in old.clips
            ),
        )

    old = next(each for each in session.track(track).clips if each.id == clip)
    if _cropped(session, old, start, end) is old:
        return session
    return with_track(session, track, change)


def cut(session: Session, track: TrackId, clip: ClipId, frame: int) -> Session:
    """Cut in two at a frame of the recording: what follows goes, in place, to a new track below."""
    old = session.track(track)
    content = next(each for each in old.clips if each.id == clip)
    head = _cropped(session, content, content.source_start, frame)
    tail = _cropped(session, content, frame, content.source_end)
    if head is content or tail is content:
        return session
    rest = replace(
        old, id=session.next_id + 1, name=f"{old.name} · 2", clips=(replace(tail, id=session.next_id),)
    )
    kept = replace(old, clips=tuple(head if each.id == clip else each for each in old.clips))
    tracks = [part for each in session.tracks for part in ((kept, rest) if each is old else (each,))]
    groups = tuple(_joined(group, track, rest.id) for group in session.lock_groups)
    return replace(session, tracks=tuple(tracks), lock_groups=groups, next_id=session.next_id + 2)


def _joined(group: LockGroup, track: TrackId, new: TrackId) -> LockGroup:
    """A part of a follower follows too; a part of the guide goes its own way."""
    if track not in group.tracks or track == group.guide:
        return group
    return replace(group, tracks=(*group.tracks, new))


def _cropped(session: Session, clip: Clip, start: int, end: int) -> Clip:
    start, end = max(clip.source_start, start), min(clip.source_end, end)
    if end - start < SHORTEST or (start, end) == (clip.source_start, clip.source_end):
        return clip
    recording = session.recording_of(clip)
    later = round((start - clip.source_start) * session.rate / recording.rate)
    frames = dict(zip(recording.onsets.ids, recording.onsets.frames, strict=True))
    markers = tuple(each for each in clip.markers if start <= frames.get(each.onset, -1) < end)
    return replace(clip, source_start=start, source_end=end, start=clip.start + later, markers=markers)
