"""JACK's client with a made-up server: what is left out, late, and asked of it."""

import sys
from types import SimpleNamespace

import numpy as np
import pytest

from chronotome.engine import jack_client
from chronotome.engine.jack_client import JackClient
from chronotome.errors import DeviceUnavailable

RATE, FRAMES = 48000, 256


class Port:
    def __init__(self, name):
        self.shortname, self.name, self.block = name, f"Chronotome:{name}", np.zeros(FRAMES, np.float32)

    def get_array(self):
        return self.block

    def unregister(self):
        self.name = ""


class Server:
    """What of the library is used; `cycle` runs one that begins at a frame."""

    def __init__(self):
        self.samplerate, self.blocksize, self.last_frame_time, self.frame_time = RATE, FRAMES, 1000, 1000
        registers = SimpleNamespace(register=Port)
        self.inports = self.outports = self.midi_inports = self.midi_outports = registers
        self.is_active = False

    def __getattr__(self, name):
        return lambda *_values, **_named: setattr(self, f"{name}_with", _values)

    def activate(self):
        self.is_active = True

    def get_ports(self, **_kinds):
        return []

    def cycle(self, client, began, value=0.0):
        self.last_frame_time = began
        for port in client.heard:
            port.block[:] = value
        client._on_cycle(FRAMES)


@pytest.fixture
def server(monkeypatch):
    made = Server()
    module = SimpleNamespace(
        Client=lambda *_name, **_options: made,
        set_error_function=lambda _tell: None,
        set_info_function=lambda _tell: None,
        JackError=RuntimeError,
    )
    monkeypatch.setitem(sys.modules, "jack", module)
    monkeypatch.setattr(jack_client, "_latency_of", lambda _library: lambda _port, _way: 480)
    return made


def test_what_was_left_out_is_silent_and_a_cycle_that_is_late_leaves_nothing_out(server):
    client, heard = JackClient(), []
    assert server.is_active
    client.open_input(lambda block, came: heard.append((came, block[:, 0].copy())))
    begins = [1000, 1256, 1768, 1768, 2024, 3304, 3560, 3816]  # the third is late; 1,024 are left out
    for number, began in enumerate(begins, 1):
        server.cycle(client, began, number)
    whole = np.concatenate([block for _, block in heard])
    silence = [0.0] * 4
    assert whole[::FRAMES].tolist() == [1, 2, 3, 4, 5, *silence, 6, 7, 8]
    came = np.array([moment for moment, _ in heard])
    begun = np.cumsum([0, *(len(block) for _, block in heard)])[:-1]
    assert came - came[0] == pytest.approx(begun / RATE, abs=0.002)


def test_a_dropout_is_counted_where_something_sounds(server):
    client, sounds = JackClient(), [True]
    client.open_output(lambda out, _when: (out.fill(0.5), sounds[0])[1])
    for began in (1000, 1256, 2048 + 1512, 2048 + 1768):
        server.cycle(client, began)
    assert client.dropouts == 1
    assert (client.main[1].block == 0.5).all()
    sounds[0] = False
    for began in (9000, 9256):
        server.cycle(client, began)
    assert client.dropouts == 1


def test_without_a_server_and_with_one_that_hangs_it_is_said(server, monkeypatch):
    module = sys.modules["jack"]

    def refuse(_name, no_start_server):
        assert no_start_server
        raise RuntimeError("no server")

    module.Client = refuse
    with pytest.raises(DeviceUnavailable, match="no JACK server"):
        JackClient()
    released = []
    monkeypatch.setattr(jack_client, "OPEN_SECONDS", 0.05)

    def hang(_name, no_start_server):
        while not released:
            pass
        raise RuntimeError(no_start_server)

    module.Client = hang
    for _ in range(2):
        with pytest.raises(DeviceUnavailable, match="JACK does not answer"):
            JackClient()
    assert len(jack_client._hanging) == 1
    released.append(True)
    jack_client._hanging.pop().join()


def test_a_server_that_is_going_takes_no_ports_and_that_is_said(server):
    client = JackClient()

    def refuse(_name):
        raise RuntimeError("port registration failed")

    server.outports.register = refuse
    ways = (
        lambda: client.open_output(None),
        lambda: client.open_input(None),
        lambda: client.open_midi(None, None),
    )
    for open_it in ways:
        with pytest.raises(DeviceUnavailable, match="JACK takes no port"):
            open_it()
