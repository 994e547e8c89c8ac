"""Which candidates count: threshold, spacing, bands and thinning sift them; nothing is analysed again."""

from enum import StrEnum
from typing import Annotated

import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.dsp.bands import Band
from chronotome.dsp.onsets.crowds import first_of_crowds, strongest_within
from chronotome.session.clock import Clock
from chronotome.session.grid import Grid, nearest_lines
from chronotome.session.onsets import OnsetDecision, Onsets

USUAL_THRESHOLD = 45.0
USUAL_SPACING = 12.0
PICKUP = 0.25
"""Beats before a line that belong to it: a hit a little early is still on its beat."""


class Per(StrEnum):
    """Of what only the strongest onset counts."""

    ALL = "all"
    BAR = "bar"
    BEAT = "beat"
    SECONDS = "seconds"


class Near(StrEnum):
    """Whether onsets count that are near the lines of a grid, or those that are far from them."""

    ANYWHERE = "anywhere"
    NEAR = "near"
    FAR = "far"


class OnsetFilter(Struct, frozen=True):
    """What counts, besides the threshold. Spacing in ms; flams closer than that are one."""

    least_spacing: Annotated[float, Meta(ge=0.0, le=500.0)] = USUAL_SPACING
    bands: tuple[Band, ...] = tuple(Band)
    strongest_per: Per = Per.ALL
    seconds: Annotated[float, Meta(ge=0.02, le=60.0)] = 1.0
    near: Near = Near.ANYWHERE
    near_ms: Annotated[float, Meta(ge=0.0, le=500.0)] = 25.0
    grid: Grid = Grid(16)


def needs_clock(sift: OnsetFilter) -> bool:
    """Whether bars and beats decide which onsets count."""
    return sift.strongest_per in {Per.BAR, Per.BEAT} or sift.near is not Near.ANYWHERE


def sifted(onsets: Onsets, threshold: float, sift: OnsetFilter, clock: Clock) -> NDArray[np.bool_]:
    """True for the onsets that count; those kept by hand always do."""
    kept = onsets.is_kept
    dropped = onsets.standing_array == OnsetDecision.DROPPED
    counts = kept | (onsets.strength_array >= threshold)  # what was dropped hides what it hid
    if len(sift.bands) < len(Band):
        counts &= np.isin(onsets.band_array, sift.bands) | kept
    _thin(counts, onsets, sift, clock)
    counts &= ~dropped
    if sift.near is not Near.ANYWHERE and counts.any():
        counts &= _is_near(onsets, sift, clock) == (sift.near is Near.NEAR)
    return counts | kept


def _thin(counts: NDArray[np.bool_], onsets: Onsets, sift: OnsetFilter, clock: Clock) -> None:
    """Leave out, in place, what is too close or not the strongest."""
    chosen = np.flatnonzero(counts)
    frames, strengths = onsets.frame_array[chosen], onsets.strength_array[chosen]
    spacing = sift.least_spacing * clock.rate / 1000
    counts[chosen] = first_of_crowds(frames, strengths, spacing, onsets.is_kept[chosen])
    if sift.strongest_per is Per.ALL:
        return
    chosen = np.flatnonzero(counts)
    strengths = onsets.strength_array[chosen]
    if sift.strongest_per is Per.SECONDS:
        counts[chosen] = strongest_within(onsets.frame_array[chosen], strengths, sift.seconds * clock.rate)
        return
    metre, beats = clock.metre, clock.beats_of(onsets)[chosen]
    if sift.strongest_per is Per.BAR:
        group = np.floor(metre.bars_at(beats + PICKUP * metre.first.beat))
    else:
        group = np.floor(beats / metre.first.beat + PICKUP)
    order = np.lexsort((chosen, -strengths, group))
    first = np.diff(group[order], prepend=-np.inf) > 0
    counts[chosen] = False
    counts[chosen[order[first]]] = True


def _is_near(onsets: Onsets, sift: OnsetFilter, clock: Clock) -> NDArray[np.bool_]:
    beats = clock.beats_of(onsets)
    lines = nearest_lines(beats, sift.grid, clock.metre)
    away = np.abs(clock.tempo.seconds_at(lines) - clock.tempo.seconds_at(beats))
    return np.asarray(away * 1000 <= sift.near_ms)
