"""Copies, packed sessions, templates, what a session is made of, and how it was seen when it was left."""

import pytest
from PySide6.QtWidgets import QFileDialog, QInputDialog, QLabel

from chronotome.files.journal import Journal
from chronotome.files.places import load_settings
from chronotome.files.session_file import load_session
from chronotome.files.templates import template_names
from chronotome.session.edits.sections import add_section
from chronotome.session.edits.tracks import remove_track, set_level
from chronotome.ui.application import build
from chronotome.ui.dialogs.information import InformationDialog
from chronotome.ui.state.view_state import Stage
from sounds import noise_hits, write


@pytest.fixture
def saving_to(monkeypatch):
    said = {}
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(said["path"]), ""))
    return said


def run(person, name):
    person.window.actions_table.run(name)
    person.settle()


def saved(person, folder, saving_to):
    saving_to["path"] = folder
    run(person, "save-as")
    person.wait(lambda: person.desk.document.folder == folder)


def test_a_copy_is_saved_and_work_goes_on_in_the_first(at_work, tmp_path, saving_to):
    saved(at_work, tmp_path / "first", saving_to)
    saving_to["path"] = tmp_path / "second"
    run(at_work, "save-copy")
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(lambda session: set_level(session, track, -6.0), "Level")
    run(at_work, "save")
    at_work.wait(lambda: not at_work.desk.store.is_modified)

    levels = [load_session(tmp_path / name).history.session.tracks[0].level for name in ("first", "second")]
    assert levels == [-6.0, 0.0]
    assert at_work.desk.document.folder == tmp_path / "first"


def test_packed_dropped_onto_the_window_and_unpacked_it_is_the_same(at_work, tmp_path, saving_to):
    before = at_work.session
    saving_to["path"] = tmp_path / "ferry"
    run(at_work, "pack")
    assert "Packed session as" in at_work.window.status.words.text()
    at_work.desk.store.mark_saved(at_work.desk.store.history.session)
    saving_to["path"] = tmp_path / "again"
    at_work.drop(tmp_path / "ferry.chronotome")
    at_work.wait(lambda: at_work.desk.document.folder == tmp_path / "again")
    assert at_work.session == before


def test_a_template_begins_a_session_with_its_tracks_and_no_sound(at_work, monkeypatch):
    monkeypatch.setattr(QInputDialog, "getText", lambda *_a, **_k: ("Stairwell / trio", True))
    strength = at_work.session.tracks[0].tighten.strength
    run(at_work, "template")
    assert template_names() == ["Stairwell _ trio"]
    at_work.desk.store.mark_saved(at_work.desk.store.history.session)
    menu = at_work.window._menus["File"]
    menu.aboutToShow.emit()
    (action,) = at_work.window.templates.actions()
    action.trigger()

    (track,) = at_work.session.tracks
    assert (track.clips, track.tighten.strength, at_work.session.recordings) == ((), strength, ())
    assert at_work.session.tempo.at(0.0) == 120.0
    assert at_work.desk.document.folder is None
    assert not at_work.desk.store.is_modified


def test_after_new_nothing_of_the_session_before_is_in_sight(at_work):
    at_work.desk.store.mark_saved(at_work.desk.store.history.session)
    run(at_work, "new")
    at_work.settle()
    for stage in Stage:
        at_work.desk.view.show_stage(stage)
        assert not at_work.window.trays[stage].isVisible()
        assert at_work.window.rail.cards[stage].figures.key == "nothing yet"
    words = [each.text() for each in at_work.window.findChildren(QLabel) if each.isVisible()]
    assert not [each for each in words if "stairwell" in each or "120" in each]
    assert not at_work.window.decision.isVisible()


def test_a_template_that_was_damaged_is_told_of(at_work, monkeypatch):
    monkeypatch.setattr(QInputDialog, "getText", lambda *_a, **_k: ("x", True))
    run(at_work, "template")
    from chronotome.files.templates import templates_folder

    (templates_folder() / "x.json").write_text("{")
    at_work.window._menus["File"].aboutToShow.emit()
    at_work.window.templates.actions()[0].trigger()
    assert "is not a Chronotome session" in at_work.window.status.words.text()
    assert len(at_work.session.tracks) == 1


