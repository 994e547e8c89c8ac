"""Opening, saving, closing and finding: nothing is closed unasked, and nothing is lost by a dialog."""

import shutil
import threading
from pathlib import Path

import numpy as np
import pytest
from PySide6.QtCore import QMimeData, QPoint, QPointF, Qt, QUrl
from PySide6.QtGui import QDragEnterEvent, QDragMoveEvent, QDropEvent
from PySide6.QtWidgets import QFileDialog, QMessageBox

from chronotome.bridge import document, recordings
from chronotome.errors import CannotWrite
from chronotome.files.audio_file import load_source
from chronotome.files.places import load_settings
from chronotome.files.session_file import load_session
from chronotome.session.edits.recordings import set_rate
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tracks import set_level, set_muted
from chronotome.ui.commands.leaving import Way
from chronotome.ui.dialogs.information import InformationDialog
from chronotome.ui.state.theme import THEMES
from sounds import noise_hits, write

RATE = 48000
BUTTONS = QMessageBox.StandardButton


@pytest.fixture
def answers(monkeypatch):
    """What the person says to dialogs: a file, a folder, and what to do with edits."""
    said = {"file": "", "folder": "", "edits": BUTTONS.Cancel, "asked": 0}

    really = QMessageBox.open

    def edits(box):
        if box.button(BUTTONS.Discard) is None:  # another question
            really(box)
            return
        said["asked"] += 1
        box.button(said["edits"]).click()

    monkeypatch.setattr(
        QFileDialog, "getOpenFileNames", lambda *_: ([said["file"]] if said["file"] else [], "")
    )
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (said["file"], ""))
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *_: said["folder"])
    monkeypatch.setattr(QMessageBox, "open", edits)
    return said


def run(person, name):
    person.window.actions_table.run(name)


def edited(person):
    track = person.session.tracks[0].id
    person.desk.store.apply(lambda session: set_level(session, track, -6.0), "Level")
    return person


def level_in(folder):
    return load_session(folder).history.session.tracks[0].level


def saved_in(person, folder, answers):
    answers["file"] = str(folder)
    run(person, "save-as")
    person.settle()
    person.wait(lambda: person.desk.document.folder == folder)
    return folder


def test_a_file_is_opened_by_dialog_and_no_choice_opens_nothing(person, hits_file, answers):
    run(person, "open")
    assert not person.session.tracks

    answers["file"] = str(hits_file)
    run(person, "open")
    person.settle()

    assert [track.name for track in person.session.tracks] == ["stairwell"]


def test_what_is_saved_is_found_again_by_its_folder_and_among_the_recent(at_work, tmp_path, answers):
    folder = saved_in(edited(at_work), tmp_path / "ferry", answers)
    assert not at_work.desk.store.is_modified

    run(at_work, "new")
    at_work.settle()
    assert not at_work.session.tracks
    answers["folder"] = str(folder)
    run(at_work, "open-session")
    at_work.settle()

    assert at_work.session.tracks[0].level == -6.0
    assert load_settings().recent[0] == str(folder)
    at_work.window.recent.aboutToShow.emit()
    action = next(each for each in at_work.window.recent.actions() if each.text().startswith(folder.name))
    assert str(folder) in action.toolTip()
    run(at_work, "new")
    at_work.settle()
    action.trigger()
    at_work.settle()
    assert at_work.session.tracks[0].level == -6.0
    at_work.window.recent.actions()[-1].trigger()
    at_work.window.recent.aboutToShow.emit()
    assert load_settings().recent == ()
    assert not at_work.window.recent.isEnabled()


def test_save_asks_where_once_and_then_no_more(at_work, tmp_path, answers):
    saved_in(edited(at_work), tmp_path / "ferry", answers)
    answers["file"] = ""
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(lambda session: set_level(session, track, -9.0), "Level")

    run(at_work, "save")
    at_work.settle()

    assert not at_work.desk.store.is_modified
    assert level_in(tmp_path / "ferry") == -9.0


