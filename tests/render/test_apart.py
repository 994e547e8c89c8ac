"""Takes that were taken apart as they are heard: as before to the bit, then moved, shaped, rolled, filled."""

import numpy as np
import pytest

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.session.edits.clips import reverse, split
from chronotome.session.edits.fitting import TempoSync, set_following
from chronotome.session.edits.hits import clip_at, copy, delete, lengthen, move, place_at
from chronotome.session.edits.kits import make_kit
from chronotome.session.edits.rhythm import set_crossover
from chronotome.session.edits.shaping import (
    as_recorded,
    set_fills,
    set_flag,
    set_roll,
    set_scatter,
    set_value,
)
from chronotome.session.edits.slicing import At, Cuts, take_apart
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import set_moving
from chronotome.session.model import Crossover
from chronotome.session.slices import Lengthen, Roll, Scatter
from strategies import RATE, simple_session
from studio import Studio

STEP = RATE // 8
FRAMES = [900, STEP + 700, 2 * STEP - 500, 3 * STEP + 200, 4 * STEP, 5 * STEP + 300, 6 * STEP - 800, 7 * STEP]
TOTAL = 8 * STEP
LEAD, FALL = round(0.002 * RATE), round(0.003 * RATE)


@pytest.fixture
def studio():
    return Studio()


def whole(by: MoveBy | None = None, *, semitones: float = 0.0):
    session = simple_session(FRAMES, TOTAL)
    if by is None:
        return session
    track = session.tracks[0].id
    return set_moving(set_tighten(session, track, strength=0.9), track, by=by, semitones=semitones)


def place_in(session):
    track = session.tracks[0]
    return track.id, track.clips[0].id


@pytest.fixture
def apart():
    session = whole()
    return take_apart(session, place_in(session), Cuts())


def ids_in(session):
    return session.tracks[0].clips[0].take.slices.ids


@pytest.mark.parametrize("cuts", [Cuts(), Cuts(At.LINES, step=0.25), Cuts(At.PARTS, parts=5)])
@pytest.mark.parametrize(
    ("by", "semitones"), [(None, 0.0), *((each, 0.0) for each in MoveBy), (MoveBy.STRETCHING, 4.0)]
)
def test_what_was_taken_apart_sounds_as_before_to_the_bit(studio, by, semitones, cuts):
    session = whole(by, semitones=semitones)

    parts = take_apart(session, place_in(session), cuts)

    np.testing.assert_array_equal(studio.heard(parts), studio.heard(session))
    np.testing.assert_array_equal(studio.heard(parts, Side.AS_PLAYED), studio.heard(session, Side.AS_PLAYED))


def test_cut_into_clips_reversed_or_following_another_tempo_it_sounds_as_before_too(studio):
    session = whole(MoveBy.STRETCHING)
    track = session.tracks[0].id
    for each in (
        split(session, track, [3 * STEP]),
        reverse(session, [place_in(session)]),
        set_tempo(set_following(session, track, TempoSync.SONG), 101.0),
    ):
        parts = take_apart(each, place_in(each), Cuts())
        np.testing.assert_array_equal(studio.heard(parts), studio.heard(each))


