from itertools import pairwise

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.clicks import clicks_at
from chronotome.dsp.stretch.cutting import cut_to_length
from chronotome.dsp.stretch.engines import EngineName
from chronotome.dsp.stretch.evenness import Evenness
from chronotome.dsp.stretch.formants import recoloured
from chronotome.dsp.stretch.gaps import Crossing, Fill, Gap
from chronotome.dsp.stretch.segment import LEAD_IN, Shape, render_hit, render_segment
from sounds import RATE, highest_pitch, noise_hits, sine

WITH_ANCHORS = [EngineName.CUTTING, EngineName.DRUMS, EngineName.NOISE]
TONAL = [each for each in EngineName if each is not EngineName.NOISE]
"""What keeps a steady tone as it is."""
HITS = noise_hits([1000, 12000, 24000], 40000, channels=2, decay=0.06)


@given(st.sampled_from(EngineName), st.integers(0, 20000), st.integers(40, 15000), st.floats(0.002, 2.2))
@settings(deadline=None, max_examples=60)
def test_the_length_is_what_was_asked_for_and_all_of_it_is_sound(engine, start, span, ratio):
    length = max(1, round(span * ratio))

    made = render_segment(HITS, RATE, (start, start + span), length, engine=engine)

    assert made.shape == (length, 2)
    assert np.isfinite(made).all()
    assert np.abs(made).max() <= 2 * np.abs(HITS).max()


@pytest.mark.parametrize("engine", EngineName)
def test_the_same_length_is_a_plain_copy(engine):
    made = render_segment(HITS, RATE, (1000, 12000), 11000, engine=engine)

    np.testing.assert_array_equal(made, HITS[1000:12000])


@pytest.mark.parametrize("engine", WITH_ANCHORS)
@pytest.mark.parametrize("length", [7000, 10500, 11400, 19000])
def test_attack_and_lead_in_are_verbatim(engine, length):
    made = render_segment(HITS, RATE, (1000, 12000), length, engine=engine)

    lead = int(LEAD_IN * RATE)
    np.testing.assert_array_equal(made[:400], HITS[1000:1400])
    np.testing.assert_array_equal(made[-lead:], HITS[12000 - lead : 12000])


@pytest.mark.parametrize("engine", WITH_ANCHORS)
def test_the_next_attack_never_leaks_in(engine):
    quiet = HITS.copy()
    quiet[12000:] = 0

    made, alone = (
        render_segment(source, RATE, (1000, 12000), 15000, engine=engine) for source in (HITS, quiet)
    )

    np.testing.assert_array_equal(made, alone)


@pytest.mark.parametrize(("engine", "factor"), [(EngineName.DRUMS, 1.0), (EngineName.TAPE, 0.8)])
def test_stretching_keeps_the_pitch_and_tape_changes_it_with_the_speed(engine, factor):
    tone = sine(440, 1.0)

    made = render_segment(tone, RATE, (0, 40000), 50000, engine=engine, is_last=True)

    assert highest_pitch(made[5000:45000], RATE) == pytest.approx(440 * factor, rel=0.002)


@pytest.mark.parametrize("engine", [EngineName.CUTTING, EngineName.DRUMS])
@pytest.mark.parametrize("length", [19000, 21000, 30000])
def test_a_join_in_a_steady_sound_does_not_click(engine, length):
    tone = sine(331, 1.0)

    parts = [render_segment(tone, RATE, (0, 20000), length, engine=engine), tone[20000:40000]]
    made = np.concatenate(parts)

    everywhere = np.arange(100, len(made) - 100)
    allowed = 1.0 if engine is EngineName.DRUMS else 3.0  # a tail that turns round bends at its ends
    assert clicks_at(made, everywhere, tone[:20000]).max() <= allowed


def test_a_source_that_ends_early_is_followed_by_silence():
    made = render_segment(HITS, RATE, (39000, 45000), 6000, engine=EngineName.CUTTING)

    np.testing.assert_array_equal(made[1000:], 0)


def test_a_span_that_does_not_rise_is_refused():
    with pytest.raises(ValueError, match="span must rise"):
        render_segment(HITS, RATE, (500, 500), 10, engine=EngineName.CUTTING)


def test_what_nothing_follows_keeps_no_lead_in_for_it():
    source = np.random.default_rng(3).standard_normal((5000, 1)).astype(np.float32)

    last, joined = (
        render_segment(source, RATE, (0, 4000), 3000, engine=EngineName.CUTTING, is_last=is_last)
        for is_last in (True, False)
    )

    np.testing.assert_array_equal(last, source[:3000])
    lead = int(LEAD_IN * RATE)
    np.testing.assert_array_equal(joined[-lead:], source[4000 - lead : 4000])


