import numpy as np
import pytest
from hypothesis import example, given
from hypothesis import strategies as st

from chronotome.session.edits.fitting import (
    BeatCorrection,
    TempoSync,
    bar_is_here,
    following_of,
    mend,
    pin_beat,
    scale_beats,
    set_bars,
    set_fit,
    set_following,
    set_reads,
    set_recording_beat_one,
    set_recording_tempo,
    set_smooth,
    set_steady,
    set_tapped,
    straighten,
    unpin_beat,
)
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.fit import BeatMapInput, BeatSource, Fit, Measured, Pin, beat_map
from chronotome.session.fit_checks import fit_checks_of
from chronotome.session.follow import beats_of, fitted_of
from chronotome.session.metre import Metre, metre_map
from chronotome.session.model import Session, replace
from chronotome.session.tighten import targets_of
from strategies import RATE, simple_session

DRIFT = np.cumsum(np.concatenate([[0.5], np.linspace(0.66, 0.60, 31)]))
"""Seconds of 32 beats that go from 91 to 100 bpm."""
STEADY = 0.5 + np.arange(32) * 0.6


def session_with(moments: np.ndarray, *, is_constant: bool = False) -> Session:
    """A hit on every beat; its beats are measured exactly."""
    frames = [round(moment * RATE) for moment in moments]
    session = simple_session(frames, frames[-1] + RATE)
    tempo = 60 / float(np.median(np.diff(moments)))
    beats = tuple(moments.tolist())
    measured = Measured(tempo, beats[0], 0.9, is_constant, beats=beats, bar_confidence=0.9)
    content, onsets = session.recordings[0].content, session.recordings[0].onsets
    return set_analysis(session, content, onsets, measured)


def track_of(session: Session) -> int:
    return session.tracks[0].id


def beats_in(session: Session):
    return beats_of(session, session.tracks[0].clips[0].take)


def test_beats_are_counted_from_beat_one_and_half_time_counts_half():
    session = session_with(DRIFT)

    shifted = set_recording_beat_one(session, track_of(session), round(DRIFT[4] * RATE))
    half = scale_beats(shifted, track_of(session), 0.5)

    assert beats_in(session).beats[:3].tolist() == [0, 1, 2]
    assert beats_in(shifted).beats[:6].tolist() == [-4, -3, -2, -1, 0, 1]
    assert beats_in(half).seconds_at(np.array([1.0]))[0] == pytest.approx(DRIFT[6])


def test_beat_one_between_two_beats_moves_them_all_along():
    session = session_with(STEADY, is_constant=True)

    off = set_recording_beat_one(session, track_of(session), round((STEADY[4] + 0.3) * RATE))

    assert beats_in(off).seconds_at(np.array([-1.0, 0.0, 3.0])) == pytest.approx([2.6, 3.2, 5.0])


def test_so_many_bars_are_one_tempo_from_the_clips_start():
    session = session_with(STEADY, is_constant=True)
    seconds = session.recordings[0].frames / RATE

    said = set_bars(session, track_of(session), 8)

    assert beats_in(said).tempo == pytest.approx(60 * 32 / seconds)
    assert beats_in(said).beat_one == 0
    assert set_bars(session, track_of(session), 4000) is session  # no tempo there is


@pytest.mark.parametrize("by", [-0.03, 0.04])
def test_a_beat_that_is_dragged_takes_the_steady_ones_between_pins_along(by):
    session = session_with(STEADY, is_constant=True)

    moved = pin_beat(session, track_of(session), 8.0, round((STEADY[8] + by) * RATE))
    beats = beats_in(moved)

    assert beats.seconds_at(np.array([0.0, 4.0, 8.0, 20.0])) == pytest.approx(
        STEADY[[0, 4, 8, 20]] + np.array([0, by / 2, by, by]), abs=1e-4
    )
    assert beats.by_hand.sum() == 2  # beat one was tied as well, so that it stays
    assert beats_in(unpin_beat(moved, track_of(session), 8.0)).seconds[8] == pytest.approx(STEADY[8])


def test_one_beat_corrected_in_a_drifting_take_leaves_later_bars_alone():
    session = session_with(DRIFT)

    moved = beats_in(pin_beat(session, track_of(session), 8.0, round((DRIFT[8] + 0.05) * RATE)))

    assert moved.seconds_at(np.array([8.0]))[0] == pytest.approx(DRIFT[8] + 0.05, abs=1e-4)
    assert moved.seconds_at(np.arange(12.0, 30.0)) == pytest.approx(DRIFT[12:30])


