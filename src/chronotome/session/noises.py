"""Noises among the hits: what a recording has besides them, and where silence keeps clear of them."""

import numpy as np
from numpy.typing import NDArray

from chronotome.session.check import Check, CheckGroup, Do, Fix, Kind
from chronotome.session.memo import by_identity
from chronotome.session.metre import MetreMap, hit_words
from chronotome.session.model import MuteSpan, Recording, Take
from chronotome.session.onsets import Onsets
from chronotome.session.targets import Targets
from chronotome.units import Frames
from chronotome.words import tr

SELDOM_NOISE = 0.15
"""Where there are more of them for each hit, that is how it is played."""
MOST = 200
AFTER_ATTACK, BEFORE_ATTACK = 0.060, 0.005
"""Seconds about an attack that a noise's silence never touches."""


@by_identity(64)
def noises_of(
    targets: Targets, recording: Recording, counts: NDArray[np.bool_], take: Take, metre: MetreMap
) -> CheckGroup:
    """What the analysis took for a noise, where silence keeps clear of the hits about it."""
    ratio = recording.rate / targets.rate
    starts = take.source_start + np.rint((targets.played - take.start) * ratio).astype(np.int64)
    checks = []
    for start, end, frame in _spans(recording, counts, take.hushes).tolist():
        if not take.source_start <= frame < take.source_end:
            continue
        at = int(np.abs(starts - frame).argmin())
        place = int(targets.played[at])
        if starts[at] != frame:  # it counts as no hit
            place = take.start + round((frame - take.source_start) / ratio)
        lasts = 1000 * (end - start) / recording.rate
        checks.append(
            Check(
                int(targets.onsets[at]),
                float(targets.steps[at]),
                place,
                tr("noise"),
                tr("{0:.0f} ms", lasts),
                tr(
                    "unlike all other hits,\noff the grid near {0}",
                    hit_words(float(targets.steps[at]), metre),
                ),
                kind=Kind.NOISE,
                mends=(
                    Fix(
                        tr("Silence noise"),
                        Do.SILENCE,
                        int(targets.onsets[at]),
                        frames=(int(start), int(end)),
                    ),
                ),
            )
        )
    return CheckGroup(Kind.NOISE, tuple(checks))


def noise_marks(onsets: Onsets) -> NDArray[np.bool_]:
    """Which marks are of noises; what a person kept by hand is a hit."""
    return np.asarray((onsets.noise_array > 0) & ~onsets.is_kept)


@by_identity(64)
def _spans(recording: Recording, counts: NDArray[np.bool_], hushes: tuple[MuteSpan, ...]) -> Frames:
    """(noises, 3): frames from where to where silence may be, and where the noise begins."""
    onsets = recording.onsets
    is_noise = noise_marks(onsets)
    hits = onsets.frame_array[counts & ~is_noise]
    frames = onsets.frame_array[is_noise][:MOST]
    spans = np.stack([frames, frames + onsets.noise_array[is_noise][:MOST]], axis=1)
    ends = np.maximum.accumulate(np.append(0, spans[:, 1]))[:-1]
    spans = spans[spans[:, 0] >= ends]  # what begins in another is of it
    if not len(spans) or len(spans) > max(1.0, SELDOM_NOISE * len(hits)):
        return np.zeros((0, 3), np.int64)
    clear = clear_spans(spans, hits, recording.rate, hushes)
    return np.column_stack([clear, spans[:, 0]])[clear[:, 1] > clear[:, 0]]


def clear_spans(spans: Frames, hits: Frames, rate: int, hushes: tuple[MuteSpan, ...] = ()) -> Frames:
    """(spans, 2): each from 5 ms sooner to 5 ms before the next hit at most.

    They are empty where they begin within 60 ms after a hit, and where there is silence already.
    """
    frames, ends = spans[:, 0], spans[:, 1]
    place = np.searchsorted(hits, frames, "right")
    after = np.append(hits, np.iinfo(np.int64).max)[place] - round(BEFORE_ATTACK * rate)
    before = np.append(-rate, hits)[place] + round(AFTER_ATTACK * rate)
    is_clear = frames >= before
    for each in hushes:
        is_clear &= (each.start >= ends) | (each.end <= frames)
    starts = np.maximum(frames - round(BEFORE_ATTACK * rate), np.maximum(before, 0))
    return np.stack([starts, np.where(is_clear, np.maximum(starts, np.minimum(ends, after)), starts)], axis=1)
