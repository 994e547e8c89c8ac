"""What is chosen in Preferences is at work at once, and there at the next start."""

import pytest
from PySide6.QtCore import Qt
from PySide6.QtGui import QGuiApplication
from PySide6.QtWidgets import QFileDialog

from chronotome.engine.devices import Devices
from chronotome.files.analysis import Analysis, keep_analysis
from chronotome.files.cache import cache_bytes, cache_folder
from chronotome.files.places import Settings, load_settings
from chronotome.files.session_file import load_session
from chronotome.files.takes import new_take
from chronotome.session.model import ClickSound
from chronotome.session.onsets import Onsets
from chronotome.ui.dialogs import preferences
from chronotome.ui.dialogs.preferences import ROWS, PreferencesDialog
from chronotome.ui.state.applying import theme_of


@pytest.fixture
def dialog(person, monkeypatch):
    monkeypatch.setattr(preferences, "devices", lambda: Devices(("Ferry card, ALSA",), ("Stair mic, ALSA",)))
    made = PreferencesDialog(person.desk, lambda: None, person.window)
    person.wait(lambda: person.desk.tasks.is_idle)
    yield made
    made.close()


def choose(dialog, name, index):
    dialog.fields[name].choose(index)


def test_every_setting_has_its_row_and_is_found_by_name(person, dialog):
    assert tuple(dialog.fields) == ROWS
    person.window.beside.edit_preferences("Autosave")
    shown = person.window.findChildren(PreferencesDialog)[-1]
    assert shown.fields["Autosave"].hasFocus() or shown.isVisible()
    shown.close()


def test_devices_that_are_there_are_offered_and_used(person, dialog):
    used = []
    person.window.player.use = lambda **which: used.append(which)
    combo = dialog.fields["Audio input"]
    assert [combo.itemText(row) for row in range(combo.count())] == [
        "Automatic",
        "Simulated",
        "Stair mic, ALSA",
    ]
    combo.setCurrentIndex(2)
    combo.activated.emit(2)
    choose(dialog, "Buffer size (samples)", 2)

    assert used[-1] == {"output": "auto", "heard": "Stair mic, ALSA", "block": 256}
    assert (load_settings().input, load_settings().block) == ("Stair mic, ALSA", 256)


def test_what_the_command_line_says_of_the_output_comes_first(person):
    from chronotome.ui.application import _use_devices

    used = []
    person.window.player.use = lambda **which: used.append(which)
    _use_devices(person.window.player, "simulated", Settings(), Settings(output="Ferry card"))
    _use_devices(person.window.player, None, Settings(), Settings(theme="night"))
    assert [each["output"] for each in used] == ["simulated"]


def test_the_theme_is_another_at_once_and_may_follow_the_desktop(person, dialog, monkeypatch):
    choose(dialog, "Theme", 1)
    assert (person.desk.view.theme.name, load_settings().theme) == ("night", "night")
    choose(dialog, "Theme", 2)
    assert person.desk.view.theme.name == "day"
    monkeypatch.setattr(type(QGuiApplication.styleHints()), "colorScheme", lambda _: Qt.ColorScheme.Dark)
    QGuiApplication.styleHints().colorSchemeChanged.emit(Qt.ColorScheme.Dark)
    assert person.desk.view.theme.name == "night"
    choose(dialog, "Contrast", 1)
    assert person.desk.view.theme.name == "stark night"
    person.window.actions_table.run("night")
    assert person.desk.view.theme.name == "stark day"
    assert theme_of(Settings(theme="no theme at all")).name == "day"


def test_the_click_is_that_of_this_session_and_of_new_ones(person, dialog):
    choose(dialog, "Default metronome sound", 2)
    assert person.session.click.sound is ClickSound.BELL
    person.desk.store.mark_saved(person.desk.store.history.session)
    person.window.session_files.new()
    assert person.session.click.sound is ClickSound.BELL
    assert not person.desk.store.is_modified


def test_takes_are_kept_where_it_was_said(dialog, tmp_path, monkeypatch):
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *_: str(tmp_path / "takes here"))
    dialog._on_folder()
    path, _ = new_take()
    assert path.parent == tmp_path / "takes here"
    assert dialog.fields["Takes folder"].text() == str(tmp_path / "takes here")


def test_no_more_steps_are_saved_than_were_asked_for(at_work, tmp_path):
    at_work.desk.preferences.keep(steps_kept=1)
    at_work.desk.document.save(tmp_path / "ferry")
    at_work.wait(lambda: at_work.desk.document.folder is not None)
    history = load_session(tmp_path / "ferry").history
    assert [step.label for step in history.past] == ["Tighten"]
    assert len(at_work.desk.store.history.past) > 1
    assert history.shortened(0).past == ()
    assert history.shortened(50).past == history.past


def test_a_session_with_a_folder_is_saved_by_itself_once_it_was_changed(at_work, tmp_path):
    document = at_work.desk.document
    at_work.desk.preferences.keep(autosave_minutes=5)
    assert document._saving.interval() == 300_000
    document._saving.timeout.emit()
    assert at_work.desk.tasks.is_idle
    document.save(tmp_path / "ferry")
    at_work.wait(lambda: document.folder is not None)
    at_work.window.commands.mute()
    document._saving.timeout.emit()
    at_work.wait(lambda: not at_work.desk.store.is_modified)
    assert load_session(tmp_path / "ferry").history.session.tracks[0].is_muted
    at_work.desk.preferences.keep(autosave_minutes=0)
    assert not document._saving.isActive()


def test_the_cache_is_emptied_and_nothing_else(dialog):
    keep_analysis("c" * 32, Analysis(Onsets((1,), (5,), (90.0,), (0,), (0,), 2), None))
    (cache_folder() / "theirs").write_text("theirs")
    assert cache_bytes() > 50
    dialog._on_empty()
    assert cache_bytes() == 0
    assert (cache_folder() / "theirs").is_file()


def test_devices_are_looked_for_in_a_process_of_its_own(monkeypatch):
    from chronotome.engine import devices as looked

    assert isinstance(looked.devices(), Devices)
    monkeypatch.setattr(looked.sys, "executable", "/bin/false")
    assert looked.devices() == Devices()
    monkeypatch.setattr(looked.sys, "executable", "/bin/echo")
    assert looked.devices() == Devices()