def test_a_bar_on_the_wrong_line_takes_all_later_bars_along():
    """The tracker lost two beats in bar 3: what it called bar 4 is two beats late in number."""
    session = session_with(np.delete(DRIFT, [9, 10]))
    wrong = beats_in(session)

    mended = beats_in(bar_is_here(session, track_of(session), 4, round(DRIFT[12] * RATE)))

    assert wrong.seconds_at(np.array([12.0]))[0] == pytest.approx(DRIFT[14])
    assert mended.seconds_at(np.arange(12.0, 31.0)) == pytest.approx(DRIFT[12:31], abs=1e-4)
    assert mended.seconds_at(np.arange(9.0)) == pytest.approx(DRIFT[:9], abs=1e-4)


@example(ties=[(0, 0.0), (20, 0.00390625)], scale=0.5, is_constant=False)
@given(
    st.lists(st.tuples(st.integers(-8, 40), st.floats(0.0, 20.0)), max_size=5),
    st.sampled_from([0.5, 1.0, 2.0]),
    st.booleans(),
)
def test_whatever_is_tied_the_map_rises_and_goes_through_it(ties, scale, is_constant):
    session = session_with(STEADY if is_constant else DRIFT, is_constant=is_constant)
    session = scale_beats(session, track_of(session), scale)
    for beat, seconds in ties:
        session = pin_beat(session, track_of(session), float(beat), round(seconds * RATE))

    beats, recording = beats_in(session), session.recordings[0]

    assert (np.diff(beats.seconds) > 0).all()
    assert (np.diff(beats.beats) > 0).all()
    for pin in recording.fit.pins:
        assert beats.seconds_at(np.array([pin.beat]))[0] == pytest.approx(pin.frame / RATE, abs=0.002)


def test_a_bar_that_jumps_is_found_and_mended_by_one_key():
    short = np.concatenate([STEADY[:16], STEADY[16:] - 0.3])
    session = session_with(short, is_constant=False)
    dropped = session_with(np.delete(STEADY, 17))

    found = fit_checks_of(session, session.tracks[0])
    lost = fit_checks_of(dropped, dropped.tracks[0])
    mended = mend(dropped, track_of(dropped), lost[0].beat + 4, BeatCorrection.EARLIER)

    assert [round(check.beat) for check in found] == [12]
    assert found[0].figure == "+14 %"
    assert len(lost) == 1
    assert not fit_checks_of(mended, mended.tracks[0])
    assert not fit_checks_of(session_with(DRIFT), session.tracks[0])


def test_hits_of_a_guide_can_be_its_beats_or_its_bars():
    session = session_with(DRIFT)

    beats = set_reads(session, track_of(session), BeatSource.ONSETS)
    bars = set_reads(session, track_of(session), BeatSource.BARS)

    assert beats_in(beats).seconds_at(np.arange(32.0)) == pytest.approx(DRIFT, abs=1e-4)
    assert beats_in(bars).beats[:3].tolist() == [0, 4, 8]


def test_taps_while_it_plays_set_tempo_and_beat_one():
    session = session_with(DRIFT)
    taps = [round((1.0 + 0.5 * place) * RATE) for place in (0, 1, 2, 4, 5)]  # one was missed

    tapped = beats_in(set_tapped(session, track_of(session), taps))

    assert tapped.tempo == pytest.approx(120, abs=0.01)
    assert tapped.beat_one == pytest.approx(1.0, abs=1e-3)


# Who follows whom


def test_a_drifting_take_is_straightened_onto_the_lines_at_any_tempo():
    session = session_with(DRIFT)
    for tempo in (80.0, 95.0, 130.0):
        straight = straighten(session, track_of(session), tempo)
        targets = targets_of(straight, straight.tracks[0], straight.tracks[0].clips[0].take)

        assert np.abs(targets.drift).max() < 0.05
        assert np.diff(targets.target) == pytest.approx(60 / tempo * RATE, abs=1.5)


