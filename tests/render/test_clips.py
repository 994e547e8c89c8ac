"""Clips as they are heard: what is cut, joined, moved, faded and laid over one another."""

import dataclasses

import numpy as np
import pytest

from chronotome.dsp.clicks import clicks_at
from chronotome.dsp.stretch.engines import EngineName, MoveBy, StretchMaterial
from chronotome.dsp.stretch.gaps import Fill
from chronotome.render.mix import Side
from chronotome.render.plan import SOFT_SECONDS, plan_for
from chronotome.session.anchors import window_of
from chronotome.session.edits.clips import (
    copy,
    crop,
    delete,
    join,
    move,
    repeat,
    reverse,
    set_clip,
    split,
    trim,
)
from chronotome.session.edits.tightening import move_hit, set_tighten, tie_here
from chronotome.session.edits.tracks import (
    add_track,
    lock,
    move_track,
    set_flipped,
    set_level,
    set_moving,
    set_own_moving,
    set_pan,
    set_solo,
)
from chronotome.session.model import Session, replace
from chronotome.session.score import joined
from chronotome.session.validity import check
from strategies import RATE, simple_session, traits_of
from studio import Studio

STEP = RATE // 8
FRAMES = [900, STEP + 700, 2 * STEP - 500, 3 * STEP + 200, 4 * STEP, 5 * STEP + 300, 6 * STEP - 800, 7 * STEP]
TOTAL = 8 * STEP
SOFT = round(SOFT_SECONDS * RATE)


@pytest.fixture
def studio():
    return Studio()


def tightened(move_by: MoveBy = MoveBy.STRETCHING, strength: float = 0.9) -> Session:
    session = simple_session(FRAMES, TOTAL)
    track = session.tracks[0].id
    return set_moving(set_tighten(session, track, strength=strength), track, by=move_by)


def places_of(session: Session, number: int = 0) -> list[tuple[int, int]]:
    track = session.tracks[number]
    return [(track.id, clip.id) for clip in track.clips]


def windows_of(session: Session, number: int = 0) -> list[tuple[int, int]]:
    track = session.tracks[number]
    windows = [window_of(session, track, clip) for clip in track.clips]
    return [(window.start, window.end) for window in windows]


@pytest.mark.parametrize("move_by", MoveBy)
@pytest.mark.parametrize("side", [Side.EDITED, Side.AS_PLAYED])
def test_cut_anywhere_and_joined_again_nothing_is_heard_of_it(studio, move_by, side):
    session = tightened(move_by)
    session = move_hit(session, *places_of(session)[0], session.recordings[0].onsets.ids[3], 0.81)
    whole = studio.heard(session, side)
    cuts = [*range(1000, TOTAL - 1000, 777), *(STEP * number for number in range(1, 8))]

    parts = split(session, session.tracks[0].id, cuts)
    check(parts)
    assert len(parts.tracks[0].clips) == len(set(cuts)) + 1
    np.testing.assert_array_equal(studio.heard(parts, side), whole)

    again = join(parts, parts.tracks[0].id, [clip for _, clip in places_of(parts)])
    assert again.tracks == session.tracks
    np.testing.assert_array_equal(studio.heard(again, side), whole)


def test_an_edit_of_one_part_is_an_edit_of_all_its_take(studio):
    session = tightened()
    parts = split(session, session.tracks[0].id, [2 * STEP, 5 * STEP])
    onset = session.recordings[0].onsets.ids[3]

    parts = move_hit(parts, *places_of(parts)[1], onset, 0.9)

    whole = move_hit(session, *places_of(session)[0], onset, 0.9)
    np.testing.assert_array_equal(studio.heard(parts), studio.heard(whole))
    assert len(parts.tracks[0].takes) == 1


