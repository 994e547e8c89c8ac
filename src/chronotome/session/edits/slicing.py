"""Taking a take apart into hits, and bringing it back whole."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from enum import Enum

import numpy as np

from chronotome.session.anchors import anchors_of
from chronotome.session.counting import clock_of, counted_of
from chronotome.session.edits.tracks import with_track
from chronotome.session.grid import lines_each
from chronotome.session.model import Clip, ClipId, Session, Take, Track, TrackId, replace
from chronotome.session.onsets import COUNTED_BY_HAND
from chronotome.session.slices import MOST_SLICES, SliceId, Slices, slices_at

SHORTEST_SECONDS = 0.003
"""Of a slice: cuts that are nearer to one another than that are one."""


class At(Enum):
    """Where a take is cut into hits."""

    ONSETS = "onsets"
    MARKS = "marks set by hand"
    LINES = "lines"
    PARTS = "equal parts"


@dataclass(frozen=True)
class Cuts:
    """How to take a clip apart: `step` quarter notes between lines, or so many `parts`.

    Within session frames [start, end) where that is said.
    """

    at: At = At.ONSETS
    step: float = 0.5
    parts: int = 8
    within: tuple[int, int] | None = None


Place = tuple[TrackId, ClipId]


def take_apart(session: Session, place: Place, cuts: Cuts) -> Session:
    """Let a clip's take be slices, which sound as it did; counterparts on locked tracks are cut in step."""
    track = session.track(place[0])
    clip = track.clip(place[1])
    frames = cut_frames(session, track, clip, cuts)
    if not frames or clip.take.slices is not None:
        return session
    rate = session.recording_of(clip).rate
    seconds = [(frame - clip.take.source_start) / rate for frame in frames]
    for each, take in counterparts(session, track, clip.take):
        session = with_slices(session, each, take, _cut(session, clip.take, take, seconds))
    return session


def _cut(session: Session, leading: Take, take: Take, seconds: Sequence[float]) -> Slices:
    """A take cut at the same moments as another one."""
    rate = session.recording_with(take.recording).rate
    later = (leading.start - take.start) / session.rate
    frames = [take.source_start + round((each + later) * rate) for each in seconds]
    return slices_at(frames, (take.source_start, take.source_end))


def cut_frames(session: Session, track: Track, clip: Clip, cuts: Cuts) -> list[int]:
    """Frames of the recording, within the clip, at which it would be cut."""
    take, recording = clip.take, session.recording_of(clip)
    first, last = clip.source_start, clip.source_end
    anchors, ratio = anchors_of(session, track, take), recording.rate / session.rate
    if cuts.within is not None:
        ends = sorted(round(anchors.source_of(frame) * ratio) for frame in cuts.within)
        first, last = max(first, ends[0]), min(last, ends[1])
    if last - first < 2:
        return []
    found = _CUTS[cuts.at](session, clip, cuts, (first, last))
    inside = [frame for frame in found if first <= frame < last]
    if cuts.within is not None and inside:
        inside += [first, last]
    least = SHORTEST_SECONDS * recording.rate
    apart: list[int] = []
    for frame in sorted(set(inside)):
        if frame - (apart[-1] if apart else take.source_start) >= least and take.source_end - frame >= least:
            apart.append(frame)
    return apart[: MOST_SLICES - 1]


def _at_onsets(session: Session, clip: Clip, _cuts: Cuts, _span: tuple[int, int]) -> list[int]:
    frames = session.recording_of(clip).onsets.frame_array
    return frames[counted_of(session, clip.take)].tolist()


def _at_marks(session: Session, clip: Clip, _cuts: Cuts, _span: tuple[int, int]) -> list[int]:
    """Onsets that were added or kept by hand, and hits that were tied by hand."""
    onsets = session.recording_of(clip).onsets
    by_hand = np.isin(onsets.standing_array, COUNTED_BY_HAND)
    tied = [touch.onset for touch in clip.take.touches if touch.beat is not None]
    by_hand |= np.isin(onsets.id_array, tied)
    return onsets.frame_array[by_hand].tolist()


def _at_lines(session: Session, clip: Clip, cuts: Cuts, span: tuple[int, int]) -> list[int]:
    clock = clock_of(session, clip.take)
    first, last = clock.beats_at(np.array(span)).tolist()
    metre = session.metre
    lines = lines_each(metre.bars_from(first, -1), metre.bars_from(last, 1), cuts.step, metre)
    return np.rint(clock.frames_at(lines)).astype(np.int64).tolist()


