import numpy as np
import pytest

from chronotome.dsp.audio import audio_of
from chronotome.dsp.beats.loops import (
    DetectedTempi,
    Loop,
    LoopSpan,
    Proposal,
    TempoHints,
    proposals,
    round_of,
    rounds_in,
    sound_of,
    spans_of,
)
from chronotome.dsp.beats.pulse import find_pulse
from chronotome.dsp.beats.ranking import NamedTempi, ranked, told_by_name_too
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.onsets.listener import Listener
from sounds import RATE, noise_hits

ONE_BAR = 4 * 60 / 97.0
UNEVEN = np.array([0.0, 0.62, 0.93, 1.85, 2.16])
"""Quarters and eighths of a bar at 97 bpm, as somebody plays them."""


def evidence(moments, heard=((65.0, 0.9),)):
    return TempoHints(moments, np.ones(len(moments)), float(moments[0]), heard)


def test_the_length_of_one_bar_proposes_its_tempo_whatever_was_heard():
    span = LoopSpan(0.0, ONE_BAR, "length")

    found = proposals([span], evidence(UNEVEN))

    assert found[0].loop.beats == 4
    assert found[0].loop.beats_per_minute == pytest.approx(97.0)


def test_a_loop_whose_first_attack_is_late_is_less_likely_one():
    span = LoopSpan(0.0, ONE_BAR, "length")

    at_start = proposals([span], evidence(UNEVEN))[0]
    late = proposals([span], evidence(UNEVEN[1:]))[0]

    assert late.score < at_start.score - 5


@pytest.mark.parametrize("silence", [0, 7000])
def test_four_rounds_of_a_sound_are_its_length(silence):
    once = noise_hits([0, 9000, 21000], 30011)
    sound = np.concatenate([*[once] * 4, np.zeros((silence, 1), np.float32)])
    listener = Listener(audio_of(sound, RATE))

    spans = spans_of(listener)

    again = next(span for span in spans if span.source == "rounds")
    assert again.seconds == pytest.approx(30011 / RATE, abs=1e-6)
    assert rounds_in(spans) == pytest.approx(4, abs=0.15)


def test_sound_that_is_like_itself_only_once_is_no_round():
    random = np.random.default_rng(3)
    signal = random.standard_normal(60000).astype(np.float32)
    signal[40000:] = signal[:20000]  # a third that comes again: less than two rounds

    assert round_of(signal, RATE) is None


def test_silence_around_a_loop_is_left_out_to_the_frame():
    signal = np.concatenate([np.zeros(5000), np.full(9000, 0.5), np.zeros(1700)]).astype(np.float32)

    assert sound_of(signal, RATE) == (5000, 14000)


def test_a_loop_in_silence_has_its_bar_where_it_begins():
    once = noise_hits([round(moment * RATE) for moment in UNEVEN], round(ONE_BAR * RATE))
    lead, tail = np.zeros((17000, 1), np.float32), np.zeros((30000, 1), np.float32)
    audio = audio_of(np.concatenate([lead, once, tail]), RATE)

    pulse = find_pulse(audio, detect_onsets(audio))

    assert pulse.beats_per_minute == pytest.approx(97.0, rel=0.002)
    assert pulse.downbeats[0] == pytest.approx(17000 / RATE, abs=0.001)


def test_a_name_makes_a_whole_number_of_beats_far_likelier_and_no_other():
    proposed = [
        Proposal(Loop(100.8, 4), 0.0, 0.0, "length"),
        Proposal(Loop(126.0, 5), 0.0, -1.0, "length"),
    ]

    told = told_by_name_too(proposed, NamedTempi(name=126.0))
    misled = told_by_name_too(proposed, NamedTempi(name=111.0))

    assert told[0].loop.beats == 5
    assert [each.score for each in misled] == [0.0, -1.0]


def test_one_tempo_is_printed_once_and_disagreement_lowers_the_confidence():
    proposed = [Proposal(Loop(140.0, 8), 0.0, 1.0, "length")]
    agreeing = DetectedTempi(((140.05, 0.9), (70.0, 0.1)), 2.0, is_on_grid=True)
    other = DetectedTempi(((117.3, 0.9), (139.96, 0.1)), 2.0, is_on_grid=True)

    one = ranked(140.0, agreeing, proposed, NamedTempi())
    two = ranked(117.3, other, proposed, NamedTempi())

    assert [each.beats_per_minute for each in one if abs(each.beats_per_minute - 140) < 2] == [140.0]
    assert set(one[0].sources) == {"measured", "length"}
    assert one[0].confidence > 0.9
    assert two[0].beats_per_minute == 117.3
    assert two[0].confidence < 0.75
    assert any(each.beats_per_minute == 140.0 for each in two)
