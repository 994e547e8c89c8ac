"""Edits since the last save, written as they happen, so that a crash loses nothing."""

import contextlib
import fcntl
import os
import queue
import threading
import time
import uuid
from collections.abc import Mapping
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from chronotome.errors import ChronotomeError
from chronotome.files.ledger import LedgerReader, LedgerWriter, encode, whole_lines
from chronotome.files.places import journal_folder
from chronotome.session.history import History
from chronotome.session.model import ContentHash

SYNC_SECONDS = 1.0


class Journal:
    """One file per running session, locked while it runs; a thread of its own writes.

    Values handed over are immutable. What cannot be written is told by `problem`, once.
    """

    def __init__(self, folder: Path | None = None) -> None:
        self._folder = folder or journal_folder()
        self._queue: queue.SimpleQueue[tuple[str, Any] | None] = queue.SimpleQueue()
        self._thread: threading.Thread | None = None
        self.path: Path | None = None
        self.problem: str | None = None

    def start(self, history: History, places: Mapping[ContentHash, Path], folder: Path | None) -> None:
        """Begin anew from a history as it was opened or saved; what was journalled before is forgotten."""
        if self._thread is None:
            self._thread = threading.Thread(target=self._run, name="journal", daemon=True)
            self._thread.start()
        self._queue.put(("start", (history, dict(places), folder)))

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
        file, writer = None, LedgerWriter()
        synced = time.monotonic()
        while (entry := self._queue.get()) is not None:
            kind, value = entry
            try:
                if kind == "flush":
                    value.set()
                    continue
                if kind == "start":
                    self._close(file)
                    file, writer = self._new_file(value), LedgerWriter()
                    lines = writer.whole(value[0])
                elif kind == "placed":
                    lines = [encode({"place": value[0], "path": str(value[1])})]
                else:
                    lines = writer.event(kind, value)
                if file is not None:
                    os.write(file, b"".join(line + b"\n" for line in lines))
                    if time.monotonic() - synced > SYNC_SECONDS:
                        os.fsync(file)
                        synced = time.monotonic()
            except OSError as error:
                self.problem = (
                    f"Edits cannot be kept safe in “{self._folder}” ({error.strerror}): save often."
                )
        self._close(file)

    def _new_file(self, value: tuple[History, dict[ContentHash, Path], Path | None]) -> int:
        _, places, folder = value
        self._folder.mkdir(parents=True, exist_ok=True)
        path = self._folder / f"{uuid.uuid4().hex}.jsonl"
        file = os.open(path, os.O_CREAT | os.O_WRONLY | os.O_APPEND, 0o600)
        fcntl.flock(file, fcntl.LOCK_EX)
        self.path = path
        head = [encode({"folder": str(folder) if folder else None})]
        head += [encode({"place": content, "path": str(place)}) for content, place in places.items()]
        os.write(file, b"".join(line + b"\n" for line in head))
        return file

    def _close(self, file: int | None) -> None:
        if file is None:
            return
        if self.path is not None:
            self.path.unlink(missing_ok=True)
            self.path = None
        os.close(file)


@dataclass(frozen=True, eq=False)
class Recovered:
    """What a journal kept of a session that ended without being closed."""

    journal: Path
    history: History
    places: dict[ContentHash, Path]
    folder: Path | None
    edits: int


def left_behind(folder: Path | None = None) -> list[Path]:
    """Journals that no running session holds, newest first."""
    folder = folder or journal_folder()
    if not folder.is_dir():
        return []
    orphans = [path for path in folder.glob("*.jsonl") if not _is_held(path)]
    return sorted(orphans, key=lambda path: path.stat().st_mtime, reverse=True)


def _is_held(path: Path) -> bool:
    try:
        file = os.open(path, os.O_RDONLY)
    except OSError:
        return True
    try:
        fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except OSError:
        return True
    finally:
        os.close(file)
    return False


def recover(path: Path) -> Recovered | None:
    """Read a journal as far as it is whole; None where no edit is in it."""
    reader = LedgerReader()
    try:
        lines = list(whole_lines(path.read_bytes()))
    except OSError as error:
        raise ChronotomeError(f"The kept edits in “{path}” cannot be read ({error.strerror}).") from None
    for line in lines:
        try:
            reader.read([line])
        except (ValueError, KeyError, TypeError):
            break
    if reader.history is None or reader.events == 0:
        return None
    places = {note["place"]: Path(note["path"]) for note in reader.notes if "place" in note}
    folders = [note["folder"] for note in reader.notes if "folder" in note]
    folder = Path(folders[0]) if folders and folders[0] else None
    return Recovered(path, reader.history, places, folder, reader.events)


def discard(path: Path) -> None:
    """Forget a journal."""
    with contextlib.suppress(OSError):
        path.unlink()
