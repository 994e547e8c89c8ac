"""A wave as one image, filled by NumPy."""

from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from PySide6.QtGui import QColor, QImage

from chronotome.dsp.audio import Curve
from chronotome.dsp.overview import BUCKET, columns_of
from chronotome.render.pool import Source

FINE = 2.0
"""Buckets per column from which on the overview is as fine as the screen."""
THINNEST = 1.0
"""Pixels of a silent wave."""


def columns(source: Source, edges: NDArray[np.float64], is_within: NDArray[np.bool_]) -> tuple[Curve, Curve]:
    """Lows and highs between edges in source frames; from the samples themselves where that is finer.

    Columns that are not within are silent: a clip is drawn no longer than it is.
    """
    if not is_within.any():
        nothing = np.zeros(len(is_within), np.float32)
        return nothing, nothing
    first, last = np.flatnonzero(is_within)[[0, -1]]
    inside = edges[first : last + 2]
    per_column = float(np.median(np.diff(inside)))
    if per_column < FINE * BUCKET and source.is_whole:
        found = columns_of(source.region.samples, inside)
    else:
        found = source.overview.columns(inside)
    lows, highs = (np.zeros(len(is_within), np.float32) for _ in found)
    lows[first : last + 1], highs[first : last + 1] = found
    return lows, highs


def wave_image(lows: Curve, highs: Curve, colour: QColor, *, height: int, ratio: float) -> QImage:
    """An image with a byte of opacity per pixel: the share of it that the wave covers."""
    middle = height / 2
    tops = middle - np.clip(highs, -1, 1) * (middle - 1)
    bottoms = middle - np.clip(lows, -1, 1) * (middle - 1)
    thin = np.maximum(0, THINNEST * ratio - (bottoms - tops)) / 2
    tops, bottoms = tops - thin, bottoms + thin
    rows = np.arange(height, dtype=np.float32)[:, None]
    cover = np.minimum(bottoms[None], rows + 1)
    cover -= np.maximum(tops[None], rows)
    np.clip(cover, 0, 1, out=cover)
    cover *= np.float32(255)
    pixels = np.zeros((height, -(-len(lows) // 4) * 4), np.uint8)  # rows of an image are whole words
    pixels[:, : len(lows)] = cover
    image = QImage(pixels.data, len(lows), height, pixels.shape[1], QImage.Format.Format_Indexed8)
    image.setColorTable(_shades(colour.rgb()))
    image = image.convertToFormat(QImage.Format.Format_ARGB32_Premultiplied)  # its own memory, quick to draw
    image.setDevicePixelRatio(ratio)
    return image


@lru_cache(maxsize=16)
def _shades(rgb: int) -> list[int]:
    """A colour at every opacity."""
    return [(alpha << 24) | (rgb & 0xFFFFFF) for alpha in range(256)]
