"""Rows of a tone: between attacks and seams, bent at all other anchors."""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.segment import Shape
from chronotome.units import Frames

SEAM_SECONDS, SEAM_SLACK = 1.0, 0.3
"""Without an attack for so long, a span is cut: what a hand moves is rendered anew, and no more."""
SHIFT_STEP = 0.1
"""Seconds: attacks that are moved by less than half of it leave long tones behind them as they are."""


def bent(  # noqa: PLR0917 - what a map is, and how it is heard
    source: Frames,
    landed: Frames,
    attacks: NDArray[np.bool_] | None,
    offset: int,
    rate: int,
    ratios: tuple[Frames, NDArray[np.float64]] | None = None,
) -> tuple[Frames, Frames, tuple[Shape, ...]]:
    """Anchors that are attacks, and seams where these are far apart; the others bend what is between.

    Seams lie in equal parts between two attacks: they depend on nothing that a hand moves. `ratios` are
    source frames from which on it is made so many times longer, to be read faster.
    """
    is_hard = np.ones(len(source), bool) if attacks is None else attacks.copy()
    is_hard[[0, -1]] = True
    ends = source[is_hard]
    parts = np.maximum(1, np.ceil(np.diff(ends) / (SEAM_SECONDS * rate) - SEAM_SLACK)).astype(np.int64)
    number = np.arange(parts.sum()) - np.repeat(np.cumsum(parts) - parts, parts)
    starts = np.repeat(ends[:-1], parts)
    edges = starts + number * np.repeat(np.diff(ends), parts) // np.repeat(parts, parts)
    edges = np.append(edges, ends[-1])
    is_seam = np.append(number > 0, False)
    heard = np.where(np.isin(edges, source), 0, np.rint(np.interp(edges, source, landed))).astype(np.int64)
    known = np.isin(edges, source)
    heard[known] = landed[np.searchsorted(source, edges[known])]
    keeps = np.append(np.diff(heard) > 0, True) | ~is_seam
    edges, heard, is_seam = edges[keeps], heard[keeps], is_seam[keeps]
    ratio = 1.0 if ratios is None else ratios[1][ratios[0].searchsorted(edges, "right") - 1]
    shifts = shifts_of(edges, heard + offset, is_seam, rate, ratio)
    soft, to = source[~is_hard], landed[~is_hard]
    if not len(soft) and not is_seam.any():
        return edges, heard, ()
    low, high = np.searchsorted(soft, edges[:-1], "right"), np.searchsorted(soft, edges[1:], "left")
    kinds = [Shape((), begins, ends) for begins in (False, True) for ends in (False, True)]
    shapes = [kinds[each] for each in (2 * is_seam[:-1] + is_seam[1:]).tolist()]
    for row in np.flatnonzero((shifts[:-1] != 0) | (shifts[1:] != 0)).tolist():
        shapes[row] = shapes[row]._replace(shifts=(int(shifts[row]), int(shifts[row + 1])))
    for row in np.flatnonzero(high > low).tolist():
        of, there = (side[low[row] : high[row]] - ends[row] for side, ends in ((soft, edges), (to, heard)))
        is_plain = edges[row + 1] - edges[row] == heard[row + 1] - heard[row] and (of == there).all()
        if not is_plain:
            bends = tuple(zip(of.tolist(), there.tolist(), strict=True))
            shapes[row] = shapes[row]._replace(bends=bends)
    return edges, heard, tuple(shapes)


def shifts_of(
    edges: Frames,
    heard: Frames,
    is_seam: NDArray[np.bool_],
    rate: int,
    ratio: float | NDArray[np.float64] = 1.0,
) -> Frames:
    """Frames by which each seam is heard later than it was played, counted from the attack before it.

    Of more than two rows between attacks from about there, in round numbers from where it was played: a moved
    attack renders the next two anew. `ratio` is how much longer all of it is made, to be read faster.
    """
    attack = np.maximum.accumulate(np.where(is_seam, 0, np.arange(len(edges))))
    seams = np.bincount(attack, minlength=len(edges))[attack] - 1
    step, moved = round(SHIFT_STEP * rate), (heard - edges)[attack]
    moved = np.where(seams > 1, step * np.rint(moved / step).astype(np.int64), moved)
    from_attack = np.rint(ratio * (heard - edges[attack] - moved)).astype(np.int64)
    return np.where(is_seam, from_attack - (edges - edges[attack]), 0)
