"""What follows from an edit elsewhere in a session: patterns keep to their beats, layers to their tracks."""

from dataclasses import dataclass

from chronotome.session.memo import by_parts
from chronotome.session.model import Clip, Layer, Session, Take, Track, replace

LAYER_IDS = 1 << 32
"""Clips of a layer have the ids of those that they follow, and so many times its track's more."""


def settled(session: Session) -> Session:
    """The session with patterns where their beats are, and layers as the tracks that they follow.

    The same object where all is so already; every session that is kept went through it.
    """
    if not session.patterns:
        return session
    tracks = tuple(_in_time(session, track) for track in session.tracks)
    known = {track.id: track for track in tracks}
    tracks = tuple(_following(track, known) for track in tracks)
    if all(new is old for new, old in zip(tracks, session.tracks, strict=True)):
        return session
    return replace(session, tracks=tracks)


def _parts(session: Session, track: Track) -> tuple[object, ...]:
    return track, session.tempo, session.rate


@by_parts(256, _parts)
def _in_time(session: Session, track: Track) -> Track:
    """With each pattern at the frames of its beats, its clips' edges as far along in it as before."""
    new = {id(take): _take_in_time(session, take) for take in track.takes}
    if all(new[id(take)] is take for take in track.takes):
        return track

    def moved(clip: Clip) -> Clip:
        take = new[id(clip.take)]
        if take is clip.take:
            return clip
        ratio = take.source_end / clip.take.source_end
        head, tail = round(clip.head * ratio), round(clip.tail * ratio)
        if head + tail >= take.source_end:
            head = tail = 0
        return replace(clip, take=take, head=head, tail=tail)

    return replace(track, clips=tuple(map(moved, track.clips)))


def _take_in_time(session: Session, take: Take) -> Take:
    if take.playing is None:
        return take
    start, end = (round(session.frame_of(take.beat + more)) for more in (0.0, take.playing.beats))
    beat = take.beat
    if start < 0:  # nothing sounds before the session's first frame
        beat = session.beat_of(0)
        start, end = 0, round(session.frame_of(beat + take.playing.beats))
    if (start, end - start) == (take.start, take.source_end) and take.source_start == 0:
        return take
    return replace(take, start=start, source_start=0, source_end=max(1, end - start), beat=beat)


@dataclass(frozen=True)
class _Followed:
    clips: tuple[Clip, ...]


def _following(track: Track, known: dict[int, Track]) -> Track:
    """A layer with the clips of the track that it follows; by itself where that is gone."""
    layer = track.layer
    if layer is None:
        return track
    other = known.get(layer.of)
    if other is None or other is track or other.layer is not None:
        return replace(track, layer=None)
    followed = _layered(other, layer, track.id).clips
    return track if track.clips == followed else replace(track, clips=followed)


def _layer_parts(track: Track, layer: Layer, number: int) -> tuple[object, ...]:
    return track.clips, layer, number


@by_parts(64, _layer_parts)
def _layered(track: Track, layer: Layer, number: int) -> _Followed:
    takes: dict[int, Take] = {}
    clips = []
    for clip in track.clips:
        playing = clip.take.playing
        if playing is None:
            continue
        if id(clip.take) not in takes:
            semitones = max(-36.0, min(36.0, playing.semitones + layer.semitones))
            other = replace(playing, kit=layer.kit or playing.kit, semitones=semitones)
            takes[id(clip.take)] = replace(clip.take, playing=other)
        number_of = clip.id + LAYER_IDS * number
        clips.append(replace(clip, id=number_of, take=takes[id(clip.take)], group=0))
    return _Followed(tuple(clips))
