"""Edits that put a recording of what was heard beside clips, or in their place."""

from collections.abc import Sequence

from chronotome.session.anchors import window_of
from chronotome.session.edits.clips import Place
from chronotome.session.edits.recordings import as_played, bring_recording
from chronotome.session.edits.tracks import with_track
from chronotome.session.model import Clip, Recording, Session, Take, Track, TrackId, replace

BEFORE = "{} before"


def heard_alone(session: Session, places: Sequence[Place]) -> Session:
    """What sounds where only these clips do: as loud as within their track, or their tracks as in the mix."""
    chosen, tracks = set(places), {track for track, _ in places}

    def alone(track: Track) -> Track:
        if track.id not in tracks:
            return replace(track, is_muted=True, is_solo=False)
        clips = tuple(
            replace(clip, is_muted=clip.is_muted or (track.id, clip.id) not in chosen) for clip in track.clips
        )
        plain = replace(track, clips=clips, is_muted=False, is_solo=False)
        return plain if len(tracks) > 1 else replace(plain, level=0.0, pan=0.0, is_flipped=False)

    return replace(session, tracks=tuple(map(alone, session.tracks)))


def span_of(session: Session, places: Sequence[Place]) -> tuple[int, int]:
    """Session frames between which clips sound."""
    tracks = {each.id: each for each in session.tracks}
    windows = [window_of(session, tracks[track], tracks[track].clip(clip)) for track, clip in places]
    return max(0, min(each.start for each in windows)), max(each.end for each in windows)


def bounce_beside(
    session: Session, places: Sequence[Place], recording: Recording, name: str, start: int
) -> Session:
    """What was heard as a track of its own, below the last of those that it is of; these clips are muted.

    Where they are gone by now it is the last track. Of one track it is as loud as that, and where that is
    between left and right: the mix sounds as before.
    """
    session, recording = _with_recording(session, recording, start)
    number = session.next_id
    track = Track(number, name, (_clip(number + 1, recording, start),))
    chosen = {(each.id, clip.id) for each, clip in session.clips} & set(places)
    tracks = {each for each, _ in chosen}
    if len(tracks) == 1:
        old = session.track(next(iter(tracks)))
        track = replace(track, level=old.level, pan=old.pan, is_flipped=old.is_flipped)
    for each in tracks:
        session = with_track(session, each, lambda own: _muted(own, chosen))
    last = [place for place, each in enumerate(session.tracks) if each.id in tracks]
    at = 1 + max(last, default=len(session.tracks) - 1)
    return replace(session, tracks=_inserted(session, at, track), next_id=number + 2)


def _muted(track: Track, chosen: set[Place]) -> Track:
    clips = (replace(clip, is_muted=True) if (track.id, clip.id) in chosen else clip for clip in track.clips)
    return replace(track, clips=tuple(clips))


def bounce_in_place(session: Session, places: Sequence[Place], recording: Recording, start: int) -> Session:
    """What was heard in the place of clips of one track; these are kept on a muted track below it."""
    track = session.track(places[0][0])
    chosen = {clip for _, clip in places}
    old = tuple(clip for clip in track.clips if clip.id in chosen)
    if not old or any(each != track.id for each, _ in places):
        return session
    session, recording = _with_recording(session, recording, start)
    number = session.next_id
    kept = replace(track, id=number, name=BEFORE.format(track.name), clips=old, is_muted=True, is_solo=False)
    made = replace(_clip(number + 1, recording, start), kept=number, name=old[0].name)
    made = replace(made, take=_left_alone(track, made.take))
    clips = tuple(clip for clip in track.clips if clip.id not in chosen)
    session = with_track(session, track.id, lambda own: replace(own, clips=(*clips, made)))
    at = 1 + [each.id for each in session.tracks].index(track.id)
    return replace(session, tracks=_inserted(session, at, kept), next_id=number + 2)


def bring_back(session: Session, place: Place) -> Session:
    """The clips that were there before a bounce; the same session where they are gone."""
    track, kept = session.track(place[0]), kept_of(session, place)
    if kept is None:
        return session
    clips = tuple(clip for clip in track.clips if clip.id != place[1])
    session = with_track(session, track.id, lambda own: replace(own, clips=(*clips, *kept.clips)))
    return replace(session, tracks=tuple(each for each in session.tracks if each.id != kept.id))


def kept_of(session: Session, place: Place) -> Track | None:
    """The track on which is kept what a clip was bounced of."""
    number: TrackId = session.track(place[0]).clip(place[1]).kept
    return next((each for each in session.tracks if number and each.id == number), None)


def _with_recording(session: Session, recording: Recording, start: int) -> tuple[Session, Recording]:
    recording = as_played(session, recording, start, session.tempo.at(session.beat_of(start)))
    return bring_recording(session, recording), recording


def _clip(number: int, recording: Recording, start: int) -> Clip:
    return Clip(number, Take(recording.content, 0, recording.frames, start))


def _left_alone(track: Track, take: Take) -> Take:
    """What was tightened and pitched already is not tightened and pitched once more."""
    tighten = replace(track.tighten, strength=0.0, loudness=0.0, match=None)
    return replace(take, tighten=tighten, moving=replace(track.moving, semitones=0.0))


def _inserted(session: Session, at: int, track: Track) -> tuple[Track, ...]:
    return (*session.tracks[:at], track, *session.tracks[at:])
