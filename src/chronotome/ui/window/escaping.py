"""What Escape ends: of all that is going on, what began last."""

from collections.abc import Callable
from functools import partial
from typing import NamedTuple

from PySide6.QtCore import QObject, SignalInstance


class State(NamedTuple):
    """Something that goes on, and how it ends. `mark` is another when it began anew, None when it is over."""

    mark: Callable[[], object]
    leave: Callable[[], object]


class Escaping(QObject):
    """Knows in which order states began; each is looked at when one of its signals tells of it."""

    def __init__(self, parent: QObject) -> None:
        super().__init__(parent)
        self._states: dict[str, State] = {}
        self._begun: dict[str, object] = {}
        """Marks of those that go on, the newest last."""

    def add(self, name: str, state: State, *signals: SignalInstance) -> None:
        self._states[name] = state
        for signal in signals:
            signal.connect(partial(self._see, name))
        self._see(name)

    def _see(self, name: str, *_told: object) -> None:
        mark, before = self._states[name].mark(), self._begun.get(name)
        if mark != before:
            self._begun.pop(name, None)
            if mark is not None:
                self._begun[name] = mark

    def leave(self) -> bool:
        """End the newest; False where nothing goes on."""
        for name in reversed(list(self._begun)):
            self._see(name)
            if name in self._begun:
                self._states[name].leave()
                self._see(name)
                return True
        return False
