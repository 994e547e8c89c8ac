"""Edits of the hits of a clip that was taken apart: where they are, in which order, how long they last."""

from collections.abc import Callable, Mapping, Sequence
from itertools import pairwise

import msgspec
import numpy as np
from numpy.typing import NDArray

from chronotome.session.anchors import anchors_of
from chronotome.session.counting import clock_of
from chronotome.session.edits.slicing import Place, change_slices, counterparts, with_slices
from chronotome.session.model import Clip, Session, Take
from chronotome.session.slices import (
    Lengthen,
    SliceId,
    Slices,
    draw,
)
from chronotome.units import BeatArray

Ids = Sequence[SliceId]
LANDS_ON_SECONDS = 0.030
"""A hit that is put this near to the beginning of another lies on it: on its line, as far as that was played
beside it. Nearer than a flam is wide.
"""
SHUFFLE = 7
"""A number for draws that no scatter has."""


def changed(
    session: Session, place: Place, ids: Ids, change: Callable[[Slices, list[int]], Slices]
) -> Session:
    """Change slices that are there, of a clip and of its counterparts."""

    def of(slices: Slices) -> Slices:
        at = slices.at(ids)
        return change(slices, at) if at else slices

    return change_slices(session, place, of)


def clip_at(session: Session, place: Place) -> Clip:
    return session.track(place[0]).clip(place[1])


def beats_of(session: Session, take: Take) -> BeatArray:
    """The song's beats at which slices are before Tighten moves them."""
    laid = np.zeros(0, np.int64) if take.slices is None else take.slices.place_array
    return clock_of(session, take).beats_at(laid)


# Where they are


def place_at(session: Session, place: Place, beats: Mapping[SliceId, float]) -> Session:
    """Put slices at beats of the song, as Tighten then finds them; counterparts move by as much."""
    take = clip_at(session, place).take
    if take.slices is None:
        return session
    at = take.slices.at(beats)
    if not at:
        return session
    wanted = np.array([beats[take.slices.ids[each]] for each in at])
    frames = np.maximum(0, clock_of(session, take).frames_at(wanted))
    rate = session.recording_of(take).rate
    seconds = (frames - take.slices.place_array[at]) / rate
    ids = [take.slices.ids[each] for each in at]
    return shift(session, place, dict(zip(ids, seconds.tolist(), strict=True)))


def shift(session: Session, place: Place, seconds: Mapping[SliceId, float]) -> Session:
    """Move slices by so much of the recording's own time; none before its start."""
    take = clip_at(session, place).take
    for each, other in counterparts(session, session.track(place[0]), take):
        slices = other.slices
        if slices is None or take.slices is None or slices.ids != take.slices.ids:
            continue
        at = slices.at(seconds)
        rate = session.recording_of(other).rate
        by = np.rint(np.array([seconds[slices.ids[place]] for place in at]) * rate).astype(np.int64)
        moved = np.maximum(0, slices.place_array[at] + by)
        session = with_slices(session, each, other, slices.with_values("places", at, moved.tolist()))
    return session


def move(session: Session, place: Place, ids: Ids, beats: float) -> Session:
    """Move slices by beats of the song, none before the recording's start."""
    take = clip_at(session, place).take
    if take.slices is None:
        return session
    now = beats_of(session, take)
    at = take.slices.at(ids)
    if not at:
        return session
    first = float(clock_of(session, take).beats_at(np.array([0]))[0])
    by = max(beats, first - float(now[at].min()))
    return place_at(session, place, {take.slices.ids[each]: float(now[each]) + by for each in at})


def move_by_time(session: Session, place: Place, ids: Ids, seconds: float) -> Session:
    """Move slices by as much time, each by the tempo where it is; none before the recording's start."""
    take = clip_at(session, place).take
    at = [] if take.slices is None else take.slices.at(ids)
    if take.slices is None or not at:
        return session
    now = beats_of(session, take)
    first = float(clock_of(session, take).beats_at(np.array([0]))[0])
    there = session.timebase.later(now[at], seconds)
    there += max(0.0, first - float(there.min()))
    return place_at(
        session, place, {take.slices.ids[each]: float(to) for each, to in zip(at, there, strict=True)}
    )


def copy(session: Session, place: Place, ids: Ids, beats: float, times: int = 1) -> Session:
    """Lay slices once more, or several times, each so many beats after the one before."""
    for time in range(1, times + 1):
        session = _copied(session, place, ids, beats * time)
    return session


