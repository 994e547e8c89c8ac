"""Edits of tracks: how loud they are, how they move, what they are called."""

from collections.abc import Callable, Sequence

from chronotome.session.model import LockGroup, Session, Take, Track, TrackId, TrackSize, replace

LOUDEST, QUIETEST = 12.0, -90.0


def with_track(session: Session, track: TrackId, change: Callable[[Track], Track]) -> Session:
    """The session with one track changed; the same object where the change returned the same track."""
    old = next((each for each in session.tracks if each.id == track), None)
    if old is None:
        return session
    new = change(old)
    if new is old:
        return session
    return replace(session, tracks=tuple(new if each is old else each for each in session.tracks))


def with_takes(track: Track, change: Callable[[Take], Take]) -> Track:
    """A track with its takes changed, the same object where none is: parts of one take stay parts of one."""
    new = {id(take): change(take) for take in track.takes}
    if all(new[id(take)] is take for take in track.takes):
        return track
    clips = (
        each if new[id(each.take)] is each.take else replace(each, take=new[id(each.take)])
        for each in track.clips
    )
    return replace(track, clips=tuple(clips))


def changed(track: Track, **values: object) -> Track:
    """The track with these values; the same object where it has them already."""
    if all(getattr(track, name) == value for name, value in values.items()):
        return track
    return replace(track, **values)


def set_level(session: Session, track: TrackId, level: float) -> Session:
    level = round(max(QUIETEST, min(LOUDEST, level)), 1)
    return with_track(session, track, lambda old: changed(old, level=level))


def set_muted(session: Session, track: TrackId, is_muted: bool) -> Session:  # noqa: FBT001 - the value itself
    return with_track(session, track, lambda old: changed(old, is_muted=is_muted))


def set_solo(session: Session, track: TrackId, is_solo: bool) -> Session:  # noqa: FBT001 - the value itself
    return with_track(session, track, lambda old: changed(old, is_solo=is_solo))


def set_pan(session: Session, track: TrackId, pan: float) -> Session:
    pan = round(max(-1.0, min(1.0, pan)), 3)
    return with_track(session, track, lambda old: changed(old, pan=pan))


def set_flipped(session: Session, track: TrackId, is_flipped: bool) -> Session:  # noqa: FBT001 - the value itself
    return with_track(session, track, lambda old: changed(old, is_flipped=is_flipped))


def add_track(session: Session, name: str) -> Session:
    """An empty track below all others."""
    track = Track(session.next_id, name, ())
    return replace(session, tracks=(*session.tracks, track), next_id=session.next_id + 1)


def move_track(session: Session, track: TrackId, step: int) -> Session:
    """A track so many places down, or up; the same session where there is no room."""
    tracks = list(session.tracks)
    at = next((place for place, each in enumerate(tracks) if each.id == track), None)
    if at is None or not 0 <= at + step < len(tracks) or step == 0:
        return session
    tracks.insert(at + step, tracks.pop(at))
    return replace(session, tracks=tuple(tracks))


def set_size(session: Session, track: TrackId, size: TrackSize) -> Session:
    return with_track(session, track, lambda old: changed(old, size=size))


def rename(session: Session, track: TrackId, name: str) -> Session:
    name = name.strip()
    return with_track(session, track, lambda old: changed(old, name=name)) if name else session


def set_moving(session: Session, track: TrackId, take: Take | None = None, **values: object) -> Session:
    """Change how sound is moved: of a take that is moved in a way of its own, or of the track.

    Of a track that is locked to another it is that one's.
    """

    def change(old: Track) -> Track:
        if take is None or take.moving is None:
            return changed(old, moving=replace(old.moving, **values))
        moving = replace(take.moving, **values)
        if moving == take.moving:
            return old
        return with_takes(old, lambda each: replace(each, moving=moving) if each is take else each)

    return with_track(session, session.guide_of(track), change)


def set_own_moving(session: Session, track: TrackId, take: Take, *, is_own: bool) -> Session:
    """Let a take be moved in a way of its own, at first its track's; or in its track's again."""
    if is_own is (take.moving is not None):
        return session

    def change(old: Track) -> Track:
        moving = old.moving if is_own else None
        return with_takes(old, lambda each: replace(each, moving=moving) if each is take else each)

    return with_track(session, track, change)


def remove_track(session: Session, track: TrackId) -> Session:
    """Without a track, without recordings that nothing uses any more, and unlocked from its group."""
    kept = tuple(each for each in session.tracks if each.id != track)
    if len(kept) == len(session.tracks):
        return session
    used = {clip.recording for each in kept for clip in each.clips}
    used |= {each.recording for kit in session.kits for each in kit.slices}
    groups = [_without(group, track) for group in session.lock_groups]
    return replace(
        session,
        tracks=kept,
        recordings=tuple(each for each in session.recordings if each.content in used),
        lock_groups=tuple(group for group in groups if group is not None),
        lead=None if session.lead is not None and session.lead.track == track else session.lead,
    )


def _without(group: LockGroup, track: TrackId) -> LockGroup | None:
    tracks = tuple(each for each in group.tracks if each != track)
    if len(tracks) < 2:
        return None
    return LockGroup(group.id, tracks, group.guide if group.guide in tracks else tracks[0])


def lock(session: Session, guide: TrackId, others: Sequence[TrackId]) -> Session:
    """Lock tracks to a guide: they are moved by its amounts from now on."""
    tracks = (guide, *(track for track in others if track != guide))
    if len(tracks) < 2:
        return session
    for track in tracks:
        session = unlock(session, track)
    group = LockGroup(session.next_id, tracks, guide)
    return replace(session, lock_groups=(*session.lock_groups, group), next_id=session.next_id + 1)


def unlock(session: Session, track: TrackId) -> Session:
    if session.group_of(track) is None:
        return session
    groups = [_without(group, track) if track in group.tracks else group for group in session.lock_groups]
    return replace(session, lock_groups=tuple(group for group in groups if group is not None))
