"""The shelf: a folder's sound files as rows, and hearing one of them in the song's tempo."""

import time
from dataclasses import dataclass
from pathlib import Path

import msgspec
import numpy as np
from PySide6.QtCore import QObject, Signal

from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Task, Tasks
from chronotome.bridge.transport import Transport
from chronotome.dsp.audio import Audio
from chronotome.errors import Cancelled, ChronotomeError
from chronotome.files.analysis import analyse, keep_analysis, kept_analysis
from chronotome.files.audio_file import FileFacts, facts_of, load_source
from chronotome.files.names import plain_name, shown
from chronotome.files.patterns import read_pattern
from chronotome.files.shelf import ShelfEntry, keep_entries, kept_entries, scan
from chronotome.progress import Progress, part_of
from chronotome.render.arena import Arena, Region
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool, Source
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.fitting import TempoSync, set_following, set_recording_tempo
from chronotome.session.edits.patterns import bring_pattern, play_pattern
from chronotome.session.edits.recordings import add_recording, first_rate, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.fit import Measured
from chronotome.session.model import Recording, Session
from chronotome.session.normalise_patterns import settled
from chronotome.words import tr

ROUNDS = 3
"""Of a pattern that are made to hear the second one: what rings over from the first is in it."""
LONGEST_HEARD = 90.0
"""Seconds; a longer file is heard from its start, as it is."""
TELL_SECONDS = 0.1


@dataclass(frozen=True, eq=False)
class Preview:
    """A file ready to be heard: `loops` frames are whole beats of the song, 0 where it has no tempo."""

    entry: ShelfEntry
    region: Region
    loops: int
    tempo: float | None


class Shelf(QObject):
    """Rows of one folder. Scanning and preparing what is heard run as tasks; the newest wish wins."""

    changed = Signal()
    """Other rows, or more known of them."""
    heard_changed = Signal()
    _found = Signal(int, object)

    def __init__(
        self, store: Store, tasks: Tasks, transport: Transport, arena: Arena, parent: QObject
    ) -> None:
        super().__init__(parent)
        self._store, self._tasks, self._transport, self._arena = store, tasks, transport, arena
        self.folder: Path | None = None
        self.entries: list[ShelfEntry] = []
        self.in_song_tempo = True
        self.heard: ShelfEntry | None = None
        self._places: dict[str, int] = {}
        self._region: Region | None = None
        self._scan: Task | None = None
        self._wish = 0
        self._look = 0
        self._found.connect(self._on_found)  # queued: the worker emits it

    def open(self, folder: Path) -> None:
        """Show a folder: what the index knows at once, what is on the disk as it is found."""
        self.stop()
        if self._scan is not None:
            self._scan.cancel()
        self._look += 1
        look = self._look
        self.folder = folder
        self._set([])
        waiting: list[ShelfEntry] = []
        last = [0.0]

        def found(batch: list[ShelfEntry]) -> None:
            waiting.extend(batch)
            if waiting and (last[0] == 0.0 or time.monotonic() - last[0] > TELL_SECONDS):
                last[0] = time.monotonic()
                self._found.emit(look, list(waiting))
                waiting.clear()

        def work(progress: Progress) -> list[ShelfEntry]:
            kept = kept_entries(folder)
            found(kept)
            entries = scan(folder, {entry.name: entry for entry in kept}, found, progress)
            keep_entries(folder, entries)
            return entries

        def show(entries: list[ShelfEntry]) -> None:
            if look == self._look:
                self._scan = None
                self._set(entries)

        self._scan = self._tasks.run(tr("Scanning {0}", folder.name), work, show)

    def _set(self, entries: list[ShelfEntry]) -> None:
        self.entries = entries
        self._places = {entry.name: place for place, entry in enumerate(entries)}
        self.changed.emit()

    def _on_found(self, look: int, batch: list[ShelfEntry]) -> None:
        if look != self._look:
            return
        for entry in batch:
            place = self._places.get(entry.name)
            if place is None:
                self._places[entry.name] = len(self.entries)
                self.entries.append(entry)
            else:
                self.entries[place] = entry
        self.changed.emit()

    # Hearing

    def hear(self, entry: ShelfEntry) -> None:
        """Hear a file: in the song's tempo and in time with what plays, where its tempo is known."""
        if self.folder is None:
            return
        self._wish += 1
        wish, path = self._wish, self.folder / entry.path
        session, asks_tempo = self._store.session, self.in_song_tempo
        self.heard = entry
        self.heard_changed.emit()

        def show(heard: Preview) -> None:
            if wish == self._wish:
                self._sound(heard)
            else:
                self._arena.free(heard.region)

        def fail(error: ChronotomeError) -> None:
            if not isinstance(error, Cancelled):
                self._tasks.error.emit(str(error))
            if wish == self._wish:
                self.stop()

        self._tasks.run(
            tr("Loading {0}", shown(entry.path.name)),
            lambda progress: _prepared(path, entry, session, self._arena, progress, in_tempo=asks_tempo),
            show,
            fail,
        )

    def _sound(self, heard: Preview) -> None:
        old, self._region = self._region, heard.region
        session = self._store.session
        start = round(session.frame_of(0.0))
        self._transport.hear(heard.region, 0, heard.region.frames, loops=heard.loops, since=start)
        if old is not None:
            self._arena.free(old)
        if heard.tempo is not None and heard.entry.tempo is None:
            known = msgspec.structs.replace(heard.entry, tempo=round(heard.tempo, 2), source="measured")
            place = self._places.get(known.name)
            if place is not None and self.folder is not None:
                self.entries[place] = known
                self.changed.emit()
                keep_entries(self.folder, self.entries)

    def stop(self) -> None:
        """Hear nothing of the shelf any more."""
        self._wish += 1
        if self._region is not None:
            self._transport.hear(self._region, 0, 0)
        if self.heard is not None:
            self.heard = None
            self.heard_changed.emit()


