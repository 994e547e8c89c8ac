"""Slices as data: columns that hold together, seeded draws, edits of places and values."""

import msgspec
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.edits.clips import copy as copy_clip
from chronotome.session.edits.clips import trim
from chronotome.session.edits.hits import (
    beats_of,
    copy,
    cut_slice,
    delete,
    glue,
    lengthen,
    move,
    place_at,
    scale_time,
    shuffle,
    swap,
    turn_order,
)
from chronotome.session.edits.kits import slices_for_keys
from chronotome.session.edits.rhythm import paste_hits, rhythm_of, take_rhythm
from chronotome.session.edits.shaping import (
    keep_scatter,
    roll_to_hits,
    set_flag,
    set_roll,
    set_scatter,
    set_value,
    values_of,
)
from chronotome.session.edits.slicing import At, Cuts, make_whole, take_apart
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import add_track, lock
from chronotome.session.grid import TempoMap
from chronotome.session.model import Session, rearranged, replace
from chronotome.session.runs import roll_edges, shaped
from chronotome.session.slices import COPY, MOST_SLICES, Lengthen, Roll, Scatter, Slices, draw, slices_at
from chronotome.session.tighten import targets_of
from chronotome.session.validity import check
from strategies import RATE, simple_session

STEP = RATE // 8
FRAMES = [900, STEP + 700, 2 * STEP - 500, 3 * STEP + 200, 4 * STEP, 5 * STEP + 300, 6 * STEP - 800, 7 * STEP]
TOTAL = 8 * STEP


def place_in(session: Session):
    track = session.tracks[0]
    return track.id, track.clips[0].id


def slices_in(session: Session) -> Slices:
    slices = session.tracks[0].clips[0].take.slices
    assert slices is not None
    return slices


@pytest.fixture
def apart():
    """Eight hits and what is before the first."""
    session = simple_session(FRAMES, TOTAL)
    return take_apart(session, place_in(session), Cuts())


def test_a_take_is_cut_at_its_onsets_and_whole_again_is_what_it_was(apart):
    slices = slices_in(apart)

    assert slices.starts == (0, *FRAMES)
    assert slices.ends == (*FRAMES, TOTAL)
    assert slices.is_untouched
    check(apart)
    assert make_whole(apart, place_in(apart)) == simple_session(FRAMES, TOTAL)


@pytest.mark.parametrize(
    ("cuts", "expected"),
    [
        (Cuts(At.PARTS, parts=4), [2 * STEP, 4 * STEP, 6 * STEP]),
        (Cuts(At.LINES, step=0.5), [2 * STEP, 4 * STEP, 6 * STEP]),
        (Cuts(At.LINES, step=4.0), []),
        (Cuts(At.MARKS), []),
        (Cuts(within=(2 * STEP, 5 * STEP)), [2 * STEP, FRAMES[3], FRAMES[4], 5 * STEP]),
    ],
)
def test_a_take_is_cut_on_lines_into_parts_or_within_a_span(cuts, expected):
    session = simple_session(FRAMES, TOTAL)

    after = take_apart(session, place_in(session), cuts)

    assert list(slices_in(after).starts[1:]) == expected if expected else after is session


def test_onsets_come_along_with_their_hits_and_those_of_copies_have_ids_of_their_own(apart):
    place, slices = place_in(apart), slices_in(apart)

    after = copy(move(apart, place, slices.ids[2:3], 0.25), place, slices.ids[4:5], 0.25)

    onsets = after.recording_of(after.tracks[0].clips[0].take).onsets
    assert len(onsets) == len(FRAMES) + 1
    assert FRAMES[1] + STEP in onsets.frames
    assert FRAMES[1] not in onsets.frames
    assert [each for each in onsets.ids if each > COPY] == [4 + COPY * slices.next_id]
    assert after.recordings == apart.recordings
    check(after)


def test_hits_that_lie_on_one_another_keep_their_order_and_no_two_onsets_are_at_one_frame(apart):
    place, slices = place_in(apart), slices_in(apart)
    beats = beats_of(apart, apart.tracks[0].clips[0].take)

    after = place_at(apart, place, dict.fromkeys(slices.ids[2:5], float(beats[5])))

    laid = rearranged(after.recordings[0], slices_in(after)).recording.onsets.frame_array
    assert (np.diff(laid) > 0).all()
    assert len(targets_of(after, after.tracks[0], after.tracks[0].clips[0].take)) == len(FRAMES)


def test_a_moved_hit_is_tightened_to_the_line_where_it_was_put(apart):
    session = set_tighten(apart, apart.tracks[0].id, strength=1.0)
    place, hit = place_in(session), slices_in(session).ids[2]

    after = place_at(session, place, {hit: 1.25 + 0.01})

    targets = targets_of(after, after.tracks[0], after.tracks[0].clips[0].take)
    wanted = round(after.frame_of(1.25))
    assert wanted in targets.target.tolist()


