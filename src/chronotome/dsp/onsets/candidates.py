"""Where something may start, and what can be told about each such place."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy.ndimage import maximum_filter1d

from chronotome.dsp.audio import Curve
from chronotome.dsp.network import Features
from chronotome.dsp.onsets.attack import rows_around
from chronotome.dsp.onsets.novelty import Novelty
from chronotome.dsp.onsets.peaks import local_maxima
from chronotome.dsp.onsets.rises import Rises
from chronotome.units import Frames

REACH = 0.030
"""Seconds within which only the highest change of a curve is looked at."""
LEAST_EXCESS, LEAST_CHANGE, LEAST_SLOW = 0.1, 0.02, 0.3
SLOW_LATE = 0.035
SAME_PLACE = 0.020
"""Seconds within which a second curve's maximum is the same place."""
BACK, AHEAD = 0.050, 0.030
NEARNESS = 0.012
EARLIEST_SHARE, FAINT_SHARE, LEAST_RISE, MOST_FAINT = 0.4, 0.12, 2.0, 3.5
APART = 0.006
SMALLEST = np.float32(1e-3)


@dataclass(frozen=True, eq=False)
class Candidates:
    """Places in order of time.

    Invariants: equal lengths; `places` are hops of the rises and rise; `hops` are hops of the novelty that
    brought the place; `is_first` is False for strokes within the attack of another place; `heights` are
    values of the rises' change.
    """

    places: Frames
    hops: Frames
    is_first: NDArray[np.bool_]
    heights: NDArray[np.float32]

    def __len__(self) -> int:
        return len(self.places)


def _maxima(curve: Curve, reach: int, least: float) -> Frames:
    return np.flatnonzero(local_maxima(curve, reach=reach) & (curve > least))


def candidate_hops(heard: Novelty, rate: int) -> Frames:
    """Maxima of the excess, and those of single parts of the spectrum where the excess has none near."""
    reach = max(1, round(REACH * rate / heard.hop))
    main = np.flatnonzero(local_maxima(heard.change, reach=reach) & (heard.excess > LEAST_EXCESS))
    octaves = heard.short.octaves
    parts = [octaves[:, low : low + 3].sum(axis=1) for low in (0, 3, 6)]
    others = [_maxima(part, reach, LEAST_CHANGE) for part in (*parts, heard.long.change, heard.short.change)]
    slow = _maxima(heard.slow.change, 2 * reach, LEAST_SLOW) - round(SLOW_LATE * rate / heard.hop)
    more = np.unique(np.concatenate([*others, np.maximum(slow, 0)]))
    same = round(SAME_PLACE * rate / heard.hop)
    if len(main):
        right = np.clip(np.searchsorted(main, more), 0, len(main) - 1)
        left = np.maximum(right - 1, 0)
        more = more[np.minimum(np.abs(more - main[right]), np.abs(more - main[left])) > same]
    return np.sort(np.concatenate([main, _spread(more, same)]))


def _spread(hops: Frames, same: int) -> Frames:
    """Those that are no nearer to the one kept before them than the same place."""
    kept: list[int] = []
    for hop in hops.tolist():
        if not kept or hop - kept[-1] > same:
            kept.append(hop)
    return np.array(kept, np.int64)


def _around(curve: NDArray[np.float32], hops: Frames, first: int, last: int) -> NDArray[np.float32]:
    """Shape (hops, last - first + 1, ...): the curve from `first` to `last` hops after each."""
    last = max(first, last)
    return curve[np.clip(hops[:, None] + np.arange(first, last + 1), 0, len(curve) - 1)]


def _guesses(heard: Novelty, hops: Frames, rate: int) -> NDArray[np.float64]:
    """Frames. The short window's peak nearby tells the time better, where it has one."""
    back, ahead = round(0.020 * rate / heard.hop), round(0.045 * rate / heard.hop)
    nearby = _around(heard.short.change, hops, -back, ahead)
    best = nearby.argmax(axis=1)
    hops = np.where(nearby.max(axis=1) > 0.25, hops + best - back, hops)
    return np.maximum(hops * heard.hop - 0.003 * rate, 0)


