"""Notes from MIDI inputs, read in the audio process: ports come and go, the wanted ones are listened to."""

import contextlib
import threading
import time
from collections.abc import Callable, Iterable
from typing import Any

from chronotome.engine.control import Control
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.engine.quiet import silent_stderr

FIRST_NOTE = 36
"""The note of the first key of a kit."""
MISSING = "no MIDI here"
"""What begins the words where inputs would be named."""
WAIT_MILLISECONDS = 200
MOST_PORTS = 64
Put = Callable[[Note], None]


class MidiInput:
    """One client of the sequencer, read by a thread of its own. Without ALSA it says so once."""

    def __init__(self, control: Control, put: Put) -> None:
        self._control, self._put = control, put
        self._quit = threading.Event()
        self._thread: threading.Thread | None = None
        self._wanted: frozenset[str] = frozenset()
        self._is_all = True
        self._connected: dict[tuple[int, int], str] = {}

    def start(self) -> None:
        self._thread = threading.Thread(target=self._run, name="midi", daemon=True)
        self._thread.start()

    def stop(self) -> None:
        self._quit.set()
        if self._thread is not None:
            self._thread.join(1.0)

    def _run(self) -> None:
        try:
            with silent_stderr():
                import alsa_midi  # noqa: PLC0415 - not there on every machine

                client = alsa_midi.SequencerClient("Chronotome")
        except Exception as error:  # noqa: BLE001 - a missing library, a missing device: both are no MIDI
            self._control.midi.text = f"{MISSING} ({error})"
            return
        with contextlib.closing(client):
            port = client.create_port("keys", caps=alsa_midi.WRITE_PORT)
            with contextlib.suppress(alsa_midi.ALSAError):
                port.connect_from(alsa_midi.SYSTEM_ANNOUNCE)
            serial = -1
            while not self._quit.is_set():
                if serial != self._control.wanted_midi.serial:
                    serial = self._control.wanted_midi.serial
                    self._choose(self._control.wanted_midi.text)
                    self._connect(client, port, alsa_midi)
                event = client.event_input(timeout=WAIT_MILLISECONDS)  # its seconds are milliseconds
                if event is not None:
                    self._take(event, client, port, alsa_midi)

    def _choose(self, text: str) -> None:
        names = [each for each in text.split("\n") if each]
        self._is_all, self._wanted = not names, frozenset(names)

    def _take(self, event: Any, client: Any, port: Any, alsa_midi: Any) -> None:
        """A note is stamped as it comes; what comes or goes is looked for."""
        stamp = time.monotonic_ns()
        if isinstance(event, alsa_midi.NoteOnEvent) and event.velocity > 0:
            self._note(NoteKind.START, event.note, event.velocity / 127, stamp)
        elif isinstance(event, alsa_midi.NoteOnEvent | alsa_midi.NoteOffEvent):
            self._note(NoteKind.RELEASE, event.note, 1.0, stamp)
        elif isinstance(event, alsa_midi.PortStartEvent | alsa_midi.PortExitEvent):
            self._connect(client, port, alsa_midi)

    def _note(self, kind: NoteKind, note: int, velocity: float, stamp: int) -> None:
        if note >= FIRST_NOTE:
            self._put(Note(kind, note - FIRST_NOTE, velocity, stamp))

    def _connect(self, client: Any, port: Any, alsa_midi: Any) -> None:
        """Listen to the ports that are wanted, and tell which there are."""
        found = {}
        for each in client.list_ports(input=True)[:MOST_PORTS]:
            if each.client_id != client.client_id:
                found[each.client_id, each.port_id] = f"{each.client_name}: {each.name}"
        self._connected = {address: name for address, name in self._connected.items() if address in found}
        for address, name in found.items():
            is_wanted = self._is_all or name in self._wanted
            with contextlib.suppress(alsa_midi.ALSAError):  # gone again meanwhile
                if is_wanted and address not in self._connected:
                    port.connect_from(address)
                    self._connected[address] = name
                elif not is_wanted and address in self._connected:
                    port.disconnect_from(address)
                    del self._connected[address]
        self._control.midi.text = "\n".join(_distinct(found.values()))


def _distinct(names: Iterable[str]) -> list[str]:
    return list(dict.fromkeys(names))