def _copied(session: Session, place: Place, ids: Ids, beats: float) -> Session:
    take = clip_at(session, place).take
    if take.slices is None:
        return session
    clock, rate = clock_of(session, take), session.recording_of(take).rate
    at = take.slices.at(ids)
    there = clock.beats_at(take.slices.place_array[at]) + beats
    by = (np.maximum(0, clock.frames_at(there)) - take.slices.place_array[at]) / rate
    for each, other in counterparts(session, session.track(place[0]), take):
        slices = other.slices
        if slices is not None and slices.ids == take.slices.ids:
            own = np.rint(by * session.recording_of(other).rate).astype(np.int64)
            places = np.maximum(0, slices.place_array[at] + own).tolist()
            session = with_slices(session, each, other, slices.with_more(slices, at, places))
    return session


def landing(session: Session, place: Place, ids: Ids) -> list[SliceId]:
    """Other slices on which these lie: that begin about where one of them does."""
    take = clip_at(session, place).take
    if take.slices is None:
        return []
    at, places = take.slices.at(ids), take.slices.place_array
    if not at:
        return []
    near = round(LANDS_ON_SECONDS * session.recording_of(take).rate)
    own = np.sort(places[at])
    after = own.searchsorted(places)
    away = np.minimum(
        np.abs(own[np.minimum(after, len(own) - 1)] - places), np.abs(own[np.maximum(after - 1, 0)] - places)
    )
    is_other = np.ones(len(places), np.bool_)
    is_other[at] = False
    return [take.slices.ids[each] for each in np.flatnonzero((away <= near) & is_other).tolist()]


def delete(session: Session, place: Place, ids: Ids, *, is_closed: bool = False) -> Session:
    """Take slices away; where the gap is closed, all after each come earlier by its length."""

    def without(slices: Slices, at: list[int]) -> Slices:
        if is_closed:
            places, spans = slices.place_array.copy(), _slots(slices)
            for each in reversed(at):
                places[each + 1 :] -= spans[each]
            slices = msgspec.structs.replace(slices, places=tuple(np.maximum(0, places).tolist()))
        return slices.without(at)

    return changed(session, place, ids, without)


def _slots(slices: Slices, at: Sequence[int] | None = None) -> NDArray[np.int64]:
    """Frames from each place to the next one, at most as long as it sounds; of the last its own length.

    Of all slices, or of some of them as if there were no others.
    """
    places, spans = slices.place_array, slices.spans
    if at is not None:
        places, spans = places[list(at)], spans[list(at)]
    following = np.append(places[1:], np.iinfo(np.int64).max)
    return np.minimum(spans, following - places)


def swap(session: Session, place: Place, first: SliceId, second: SliceId) -> Session:
    """Let two slices change places."""
    return _permuted(session, place, (first, second), lambda at: [at[1], at[0]] if len(at) == 2 else at)


def shuffle(session: Session, place: Place, ids: Ids, seed: int) -> Session:
    """The same sounds at the same places in another order, drawn by a seed."""

    def order(at: list[int]) -> list[int]:
        keys = draw(seed, np.arange(len(at)), SHUFFLE, 0.0)
        return [at[each] for each in np.argsort(keys, kind="stable").tolist()]

    return _permuted(session, place, ids, order)


def turn_order(session: Session, place: Place, ids: Ids) -> Session:
    """The last of them first: the same places, each sound as it was recorded."""
    return _permuted(session, place, ids, lambda at: at[::-1])


def _permuted(session: Session, place: Place, ids: Ids, order: Callable[[list[int]], list[int]]) -> Session:
    """Other sounds at the same places, each as long as its new place lets it be, where it was cut before."""

    def change(slices: Slices, at: list[int]) -> Slices:
        new = order(at)
        slots, spans = _slots(slices), slices.spans
        lengths, places = slices.column("lengths").copy(), slices.place_array.copy()
        for there, which in zip(at, new, strict=True):
            places[which] = slices.places[there]
            if spans[which] > slots[there] and slots[there] > 0:
                lengths[which] = slots[there]
        columns = {"places": tuple(places.tolist()), "lengths": tuple(lengths.tolist())}
        return slices.in_order(columns)

    return changed(session, place, ids, change)


