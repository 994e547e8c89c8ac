"""Edits of tempo, metre, beat one, loop and click."""

from collections.abc import Iterable
from operator import attrgetter
from typing import NamedTuple

import numpy as np

from chronotome.session.anchors import extent_of
from chronotome.session.edits.room import with_room
from chronotome.session.grid import FASTEST, SLOWEST, TempoChange, TempoMap
from chronotome.session.limits import MOST_BEATS
from chronotome.session.metre import MOST_METRE_CHANGES, ON_LINE, Metre, MetreChange, MetreMap
from chronotome.session.model import Click, Follow, Session, Span, Track, replace


class SongMap(NamedTuple):
    """Tempo and metre of a whole song, as a file tells them; beat one in seconds where it is told."""

    changes: tuple[TempoChange, ...]
    metre: MetreMap | None
    beat_one: float | None = None


SAME_PLACE = 1e-6
"""Quarter notes within which two changes are one."""


def set_tempo(session: Session, beats_per_minute: float) -> Session:
    """One tempo for the whole song; beat one stays where it is in time."""
    return _with_tempo(session, (TempoChange(0.0, max(SLOWEST, min(FASTEST, beats_per_minute))),))


def scale_tempo(session: Session, factor: float) -> Session:
    """Twice as fast, half as fast: wherever it changes."""
    changes = (
        TempoChange(each.beat, max(SLOWEST, min(FASTEST, each.beats_per_minute * factor)))
        for each in session.tempo.changes
    )
    return _with_tempo(session, tuple(changes))


def set_tempo_from(session: Session, beat: float, beats_per_minute: float) -> Session:
    """Another tempo from a beat on, up to the next change; what was before stays."""
    wanted = max(SLOWEST, min(FASTEST, beats_per_minute))
    others = [each for each in session.tempo.changes if abs(each.beat - beat) > SAME_PLACE]
    if len(others) >= MOST_BEATS:
        return session
    if beat < session.tempo.changes[0].beat - SAME_PLACE:  # before the first change its tempo held
        others.append(TempoChange(beat - 1.0, session.tempo.changes[0].beats_per_minute))
    changes = sorted([*others, TempoChange(beat, wanted)], key=attrgetter("beat"))
    return _with_tempo(session, tuple(changes))


def set_tempo_at(session: Session, beat: float, beats_per_minute: float) -> Session:
    """Another tempo at a beat: from the change before it to the next one; all through where none was set."""
    tempo = session.tempo
    if tempo.is_constant or session.lead is not None:
        return set_tempo(session, beats_per_minute)
    before = [each.beat for each in tempo.changes if each.beat <= beat + SAME_PLACE]
    return set_tempo_from(session, before[-1] if before else tempo.changes[0].beat, beats_per_minute)


def ramp_tempo(session: Session, start: float, end: float, beats_per_minute: float) -> Session:
    """From the tempo at a beat evenly to another one at a later beat, which holds from there on.

    Each beat of the metre between them has one tempo: that of its middle.
    """
    start, end = min(start, end), max(start, end)
    wanted, beat = max(SLOWEST, min(FASTEST, beats_per_minute)), session.metre.metre_at(start).beat
    count = max(1, round((end - start) / beat))
    others = [each for each in session.tempo.changes if not start - SAME_PLACE < each.beat < end + SAME_PLACE]
    if count + len(others) >= MOST_BEATS:
        return session
    first = session.timebase.tempo_at(start)
    steps = [
        TempoChange(start + (end - start) * at / count, first + (wanted - first) * (at + 0.5) / count)
        for at in range(count)
    ]
    changes = sorted([*others, *steps, TempoChange(end, wanted)], key=attrgetter("beat"))
    return _with_tempo(session, tuple(changes))


def remove_tempo_change(session: Session, beat: float) -> Session:
    """The last change up to a beat goes; the first tempo of all stays."""
    changes = session.tempo.changes
    at = max((place for place, each in enumerate(changes) if each.beat <= beat + SAME_PLACE), default=0)
    return session if at == 0 else _with_tempo(session, changes[:at] + changes[at + 1 :])


def take_song_map(session: Session, told: SongMap) -> Session:
    """Tempo and metre as they are told; beat one stays, unless the session has not set one."""
    session = _with_tempo(session, told.changes)
    if told.metre is not None:
        session = _with_metres(session, told.metre.first, told.metre.changes)
    if told.beat_one is not None and not session.is_beat_one_set and not session.tracks:
        session = set_beat_one(session, told.beat_one)
    return session


def _with_tempo(session: Session, changes: tuple[TempoChange, ...]) -> Session:
    """Another tempo of the song, which from now on takes it from no recording."""
    tempo, changed = session.tempo, TempoMap(changes, session.tempo.beat_one)
    if session.is_tempo_set and tempo == changed:
        return session
    if session.is_tempo_set:
        session = replace(session, tracks=tuple(_keeping(each, tempo, changed) for each in session.tracks))
    return with_room(replace(session, tempo=changed, is_tempo_set=True, lead=None))


