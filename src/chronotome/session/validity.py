"""What must hold across the parts of a session, for documents from outside."""

from itertools import pairwise

from chronotome.session.limits import MOST_FRAMES
from chronotome.session.metre import MetreMap
from chronotome.session.model import Clip, Session


def check(session: Session) -> None:
    """Raise ValueError where an invariant across parts is broken; for documents from outside."""
    contents = [recording.content for recording in session.recordings]
    if len(set(contents)) != len(contents):
        raise ValueError("two recordings have the same content")
    ids = [track.id for track in session.tracks] + [clip.id for _, clip in session.clips]
    ids += [groove.id for groove in session.grooves]
    ids += [kit.id for kit in session.kits] + [pattern.id for pattern in session.patterns]
    following = {clip.id for track in session.tracks if track.layer is not None for clip in track.clips}
    groups = [clip.group for _, clip in session.clips]
    given = [each for each in ids if each not in following]
    if len(set(ids)) != len(ids) or max((*given, *groups), default=0) >= session.next_id:
        raise ValueError("ids of what is in a session must be unique, and they and groups below next_id")
    MetreMap(session.first_metre, session.metre_changes)  # raises where they do not rise
    _check_patterns(session)
    _check_clips(session)
    _check_names(session)
    spans = [(section.start, section.end) for section in session.sections]
    if session.loop is not None:
        spans.append((session.loop.start, session.loop.end))
    spans += [(span.start, span.end) for track in session.tracks for span in track.spans]
    if any(end <= start for start, end in spans):
        raise ValueError("a span must end after it starts")
    if any(after.start < span.end for track in session.tracks for span, after in pairwise(track.spans)):
        raise ValueError("spans with a recipe of their own overlap")


def is_within_reach(before: Session, after: Session) -> bool:
    """Whether the clips of tracks that an edit changed begin where a document can say they do."""
    known = set(map(id, before.tracks))
    changed = (track for track in after.tracks if id(track) not in known)
    return all(clip.take.start <= MOST_FRAMES for track in changed for clip in track.clips)


def _check_clips(session: Session) -> None:
    """Each lies within its recording, and has something left between its ends."""
    frames = {recording.content: recording.frames for recording in session.recordings}
    for _, clip in session.clips:
        if clip.recording not in frames:
            raise ValueError(f"clip {clip.id} names a recording that is not in the session")
        if clip.take.playing is not None:
            _check_playing(session, clip)
            continue
        _check_extent(clip, frames[clip.recording])
        if clip.take.mirror is not None and not (
            0 <= clip.take.mirror[0] < clip.take.mirror[1] <= frames[clip.recording]
        ):
            raise ValueError(f"clip {clip.id} is turned about what is not in its recording")
        if any(hush.end <= hush.start for hush in clip.take.hushes):
            raise ValueError(f"clip {clip.id} hushes a span that does not end after it starts")
        if not 0 <= clip.source_start < clip.source_end or min(clip.head, clip.tail) < 0:
            raise ValueError(f"clip {clip.id} has nothing left between its ends")


def _check_patterns(session: Session) -> None:
    """Slices of kits lie within their recordings; patterns have a kit."""
    frames = {recording.content: recording.frames for recording in session.recordings}
    for kit in session.kits:
        if any(each.end > frames.get(each.recording, 0) for each in kit.slices):
            raise ValueError(f"a slice of kit {kit.id} does not lie within a recording of the session")
    kits = {kit.id for kit in session.kits}
    for pattern in session.patterns:
        if pattern.kit not in kits:
            raise ValueError(f"pattern {pattern.id} is for a kit that is not in the session")


def _check_playing(session: Session, clip: Clip) -> None:
    """It plays a pattern that is there, on a kit that is, and is nothing else besides."""
    take, playing = clip.take, clip.take.playing
    kits = {0, *(kit.id for kit in session.kits)}
    known = {pattern.id for pattern in session.patterns}
    if playing is None or playing.pattern not in known or playing.kit not in kits:
        raise ValueError(f"clip {clip.id} plays a pattern that is not in the session")
    if take.slices is not None or take.mirror is not None or take.hushes or take.crossover is not None:
        raise ValueError(f"clip {clip.id} plays a pattern, and is what only recordings are")
    if take.source_start or min(clip.head, clip.tail) < 0 or clip.head + clip.tail >= take.source_end:
        raise ValueError(f"clip {clip.id} has nothing left between its ends")


def _check_extent(clip: Clip, frames: int) -> None:
    """A take lies within its recording; where it was taken apart, its slices do, and it spans them all."""
    take, slices = clip.take, clip.take.slices
    if slices is not None:
        if slices.original[1] > frames or max(slices.ends, default=0) > frames:
            raise ValueError(f"a slice of clip {clip.id} does not lie within its recording")
        frames = max(frames, slices.reach)
    if not 0 <= take.source_start < take.source_end <= frames:
        raise ValueError(f"clip {clip.id} does not lie within its recording")


def _check_names(session: Session) -> None:
    """Lock groups and the lead name tracks that are there."""
    tracks = {track.id for track in session.tracks}
    for group in session.lock_groups:
        if group.guide not in group.tracks or not tracks.issuperset(group.tracks):
            raise ValueError(f"lock group {group.id} names a track that is not there")
    if session.lead is not None and session.lead.track not in tracks:
        raise ValueError("the song takes its tempo from a track that is not there")
