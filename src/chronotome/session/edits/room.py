"""Room before bar 1: a pickup is never squeezed, the song begins earlier instead."""

import math

import numpy as np

from chronotome.session.follow import fitted_of
from chronotome.session.grid import TempoMap
from chronotome.session.model import Clip, Follow, Session, Track, replace


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

    def later(clip: Clip) -> Clip:
        return replace(clip, start=clip.start + by)

    tempo = TempoMap(session.tempo.changes, session.tempo.beat_one + by / session.rate)
    tracks = tuple(
        replace(track, clips=tuple(later(clip) for clip in track.clips)) for track in session.tracks
    )
    return replace(session, tempo=tempo, tracks=tracks)


def _start_of(session: Session, track: Track) -> float:
    """Session frame at which a track that follows the song begins; 0 for others."""
    guide = session.track(session.guide_of(track.id))
    if guide.follow is not Follow.SONG or not guide.clips or not track.clips:
        return 0.0
    fit = fitted_of(session, guide, guide.clips[0])
    return 0.0 if fit is None else float(fit(np.array([track.clips[0].start]))[0])
