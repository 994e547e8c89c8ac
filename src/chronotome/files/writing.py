"""The one place that writes: whole files, under a name that nobody can know, renamed into place.

Folders are held open while something is written into them, and no link is followed: whoever can write beside
a session cannot make it write elsewhere.
"""

import contextlib
import errno
import fcntl
import io
import os
import re
import secrets
from collections.abc import Iterable, Iterator
from contextvars import ContextVar
from pathlib import Path
from typing import TYPE_CHECKING

from chronotome.errors import CannotWrite, UnusableFile
from chronotome.words import tr

if TYPE_CHECKING:
    from _typeshed import ReadableBuffer

PRIVATE = 0o700
_OURS = re.compile(r"\A\.chronotome-[0-9a-f]{16}\.part\Z")
_FOLDER = os.O_RDONLY | os.O_DIRECTORY | os.O_CLOEXEC


class Disk:
    """What is asked of the operating system while writing. Tests put one in its place that fails."""

    def create(self, name: str, folder: int) -> int:
        flags = os.O_RDWR | os.O_CREAT | os.O_EXCL | os.O_NOFOLLOW | os.O_CLOEXEC
        return os.open(name, flags, 0o666, dir_fd=folder)

    def write(self, file: int, data: "ReadableBuffer") -> int:
        return os.write(file, data)

    def sync(self, file: int) -> None:
        os.fsync(file)

    def rename(self, name: str, to: str, folder: int) -> None:
        os.replace(name, to, src_dir_fd=folder, dst_dir_fd=folder)


disk = Disk()
_made: ContextVar[list[Path] | None] = ContextVar("made", default=None)
"""What is written into a folder that is to be whole."""


def write_all(file: int, data: "ReadableBuffer") -> None:
    """Write every byte, however many calls it takes."""
    rest = memoryview(data).cast("B")
    while len(rest):
        written = disk.write(file, rest)
        if written <= 0:
            raise OSError(errno.ENOSPC, os.strerror(errno.ENOSPC))
        rest = rest[written:]


class NewFile(io.FileIO):
    """A file that has no place yet. What the disk refuses is kept in `problem`, not raised.

    Libraries in C would swallow it in the middle of a write; `check` raises it.
    """

    problem: OSError | None = None

    def write(self, data: "ReadableBuffer", /) -> int:
        if self.problem is not None:
            return 0
        try:
            write_all(self.fileno(), data)
        except OSError as error:
            self.problem = error
            return 0
        return memoryview(data).nbytes

    def check(self) -> None:
        """Raise what the disk refused."""
        if self.problem is not None:
            raise self.problem


@contextlib.contextmanager
def folder_at(path: Path, inside: int | None = None) -> Iterator[int]:
    """A folder held open. One `inside` another is made where it is missing, and must not be a link.

    Raises
    ------
    OSError
    """
    if inside is None:
        handle = os.open(path, _FOLDER)
    else:
        with contextlib.suppress(FileExistsError):
            os.mkdir(path, dir_fd=inside)
        handle = os.open(path, _FOLDER | os.O_NOFOLLOW, dir_fd=inside)
    try:
        yield handle
    finally:
        os.close(handle)


def _part(folder: int) -> tuple[str, int]:
    """A new file and its name, locked as long as it is open: others belong to processes that died."""
    while True:
        name = f".chronotome-{secrets.token_hex(8)}.part"
        handle = disk.create(name, folder)
        with contextlib.suppress(OSError):  # not every file system has locks: nothing is swept there
            fcntl.flock(handle, fcntl.LOCK_EX)
        with contextlib.suppress(FileNotFoundError):  # swept between these lines
            os.stat(name, dir_fd=folder, follow_symlinks=False)
            return name, handle
        os.close(handle)


@contextlib.contextmanager
def replacing(name: str, folder: int, *, is_synced: bool = True) -> Iterator[NewFile]:
    """A new file that takes the place of `name` once all of it is on disk; else nothing is changed.

    Raises
    ------
    OSError
    """
    part, handle = _part(folder)  # before the try: what was not made is not removed
    try:
        with NewFile(handle, "r+b") as file:
            yield file
            file.check()
            if is_synced:
                disk.sync(file.fileno())
        disk.rename(part, name, folder)
        if is_synced:
            disk.sync(folder)
    except BaseException:
        with contextlib.suppress(OSError):
            os.unlink(part, dir_fd=folder)
        raise


@contextlib.contextmanager
def replacing_at(path: Path, *, is_synced: bool = True) -> Iterator[NewFile]:
    """The same, by path."""
    with folder_at(path.parent) as folder:
        if is_synced:
            sweep(folder)
        with replacing(path.name, folder, is_synced=is_synced) as file:
            yield file
    made = _made.get()
    if made is not None:
        made.append(path)


