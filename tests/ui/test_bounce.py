"""Bounces at the window: what is heard of clips as a recording, beside them or in their place."""

import numpy as np
import pytest
from PySide6.QtCore import Qt

from chronotome.errors import Cancelled, CannotWrite
from chronotome.files import export
from chronotome.files.takes import takes_folder
from chronotome.session.edits.clips import Range, set_clip
from chronotome.session.edits.shaping import set_value
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tracks import lock, set_level, set_pan
from chronotome.session.follow import beats_of
from chronotome.session.validity import check
from chronotome.ui.state.view_state import Stage

CONTROL, ALT = Qt.KeyboardModifier.ControlModifier, Qt.KeyboardModifier.AltModifier


@pytest.fixture
def loud(at_work):
    """In Rework: the take is tightened, its clip fades, its track is softer and to the left."""
    person, session = at_work, at_work.session
    track = session.tracks[0]
    person.desk.view.show_stage(Stage.REWORK)
    apply = person.desk.store.apply
    apply(lambda s: set_clip(s, [(track.id, track.clips[0].id)], fade_in=0.1, level=-3.0), "Fade")
    apply(lambda s: set_pan(set_level(s, track.id, -4.0), track.id, -0.4), "Beside")
    person.settle()
    return person


def run(person, action):
    person.window.actions_table.run(action)
    person.settle()


def label(person):
    return person.desk.store.history.undo_label


def test_in_place_it_sounds_the_same_and_what_was_there_is_kept_and_comes_back(loud):
    before, frames = loud.session, loud.desk.view.sight.extent
    heard = loud.offline(frames)
    loud.press(Qt.Key.Key_B, CONTROL | ALT)
    loud.settle()

    track, kept = loud.session.tracks
    assert (len(track.clips), kept.is_muted, kept.name) == (1, True, "stairwell before")
    assert kept.clips == before.tracks[0].clips
    assert (track.level, track.pan) == (-4.0, -0.4)
    recording = loud.session.recordings[-1]
    assert (recording.rate, recording.channels) == (48000, 2)
    assert label(loud) == "Bounce stairwell bounced"
    np.testing.assert_allclose(loud.offline(frames), heard, atol=1e-6)
    check(loud.session)

    run(loud, "bounce-back")
    assert loud.session.tracks == before.tracks
    run(loud, "bounce-back")
    assert loud.session.tracks == before.tracks
    loud.window.undo()
    loud.window.undo()
    assert loud.session.tracks == before.tracks


def test_beside_it_is_a_track_of_its_own_as_loud_as_within_its_track_on_the_song_s_beats(loud):
    heard = loud.offline(loud.desk.view.sight.extent)
    run(loud, "bounce")

    old, new = loud.session.tracks
    assert [clip.is_muted for clip in old.clips] == [True]
    assert (new.name, new.level, new.pan) == ("stairwell bounced", old.level, old.pan)
    assert loud.desk.view.chosen.focused is new
    take = new.clips[0].take
    beats = beats_of(loud.session, take)
    assert beats.tempo == pytest.approx(120.0)
    on_lines = loud.session.tempo.beats_at((take.start / 48000) + np.array(beats.seconds))
    np.testing.assert_allclose(on_lines, np.round(on_lines), atol=1e-3)
    np.testing.assert_allclose(loud.offline(loud.desk.view.sight.extent), heard, atol=1e-6)
    loud.window.undo()
    assert [clip.is_muted for clip in loud.session.tracks[0].clips] == [False]


