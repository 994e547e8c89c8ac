"""The real device's side of the interface, with a stand-in for the library that opens it."""

import os
import sys
import time
from types import SimpleNamespace

import numpy as np
import pytest

from chronotome.engine.block_clock import BlockClock
from chronotome.engine.input import PortAudioInput
from chronotome.engine.output import CALM_SECONDS, PortAudioOutput, SimulatedOutput, buffer_seconds
from chronotome.engine.player import Player
from chronotome.errors import DeviceUnavailable
from chronotome.render.arena import Arena

RATE, BLOCK = 48000, 256


class Stream:
    """What the library gives: it calls back, and may end."""

    def __init__(self, **settings):
        self.settings, self.active, self.closed, self.latency, self.device = settings, False, 0, 0.02, 3

    def start(self):
        self.active = True

    def close(self):
        self.closed += 1
        raise RuntimeError("some devices do not like to be closed")

    def block_at(self, due):
        out = np.ones((BLOCK, 2), np.float32)
        self.settings["callback"](
            out, BLOCK, SimpleNamespace(outputBufferDacTime=due, currentTime=due - 0.02), None
        )
        return out


@pytest.fixture
def library(monkeypatch):
    opened = []

    def stream(**settings):
        opened.append(Stream(**settings))
        return opened[-1]

    module = SimpleNamespace(
        OutputStream=stream, query_devices=lambda _number: {"name": "Ferry bell"}, opened=opened
    )
    monkeypatch.setitem(sys.modules, "sounddevice", module)
    return module


def fill(value, *, sounds=True):
    def process(out, _moment):
        out.fill(value)
        return sounds

    return process


def test_the_device_is_opened_as_it_is_wanted_and_says_its_name(library):
    output = PortAudioOutput(fill(0.5), rate=RATE, block=BLOCK, device="bell")

    settings = library.opened[0].settings
    assert (settings["samplerate"], settings["blocksize"], settings["device"]) == (RATE, BLOCK, "bell")
    assert settings["latency"] == "low"
    assert output.words == "Ferry bell"
    assert output.latency == 0.02


@pytest.mark.parametrize(
    ("block", "rate", "ready"), [(512, 48000, CALM_SECONDS), (512, 96000, 0.0), (256, 48000, 0.0)]
)
def test_calm_blocks_lie_ready_and_quick_ones_do_not(library, block, rate, ready):
    PortAudioOutput(fill(0.0), rate=rate, block=block)

    assert buffer_seconds(block, rate) == ready
    assert library.opened[0].settings["latency"] == (ready or "low")


def test_blocks_are_filled_and_a_gap_in_their_time_is_a_dropout(library):
    output = PortAudioOutput(fill(0.5), rate=RATE, block=BLOCK)
    stream, period = library.opened[0], BLOCK / RATE
    output.start()

    for number in range(4):
        assert (stream.block_at(10 + number * period) == 0.5).all()
    assert output.dropouts == 0
    stream.block_at(10 + 6 * period)
    stream.block_at(10 + 7 * period)

    assert output.dropouts == 1


@pytest.mark.parametrize("says", [0.12, 89478.0], ids=["its latency", "nonsense"])
def test_blocks_that_come_three_at_a_time_sound_one_after_the_other(library, monkeypatch, says):
    """Each burst is asked for up to 16 ms late; what is told of a block is when its burst sounds."""
    chance, moments, now = np.random.default_rng(3), [], [0.0]

    def process(_out, moment):
        moments.append(moment)
        return True

    output = PortAudioOutput(process, rate=RATE, block=BLOCK)
    monkeypatch.setattr("chronotome.engine.output.time", SimpleNamespace(monotonic=lambda: now[0]))
    for number in range(900):
        if number % 3 == 0:
            now[0] = 50 + (number + chance.uniform(0, 3)) * BLOCK / RATE
        sounds = 50 + (number - number % 3) * BLOCK / RATE + 0.12
        times = SimpleNamespace(currentTime=now[0], outputBufferDacTime=sounds if says < 1 else now[0] + says)
        library.opened[0].settings["callback"](np.ones((BLOCK, 2), np.float32), BLOCK, times, None)

    off = np.diff(moments[300:]) - BLOCK / RATE
    assert np.abs(off).max() < 0.0006
    assert output.latency == pytest.approx(0.12 if says < 1 else 0.02, abs=0.01)


