"""A take from the sound input: written as it comes by a process of its own, and a recording once it ends."""

import contextlib
import errno
import os
import subprocess
import sys
import time
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from pathlib import Path
from typing import TYPE_CHECKING

import numpy as np
from PySide6.QtCore import QObject, QTimer, Signal

import chronotome
from chronotome.bridge.keys import Keys
from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.bridge.transport import Transport
from chronotome.bridge.unsaved_recordings import UnsavedRecordings
from chronotome.dsp.take_marks import place_of
from chronotome.engine.control import Control
from chronotome.engine.key_player import NOWHERE
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.engine.player import Player
from chronotome.errors import Cancelled, CannotWrite, ChronotomeError
from chronotome.files.audio_file import FileFacts, facts_of, load_source
from chronotome.files.names import plain_name
from chronotome.files.takes import TakeInfo, UnsavedTake, describe, discard, hold, new_take
from chronotome.progress import Progress
from chronotome.render.arena import Arena
from chronotome.render.pool import Source
from chronotome.render.take_ring import TakeWord
from chronotome.session.edits.recordings import add_take
from chronotome.session.model import Recording
from chronotome.words import tr

if TYPE_CHECKING:
    from chronotome.bridge.loopback import Loopback

LOOK_MILLISECONDS = 50
READY_LOOKS = 100
"""So often it is looked whether the output is there, before an input is opened all the same."""
END_SECONDS, CLOSE_SECONDS = 30.0, 2.0
LATER_BLOCKS = 2


@dataclass
class _Running:
    """A take that is being recorded."""

    writer: "subprocess.Popen[bytes]"
    control: Control
    path: Path
    about: TakeInfo
    marks: list[tuple[int, int]]
    """Frames of the take, and where its first one was heard by that: one mark after another."""
    is_current: Callable[[], bool]
    """Whether the session is still open over which it was recorded."""
    sounds_from: float = 0.0
    """The moment of the monotonic clock from which on what plays is heard; until then it may be what was."""

    @property
    def problem(self) -> str | None:
        """Why no more can be written, where that is so."""
        number = self.control.take.get(TakeWord.PROBLEM)
        if number:
            return tr("the disk is full") if number == errno.ENOSPC else os.strerror(number)
        return tr("the writing process ended") if self.writer.poll() is not None else None

    def stop(self) -> None:
        """No more comes; what came is written."""
        self.control.take.set(TakeWord.IS_ON, 0)
        self.control.take.set(TakeWord.QUIT, 1)


