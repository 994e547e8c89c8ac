import msgspec
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.session.anchors import anchors_of, window_of
from chronotome.session.checks import checks_of
from chronotome.session.edits.marks import set_sift, set_threshold
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import move_hit, reset_hit, reset_hits, set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_moving
from chronotome.session.grid import Grid
from chronotome.session.lines import GridRule, lines_over
from chronotome.session.model import replace
from chronotome.session.moves import ATTACK_SECONDS
from chronotome.session.onset_filter import USUAL_SPACING
from chronotome.session.strokes import strokes_of
from chronotome.session.targets import LEAST_APART_SECONDS, Reason, Targets
from chronotome.session.tighten import targets_of
from strategies import RATE, sessions, simple_session, traits_of

ON_LINE_MS = 10.0
STEP = RATE // 8  # a sixteenth at 120 bpm is 125 ms


def tightened(frames: list[int], *, least_spacing: float = USUAL_SPACING, **values: object) -> Targets:
    session = simple_session(frames, frames[-1] + RATE)
    content = session.recordings[0].content
    session = set_sift(session, content, lambda sift: replace(sift, least_spacing=least_spacing))
    session = set_tighten(session, session.tracks[0].id, **{"strength": 1.0, **values})
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)


@given(sessions())
@settings(deadline=None, max_examples=60)
def test_order_is_kept_and_nothing_lands_before_the_start(session):
    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    assert (np.diff(targets.target) > 0).all()
    assert not len(targets) or targets.target[0] >= 0


@given(sessions())
@settings(deadline=None, max_examples=40)
def test_strength_0_moves_nothing(session):
    session = set_tighten(session, session.tracks[0].id, strength=0.0)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    np.testing.assert_array_equal(targets.target, targets.played)


@given(sessions())
@settings(deadline=None, max_examples=40)
def test_strength_1_puts_every_leader_on_its_line(session):
    session = set_tighten(session, session.tracks[0].id, strength=1.0, leave_alone=0.0)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    has_room = targets.line >= np.arange(len(targets))  # else hits before it stand at the session's start
    leads = (targets.reasons == Reason.GRID) & has_room
    np.testing.assert_array_equal(targets.target[leads], targets.line[leads])


@given(sessions(), st.floats(0, 1), st.floats(0, 1))
@settings(deadline=None, max_examples=60)
def test_a_hand_moved_hit_stays_where_it_was_put_and_order_is_kept(session, which, where):
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    before = targets_of(session, track, clip.take)
    at = int(which * (len(before) - 1)) if len(before) else 0
    if not len(before):
        return
    beat = session.tempo.beat_of(where * float(before.played[-1]) / RATE)
    session = move_hit(session, track.id, clip.id, int(before.onsets[at]), beat)
    session = set_tighten(session, track.id, strength=0.5)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

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
    assert targets.reasons[2] == Reason.WITH_STROKE


@given(sessions(), st.sampled_from([4, 8, 16, 32]), st.floats(0, 1), st.floats(0, 12))
@settings(deadline=None, max_examples=150)
def test_nothing_is_thrown_off_its_line_and_nothing_moves_that_is_left_alone(
    session, division, amount, alone
):
    track = session.tracks[0].id
    session = replace(session, tracks=(replace(session.tracks[0], clips=(bare(session),)),))
    session = set_tighten(session, track, grid=Grid(division), strength=amount, leave_alone=alone)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    leads = targets.leads
    within = leads[np.abs(targets.drift[leads]) <= alone]
    np.testing.assert_array_equal(targets.target[within], targets.fitted[within])
    was_on = leads[np.abs(targets.drift[leads]) <= ON_LINE_MS]
    assert (np.abs(nearest_drift(session, targets)[was_on]) <= ON_LINE_MS + 2.1).all()
    assert (np.diff(targets.target) > 0).all()


@given(sessions(), st.sampled_from([4, 8, 16]))
@settings(deadline=None, max_examples=150)
def test_no_stroke_ends_farther_from_its_line_than_it_was_played(session, division):
    session = replace(session, tracks=(replace(session.tracks[0], clips=(bare(session),)),))
    session = set_tighten(session, session.tracks[0].id, grid=Grid(division), strength=1.0)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    leads = targets.reasons != Reason.WITH_STROKE
    now, before = np.abs(nearest_drift(session, targets)), np.abs(targets.drift)
    assert (now[leads] <= before[leads] + 2.1).all()  # two that would meet are kept 2 ms apart


def bare(session):
    """The clip without anything set by hand."""
    clip = session.tracks[0].clips[0]
    return replace(clip, take=replace(clip.take, touches=()))


