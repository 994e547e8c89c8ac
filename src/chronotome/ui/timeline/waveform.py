"""A wave as one image, filled by NumPy."""

import numpy as np
from numpy.typing import NDArray
from PySide6.QtGui import QColor, QImage

from chronotome.dsp.overview import BUCKET, columns_of
from chronotome.dsp.spectrum import Curve
from chronotome.render.pool import Source

Image = NDArray[np.uint32]
THINNEST = 1.0
"""Pixels of a silent wave."""


def columns(source: Source, edges: NDArray[np.float64]) -> tuple[Curve, Curve]:
    """Lows and highs between edges in source frames; from the samples themselves where that is finer."""
    per_column = (edges[-1] - edges[0]) / max(1, len(edges) - 1)
    if per_column < BUCKET and source.is_whole:
        return columns_of(source.region.samples, edges)
    return source.overview.columns(edges)


def wave_image(
    lows: Curve, highs: Curve, colour: QColor, *, height: int, ratio: float, scale: float
) -> QImage:
    """An image of premultiplied pixels; edges are smoothed by the share of each pixel that is covered."""
    middle = height / 2
    tops = middle - np.clip(highs * scale, -1, 1) * (middle - 1)
    bottoms = middle - np.clip(lows * scale, -1, 1) * (middle - 1)
    thin = np.maximum(0, THINNEST * ratio - (bottoms - tops)) / 2
    tops, bottoms = tops - thin, bottoms + thin
    rows = np.arange(height, dtype=np.float32)[:, None]
    cover = np.minimum(bottoms[None], rows + 1) - np.maximum(tops[None], rows)
    np.clip(cover, 0, 1, out=cover)
    alpha = (cover * 255).astype(np.uint32)
    shades = [np.uint32(part) for part in (colour.red(), colour.green(), colour.blue())]
    pixels: Image = alpha << np.uint32(24)
    for shift, shade in zip((16, 8, 0), shades, strict=True):
        pixels |= (alpha * shade // np.uint32(255)) << np.uint32(shift)
    pixels = np.ascontiguousarray(pixels)
    width = pixels.shape[1]
    image = QImage(pixels.data, width, height, width * 4, QImage.Format.Format_ARGB32_Premultiplied).copy()
    image.setDevicePixelRatio(ratio)
    return image
