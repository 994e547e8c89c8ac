import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.grid import TempoChange, TempoMap, bar_lines
from chronotome.session.metre import Metre, beat_in, metre_map, position_words
from strategies import grids, metre_maps, metres, tempo_maps

beats = st.floats(-40, 200)

FOUR = metre_map(Metre())


@given(tempo_maps(), st.lists(beats, min_size=1, max_size=9))
def test_seconds_and_beats_are_inverse_and_rise(tempo, places):
    places = np.unique(np.array(places))

    seconds = tempo.seconds_at(places)

    np.testing.assert_allclose(tempo.beats_at(seconds), places, atol=1e-6)
    assert (np.diff(seconds) >= 0).all()
    assert tempo.seconds_of(0.0) == pytest.approx(tempo.beat_one, abs=1e-9)


@given(grids, metres)
def test_lines_of_a_bar_rise_from_its_start_to_its_end(grid, metre):
    lines = np.array(bar_lines(grid, metre))

    assert (lines[0], lines[-1]) == (0, metre.bar)
    assert (np.diff(lines) > 0).all()


@pytest.mark.parametrize(
    ("beat", "metre", "words"),
    [
        (0.0, FOUR, "1.1.1"),
        (7.75, FOUR, "2.4.4"),
        (-1.0, FOUR, "0.4.1"),
        (1.5, metre_map(Metre(6, 8)), "1.4.1"),
        (-5.0, FOUR, "−1.4.1"),
    ],
)
def test_positions_are_counted_from_one(beat, metre, words):
    assert position_words(beat, metre) == words


def test_changes_that_do_not_rise_are_refused():
    with pytest.raises(ValueError, match="must rise"):
        TempoMap((TempoChange(4.0, 100.0), TempoChange(4.0, 90.0)))


@given(metre_maps, st.integers(-100, 1600))
def test_a_position_that_is_typed_is_the_one_that_is_shown(metre, sixteenth):
    assert beat_in(position_words(sixteenth / 4, metre), metre) == sixteenth / 4


def test_what_is_no_position_is_none():
    assert beat_in("3", FOUR) == 8
    assert beat_in("3.2", metre_map(Metre(6, 8))) == 6.5
    assert beat_in("bar three", FOUR) is None
