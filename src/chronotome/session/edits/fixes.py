"""Edits that put right what is to be checked: one mend, a place accepted for good, a noise hushed."""

from collections.abc import Iterable

from chronotome.dsp.mute_span import MuteMethod
from chronotome.session.check import Check, Do
from chronotome.session.edits.marks import drop_onset, drop_onsets, keep_onset
from chronotome.session.edits.tightening import move_hit
from chronotome.session.edits.tracks import set_moving, with_takes, with_track
from chronotome.session.model import ClipId, MuteSpan, Session, Take, TrackId, replace
from chronotome.session.noises import noise_marks
from chronotome.session.settings import MOST_CROSSFADE

SHORTEST_HUSH = 0.002


def mended(session: Session, track: TrackId, clip: ClipId, check: Check, number: int) -> Session:
    """A place put right in one of the ways that were offered."""
    mend = check.mends[number]
    take = session.track(track).clip(clip).take
    if mend.do is Do.MOVE:
        own = session.track(track).own_tempo  # by which the place was found
        beat = mend.beat if own is None else session.tempo.beat_of(own.seconds_of(mend.beat))
        return move_hit(session, track, clip, mend.onset, beat)
    if mend.do is Do.MOVE_OTHER:
        other = session.track(mend.track)
        beside = session.beside(other, take)
        clips = [each for each in other.clips if each.take is beside]
        return move_hit(session, other.id, clips[0].id, mend.onset, mend.beat) if clips else session
    if mend.do is Do.SILENCE:
        recording = session.recording_of(take)
        onsets, (start, end) = recording.onsets, mend.frames
        inside = noise_marks(onsets) & (onsets.frame_array >= start) & (onsets.frame_array < end)
        session = hush(session, track, take, [MuteSpan(start, end)])
        return drop_onsets(session, take.recording, onsets.id_array[inside].tolist())
    if mend.do is Do.CROSS:
        moving = session.track(track).moving_of(take)
        longer = min(MOST_CROSSFADE, 2 * moving.crossfade)
        return set_moving(session, track, take, crossfade=longer)
    change = drop_onset if mend.do is Do.DROP else keep_onset
    return change(session, take.recording, mend.onset)


def accept(session: Session, track: TrackId, take: Take, check: Check) -> Session:
    """A place is as it should be: it is not shown again."""
    said = (check.onset, str(check.kind))
    if said in take.accepted:
        return session
    return _with_take(session, track, take, replace(take, accepted=tuple(sorted({*take.accepted, said}))))


def hush(session: Session, track: TrackId, take: Take, spans: Iterable[MuteSpan]) -> Session:
    """Spans of the recording are heard otherwise, as edited; what overlapped them is replaced."""
    new = [each for each in spans if each.end > each.start and take.playing is None]
    kept = [
        each for each in take.hushes if all(each.end <= one.start or each.start >= one.end for one in new)
    ]
    hushes = tuple(sorted([*kept, *new], key=lambda each: each.start))
    return (
        session if hushes == take.hushes else _with_take(session, track, take, replace(take, hushes=hushes))
    )


def move_hush(
    session: Session, track: TrackId, take: Take, number: int, frame: int, *, is_end: bool
) -> Session:
    """An edge of a noise that is not heard elsewhere, up to its other edge and to the noises beside it."""
    if number >= len(take.hushes):
        return session
    hushes, old, recording = take.hushes, take.hushes[number], session.recording_of(take)
    low = hushes[number - 1].end if number else 0
    high = hushes[number + 1].start if number + 1 < len(hushes) else recording.frames
    least = max(1, round(SHORTEST_HUSH * recording.rate))
    if is_end:
        new = replace(old, end=min(high, max(frame, old.start + least)))
    else:
        new = replace(old, start=max(low, min(frame, old.end - least)))
    if new == old:
        return session
    changed = (*hushes[:number], new, *hushes[number + 1 :])
    return _with_take(session, track, take, replace(take, hushes=changed))


def unhush(session: Session, track: TrackId, take: Take, start: int, end: int) -> Session:
    """What was hushed between two frames of the recording is heard again."""
    kept = tuple(each for each in take.hushes if each.end <= start or each.start >= end)
    return session if kept == take.hushes else _with_take(session, track, take, replace(take, hushes=kept))


def hush_of(
    start: int, end: int, by: MuteMethod, *, level: float = -12.0, room: tuple[int, int] = (0, 0)
) -> MuteSpan:
    return MuteSpan(
        start, end, by, level if by is MuteMethod.LOWER else 0.0, *(room if by is MuteMethod.ROOM else (0, 0))
    )


def _with_take(session: Session, track: TrackId, take: Take, new: Take) -> Session:
    return with_track(session, track, lambda old: with_takes(old, lambda each: new if each is take else each))
