"""Rounds, chance and what follows from edits elsewhere: whatever a pattern is, and however long it plays."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.edits.kits import make_kit
from chronotome.session.edits.patterns import (
    add_layer,
    change_pattern,
    new_pattern,
    play_pattern,
    set_beats,
    shape_steps,
)
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import remove_track
from chronotome.session.grid import TempoChange, TempoMap
from chronotome.session.model import Session, replace
from chronotome.session.normalise_patterns import settled
from chronotome.session.patterns import Pattern, chance
from chronotome.session.rounds import hit_ids, laid_of
from chronotome.session.validity import check
from strategies import simple_session

RATE = 48000
lengths = st.sampled_from([0.5, 1.0, 3.0, 4.0, 5.5, 7.0])
places = st.lists(st.integers(0, 200), min_size=1, max_size=12)
chances = st.lists(st.sampled_from([0.0, 0.25, 0.5, 0.9, 1.0]), min_size=12, max_size=12)


def pattern_of(beats, at, odds=None, everys=None):
    count = len(at)
    columns = {
        "slices": [1] * count,
        "places": [each / 201 * beats for each in at],
        "chances": (odds or [1.0] * 12)[:count],
        "everys": (everys or [1] * 12)[:count],
    }
    return Pattern(7, "", 1, beats, seed=11).with_steps(columns)


def laid(pattern, beat=0.0, beats=16.0, tempo=120.0):
    return laid_of(pattern, beat, beats, set_tempo(Session(), tempo).tempo, RATE)


def hits(found, pattern):
    """(song's beat, step) of each hit."""
    return [(round(beat, 6), pattern.ids[at]) for beat, at in zip(found.beats, found.step, strict=True)]


@given(lengths, places, chances, st.floats(0.0, 40.0), st.floats(0.25, 33.0), st.floats(40.0, 240.0))
def test_hits_are_in_order_within_their_take_and_no_two_have_one_number(at, of, odds, beat, beats, tempo):
    pattern = pattern_of(at, of, odds)
    found = laid(pattern, beat, beats, tempo)

    assert (np.diff(found.frames) >= 0).all()
    assert (found.frames >= 0).all()
    assert (found.frames <= found.length).all()
    assert len(set(hit_ids(found, pattern).tolist())) == len(found)
    per_beat = 60 / tempo * RATE
    np.testing.assert_allclose(found.frames, (found.beats - beat) * per_beat, atol=1.01)


@given(lengths, places, chances, st.integers(1, 5))
def test_a_bar_draws_the_same_chances_whatever_clip_it_is_heard_in(beats, at, odds, later):
    pattern = pattern_of(beats, at, odds)
    whole = laid(pattern, 0.0, 12 * beats)
    part = laid(pattern, later * beats, 4 * beats)
    start, end = later * beats, (later + 4) * beats
    assert hits(part, pattern) == [
        each for each in hits(whole, pattern) if start - 1e-6 <= each[0] < end - 1e-6
    ]


@given(lengths, places, chances)
def test_more_chance_only_adds_hits(beats, at, odds):
    less, more = pattern_of(beats, at, [each / 2 for each in odds]), pattern_of(beats, at, odds)
    fewer, all_of_them = set(hits(laid(less), less)), set(hits(laid(more), more))
    assert fewer <= all_of_them
    certain = pattern_of(beats, at)
    assert all_of_them <= set(hits(laid(certain), certain))


def test_chance_is_as_often_as_it_says_and_drawn_for_each_step_and_round_by_itself():
    drawn = chance(5, np.repeat(np.arange(1, 51), 400), np.tile(np.arange(400), 50)).reshape(50, 400)
    for odds in (0.1, 0.5, 0.8):
        assert (drawn < odds).mean() == pytest.approx(odds, abs=0.01)
    between = np.corrcoef(drawn)
    assert np.abs(between[~np.eye(50, dtype=bool)]).max() < 0.25
    assert not np.array_equal(drawn, chance(6, np.repeat(np.arange(1, 51), 400), np.tile(np.arange(400), 50)))


@given(lengths, places, st.sampled_from([2, 3, 4, 8]))
def test_one_of_so_many_rounds_sounds_so_often(beats, at, every):
    pattern = pattern_of(beats, at, everys=[every] * 12)
    found = laid(pattern, 0.0, 24 * beats)
    assert len(found) == len(at) * 24 // every
    assert set(found.round.tolist()) == set(range(0, 24, every))


@pytest.fixture
def song():
    """A pattern of three beats that plays over eight, from bar 2 on, and its layer."""
    session = simple_session([900, 6700, 11500, 18200], 40000)
    track = session.tracks[0]
    session = make_kit(session, (track.id, track.clips[0].id))
    session = new_pattern(session, session.kits[0].id, 3.0)
    pieces = [each.id for each in session.kits[0].slices]
    columns = {"slices": pieces[:3], "places": [0.0, 1.0, 2.5]}
    number = session.patterns[0].id
    session = change_pattern(session, number, lambda old: old.with_steps(columns))
    session = settled(play_pattern(session, None, number, 4.0, 8.0))
    return settled(add_layer(session, session.tracks[-1].id, 12.0))


@given(st.lists(st.floats(40.0, 240.0), min_size=1, max_size=4), st.floats(0.0, 2.0))
def test_patterns_stay_at_their_beats_whatever_becomes_of_the_tempo(tempi, beat_one):
    session = simple_session([900, 6700], 20000)
    track = session.tracks[0]
    session = make_kit(session, (track.id, track.clips[0].id))
    session = new_pattern(session, session.kits[0].id, 4.0)
    session = settled(play_pattern(session, None, session.patterns[0].id, 4.0, 8.0))
    for tempo in tempi:
        session = settled(set_beat_one(set_tempo(session, tempo), beat_one))
        take = session.tracks[-1].clips[0].take
        assert take.start == round(session.frame_of(4.0))
        assert take.source_end == round(session.frame_of(12.0)) - take.start
        assert settled(session) is session
        check(session)


def test_a_layer_is_what_it_follows_after_every_edit_and_by_itself_once_that_is_gone(song):
    followed, layer = song.tracks[-2:]
    if followed.layer is not None:
        followed, layer = layer, followed
    longer = settled(set_beats(song, song.patterns[0].id, 4.0))
    shaped = settled(shape_steps(longer, song.patterns[0].id, song.patterns[0].ids[:1], "loudness", -6.0))
    for session in (song, longer, shaped):
        own, other = session.track(layer.id), session.track(followed.id)
        assert [clip.take.start for clip in own.clips] == [clip.take.start for clip in other.clips]
        assert own.clips[0].take.playing.pattern == other.clips[0].take.playing.pattern
        assert own.clips[0].take.playing.semitones == 12.0
        check(session)

    alone = settled(remove_track(shaped, followed.id))
    assert alone.track(layer.id).layer is None
    assert alone.track(layer.id).clips[0].take.playing == shaped.track(layer.id).clips[0].take.playing
    check(replace(alone, next_id=max(alone.next_id, 1 + max(clip.id for _, clip in alone.clips))))


def test_a_round_over_a_change_of_tempo_is_as_long_as_its_beats():
    tempo = TempoMap((TempoChange(0.0, 120.0), TempoChange(2.0, 60.0)))
    found = laid_of(pattern_of(4.0, [0, 50.25, 100.5, 150.75]), 0.0, 4.0, tempo, RATE)
    assert found.frames.tolist() == [0, RATE // 2, RATE, 2 * RATE]
    assert found.length == 3 * RATE