def nearest_drift(session, targets):
    """Milliseconds from the line that is nearest to where each hit lands."""
    settings_, tempo = session.tracks[0].tighten, session.tempo
    beats = tempo.beats_at(targets.target / session.rate)
    ruling = GridRule(settings_.grid, settings_.swing)
    every = lines_over(
        float(beats.min(initial=0.0)), float(beats.max(initial=0.0)), ruling, session.metre, session.tempo
    )
    lines = every.beats[every.nearest(beats)]
    return (targets.target / session.rate - tempo.seconds_at(lines)) * 1000


def test_the_nearest_hit_takes_the_line_and_the_strongest_of_equals():
    near = tightened([0, STEP - 300, STEP + 2500, 4 * STEP])
    far_is_loud = targets_with([0, STEP - 300, STEP + 2500, 4 * STEP], [80.0, 50.0, 99.0, 80.0])
    equal = targets_with([0, STEP - 2230, STEP + 2210, 4 * STEP], [80.0, 99.0, 50.0, 80.0])

    assert near.target[1] == STEP
    assert far_is_loud.target[1] == STEP
    assert far_is_loud.reasons[2] == Reason.CARRIED
    assert equal.target[1] == STEP


@pytest.mark.parametrize("milliseconds", [20, 30, 45])
def test_a_grace_note_before_its_stroke_keeps_its_distance(milliseconds):
    early = milliseconds * RATE // 1000
    targets = targets_with(
        [0, STEP + 300 - early, STEP + 300, 4 * STEP], [80.0, 55.0, 90.0, 80.0], grid=Grid(32)
    )

    assert targets.target[2] == STEP
    assert targets.target[2] - targets.target[1] == early


def test_a_drag_is_one_stroke_and_a_roll_is_many():
    drag = strokes_of(np.array([0, 1400, 2800, 20000]), np.array([50.0, 55.0, 90.0, 80.0]), 2000)
    roll = strokes_of(np.arange(12) * 1800, np.full(12, 70.0), 2000)

    assert drag.of.tolist() == [0, 0, 0, 1]
    assert drag.leaders.tolist() == [2, 3]
    assert len(roll) >= 4
    assert max(np.bincount(roll.of)) <= 4


def test_beyond_the_catch_range_nothing_is_pulled():
    narrow = tightened([0, STEP + 1500, 3 * STEP + 500, 6 * STEP], catch=0.4)
    wide = tightened([0, STEP + 1500, 3 * STEP + 500, 6 * STEP])

    assert wide.target.tolist() == [0, STEP, 3 * STEP, 6 * STEP]
    assert narrow.target[2] == 3 * STEP
    assert narrow.reasons[1] == Reason.CARRIED
    assert narrow.target[1] > STEP + 1000


def test_the_figures_count_every_hit():
    targets = tightened([0, STEP + 200, STEP + 2600, 4 * STEP])

    assert targets.far_before == 1
    assert targets.far_now == 1
    assert targets.spread_now > 20


def targets_with(frames: list[int], strengths: list[float], **values: object) -> Targets:
    session = simple_session(frames, frames[-1] + RATE)
    recording = session.recordings[0]
    onsets = replace(recording.onsets, strengths=tuple(strengths))
    recording = replace(recording, onsets=onsets, sift=replace(recording.sift, least_spacing=10.0))
    session = replace(session, recordings=(recording,))
    session = set_tighten(session, session.tracks[0].id, **{"strength": 1.0, **values})
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)


def test_onsets_below_the_threshold_have_no_target():
    session = simple_session([0, STEP, 2 * STEP], RATE)
    session = set_threshold(session, session.recordings[0].content, 95.0)

    assert not len(targets_of(session, session.tracks[0], session.tracks[0].clips[0].take))


def test_a_hand_moved_hit_follows_the_tempo_and_reset_takes_it_back():
    session = simple_session([0, STEP + 500, 4 * STEP], RATE)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id
    moved = move_hit(session, track, clip, 2, 0.5)

    faster = set_tempo(moved, 240.0)

    assert targets_of(faster, faster.tracks[0], faster.tracks[0].clips[0].take).target[1] == RATE // 8
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

    assert "stretched beyond 1.25" in titles
    assert "stretched beyond 0.8" in titles


def test_settings_outside_their_range_do_not_load():
    session = simple_session([0], RATE)
    data = msgspec.json.encode(session).replace(b'"swing":50.0', b'"swing":80.0')

    with pytest.raises(msgspec.ValidationError, match="<= 75"):
        msgspec.json.decode(data, type=type(session))


def test_a_hit_has_room_up_to_its_neighbours_and_the_outer_ones_beyond():
    session = simple_session([1000, 13000, 25000], 40000)
    track = session.tracks[0]
    targets = targets_of(session, track, track.clips[0].take)
    apart = LEAST_APART_SECONDS * targets.rate

    rooms = [targets.room_of(at) for at in range(3)]

    first, middle, last = targets.target.tolist()
    assert rooms == [(-np.inf, middle - apart), (first + apart, last - apart), (middle + apart, np.inf)]