@pytest.mark.parametrize("fill", Fill)
def test_a_gap_is_filled_as_was_asked_for(fill):
    source = HITS[1000:9000]

    room = np.full((3000, 2), 1e-3, np.float32)
    made = render_segment(
        source,
        RATE,
        (0, 8000),
        12000,
        engine=EngineName.CUTTING,
        is_last=True,
        shape=Shape(gap=Gap(fill)),
        room=room,
    )

    np.testing.assert_array_equal(made[:7500], source[:7500])
    tail = int(0.08 * RATE)
    fade = int(0.005 * RATE)
    gap, last = made[8300 : 8000 + tail - 600], source[8000 - tail :]
    if fill is Fill.NOTHING:
        assert not gap.any()
    elif fill is Fill.ROOM:
        np.testing.assert_allclose(gap, 1e-3, rtol=0.3)
    else:
        wanted = last[::-1] if fill is not Fill.AGAIN else last
        alike = np.corrcoef(gap[:, 0], wanted[300 + fade :][: len(gap), 0])[0, 1]
        assert alike > 0.5


@pytest.mark.parametrize("crossing", Crossing)
def test_a_gap_begins_as_long_and_along_the_curve_that_was_asked_for(crossing):
    source, fade = np.full((8000, 1), 0.5, np.float32), 0.02
    gap = Gap(Fill.NOTHING, fade, crossing)

    made = cut_to_length(source, RATE, 0, 8000, 10000, gap)[:, 0] / 0.5

    long = int(fade * RATE)
    assert (made[: 8000 - long] == 1).all()
    assert not made[8000:].any()
    falling = made[8000 - long : 8000]
    assert falling[long // 2] == pytest.approx(0.5, abs=0.01)
    wanted = {Crossing.SMOOTH: 0.854, Crossing.STRAIGHT: 0.75, Crossing.FIRM: 0.995}[crossing]
    assert falling[long // 4] == pytest.approx(wanted, abs=0.01)


def vowel(pitch):
    """A second of harmonics under two formants."""
    harmonics = np.arange(1, int(8000 / pitch)) * pitch
    levels = sum(1 / (1 + ((harmonics - formant) / 90) ** 2) for formant in (700, 1900)) + 0.01
    waves = np.sin(
        2 * np.pi * harmonics[:, None] * np.arange(RATE) / RATE + np.arange(len(harmonics))[:, None] ** 2
    )
    return (0.05 * levels @ waves).astype(np.float32)[:, None]


def strongest(made, low, high):
    """The harmonic between two frequencies that is loudest."""
    spectrum = np.abs(np.fft.rfft(made[:, 0] * np.hanning(len(made))))
    spectrum[: int(low * len(made) / RATE)] = 0
    return spectrum[: int(high * len(made) / RATE)].argmax() * RATE / len(made)


def test_at_another_pitch_a_voice_keeps_its_formants_where_that_is_asked_for():
    voice, ratio = vowel(100), 2 ** (7 / 12)

    kept = recoloured(voice, RATE, 0, RATE, ratio)
    plain, coloured = (
        render_hit(each, RATE, (0, RATE), RATE, engine=EngineName.NOTE, semitones=7) for each in (voice, kept)
    )

    assert strongest(plain, 1400, 4000) == pytest.approx(1900 * ratio, abs=100)
    assert strongest(coloured, 1400, 4000) == pytest.approx(1900, abs=150)
    assert np.sqrt((coloured**2).mean()) == pytest.approx(np.sqrt((voice**2).mean()), rel=0.1)
    np.testing.assert_allclose(recoloured(voice, RATE, 9000, 12000, ratio), kept[9000:12000], atol=1e-6)


@pytest.mark.parametrize("engine", TONAL)
@pytest.mark.parametrize("semitones", [-5.0, 4.0])
def test_parts_at_another_pitch_meet_without_a_click(engine, semitones):
    tone, ratio = sine(220, 2.0), 2 ** (semitones / 12)
    seam = 20000 + round(44100 / 220 * 3) - 20000 % 200
    soft = Shape(ends_softly=True), Shape(begins_softly=True)
    spans = (1000, seam), (seam, seam + 30000)

    parts = [
        render_hit(tone, RATE, span, span[1] - span[0], engine=engine, semitones=semitones, shape=shape)
        for span, shape in zip(spans, soft, strict=True)
    ]

    made, join = np.concatenate(parts), len(parts[0])
    reference = sine(220 * ratio, 1.0)
    assert clicks_at(made, np.arange(join - 3, join + 4), reference).max() < 3.0
    assert highest_pitch(made[2000:-2000], RATE) == pytest.approx(220 * ratio, rel=0.01)


@pytest.mark.parametrize("engine", [EngineName.DRUMS, EngineName.CUTTING, EngineName.NOTE, EngineName.TAPE])
@pytest.mark.parametrize("away", [-0.012, 0.0, 0.012])
@pytest.mark.parametrize("semitones", [-12.0, 5.0])
def test_at_another_pitch_an_attack_stays_where_it_was_wherever_its_mark_is(engine, away, semitones):
    attacks = np.array([20000, 40000, 60000])
    sound = noise_hits(attacks.tolist(), 90000, decay=0.06)
    marks = [*(attacks + round(away * RATE)).tolist(), 80000]
    shapes = Shape(goes_on=(False, True)), Shape(goes_on=(True, True)), Shape(goes_on=(True, False))

    parts = [
        render_hit(sound, RATE, span, span[1] - span[0], engine=engine, semitones=semitones, shape=shape)
        for span, shape in zip(pairwise(marks), shapes, strict=True)
    ]

    made, before = np.concatenate(parts)[:, 0], int(0.008 * RATE)
    for attack in (attacks - marks[0])[1:]:
        loud = np.abs(made[attack : attack + 500]).max()
        assert np.abs(made[attack - before : attack - 60]).max() < 0.1 * loud
        assert np.abs(made[attack - 8 : attack + 30]).max() > 0.3 * loud


@pytest.mark.parametrize("engine", [EngineName.DRUMS, EngineName.TONES, EngineName.NOTE])
@pytest.mark.parametrize("semitones", [-12.0, -5.0])
def test_at_another_pitch_a_sound_is_as_loud_as_it_was_at_each_moment(engine, semitones):
    """A blip ends when it did, and two partials that beat leave no hole that the recording has not."""
    blip = np.concatenate(
        [sine(1000, 0.06) * np.hanning(int(0.12 * RATE))[int(0.06 * RATE) :, None], np.zeros((18000, 1))]
    )
    beats = sum(sine(each, 0.5, level=0.2) for each in (440.0, 444.0, 663.0, 672.0))
    blip = blip.astype(np.float32)
    for sound in (blip, beats):
        made = render_hit(sound, RATE, (0, len(sound)), len(sound), engine=engine, semitones=semitones)

        assert Evenness(sound, RATE).strays(made) < 3.0
        assert sound is beats or np.abs(made[int(0.085 * RATE) :]).max() < 0.01


def repeats_of(samples):
    """The most that a noise is like itself 3 to 80 ms later, 0 to 1; its level is evened out before."""
    even = samples / np.sqrt(np.convolve(samples**2, np.ones(2000) / 2000, "same") + 1e-12)
    power = np.abs(np.fft.rfft(even, 1 << 17)) ** 2
    alike = np.fft.irfft(power)
    return np.abs(alike[int(0.003 * RATE) : int(0.08 * RATE)]).max() / alike[0]


@pytest.mark.parametrize("ratio", [0.6, 1.4, 1.9])
def test_noise_goes_on_as_loud_as_it_was_at_each_frequency_and_nothing_of_it_comes_again(ratio):
    draw = np.random.default_rng(5)
    fading = 0.1 * draw.standard_normal((30000, 2)) * np.exp(-np.arange(30000) / 15000)[:, None]
    source = np.diff(fading, axis=0, prepend=0.0).astype(np.float32)
    length = round(20000 * ratio)

    made, copied = (
        render_segment(source, RATE, (2000, 22000), length, engine=engine, is_last=True)
        for engine in (EngineName.NOISE, EngineName.DRUMS)
    )

    parts = zip(np.array_split(made, 4), np.array_split(source[2000:22000], 4), strict=True)
    for part, was in parts:
        powers = [np.abs(np.fft.rfft(each[:, 0])) ** 2 / len(each) for each in (part, was)]
        octaves = [
            [10 * np.log10(each[len(each) >> k + 1 : len(each) >> k].mean()) for k in range(4)]
            for each in powers
        ]
        np.testing.assert_allclose(*octaves, atol=1.5)
    assert abs(np.corrcoef(made.T)[0, 1]) < 0.1  # two channels that have nothing in common keep it so
    assert ratio < 1 or repeats_of(made[2000:, 0]) < 0.75 * repeats_of(copied[2000:, 0])
    np.testing.assert_array_equal(
        made, render_segment(source, RATE, (2000, 22000), length, engine=EngineName.NOISE, is_last=True)
    )
