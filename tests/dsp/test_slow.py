"""What is heard a second time: tones that start under others, and what is told of them."""

import numpy as np
import pytest

from chronotome.dsp.audio import audio_of
from chronotome.dsp.onsets.candidates import Candidates, _above_gaps, find_candidates
from chronotome.dsp.onsets.detection import EAR_RATE, detect_onsets
from chronotome.dsp.onsets.detectors import KINDS
from chronotome.dsp.onsets.new_energy import FEATURES, FINE_TIMES, LEAST, newcomers_of
from chronotome.dsp.onsets.novelty import Low, novelty
from chronotome.dsp.onsets.rises import octave_rises
from chronotome.dsp.onsets.slow import (
    NEAR_MS,
    NOBODY,
    Unsure,
    _believed,
    heard_again,
    new_around,
    settled_of,
    told_of,
)
from sounds import noise_hits

RATE = 11025
START = RATE
SECONDS = np.arange(2 * RATE) / RATE


def tone(hertz: float, *, start: float = -1.0, rise: float = 0.001) -> np.ndarray:
    return np.sin(2 * np.pi * hertz * SECONDS) * np.clip((SECONDS - start) / rise, 0, 1)


def envelope(signal: np.ndarray, frame: int) -> np.ndarray:
    """Decibels of what is new by the fine window, a value for each of its times."""
    told = newcomers_of(signal.astype(np.float32), np.array([frame]), RATE)[0]
    parts = told[: 3 * len(FINE_TIMES)].reshape(-1, 3)
    return 10 * np.log10(np.exp(parts).sum(axis=1))


@pytest.mark.parametrize("level", [0.1, 0.3, 1.0])
def test_a_tone_that_starts_under_a_louder_one_is_seen_alone(level):
    new = envelope(0.9 * tone(220) + level * tone(520, start=1.0, rise=0.02), START)

    assert new[FINE_TIMES < -0.015].max() < -25
    assert new[FINE_TIMES > 0.03].min() > -3
    assert 0.0 <= FINE_TIMES[np.argmax(new > -12)] <= 0.02


def test_where_nothing_is_new_nothing_is_seen():
    told = newcomers_of((0.5 * tone(220)).astype(np.float32), np.array([START]), RATE)[0]

    below_500_hz, _, _, by_the_wide_window = told[-8:-4]
    assert [below_500_hz, by_the_wide_window] == [LEAST, LEAST]


def test_gain_changes_nothing_of_what_is_new():
    signal = (0.3 * tone(220) + 0.2 * tone(520, start=1.0, rise=0.02)).astype(np.float32)

    loud, soft = (newcomers_of(signal * gain, np.array([START]), RATE) for gain in (2.0, 0.25))

    assert np.abs(loud - soft).max() < 0.1


def test_as_many_are_heard_together_as_alone():
    signal = (0.3 * tone(220) + 0.2 * tone(520, start=1.0)).astype(np.float32)
    frames = np.arange(40) * 500

    together = newcomers_of(signal, frames, RATE)

    alone = np.concatenate([newcomers_of(signal, frames[at : at + 1], RATE) for at in range(len(frames))])
    assert np.abs(together - alone).max() < 0.05
    assert len(newcomers_of(signal, frames[:0], RATE)) == 0


def test_the_judge_is_told_of_other_attacks_and_not_of_the_same_one():
    frames = np.array([0, 8_000, 9_900, 10_000, 10_200, 12_000, 60_000])
    logits = np.arange(1.0, 8.0, dtype=np.float32)
    every = Unsure(frames, np.ones(7, np.float32), logits)
    which = np.array([3, 6])

    told = settled_of(every, which, np.array([1.0, 0.0], np.float32), np.array([7.0, 8.0], np.float32), 44100)

    ways, doubts, before, after, logit_before, logit_after = told.T
    assert ways.tolist() == [1.0, 0.0]
    assert doubts.tolist() == [7.0, 8.0]
    assert before == pytest.approx([(10_044.1 - 8_000) / 44.1, NEAR_MS])
    assert after == pytest.approx([(12_000 - 10_044.1) / 44.1, NEAR_MS])
    assert logit_before.tolist() == [2.0, NOBODY]
    assert logit_after.tolist() == [6.0, NOBODY]


def test_what_is_told_is_heard_at_both_places():
    sound, start = legato(1.0)
    low = novelty(sound, EAR_RATE).low
    places = start + np.array([-900, 0, 900])
    unsure = Unsure(places, np.array([1.0, 2.0, 3.0], np.float32), np.zeros(3, np.float32))

    told = told_of(unsure, low, EAR_RATE)

    ways, doubts, logits = told[:, -3:].T
    led = places + np.rint(ways * EAR_RATE / 1000).astype(np.int64)
    assert np.array_equal(told[:, :FEATURES], new_around(places, low, EAR_RATE))
    assert np.abs(told[:, FEATURES:-3] - new_around(led, low, EAR_RATE)).max() < 1e-3
    assert np.abs(ways).max() > 5
    assert doubts.tolist() == [1.0, 2.0, 3.0]
    assert logits.tolist() == [0.0, 0.0, 0.0]