def test_deleting_leaves_the_gap_or_closes_it(apart):
    place, slices = place_in(apart), slices_in(apart)

    left, closed = (delete(apart, place, slices.ids[3:4], is_closed=each) for each in (False, True))

    assert slices_in(left).places == (*slices.places[:3], *slices.places[4:])
    length = slices.ends[3] - slices.starts[3]
    assert slices_in(closed).places[3:] == tuple(each - length for each in slices.places[4:])


def test_hits_change_places_by_swap_seed_and_turning_round_and_none_sounds_into_the_next(apart):
    place, ids = place_in(apart), slices_in(apart).ids[1:6]
    slots = slices_in(apart).places[1:6]

    swapped = slices_in(swap(apart, place, ids[0], ids[3]))
    turned = slices_in(turn_order(apart, place, ids))
    one, again, other = (slices_in(shuffle(apart, place, ids, seed)) for seed in (1, 1, 2))

    assert swapped.places == slices_in(apart).places
    assert swapped.ids[1:6] == (ids[3], ids[1], ids[2], ids[0], ids[4])
    assert turned.ids[1:6] == ids[::-1]
    assert turned.places[1:6] == slots
    assert one == again
    assert one.ids != other.ids
    assert sorted(one.ids[1:6]) == sorted(ids)
    for each in (swapped, turned, one):
        assert (each.place_array[1:6] + each.spans[1:6] <= each.place_array[2:7]).all()


def test_double_time_halves_the_distances_and_if_wanted_the_lengths(apart):
    place, ids = place_in(apart), slices_in(apart).ids[1:5]

    fast = scale_time(apart, place, ids, 0.5)
    short = scale_time(apart, place, ids, 0.5, stretches=True)

    first = slices_in(apart).places[1]
    wanted = [first + round((each - first) / 2) for each in slices_in(apart).places[1:5]]
    at = slices_in(fast).at(ids)
    np.testing.assert_allclose(slices_in(fast).place_array[at], wanted, atol=1)
    assert (slices_in(fast).spans[at[:3]] <= np.diff(wanted) + 1).all()
    own = slices_in(short).end_array - slices_in(short).start_array
    np.testing.assert_allclose(slices_in(short).spans[at], own[at] / 2, atol=1)
    assert {slices_in(short).lengthened[each] for each in at} == {Lengthen.STRETCH}


def test_neighbours_are_glued_and_a_hit_is_cut_in_two(apart):
    place, ids = place_in(apart), slices_in(apart).ids

    glued = glue(apart, place, ids[2:5])
    cut = cut_slice(apart, place, FRAMES[2] + 1000.0)

    assert slices_in(glued).starts == (0, *FRAMES[:2], *FRAMES[4:])
    assert slices_in(cut).starts == (0, *FRAMES[:3], FRAMES[2] + 1000, *FRAMES[3:])
    assert (
        slices_in(glue(move(apart, place, ids[3:4], 0.1), place, ids[2:5])).starts == slices_in(apart).starts
    )


def test_locked_tracks_are_taken_apart_and_shaped_in_step(apart):
    session = simple_session(FRAMES, TOTAL)
    other = msgspec.structs.replace(session.recordings[0], content="d" * 32, file="room.wav")
    session = add_track(session, "room")
    number = session.next_id
    clip = session.tracks[0].clips[0]
    far = msgspec.structs.replace(
        clip, id=number, take=msgspec.structs.replace(clip.take, recording="d" * 32)
    )
    tracks = (session.tracks[0], msgspec.structs.replace(session.tracks[1], clips=(far,)))
    session = msgspec.structs.replace(
        session, tracks=tracks, recordings=(*session.recordings, other), next_id=number + 1
    )
    session = lock(session, tracks[0].id, [tracks[1].id])

    session = take_apart(session, place_in(session), Cuts())
    ids = slices_in(session).ids
    session = set_flag(
        move(session, place_in(session), ids[2:3], 0.1), place_in(session), ids[3:4], "reversed", value=True
    )

    ours, theirs = (track.clips[0].take.slices for track in session.tracks)
    assert ours == theirs
    assert ours.places != ours.starts
    assert any(ours.reversed)


@given(st.integers(0, 1 << 31), st.floats(-1, 1))
def test_draws_are_within_bounds_and_lean_where_they_are_told_to(seed, lean):
    ids = np.arange(1, 400)

    drawn = draw(seed, ids, 0, lean)

    assert (np.abs(drawn) <= 1).all()
    assert (draw(seed, ids, 0, 1.0) >= 0).all()
    assert (draw(seed, ids, 0, -1.0) <= 0).all()
    assert len(np.unique(draw(seed, ids, 0, 0.0))) == len(ids)


