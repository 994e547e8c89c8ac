"""The vocoder between attacks: ends verbatim, pitch and level kept, seams and bends not heard."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.bands import Instrument
from chronotome.dsp.clicks import clicks_at
from chronotome.dsp.hits import bands_of, has_attack, hit_traits
from chronotome.dsp.stretch.engines import EngineName, MoveBy, StretchMaterial, engine_of
from chronotome.dsp.stretch.evenness import Evenness
from chronotome.dsp.stretch.segment import Shape, render_segment

RATE = 44100
TIME = np.arange(4 * RATE) / RATE
PITCHES = np.array([220.0, 277.18, 329.63])
CHORD = (0.2 * np.sin(2 * np.pi * PITCHES * TIME[:, None] + PITCHES)).sum(1, keepdims=True).astype(np.float32)
SOFT = {"begins_softly": True, "ends_softly": True}


def tones(source, span, length, engine=EngineName.TONES, *, is_last=False, **shape):
    return render_segment(source, RATE, span, length, engine=engine, is_last=is_last, shape=Shape(**shape))


def amplitude(sound, pitch):
    """Of one partial, over time."""
    time = np.arange(len(sound)) / RATE
    turned = sound * np.exp(-2j * np.pi * pitch * time)
    width = RATE // 20
    return 2 * np.abs(np.convolve(turned, np.hanning(width) / np.hanning(width).sum(), "valid"))


@pytest.mark.parametrize("engine", [EngineName.TONES, EngineName.NOTE])
@pytest.mark.parametrize("ratio", [0.8, 1.1, 1.25])
def test_a_chord_with_a_marker_every_400_ms_keeps_its_level_and_its_pitch(engine, ratio):
    """Markers where no attack is bend the map; a seam a second is not heard: it is the chord held as long."""
    seams = [0, RATE, 2 * RATE, 3 * RATE]
    lengths = [round(RATE * ratio * each) for each in (1.0, 1.02, 0.98)]
    made = []
    for number, length in enumerate(lengths):
        bends = tuple(
            (round(at * RATE), round(at * length + offset * 300)) for at, offset in ((0.4, 1), (0.8, -1))
        )
        shifts = tuple(sum(lengths[: number + more]) - seams[number + more] for more in (0, 1))
        span = seams[number], seams[number + 1]
        made.append(tones(CHORD, span, length, engine, bends=bends, shifts=shifts, **SOFT))
    heard = np.concatenate(made)[:, 0].astype(float)

    for pitch in (220.0, 277.18, 329.63):
        level = amplitude(heard, pitch)[RATE // 4 : -RATE // 4]
        assert level.mean() == pytest.approx(0.2, rel=0.005)
    inner = slice(RATE // 4, len(heard) - RATE // 4)
    truth = CHORD[inner, 0]
    assert np.sqrt(np.mean((heard[inner] - truth) ** 2)) < 0.05 * np.sqrt(np.mean(truth**2))


@given(st.integers(2000, 60000), st.floats(0.5, 2.0), st.booleans(), st.booleans())
@settings(max_examples=25, deadline=None)
def test_the_length_is_what_was_asked_for_and_both_ends_are_verbatim(span, ratio, begins, ends):
    length = max(400, round(span * ratio))

    made = tones(CHORD, (1000, 1000 + span), length, begins_softly=begins, ends_softly=ends)

    assert len(made) == length
    assert np.isfinite(made).all()
    lead = min(int(0.006 * RATE), span // 4, length // 4)
    np.testing.assert_array_equal(made[length - lead :], CHORD[1000 + span - lead : 1000 + span])
    head = min(100, length // 8, span // 8)
    if abs(ratio - 1) < 0.3 and span > 4000:
        np.testing.assert_allclose(made[:head], CHORD[1000 : 1000 + head], atol=1e-6)


@pytest.mark.parametrize("ratio", [0.8, 1.5, 2.0])
def test_of_what_comes_after_a_span_that_nothing_follows_nothing_is_heard(ratio):
    """A slice on a key ends where the next hit begins: that must not swell up in its end."""
    sound = 0.02 * CHORD[:60000].copy()
    sound[30000:32000] += np.random.default_rng(2).uniform(-0.9, 0.9, (2000, 1)).astype(np.float32)

    made = tones(sound, (10000, 30000), round(20000 * ratio), is_last=True)

    level = np.sqrt(np.mean(sound[12000:28000] ** 2))
    for start in range(len(made) - 6000, len(made), 500):
        assert np.sqrt(np.mean(made[start : start + 500] ** 2)) < 2.0 * level


@given(st.integers(300, 60000), st.floats(0.5, 2.0), st.integers(-20000, 20000), st.integers(-500, 500))
@settings(max_examples=25, deadline=None)
def test_rows_that_meet_at_a_seam_meet_without_a_click(span, ratio, shift, more):
    """Whatever they are made of: what is around the seam depends on its place and its shift alone."""
    length = max(60, round(span * ratio))
    seam = 70000

    before = tones(CHORD, (seam - span, seam), length, ends_softly=True, shifts=(0, shift))
    after = tones(CHORD, (seam, seam + 40000), 40000 + more, begins_softly=True, shifts=(shift, 0))

    assert (len(before), len(after)) == (length, 40000 + more)
    if min(span, length) > 3000:  # shorter ones are heard through shorter windows
        joined = np.concatenate([before, after])
        assert clicks_at(joined, np.array([length]), CHORD)[0] < 1.0


def test_the_recording_itself_is_never_written_to():
    """Of one channel the vocoder works on a view of it."""
    before = CHORD.copy()

    tones(CHORD, (1000, 30000), 36000)

    np.testing.assert_array_equal(CHORD, before)


def test_nothing_moved_is_a_plain_copy_and_a_bend_alone_is_not():
    np.testing.assert_array_equal(tones(CHORD, (500, 40500), 40000, bends=((9000, 9000),)), CHORD[500:40500])
    bent = tones(CHORD, (500, 40500), 40000, bends=((20000, 21000),))
    off = np.abs(bent - CHORD[500:40500]).max()
    assert 1e-4 < off < 0.05  # a steady sound goes on as it was


def test_two_channels_keep_the_phase_between_them():
    both = np.concatenate([CHORD, 0.5 * CHORD], axis=1)

    made = tones(both, (0, 40000), 47000)

    np.testing.assert_allclose(made[:, 1], 0.5 * made[:, 0], atol=1e-5)


def test_an_attack_is_what_rises_at_once_and_over_all_that_was():
    low = 0.4 * np.sin(2 * np.pi * 41 * TIME)
    swell = np.minimum(1, TIME / 2) * np.sin(2 * np.pi * 300 * TIME)
    struck = np.where(TIME >= 2, np.exp(-(TIME - 2) * 3) * np.sin(2 * np.pi * 300 * TIME), 0.0)
    at = np.arange(20000, 60000, 1777)

    def attacks(sound, frames):
        return has_attack(sound.astype(np.float32)[:, None], RATE, np.asarray(frames))

    assert not attacks(low, at).any()
    assert not attacks(swell, at).any()
    growl = np.sin(2 * np.pi * 180 * TIME) * np.maximum(0.05, np.sin(2 * np.pi * 25 * TIME))
    assert not attacks(
        growl, np.arange(10, 60) * RATE // 25
    ).any()  # it rises 25 times a second, and never over what was
    assert attacks(low * 0.05 + struck, [2 * RATE]).all()


def test_hits_are_as_loud_and_as_bright_as_they_sound():
    sound = np.zeros((RATE, 1), np.float32)
    for start, pitch, level in ((4000, 100, 0.5), (20000, 5000, 0.05)):
        part = np.arange(6000) / RATE
        sound[start : start + 6000, 0] = level * np.sin(2 * np.pi * pitch * part)

    found = hit_traits(sound, RATE, np.array([4000, 20000, 35000]))

    np.testing.assert_allclose(found.levels[:2], [-9.03, -29.03], atol=0.2)
    assert found.levels[2] == -120.0
    assert bands_of(found.timbres)[:2].argmin(axis=1).tolist() == [0, 6]


def test_what_renders_is_what_was_chosen_or_what_was_heard():
    def of(way, keeps, material):
        return engine_of(MoveBy(way), StretchMaterial(keeps), Instrument(material))

    assert of("stretching", "as heard", "drums") is EngineName.DRUMS
    assert {of("stretching", "as heard", each) for each in ("struck", "sustained", "mixed")} == {
        EngineName.TONES
    }
    assert of("stretching", "one note", "drums") is EngineName.NOTE
    assert of("stretching", "chords", "drums") is EngineName.TONES
    assert of("stretching", "drums", "mixed") is EngineName.DRUMS
    assert of("tape", "drums", "drums") is EngineName.TAPE
    assert of("cutting", "one note", "drums") is EngineName.CUTTING


def test_a_hole_and_a_bump_are_heard_of_and_evenness_is_not():
    hole, bump = CHORD[:20000].copy(), CHORD[:20000].copy()
    hole[9000:9900] *= 0.1
    bump[9000:9900] *= 3.0

    level = Evenness(CHORD[:20000], RATE)
    assert level.strays(CHORD[:20000]) == 0.0
    assert level.strays(hole) > 10.0
    assert level.strays(bump) > 6.0
    for uneven in (hole, bump):
        even = level.evened(uneven, 400, 19000)
        assert level.strays(even) < 2.0
        far = np.abs(np.arange(20000) - 9450) > 1500
        np.testing.assert_array_equal(even[far], CHORD[:20000][far])
        np.testing.assert_array_equal(level.evened(uneven, 10200, 19000)[:10200], uneven[:10200])
    assert level.strays(level.evened(bump, 10200, 19000, 400)) < 2.0  # a bump is taken down sooner


def test_a_hit_of_half_its_length_fades_as_the_whole_one_does():
    """A level that falls steeply at twice the pace, also where its attack is verbatim (once 10 dB more)."""
    level = np.interp(TIME[:RATE], [0.0, 0.020, 0.026, 0.4], [0.5, 0.5, 0.04, 0.005])
    source = (np.random.default_rng(0).standard_normal(RATE) * level).astype(np.float32)[:, None]

    made = tones(source, (0, 8000), 4000, EngineName.DRUMS)

    def power(samples):
        return np.convolve((samples[:, 0] ** 2), np.ones(441), "same")

    now, was = power(made), power(source[:8000])
    loudest = np.array([was[max(0, 2 * at - 882) : 2 * at + 883].max() for at in range(4000)])
    np.testing.assert_array_equal(made[:400], source[:400])
    assert 10 * np.log10(now[300:3500] / loudest[300:3500]).max() < 5.0


def test_drums_over_a_low_tone_leave_no_hole():
    """Frames of 40 ms lose the period of 48 Hz; another way is taken then."""
    low = 0.5 * np.sin(2 * np.pi * 48 * TIME[: RATE // 2])
    stroke = np.random.default_rng(1).standard_normal(RATE // 2) * np.exp(-TIME[: RATE // 2] * 60) * 0.5
    source = np.tile((low + stroke).astype(np.float32)[:, None], (2, 1))[:, :1]

    worst = [
        Evenness(source[: RATE // 2], RATE).strays(
            tones(source, (0, RATE // 2), round(RATE / 2 * ratio), EngineName.DRUMS)
        )
        for ratio in (0.9, 1.1, 1.25)
    ]

    assert max(worst) < 1.5
