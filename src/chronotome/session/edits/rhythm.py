"""Hits of one clip on the rhythm of another; hits pasted; two clips with one band each."""

from collections.abc import Sequence

import msgspec
import numpy as np

from chronotome.session.counting import clock_of
from chronotome.session.edits.clips import put_clip
from chronotome.session.edits.hits import beats_of, clip_at, place_at
from chronotome.session.edits.slicing import Place, with_slices
from chronotome.session.edits.tracks import with_takes, with_track
from chronotome.session.limits import ContentHash
from chronotome.session.model import Clip, Crossover, Session, Take, TrackId, replace
from chronotome.session.slices import SliceId, Slices
from chronotome.session.tighten import targets_of
from chronotome.units import BeatArray


def rhythm_of(session: Session, place: Place) -> BeatArray:
    """The song's beats at which hits of a clip sound: those of its slices, else of its onsets; rising."""
    track = session.track(place[0])
    take = track.clip(place[1]).take
    targets = targets_of(session, track, take)
    if take.slices is not None and not len(targets.target):
        return np.unique(beats_of(session, take))
    return np.unique(session.tempo.beats_at(targets.target / session.rate))


def take_rhythm(
    session: Session,
    place: Place,
    ids: Sequence[SliceId],
    beats: BeatArray,
    *,
    is_nearest: bool = False,
    strength: float = 1.0,
) -> Session:
    """Put hits on the beats of another rhythm, all of the way or a part of it.

    By order: the first hit on the first beat from about there on, and so on; hits that are left over, and
    beats, stay as they are. By nearest: each hit on the nearest beat, of two that want one the nearer.
    """
    take = clip_at(session, place).take
    if take.slices is None or not len(beats):
        return session
    at = take.slices.at(ids)
    own = beats_of(session, take)[at]
    pairs = _nearest(own, beats) if is_nearest else _in_order(own, beats)
    wanted = {
        take.slices.ids[at[hit]]: float(own[hit] + strength * (beats[line] - own[hit])) for hit, line in pairs
    }
    return place_at(session, place, wanted)


def _in_order(own: BeatArray, beats: BeatArray) -> list[tuple[int, int]]:
    first = int(np.abs(beats - own[0]).argmin()) if len(own) else 0
    return [(each, first + each) for each in range(min(len(own), len(beats) - first))]


def _nearest(own: BeatArray, beats: BeatArray) -> list[tuple[int, int]]:
    at = np.minimum(np.searchsorted((beats[1:] + beats[:-1]) / 2, own), len(beats) - 1)
    away = np.abs(beats[at] - own)
    pairs: dict[int, int] = {}
    for hit in np.argsort(-away, kind="stable").tolist():
        pairs[int(at[hit])] = hit  # the nearest comes last, and stays
    return sorted((hit, line) for line, hit in pairs.items())


def paste_hits(  # noqa: PLR0917 - what is pasted, and where
    session: Session,
    place: Place | None,
    track: TrackId,
    content: ContentHash,
    slices: Slices,
    at: int,
) -> tuple[Session, Place]:
    """Lay slices of a recording from a session frame on: among those of a clip of it, else as a new clip.

    Returns
    -------
    the session, and the clip that they are in
    """
    rate = session.recording_with(content).rate
    if place is not None:
        take = clip_at(session, place).take
        if take.slices is not None and take.recording == content:
            clock_frames = _laid_at(session, take, at)
            by = clock_frames - slices.places[0]
            laid = [max(0, each + by) for each in slices.places]
            more = take.slices.with_more(slices, range(len(slices)), laid)
            return with_slices(session, place[0], take, more), place
    first = min(slices.starts[0], slices.places[0])
    places = tuple(each - slices.places[0] + first for each in slices.places)
    count = len(slices)
    columns: dict[str, tuple[int, ...]] = {"places": places, "copies": (0,) * count}
    columns["ids"] = tuple(range(1, count + 1))
    made = slices.in_order(columns, original=(slices.starts[0], slices.ends[0]), next_id=count + 1)
    made = _distinct(made)
    reach = int((made.place_array + made.spans).max())
    take = Take(content, first, max(reach, first + 2), at, slices=made)
    beat = session.beat_of(at) - session.beat_of(round(first * session.rate / rate))
    number = session.next_id
    session = replace(session, next_id=number + 1)
    clip = Clip(number, replace(take, beat=round(beat, 9)))
    return put_clip(session, track, clip), (track, number)


def _distinct(slices: Slices) -> Slices:
    """The second and further slices of one sound are copies: their onsets have ids of their own."""
    known, copies = set[int](), list[int]()
    for start, own in zip(slices.starts, slices.ids, strict=True):
        copies.append(own if start in known else 0)
        known.add(start)
    return msgspec.structs.replace(slices, copies=tuple(copies))


def _laid_at(session: Session, take: Take, frame: int) -> int:
    return max(0, int(clock_of(session, take).frames_at(np.array([session.beat_of(frame)]))[0]))


def set_crossover(session: Session, place: Place, crossover: Crossover | None) -> Session:
    """Let only what is below or above a frequency be heard of a clip's take; None: all of it."""
    take = clip_at(session, place).take

    def change(each: Take) -> Take:
        is_other = each is take and each.crossover != crossover and each.playing is None
        return replace(each, crossover=crossover) if is_other else each

    return with_track(session, place[0], lambda track: with_takes(track, change))


def share_bands(session: Session, low: Place, high: Place, hertz: float) -> Session:
    """The lows of one clip, and the highs of another: they meet at a frequency."""
    session = set_crossover(session, low, Crossover(hertz))
    return set_crossover(session, high, Crossover(hertz, is_high=True))