def _keeping(track: Track, before: TempoMap, after: TempoMap) -> Track:
    """A track that does not follow the song keeps its lines where they are, until it is said what it does."""
    recipes = (track.tighten, *(take.tighten for take in track.takes if take.tighten))
    recipes = (*recipes, *(span.recipe for span in track.spans))
    is_drawn = any(each.strength > 0 for each in recipes) and any(
        take.playing is None for take in track.takes
    )
    if track.follow is not Follow.NOTHING or track.layer is not None or not is_drawn:
        return track
    own = track.own_tempo or before
    return replace(track, own_tempo=None if own == after else own)


def set_beat_one(session: Session, seconds: float) -> Session:
    """Let bar 1 start at a moment; what comes before is a pickup."""
    if session.is_beat_one_set and session.tempo.beat_one == seconds:
        return session
    tempo = TempoMap(session.tempo.changes, seconds)
    return with_room(replace(session, tempo=tempo, is_beat_one_set=True, lead=None))


def set_metre(session: Session, metre: Metre) -> Session:
    """One metre for the whole song."""
    return _with_metres(session, metre, ())


def set_metre_at(session: Session, beat: float, metre: Metre) -> Session:
    """Another metre at a beat: from the change before it to the next one."""
    at, changes = session.metre.stretch_at(beat), session.metre_changes
    if at == 0:
        return _with_metres(session, metre, changes)
    return set_metre_from(session, changes[at - 1].bar, metre)


def set_metre_from(session: Session, bar: int, metre: Metre, *, bars: int = 0) -> Session:
    """Another metre from a bar on, counted from 0; after so many bars of it the song goes on as it was.

    What lies behind stays where it sounds, and its bars are counted anew. The changes behind them keep their
    distance in bars where `bars` is 0; else they move by the bars more or fewer that these span now.
    """
    bar = max(0, bar)
    before = session.metre
    if bars <= 0:
        changes = [each for each in session.metre_changes if each.bar != bar]
    else:
        start = before.beat_of(bar)
        end = before.bar_at(start + bars * metre.bar)  # where what comes now ends, in the bars of before
        resumed = int(np.ceil(end - ON_LINE))
        by = bar + bars - resumed
        changes = [each for each in session.metre_changes if each.bar < bar]
        changes.append(MetreChange(bar + bars, before.metre_at(before.beat_of(resumed))))
        changes += [
            MetreChange(each.bar + by, each.metre) for each in session.metre_changes if each.bar > resumed
        ]
    if bar == 0:
        return _with_metres(session, metre, changes)
    return _with_metres(session, session.first_metre, [*changes, MetreChange(bar, metre)])


def remove_metre_change(session: Session, beat: float) -> Session:
    """The last change up to a beat goes; the first metre of all stays."""
    at, changes = session.metre.stretch_at(beat), session.metre_changes
    if at == 0:
        return session
    return _with_metres(session, session.first_metre, changes[: at - 1] + changes[at:])


def move_metre_change(session: Session, at: int, bar: int) -> Session:
    """A change, by its number, to another bar between those beside it."""
    changes = session.metre_changes
    low = changes[at - 1].bar + 1 if at else 1
    high = changes[at + 1].bar - 1 if at + 1 < len(changes) else MOST_BEATS
    moved = MetreChange(max(low, min(high, bar)), changes[at].metre)
    return _with_metres(session, session.first_metre, (*changes[:at], moved, *changes[at + 1 :]))


def _with_metres(session: Session, first: Metre, changes: Iterable[MetreChange]) -> Session:
    """With other metres; a change to the metre that holds already is none."""
    kept = list[MetreChange]()
    for each in sorted(changes, key=attrgetter("bar")):
        if each.metre != (kept[-1].metre if kept else first):
            kept.append(each)
    if len(kept) > MOST_METRE_CHANGES or (session.first_metre, session.metre_changes) == (first, tuple(kept)):
        return session
    return replace(session, first_metre=first, metre_changes=tuple(kept))


def set_loop(session: Session, start: float, end: float) -> Session:
    """Loop from one beat to another, in either order."""
    start, end = min(start, end), max(start, end)
    span = Span(start, end)
    if end - start < 1 / 64 or session.loop == span:
        return session
    return replace(session, loop=span, is_looping=True)


def whole_bars(session: Session) -> tuple[float, float]:
    """Beats from the bar line nearest to the first sound to the one nearest to the end, a bar at least."""
    first = min((clip.take.start for _, clip in session.clips), default=0)
    metre = session.metre
    start, end = (metre.nearest_bar(session.beat_of(frame)) for frame in (first, extent_of(session)))
    return start, max(end, metre.bars_from(start, 1))


def set_looping(session: Session, is_looping: bool) -> Session:  # noqa: FBT001 - the value itself
    if session.is_looping == is_looping:
        return session
    return replace(session, is_looping=is_looping)


def set_click(session: Session, click: Click) -> Session:
    return session if session.click == click else replace(session, click=click)
