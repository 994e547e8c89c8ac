"""Patterns as they are heard: as the recording to the bit, then set, repeated, drawn by chance, tightened."""

import numpy as np
import pytest

from chronotome.render.mix import Side
from chronotome.render.plan import clip_plans
from chronotome.session.edits.clips import copy, reverse
from chronotome.session.edits.fixes import hush
from chronotome.session.edits.kits import add_to_kit, make_kit, set_kit, set_slice
from chronotome.session.edits.patterns import (
    add_layer,
    change_pattern,
    draw_again,
    free_layer,
    keep_round,
    move_steps,
    new_pattern,
    pattern_of_clip,
    play_pattern,
    remove_steps,
    set_beats,
    set_played,
    set_step,
    shape_steps,
    vary,
)
from chronotome.session.edits.rhythm import set_crossover
from chronotome.session.edits.shaping import set_value
from chronotome.session.edits.slicing import Cuts, take_apart
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import remove_track
from chronotome.session.grid import Grid
from chronotome.session.model import Crossover, MuteSpan, replace
from chronotome.session.normalise_patterns import settled
from strategies import RATE, simple_session
from studio import Studio

STEP = RATE // 8  # a sixteenth at 120
FRAMES = [900, STEP + 700, 2 * STEP - 500, 3 * STEP + 200, 4 * STEP, 5 * STEP + 300, 6 * STEP - 800, 7 * STEP]
TOTAL = 8 * STEP
LEAD = round(0.002 * RATE)
BEAT = 4 * STEP


@pytest.fixture
def studio():
    return Studio()


def place_of(session, number=0):
    track = session.tracks[number]
    return track.id, track.clips[0].id


def made(session):
    return settled(pattern_of_clip(session, place_of(session)))


@pytest.fixture
def whole():
    return simple_session(FRAMES, TOTAL)


@pytest.fixture
def empty(whole):
    """A kit of the recording's hits, and a bar without a step that plays twice from beat one on."""
    session = make_kit(whole, place_of(whole))
    session = new_pattern(session, session.kits[0].id, 4.0)
    session = play_pattern(session, None, session.patterns[0].id, 0.0, 8.0)
    return settled(remove_track(session, session.tracks[0].id))


def step(session, key, place, **shape):
    piece = session.kits[0].on_key(key)
    return settled(set_step(session, session.patterns[0].id, piece.id, place, **shape))


def body(studio, session, key):
    """The sound of a slice as it was recorded."""
    piece = session.kits[0].on_key(key)
    studio.heard(session)
    return studio.sources[piece.recording].region.samples[piece.start : piece.end]


def starts_at(studio, heard, session, key, frame, gain=1.0, length=None):
    """Whether a slice sounds at a frame, but for its end, which fades."""
    sound = body(studio, session, key)
    length = (length or len(sound)) - round(0.003 * RATE) - 1
    return np.allclose(heard[frame : frame + length], gain * sound[:length], atol=1e-6)


@pytest.mark.parametrize("side", [Side.EDITED, Side.AS_PLAYED])
def test_a_pattern_made_of_a_recording_is_the_recording(studio, whole, side):
    before = studio.heard(whole)
    after = studio.heard(made(whole), side)[: len(before)]
    assert np.array_equal(before, after)