def test_of_a_range_what_sounds_in_it_and_the_rest_stays(loud):
    track, frames = loud.session.tracks[0], loud.desk.view.sight.extent
    heard, span = loud.offline(frames), Range(40000, 90000, (track.id,))
    loud.desk.view.chosen.choose_range(span)
    run(loud, "bounce")
    take = loud.session.tracks[-1].clips[0].take
    assert (take.start, take.source_end) == (40000, 50000)
    assert [clip.is_muted for clip in loud.session.track(track.id).clips] == [False, True, False]
    np.testing.assert_allclose(loud.offline(frames)[50000:80000], heard[50000:80000], atol=1e-6)
    loud.window.undo()
    assert loud.session.track(track.id).clips == track.clips

    loud.desk.view.chosen.focus(track.id)
    loud.desk.view.chosen.choose_range(span)
    run(loud, "bounce-in-place")
    assert len(loud.session.track(track.id).clips) == 3
    now = loud.offline(frames)
    for edge in (40000, 90000):  # a clip of another take begins there: 3 ms lead over
        now[edge - 150 : edge + 150] = heard[edge - 150 : edge + 150]
    np.testing.assert_allclose(now, heard, atol=1e-6)


def test_what_was_taken_apart_and_shaped_is_bounced_as_it_is_heard(loud):
    run(loud, "apart")
    track = loud.session.tracks[0]
    place, ids = (track.id, track.clips[0].id), track.clips[0].take.slices.ids
    loud.desk.store.apply(lambda s: set_value(s, place, "pan", {ids[2]: -1.0, ids[3]: 1.0}), "Pan")
    loud.settle()
    heard = loud.offline(loud.desk.view.sight.extent)
    run(loud, "bounce-in-place")
    np.testing.assert_allclose(loud.offline(loud.desk.view.sight.extent), heard, atol=1e-6)


def test_a_bounce_is_kept_until_the_session_has_it(loud, tmp_path):
    run(loud, "bounce-track")
    (path,) = takes_folder().glob("bounce*")
    assert loud.desk.recordings.places[loud.session.recordings[-1].content] == path
    loud.desk.document.save(tmp_path / "saved")
    loud.settle()
    assert list(takes_folder().iterdir()) == []
    assert (tmp_path / "saved" / "audio" / "stairwell bounced.wav").is_file()


def test_what_was_changed_meanwhile_is_not_put_in_place_and_says_so(loud):
    said = []
    loud.desk.tasks.told.connect(said.append)
    loud.window.actions_table.run("bounce-in-place")
    track = loud.session.tracks[0]
    loud.desk.store.apply(lambda s: set_clip(s, [(track.id, track.clips[0].id)], level=2.0), "Louder")
    changed = loud.session
    loud.settle()
    assert loud.session.tracks == changed.tracks
    assert "changed meanwhile" in said[-1]


def test_a_bounce_that_is_cancelled_or_cannot_be_written_leaves_nothing(loud, monkeypatch):
    before, said = loud.session, []
    loud.desk.tasks.error.connect(said.append)

    def full(*_, **__):
        raise CannotWrite(takes_folder(), "the disk is full", "Free some space.")

    monkeypatch.setattr(export, "export_mix", full)
    run(loud, "bounce")
    assert "the disk is full" in said[-1]

    def stopped(*_, **__):
        raise Cancelled

    monkeypatch.setattr(export, "export_mix", stopped)
    run(loud, "bounce-in-place")
    assert len(said) == 1
    assert loud.session is before
    assert list(takes_folder().iterdir()) == []


def test_in_place_of_what_others_are_locked_to_is_refused(loud):
    said = []
    loud.desk.tasks.told.connect(said.append)
    run(loud, "bounce")
    first, second = loud.session.tracks
    loud.desk.store.apply(lambda s: lock(s, first.id, [second.id]), "Pin")
    before = loud.session
    loud.desk.view.chosen.focus(first.id)
    run(loud, "bounce-in-place")
    assert loud.session is before
    assert "Other tracks follow its hits" in said[-1]


def test_nothing_to_bounce_is_said(person):
    said, words = [], person.window.status.words
    person.desk.tasks.told.connect(said.append)
    for action in ("bounce", "bounce-in-place", "bounce-track", "bounce-back"):
        said.clear()
        words.said = ""
        person.window.actions_table.run(action)
        assert said or words.said
    person.desk.store.apply(lambda s: set_tempo(s, 99.0), "Tempo")
    assert person.session.tracks == ()