def test_short_ways_are_not_gone_and_long_ones_wholly():
    ways = np.array([-40.0, -6.0, -4.5, -3.0, 0.0, 1.0, 4.5, 6.0, 40.0], np.float32)

    gone = _believed(ways, 3.0, 6.0, 25.0)

    assert gone.tolist() == [-25.0, -6.0, -2.25, 0.0, 0.0, 0.0, 2.25, 6.0, 25.0]


def legato(level: float) -> tuple[np.ndarray, int]:
    """A voice of eight harmonics that takes over from one that rings on, at the rate of listening."""
    seconds = np.arange(3 * EAR_RATE) / EAR_RATE
    start = 1.5
    sound = np.zeros(len(seconds))
    for hertz, gain in (
        (220.0, np.ones(len(seconds))),
        (294.0, level * np.clip((seconds - start) / 0.03, 0, 1) ** 2),
    ):
        fading = np.where((seconds > start) & (hertz < 250), np.exp(-(seconds - start) / 0.4), 1.0)
        for harmonic in range(1, 9):
            sound += gain * fading * np.sin(2 * np.pi * hertz * harmonic * seconds + harmonic) / harmonic
    return (0.2 * sound).astype(np.float32), int(start * EAR_RATE)


@pytest.mark.parametrize("beside", [-0.020, 0.0, 0.020])
def test_a_mark_beside_a_hidden_attack_is_led_to_it(beside):
    sound, start = legato(1.0)
    every = Unsure(
        np.array([start + int(beside * EAR_RATE)]), np.array([3.0], np.float32), np.array([1.0], np.float32)
    )

    better = heard_again(every, np.array([0]), novelty(sound, EAR_RATE).low, EAR_RATE)

    away = beside * 1000 + better.shifts[0]
    assert -2 <= away <= 22
    assert better.logits.shape == (1, len(KINDS))
    assert better.doubts[0] < 4


def test_a_sure_attack_is_left_where_it_is():
    sound, start = legato(1.0)
    every = Unsure(np.array([start + 900]), np.array([0.5], np.float32), np.array([4.0], np.float32))

    better = heard_again(every, np.array([0]), novelty(sound, EAR_RATE).low, EAR_RATE)

    assert [better.shifts[0], better.trust[0], better.doubts[0]] == [0.0, 0.0, 0.5]


def test_a_voice_that_takes_over_has_one_mark_at_its_start():
    sound, start = legato(0.9)

    found = detect_onsets(audio_of(sound, EAR_RATE))

    sure = found.frames[found.strengths >= 45]
    sure = sure[sure > EAR_RATE // 2]
    assert len(sure) == 1
    assert -0.005 <= (sure[0] - start) / EAR_RATE <= 0.025


def test_frames_of_the_whole_signal_are_found_in_the_low_one():
    signal = (0.3 * tone(220) + 0.2 * tone(520, start=1.0)).astype(np.float32)

    around = new_around(np.array([4 * START]), Low(signal, 4), 4 * RATE)

    assert np.array_equal(around, newcomers_of(signal, np.array([START]), RATE))


def ringing(*, gap_ms: float, after_db: float) -> tuple[np.ndarray, int]:
    """A bright tone under which, behind a gap of it, one of another loudness comes in."""
    start, gap = 22_050, round(gap_ms * 44.1)
    noise = np.random.default_rng(4).standard_normal(44_100)
    bright = np.diff(noise, prepend=0.0) * 0.01
    bright[start:] *= 10 ** (after_db / 20)
    bright[start - gap : start] = 0
    bass = 0.5 * np.sin(2 * np.pi * 55 * np.arange(44_100) / 44_100)
    return (bass + bright).astype(np.float32), start


@pytest.mark.parametrize(("gap_ms", "after_db"), [(6.0, 4.0), (6.0, 0.0), (0.0, 0.0)])
def test_the_judge_is_told_of_gaps_under_what_rings_on(gap_ms, after_db):
    sound, start = ringing(gap_ms=gap_ms, after_db=after_db)
    rises = octave_rises(sound, EAR_RATE)
    place = np.array([start // rises.hop])
    found = Candidates(place, place, np.ones(1, bool), np.ones(1, np.float32))

    told = _above_gaps(found, rises, EAR_RATE)[0]

    over_gap, over_before = told[6], told[13]
    assert (over_gap > 2) == (gap_ms > 0)
    assert over_before == pytest.approx(after_db / 10 * np.log(10), abs=0.5)


@pytest.mark.parametrize(("seed", "gap"), [(1, 661), (2, 529), (4, 661), (4, 882)])
def test_a_stroke_right_behind_a_steep_one_is_a_candidate(seed, gap):
    frames = [22_050, 22_050 + gap]
    sound = noise_hits(frames, 44_100, loudness=[0.5, 0.9], decay=0.02, seed=seed)[:, 0]
    flux, rises = novelty(sound, EAR_RATE), octave_rises(sound, EAR_RATE)

    found = find_candidates(flux, rises, EAR_RATE)

    for frame in frames:
        assert np.abs(found.places * rises.hop - frame).min() < 0.003 * EAR_RATE
