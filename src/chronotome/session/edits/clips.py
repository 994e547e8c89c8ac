"""Edits of clips: cut, joined, trimmed, moved, copied, deleted; locked tracks keep theirs in step."""

from collections.abc import Iterable, Sequence
from typing import NamedTuple

from chronotome.session.anchors import anchors_of, window_of
from chronotome.session.edits.tracks import with_track
from chronotome.session.limits import Id
from chronotome.session.model import Clip, ClipId, Session, Take, Touch, Track, TrackId, replace
from chronotome.session.settings import TightenSettings

SHORTEST = 2
"""Frames of a recording that a clip has at least."""
MOST_TIMES = 99
"""How often a clip is repeated at once, at most."""
SHARED = frozenset({"fade_in", "fade_out", "is_muted"})
"""What a clip has in common with its counterparts on locked tracks."""

Place = tuple[TrackId, ClipId]


class Range(NamedTuple):
    """Session frames [start, end) on some tracks."""

    start: int
    end: int
    tracks: tuple[TrackId, ...]


def cut_out(session: Session, span: Range) -> tuple[Session, tuple[Place, ...]]:
    """What sounds in a range, cut at both of its ends, and which clips that is; nothing is heard of it."""
    for track in span.tracks:
        session = split(session, track, (span.start, span.end))
    places = []
    for whole in (session.track(track) for track in span.tracks):
        windows = ((clip.id, window_of(session, whole, clip)) for clip in whole.clips)
        places += [
            (whole.id, clip) for clip, each in windows if each.start >= span.start and each.end <= span.end
        ]
    return session, tuple(places)


def repeat_range(session: Session, span: Range) -> Session:
    """What sounds in a range once more right after it, in the place of what sounds there."""
    length = span.end - span.start
    session, inside = cut_out(session, span)
    session, there = cut_out(session, span._replace(start=span.end, end=span.end + length))
    return copy(delete(session, there), inside, length)


def crop(session: Session, track: TrackId, clip: ClipId, start: int, end: int) -> Session:
    """Keep frames [start, end) of the clip's recording for good: hits outside no longer count."""
    old = session.track(track).clip(clip)
    start, end = max(old.source_start, start), min(old.source_end, end)
    if end - start < SHORTEST or (start, end) == (old.source_start, old.source_end):
        return session
    take = _taken(session, old.take, start, end)
    return _with_clips(session, track, {clip: (replace(old, take=take, head=0, tail=0),)})


def split(session: Session, track: TrackId, frames: Iterable[int]) -> Session:
    """Cut whatever sounds at these session frames in two, on locked tracks too. Nothing is heard of it."""
    for each in _together(session, track):
        session = _split(session, each, sorted(set(frames)))
    return session


def split_at(session: Session, track: TrackId, clip: ClipId, frame: int) -> Session:
    """Cut a clip at a frame of its recording, and what sounds at that moment on tracks locked to it."""
    old = session.track(track).clip(clip)
    if not SHORTEST <= frame - old.source_start <= old.source_end - old.source_start - SHORTEST:
        return session
    moment = _heard(session, session.track(track), old.take, frame)
    first, second, session = _halves(session, old, frame)
    session = _with_clips(session, track, {clip: (first, second)})
    for each in _together(session, track):
        if each != track:
            session = _split(session, each, [moment])
    return session


def _split(session: Session, track: TrackId, frames: Sequence[int]) -> Session:
    whole = session.track(track)
    parts: dict[ClipId, tuple[Clip, ...]] = {}
    for clip in whole.clips:
        window, made = window_of(session, whole, clip), [clip]
        for frame in frames if clip.take.mirror is None else reversed(frames):
            if window.start < frame < window.end:
                at = _recording_frame(session, whole, clip.take, frame)
                last = made[-1]
                if SHORTEST <= at - last.source_start <= last.source_end - last.source_start - SHORTEST:
                    *halves, session = _halves(session, last, at)
                    made[-1:] = halves
        if len(made) > 1:
            parts[clip.id] = tuple(made)
    return _with_clips(session, track, parts)


def _halves(session: Session, clip: Clip, frame: int) -> tuple[Clip, Clip, Session]:
    """A clip in two at a frame of its recording; the second has a new id. Fades stay at the outer ends."""
    take, (inner, outer) = clip.take, _edges(clip)
    first = replace(clip, tail=take.source_end - frame, **{outer: 0.0})
    second = replace(clip, id=session.next_id, head=frame - take.source_start, **{inner: 0.0})
    return first, second, replace(session, next_id=session.next_id + 1)


def _edges(clip: Clip) -> tuple[str, str]:
    """The fades at its first and its last frame of the recording: a reversed clip ends with its first."""
    names = ("fade_in", "fade_out")
    return names if clip.take.mirror is None else (names[1], names[0])


