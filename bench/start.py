"""From the command to a painted, usable demo window, against an empty PySide6 window.

./run exec python -m bench.start
"""

import os
import statistics
import subprocess
import sys
import time

from bench.material import isolate

RUNS = 5
EMPTY = """
from PySide6.QtWidgets import QApplication, QMainWindow
from PySide6.QtCore import QTimer
app = QApplication([])
window = QMainWindow(); window.resize(1280, 800); window.show()
QTimer.singleShot(0, lambda: (window.grab(), app.quit()))
app.exec()
"""
DEMO = """
import os
from chronotome import cli  # the command line comes first, as it does for the command
from chronotome.files.places import load_settings
from PySide6.QtCore import QTimer
from chronotome.ui import application as a
qt = a.application()
window = a.build(load_settings(), output="simulated")
window.show()
window.session_files.open_demo()
a.show_demo_view(window)
def look():
    if window.desk.session.tracks and window.desk.recordings.pool.ready():
        window.grab(); print("usable", flush=True); os._exit(0)
timer = QTimer(); timer.timeout.connect(look); timer.start(5)
qt.exec()
"""


def seconds(code: str) -> float:
    found = []
    for _ in range(1 + RUNS):  # the first one compiles what has changed
        began = time.perf_counter()
        subprocess.run(
            [sys.executable, "-c", code],
            check=True,
            timeout=30,
            stdout=subprocess.DEVNULL,
            env={name: value for name, value in os.environ.items() if name != "PYTHONDONTWRITEBYTECODE"},
        )
        found.append(time.perf_counter() - began)
    return statistics.median(found[1:])


def main() -> None:
    isolate()
    empty, demo = seconds(EMPTY), seconds(DEMO)
    print(f"empty window {empty:.2f} s, demo {demo:.2f} s: {demo - empty:.2f} s more (bar 1.0)")


if __name__ == "__main__":
    main()
