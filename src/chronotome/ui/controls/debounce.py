"""Work of the interface that may wait a moment, done once for many reasons.

Figures and lists follow an edit a blink later, so that the renderer has the interpreter to itself first:
what is heard comes before what is counted.
"""

import time
from collections.abc import Callable

from PySide6.QtCore import QObject, QTimer

MOMENT_MILLISECONDS = 40
SLOW_SECONDS = 0.002


class Debounce(QTimer):
    """Calls `do` once, a moment after the first of any number of calls; after the last, where it is slow."""

    def __init__(self, do: Callable[[], None], parent: QObject) -> None:
        super().__init__(parent)
        self.setSingleShot(True)
        self.setInterval(MOMENT_MILLISECONDS)
        self.timeout.connect(self._run)
        self._do = do
        self._is_slow = False

    def ask(self) -> None:
        if self._is_slow or not self.isActive():
            self.start()

    def _run(self) -> None:
        began = time.perf_counter()
        self._do()
        self._is_slow = time.perf_counter() - began > SLOW_SECONDS
