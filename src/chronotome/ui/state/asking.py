"""What commands ask a person, without knowing how a window asks it."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from enum import Enum, auto
from pathlib import Path
from typing import Any, Protocol

from chronotome.files.audio_out import Encoding
from chronotome.session.kits import Kit
from chronotome.session.metre import Metre


class Role(Enum):
    DO = auto()
    OTHER = auto()
    DISCARD = auto()
    CANCEL = auto()


@dataclass(frozen=True)
class Answer:
    """One of what can be said to a question; without words, as the desktop words it."""

    name: str
    role: Role
    words: str = ""


CANCEL = Answer("cancel", Role.CANCEL)
SAVE, OPEN = Answer("save", Role.DO), Answer("open", Role.DO)
DISCARD = Answer("discard", Role.DISCARD)


class Question(Protocol):
    """One that is open, and waits."""

    def raise_(self) -> None: ...


class Asking(Protocol):
    """Of each question the answer, None where it was left; `where` is the `UiContext` that is asked about."""

    def text(self, title: str, words: str, usual: str = "") -> str | None: ...

    def whole(self, title: str, words: str, usual: int, low: int, high: int) -> int | None: ...

    def number(  # noqa: PLR0917 - a figure and its bounds
        self, title: str, words: str, usual: float, low: float, high: float, digits: int
    ) -> float | None: ...

    def one_of(self, title: str, words: str, names: Sequence[str]) -> str | None: ...

    def file(self, title: str, folder: str, kinds: str) -> Path | None:
        """One that is there."""

    def files(self, title: str, folder: str, kinds: str) -> list[Path]:
        """Several that are there."""

    def new_file(self, title: str, usual: str, kinds: str = "") -> Path | None:
        """One to write, with the ending of its kind."""

    def folder(self, title: str, usual: str = "") -> Path | None:
        """One that is there."""

    def decide(
        self, text: str, more: str, answers: Sequence[Answer], then: Callable[[Answer], None]
    ) -> Question:
        """Open a question of which the first answer is the usual one; nothing waits for it."""

    def metre(self, now: Metre, words: str, *, asks_bars: bool = True) -> tuple[Metre, int] | None:
        """A metre, and for how many bars it is to be; 0: from there on."""

    def slice_files(self, where: Any, kits: list[tuple[str, Kit]]) -> tuple[Kit, Encoding, str] | None:
        """Slices of which kit are to be files, of which kind, called by which template."""

    def rhythm(self, where: Any, place: Any, hits: Any, others: Any) -> None:
        """Let hits take the rhythm of another clip."""

    def alike(self, where: Any, place: Any, found: Callable[[float], Any]) -> None:
        """How alike hits are to be that are chosen."""

    def pads(self, where: Any, play: Any) -> None: ...

    def midi(self, where: Any) -> None: ...

    def loopback(self, loopback: Any) -> float | None:
        """The milliseconds by which what comes in is late, measured with a cable."""

    def information(self, where: Any) -> None: ...
