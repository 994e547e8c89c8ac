"""MIDI in the audio process: ports come and go, the wanted ones are listened to, a clock goes out.

ALSA's sequencer where it is, else a JACK server; where neither is, it is looked for again.
"""

import contextlib
import threading
import time
from collections import deque
from collections.abc import Callable, Iterable
from typing import Any

from chronotome.engine.control import Control, SharedText
from chronotome.engine.jack_client import JackClient
from chronotome.engine.midi_messages import MidiMessages
from chronotome.engine.quiet import silent_stderr
from chronotome.errors import DeviceUnavailable

MISSING = "no MIDI here"
"""What begins the words where inputs would be named."""
WAIT_MILLISECONDS = 200
RETRY_SECONDS = 3.0
MOST_PORTS = 64
NEAR_SECONDS = 0.0005
"""So long before its moment what is sent is only waited for without sleeping."""
Sent = deque[tuple[float, bytes]]
"""What goes out: moments in seconds of the monotonic clock, and messages."""


class Midi:
    """One thread that reads, whoever brings the messages."""

    def __init__(
        self,
        control: Control,
        messages: MidiMessages,
        sent: Sent,
        jack_client: Callable[[], JackClient],
    ) -> None:
        self._control, self._messages, self._sent = control, messages, sent
        self._jack_client = jack_client
        self._quit = threading.Event()
        self._thread: threading.Thread | None = None

    def start(self) -> None:
        self._thread = threading.Thread(target=self._run, name="midi", daemon=True)
        self._thread.start()

    def stop(self) -> None:
        self._quit.set()
        if self._thread is not None:
            self._thread.join(1.0)

    def _run(self) -> None:
        why = self._through_alsa()
        while why and not self._quit.is_set():
            if not self._through_jack():
                self._control.midi.text = f"{MISSING} ({why})"
            self._quit.wait(RETRY_SECONDS)

    def _through_alsa(self) -> str:
        """Until it ends; or why there is none."""
        try:
            with silent_stderr():
                import alsa_midi  # noqa: PLC0415 - not there on every machine

                client = alsa_midi.SequencerClient("Chronotome")
        except Exception as error:  # noqa: BLE001 - a missing library, a missing device: both are no ALSA
            return str(error)
        with contextlib.closing(client):
            AlsaPorts(alsa_midi, client, self._control, self._messages, self._sent).run(self._quit)
        return ""

    def _through_jack(self) -> bool:
        """Until the server goes away; False where there is none."""
        try:
            client = self._jack_client()
            client.open_midi(self._messages.take, self._sent)
        except DeviceUnavailable:
            return False
        run_jack(client, self._control, self._messages, self._quit)
        client.close_midi()
        return True


class Wanted:
    """Names of ports that are chosen in the window, and whether others are by now."""

    def __init__(self, text: SharedText) -> None:
        self._text, self._serial = text, -1
        self.names: frozenset[str] = frozenset()

    def is_new(self) -> bool:
        if self._serial == self._text.serial:
            return False
        self._serial = self._text.serial
        self.names = frozenset(each for each in self._text.text.split("\n") if each)
        return True


