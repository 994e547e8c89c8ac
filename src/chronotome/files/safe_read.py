"""The one door for what comes from outside: regular files of a bounded size, decoded into bounded types."""

import contextlib
import os
import re
import stat
import threading
from collections.abc import Iterator
from pathlib import Path
from typing import Any, BinaryIO, TypeVar

import msgspec

from chronotome.words import tr

MOST_BYTES = 256 << 20
T = TypeVar("T")
_UNSEEN = re.compile(
    rb"(\\\\)|\xc2[\x80-\x9f]|\xe2\x80[\xaa-\xae]|\xe2\x81[\xa6-\xa9]|\x7f|\\u(?:"
    rb"000[0-8bBcCeEfF]|001[0-9a-fA-F]|007[fF]|00[89][0-9a-fA-F]|202[a-eA-E]|206[6-9])"
)
"""What `words.UNSEEN` says, in JSON: as it stands or as a number; not behind a backslash that is one."""
_ONE, _known = threading.Lock(), set[Any]()


class InvalidInput(ValueError):  # noqa: N818 - reads as what happened
    """What came in is not what it should be; its text ends a sentence that begins with its name."""


def bytes_of(path: Path, most: int = MOST_BYTES) -> bytes:
    """All bytes of a regular file.

    Never waits for a pipe or a device, and never reads more than `most`.

    Raises
    ------
    Untrusted
        If it is no file, or too large.
    OSError
        If it cannot be read.
    """
    with opened_file(path) as file:
        if os.fstat(file.fileno()).st_size > most:
            raise InvalidInput(tr("is larger than {0} MB", most >> 20))
        return file.read(most + 1)[:most]


@contextlib.contextmanager
def opened_file(path: Path) -> Iterator[BinaryIO]:
    """A regular file, open for reading; pipes and devices are refused and never waited for.

    Raises
    ------
    Untrusted
        If it is no file.
    OSError
        If it cannot be opened.
    """
    handle = os.open(path, os.O_RDONLY | os.O_NONBLOCK | os.O_CLOEXEC)
    with os.fdopen(handle, "rb") as file:
        if not stat.S_ISREG(os.fstat(handle).st_mode):
            raise InvalidInput(tr("is not a file"))
        yield file


class Bounded:
    """A file as a library reads it that knows no bounds: so many reads, none of more than so many bytes.

    What is more raises Untrusted.
    """

    def __init__(self, file: BinaryIO, *, reads: int, at_once: int) -> None:
        self._file, self._left, self._at_once = file, reads, at_once

    def read(self, size: int = -1) -> bytes:
        self._left -= 1
        data = self._file.read(
            self._at_once + 1 if size is None or size < 0 else min(size, self._at_once + 1)
        )
        if self._left < 0 or len(data) > self._at_once:
            raise InvalidInput(tr("has more header data than any valid file"))
        return data

    def __getattr__(self, name: str) -> Any:
        return getattr(self._file, name)


def is_there(path: Path) -> bool:
    """Whether a path leads to a file; False also for paths that no file can have."""
    try:
        return stat.S_ISREG(path.stat().st_mode)
    except (OSError, ValueError):
        return False


def refuse_other_than_files(path: Path) -> None:
    """Raise Untrusted for pipes, devices and sockets, which might never answer."""
    if not stat.S_ISREG(path.stat().st_mode):
        raise InvalidInput(tr("is not a file"))


def trusted(data: bytes, kind: type[T]) -> T:
    """Decode JSON into a type whose every number and name is bounded.

    Raises
    ------
    Untrusted
    """
    _get_to_know(kind)
    try:
        return msgspec.json.decode(_UNSEEN.sub(_seen, data), type=kind)
    except (msgspec.MsgspecError, ValueError, TypeError, OverflowError, RecursionError) as error:
        raise InvalidInput(tr("is damaged: {0}", first_line(error))) from None


def _seen(found: re.Match[bytes]) -> bytes:
    return found[1] or "\ufffd".encode()


def converted(value: object, kind: type[T]) -> T:
    """The same of what was decoded already, a line of a ledger.

    Raises
    ------
    Untrusted
    """
    _get_to_know(kind)
    try:
        return msgspec.convert(value, kind)
    except (msgspec.MsgspecError, ValueError, TypeError, OverflowError, RecursionError) as error:
        raise InvalidInput(tr("is damaged: {0}", first_line(error))) from None


def _get_to_know(kind: Any) -> None:
    """Take a type apart before its first use.

    The library does so by itself, but two threads at once take the program down with them (msgspec 0.22.0).
    """
    if kind not in _known:
        with _ONE:
            msgspec.json.Decoder(kind)
            _known.add(kind)


def first_line(error: Exception) -> str:
    """What an error says, in one line that is not too long to be shown."""
    return (str(error).splitlines() or [type(error).__name__])[0][:200]
