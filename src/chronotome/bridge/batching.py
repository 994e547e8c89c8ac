"""The same for many files, from the window: in a thread, with what becomes of each told as it goes."""

from collections.abc import Sequence
from pathlib import Path

from PySide6.QtCore import QObject, Signal

from chronotome.bridge.tasks import Task, Tasks
from chronotome.errors import Cancelled, ChronotomeError
from chronotome.files.batch import BatchPreset, Outcome, run_batch
from chronotome.progress import Progress
from chronotome.words import tr

LEAST_STEP = 0.02


class Batching(QObject):
    """One batch at a time."""

    progressed = Signal(int, float)
    """The number of a file, and how far it is."""
    ended = Signal(int, object)
    """The number of a file, and its outcome."""
    finished = Signal(object)
    """The error that ended it before its time, or None."""

    def __init__(self, tasks: Tasks, parent: QObject) -> None:
        super().__init__(parent)
        self._tasks = tasks
        self._task: Task | None = None

    @property
    def is_running(self) -> bool:
        return self._task is not None

    def start(self, recipe: BatchPreset, paths: Sequence[Path], folder: Path) -> None:
        shown = dict[int, float]()

        def told(number: int, share: float) -> None:
            if share - shown.get(number, -1.0) >= LEAST_STEP:
                shown[number] = share
                self.progressed.emit(number, share)

        def work(progress: Progress) -> list[Outcome]:
            outcomes = []
            for number, outcome in enumerate(run_batch(recipe, paths, folder, told, progress)):
                outcomes.append(outcome)
                self.ended.emit(number, outcome)
            return outcomes

        self._task = self._tasks.run(
            tr("Process {0} files", len(paths)), work, lambda _outcomes: self._end(None), self._end
        )

    def cancel(self) -> None:
        if self._task is not None:
            self._task.cancel()

    def _end(self, error: ChronotomeError | None) -> None:
        self._task = None
        self.finished.emit(error)
        if error is not None and not isinstance(error, Cancelled):
            self._tasks.error.emit(str(error))