@pytest.mark.parametrize(
    ("answer", "is_closed"), [(BUTTONS.Cancel, False), (BUTTONS.Discard, True), (BUTTONS.Save, True)]
)
def test_edits_are_asked_about_before_the_session_goes(at_work, tmp_path, answers, answer, is_closed):
    saved_in(at_work, tmp_path / "ferry", answers)
    edited(at_work)
    answers["edits"] = answer

    run(at_work, "new")
    at_work.settle()

    assert answers["asked"] == 1
    assert (not at_work.session.tracks) == is_closed
    assert (level_in(tmp_path / "ferry") == -6.0) == (answer == BUTTONS.Save)


def test_saving_that_is_called_off_closes_nothing_later(at_work, tmp_path, answers):
    edited(at_work)
    answers["edits"] = BUTTONS.Save

    run(at_work, "new")
    saved_in(at_work, tmp_path / "ferry", answers)

    assert at_work.session.tracks


def test_the_window_stays_open_while_edits_are_asked_about(at_work, answers):
    edited(at_work)

    at_work.window.close()

    assert at_work.window.isVisible()
    assert answers["asked"] == 1


def test_a_missing_recording_is_named_and_found_where_one_points(at_work, tmp_path, hits_file, answers):
    folder = saved_in(at_work, tmp_path / "ferry", answers)
    elsewhere = tmp_path / "elsewhere"
    elsewhere.mkdir()
    run(at_work, "find-missing")
    assert "No recording is missing" in at_work.window.status.words.said
    (kept,) = (folder / "audio").iterdir()
    shutil.move(kept, elsewhere / "renamed.wav")
    hits_file.unlink()

    at_work.window.open([folder])
    at_work.settle()
    (box,) = [each for each in at_work.window.findChildren(QMessageBox) if each.isVisible()]
    assert "stairwell" in box.text()
    answers["folder"] = str(elsewhere)
    box.button(BUTTONS.Open).click()
    at_work.settle()

    assert not at_work.desk.recordings.lost
    assert abs(at_work.listen(1.0)).max() > 0.05


def test_the_look_is_kept_for_the_next_start(person):
    first = person.desk.view.theme.name

    run(person, "night")

    assert person.desk.view.theme is THEMES[load_settings().theme]
    assert person.desk.view.theme.name != first


def test_sound_and_a_session_dropped_together_ask_first(at_work, tmp_path, answers):
    folder = saved_in(at_work, tmp_path / "ferry", answers)
    edited(at_work)
    other = write(tmp_path / "room.wav", noise_hits([3000], 60000, rate=RATE), rate=RATE)

    at_work.drop(folder, other)
    at_work.settle()

    assert answers["asked"] == 1
    assert at_work.session.tracks[0].level == -6.0
    assert len(at_work.session.tracks) == 1


@pytest.fixture
def in_time(at_work, tmp_path, answers, monkeypatch):
    """A saved session with an edit, whose next saves wait until they are let go: `wait.set()`."""
    saved_in(at_work, tmp_path / "ferry", answers)
    edited(at_work)
    at_work.go_on = threading.Event()
    really = document.save_session

    def late(*arguments):
        at_work.go_on.wait(8)
        return really(*arguments)

    monkeypatch.setattr(document, "save_session", late)
    return at_work


def way(person):
    return person.window.session_files.leaving.way


@pytest.mark.parametrize("answer", [BUTTONS.Cancel, BUTTONS.Discard, BUTTONS.Save])
def test_quitting_asks_once_and_does_what_is_said(at_work, tmp_path, answer):
    at_work.desk.document.save(tmp_path / "ferry")
    at_work.settle()
    edited(at_work)
    at_work.desk.store.apply(lambda session: set_level(session, session.tracks[0].id, -6.5), "Level")

    run(at_work, "quit")
    run(at_work, "quit")
    (box,) = [each for each in at_work.window.findChildren(QMessageBox) if each.isVisible()]
    box.button(answer).click()
    at_work.wait(lambda: way(at_work) is Way.STAYING and at_work.desk.tasks.is_idle)

    at_work.wait(lambda: at_work.window.isVisible() == (answer == BUTTONS.Cancel))
    assert level_in(tmp_path / "ferry") == (-6.5 if answer == BUTTONS.Save else 0.0)
    journal = at_work.window._journal.path
    assert (journal is not None and journal.exists()) == (answer == BUTTONS.Cancel)


