"""Opening, saving, closing and finding: nothing is closed unasked, and nothing is lost by a dialog."""

import shutil

import pytest
from PySide6.QtWidgets import QFileDialog, QMessageBox

from chronotome.files.places import load_settings
from chronotome.files.session_file import load_session
from chronotome.session.edits.tracks import set_level
from chronotome.ui.theme import THEMES
from sounds import noise_hits, write

RATE = 48000
BUTTONS = QMessageBox.StandardButton


@pytest.fixture
def answers(monkeypatch):
    """What the person says to dialogs: a file, a folder, and what to do with edits."""
    said = {"file": "", "folder": "", "edits": BUTTONS.Cancel, "asked": 0}

    def edits(_box):
        said["asked"] += 1
        return said["edits"]

    monkeypatch.setattr(
        QFileDialog, "getOpenFileNames", lambda *_: ([said["file"]] if said["file"] else [], "")
    )
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (said["file"], ""))
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *_: said["folder"])
    monkeypatch.setattr(QMessageBox, "exec", edits)
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
    files = at_work.window.session_files
    files._fill_recent()
    action = next(each for each in files._recent.actions() if each.text() == str(folder))
    run(at_work, "new")
    at_work.settle()
    action.trigger()
    at_work.settle()
    assert at_work.session.tracks[0].level == -6.0


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
    assert "Every recording is there" in at_work.window.status.words.said
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
