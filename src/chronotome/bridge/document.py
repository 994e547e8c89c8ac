"""The session as a thing on disk: opening, saving, its lock and its journal."""

import contextlib
import threading
from collections.abc import Callable, Collection, Sequence
from functools import partial
from pathlib import Path

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.fits import Fits
from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.errors import Cancelled, CannotWrite, ChronotomeError, MissingRecordings, readable
from chronotome.files.audio_file import FileFacts
from chronotome.files.journal import Journal, Recovered
from chronotome.files.pack import pack, unpack
from chronotome.files.rescue import write_anew
from chronotome.files.safe_read import is_there
from chronotome.files.session_file import (
    Opened,
    check_place,
    document_of,
    is_session,
    load_session,
    recordings_of,
    refuse_lost,
    remove_recordings,
    save_session,
    sweep_session,
)
from chronotome.files.session_lock import Holder, SessionLock, take
from chronotome.progress import Progress
from chronotome.session.edits.pruning import heard_contents, without_unheard
from chronotome.session.history import MOST_STEPS, History
from chronotome.session.limits import ContentHash
from chronotome.session.model import Recording, Session
from chronotome.words import tr

JOURNAL_WATCHED_MS = 500


class OpenSession(QObject):
    """One session and its folder."""

    opened = Signal()
    saved = Signal()
    held = Signal(object, object)
    """The path of a session that another window has open, and who that is."""
    lost = Signal(object)
    """Nothing was saved: these recordings (content -> name) are not there any more, or are others."""
    unsafe = Signal(str)
    """Why edits are not safe from a crash; empty once they are again."""

    def __init__(
        self, store: Store, tasks: Tasks, recordings: Recordings, fits: Fits, journal: Journal
    ) -> None:
        super().__init__(store)
        self._store, self._tasks, self._journal = store, tasks, journal
        self._recordings, self._fits = recordings, fits
        self.folder: Path | None = None
        self._lock: SessionLock | None = None
        self.first = Session()
        """What a new session begins as."""
        self.steps_kept = MOST_STEPS
        """Of the history, that are saved."""
        self._saving = QTimer(self)
        self._saving.timeout.connect(self._save_by_itself)
        self._dropped: dict[ContentHash, Path] = {}
        """What is no longer wanted in the folder, once the session is saved without it."""
        self._disk = threading.Lock()
        """Held by whoever writes a session."""
        self._unsafe = ""
        self._brought: Recovered | None = None
        """What is being brought back: its journal goes once the new one is on disk."""
        recordings.placed.connect(journal.placed)
        store.kept.connect(self._on_kept)
        watch = QTimer(self)
        watch.timeout.connect(self._watch_journal)
        watch.start(JOURNAL_WATCHED_MS)
        journal.start(store.history, {}, None)

    @property
    def title(self) -> str:
        return self.folder.name if self.folder else self._store.session.name

    def open(self, paths: Sequence[Path]) -> None:
        """A session replaces what is open; sound files are added to it."""
        for path in paths:
            if is_session(path):
                self.open_session(path)
        self._recordings.add_files([path for path in paths if not is_session(path)])

    def open_session(self, path: Path, *, as_copy: bool = False) -> None:
        """Open a session; `as_copy` leaves its folder alone, as for the demo.

        One that another window has open is not opened: `held` asks whether a copy will do.
        """
        folder = document_of(path).absolute().parent.resolve()  # what is saved lies where it is said to lie
        lock = None if as_copy else take(folder)
        if isinstance(lock, Holder):
            self.held.emit(path, lock)
            return

        def show(opened: Opened) -> None:
            self._hold(lock)
            self._fits.left_alone = folder if as_copy else None
            own = None if as_copy else folder
            self._show(opened.history, opened.places, own, opened.missing, is_saved=True)
            if opened.note:
                self._tasks.told.emit(opened.note)

        def fail(error: ChronotomeError) -> None:
            _release(lock)
            if not isinstance(error, Cancelled):
                self._tasks.error.emit(str(error))

        def work(progress: Progress) -> Opened:
            opened = load_session(path, progress)
            if lock is not None:
                sweep_session(folder)
            return opened

        self._tasks.run(tr("Opening {0}", path.name), work, show, fail)

    def restore(self, recovered: Recovered) -> None:
        """Bring back what a journal kept."""
        places = {content: place for content, place in recovered.places.items() if is_there(place)}
        missing = {
            recording.content: recording.file
            for recording in recovered.history.session.recordings
            if recording.content not in places
        }
        folder = recovered.folder
        lock = take(folder) if folder is not None else None
        if isinstance(lock, Holder):
            self._tasks.told.emit(
                tr(
                    "“{0}” is open {1}. This is a copy: save it under another name.",
                    readable(folder or ""),
                    lock.words,
                )
            )
            folder = lock = None
        self._hold(lock)
        self._brought = recovered
        self._show(recovered.history, places, folder, missing, is_saved=False)

    def new(self) -> None:
        self._hold(None)
        self._show(History(self.first), {}, None, {}, is_saved=True)

    def save(
        self,
        folder: Path,
        *,
        then: Callable[[], None] | None = None,
        otherwise: Callable[[ChronotomeError], None] | None = None,
    ) -> None:
        """Save into a folder, in the background; what is edited meanwhile is for the next time.

        `then` follows once it is saved; `otherwise` hears why it is not, or Cancelled.
        """
        folder = folder.absolute()
        history, places = self._store.history, dict(self._recordings.places)
        kept = history.shortened(self.steps_kept)
        is_current, dropped = self._recordings.watch(), dict(self._dropped)

        def work(progress: Progress) -> tuple[dict[ContentHash, Path], SessionLock | None]:
            with self._disk:
                saved = _saved(folder, kept, places, progress, is_known=folder == self.folder)
                remove_recordings(
                    folder, {each for each in dropped.values() if each not in saved[0].values()}
                )
                return saved

        def show(saved: tuple[dict[ContentHash, Path], SessionLock | None]) -> None:
            now, lock = saved
            if not is_current():
                _release(lock)
                self._not_saved(otherwise, Cancelled())
                return
            self._hold(lock)
            self._recordings.places.update(now)
            self.folder = folder
            self._store.mark_saved(history.session)
            self.saved.emit()
            if then is not None:
                then()

        self._tasks.run(tr("Saving {0}", folder.name), work, show, partial(self._not_saved, otherwise))

    def _not_saved(self, otherwise: Callable[[ChronotomeError], None] | None, error: ChronotomeError) -> None:
        if isinstance(error, MissingRecordings):
            self.lost.emit(error.names)
        elif not isinstance(error, Cancelled):
            self._tasks.error.emit(str(error))
        if otherwise is not None:
            otherwise(error)

    def write_anew(self, contents: Collection[ContentHash], then: Callable[[], None]) -> None:
        """Recordings whose files are gone, from the samples in memory; `then` follows once they are files."""
        session, is_current = self._store.history.session, self._recordings.watch()
        sources = self._recordings.pool.ready()
        known = {each.content: each for each in session.recordings}
        wanted = [(sources[each], known[each]) for each in contents if each in sources and each in known]

        def work(progress: Progress) -> list[tuple[Recording, FileFacts]]:
            return [(recording, write_anew(source, recording, progress)) for source, recording in wanted]

        def show(written: list[tuple[Recording, FileFacts]]) -> None:
            if not is_current():
                return
            for recording, facts in written:
                self._recordings.has_another_content(recording.content, facts)
            then()

        self._tasks.run(tr("Writing recordings"), work, show)

    def begin_with(self, session: Session) -> None:
        """What a new session begins as; the one that is open too, where nothing was done in it yet."""
        is_untouched = self._store.history.session == self.first and not self._store.history.past
        self.first = session
        if is_untouched and self.folder is None:
            self._store.reset(History(session), is_saved=True)

    def save_every(self, minutes: int) -> None:
        """Save by itself what has a folder and was changed; 0: only when it is said."""
        self._saving.stop()
        if minutes:
            self._saving.start(minutes * 60_000)

    def _save_by_itself(self) -> None:
        if self.folder is not None and self._store.is_modified and not self._store.is_drafting:
            self.save(self.folder)

    def save_copy(self, folder: Path) -> None:
        """Save into another folder, and go on in this one."""
        if folder == self.folder:
            self.save(folder)
            return
        history, places = self._store.history, dict(self._recordings.places)

        def work(progress: Progress) -> None:
            with self._disk:
                _, lock = _saved(folder, history, places, progress, is_known=False)
                _release(lock)

        def show(_done: None) -> None:
            self._tasks.told.emit(
                tr(
                    "Saved a copy in “{0}”. You are still working in “{1}”.",
                    readable(folder),
                    readable(self.title),
                )
            )

        self._tasks.run(tr("Saving {0}", folder.name), work, show)

    def pack(self, path: Path) -> None:
        """The session and all its recordings as one file."""
        history, places = self._store.history, dict(self._recordings.places)
        self._tasks.run(
            tr("Packing {0}", path.name),
            lambda progress: pack(path, history, places, progress),
            lambda written: self._tasks.told.emit(tr("Packed session as “{0}”", readable(written))),
        )

    def unpack(self, path: Path, folder: Path) -> None:
        """A packed session into a folder, and open it there."""
        self._tasks.run(
            tr("Unpacking {0}", path.name), lambda progress: unpack(path, folder, progress), self.open_session
        )

    def use_template(self, session: Session) -> None:
        """A new session that begins as a template says."""
        self._hold(None)
        self._show(History(session), {}, None, {}, is_saved=True)

    @property
    def unheard(self) -> dict[ContentHash, Path]:
        """Recordings that nothing plays any more, with those that only steps of the history still have."""
        heard = heard_contents(self._store.session)
        known = recordings_of(self._store.history)
        places = self._recordings.places
        return {content: places[content] for content in known if content not in heard and content in places}

    def drop_unheard(self) -> None:
        """Forget them, with the history that needs them; the session's own copies go as it is saved."""
        dropped = self.unheard
        session = without_unheard(self._store.history.session)
        self._dropped = {**self._dropped, **dropped}
        self._store.reset(History(session), is_saved=False)
        self._recordings.let_go(dropped)

    def close(self) -> None:
        """Let others have the session."""
        self._hold(None)

    def _hold(self, lock: SessionLock | None) -> None:
        """Let go of the session that was open before."""
        _release(self._lock)
        self._lock = lock

    def _show(
        self,
        history: History,
        places: dict[ContentHash, Path],
        folder: Path | None,
        missing: dict[ContentHash, str],
        *,
        is_saved: bool,
    ) -> None:
        self._recordings.replace(places, missing)
        self._dropped = {}
        self.folder = folder
        self._store.reset(history, is_saved=is_saved)
        self.opened.emit()
        self._recordings.load_all()

    def _on_kept(self, kind: str, history: History) -> None:
        if kind in {"reset", "saved"}:
            brought, self._brought = self._brought, None
            edits = brought.edits if brought else self._store.unsaved_edits
            places = self._recordings.places
            self._journal.start(history, places, self.folder, edits=edits, instead_of=brought)
        else:
            self._journal.happened(kind, history)

    def _watch_journal(self) -> None:
        """Its thread may find at any time that the disk is full, or has room again."""
        problem = self._journal.problem or ""
        if problem != self._unsafe:
            self._unsafe = problem
            self.unsafe.emit(problem)


def _saved(
    folder: Path, history: History, places: dict[ContentHash, Path], progress: Progress, *, is_known: bool
) -> tuple[dict[ContentHash, Path], SessionLock | None]:
    """Where the recordings are now, and the lock on the folder: new, or a session, unless it `is_known`."""
    refuse_lost(history, places, progress)
    if not is_known:
        check_place(folder)
    with contextlib.suppress(OSError):  # saving says why
        folder.mkdir(parents=True, exist_ok=True)
    lock = take(folder)
    if isinstance(lock, Holder):
        raise CannotWrite(
            folder,
            tr("the session is open {0}", lock.words),
            tr("Close the session there, or save under another name."),
        )
    try:
        return save_session(folder, history, places, progress), lock
    except BaseException:
        _release(lock)
        raise


def _release(lock: SessionLock | None) -> None:
    if lock is not None:
        lock.release()
