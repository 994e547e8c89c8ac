"""The kit that keys play: prepared in a thread, heard at once; what was played is told."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.engine.kit_table import KeySound, Note, NoteKind
from chronotome.engine.latest import Latest
from chronotome.engine.midi import MISSING
from chronotome.engine.player import Player
from chronotome.render.arena import Arena, Region
from chronotome.render.kit_sounds import SliceSound, kit_sounds
from chronotome.render.renderer import Sources
from chronotome.session.kits import Kit, KitId
from chronotome.session.model import Session

LISTEN_MILLISECONDS = 15
LIVE_BLOCK = 256
"""Frames that the device asks for at once while keys are played: 5.8 ms at 44.1 kHz."""
KEPT_KITS = 2
"""Of those that were on the keys before, memory is kept: voices may still sound in it."""


@dataclass(frozen=True, eq=False)
class _Request:
    session: Session
    kit: Kit
    sources: Sources


class Keys(QObject):
    """Keys of the computer, of pads, of scripts: one way in."""

    played = Signal(object)
    """A list of notes, each with the session frame that was heard when it was played."""
    changed = Signal()
    """Another kit is on the keys, or they are switched on or off."""
    _prepared = Signal(object, object)
    _failed = Signal(object)

    def __init__(
        self,
        store: Store,
        recordings: Recordings,
        player: Player,
        arena: Arena,
        parent: QObject | None = None,
    ) -> None:
        super().__init__(parent)
        self._store, self._recordings, self._player, self._arena = store, recordings, player, arena
        self._latest: Latest[_Request] = Latest(self._work, self._failed.emit, name="kit")
        self._kit: Kit | None = None
        self._asked: tuple[object, ...] = ()
        self._number: KitId | None = None
        self._old: list[list[Region]] = []
        self._sounds: dict[int, SliceSound] = {}
        self.is_on = self._is_taking = self._has_controls = False
        self._timer = QTimer(self)
        self._timer.setInterval(LISTEN_MILLISECONDS)
        self._timer.timeout.connect(self._listen)
        self._prepared.connect(self._on_prepared)  # queued: the worker emits it
        self._failed.connect(self._on_failed)
        store.changed.connect(self._on_session)
        recordings.source_ready.connect(self._on_session)

    @property
    def kit(self) -> Kit | None:
        """What is on the keys, as the session has it now."""
        return next((each for each in self._store.session.kits if each.id == self._number), None)

    @property
    def at_hand(self) -> Kit | None:
        """What is on the keys, else the kit that was made last."""
        kits = self._store.session.kits
        return self.kit or (kits[-1] if kits else None)

    @property
    def ready(self) -> int:
        """How many keys sound."""
        return len(self._sounds)

    def use(self, kit: KitId | None) -> None:
        """Another kit on the keys."""
        if kit != self._number:
            self._number = kit
            self._on_session()
            self.changed.emit()

    def switch(self, *, is_on: bool) -> None:
        """Listen to keys, or no longer."""
        if is_on is self.is_on:
            return
        self.is_on = is_on
        if is_on:
            self._player.use(block=min(LIVE_BLOCK, self._player.block))
            self._player.start(self._store.session.rate)
            self._player.notes_played()
        else:
            self._player.note(NoteKind.SILENCE, 0)
            self._listen()
        self._attend()
        self.changed.emit()

    def attend(self, *, is_taking: bool) -> None:
        """Hear what comes back while a take is recorded, too."""
        self._is_taking = is_taking
        self._attend()

    def attend_controls(self, *, is_on: bool) -> None:
        """Hear controls, whatever else is on."""
        self._has_controls = is_on
        self._attend()

    def _attend(self) -> None:
        if self.is_on or self._is_taking or self._has_controls:
            if not self._timer.isActive():
                self._player.notes_played()  # what nobody asked for is of a take before, or of none
            self._timer.start()
        else:
            self._timer.stop()

    def press(self, key: int, velocity: float = 1.0, *, stamp: int = 0) -> None:
        self._player.start(self._store.session.rate)
        self._player.note(NoteKind.START, key, velocity, stamp=stamp)

    def release(self, key: int, *, stamp: int = 0) -> None:
        self._player.note(NoteKind.RELEASE, key, stamp=stamp)

    def play_script(self, notes: Sequence[Note]) -> int:
        """Notes at their session frames, as they come by while it plays; how many were taken."""
        taken = 0
        for note in notes:
            if not self._player.note(NoteKind(note.kind), note.key, note.velocity, frame=note.frame):
                break
            taken += 1
        return taken

    @property
    def midi_words(self) -> str:
        """Names of MIDI inputs, a line each; or why there are none."""
        return self._player.midi_words

    @property
    def midi_missing(self) -> str:
        """Why there is no MIDI at all; empty where there is."""
        return self.midi_words if self.midi_words.startswith(MISSING) else ""

    def listen_to_midi(self, names: Sequence[str]) -> None:
        """Inputs that play the keys; none named: all."""
        self._player.listen_to_midi(names)

    def close(self) -> None:
        self._latest.close()

    def wait(self, seconds: float = 10.0) -> bool:
        """Wait until the kit that was asked for is rendered."""
        return self._latest.wait_idle(seconds)

    def _listen(self) -> None:
        notes = self._player.notes_played()
        if notes:
            self.played.emit(notes)

    def _on_session(self) -> None:
        """Another kit, other recordings of it, or, where it fits the song, another tempo."""
        kit, session = self.kit, self._store.session
        if kit is None:
            if self._asked:
                self._asked = ()
                self._player.set_kit({})
            return
        sources = self._recordings.pool.ready()
        needed = {each.recording for each in kit.slices}
        parts = [sources.get(each) for each in sorted(needed)]
        tempo = session.tempo if kit.fits_song else None
        asked: tuple[object, ...] = (kit, tempo, session.rate, *map(id, parts))
        if asked == self._asked:
            return
        self._asked = asked
        self._latest.ask(_Request(session, kit, {each: sources[each] for each in needed if each in sources}))

    def _work(self, request: _Request, is_wanted: Callable[[], bool]) -> None:
        sounds = kit_sounds(request.session, request.kit, request.sources, self._arena, is_wanted)
        self._prepared.emit(request, sounds)

    def _on_prepared(self, request: _Request, sounds: dict[int, SliceSound]) -> None:
        kit = request.kit
        on_key = {each.key: each for each in kit.slices}
        self._player.set_kit(
            {
                key: KeySound(
                    sound.offset,
                    sound.frames,
                    sound.left,
                    sound.right,
                    group=on_key[key].choke,
                    is_held=on_key[key].is_held,
                )
                for key, sound in sounds.items()
            }
        )
        self._old.append([sound.region for sound in self._sounds.values()])
        while len(self._old) > KEPT_KITS:
            for region in self._old.pop(0):
                self._arena.free(region)
        self._sounds, self._kit = sounds, kit
        self.changed.emit()

    def _on_failed(self, error: Exception) -> None:
        raise error
