"""Kits made of hits, and how their slices are shaped."""

from collections.abc import Collection, Iterable, Sequence
from typing import NamedTuple

import numpy as np

from chronotome.order_stats import middle_of
from chronotome.session.counting import clock_of
from chronotome.session.edits.slicing import SHORTEST_SECONDS, Cuts, Place, cut_frames
from chronotome.session.kits import HIGHEST_KEY, MOST_KIT, MOST_KITS, Kit, KitId, KitSlice
from chronotome.session.model import Session, Take, replace
from chronotome.session.slices import TONE, SliceId, Slices, slices_at
from chronotome.session.table import Column

SHAPE = {
    "loudness": "loudness",
    "pan": "pans",
    "semitones": "semitones",
    "is_reversed": "reversed",
    **TONE,
    "fade_in": "fade_ins",
    "fade_out": "fade_outs",
}
"""What a slice on a key is called that a hit has too, and the column of that."""


def column_of(name: str) -> Column:
    """What a property of a slice on a key is as one of a hit."""
    return Slices.shaped[SHAPE[name]]


RISE_SECONDS = 0.010
"""The first sound's mark may be so much later than where it begins to be louder than the room."""


DECLICK_IN, DECLICK_OUT = 1.0, 5.0
"""Milliseconds: no attack is heard softer by the first, and nothing ends in a click by the second."""


class Hit(NamedTuple):
    """A hit of a clip as a slice for a key, which has neither number nor key yet."""

    hit: SliceId
    piece: KitSlice
    is_lead: bool
    """Whether it is what was before the first sound: nothing but the room."""


def slices_of(session: Session, place: Place) -> Slices:
    """The hits of a clip; one that is whole is cut at its onsets."""
    track = session.track(place[0])
    clip = track.clip(place[1])
    if clip.take.slices is not None:
        return clip.take.slices
    return slices_at(cut_frames(session, track, clip, Cuts()), (clip.source_start, clip.source_end))


def hits_of(session: Session, place: Place) -> list[Hit]:
    """The hits of a clip in the order in which they are placed; none where it plays a pattern."""
    clip = session.track(place[0]).clip(place[1])
    take, recording = clip.take, session.recording_with(clip.recording)
    if take.playing is not None:
        return []
    slices, tempo = slices_of(session, place), _tempo_of(session, take)
    bands = dict(zip(recording.onsets.frames, recording.onsets.bands, strict=True))
    columns = {name: slices.column(column).tolist() for name, column in SHAPE.items()}
    offsets, lengths = slices.column("offsets").tolist(), slices.column("lengths").tolist()
    made = []
    for at, (hit, start, end) in enumerate(zip(slices.ids, slices.starts, slices.ends, strict=True)):
        begin = min(start + offsets[at], end - 1)
        until = min(end, begin + lengths[at]) if lengths[at] else end
        shape = {name: column[at] for name, column in columns.items()}
        band = bands.get(start, 1)
        piece = KitSlice(0, recording.content, begin, until, 0, **shape, band=band, tempo=tempo)
        is_first = start == slices.original[0] and start not in bands
        is_lead = is_first and end <= recording.quiet + round(RISE_SECONDS * recording.rate)
        made.append(Hit(hit, piece, is_lead))
    return made


def slices_for_keys(session: Session, place: Place, chosen: Collection[SliceId] = ()) -> list[KitSlice]:
    """The hits of a clip as slices for keys, each once; only the chosen ones, if any are.

    What was before the first sound comes last.
    """
    hits = [each for each in hits_of(session, place) if not chosen or each.hit in chosen]
    hits.sort(key=lambda each: each.is_lead)
    return list({sound_of(each.piece): each.piece for each in hits}.values())[:MOST_KIT]


def sound_of(piece: KitSlice) -> tuple[object, ...]:
    """All of it but its number and its key."""
    return tuple(getattr(piece, name) for name in piece.__struct_fields__ if name not in {"id", "key"})


def _tempo_of(session: Session, take: Take) -> float:
    """Quarter notes a minute of a take as it was played, on the whole."""
    clock = clock_of(session, take)
    span = np.array([take.source_start, take.source_end])
    beats, seconds = clock.beats_at(span), (span[1] - span[0]) / session.recording_of(take).rate
    tempo = float((beats[1] - beats[0]) / seconds * 60.0)
    return round(tempo, 6) if 20.0 <= tempo <= 400.0 else 0.0


def make_kit(session: Session, place: Place, chosen: Collection[SliceId] = (), name: str = "") -> Session:
    """The hits of a clip on keys, as a new kit; the same session where there is none."""
    pieces = slices_for_keys(session, place, chosen)
    if not pieces or len(session.kits) >= MOST_KITS:
        return session
    kit = kit_of(name or session.track(place[0]).name, pieces, session.next_id)
    return replace(session, kits=(*session.kits, kit), next_id=session.next_id + 1)


