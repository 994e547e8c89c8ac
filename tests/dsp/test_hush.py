"""A noise that is taken away: what is around it stays, and nothing clicks."""

import numpy as np
import pytest

from chronotome.dsp.clicks import second_difference
from chronotome.dsp.mute_span import Hushed, MuteMethod, hushed, quiet_place, quiet_until

RATE = 48000
TIME = np.arange(RATE) / RATE
TONE = (0.3 * np.sin(2 * np.pi * 220 * TIME)).astype(np.float32)[:, None]
ROOM = (np.random.default_rng(2).standard_normal((RATE, 1)) * 1e-3).astype(np.float32)
SPAN = (20000, 26000)


def rms(part):
    return float(np.sqrt(np.mean(part**2)))


@pytest.mark.parametrize("by", MuteMethod)
def test_only_the_span_is_changed_and_it_does_not_click(by):
    span = Hushed(*SPAN, by, 0.25, (1000, 5000))

    made = hushed(TONE, 0, [span], ROOM, RATE)

    np.testing.assert_array_equal(made[: SPAN[0]], TONE[: SPAN[0]])
    np.testing.assert_array_equal(made[SPAN[1] :], TONE[SPAN[1] :])
    middle = rms(made[22500:23500])
    assert middle < 0.6 * rms(TONE)
    roughest = second_difference(TONE).max() + (by is MuteMethod.ROOM) * second_difference(ROOM).max()
    assert second_difference(made).max() < roughest + 3e-4


def test_a_part_is_the_same_wherever_it_begins():
    span = Hushed(*SPAN, MuteMethod.ROOM, room=(1000, 5000))
    whole = hushed(TONE, 0, [span], ROOM, RATE)

    for first, last in ((0, 21000), (21000, 24000), (25000, 30000), (19000, 40000)):
        np.testing.assert_array_equal(hushed(TONE[first:last], first, [span], ROOM, RATE), whole[first:last])


def test_silence_is_silent_less_is_less_and_the_room_sounds_as_the_room():
    def middle(by, gain=0.0):
        return rms(hushed(TONE, 0, [Hushed(*SPAN, by, gain, (1000, 9000))], ROOM, RATE)[21000:25000])

    assert middle(MuteMethod.SILENCE) == 0.0
    assert middle(MuteMethod.LOWER, 0.25) == pytest.approx(0.25 * rms(TONE[21000:25000]), rel=1e-3)
    assert middle(MuteMethod.ROOM) == pytest.approx(rms(ROOM), rel=0.2)


def test_the_quietest_place_is_found_and_digital_silence_is_none():
    sound = np.concatenate([np.zeros((RATE, 1), np.float32), TONE, ROOM, TONE])

    start, end = quiet_place(sound, RATE)

    assert 2 * RATE <= start < end <= 3 * RATE
    assert quiet_place(np.zeros((10, 1), np.float32), RATE) == (0, 10)


def test_a_recording_is_quiet_until_something_is_louder_than_its_room():
    noise = np.random.default_rng(3).normal(0, 1, (RATE, 1)).astype(np.float32)
    sound = 0.001 * noise
    sound[9000:12000] += 0.3 * noise[9000:12000]
    assert abs(quiet_until(sound, RATE) - 9000) <= 0.005 * RATE
    assert quiet_until(sound[9003:], RATE) == 0
    assert quiet_until(0.3 * noise, RATE) == 0
    assert quiet_until(np.zeros((500, 1), np.float32), RATE) == 500