def _prepared(
    path: Path, entry: ShelfEntry, session: Session, arena: Arena, progress: Progress, *, in_tempo: bool
) -> Preview:
    """The file at the session's rate, fitted to the song's tempo where it has one."""
    if entry.is_pattern:
        return _pattern_prepared(path, entry, session, arena, progress, in_tempo=in_tempo)
    facts = facts_of(path, part_of(progress, 0, 0.2))
    rate = session.rate if session.recordings else first_rate(facts.rate)
    source = load_source(facts, arena, rate, progress=part_of(progress, 0.2, 0.4))
    is_long = facts.frames / facts.rate > LONGEST_HEARD
    if is_long or not in_tempo or source.energy == 0:
        return Preview(entry, source.region, 0, None)
    try:
        return _fitted(path, entry, session, facts, source, arena, progress)
    except BaseException:
        arena.free(source.region)  # cancelled, or a fault: nobody else knows of it
        raise


def _fitted(  # noqa: PLR0917 - what is known of the file by then
    path: Path,
    entry: ShelfEntry,
    session: Session,
    facts: FileFacts,
    source: Source,
    arena: Arena,
    progress: Progress,
) -> Preview:
    """The same at the song's tempo, in whole beats; its samples as they were are given back."""
    rate = source.rate
    kept = kept_analysis(facts.content)
    if kept is None:
        audio = Audio(source.region.samples, rate)
        kept = analyse(audio, path.stem, part_of(progress, 0.4, 0.8), rate=facts.rate, frames=facts.frames)
        keep_analysis(facts.content, kept)
    tempo = _tempo_of(kept.measured, entry)
    if tempo is None:
        return Preview(entry, source.region, 0, None)
    recording = Recording(facts.content, plain_name(path.name), facts.rate, facts.frames, facts.channels)
    alone = add_recording(Session(), recording, path.stem, rate=rate)
    alone = set_analysis(alone, facts.content, kept.onsets, kept.measured, kept.material)
    track = alone.tracks[0].id
    alone = set_recording_tempo(alone, track, tempo)
    alone = set_tempo(alone, session.tempo.at(0.0))
    alone = set_following(alone, track, TempoSync.RECORDING)
    pool = Pool()
    pool.add(source)
    renderer = Renderer(arena)
    mix = render_mix(renderer, plan_for(alone), pool.ready(), part_of(progress, 0.8, 1.0))
    beats = max(1, round(facts.frames / facts.rate * tempo / 60))
    frames = round(beats * 60 / session.tempo.at(0.0) * rate)
    region = arena.allocate(frames, 2)
    region.samples[:] = OfflineMix(mix, arena).read(0, frames)
    renderer.cache.clear()
    arena.free(source.region)
    return Preview(entry, region, frames, measured_tempo(kept.measured) or tempo)


def _pattern_prepared(
    path: Path, entry: ShelfEntry, session: Session, arena: Arena, progress: Progress, *, in_tempo: bool
) -> Preview:
    """A round of a saved pattern, as it sounds between the one before it and the one after it."""
    tempo = session.tempo.at(0.0)
    saved = read_pattern(path, tempo, part_of(progress, 0.0, 0.4))
    tempo = tempo if in_tempo else saved.tempo or tempo
    alone = set_tempo(Session(rate=session.rate), tempo)
    alone = bring_pattern(alone, saved.pattern, saved.kit, saved.recordings)
    made = alone.patterns[-1]
    alone = settled(play_pattern(alone, None, made.id, 0.0, ROUNDS * made.beats))
    pool = Pool()
    try:
        for content, place in saved.places.items():
            if content in {each.content for each in alone.recordings}:
                pool.add(load_source(facts_of(place), arena, session.rate))
        renderer = Renderer(arena)
        mix = render_mix(renderer, plan_for(alone), pool.ready(), part_of(progress, 0.6, 1.0))
        start, end = (round(alone.frame_of(beat + made.upbeat)) for beat in (made.beats, 2 * made.beats))
        region = arena.allocate(end - start, 2)
        region.samples[:] = OfflineMix(mix, arena).read(start, end - start)
        renderer.cache.clear()
    finally:
        for each in pool.ready().values():
            arena.free(each.region)
    return Preview(entry, region, region.frames, tempo)


def _tempo_of(measured: Measured | None, entry: ShelfEntry) -> float | None:
    """As its tags or name say where that agrees with what is heard, or nothing is; else as heard."""
    heard = measured_tempo(measured)
    if entry.tempo is None or heard is None:
        return heard if entry.tempo is None else entry.tempo
    ratios = np.array([1.0, 2.0, 0.5])
    nearest = heard * ratios[np.abs(heard * ratios / entry.tempo - 1).argmin()]
    return float(nearest) if abs(nearest / entry.tempo - 1) < 0.02 else heard


def measured_tempo(measured: Measured | None) -> float | None:
    """Quarter notes per minute; None where nothing was measured."""
    return None if measured is None else measured.tempo