def scale_time(
    session: Session, place: Place, ids: Ids, factor: float, *, stretches: bool = False
) -> Session:
    """Twice as fast (0.5) or half as fast (2): places from the first of them on, and lengths if wanted.

    What would sound into the next one of them is cut there. The other hits stay, and these ring under them.
    """
    take = clip_at(session, place).take
    if take.slices is None:
        return session
    at, now = take.slices.at(ids), beats_of(session, take)
    if len(at) < 2:
        return session
    first = float(now[at[0]])
    ids = [take.slices.ids[each] for each in at]
    beats = {take.slices.ids[each]: first + (float(now[each]) - first) * factor for each in at}
    before = _slots(take.slices, at)
    session = place_at(session, place, beats)

    def change(slices: Slices, at: list[int]) -> Slices:
        spans, slots = slices.spans[at], _slots(slices, at)
        if stretches:
            lengths = np.maximum(1, np.rint(spans * factor)).astype(np.int64)
            slices = slices.with_values("lengthened", at, [int(Lengthen.STRETCH)] * len(at))
            return slices.with_values("lengths", at, lengths.tolist())
        cut = (spans > slots) & (slots > 0) & (slots < before[: len(at)])
        lengths = np.where(cut, slots, slices.column("lengths")[at])
        return slices.with_values("lengths", at, lengths.tolist())

    return changed(session, place, ids, change)


def lengthen(session: Session, place: Place, ids: Ids, seconds: float, how: Lengthen) -> Session:
    """Let slices last so long before Tighten moves them; 0: as long as they are."""

    def change(slices: Slices, at: list[int], rate: int) -> Slices:
        frames = max(0, round(seconds * rate))
        slices = slices.with_values("lengths", at, [frames] * len(at))
        return slices.with_values("lengthened", at, [int(how) if frames else 0] * len(at))

    return each_with_rate(session, place, ids, change)


def each_with_rate(
    session: Session, place: Place, ids: Ids, change: Callable[[Slices, list[int], int], Slices]
) -> Session:
    """The same with the rate of each recording."""
    take = clip_at(session, place).take
    for each, other in counterparts(session, session.track(place[0]), take):
        slices = other.slices
        if slices is not None and take.slices is not None and slices.ids == take.slices.ids:
            at, rate = slices.at(ids), session.recording_of(other).rate
            session = with_slices(session, each, other, change(slices, at, rate) if at else slices)
    return session


def glue(session: Session, place: Place, ids: Ids) -> Session:
    """Make one of neighbours that go on in one another as they were recorded, and are alike."""

    def change(slices: Slices, at: list[int]) -> Slices:
        ends, gone = list(slices.ends), set[int]()
        head = -1
        for before, after in pairwise(at):
            if head < 0 or before not in gone:
                head = before
            if after == before + 1 and goes_on(slices, before):
                ends[head] = slices.ends[after]
                gone.add(after)
        return msgspec.structs.replace(slices, ends=tuple(ends)).without(gone) if gone else slices

    return changed(session, place, ids, change)


def goes_on(slices: Slices, at: int) -> bool:
    """Whether the slice after this one goes on in it, as it was recorded."""
    return (
        at + 1 < len(slices)
        and slices.ends[at] == slices.starts[at + 1]
        and slices.places[at] + slices.ends[at] - slices.starts[at] == slices.places[at + 1]
        and all(slices.column(name)[at] == slices.column(name)[at + 1] for name in ("lengths", "reversed"))
    )


def cut_slice(session: Session, place: Place, frame: float) -> Session:
    """Cut the slice that sounds at a session frame in two: the last that begins before it."""
    track = session.track(place[0])
    clip = track.clip(place[1])
    take, slices = clip.take, clip.take.slices
    if slices is None:
        return session
    recording = session.recording_of(take)
    laid = anchors_of(session, track, take).source_of(frame) * recording.rate / session.rate
    under = np.flatnonzero((slices.place_array < laid) & (slices.place_array + slices.spans > laid))
    if not len(under):
        return session
    at = int(under[-1])
    own, into = slices.ids[at], laid - slices.places[at]
    share = into / recording.rate
    has_moved = bool(slices.column("lengths")[at] or slices.column("reversed")[at])
    if has_moved or not 2 <= into <= slices.ends[at] - slices.starts[at] - 2:
        return session

    return each_with_rate(
        session, place, [own], lambda slices, at, rate: slices.with_cut(at[0], round(share * rate))
    )
