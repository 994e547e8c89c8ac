"""MIDI inputs, with a made-up sequencer in the library's place: notes, hot-plug, choice; and none at all."""

import sys
import threading
import time
from types import SimpleNamespace

import pytest

from chronotome.engine.control import Control
from chronotome.engine.kit_table import NoteKind
from chronotome.engine.midi import MidiInput


class Sequencer:
    """What of the library is used, and what a person does with cables."""

    def __init__(self) -> None:
        self.ports: list[SimpleNamespace] = []
        self.connected: set[tuple[int, int]] = set()
        self.events: list[SimpleNamespace] = []
        self.lock = threading.Lock()
        kinds = ("NoteOnEvent", "NoteOffEvent", "PortStartEvent", "PortExitEvent")
        self.module = SimpleNamespace(
            SequencerClient=lambda _name: self,
            WRITE_PORT=1,
            SYSTEM_ANNOUNCE=(0, 1),
            ALSAError=OSError,
            **{name: type(name, (SimpleNamespace,), {}) for name in kinds},
        )
        self.client_id = 128

    def create_port(self, _name, caps):
        assert caps == 1
        return SimpleNamespace(connect_from=self.connected.add, disconnect_from=self.connected.discard)

    def list_ports(self, *, input):  # noqa: A002 - as the library calls it
        assert input
        return list(self.ports)

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


@pytest.fixture
def running(sequencer):
    control, notes = Control(), []
    midi = MidiInput(control, notes.append)
    midi.start()
    yield SimpleNamespace(control=control, notes=notes)
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
    sequencer.happen("NoteOnEvent", note=38, velocity=64)
    sequencer.happen("NoteOnEvent", note=38, velocity=0)
    sequencer.happen("NoteOffEvent", note=36, velocity=9)
    sequencer.happen("NoteOnEvent", note=12, velocity=64)
    wait(lambda: len(running.notes) == 3)
    kinds = [(note.kind, note.key) for note in running.notes]
    assert kinds == [(NoteKind.START, 2), (NoteKind.RELEASE, 2), (NoteKind.RELEASE, 0)]
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
    midi = MidiInput(control, [].append)
    midi.start()
    wait(lambda: control.midi.text)
    assert control.midi.text == "no MIDI here (No such file or directory)"
    midi.stop()
