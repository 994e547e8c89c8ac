"""Edits of Tighten: its settings, and hits moved by hand."""

from collections.abc import Callable

from chronotome.session.edits.tracks import with_takes, with_track
from chronotome.session.model import ClipId, Session, Take, Touch, Track, TrackId, replace
from chronotome.session.onsets import OnsetId

TakeChange = Callable[[Take], Take]


def set_tighten(session: Session, track: TrackId, **values: object) -> Session:
    """Change settings of Tighten for a track, or for the guide that it is locked to."""

    def change(old: Track) -> Track:
        if all(getattr(old.tighten, name) == value for name, value in values.items()):
            return old
        return replace(old, tighten=replace(old.tighten, **values))

    return with_track(session, session.guide_of(track), change)


def move_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId, beat: float) -> Session:
    """Put a hit at a beat by hand; it stays there when the rest is computed again."""

    def place(old: Take) -> Take:
        touch = Touch(onset, beat)
        if old.touch_of(onset) == touch:
            return old
        others = [each for each in old.touches if each.onset != onset]
        return replace(old, touches=tuple(sorted([*others, touch], key=lambda each: each.onset)))

    return _with_take(session, track, clip, place)


def reset_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId) -> Session:
    """Take back what was set by hand for one hit."""

    def release(old: Take) -> Take:
        kept = tuple(each for each in old.touches if each.onset != onset)
        return old if len(kept) == len(old.touches) else replace(old, touches=kept)

    return _with_take(session, track, clip, release)


def reset_hits(session: Session, track: TrackId) -> Session:
    """Take back all that was set by hand on a track."""

    def change(old: Track) -> Track:
        return with_takes(old, lambda take: replace(take, touches=()) if take.touches else take)

    return with_track(session, track, change)


def _with_take(session: Session, track: TrackId, clip: ClipId, change: TakeChange) -> Session:
    """A clip's take changed, and that of all its other parts with it."""

    def change_track(old: Track) -> Track:
        take = old.clip(clip).take
        return with_takes(old, lambda each: change(each) if each is take else each)

    return with_track(session, track, change_track)
