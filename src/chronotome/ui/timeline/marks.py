"""Many small shapes as one path: drawing them one by one costs thirty times as much."""

from collections.abc import Iterable

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QPointF
from PySide6.QtGui import QColor, QImage, QPainter, QPainterPath, QPolygonF

Points = Iterable[tuple[float, float]]
Layer = tuple[NDArray[np.float64], NDArray[np.float64], QColor]


def notches(xs: Iterable[float], depth: float) -> QPainterPath:
    """Notches cut into the upper edge."""
    path = QPainterPath()
    for x in xs:
        path.addPolygon(
            QPolygonF([QPointF(x - 4.5, 0), QPointF(x + 4.5, 0), QPointF(x, depth), QPointF(x - 4.5, 0)])
        )
    return path


def triangles(places: Iterable[tuple[float, float, float]], *, is_up: bool) -> QPainterPath:
    """Triangles at (x, y, size)."""
    path = QPainterPath()
    for x, y, size in places:
        rise = -size if is_up else size
        left, right = QPointF(x - size * 0.6, y - rise * 0.4), QPointF(x + size * 0.6, y - rise * 0.4)
        path.addPolygon(QPolygonF([left, QPointF(x, y + rise * 0.6), right, left]))
    return path


def rings(places: Points, radius: float) -> QPainterPath:
    path = QPainterPath()
    for x, y in places:
        path.addEllipse(QPointF(x, y), radius, radius)
    return path


def squares(places: Points, half: float) -> QPainterPath:
    path = QPainterPath()
    for x, y in places:
        path.addRect(x - half, y - half, 2 * half, 2 * half)
    return path


def diamonds(places: Points, half: float) -> QPainterPath:
    path = QPainterPath()
    for x, y in places:
        corners = [QPointF(x, y - half), QPointF(x + half, y), QPointF(x, y + half), QPointF(x - half, y)]
        path.addPolygon(QPolygonF([*corners, corners[0]]))
    return path


def paint_dots(
    painter: QPainter,
    left: int,
    size: tuple[int, int],
    layers: list[tuple[NDArray[np.float64], NDArray[np.float64], QColor]],
) -> None:
    """Thousands of points (x, y) of two pixels each, later layers over earlier ones."""
    width, height = size
    pixels = np.zeros((height, width), np.uint8)
    colours = [0]
    for xs, ys, value in layers:
        colours.append(value.rgba())
        columns, rows = np.round(xs - left).astype(np.int64), np.round(ys).astype(np.int64)
        for shift in (0, 1):
            inside = (columns >= 0) & (columns + shift < width) & (rows >= 0) & (rows + 1 < height)
            for down in (0, 1):
                pixels[rows[inside] + down, columns[inside] + shift] = len(colours) - 1
    _draw(painter, left, pixels, colours)


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