def test_locked_tracks_are_cut_and_moved_in_step(studio):
    session = tightened()
    first = session.tracks[0]
    take = replace(first.clips[0].take, start=0)
    second = replace(first, id=90, name="other", clips=(replace(first.clips[0], id=91, take=take),))
    session = replace(session, tracks=(first, second), next_id=92)
    session = lock(session, first.id, [second.id])
    whole = studio.heard(session)

    parts = split(session, first.id, [3 * STEP])
    assert windows_of(parts, 0) == windows_of(parts, 1)
    np.testing.assert_array_equal(studio.heard(parts), whole)

    again = join(parts, first.id, [clip for _, clip in places_of(parts)])
    assert [len(track.clips) for track in again.tracks] == [1, 1]
    moved = move(parts, [places_of(parts)[1]], RATE)
    assert windows_of(moved, 0) == windows_of(moved, 1)
    assert windows_of(moved)[1][0] > windows_of(parts)[1][0] + RATE - STEP
    assert move(moved, [places_of(moved)[1]], -RATE).tracks == parts.tracks
    twice = copy(parts, [places_of(parts)[1]], 3 * RATE)
    assert [len(track.clips) for track in twice.tracks] == [3, 3]
    assert windows_of(twice, 0) == windows_of(twice, 1)
    shorter = trim(twice, *places_of(twice)[1], start=5 * STEP, end=None)
    assert windows_of(shorter, 0) == windows_of(shorter, 1)
    assert windows_of(shorter)[1][0] > windows_of(twice)[1][0]
    left = delete(twice, [places_of(twice)[0]], is_closed=True)
    assert [len(track.clips) for track in left.tracks] == [2, 2]
    assert windows_of(left, 0) == windows_of(left, 1)


def test_a_moved_clip_sounds_the_same_a_bar_later_and_its_cut_edges_do_not_click(studio):
    session = tightened()
    parts = split(session, session.tracks[0].id, [3 * STEP])
    before = studio.heard(parts)
    start, end = windows_of(parts)[1]

    moved = move(parts, [places_of(parts)[1]], 2 * RATE)

    heard = studio.heard(moved)
    np.testing.assert_array_equal(heard[start + 2 * RATE + SOFT : end + 2 * RATE], before[start + SOFT : end])
    assert not heard[start + SOFT : start + 2 * RATE].any()
    assert abs(heard[start + 2 * RATE]).max() <= 0.02 * abs(before[start - 200 : start + 200]).max() + 1e-4
    fades = [(clip.fade_in, clip.fade_out) for clip in plan_for(moved).tracks[0].clips]
    assert fades[0][1] == (start - SOFT, start)
    assert fades[1] == ((start + 2 * RATE, start + 2 * RATE + SOFT), None)


def test_parts_that_differ_in_loudness_or_fade_are_not_joined_and_meet_softly(studio):
    session = tightened(strength=0.0)
    parts = split(session, session.tracks[0].id, [3 * STEP])
    places = places_of(parts)

    for values in ({"level": -6.0}, {"is_muted": True}):
        other = set_clip(parts, [places[1]], **values)
        assert join(other, places[0][0], [clip for _, clip in places]) is other
    softer = plan_for(set_clip(parts, [places[1]], level=-6.0)).tracks[0].clips
    assert softer[0].fade_out == (3 * STEP - SOFT, 3 * STEP)
    faded = plan_for(set_clip(parts, [places[1]], fade_in=0.05)).tracks[0].clips
    assert faded[0].fade_out == (3 * STEP - SOFT, 3 * STEP)


def test_what_was_set_by_hand_moves_with_its_clip_and_so_does_the_beat_of_one_that_follows():
    session = tightened()
    (place,) = places_of(session)
    onset = session.recordings[0].onsets.ids[3]
    session = move_hit(session, *place, onset, 0.9)

    moved = move(session, [place], 2 * RATE)

    (clip,) = moved.tracks[0].clips
    assert clip.take.touch_of(onset).beat == pytest.approx(0.9 + 4)
    assert clip.take.beat == pytest.approx(4)
    assert session.tracks[0].clips[0].take.beat == 0


def test_a_take_within_another_goes_by_itself():
    session = tightened()
    twice = copy(session, places_of(session), STEP)
    twice = crop(twice, *places_of(twice)[1], 3 * STEP, 4 * STEP)
    track = twice.tracks[0]

    assert len(track.takes) == 2
    assert [twice.beside(track, take) is take for take in track.takes] == [True, True]


def test_a_recording_that_was_read_anew_is_heard_from_its_new_place(studio):
    session = simple_session(FRAMES, TOTAL)
    studio.heard(session)

    studio.load(session.recordings[0], seed=2)

    heard = studio.heard(session)
    np.testing.assert_array_equal(
        heard[:, 0], studio.sources[session.recordings[0].content].region.samples[:, 0]
    )


