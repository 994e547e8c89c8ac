"""Which onsets of a clip count, and where they are in bars and beats."""

import numpy as np
from numpy.typing import NDArray

from chronotome.session.beating import measured_fit_of
from chronotome.session.clock import Clock
from chronotome.session.grid import TempoMap
from chronotome.session.memo import MANY, by_identity
from chronotome.session.metre import MetreMap
from chronotome.session.model import Recording, Session, Take
from chronotome.session.onset_filter import needs_clock, sifted
from chronotome.session.time_map import TimeMap


def clock_of(session: Session, take: Take) -> Clock:
    """Where the frames of a clip's recording are in the song's beats, once it follows: one clock for all."""
    recording = session.recording_of(take)
    fit = measured_fit_of(session, take)
    place = (take.source_start, take.start / session.rate, recording.rate)
    return Clock(*place, session.tempo, session.metre, session.rate, fit)


def inside_of(session: Session, take: Take) -> NDArray[np.bool_]:
    """True for each onset of the clip's recording that lies within the clip."""
    frames = session.recording_of(take).onsets.frame_array
    return (frames >= take.source_start) & (frames < take.source_end)


def counted_of(session: Session, take: Take) -> NDArray[np.bool_]:
    """True for each onset of the clip's recording that lies within the clip and counts."""
    recording = session.recording_of(take)
    span = (take.source_start, take.source_end, take.start)
    fit = measured_fit_of(session, take) if needs_clock(recording.sift) else None
    return _counted(recording, *span, session.rate, session.tempo, session.metre, fit)


@by_identity(MANY)
def _counted(  # noqa: PLR0917 - found again by the identity of each
    recording: Recording,
    source_start: int,
    source_end: int,
    start: int,
    rate: int,
    tempo: TempoMap,
    metre: MetreMap,
    fit: TimeMap | None,
) -> NDArray[np.bool_]:
    clock = Clock(source_start, start / rate, recording.rate, tempo, metre, rate, fit)
    counts = sifted(recording.onsets, recording.threshold, recording.sift, clock)
    frames = recording.onsets.frame_array
    counts &= (frames >= source_start) & (frames < source_end)
    counts.flags.writeable = False
    return counts
