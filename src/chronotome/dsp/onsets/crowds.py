"""Of onsets that are close to one another, which stand for the others. No SciPy: the window opens with it."""

import numpy as np
from numpy.typing import NDArray

from chronotome.units import Frames


def first_of_crowds(
    frames: Frames,
    strengths: NDArray[np.floating],
    spacing: float,
    is_kept: NDArray[np.bool_] | None = None,
) -> NDArray[np.bool_]:
    """Which of the sorted `frames` to count so that none is nearer than `spacing` to the one before it.

    Within a crowd the first one counts, unless it is doubtful (below 50) and a later one is not. Those in
    `is_kept` count in any case, and stand for their crowd.
    """
    counts = np.ones(len(frames), bool)
    close = np.diff(frames) < spacing
    if not close.any():
        return counts
    held = np.zeros(len(frames), bool) if is_kept is None else is_kept
    last = 0
    for here in (np.flatnonzero(close) + 1).tolist():
        last = here - 1 if counts[here - 1] else last  # everything between two crowds counts
        if frames[here] - frames[last] >= spacing:
            continue
        if held[here]:
            counts[last] = held[last]
        elif strengths[last] < 50.0 <= strengths[here] and not held[last]:
            counts[last] = False
        else:
            counts[here] = False
    return counts


def strongest_within(frames: Frames, strengths: NDArray[np.floating], distance: float) -> NDArray[np.bool_]:
    """Strongest first, none nearer than `distance` to a stronger one; of equals the earlier."""
    firsts = np.searchsorted(frames, frames - distance, side="right").tolist()
    lasts = np.searchsorted(frames, frames + distance, side="left").tolist()
    blocked = bytearray(len(frames))
    counts = np.zeros(len(frames), bool)
    for place in np.argsort(-strengths, kind="stable").tolist():
        if not blocked[place]:
            counts[place] = True
            first, last = firsts[place], max(lasts[place], place + 1)
            blocked[first:last] = b"\1" * (last - first)
    return counts
