"""Which mark is under the pointer: plain arithmetic, no Qt."""

import numpy as np
from numpy.typing import NDArray


def nearest_in_reach(
    xs: NDArray[np.float64], ys: NDArray[np.float64], x: float, y: float, *, reach: float
) -> int | None:
    """The nearest point within `reach` pixels.

    Parameters
    ----------
    xs, ys : float64, shape (n,)
        Points on screen.
    """
    if not len(xs):
        return None
    distance = np.hypot(xs - x, ys - y)
    nearest = int(distance.argmin())
    return nearest if distance[nearest] <= reach else None


def nearest_column(xs: NDArray[np.float64], x: float, *, reach: float) -> int | None:
    """The nearest vertical within `reach` pixels."""
    return nearest_in_reach(xs, np.zeros_like(xs), x, 0.0, reach=reach)
