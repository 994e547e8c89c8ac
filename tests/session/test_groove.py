"""Grooves: taken, changed, and the lines that they and swing move."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.session.edits.grooves import add_groove, groove_of, play_groove, remove_groove
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.grid import Feel, Grid, TempoChange, TempoMap, nearest_lines
from chronotome.session.groove import (
    Groove,
    GrooveStep,
    blended,
    mirrored,
    repeated,
    rotated,
    smoothed,
    with_step,
)
from chronotome.session.lines import GridRule, LineRules, SwingOf, lines_of_bar, lines_over, lines_within
from chronotome.session.metre import Metre, metre_map
from chronotome.session.model import replace
from chronotome.session.tighten import targets_of
from strategies import RATE, grids, metre_maps, simple_session, swings, tempo_maps

STEP = RATE // 8
LATE = [0.0, 21.0, -6.0, 12.0]
FOUR = metre_map(Metre())


def groove(offsets=LATE, levels=(0.0, -8.0, -3.0, -6.0), **values) -> Groove:
    steps = tuple(
        GrooveStep(at / 4, offsets[at % len(offsets)], levels[at % len(levels)], 1.0, 8) for at in range(16)
    )
    return Groove(1, "shaken", **{"steps": steps, "beats_per_minute": 120.0, **values})


def played(bars=8, noise=0.0, offsets=LATE, fill=None):
    """A session of sixteenths at 120 bpm, each late as the groove says; bar `fill` is quite another."""
    random = np.random.default_rng(3)
    frames = []
    for step in range(16 * bars):
        if fill is not None and step // 16 == fill and step % 16 not in {3, 5}:
            continue
        late = (
            offsets[step % len(offsets)] + random.uniform(-noise, noise) + (40 if step // 16 == fill else 0)
        )
        frames.append(STEP * (step + 16) + round(late * RATE / 1000))
    return simple_session(frames, frames[-1] + RATE)


def taken(session, **values):
    track = session.tracks[0]
    return groove_of(session, track, track.takes[0], values.pop("grid", Grid(16)), **values)


def offsets_of(found):
    return {step.beat: step.offset_ms for step in found.steps}


# Lines


@given(grids, metre_maps, swings, st.sampled_from(SwingOf), tempo_maps(), st.floats(-40, 200))
@settings(max_examples=60)
def test_the_nearest_line_is_a_line_and_none_is_nearer(grid, metre, swing, swing_of, tempo, beat):
    lines = lines_over(beat, beat, GridRule(grid, swing, swing_of, groove(), 1.5, shift=-30.0), metre, tempo)

    assert (np.diff(lines.beats) > 0).all()
    assert (np.diff(lines.steps) > 0).all()
    at = int(lines.nearest(np.array([beat]))[0])
    assert abs(lines.beats[at] - beat) == pytest.approx(np.abs(lines.beats - beat).min(), abs=1e-9)


@given(grids, metre_maps, st.floats(-40, 200))
def test_without_swing_lines_are_those_of_the_straight_grid(grid, metre, beat):
    lines = lines_over(beat, beat, GridRule(grid), metre, TempoMap())

    near = nearest_lines(np.array([beat]), grid, metre)
    ours = lines.steps[lines.nearest(np.array([beat]))]
    assert ours == near or abs(ours - beat) == pytest.approx(abs(near - beat), abs=1e-9)  # of two, either


def test_swing_moves_every_second_line_of_the_grid_and_no_other():
    _, swung = lines_of_bar(GridRule(Grid(16), 66.0), Metre())
    straight, _ = lines_of_bar(GridRule(Grid(16)), Metre())

    np.testing.assert_allclose(swung[::2], straight[::2])
    np.testing.assert_allclose(swung[1::2] - straight[1::2], 0.5 * 0.16)
    triplets = GridRule(Grid(8, Feel.TRIPLET), 70.0)
    np.testing.assert_array_equal(*lines_of_bar(triplets, Metre()))


def test_eighths_swing_on_a_grid_of_sixteenths_and_take_the_rest_along():
    _, swung = lines_of_bar(GridRule(Grid(16), 60.0, SwingOf.EIGHTHS), Metre())

    np.testing.assert_allclose(swung[:5], [0.0, 0.3, 0.6, 0.8, 1.0])


@pytest.mark.parametrize(("feel", "count"), [(Feel.QUINTUPLET, 20), (Feel.SEPTUPLET, 28), (Feel.TRIPLET, 24)])
def test_five_and_seven_stand_in_the_place_of_four(feel, count):
    steps, _ = lines_of_bar(GridRule(Grid(16, feel)), Metre())

    assert len(steps) == count
    np.testing.assert_allclose(np.diff(steps), 4 / count)


def test_a_groove_moves_the_lines_by_ms_or_by_a_share_of_the_step():
    at_60 = TempoMap((TempoChange(0.0, 60.0),))
    in_ms = lines_over(0.0, 4.0, GridRule(groove=groove(), timing=0.5, shift=4.0), FOUR, at_60)
    scaled = lines_over(0.0, 4.0, GridRule(groove=groove(), scales=True), FOUR, at_60)

    at = in_ms.steps.searchsorted([0.0, 0.25, 0.5, 0.75])
    np.testing.assert_allclose(1000 * (in_ms.beats - in_ms.steps)[at], np.array(LATE) / 2 + 4.0)
    np.testing.assert_allclose(1000 * (scaled.beats - scaled.steps)[at], 2 * np.array(LATE))


def test_between_two_steps_of_a_groove_a_line_is_as_late_as_both_in_part():
    lines = lines_over(0.0, 1.0, GridRule(Grid(32), groove=groove()), FOUR, TempoMap())

    at = lines.steps.searchsorted(0.125)
    assert (lines.beats - lines.steps)[at] * 500 == pytest.approx(10.5)


def test_a_span_has_lines_of_its_own_and_the_rest_the_usual_ones():
    reach = LineRules((GridRule(Grid(4)), GridRule(Grid(16), shift=10.0)), ((1.0, 2.0),))

    lines = lines_within(0.0, 3.0, reach, FOUR, TempoMap())

    assert lines.steps.tolist() == [0.0, 1.0, 1.25, 1.5, 1.75, 2.0, 3.0]
    np.testing.assert_allclose((lines.beats - lines.steps)[1:5], 0.02)
    assert lines.beats[5] == 2.0


# Taking one


def test_a_groove_is_taken_as_it_was_played():
    found = taken(played(noise=4.0))

    errors = [offset - LATE[round(beat * 4) % 4] for beat, offset in offsets_of(found).items()]
    assert len(errors) == 16
    assert np.median(np.abs(errors)) < 1.0
    assert np.abs(errors).max() < 2.5
    assert {step.hits for step in found.steps} == {8}
    assert found.beats_per_minute == 120.0


def test_a_fill_is_no_part_of_the_groove():
    with_fill = offsets_of(taken(played(fill=6)))

    assert with_fill == offsets_of(taken(played(bars=6)))


def test_a_step_that_few_bars_have_is_left_out_and_one_without_hits_too():
    frames = [STEP * 2 * step for step in range(16, 80)] + [STEP * 37]
    found = taken(simple_session(sorted(frames), 200 * STEP))

    assert sorted(offsets_of(found)) == [each / 2 for each in range(8)]


def test_a_span_and_chosen_hits_leave_all_others_out():
    session = played(offsets=[0.0])
    track = session.tracks[0]
    onsets = targets_of(session, track, track.takes[0]).onsets

    assert sum(step.hits for step in taken(session, span=(8.0, 12.0)).steps) == 16
    assert sum(step.hits for step in taken(session, hits=onsets[:5].tolist()).steps) == 5


def test_two_bars_are_taken_as_two():
    session = played(offsets=[10.0] * 16 + [-10.0] * 16)

    found = taken(session, bars=2)

    assert [step.offset_ms for step in found.steps] == pytest.approx([-10.0] * 16 + [10.0] * 16) or [
        step.offset_ms for step in found.steps
    ] == pytest.approx([10.0] * 16 + [-10.0] * 16)


# Changing one


def test_a_step_set_by_hand_stays_between_its_neighbours():
    changed = with_step(groove(), 3, offset_ms=500.0, level_db=30.0)

    assert changed.steps[3].offset_ms < 125 / 2
    assert changed.steps[3].level_db == 12.0
    assert changed.steps[:3] == groove().steps[:3]


def test_grooves_are_mirrored_smoothed_rotated_and_repeated():
    one = groove()

    assert mirrored(mirrored(one)) == one
    assert [step.offset_ms for step in mirrored(one).steps[:4]] == [0.0, -21.0, 6.0, -12.0]
    assert np.ptp(smoothed(one).offsets) < np.ptp(one.offsets)
    assert [step.offset_ms for step in rotated(one, 1).steps[:4]] == [12.0, 0.0, 21.0, -6.0]
    assert rotated(rotated(one, 5), -5) == one
    assert len(repeated(one, 4).steps) == 64
    assert repeated(repeated(one, 4), 1) == one


@given(st.floats(0, 1))
def test_a_blend_leads_from_one_groove_to_another(share):
    other = groove(offsets=[10.0], levels=[0.0])

    made = blended(groove(), other, share)

    np.testing.assert_allclose(made.offsets[:4], (1 - share) * np.array(LATE) + share * 10.0, atol=0.051)


def test_steps_out_of_order_or_beyond_the_bar_are_refused():
    with pytest.raises(ValueError, match="rise"):
        groove(steps=(GrooveStep(1.0), GrooveStep(0.5)))
    with pytest.raises(ValueError, match="beyond"):
        groove(steps=(GrooveStep(4.0),))


# Playing one


def test_hits_land_where_the_groove_has_them_by_its_share():
    session = set_tighten(played(offsets=[0.0]), 2, strength=1.0, timing=0.5)
    track = session.tracks[0]
    session = play_groove(session, track.id, track.takes[0], groove())

    targets = targets_of(session, session.tracks[0], session.tracks[0].takes[0])

    off = 1000 * (targets.target - targets.played) / RATE
    np.testing.assert_allclose(off[:4], np.array(LATE) / 2, atol=0.03)
    assert np.abs(targets.landing).max() == 0.0


def test_the_same_groove_is_brought_in_once_and_gone_where_it_was_played():
    session = played()
    session, number = add_groove(session, groove())
    session, again = add_groove(session, replace(groove(), id=77))
    session = set_tighten(session, session.tracks[0].id, groove=number)

    without = remove_groove(session, number)

    assert again == number
    assert len(session.grooves) == 1
    assert without.grooves == ()
    assert without.tracks[0].tighten.groove == 0
