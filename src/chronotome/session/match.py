"""One take's hits paired with another's, in order."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.hits import bands_of
from chronotome.session.memo import by_identity
from chronotome.session.onsets import OnsetId
from chronotome.units import Frames

USUAL_MS = 25.0
"""How far apart two hits of a pair usually are."""
ALONE = 1.8
"""What a hit without a partner costs: two of them cost as much as a pair that is as far apart as may be."""
LIKENESS, UNLIKE_DB = 1.2, 12.0
"""What it costs at most to pair sounds unlike one another, and how unlike that is, in dB of eight bands."""
LEVEL_DB = 8.0
SURE = 0.8
"""A pair is sure where what else it might be costs so much more."""
AROUND = 9
"""Pairs over which the usual distance is taken: a take may lag for a while."""
NOBODY = -1
"""The place of what is not there."""


@dataclass(frozen=True, eq=False)
class HitFeatures:
    """Hits of one take: ids, session frames, levels in dB (NaN where not measured), timbres.

    Invariants: columns of equal length; `frames` rises.
    """

    onsets: Frames
    frames: Frames
    levels: NDArray[np.float64]
    timbres: NDArray[np.int64]


@dataclass(frozen=True, eq=False)
class Pairs:
    """For each hit of the one its partner among the hits of the other, or `NOBODY`; and which are sure."""

    own: HitFeatures
    other: HitFeatures
    partner: NDArray[np.int64]
    is_sure: NDArray[np.bool_]
    by_hand: NDArray[np.bool_]

    @property
    def is_paired(self) -> NDArray[np.bool_]:
        return self.partner != NOBODY

    @property
    def others_alone(self) -> NDArray[np.int64]:
        """Hits of the other that no hit is paired with."""
        return np.setdiff1d(np.arange(len(self.other.onsets)), self.partner)

    def apart(self, rate: int) -> NDArray[np.float64]:
        """Ms by which each is later than its partner; NaN where it has none."""
        places = self.other.frames[np.maximum(self.partner, 0)] if len(self.other.onsets) else self.own.frames
        return np.where(self.is_paired, (self.own.frames - places) * 1000.0 / rate, np.nan)


Said = tuple[tuple[OnsetId, OnsetId | None], ...]
"""Pairs set by hand: a hit, and whom it is paired with, or nobody."""


@by_identity(64)
def paired(own: HitFeatures, other: HitFeatures, within: float, rate: int, said: Said = ()) -> Pairs:
    """Pair hits in order: the cheapest way through both takes.

    Parameters
    ----------
    own, other : Heard
    within : float
        Milliseconds beyond which two hits are no pair.
    rate : int
        Frames per second of both.
    said : pairs set by hand
        They hold whatever they cost; the rest is paired between them.

    Returns
    -------
    Pairs
        Found twice: the second time distances are counted from what is usual around a place. The heaviest
        chain of pairs rising on both sides: alignment by dynamic programming, after S. B. Needleman and
        C. D. Wunsch, "A general method applicable to the search for similarities", 1970.
    """
    reach = within * rate / 1000.0
    hand = _by_hand(own, other, said)
    near = _candidates(own, other, reach, hand)
    unlike = _unlikeness(own, other, near)
    lag, partner = np.zeros(len(own.onsets)), np.full(len(own.onsets), NOBODY)
    for _ in range(2):
        gains = 2 * ALONE - _apart(own, other, near, lag, rate) - unlike
        partner = _chain(near, np.where(near.by_hand, 1e6, gains), len(own.onsets), len(other.onsets))
        lag = _usual_lag(own, other, partner)
    sure = _are_sure(near, 2 * ALONE - gains, partner)
    held = np.zeros(len(own.onsets), bool)
    held[list(hand)] = True
    return Pairs(own, other, partner, sure | held, held)


def _by_hand(own: HitFeatures, other: HitFeatures, said: Said) -> dict[int, int]:
    """Places of hits, each with that of its partner; those of hits that are there, in order."""
    mine = {onset: at for at, onset in enumerate(own.onsets.tolist())}
    theirs = {onset: at for at, onset in enumerate(other.onsets.tolist())}
    found, last = dict[int, int](), NOBODY
    here = [(mine[one], two) for one, two in said if one in mine and (two is None or two in theirs)]
    for at, two in sorted(here, key=lambda pair: pair[0]):
        if two is None:
            found[at] = NOBODY
        elif theirs[two] > last:
            found[at] = last = theirs[two]
    return found


@dataclass(frozen=True, eq=False)
class _Near:
    """Pairs that may be: places of both, in order of the own ones."""

    mine: NDArray[np.int64]
    theirs: NDArray[np.int64]
    by_hand: NDArray[np.bool_]


def _candidates(own: HitFeatures, other: HitFeatures, reach: float, hand: dict[int, int]) -> _Near:
    low = np.searchsorted(other.frames, own.frames - reach)
    high = np.searchsorted(other.frames, own.frames + reach, "right")
    counts = high - low
    mine = np.repeat(np.arange(len(own.frames)), counts)
    theirs = np.arange(len(mine)) - np.repeat(np.cumsum(counts) - counts, counts) + np.repeat(low, counts)
    said = np.array([pair for pair in hand.items() if pair[1] != NOBODY], np.int64).reshape(-1, 2)
    free = ~np.isin(mine, list(hand)) & ~np.isin(theirs, said[:, 1])
    mine, theirs = np.concatenate([mine[free], said[:, 0]]), np.concatenate([theirs[free], said[:, 1]])
    order = np.lexsort((theirs, mine))
    by_hand = np.arange(len(mine)) >= free.sum()
    return _Near(mine[order], theirs[order], by_hand[order])


def _apart(
    own: HitFeatures, other: HitFeatures, near: _Near, lag: NDArray[np.float64], rate: int
) -> NDArray[np.float64]:
    """What it costs that two are apart, but for what is usual around there."""
    away = own.frames[near.mine] - lag[near.mine] - other.frames[near.theirs]
    return np.asarray(np.abs(away) * 1000.0 / rate / USUAL_MS)


def _unlikeness(own: HitFeatures, other: HitFeatures, near: _Near) -> NDArray[np.float64]:
    """What it costs that two sound unlike, more than those do that are nearest to one another."""
    if not len(near.mine):
        return np.zeros(0)
    mine, theirs = bands_of(own.timbres), bands_of(other.timbres)
    unlike = np.abs(theirs[near.theirs] - mine[near.mine]).mean(1)
    louder = own.levels[near.mine] - other.levels[near.theirs]
    away = np.abs(own.frames[near.mine] - other.frames[near.theirs])
    order = np.lexsort((away, near.mine))
    nearest = order[np.diff(near.mine[order], prepend=-1) > 0]
    usually = min(float(np.median(unlike[nearest])), UNLIKE_DB)
    known = louder[nearest][~np.isnan(louder[nearest])]
    louder = np.nan_to_num(louder - (float(np.median(known)) if len(known) else 0.0))
    sound = LIKENESS * np.clip((unlike - usually) / UNLIKE_DB, 0.0, 1.0)
    return np.asarray(sound + np.minimum(1.0, np.abs(louder) / LEVEL_DB) / 2)


def _chain(near: _Near, gains: NDArray[np.float64], mine: int, theirs: int) -> NDArray[np.int64]:
    """The pairs that gain most together, rising on both sides: a tree of best sums by the other's place."""
    best: list[tuple[float, int]] = [(0.0, NOBODY)] * (theirs + 1)
    before, partner = [NOBODY] * len(gains), np.full(mine, NOBODY)
    waiting, last = list[tuple[int, float, int]](), NOBODY
    for pair, (at, to, gain) in enumerate(
        zip(near.mine.tolist(), near.theirs.tolist(), gains.tolist(), strict=True)
    ):
        if at != last:
            _put(best, waiting)
            waiting, last = [], at
        if gain > 0:
            total, before[pair] = _best_up_to(best, to)
            waiting.append((to + 1, total + gain, pair))
    _put(best, waiting)
    _, pair = _best_up_to(best, theirs)
    while pair != NOBODY:
        partner[near.mine[pair]] = near.theirs[pair]
        pair = before[pair]
    return partner


