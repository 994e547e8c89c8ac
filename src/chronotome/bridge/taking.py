"""A take from the sound input: written as it comes by a process of its own, and a recording once it ends."""

import os
import subprocess
import sys
from pathlib import Path

from PySide6.QtCore import QObject, QTimer, Signal

import chronotome
from chronotome.bridge.keys import Keys
from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.bridge.transport import Transport
from chronotome.engine.key_player import NOWHERE
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.engine.player import Player
from chronotome.files.audio_file import FileFacts, facts_of, load_source
from chronotome.files.names import plain_name
from chronotome.files.takes import About, LeftBehind, describe, new_take, settle
from chronotome.progress import Progress
from chronotome.render.arena import Arena
from chronotome.render.pool import Source
from chronotome.session.edits.recordings import add_take
from chronotome.session.model import Recording

LOOK_MILLISECONDS = 50
END_SECONDS = 5.0


class Taking(QObject):
    """One take at a time."""

    changed = Signal()
    """It begins or ends."""
    heard = Signal(float, int)
    """How loud the input is, and how many frames were recorded."""

    def __init__(  # noqa: PLR0917 - all that a take passes through
        self,
        store: Store,
        tasks: Tasks,
        recordings: Recordings,
        transport: Transport,
        keys: Keys,
        player: Player,
        arena: Arena,
    ) -> None:
        super().__init__(store)
        self._store, self._tasks, self._recordings = store, tasks, recordings
        self._transport, self._keys, self._player, self._arena = transport, keys, player, arena
        self._writer: subprocess.Popen[bytes] | None = None
        self._path: Path | None = None
        self._about: About | None = None
        self._place: int | None = None
        self._performance: Source | None = None
        self.delay_seconds = 0.0
        """By which the input comes later than the device says."""
        self._timer = QTimer(self)
        self._timer.setInterval(LOOK_MILLISECONDS)
        self._timer.timeout.connect(self._look)
        keys.played.connect(self._on_notes)
        transport.playing_changed.connect(self._on_playing)

    @property
    def is_on(self) -> bool:
        return self._writer is not None

    @property
    def words(self) -> str:
        """What the input is."""
        return self._player.input_words

    def begin(self, *, is_simulated: bool, performance: Path | None = None) -> None:
        """Record from now on, and play; the performance is what the simulated input plays.

        Raises
        ------
        CannotWrite, UnusableFile
        """
        if self.is_on:
            return
        session = self._store.session
        if is_simulated and performance is not None:
            facts = facts_of(performance)
            self._performance = load_source(facts, self._arena, session.rate)
        path, file = new_take()
        self._player.start(session.rate)
        region = None if self._performance is None else self._performance.region
        descriptor, offset = self._player.begin_take(is_simulated=is_simulated, performance=region)
        try:
            self._writer = _writer(descriptor, offset, session.rate, file)
        finally:
            os.close(file)
        number = 1 + sum(track.name.startswith("Take ") for track in session.tracks)
        self._about = About(f"Take {number}", session.rate, 0, session.tempo.beats_per_minute)
        self._path, self._place = path, None
        describe(path, self._about)
        self._keys.attend(is_taking=True)
        self._timer.start()
        self._transport.play()
        self.changed.emit()

    def end(self) -> None:
        """The take is a recording of the session from now on."""
        writer, path, about = self._writer, self._path, self._about
        if writer is None or path is None or about is None:
            return
        self._player.end_take()
        self._timer.stop()
        lost = self._player.take_lost
        try:
            writer.wait(END_SECONDS)
        except subprocess.TimeoutExpired:
            writer.terminate()
        self._writer = None
        self._keys.attend(is_taking=False)
        self._performance = None
        if lost:
            self._tasks.error.emit(
                f"“{path.name}” lacks {lost / about.rate:.1f} s: the disk was too slow for that long."
            )
        self.bring(LeftBehind(path, about))
        self.changed.emit()

    def bring(self, take: LeftBehind) -> None:
        """A take as a recording on a track of its own, where it was heard."""
        path, about = take.path, take.about

        def work(progress: Progress) -> FileFacts:
            return facts_of(path, progress)

        def show(facts: FileFacts) -> None:
            recording = self._recordings.renamed(
                Recording(facts.content, plain_name(path.name), facts.rate, facts.frames, facts.channels)
            )
            rate = self._store.session.rate
            place = round((about.place / about.rate - self.delay_seconds) * rate)
            self._store.apply(
                lambda session: add_take(session, recording, about.track, place), f"Record {about.track}"
            )
            self._recordings.bring(facts.content, path)
            settle(path)
            self._tasks.told.emit(f"{about.track}: {facts.frames / facts.rate:.1f} s, kept as “{path.name}”")

        self._tasks.run(f"Opening {path.name}", work, show)

    def _look(self) -> None:
        self.heard.emit(self._player.input_peak(), self._player.take_frames)

    def _on_playing(self, is_playing: bool) -> None:  # noqa: FBT001 - a signal's
        if not is_playing:
            self.end()

    def _on_notes(self, notes: list[Note]) -> None:
        """The first time that it is known which session frame was heard as a frame of the take came in."""
        if not self.is_on or self._place is not None or self._about is None or self._path is None:
            return
        for note in notes:
            if note.kind == NoteKind.TAKE and note.frame != NOWHERE:
                self._place = note.frame - note.key
                about = self._about
                self._about = About(about.track, about.rate, self._place, about.tempo)
                describe(self._path, self._about)
                return


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