def kit_of(name: str, pieces: Sequence[KitSlice], number: KitId = 0) -> Kit:
    """Slices on the first keys, in their order; at least one."""
    return with_slices(Kit(number, name, (replace(pieces[0], id=1),), next_id=2), pieces[1:])


def add_to_kit(session: Session, kit: KitId, place: Place, chosen: Collection[SliceId] = ()) -> Session:
    """The hits of a clip on the keys of a kit that are free; those that it has already are left out."""
    pieces = slices_for_keys(session, place, chosen)
    return with_kit(session, with_slices(session.kit(kit), pieces))


def with_slices(kit: Kit, pieces: Iterable[KitSlice]) -> Kit:
    """With more slices, each on the next key that is free."""
    known = {sound_of(each) for each in kit.slices}
    taken, number, made = {each.key for each in kit.slices}, kit.next_id, list(kit.slices)
    free = (key for key in range(HIGHEST_KEY + 1) if key not in taken)
    for piece in pieces:
        key = None if sound_of(piece) in known or len(made) >= MOST_KIT else next(free, None)
        if key is None:
            continue
        made.append(replace(piece, id=number, key=key))
        number += 1
    if len(made) == len(kit.slices):
        return kit
    return replace(kit, slices=tuple(sorted(made, key=lambda each: each.key)), next_id=number)


def with_kit(session: Session, kit: Kit) -> Session:
    """With a kit in the place of the one of that number."""
    kits = tuple(kit if each.id == kit.id else each for each in session.kits)
    return session if kit in session.kits else replace(session, kits=kits)


def set_kit(session: Session, kit: KitId, **values: object) -> Session:
    """Change what holds for all of a kit."""
    return with_kit(session, replace(session.kit(kit), **values))


def set_slice(session: Session, kit: KitId, numbers: Collection[int], **values: object) -> Session:
    """Change slices of a kit; a key that is taken changes places with it."""
    old = session.kit(kit)
    slices = [replace(each, **values) if each.id in numbers else each for each in old.slices]
    if "key" in values:
        before = {each.id: each.key for each in old.slices}
        moved = next(iter(numbers))
        slices = [
            replace(each, key=before[moved]) if each.id != moved and each.key == values["key"] else each
            for each in slices
        ]
    return with_kit(session, replace(old, slices=tuple(sorted(slices, key=lambda each: each.key))))


def shift_slices(session: Session, kit: KitId, name: str, value: float) -> Session:
    """All slices of a kit by as much, so that the middle one of them is at a value.

    What would be beyond 0 for a fade stays there; the differences between them are kept.
    """
    old = session.kit(kit)
    own = np.array([getattr(each, name) for each in old.slices], np.float64)
    column = column_of(name)
    now = np.clip(own + value - middle_of(own), column.least, column.most).round(3).tolist()
    slices = tuple(replace(each, **{name: at}) for each, at in zip(old.slices, now, strict=True))
    return session if slices == old.slices else with_kit(session, replace(old, slices=slices))


def declick(session: Session, kit: KitId) -> Session:
    """Each slice comes in and goes out over a few milliseconds at least, so that none can click."""
    old = session.kit(kit)
    slices = tuple(
        replace(each, fade_in=max(each.fade_in, DECLICK_IN), fade_out=max(each.fade_out, DECLICK_OUT))
        for each in old.slices
    )
    return session if slices == old.slices else with_kit(session, replace(old, slices=slices))


def slice_from(session: Session, kit: KitId | None, place: Place, frame: int, key: int) -> Session:
    """A slice of a clip's recording from a frame on, on a key; what it is cut of ends there.

    It lasts up to the next slice of the same recording, or to its end. Without a kit a new one is made.
    """
    clip = session.track(place[0]).clip(place[1])
    recording = session.recording_with(clip.recording)
    frame = min(max(0, frame), recording.frames - 2)
    old = None if kit is None else session.kit(kit)
    own = [] if old is None else [each for each in old.slices if each.recording == recording.content]
    if any(abs(each.start - frame) < SHORTEST_SECONDS * recording.rate for each in own):
        return session
    end = min((each.start for each in own if each.start > frame), default=recording.frames)
    near = np.abs(recording.onsets.frame_array - frame)
    band = recording.onsets.bands[int(near.argmin())] if len(near) else 1
    tempo = _tempo_of(session, clip.take) if clip.take.playing is None else 0.0
    number = 1 if old is None else old.next_id
    piece = KitSlice(number, recording.content, frame, end, key, band=band, tempo=tempo)
    if old is None:
        made = Kit(session.next_id, session.track(place[0]).name, (piece,), next_id=2)
        return replace(session, kits=(*session.kits, made), next_id=session.next_id + 1)
    shorter = [
        replace(each, end=frame) if each in own and each.start < frame < each.end else each
        for each in old.slices
        if each.key != key
    ]
    slices = tuple(sorted([*shorter, piece], key=lambda each: each.key))
    return with_kit(session, replace(old, slices=slices, next_id=number + 1))