class Taking(QObject):
    """One take at a time; what the input hears can be heard, and measured, without one."""

    changed = Signal()
    """It begins or ends, or the input is opened or closed."""
    heard = Signal(float, int)
    """How loud the input is, and how many frames were recorded."""

    brought = Signal(int)
    """The track of a take that came into the session."""

    def __init__(  # noqa: PLR0917 - all that a take passes through
        self,
        store: Store,
        tasks: Tasks,
        recordings: Recordings,
        kept: UnsavedRecordings,
        transport: Transport,
        keys: Keys,
        player: Player,
        arena: Arena,
    ) -> None:
        super().__init__(store)
        self._store, self._tasks, self._recordings, self._kept = store, tasks, recordings, kept
        self._transport, self._keys, self._player, self._arena = transport, keys, player, arena
        self._running: _Running | None = None
        self._is_busy = False
        """From the wish on until the take has begun, and from its end on until it is on disk."""
        self._performance: tuple[Path, Source] | None = None
        self.is_monitoring = False
        self.delays_ms: Mapping[str, float] = {}
        """By which what each input hears comes later than the device says; those that were measured."""
        self._timer = QTimer(self)
        self._timer.setInterval(LOOK_MILLISECONDS)
        self._timer.timeout.connect(self._look)
        keys.played.connect(self._on_notes)
        transport.playing_changed.connect(self._on_playing)

    @property
    def is_on(self) -> bool:
        return self._running is not None

    @property
    def is_open(self) -> bool:
        """Whether the input hears."""
        return self.is_on or self.is_monitoring

    @property
    def name(self) -> str:
        """The take's track."""
        return "" if self._running is None else self._running.about.track

    @property
    def words(self) -> str:
        """What the input is."""
        return self._player.input_words

    @property
    def delay_seconds(self) -> float:
        """By which what the open input hears comes later than the device says."""
        return self.delays_ms.get(self.words, 0.0) / 1000

    def loopback(self) -> "Loopback":
        """What measures the delay of the input."""
        from chronotome.bridge.loopback import Loopback  # noqa: PLC0415 - takes longer than the window

        rate = self._store.session.rate
        return Loopback(self._player, self._transport, self._keys, self._arena, rate, self)

    # The input

    def monitor(self, *, is_on: bool, performance: Path | None = None) -> None:
        """Let the input be heard, or no more."""
        self.is_monitoring = is_on
        if is_on:
            self._with_input(performance, self._show)
        else:
            self._show()

    def _with_input(self, performance: Path | None, then: Callable[[], None], waited: int = 0) -> None:
        """Open the input that goes with the output, and go on; what a simulated one plays is read first."""
        rate, player = self._store.session.rate, self._player
        player.start(rate)
        state = player.state()
        if not state.is_ready and waited < READY_LOOKS:
            QTimer.singleShot(
                LOOK_MILLISECONDS, self, lambda: self._with_input(performance, then, waited + 1)
            )
            return

        is_simulated = state.is_simulated or player.is_input_simulated

        def go_on(source: Source | None) -> None:
            if source is not None and performance is not None:
                self._performance = performance, source
            region = None if source is None else source.region
            player.open_input(is_simulated=is_simulated, performance=region)
            then()

        if not is_simulated or performance is None:
            go_on(None)
        elif self._performance is not None and self._performance[0] == performance:
            go_on(self._performance[1])
        else:
            self._tasks.run(
                tr("Opening audio input"),
                lambda progress: load_source(
                    facts_of(performance, progress), self._arena, rate, progress=progress
                ),
                go_on,
                self._failed,
            )

    def _failed(self, error: Exception) -> None:
        self._is_busy = self.is_monitoring = False
        if not isinstance(error, Cancelled):
            self._tasks.error.emit(str(error))
        self._show()

    def _show(self) -> None:
        """The input is open as long as it is wanted."""
        self._player.monitor(is_on=self.is_monitoring)
        if self.is_open:
            self._timer.start()
        elif not self._is_busy:
            self._timer.stop()
            self._player.close_input()
        self._keys.attend(is_taking=self.is_on)
        self.changed.emit()

    # A take

    def begin(self, *, performance: Path | None = None) -> None:
        """Record from now on, and play; the performance is what the simulated input plays."""
        if self.is_on or self._is_busy:
            return
        self._is_busy = True
        self._with_input(performance, self._begin_now)

    def _begin_now(self) -> None:
        session = self._store.session
        try:
            path, file = new_take()
        except CannotWrite as error:
            self._failed(error)
            return
        self._keys.attend(is_taking=True)
        descriptor, offset = self._player.begin_take()
        try:
            writer = _writer(descriptor, offset, session.rate, file)
        finally:
            os.close(file)
        number = 1 + sum(track.name.startswith("Take ") for track in session.tracks)
        here = round(self._transport.position)  # until it is known better
        about = TakeInfo(f"Take {number}", session.rate, here, session.tempo.at(session.beat_of(here)))
        is_current = self._recordings.watch()
        self._running = _Running(writer, self._player.control, path, about, [], is_current)
        self._is_busy = False
        describe(path, about)
        self._show()
        self._transport.goes_on = True
        self._transport.play()
        late = self._player.latency + LATER_BLOCKS * self._player.block / session.rate
        self._running.sounds_from = time.monotonic() + late

    def close(self) -> None:
        """What is being recorded is written, and asked about at the next start."""
        running, self._running = self._running, None
        if running is not None:
            running.stop()
            with contextlib.suppress(subprocess.TimeoutExpired):
                running.writer.wait(CLOSE_SECONDS)

    def end(self, why: str = "") -> None:
        """The take is a recording of the session as soon as it is on disk; `why`, where nobody ended it."""
        running = self._running
        if running is None:
            return
        running.stop()
        self._transport.goes_on = False
        lost, about = running.control.take.get(TakeWord.LOST), running.about
        keys, places = np.array(running.marks, np.int64).reshape(-1, 2).T
        place = place_of(keys, places, about.rate)
        if place is not None:
            about = _placed(about, place)
            describe(running.path, about)
        self._running, self._is_busy = None, True
        if lost:
            self._tasks.error.emit(
                tr(
                    "“{0}” has a gap of {1:.1f} s, because the disk was too slow.",
                    running.path.name,
                    lost / about.rate,
                )
            )
        self._show()

        def work(_progress: Progress) -> None:
            try:
                running.writer.wait(END_SECONDS)
            except subprocess.TimeoutExpired:
                running.writer.terminate()

        def show(_done: None) -> None:
            self._is_busy = False
            self._show()
            if running.is_current():
                self.bring(UnsavedTake(running.path, about), why)
            else:
                self._tasks.told.emit(
                    tr(
                        "{0} is kept, as another session is open. You are asked at the next start.",
                        about.track,
                    )
                )

        self._tasks.run(tr("Writing {0}", running.path.name), work, show)

    def bring(self, take: UnsavedTake, why: str = "") -> None:
        """A take as a recording on a track of its own, where it was heard; `why` it ended too early."""
        path, about = take.path, take.about
        held = hold(path)

        def work(progress: Progress) -> FileFacts:
            return facts_of(path, progress)

        def show(facts: FileFacts) -> None:
            recording = self._recordings.renamed(
                Recording(facts.content, plain_name(path.name), facts.rate, facts.frames, facts.channels)
            )
            rate = self._store.session.rate
            place = round(about.place / about.rate * rate)
            self._store.apply(
                lambda session: add_take(session, recording, about.track, place, about.tempo),
                tr("Record {0}", about.track),
            )
            self._recordings.bring(facts.content, path)
            clips = ((track, clip) for track, clip in self._store.session.clips)
            track = next((track.id for track, clip in clips if clip.recording == facts.content), None)
            if track is not None:
                self.brought.emit(track)
            self._kept.add(facts.content, path, held)
            length = facts.frames / facts.rate
            if why:
                self._tasks.error.emit(
                    tr("{0} ended: {2}. Its first {1:.1f} s were kept.", about.track, length, why)
                )
            else:
                told = f"{about.track}: {length:.1f} s"
                self._tasks.told.emit(tr("{0}, stored in the takes folder until you save the session", told))

        def fail(error: ChronotomeError) -> None:
            if why and not path.stat().st_size:
                discard(path)
                self._tasks.error.emit(
                    tr("{0} ended: {1}. Nothing was kept. Record the take again.", about.track, why)
                )
            elif not isinstance(error, Cancelled):
                self._tasks.error.emit(str(error))

        self._tasks.run(tr("Opening {0}", path.name), work, show, fail)

    def _look(self) -> None:
        running = self._running
        if running is not None and running.control is not self._player.control:
            self._tasks.error.emit(tr("The audio device restarted, so {0} ends here.", running.about.track))
            self.end()
            return
        if running is not None and running.problem is not None:
            self.end(running.problem)
            return
        self.heard.emit(self._player.input_peak(), 0 if running is None else self._player.take_frames)

    def _on_playing(self, is_playing: bool) -> None:  # noqa: FBT001 - a signal's
        if not is_playing:
            self.end()

    def _on_notes(self, notes: list[Note]) -> None:
        """Which session frame was heard as a frame of the take came in: at first, and while that holds."""
        running = self._running
        if running is None:
            return
        for note in notes:
            is_early = note.stamp < running.sounds_from * 1e9
            if note.kind != NoteKind.TAKE or note.frame == NOWHERE or is_early:
                continue
            place = note.frame - note.key - round(self.delay_seconds * running.about.rate)
            if not running.marks:
                running.about = _placed(running.about, place)
                describe(running.path, running.about)
            running.marks.append((note.key, place))


def _placed(about: TakeInfo, place: int) -> TakeInfo:
    return TakeInfo(about.track, about.rate, place, about.tempo)


def _writer(descriptor: int, offset: int, rate: int, file: int) -> "subprocess.Popen[bytes]":
    source = str(Path(chronotome.__file__).resolve().parent.parent)
    others = [path for path in os.environ.get("PYTHONPATH", "").split(os.pathsep) if Path(path).is_absolute()]
    command = [sys.executable, "-P", "-m", "chronotome.files.take_writer"]
    return subprocess.Popen(  # noqa: S603 - our own interpreter and module
        [*command, *map(str, (descriptor, offset, rate, os.getpid()))],
        pass_fds=(descriptor,),
        stdout=file,
        env={**os.environ, "PYTHONPATH": os.pathsep.join([source, *others])},
        start_new_session=True,  # what ends the window does not end it
    )
