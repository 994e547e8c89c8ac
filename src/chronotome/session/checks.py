"""What a person should look at: places where the machine is not sure."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import bar_lines, nearest_lines, position_words
from chronotome.session.memo import by_identity
from chronotome.session.model import Clip, Recording, Session, Track
from chronotome.session.onsets import OnsetId
from chronotome.session.tighten import Reason, Targets, targets_of

DOUBTFUL_SHARE = 0.36
"""Of the distance between two lines: farther from both than this is doubtful."""
MOST_STRETCH, LEAST_STRETCH = 1.25, 0.8


@dataclass(frozen=True)
class Check:
    """A place to listen to: where, what, and how much in figures."""

    onset: OnsetId
    beat: float
    played: int
    title: str
    figure: str
    sentence: str


def checks_of(session: Session, track: Track) -> tuple[Check, ...]:
    """Places on a track, in order of time; none on one that is locked to another."""
    if session.guide_of(track.id) != track.id:
        return ()
    return tuple(check for clip in track.clips for check in _clip_checks(session, track, clip))


def _clip_checks(session: Session, track: Track, clip: Clip) -> tuple[Check, ...]:
    targets = targets_of(session, track, clip)
    return _found(targets, session, track, session.recording_of(clip))


@by_identity(64)
def _found(targets: Targets, session: Session, track: Track, _recording: Recording) -> tuple[Check, ...]:
    found = [*_between_lines(targets, session, track), *_overstretched(targets, session)]
    return tuple(sorted(found, key=lambda check: check.played))


def _between_lines(targets: Targets, session: Session, track: Track) -> list[Check]:
    settings, metre = track.tighten, session.metre
    rate, tempo = session.rate, session.tempo
    found = []
    lines = np.array(bar_lines(settings.grid, metre, settings.swing))
    drift_beats = tempo.beats_at(targets.fitted / rate) - targets.line_beats
    steps = _steps(lines, targets.line_beats % metre.bar, drift_beats > 0)
    judged = (targets.reasons == Reason.GRID) | (targets.reasons == Reason.CARRIED)
    for at in np.flatnonzero(judged & (np.abs(drift_beats) >= DOUBTFUL_SHARE * steps)):
        line, drift, step = float(targets.line_beats[at]), float(drift_beats[at]), float(steps[at])
        beyond = np.array([line + (step if drift > 0 else -step)])
        other = float(nearest_lines(beyond, settings.grid, metre, settings.swing)[0])
        off = float(targets.drift[at])
        rest = float(targets.fitted[at] / rate - tempo.seconds_of(other)) * 1000
        sentence = (
            f"{_side(off)} {position_words(line, metre)}\nor {_side(rest)} {position_words(other, metre)}"
        )
        title = "between two lines" if targets.reasons[at] == Reason.GRID else "two hits on one line"
        found.append(_check(targets, int(at), title, f"{abs(off):.0f} ms", sentence))
    return found


def _steps(
    lines: NDArray[np.float64], inside: NDArray[np.float64], is_after: NDArray[np.bool_]
) -> NDArray[np.float64]:
    """Distance from each line of the bar to the next one, or to the one before it."""
    gaps = np.diff(lines)
    at = np.abs(lines[None] - inside[:, None]).argmin(axis=1) % len(gaps)
    return np.where(is_after, gaps[at], gaps[at - 1])


def _side(drift: float) -> str:
    return f"{abs(drift):.0f} ms {'late' if drift > 0 else 'early'} of"


def _overstretched(targets: Targets, session: Session) -> list[Check]:
    if len(targets) < 2:
        return []
    ratios = np.diff(targets.target) / np.diff(targets.played)
    shift = np.abs(np.diff(targets.target) - np.diff(targets.fitted)) / session.rate
    outside = ((ratios > MOST_STRETCH) | (ratios < LEAST_STRETCH)) & (shift > 0.010)
    return [
        _check(
            targets,
            int(at),
            f"stretched past {MOST_STRETCH if ratios[at] > 1 else LEAST_STRETCH}",
            f"×{ratios[at]:.2f}",
            f"the sound up to the next hit is made ×{ratios[at]:.2f} as long",
        )
        for at in np.flatnonzero(outside)
    ]


def _check(targets: Targets, at: int, title: str, figure: str, sentence: str) -> Check:
    return Check(
        int(targets.onsets[at]),
        float(targets.line_beats[at]),
        int(targets.played[at]),
        title,
        figure,
        sentence,
    )
