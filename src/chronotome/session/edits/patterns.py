"""Patterns: made of a recording or empty, played on tracks, their steps set, moved and shaped."""

from collections.abc import Callable, Collection, Sequence
from typing import Any

import numpy as np

from chronotome.session.anchors import anchors_of, window_of
from chronotome.session.edits.kits import hits_of, make_kit, slices_of, sound_of
from chronotome.session.edits.recordings import bring_recording
from chronotome.session.edits.slicing import Place
from chronotome.session.edits.tracks import with_track
from chronotome.session.kits import Kit, KitId
from chronotome.session.model import (
    Clip,
    Layer,
    Playing,
    Recording,
    Session,
    Take,
    Track,
    TrackId,
    replace,
)
from chronotome.session.patterns import (
    LONGEST_PATTERN,
    MOST_PATTERNS,
    SHORTEST_PATTERN,
    Pattern,
    PatternId,
    StepId,
)
from chronotome.session.rounds import laid_of
from chronotome.session.rows import sliced_of
from chronotome.session.slices import SliceId, mixed


def pattern_of_clip(
    session: Session, place: Place, kit: KitId | None = None, chosen: Collection[SliceId] = ()
) -> Session:
    """A clip's hits as steps, each at its own place, played by a track below it; the clip's track is muted.

    It sounds exactly as the clip did; of some hits only, they do. Without a kit one is made of the hits.
    """
    track = session.track(place[0])
    clip = track.clip(place[1])
    if clip.take.playing is not None or len(session.patterns) >= MOST_PATTERNS:
        return session
    if kit is None:
        kit = session.next_id
        session = make_kit(session, place, chosen)
        if session.next_id == kit:
            return session
    keys = {sound_of(each): each.id for each in session.kit(kit).slices}
    starts, hits = _heard_starts(session, place), list[tuple[int, int]]()
    for start, hit in zip(starts, hits_of(session, place), strict=True):
        piece = keys.get(sound_of(hit.piece))
        if piece is not None and (not chosen or hit.hit in chosen):
            hits.append((start, piece))
    if not hits:
        return session
    window, metre = window_of(session, track, clip), session.metre
    first = session.beat_of(hits[0][0] if chosen else window.start)
    last = session.beat_of(hits[-1][0]) + 1e-3 if chosen else session.beat_of(window.end)
    beat, bar = max(metre.bar_start(first), session.beat_of(0)), metre.bar_length(first)
    upbeat = round(metre.next_bar(beat) - beat, 9) % bar
    whole = max(1.0, np.ceil(metre.bar_at(last) - metre.bar_at(beat) - 1e-6))
    beats = float(min(LONGEST_PATTERN, metre.bars_from(beat, whole) - beat))
    placed = [(max(0.0, session.beat_of(start) - beat), piece) for start, piece in hits]
    placed = [each for each in placed if each[0] < beats]
    number = session.next_id
    names = 1 + sum(each.kit == kit for each in session.patterns)
    name = f"{session.kit(kit).name} {names}"
    made = Pattern(number, name, kit, beats, upbeat=upbeat, seed=number)
    made = made.with_steps({"slices": [piece for _, piece in placed], "places": [each for each, _ in placed]})
    session = replace(session, patterns=(*session.patterns, made), next_id=number + 1)
    session = with_track(session, track.id, lambda old: replace(old, is_muted=True))
    return _on_new_track(session, track, made, beat, beats)


def _heard_starts(session: Session, place: Place) -> list[int]:
    """Session frames at which the hits of a clip are heard."""
    track = session.track(place[0])
    clip = track.clip(place[1])
    anchors = anchors_of(session, track, clip.take)
    if clip.take.slices is not None:
        return sliced_of(session, track, clip.take, anchors).starts.tolist()
    ratio = session.rate / session.recording_of(clip).rate
    begins = np.rint(np.array(slices_of(session, place).starts) * ratio)
    return np.rint(anchors.heard_at(begins)).astype(np.int64).tolist()


def _on_new_track(
    session: Session, beside: Track | None, pattern: Pattern, beat: float, beats: float
) -> Session:
    """A track right below another one, with a clip that plays a pattern."""
    number = session.next_id
    track = Track(number, pattern.name, (_clip(session, number + 1, pattern, beat, beats),))
    if beside is not None:
        track = replace(track, level=beside.level, pan=beside.pan, is_flipped=beside.is_flipped)
    at = len(session.tracks) if beside is None else [each.id for each in session.tracks].index(beside.id) + 1
    tracks = (*session.tracks[:at], track, *session.tracks[at:])
    return replace(session, tracks=tracks, next_id=number + 2)


def _clip(session: Session, number: int, pattern: Pattern, beat: float, beats: float) -> Clip:
    start = max(0, round(session.frame_of(beat)))
    end = max(start + 1, round(session.frame_of(beat + beats)))
    kit = session.kit(pattern.kit)
    playing = Playing(pattern.id, min(LONGEST_PATTERN, max(SHORTEST_PATTERN, beats)))
    take = Take(kit.slices[0].recording, 0, end - start, start, beat=beat, playing=playing)
    return Clip(number, take, name=pattern.name)


