"""Edits since the last save, written as they happen, so that a crash loses nothing."""

import contextlib
import errno
import fcntl
import os
import queue
import stat
import threading
import time
import uuid
from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import partial
from pathlib import Path
from typing import Annotated, Any

from msgspec import Meta

from chronotome.errors import ChronotomeError
from chronotome.files import writing
from chronotome.files.history_lines import LedgerReader, LedgerWriter, encode, whole_lines
from chronotome.files.names import path_from, path_words, shown
from chronotome.files.places import journal_folder
from chronotome.files.safe_read import InvalidInput, bytes_of, converted
from chronotome.files.writing import private_folder, write_all
from chronotome.session.history import History
from chronotome.session.limits import ContentHash
from chronotome.words import tr

SYNC_SECONDS = 1.0
SOUND_FIRST_SECONDS = 0.015
"""For which a single edit waits to be written: its sound and its picture need the interpreter."""
Count = Annotated[int, Meta(ge=0, le=1 << 32)]
JournalNames = Annotated[
    tuple[Annotated[str, Meta(pattern=r"\A[0-9a-f]{32}\.jsonl\Z")], ...], Meta(max_length=64)
]


@dataclass(eq=False)
class _Book:
    """The file of one running session. What it says up to `whole` bytes can be read back.

    After a write that failed it is `behind`: the history is written anew, whole, as soon as there is room.
    """

    history: History
    places: dict[ContentHash, Path]
    folder: Path | None
    edits: int = 0
    """That its history begins with, and that no saved session has."""
    older: "list[_Book]" = field(default_factory=list)
    """Books whose edits it has taken over: they stay, locked, until they are safe in this one."""
    file: int | None = None
    path: Path | None = None
    writer: LedgerWriter = field(default_factory=LedgerWriter)
    whole: int = 0
    is_behind: bool = True

    def write(self, journals: Path, kind: str | None = None, value: Any = None) -> None:
        """Take in what happened, and write it, or all where it is behind; raises OSError."""
        lines: list[bytes] = []
        if kind == "placed":
            self.places[value[0]] = value[1]
            lines = [_placed(*value)]
        elif kind is not None:
            self.history = value
            lines = [] if self.is_behind else self.writer.event(kind, value)
        if self.is_behind:
            self.writer = LedgerWriter()
            head = [encode(self._head())]
            head += [_placed(content, place) for content, place in self.places.items()]
            lines = [*head, *self.writer.whole(self.history)]
        if lines:
            self._add(self.file if self.file is not None else self._begin(journals), lines)
        self.is_behind = False

    def _head(self) -> dict[str, Any]:
        folder = path_words(self.folder) if self.folder else None
        names = [each.path.name for each in self.older if each.path is not None]
        return {"folder": folder, "edits": self.edits, "instead_of": names}

    def take_over(self, other: "_Book") -> None:
        """What another book keeps is in this one, or will be: it goes once this one is on disk."""
        self.older += [*other.older, other]
        other.older = []

    def sync(self) -> None:
        """See to it that it is on disk; raises OSError. What it was written instead of may go then."""
        if self.file is not None:
            writing.disk.sync(self.file)
        if not self.is_behind:
            self._close_older()

    def _begin(self, journals: Path) -> int:
        private_folder(journals)
        path = journals / f"{uuid.uuid4().hex}.jsonl"
        flags = os.O_CREAT | os.O_EXCL | os.O_WRONLY | os.O_APPEND | os.O_NOFOLLOW | os.O_CLOEXEC
        self.file = os.open(path, flags, 0o600)
        self.path = path
        fcntl.flock(self.file, fcntl.LOCK_EX)
        return self.file

    def _add(self, file: int, lines: list[bytes]) -> None:
        try:
            write_all(file, b"".join(line + b"\n" for line in lines))
        except OSError:
            self.is_behind = True
            with contextlib.suppress(OSError):  # half a line would hide what comes after it
                os.ftruncate(file, self.whole)
            raise
        self.whole = os.fstat(file).st_size

    def _close_older(self) -> None:
        for each in self.older:
            each.close()
        self.older = []

    def close(self) -> None:
        self._close_older()
        if self.path is not None:
            with contextlib.suppress(OSError):
                self.path.unlink(missing_ok=True)
        if self.file is not None:
            os.close(self.file)


