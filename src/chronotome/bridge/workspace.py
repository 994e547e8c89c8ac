"""The document and what belongs to it: samples, places of files, journal, opening and saving."""

import contextlib
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from pathlib import Path

from PySide6.QtCore import QObject, QTimer, Signal

import chronotome
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.dsp.audio import Audio
from chronotome.dsp.bands import Material
from chronotome.errors import Cancelled, CannotWrite, ChronotomeError, readable
from chronotome.files.analysis import Analysis, analyse, keep_analysis, kept_analysis
from chronotome.files.audio_file import FileFacts, facts_of, load_source, refuse_another
from chronotome.files.door import is_there
from chronotome.files.fit_file import keep_fit, kept_fit, write_sidecar
from chronotome.files.journal import Journal, Recovered
from chronotome.files.names import plain_name, shown
from chronotome.files.session_file import (
    Opened,
    check_place,
    document_of,
    find_recordings,
    is_session,
    load_session,
    save_session,
    sweep_session,
)
from chronotome.files.session_lock import Holder, SessionLock, take
from chronotome.files.tags import tempo_tag
from chronotome.progress import Progress, part_of
from chronotome.render.arena import Arena
from chronotome.render.pool import Pool, Source
from chronotome.session.edits.fitting import led
from chronotome.session.edits.recordings import add_recording, set_analysis, without_recording
from chronotome.session.fit import Fit
from chronotome.session.history import History
from chronotome.session.limits import ContentHash
from chronotome.session.model import Recording, Session
from chronotome.session.onsets import Onsets

GROWING_SECONDS = 0.15
JOURNAL_WATCHED_MS = 500
OURS = Path(chronotome.__file__).parent
"""The program's own folder, where the demo lies: nothing is written there."""
"""Between two drawings of a wave that is being read."""


@dataclass(frozen=True, eq=False)
class Found:
    """What the analysis of a recording brought. `asked` is the material a person said it is of."""

    content: ContentHash
    analysis: Analysis
    asked: Material | None