def new_pattern(session: Session, kit: KitId, beats: float, name: str = "") -> Session:
    """An empty pattern of a kit; nothing plays it yet."""
    number = session.next_id
    if len(session.patterns) >= MOST_PATTERNS:
        return session
    count = sum(each.kit == kit for each in session.patterns) + 1
    made = Pattern(number, name or f"{session.kit(kit).name} {count}", kit, beats, seed=number)
    return replace(session, patterns=(*session.patterns, made), next_id=number + 1)


def play_pattern(
    session: Session, track: TrackId | None, pattern: PatternId, beat: float, beats: float = 0.0
) -> Session:
    """A clip on a track, or on a new one, that plays a pattern once, or for so many beats."""
    made = session.pattern(pattern)
    beats = float(beats or made.beats)
    beat = max(float(beat), session.beat_of(0))
    if track is None:
        return _on_new_track(session, None, made, beat, beats)
    clip = _clip(session, session.next_id, made, beat, beats)
    session = replace(session, next_id=session.next_id + 1)
    return with_track(session, track, lambda old: replace(old, clips=(*old.clips, clip)))


def with_pattern(session: Session, pattern: Pattern) -> Session:
    """With a pattern in the place of the one of that number."""
    if any(each is pattern for each in session.patterns):
        return session
    patterns = tuple(pattern if each.id == pattern.id else each for each in session.patterns)
    return replace(session, patterns=patterns)


def change_pattern(session: Session, pattern: PatternId, change: Callable[[Pattern], Pattern]) -> Session:
    """Change a pattern wherever it plays; the same session where it is gone."""
    old = next((each for each in session.patterns if each.id == pattern), None)
    return session if old is None else with_pattern(session, change(old))


def set_step(session: Session, pattern: PatternId, piece: int, place: float, **shape: Any) -> Session:
    """One step more, unless there is one of that slice at that place."""
    place = float(place)

    def change(old: Pattern) -> Pattern:
        near = np.abs(old.column("places") - place) < 1e-6
        if not 0.0 <= place < old.beats or (near & (old.column("slices") == piece)).any():
            return old
        columns: dict[str, Sequence[Any]] = {name: [value] for name, value in shape.items()}
        return old.with_steps({"slices": [piece], "places": [place], **columns})

    return change_pattern(session, pattern, change)


def remove_steps(session: Session, pattern: PatternId, steps: Collection[StepId]) -> Session:
    return change_pattern(session, pattern, lambda old: old.without(old.at(steps)))


def move_steps(
    session: Session, pattern: PatternId, steps: Collection[StepId], by: float, pieces: dict[StepId, int]
) -> Session:
    """Steps so many quarter notes later, and on other slices; beyond the pattern's ends they come round."""

    def change(old: Pattern) -> Pattern:
        at = old.at(steps)
        if not at:
            return old
        places = [round((old.places[each] + float(by)) % old.beats, 9) % old.beats for each in at]
        slices = [pieces.get(old.ids[each], old.slices[each]) for each in at]
        if by:
            old = old.with_values("places", at, places)
            at = [old.ids.index(each) for each in _ids_at(session, pattern, at)]
        return old.with_values("slices", at, slices)

    return change_pattern(session, pattern, change)


def _ids_at(session: Session, pattern: PatternId, at: Sequence[int]) -> list[StepId]:
    ids = session.pattern(pattern).ids
    return [ids[each] for each in at]


def shape_steps(
    session: Session, pattern: PatternId, steps: Collection[StepId], name: str, value: float
) -> Session:
    """One of the values of steps, held within what it may be."""
    column = Pattern.shaped[name]
    value = round(column.held(value)) if column.kind is int else round(float(column.held(value)), 6)
    return change_pattern(
        session, pattern, lambda old: old.with_values(name, old.at(steps), [value] * len(old.at(steps)))
    )


def set_beats(session: Session, pattern: PatternId, beats: float) -> Session:
    """Another length of one round; clips play as long as they did."""
    return change_pattern(session, pattern, lambda old: old.with_beats(beats) if beats != old.beats else old)


def set_played(session: Session, place: Place, beats: float) -> Session:
    """How long a clip plays its pattern."""
    take = session.track(place[0]).clip(place[1]).take
    if take.playing is None:
        return session
    playing = replace(take.playing, beats=min(LONGEST_PATTERN, max(SHORTEST_PATTERN, float(beats))))
    return _with_playing(session, place, playing)


def _with_playing(session: Session, place: Place, playing: Playing) -> Session:
    old = session.track(place[0]).clip(place[1]).take
    if playing == old.playing:
        return session
    new = replace(old, playing=playing)

    def change(track: Track) -> Track:
        clips = (
            replace(each, take=new, head=0, tail=0) if each.take is old else each for each in track.clips
        )
        return replace(track, clips=tuple(clips))

    return with_track(session, place[0], change)


