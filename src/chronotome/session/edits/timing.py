"""Edits of tempo, metre, beat one, loop and click."""

from operator import attrgetter

from chronotome.session.anchors import extent_of
from chronotome.session.edits.room import with_room
from chronotome.session.grid import FASTEST, SLOWEST, Metre, TempoChange, TempoMap
from chronotome.session.limits import MOST_BEATS
from chronotome.session.model import Click, Follow, Session, Span, Track, replace

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
    wanted, beat = max(SLOWEST, min(FASTEST, beats_per_minute)), session.metre.beat
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
    return session if session.metre == metre else replace(session, metre=metre)


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
    start, end = (
        round(session.beat_of(frame) / session.metre.bar) * session.metre.bar
        for frame in (first, extent_of(session))
    )
    return start, max(end, start + session.metre.bar)


def set_looping(session: Session, is_looping: bool) -> Session:  # noqa: FBT001 - the value itself
    if session.is_looping == is_looping:
        return session
    return replace(session, is_looping=is_looping)


def set_click(session: Session, click: Click) -> Session:
    return session if session.click == click else replace(session, click=click)
