"""What is played on keys while it plays, written into a pattern: kept as it was played, round after round."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from PySide6.QtCore import QObject, Signal

from chronotome.bridge.keys import Keys
from chronotome.bridge.store import Store
from chronotome.bridge.transport import Transport
from chronotome.engine.key_player import NOWHERE
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.session.edits.clips import Place
from chronotome.session.edits.patterns import change_pattern
from chronotome.session.model import Session, Take
from chronotome.session.patterns import Pattern, PatternId
from chronotome.words import tr

SOFTEST = -40.0
EARLY = 0.25
"""Quarter notes before the clip's start that still mean its start."""


@dataclass
class _Played:
    piece: int
    place: float
    loudness: float
    key: int
    beat: float
    length: float = 0.0
    is_held: bool = False


class PlayingIn(QObject):
    """Each round is one step of undo; the last one is taken back by one key while it runs."""

    changed = Signal()

    def __init__(self, store: Store, transport: Transport, keys: Keys) -> None:
        super().__init__(store)
        self._store, self._transport, self._keys = store, transport, keys
        self._place: Place | None = None
        self._pattern: PatternId | None = None
        self._round: list[_Played] = []
        self._label, self._number, self._last = "", 0, -np.inf
        self._labels = set[str]()
        """Of passes: the steps of undo that taking back may undo."""
        self._is_begun = False
        keys.played.connect(self._on_played)
        transport.moved.connect(self._on_moved)
        transport.playing_changed.connect(self._on_playing)

    @property
    def is_on(self) -> bool:
        return self._place is not None

    @property
    def played(self) -> int:
        """Notes in the round that runs."""
        return len(self._round)

    def begin(self, place: Place, pattern: PatternId) -> None:
        """From now on what is played goes into a pattern that a clip plays."""
        self._place, self._pattern, self._number = place, pattern, 0
        self._new_round()
        self.changed.emit()

    def end(self) -> None:
        if self.is_on:
            self._place = self._pattern = None
            self._round = []
            self.changed.emit()

    def take_back(self) -> bool:
        """The last round, as it is so far, or the one before it; False where there is none."""
        if not self.is_on or self._store.history.undo_label not in self._labels:
            return False
        self._store.undo()
        self._new_round()
        self.changed.emit()
        return True

    def _new_round(self) -> None:
        self._number += 1
        self._round, self._is_begun = [], False
        self._label = tr("Record pattern, pass {0}", self._number)
        self._labels.add(self._label)

    def _on_moved(self, frame: float) -> None:
        """Back at the loop's start: another round."""
        if self.is_on and frame < self._last and self._round:
            self._new_round()
            self.changed.emit()
        self._last = frame

    def _on_playing(self, is_playing: bool) -> None:  # noqa: FBT001 - a signal's
        if not is_playing:
            self.end()

    def _on_played(self, notes: list[Note]) -> None:
        if not self.is_on:
            return
        is_new = False
        for note in notes:
            if note.frame == NOWHERE:
                continue
            if note.kind == NoteKind.START:
                is_new |= self._start(note)
            elif note.kind == NoteKind.RELEASE:
                is_new |= self._release(note)
        if is_new:
            self._write()

    def _start(self, note: Note) -> bool:
        session, kit = self._store.session, self._keys.kit
        piece = None if kit is None else kit.on_key(note.key)
        take = self._take(session)
        if piece is None or take is None or take.playing is None:
            return False
        beat = session.beat_of(note.frame)
        along = beat - take.beat
        pattern = session.pattern(take.playing.pattern)
        if not -EARLY <= along < take.playing.beats:
            return False
        place = float(max(0.0, along) % pattern.beats)
        loudness = float(max(SOFTEST, 20 * np.log10(max(1e-3, note.velocity))))
        held = piece.is_held
        self._round.append(_Played(piece.id, place, round(loudness, 2), note.key, beat, is_held=held))
        return True

    def _release(self, note: Note) -> bool:
        """How long a slice sounds that sounds only as long as its key is held."""
        beat = self._store.session.beat_of(note.frame)
        for each in reversed(self._round):
            if each.key == note.key and each.is_held and not each.length:
                each.length = float(max(1 / 64, beat - each.beat))
                return True
        return False

    def _take(self, session: Session) -> Take | None:
        found = (clip.take for track, clip in session.clips if (track.id, clip.id) == self._place)
        return next(found, None)

    def _write(self) -> None:
        """The round so far, as one step of undo that grows."""
        if self._is_begun and self._store.history.undo_label != self._label:
            last = self._round[-1:]  # somebody did something else meanwhile: what was there stays
            self._new_round()
            self._round = last
        columns: dict[str, Sequence[float]] = {
            "slices": [each.piece for each in self._round],
            "places": [each.place for each in self._round],
            "loudness": [each.loudness for each in self._round],
            "lengths": [each.length for each in self._round],
        }
        number = self._pattern
        if number is None:
            return

        def add(old: Pattern) -> Pattern:
            return old.with_steps(columns)

        self._store.apply_again(lambda session: change_pattern(session, number, add), self._label)
        self._is_begun = True
        self.changed.emit()