def test_a_device_whose_words_wander_is_believed_when_it_calls(library, monkeypatch):
    """Four blocks a call, each word up to 20 ms off for seconds; the machine stalls now and then."""
    chance, moments, now, wrong = np.random.default_rng(5), [], [0.0], 0.0
    PortAudioOutput(lambda _out, moment: moments.append(moment) or True, rate=RATE, block=BLOCK)
    monkeypatch.setattr("chronotome.engine.output.time", SimpleNamespace(monotonic=lambda: now[0]))
    for number in range(6000):
        if number % 4 == 0:
            now[0] = 50 + number * BLOCK / RATE + (0.03 if number % 1000 == 0 else chance.uniform(0, 0.0001))
        if number % 150 == 0:
            wrong = chance.uniform(-0.02, 0.02)
        sounds = 50 + number * BLOCK / RATE + 0.12 + wrong
        times = SimpleNamespace(currentTime=now[0], outputBufferDacTime=sounds)
        library.opened[0].settings["callback"](np.ones((BLOCK, 2), np.float32), BLOCK, times, None)

    off = np.diff(moments[2000:]) - BLOCK / RATE
    assert np.abs(off).max() < 0.0008
    assert np.abs(np.array(moments[2000:]) - 50.12 - np.arange(2000, 6000) * BLOCK / RATE).max() < 0.02
    quarter = np.array(moments[2000:])[::23]
    assert np.diff(quarter).std() < 0.0003


def test_an_input_whose_words_wander_is_as_late_in_every_take():
    """As PipeWire says it: the first two of four blocks wander by 20 ms, the last is a block old always."""
    period, places = BLOCK / RATE, []
    for seed in range(4):
        clock, chance, said = BlockClock(RATE, 0.0, BLOCK), np.random.default_rng(seed), 0.0
        for number in range(1200):
            now = 50 + (number - number % 4) * period + chance.uniform(0, 0.0001)
            said = chance.uniform(0, 0.02) if number % 60 == 0 else said
            ago = (said, max(0.0, said - period), period, period)[number % 4]
            came = clock.came_at(now, ago, BLOCK)
        places.append(came - 50 - number * period)
    assert np.ptp(places) < 0.001
    assert np.mean(places) == pytest.approx(-4 * period, abs=0.002)


def test_a_device_that_begins_anew_is_believed_by_its_words_until_its_calls_are_known():
    """Even calls and wandering words, a stall of a second, then right words and ragged calls."""
    clock, chance, period = BlockClock(RATE, 0.1, BLOCK), np.random.default_rng(6), BLOCK / RATE
    for number in range(1500):
        clock.sounds_at(50 + number * period, 0.1 + chance.uniform(-0.02, 0.02), BLOCK)
    off = []
    for number in range(1500, 1600):
        true = 51 + number * period
        now = true + chance.uniform(0, 0.03)
        off.append(clock.sounds_at(now, true + 0.1 - now, BLOCK) - true - 0.1)
    assert np.abs(off).max() < 0.001


def test_a_device_that_says_nonsense_has_two_blocks_of_latency(library):
    library.OutputStream = lambda **settings: SimpleNamespace(
        **vars(Stream(**settings)) | {"latency": 89478.0}
    )

    assert PortAudioOutput(fill(0.0), rate=RATE, block=BLOCK).latency == 2 * BLOCK / RATE


def test_silence_that_comes_late_is_no_dropout(library):
    output = PortAudioOutput(fill(0.0, sounds=False), rate=RATE, block=BLOCK)

    library.opened[0].block_at(10)
    library.opened[0].block_at(20)

    assert output.dropouts == 0