def _placed(content: ContentHash, place: Path) -> bytes:
    return encode({"place": content, "path": path_words(place)})


class Journal:
    """One file per running session, locked while it runs; a thread of its own writes.

    Values handed over are immutable. `problem` tells what keeps edits from being safe, as long as it lasts.
    """

    def __init__(self, folder: Path | None = None) -> None:
        self._folder = folder or journal_folder()
        self._queue: queue.SimpleQueue[tuple[str, Any] | None] = queue.SimpleQueue()
        self._thread: threading.Thread | None = None
        self._book: _Book | None = None
        self.problem: str | None = None

    @property
    def path(self) -> Path | None:
        """The file that is written to."""
        return self._book.path if self._book else None

    def start(
        self,
        history: History,
        places: Mapping[ContentHash, Path],
        folder: Path | None,
        *,
        edits: int = 0,
        instead_of: "Recovered | None" = None,
    ) -> None:
        """Begin anew from a history; what was journalled before is forgotten.

        Where it has `edits` that no saved session has, the older journals, and those that it was recovered
        from, go only once the new one is on disk.
        """
        if self._thread is None:
            self._thread = threading.Thread(target=self._run, name="journal", daemon=True)
            self._thread.start()
        book = _Book(history, dict(places), folder, edits)
        for path in (instead_of.journal, *instead_of.older) if instead_of else ():
            book.take_over(_Book(history, {}, None, path=path, file=_locked(path)))
        self._queue.put(("start", book))

    def happened(self, kind: str, history: History) -> None:
        """An edit was kept (`then`), the machine added something (`amend`), or `undo` or `redo`."""
        self._queue.put((kind, history))

    def placed(self, content: ContentHash, path: Path) -> None:
        """A recording was brought in from a path."""
        self._queue.put(("placed", (content, path)))

    def flush(self) -> None:
        """Wait until all that was told is written."""
        if self._thread is None:
            return
        done = threading.Event()
        self._queue.put(("flush", done))
        done.wait(10)

    def finish(self) -> None:
        """The work is safe or not wanted: remove the journal."""
        if self._thread is None:
            return
        self._queue.put(None)
        self._thread.join(10)
        self._thread = None

    def _run(self) -> None:
        """Write what is told; what is written is synced a second later, what failed is tried again."""
        is_synced = True
        while True:
            waits = not is_synced or (self._book is not None and self._book.is_behind)
            try:
                entry = self._queue.get(timeout=SYNC_SECONDS if waits else None)
            except queue.Empty:
                self._sync()
                is_synced = True
                continue
            if entry is None:
                break
            if entry[0] not in {"flush", "start"} and self._queue.empty():
                time.sleep(SOUND_FIRST_SECONDS)
            self._take(*entry)
            is_synced = False
        self._put_away()

    def _take(self, kind: str, value: Any) -> None:
        if kind == "flush":
            value.set()
        elif kind == "start":
            if value.edits and self._book is not None:
                value.take_over(self._book)
            else:
                self._put_away()
            self._book = value
            self._sync() if value.edits else self._try(_Book.write)
        else:
            self._try(partial(_Book.write, kind=kind, value=value))

    def _sync(self) -> None:
        self._try(_Book.write)
        if self._book is not None:
            with contextlib.suppress(OSError):
                self._book.sync()

    def _put_away(self) -> None:
        if self._book is not None:
            self._book.close()
            self._book = None

    def _try(self, write: Callable[[_Book, Path], None]) -> None:
        """Write; say what stands in the way as long as it does."""
        if self._book is None:
            return
        try:
            write(self._book, self._folder)
            self.problem = None
        except OSError as error:
            why = (
                tr("the disk is full")
                if error.errno == errno.ENOSPC
                else error.strerror or tr("the operation failed")
            )
            self.problem = tr("Autosave to “{0}” failed: {1}. Save often.", shown(str(self._folder)), why)
        except Exception:  # noqa: BLE001 - one edit that cannot be written must not end the keeping of all
            self._book.is_behind = True
            self.problem = tr("Autosave of the last edit failed. Save the session.")