def _best_up_to(best: list[tuple[float, int]], place: int) -> tuple[float, int]:
    found = (0.0, NOBODY)
    while place > 0:
        if best[place][0] > found[0]:
            found = best[place]
        place &= place - 1
    return found


def _put(best: list[tuple[float, int]], found: list[tuple[int, float, int]]) -> None:
    for first, total, pair in found:
        place = first
        while place < len(best):
            if best[place][0] < total:
                best[place] = (total, pair)
            place += place & -place


def _usual_lag(own: HitFeatures, other: HitFeatures, partner: NDArray[np.int64]) -> NDArray[np.float64]:
    """By how many frames hits around each are later than their partners: the middle of nine."""
    at = np.flatnonzero(partner != NOBODY)
    if len(at) < AROUND:
        return np.zeros(len(own.frames))
    later = (own.frames[at] - other.frames[partner[at]]).astype(np.float64)
    padded = np.pad(later, AROUND // 2, mode="edge")
    middle = np.median(np.lib.stride_tricks.sliding_window_view(padded, AROUND), axis=1)
    return np.asarray(np.interp(own.frames, own.frames[at], middle))


def _are_sure(near: _Near, costs: NDArray[np.float64], partner: NDArray[np.int64]) -> NDArray[np.bool_]:
    """Where neither a hit nor its partner has another one that it might as well be paired with."""
    sure = np.ones(len(partner), bool)
    chosen = near.theirs == partner[near.mine]
    cost = np.full(len(partner), np.inf)
    cost[near.mine[chosen]] = costs[chosen]
    sure[cost > 2 * ALONE - SURE] = False
    sure[partner == NOBODY] = True
    others = np.flatnonzero(~chosen)
    rival = costs[others] < cost[near.mine[others]] + SURE
    sure[near.mine[others[rival & (partner[near.mine[others]] != NOBODY)]]] = False
    owner = np.full(max(1, int(near.theirs.max(initial=0)) + 1), NOBODY)
    owner[near.theirs[chosen]] = near.mine[chosen]
    held = owner[near.theirs[others]]
    rival = (held != NOBODY) & (costs[others] < cost[held] + SURE)
    sure[held[rival]] = False
    return sure