class Workspace(QObject):
    """One session and its files. Everything slow runs as a task."""

    source_grew = Signal(str)
    """More of a recording (by content) can be drawn."""
    source_ready = Signal(str)
    opened = Signal()
    saved = Signal()
    retired = Signal(object)
    """Regions of samples that no session needs any more."""
    missing = Signal(object)
    """Recordings that are asked for: content -> name."""
    told = Signal(str)
    """A sentence for the status line."""
    held = Signal(object, object)
    """The path of a session that another window has open, and who that is."""
    unsafe = Signal(str)
    """Why edits are not safe from a crash; empty once they are again."""
    _source_started = Signal(object)

    def __init__(self, store: Store, tasks: Tasks, arena: Arena, journal: Journal) -> None:
        super().__init__(store)
        self._store, self._tasks, self.arena, self._journal = store, tasks, arena, journal
        self.pool = Pool()
        self.places: dict[ContentHash, Path] = {}
        self._fits: dict[ContentHash, Fit] = {}
        self.folder: Path | None = None
        self.lost: dict[ContentHash, str] = {}
        self._analyses: dict[tuple[ContentHash, Material | None], Found] = {}
        self._generation = 0
        self._source_started.connect(self._on_source_started)
        store.kept.connect(self._on_kept)
        store.changed.connect(lambda _before, after: self._bring_analyses(after))
        self._lock: SessionLock | None = None
        self._left_alone: Path | None = None
        self._unsafe = ""
        watch = QTimer(self)
        watch.timeout.connect(self._watch_journal)
        watch.start(JOURNAL_WATCHED_MS)
        journal.start(store.history, {}, None)

    @property
    def title(self) -> str:
        return self.folder.name if self.folder else self._store.session.name

    # Opening

    def open(self, paths: Sequence[Path]) -> None:
        """A session replaces what is open; sound files are added to it."""
        for path in paths:
            if is_session(path):
                self.open_session(path)
        self.add_files([path for path in paths if not is_session(path)])

    def open_session(self, path: Path, *, as_copy: bool = False) -> None:
        """Open a session; `as_copy` leaves its folder alone, as for the demo.

        One that another window has open is not opened: `held` asks whether a copy will do.
        """
        folder = None if as_copy else document_of(path).parent
        lock = self._lock_of(folder)
        if isinstance(lock, Holder):
            self.held.emit(path, lock)
            return

        def show(opened: Opened) -> None:
            self._hold(lock)
            self._left_alone = document_of(path).parent if as_copy else None
            self._show(opened.history, opened.places, folder, opened.missing, is_saved=True)
            if opened.note:
                self.told.emit(opened.note)

        def fail(error: ChronotomeError) -> None:
            if lock is not None and lock is not self._lock:
                lock.release()
            if not isinstance(error, Cancelled):
                self._tasks.error.emit(str(error))

        is_new = lock is not None and lock is not self._lock
        self._tasks.run(
            f"Opening {path.name}", lambda _progress: _loaded(path, lock if is_new else None), show, fail
        )

    def _lock_of(self, folder: Path | None) -> SessionLock | Holder | None:
        """The one that is held already, a new one, or who else holds it."""
        if folder is None:
            return None
        if self._lock is not None and self._lock.is_of(folder):
            return self._lock
        return take(folder)

    def _hold(self, lock: SessionLock | None) -> None:
        """Let go of the session that was open before."""
        if self._lock is not None and self._lock is not lock:
            self._lock.release()
        self._lock = lock

    def close(self) -> None:
        """Let others have the session."""
        self._hold(None)

    def restore(self, recovered: Recovered) -> None:
        """Bring back what a journal kept."""
        places = {content: place for content, place in recovered.places.items() if is_there(place)}
        missing = {
            recording.content: recording.file
            for recording in recovered.history.session.recordings
            if recording.content not in places
        }
        folder, lock = recovered.folder, self._lock_of(recovered.folder)
        if isinstance(lock, Holder):
            self.told.emit(
                f"“{readable(folder)}” is open {lock.words}: this is a copy, to be saved elsewhere."
            )
            folder = lock = None
        self._hold(lock)
        self._show(recovered.history, places, folder, missing, is_saved=False)

    def new(self) -> None:
        self._hold(None)
        self._show(History(Session()), {}, None, {}, is_saved=True)

    def _show(
        self,
        history: History,
        places: dict[ContentHash, Path],
        folder: Path | None,
        missing: dict[ContentHash, str],
        *,
        is_saved: bool,
    ) -> None:
        self._generation += 1
        for task in list(self._tasks.running):
            task.cancel()
        self.retired.emit([source.region for source in self.pool.sources.values()])
        self.pool.sources.clear()
        self.places, self.folder, self.lost = dict(places), folder, dict(missing)
        self._analyses.clear()
        self._store.reset(history, is_saved=is_saved)
        for recording in history.session.recordings:
            if recording.content in places:
                self._load(recording.content, places[recording.content], history.session.rate)
        self.opened.emit()
        if missing:
            self.missing.emit(dict(missing))

    # Sound files

    def add_file(self, path: Path) -> None:
        """Import a sound file."""
        self.add_files([path])

    def add_files(self, paths: Sequence[Path]) -> None:
        """Import sound files in this order, whichever is read first: a recording, a track and a clip each."""
        queue = _InOrder(len(paths))
        for place, path in enumerate(paths):
            self._add_file(path, queue, place)

    def _add_file(self, path: Path, queue: "_InOrder", place: int) -> None:
        generation = self._generation

        def work(progress: Progress) -> tuple[FileFacts, Fit]:
            facts = facts_of(path, progress)
            return facts, kept_fit(facts.content, path)

        def add(found: tuple[FileFacts, Fit]) -> None:
            facts, fit = found
            if generation != self._generation:
                return
            self.places.setdefault(facts.content, path.resolve())
            self._journal.placed(facts.content, path.resolve())
            recording = Recording(
                facts.content,
                self._free_name(path.name, facts.content),
                facts.rate,
                facts.frames,
                facts.channels,
                fit=fit,
            )
            words = f"Open {shown(path.name)}"
            self._store.apply(lambda session: add_recording(session, recording, shown(path.stem)), words)
            if self.pool.get(facts.content) is None:
                self._load(facts.content, path, self._store.session.rate, known=facts)

        def fail(error: ChronotomeError) -> None:
            queue.put(place, lambda: None)
            if not isinstance(error, Cancelled):
                self._tasks.error.emit(str(error))

        self._tasks.run(
            f"Opening {path.name}", work, lambda found: queue.put(place, lambda: add(found)), fail
        )

    def _free_name(self, name: str, content: ContentHash) -> str:
        """A plain file name that no other recording of the session has."""
        name = plain_name(name)
        taken = {each.file for each in self._store.session.recordings if each.content != content}
        return name if name not in taken else f"{Path(name).stem}-{content[:6]}{Path(name).suffix}"

    def _load(self, content: ContentHash, path: Path, rate: int, *, known: FileFacts | None = None) -> None:
        """Read a recording; `known` where its file was looked at just now."""
        generation, recording = self._generation, self._store.session.recording_with(content)

        def work(progress: Progress) -> Source:
            facts = known or facts_of(path, part_of(progress, 0.0, 0.1))
            refuse_another(facts, recording)
            return load_source(
                facts,
                self.arena,
                rate,
                progress=self._growing(content, part_of(progress, 0.1, 1.0)),
                started=self._source_started.emit,
            )

        def keep(source: Source) -> None:
            if generation != self._generation:
                return
            self.pool.add(source)
            self.source_ready.emit(content)
            self._bring_analyses(self._store.session)

        def fail(error: ChronotomeError) -> None:
            if generation == self._generation:
                self._not_read(content, path, error, is_new=known is not None)

        self._tasks.run(f"Reading {path.name}", work, keep, fail)

    def _not_read(self, content: ContentHash, path: Path, error: ChronotomeError, *, is_new: bool) -> None:
        self.pool.sources.pop(content, None)
        if isinstance(error, Cancelled):
            self.told.emit(f"{path.name} was not read to its end: it is silent until it is opened anew.")
        else:
            self._tasks.error.emit(str(error))
        if is_new and not isinstance(error, Cancelled):
            self._refuse(content)
        else:
            self.lost[content] = path.name

    def _refuse(self, content: ContentHash) -> None:
        """A file that cannot be read to its end never came in: not even undo brings it back."""
        self.places.pop(content, None)
        self._store.take_back(lambda session: without_recording(session, content))

    def _growing(self, content: ContentHash, progress: Progress) -> Progress:
        told = 0.0

        def report(fraction: float) -> None:
            nonlocal told
            progress(fraction)
            if time.monotonic() - told > GROWING_SECONDS:
                told = time.monotonic()
                self.source_grew.emit(content)

        return report

    def _on_source_started(self, source: Source) -> None:
        if any(recording.content == source.content for recording in self._store.session.recordings):
            self.pool.add(source)

    def find_missing(self, places: Sequence[Path]) -> None:
        """Look for lost recordings in files and folders, by content."""

        def show(found: dict[ContentHash, Path]) -> None:
            self.places.update(found)
            for content, path in found.items():
                self.lost.pop(content, None)
                self._load(content, path, self._store.session.rate)
            if self.lost:
                self.missing.emit(dict(self.lost))

        lost = dict(self.lost)
        self._tasks.run(
            "Looking for recordings", lambda progress: find_recordings(lost, places, progress), show
        )

    # Analysis

    def _bring_analyses(self, session: Session) -> None:
        """See that every recording that is read gets its analysis, in sessions of the past too."""
        for recording in session.recordings:
            source = self.pool.get(recording.content)
            if recording.is_analysed or source is None or not source.is_whole:
                continue
            found = self._analyses.get((recording.content, _asked(recording)))
            if found is None:
                self.analyse(recording, source)
            elif len(found.analysis.onsets):
                self._amend(found)

    def analyse(self, recording: Recording, source: Source) -> None:
        """Look for onsets and pulse in the background, unless that runs already."""
        asked = _asked(recording)
        words = f"Finding hits in {recording.file}" + (f" as {asked}" if asked else "")
        if any(task.words == words for task in self._tasks.running):
            return
        generation = self._generation

        def show(found: Found) -> None:
            if generation == self._generation:
                self._analyses[found.content, found.asked] = found
                self._amend(found)
                if not len(found.analysis.onsets):
                    self.told.emit(f"No hits found in {recording.file}: it is silent, or very even.")

        def fail(error: ChronotomeError) -> None:
            if generation == self._generation:
                self._not_analysed(recording, error)

        place = self.places.get(recording.content)
        self._tasks.run(words, lambda progress: _find_hits(recording, source, place, progress), show, fail)

    def is_looking(self, recording: Recording) -> bool:
        """Whether its hits are being looked for, or will be once it is read."""
        return (recording.content, _asked(recording)) not in self._analyses

    def _not_analysed(self, recording: Recording, error: ChronotomeError) -> None:
        asked = _asked(recording)
        self._analyses[recording.content, asked] = Found(recording.content, Analysis(Onsets(), None), asked)
        if isinstance(error, Cancelled):
            self.told.emit(f"No hits were looked for in {recording.file}. Find hits, in Mark, does it.")
        else:
            self._tasks.error.emit(str(error))

    def find_hits_again(self, content: ContentHash) -> None:
        """Look for hits where that was cancelled."""
        source = self.pool.get(content)
        if source is not None and source.is_whole:
            recording = self._store.session.recording_with(content)
            self._analyses.pop((content, _asked(recording)), None)
            self.analyse(recording, source)

    def _amend(self, found: Found) -> None:
        analysis = found.analysis

        def amend(session: Session) -> Session:
            recording = next((each for each in session.recordings if each.content == found.content), None)
            if recording is None or _asked(recording) is not found.asked:
                return session
            known = analysis.onsets, analysis.measured, analysis.material
            return led(set_analysis(session, found.content, *known))

        self._store.amend(amend)

    # Saving

    def save(self, folder: Path) -> None:
        """Save into a folder, in the background; what is edited meanwhile is for the next time."""
        history = self._store.history
        places = dict(self.places)

        def work(progress: Progress) -> tuple[dict[ContentHash, Path], SessionLock | None]:
            if folder != self.folder:
                check_place(folder)
            with contextlib.suppress(OSError):  # saving says why
                folder.mkdir(parents=True, exist_ok=True)
            lock = self._lock_of(folder)
            if isinstance(lock, Holder):
                raise CannotWrite(folder, f"it is open {lock.words}", "Close it there, or save elsewhere.")
            try:
                return save_session(folder, history, places, progress), lock
            except BaseException:
                if lock is not None and lock is not self._lock:
                    lock.release()
                raise

        def show(saved: tuple[dict[ContentHash, Path], SessionLock | None]) -> None:
            now, lock = saved
            self._hold(lock)
            self.places.update(now)
            self.folder = folder
            self._store.mark_saved(history.session)
            self.saved.emit()

        self._tasks.run(f"Saving {folder.name}", work, show)

    def _keep_fits(self, kind: str, session: Session) -> None:
        """A fit that was changed stays with its recording, for other sessions."""
        for recording in session.recordings:
            before = self._fits.get(recording.content, Fit())
            if recording.fit is not before and recording.fit != before and kind != "reset":
                keep_fit(recording)
            self._fits[recording.content] = recording.fit

    def write_fit(self, content: ContentHash) -> None:
        """Write the fit beside the recording's file."""
        recording, place = self._store.session.recording_with(content), self.places.get(content)
        if place is None:
            self.told.emit(f"{recording.file} was not found: Session, Find missing recordings")
            return
        if any(place.is_relative_to(folder) for folder in (OURS, self._left_alone) if folder is not None):
            self.told.emit(f"{recording.file} lies in a session of which this is a copy: save it first.")
            return
        try:
            self.told.emit(f"Wrote {write_sidecar(recording, place)}")
        except ChronotomeError as error:
            self._tasks.error.emit(str(error))

    def _on_kept(self, kind: str, history: History) -> None:
        self._keep_fits(kind, history.session)
        if kind in {"reset", "saved"}:
            self._journal.start(history, self.places, self.folder)
        else:
            self._journal.happened(kind, history)

    def _watch_journal(self) -> None:
        """Its thread may find at any time that the disk is full, or has room again."""
        problem = self._journal.problem or ""
        if problem != self._unsafe:
            self._unsafe = problem
            self.unsafe.emit(problem)


