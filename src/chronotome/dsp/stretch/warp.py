"""Warp maps: from source frames to heard frames and back."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.units import Frames


@dataclass(frozen=True, eq=False)
class WarpMap:
    """Ties source frames to heard frames; straight lines between anchors.

    Invariants: at least two anchors; `source` and `heard` are int64, of equal length, strictly rising.
    """

    source: Frames
    heard: Frames

    def __post_init__(self) -> None:
        if len(self.source) < 2 or len(self.source) != len(self.heard):
            raise ValueError(f"a map needs two anchors or more, has {len(self.source)} and {len(self.heard)}")
        if (np.diff(self.source) <= 0).any() or (np.diff(self.heard) <= 0).any():
            raise ValueError("anchors must rise strictly")

    def heard_at(self, source: NDArray[np.floating] | Frames) -> NDArray[np.float64]:
        return np.interp(source, self.source, self.heard)

    def source_at(self, heard: NDArray[np.floating] | Frames) -> NDArray[np.float64]:
        return np.interp(heard, self.heard, self.source)

    @property
    def ratios(self) -> NDArray[np.float64]:
        """Heard length over source length, per span."""
        return np.diff(self.heard) / np.diff(self.source)


def rising(source: Frames, heard: Frames, *, least: int = 1) -> tuple[Frames, Frames]:
    """The same anchors without those that are not `least` past the one kept before, source or heard."""
    if len(source) < 2 or ((np.diff(source) >= least).all() and (np.diff(heard) >= least).all()):
        return source, heard
    kept = [0]
    for here in range(1, len(source)):
        last = kept[-1]
        if source[here] - source[last] >= least and heard[here] - heard[last] >= least:
            kept.append(here)
    return source[kept], heard[kept]
