import numpy as np
import pytest

from chronotome.dsp.audio import audio_of
from chronotome.dsp.beats import find_pulse
from chronotome.dsp.names import tempo_in_name
from chronotome.dsp.onsets import detect_onsets
from chronotome.dsp.tempo import refined_frequency
from sounds import RATE, noise_hits, steady_hits


@pytest.mark.parametrize("tempo", [92.37, 104.0, 128.0])
def test_a_steady_take_has_its_tempo_to_two_decimals(tempo):
    train = steady_hits(tempo, 32)

    pulse = find_pulse(train.audio, detect_onsets(train.audio))

    assert pulse.is_constant
    assert pulse.beats_per_minute == pytest.approx(tempo, abs=0.03)


def test_a_loop_without_lead_is_known_by_its_length():
    train = steady_hits(100.0, 16, lead=0.0)

    pulse = find_pulse(train.audio, detect_onsets(train.audio), name="street_100bpm")

    assert pulse.loop is not None
    assert pulse.loop.beats == 16
    assert pulse.loop.beats_per_minute == pytest.approx(100.0, abs=0.02)


def test_beats_follow_a_drift():
    moments = np.cumsum(np.linspace(0.66, 0.60, 40))
    frames = [round(moment * RATE) for moment in moments]
    audio = audio_of(noise_hits(frames, frames[-1] + RATE), RATE)

    pulse = find_pulse(audio, detect_onsets(audio))

    found = np.abs(pulse.beats[:, None] - moments[None]).min(axis=0)
    assert not pulse.is_constant
    assert np.mean(found < 0.03) > 0.9


def test_too_few_hits_have_no_tempo():
    audio = audio_of(noise_hits([5000, 9000], 40000), RATE)

    pulse = find_pulse(audio, detect_onsets(audio))

    assert pulse.beats_per_minute == 0
    assert not len(pulse.beats)


@pytest.mark.parametrize(
    ("name", "tempo"),
    [
        ("kit_92bpm", 92.0),
        ("kit 92.5 BPM take", 92.5),
        ("ferry_take", None),
        ("take 3 120", 120.0),
        ("a808b", None),
    ],
)
def test_a_tempo_in_a_name(name, tempo):
    assert tempo_in_name(name) == tempo


def test_the_beat_of_an_hour_is_found_to_the_last_beat():
    random = np.random.default_rng(4)
    moments = np.arange(7000) * 60 / 117.13 + random.normal(0, 0.004, 7000)

    found = refined_frequency(moments, np.ones(len(moments)), 117.0 / 60)

    assert abs(found - 117.13 / 60) * moments[-1] < 0.02
