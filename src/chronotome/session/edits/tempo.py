"""Edits of the song's tempo: points that are stepped to, or reached evenly."""

from collections.abc import Iterable, Sequence
from operator import attrgetter
from typing import NamedTuple

from chronotome.session.edits.metre import with_metres
from chronotome.session.edits.pickup import with_room
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.grid import FASTEST, SLOWEST, TempoChange, TempoMap
from chronotome.session.limits import MOST_BEATS
from chronotome.session.metre import MetreMap
from chronotome.session.model import Follow, Session, Track, replace
from chronotome.session.tempo_points import TempoPoint, changes_through, points_of

SAME_PLACE = 1e-6
"""Quarter notes within which two points are one."""
LEAST_APART = 1 / 16
"""Quarter notes between two points that a hand moves."""


class SongMap(NamedTuple):
    """Tempo and metre of a whole song, as a file tells them; beat one in seconds where it is told."""

    changes: tuple[TempoChange, ...]
    metre: MetreMap | None
    beat_one: float | None = None


def set_tempo(session: Session, beats_per_minute: float) -> Session:
    """One tempo for the whole song; beat one stays where it is in time."""
    return _with_tempo(session, (TempoChange(0.0, max(SLOWEST, min(FASTEST, beats_per_minute))),))


def keep_tempo(session: Session) -> Session:
    """The song's tempo stays as it is, whatever is opened."""
    return _with_tempo(session, session.tempo.changes)


def scale_tempo(session: Session, factor: float) -> Session:
    """Twice as fast, half as fast: wherever it changes."""
    changes = (
        TempoChange(each.beat, max(SLOWEST, min(FASTEST, each.beats_per_minute * factor)))
        for each in session.tempo.changes
    )
    return _with_tempo(session, tuple(changes))


def set_tempo_from(session: Session, beat: float, beats_per_minute: float) -> Session:
    """Another tempo from a beat on, up to the next point; what was before stays.

    Within a ramp the way there bends, and goes on to where it went.
    """
    points = _with_point(points_of(session.tempo), beat)
    changed = (each._replace(bpm=beats_per_minute) if _is_at(each, beat) else each for each in points)
    return _with_points(session, changed)


def set_tempo_at(session: Session, beat: float, beats_per_minute: float) -> Session:
    """Another tempo at a beat: from the point before it to the next one; all through where none was set."""
    tempo = session.tempo
    if tempo.is_constant or session.lead is not None:
        return set_tempo(session, beats_per_minute)
    before = [each.beat for each in points_of(tempo) if each.beat <= beat + SAME_PLACE]
    return set_tempo_from(session, before[-1] if before else tempo.changes[0].beat, beats_per_minute)


def set_tempo_over(session: Session, start: float, end: float, beats_per_minute: float) -> Session:
    """One tempo between two beats; from the later one on it goes on as it was."""
    start, end = min(start, end), max(start, end)
    if end - start < LEAST_APART:
        return session
    points = _with_point(_with_point(points_of(session.tempo), start), end)
    kept = [each for each in points if each.beat < start - SAME_PLACE]
    kept.append(TempoPoint(start, beats_per_minute))
    kept += [
        each._replace(is_ramp=each.is_ramp and not _is_at(each, end))
        for each in points
        if each.beat > end - SAME_PLACE
    ]
    return _with_points(session, kept)


def ramp_tempo(session: Session, start: float, end: float, beats_per_minute: float) -> Session:
    """From the tempo at a beat evenly to another one at a later beat, which holds from there on.

    Each beat of the metre between them has one tempo: that of its middle.
    """
    start, end = min(start, end), max(start, end)
    if end - start < LEAST_APART:
        return session
    points = _with_point(points_of(session.tempo), start)
    kept = [each for each in points if each.beat < start + SAME_PLACE or each.beat > end + SAME_PLACE]
    return _with_points(session, [*kept, TempoPoint(end, beats_per_minute, is_ramp=True)])


def remove_tempo_change(session: Session, beat: float) -> Session:
    """The last point up to a beat goes; the first tempo of all stays."""
    points = points_of(session.tempo)
    at = max((place for place, each in enumerate(points) if each.beat <= beat + SAME_PLACE), default=0)
    return remove_tempo_point(session, at)


def remove_tempo_point(session: Session, number: int) -> Session:
    """A point but the first goes: the tempo before it holds on, a ramp to it is none."""
    points = points_of(session.tempo)
    if not 0 < number < len(points):
        return session
    return _with_points(session, points[:number] + points[number + 1 :])


def move_tempo_point(session: Session, number: int, beat: float, beats_per_minute: float) -> Session:
    """A point at another beat between those beside it, at another tempo; the first stays at its beat."""
    points = points_of(session.tempo)
    if number >= len(points):  # undone under the hand
        return session
    low = points[number - 1].beat + LEAST_APART if number else points[0].beat
    high = points[number + 1].beat - LEAST_APART if number + 1 < len(points) else float(MOST_BEATS)
    place = points[0].beat if number == 0 else min(max(beat, low), max(low, high))
    moved = points[number]._replace(beat=place, bpm=beats_per_minute)
    return _with_points(session, (*points[:number], moved, *points[number + 1 :]))


def set_ramp(session: Session, number: int, is_ramp: bool) -> Session:  # noqa: FBT001 - the value itself
    """Whether a point is reached evenly from the one before it, or stepped to."""
    points = points_of(session.tempo)
    if not 0 < number < len(points):
        return session
    changed = points[number]._replace(is_ramp=is_ramp)
    return _with_points(session, (*points[:number], changed, *points[number + 1 :]))


def take_song_map(session: Session, told: SongMap) -> Session:
    """Tempo and metre as they are told; beat one stays, unless there is nothing yet that it would move."""
    session = _with_tempo(session, told.changes)
    if told.metre is not None:
        session = with_metres(session, told.metre.first, told.metre.changes)
    if told.beat_one is not None and not session.is_beat_one_set and not session.tracks:
        session = set_beat_one(session, told.beat_one)
    return session


def _is_at(point: TempoPoint, beat: float) -> bool:
    return abs(point.beat - beat) <= SAME_PLACE


def _with_point(points: Sequence[TempoPoint], beat: float) -> list[TempoPoint]:
    """With a point at a beat that changes nothing yet."""
    made = list(points)
    if any(_is_at(each, beat) for each in points):
        return made
    if beat < points[0].beat:  # before the first point its tempo held
        return [TempoPoint(beat - 1.0, points[0].bpm), TempoPoint(beat, points[0].bpm), *made]
    at = max(place for place, each in enumerate(points) if each.beat < beat)
    before, after = points[at], points[at + 1] if at + 1 < len(points) else None
    bpm, is_ramp = before.bpm, after is not None and after.is_ramp
    if after is not None and after.is_ramp:
        bpm += (after.bpm - before.bpm) * (beat - before.beat) / (after.beat - before.beat)
    made.insert(at + 1, TempoPoint(beat, bpm, is_ramp))
    return made


def _with_points(session: Session, points: Iterable[TempoPoint]) -> Session:
    ordered = tuple(sorted(points, key=attrgetter("beat")))
    changes = changes_through(ordered, session.metre)
    return session if len(changes) > MOST_BEATS else _with_tempo(session, changes)


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