def test_a_device_that_ends_is_no_longer_alive(library):
    output = PortAudioOutput(fill(0.0), rate=RATE, block=BLOCK)
    assert not output.is_alive
    output.start()
    assert output.is_alive

    library.opened[0].settings["finished_callback"]()

    assert not output.is_alive
    output.stop()
    assert library.opened[0].closed == 1


def test_a_device_that_calls_no_more_is_dead_though_it_says_it_is_active(library, monkeypatch):
    now = [100.0]
    monkeypatch.setattr("chronotome.engine.output.time", SimpleNamespace(monotonic=lambda: now[0]))
    output = PortAudioOutput(fill(0.0), rate=RATE, block=BLOCK)
    output.start()
    now[0] += 2.0
    library.opened[0].block_at(10)
    now[0] += 2.0
    assert output.is_alive

    now[0] += 0.2

    assert not output.is_alive


SERVER = """
import os, threading, time
SERVER = os.environ["FERRY_SERVER"]
def _terminate(): pass
def _initialize(): pass
def query_devices(*_): return {"name": "Ferry bell"}
class OutputStream:
    device, active, latency = 0, True, 0.02
    def __init__(self, blocksize, callback, **_):
        if not os.path.exists(SERVER):
            raise RuntimeError("nobody is there")
        self.block, self.call = blocksize, callback
    def start(self):
        threading.Thread(target=self.run, daemon=True).start()
    def run(self):
        os.write(2, b"Expression failed")
        import numpy as np
        from types import SimpleNamespace
        while os.path.exists(SERVER):
            now = time.monotonic()
            times = SimpleNamespace(currentTime=now, outputBufferDacTime=now + 0.02)
            self.call(np.zeros((self.block, 2), np.float32), self.block, times, None)
            time.sleep(self.block / 48000)
    def close(self):
        time.sleep(1000)  # as where its server died
"""


def test_a_server_that_dies_and_comes_back_is_heard_again_where_it_was(tmp_path, monkeypatch, capfd):
    server = tmp_path / "server"
    server.touch()
    (tmp_path / "sounddevice.py").write_text(SERVER)
    monkeypatch.setenv("PYTHONPATH", os.pathsep.join([str(tmp_path), os.environ.get("PYTHONPATH", "")]))
    monkeypatch.setenv("FERRY_SERVER", str(server))
    player = Player(Arena(), output="auto", block=512)

    def until(words):
        began = time.monotonic()
        while words not in player.state().device or not player.state().is_ready:
            assert time.monotonic() - began < 20
            player.revive()
            time.sleep(0.02)
        return time.monotonic() - began

    try:
        player.start(RATE)
        until("Ferry bell")
        player.seek(48000)
        time.sleep(0.1)
        server.unlink()
        until("simulated output: the sound device was lost")
        server.touch()
        until("Ferry bell")
        assert player.state().position == 48000
    finally:
        player.close()
    assert capfd.readouterr().err == ""


def test_what_keeps_a_device_from_opening_is_said(library):
    def broken(**_settings):
        os.write(2, b"chatter of the drivers")
        raise RuntimeError("nobody is there")

    library.OutputStream = broken

    with pytest.raises(DeviceUnavailable, match="nobody is there"):
        PortAudioOutput(fill(0.0), rate=RATE, block=BLOCK)


def only_at_48_khz(library, kind):
    made = getattr(library, kind)

    def stream(**settings):
        if settings["samplerate"] != 48000:
            raise RuntimeError("Error opening stream: Invalid sample rate [PaErrorCode -9997]")
        return made(**settings)

    setattr(library, kind, stream)
    told = {"name": "Ferry bell", "default_samplerate": 48000.0, "max_input_channels": 1}
    library.query_devices = lambda *_: told
    return told


