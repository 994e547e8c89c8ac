"""Marks that a person should look at: places where the analysis is not sure."""

import numpy as np
from numpy.typing import NDArray

from chronotome.session.beating import measured_fit_of
from chronotome.session.check import Check
from chronotome.session.clock import Clock
from chronotome.session.counting import counted_of
from chronotome.session.grid import TempoMap
from chronotome.session.memo import by_identity
from chronotome.session.metre import MetreMap
from chronotome.session.model import Recording, Session, Take, Track
from chronotome.session.onsets import OnsetDecision
from chronotome.session.time_map import TimeMap
from chronotome.words import tr

DOUBTFUL_MS = 4.0
CLOSE_SECONDS = 0.040
LATE_SECONDS = 2.0
MOST = 500


def mark_checks_of(session: Session, track: Track, take: Take | None = None) -> tuple[Check, ...]:
    """In order of time: unsure attacks, two candidates within 40 ms, a very late first hit."""
    take = take or track.first_take
    if take is None:
        return ()
    counts = counted_of(session, take)
    recording = session.recording_of(take)
    fit = measured_fit_of(session, take)
    return _found(
        recording, counts, take.source_start, take.start, session.rate, session.tempo, session.metre, fit
    )


@by_identity(64)
def _found(  # noqa: PLR0917 - found again by the identity of each
    recording: Recording,
    counts: NDArray[np.bool_],
    source_start: int,
    start: int,
    rate: int,
    tempo: TempoMap,
    metre: MetreMap,
    fit: TimeMap | None,
) -> tuple[Check, ...]:
    onsets = recording.onsets
    clock = Clock(source_start, start / rate, recording.rate, tempo, metre, rate, fit)
    untouched = onsets.standing_array == OnsetDecision.BY_STRENGTH
    unsure = counts & untouched & ~onsets.lock_array & (onsets.doubt_array > DOUBTFUL_MS)
    places = {
        int(place): (
            tr("unclear attack"),
            tr("± {0:.0f} ms", onsets.doubts[place]),
            tr("slow attack: listen, then move the onset"),
        )
        for place in np.flatnonzero(unsure)[:MOST]
    }
    strong = np.flatnonzero(onsets.counted(recording.threshold) & untouched & ~onsets.lock_array)
    gaps = np.diff(onsets.frame_array[strong]) / recording.rate
    for at in np.flatnonzero(gaps < CLOSE_SECONDS)[:MOST].tolist():
        if counts[strong[at]] and counts[strong[at + 1]]:
            continue  # Tighten moves them as one stroke
        words = tr("counted as one; a shorter spacing makes two")
        places.setdefault(
            int(strong[at]), (tr("two onsets close together"), f"{gaps[at] * 1000:.0f} ms", words)
        )
    first = int(counts.argmax()) if counts.any() else -1
    if first >= 0 and onsets.frames[first] - source_start > LATE_SECONDS * recording.rate:
        late = (onsets.frames[first] - source_start) / recording.rate
        places[first] = (
            tr("late first onset"),
            f"{late:.1f} s",
            tr("check for a hit before the first onset"),
        )
    if not places:
        return ()
    beats = clock.beats_of(onsets)
    return tuple(
        Check(
            onsets.ids[place],
            float(beats[place]),
            start + round((onsets.frames[place] - source_start) * rate / recording.rate),
            *places[place],
        )
        for place in sorted(places)
    )