def test_clips_that_overlap_cross_over_at_equal_power(studio):
    session = simple_session([0], TOTAL)
    samples = np.ones((TOTAL, 1), np.float32)
    parts = split(session, session.tracks[0].id, [4 * STEP])
    studio.load(session.recordings[0])
    studio.sources[session.recordings[0].content].region.samples[:] = samples

    over = move(parts, [places_of(parts)[1]], -2 * STEP)

    heard = studio.heard(over)[:, 0]
    assert windows_of(over) == [(0, 4 * STEP), (2 * STEP, 6 * STEP)]
    assert (heard[: 2 * STEP] == 1).all()
    assert (heard[4 * STEP : 6 * STEP] == 1).all()
    middle = heard[2 * STEP : 4 * STEP]
    share = (np.arange(2 * STEP) + 0.5) / (2 * STEP)
    np.testing.assert_allclose(middle, np.cos(np.pi / 2 * share) + np.sin(np.pi / 2 * share), atol=1e-5)


def test_a_clip_within_another_is_heard_with_it(studio):
    session = simple_session([0], TOTAL)
    studio.load(session.recordings[0])
    studio.sources[session.recordings[0].content].region.samples[:] = 1.0
    track, clip = places_of(session)[0]
    both = copy(session, [(track, clip)], 2 * STEP)
    both = trim(both, track, both.tracks[0].clips[1].id, start=None, end=3 * STEP)

    heard = studio.heard(both)[:, 0]

    assert windows_of(both) == [(0, TOTAL), (2 * STEP, 5 * STEP)]
    assert (heard[TOTAL - STEP :] == 1).all()
    assert (heard[2 * STEP : 5 * STEP - SOFT] == 2).all()


