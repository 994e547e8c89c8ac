"""The beats of a recording, and the map of a clip that follows the song by them."""

import numpy as np
from numpy.typing import NDArray

from chronotome.session.fit import BeatMap, BeatMapInput, BeatSource, Fit, Measured, beat_map
from chronotome.session.grid import TempoMap
from chronotome.session.memo import MANY, by_identity, by_parts
from chronotome.session.metre import MetreMap
from chronotome.session.model import Follow, Recording, Session, Take
from chronotome.session.time_map import TimeMap


@by_identity(MANY)
def beats_by(
    fit: Fit, measured: Measured | None, recording: Recording, hits: NDArray[np.bool_], metre: MetreMap
) -> BeatMap | None:
    """The beats of a recording; `hits` are those that may be its beats, or none."""
    frames = recording.onsets.frame_array[hits] if len(hits) else np.zeros(0, np.int64)
    return beat_map(fit, measured, BeatMapInput(recording.frames, recording.rate, frames, metre))


no_hits = np.zeros(0, bool)


def _place_in_song(  # noqa: PLR0917 - those of what asks
    take: Take, recording: Recording, beats: BeatMap, steady: float, tempo: TempoMap, rate: int
) -> tuple[object, ...]:
    return take.start, take.source_start, take.beat, recording, beats, steady, tempo, rate


@by_parts(MANY, _place_in_song)
def fitted_by(  # noqa: PLR0917 - found again by the identity of each
    take: Take, recording: Recording, beats: BeatMap, steady: float, tempo: TempoMap, rate: int
) -> TimeMap | None:
    """The map of a clip of these beats; `steady` is how much of their drift is taken out."""
    played = take.start + (beats.seconds - take.source_start / recording.rate) * rate
    straight = (beats.seconds - beats.beat_one) * beats.slope
    wanted = take.beat + (1 - steady) * straight + steady * beats.beats
    fitted = tempo.seconds_at(wanted) * rate
    rising = np.concatenate([[True], np.diff(np.maximum.accumulate(fitted)) > 1.0])
    if rising.sum() < 2:
        return None
    return TimeMap(played[rising], fitted[rising])


def measured_fit_of(session: Session, take: Take) -> TimeMap | None:
    """The map of a clip by what was measured and said of its beats, never by which of its hits count."""
    recording = session.recording_of(take)
    track = next((each for each in session.tracks if any(clip.take is take for clip in each.clips)), None)
    if track is None or recording.fit.reads is not BeatSource.MEASURED:
        return None
    guide = session.track(session.guide_of(track.id))
    leading = session.leading(track, take)[1]
    if guide.follow is not Follow.SONG:
        return None
    led = session.recording_of(leading)
    if led.fit.reads is not BeatSource.MEASURED:
        return None
    beats = beats_by(led.fit, led.measured, led, no_hits, session.metre.seen_from(leading.beat))
    if beats is None:
        return None
    return fitted_by(leading, led, beats, guide.steady, session.tempo, session.rate)
