"""The song's clock where the tempo changes: time is time, wherever it is asked for."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.anchors import anchors_of
from chronotome.session.edits.fitting import TempoSync, set_following
from chronotome.session.edits.hits import move_by_time
from chronotome.session.edits.slicing import Cuts, take_apart
from chronotome.session.edits.tempo import (
    ramp_tempo,
    remove_tempo_change,
    scale_tempo,
    set_tempo,
    set_tempo_from,
)
from chronotome.session.fit import Fit
from chronotome.session.grid import TempoChange, TempoMap
from chronotome.session.metre import Metre, metre_map
from chronotome.session.model import replace
from chronotome.session.timebase import Timebase
from strategies import RATE, simple_session

RISING = TempoMap((TempoChange(0.0, 90.0), TempoChange(1.0, 180.0)), 0.25)
CLOCK = Timebase(RISING, metre_map(Metre()), RATE)


def test_the_tempo_is_that_of_a_place():
    assert [round(CLOCK.tempo_at(beat), 9) for beat in (-5.0, 0.0, 0.99, 1.0, 40.0)] == [90, 90, 90, 180, 180]
    assert CLOCK.later(np.array([0.5, 1.5]), 0.05).tolist() == pytest.approx([0.575, 1.65])
    assert CLOCK.beats_in(0.1, 0.925) == pytest.approx(0.075 + 0.05 * 3)
    assert CLOCK.seconds_in(2.0, 0.0) == pytest.approx(2 / 3 + 1 / 3)


@given(beat=st.floats(-20, 400), seconds=st.floats(-2, 2))
def test_later_by_seconds_is_later_by_so_many_frames(beat, seconds):
    start, end = CLOCK.frames_at(np.array([beat, beat + CLOCK.beats_in(seconds, beat)]))
    assert end - start == pytest.approx(seconds * RATE, abs=1e-4)
    assert CLOCK.seconds_in(CLOCK.beats_in(seconds, beat), beat) == pytest.approx(seconds, abs=1e-9)


def test_hits_that_are_nudged_are_as_much_later_in_any_tempo():
    step = RATE // 4
    session = simple_session([900, step, 4 * step, 6 * step], 8 * step)
    session = replace(session, tempo=RISING)
    place = session.tracks[0].id, session.tracks[0].clips[0].id
    session = take_apart(session, place, Cuts())
    ids = session.tracks[0].clips[0].take.slices.ids[1:]
    moved = move_by_time(session, place, ids, 0.02)
    before, after = (each.tracks[0].clips[0].take.slices.place_array for each in (session, moved))
    assert np.abs(after - before - 0.02 * RATE)[1:].max() <= 1
    assert after[0] == before[0]
    held = move_by_time(session, place, ids, -20.0).tracks[0].clips[0].take.slices.place_array
    assert held.min() >= 0
    assert np.abs(np.diff(np.sort(held)) - np.diff(np.sort(before))).max() <= RATE  # together, to the start


def test_twice_as_fast_is_so_wherever_the_tempo_changes():
    session = replace(simple_session([900], RATE), tempo=RISING, is_tempo_set=True)
    doubled = scale_tempo(session, 2.0)
    assert [each.beats_per_minute for each in doubled.tempo.changes] == [180.0, 360.0]
    assert doubled.tempo.beat_one == RISING.beat_one
    assert scale_tempo(doubled, 4.0).tempo.changes[1].beats_per_minute == 400.0
    assert scale_tempo(session, 1.0) is session
    assert set_tempo(session, 120.0).tempo.is_constant


def test_a_tempo_is_set_from_a_beat_on_and_taken_away_again():
    session = set_tempo(simple_session([900], 20 * RATE), 120.0)
    slower = set_tempo_from(session, 8.0, 100.0)
    faster = set_tempo_from(slower, 16.0, 150.0)
    assert [(each.beat, each.beats_per_minute) for each in faster.tempo.changes] == [
        (0, 120),
        (8, 100),
        (16, 150),
    ]
    assert faster.frame_of(8.0) == session.frame_of(8.0)
    assert faster.timebase.seconds_in(8.0, 8.0) == pytest.approx(4.8)
    again = set_tempo_from(faster, 8.0, 90.0)
    assert [each.beats_per_minute for each in again.tempo.changes] == [120, 90, 150]
    assert remove_tempo_change(faster, 15.9).tempo == set_tempo_from(session, 16.0, 150.0).tempo
    assert remove_tempo_change(faster, 7.9) is faster
    pickup = set_tempo_from(session, -4.0, 60.0)
    assert [pickup.timebase.tempo_at(beat) for beat in (-9.0, -4.0, -0.1, 0.0)] == [120.0, 60.0, 60.0, 120.0]
    assert remove_tempo_change(remove_tempo_change(faster, 99.0), 99.0).tempo == session.tempo


def test_a_ramp_goes_evenly_from_one_tempo_to_another_and_holds():
    session = set_tempo_from(set_tempo(simple_session([900], 20 * RATE), 120.0), 6.0, 60.0)
    ramped = ramp_tempo(session, 12.0, 4.0, 80.0)
    tempi = [ramped.timebase.tempo_at(beat) for beat in (3.9, 4.0, 7.0, 11.0, 12.0, 99.0)]
    assert tempi == pytest.approx([120.0, 117.5, 102.5, 82.5, 80.0, 80.0])
    beats = np.linspace(4.0, 12.0, 100_001)
    exact = np.trapezoid(60 / (120 - 5 * (beats - 4)), beats)
    assert ramped.timebase.seconds_in(8.0, 4.0) == pytest.approx(exact, rel=1e-3)
    assert ramp_tempo(ramped, 4.0, 12.0, 80.0).tempo.changes[-1] == ramped.tempo.changes[-1]


def test_a_followed_take_lands_on_the_beats_of_a_song_that_slows_down():
    """From 120 to 96 over four bars: every hit is heard on its beat, whichever row it lies in."""
    step = RATE // 2
    session = simple_session([step * at + 600 for at in range(16)], 16 * step + 600)
    track = session.tracks[0].id
    recording = replace(session.recordings[0], fit=Fit(tempo=120.0, beat_one=600))
    session = replace(session, recordings=(recording,))
    session = set_following(set_tempo(session, 120.0), track, TempoSync.RECORDING)
    for beat, tempo in ((4.0, 112.0), (8.0, 104.0), (12.0, 96.0)):
        session = set_tempo_from(session, beat, tempo)
    take = session.tracks[0].clips[0].take
    heard = anchors_of(session, session.tracks[0], take).heard_at(
        np.array(recording.onsets.frames, np.float64)
    )
    beats = session.timebase.beats_at(heard)
    assert np.abs(beats - np.round(beats)).max() < 1e-3
    assert np.diff(np.round(beats)).tolist() == [1] * 15