def _loaded(path: Path, lock: SessionLock | None) -> Opened:
    """A session as read, and what a killed save left there swept away: nobody else is writing."""
    opened = load_session(path)
    if lock is not None:
        sweep_session(lock.folder)
    return opened


class _InOrder:
    """Runs what was put, each once everything before it has come."""

    def __init__(self, count: int) -> None:
        self._waiting: list[Callable[[], None] | None] = [None] * count
        self._next = 0

    def put(self, place: int, do: Callable[[], None]) -> None:
        self._waiting[place] = do
        while self._next < len(self._waiting):
            ready = self._waiting[self._next]
            if ready is None:
                return
            self._next += 1
            ready()


def _find_hits(recording: Recording, source: Source, place: Path | None, progress: Progress) -> Found:
    """From the cache, or worked out and kept there."""
    asked = _asked(recording)
    analysis = kept_analysis(recording.content, asked)
    if analysis is None:
        audio = Audio(source.region.samples, source.rate)
        name = Path(recording.file).stem
        analysis = analyse(
            audio,
            name,
            progress,
            rate=recording.rate,
            frames=recording.frames,
            material=asked,
            tag=tempo_tag(place) if place is not None else None,
        )
        keep_analysis(recording.content, analysis, asked)
    return Found(recording.content, analysis, asked)


def _asked(recording: Recording) -> Material | None:
    """The material a person said the recording is of; None where it is to be heard."""
    return recording.material if recording.is_material_chosen else None