def test_a_seed_draws_these_very_numbers_on_every_machine():
    drawn = draw(7, np.array([1, 2, 3]), 2, 0.25)

    assert [each.hex() for each in drawn.tolist()] == [
        "-0x1.12d1055f2062cp-3",
        "-0x1.7ab6eb157e60bp-3",
        "-0x1.3a34c614a9b12p-2",
    ]


def test_a_scatter_spreads_chosen_hits_and_once_kept_they_have_these_values(apart):
    place, ids = place_in(apart), slices_in(apart).ids[2:7]
    scatter = Scatter(5, loudness=6.0, pan=0.5, semitones=2.0, start=10.0, timing=8.0)

    spread = set_scatter(apart, place, ids, scatter)
    kept = keep_scatter(spread, place, ids)

    before, after = (shaped(slices_in(each), RATE) for each in (spread, kept))
    at = slices_in(spread).at(ids)
    assert (before.loudness[at] != 0).all()
    assert before.loudness[1] == 0
    assert np.abs(before.timing).max() <= 0.008
    for one, other in zip(before[:4], after[:4], strict=True):
        np.testing.assert_allclose(one, other, atol=1e-4)
    assert not any(slices_in(kept).scattered)
    moved = slices_in(kept).place_array[at] - slices_in(spread).place_array[at]
    np.testing.assert_allclose(moved, before.timing[at] * RATE, atol=1)


def test_tables_of_rolls_keep_what_is_used_and_nothing_else(apart):
    place, ids = place_in(apart), slices_in(apart).ids

    session = apart
    for count in range(2, 12):
        session = set_roll(session, place, ids[2:3], Roll(count))

    assert [each.count for each in slices_in(session).rolls][-1] == 11
    assert len(slices_in(session).rolls) <= 2
    assert slices_in(set_roll(session, place, ids[2:3], None)).rolled == ()


def test_a_take_holds_no_more_hits_and_rolls_than_can_be_read_again(apart):
    place, ids = place_in(apart), slices_in(apart).ids
    rolled = slices_in(set_roll(apart, place, ids[1:3], Roll(5)))
    kept = rolled.only([1, 2])

    many = slices_in(apart)
    for _ in range(3):
        many = many.with_more(kept, [0, 1], [10, 20])
    full = slices_at(range(2, MOST_SLICES * 2 - 2, 2), (0, MOST_SLICES * 2))

    assert many.rolls == (Roll(5),)
    assert len(full) == MOST_SLICES - 1
    assert len(full.with_more(full, range(5), [1] * 5)) == MOST_SLICES
    assert full.with_more(full, [0], [1]).with_cut(0, 1) is not full
    assert len(full.with_more(full, [0], [1]).with_cut(0, 1)) == MOST_SLICES


