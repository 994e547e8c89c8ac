"""A recording that follows the song: its ends, its pickup, its clock, its drift."""

import numpy as np
import pytest

from chronotome.session.anchors import anchors_of, heard_beats_of
from chronotome.session.beating import fitted_by
from chronotome.session.check import Kind
from chronotome.session.checks import checks_of
from chronotome.session.counting import clock_of, counted_of
from chronotome.session.edits.fitting import (
    TempoSync,
    set_following,
    set_recording_beat_one,
    set_steady,
    straighten,
)
from chronotome.session.edits.marks import correct_onsets, mark_grid, set_sift
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import move_hit, set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.fit import BeatMap, Measured
from chronotome.session.grid import Grid
from chronotome.session.metre import hit_words, position_words
from chronotome.session.model import Recording, Session, replace
from chronotome.session.onset_filter import Per
from chronotome.session.onsets import onsets_from
from chronotome.session.tighten import targets_of
from strategies import RATE, simple_session

LOOP = 4 * 4 * 60 / 100.9
DRIFT = np.cumsum(np.concatenate([[0.9], np.linspace(0.66, 0.60, 31)]))


def session_of(moments, seconds, *, beats=None, beat_one=None, tempo=100.0, is_constant=True) -> Session:
    """One recording with a hit at each moment, and beats that were measured."""
    beats = moments if beats is None else beats
    recording = Recording("a" * 32, "take.wav", RATE, round(seconds * RATE), 1)
    session = add_recording(Session(), recording, "take")
    frames = np.rint(np.asarray(moments) * RATE).astype(np.int64)
    onsets = onsets_from(frames, np.full(len(frames), 90.0), np.ones(len(frames), np.int64))
    one = float(beats[0]) if beat_one is None else beat_one
    measured = Measured(60 / float(np.median(np.diff(beats))), one, 0.9, is_constant, beats=tuple(beats))
    return set_beat_one(set_tempo(set_analysis(session, "a" * 32, onsets, measured), tempo), 0.0)


def following(session: Session) -> Session:
    return set_following(session, session.tracks[0].id, TempoSync.RECORDING)


def start_of(session: Session) -> int:
    return session.tracks[1].clips[0].take.start


def counted_at(session: Session) -> list[int]:
    (take,) = session.tracks[0].takes
    return np.flatnonzero(counted_of(session, take)).tolist()


def anchors(session: Session):
    return anchors_of(session, session.tracks[0], session.tracks[0].clips[0].take)


@pytest.mark.parametrize("last_hits", [0, 3])
@pytest.mark.parametrize("strength", [0.0, 1.0])
def test_a_loop_of_four_bars_fills_four_bars_to_the_frame(last_hits, strength):
    beats = np.arange(16) * LOOP / 16
    session = session_of(beats[: 16 - last_hits], LOOP, beats=beats)
    track = replace(session.tracks[0], tighten=replace(session.tracks[0].tighten, strength=strength))

    found = anchors(following(replace(session, tracks=(track,))))

    assert found.landed[0] == 0
    assert found.landed[-1] == round(9.6 * RATE)
    assert found.source[-1] == round(LOOP * RATE)


def test_what_is_before_beat_one_lies_before_bar_1_and_is_not_squeezed():
    moments = 0.2 + np.arange(20) * 0.5
    session = following(session_of(moments, 11.0, beat_one=float(moments[3])))

    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    beats = session.tempo.beats_at(targets.fitted / RATE)
    assert beats[:4] == pytest.approx([-3, -2, -1, 0], abs=1e-4)
    assert np.diff(targets.target)[:3] == pytest.approx(0.6 * RATE, abs=2)
    assert anchors(session).landed[0] >= 0
    assert session.tempo.beat_one == pytest.approx(2.4)  # one bar at 100 bpm


def test_room_before_bar_1_takes_every_other_track_along():
    moments = 0.2 + np.arange(20) * 0.5
    session = session_of(moments, 11.0, beat_one=float(moments[3]))
    other = Recording("b" * 32, "other.wav", RATE, 5 * RATE, 1)
    session = add_recording(session, other, "other")
    before = session.tempo.beat_of(start_of(session) / RATE)

    session = following(session)

    assert session.tempo.beat_of(start_of(session) / RATE) == pytest.approx(before, abs=1e-4)
    assert set_tempo(session, 60.0).tempo.beat_one > 0


def test_a_mark_of_a_hit_set_by_hand_is_corrected_in_a_drifting_take_and_the_sound_stays():
    session = straighten(session_of(DRIFT, 22.0, is_constant=False), 2)
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    session = move_hit(session, track.id, clip.id, session.recordings[0].onsets.ids[9], 9.2)
    frame = session.recordings[0].onsets.frames[9] + 1500
    before = float(anchors(session).heard_at(np.array([frame]))[0])

    session = correct_onsets(session, track.id, clip.id, [session.recordings[0].onsets.ids[9]], 1500)

    assert float(anchors(session).heard_at(np.array([frame]))[0]) == pytest.approx(before, abs=1)


def test_one_clock_tells_bars_before_and_after_following():
    moments = 0.9 + np.arange(24) * 0.62
    plain = set_recording_beat_one(session_of(moments, 16.0), 2, round(moments[0] * RATE))
    session = following(plain)
    clip = session.tracks[0].clips[0]

    beats = clock_of(session, clip.take).beats_of(session.recordings[0].onsets)
    targets = targets_of(session, session.tracks[0], clip.take)

    assert beats == pytest.approx(session.tempo.beats_at(targets.fitted / RATE), abs=1e-3)
    assert beats == pytest.approx(beats[0] + np.arange(24), abs=1e-3)
    per_bar = set_sift(session, "a" * 32, lambda sift: replace(sift, strongest_per=Per.BAR))
    assert counted_at(per_bar) == [
        0,
        4,
        8,
        12,
        16,
        20,
    ]


