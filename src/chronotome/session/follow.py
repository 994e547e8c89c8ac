"""Who follows whom: the beats of a clip, and its map onto the song."""

import math

from chronotome.session.beating import beats_by, fitted_by, no_hits
from chronotome.session.counting import counted_of
from chronotome.session.fit import BeatMap, BeatSource
from chronotome.session.grid import TempoMap
from chronotome.session.model import Follow, Session, Take, Track, placed_take
from chronotome.session.time_map import TimeMap


def beats_of(session: Session, take: Take) -> BeatMap | None:
    """The beats of the clip's recording, in the recording's own seconds."""
    recording = session.recording_of(take)
    hits = no_hits
    if recording.fit.reads is not BeatSource.MEASURED:
        hits = counted_of(session, take)
    return beats_by(recording.fit, recording.measured, recording, hits, session.metre.seen_from(take.beat))


def fitted_of(session: Session, track: Track, take: Take) -> TimeMap | None:
    """None where the track does not follow the song, or nothing is known of its beats."""
    if track.follow is not Follow.SONG:
        return None
    beats = beats_of(session, take)
    if beats is None:
        return None
    return fitted_by(
        placed_take(take), session.recording_of(take), beats, track.steady, session.tempo, session.rate
    )


def follows_song(session: Session) -> bool:
    return any(track.follow is Follow.SONG for track in session.tracks)


def moved_with(frame: int, before: TempoMap, session: Session) -> int:
    """The session frame of the same beat as `frame` was under another tempo map."""
    beat = before.beat_of(frame / session.rate)
    return max(0, math.ceil(session.frame_of(beat) - 0.01))
