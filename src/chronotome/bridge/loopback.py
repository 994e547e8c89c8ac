"""Measuring how late the input is: a train of bursts is played, and looked for in what comes back."""

import numpy as np
from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.keys import Keys
from chronotome.bridge.transport import Transport
from chronotome.dsp.loopback import delay_of, train
from chronotome.engine.key_player import NOWHERE
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.engine.player import Player
from chronotome.render.arena import Arena, Region

OPENING_MILLISECONDS = 700
"""So long a device may take until it hears."""
LOOK_MILLISECONDS = 50
READY_LOOKS = 100
ROUNDS = 3
"""Each opens the input anew: one opening does not stand for the next, and by how much they differ is told."""
SPARE_SECONDS = 0.7
"""Of the silence after the train that is not waited for: the song would follow."""


class Loopback(QObject):
    """One measurement, in a few rounds. The transport stands still meanwhile."""

    progressed = Signal(float)
    measured = Signal(object, float)
    """Seconds, or None where the bursts did not come back; and how loud the loudest sample was."""
    rounds = ROUNDS

    def __init__(  # noqa: PLR0917 - all that sounds and hears
        self,
        player: Player,
        transport: Transport,
        keys: Keys,
        arena: Arena,
        rate: int,
        parent: QObject,
    ) -> None:
        super().__init__(parent)
        self._player, self._keys, self._rate = player, keys, rate
        self._arena = arena
        self._region: Region | None = None
        self._train = train(rate)
        self.device = ""
        """What hears."""
        self.spread = 0.0
        """Seconds by which the rounds differ from their middle, at most."""
        self._delays: list[float] = []
        self._marks: list[int] = []
        self._elapsed = 0.0
        self._position = round(transport.position)
        self._transport = transport
        self._timer = QTimer(self)
        self._timer.setInterval(LOOK_MILLISECONDS)
        self._timer.timeout.connect(self._look)
        self.is_on = False

    def start(self) -> None:
        if not self.is_on:
            self._delays = []
            self._begin()

    def _begin(self) -> None:
        self.is_on = True
        self._transport.stop()
        self._marks, self._elapsed = [], 0.0
        self._region = self._arena.allocate(*self._train.shape)
        self._region.samples[:] = self._train
        self._player.start(self._rate)
        self._keys.played.connect(self._on_notes)
        self._keys.attend(is_taking=True)
        self._open(0)

    def _open(self, waited: int) -> None:
        """The input that goes with the output, once that is there."""
        state = self._player.state()
        if not self.is_on:
            return
        if not state.is_ready and waited < READY_LOOKS:
            QTimer.singleShot(LOOK_MILLISECONDS, self, lambda: self._open(waited + 1))
            return
        self._player.open_input(is_simulated=state.is_simulated)
        QTimer.singleShot(OPENING_MILLISECONDS, self, self._play)

    def _play(self) -> None:
        if self.is_on and self._region is not None:
            self._player.begin_take()
            self._player.play(self._position, self._region)
            self._timer.start()

    def _look(self) -> None:
        self._elapsed += LOOK_MILLISECONDS / 1000
        whole = len(self._train) / self._rate - SPARE_SECONDS
        self.progressed.emit((len(self._delays) + min(1.0, self._elapsed / whole)) / self.rounds)
        if self._elapsed >= whole:
            self._finish()

    def _on_notes(self, notes: list[Note]) -> None:
        """Which frame of the take came in as the train's first one was heard."""
        begins = self._position - len(self._train)
        for note in notes:
            if note.kind == NoteKind.TAKE and note.frame != NOWHERE:
                self._marks.append(note.key - (note.frame - begins))

    def _finish(self) -> None:
        heard, self.device = self._player.taken(), self._player.input_words
        self.end()
        delay = None
        if self._marks:
            delay = delay_of(heard, round(float(np.median(self._marks))), self._rate)
        loudest = float(np.abs(heard).max(initial=0.0))
        if delay is None:
            self.measured.emit(None, loudest)
            return
        self._delays.append(delay)
        if len(self._delays) < self.rounds:
            self._begin()
            return
        middle = float(np.median(self._delays))
        self.spread = max(abs(each - middle) for each in self._delays)
        self.measured.emit(middle, loudest)

    def end(self) -> None:
        """Silence; the input is closed."""
        if not self.is_on:
            return
        self.is_on = False
        self._timer.stop()
        self._player.stop()
        self._player.end_take()
        self._player.close_input()
        self._keys.attend(is_taking=False)
        self._keys.played.disconnect(self._on_notes)
        if self._region is not None:
            self._arena.free(self._region)
            self._region = None
