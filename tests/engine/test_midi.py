"""MIDI inputs, with a made-up sequencer in the library's place: notes, hot-plug, choice; and none at all."""

import sys
import threading
import time
from collections import deque
from types import SimpleNamespace

import pytest

from chronotome.engine.control import Control, InTime, Word
from chronotome.engine.kit_table import NoteKind
from chronotome.engine.midi import Midi, Sent
from chronotome.engine.midi_messages import MidiMessages, control_name
from chronotome.errors import DeviceUnavailable


class Sequencer:
    """What of the library is used, and what a person does with cables."""

    def __init__(self) -> None:
        self.ports: list[SimpleNamespace] = []
        self.connected: set[tuple[int, int]] = set()
        self.told: set[tuple[int, int]] = set()
        self.sent: list[tuple[float, str]] = []
        self.events: list[SimpleNamespace] = []
        self.lock = threading.Lock()
        kinds = [
            "NoteOnEvent",
            "NoteOffEvent",
            "ControlChangeEvent",
            "SongPositionPointerEvent",
            "ClockEvent",
            "StartEvent",
            "ContinueEvent",
            "StopEvent",
            "PortStartEvent",
            "PortExitEvent",
        ]
        self.module = SimpleNamespace(
            SequencerClient=lambda _name: self,
            WRITE_PORT=1,
            READ_PORT=2,
            SYSTEM_ANNOUNCE=(0, 1),
            ALSAError=OSError,
            **{name: type(name, (SimpleNamespace,), {}) for name in kinds},
        )
        self.client_id = 128

    def create_port(self, name, caps):
        assert (name, caps) in {("keys", 1), ("clock", 2)}
        return SimpleNamespace(
            connect_from=self.connected.add,
            disconnect_from=self.connected.discard,
            connect_to=self.told.add,
            disconnect_to=self.told.discard,
        )

    def list_ports(self, *, input=False, output=False):  # noqa: A002 - as the library calls it
        assert input is not output
        return list(self.ports)

    def event_output_direct(self, event, port):
        assert port is not None
        self.sent.append((time.monotonic(), type(event).__name__))

    def event_input(self, timeout):
        assert timeout >= 100  # milliseconds, whatever the library says
        with self.lock:
            if self.events:
                return self.events.pop(0)
        time.sleep(0.005)
        return None

    def close(self):
        self.is_closed = True

    def happen(self, name, **values):
        with self.lock:
            self.events.append(getattr(self.module, name)(**values))

    def plug(self, number, name):
        self.ports.append(SimpleNamespace(client_id=number, port_id=0, client_name="Pads", name=name))
        self.happen("PortStartEvent")


@pytest.fixture
def sequencer(monkeypatch):
    made = Sequencer()
    monkeypatch.setitem(sys.modules, "alsa_midi", made.module)
    return made


def no_jack():
    raise DeviceUnavailable("no JACK server")


@pytest.fixture
def running(sequencer):
    control, notes, sent, orders = Control(), [], Sent(), deque()
    midi = Midi(control, MidiMessages(control, notes.append, orders), sent, no_jack)
    midi.start()
    yield SimpleNamespace(control=control, notes=notes, sent=sent, orders=orders)
    midi.stop()
    assert sequencer.is_closed


def wait(condition):
    for _ in range(400):
        if condition():
            return
        time.sleep(0.005)
    raise AssertionError("it did not happen")


def test_notes_are_stamped_and_counted_from_the_first_key(sequencer, running):
    before = time.monotonic_ns()
    sequencer.happen("NoteOnEvent", channel=0, note=38, velocity=64)
    sequencer.happen("NoteOnEvent", channel=0, note=38, velocity=0)
    sequencer.happen("NoteOffEvent", channel=9, note=36, velocity=9)
    sequencer.happen("NoteOnEvent", channel=0, note=12, velocity=64)
    sequencer.happen("ControlChangeEvent", channel=3, param=7, value=127)
    wait(lambda: len(running.notes) == 5)
    kinds = [(note.kind, note.key) for note in running.notes]
    assert kinds[:3] == [(NoteKind.START, 2), (NoteKind.RELEASE, 2), (NoteKind.RELEASE, 0)]
    assert {note.kind for note in running.notes[3:]} == {NoteKind.CONTROL}
    assert [control_name(note.key) for note in running.notes[3:]] == [(1, 12, True), (4, 7, False)]
    assert running.notes[4].velocity == 1.0
    assert running.notes[0].velocity == pytest.approx(64 / 127)
    assert before <= running.notes[0].stamp <= time.monotonic_ns()


def test_inputs_come_and_go_and_only_wanted_ones_play(sequencer, running):
    sequencer.plug(20, "left")
    wait(lambda: (20, 0) in sequencer.connected)
    assert running.control.midi.text == "Pads: left"
    running.control.wanted_midi.text = "Pads: right"
    wait(lambda: (20, 0) not in sequencer.connected)
    sequencer.plug(21, "right")
    wait(lambda: (21, 0) in sequencer.connected)
    sequencer.ports.clear()
    sequencer.happen("PortExitEvent")
    wait(lambda: running.control.midi.text == "")


def test_without_a_sequencer_it_says_so_and_goes_on(sequencer):
    def refuse(_name):
        raise OSError("No such file or directory")

    sequencer.module.SequencerClient = refuse
    control = Control()
    midi = Midi(control, MidiMessages(control, [].append, deque()), Sent(), no_jack)
    midi.start()
    wait(lambda: control.midi.text)
    assert control.midi.text == "no MIDI here (No such file or directory)"
    midi.stop()


def test_the_clock_goes_to_whom_it_is_wanted_at_its_moment(sequencer, running):
    sequencer.plug(20, "machine")
    wait(lambda: running.control.clocks.text == "Pads: machine")
    assert not sequencer.told
    running.control.wanted_clock.text = "Pads: machine"
    wait(lambda: sequencer.told == {(20, 0)})
    due = time.monotonic() + 0.05
    running.sent.extend([(due, bytes([0xFA])), (due, bytes([0xF8])), (due + 0.02, bytes([0xF8]))])
    wait(lambda: len(sequencer.sent) == 3)
    assert [name for _, name in sequencer.sent] == ["StartEvent", "ClockEvent", "ClockEvent"]
    for (at, _), when in zip(sequencer.sent, (due, due, due + 0.02), strict=True):
        assert 0 <= at - when < 0.02
    running.control.wanted_clock.text = ""
    wait(lambda: not sequencer.told)


def test_a_machines_clock_is_heard_only_where_it_is_wanted(sequencer, running):
    sequencer.happen("StartEvent")
    sequencer.happen("ClockEvent")
    sequencer.happen("NoteOnEvent", channel=0, note=40, velocity=1)
    wait(lambda: running.notes)
    assert not running.orders
    running.control.put(Word.IN_TIME, InTime.CLOCK)
    for name in ("StartEvent", "ClockEvent", "StopEvent"):
        sequencer.happen(name)
    wait(lambda: len(running.orders) == 2)
    assert [order.beat for order in running.orders] == [0.0, None]
