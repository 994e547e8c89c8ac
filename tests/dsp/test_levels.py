import numpy as np
import pytest

from chronotome.dsp.audio import Audio, audio_of, mono
from chronotome.dsp.clicks import clicks_at
from chronotome.dsp.fades import crossfade, raised_cosine
from chronotome.dsp.hits import hit_traits
from chronotome.dsp.loudness import SILENT, loudness, peak
from sounds import RATE, noise_hits, sine


def test_a_full_scale_997_hz_tone_in_one_channel_is_at_minus_3_lufs():
    assert loudness(sine(997, 5, rate=48000, level=1.0), 48000) == pytest.approx(-3.01, abs=0.05)


def test_loudness_follows_the_gain_and_ignores_long_silence():
    tone = sine(500, 3)
    padded = np.concatenate([tone, np.zeros((RATE * 20, 1), np.float32)])

    assert loudness(tone * 0.5, RATE) == pytest.approx(loudness(tone, RATE) - 6.02, abs=0.02)
    assert loudness(padded, RATE) == pytest.approx(loudness(tone, RATE), abs=0.6)
    assert loudness(tone * 0, RATE) == SILENT


def test_peak_sees_both_signs():
    assert peak(np.array([[0.1], [-0.7]], np.float32)) == pytest.approx(0.7)


@pytest.mark.parametrize("alike", [True, False])
def test_a_crossfade_holds_the_level(alike):
    random = np.random.default_rng(4)
    before, after = (random.standard_normal((4000, 1)).astype(np.float32) for _ in range(2))

    faded = crossfade(before, before if alike else after)

    assert np.std(faded[1800:2200]) == pytest.approx(1.0, abs=0.12)


def test_a_crossfade_refuses_unequal_shapes():
    with pytest.raises(ValueError, match="one shape"):
        crossfade(np.zeros((3, 1), np.float32), np.zeros((4, 1), np.float32))


def test_a_raised_cosine_rises_and_adds_up_with_its_mirror_image():
    rise = raised_cosine(64)

    assert (np.diff(rise) > 0).all()
    np.testing.assert_allclose(rise + rise[::-1], 1, atol=1e-6)


def test_a_step_is_a_click_and_a_smooth_join_is_none():
    tone = sine(200, 1)
    broken = tone.copy()
    broken[20000:] = -0.6

    assert clicks_at(broken, np.array([20000]), tone)[0] > 20
    assert clicks_at(tone, np.array([20000]), tone)[0] <= 0


def test_mono_takes_the_loudest_channel_where_the_mean_is_silent():
    hits = noise_hits([100], 1000)
    np.testing.assert_array_equal(mono(np.concatenate([hits, -hits], axis=1)), hits[:, 0])


@pytest.mark.parametrize("bad", [np.nan, np.inf])
def test_values_that_are_no_numbers_are_refused_at_the_door(bad):
    with pytest.raises(ValueError, match="finite"):
        audio_of(np.array([0.0, bad]), RATE)


def test_audio_is_two_dimensional_float32():
    with pytest.raises(ValueError, match="samples must be float32"):
        Audio(np.zeros(5, np.float32), RATE)
    with pytest.raises(ValueError, match="rate must be positive"):
        Audio(np.zeros((5, 1), np.float32), 0)


def test_the_energy_of_an_attack_is_that_of_its_first_15_ms_whatever_comes():
    rate = 48000
    samples = np.zeros((rate, 1), np.float32)
    samples[1000:1480] = 0.1
    samples[1480:20000] = 0.5  # a stroke 10 ms after its grace note
    traits = hit_traits(samples, rate, np.array([1000, 1480]))

    first = (480 * 0.1**2 + 240 * 0.5**2) / 720
    np.testing.assert_allclose(traits.energies, 10 * np.log10([first, 0.25]), atol=1e-3)


def test_the_ring_of_a_stroke_does_not_make_its_rattle_the_louder():
    rate, time = 48000, np.arange(20000) / 48000
    samples = np.zeros((rate, 1), np.float32)
    samples[1000:21000, 0] = 0.5 * np.exp(-time / 0.3)
    samples[1600:21600, 0] += 0.2 * np.exp(-time / 0.02)
    traits = hit_traits(samples, rate, np.array([1000, 1600]))
    assert traits.energies[0] > traits.energies[1] + 3