def test_what_is_edited_while_quitting_saves_is_saved_too(in_time, tmp_path, answers):
    answers["edits"] = BUTTONS.Save
    run(in_time, "quit")
    track = in_time.session.tracks[0].id
    in_time.desk.store.apply(lambda session: set_level(session, track, -9.0), "Level")

    in_time.go_on.set()
    in_time.wait(lambda: not in_time.window.isVisible())

    assert level_in(tmp_path / "ferry") == -9.0


def test_a_quit_whose_save_failed_closes_nothing_at_a_later_save(in_time, tmp_path, answers, monkeypatch):
    answers["edits"] = BUTTONS.Save
    in_time.go_on.set()
    with monkeypatch.context() as full:
        full.setattr(document, "save_session", lambda *_: (_ for _ in ()).throw(CannotWrite("x", "full", "")))
        run(in_time, "quit")
        in_time.wait(lambda: in_time.desk.tasks.is_idle)
        assert "full" in in_time.window.status.words.said

    run(in_time, "save")
    in_time.wait(lambda: not in_time.desk.store.is_modified)
    in_time.bot.wait(50)

    assert in_time.window.isVisible()
    assert way(in_time) is Way.STAYING


@pytest.mark.parametrize("loss", ["audio", "all", "replaced"])
def test_nothing_is_called_saved_whose_sound_is_gone(at_work, tmp_path, answers, hits_file, loss):
    folder = saved_in(at_work, tmp_path / "ferry", answers)
    (sound,) = (folder / "audio").iterdir()
    before = at_work.offline(20000)
    if loss == "replaced":
        sound.write_bytes(b"something else")
    else:
        shutil.move(folder if loss == "all" else folder / "audio", tmp_path / "elsewhere")
    edited(at_work)
    monkey_box = []
    at_work.desk.document.lost.connect(monkey_box.append)

    at_work.desk.document.save(folder)
    at_work.settle()

    assert list(monkey_box[0].values()) == [sound.name]
    assert at_work.desk.store.is_modified
    at_work.desk.document.write_anew(monkey_box[0], at_work.window.session_files.save)
    at_work.wait(lambda: not at_work.desk.store.is_modified)
    at_work.window.open([folder])
    at_work.settle()
    assert at_work.session.tracks[0].level == -6.0
    assert not at_work.desk.recordings.lost
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(lambda session: set_level(session, track, 0.0), "Level")
    assert abs(at_work.offline(20000) - before).max() == 0.0
    if loss == "replaced":
        assert any(each.read_bytes() == b"something else" for each in (folder / "audio").iterdir())


def test_what_is_dropped_is_taken_as_a_copy_whatever_is_proposed(at_work, hits_file):
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(hits_file))])
    actions = Qt.DropAction.MoveAction | Qt.DropAction.CopyAction
    keys, button = Qt.KeyboardModifier.ShiftModifier, Qt.MouseButton.LeftButton
    for kind, handle in (
        (QDragEnterEvent, at_work.window.dragEnterEvent),
        (QDragMoveEvent, at_work.window.dragMoveEvent),
    ):
        event = kind(QPoint(300, 300), actions, data, button, keys)
        event.setDropAction(Qt.DropAction.MoveAction)
        handle(event)
        assert event.dropAction() is Qt.DropAction.CopyAction
    drop = QDropEvent(QPointF(300, 300), actions, data, button, keys)
    drop.setDropAction(Qt.DropAction.MoveAction)
    at_work.window.dropEvent(drop)
    at_work.settle()
    assert drop.dropAction() is Qt.DropAction.CopyAction
    assert hits_file.exists()


def test_a_session_named_by_a_relative_path_is_kept_by_its_whole_one(at_work, tmp_path, answers, monkeypatch):
    folder = saved_in(edited(at_work), tmp_path / "ferry", answers)
    (tmp_path / "link").symlink_to(folder)
    monkeypatch.chdir(tmp_path)

    at_work.window.open([Path("link")])
    at_work.settle()

    assert at_work.desk.document.folder == folder
    assert load_settings().recent[0] == str(folder)


