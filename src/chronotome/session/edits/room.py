"""Room before bar 1: a pickup is never squeezed, the song begins earlier instead."""

import math

import numpy as np

from chronotome.session.edits.tracks import with_takes
from chronotome.session.follow import fitted_of
from chronotome.session.grid import TempoMap
from chronotome.session.model import Follow, Session, Take, Track, replace


def with_room(session: Session) -> Session:
    """The session with so many whole bars more before bar 1 that every pickup lies behind its start.

    What is before beat one of a recording that follows the song lies before the bar that its beat one is on.
    Where the session would have to begin before its first frame, bar 1 moves right and takes everything
    along: clips and grid keep their places to one another.
    """
    first = min((_start_of(session, track) for track in session.tracks), default=0.0)
    if first >= -0.5:
        return session
    bar = session.metre.bar * 60 / session.tempo.beats_per_minute
    by = math.ceil(math.ceil(-first / session.rate / bar - 1e-9) * bar * session.rate)

    def later(take: Take) -> Take:
        return replace(take, start=take.start + by)

    tempo = TempoMap(session.tempo.changes, session.tempo.beat_one + by / session.rate)
    return replace(session, tempo=tempo, tracks=tuple(with_takes(each, later) for each in session.tracks))


def _start_of(session: Session, track: Track) -> float:
    """Session frame at which a track that follows the song begins; 0 for others."""
    guide = session.track(session.guide_of(track.id))
    if guide.follow is not Follow.SONG:
        return 0.0
    return min((_fitted_start(session, track, take) for take in track.takes), default=0.0)


def _fitted_start(session: Session, track: Track, take: Take) -> float:
    fit = fitted_of(session, *session.leading(track, take))
    return 0.0 if fit is None else float(fit(np.array([take.start]))[0])