@dataclass(frozen=True, eq=False)
class Recovered:
    """What a journal kept of a session that ended without being closed."""

    journal: Path
    history: History
    places: dict[ContentHash, Path]
    folder: Path | None
    edits: int
    older: tuple[Path, ...] = ()
    """Journals that it was written instead of, and that may still be there."""


def left_behind(folder: Path | None = None) -> list[Path]:
    """Journals that no running session holds, newest first."""
    folder = folder or journal_folder()
    found: list[tuple[float, Path]] = []
    with contextlib.suppress(OSError):
        for path in folder.glob("*.jsonl"):
            with contextlib.suppress(OSError):
                facts = path.lstat()
                if stat.S_ISREG(facts.st_mode) and not _is_held(path):
                    found.append((facts.st_mtime, path))
    return [path for _, path in sorted(found, reverse=True)]


def _is_held(path: Path) -> bool:
    file = _locked(path)
    if file is not None:
        os.close(file)
    return file is None


def _locked(path: Path) -> int | None:
    """The file of a journal, locked as long as it is open; None where it is gone, or another has it."""
    try:
        file = os.open(path, os.O_RDONLY | os.O_NOFOLLOW | os.O_CLOEXEC)
    except OSError:
        return None
    try:
        fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except OSError:
        os.close(file)
        return None
    return file


def recover(path: Path) -> Recovered | None:
    """Read a journal as far as it is whole; None where no edit is in it.

    Raises
    ------
    ChronotomeError
        If it cannot be read, or nothing in it is whole though there is something.
    """
    reader = LedgerReader()
    try:
        lines = list(whole_lines(bytes_of(path)))
    except OSError as error:
        raise ChronotomeError(
            tr("Cannot read the recovered edits in “{0}” ({1}).", path, error.strerror)
        ) from None
    except InvalidInput as error:
        raise ChronotomeError(tr("The recovery file “{0}” {1}.", path, error)) from None
    is_whole = True
    try:
        reader.read(lines)
    except ValueError:  # what came before it is whole
        is_whole = False
    edits = reader.events + _newest(reader, "edits", Count, 0)
    if reader.history is None or edits == 0:
        if not is_whole:
            raise ChronotomeError(tr("The recovery file “{0}” is damaged.", path))
        return None
    older = tuple(path.parent / name for name in _newest(reader, "instead_of", JournalNames, ()))
    return Recovered(path, reader.history, _places_in(reader), _folder_in(reader), edits, older)


def _places_in(reader: LedgerReader) -> dict[ContentHash, Path]:
    """Where recordings lay; what makes no sense is left out."""
    places: dict[ContentHash, Path] = {}
    for note in reader.notes:
        with contextlib.suppress(ValueError):
            if "place" in note:
                content = converted(note["place"], ContentHash)
                places[content] = path_from(converted(note.get("path"), str))
    return places


def _folder_in(reader: LedgerReader) -> Path | None:
    """The folder that the session was saved in."""
    words = _newest(reader, "folder", str | None, None)
    return path_from(words) if words is not None else None


def _newest(reader: LedgerReader, name: str, kind: Any, otherwise: Any) -> Any:
    """What notes say of something: the newest word counts, and what makes no sense is passed over."""
    for note in reversed(reader.notes):
        with contextlib.suppress(ValueError):
            if name in note:
                return converted(note[name], kind)
    return otherwise


def set_aside(path: Path) -> Path | None:
    """Move a journal that cannot be read out of the way, and tell where it is; None where that fails."""
    aside = path.with_suffix(".damaged")
    try:
        path.rename(aside)
    except OSError:
        return None
    return aside


def discard(*paths: Path) -> None:
    """Forget journals."""
    for path in paths:
        with contextlib.suppress(OSError):
            path.unlink()
