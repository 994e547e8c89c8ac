"""Stamped shapes look as if each had been drawn."""

import numpy as np
import pytest
from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QColor, QImage, QPainter, QPen

from chronotome.ui.timeline import marks
from chronotome.ui.timeline.marks import diamond, down, notch, paint_each, ring, square, up

SHAPES = [diamond, down, notch, ring, square, up]
PLACES = [(20.125, 20.125), (70.375, 33.625), (110.875, 12.875), (2.125, 60.125), (149.625, 40.125)]


def painted(draw, *, width=1.4, fill="white", ratio=1.0):
    image = QImage(round(150 * ratio), round(80 * ratio), QImage.Format.Format_RGB32)
    image.setDevicePixelRatio(ratio)
    image.fill(QColor("#d0c0b0"))
    painter = QPainter(image)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.setPen(QPen(QColor("#203040"), width) if width else QPen(Qt.PenStyle.NoPen))
    painter.setBrush(QColor(fill) if fill else Qt.BrushStyle.NoBrush)
    draw(painter)
    painter.end()
    return np.array(image.constBits(), np.int64).reshape(image.height(), -1)


def one_by_one(shape, size):
    def draw(painter):
        for place in PLACES:
            painter.drawPath(shape(size).translated(QPointF(*place)))

    return draw


@pytest.mark.parametrize("ratio", [1.0, 2.0])
@pytest.mark.parametrize("shape", SHAPES)
@pytest.mark.parametrize(("width", "fill"), [(1.4, "white"), (0, "#c03020"), (2.0, "")])
def test_a_stamped_shape_is_as_it_would_be_drawn(qapp, shape, width, fill, ratio):
    stamped = painted(
        lambda painter: paint_each(painter, shape, PLACES, 5.0), width=width, fill=fill, ratio=ratio
    )
    drawn = painted(one_by_one(shape, 5.0), width=width, fill=fill, ratio=ratio)
    empty = painted(lambda _painter: None, ratio=ratio)

    changed = (drawn != empty).any()
    assert changed
    assert np.abs(stamped - drawn).mean() < 0.1
    assert np.abs(stamped - drawn).max() < 60


def test_alike_shapes_are_drawn_once(qapp, monkeypatch):
    drawn = []

    def counted(size):
        drawn.append(size)
        return ring(size)

    places = [(20.1 + 7 * number, 40.1) for number in range(15)]
    painted(lambda painter: paint_each(painter, counted, places, 3.0))

    assert drawn == [3.0]
    painted(lambda painter: paint_each(painter, counted, [(x + 0.5, y) for x, y in places], 3.0))
    assert drawn == [3.0, 3.0]


def test_another_pen_or_brush_is_another_stamp(qapp):
    first = painted(lambda painter: paint_each(painter, ring, PLACES, 4.0), fill="white")
    second = painted(lambda painter: paint_each(painter, ring, PLACES, 4.0), fill="black")
    third = painted(lambda painter: paint_each(painter, ring, PLACES, 4.0), fill="white")

    assert (first != second).any()
    assert (first == third).all()
    assert marks._stamp.cache_info().currsize <= marks._stamp.cache_info().maxsize
