"""Long work in threads, with progress and Cancel; its errors become sentences."""

import threading
import traceback
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from typing import Any, TypeVar

from PySide6.QtCore import QObject, Signal

from chronotome.errors import Cancelled, ChronotomeError
from chronotome.progress import Progress
from chronotome.words import tr

T = TypeVar("T")
THREADS = 2


class Task(QObject):
    """One piece of work. Signals arrive in the interface thread."""

    progressed = Signal(float)

    def __init__(
        self,
        words: str,
        then: Callable[[Any], None],
        otherwise: Callable[[ChronotomeError], None],
        parent: QObject,
    ) -> None:
        super().__init__(parent)
        self.words = words
        self.then, self.otherwise = then, otherwise
        self.fraction = 0.0
        self._cancelled = threading.Event()

    def cancel(self) -> None:
        self._cancelled.set()

    def report(self, fraction: float) -> None:
        """Called by the work; raises Cancelled where it is no longer wanted."""
        if self._cancelled.is_set():
            raise Cancelled
        if fraction >= 1.0 or fraction - self.fraction >= 0.01:
            self.fraction = fraction
            self.progressed.emit(fraction)


class Tasks(QObject):
    """Runs tasks, a few at once, and tells of errors nobody else hears."""

    changed = Signal()
    """Another task runs, or one has ended."""
    error = Signal(str)
    told = Signal(str)
    """A sentence for the status line."""
    _ended = Signal(object, object, object)

    def __init__(self, parent: QObject | None = None) -> None:
        super().__init__(parent)
        self._pool = ThreadPoolExecutor(THREADS, thread_name_prefix="task")
        self.running: list[Task] = []
        self._ended.connect(self._on_ended)  # queued: workers emit it

    def run(
        self,
        words: str,
        work: Callable[[Progress], T],
        then: Callable[[T], None],
        otherwise: Callable[[ChronotomeError], None] | None = None,
    ) -> Task:
        """Run `work(progress)` in a thread; `then(result)` follows in the interface thread."""
        task = Task(words, then, otherwise or self._tell, self)
        self.running.append(task)
        self._pool.submit(self._do, task, work)
        self.changed.emit()
        return task

    def close(self) -> None:
        for task in self.running:
            task.cancel()
        self._pool.shutdown(wait=True, cancel_futures=True)

    @property
    def is_idle(self) -> bool:
        return not self.running

    def _do(self, task: Task, work: Callable[[Progress], Any]) -> None:
        result, failure = None, None
        try:
            result = work(task.report)
        except ChronotomeError as error:
            failure = error
        except MemoryError:
            failure = ChronotomeError(tr("{0}: not enough memory. Close other programs first.", task.words))
        except Exception as error:  # noqa: BLE001 - a defect of ours must still end as a sentence
            traceback.print_exc()
            failure = ChronotomeError(tr("{0} failed ({1}). Nothing was changed.", task.words, error))
        self._ended.emit(task, result, failure)

    def _on_ended(self, task: Task, result: Any, failure: ChronotomeError | None) -> None:
        self.running.remove(task)
        if failure is not None:
            task.otherwise(failure)
        else:
            task.then(result)
        task.deleteLater()
        self.changed.emit()

    def _tell(self, error: ChronotomeError) -> None:
        if not isinstance(error, Cancelled):
            self.error.emit(str(error))
