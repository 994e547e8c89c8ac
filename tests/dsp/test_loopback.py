"""How late an input is, by what comes back of a train of bursts."""

import numpy as np
import pytest
from scipy.signal import fftconvolve, lfilter

from chronotome.dsp.height import height_of
from chronotome.dsp.loopback import burst_frames, delay_of, train
from chronotome.dsp.take_marks import place_of
from sounds import sine

RATE = 48000


def came(frames, *, room=False, noise=0.001, gain=0.2):
    """The train, so many frames later than one second after the recording's first one."""
    chance = np.random.default_rng(3)
    heard = chance.normal(0, noise, (8 * RATE, 2)).astype(np.float32)
    sound = train(RATE)[:, 0]
    if room:
        decay = np.exp(-np.arange(RATE // 5) / (0.02 * RATE)) * chance.normal(0, 0.03, RATE // 5)
        decay[0] = 1.0
        sound = fftconvolve(sound, decay)
    start = RATE + frames
    heard[start : start + len(sound)] += gain * sound[:, None]
    return heard


@pytest.mark.parametrize("frames", [-400, 0, 331, 9600])
def test_the_delay_is_found_to_the_frame(frames):
    assert delay_of(came(frames), RATE, RATE) * RATE == pytest.approx(frames, abs=0.5)


def test_a_room_and_noise_do_not_hide_it():
    assert delay_of(came(480, room=True, noise=0.01), RATE, RATE) == pytest.approx(0.01, abs=0.0005)


def test_what_did_not_come_back_or_too_seldom_is_not_guessed():
    assert delay_of(came(0, gain=0.0), RATE, RATE) is None
    heard, after = came(331), RATE + burst_frames(RATE)[3] - 2000
    heard[after:] = came(0, gain=0.0)[after:]
    assert delay_of(heard, RATE, RATE) is None


@pytest.mark.parametrize("hertz", [70.0, 440.0, 1500.0])
def test_a_tone_is_as_high_as_it_sounds_and_noise_is_somewhere(hertz):
    tone = sine(hertz, 0.3, rate=RATE)
    assert height_of(tone.reshape(-1, 1).astype(np.float32), RATE) == pytest.approx(hertz, rel=0.06)
    noise = np.random.default_rng(1).normal(0, 0.1, (8000, 2)).astype(np.float32)
    assert height_of(noise, RATE) > 0


def test_a_take_belongs_where_a_line_through_its_marks_says():
    chance, keys = np.random.default_rng(7), np.arange(0, 60 * RATE, RATE // 10)
    off = lfilter([1], [1, -0.95], chance.normal(0, 45, len(keys)))  # a device that is never sure of itself
    off = np.where(keys < 2 * RATE, 1900, off)
    assert place_of(keys, np.rint(7000 + off).astype(np.int64), RATE) == pytest.approx(7000, abs=180)
    drifting = np.rint(7000 + 50e-6 * (keys - 30 * RATE)).astype(np.int64)
    assert place_of(keys, drifting, RATE) == pytest.approx(7000, abs=8)
    few = np.r_[:100, 590:600]  # most of the time nothing was heard
    drifting = np.rint(7000 + 300e-6 * (keys - 31.5 * RATE)).astype(np.int64)
    assert place_of(keys[few], drifting[few], RATE) == pytest.approx(7000, abs=10)
    halted = np.where(keys < 40 * RATE, 7000, 7000 - 1024)
    assert place_of(keys, halted, RATE) == 7000
    rounds = np.where(keys < 20 * RATE, 7000, 7000 - 8 * RATE)
    assert place_of(keys, rounds, RATE) == 7000
    assert place_of(keys[:1], rounds[:1], RATE) == 7000
    assert place_of(keys[:0], rounds[:0], RATE) is None
