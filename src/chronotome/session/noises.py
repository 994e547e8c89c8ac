"""Noises before hits: what a recording has besides them, and where silence keeps clear of them."""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.hits import bands_of
from chronotome.session.check import Check, Do, Found, Kind, Mend
from chronotome.session.grid import Metre, hit_words
from chronotome.session.memo import by_identity
from chronotome.session.model import Hush, Recording, Take
from chronotome.session.targets import Targets
from chronotome.units import Frames
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
    """Something faint shortly before a hit, where others have nothing."""
    ratio = recording.rate / targets.rate
    starts = take.source_start + np.rint((targets.played - take.start) * ratio).astype(np.int64)
    checks = []
    for frame in _places(recording, counts, take.hushes).tolist():
        at = int(np.searchsorted(starts, frame))
        if at == len(starts) or not _is_before(frame, int(starts[at]), recording.rate):
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


@by_identity(64)
def _places(recording: Recording, counts: NDArray[np.bool_], hushes: tuple[Hush, ...]) -> Frames:
    """Frames of noises: they rise over what was, so that they are no ring, and sound like no hit.

    They are told where silence keeps clear of the hits about them, and not again where there is silence.
    """
    onsets = recording.onsets
    hits = onsets.frame_array[counts]
    faint = np.flatnonzero(~counts & (onsets.strength_array >= NOISE_STRENGTH) & onsets.attack_array)
    spans = clear_spans(onsets.frame_array[faint], hits, recording.rate, hushes)
    near = spans[:, 1] - spans[:, 0] + round(BEFORE_ATTACK * recording.rate)
    shortest, longest = (round(each * recording.rate) for each in NOISE_SECONDS)
    is_near = (near >= shortest) & (near <= longest) & (spans[:, 1] > spans[:, 0])
    if not is_near.any() or is_near.sum() > SELDOM_NOISE * len(hits):
        return np.zeros(0, np.int64)
    faint, spans = faint[is_near][:MOST], spans[is_near][:MOST]
    return np.asarray(spans[_is_unlike(onsets.timbre_array[faint], onsets.timbre_array[counts]), 0])


def _is_before(frame: int, hit: int, rate: int) -> bool:
    shortest, longest = NOISE_SECONDS
    return shortest * rate <= hit - frame + 1 and hit - frame - 1 <= longest * rate


def clear_spans(frames: Frames, hits: Frames, rate: int, hushes: tuple[Hush, ...]) -> Frames:
    """(frames, 2): from each to 5 ms before the next hit; empty within 60 ms after one, or in silence."""
    place = np.searchsorted(hits, frames)
    after = np.append(hits, 0)[place] - round(BEFORE_ATTACK * rate)
    before = np.append(-rate, hits)[place] + round(AFTER_ATTACK * rate)
    is_clear = frames >= before
    for each in hushes:
        is_clear &= (each.start >= after) | (each.end <= frames)
    return np.stack([frames, np.where(is_clear, np.maximum(frames, after), frames)], axis=1)


def _is_unlike(timbres: Frames, known: Frames) -> NDArray[np.bool_]:
    """Which sound like none of those that are known; each, where no timbre was measured."""
    mine, others = bands_of(timbres), bands_of(np.unique(known[known != 0]))
    if not len(others):
        return np.ones(len(mine), np.bool_)
    squares = (mine**2).sum(axis=1)[:, None] + (others**2).sum(axis=1) - 2 * mine @ others.T
    return np.asarray(squares.min(axis=1) >= NOISE_UNLIKE**2 * mine.shape[1])
