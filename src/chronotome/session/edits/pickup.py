"""Room before bar 1: a pickup is never squeezed, the song begins earlier instead."""

import math

import numpy as np

from chronotome.session.edits.tracks import with_takes
from chronotome.session.follow import fitted_of
from chronotome.session.grid import TempoMap
from chronotome.session.limits import MOST_BEATS
from chronotome.session.model import Follow, Session, Take, Track, replace


def with_room(session: Session) -> Session:
    """The session with so much room more before bar 1 that every pickup lies behind its start.

    What is before beat one of a recording that follows the song lies before the bar that its beat one is on.
    Where the session would have to begin before its first frame, bar 1 moves right and takes everything
    along: clips and grid keep their places to one another. It moves by what is wanting where that is less
    than a beat (a slower tempo makes the silence before the first hit longer), else by whole bars.
    """
    first = min((_start_of(session, track) for track in session.tracks), default=0.0)
    if first >= -0.5:
        return session
    beat = 60 / session.timebase.tempo_at(-MOST_BEATS) * session.rate  # at the tempo before bar 1
    bar = session.metre.first.bar * beat
    by = math.ceil(-first if -first < beat else math.ceil(-first / bar - 1e-9) * bar)

    def later(take: Take) -> Take:
        return replace(take, start=take.start + by)

    def moved(tempo: TempoMap) -> TempoMap:
        return TempoMap(tempo.changes, tempo.beat_one + by / session.rate)

    tracks = (with_takes(each, later) for each in session.tracks)
    kept = (
        each if each.own_tempo is None else replace(each, own_tempo=moved(each.own_tempo)) for each in tracks
    )
    return replace(session, tempo=moved(session.tempo), tracks=tuple(kept))


def _start_of(session: Session, track: Track) -> float:
    """Session frame at which a track that follows the song begins; 0 for others."""
    guide = session.track(session.guide_of(track.id))
    if guide.follow is not Follow.SONG:
        return 0.0
    return min((_fitted_start(session, track, take) for take in track.takes), default=0.0)


def _fitted_start(session: Session, track: Track, take: Take) -> float:
    fit = fitted_of(session, *session.leading(track, take))
    return 0.0 if fit is None else float(fit(np.array([take.start]))[0])
