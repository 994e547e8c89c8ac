import os
import signal
import subprocess
import sys
import time

import numpy as np
import pytest

from chronotome.engine.control import Word
from chronotome.engine.latest import Latest
from chronotome.engine.mixer import START_FADE
from chronotome.engine.output import SimulatedOutput
from chronotome.engine.player import Player
from chronotome.errors import Cancelled
from chronotome.render.arena import Arena
from chronotome.render.mix import Mix, MixLane, Side
from chronotome.render.renderer import OfflineMix

TOTAL = 96000


def until(condition, seconds=10.0):
    """Wait for a condition, never for a time."""
    end = time.monotonic() + seconds
    while not condition():
        assert time.monotonic() < end, "it did not happen"
        time.sleep(0.005)


@pytest.fixture
def player():
    arena = Arena()
    made = Player(arena, output="simulated", block=512)
    made.arena = arena
    yield made
    made.close()


def noise_mix(arena):
    region = arena.allocate(TOTAL, 2)
    region.samples[:] = np.random.default_rng(7).uniform(-0.5, 0.5, (TOTAL, 2))
    one = np.array([0])
    lanes = [
        MixLane(side, one, np.array([TOTAL]), np.array([region.offset]), np.array([2]), one)
        for side in list(Side)[:2]
    ]
    return Mix(1, TOTAL, tuple(lanes))


def test_the_audio_process_plays_the_offline_mix_bit_for_bit(player):
    mix = noise_mix(player.arena)
    player.start(48000)
    player.publish(mix)
    player.play(0)
    until(lambda: player.control.get(Word.POSITION) > 24000)
    player.stop()
    until(lambda: not player.state().is_playing)
    until(lambda: player.control.get(Word.PLAYED) > 24000)

    played = player.played()

    expected = OfflineMix(mix, player.arena).read(0, 20000)
    starts = np.flatnonzero(np.abs(played).max(axis=1) > 0)[0] // 512 * 512
    np.testing.assert_array_equal(played[starts + START_FADE : starts + 20000], expected[START_FADE:])


def test_code_in_the_current_folder_does_not_run_in_the_audio_process(player, tmp_path, monkeypatch):
    (tmp_path / "numpy.py").write_text("open('ran', 'w').close()\n")
    monkeypatch.chdir(tmp_path)
    monkeypatch.setenv("PYTHONPATH", f"{os.environ.get('PYTHONPATH', '')}:.:")

    player.start(48000)
    until(lambda: player.control.get(Word.IS_READY))

    assert not (tmp_path / "ran").exists()


def test_the_window_survives_the_audio_process_and_goes_on_where_it_was(player):
    player.start(48000)
    player.publish(noise_mix(player.arena))
    player.set_loop(0, 48000)
    player.play(1000)
    until(lambda: player.control.get(Word.POSITION) > 5000)
    os.kill(player._child.pid, signal.SIGKILL)
    player._child.wait()

    assert player.revive()

    until(lambda: player.state().is_ready and player.control.get(Word.ADOPTED_SERIAL) == 1)
    until(lambda: player.state().is_playing)
    assert player.state().dropouts == 1
    assert not player.revive()


def test_the_audio_process_ends_with_the_player(player):
    player.start(48000)
    until(lambda: player.state().is_ready)
    child = player._child

    player.close()

    assert child.poll() == 0


def test_an_audio_process_whose_parent_is_gone_before_it_starts_ends_by_itself(player):
    arena, control = player.arena.descriptor, player.control.descriptor
    gone = subprocess.Popen([sys.executable, "-c", ""])
    gone.wait()
    words = [str(arena), str(control), str(gone.pid), "simulated", "auto", "48000", "512", ""]

    child = subprocess.Popen(
        [sys.executable, "-m", "chronotome.engine.audio_process", *words],
        pass_fds=(arena, control),
        env={**os.environ, "PYTHONPATH": os.pathsep.join(sys.path)},
    )

    assert child.wait(10) == 0


def test_another_rate_starts_another_device(player):
    player.start(48000)
    first = player._child.pid

    player.start(48000)
    same = player._child.pid
    player.start(44100)

    assert first == same != player._child.pid


def test_a_player_in_this_process_plays_step_by_step():
    arena = Arena()
    player = Player(arena, in_process=True, block=256)
    player.start(48000)
    mix = noise_mix(arena)
    player.publish(mix)
    player.play(100)

    player.step(10)

    expected = OfflineMix(mix, arena).read(100, 2560)
    np.testing.assert_array_equal(player.played()[START_FADE:], expected[START_FADE:])
    assert player.state().position == 100 + 2560
    assert player.state().left > 0.4


def test_a_block_that_comes_too_late_is_silent_and_counted():
    def slow(out, _when):
        out.fill(0.5)
        time.sleep(0.03)
        return True

    output = SimulatedOutput(slow, rate=48000, block=128, tape=np.zeros((1280, 2), np.float32))
    output.start()
    until(lambda: output.dropouts > 2)
    output.stop()

    assert not output.is_alive


def test_only_the_newest_request_is_worked_on_to_its_end():
    done, begun = [], []

    def work(number, is_wanted):
        begun.append(number)
        until(lambda: not is_wanted() or number == 99)
        if not is_wanted():
            raise Cancelled
        done.append(number)

    latest = Latest(work, lambda _error: None, name="test")
    latest.ask(1)
    until(lambda: begun)
    for number in range(2, 100):
        latest.ask(number)

    assert latest.wait_idle()
    assert done == [99]
    assert len(begun) <= 4
    latest.close()