def reverse(session: Session, clips: Iterable[Place]) -> Session:
    """Let clips sound from their ends to their starts, where they are; done again, as they were.

    What is turned is no longer a part of the take that it was cut from. Counterparts are turned as well.
    """
    for track, clip in _with_counterparts(session, clips):
        old = session.track(track).clip(clip)
        if old.take.playing is not None:  # its slices are turned, one by one
            continue
        start = _start(session, track, clip)
        mirror = _sounding(session, track, old) if old.take.mirror is None else None
        new = replace(old.take, mirror=mirror)
        take = next((each for each in session.track(track).takes if each == new), new)
        turned = replace(old, take=take, fade_in=old.fade_out, fade_out=old.fade_in)
        session = _with_clips(session, track, {clip: (turned,)})
        session = _moved_on(session, track, {clip}, start - _start(session, track, clip))
    return session


def _sounding(session: Session, track: TrackId, clip: Clip) -> tuple[int, int]:
    """What sounds of a clip, in frames of its recording: where it would begin before frame 0, less of it."""
    window = window_of(session, session.track(track), clip)
    ratio = session.recording_of(clip).rate / session.rate
    first, last = round(window.first * ratio), round(window.last * ratio)
    return max(clip.source_start, first), min(clip.source_end, last)


def join(session: Session, track: TrackId, clips: Iterable[ClipId]) -> Session:
    """Make one of neighbours that are parts of one take and meet; on locked tracks too."""
    chosen = set(clips)
    spans = [session.played_span(each) for each in session.track(track).clips if each.id in chosen]
    if not spans:
        return session
    first, last = min(start for start, _ in spans), max(end for _, end in spans)
    for each in _together(session, track):
        inside = [
            clip.id
            for clip in session.track(each).clips
            if each != track and _middle(session, clip) in range(first, last)
        ]
        session = _joined(session, each, chosen if each == track else set(inside))
    return session


def _joined(session: Session, track: TrackId, chosen: set[ClipId]) -> Session:
    made: list[Clip] = []
    for clip in session.track(track).clips:
        last = made[-1] if made else None
        if last is not None and {last.id, clip.id} <= chosen and meets(last, clip):
            outer = _edges(clip)[1]
            made[-1] = replace(last, tail=clip.tail, **{outer: getattr(clip, outer)})
            chosen = chosen | {made[-1].id}
        else:
            made.append(clip)
    if len(made) == len(session.track(track).clips):
        return session
    return with_track(session, track, lambda old: replace(old, clips=tuple(made)))


def meets(first: Clip, second: Clip) -> bool:
    """Whether the second goes on where the first ends: parts of one take, alike in all else."""
    return (
        first.take == second.take
        and first.source_end == second.source_start
        and (first.level, first.is_muted) == (second.level, second.is_muted)
    )


def trim(session: Session, track: TrackId, clip: ClipId, *, start: int | None, end: int | None) -> Session:
    """Let a clip begin or end at another frame of its recording; the sound between stays where it is.

    Its counterparts on locked tracks are trimmed by as much.
    """
    old = session.track(track).clip(clip)
    rate = session.recording_of(old).rate
    by_start, by_end = (
        0.0 if frame is None else (frame - edge) / rate
        for frame, edge in ((start, old.source_start), (end, old.source_end))
    )
    for place in _with_counterparts(session, [(track, clip)]):
        each = session.track(place[0]).clip(place[1])
        per_second = session.recording_of(each).rate
        first = each.source_start + round(by_start * per_second)
        session = _trimmed(session, *place, first, each.source_end + round(by_end * per_second))
    return session


def _trimmed(session: Session, track: TrackId, clip: ClipId, start: int, end: int) -> Session:
    old = session.track(track).clip(clip)
    recording = session.recording_of(old)
    first = max(0, min(start, old.source_end - SHORTEST))
    last = min(recording.frames, max(end, first + SHORTEST))
    if (first, last) == (old.source_start, old.source_end):
        return session
    take = old.take
    if first < take.source_start or last > take.source_end:
        take = _taken(session, take, min(first, take.source_start), max(last, take.source_end))
    first = max(first, take.source_start)
    new = replace(old, take=take, head=first - take.source_start, tail=take.source_end - last)
    return _with_clips(session, track, {clip: (new,)})