def test_a_device_of_another_rate_is_resampled_and_said_to_be(library):
    told = only_at_48_khz(library, "OutputStream")
    asked = []

    def process(out, when):
        asked.append((len(out), when))
        out.fill(0.5)
        return True

    output = PortAudioOutput(process, rate=44100, block=BLOCK)
    assert output.words == "Ferry bell, resampled to 48 kHz"
    for number in range(100):
        out = library.opened[0].block_at(10 + number * BLOCK / 48000)
    assert np.abs(out - 0.5).max() < 1e-3
    assert sum(count for count, _ in asked) == pytest.approx(100 * BLOCK * 44.1 / 48, abs=1500)
    assert 0.02 < output.latency < 0.1
    told["default_samplerate"] = 44100.0
    with pytest.raises(DeviceUnavailable, match="Invalid sample rate"):
        PortAudioOutput(process, rate=44100, block=BLOCK)


@pytest.mark.parametrize("rate", [48000, 44100])
def test_what_an_input_hears_in_bursts_came_one_after_the_other(library, monkeypatch, rate):
    """One channel is heard on both sides; another rate is resampled."""
    chance, came, now = np.random.default_rng(4), [], [0.0]
    library.InputStream = library.OutputStream
    only_at_48_khz(library, "InputStream")
    sound = PortAudioInput(lambda block, moment: came.append((block.shape, moment)), rate=rate, block=BLOCK)
    assert sound.words == ("Ferry bell" if rate == 48000 else "Ferry bell, resampled to 48 kHz")
    assert library.opened[0].settings["channels"] == 1
    monkeypatch.setattr("chronotome.engine.input.time", SimpleNamespace(monotonic=lambda: now[0]))
    for number in range(900):
        if number % 3 == 0:
            now[0] = 50 + (number + 3 + chance.uniform(0, 3)) * BLOCK / 48000
        ago = now[0] - 50 - (number - number % 3) * BLOCK / 48000
        times = SimpleNamespace(currentTime=now[0], inputBufferAdcTime=now[0] - ago)
        library.opened[0].settings["callback"](np.ones((BLOCK, 1), np.float32), BLOCK, times, None)
    frames = np.cumsum([0, *(shape[0] for shape, _ in came)])[:-1]
    assert {shape[1] for shape, _ in came} == {2}
    off = np.array([moment for _, moment in came]) - 50 - frames / rate
    late = off[len(off) // 2 :]
    assert np.ptp(late) < 0.002
    assert abs(late.mean()) < 2 * BLOCK / 48000


def test_drivers_chatter_to_nobody(library, capfd):
    library.OutputStream = lambda **settings: os.write(2, b"chatter") and Stream(**settings)

    PortAudioOutput(fill(0.0), rate=RATE, block=BLOCK)
    os.write(2, b"heard again")

    assert capfd.readouterr().err == "heard again"


def test_the_stand_in_keeps_what_it_played_and_goes_round_on_its_tape():
    tape = np.zeros((3 * BLOCK, 2), np.float32)
    values = iter(np.arange(1, 6) / 10)

    def process(out, _moment):
        out.fill(next(values))
        return True

    output = SimulatedOutput(process, rate=RATE, block=BLOCK, tape=tape)
    output.step(5)

    assert tape[::BLOCK, 0] == pytest.approx([0.4, 0.5, 0.3])
    assert output.played == 5 * BLOCK
    assert output.dropouts == 0


@pytest.mark.parametrize(("gap_at", "holds"), [(0.5, True), (1.5, False), (2.5, True)])
def test_a_device_is_tried_for_its_second_second_be_it_in_silence(library, monkeypatch, gap_at, holds):
    now = [50.0]
    monkeypatch.setattr("chronotome.engine.output.time", SimpleNamespace(monotonic=lambda: now[0]))
    output = PortAudioOutput(fill(0.0, sounds=False), rate=RATE, block=BLOCK)
    output.start()
    due = 50.1
    assert output.holds is None
    while now[0] < 53.0:
        now[0] += BLOCK / RATE
        due += BLOCK / RATE + (0.03 if abs(now[0] - 50 - gap_at) < BLOCK / RATE / 2 else 0)
        library.opened[0].block_at(due)
    assert output.holds is holds
    assert output.dropouts == 0
