"""Edits of beat one, loop and click."""

from chronotome.session.anchors import extent_of
from chronotome.session.edits.pickup import with_room
from chronotome.session.grid import TempoMap
from chronotome.session.model import BeatSpan, Click, Session, replace


def set_beat_one(session: Session, seconds: float) -> Session:
    """Let bar 1 start at a moment; what comes before is a pickup."""
    if session.is_beat_one_set and session.tempo.beat_one == seconds:
        return session
    tempo = TempoMap(session.tempo.changes, seconds)
    return with_room(replace(session, tempo=tempo, is_beat_one_set=True, lead=None))


def set_loop(session: Session, start: float, end: float) -> Session:
    """Loop from one beat to another, in either order."""
    start, end = min(start, end), max(start, end)
    span = BeatSpan(start, end)
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