def test_repeats_of_a_roll_fill_it_or_come_on_the_grid_and_hurry():
    tempo, begin, end = TempoMap(), 1000, 1000 + RATE

    even = roll_edges(Roll(4), begin, end, tempo, RATE)
    grid = roll_edges(Roll(4, step=0.25), begin, end, tempo, RATE)
    faster = np.diff(roll_edges(Roll(8, hurry=4.0), begin, end, tempo, RATE))

    assert even.tolist() == [begin + each * RATE // 4 for each in range(5)]
    assert np.diff(grid).tolist() == [RATE // 8] * 8
    assert (np.diff(faster) < 0).all()
    assert faster[0] == pytest.approx(4 * faster[-1], rel=0.01)


def test_a_roll_becomes_hits_with_its_ramps(apart):
    place, hit = place_in(apart), slices_in(apart).ids[3]

    roll = Roll(4, loudness=(-12.0, 0.0), semitones=(0.0, 6.0), returns=True)
    single = slices_in(roll_to_hits(set_roll(apart, place, [hit], roll), place, [hit]))

    assert len(single) == len(slices_in(apart)) + 3
    at = [place for place, start in enumerate(single.starts) if start == FRAMES[2]]
    assert [single.loudness[each] for each in at] == [-12.0, -8.0, -4.0, 0.0]
    np.testing.assert_allclose([single.semitones[each] for each in at], [0.0, 4.0, 4.0, 0.0], atol=1e-3)
    assert not any(single.rolled)


def test_values_are_held_to_their_bounds_and_lengths_are_in_seconds(apart):
    place, ids = place_in(apart), slices_in(apart).ids

    session = set_value(apart, place, "loudness", {ids[1]: 99.0, ids[2]: -200.0})
    session = set_value(session, place, "start", {ids[3]: 0.01})
    session = lengthen(session, place, ids[4:5], 0.05, Lengthen.RING)

    take = session.tracks[0].clips[0].take
    assert values_of(session, take, "loudness")[1:3].tolist() == [24.0, -90.0]
    assert take.slices.offsets[3] == RATE // 100
    assert values_of(session, take, "length")[4] == pytest.approx(0.05)
    assert take.slices.lengthened[4] == Lengthen.RING


def test_hits_take_the_rhythm_of_another_clip_by_order_by_nearest_and_in_part(apart):
    place, ids = place_in(apart), slices_in(apart).ids[1:5]
    beats = np.array([0.1, 0.6, 0.75, 1.4])
    own = beats_of(apart, apart.tracks[0].clips[0].take)[1:5]

    order, half, nearest = (
        take_rhythm(apart, place, ids, beats, strength=strength, is_nearest=is_nearest)
        for strength, is_nearest in ((1.0, False), (0.5, False), (1.0, True))
    )

    def heard(session):
        take = session.tracks[0].clips[0].take
        return beats_of(session, take)[take.slices.at(ids)]

    np.testing.assert_allclose(heard(order), beats, atol=1e-4)
    np.testing.assert_allclose(heard(half), (own + beats) / 2, atol=1e-4)
    np.testing.assert_allclose(np.sort(heard(nearest)), [0.1, own[1], 0.6, 0.75], atol=1e-4)
    np.testing.assert_allclose(rhythm_of(apart, place), targets_beats(apart), atol=1e-9)


def targets_beats(session):
    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)
    return session.tempo.beats_at(targets.target / session.rate)


def test_hits_are_pasted_into_their_clip_or_as_a_clip_of_their_own(apart):
    place, slices = place_in(apart), slices_in(apart)
    kept = slices.only([2, 4])
    session = add_track(apart, "new")

    within, where = paste_hits(session, place, place[0], apart.recordings[0].content, kept, 10 * STEP)
    alone, there = paste_hits(
        session, None, session.tracks[1].id, apart.recordings[0].content, kept, 3 * STEP
    )

    assert where == place
    assert len(slices_in(within)) == len(slices) + 2
    assert slices_in(within).places[-2] == 10 * STEP
    made = alone.track(there[0]).clip(there[1]).take
    assert made.start == 3 * STEP
    assert np.diff(made.slices.places).tolist() == [FRAMES[3] - FRAMES[1]]
    for each in (within, alone):
        check(each)


@pytest.mark.parametrize(
    "broken",
    [
        {"places": (0, 500, 200)},
        {"ids": (1, 1, 2)},
        {"next_id": 2},
        {"loudness": (1.0,)},
        {"ends": (100, 200, 200)},
        {"copies": (0, 0, 9)},
        {"rolled": (0, 1, 0)},
        {"original": (5, 5)},
    ],
)
def test_columns_that_do_not_hold_together_are_refused(broken):
    slices = slices_at([200, 400], (0, 600))

    with pytest.raises(ValueError, match=r"slice|copy|apart"):
        msgspec.structs.replace(slices, **broken)


def test_a_clip_may_be_drawn_out_over_the_room_of_a_hit_that_was_shortened(apart):
    session, place = apart, place_in(apart)
    last = session.track(place[0]).clip(place[1]).take.slices.ids[-1]
    session = move(session, place, [last], 2.0)
    session = lengthen(session, place, [last], 0.01, Lengthen.CUT)
    clip = session.track(place[0]).clip(place[1])
    laid = session.recording_of(clip).frames
    assert laid > session.recording_with(clip.recording).frames
    session = trim(session, *place, start=None, end=laid)
    assert session.track(place[0]).clip(place[1]).take.source_end == laid
    check(session)


def test_a_copy_that_is_dragged_before_the_session_begins_with_it():
    session = simple_session(FRAMES, TOTAL)
    place = place_in(session)
    copied = copy_clip(session, [place], -3 * TOTAL)
    check(copied)
    assert [clip.take.start for clip in copied.tracks[0].clips] == [0, 0]
    assert copied.tracks[0].clips[1].take.source_end == TOTAL


@pytest.mark.parametrize(("quiet", "first_key"), [(0, 0), (6000, 5)])
def test_only_silence_before_the_first_onset_goes_to_the_last_key(quiet, first_key):
    """Cut on a grid, or with its first attack some frames in, a clip begins with sound."""
    session = simple_session([6000, 12000, 18000, 24000, 30000], 36000)
    session = replace(session, recordings=(replace(session.recordings[0], quiet=quiet),))
    place = (session.tracks[0].id, session.tracks[0].clips[0].id)
    pieces = slices_for_keys(session, place)
    assert [piece.start for piece in pieces].index(0) == first_key
    assert len(pieces) == 6
