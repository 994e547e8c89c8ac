import msgspec
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.session.checks import checks_of
from chronotome.session.edits.marks import set_sift, set_threshold
from chronotome.session.edits.tightening import move_hit, reset_hit, reset_hits, set_tighten
from chronotome.session.edits.timing import set_tempo
from chronotome.session.grid import Grid
from chronotome.session.model import replace
from chronotome.session.sift import USUAL_SPACING
from chronotome.session.tighten import Reason, Targets, targets_of
from strategies import RATE, sessions, simple_session

STEP = RATE // 8  # a sixteenth at 120 bpm is 125 ms


def tightened(frames: list[int], *, least_spacing: float = USUAL_SPACING, **values: object) -> Targets:
    session = simple_session(frames, frames[-1] + RATE)
    content = session.recordings[0].content
    session = set_sift(session, content, lambda sift: replace(sift, least_spacing=least_spacing))
    session = set_tighten(session, session.tracks[0].id, **{"strength": 1.0, **values})
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0])


@given(sessions())
@settings(deadline=None, max_examples=60)
def test_order_is_kept_and_nothing_lands_before_the_start(session):
    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0])

    assert (np.diff(targets.target) > 0).all()
    assert not len(targets) or targets.target[0] >= 0


@given(sessions())
@settings(deadline=None, max_examples=40)
def test_strength_0_moves_nothing(session):
    session = set_tighten(session, session.tracks[0].id, strength=0.0)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0])

    np.testing.assert_array_equal(targets.target, targets.played)


@given(sessions())
@settings(deadline=None, max_examples=40)
def test_strength_1_puts_every_leader_on_its_line(session):
    session = set_tighten(session, session.tracks[0].id, strength=1.0, leave_alone=0.0)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0])

    has_room = targets.line >= np.arange(len(targets))  # else hits before it stand at the session's start
    leads = (targets.reasons == Reason.GRID) & has_room
    np.testing.assert_array_equal(targets.target[leads], targets.line[leads])


@given(sessions(), st.floats(0, 1), st.floats(0, 1))
@settings(deadline=None, max_examples=60)
def test_a_hand_moved_hit_stays_where_it_was_put_and_order_is_kept(session, which, where):
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    before = targets_of(session, track, clip)
    at = int(which * (len(before) - 1)) if len(before) else 0
    if not len(before):
        return
    beat = session.tempo.beat_of(where * float(before.played[-1]) / RATE)
    session = move_hit(session, track.id, clip.id, int(before.onsets[at]), beat)
    session = set_tighten(session, track.id, strength=0.5)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0])

    assert (np.diff(targets.target) > 0).all()
    wanted = round(session.tempo.seconds_of(beat) * RATE)
    room_for_those_before = at * RATE // 500
    assert targets.target[at] == wanted or wanted <= room_for_those_before


def test_half_strength_goes_half_the_way():
    targets = tightened([0, STEP + 400, 2 * STEP - 600], strength=0.5)

    np.testing.assert_array_equal(targets.target, [0, STEP + 200, 2 * STEP - 300])


def test_a_hit_within_the_window_is_left_alone():
    targets = tightened([0, STEP + 100, 2 * STEP + 400], leave_alone=5.0)

    np.testing.assert_array_equal(targets.target, [0, STEP + 100, 2 * STEP])
    assert targets.reasons.tolist() == [Reason.LEFT_ALONE, Reason.LEFT_ALONE, Reason.GRID]


def test_swing_moves_the_target():
    targets = tightened([0, STEP, 2 * STEP], swing=60.0)

    np.testing.assert_array_equal(targets.target, [0, round(1.2 * STEP), 2 * STEP])


def test_the_grace_stroke_of_a_flam_keeps_its_distance():
    targets = tightened([0, STEP + 300, STEP + 300 + 800, 3 * STEP], least_spacing=10.0)

    assert targets.target.tolist() == [0, STEP, STEP + 800, 3 * STEP]
    assert targets.reasons[2] == Reason.CARRIED


def test_onsets_below_the_threshold_have_no_target():
    session = simple_session([0, STEP, 2 * STEP], RATE)
    session = set_threshold(session, session.recordings[0].content, 95.0)

    assert not len(targets_of(session, session.tracks[0], session.tracks[0].clips[0]))


def test_a_hand_moved_hit_follows_the_tempo_and_reset_takes_it_back():
    session = simple_session([0, STEP + 500, 4 * STEP], RATE)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id
    moved = move_hit(session, track, clip, 2, 0.5)

    faster = set_tempo(moved, 240.0)

    assert targets_of(faster, faster.tracks[0], faster.tracks[0].clips[0]).target[1] == RATE // 8
    assert reset_hit(moved, track, clip, 2) == session
    assert reset_hits(moved, track) == session


def test_edits_that_change_nothing_return_the_very_same_session():
    session = simple_session([0, STEP], RATE)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id
    moved = move_hit(session, track, clip, 1, 0.0)

    assert move_hit(moved, track, clip, 1, 0.0) is moved
    assert set_tighten(session, track, strength=0.0) is session
    assert reset_hits(session, track) is session
    assert set_tempo(session, 120.0) is session


def test_an_edit_shares_what_it_does_not_touch():
    session = simple_session([0, STEP], RATE)

    moved = move_hit(session, session.tracks[0].id, session.tracks[0].clips[0].id, 1, 0.25)

    assert moved.recordings[0] is session.recordings[0]
    assert moved.tempo is session.tempo


def test_the_spread_tells_before_from_now():
    targets = tightened([0, STEP + 480, 2 * STEP - 480], strength=0.5)

    assert targets.spread_before == pytest.approx(np.sqrt(2 / 3 * 100))
    assert targets.spread_now == pytest.approx(targets.spread_before / 2)


def test_what_lies_between_two_lines_is_to_check_with_figures():
    session = simple_session([0, STEP + STEP * 42 // 100, 4 * STEP], RATE * 2)
    session = set_tighten(session, session.tracks[0].id, grid=Grid(16), strength=0.5)

    checks = checks_of(session, session.tracks[0])

    assert "between two lines" in [check.title for check in checks if check.onset == 2]
    assert "52 ms late of 1.1.2\nor 73 ms early of 1.1.3" in [check.sentence for check in checks]


def test_a_bad_stretch_is_to_check():
    session = simple_session([0, STEP, 2 * STEP, 3 * STEP], RATE)
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    session = move_hit(session, track.id, clip.id, 2, 0.4)

    titles = [check.title for check in checks_of(session, session.tracks[0])]

    assert "stretched past 1.25" in titles
    assert "stretched past 0.8" in titles


def test_settings_outside_their_range_do_not_load():
    session = simple_session([0], RATE)
    data = msgspec.json.encode(session).replace(b'"swing":50.0', b'"swing":80.0')

    with pytest.raises(msgspec.ValidationError, match="<= 75"):
        msgspec.json.decode(data, type=type(session))
