"""Noises before hits: what a recording has besides them, and where silence keeps clear of them."""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.hits import bands_of
from chronotome.session.check import Check, Do, Found, Kind, Mend
from chronotome.session.grid import Metre, hit_words
from chronotome.session.memo import by_identity
from chronotome.session.model import Recording, Take
from chronotome.session.targets import Targets
from chronotome.words import tr

NOISE_SECONDS, NOISE_STRENGTH = (0.03, 0.12), 20.0
NOISE_UNLIKE = 6.0
"""Decibels, over the bands, by which a noise sounds otherwise than each of the recording's hits."""
SELDOM_NOISE = 0.1
"""Where more of the hits have something faint before them, that is how it is played."""
MOST = 200
AFTER_ATTACK, BEFORE_ATTACK = 0.060, 0.005
"""Seconds about an attack that a noise's silence never touches."""


@by_identity(64)
def noises_of(
    targets: Targets, recording: Recording, counts: NDArray[np.bool_], take: Take, metre: Metre
) -> Found:
    """Something faint shortly before a hit, where others have nothing.

    It rises over what was, so that it is not the ring of a hit, and sounds like none of them. It is told
    where silence keeps clear of the hits about it, and not again where there is silence.
    """
    onsets = recording.onsets
    faint = np.flatnonzero(~counts & (onsets.strength_array >= NOISE_STRENGTH) & onsets.attack_array)
    frames = onsets.frame_array[faint]
    ratio = recording.rate / targets.rate
    starts = take.source_start + np.rint((targets.played - take.start) * ratio).astype(np.int64)
    low, high = (
        np.searchsorted(frames, starts - round(each * recording.rate)) for each in NOISE_SECONDS[::-1]
    )
    has = high > low
    if not has.any() or has.mean() > SELDOM_NOISE:
        return Found(Kind.NOISE, ())
    known = bands_of(np.unique(onsets.timbre_array[counts]))
    checks = []
    for at in np.flatnonzero(has)[:MOST].tolist():
        frame = int(frames[low[at]])
        sound = bands_of(onsets.timbre_array[faint[low[at] : low[at] + 1]])
        if not clear_span(recording, counts, take, frame) or _is_like(sound, known):
            continue
        before = 1000 * (int(starts[at]) - frame) / recording.rate
        checks.append(
            Check(
                int(targets.onsets[at]),
                float(targets.steps[at]),
                int(targets.played[at]),
                tr("noise before a hit"),
                tr("{0:.0f} ms", before),
                tr(
                    "something faint {0:.0f} ms before {1},\nother hits have nothing there",
                    before,
                    hit_words(float(targets.steps[at]), metre),
                ),
                kind=Kind.NOISE,
                mends=(
                    Mend(
                        tr("Silence it"), Do.SILENCE, int(targets.onsets[at]), frames=(frame, int(starts[at]))
                    ),
                ),
            )
        )
    return Found(Kind.NOISE, tuple(checks))


def clear_span(
    recording: Recording, counts: NDArray[np.bool_], take: Take, frame: int
) -> tuple[int, int] | None:
    """From a noise to 5 ms before the next hit: None within 60 ms of the hit before it, or if silent."""
    hits = recording.onsets.frame_array[counts]
    place = int(np.searchsorted(hits, frame))
    if place == len(hits) or (place and frame < hits[place - 1] + round(AFTER_ATTACK * recording.rate)):
        return None
    end = int(hits[place]) - round(BEFORE_ATTACK * recording.rate)
    is_silent = any(each.start < end and each.end > frame for each in take.hushes)
    return None if end <= frame or is_silent else (frame, end)


def _is_like(sound: NDArray[np.float64], known: NDArray[np.float64]) -> bool:
    """Whether a sound is one of those that are known; none is where no timbre was measured."""
    known = known[known.any(axis=1)]
    return bool((((known - sound) ** 2).mean(axis=1) < NOISE_UNLIKE**2).any())