def test_loudness_fades_and_muting_of_a_clip(studio):
    session = simple_session([0], TOTAL)
    studio.load(session.recordings[0])
    studio.sources[session.recordings[0].content].region.samples[:] = 1.0
    (place,) = places_of(session)
    session = set_level(session, place[0], -6.0)

    shaped = set_clip(session, [place], level=-6.0, fade_in=0.1, fade_out=0.2)
    heard = studio.heard(shaped)[:, 0]

    gain = 10 ** (-12 / 20)
    assert heard[RATE // 2] == pytest.approx(gain, abs=1e-6)
    assert heard[RATE // 20] == pytest.approx(gain * np.sin(np.pi / 4), abs=1e-3)
    assert heard[TOTAL - RATE // 10] == pytest.approx(gain * np.sin(np.pi / 4), abs=1e-3)
    assert abs(heard[[0, -1]]).max() < 1e-3
    assert not studio.heard(set_clip(shaped, [place], is_muted=True)).any()
    assert set_clip(shaped, [place], level=-6.0) is shaped


def test_a_track_is_panned_flipped_and_moved_among_others(studio):
    session = simple_session([0], TOTAL)
    studio.load(session.recordings[0])
    studio.sources[session.recordings[0].content].region.samples[:] = 1.0
    track = session.tracks[0].id

    left = studio.heard(set_pan(session, track, -0.25))[1000]
    flipped = studio.heard(set_flipped(session, track, True))[1000]
    assert left.tolist() == [1.0, 0.75]
    assert flipped.tolist() == [-1.0, -1.0]
    assert studio.heard(set_pan(session, track, 0.0))[1000].tolist() == [1.0, 1.0]

    more = add_track(add_track(session, "b"), "c")
    check(more)
    assert [each.name for each in move_track(more, track, 2).tracks] == ["b", "c", "take"]
    assert move_track(more, track, -1) is more


def test_trimmed_ends_leave_the_sound_where_it_is_and_come_back(studio):
    session = tightened()
    track, clip = places_of(session)[0]
    whole = studio.heard(session)

    short = trim(session, track, clip, start=2 * STEP, end=6 * STEP)

    (start, end) = windows_of(short)[0]
    heard = studio.heard(short)
    assert not heard[:start].any()
    assert not heard[end:].any()
    np.testing.assert_array_equal(heard[start + SOFT : end - SOFT], whole[start + SOFT : end - SOFT])
    assert trim(short, track, clip, start=0, end=TOTAL) == session
    cropped = crop(session, track, clip, 2 * STEP, 6 * STEP)
    longer = trim(cropped, track, clip, start=STEP, end=TOTAL + 999)
    check(longer)
    only = longer.tracks[0].clips[0]
    assert (only.source_start, only.source_end, only.take.start) == (STEP, TOTAL, STEP)


def test_copies_stand_by_themselves_and_gaps_close(studio):
    session = tightened(strength=0.0)
    track, clip = places_of(session)[0]

    three = repeat(session, track, clip, 2, 10 * STEP)

    check(three)
    assert [start for start, _ in windows_of(three)] == [0, 10 * STEP, 20 * STEP]
    heard, one = studio.heard(three), studio.heard(session)
    for number in range(3):
        np.testing.assert_array_equal(heard[10 * number * STEP :][:TOTAL], one)
    by_hand = move_hit(three, *places_of(three)[1], session.recordings[0].onsets.ids[2], 7.0)
    assert [bool(each.take.touches) for each in by_hand.tracks[0].clips] == [False, True, False]

    middle = places_of(three)[1]
    assert [start for start, _ in windows_of(delete(three, [middle]))] == [0, 20 * STEP]
    assert [start for start, _ in windows_of(delete(three, [middle], is_closed=True))] == [0, 12 * STEP]


def test_nothing_moves_before_the_sessions_start_and_what_is_cut_off_there_is_trimmed():
    session = tightened(strength=0.0)
    parts = split(session, session.tracks[0].id, [3 * STEP])

    first = move(parts, [places_of(parts)[1]], -99 * RATE)

    check(first)
    assert sorted(start for start, _ in windows_of(first)) == [0, 0]
    moved = next(clip for clip in first.tracks[0].clips if clip.id == places_of(parts)[1][1])
    assert (moved.source_start, moved.source_end, moved.take.start) == (3 * STEP, TOTAL, 0)


def test_a_clip_goes_to_another_track_and_copies_of_several(studio):
    session = tightened(strength=0.0)
    track = session.tracks[0]
    other = replace(track, id=50, name="other", clips=())
    session = replace(session, tracks=(track, other), next_id=51)
    parts = split(session, track.id, [4 * STEP])

    given = move(parts, [places_of(parts)[1]], 0, to=50)
    copied = copy(parts, places_of(parts), 8 * STEP)

    check(given)
    assert [len(each.clips) for each in given.tracks] == [1, 1]
    before = studio.heard(parts)
    np.testing.assert_array_equal(studio.heard(copied)[8 * STEP :], before)
    joint = slice(4 * STEP - SOFT, 4 * STEP + SOFT)
    apart = studio.heard(given)
    apart[joint] = before[joint]
    np.testing.assert_array_equal(apart, before)


def test_two_thousand_parts_take_as_few_lanes_as_one(studio):
    session = tightened()
    cuts = range(40, TOTAL - 40, 23)

    parts = split(session, session.tracks[0].id, cuts)

    assert len(parts.tracks[0].clips) > 2000
    np.testing.assert_array_equal(studio.heard(parts), studio.heard(session))


def test_only_what_sounds_is_rendered_and_what_several_play_is_held_once(studio):
    session = tightened()
    short = trim(session, *places_of(session)[0], start=3 * STEP, end=4 * STEP)

    studio.heard(short)
    assert 1 <= studio.renderer.cache.rendered_count <= 3

    studio.heard(session)
    once = studio.renderer.cache.held
    assert 0 < once <= studio.renderer.cache.bytes
    studio.heard(copy(session, places_of(session), 2 * RATE))
    assert studio.renderer.cache.held == once


@pytest.mark.parametrize("move_by", MoveBy)
def test_a_reversed_clip_sounds_from_its_end_to_its_start_where_it_is(studio, move_by):
    session = tightened(move_by)
    track = session.tracks[0].id
    session = split(session, track, [2 * STEP, 5 * STEP])
    places = places_of(session)
    first, last = windows_of(session)[1]
    before = studio.heard(session)

    turned = reverse(session, [places[1]])
    check(turned)
    heard = studio.heard(turned)

    assert windows_of(turned) == windows_of(session)
    inside = slice(first + SOFT, last - SOFT)  # its edges are softened: nothing goes on beside them now
    np.testing.assert_array_equal(heard[inside], before[first:last][::-1][SOFT:-SOFT])
    np.testing.assert_array_equal(heard[: first - SOFT], before[: first - SOFT])
    np.testing.assert_array_equal(studio.heard(reverse(turned, [places[1]])), before)
    parts = split(turned, track, [3 * STEP, 4 * STEP])
    assert len(parts.tracks[0].clips) == 5
    np.testing.assert_array_equal(studio.heard(parts), heard)


def test_a_part_of_a_reversed_clip_is_turned_back_where_it_is(studio):
    session = tightened(strength=0.0)
    session = reverse(session, places_of(session))
    parts = split(session, session.tracks[0].id, [3 * STEP])
    place = places_of(parts)[int(np.argmax([start for start, _ in windows_of(parts)]))]

    back = reverse(parts, [place])

    assert sorted(windows_of(back)) == sorted(windows_of(parts))
    assert back.tracks[0].clip(place[1]).take.mirror is None


def test_rows_are_heard_as_loud_as_high_and_turned_as_they_say_over_one_another(studio):
    session = simple_session(FRAMES, TOTAL)
    studio.heard(session)
    source = studio.sources[session.recordings[0].content].region.samples[:, 0]
    edges = np.array([0, 2000, 4000])
    score = joined(session.recordings[0].content, RATE, MoveBy.CUTTING, edges, edges)
    free = dataclasses.replace(
        score,
        heard=np.array([0, 1000]),
        gains=np.array([[0.5, 0.25], [1.0, 0.0]]),
        is_reversed=np.array([False, True]),
        rises=np.array([[0, 200], [0, 0]]),
        falls=np.array([[0, 0], [2900, 3000]]),
        joins=np.array([False, False]),
    )

    heard = studio.played(free)

    np.testing.assert_allclose(heard[200:1000], source[200:1000, None] * [0.5, 0.25], rtol=1e-6)
    rising = np.abs(heard[:200, 0]) / np.maximum(np.abs(0.5 * source[:200]), 1e-9)
    assert rising[10] < 0.2 < rising[60] < 0.75 < rising[190] <= 1.0
    np.testing.assert_allclose(heard[2000:2900, 0], source[2000:4000][::-1][1000:1900], rtol=1e-6)
    np.testing.assert_allclose(
        heard[1000:2000, 0], 0.5 * source[1000:2000] + source[2000:4000][::-1][:1000], rtol=1e-5, atol=1e-7
    )
    np.testing.assert_allclose(heard[1000:2000, 1], 0.25 * source[1000:2000], rtol=1e-6)
    assert 0 < np.abs(heard[2990:, 0]).max() < 0.25 * np.abs(source[2000:2010]).max()


def test_a_row_at_another_pitch_takes_the_same_time(studio):
    rate, content = 44100, "c" * 32
    tone = np.sin(2 * np.pi * 440 * np.arange(rate) / rate).astype(np.float32)[:, None]
    studio.put(content, tone)
    score = joined(content, rate, EngineName.DRUMS, np.array([0, rate]), np.array([0, rate]))

    heard = studio.played(dataclasses.replace(score, semitones=np.array([7.0])))[:, 0]

    assert len(heard) == rate
    spectrum = np.abs(np.fft.rfft(heard * np.hanning(rate)))
    assert spectrum.argmax() == pytest.approx(440 * 2 ** (7 / 12), abs=3)


def test_a_clip_is_moved_in_a_way_of_its_own_and_the_other_as_their_track(studio):
    session = copy(tightened(), places_of(tightened()), 2 * TOTAL)
    track = session.tracks[0]
    before = studio.heard(session)

    own = set_own_moving(session, track.id, track.clips[1].take, is_own=True)
    changed = set_moving(
        own, track.id, own.tracks[0].clips[1].take, by=MoveBy.CUTTING, fill=Fill.ROOM, crossfade=2.0
    )

    after = studio.heard(changed)
    np.testing.assert_array_equal(after[:TOTAL], before[:TOTAL])
    assert np.abs(after[2 * TOTAL :] - before[2 * TOTAL :]).max() > 0.01
    assert changed.tracks[0].moving == track.moving
    again = set_own_moving(changed, track.id, changed.tracks[0].clips[1].take, is_own=False)
    assert again == session


def test_between_cut_hits_is_the_room_of_each_recording(studio):
    """Two locked recordings with a hum of their own level; the second hit is moved away from the first."""
    session = simple_session([0, 2 * STEP, 6 * STEP], 16 * STEP)
    track = session.tracks[0]
    twin = replace(session.recordings[0], content="d" * 32)
    clip = replace(track.clips[0], id=session.next_id + 1, take=replace(track.takes[0], recording="d" * 32))
    second = replace(track, id=session.next_id, clips=(clip,))
    session = replace(
        session, recordings=(twin, *session.recordings), tracks=(track, second), next_id=session.next_id + 2
    )
    session = set_moving(lock(session, track.id, [second.id]), track.id, by=MoveBy.CUTTING, fill=Fill.ROOM)
    hums = {}
    for number, recording in enumerate(reversed(session.recordings)):
        sound = np.full((recording.frames, 1), 0.001 * (number + 1), np.float32)
        for at in recording.onsets.frames:
            sound[at : at + STEP // 2] += 0.5
        sound[8 * STEP :] *= 0.5
        studio.put(recording.content, sound)
        hums[recording.content] = 0.0005 * (number + 1)
    onset = session.recordings[1].onsets.ids[1]
    moved = move_hit(session, track.id, track.clips[0].id, onset, session.beat_of(4 * STEP))

    for alone, content in ((track.id, track.clips[0].recording), (second.id, "d" * 32)):
        heard = studio.heard(set_solo(moved, alone, is_solo=True))
        gap = heard[2 * STEP + 2000 : 4 * STEP - 3500, 0]
        np.testing.assert_allclose(gap, hums[content] * heard[0, 0] / (0.5 + 2 * hums[content]), rtol=0.05)


@pytest.mark.parametrize("semitones", [0.0, 4.0])
def test_a_held_tone_stays_one_tone_over_its_seams_wherever_markers_bend_it(studio, semitones):
    """Four seconds after one attack, a marker in their middle half a second later."""
    session = simple_session([900], 5 * RATE)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id
    time = np.arange(5 * RATE) / RATE
    studio.put(
        session.recordings[0].content, (0.5 * np.sin(2 * np.pi * 220 * time)).astype(np.float32)[:, None]
    )
    session = set_moving(session, track, keeps=StretchMaterial.CHORDS, semitones=semitones)
    session, marker = tie_here(session, track, clip, 2 * RATE + RATE // 2)
    onsets = session.recordings[0].onsets.measured(traits_of(np.zeros(2), attacks=[True, False]))
    session = replace(session, recordings=(replace(session.recordings[0], onsets=onsets),))

    moved = move_hit(session, track, clip, marker, session.beat_of(3 * RATE + 1234))
    heard = studio.heard(moved)[:, 0].astype(float)

    track_now, clip_now = moved.tracks[0].id, moved.tracks[0].clips[0].id
    turned = studio.heard(reverse(moved, [(track_now, clip_now)]))
    assert clicks_at(turned, np.arange(RATE, 4 * RATE, 50), heard[:, None].astype(np.float32)).max() < 3.0
    pitch = 220 * 2 ** (semitones / 12)
    held = heard[RATE // 2 : 4 * RATE]
    wave = np.exp(2j * np.pi * pitch * time[: len(held)])
    rest = held - (2 * np.mean(held * wave.conj()) * wave).real
    assert np.sqrt(np.mean(rest**2)) < 0.02 * np.sqrt(np.mean(held**2))


def test_a_moved_attack_leaves_the_long_tone_behind_it_but_for_two_rows(studio):
    session = simple_session([900, 9 * RATE], 10 * RATE)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id
    session = set_moving(session, track, keeps=StretchMaterial.CHORDS)
    time = np.arange(10 * RATE) / RATE
    studio.put(
        session.recordings[0].content, (0.5 * np.sin(2 * np.pi * 220 * time)).astype(np.float32)[:, None]
    )
    session, marker = tie_here(session, track, clip, 5 * RATE)
    onsets = session.recordings[0].onsets.measured(traits_of(np.zeros(3), attacks=[True, False, True]))
    session = replace(session, recordings=(replace(session.recordings[0], onsets=onsets),))
    session = move_hit(session, track, clip, marker, session.beat_of(5 * RATE + 4000))
    studio.heard(session)
    before = studio.renderer.cache.rendered_count

    studio.heard(move_hit(session, track, clip, onsets.ids[0], session.beat_of(900 + RATE // 100)))

    held = 5  # rows up to the marker are bent by it and by the attack alike
    assert studio.renderer.cache.rendered_count - before <= held + 1