def test_marks_on_bars_lie_on_the_bars_that_sound():
    moments = 0.9 + np.arange(24) * 0.62
    session = following(session_of(moments, 16.0))
    clip = session.tracks[0].clips[0]

    marked = mark_grid(session, clip.take, 4.0)

    frames = marked.recordings[0].onsets.frame_array[counted_of(marked, clip.take)]
    assert frames[:3] == pytest.approx(np.rint(moments[[0, 4, 8]] * RATE), abs=1)


def test_a_hit_a_little_early_of_bar_1_is_on_bar_1():
    session = session_of([0.5, 1.0], 3.0)

    assert hit_words(-0.011, session.metre) == "1.1.1"
    assert hit_words(3.99, session.metre) == "2.1.1"
    assert position_words(-0.011, session.metre) == "0.4.4"


def test_after_straightening_the_drift_that_is_left_is_told():
    session = session_of(DRIFT, 22.0, is_constant=False)
    played = heard_beats_of(session, session.tracks[0])

    steady = straighten(session, 2)
    half = set_steady(steady, 2, 0.5)

    assert played.residual > 50
    assert heard_beats_of(steady, steady.tracks[0]).residual < 0.1
    assert heard_beats_of(half, half.tracks[0]).residual == pytest.approx(played.residual / 2, rel=0.1)


def test_a_take_that_would_end_before_the_session_begins_sounds_as_played():
    """A session from elsewhere may say so; with room before bar 1 nobody gets there."""
    session = following(session_of(np.arange(16) * LOOP / 16, LOOP))
    (clip,) = session.tracks[0].clips
    far = replace(clip, take=replace(clip.take, beat=-5000.0))
    session = replace(session, tracks=(replace(session.tracks[0], clips=(far,)),))

    found = anchors(session)

    assert found.landed.tolist() == [0, int(found.source[-1] - found.source[0])]


@pytest.mark.parametrize("steady", [0.0, 0.5, 1.0])
def test_beat_one_lands_on_its_beat_however_much_of_the_drift_is_taken_out(steady):
    session = simple_session([48000], 5 * 48000)
    take, recording = replace(session.tracks[0].clips[0].take, beat=2.0), session.recordings[0]
    beats = BeatMap(np.array([1.0, 1.5, 2.1, 2.6]), np.arange(4.0), np.zeros(4, bool))

    fitted = fitted_by(take, recording, beats, steady, session.tempo, session.rate)

    landed = fitted(np.array([take.start + recording.rate * 1.0]))
    assert landed[0] == pytest.approx(session.frame_of(2.0), abs=1)


def test_where_the_tempo_squeezes_all_of_it_only_what_tighten_adds_is_told_of_as_stretched():
    """At 100 bpm, every second hit 15 ms late and one 200 ms; the song at 140 is faster than sound bears."""
    moments = np.arange(32) * 0.6 + 0.6
    played = moments + np.where(np.arange(32) % 2, 0.015, 0.0) + np.where(np.arange(32) == 20, 0.2, 0.0)
    session = following(session_of(played, 22.0, beats=moments, tempo=140.0))
    session = set_tighten(session, session.tracks[0].id, strength=1.0, grid=Grid(4))

    stretched = checks_of(session, session.tracks[0]).of_kind(Kind.STRETCHED)

    onsets = session.recordings[0].onsets
    assert [onsets.place_of(each.onset) for each in stretched] == [19]  # up to the late one: 0.71 times 0.76


def test_a_new_tempo_of_the_song_moves_nothing_until_it_is_said_who_follows():
    moments = np.arange(16) * 60 / 92 + np.tile([0.01, -0.012, 0.006, 0.0], 4)
    session = set_tempo(session_of(moments, 12.0, beats=np.arange(16) * 60 / 92 + 0.0, tempo=92.0), 92.0)
    track = session.tracks[0].id
    session = set_tighten(session, track, strength=1.0)
    before = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)

    faster = set_tempo(session, 110.0)
    again = set_tempo(faster, 104.0)
    now = targets_of(again, again.tracks[0], again.tracks[0].clips[0].take)

    np.testing.assert_array_equal(now.target, before.target)
    assert again.tracks[0].own_tempo.at(0.0) == 92.0
    moved = move_hit(again, track, again.tracks[0].clips[0].id, int(now.onsets[5]), again.beat_of(200000))
    landed = targets_of(moved, moved.tracks[0], moved.tracks[0].clips[0].take)
    assert landed.target[5] == 200000
    assert set_tempo(again, 92.0).tracks[0].own_tempo is None
    followed = set_following(again, track, TempoSync.RECORDING)
    assert followed.tracks[0].own_tempo is None
    lines = targets_of(followed, followed.tracks[0], followed.tracks[0].clips[0].take).target / RATE
    beats = followed.tempo.beats_at(lines)
    np.testing.assert_allclose(beats * 4, np.round(beats * 4), atol=1e-3)


def test_a_track_that_is_not_tightened_or_follows_is_not_asked_about():
    session = session_of(np.arange(16) * 60 / 100, 12.0)
    assert set_tempo(session, 130.0).tracks[0].own_tempo is None
    assert set_tempo(following(session), 130.0).tracks[0].own_tempo is None
