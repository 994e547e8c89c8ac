"""Picking peaks."""

import numpy as np
from numpy.typing import NDArray
from scipy.ndimage import maximum_filter1d

from chronotome.dsp.audio import Curve
from chronotome.units import Frames


def local_maxima(curve: Curve, *, reach: int) -> NDArray[np.bool_]:
    """True where nothing within `reach` hops is higher.

    Parameters
    ----------
    curve : float32, shape (hops,)
    reach : int
        Hops to either side, at least 0.
    """
    return curve >= maximum_filter1d(curve, 2 * reach + 1)


def strongest_apart(frames: Frames, strengths: NDArray[np.floating], spacing: int) -> NDArray[np.bool_]:
    """Which of the sorted `frames` to keep so that none is nearer than `spacing` to the one kept before it.

    Within a crowd the first one stays, unless only a later one reaches half strength.
    """
    kept = np.ones(len(frames), bool)
    last = 0
    for here in range(1, len(frames)):
        if frames[here] - frames[last] >= spacing:
            last = here
        elif strengths[last] < 50.0 <= strengths[here]:
            kept[last] = False
            last = here
        else:
            kept[here] = False
    return kept
