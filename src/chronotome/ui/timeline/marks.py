"""Many small shapes alike: each is drawn once and stamped. One path of all costs seventy times as much."""

from collections.abc import Callable, Iterable, Sequence
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QBrush, QColor, QImage, QPainter, QPainterPath, QPen, QPolygonF

Points = Iterable[tuple[float, float]]
Layer = tuple[NDArray[np.float64], NDArray[np.float64], QColor]
Shape = Callable[[float], QPainterPath]
PARTS = 4
"""Of a pixel, in which a stamp may lie."""


def _polygon(*corners: tuple[float, float]) -> QPainterPath:
    path = QPainterPath()
    path.addPolygon(QPolygonF([QPointF(*corner) for corner in (*corners, corners[0])]))
    return path


def notch(depth: float) -> QPainterPath:
    """Cut into the upper edge."""
    return _polygon((-4.5, 0), (4.5, 0), (0, depth))


def up(size: float) -> QPainterPath:
    return _polygon((-size * 0.6, size * 0.4), (0, -size * 0.6), (size * 0.6, size * 0.4))


def down(size: float) -> QPainterPath:
    return _polygon((-size * 0.6, -size * 0.4), (0, size * 0.6), (size * 0.6, -size * 0.4))


def ring(radius: float) -> QPainterPath:
    path = QPainterPath()
    path.addEllipse(QPointF(0, 0), radius, radius)
    return path


def square(half: float) -> QPainterPath:
    return _polygon((-half, -half), (half, -half), (half, half), (-half, half))


def diamond(half: float) -> QPainterPath:
    return _polygon((0, -half), (half, 0), (0, half), (-half, 0))


def paint_each(painter: QPainter, shape: Shape, places: Points, size: float) -> None:
    """A shape of a size at each place, with the painter's pen and brush."""
    pen, brush = painter.pen(), painter.brush()
    width = 0.0 if pen.style() is Qt.PenStyle.NoPen else pen.widthF()
    fill = None if brush.style() is Qt.BrushStyle.NoBrush else brush.color().rgba()
    ratio = painter.device().devicePixelRatio()
    margin = int(np.ceil(2 * size + width)) + 1
    for x, y in places:
        column, row = int(x // 1), int(y // 1)
        parts = int((x - column) * PARTS), int((y - row) * PARTS)
        image = _stamp(shape, size, pen.color().rgba(), width, fill, ratio, margin, parts)
        painter.drawImage(QPointF(column - margin, row - margin), image)


@lru_cache(maxsize=1024)
def _stamp(  # noqa: PLR0917 - found again by all of it
    shape: Shape,
    size: float,
    line: int,
    width: float,
    fill: int | None,
    ratio: float,
    margin: int,
    parts: tuple[int, int],
) -> QImage:
    side = round(2 * margin * ratio)
    image = QImage(side, side, QImage.Format.Format_ARGB32_Premultiplied)
    image.setDevicePixelRatio(ratio)
    image.fill(Qt.GlobalColor.transparent)
    painter = QPainter(image)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.setPen(QPen(QColor.fromRgba(line), width) if width else QPen(Qt.PenStyle.NoPen))
    painter.setBrush(QBrush(Qt.BrushStyle.NoBrush) if fill is None else QColor.fromRgba(fill))
    painter.translate(*(margin + (part + 0.5) / PARTS for part in parts))
    painter.drawPath(shape(size))
    painter.end()
    return image


DOT = ((0, 0, 1), (1, 0, 1))
SMALL_UP = ((-2, 0, 0), (-1, -1, 1), (0, -2, 2), (1, -2, 2))
SMALL_DOWN = ((-1, -2, 2), (0, -2, 2), (1, -1, 1), (2, 0, 0))
SMALL_NOTCH = ((-3, -3, 3), (-2, -3, 3), (-1, -2, 2), (0, -2, 2), (1, -1, 1), (2, -1, 1), (3, 0, 0))
SMALL_RING = (
    (-2, -1, 1),
    (-1, -2, -2),
    (-1, 2, 2),
    (0, -2, -2),
    (0, 2, 2),
    (1, -2, -2),
    (1, 2, 2),
    (2, -1, 1),
)
"""Shapes of a few pixels: rows, each from one column to another, about the place."""
Small = tuple[tuple[int, int, int], ...]
MARGIN = 3


def paint_dots(
    painter: QPainter,
    left: int,
    size: tuple[int, int],
    layers: Sequence[Layer | tuple[NDArray[np.float64], NDArray[np.float64], QColor, Small]],
) -> None:
    """Thousands of small shapes at (x, y), dots where none is named, later layers over earlier ones."""
    width, height = size
    wide = width + 2 * MARGIN
    pixels = np.zeros((height + 2 * MARGIN, wide), np.uint8)
    colours = [0]
    for xs, ys, value, *shapes in layers:
        colours.append(value.rgba())
        columns, rows = np.rint(xs - left).astype(np.int64), np.rint(ys).astype(np.int64)
        inside = (columns >= 0) & (columns < width) & (rows >= 0) & (rows < height)
        taken = np.zeros(pixels.size, np.bool_)  # each place once
        taken[((rows + MARGIN) * wide + columns + MARGIN)[inside]] = True
        places = np.flatnonzero(taken)
        for row, first, last in shapes[0] if shapes else DOT:
            for column in range(first, last + 1):
                pixels.reshape(-1)[places + row * wide + column] = len(colours) - 1
    _draw(painter, left, pixels[MARGIN:-MARGIN, MARGIN:-MARGIN], colours)


def paint_stems(
    painter: QPainter, left: int, size: tuple[int, int], layers: list[Layer], foot: float
) -> None:
    """Thousands of stems from the foot up to (x, y), one pixel wide, later layers over earlier ones."""
    width, height = size
    pixels = np.zeros((height, width), np.uint8)
    rows = np.arange(height, dtype=np.int32)[:, None]
    is_above_foot = rows <= int(foot)
    colours = [0]
    for xs, ys, value in layers:
        colours.append(value.rgba())
        columns = np.round(xs - left).astype(np.int64)
        inside = (columns >= 0) & (columns < width)
        tops = np.full(width, height, np.int32)
        np.minimum.at(tops, columns[inside], np.ceil(ys[inside]).astype(np.int32))
        np.copyto(pixels, np.uint8(len(colours) - 1), where=(rows >= tops) & is_above_foot)
    _draw(painter, left, pixels, colours)


def _draw(painter: QPainter, left: int, pixels: NDArray[np.uint8], colours: list[int]) -> None:
    height, width = pixels.shape
    padded = np.zeros((height, -(-width // 4) * 4), np.uint8)  # rows of an image are whole words
    padded[:, :width] = pixels
    image = QImage(padded.data, width, height, padded.shape[1], QImage.Format.Format_Indexed8)
    image.setColorTable(colours)
    painter.drawImage(left, 0, image)
