"""Two programs for the test under a compositor: our window, and another one from which a file is dragged."""

import json
import sys
from pathlib import Path

from PySide6.QtCore import QMimeData, Qt, QTimer, QUrl
from PySide6.QtGui import QDrag
from PySide6.QtWidgets import QWidget

from chronotome.files.journal import Journal
from chronotome.files.places import Settings
from chronotome.ui.application import application, build

COLOUR = 0xFF00C8
"""Nothing of ours is painted in it."""
LOOK_MILLISECONDS = 100


def ours(folder):
    """Says how finely it is drawn and which tracks it has, a line whenever that is another."""
    window = build(Settings(), output="simulated", journal=Journal(Path(folder)))
    window.show()
    told = []

    def look():
        desk = window.desk
        is_done = desk.tasks.is_idle and desk.rendering.is_current
        state = [window.devicePixelRatio(), [track.name for track in desk.session.tracks], is_done]
        if told != [state]:
            told[:] = [state]
            sys.stdout.write(json.dumps(state) + "\n")
            sys.stdout.flush()

    timer = QTimer(window)
    timer.timeout.connect(look)
    timer.start(LOOK_MILLISECONDS)
    return window


class Other(QWidget):
    def __init__(self, path):
        super().__init__()
        self._path = path
        self.setFixedSize(160, 120)
        self.setStyleSheet(f"background: #{COLOUR:06x}")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.show()

    def mousePressEvent(self, _event):
        data = QMimeData()
        data.setUrls([QUrl.fromLocalFile(self._path)])
        drag = QDrag(self)
        drag.setMimeData(data)
        drag.exec(Qt.DropAction.CopyAction)


if __name__ == "__main__":
    qt = application()
    shown = ours(sys.argv[2]) if sys.argv[1] == "ours" else Other(sys.argv[2])
    sys.exit(qt.exec())
