"""Work of the interface that may wait a moment, done once for many reasons.

Figures and lists follow an edit a blink later, so that the renderer has the interpreter to itself first:
what is heard comes before what is counted.
"""

from collections.abc import Callable

from PySide6.QtCore import QObject, QTimer

MOMENT_MILLISECONDS = 40


class Soon(QTimer):
    """Calls `do` once, a moment after the first of any number of calls."""

    def __init__(self, do: Callable[[], None], parent: QObject) -> None:
        super().__init__(parent)
        self.setSingleShot(True)
        self.setInterval(MOMENT_MILLISECONDS)
        self.timeout.connect(do)

    def ask(self) -> None:
        if not self.isActive():
            self.start()