def write_whole(path: Path, data: bytes, *, is_synced: bool = True) -> None:
    """Write a file whole or not at all.

    Raises
    ------
    OSError
    """
    with replacing_at(path, is_synced=is_synced) as file:
        file.write(data)


def keep(path: Path, data: bytes) -> None:
    """Write into a folder of our own, best effort: a full disk must not stop the work."""
    with contextlib.suppress(OSError):
        private_folder(path.parent)
        write_whole(path, data, is_synced=False)


def private_folder(path: Path) -> None:
    """A folder of our own that nobody else may look into, with those above it that are missing."""
    for each in (*reversed(path.parents), path):
        with contextlib.suppress(FileExistsError):
            each.mkdir(mode=PRIVATE)


def sweep(folder: int) -> None:
    """Remove what an end in the middle of a write left: files of ours that have no place, and no holder."""
    with contextlib.suppress(OSError):
        for name in os.listdir(folder):
            if _OURS.match(name):
                with contextlib.suppress(OSError):
                    _remove_unheld(name, folder)


def _remove_unheld(name: str, folder: int) -> None:
    handle = os.open(name, os.O_RDONLY | os.O_NOFOLLOW | os.O_NONBLOCK | os.O_CLOEXEC, dir_fd=folder)
    try:
        fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        os.unlink(name, dir_fd=folder)
    finally:
        os.close(handle)


def refuse_full(folder: Path) -> None:
    """Refuse a folder that holds anything; one that is not there is not made.

    Raises
    ------
    CannotWrite
    """
    try:
        is_full = folder.exists() and any(folder.iterdir())
    except OSError as error:
        raise cannot_write(folder, error) from None
    if is_full:
        raise CannotWrite(folder, tr("the folder contains other files"), tr("Choose a new or empty folder."))


@contextlib.contextmanager
def new_folder(folder: Path) -> Iterator[None]:
    """A folder that is new, or empty, and is written whole: what came into it goes again where that fails.

    Raises
    ------
    CannotWrite
    """
    refuse_full(folder)
    missing = [each for each in (folder, *folder.parents) if not each.exists()]
    made: list[Path] = []
    token = _made.set(made)
    try:
        try:
            folder.mkdir(parents=True, exist_ok=True)
        except OSError as error:
            raise cannot_write(folder, error) from None
        yield
    except BaseException:
        _take_back(folder, made, missing)
        raise
    finally:
        _made.reset(token)


def _take_back(folder: Path, made: Iterable[Path], missing: Iterable[Path]) -> None:
    """Files that were written by us, and folders that were not there before; what others put there stays."""
    for path in made:
        with contextlib.suppress(OSError):
            path.unlink(missing_ok=True)
    inside = sorted((each for each in folder.rglob("*") if each.is_dir()), reverse=True)
    for each in (*inside, *missing):  # those that are empty
        with contextlib.suppress(OSError):
            each.rmdir()


def refuse_sources(out: Path, sources: Iterable[Path]) -> None:
    """Refuse to write onto a recording, by whatever name or link it is called.

    Raises
    ------
    UnusableFile
    """
    if any(_is_same_file(out, source) for source in sources):
        raise UnusableFile(
            out, tr("is an original recording; recordings are never overwritten"), tr("Choose another name.")
        )


def _is_same_file(path: Path, other: Path) -> bool:
    try:
        return path.samefile(other)
    except (OSError, ValueError):  # what is not there is no recording
        return False


def cannot_write(path: Path, error: Exception) -> CannotWrite:
    """The error a person sees for what the disk said."""
    number = getattr(error, "errno", None)
    if number is None and _free_bytes(path.parent) < 1 << 20:
        number = errno.ENOSPC
    if number == errno.ENOSPC:
        return CannotWrite(
            path,
            tr("the disk is full"),
            tr("Free some disk space, or choose another disk. Your work is safe."),
        )
    if number in {errno.EACCES, errno.EPERM, errno.EROFS}:
        return CannotWrite(path, tr("the folder is write-protected"), tr("Choose another folder."))
    if number == errno.ENOENT or not path.parent.is_dir():
        return CannotWrite(path, tr("the folder is missing"), tr("Choose another folder."))
    if not os.access(path.parent, os.W_OK):
        return CannotWrite(path, tr("the folder is write-protected"), tr("Choose another folder."))
    return CannotWrite(path, getattr(error, "strerror", None) or str(error), tr("Choose another folder."))


def _free_bytes(folder: Path) -> int:
    try:
        facts = os.statvfs(folder)
    except OSError:
        return 1 << 62
    return facts.f_bavail * facts.f_frsize
