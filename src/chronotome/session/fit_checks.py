"""Bars whose tempo a person should look at."""

from dataclasses import dataclass

import numpy as np

from chronotome.order_stats import middle_of
from chronotome.session.fit import BeatMap
from chronotome.session.follow import beats_of
from chronotome.session.memo import by_identity
from chronotome.session.metre import MetreMap
from chronotome.session.model import Session, Track
from chronotome.words import tr

DOUBTFUL_JUMP = 0.06
NEIGHBOURS = 4


@dataclass(frozen=True)
class FitCheck:
    """A bar that is much longer or shorter than those around it. `beat` is the recording's, `seconds` too."""

    beat: float
    seconds: float
    title: str
    figure: str
    sentence: str


def bar_starts(beats: BeatMap, metre: MetreMap) -> np.ndarray:
    """Beats at which bars start, as far as the beats reach."""
    return metre.bar_lines(float(beats.beats[0]), float(beats.beats[-1]))


def fit_checks_of(session: Session, track: Track) -> tuple[FitCheck, ...]:
    """Doubtful bars of a track's recording, or of its guide's, in order of time."""
    guide = session.track(session.guide_of(track.id))
    take = guide.first_take
    beats = None if take is None else beats_of(session, take)
    return () if beats is None or take is None else _found(beats, session.metre.seen_from(take.beat))


@by_identity(16)
def _found(beats: BeatMap, metre: MetreMap) -> tuple[FitCheck, ...]:
    starts = bar_starts(beats, metre)
    if len(starts) < 3:
        return ()
    moments = beats.seconds_at(starts)
    lengths = np.diff(moments) / np.diff(starts)
    steps = np.abs(np.diff(np.log(lengths)))
    jumps = np.concatenate([[np.inf], steps, [np.inf]])
    found = []
    for bar in np.flatnonzero(np.minimum(jumps[1:], jumps[:-1]) > np.log1p(DOUBTFUL_JUMP)).tolist():
        length = float(lengths[bar])
        before = lengths[max(0, bar - NEIGHBOURS) : bar]
        after = lengths[bar + 1 : bar + 1 + NEIGHBOURS]
        around = middle_of(np.concatenate([before, after]))
        if abs(length / around - 1) <= DOUBTFUL_JUMP:
            continue
        tempo, usual = 60 / length, 60 / around
        number = round(metre.bar_at(float(starts[bar]))) + 1
        found.append(
            FitCheck(
                float(starts[bar]),
                float(moments[bar]),
                tr("tempo jump at bar {0}", number),
                f"{100 * (tempo / usual - 1):+.0f} %".replace("-", "−"),
                tr("{0:.2f} bpm; bars nearby: {1:.2f} bpm", tempo, usual),
            )
        )
    return tuple(found)