def _taken(session: Session, take: Take, start: int, end: int) -> Take:
    """The take over another span of its recording; what both have is at the same place as played."""
    recording = session.recording_of(take)
    place = take.start + round((start - take.source_start) * session.rate / recording.rate)
    if place < 0:  # nothing sounds before the session's first frame
        start += round(-place * recording.rate / session.rate)
        place = 0
    frames = dict(zip(recording.onsets.ids, recording.onsets.frames, strict=True))
    touches = tuple(each for each in take.touches if start <= frames.get(each.onset, -1) < end)
    return replace(take, source_start=start, source_end=end, start=place, touches=touches)


def move(session: Session, clips: Iterable[Place], by: int, to: TrackId | None = None) -> Session:
    """Move clips by session frames, with their counterparts on locked tracks, and to another track."""
    chosen = _with_counterparts(session, clips)
    by = max(by, -min((_start(session, track, clip) for track, clip in chosen), default=0))
    for track in {track for track, _ in chosen}:
        session = _moved_on(session, track, {clip for each, clip in chosen if each == track}, by)
    if to is not None and any(each.id == to for each in session.tracks):
        for track, clip in clips:
            session = _handed(session, track, clip, to)
    return session


def _moved_on(session: Session, track: TrackId, clips: set[ClipId], by: int) -> Session:
    """Some clips of one track moved; those that had a take in common have one in common again."""
    made: dict[int, Take] = {}

    def new(clip: Clip) -> Clip:
        if clip.id not in clips:
            return clip
        take = made.get(id(clip.take)) or _moved(session, clip.take, by)
        made[id(clip.take)] = take
        return clip if take is clip.take else _on(clip, take)

    return _with_all(session, track, map(new, session.track(track).clips))


def _on(clip: Clip, take: Take) -> Clip:
    """The clip on another take of its recording, as much of it as that has."""
    return replace(clip, take=take, head=max(0, clip.source_start - take.source_start))


def _moved(session: Session, take: Take, by: int) -> Take:
    if take.playing is not None:
        by = max(by, -take.start)
    if by == 0:
        return take
    place, rate = take.start + by, session.rate
    beats = session.beat_of(place) - session.beat_of(take.start)
    if place < 0:
        recording = session.recording_of(take)
        kept = take.source_start + round(-place * recording.rate / rate)
        take = _taken(session, replace(take, start=0), kept, take.source_end)
        place = 0
    return replace(take, start=place, beat=round(take.beat + beats, 9), touches=_later(take, beats))


def _later(take: Take, beats: float) -> tuple[Touch, ...]:
    return tuple(
        touch if touch.beat is None else replace(touch, beat=touch.beat + beats) for touch in take.touches
    )


def copy(session: Session, clips: Sequence[Place], by: int, to: TrackId | None = None) -> Session:
    """Lay the same clips once more, `by` frames later, with their counterparts on locked tracks.

    As when they are moved, none begins before the session.
    """
    made: dict[int, Take] = {}
    groups: dict[Id, Id] = {0: 0}
    chosen = _with_counterparts(session, clips) if to is None else clips
    by = max(by, -min((_start(session, track, clip) for track, clip in chosen), default=0))
    for track, clip in chosen:
        old = session.track(track).clip(clip)
        take = made.setdefault(id(old.take), made.get(id(old.take)) or _moved(session, old.take, by))
        if old.group not in groups:
            groups[old.group], session = _new_id(session)
        number, session = _new_id(session)
        session = put_clip(session, to or track, replace(_on(old, take), id=number, group=groups[old.group]))
    return session


def _new_id(session: Session) -> tuple[Id, Session]:
    return session.next_id, replace(session, next_id=session.next_id + 1)


def group(session: Session, clips: Sequence[Place]) -> Session:
    """Let clips be chosen together from now on; what was in other groups leaves those."""
    if len(clips) < 2:
        return session
    number, session = _new_id(session)
    return set_clip(session, clips, group=number)


def ungroup(session: Session, clips: Iterable[Place]) -> Session:
    return set_clip(session, clips, group=0)


def in_groups(session: Session, clips: Sequence[Place]) -> tuple[Place, ...]:
    """These clips, and before them all that are in a group with one of them."""
    groups = {session.track(track).clip(clip).group for track, clip in clips} - {0}
    more = [(track.id, clip.id) for track, clip in session.clips if clip.group in groups]
    return (*(place for place in more if place not in clips), *clips)


def paste(session: Session, track: TrackId, clip: Clip, at: int) -> Session:
    """Lay a clip that was cut or copied on a track, so that it begins to sound at a session frame."""
    by = at - window_of(session, session.track(track), clip).start
    number, session = _new_id(session)
    return put_clip(session, track, replace(_on(clip, _moved(session, clip.take, by)), id=number, group=0))


