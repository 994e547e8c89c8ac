"""A wave as one image, filled by NumPy."""

from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from PySide6.QtGui import QColor, QImage

from chronotome.dsp.audio import Curve
from chronotome.dsp.overview import BUCKET, spans_of
from chronotome.order_stats import middle_of
from chronotome.render.banded import Banded
from chronotome.render.pool import Source

FINE = 2.0
"""Buckets per column from which on the overview is as fine as the screen."""
SHADES = 16
"""Steps from nothing to full cover of a pixel."""
THINNEST = 1.0
"""Pixels of a silent wave."""


def columns(source: Source, edges: NDArray[np.float64], is_within: NDArray[np.bool_]) -> tuple[Curve, Curve]:
    """Lows and highs between edges in source frames; from the samples themselves where that is finer.

    Columns that are not within are silent: a clip is drawn no longer than it is. Under a reversed clip edges
    fall.
    """
    if edges[-1] < edges[0]:
        lows, highs = columns(source, edges[::-1], is_within[::-1])
        return lows[::-1], highs[::-1]
    if not is_within.any():
        nothing = np.zeros(len(is_within), np.float32)
        return nothing, nothing
    first, last = np.flatnonzero(is_within)[[0, -1]]
    inside = edges[first : last + 2]
    per_column = middle_of(np.diff(inside))
    is_fine = per_column < FINE * BUCKET and source.is_whole
    near = near_spans(source, inside[:-1], inside[1:]) if is_fine else None
    found = source.overview.columns(inside) if near is None else near
    lows, highs = (np.zeros(len(is_within), np.float32) for _ in found)
    lows[first : last + 1], highs[first : last + 1] = found
    return lows, highs


def near_spans(
    source: Source, begins: NDArray[np.float64], ends: NDArray[np.float64]
) -> tuple[Curve, Curve] | None:
    """Lows and highs of the samples themselves, as they are heard; None where that takes too long."""
    if not isinstance(source, Banded):
        return spans_of(source.region.samples, begins, ends)
    first = max(0, int(begins.min()))
    last = min(source.overview.frames, int(ends.max()) + 2)
    samples = source.near(first, last) if first < last else None
    return None if samples is None else spans_of(samples, begins - first, ends - first)


def wave_image(lows: Curve, highs: Curve, colour: QColor, *, height: int, ratio: float) -> QImage:
    """An image with a byte of opacity per pixel: the share of it that the wave covers."""
    middle = height / 2
    tops = middle - np.clip(highs, -1, 1) * (middle - 1)
    bottoms = middle - np.clip(lows, -1, 1) * (middle - 1)
    thin = np.maximum(0, THINNEST * ratio - (bottoms - tops)) / 2
    tops, bottoms = tops - thin, bottoms + thin
    pixels = np.zeros((height, -(-len(lows) // 4) * 4), np.uint8)  # rows of an image are whole words
    rows = (np.arange(height, dtype=np.int32) * SHADES).astype(np.int16)[:, None]
    cover = np.minimum(_in_shades(bottoms)[None], rows + np.int16(SHADES))
    cover -= np.maximum(_in_shades(tops)[None], rows)
    pixels[:, : len(lows)] = np.maximum(cover, 0, out=cover)
    image = QImage(pixels.data, len(lows), height, pixels.shape[1], QImage.Format.Format_Indexed8)
    image.setColorTable(_shades(colour.rgb()))
    image = image.convertToFormat(QImage.Format.Format_ARGB32_Premultiplied)  # its own memory, quick to draw
    image.setDevicePixelRatio(ratio)
    return image


def _in_shades(places: NDArray[np.floating]) -> NDArray[np.int16]:
    """Rows of pixels, with fractions, as whole numbers: half as wide, so twice as quick."""
    return np.rint(places * SHADES).astype(np.int16)


@lru_cache(maxsize=16)
def _shades(rgb: int) -> list[int]:
    """A colour at every opacity."""
    return [(255 * alpha // SHADES << 24) | (rgb & 0xFFFFFF) for alpha in range(SHADES + 1)]