def draw_again(session: Session, pattern: PatternId) -> Session:
    """Other draws of chance, in all rounds."""
    return change_pattern(session, pattern, lambda old: replace(old, seed=(old.seed * 48271 + 1) % (1 << 31)))


def keep_round(session: Session, place: Place, number: int) -> Session:
    """What chance and turns gave in a round of a clip, counted from its start, as steps that always sound."""
    take = session.track(place[0]).clip(place[1]).take
    if take.playing is None:
        return session
    pattern = session.pattern(take.playing.pattern)
    laid = laid_of(pattern, take.beat, take.playing.beats, session.tempo, session.rate)
    first = int(np.floor(take.beat / pattern.beats + 1e-9))
    here = sorted(set(laid.step[laid.round == first + number].tolist()))
    kept = pattern.only(here)
    return with_pattern(session, replace(kept, chances=(), everys=(), turns=()))


def vary(session: Session, place: Place, count: int, seed: int) -> Session:
    """The pattern of a clip with some of its steps moved, left out or doubled, as a new one that it plays."""
    clip = session.track(place[0]).clip(place[1])
    playing = clip.take.playing
    if playing is None or len(session.patterns) >= MOST_PATTERNS:
        return session
    old, step = session.pattern(playing.pattern), 0.25
    if not len(old):
        return session
    draws = mixed(seed, np.arange(len(old)))
    chosen = np.argsort(draws, kind="stable")[:count]
    how = mixed(seed + 1, chosen)
    side = np.where(mixed(seed + 2, chosen) < 0.5, -step, step)
    moved = chosen[how < 1 / 3].tolist()
    gone = chosen[(how >= 1 / 3) & (how < 2 / 3)]
    doubled = chosen[how >= 2 / 3].tolist()
    by = dict(zip(chosen.tolist(), side.tolist(), strict=True))
    number = session.next_id
    names = sum(each.kit == old.kit for each in session.patterns) + 1
    kit = session.kit(old.kit)
    new = replace(old, id=number, name=f"{kit.name} {names}", seed=number)
    columns = {
        name: [old.column(name).tolist()[each] for each in doubled] for name in (*old.shaped, "slices")
    }
    columns["places"] = [(old.places[each] + step) % old.beats for each in doubled]
    places = [(old.places[each] + by[each]) % old.beats for each in moved]
    ids = [old.ids[each] for each in gone.tolist()]
    new = new.with_values("places", moved, places).without(new.at(ids)).with_steps(columns)
    session = replace(session, patterns=(*session.patterns, new), next_id=number + 1)
    session = _with_playing(session, place, replace(playing, pattern=number))
    name = new.name
    return with_track(
        session,
        place[0],
        lambda track: replace(
            track,
            clips=tuple(replace(each, name=name) if each.id == clip.id else each for each in track.clips),
        ),
    )


def add_layer(session: Session, track: TrackId, semitones: float, kit: KitId = 0) -> Session:
    """A track that plays the patterns of another one as well, higher, or on another kit."""
    old = session.track(track)
    if old.layer is not None or not any(clip.take.playing is not None for clip in old.clips):
        return session
    number = session.next_id
    words = f"{old.name} layer"
    made = replace(
        old, id=number, name=words, clips=(), layer=Layer(track, kit, semitones), is_solo=False, variants=()
    )
    at = [each.id for each in session.tracks].index(track) + 1
    return replace(session, tracks=(*session.tracks[:at], made, *session.tracks[at:]), next_id=number + 1)


def free_layer(session: Session, track: TrackId) -> Session:
    """A layer by itself from now on: its clips are its own, with patterns of their own."""
    old = session.track(track)
    if old.layer is None:
        return session
    number, made, clips = session.next_id, dict[PatternId, Pattern](), list[Clip]()
    takes = dict[int, Take]()
    for clip in old.clips:
        playing = clip.take.playing
        if playing is None:
            continue
        if playing.pattern not in made:
            pattern = session.pattern(playing.pattern)
            made[playing.pattern] = replace(pattern, id=number, name=f"{old.name} {len(made) + 1}")
            number += 1
        if id(clip.take) not in takes:
            playing = replace(playing, pattern=made[playing.pattern].id)
            takes[id(clip.take)] = replace(clip.take, playing=playing)
        clips.append(replace(clip, id=number, take=takes[id(clip.take)]))
        number += 1
    session = replace(session, patterns=(*session.patterns, *made.values()), next_id=number)
    return with_track(session, track, lambda each: replace(each, layer=None, clips=tuple(clips)))


def bring_pattern(session: Session, pattern: Pattern, kit: Kit, recordings: Sequence[Recording]) -> Session:
    """A pattern of elsewhere with its kit, and the recordings of its slices; nothing plays it yet."""
    for each in recordings:
        session = bring_recording(session, each)
    number = session.next_id
    kits = (*session.kits, replace(kit, id=number))
    patterns = (*session.patterns, replace(pattern, id=number + 1, kit=number))
    return replace(session, kits=kits, patterns=patterns, next_id=number + 2)
