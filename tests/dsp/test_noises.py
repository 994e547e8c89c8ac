"""What sounds like nothing else in a recording, off its lines."""

import numpy as np
import pytest

from chronotome.dsp.audio import audio_of
from chronotome.files.analysis import analyse
from sounds import RATE, noise_hits

EIGHTH = RATE // 4


def played(bars=4):
    """Eighths at 120 bpm of two sounds that take turns."""
    places = [RATE // 10 + EIGHTH * at for at in range(8 * bars)]
    length = places[-1] + RATE
    high = noise_hits(places[::2], length, rate=RATE, decay=0.05)
    time = np.arange(RATE // 5) / RATE
    tom = (0.5 * np.sin(2 * np.pi * 110 * time) * np.exp(-time / 0.05)).astype(np.float32)[:, None]
    for place in places[1::2]:
        high[place : place + len(tom)] += tom
    return high, places


def squeak(seconds=0.04, level=0.2):
    time = np.arange(int(seconds * RATE)) / RATE
    wave = (
        np.sin(2 * np.pi * 1800 * (time + 2 * time**2)) * np.minimum(1.0, time / 0.002) * np.exp(-time / 0.03)
    )
    return (level * wave).astype(np.float32)[:, None]


@pytest.mark.parametrize("away", [0.60, 0.65])
def test_a_squeak_between_hits_is_a_noise_as_long_as_it_is(away):
    sound, places = played()
    at = places[10] + int(away * EIGHTH)
    sound[at : at + len(squeak())] += squeak()

    onsets = analyse(audio_of(sound, RATE), "with a squeak").onsets

    (place,) = np.flatnonzero(onsets.noise_array)
    assert abs(onsets.frames[place] - at) < 0.015 * RATE
    assert len(squeak()) / 2 < onsets.noises[place] < 1.3 * len(squeak())
    assert onsets.frames[place] + onsets.noises[place] < places[11]


def test_what_comes_again_and_what_is_on_a_line_is_none():
    clean, places = played()
    regular, once = clean.copy(), clean.copy()
    for place in places[2::4]:
        regular[place + EIGHTH // 2 :][: len(squeak())] += squeak()
    once[places[10] + EIGHTH // 2 :][: len(squeak())] += squeak()  # a sixteenth

    for sound in (clean, regular, once):
        onsets = analyse(audio_of(sound, RATE), "played").onsets
        assert not onsets.noise_array.any()
