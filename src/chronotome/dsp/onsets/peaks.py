"""Picking peaks."""

import numpy as np
from numpy.typing import NDArray
from scipy.ndimage import maximum_filter1d

from chronotome.dsp.audio import Curve


def local_maxima(curve: Curve, *, reach: int) -> NDArray[np.bool_]:
    """True where nothing within `reach` hops is higher.

    Parameters
    ----------
    curve : float32, shape (hops,)
    reach : int
        Hops to either side, at least 0.
    """
    return curve >= maximum_filter1d(curve, 2 * reach + 1)
