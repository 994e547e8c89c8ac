"""Out of the window: clips, a range and hits are files for other programs, a pattern is MIDI."""

from pathlib import Path

import mido
import numpy as np
import pytest
import soundfile
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QGuiApplication

from chronotome.files.dragged import dragged_folder, new_file
from chronotome.session.edits.bounce import span_of
from chronotome.session.edits.clips import Range, split
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.clip_frames import STRIP, frames_in

OUTSIDE = (3000, 40)


@pytest.fixture
def carried(at_work, monkeypatch):
    """In Rework, the take cut in two; what is dragged out, and whether the hand still holds it."""
    at_work.desk.view.show_stage(Stage.REWORK)
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(lambda s: split(s, track, [s.frames // 2]), "Slice at")
    at_work.desk.view.sight.fit()
    at_work.settle()
    at_work.files, at_work.held = [], Qt.MouseButton.LeftButton
    monkeypatch.setattr(QGuiApplication, "mouseButtons", lambda: at_work.held)
    monkeypatch.setattr(
        at_work.window.drag_out, "_exec", lambda drag: at_work.files.extend(paths(drag.mimeData()))
    )
    return at_work


def paths(data):
    return [Path(url.toLocalFile()) for url in data.urls()]


def wave(person):
    return person.window.timeline.wave


def middle_of(person, number):
    frame = list(frames_in(wave(person), wave(person).clips))[number]
    return ((frame.left + frame.right) / 2, STRIP // 2)


def drag_out(person, start):
    person.drag(wave(person), start, (start[0] + 20, start[1]), release=False)
    person.move(wave(person), QPoint(*OUTSIDE), Qt.KeyboardModifier.NoModifier)
    person.bot.mouseRelease(wave(person), Qt.MouseButton.LeftButton, pos=QPoint(*OUTSIDE))
    person.settle()


def test_a_clip_that_leaves_the_window_is_a_file_of_what_is_heard_and_stays_where_it_was(carried):
    before = carried.session
    track = before.tracks[0]
    drag_out(carried, middle_of(carried, 1))

    (path,) = carried.files
    assert carried.session is before
    assert path.name == f"{track.name}.wav"
    start, end = span_of(before, [(track.id, track.clips[1].id)])
    heard, rate = soundfile.read(path, dtype="float32")
    assert (len(heard), rate) == (end - start, before.rate)
    assert np.abs(heard - carried.offline(end - start, start=start))[200:].max() < 1e-6


def test_a_range_is_what_sounds_in_it(carried):
    track = carried.session.tracks[0].id
    carried.desk.view.chosen.choose_range(Range(20_000, 60_000, (track,)))
    drag_out(carried, (wave(carried).x_of(40_000), wave(carried).height() / 2))
    assert soundfile.info(carried.files[0]).frames == 40_000
    assert carried.desk.view.chosen.range == Range(20_000, 60_000, (track,))
    carried.window.actions_table.run("copy-files")
    carried.settle()
    (path,) = paths(QGuiApplication.clipboard().mimeData())
    assert path.read_bytes() == carried.files[0].read_bytes()


def test_let_go_of_too_early_it_waits_on_the_clipboard(carried):
    carried.held = Qt.MouseButton.NoButton
    drag_out(carried, middle_of(carried, 0))
    assert not carried.files
    assert "Drag the clip again" in carried.window.status.words.text()
    assert paths(QGuiApplication.clipboard().mimeData())[0].is_file()


def test_what_is_swept_or_trimmed_stays_in_the_window(carried):
    x, _ = middle_of(carried, 0)
    drag_out(carried, (x, wave(carried).height() / 2))
    assert not carried.files
    assert carried.desk.view.chosen.range is not None


def test_chosen_hits_are_a_file_each_and_a_pattern_is_midi(carried):
    run = carried.window.actions_table.run
    carried.desk.view.chosen.choose_clips(
        ((carried.session.tracks[0].id, carried.session.tracks[0].clips[0].id),)
    )
    run("apart")
    carried.settle()
    place = carried.desk.view.chosen.place
    carried.desk.view.chosen.choose_hits(place, carried.desk.view.chosen.clip.take.slices.ids[1:4])
    run("copy-files")
    carried.settle()
    files = paths(QGuiApplication.clipboard().mimeData())
    assert len(files) == 3
    assert [path.name for path in files] == [
        f"{carried.session.tracks[0].name} 0{number}.wav" for number in (1, 2, 3)
    ]
    assert all(soundfile.info(path).frames > 1000 for path in files)

    carried.desk.view.chosen.choose_hits(place, ())
    run("pattern")
    carried.settle()
    run("copy-files")
    carried.settle()
    (path,) = paths(QGuiApplication.clipboard().mimeData())
    notes = [message for message in mido.MidiFile(path) if message.type == "note_on"]
    assert len(notes) == len(carried.session.patterns[0])


def test_files_of_yesterday_go(own_home):
    import os

    old, new = new_file("a.wav"), new_file("b.wav")
    old.write_bytes(b"a")
    os.utime(old.parent, (0, 0))
    third = new_file("c.wav")
    assert not old.parent.exists()
    assert new.parent.is_dir()
    assert third.parent.parent == dragged_folder()