def test_a_little_stretched_is_nothing_to_check_and_much_is():
    session = simple_session([STEP, 2 * STEP + 500, 3 * STEP - 300, 4 * STEP], 6 * STEP)
    track = session.tracks[0]
    tight = set_tighten(session, track.id, strength=1.0)
    far = move_hit(tight, track.id, track.clips[0].id, session.recordings[0].onsets.ids[1], 0.68)

    def stretched(each):
        return [check.title for check in checks_of(each, each.tracks[0]) if "stretched" in check.title]

    assert stretched(tight) == []
    assert len(stretched(far)) >= 1


def test_the_loudest_as_heard_leads_its_flam_to_the_frame_however_sure_its_mark_is():
    """A grace note whose mark is the surer one, on its line; the stroke 16 ms later."""
    grace, stroke = STEP - 200, STEP + 570
    session = simple_session([0, grace, stroke, 3 * STEP], 4 * STEP)
    recording = session.recordings[0]
    onsets = msgspec.structs.replace(recording.onsets, strengths=(80.0, 99.0, 60.0, 80.0))
    onsets = onsets.measured(traits_of([-12.0, -30.0, -10.0, -12.0]))
    session = replace(session, recordings=(replace(recording, onsets=onsets, threshold=0.0),))
    content = session.recordings[0].content
    session = set_sift(session, content, lambda sift: replace(sift, least_spacing=5.0))
    session = set_tighten(session, session.tracks[0].id, strength=1.0)

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    assert targets.target.tolist() == [0, STEP - (stroke - grace), STEP, 3 * STEP]
    assert targets.leads.tolist() == [0, 2, 3]


@st.composite
def loops(draw):
    """A take of whole bars at 120 bpm, its hits somewhere; one that follows the song, or does not."""
    bars = draw(st.integers(1, 3))
    gaps = draw(st.lists(st.integers(200, 3 * STEP), min_size=3, max_size=16 * bars))
    frames = [
        each for each in np.cumsum([draw(st.integers(0, 900)), *gaps]).tolist() if each < bars * 16 * STEP
    ]
    late = draw(st.integers(-300, 900))
    session = simple_session(frames, bars * 16 * STEP)
    (clip,) = session.tracks[0].clips
    clip = replace(clip, take=replace(clip.take, start=draw(st.sampled_from([0, 32 * STEP]))))
    session = replace(session, tracks=(replace(session.tracks[0], clips=(clip,)),))
    session = set_beat_one(session, late / RATE) if late > 0 else session
    which = session.tracks[0].id
    session = set_moving(session, which, by=draw(st.sampled_from(MoveBy)))
    return set_tighten(
        session,
        which,
        grid=Grid(draw(st.sampled_from([4, 8, 16]))),
        swing=draw(st.sampled_from([50.0, 61.0])),
        strength=draw(st.sampled_from([0.6, 1.0])),
        shift=draw(st.sampled_from([0.0, -15.0, 12.0])),
    )


@given(loops())
@settings(deadline=None, max_examples=120)
def test_a_take_of_whole_bars_stays_as_long_and_each_hit_inside(session):
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    targets, window = targets_of(session, track, clip.take), window_of(session, track, clip)
    recording = session.recordings[0]

    assert (window.start, window.end) == (clip.take.start, clip.take.start + recording.frames)
    assert (targets.target >= window.start).all()
    assert (targets.target < window.end).all()
    on_lines = np.flatnonzero(targets.reasons == Reason.GRID)
    at_strength = targets.target[on_lines] - targets.fitted[on_lines]
    wanted = np.rint(session.tracks[0].tighten.pull * (targets.line - targets.fitted)[on_lines])
    assert np.abs(at_strength - wanted).max(initial=0) <= 1
    source = (targets.played - clip.take.start)[targets.leads].astype(float)
    heard = anchors_of(session, track, clip.take).heard_at(source)
    np.testing.assert_allclose(heard, targets.target[targets.leads], atol=0.51)


@pytest.mark.parametrize(("first", "last", "has_line"), [(300, 900, 0), (900, 300, 1)])
def test_the_end_of_a_loop_is_its_start_and_the_nearer_hit_has_the_line(first, last, has_line):
    end = 16 * STEP
    session = simple_session([first, 4 * STEP, 8 * STEP, end - last], end)
    session = set_tighten(session, session.tracks[0].id, strength=1.0, grid=Grid(4))
    track, take = session.tracks[0], session.tracks[0].clips[0].take

    targets = targets_of(session, track, take)

    attack = round(ATTACK_SECONDS * RATE)
    assert targets.target[0] == (0 if has_line == 0 else first)
    assert targets.target[-1] == max(end - last, end - attack if has_line else 0)
    assert targets.reasons[-1] == Reason.INSIDE
    check = checks_of(set_tempo(session, 120.0), track, take)[-1]
    assert ("first hit already has this line" in check.sentence) == (has_line == 0)