def test_what_comes_first_gives_the_highest_rate_and_more_of_it_is_asked_about(person, tmp_path):
    import soxr

    dark = noise_hits([1000 + 12000 * at for at in range(8)], 100_000, rate=24000)
    sound = soxr.resample(dark, 24000, 48000)  # nothing where resamplers fade out
    dull = write(tmp_path / "dull.wav", soxr.resample(sound, 48000, 11025), rate=11025)
    usual = write(tmp_path / "usual.wav", sound, rate=48000)
    bright = write(tmp_path / "bright.wav", soxr.resample(sound, 48000, 96000), rate=96000)

    person.drop(dull, usual)
    person.settle()
    assert person.session.rate == 48000
    before = person.offline(150_000)
    person.desk.store.apply(lambda s: set_tempo(s, 120.0), "Tempo")
    person.drop(bright)
    person.settle()
    person.desk.store.apply(lambda s: set_muted(s, s.tracks[2].id, True), "Mute")
    person.desk.transport.go_to(48000)
    person.wait(lambda: "96 kHz" in person.window.decision.words.text())
    assert person.session.rate == 48000
    person.press(Qt.Key.Key_Return)
    person.settle()

    pool = person.desk.recordings.pool.ready()
    assert person.session.rate == 96000
    assert {source.rate for source in pool.values()} == {96000}
    assert person.desk.transport.position == 96000
    after = soxr.resample(person.offline(300_000), 96000, 48000)[2000:148_000]
    level = np.abs(after - before[2000:148_000]).max() / np.abs(before).max()
    assert 20 * np.log10(level) < -90
    person.desk.store.undo()
    person.settle()
    assert {source.rate for source in person.desk.recordings.pool.ready().values()} == {48000}
    np.testing.assert_array_equal(person.offline(150_000), before)


def test_another_rate_loses_no_recording_whose_file_is_gone(at_work, tmp_path):
    desk = at_work.desk
    (content,) = desk.recordings.pool.ready()
    before = at_work.offline(48000)
    desk.recordings.places[content].unlink()

    for rate in (96000, 44100, 96000):  # the last while the one before is still worked out
        desk.store.apply(lambda session, rate=rate: set_rate(session, rate), "Sample rate")
    at_work.settle()
    source = desk.recordings.pool.ready()[content]
    recording = at_work.session.recording_with(content)
    assert (source.rate, len(source.region.samples)) == (96000, recording.frames * 96000 // recording.rate)
    assert "uses the audio that it read before" in at_work.window.status.words.said
    for _ in range(3):
        desk.store.undo()
    at_work.settle()
    assert np.corrcoef(at_work.offline(48000)[:, 0], before[:, 0])[0, 1] > 0.97
    desk.document.write_anew({content: recording.file}, lambda: desk.document.save(tmp_path / "kept"))
    at_work.settle()
    assert load_session(tmp_path / "kept").missing == {}


def test_the_rate_is_shown_and_changed_where_the_session_is_told_about(at_work):
    dialog = InformationDialog(at_work.desk, at_work.window)
    assert dialog.rate.currentText() == "48 kHz"

    dialog.rate.setCurrentIndex(dialog.rate.findData(96000))
    dialog.rate.activated.emit(dialog.rate.currentIndex())
    dialog.close()
    at_work.settle()

    assert at_work.session.rate == 96000
    assert len(at_work.listen(0.2)) > 0


def test_a_recording_whose_reading_was_cancelled_is_silent_and_read_again_by_enter(
    person, tmp_path, monkeypatch
):
    goes_on = threading.Event()

    def slow(facts, arena, rate, *, progress, started):
        while not goes_on.wait(0.01):
            progress(0.5)
        return load_source(facts, arena, rate, progress=progress, started=started)

    monkeypatch.setattr(recordings, "load_source", slow)
    person.drop(write(tmp_path / "long.wav", noise_hits([5000], 48000, rate=48000), rate=48000))
    person.wait(lambda: bool(person.session.tracks and person.desk.tasks.running))
    person.click(person.window.status.cancel)
    person.wait(lambda: person.window.decision.decision is not None)
    assert "Reading long.wav was cancelled" in person.window.decision.words.text()
    assert person.desk.tasks.is_idle
    assert not person.desk.recordings.lost
    person.press(Qt.Key.Key_Escape)
    assert person.window.decision.decision is None

    goes_on.set()
    person.window.actions_table.run("read-again")
    person.settle()
    (content,) = (each.content for each in person.session.recordings)
    assert person.desk.recordings.pool.get(content).is_whole
    assert not person.desk.recordings.stopped
