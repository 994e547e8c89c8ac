import numpy as np
import pytest

from chronotome.dsp.bands import Instrument
from chronotome.session.counting import counted_of
from chronotome.session.edits.clips import crop
from chronotome.session.edits.marks import (
    add_onsets,
    choose_material,
    correct_onsets,
    drop_onsets,
    lock_onsets,
    mark_grid,
    mark_parts,
    marks_as_found,
    set_sift,
    slip_onset,
)
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tightening import move_hit
from chronotome.session.mark_checks import mark_checks_of
from chronotome.session.model import replace
from chronotome.session.tighten import targets_of
from strategies import RATE, simple_session

FRAMES = [0, RATE, 2 * RATE, 3 * RATE]


@pytest.fixture
def session():
    return simple_session(FRAMES, 5 * RATE)


def parts_of(session):
    track = session.tracks[0]
    return track, track.clips[0], session.recordings[0].content


def counted_frames(session):
    clip = session.tracks[0].clips[0]
    return session.recordings[0].onsets.frame_array[counted_of(session, clip.take)].tolist()


def heard_of(session, frame):
    """Where a frame of the recording sounds, between the targets."""
    track, clip, _ = parts_of(session)
    targets = targets_of(session, track, clip.take)
    return float(np.interp(frame, targets.played, targets.target))


def test_a_corrected_mark_of_a_hit_set_by_hand_leaves_the_sound_where_it_was(session):
    track, clip, _ = parts_of(session)
    second = session.recordings[0].onsets.ids[1]
    session = move_hit(session, track.id, clip.id, second, 2.4)
    moved_to = RATE + 480
    before = heard_of(session, moved_to)

    session = correct_onsets(session, track.id, clip.id, [second], 480)

    assert session.recordings[0].onsets.frames[1] == moved_to
    assert heard_of(session, moved_to) == pytest.approx(before, abs=1)


def targets(session):
    track, clip, _ = parts_of(session)
    return targets_of(session, track, clip.take)


def test_a_slipped_sound_leaves_the_mark_where_it_was(session):
    track, clip, _ = parts_of(session)
    second = session.recordings[0].onsets.ids[1]
    session = move_hit(session, track.id, clip.id, second, 2.4)
    place = targets(session).target[1]

    session = slip_onset(session, track.id, clip.id, second, RATE + 480)

    now = targets(session)
    assert now.target[1] == place
    assert now.played[1] == RATE + 480


def test_locked_marks_neither_move_nor_go(session):
    track, clip, content = parts_of(session)
    ids = session.recordings[0].onsets.ids
    locked = lock_onsets(session, content, ids[:2], is_locked=True)

    moved = correct_onsets(locked, track.id, clip.id, ids, 100)
    dropped = drop_onsets(moved, content, ids)

    assert moved.recordings[0].onsets.frames == (0, RATE, 2 * RATE + 100, 3 * RATE + 100)
    assert counted_frames(dropped) == [0, RATE]
    assert (
        counted_frames(drop_onsets(lock_onsets(dropped, content, ids, is_locked=False), content, ids)) == []
    )


def test_several_marks_move_together_and_stop_at_those_that_stay(session):
    track, clip, _ = parts_of(session)
    ids = session.recordings[0].onsets.ids

    moved = correct_onsets(session, track.id, clip.id, ids[1:3], 5 * RATE)

    assert moved.recordings[0].onsets.frames == (0, 2 * RATE - 1, 3 * RATE - 1, 3 * RATE)


def test_marks_on_the_lines_stand_instead_of_those_on_attacks_and_go_again(session):
    _, clip, content = parts_of(session)

    beats = mark_grid(session, clip.take, 1.0)
    bars = mark_grid(session, clip.take, 0.0)
    parts = mark_parts(session, clip.take, 7)

    assert counted_frames(beats) == list(range(0, 5 * RATE, RATE // 2))
    assert counted_frames(bars) == [0, 2 * RATE, 4 * RATE]
    assert counted_frames(parts) == [round(part * 5 * RATE / 7) for part in range(7)]
    assert counted_frames(marks_as_found(parts, content)) == FRAMES


def test_marks_outside_the_recording_are_not_taken(session):
    _, _, content = parts_of(session)

    added = add_onsets(session, content, [-5, 7, 7, 5 * RATE, 10**9])

    assert added.recordings[0].onsets.frames == (0, 7, *FRAMES[1:])


def test_another_material_asks_for_another_analysis(session):
    _, _, content = parts_of(session)

    chosen = choose_material(session, content, Instrument.SUSTAINED)
    left = choose_material(chosen, content, None)

    assert (chosen.recordings[0].material, chosen.recordings[0].is_analysed) == (Instrument.SUSTAINED, False)
    assert not left.recordings[0].is_material_chosen


def test_cropping_keeps_the_place_and_drops_markers_of_what_is_gone(session):
    track, clip, _ = parts_of(session)
    ids = session.recordings[0].onsets.ids
    session = move_hit(move_hit(session, track.id, clip.id, ids[0], 0.1), track.id, clip.id, ids[2], 4.2)

    session = crop(session, track.id, clip.id, RATE, 4 * RATE)
    clip = session.tracks[0].clips[0]

    assert (clip.source_start, clip.source_end, clip.take.start) == (RATE, 4 * RATE, RATE)
    assert [touch.onset for touch in clip.take.touches] == [ids[2]]
    assert crop(session, track.id, clip.id, RATE + 10, RATE + 11) is session


def test_unsure_attacks_close_pairs_and_a_late_start_are_to_check():
    session = simple_session([3 * RATE, 4 * RATE, 4 * RATE + RATE // 50, 5 * RATE], 6 * RATE)
    onsets = replace(session.recordings[0].onsets, doubts=(0.0, 0.0, 0.0, 7.0))
    session = set_analysis(session, session.recordings[0].content, onsets, None)
    apart = set_sift(session, session.recordings[0].content, lambda sift: replace(sift, least_spacing=30.0))

    found = mark_checks_of(apart, session.tracks[0])

    as_one_stroke = [each.title for each in mark_checks_of(session, session.tracks[0])]
    assert as_one_stroke == ["late first onset", "unclear attack"]
    assert [each.title for each in found] == [
        "late first onset",
        "two onsets close together",
        "unclear attack",
    ]
    assert [each.figure for each in found] == ["3.0 s", "20 ms", "± 7 ms"]
    locked = lock_onsets(session, session.recordings[0].content, onsets.ids, is_locked=True)
    assert [each.title for each in mark_checks_of(locked, locked.tracks[0])] == ["late first onset"]
