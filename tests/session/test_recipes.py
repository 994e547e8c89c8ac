"""Recipes of spans and hits, rounds, variants, loudness: who is tightened by what."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.session.anchors import anchors_of
from chronotome.session.edits.clips import of_elsewhere
from chronotome.session.edits.grooves import play_groove
from chronotome.session.edits.matching import match_to, set_match
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tightening import (
    ALL,
    Scope,
    clear_hits,
    clear_span,
    follow_ruler,
    hold_neighbours,
    keep_variant,
    move_hit,
    move_span,
    once_more,
    recipe_for,
    remove_variant,
    reset_some,
    set_recipe,
    set_tighten,
    tie_here,
    use_variant,
)
from chronotome.session.grid import Grid
from chronotome.session.groove import Groove, GrooveStep
from chronotome.session.loudness import hit_gains_of
from chronotome.session.model import Recording, replace
from chronotome.session.onsets import onsets_from
from chronotome.session.rows import score_of
from chronotome.session.settings import Alone, Match, Moving
from chronotome.session.targets import LEAST_APART_SECONDS
from chronotome.session.tighten import targets_of
from chronotome.session.validity import check
from strategies import RATE, sessions, simple_session, traits_of

STEP = RATE // 8
LATE = RATE // 100
FRAMES = [STEP * (8 + at) + LATE for at in range(64)]


@pytest.fixture
def session():
    """64 sixteenths at 120 bpm, 10 ms late; nothing is tightened."""
    return simple_session(FRAMES, FRAMES[-1] + RATE)


def at_work(session):
    track = session.tracks[0]
    return track, track.takes[0]


def moved(session):
    """Ms that each hit is moved by."""
    targets = targets_of(session, *at_work(session))
    return 1000 * (targets.target - targets.played) / RATE


def with_levels(session, levels):
    recording = session.recordings[0]
    onsets = recording.onsets.measured(traits_of(levels))
    return replace(session, recordings=(replace(recording, onsets=onsets),))


def test_a_span_is_tightened_by_its_own_recipe_and_nothing_else_is(session):
    track, take = at_work(session)

    session = set_recipe(session, track.id, take, Scope(span=(4.0, 8.0)), strength=0.6)

    off = moved(session)
    steps = targets_of(session, *at_work(session)).steps
    inside = (steps >= 4.0) & (steps < 8.0)
    np.testing.assert_allclose(off[inside], -6.0, atol=0.03)
    assert (off[~inside] == 0).all()
    assert recipe_for(session.tracks[0], take, Scope(span=(4.0, 8.0))).strength == 0.6
    assert (moved(clear_span(session, track.id, 5.0, 6.0)) == 0).all()


def test_a_span_over_another_cuts_what_is_under_it(session):
    track, take = at_work(session)
    for span, strength in (((0.0, 8.0), 0.2), ((2.0, 4.0), 0.4), ((3.0, 10.0), 0.6)):
        session = set_recipe(session, track.id, take, Scope(span=span), strength=strength)

    spans = [(each.start, each.end, each.recipe.strength) for each in session.tracks[0].spans]

    assert spans == [(0.0, 2.0, 0.2), (2.0, 3.0, 0.4), (3.0, 10.0, 0.6)]
    check(session)


@given(st.floats(-20, 20), st.sampled_from(["start", "end"]), st.integers(0, 1))
def test_an_end_of_a_span_stops_at_its_neighbours(beat, end, number):
    session = simple_session(FRAMES, FRAMES[-1] + RATE)
    track, take = at_work(session)
    for span in ((0.0, 2.0), (4.0, 6.0)):
        session = set_recipe(session, track.id, take, Scope(span=span), strength=0.5)

    check(move_span(session, track.id, number, **{end: beat}))


def test_chosen_hits_have_a_recipe_of_their_own_until_it_is_taken_back(session):
    track, take = at_work(session)
    ids = session.recordings[0].onsets.ids[3:5]

    own = set_recipe(session, track.id, take, Scope(hits=ids), strength=1.0, leave_alone=0.0)

    off = moved(own)
    np.testing.assert_allclose(off[3:5], -10.0, atol=0.03)
    assert np.count_nonzero(off) == 2
    assert recipe_for(own.tracks[0], own.tracks[0].takes[0], Scope(hits=ids)).strength == 1.0
    assert clear_hits(own, track.id, own.tracks[0].takes[0], ids) == session
    by_hand = move_hit(own, track.id, track.clips[0].id, ids[0], 3.3)
    assert reset_some(by_hand, track.id, track.clips[0].id, ids) == session


@given(st.integers(0, 12), st.floats(0.05, 0.9))
def test_once_more_leaves_the_same_share_of_what_is_left_each_time(rounds, strength):
    session = set_tighten(simple_session(FRAMES, FRAMES[-1] + RATE), 2, strength=strength)
    more = session
    for _ in range(rounds):
        more = once_more(more, 2, None)

    left = 10.0 + moved(more)

    np.testing.assert_allclose(left, 10.0 * (1 - strength) ** (rounds + 1), atol=0.03)
    back = more
    for _ in range(rounds + 2):
        back = once_more(back, 2, None, ALL, -1)
    assert back == session


def test_variants_are_kept_under_their_names_and_used_again(session):
    track, take = at_work(session)
    one = set_recipe(session, track.id, take, Scope(span=(0.0, 4.0)), strength=1.0)
    one = keep_variant(one, track.id, "tight")
    two = keep_variant(clear_span(one, track.id, 0.0, 4.0), track.id, "loose")

    tight = use_variant(two, track.id, "tight")

    np.testing.assert_array_equal(moved(tight), moved(one))
    np.testing.assert_array_equal(moved(use_variant(tight, track.id, "loose")), 0)
    assert use_variant(tight, track.id, "nobody") is tight
    again = keep_variant(two, track.id, "tight")
    assert [each.name for each in again.tracks[0].variants] == ["tight", "loose"]
    assert again.tracks[0].variants[0].spans == ()
    assert [each.name for each in remove_variant(again, track.id, "tight").tracks[0].variants] == ["loose"]


def test_loudness_is_drawn_to_an_even_one_by_its_share(session):
    levels = np.tile([-10.0, -20.0, -14.0, -26.0], 16)
    session = set_tighten(with_levels(session, levels), 2, loudness=0.5)

    gains = hit_gains_of(session, *at_work(session))

    np.testing.assert_allclose(levels + gains, (levels + np.median(levels)) / 2, atol=0.01)
    usual = set_tighten(session, 2, loudness=0.0)
    assert hit_gains_of(usual, *at_work(usual)) is None


def test_loudness_is_drawn_to_a_groove_and_of_what_is_not_measured_nothing_changes(session):
    steps = tuple(GrooveStep(at / 4, 0.0, (0.0, -12.0)[at % 2], 1.0, 8) for at in range(16))
    session = set_tighten(with_levels(session, np.full(64, -20.0)), 2, loudness=1.0)
    track, take = at_work(session)
    session = play_groove(session, track.id, take, Groove(0, "uneven", steps=steps))

    gains = hit_gains_of(session, *at_work(session))

    assert np.ptp(gains) == pytest.approx(12.0)
    assert gains[0] > gains[1]
    unknown = with_levels(session, np.full(64, -1000.0))
    np.testing.assert_array_equal(hit_gains_of(unknown, *at_work(unknown)), 0)


def test_rows_are_as_loud_as_their_hits_and_lead_to_the_next(session):
    levels = np.tile([-10.0, -20.0], 32)
    session = set_tighten(with_levels(session, levels), 2, loudness=1.0, strength=1.0)
    track, take = at_work(session)

    score = score_of(session, track, take, anchors_of(session, track, take))

    hits = np.flatnonzero(score.onset != -1)
    decibels = 20 * np.log10(score.gains[hits[:2], 0])
    assert decibels[1] - decibels[0] == pytest.approx(10.0, abs=0.01)
    assert not score.is_even
    np.testing.assert_array_equal(score.gains_at_end[hits[:-1]], score.gains[hits[1:]])


def test_a_hit_alone_can_be_silent():
    session = simple_session(FRAMES[:8], FRAMES[8])
    session = add_recording(session, Recording("b" * 32, "b.wav", RATE, FRAMES[9], 1), "b")
    frames = np.array(sorted([*FRAMES[:8], FRAMES[3] + STEP // 2]))
    onsets = onsets_from(frames, np.full(9, 90.0), np.ones(9, np.int64))
    session = set_analysis(session, "b" * 32, onsets, None)
    first, second = session.tracks
    session = match_to(session, second.id, second.takes[0], first.id)
    session = set_match(session, second.id, second.takes[0], within=40.0, alone=Alone.SILENT)

    track = session.tracks[1]
    gains = hit_gains_of(session, track, track.takes[0])

    assert gains.tolist() == [0, 0, 0, 0, -120, 0, 0, 0, 0]


def test_a_grid_of_its_own_makes_strokes_of_its_own(session):
    """At a fast grid what are two strokes elsewhere is one: a span changes none outside of it."""
    pairs = sorted([*FRAMES, *(frame + round(0.035 * RATE) for frame in FRAMES)])
    session = simple_session(pairs, pairs[-1] + RATE)
    track, take = at_work(session)

    own = set_recipe(session, track.id, take, Scope(span=(4.0, 8.0)), grid=Grid(64), strength=0.0)

    targets = targets_of(own, *at_work(own))
    inside = (targets.steps >= 4.0) & (targets.steps < 8.0)
    per_stroke = np.bincount(targets.strokes)[targets.strokes]
    assert (per_stroke[inside] == 1).all()
    assert (per_stroke[~inside] == 2).all()


@given(sessions(), st.floats(0, 1), st.floats(-0.3, 0.3))
@settings(max_examples=60)
def test_a_hit_moved_while_its_neighbours_are_held_moves_no_other(session, which, beats):
    track, take = at_work(session)
    before = targets_of(session, track, take)
    if not len(before) or np.diff(before.target).min(initial=RATE) < LEAST_APART_SECONDS * RATE:
        return  # what is crammed at the session's start gives way
    at = int(which * (len(before) - 1))
    clip, onset = track.clips[0].id, int(before.onsets[at])
    holding = hold_neighbours(session, track.id, clip, onset)
    low, high = targets_of(holding, *at_work(holding)).room_of(at)
    frame = min(max(session.frame_of(session.beat_of(before.target[at]) + beats), low), high)

    moved = move_hit(holding, track.id, clip, onset, session.beat_of(frame))

    after = targets_of(moved, *at_work(moved)).target
    others = before.strokes != before.strokes[at]
    np.testing.assert_array_equal(after[others], before.target[others])


@pytest.mark.parametrize("strength", [0.0, 0.7])
def test_a_warp_marker_where_nothing_begins_ties_down_what_sounds_there_and_moves_nothing(session, strength):
    session = set_tighten(session, 2, strength=strength)
    track, take = at_work(session)
    before = targets_of(session, track, take)
    frame = FRAMES[10] + STEP // 3
    heard = anchors_of(session, track, take).heard_of(frame)

    tied, onset = tie_here(session, track.id, track.clips[0].id, frame)

    after = targets_of(tied, *at_work(tied))
    at = int(np.flatnonzero(after.onsets == onset)[0])
    assert after.target[at] == pytest.approx(heard, abs=1)
    np.testing.assert_array_equal(np.delete(after.target, at), before.target)
    by_hand = [touch.onset for touch in tied.tracks[0].takes[0].touches]
    assert sorted(by_hand) == sorted([onset, *before.onsets[10:12].tolist()])


def test_a_hit_may_be_moved_as_far_as_the_sound_beside_it_bears(session):
    targets = targets_of(session, *at_work(session))

    low, high = targets.bearable(5, 1.25)

    assert targets.target[5] - low == pytest.approx(0.2 * STEP)
    assert high - targets.target[5] == pytest.approx(0.2 * STEP)
    cut = Moving(by=MoveBy.CUTTING)  # nothing is stretched: up to the hits beside it
    assert targets.bearable(5, cut.borne) == (targets.target[4], targets.target[6])


def test_a_clip_of_another_session_names_no_groove_and_no_track_of_it(session):
    track, take = at_work(session)
    ids = session.recordings[0].onsets.ids[:2]
    own = set_recipe(session, track.id, take, Scope(hits=ids), groove=7, match=Match(99), strength=0.4)

    (touch, _) = of_elsewhere(own.tracks[0].clips[0]).take.touches

    assert (touch.recipe.groove, touch.recipe.match, touch.recipe.strength) == (0, None, 0.4)


def test_what_follows_the_ruler_has_its_grid_wherever_it_is_and_nothing_else_has(session):
    track, take = at_work(session)
    session = set_recipe(session, track.id, take, Scope(span=(8.0, 12.0)), follows_ruler=True)
    session = set_recipe(session, track.id, take, Scope(hits=(3,)), follows_ruler=True)

    followed = follow_ruler(session, 32)

    after = followed.tracks[0]
    assert after.tighten == session.tracks[0].tighten
    assert [each.recipe.grid.division for each in after.spans] == [32]
    assert [each.recipe.grid.division for each in after.takes[0].touches] == [32]
    assert follow_ruler(followed, 32) is followed
