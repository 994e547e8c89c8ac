"""Recordings of the session: where their files are, their samples, importing and finding them."""

import dataclasses
import functools
import time
from collections.abc import Callable, Collection, Sequence
from pathlib import Path

import msgspec
from PySide6.QtCore import QObject, Signal

from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.errors import Cancelled, ChronotomeError
from chronotome.files.audio_file import FileFacts, facts_of, load_source, rate_of, refuse_another, resampled
from chronotome.files.fit_file import kept_fit
from chronotome.files.markers import Markers, fit_told, metre_told, read_markers, sections_of
from chronotome.files.names import plain_name, shown
from chronotome.files.session_file import find_recordings
from chronotome.progress import Progress, part_of
from chronotome.render.arena import Arena, Region
from chronotome.render.pool import Pool, Source
from chronotome.session.edits.recordings import (
    add_recording,
    as_told,
    first_rate,
    with_content,
    without_recording,
)
from chronotome.session.fit import Fit
from chronotome.session.limits import ContentHash
from chronotome.session.model import Recording, Session
from chronotome.words import tr

GROWING_SECONDS = 0.15
"""Between two drawings of a wave that is being read."""


class Recordings(QObject):
    """Everything slow runs as a task; what a task brings after its session was closed is dropped."""

    source_grew = Signal(str)
    """More of a recording (by content) can be drawn."""
    source_ready = Signal(str)
    placed = Signal(str, object)
    """Where the file of a recording (by content) is."""
    written_anew = Signal(str, object)
    """A file of ours holds a recording (by content) that no saved session has."""
    replaced = Signal()
    """The recordings are those of another session."""
    retired = Signal(object)
    """Regions of samples that no session needs any more."""
    missing = Signal(object)
    """Recordings that are asked for: content -> name."""
    _source_started = Signal(object)

    def __init__(self, store: Store, tasks: Tasks, arena: Arena) -> None:
        super().__init__(store)
        self._store, self._tasks, self.arena = store, tasks, arena
        self.pool = Pool()
        self.places: dict[ContentHash, Path] = {}
        self.lost: dict[ContentHash, str] = {}
        self.stopped: dict[ContentHash, Path] = {}
        """Those whose reading was cancelled: they can be read again."""
        self._generation = 0
        self._at_other_rate: list[Region] = []
        self._source_started.connect(self._on_source_started)
        store.changed.connect(self._on_changed)
        tasks.changed.connect(self._let_go_of_old_rates)

    def watch(self) -> Callable[[], bool]:
        """What says whether the session that is open now still is."""
        generation = self._generation
        return lambda: generation == self._generation

    def replace(self, places: dict[ContentHash, Path], lost: dict[ContentHash, str]) -> None:
        """Another session: let go of all samples; nothing of it is read before `load_all`."""
        self._generation += 1
        for task in list(self._tasks.running):
            task.cancel()
        self.retired.emit([source.region for source in self.pool.sources.values()])
        self.pool.sources.clear()
        self.places, self.lost, self.stopped = dict(places), dict(lost), {}
        self.replaced.emit()

    def let_go(self, contents: Collection[ContentHash]) -> None:
        """Of samples and places that the session no longer has."""
        gone = [self.pool.sources.pop(each) for each in contents if each in self.pool.sources]
        self.retired.emit([source.region for source in gone])
        for each in contents:
            self.places.pop(each, None)
            self.lost.pop(each, None)

    def load_all(self) -> None:
        session = self._store.session
        for recording in session.recordings:
            if recording.content in self.places:
                self._load(recording.content, self.places[recording.content], session.rate)
        if self.lost:
            self.missing.emit(dict(self.lost))

    def add_files(self, paths: Sequence[Path]) -> None:
        """Import sound files in this order, whichever is read first: a recording, a track and a clip each.

        What comes first gives the session the highest rate among it.
        """
        queue, is_first = _InOrder(len(paths)), not self._store.session.recordings
        rates = functools.cache(lambda: first_rate(*map(rate_of, paths)) if is_first else 0)
        for place, path in enumerate(paths):
            self._add_file(path, queue, place, rates)

    def _add_file(self, path: Path, queue: "_InOrder", place: int, rates: Callable[[], int]) -> None:
        is_current = self.watch()

        def work(progress: Progress) -> tuple[FileFacts, Fit, Markers, int]:
            facts, markers = facts_of(path, progress), read_markers(path)
            fit = kept_fit(facts.content, path)
            fit = fit_told(markers, facts.rate, facts.frames) if fit == Fit() else fit
            return facts, fit, markers, rates()

        def add(found: tuple[FileFacts, Fit, Markers, int]) -> None:
            facts, fit, markers, rate = found
            if not is_current():
                return
            self.places.setdefault(facts.content, path.resolve())
            self.placed.emit(facts.content, path.resolve())
            recording = Recording(
                facts.content,
                self._free_name(path.name, facts.content),
                facts.rate,
                facts.frames,
                facts.channels,
                fit=fit,
            )
            words = tr("Open {0}", shown(path.name))
            metre, sections = metre_told(markers), sections_of(markers, facts.frames / facts.rate)
            self._store.apply(
                lambda session: as_told(
                    add_recording(session, recording, shown(path.stem), rate=rate or None), metre, sections
                ),
                words,
            )
            if self.pool.get(facts.content) is None:
                self._load(facts.content, path, self._store.session.rate, known=facts)

        def fail(error: ChronotomeError) -> None:
            queue.put(place, lambda: None)
            if not isinstance(error, Cancelled):
                self._tasks.error.emit(str(error))

        self._tasks.run(
            tr("Opening {0}", path.name), work, lambda found: queue.put(place, lambda: add(found)), fail
        )

    def bring(self, content: ContentHash, path: Path) -> None:
        """Read the file of a recording that came into the session with a clip of another one."""
        self.places.setdefault(content, path)
        self.placed.emit(content, path)
        if self.pool.get(content) is None:
            self._load(content, path, self._store.session.rate)

    def has_another_content(self, content: ContentHash, facts: FileFacts) -> None:
        """The file of a recording was written anew, from its samples: other bytes tell it from now on."""
        source = self.pool.sources.pop(content, None)
        if source is not None:
            self.pool.add(dataclasses.replace(source, content=facts.content))
        self.places.pop(content, None)
        self.lost.pop(content, None)
        self.places[facts.content] = facts.path
        self._store.rewrite(lambda session: with_content(session, content, facts.content))
        self.placed.emit(facts.content, facts.path)
        self.written_anew.emit(facts.content, facts.path)
        self.source_ready.emit(facts.content)

    def renamed(self, recording: Recording) -> Recording:
        """With a file name that no other recording of the session has."""
        return msgspec.structs.replace(recording, file=self._free_name(recording.file, recording.content))

    def _free_name(self, name: str, content: ContentHash) -> str:
        """A plain file name that no other recording of the session has."""
        name = plain_name(name)
        others = {each.file for each in self._store.session.recordings if each.content != content}
        return name if name not in others else f"{Path(name).stem}-{content[:6]}{Path(name).suffix}"

    def _load(
        self,
        content: ContentHash,
        path: Path,
        rate: int,
        *,
        known: FileFacts | None = None,
        before: Source | None = None,
    ) -> None:
        """Read a recording; `known` where its file was looked at just now.

        `before` are its samples at another rate, which may be the last that there is of it: they go once
        the file was read, and are what it goes on with where it cannot be.
        """
        is_current, recording = self.watch(), self._store.session.recording_with(content)

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
            if not is_current():
                self._let_go_of(before)
                return
            if source.rate != self._store.session.rate and self._store.session.has(content):
                self.pool.sources.pop(content, None)
                self._let_go_later([source.region])
                self._load(content, path, self._store.session.rate, before=before)
                return
            self._let_go_of(before)
            self.pool.add(source)
            self.source_ready.emit(content)

        def fail(error: ChronotomeError) -> None:
            if not is_current():
                self._let_go_of(before)
            elif before is not None:
                self._tasks.told.emit(
                    tr(
                        "{0} could not be read again. Chronotome uses the audio that it read before.",
                        path.name,
                    )
                )
                self._resample(before)
            else:
                self._not_read(content, path, error, is_new=known is not None)

        self._tasks.run(tr("Reading {0}", path.name), work, keep, fail)

    def _resample(self, before: Source) -> None:
        """To the session's rate, without the file."""
        is_current, rate, content = self.watch(), self._store.session.rate, before.content
        if not self._store.session.has(content):  # it was taken back meanwhile
            self._let_go_of(before)
            return
        recording = self._store.session.recording_with(content)
        frames = round(recording.frames * rate / recording.rate)

        def keep(source: Source) -> None:
            if not is_current():
                self._let_go_later([before.region, source.region])
                return
            if source.rate != self._store.session.rate and self._store.session.has(content):
                self._let_go_later([source.region])
                self._resample(before)
                return
            self._let_go_of(before)
            self.pool.add(source)
            self.source_ready.emit(content)

        def fail(error: ChronotomeError) -> None:
            self._let_go_of(before)
            if is_current():
                self._not_read(content, Path(recording.file), error, is_new=False)

        self._tasks.run(
            tr("Resampling {0}", recording.file),
            lambda _progress: resampled(before, self.arena, rate, frames),
            keep,
            fail,
        )

    def _not_read(self, content: ContentHash, path: Path, error: ChronotomeError, *, is_new: bool) -> None:
        self.pool.sources.pop(content, None)
        name = path.name
        if isinstance(error, Cancelled):
            self.stopped[content] = path
            self._tasks.told.emit(tr("Reading {0} was cancelled. Press Enter to read it again.", name))
            self.source_grew.emit(content)
            return
        self._tasks.error.emit(str(error))
        if is_new:
            self._refuse(content)
        else:
            self.lost[content] = name

    def read_again(self, content: ContentHash) -> None:
        """What was cancelled, from its beginning."""
        path = self.stopped.pop(content, None)
        if path is not None and self._store.session.has(content):
            self._load(content, path, self._store.session.rate)
            self.source_grew.emit(content)

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
        session = self._store.session
        if session.has(source.content) and source.rate == session.rate:
            self.pool.add(source)

    def _on_changed(self, before: Session, after: Session) -> None:
        """With another rate of the session every recording is read anew, or resampled without its file."""
        if before.rate == after.rate:
            return
        pool = self.pool.sources
        stale = [
            source for source in pool.values() if source.rate != after.rate and after.has(source.content)
        ]
        for source in stale:
            pool.pop(source.content)
            place = self.places.get(source.content)
            if not source.is_whole:  # what is still read is read anew as soon as it is
                continue
            if place is None:
                self._resample(source)
            else:
                self._load(source.content, place, after.rate, before=source)

    def _let_go_later(self, regions: Sequence[Region]) -> None:
        """Once nothing listens to them any more."""
        self._at_other_rate.extend(regions)
        self._let_go_of_old_rates()

    def _let_go_of(self, source: Source | None) -> None:
        if source is not None:
            self._let_go_later([source.region])

    def _let_go_of_old_rates(self) -> None:
        if self._at_other_rate and self._tasks.is_idle:
            self.retired.emit(self._at_other_rate)
            self._at_other_rate = []

    def find_missing(self, places: Sequence[Path]) -> None:
        """Look for lost recordings in files and folders, by content."""
        lost, is_current = dict(self.lost), self.watch()

        def show(found: dict[ContentHash, Path]) -> None:
            if not is_current():
                return
            self.places.update(found)
            for content, path in found.items():
                self.lost.pop(content, None)
                self._load(content, path, self._store.session.rate)
            if self.lost:
                self.missing.emit(dict(self.lost))

        self._tasks.run(
            tr("Searching for recordings"), lambda progress: find_recordings(lost, places, progress), show
        )


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