def test_a_moved_hit_sounds_where_it_is_and_no_longer_where_it_was(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[3]
    before = studio.heard(apart)

    after = studio.heard(move(apart, place, [hit], 0.5))

    to, length = FRAMES[2] + 2 * STEP, FRAMES[3] - FRAMES[2] - FALL
    there = after[to : to + length] - before[to : to + length]
    np.testing.assert_allclose(there, before[FRAMES[2] : FRAMES[2] + length], atol=1e-3)
    assert not after[FRAMES[2] : FRAMES[3] - LEAD].any()
    np.testing.assert_array_equal(after[: FRAMES[2] - FALL - LEAD], before[: FRAMES[2] - FALL - LEAD])


def test_a_hit_that_is_moved_a_little_moves_and_comes_in_out_of_what_sounded_before_it(studio, apart):
    place, ids = place_in(apart), ids_in(apart)
    before = studio.heard(apart)

    near = studio.heard(move(apart, place, ids[3:4], 0.05))
    far = studio.heard(move(apart, place, ids[3:4], 16.0))

    by = round(0.05 * 4 * STEP)
    start = FRAMES[2] + by
    np.testing.assert_allclose(near[start : start + 2000], before[FRAMES[2] : FRAMES[2] + 2000], atol=1e-6)
    start = FRAMES[2] + 16 * 4 * STEP
    share = (np.arange(LEAD) + 0.5) / LEAD
    rising = before[FRAMES[2] - LEAD : FRAMES[2]] * np.sin(np.pi / 2 * share)[:, None]
    assert np.abs(rising).max() > 1e-6
    np.testing.assert_allclose(far[start - LEAD : start], rising, atol=1e-7)


def test_a_deleted_hit_is_silent_or_filled_by_what_rings_before_it(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[4]
    gap = slice(FRAMES[3] + 10, FRAMES[4] - LEAD)

    silent = studio.heard(delete(apart, place, [hit]))
    filled = studio.heard(set_fills(delete(apart, place, [hit]), place, fills=True))

    assert not silent[gap].any()
    assert np.abs(filled[gap]).max() > 1e-4
    before = studio.heard(apart)
    until = FRAMES[3] - round(0.006 * RATE)
    np.testing.assert_array_equal(filled[:until], before[:until])


def test_a_copy_sounds_like_the_hit_it_is_of_with_what_is_there(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[1]
    before = studio.heard(apart)

    after = studio.heard(copy(apart, place, [hit], 16.0, times=2))

    length = FRAMES[1] - FRAMES[0] - FALL
    for time in (1, 2):
        start = FRAMES[0] + time * 16 * 4 * STEP
        np.testing.assert_array_equal(after[start : start + length], before[FRAMES[0] : FRAMES[0] + length])
    assert len(after) >= FRAMES[0] + 2 * 16 * 4 * STEP + length


def test_loudness_and_pan_change_one_hit_and_lead_to_the_next_without_a_cut(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[3]
    before = studio.heard(apart)

    after = studio.heard(
        set_value(set_value(apart, place, "loudness", {hit: -6.0}), place, "pan", {hit: 1.0})
    )

    quiet = slice(FRAMES[2], FRAMES[3] - round(0.006 * RATE) - 1)
    np.testing.assert_allclose(after[quiet, 1], before[quiet, 1] * 10 ** (-6 / 20), rtol=1e-5)
    assert not after[quiet, 0].any()
    np.testing.assert_array_equal(after[FRAMES[3] :], before[FRAMES[3] :])


def test_a_reversed_hit_sounds_from_its_end_to_its_start_in_its_place(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[3]
    before = studio.heard(apart)

    after = studio.heard(set_flag(apart, place, [hit], "reversed", value=True))

    inner = slice(FRAMES[2] + FALL, FRAMES[3] - LEAD - FALL)
    turned = before[FRAMES[2] : FRAMES[3]][::-1]
    np.testing.assert_allclose(after[inner], turned[FALL : FALL + inner.stop - inner.start], atol=1e-7)


def test_pitch_keeps_the_length_or_by_tape_changes_it(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[3]

    kept = set_value(apart, place, "pitch", {hit: 12.0})
    taped = set_flag(kept, place, [hit], "by_tape", value=True)

    middle = slice(FRAMES[2] + (FRAMES[3] - FRAMES[2]) // 2 + 200, FRAMES[3] - 2 * LEAD)
    assert np.abs(studio.heard(kept)[middle]).max() > 1e-3
    assert not studio.heard(taped)[middle].any()


def test_a_roll_is_so_many_attacks_louder_and_louder(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[5]
    before = studio.heard(apart)

    after = studio.heard(set_roll(apart, place, [hit], Roll(4, loudness=(-12.0, 0.0))))

    span = FRAMES[5] - FRAMES[4]
    for number, decibels in enumerate((-12, -8, -4, 0)):
        start = FRAMES[4] + round(number * span / 4)
        wanted = before[FRAMES[4] : FRAMES[4] + 400] * 10 ** (decibels / 20)
        np.testing.assert_allclose(after[start : start + 400], wanted, rtol=1e-5, atol=1e-7)


@pytest.mark.parametrize("semitones", [7.0, -5.0])
def test_a_roll_by_tape_is_as_high_as_the_hit_alone_and_fills_its_place(studio, apart, semitones):
    place, hit = place_in(apart), ids_in(apart)[5]
    pitched = set_value(apart, place, "pitch", {hit: semitones})
    taped = set_flag(pitched, place, [hit], "by_tape", value=True)
    alone, rolled = studio.heard(taped), studio.heard(set_roll(taped, place, [hit], Roll(2)))
    wanted, span = alone[FRAMES[4] : FRAMES[4] + 400, 0], FRAMES[5] - FRAMES[4]
    for start in (FRAMES[4], FRAMES[4] + round(span / 2)):
        near = (rolled[start + by : start + by + 400, 0] for by in (-1, 0, 1))
        assert max(np.corrcoef(each, wanted)[0, 1] for each in near) > 0.99


@pytest.mark.parametrize(
    ("how", "rings"), [(Lengthen.CUT, False), (Lengthen.RING, True), (Lengthen.STRETCH, True)]
)
def test_a_shorter_hit_is_cut_and_a_longer_one_rings_is_stretched_or_goes_on(studio, apart, how, rings):
    place, hit = place_in(apart), ids_in(apart)[-1]
    before = studio.heard(apart)

    short = studio.heard(lengthen(apart, place, [hit], 0.05, how))
    long = studio.heard(lengthen(apart, place, [hit], 0.5, how))

    end = FRAMES[-1] + round(0.05 * RATE)
    assert not short[end:].any()
    assert np.abs(short[FRAMES[-1] : end]).max() > 1e-3
    first = slice(FRAMES[-1], FRAMES[-1] + 500)
    assert np.corrcoef(long[first, 0], before[first, 0])[0, 1] > 0.95
    assert bool(np.abs(long[TOTAL + 100 :]).max(initial=0.0) > 1e-6) is rings


@pytest.mark.parametrize("how", Lengthen)
def test_a_document_that_asks_for_a_day_of_one_hit_gets_a_minute(apart, how):
    place, ids = place_in(apart), ids_in(apart)
    long = lengthen(apart, place, ids[2:3], 80_000.0, how)
    far = set_fills(place_at(apart, place, {ids[-1]: 150_000.0}), place, fills=True)

    for session in (long, far):
        score = plan_for(session).tracks[0].clips[0].score
        assert score.length.max() <= 60 * RATE + 9 * TOTAL


def test_start_fades_and_tilt_shape_one_hit(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[3]
    before = studio.heard(apart)
    span = slice(FRAMES[2], FRAMES[3])

    later, faded, bright = (
        studio.heard(set_value(apart, place, name, {hit: value}))[span]
        for name, value in (("start", 0.01), ("fade in", 50.0), ("tilt", 12.0))
    )

    skipped = round(0.01 * RATE)
    np.testing.assert_array_equal(later[:2000], before[span][skipped : skipped + 2000])
    assert np.abs(faded[:240]).max() < 0.2 * np.abs(before[span][:240]).max()
    high, usual = (np.abs(np.diff(each, axis=0)).sum() for each in (bright, before[span]))
    assert high > 1.8 * usual


def test_a_hit_without_highs_is_that_hit_alone_and_goes_with_it_onto_keys(studio, apart):
    place, hit = place_in(apart), ids_in(apart)[3]
    before = studio.heard(apart)
    dull = set_value(apart, place, "cutoff", {hit: 300.0})
    span = slice(FRAMES[2], FRAMES[3])
    high, usual = (np.abs(np.diff(each[span], axis=0)).sum() for each in (studio.heard(dull), before))
    assert high < 0.2 * usual
    np.testing.assert_array_equal(studio.heard(dull)[: FRAMES[2] - 480], before[: FRAMES[2] - 480])
    assert [each.cutoff for each in make_kit(dull, place).kits[0].slices].count(300.0) == 1
    low = set_value(dull, place, "cutoff", {hit: 1.0})
    assert clip_at(low, place).take.slices.cutoffs[3] == 60.0
    assert clip_at(set_value(dull, place, "cutoff", {hit: 1e9}), place).take.slices.is_untouched
    np.testing.assert_array_equal(studio.heard(as_recorded(dull, place, [hit])), before)


def test_lows_and_highs_of_a_clip_are_the_clip(studio):
    session = whole()
    place = place_in(session)

    low, high = (
        studio.heard(set_crossover(session, place, Crossover(400.0, is_high=each))) for each in (False, True)
    )

    usual = studio.heard(session)
    np.testing.assert_allclose(low + high, usual, atol=1e-6)
    steps = [np.abs(np.diff(each, axis=0)).mean() / np.abs(each).mean() for each in (low, high)]
    assert steps[0] < 0.2 * steps[1]


def test_scattered_hits_far_apart_and_all_over_one_another_are_heard_block_by_block_alike(studio, apart):
    place, ids = place_in(apart), ids_in(apart)
    spread = set_scatter(apart, place, ids, Scatter(3, 6.0, 0.5, 3.0, 5.0, 20.0))
    heaped = place_at(spread, place, dict.fromkeys(ids[1:], 1.0))

    for session in (spread, heaped):
        heard = studio.heard(session)
        assert np.isfinite(heard).all()
        assert np.abs(heard).max() > 0.01


def test_as_played_is_the_recording_whatever_became_of_its_hits(studio, apart):
    place, ids = place_in(apart), ids_in(apart)
    emptied = delete(apart, place, ids)
    far = move(apart, place, ids[-1:], 8.0)

    for each in (emptied, far):
        np.testing.assert_array_equal(
            studio.heard(each, Side.AS_PLAYED)[:TOTAL] > 0, studio.heard(apart, Side.AS_PLAYED) > 0
        )
    assert not studio.heard(emptied).any()
