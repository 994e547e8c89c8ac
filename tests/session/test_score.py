"""Rows of what sounds where."""

from dataclasses import replace as with_columns

import numpy as np
import pytest

from chronotome.dsp.stretch.engines import EngineName, MoveBy
from chronotome.dsp.stretch.segment import PLAIN, Shape
from chronotome.dsp.tone import Tone
from chronotome.session.anchors import anchors_of
from chronotome.session.edits.clips import reverse, split
from chronotome.session.edits.fitting import TempoSync, set_following, set_recording_tempo
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tightening import move_hit, set_tighten
from chronotome.session.edits.tracks import set_moving
from chronotome.session.onsets import onsets_from
from chronotome.session.rows import score_of
from chronotome.session.score import NO_HIT, joined, mirrored
from strategies import RATE, simple_session

STEP = RATE // 8
FRAMES = [900, STEP + 700, 2 * STEP - 500, 3 * STEP + 200, 4 * STEP]


@pytest.fixture
def session():
    made = simple_session(FRAMES, 5 * STEP)
    return set_tighten(made, made.tracks[0].id, strength=1.0)


def score_in(session, clip=0):
    track = session.tracks[0]
    take = track.clips[clip].take
    return score_of(session, track, take, anchors_of(session, track, take))


def test_rows_go_from_hit_to_hit_and_each_knows_the_one_that_it_begins_with(session):
    score, onsets = score_in(session), session.recordings[0].onsets

    hits = {onsets.frames[onsets.place_of(onset)]: onset for onset in onsets.ids}
    assert score.onset.tolist() == [hits.get(start, NO_HIT) for start in score.start.tolist()]
    assert sorted(set(score.onset.tolist()) - {NO_HIT}) == sorted(onsets.ids)
    np.testing.assert_array_equal(score.end[:-1], score.start[1:])
    np.testing.assert_array_equal(score.heard[:-1] + score.length[:-1], score.heard[1:])
    assert score.joins.tolist() == [True] * (len(score) - 1) + [False]
    assert score.is_plain
    assert not score.overlaps


def test_parts_of_one_take_have_the_very_same_rows(session):
    parts = split(session, session.tracks[0].id, [2 * STEP])

    assert score_in(parts, 0) is score_in(parts, 1)


def test_a_reversed_clip_s_rows_are_those_of_the_other_way_in_a_mirror(session):
    before = score_in(session)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id

    after = score_in(reverse(session, [(track, clip)]))

    assert after.is_reversed.all()
    assert not after.as_recorded.any()
    np.testing.assert_array_equal(after.start, before.start[::-1])
    np.testing.assert_array_equal(after.length, before.length[::-1])
    ends = before.heard + before.length
    np.testing.assert_array_equal(after.heard - after.heard[0], (ends[-1] - ends)[::-1])
    again = mirrored(after, int(after.heard[0] + after.until[-1]))
    np.testing.assert_array_equal(again.start, before.start)
    assert not again.is_reversed.any()


def test_the_map_of_a_reversed_take_leads_there_and_back(session):
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id
    turned = reverse(session, [(track, clip)])
    anchors = anchors_of(turned, turned.tracks[0], turned.tracks[0].clips[0].take)
    frames = np.linspace(1000.0, 4.5 * STEP, 50)

    heard = anchors.heard_at(frames)

    assert (np.diff(heard) < 0).all()
    np.testing.assert_allclose(anchors.source_at(heard), frames, atol=1e-6)


def test_rows_are_found_again_by_what_they_sound_like_wherever_they_lie():
    edges = np.array([0, 100, 250, 400])
    one = joined("a" * 32, RATE, EngineName.DRUMS, edges, edges * 2)
    moved = with_columns(one, heard=one.heard + 5000, gains=one.gains * 0.5)
    longer = with_columns(one, length=one.length + np.array([0, 1, 0]))
    turned = with_columns(one, is_reversed=np.array([True, False, False]))
    backwards = mirrored(mirrored(one, 800), 800)
    fewer = joined("a" * 32, RATE, EngineName.DRUMS, edges[:3], edges[:3] * 2)
    other = with_columns(one, engine=EngineName.TAPE)

    assert one.same_rows(moved).tolist() == [0, 1, 2]
    assert one.same_rows(longer).tolist() == [0, -1, 2]
    assert one.same_rows(turned).tolist() == [-1, 1, 2]
    assert one.same_rows(backwards).tolist() == [0, 1, 2]
    assert mirrored(one, 800).same_rows(mirrored(one, 900)).tolist() == [0, 1, 2]
    assert one.same_rows(fewer).tolist() == [0, -1, -1]  # its second row rings out, here it joins
    assert one.same_rows(other).tolist() == [-1, -1, -1]


def test_a_take_that_would_last_for_hours_sounds_as_played(session):
    track = session.tracks[0]
    anchors = anchors_of(session, track, track.clips[0].take)
    far = session.recordings[0].onsets.ids[-1]
    take = track.clips[0].take

    moved = move_hit(session, track.id, track.clips[0].id, far, 40_000.0)
    after = anchors_of(moved, moved.tracks[0], moved.tracks[0].clips[0].take)

    assert len(anchors.source) > 2
    assert after.landed.tolist() == [take.start, take.start + 5 * STEP]


def test_faint_attacks_and_beats_without_a_hit_are_anchors_where_sound_is_warped(session):
    recording = session.recordings[0]
    frames = np.array([*FRAMES[:2], FRAMES[1] + 2400, *FRAMES[2:]])
    onsets = onsets_from(frames, np.array([90.0, 90.0, 30.0, 90.0, 90.0, 90.0]), np.ones(6, np.int64))
    faint = set_analysis(session, recording.content, onsets, None)
    track = faint.tracks[0]

    def source(each):
        whole = each.tracks[0]
        return anchors_of(each, whole, whole.clips[0].take).source.tolist()

    assert FRAMES[1] + 2400 in source(faint)
    assert FRAMES[1] + 2400 not in source(set_moving(faint, track.id, by=MoveBy.CUTTING))

    long = simple_session([1000, 1000 + 6 * RATE], 7 * RATE)
    long = set_recording_tempo(long, long.tracks[0].id, 100.0)
    long = set_following(long, long.tracks[0].id, TempoSync.RECORDING)
    assert len(source(long)) > 8
    assert len(source(set_moving(long, long.tracks[0].id, by=MoveBy.CUTTING))) <= 4


def test_no_two_shapes_are_taken_for_one_that_only_hash_alike():
    edges = np.array([0, 100, 250])
    plain = joined("a" * 32, RATE, EngineName.DRUMS, edges, edges)
    darker, dark = (with_columns(plain, shapes=(Shape(tone=Tone(each)), PLAIN)) for each in (-2.0, -1.0))
    early, earlier = (with_columns(plain, shapes=(PLAIN, Shape(shifts=(each, 0)))) for each in (-1, -2))
    assert hash(-1.0) == hash(-2.0)
    assert darker.same_rows(dark).tolist() == [-1, 1]
    assert early.same_rows(earlier).tolist() == [0, -1]
    again = with_columns(plain, shapes=(Shape(tone=Tone(-2.0)), PLAIN))
    assert darker.same_rows(again).tolist() == [0, 1]
