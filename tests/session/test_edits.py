import numpy as np
import pytest

from chronotome.session.edits.marks import add_onset, drop_onset, keep_onset, move_onset, set_threshold
from chronotome.session.edits.metre import set_metre
from chronotome.session.edits.recordings import add_recording, set_rate
from chronotome.session.edits.timing import set_beat_one, set_click, set_loop, set_looping
from chronotome.session.edits.tracks import (
    lock,
    remove_track,
    rename,
    set_level,
    set_muted,
    set_solo,
    unlock,
)
from chronotome.session.metre import Metre
from chronotome.session.model import BeatSpan, Click, Recording, Session, replace
from chronotome.session.tighten import targets_of
from chronotome.session.validity import check
from strategies import RATE, simple_session


def two_tracks() -> Session:
    session = simple_session([0, 6000], RATE)
    return add_recording(session, Recording("b" * 32, "other.wav", 44100, 30000, 2), "other")


def test_the_first_recording_gives_the_session_its_rate():
    assert two_tracks().rate == RATE
    dull = add_recording(Session(), Recording("c" * 32, "dull.wav", 11025, 9000, 1), "dull")
    assert dull.rate == 44100


def test_at_another_rate_everything_is_where_it_was_in_time():
    session = two_tracks()
    clip = session.tracks[1].clips[0]
    later = replace(clip, take=replace(clip.take, start=48000))
    session = replace(session, tracks=(session.tracks[0], replace(session.tracks[1], clips=(later,))))

    fast = set_rate(session, 96000)

    assert [track.takes[0].start for track in fast.tracks] == [0, 96000]
    targets = [targets_of(each, each.tracks[0], each.tracks[0].takes[0]) for each in (session, fast)]
    np.testing.assert_allclose(targets[1].target / 96000, targets[0].target / RATE, atol=1e-5)
    np.testing.assert_allclose(targets[1].target, 2 * targets[0].target, atol=1)
    assert fast.recordings is session.recordings
    assert set_rate(fast, RATE) == session
    check(fast)


def test_the_same_recording_twice_is_two_tracks_of_one_recording():
    session = two_tracks()

    again = add_recording(session, session.recordings[1], "other again")

    assert len(again.tracks) == 3
    assert again.recordings is session.recordings
    check(again)


def test_marks_are_edited_by_id():
    session = simple_session([1000, 6000], RATE)
    content = session.recordings[0].content

    added = add_onset(session, content, 3000)
    moved = move_onset(added, content, 3, 3500)
    dropped = drop_onset(moved, content, 1)
    kept = keep_onset(dropped, content, 1)

    onsets = kept.recordings[0].onsets
    assert onsets.frames == (1000, 3500, 6000)
    assert dropped.recordings[0].onsets.counted(45).tolist() == [False, True, True]
    assert onsets.counted(45).all()
    assert set_threshold(session, content, 45.0) is session


def test_levels_and_names_have_their_limits():
    session = two_tracks()
    track = session.tracks[0].id

    assert set_level(session, track, 99).tracks[0].level == 12
    assert set_level(session, track, 0) is session
    assert rename(session, track, "  ") is session
    assert set_muted(session, 999, True) is session
    assert set_solo(session, track, True).tracks[0].is_solo


def test_a_removed_track_takes_its_recording_and_its_lock_along():
    session = two_tracks()
    first, second = (track.id for track in session.tracks)
    locked = lock(session, first, [second])

    removed = remove_track(locked, first)

    assert [recording.content for recording in removed.recordings] == ["b" * 32]
    assert removed.lock_groups == ()
    assert locked.guide_of(second) == first
    assert unlock(locked, second).guide_of(second) == second


def test_loop_click_metre_and_beat_one():
    session = two_tracks()

    looped = set_loop(session, 8.0, 4.0)

    assert looped.loop == BeatSpan(4.0, 8.0)
    assert looped.is_looping
    assert set_loop(looped, 5.0, 5.0) is looped
    assert not set_looping(looped, False).is_looping
    assert set_metre(session, Metre()) is session
    assert set_click(session, Click()) is session
    assert set_beat_one(session, 0.5).tempo.seconds_of(0) == 0.5


def changed(session, **values):
    """Its first clip, or the take of that, with other values."""
    (clip,) = session.tracks[0].clips
    clip = replace(clip, **values) if "head" in values else replace(clip, take=replace(clip.take, **values))
    return replace(session, tracks=(replace(session.tracks[0], clips=(clip,)), *session.tracks[1:]))


@pytest.mark.parametrize(
    "broken",
    [
        lambda s: replace(s, recordings=s.recordings[:1]),
        lambda s: replace(s, recordings=(s.recordings[0], *s.recordings)),
        lambda s: replace(s, next_id=1),
        lambda s: changed(s, source_end=10**9),
        lambda s: changed(s, head=s.recordings[0].frames - 10, tail=10),
    ],
)
def test_a_session_that_breaks_its_invariants_is_refused(broken):
    with pytest.raises(ValueError, match="recording|unique|within|nothing left"):
        check(broken(two_tracks()))