def find_candidates(heard: Novelty, rises: Rises, rate: int) -> Candidates:
    """The rises near each hop that heard a change: the first strong one, and fainter strokes beside it."""
    hops = candidate_hops(heard, rate)
    guesses = np.round(_guesses(heard, hops, rate) / rises.hop).astype(np.int64)
    back, ahead = int(BACK * rate / rises.hop), int(AHEAD * rate / rises.hop)
    offsets = np.arange(-back, ahead + 1)
    places = guesses[:, None] + offsets
    inside = (places >= 0) & (places < len(rises.change))
    change = np.where(inside, rises.change[np.clip(places, 0, len(rises.change) - 1)], np.float32(0))
    nearness = np.exp(-0.5 * (offsets * rises.hop / rate / NEARNESS) ** 2)
    each = np.arange(len(hops))
    best = (change * nearness).argmax(axis=1)
    heights = change[each, best]
    is_peak = change >= maximum_filter1d(change, 2 * int(0.002 * rate / rises.hop) + 1, axis=1)
    from_best = np.arange(len(offsets)) - best[:, None]
    is_strong = change >= np.maximum(EARLIEST_SHARE * heights, LEAST_RISE)[:, None]
    leading = is_peak & is_strong & (from_best <= 0) & (from_best >= -int(0.03 * rate / rises.hop))
    leading[each, best] = True
    first = leading.argmax(axis=1)
    strokes = is_peak & (change >= np.clip(FAINT_SHARE * heights, LEAST_RISE, MOST_FAINT)[:, None])
    strokes[:, offsets < -0.045 * rate / rises.hop] = False
    strokes[each, first] = True
    strokes[each, best] = True
    row, column = np.nonzero(strokes)
    place = np.clip(places[row, column], 0, len(rises.change) - 1)
    is_first, height = column == first[row], change[row, column]
    order = np.lexsort((~is_first, place))
    found = Candidates(place[order], hops[row][order], is_first[order], height[order])
    kept = _one_per_place(found, int(APART * rate / rises.hop))
    return Candidates(found.places[kept], found.hops[kept], found.is_first[kept], found.heights[kept])


def _one_per_place(found: Candidates, spacing: int) -> NDArray[np.bool_]:
    """Of candidates that are one place, the first stroke stays, of equals the highest."""
    kept = np.ones(len(found), bool)
    last = 0
    places, firsts, heights = found.places.tolist(), found.is_first.tolist(), found.heights.tolist()
    for here in range(1, len(found)):
        if places[here] - places[last] > spacing:
            last = here
        elif (firsts[here], heights[here]) > (firsts[last], heights[last]):
            kept[last] = False
            last = here
        else:
            kept[here] = False
    return kept


def _log(values: NDArray[np.float32]) -> NDArray[np.float32]:
    return np.log(np.maximum(values, SMALLEST))


def features_of(found: Candidates, heard: Novelty, rises: Rises, rate: int) -> Features:
    """What the networks hear of each candidate; all of it relative, so that gain changes nothing.

    Rises per octave of the three fluxes and of the energies, whitened levels before and after, how much
    changes in the second around it, and energies before and after.
    """
    places = np.clip((found.places * rises.hop + 0.003 * rate) / heard.hop, 0, len(heard.change) - 1)
    hops = places.astype(np.int64)
    share = (places - hops).astype(np.float32)
    per_ms = rate / 1000 / heard.hop

    def between(curve: NDArray[np.float32], first: float, last: float) -> NDArray[np.float32]:
        """The curve between its hops, so that it does not matter where these lie."""
        span = round(first * per_ms), round(last * per_ms)
        around = _around(curve, hops, span[0], max(span) + 1)
        later = share[:, None] if curve.ndim == 1 else share[:, None, None]
        return around[:, :-1] + later * np.diff(around, axis=1)

    def most(curve: NDArray[np.float32], first: float, last: float) -> NDArray[np.float32]:
        return between(curve, first, last).max(axis=1)

    def mean(curve: NDArray[np.float32], first: float, last: float) -> NDArray[np.float32]:
        return between(curve, first, last).mean(axis=1)

    short, long, slow = heard.short, heard.long, heard.slow
    columns: list[NDArray[np.float32]] = [
        _log(heard.excess[found.hops]),
        _log(heard.change[found.hops]),
        _log(most(short.change, -5, 15)),
        _log(most(long.change, -10, 20)),
        found.is_first.astype(np.float32),
        ((found.places * rises.hop - found.hops * heard.hop) / rate * 20).astype(np.float32),
        *(_log(most(slow.change, *span)) for span in ((20, 80), (-100, -20), (100, 200))),
        *(_log(most(slow.change, ms, ms)) for ms in (20, 50, 75)),
        *(_log(most(heard.change, *span)) for span in ((-150, -35), (35, 150), (-1000, 1000))),
        _log(mean(heard.change, -500, 500)),
    ]
    blocks = [
        most(short.octaves, -5, 15) * 4,
        most(long.octaves, -10, 25) * 4,
        most(slow.octaves, 0, 90) * 3,
        mean(short.levels, 5, 25),
        mean(short.levels, -25, -15),
        mean(long.levels, 15, 40),
        mean(long.levels, 80, 120),
        mean(long.levels, -50, -30),
        np.clip(rises.ratios[:, found.places].T, -2, 6),
        _above_gaps(found, rises, rate),
        _energy_features(found, rises, rate),
    ]
    return np.concatenate([np.stack(columns, axis=1), *blocks], axis=1, dtype=np.float32)


