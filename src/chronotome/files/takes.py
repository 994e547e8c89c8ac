"""Takes that are being recorded, in a folder of our own: where they lie, and which were left behind."""

import contextlib
import fcntl
import os
import time
import weakref
from dataclasses import dataclass
from pathlib import Path
from typing import Annotated

import msgspec
from msgspec import Meta, Struct

from chronotome.files.names import path_from
from chronotome.files.places import load_settings, state_folder
from chronotome.files.safe_read import InvalidInput, bytes_of, trusted
from chronotome.files.writing import cannot_write, private_folder, write_whole
from chronotome.session.grid import Tempo
from chronotome.session.limits import MOST_FRAMES, Name, Rate
from chronotome.words import tr

SUFFIX, ABOUT = ".wav", ".take.json"
MOST_BYTES = 1 << 16


class TakeInfo(Struct, frozen=True):
    """What a take is of: written beside it as long as it is in no session."""

    track: Name
    rate: Rate
    place: Annotated[int, Meta(ge=-MOST_FRAMES, le=MOST_FRAMES)] = 0
    """The session frame at which its first frame was heard."""
    tempo: Tempo = 120.0


@dataclass(frozen=True)
class UnsavedTake:
    """A take that was in no session yet when its window was gone."""

    path: Path
    about: TakeInfo


def takes_folder() -> Path:
    """Where takes are kept until a session has them: as it was said, else a folder of our own."""
    said = load_settings().takes
    return path_from(said) if said else _own_folder()


def _own_folder() -> Path:
    return state_folder() / "takes"


def new_take(kind: str = "take") -> tuple[Path, int]:
    """A new file for a take, or for something else that is made, and its descriptor.

    Raises
    ------
    CannotWrite
    """
    folder = takes_folder()
    stamp = time.strftime("%Y-%m-%d %H.%M.%S")
    try:
        private_folder(folder)
        for number in range(1, 1000):
            path = folder / f"{kind} {stamp}{f' {number}' if number > 1 else ''}{SUFFIX}"
            with contextlib.suppress(FileExistsError):
                flags = os.O_RDWR | os.O_CREAT | os.O_EXCL | os.O_NOFOLLOW | os.O_CLOEXEC
                return path, os.open(path, flags, 0o600)
    except OSError as error:
        raise cannot_write(folder, error) from None
    raise cannot_write(folder, OSError(17, tr("more takes in one second than can be named")))


def describe(path: Path, about: TakeInfo) -> None:
    """Say what a take is, best effort: the take itself is what must not be lost."""
    with contextlib.suppress(OSError):
        write_whole(path.with_suffix(ABOUT), msgspec.json.encode(about), is_synced=False)


class HeldTake:
    """A take that a window has, and that no saved session has yet: no other window asks about it."""

    def __init__(self, path: Path, handle: int) -> None:
        self.path = path
        self._finalizer = weakref.finalize(self, os.close, handle)

    def let_go(self) -> None:
        self._finalizer()


def hold(path: Path) -> HeldTake | None:
    """Have a take as long as this process lives; None where it cannot be had."""
    with contextlib.suppress(OSError):
        handle = os.open(path, os.O_RDONLY | os.O_NOFOLLOW | os.O_CLOEXEC)
        try:
            fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError:
            os.close(handle)
            return None
        return HeldTake(path, handle)
    return None


def forget(path: Path) -> None:
    """Ask about a take no more; its sound stays where it is."""
    with contextlib.suppress(OSError):
        path.with_suffix(ABOUT).unlink()


def discard(path: Path) -> None:
    """A take that nobody wants, or that lies elsewhere now."""
    forget(path)
    with contextlib.suppress(OSError):
        path.unlink()


def left_behind() -> list[UnsavedTake]:
    """Takes that nobody writes or has any more and that are in no saved session, the newest first."""
    found = []
    with contextlib.suppress(OSError):
        folders = {takes_folder(), _own_folder()}
        paths = [path for folder in folders for path in folder.glob(f"*{ABOUT}")]
        for path in sorted(paths, key=lambda path: path.name, reverse=True):
            sound = path.with_name(path.name.removesuffix(ABOUT) + SUFFIX)
            with contextlib.suppress(OSError, InvalidInput):
                about = trusted(bytes_of(path, MOST_BYTES), TakeInfo)
                if not _is_held(sound):
                    found.append(UnsavedTake(sound, about))
    return found


def _is_held(path: Path) -> bool:
    """Whether a process still writes it, or has it."""
    handle = os.open(path, os.O_RDONLY | os.O_NOFOLLOW | os.O_NONBLOCK | os.O_CLOEXEC)
    try:
        fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except BlockingIOError:
        return True
    finally:
        os.close(handle)
    return False
