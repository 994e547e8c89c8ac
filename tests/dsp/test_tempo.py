import numpy as np
import pytest

from chronotome.dsp.audio import audio_of
from chronotome.dsp.beats.names import tempo_in_name
from chronotome.dsp.beats.pulse import find_pulse
from chronotome.dsp.beats.tempo import refined_frequency
from chronotome.dsp.onsets.detection import detect_onsets
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


def bars(pattern: list[float], beats_per_minute: float, count: int, *, per_beat: int = 2, lead: float = 0.3):
    """A bar of low and high hits, again and again: levels above 1 are low and loud."""
    step = 60 / beats_per_minute / per_beat
    moments = [lead + place * step for place in range(len(pattern) * count)]
    total = round((moments[-1] + 1) * RATE)
    random = np.random.default_rng(2)
    sound = (random.standard_normal((total, 1)) * 2e-5).astype(np.float32)
    length = int(0.25 * RATE)
    clock = np.arange(length) / RATE
    kick = np.sin(2 * np.pi * 70 * clock) * np.exp(-clock / 0.06)
    hat = np.diff(random.standard_normal(length + 1)) * np.exp(-clock / 0.015) * 0.4
    snare = random.standard_normal(length) * np.exp(-clock / 0.05) * 0.4
    for place, moment in enumerate(moments):
        level, start = pattern[place % len(pattern)], round(moment * RATE)
        wave = {2.0: kick + 0.3 * hat, 1.0: snare, 0.5: hat}.get(level)
        if wave is not None:
            sound[start : start + length, 0] += (0.4 * wave[: total - start]).astype(np.float32)
    return audio_of(sound, RATE), moments


@pytest.mark.parametrize(
    ("pattern", "in_bar"),
    [
        ([2, 0.5, 1, 0.5, 2, 2, 1, 0.5], 4),
        ([2, 0.5, 1, 0.5, 1, 0.5], 3),
    ],
)
def test_metre_and_beat_one_are_proposed(pattern, in_bar):
    audio, moments = bars([float(level) for level in pattern], 104.0, 9)

    pulse = find_pulse(audio, detect_onsets(audio))

    assert pulse.beats_in_bar == in_bar
    assert pulse.beats_per_minute == pytest.approx(104.0, abs=0.05)
    assert pulse.downbeats[:3] == pytest.approx(moments[:: 2 * in_bar][:3], abs=0.01)
    assert 0.5 < pulse.bar_confidence <= 1


def test_swing_is_measured():
    audio, moments = bars([2.0, 0.5, 1.0, 0.5] * 2, 100.0, 8)
    step = 60 / 100.0
    late = [moment + (0.17 * step if place % 2 else 0.0) for place, moment in enumerate(moments)]
    levels = [2.0, 0.5, 1.0, 0.5] * 16
    frames = [round(moment * RATE) for moment in late]
    swung = noise_hits(frames, audio.frames, loudness=[0.9 if level > 0.5 else 0.35 for level in levels])

    pulse = find_pulse(audio_of(swung, RATE), detect_onsets(audio_of(swung, RATE)))

    assert pulse.swing is not None
    assert pulse.swing.division == 8
    assert pulse.swing.percent == pytest.approx(67, abs=1.0)


def test_what_the_file_says_of_itself_is_a_vote_and_never_the_only_one():
    train = steady_hits(96.0, 32)
    found = detect_onsets(train.audio)

    agreed = find_pulse(train.audio, found, name="kit 96bpm").candidates
    tagged = find_pulse(train.audio, found, tag=192.0).candidates
    misled = find_pulse(train.audio, found, name="kit 131bpm").candidates
    plain = find_pulse(train.audio, found).candidates

    def share(candidates, tempo):
        near = [each for each in candidates if abs(each.beats_per_minute / tempo - 1) < 0.01]
        return near[0].confidence if near else 0.0

    assert share(agreed, 96) > share(plain, 96)
    assert share(tagged, 192) > share(plain, 192)
    assert "name" in agreed[0].sources
    assert misled[0].beats_per_minute == pytest.approx(96, abs=0.1)
    assert 0 < share(misled, 131) < 0.2
    tempi = [each.beats_per_minute for each in plain]
    for relative in (48, 192, 64, 144):  # half, double and 3:2 are shown, whatever is heard
        assert min(abs(tempo - relative) for tempo in tempi) < 0.5
    assert [each.confidence for each in plain] == sorted((each.confidence for each in plain), reverse=True)