def test_what_nothing_plays_is_told_and_forgotten_on_request(at_work, tmp_path, saving_to):
    other = write(tmp_path / "claps.wav", noise_hits([500, 9000], 48000), rate=48000)
    at_work.window.open([other])
    at_work.settle()
    saved(at_work, tmp_path / "ferry", saving_to)
    claps = at_work.session.tracks[1]
    at_work.desk.store.apply(lambda session: remove_track(session, claps.id), "Remove claps")
    assert at_work.session.recordings

    dialog = InformationDialog(at_work.desk, at_work.window)
    rows = dict(dialog.rows())
    assert rows["Unused"].startswith("1 file, 0.")
    assert rows["Hits"] == "16"
    assert rows["Recordings"].startswith("1 file, ")
    assert (tmp_path / "ferry/audio/claps.wav").is_file()
    dialog.forget()
    assert not at_work.desk.store.history.past
    assert (tmp_path / "ferry/audio/claps.wav").is_file()
    run(at_work, "save")
    at_work.wait(lambda: not at_work.desk.store.is_modified)

    assert [each.name for each in (tmp_path / "ferry/audio").iterdir()] == ["stairwell.wav"]
    assert other.is_file()
    assert load_session(tmp_path / "ferry").history.session == at_work.session
    assert not InformationDialog(at_work.desk, at_work.window).drop.isEnabled()


def test_a_session_is_seen_as_it_was_left(at_work, tmp_path, saving_to, qtbot):
    saved(at_work, tmp_path / "ferry", saving_to)
    view = at_work.desk.view
    view.show_stage(Stage.REWORK)
    view.sight.zoom(6.0)
    view.sight.scroll(40)
    left = view.sight.viewport
    at_work.window.resize(1200, 760)
    at_work.window.restoring.close()

    settings = load_settings()
    assert settings.recent == (str(tmp_path / "ferry"),)
    assert settings.recent_files == (str(tmp_path / "stairwell.wav"),)
    at_work.desk.document.close()
    again = build(settings, in_process=True, journal=Journal(tmp_path / "other"))
    again.show()
    again.open([tmp_path / "ferry"])
    qtbot.waitUntil(lambda: bool(again.desk.session.tracks) and again.desk.tasks.is_idle, timeout=8000)
    qtbot.wait(50)
    try:
        assert again.desk.view.stage is Stage.REWORK
        assert again.desk.view.sight.viewport.start == pytest.approx(left.start, rel=0.02)
        assert again.desk.view.sight.viewport.frames_per_pixel == pytest.approx(left.frames_per_pixel)
        assert again.height() == 760  # the offscreen screen is 800 wide: no window is wider again
    finally:
        again.desk.store.mark_saved(again.desk.store.history.session)
        again.close()
        again.deleteLater()
        qtbot.wait(1)


def test_an_exported_file_opened_in_an_empty_session_brings_tempo_bars_and_sections(at_work, tmp_path):
    at_work.desk.store.apply(lambda s: add_section(s, "verse", 0.0, 4.0), "Section")
    at_work.desk.store.apply(lambda s: add_section(s, "bridge", 4.0, 6.0), "Section")
    tray = at_work.window.export_tray
    tray.export(tmp_path / "mix.wav")
    at_work.settle()
    sections = at_work.session.sections
    at_work.desk.store.mark_saved(at_work.desk.store.history.session)
    run_new(at_work)
    at_work.window.open([tmp_path / "mix.wav"])
    at_work.settle()

    fit = at_work.session.recordings[0].fit
    assert (fit.tempo, fit.beat_one) == (120.0, round(0.025 * 48000))
    assert at_work.session.sections == sections
    at_work.window.open([tmp_path / "mix.wav"])
    at_work.settle()
    assert at_work.session.sections == sections

    tray.marked.setChecked(False)
    tray.export(tmp_path / "plain.wav")
    at_work.settle()
    assert b"cue " in (tmp_path / "mix.wav").read_bytes()
    assert b"cue " not in (tmp_path / "plain.wav").read_bytes()


def run_new(person):
    person.window.actions_table.run("new")
    person.wait(lambda: not person.session.tracks)