def _above_gaps(found: Candidates, rises: Rises, rate: int) -> Features:
    """Per octave, what follows over the quietest 2 ms before, and over what was before a gap."""

    def around(start: float, end: float) -> NDArray[np.float32]:
        first, last = (int(seconds * rate / rises.hop) for seconds in (start, end))
        return _around(rises.energies.T, found.places, first, last)

    three = around(-0.015, 0.0)
    three = three[:, :-2] + three[:, 1:-1] + three[:, 2:]
    after = np.log(around(0.0, 0.006).mean(axis=1))
    later, earlier = np.log(around(0.006, 0.02).mean(axis=1)), np.log(around(-0.03, -0.012).mean(axis=1))
    gaps = after - np.log(three.min(axis=1) / 3)
    return np.concatenate([np.clip(gaps, -2, 8), np.clip(later - earlier, -4, 6)], axis=1)


def _energy_features(found: Candidates, rises: Rises, rate: int) -> Features:
    def span(seconds: float) -> int:
        return int(seconds * rate / rises.hop)

    def loudness(start: float, end: float) -> NDArray[np.float32]:
        return np.log(
            _around(energy, found.places, span(start), max(span(start), span(end) - 1)).mean(axis=1)
        )

    energy = rises.energies.sum(axis=0)
    after, before = loudness(0, 0.03), loudness(-0.03, -0.003)
    return np.stack(
        [
            np.log1p(rises.change[found.places]),
            np.log1p(_around(rises.change, found.places, span(-0.03), span(-0.004)).max(axis=1)),
            np.log1p(_around(rises.change, found.places, span(0.004), span(0.03)).max(axis=1)),
            after,
            before,
            after - before,
            loudness(0.03, 0.08) - after,
            loudness(-0.005, 0) - loudness(-0.03, -0.01),
        ],
        axis=1,
    )


NEAR_TIMES = np.arange(-20, 30) * 0.0007
FAR_TIMES = np.array([-0.080, -0.060, -0.045, -0.033, -0.023, 0.027, 0.038, 0.052, 0.070, 0.095])
"""Seconds around a frame at which its envelope is looked at: every 0.7 ms near it, means of 5 ms far away."""
FAR_SPAN = 0.005


def shapes_of(frames: Frames, signal: Curve, rises: Rises, rate: int) -> Features:
    """The envelope around each frame: energies below 250 Hz, to 1.2 kHz, to 5 kHz, above; and peaks per ms.

    All of it is read between hops at times from the frame on, so that the grid of hops leaves no trace.
    """
    half = round(FAR_SPAN * rate / rises.hop) // 2
    near = _between(rises.levels, frames[:, None] + NEAR_TIMES * rate, rises.hop)
    far = _mean_around(rises.totals, half, frames[:, None] + FAR_TIMES * rate, rises.hop)
    envelope = np.concatenate([near, np.log(far)], axis=1)
    loudest = near[:, :, -1].max(axis=1)
    envelope = np.maximum(envelope - loudest[:, None, None], -12)
    return np.concatenate([envelope.reshape(len(frames), -1), _peaks(frames, signal, rate)], axis=1)


def _mean_around(
    totals: NDArray[np.float64], half: int, frames: NDArray[np.float64], hop: int
) -> NDArray[np.float32]:
    """Means over `half` hops to either side at frames of shape (candidates, times), between two hops."""
    last = len(totals) - 1
    places = np.clip(frames / hop, 0, last - 1)
    left = places.astype(np.int64)
    share = (places - left)[:, :, None]
    early, end = np.clip(left - half, 0, last), np.clip(left + half + 1, 0, last)
    here = totals[end] - totals[early]
    there = totals[np.minimum(end + 1, last)] - totals[np.minimum(early + 1, last)]
    mean = (here * (1 - share) + there * share) / (2 * half + 1)
    return np.maximum(mean, 1e-12).astype(np.float32)


def _between(curve: NDArray[np.float32], frames: NDArray[np.float64], hop: int) -> NDArray[np.float32]:
    """The curve (hops, bands) at frames of shape (candidates, times): straight between two hops."""
    places = np.clip(frames / hop, 0, len(curve) - 1)
    left = np.minimum(places.astype(np.int64), max(0, len(curve) - 2))
    share = (places - left).astype(np.float32)[:, :, None]
    return curve[left] * (1 - share) + curve[np.minimum(left + 1, len(curve) - 1)] * share


def _peaks(frames: Frames, signal: Curve, rate: int) -> Features:
    """Log of the loudest sample in each ms from 14 before to 12 after, relative to the next 40 ms."""
    size = max(1, int(0.001 * rate))
    samples = np.abs(rows_around(signal, frames, 14 * size, 40 * size))
    loudest = np.log(samples[:, 14 * size :].max(axis=1) + np.float32(1e-6))
    peaks = samples[:, : 26 * size].reshape(len(frames), 26, size).max(axis=2)
    return np.maximum(np.log(peaks + np.float32(1e-6)) - loudest[:, None], -6)
