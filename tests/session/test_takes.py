"""Takes that were recorded over the song: where they lie, and whose beats they keep."""

import numpy as np
import pytest

from chronotome.session.edits.recordings import add_take
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.follow import beats_of
from chronotome.session.model import Recording, Session, replace

RATE = 48000
TAKE = Recording("b" * 32, "take.wav", 44100, 88200, 2)


@pytest.fixture
def song():
    """With a recording of its own, at 48 kHz."""
    other = replace(TAKE, content="c" * 32, rate=RATE)
    return replace(set_beat_one(set_tempo(Session(), 96.0), 0.25), rate=RATE, recordings=(other,))


@pytest.mark.parametrize("seconds", [2, 9])
def test_a_take_lies_where_it_was_heard_and_its_beats_are_the_song_s(song, seconds):
    made = add_take(song, replace(TAKE, frames=44100 * seconds), "Take 1", 30000, 96.0)
    (track,) = made.tracks
    take = track.clips[0].take
    assert (take.start, take.source_start, take.source_end) == (30000, 0, 44100 * seconds)
    assert made.recordings[-1].fit.beat_one == round((132000 if seconds == 9 else 42000) * 0.91875 - 27562.5)

    beats = beats_of(made, take)
    heard = take.start + beats.seconds * made.rate
    lines = made.tempo.seconds_at(np.round(made.tempo.beats_at(heard / made.rate))) * made.rate
    assert np.abs(heard - lines).max() <= 1.5
    assert beats.tempo == pytest.approx(96.0)


@pytest.mark.parametrize("early", [4800, 95000])
def test_what_was_recorded_before_the_song_s_first_frame_is_left_out(song, early):
    made = add_take(
        replace(song, recordings=(TAKE,)), replace(TAKE, content="c" * 32), "Take 1", -early, 96.0
    )
    take = made.tracks[0].clips[0].take
    assert (take.start, take.source_start) == (0, round(early * 44100 / RATE))


def test_of_a_take_that_ended_before_the_song_began_nothing_is_left(song):
    made = add_take(
        replace(song, recordings=(TAKE,)), replace(TAKE, content="c" * 32), "Take 1", -96000, 96.0
    )
    assert made.tracks == ()


def test_a_take_of_another_tempo_is_said_to_have_that(song):
    made = add_take(song, TAKE, "Take 1", 0, 120.0)
    fit = made.recordings[-1].fit
    assert (fit.tempo, fit.beat_one) == (120.0, None)
