"""One window writes a session; another one learns who that is."""

import contextlib
import fcntl
import os
import socket
import threading
from dataclasses import dataclass
from pathlib import Path
from typing import Annotated

import msgspec
from msgspec import Meta, Struct

from chronotome.errors import readable
from chronotome.files.safe_read import InvalidInput, trusted
from chronotome.words import tr

NAME = ".chronotome.lock"
MOST_BYTES = 4096


class Holder(Struct, frozen=True):
    """Who has a session open."""

    process: Annotated[int, Meta(ge=0, le=1 << 40)] = 0
    host: Annotated[str, Meta(max_length=300)] = ""

    @property
    def words(self) -> str:
        host = tr(" on {0}", readable(self.host)) if self.host and self.host != socket.gethostname() else ""
        return (
            tr("in another window (process {0}{1})", self.process, host)
            if self.process
            else tr("in another window")
        )


@dataclass(eq=False)
class _HeldLock:
    """The lock file of a folder, and how often this process holds it."""

    file: int
    times: int = 1


_HELD: dict[tuple[int, int], _HeldLock] = {}
"""By device and inode of the lock file: the kernel's lock would keep out ourselves as well."""
_guard = threading.Lock()


@dataclass(frozen=True, eq=False)
class SessionLock:
    """A session's folder, held as long as this is not released or the process lives.

    A process may hold one several times, as where it saves what it has open; others wait for its last.
    """

    folder: Path
    _key: tuple[int, int]

    def release(self) -> None:
        with _guard:
            held = _HELD[self._key]
            held.times -= 1
            if held.times:
                return
            del _HELD[self._key]
            if _is_still_there(self.folder / NAME, held.file):
                with contextlib.suppress(OSError):
                    (self.folder / NAME).unlink()
            os.close(held.file)


def take(folder: Path) -> SessionLock | Holder | None:
    """The lock, or who holds it; None where the folder cannot be written to: nobody can save there."""
    with _guard:
        while True:
            try:
                file = os.open(folder / NAME, os.O_RDWR | os.O_CREAT | os.O_NOFOLLOW | os.O_CLOEXEC, 0o644)
            except OSError:
                return None
            found = os.fstat(file)
            key = found.st_dev, found.st_ino
            if key in _HELD:
                os.close(file)
                _HELD[key].times += 1
                return SessionLock(folder, key)
            try:
                fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
            except OSError:
                holder = _told(file)
                os.close(file)
                return holder
            if _is_still_there(folder / NAME, file):
                break
            os.close(file)  # whoever held it has just let go of it, and of its name
        me = msgspec.json.encode(Holder(os.getpid(), socket.gethostname()))
        with contextlib.suppress(OSError):
            os.ftruncate(file, 0)
            os.pwrite(file, me, 0)
        _HELD[key] = _HeldLock(file)
        return SessionLock(folder, key)


def _told(file: int) -> Holder:
    try:
        return trusted(os.pread(file, MOST_BYTES, 0), Holder)
    except (OSError, InvalidInput):
        return Holder()


def _is_still_there(path: Path, file: int) -> bool:
    try:
        return os.path.samestat(path.lstat(), os.fstat(file))
    except OSError:
        return False
