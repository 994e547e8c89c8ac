"""In time with others: what is wanted, whether it is so, and the tempo of a clock that comes in."""

from collections.abc import Sequence

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.store import Store
from chronotome.bridge.transport import Transport
from chronotome.engine.control import InTime
from chronotome.engine.player import Player
from chronotome.render.mix import CLICK, FIRST_TRACK
from chronotome.words import tr

LOOK_MILLISECONDS = 250
HUNDREDTHS = 100


class InTimeSwitch(QObject):
    """The switch for the interface thread; the audio process does the rest."""

    changed = Signal()
    """Others are there or gone, or the clock has another tempo, to a hundredth."""

    def __init__(self, store: Store, player: Player, transport: Transport) -> None:
        super().__init__(store)
        self._store, self._player, self._transport = store, player, transport
        self._ports = "main"
        self._given: list[tuple[int, str]] = []
        self._told = ""
        self._timer = QTimer(self)
        self._timer.setInterval(LOOK_MILLISECONDS)
        self._timer.timeout.connect(self._look)
        store.watch(self, self._on_tracks, lambda session: session.tracks)

    @property
    def wanted(self) -> InTime:
        return self._player.wanted_in_time

    def use(self, wanted: InTime) -> None:
        """Be in time with that from now on."""
        if wanted is self.wanted:
            return
        self._transport.keep_in_time(wanted)
        if wanted is InTime.NOTHING:
            self._timer.stop()
        else:
            self._timer.start()
        self._look()

    def give_ports(self, which: str) -> None:
        """Outputs of their own on JACK: for nothing (`main`), the `click`, or each of the `tracks` too."""
        self._ports = which
        self._on_tracks()

    def _on_tracks(self) -> None:
        buses = [] if self._ports == "main" else [(CLICK, "click")]
        if self._ports == "tracks":
            names = [track.name for track in self._store.session.tracks]
            buses += [(FIRST_TRACK + number, name) for number, name in enumerate(names)]
        if buses != self._given:
            self._given = buses
            self._player.give_ports(buses)

    def send_clock(self, names: Sequence[str]) -> None:
        """MIDI outputs that hear the song's clock."""
        self._player.send_clock(names)

    @property
    def clock_outputs(self) -> list[str]:
        """Names of MIDI outputs that a clock can go to."""
        return [each for each in self._player.clock_words.split("\n") if each]

    @property
    def tempo(self) -> float | None:
        """Beats a minute of the clock that comes in, to a hundredth; None without one."""
        tempo = self._player.clock_tempo
        return None if tempo is None else round(tempo * HUNDREDTHS) / HUNDREDTHS

    @property
    def words(self) -> str:
        """How it is, for the status line; empty where nothing is followed."""
        if self.wanted is InTime.JACK:
            is_there = self._player.in_time is InTime.JACK
            return tr("in sync with JACK") if is_there else tr("JACK is not the audio output")
        if self.wanted is InTime.CLOCK:
            tempo = self.tempo
            return tr("no MIDI clock") if tempo is None else tr("MIDI clock {0:.2f} bpm", tempo)
        return ""

    def _look(self) -> None:
        if self.words != self._told:
            self._told = self.words
            self.changed.emit()
