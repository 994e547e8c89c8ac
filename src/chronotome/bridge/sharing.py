"""Sharing from the window: written and handed over in a thread; what broke off goes on by another try."""

import tempfile
from collections.abc import Callable
from pathlib import Path

from PySide6.QtCore import QObject, Signal

from chronotome.bridge.tasks import Task, Tasks
from chronotome.errors import Cancelled, ChronotomeError
from chronotome.files.names import plain_name
from chronotome.files.places import state_folder
from chronotome.files.secrets import keep_key, kept_key
from chronotome.files.share_place import SharePlace
from chronotome.files.sharing import Upload, UploadInfo, origin_of, share
from chronotome.progress import Progress, part_of
from chronotome.words import tr

WRITTEN = 0.4
Writing = Callable[[Path], Callable[[Progress], object]]


class Sharing(QObject):
    """One upload at a time."""

    progressed = Signal(float)
    done = Signal(str)
    """The address."""
    failed = Signal(str)
    """Why not; empty where it was cancelled."""
    key_found = Signal(str, str)
    """(place, key)"""

    def __init__(self, tasks: Tasks, parent: QObject) -> None:
        super().__init__(parent)
        self._tasks = tasks
        self._task: Task | None = None
        self._upload: Upload | None = None
        self._folder: tempfile.TemporaryDirectory[str] | None = None
        self._place: SharePlace | None = None

    @property
    def is_running(self) -> bool:
        return self._task is not None

    def can_go_on(self, place: str) -> bool:
        """Whether something broke off on its way to that place."""
        return self._upload is not None and self._upload.place == place and not self.is_running

    def practice_place(self) -> SharePlace:
        """The stand-in, which runs as long as the window."""
        if self._place is None:
            self._place = SharePlace(state_folder() / tr("server")).start()
        return self._place

    def close(self) -> None:
        self.cancel()
        if self._place is not None:
            self._place.close()
            self._place = None
        self._forget()

    def ask_key(self, place: str) -> None:
        """Look for the key of a place; a store may take its time."""
        self._tasks.run(
            tr("Reading the system keyring"),
            lambda progress: kept_key(origin_of(place), progress),
            lambda key: self.key_found.emit(place, key or ""),
        )

    def start(
        self, writing: Writing, suffix: str, about: UploadInfo, place: str, key: str, *, keeps: bool
    ) -> None:
        """Write what is heard, and hand it over."""
        self._forget()
        self._folder = tempfile.TemporaryDirectory(prefix="chronotome-share-")
        path = Path(self._folder.name) / plain_name(f"{about.title}{suffix}")
        write, upload = writing(path), Upload(path, about, place, key)

        def work(progress: Progress) -> str:
            write(part_of(progress, 0.0, WRITTEN))
            self._upload = upload
            return self._handed(upload, part_of(progress, WRITTEN, 1.0), keeps=keeps)

        self._run(work)

    def go_on(self, key: str) -> None:
        """The upload that broke off, from where it is: to its own place, with a key that was given for it."""
        upload = self._upload
        if upload is not None:
            upload.key = key
            self._run(lambda progress: self._handed(upload, progress, keeps=False))

    def cancel(self) -> None:
        if self._task is not None:
            self._task.cancel()

    def _handed(self, upload: Upload, progress: Progress, *, keeps: bool) -> str:
        address = share(upload, progress)
        if keeps:
            keep_key(origin_of(upload.place), upload.key, progress)
        return address

    def _run(self, work: Callable[[Progress], str]) -> None:
        self._task = self._tasks.run("Sharing", work, self._on_done, self._on_failed)
        self._task.progressed.connect(self.progressed)

    def _on_done(self, address: str) -> None:
        self._task = None
        self._forget()
        self.done.emit(address)

    def _on_failed(self, error: ChronotomeError) -> None:
        self._task = None
        is_cancelled = isinstance(error, Cancelled)
        if is_cancelled:
            self._forget()
        self.failed.emit("" if is_cancelled else str(error))

    def _forget(self) -> None:
        self._upload = None
        if self._folder is not None and not self.is_running:
            self._folder.cleanup()
            self._folder = None
