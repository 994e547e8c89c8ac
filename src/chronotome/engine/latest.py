"""Background work where only the newest request matters."""

import threading
from collections.abc import Callable
from typing import Generic, TypeVar

from chronotome.errors import Cancelled

T = TypeVar("T")
IsWanted = Callable[[], bool]


class Latest(Generic[T]):
    """One thread that works on the newest request; an older one learns that it is no longer wanted.

    What a request raises is told to `failed`, in that thread; the next request is worked on all the same.
    """

    def __init__(
        self, work: Callable[[T, IsWanted], None], failed: Callable[[Exception], None], *, name: str
    ) -> None:
        self._work, self._failed = work, failed
        self._condition = threading.Condition()
        self._request: tuple[int, T] | None = None
        self._number = 0
        self._is_closed = False
        self._is_busy = False
        self._thread = threading.Thread(target=self._run, name=name, daemon=True)
        self._thread.start()

    def ask(self, request: T) -> None:
        """Replace whatever is waiting or being worked on."""
        with self._condition:
            self._number += 1
            self._request = (self._number, request)
            self._condition.notify_all()

    def drop(self) -> None:
        """Nothing is wanted for now: what is worked on learns that, what waits is forgotten."""
        with self._condition:
            self._number += 1
            self._request = None

    def close(self) -> None:
        with self._condition:
            self._is_closed = True
            self._number += 1
            self._condition.notify_all()
        self._thread.join(5)

    def wait_idle(self, seconds: float = 10.0) -> bool:
        """Wait until nothing is asked for; False if that takes longer."""
        with self._condition:
            return self._condition.wait_for(lambda: self._request is None and not self._is_busy, seconds)

    def _run(self) -> None:
        while True:
            with self._condition:
                self._is_busy = False
                self._condition.notify_all()
                self._condition.wait_for(lambda: self._request is not None or self._is_closed)
                if self._is_closed or self._request is None:
                    return
                number, request = self._request
                self._request = None
                self._is_busy = True
            try:
                self._work(request, lambda: number == self._number)  # noqa: B023 - ends before the next
            except Cancelled:
                continue
            except Exception as error:  # noqa: BLE001 - handed on: whoever asked hears of it
                self._failed(error)
