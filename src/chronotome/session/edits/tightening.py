"""Edits of Tighten: its settings, and hits moved by hand."""

from collections.abc import Callable

from chronotome.session.edits.tracks import changed, with_track
from chronotome.session.model import Clip, ClipId, Session, Track, TrackId, WarpMarker, replace
from chronotome.session.onsets import OnsetId

ClipChange = Callable[[Clip], Clip]


def set_tighten(session: Session, track: TrackId, **values: object) -> Session:
    """Change settings of Tighten for a track, or for the guide that it is locked to."""

    def change(old: Track) -> Track:
        if all(getattr(old.tighten, name) == value for name, value in values.items()):
            return old
        return replace(old, tighten=replace(old.tighten, **values))

    return with_track(session, session.guide_of(track), change)


def move_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId, beat: float) -> Session:
    """Put a hit at a beat by hand; it stays there when the rest is computed again."""

    def place(old: Clip) -> Clip:
        marker = WarpMarker(onset, beat)
        if old.marker_of(onset) == marker:
            return old
        others = [each for each in old.markers if each.onset != onset]
        return replace(old, markers=tuple(sorted([*others, marker], key=lambda each: each.onset)))

    return _with_clip(session, track, clip, place)


def reset_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId) -> Session:
    """Take back what was set by hand for one hit."""

    def release(old: Clip) -> Clip:
        kept = tuple(each for each in old.markers if each.onset != onset)
        return old if len(kept) == len(old.markers) else replace(old, markers=kept)

    return _with_clip(session, track, clip, release)


def reset_hits(session: Session, track: TrackId) -> Session:
    """Take back all that was set by hand on a track."""

    def change(old: Track) -> Track:
        clips = tuple(replace(clip, markers=()) if clip.markers else clip for clip in old.clips)
        return changed(old, clips=clips)

    return with_track(session, track, change)


def _with_clip(session: Session, track: TrackId, clip: ClipId, change: ClipChange) -> Session:
    def change_track(old: Track) -> Track:
        clips = tuple(change(each) if each.id == clip else each for each in old.clips)
        if all(new is each for new, each in zip(clips, old.clips, strict=True)):
            return old
        return replace(old, clips=clips)

    return with_track(session, track, change_track)
