"""Noises among the hits: rattles, squeaks, clicks and creaks that sound like nothing else in a recording."""

from typing import NamedTuple

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.dsp.hits import HitTraits, bands_of
from chronotome.dsp.likeness import likeness_of
from chronotome.units import Frames

LEAST_STRENGTH, SURE_STRENGTH = 20.0, 45.0
"""From which on an onset may be a noise where it rises over all that was, and in any case."""
OFF_LINES = 0.008
"""Seconds from a line of the sixteenths from which on something is not played on it."""
ANEW = 0.06
"""Distance of spectra within which half of the hits come again: else nothing is odd."""
COMPANY, APART = 0.25, 0.150
"""Distance of spectra within which hits keep company; seconds within which they are one event."""
WEIGHTS, BAR = (0.73, 2.69, -0.154, -0.47), -3.75
"""Of the distances to the most alike (of spectra, of timbres in dB), the level in dB, the company.

Fitted by logistic regression to 4,180 strokes of real loops, of the demo and of generated performances, and
to 728 noises planted into them (`docs/figures.md`); left out one recording at a time it is as good.
"""
FARTHEST = 0.01
"""The logarithm of the largest distance of spectra."""
MOST_HEARD, MOST_ODD, AT_ONCE = 1000, 500, 128
"""Hits among which company is looked for; how many may be noises; of how many at once."""
BEFORE, BLOCK, HELD, LONGEST, OVER, FALLEN = 0.020, 0.005, 4, 0.250, 0.25, 0.01
"""Seconds before it that tell what goes on; of a block; blocks that a rattle pauses; seconds that it lasts at
most; it is over at a quarter of the power of what was before, or at a hundredth of its own."""


class StrokeSounds(NamedTuple):
    """Onsets as an analysis found them, rising."""

    frames: Frames
    strengths: NDArray[np.float64]
    off_lines: NDArray[np.float64]
    """Seconds from the nearest sixteenth."""
    traits: HitTraits


class _Known(NamedTuple):
    """Hits that something may sound like."""

    frames: Frames
    rate: int

    def is_other(self, frames: Frames) -> NDArray[np.bool_]:
        """(frames, hits): which are another event."""
        return np.asarray(np.abs(frames[:, None] - self.frames) >= APART * self.rate)

    def nearest(self, distances: NDArray[np.floating], frames: Frames) -> NDArray[np.float64]:
        """Of each row of distances, to one that is another event."""
        return np.where(self.is_other(frames), distances, np.inf).min(axis=1, initial=99.0).clip(0.0)


def noises_among(samples: Samples, rate: int, strokes: StrokeSounds) -> Frames:
    """How many frames a noise lasts that begins at each onset; 0 where it is none.

    Parameters
    ----------
    samples : float32, shape (frames, channels)
    rate : int
        Of samples and strokes.
    strokes : Strokes

    Returns
    -------
    int64, shape (onsets,)
        All 0 where the recording's own hits do not come again: then nothing in it is odd.
    """
    frames, traits = strokes.frames, strokes.traits
    lengths, counted = np.zeros(len(frames), np.int64), strokes.strengths >= SURE_STRENGTH
    odd = _may_be(strokes, counted)
    if not len(odd):
        return lengths
    hits = np.flatnonzero(counted)
    some = hits[np.linspace(0, len(hits) - 1, min(len(hits), MOST_HEARD)).astype(np.int64)]
    by_spectra, by_timbre, by_level, by_company = WEIGHTS
    level = by_level * (traits.levels - np.percentile(traits.levels[counted], 90)) + BAR
    most = (
        level[odd] + by_timbre * np.log(_timbres_from(strokes, odd, some, rate) + 0.4) + by_spectra * FARTHEST
    )
    odd = np.sort(odd[np.argsort(-most)[: min(MOST_ODD, int((most >= 0).sum()))]])
    if not len(odd):  # whatever their spectra are
        return lengths
    heard = np.union1d(odd, some)  # what is odd again and again is not
    until = np.append(frames[1:], len(samples))[heard]
    spectra = likeness_of(samples, rate, frames[heard], until).spectra
    everywhere = _Known(frames[heard], rate)
    if np.median(everywhere.nearest(1 - spectra @ spectra.T, everywhere.frames)) >= ANEW:
        return lengths
    apart = 1 - spectra[np.searchsorted(heard, odd)] @ spectra.T
    company = ((apart < COMPANY) & everywhere.is_other(frames[odd])).sum(axis=1)
    score = level[odd] + by_timbre * np.log(_timbres_from(strokes, odd, heard, rate) + 0.4)
    score += by_spectra * np.log(everywhere.nearest(apart, frames[odd]) + 0.01) + by_company * np.log1p(
        company
    )
    found = odd[score >= 0]
    hits = np.setdiff1d(hits, found)
    until = np.append(frames[hits], len(samples))[np.searchsorted(hits, found)]
    for at, end in zip(found.tolist(), until.tolist(), strict=True):
        lengths[at] = _length(samples[:end], rate, int(frames[at]))
    return lengths


def _may_be(strokes: StrokeSounds, counted: NDArray[np.bool_]) -> Frames:
    """Numbers of those that are off the lines, soft, no ring, and followed by a hit."""
    if counted.sum() < 2:
        return np.zeros(0, np.int64)
    levels = strokes.traits.levels
    is_event = counted | (strokes.traits.attacks & (strokes.strengths >= LEAST_STRENGTH))
    is_soft = levels < np.percentile(levels[counted], 90)
    is_last = strokes.frames >= strokes.frames[counted][-1]
    return np.flatnonzero(is_event & is_soft & ~is_last & (strokes.off_lines > OFF_LINES))


def _timbres_from(strokes: StrokeSounds, odd: Frames, others: Frames, rate: int) -> NDArray[np.float64]:
    """Of each, dB from the most alike other event, root mean square over the bands."""
    known, theirs = _Known(strokes.frames[others], rate), bands_of(strokes.traits.timbres[others])
    found = np.zeros(len(odd))
    for start in range(0, len(odd), AT_ONCE):
        part = odd[start : start + AT_ONCE]
        mine = bands_of(strokes.traits.timbres[part])
        apart = np.sqrt(((mine[:, None] - theirs[None]) ** 2).mean(axis=2))
        found[start : start + AT_ONCE] = known.nearest(apart, strokes.frames[part])
    return found


def _length(samples: Samples, rate: int, frame: int) -> int:
    """Frames until it is no louder than what was before it, or has fallen away."""
    block = max(1, int(BLOCK * rate))
    part = samples[frame : frame + int(LONGEST * rate)].astype(np.float64)
    count = max(1, len(part) // block)
    power = (part[: count * block] ** 2).reshape(count, -1).mean(axis=1)
    before = samples[max(0, frame - int(BEFORE * rate)) : frame].astype(np.float64)
    still = OVER * float((before**2).mean()) if len(before) else 0.0
    loudest = sliding_window_view(np.append(power, np.zeros(HELD - 1)), HELD).max(axis=1)
    is_over = loudest <= max(still, FALLEN * float(power.max()))
    return int(is_over.argmax() if is_over.any() else count) * block
