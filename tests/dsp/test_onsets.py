import numpy as np
import pytest

from chronotome.dsp.audio import audio_of
from chronotome.dsp.bands import Band
from chronotome.dsp.onsets import detect_onsets
from chronotome.errors import Cancelled
from sounds import RATE, click_train, noise_hits, sine

SPACED = [4410 + 9000 * place + 37 * place * place for place in range(20)]


def test_every_planted_hit_is_found_once_and_to_the_frame():
    train = click_train(SPACED, 240000)

    found = detect_onsets(train.audio)

    sure = found.frames[found.strengths >= 45]
    assert len(sure) == len(train.frames)
    assert np.abs(sure - train.frames).max() <= 8


def test_gain_changes_nothing():
    samples = noise_hits(SPACED, 240000)

    loud, soft = (detect_onsets(audio_of(samples * gain, RATE)) for gain in (1.0, 0.0625))

    np.testing.assert_array_equal(loud.frames, soft.frames)
    np.testing.assert_allclose(loud.strengths, soft.strengths, atol=0.02)


def test_a_shift_of_some_frames_shifts_the_onsets():
    samples = noise_hits(SPACED, 240000)
    shifted = np.concatenate([samples[:100] * 0, samples])

    first, second = (detect_onsets(audio_of(each, RATE)) for each in (samples, shifted))

    strong = (first.frames[first.strengths > 45], second.frames[second.strengths > 45])
    assert np.abs(strong[1] - strong[0] - 100).max() <= 2


@pytest.mark.parametrize("channels", [2, 6])
def test_channels_that_cancel_each_other_are_heard_all_the_same(channels):
    samples = noise_hits(SPACED, 240000, channels=channels)
    samples[:, 1] = -samples[:, 0]

    found = detect_onsets(audio_of(samples, RATE))

    assert (found.strengths >= 45).sum() == len(SPACED)


@pytest.mark.parametrize("rate", [8000, 22050, 96000])
def test_odd_rates_find_the_same_hits(rate):
    frames = [round(frame * rate / RATE) for frame in SPACED]
    train = click_train(frames, round(240000 * rate / RATE), rate=rate)

    found = detect_onsets(train.audio)

    distances = np.abs(found.frames[:, None] - train.frames[None]).min(axis=0)
    assert distances.max() <= 0.003 * rate


def test_an_attack_at_frame_0_is_found():
    found = detect_onsets(audio_of(noise_hits([0, 20000, 40000], 60000), RATE))

    assert found.frames[found.strengths >= 45][0] <= 8


@pytest.mark.parametrize("samples", [np.zeros((50000, 1)), np.zeros((10, 2)), np.ones((0, 1))])
def test_nothing_is_found_in_nothing(samples):
    assert len(detect_onsets(audio_of(samples.astype(np.float32), RATE))) == 0


def test_a_ghost_counts_and_the_floor_does_not():
    levels = [0.9, 0.02, 0.9, 0.02]
    samples = noise_hits([10000, 30000, 50000, 70000], 90000, loudness=levels)

    found = detect_onsets(audio_of(samples, RATE))

    distances = np.abs(found.frames[:, None] - np.array([10000, 30000, 50000, 70000])[None]).min(axis=1)
    assert (found.strengths[distances < 20] > 45).sum() == 4
    assert (found.strengths[distances >= 20] < 45).all()


def test_bands_follow_the_sound():
    low = sine(80, 1.0)[:, 0] * np.exp(-np.arange(RATE) / 4000)
    random = np.random.default_rng(2)
    high = np.diff(random.standard_normal(RATE + 2), 2) * np.exp(-np.arange(RATE) / 1500) * 0.1
    sound = np.concatenate([np.zeros(4000), low, high]).astype(np.float32)

    found = detect_onsets(audio_of(sound, RATE))

    bands = {Band(int(found.bands[np.abs(found.frames - frame).argmin()])) for frame in (4000, 4000 + RATE)}
    assert bands == {Band.LOW, Band.HIGH}


def test_progress_stops_it():
    def stop(_fraction):
        raise Cancelled

    with pytest.raises(Cancelled):
        detect_onsets(click_train(SPACED, 240000).audio, progress=stop)
