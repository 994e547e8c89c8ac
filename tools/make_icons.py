"""Draws the program's icon at every size a desktop asks for, from the one that is drawn by hand."""

import os
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtGui import QGuiApplication, QImage, QPainter
from PySide6.QtSvg import QSvgRenderer

from chronotome.files.desktop import APP_ID, SIZES

FOLDER = Path(__file__).parents[1] / "src/chronotome/assets/desktop"


def main() -> None:
    os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
    _qt = QGuiApplication([])
    drawn = QSvgRenderer(str(FOLDER / f"{APP_ID}.svg"))
    (FOLDER / "icons").mkdir(exist_ok=True)
    for size in SIZES:
        image = QImage(size, size, QImage.Format.Format_ARGB32)
        image.fill(Qt.GlobalColor.transparent)
        painter = QPainter(image)
        drawn.render(painter)
        painter.end()
        image.save(str(FOLDER / "icons" / f"{size}.png"))


if __name__ == "__main__":
    main()
