import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.clicks import clicks_at
from chronotome.dsp.stretch.engines import EngineName, Fill
from chronotome.dsp.stretch.segment import LEAD_IN, Shape, render_segment
from sounds import RATE, highest_pitch, noise_hits, sine

WITH_ANCHORS = [EngineName.CUTTING, EngineName.DRUMS]
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


@pytest.mark.parametrize("engine", WITH_ANCHORS)
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

    made = render_segment(
        source, RATE, (0, 8000), 12000, engine=EngineName.CUTTING, is_last=True, shape=Shape(fill=fill)
    )

    np.testing.assert_array_equal(made[:7500], source[:7500])
    tail = int(0.08 * RATE)
    fade = int(0.005 * RATE)
    gap, last = made[8300 : 8000 + tail - 600], source[8000 - tail :]
    if fill is Fill.NOTHING:
        assert not gap.any()
    else:
        wanted = last[::-1] if fill is not Fill.AGAIN else last
        alike = np.corrcoef(gap[:, 0], wanted[300 + fade :][: len(gap), 0])[0, 1]
        assert alike > 0.5
