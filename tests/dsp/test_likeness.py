"""What sounds alike, and the filters that shape hits."""

import json
from pathlib import Path

import numpy as np
import pytest
import soundfile

import chronotome
from chronotome.dsp.crossover import one_band
from chronotome.dsp.likeness import likeness_of
from chronotome.dsp.tone import Tone, toned
from sounds import noise_hits, sine

DEMO = Path(chronotome.__file__).parent / "demo"
RATE = 44100


@pytest.mark.parametrize(
    ("name", "least"), [("bucket_kit", 0.98), ("tongue_drum", 1.0), ("upright_bass", 0.85)]
)
def test_hits_of_the_demo_are_alike_where_they_are_of_one_kind(name, least):
    truth = json.loads((DEMO / "truth" / f"{name}.json").read_text())
    samples, rate = soundfile.read(
        DEMO / "harbour-ferry" / "audio" / f"{name}.flac", dtype="float32", always_2d=True
    )
    frames = np.array([each["frame"] for each in truth["onsets"]])
    kinds = np.array([each["kind"] for each in truth["onsets"]])

    found = likeness_of(samples, rate, frames, np.append(frames[1:], len(samples)))

    alike = np.array([found.alike(np.array([at])) for at in range(len(frames))])
    assert (alike == (kinds[:, None] == kinds)).mean() >= least


def test_a_ride_over_a_ringing_snare_is_no_snare():
    """Rides between backbeats, each of which rings on under the ride after it."""
    rng, time = np.random.default_rng(4), np.arange(30000) / RATE
    ride = (rng.normal(0, 1, 30000) * np.exp(-time / 0.12) * 0.12).astype(np.float32)
    ride = np.diff(ride, prepend=0.0).astype(np.float32)
    snare = (rng.normal(0, 1, 30000) * np.exp(-time / 0.10) * 0.35).astype(np.float32)
    snare += (0.4 * np.sin(2 * np.pi * 190 * time) * np.exp(-time / 0.15)).astype(np.float32)
    step, sound = 6000, np.zeros((16 * 6000 + 30000, 1), np.float32)
    for at in range(16):
        sound[at * step : at * step + 30000, 0] += ride
        if at % 4 == 2:
            sound[at * step : at * step + 30000, 0] += snare
    frames = np.arange(16) * step
    found = likeness_of(sound, RATE, frames, frames + step)
    alike = found.alike(np.array([0]))
    assert not alike[2::4].any()
    assert alike[[0, 4, 8, 12, 1, 5, 9, 13]].all()


def test_loudness_does_not_matter_nor_do_hits_at_the_very_ends():
    samples = noise_hits([0, 20000, 40000], 42000, rate=RATE, loudness=[0.9, 0.05, 0.9])
    frames = np.array([0, 20000, 40000])

    found = likeness_of(samples, RATE, frames, np.array([20000, 40000, 42000]))

    assert found.alike(np.array([0]))[:2].all()
    assert likeness_of(samples, RATE, frames[:0], frames[:0]).alike(frames[:0]).shape == (0,)


def test_lows_and_highs_add_up_and_an_attack_is_not_smeared():
    samples = noise_hits([2000], 8000, rate=RATE)
    samples[:1900] = 0.0

    low, high = (one_band(samples, RATE, 800.0, is_high=each) for each in (False, True))

    np.testing.assert_allclose(low + high, samples, atol=1e-6)
    assert np.abs(low[: 2000 - 60]).max() < 1e-3 * np.abs(low).max()
    for hertz, louder, softer in ((100.0, low, high), (6000.0, high, low)):
        tone = sine(hertz, 0.2, rate=RATE)
        of_low, of_high = (one_band(tone, RATE, 800.0, is_high=each) for each in (False, True))
        ratio = np.std(of_low) / np.std(of_high)
        assert ratio > 10 if louder is low else ratio < 0.1
        assert softer is not louder


@pytest.mark.parametrize("frames", [0, 1, 30])
def test_short_samples_keep_their_length(frames):
    samples = np.ones((frames, 2), np.float32)

    assert one_band(samples, RATE, 50.0, is_high=True).shape == samples.shape
    assert toned(samples, RATE, Tone(6.0)).shape == samples.shape


def test_a_cutoff_takes_highs_out_and_leaves_the_attack_where_it_is():
    def level(hertz, cutoff, rate=RATE):
        made = toned(sine(hertz, 0.5, rate=rate), rate, Tone(cutoff=cutoff))[2000:]
        return 20 * np.log10(np.std(made) / np.std(sine(hertz, 0.5, rate=rate)))

    assert level(1000.0, 1000.0) == pytest.approx(-3.0, abs=0.1)
    assert level(4000.0, 1000.0) == pytest.approx(-24.5, abs=1.0)
    assert level(100.0, 1000.0) == pytest.approx(0.0, abs=0.1)
    assert level(3000.0, 12_000.0, rate=8000) == pytest.approx(0.0, abs=0.1)  # no room for it
    click = np.zeros((4000, 1), np.float32)
    click[1000:] = 1.0
    assert not toned(click, RATE, Tone(cutoff=500.0))[:1000].any()


def test_a_tilt_makes_highs_louder_by_what_it_makes_lows_softer():
    levels = {
        hertz: np.std(toned(sine(hertz, 0.5, rate=RATE), RATE, Tone(6.0))[2000:])
        for hertz in (50.0, 12_000.0)
    }

    usual = np.std(sine(50.0, 0.5, rate=RATE))
    assert 20 * np.log10(levels[50.0] / usual) == pytest.approx(-6.0, abs=0.5)
    assert 20 * np.log10(levels[12_000.0] / usual) == pytest.approx(6.0, abs=0.5)