def of_elsewhere(clip: Clip) -> Clip:
    """A clip of another session: its own recipes name no groove and no track, which are others here."""

    def by_itself(recipe: TightenSettings | None) -> TightenSettings | None:
        return None if recipe is None else replace(recipe, groove=0, match=None)

    take = clip.take
    touches = tuple(replace(touch, recipe=by_itself(touch.recipe)) for touch in take.touches)
    return replace(clip, take=replace(take, touches=touches, tighten=by_itself(take.tighten)))


def repeat(session: Session, track: TrackId, clip: ClipId, times: int, every: int) -> Session:
    """Lay a clip `times` more times, one each `every` frames."""
    for number in range(1, times + 1):
        session = copy(session, [(track, clip)], number * every)
    return session


def delete(session: Session, clips: Iterable[Place], *, is_closed: bool = False) -> Session:
    """Without these clips and their counterparts; where `is_closed`, what comes later moves up."""
    gone = _with_counterparts(session, clips)
    gaps = [_gap(session, track, clip) for track, clip in gone] if is_closed else []
    for track, clip in gone:
        session = _without(session, track, session.track(track).clip(clip))
    for (track, _), (length, later) in zip(gone, gaps, strict=False):
        session = _moved_on(session, track, later - {clip for _, clip in gone}, -length)
    return session


def _gap(session: Session, track: TrackId, clip: ClipId) -> tuple[int, set[ClipId]]:
    """Frames that a clip leaves empty, and the clips that begin after it."""
    whole = session.track(track)
    window = window_of(session, whole, whole.clip(clip))
    later = {each.id for each in whole.clips if _start(session, track, each.id) >= window.end}
    return window.end - window.start, later


def set_clip(session: Session, clips: Iterable[Place], **values: object) -> Session:
    """Loudness, fades, muting, name or group of clips; fades and muting of their counterparts too."""
    own = list(clips)
    shared = {name: value for name, value in values.items() if name in SHARED}
    for track, clip in _with_counterparts(session, own) if shared else own:
        old = session.track(track).clip(clip)
        new = replace(old, **(values if (track, clip) in own else shared))
        if new != old:
            session = _with_clips(session, track, {clip: (new,)})
    return session


# What they share


def _together(session: Session, track: TrackId) -> tuple[TrackId, ...]:
    group = session.group_of(track)
    return (track,) if group is None else (track, *(each for each in group.tracks if each != track))


def _with_counterparts(session: Session, clips: Iterable[Place]) -> list[Place]:
    """These clips, and those of locked tracks that sound at the same time."""
    found: dict[Place, None] = {}
    for track, clip in clips:
        found[track, clip] = None
        span = range(*session.played_span(session.track(track).clip(clip)))
        for other in _together(session, track):
            for each in session.track(other).clips if other != track else ():
                if _middle(session, each) in span:
                    found[other, each.id] = None
    return list(found)


def _middle(session: Session, clip: Clip) -> int:
    start, end = session.played_span(clip)
    return (start + end) // 2


def _start(session: Session, track: TrackId, clip: ClipId) -> int:
    whole = session.track(track)
    return window_of(session, whole, whole.clip(clip)).start


def _heard(session: Session, track: Track, take: Take, frame: int) -> int:
    """Session frame at which a frame of the recording sounds."""
    return anchors_of(session, track, take).heard_of(frame * session.rate / session.recording_of(take).rate)


def _recording_frame(session: Session, track: Track, take: Take, frame: int) -> int:
    source = anchors_of(session, track, take).source_of(frame)
    return round(source * session.recording_of(take).rate / session.rate)


def _in_order(session: Session, clips: Iterable[Clip]) -> tuple[Clip, ...]:
    return tuple(sorted(clips, key=lambda clip: (session.played_span(clip), clip.id)))


def _with_clips(session: Session, track: TrackId, new: dict[ClipId, tuple[Clip, ...]]) -> Session:
    if not new:
        return session
    return with_track(
        session,
        track,
        lambda old: replace(
            old, clips=tuple(part for each in old.clips for part in new.get(each.id, (each,)))
        ),
    )


def _with_all(session: Session, track: TrackId, clips: Iterable[Clip]) -> Session:
    ordered = _in_order(session, clips)
    return with_track(session, track, lambda old: replace(old, clips=ordered))


def put_clip(session: Session, track: TrackId, clip: Clip) -> Session:
    """Lay a clip on a track."""
    return _with_all(session, track, (*session.track(track).clips, clip))


def _without(session: Session, track: TrackId, clip: Clip) -> Session:
    return _with_all(session, track, (each for each in session.track(track).clips if each is not clip))


def _handed(session: Session, track: TrackId, clip: ClipId, to: TrackId) -> Session:
    """A clip given to another track."""
    if track == to:
        return session
    given = session.track(track).clip(clip)
    return put_clip(_without(session, track, given), to, given)
