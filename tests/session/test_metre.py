"""Songs whose metre changes at bar lines: where bars are, and edits of them."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.render.click import click_plan, count_in
from chronotome.session.edits.grooves import groove_of
from chronotome.session.edits.metre import (
    move_metre_change,
    remove_metre_change,
    set_metre,
    set_metre_at,
    set_metre_from,
)
from chronotome.session.edits.timing import whole_bars
from chronotome.session.grid import Grid, TempoMap
from chronotome.session.groove import Groove, GrooveStep
from chronotome.session.lines import GridRule, lines_over
from chronotome.session.metre import Metre, MetreChange, MetreMap, metre_map, metre_of
from chronotome.session.model import replace
from strategies import RATE, metre_maps, simple_session

FOUR, THREE, SEVEN = Metre(4, 4), Metre(3, 4), Metre(7, 8)
SONG = metre_map(FOUR, (MetreChange(2, THREE), MetreChange(4, SEVEN)))
"""Bars at 0, 4, 8, 11, 14, 17.5, 21."""


def changes_of(session):
    return [(each.bar, each.metre.words) for each in session.metre_changes]


def test_bars_are_as_long_as_their_metre():
    assert SONG.bar_lines(-4.0, 21.0).tolist() == [-4, 0, 4, 8, 11, 14, 17.5, 21]
    assert [SONG.bar_start(beat) for beat in (7.9, 8.0, 13.9, 17.4)] == [4, 8, 11, 14]
    assert [SONG.bar_length(beat) for beat in (-1.0, 7.9, 8.0, 14.0)] == [4, 4, 3, 3.5]
    assert (SONG.next_bar(11.0), SONG.next_bar(11.1), SONG.bars_from(4.0, 3)) == (11, 14, 14)
    assert SONG.whole_bars(4.0, 14.2) == 10
    lines, places = SONG.beat_lines(10.0, 16.0)
    assert lines.tolist() == [10, 11, 12, 13, 14, 14.5, 15, 15.5, 16]
    assert places.tolist() == [2, 0, 1, 2, 0, 1, 2, 3, 4]
    assert [SONG.beat_line(beat) for beat in (13.6, 14.3, -0.6)] == [14, 14.5, -1]


@given(metre_maps, st.lists(st.floats(-200, 600), min_size=1, max_size=9))
def test_a_place_is_in_the_bar_whose_line_is_before_it(metre, beats):
    beats = np.array(beats)
    bars, inside = metre.inside(beats)
    lengths = np.array([metre.bar_length(float(each)) for each in metre.beats_of(bars)])
    np.testing.assert_allclose(metre.beats_of(metre.bars_at(beats)), beats, atol=1e-9)
    assert ((inside > -1e-6) & (inside < lengths)).all()
    first, last = float(beats.min()), float(beats.max())
    lines, places = metre.beat_lines(first, last)
    np.testing.assert_allclose(lines[places == 0], metre.bar_lines(first, last))
    assert (np.diff(lines) > 0).all()


@given(metre_maps, st.integers(0, 30), st.integers(-8, 30))
def test_seen_from_a_bar_the_bars_are_the_same(metre, bar, to):
    start = metre.beat_of(bar)
    if bar + to >= 0 and to >= 0:
        assert metre.seen_from(start).beat_of(to) == metre.beat_of(bar + to) - start


def test_a_song_of_one_metre_counts_as_it_always_did():
    random = np.random.default_rng(1)
    beats = random.uniform(-100, 4000, 500)
    for metre in (FOUR, SEVEN, Metre(5, 16)):
        whole = metre_map(metre)
        assert (
            whole.beats_of(np.floor(whole.bars_at(beats))) == np.floor(beats / metre.bar) * metre.bar
        ).all()
    assert metre_map(FOUR) is metre_map(Metre())


@pytest.mark.parametrize("words", ["", "4", "4/3", "0/4", "33/4", "4/4/4"])
def test_what_is_no_metre_is_refused(words):
    with pytest.raises(ValueError, match="no metre"):
        metre_of(words)


def test_changes_must_rise_in_bar():
    with pytest.raises(ValueError, match="must rise"):
        MetreMap(FOUR, (MetreChange(3, THREE), MetreChange(3, SEVEN)))


def test_a_metre_holds_from_its_bar_on_or_for_some_bars():
    session = simple_session([0], RATE)
    longer = set_metre_from(session, 4, THREE)
    assert changes_of(longer) == [(4, "3/4")]
    for_two = set_metre_from(session, 4, SEVEN, bars=2)
    assert changes_of(for_two) == [(4, "7/8"), (6, "4/4")]
    twice = set_metre_from(for_two, 1, THREE, bars=1)
    assert changes_of(twice) == [(1, "3/4"), (2, "4/4"), (4, "7/8"), (6, "4/4")]
    wide = set_metre_from(for_two, 0, Metre(8, 4), bars=2)  # as long as four bars: those behind count on
    assert wide.first_metre == Metre(8, 4)
    assert changes_of(wide) == [(2, "7/8"), (4, "4/4")]
    assert wide.metre.beat_of(2) == for_two.metre.beat_of(4)


def test_a_change_is_altered_moved_and_removed_and_one_to_the_same_is_none():
    session = replace(simple_session([0], RATE), metre_changes=SONG.changes)
    assert changes_of(set_metre_at(session, 12.0, Metre(5, 4))) == [(2, "5/4"), (4, "7/8")]
    assert set_metre_at(session, 1.0, THREE).metre == MetreMap(THREE, SONG.changes[1:])
    assert changes_of(move_metre_change(session, 0, 9)) == [(3, "3/4"), (4, "7/8")]
    assert changes_of(move_metre_change(session, 1, 0)) == [(2, "3/4"), (3, "7/8")]
    assert changes_of(remove_metre_change(session, 13.0)) == [(4, "7/8")]
    assert remove_metre_change(session, 7.0) is session
    assert changes_of(set_metre(session, FOUR)) == []


def test_clicks_are_on_the_beats_of_each_metre_and_accents_on_its_bars():
    session = replace(simple_session([0], 12 * RATE), metre_changes=SONG.changes)  # half a second a beat
    session = replace(session, tempo=replace(session.tempo, beat_one=0.0))
    plan = click_plan(session, 21 * RATE // 2)
    seconds = plan.accents / RATE
    assert seconds[:7].tolist() == [0, 2, 4, 5.5, 7, 8.75, 10.5]
    others = plan.others / RATE
    assert others[(others > 7) & (others < 8.75)].tolist() == [7.25, 7.5, 7.75, 8, 8.25, 8.5]
    counted = replace(session, click=replace(session.click, count_in=1))
    assert [len(count_in(counted, seconds * RATE)) / RATE for seconds in (0.0, 4.0, 7.0)] == [2, 1.5, 1.75]


def test_a_groove_begins_anew_with_the_metre_and_is_taken_from_bars_of_one_metre():
    steps = tuple(GrooveStep(at / 2, 30.0 if at == 0 else 0.0) for at in range(8))
    groove = Groove(1, "late", Grid(8), 1, FOUR, steps, 120.0)
    lines = lines_over(0.0, 20.0, GridRule(Grid(8), groove=groove), SONG, TempoMap())
    late = (lines.beats - lines.steps) * 500
    at = lines.steps.searchsorted([0.0, 4.0, 8.0, 14.0, 16.0])
    assert late[at] == pytest.approx([30, 30, 30, 30, 0], abs=1e-6)
    beats = np.concatenate([SONG.bar_lines(0.0, 20.0), np.arange(0.0, 20.0, 0.5)])
    frames = np.unique(np.rint((beats + 0.02 * np.isin(beats, SONG.bar_lines(0, 20))) * RATE / 2).astype(int))
    session = replace(simple_session(frames.tolist(), 12 * RATE), metre_changes=SONG.changes)
    session = replace(session, tempo=replace(session.tempo, beat_one=0.0))
    found = groove_of(session, session.tracks[0], session.tracks[0].takes[0], Grid(8))
    assert found.metre in {FOUR, THREE, SEVEN}
    assert max(each.beat for each in found.steps) < found.metre.bar


def test_whole_bars_are_those_of_the_song():
    session = replace(simple_session([0], 9 * RATE), metre_changes=SONG.changes)
    session = replace(session, tempo=replace(session.tempo, beat_one=0.0))
    assert whole_bars(session) == (0.0, 17.5)