def test_steadiness_goes_from_as_played_to_fully_steady():
    session = session_with(DRIFT)
    track = track_of(session)
    session = straighten(session, track, beats_in(session).tempo)
    tempo = session.tempo.at(0.0)
    drifts = []
    for share in (0.0, 0.5, 1.0):
        part = set_steady(session, track, share)
        fitted = fitted_of(part, part.tracks[0], part.tracks[0].clips[0].take)
        steps = np.diff(fitted.fitted) / RATE
        drifts.append(float(np.abs(steps - 60 / tempo).max()))
    played = np.diff(DRIFT)

    assert tempo == pytest.approx(beats_in(session).tempo, abs=0.01)
    assert drifts[0] == pytest.approx(np.abs(played - 60 / tempo).max(), abs=1e-3)
    assert drifts[1] == pytest.approx(drifts[0] / 2, abs=1e-3)
    assert drifts[2] < 1e-3


def test_the_grid_bends_to_the_performance_and_nothing_is_stretched():
    session = session_with(DRIFT)
    track = track_of(session)
    session = set_following(session, track, TempoSync.GRID)
    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    moved = pin_beat(session, track, 8.0, round((DRIFT[8] + 0.05) * RATE))

    assert session.tempo.seconds_at(np.arange(32.0)) == pytest.approx(DRIFT, abs=1e-3)
    assert (targets.target == targets.played).all()
    assert moved.tempo.seconds_of(8.0) == pytest.approx(DRIFT[8] + 0.05, abs=1e-3)


def test_a_smoothed_grid_leaves_out_the_jitter_and_keeps_what_was_tied():
    random = np.random.default_rng(3)
    jitter = random.normal(0, 0.008, len(DRIFT))
    session = session_with(DRIFT + jitter)
    track = track_of(session)
    session = pin_beat(session, track, 9.0, round((DRIFT[9] + 0.02) * RATE))

    exact = set_following(session, track, TempoSync.GRID)
    smooth = set_smooth(exact, True)

    def off(grid: Session) -> float:
        return float(np.sqrt(np.mean((grid.tempo.seconds_at(np.arange(16.0, 28.0)) - DRIFT[16:28]) ** 2)))

    assert off(smooth) < 0.7 * off(exact)
    assert smooth.tempo.seconds_of(9.0) == pytest.approx(DRIFT[9] + 0.02, abs=1e-3)
    assert set_smooth(smooth, False).tempo == exact.tempo


def test_the_song_takes_a_tempo_until_another_one_is_set():
    session = session_with(STEADY, is_constant=True)
    track = track_of(session)

    led = set_following(session, track, TempoSync.SONG)
    doubled = scale_beats(led, track, 2.0)
    free = set_tempo(doubled, 90.0)

    assert led.tempo.at(0.0) == pytest.approx(100.0)
    assert led.tempo.beat_one == pytest.approx(0.5)
    assert doubled.tempo.at(0.0) == pytest.approx(200.0)
    assert [following_of(each, track) for each in (session, led, free)] == [
        TempoSync.NOBODY,
        TempoSync.SONG,
        TempoSync.NOBODY,
    ]


def test_a_recording_begins_to_follow_at_the_nearest_bar():
    session = set_beat_one(set_tempo(session_with(STEADY, is_constant=True), 100.0), 0.5)
    late = replace(session, tracks=(replace(session.tracks[0], clips=(_at(session, 6.9),)),))

    following = set_following(late, track_of(late), TempoSync.RECORDING)

    assert following.tracks[0].clips[0].take.beat == 12.0


def _at(session: Session, seconds: float):
    clip = session.tracks[0].clips[0]
    return replace(clip, take=replace(clip.take, start=round(seconds * RATE)))


def test_nothing_known_of_its_beats_nothing_follows():
    session = simple_session([5000, 9000], 30000)

    assert set_following(session, track_of(session), TempoSync.RECORDING) is session
    assert straighten(session, track_of(session)) is session
    assert beat_map(Fit(), None, BeatMapInput(1000, RATE, np.zeros(0, np.int64), metre_map(Metre()))) is None


def test_a_fit_of_far_off_values_still_gives_a_map():
    session = session_with(DRIFT)
    track = track_of(session)

    odd = set_recording_beat_one(session, track, 10**9)
    odd = set_fit(odd, track, lambda fit: replace(fit, tempo=400.0, pins=(Pin(5, 3.0), Pin(9, 1.0))))

    assert (np.diff(beats_in(odd).seconds) > 0).all()
    assert beats_in(set_recording_tempo(odd, track, 1e9)).tempo <= 400.1
