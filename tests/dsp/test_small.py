"""Small sums that much rests on, against their plain definitions."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.dsp.fades import crossfade, raised_cosine
from chronotome.dsp.onsets.novelty import FLOOR, novelty, peak_follower, whitened
from chronotome.dsp.onsets.peaks import local_maxima
from chronotome.dsp.onsets.rises import BEFORE, HOP_SECONDS, OCTAVES, RISE_SPAN, octave_rises
from chronotome.dsp.spectrum import _half_band, band_magnitudes, halved, triangular_bank
from chronotome.order_stats import middle_of, rank_of
from sounds import RATE, noise_hits

numbers = st.lists(st.floats(-1e6, 1e6), min_size=1, max_size=60)


@given(numbers)
def test_the_middle_is_the_median(values):
    assert middle_of(values) == pytest.approx(float(np.median(values)))


@given(numbers, st.floats(0, 100))
def test_a_rank_is_not_exceeded_by_its_share(values, percent):
    rank = rank_of(values, percent)

    assert rank in values
    assert np.mean(np.array(values) <= rank) >= percent / 100 - 1e-9
    below = [value for value in values if value < rank]
    assert len(below) < max(1, np.ceil(percent / 100 * len(values)))


@given(numbers)
def test_the_highest_rank_is_the_largest_and_the_half_is_no_more_than_the_middle(values):
    assert rank_of(values, 100) == max(values)
    assert rank_of(values, 0) == min(values)
    assert rank_of(values, 50) <= middle_of(values) + 1e-6


@pytest.mark.parametrize("taps", [7, 23])
@pytest.mark.parametrize("frames", [1, 2, 255, 1000, 1001])
def test_halving_is_filtering_and_leaving_out(taps, frames):
    signal = np.random.default_rng(frames).standard_normal(frames).astype(np.float32)

    half = halved(signal, taps=taps)

    filtered = np.convolve(signal, _half_band(taps))[taps // 2 :][:frames]
    assert np.abs(half - filtered[::2][: len(half)]).max() < 1e-6
    assert len(half) == (frames + 1) // 2


def test_halving_keeps_what_is_low_and_drops_what_would_fold():
    seconds = np.arange(RATE) / RATE
    low, high = (np.sin(2 * np.pi * hertz * seconds).astype(np.float32) for hertz in (3000.0, 18000.0))

    kept, dropped = halved(low, taps=23), halved(high, taps=23)

    assert np.abs(kept[100:-100]).max() == pytest.approx(1.0, abs=0.01)
    assert np.abs(dropped[100:-100]).max() < 0.01


def test_a_tone_is_loudest_in_its_own_band_and_every_band_weighs_the_same():
    bank, centres = triangular_bank(RATE, 1024, lowest=30.0, highest=16000.0, per_octave=12)
    bin_of_tone = 40
    tone = 0.5 * np.sin(2 * np.pi * bin_of_tone * np.arange(RATE) / 1024)

    magnitudes = band_magnitudes(tone.astype(np.float32), bank, hop=220)[20]

    loudest = int(magnitudes.argmax())
    assert centres[loudest] == pytest.approx(bin_of_tone * RATE / 1024, rel=0.06)
    assert np.abs(bank.sum(axis=0) - 1).max() < 1e-5


def test_the_follower_falls_evenly_both_ways_and_never_below_what_it_follows():
    magnitudes = np.full((64, 2), 1e-6, np.float32)
    magnitudes[32] = [1.0, 0.1]

    followed = peak_follower(magnitudes, 0.5, block=1)

    assert (followed >= magnitudes * 0.999).all()
    assert followed[30] == pytest.approx([0.25, 0.025], rel=1e-3)
    assert followed[34] == pytest.approx([0.25, 0.025], rel=1e-3)


def test_whitening_makes_soft_bands_as_high_as_loud_ones():
    loud = np.random.default_rng(1).random((200, 3)).astype(np.float32) + 0.5

    levels = whitened(loud * np.array([1.0, 0.1, 0.01], np.float32), hops_per_second=200)

    assert levels[:, 0].mean() == pytest.approx(levels[:, 2].mean(), rel=0.01)
    silent = whitened(np.full((50, 1), FLOOR / 1e4, np.float32), hops_per_second=200)
    assert silent.max() < 0.1


def test_a_rise_is_what_follows_over_the_loudest_before():
    signal = noise_hits([22050], 44100, decay=0.03)[:, 0]
    rises = octave_rises(signal, RATE)
    hop = int(HOP_SECONDS * RATE)
    place = 22050 // hop
    back, ahead = int(BEFORE * RATE / hop), int(RISE_SPAN * RATE / hop)

    octave = rises.energies[3]
    wanted = np.log(octave[place : place + ahead].mean() / octave[place - back : place].max())

    assert rises.hop == hop
    assert rises.energies.shape[0] == len(OCTAVES)
    assert rises.ratios[3, place] == pytest.approx(wanted, abs=1e-3)
    assert abs(int(rises.change.argmax()) - place) <= 4
    assert rises.totals[-1] == pytest.approx(rises.groups.sum(axis=0, dtype=np.float64), rel=1e-6)


def test_the_low_signal_is_the_signal_at_a_fourth_of_its_rate():
    seconds = np.arange(2 * RATE) / RATE
    signal = np.sin(2 * np.pi * 440 * seconds).astype(np.float32)

    low = novelty(signal, RATE).low

    assert low.parts == 4
    assert np.abs(low.signal[50:-50] - signal[::4][50:-50]).max() < 0.01


@given(st.lists(st.integers(0, 5), min_size=1, max_size=40), st.integers(1, 5))
def test_a_maximum_is_the_highest_within_its_reach(values, reach):
    curve = np.array(values, np.float32)

    found = local_maxima(curve, reach=reach)

    for place in np.flatnonzero(found).tolist():
        near = curve[max(0, place - reach) : place + reach + 1]
        assert curve[place] == near.max()


@given(st.integers(0, 200), st.floats(-1, 1))
def test_a_crossfade_of_one_sound_into_itself_is_that_sound(length, level):
    sound = np.full((length, 2), level, np.float32)

    assert np.abs(crossfade(sound, sound) - sound).max(initial=0.0) < 1e-5


def test_a_crossfade_of_strangers_holds_the_power():
    random = np.random.default_rng(2)
    first, second = (random.standard_normal((20000, 1)).astype(np.float32) for _ in range(2))

    middle = crossfade(first, second)[8000:12000]

    assert np.sqrt(np.mean(middle**2)) == pytest.approx(1.0, abs=0.03)
    with pytest.raises(ValueError, match="one shape"):
        crossfade(first, second[1:])


@given(st.integers(1, 500))
def test_a_fade_and_its_mirror_are_one(length):
    rising = raised_cosine(length)

    assert np.abs(rising + rising[::-1] - 1).max() < 1e-6
    assert (np.diff(rising) >= 0).all()
    assert 0 < rising[0] <= 0.5