class AlsaPorts:
    """One client of ALSA's sequencer: a port that hears, one that sends the clock."""

    def __init__(
        self, alsa_midi: Any, client: Any, control: Control, messages: MidiMessages, sent: Sent
    ) -> None:
        self._alsa, self._client, self._control, self._messages = alsa_midi, client, control, messages
        self._sent = sent
        self._port = client.create_port("keys", caps=alsa_midi.WRITE_PORT)
        self._clock = client.create_port("clock", caps=alsa_midi.READ_PORT)
        self._heard, self._told = Wanted(control.wanted_midi), Wanted(control.wanted_clock)
        self._inputs: dict[tuple[int, int], str] = {}
        self._outputs: dict[tuple[int, int], str] = {}

    def run(self, quits: threading.Event) -> None:
        """Read until told to quit."""
        with contextlib.suppress(self._alsa.ALSAError):
            self._port.connect_from(self._alsa.SYSTEM_ANNOUNCE)
        sender = threading.Thread(target=self._send, args=(quits,), name="midi clock", daemon=True)
        sender.start()
        while not quits.is_set():
            if self._heard.is_new() | self._told.is_new():
                self._connect()
            event = self._client.event_input(timeout=WAIT_MILLISECONDS)  # its seconds are milliseconds
            if event is not None:
                self._take(event)
            self._messages.tell_tempo()
        sender.join(1.0)

    def _take(self, event: Any) -> None:
        """A message is stamped as it comes; what comes or goes is looked for."""
        stamp, alsa = time.monotonic_ns(), self._alsa
        if isinstance(event, alsa.NoteOnEvent):
            self._messages.take(bytes([0x90 | event.channel, event.note, event.velocity]), stamp)
        elif isinstance(event, alsa.NoteOffEvent):
            self._messages.take(bytes([0x80 | event.channel, event.note, 0]), stamp)
        elif isinstance(event, alsa.ControlChangeEvent):
            self._messages.take(bytes([0xB0 | event.channel, event.param & 127, event.value & 127]), stamp)
        elif isinstance(event, alsa.SongPositionPointerEvent):
            self._messages.take(bytes([0xF2, event.value & 127, event.value >> 7 & 127]), stamp)
        elif isinstance(event, alsa.PortStartEvent | alsa.PortExitEvent):
            self._connect()
        else:
            for byte, kind in self._realtime:
                if isinstance(event, kind):
                    self._messages.take(bytes([byte]), stamp)

    @property
    def _realtime(self) -> list[tuple[int, Any]]:
        alsa = self._alsa
        return [
            (0xF8, alsa.ClockEvent),
            (0xFA, alsa.StartEvent),
            (0xFB, alsa.ContinueEvent),
            (0xFC, alsa.StopEvent),
        ]

    def _connect(self) -> None:
        """Join the ports that are wanted, and tell which there are; where none is named, all are heard."""
        inputs, outputs = self._ports(is_input=True), self._ports(is_input=False)
        self._join(
            self._port.connect_from, self._port.disconnect_from, self._inputs, inputs, self._heard.names
        )
        nobody = self._told.names or frozenset([""])
        self._join(self._clock.connect_to, self._clock.disconnect_to, self._outputs, outputs, nobody)
        self._control.midi.text = "\n".join(_distinct(inputs.values()))
        self._control.clocks.text = "\n".join(_distinct(outputs.values()))

    def _ports(self, *, is_input: bool) -> dict[tuple[int, int], str]:
        kind = {"input": True} if is_input else {"output": True}
        return {
            (each.client_id, each.port_id): f"{each.client_name}: {each.name}"
            for each in self._client.list_ports(**kind)[:MOST_PORTS]
            if each.client_id != self._client.client_id
        }

    def _join(
        self,
        connect: Callable[[tuple[int, int]], None],
        disconnect: Callable[[tuple[int, int]], None],
        joined: dict[tuple[int, int], str],
        found: dict[tuple[int, int], str],
        names: frozenset[str],
    ) -> None:
        for address in [each for each in joined if each not in found]:
            del joined[address]
        for address, name in found.items():
            is_wanted = not names or name in names
            with contextlib.suppress(self._alsa.ALSAError):  # gone again meanwhile
                if is_wanted and address not in joined:
                    connect(address)
                    joined[address] = name
                elif not is_wanted and address in joined:
                    disconnect(address)
                    del joined[address]

    def _send(self, quits: threading.Event) -> None:
        """What is due goes out at its moment."""
        while not quits.is_set():
            if not self._sent:
                quits.wait(0.002)
                continue
            moment, data = self._sent.popleft()
            wait = moment - time.monotonic() - NEAR_SECONDS
            if wait > 0:
                quits.wait(wait)
            while time.monotonic() < moment:
                pass
            with contextlib.suppress(self._alsa.ALSAError):
                self._client.event_output_direct(self._event(data), port=self._clock)

    def _event(self, data: bytes) -> Any:
        if data[0] == 0xF2:
            return self._alsa.SongPositionPointerEvent(0, data[1] + (data[2] << 7))
        return dict(self._realtime)[data[0]]()


def run_jack(client: JackClient, control: Control, messages: MidiMessages, quits: threading.Event) -> None:
    """See to a client's ports until told to quit, or the server is gone. It hears and sends by itself."""
    heard, told = Wanted(control.wanted_midi), Wanted(control.wanted_clock)
    while not quits.is_set() and not client.is_gone:
        client.has_news.clear()
        is_new = heard.is_new() | told.is_new()
        if is_new or client.has_other_ports:
            client.has_other_ports = False
            sources, targets = client.sources()[:MOST_PORTS], client.targets()[:MOST_PORTS]
            for each in sources:
                client.join(each, client.keys, is_joined=not heard.names or each.name in heard.names)
            for each in targets:
                client.join(client.clock, each, is_joined=each.name in told.names)
            control.midi.text = "\n".join(_distinct(each.name for each in sources))
            control.clocks.text = "\n".join(_distinct(each.name for each in targets))
        messages.tell_tempo()
        client.has_news.wait(WAIT_MILLISECONDS / 1000)


def _distinct(names: Iterable[str]) -> list[str]:
    return list(dict.fromkeys(names))