def test_hits_that_were_shaped_become_slices_that_are(studio, whole):
    apart = take_apart(whole, place_of(whole), Cuts())
    ids = apart.tracks[0].clips[0].take.slices.ids
    apart = set_value(apart, place_of(apart), "loudness", {ids[2]: -9.0})
    before, after = studio.heard(apart), studio.heard(made(apart))
    soft = slice(FRAMES[1] + STEP // 4, FRAMES[2] - LEAD)  # where nothing comes in or goes out
    assert not np.array_equal(before, studio.heard(whole))
    assert np.allclose(before[soft], after[: len(before)][soft], atol=1e-6)


def test_a_step_sounds_where_it_is_set_in_every_round(studio, empty):
    session = step(empty, 2, 1.0)
    heard = studio.heard(session)
    for bar in (0, 1):
        assert starts_at(studio, heard, session, 2, (4 * bar + 1) * BEAT)
    assert not heard[: BEAT - LEAD].any()
    assert not heard[2 * BEAT : 5 * BEAT - LEAD].any()


def test_repeats_follow_one_another_and_lead_to_another_loudness(studio, empty):
    session = step(empty, 2, 0.0, lengths=1.0, repeats=4, slopes=-12.0)
    heard = studio.heard(session)
    for number in range(4):
        gain = 10 ** (-4.0 * number / 20)
        length = min(STEP, len(body(studio, session, 2)))
        assert starts_at(studio, heard, session, 2, number * STEP, gain, length)


def test_a_step_that_is_longer_than_its_slice_sounds_on_as_recorded(studio, empty):
    session = step(empty, 2, 0.0, lengths=0.5)
    piece = session.kits[0].on_key(2)
    heard, source = studio.heard(session), studio.sources[piece.recording].region.samples
    length = 2 * STEP - round(0.003 * RATE) - 1
    assert np.array_equal(heard[:length, 0], source[piece.start : piece.start + length, 0])


@pytest.mark.parametrize("how", [{"semitones": 3.0}, {"fits": 1.25}, {"by_tape": -5.0}])
def test_a_long_step_rings_on_at_another_pitch_and_tempo_too(studio, empty, how):
    session = step(empty, 2, 0.0, lengths=1.0, semitones=how.get("semitones", how.get("by_tape", 0.0)))
    kit = session.kits[0]
    if "fits" in how:
        session = set_kit(session, kit.id, fits_song=True)
        session = set_slice(session, kit.id, {each.id for each in kit.slices}, tempo=120.0 * how["fits"])
    session = set_kit(session, kit.id, by_tape="by_tape" in how)
    heard = studio.heard(session)[:, 0]
    own = kit.on_key(2).end - kit.on_key(2).start
    late = heard[int(1.6 * own) : BEAT - 500]
    assert np.sqrt(np.mean(late**2)) > 0.01 * np.sqrt(np.mean(heard[:own] ** 2))
    assert not heard[BEAT + 10 : 4 * BEAT - LEAD].any()


def test_chance_is_the_same_in_a_bar_however_it_is_heard(studio, empty):
    session = empty
    for sixteenth in range(16):
        session = step(session, sixteenth % 8, sixteenth / 4, chances=0.5)
    session = settled(set_played(session, place_of(session), 64.0))
    heard = studio.heard(session)
    clip = session.tracks[0].clips[0]
    late = replace(clip, head=32 * BEAT)
    alone = replace(session, tracks=(replace(session.tracks[0], clips=(late,)),))
    assert np.array_equal(studio.heard(alone)[33 * BEAT :], heard[33 * BEAT :])
    rounds = heard.reshape(16, -1)
    assert len({each.tobytes() for each in rounds}) > 12
    again = studio.heard(settled(draw_again(session, session.patterns[0].id)))
    assert not np.array_equal(again, heard)
    kept = studio.heard(settled(keep_round(session, place_of(session), 3)))
    body_of = slice(4 * BEAT, 15 * BEAT // 4 + 4 * BEAT)
    assert np.array_equal(kept[body_of][STEP:], heard[12 * BEAT :][: 15 * BEAT // 4][STEP:])


def test_one_of_four_rounds(studio, empty):
    session = step(empty, 2, 0.0, everys=4, turns=2)
    session = settled(set_played(session, place_of(session), 32.0))
    heard = studio.heard(session)
    sounding = [bool(heard[4 * bar * BEAT + 100 : (4 * bar + 1) * BEAT].any()) for bar in range(8)]
    assert sounding == [False, False, True, False] * 2


def test_patterns_of_another_length_run_against_the_bars(studio, empty):
    session = settled(set_beats(step(empty, 2, 0.0), empty.patterns[0].id, 3.0))
    heard = studio.heard(session)
    for beat in (0, 3, 6):
        assert starts_at(studio, heard, session, 2, beat * BEAT)
    assert not heard[4 * BEAT - 1 : 6 * BEAT - LEAD].any()


def test_choked_sounds_end_where_others_of_their_group_begin(studio, empty):
    session = step(step(empty, 2, 0.0), 3, 0.125)
    both = {session.kits[0].on_key(key).id for key in (2, 3)}
    apart = studio.heard(session)
    session = settled(set_slice(session, session.kits[0].id, both, choke=1))
    heard = studio.heard(session)
    assert not np.array_equal(apart, heard)
    assert np.allclose(heard[STEP // 2 : STEP], body(studio, session, 3)[: STEP // 2], atol=1e-6)


def test_a_reversed_slice_ends_with_its_attack(studio, empty):
    session = step(empty, 2, 1.0)
    piece = session.kits[0].on_key(2)
    session = settled(set_slice(session, session.kits[0].id, {piece.id}, is_reversed=True))
    heard, sound = studio.heard(session), body(studio, session, 2)
    middle = slice(len(sound) // 2, len(sound))
    assert np.allclose(heard[BEAT : BEAT + len(sound)][middle], sound[::-1][middle], atol=1e-6)


def test_another_pitch_by_tape_is_shorter_and_begins_where_it_did(studio, empty):
    session = step(empty, 2, 1.0)
    high = settled(set_kit(session, session.kits[0].id, semitones=12.0))
    low_end, high_end = (np.flatnonzero(studio.heard(each).any(axis=1))[:5] for each in (session, high))
    assert abs(int(low_end[0]) - int(high_end[0])) <= 1
    heard, sound = studio.heard(high), body(studio, session, 2)
    assert not heard[BEAT + len(sound) // 2 + 2 : BEAT + len(sound)].any()
    assert heard[BEAT : BEAT + len(sound) // 2].any()


def test_steps_follow_the_songs_tempo(studio, empty):
    session = settled(set_tempo(step(empty, 2, 1.0), 100.0))
    heard = studio.heard(session)
    beat = round(RATE * 60 / 100)
    assert starts_at(studio, heard, session, 2, beat)
    assert session.tracks[0].clips[0].take.source_end == 8 * beat


def test_steps_are_tightened_as_hits_are_and_keep_their_lengths(studio, empty):
    late = 0.02
    session = step(step(empty, 2, 0.5 + late), 3, 0.75 + late)
    track = session.tracks[0].id
    tight = set_tighten(session, track, grid=Grid(16), strength=1.0, swing=62.0)
    heard = studio.heard(tight)
    swung = round((0.75 + 0.12 * 0.5) * BEAT)
    assert starts_at(studio, heard, tight, 2, BEAT // 2)
    assert starts_at(studio, heard, tight, 3, swung)
    played = studio.heard(tight, Side.AS_PLAYED)
    assert starts_at(studio, played, tight, 2, round((0.5 + late) * BEAT), length=STEP // 2)
    assert np.array_equal(played, studio.heard(session))


def test_slices_played_together_land_together_each_on_its_own(studio, empty):
    """A low hit and a high one, 30 ms apart: neither is carried by the other, as one drum's would be."""
    session = step(step(step(empty, 2, 1.0), 3, 1.06), 2, 1.55)
    track = session.tracks[0].id
    tight = set_tighten(session, track, grid=Grid(8), strength=1.0)
    plan = clip_plans(tight, tight.tracks[0])[0].patterned
    assert plan.starts[:3].tolist() == [BEAT, BEAT, round(1.5 * BEAT)]


def test_the_same_pattern_twice_is_changed_once(studio, empty):
    session = settled(set_played(empty, place_of(empty), 4.0))
    session = settled(copy(session, [place_of(session)], 8 * BEAT))
    session = step(session, 2, 1.0)
    heard = studio.heard(session)
    assert starts_at(studio, heard, session, 2, BEAT)
    assert starts_at(studio, heard, session, 2, 9 * BEAT)


def test_steps_move_and_go_and_come_round(empty):
    session = step(step(empty, 2, 3.75), 3, 1.0)
    pattern = session.patterns[0].id
    first, second = session.patterns[0].ids[1], session.patterns[0].ids[0]
    session = move_steps(session, pattern, [first], 0.5, {first: session.kits[0].on_key(5).id})
    moved = session.patterns[0]
    assert moved.places == (0.25, 1.0)
    assert moved.slices[0] == session.kits[0].on_key(5).id
    assert remove_steps(session, pattern, [first, second]).patterns[0].ids == ()
    assert shape_steps(session, pattern, [first], "chances", 1.7).patterns[0] is moved


def test_a_layer_follows_until_it_is_set_free(studio, empty):
    session = settled(add_layer(step(empty, 2, 0.0), empty.tracks[0].id, 12.0))
    layer = session.tracks[1]
    assert layer.clips[0].take.playing.semitones == 12.0
    alone = replace(session, tracks=(layer,))
    assert not studio.heard(alone)[BEAT : 2 * BEAT].any()
    session = step(session, 3, 1.0)
    assert studio.heard(replace(session, tracks=session.tracks[1:]))[BEAT : 2 * BEAT].any()
    free = settled(free_layer(session, layer.id))
    later = step(free, 4, 2.0)
    assert np.array_equal(*(studio.heard(replace(each, tracks=each.tracks[1:])) for each in (free, later)))


def test_a_variation_is_a_new_pattern(empty):
    session = empty
    for sixteenth in range(16):
        session = step(session, sixteenth % 8, sixteenth / 4)
    old = session.patterns[0]
    varied = vary(session, place_of(session), 6, 5)
    new = varied.patterns[1]
    assert varied.patterns[0] is old
    assert varied.tracks[0].clips[0].take.playing.pattern == new.id
    assert new.places != old.places
    assert vary(session, place_of(session), 6, 5).patterns[1] == new


def test_a_kit_of_two_recordings(studio, whole):
    other = simple_session([500, 9000, 20000], TOTAL)
    recording = replace(other.recordings[0], content="d" * 32)
    clip = other.tracks[0].clips[0]
    clip = replace(clip, take=replace(clip.take, recording="d" * 32))
    other = replace(other, recordings=(recording,), tracks=(replace(other.tracks[0], clips=(clip,)),))
    session = replace(whole, recordings=(*whole.recordings, *other.recordings))
    clip = replace(other.tracks[0].clips[0], id=session.next_id)
    track = replace(other.tracks[0], id=session.next_id + 1, clips=(clip,))
    session = replace(session, tracks=(*session.tracks, track), next_id=session.next_id + 2)
    session = make_kit(session, place_of(session))
    count = len(session.kits[0].slices)
    session = add_to_kit(session, session.kits[0].id, (track.id, clip.id))
    assert len(session.kits[0].slices) == count + 4
    session = new_pattern(session, session.kits[0].id, 4.0)
    session = settled(play_pattern(session, None, session.patterns[0].id, 0.0))
    session = step(step(session, 1, 0.0), count + 1, 2.0)
    alone = replace(session, tracks=session.tracks[-1:])
    heard = studio.heard(alone)
    assert starts_at(studio, heard, session, 1, 0)
    assert starts_at(studio, heard, session, count + 1, 2 * BEAT)


def test_slices_that_a_kit_does_not_have_are_silent(studio, empty):
    pattern = empty.patterns[0].id
    session = change_pattern(empty, pattern, lambda old: old.with_steps({"slices": [999], "places": [1.0]}))
    assert not studio.heard(settled(session)).any()


def test_a_clip_that_plays_a_pattern_is_not_reversed_taken_apart_hushed_or_shared(empty):
    session = step(empty, 0, 0.0)
    place = place_of(session)
    take = session.track(place[0]).clip(place[1]).take
    for changed in (
        reverse(session, [place]),
        take_apart(session, place, Cuts()),
        hush(session, place[0], take, [MuteSpan(100, 2000)]),
        set_crossover(session, place, Crossover(300.0)),
    ):
        assert changed.track(place[0]) == session.track(place[0])
