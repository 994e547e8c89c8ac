"""Who follows whom: where the frames of a clip belong when its recording follows the song."""

import math
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.session.counting import counted_of
from chronotome.session.fit import BeatMap, Fit, Measured, Reads, Take, beat_map
from chronotome.session.grid import Metre, TempoMap
from chronotome.session.memo import by_identity
from chronotome.session.model import Clip, Follow, Recording, Session, Track
from chronotome.units import Frames

Places = NDArray[np.float64]


def beats_of(session: Session, clip: Clip) -> BeatMap | None:
    """The beats of the clip's recording, in the recording's own seconds."""
    recording = session.recording_of(clip)
    hits = _no_hits
    if recording.fit.reads is not Reads.MEASURED:
        hits = counted_of(session, clip)
    return _beats(recording.fit, recording.measured, recording, hits, session.metre)


_no_hits = np.zeros(0, bool)


@by_identity(64)
def _beats(
    fit: Fit, measured: Measured | None, recording: Recording, hits: NDArray[np.bool_], metre: Metre
) -> BeatMap | None:
    frames = recording.onsets.frame_array[hits] if len(hits) else np.zeros(0, np.int64)
    return beat_map(fit, measured, Take(recording.frames, recording.rate, frames, metre))


@dataclass(frozen=True, eq=False)
class Fitted:
    """Where session frames as played belong after the fit; straight between beats, straight on at both ends.

    Invariants: both rise strictly; two or more.
    """

    played: Places
    fitted: Places

    def __call__(self, played: Places | Frames) -> Places:
        return _through(np.asarray(played, np.float64), self.played, self.fitted)


def _through(at: Places, known: Places, values: Places) -> Places:
    first = (values[1] - values[0]) / (known[1] - known[0])
    last = (values[-1] - values[-2]) / (known[-1] - known[-2])
    inside = np.interp(at, known, values)
    return np.asarray(inside + np.minimum(at - known[0], 0) * first + np.maximum(at - known[-1], 0) * last)


def fitted_of(session: Session, track: Track, clip: Clip) -> Fitted | None:
    """None where the track does not follow the song, or nothing is known of its beats."""
    if track.follow is not Follow.SONG:
        return None
    beats = beats_of(session, clip)
    if beats is None:
        return None
    return _fitted(clip, session.recording_of(clip), beats, track.steady, session.tempo, session.rate)


@by_identity(64)
def _fitted(  # noqa: PLR0917 - found again by the identity of each
    clip: Clip, recording: Recording, beats: BeatMap, steady: float, tempo: TempoMap, rate: int
) -> Fitted | None:
    played = clip.start + (beats.seconds - clip.source_start / recording.rate) * rate
    straight = (beats.seconds - beats.beat_one) * beats.slope
    wanted = clip.beat + (1 - steady) * straight + steady * beats.beats
    fitted = tempo.seconds_at(wanted) * rate
    rising = np.concatenate([[True], np.diff(np.maximum.accumulate(fitted)) > 1.0])
    if rising.sum() < 2:
        return None
    return Fitted(played[rising], fitted[rising])


def follows_song(session: Session) -> bool:
    return any(track.follow is Follow.SONG for track in session.tracks)


def moved_with(frame: int, before: TempoMap, session: Session) -> int:
    """The session frame of the same beat as `frame` was under another tempo map."""
    beat = before.beat_of(frame / session.rate)
    return max(0, math.ceil(session.tempo.seconds_of(beat) * session.rate - 0.01))