def _in_parts(_session: Session, _clip: Clip, cuts: Cuts, span: tuple[int, int]) -> list[int]:
    first, last = span
    return [first + round(part * (last - first) / cuts.parts) for part in range(1, max(1, cuts.parts))]


_CUTS: dict[At, Callable[[Session, Clip, Cuts, tuple[int, int]], list[int]]] = {
    At.ONSETS: _at_onsets,
    At.MARKS: _at_marks,
    At.LINES: _at_lines,
    At.PARTS: _in_parts,
}


def make_whole(session: Session, place: Place) -> Session:
    """Bring the recording back as it was before a clip was taken apart; on locked tracks too."""
    track = session.track(place[0])
    clip = track.clip(place[1])
    for each, take in counterparts(session, track, clip.take):
        session = with_slices(session, each, take, None)
    return session


def with_slices(session: Session, track: TrackId, take: Take, slices: Slices | None) -> Session:
    """A take with other slices; it spans what they do, and its clips show what they showed and all of it."""
    if slices == take.slices or take.playing is not None:
        return session
    recording = session.recording_with(take.recording)
    start, end = _extent(take, slices)
    place = take.start + round((start - take.source_start) * session.rate / recording.rate)
    if place < 0:
        start, place = start - round(place * recording.rate / session.rate), 0
    new = replace(take, slices=slices, source_start=start, source_end=end, start=place)
    known = set(session.recording_of(new).onsets.ids)
    touches = tuple(touch for touch in take.touches if touch.onset in known)
    new = new if touches == take.touches else replace(new, touches=touches)
    by_head, by_tail = take.source_start - start, end - take.source_end

    def clip_of(clip: Clip) -> Clip:
        if clip.take is not take:
            return clip
        head = 0 if clip.head == 0 else max(0, clip.head + by_head)
        tail = 0 if clip.tail == 0 else max(0, clip.tail + by_tail)
        if head + tail >= end - start:
            head = tail = 0
        return replace(clip, take=new, head=head, tail=tail)

    return with_track(session, track, lambda old: replace(old, clips=tuple(map(clip_of, old.clips))))


def _extent(take: Take, slices: Slices | None) -> tuple[int, int]:
    """Frames that a take spans: what was taken apart, and all that its slices are laid over."""
    if slices is None:
        return take.slices.original if take.slices is not None else (take.source_start, take.source_end)
    first, last = slices.original
    reach = int((slices.place_array + slices.spans).max(initial=last))
    return min(first, int(slices.place_array.min(initial=first))), max(last, reach)


def is_apart(session: Session, place: Place) -> bool:
    """Whether a clip is there, and taken apart: an undo in the middle of a drag may have changed that."""
    clips = (clip for track, clip in session.clips if (track.id, clip.id) == place)
    return any(clip.take.slices is not None for clip in clips)


def counterparts(session: Session, track: Track, take: Take) -> list[tuple[TrackId, Take]]:
    """A take, and those that sound beside it on tracks locked to its own."""
    group = session.group_of(track.id)
    found = [(track.id, take)]
    for each in group.tracks if group is not None else ():
        beside = None if each == track.id else session.beside(session.track(each), take)
        if beside is not None:
            found.append((each, beside))
    return found


def change_slices(session: Session, place: Place, change: Callable[[Slices], Slices]) -> Session:
    """Change the slices of a clip, and in the same way those of its counterparts that have as many."""
    track = session.track(place[0])
    clip = track.clip(place[1])
    own = clip.take.slices
    if own is None:
        return session
    for each, take in counterparts(session, track, clip.take):
        slices = take.slices
        if slices is not None and slices.ids == own.ids:
            session = with_slices(session, each, take, change(slices))
    return session


def keep_whole_copy(session: Session, place: Place) -> Session:
    """The recording as it is, once more, on a muted track of its own below all others."""
    track = session.track(place[0])
    clip = track.clip(place[1])
    number = session.next_id
    name = f"{track.name} as it was"
    made = replace(track, id=number, name=name, clips=(replace(clip, id=number + 1, group=0),), is_muted=True)
    made = replace(made, is_solo=False)
    return replace(session, tracks=(*session.tracks, made), next_id=number + 2)


def hits_of(take: Take) -> tuple[SliceId, ...]:
    """Its slices; none where it is whole."""
    return () if take.slices is None else take.slices.ids
