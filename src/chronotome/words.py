"""Words for people, in their language: whatever is shown goes through `tr`.

The text in the code is English and the key of its translation. `tr` knows no Qt: the window tells it, before
any other part of it is imported, which translator speaks (`ui/language.py`); without one it is English.
"""

import re
from collections.abc import Callable
from enum import StrEnum
from typing import Self

UNSEEN = "\x00-\x08\x0b-\x1f\x7f-\x9f\u202a-\u202e\u2066-\u2069"
"""Signs that nobody sees: controls, and those that turn the direction of what follows."""
_unseen = re.compile(f"[{UNSEEN}]")


def _english(text: str) -> str:
    return text


_speak: Callable[[str], str] = _english


def speak_by(translate: Callable[[str], str]) -> None:
    """From now on texts are what this makes of them."""
    global _speak  # noqa: PLW0603 - one language a process
    _speak = translate


def visible(text: str) -> str:
    """Text in which nothing is hidden: signs that nobody sees are shown as one that everybody does."""
    return _unseen.sub("\ufffd", text)


def tr(text: str, *values: object) -> str:
    """A text in the language that is spoken; {0}, {1:.2f} … are where values stand in it."""
    spoken = _speak(text)
    return visible(spoken.format(*values)) if values else spoken


def trn(number: int, one: str, many: str) -> str:
    """So many of a thing: the words for one of them, or for several."""
    return tr("{0} {1}", number, tr(one if number == 1 else many))


class Named(StrEnum):
    """Values as files keep them; each may be followed by the text that is shown instead."""

    text: str
    """In English: what translators see."""

    def __new__(cls, value: str, text: str = "") -> Self:
        made = str.__new__(cls, value)
        made._value_ = value
        made.text = text or value
        return made

    @property
    def label(self) -> str:
        """The text in the language that is spoken."""
        return tr(self.text)
