"""Other programs and machines at the window: in time with them, their controls, the desktop's media keys."""

import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtWidgets import QLabel, QPushButton

from chronotome.engine.control import LEFT_GAPS, InTime, Word
from chronotome.engine.kit_table import PLAYED, Note, NoteKind
from chronotome.files.places import load_settings
from chronotome.render.mix import CLICK, FIRST_TRACK, Side
from chronotome.session.edits.tracks import with_track
from chronotome.session.model import replace
from chronotome.ui.actions.learning import slider_key
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.dialogs.bound_controls import BoundControls
from chronotome.ui.dialogs.preferences import PreferencesDialog
from chronotome.ui.state.view_state import Stage


def told(person):
    said = []
    person.desk.tasks.told.connect(said.append)
    return said


def turn(person, number, *values):
    for value in values:
        person.window.player.control.kit.put(PLAYED, Note(NoteKind.CONTROL, number, value))
    person.desk.keys._listen()


@pytest.fixture
def tightening(at_work):
    at_work.desk.view.show_stage(Stage.TIGHTEN)
    at_work.settle()
    return at_work


def strength(person):
    sliders = [each for each in person.window.findChildren(ValueSlider) if each.isVisible()]
    return next(each for each in sliders if each.accessibleName() == "Strength")


def test_a_control_is_bound_to_the_slider_that_is_touched_and_a_turn_is_one_step(tightening):
    person, said = tightening, told(tightening)
    slider = strength(person)
    person.window.actions_table.run("learn-control")
    person.bot.mouseClick(slider, Qt.MouseButton.LeftButton, pos=QPoint(10, 32))
    assert said[-1] == "Turn a knob or press a pad first, then click “Strength”"
    turn(person, 256 + 21, 0.3)
    assert "channel 2, control 21" in said[-1]
    before, steps = slider.value, len(person.desk.store.history.past)
    person.bot.mouseClick(slider, Qt.MouseButton.LeftButton, pos=QPoint(10, 32))
    assert slider.value == before
    assert load_settings().controls == {"277": f"slider {slider_key(slider)}"}
    assert not person.window.learning.is_on
    turn(person, 277, 0.2, 0.4, 0.75)
    person.wait(lambda: len(person.desk.store.history.past) == steps + 1)
    assert slider.value == 75
    person.desk.view.show_stage(Stage.MARK)
    turn(person, 277, 0.9)
    assert said[-1].startswith("“Strength” is hidden")
    assert slider.value == 75


def test_a_command_that_is_chosen_is_bound_not_done_and_a_button_does_it_when_it_is_pressed(tightening):
    person, table = tightening, tightening.window.actions_table
    muted = person.session.tracks[0].is_muted
    table.run("learn-control")
    turn(person, 7, 1.0, 0.0)
    table.run("mute")
    assert person.session.tracks[0].is_muted is muted
    assert load_settings().controls == {"7": "action mute"}
    turn(person, 7, 0.6, 0.8, 0.0)
    assert person.session.tracks[0].is_muted is not muted
    turn(person, 7, 1.0)
    assert person.session.tracks[0].is_muted is muted
    table.run("learn-control")
    assert table.get("learn-control").isChecked()
    table.run("learn-control")
    assert not person.window.learning.is_on
    table.run("mute")
    assert person.session.tracks[0].is_muted is not muted


def test_bound_controls_are_listed_and_removed(tightening, monkeypatch):
    person, lists = tightening, []
    person.desk.preferences.keep(controls={"277": "slider TightenTray/Strength", "140": "action play"})

    def look(dialog):
        words = lambda: [each.text() for each in dialog.findChildren(QLabel) if each.isVisibleTo(dialog)]
        lists.append(words())
        removing = [each for each in dialog.findChildren(QPushButton) if "Remove" in each.accessibleName()]
        removing[0].click()
        lists.append(words())

    monkeypatch.setattr(BoundControls, "exec", look)
    person.window.actions_table.run("bound-controls")
    first, second = lists
    assert first[1:] == ["channel 1, note 12", "Play or stop", "channel 2, control 21", "Strength"]
    assert second[1:] == ["channel 2, control 21", "Strength"]
    assert load_settings().controls == {"277": "slider TightenTray/Strength"}


def test_others_start_stop_and_place_the_window_that_is_in_time_with_them(at_work):
    desk, control = at_work.desk, at_work.window.player.control
    table = at_work.window.actions_table
    table.run("in-time-jack")
    assert control.get(Word.IN_TIME) == InTime.JACK
    assert load_settings().in_time == "jack"
    assert "JACK is not the audio output" in at_work.window.status.state.text()
    control.put(Word.IS_IN_TIME, 1)
    at_work.wait(lambda: "in sync with JACK" in at_work.window.status.state.text())
    control.put(Word.POSITION, 96000)
    at_work.wait(lambda: desk.transport.position == 96000)
    control.put(Word.IS_PLAYING, 1)
    at_work.wait(lambda: desk.transport.is_playing)
    control.put(Word.IS_PLAYING, 0)
    at_work.wait(lambda: not desk.transport.is_playing)
    table.run("in-time-nothing")
    control.put(Word.POSITION, 5000)
    control.put(Word.IS_PLAYING, 1)
    at_work.bot.wait(400)
    assert not desk.transport.is_playing
    assert desk.transport.position == 96000
    assert at_work.window.status.state.text().count("JACK") == 0


def test_outputs_of_their_own_are_named_by_tracks_and_follow_them(at_work):
    wanted = at_work.window.player.control.wanted_ports
    assert wanted.text == ""
    at_work.desk.preferences.keep(jack_ports="click")
    assert wanted.text == "1 1 click"
    at_work.desk.preferences.keep(jack_ports="tracks")
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(
        lambda s: with_track(s, track, lambda old: replace(old, name="Pier: höhe")), "Rename"
    )
    assert wanted.text == "1 1 click\n2 2 Pier  h?he"
    at_work.desk.preferences.keep(jack_ports="main")
    assert wanted.text == ""


def test_what_a_track_sounds_like_is_on_its_own_bus_and_the_click_on_another(at_work, hits_file):
    mixes = []
    at_work.desk.rendering.rendered.connect(mixes.append)
    at_work.window.open([hits_file])
    at_work.window.actions_table.run("click")
    at_work.settle()
    buses = {lane.bus: lane.side for lane in mixes[-1].lanes}
    assert set(buses) == {CLICK, FIRST_TRACK, FIRST_TRACK + 1}
    assert buses[CLICK] is Side.BOTH


def test_the_tempo_of_a_clock_is_shown_and_the_song_takes_it_when_it_is_told_to(at_work):
    said, table, control = told(at_work), at_work.window.actions_table, at_work.window.player.control
    before = at_work.session.tempo.at(0.0)
    table.run("clock-tempo")
    assert said[-1].startswith("No MIDI clock received")
    table.run("in-time-clock")
    assert "no MIDI clock" in at_work.window.status.state.text()
    control.put(Word.CLOCK_TEMPO, 123_401_234)
    at_work.wait(lambda: "MIDI clock 123.40 bpm" in at_work.window.status.state.text())
    assert at_work.session.tempo.at(0.0) == before
    table.run("clock-tempo")
    assert at_work.session.tempo.at(0.0) == 123.4
    assert control.beats.place_of(at_work.session.frame_of(5.0)).beats_per_minute == pytest.approx(123.4)


def test_a_device_that_leaves_gaps_is_named_where_its_block_is_chosen(at_work):
    dialog = PreferencesDialog(at_work.desk, lambda: None, at_work.window)
    assert "choose JACK" in dialog._held.text()
    control = at_work.window.player.control
    control.put(Word.HELD, LEFT_GAPS)
    at_work.wait(
        lambda: (
            dialog._held.text()
            == "“simulated output” drops out at 512 samples. Choose a larger buffer, or JACK as audio output."
        )
    )
    assert "dropouts at 512 samples" in at_work.window.status.state.text()
    control.put(Word.HELD, 1)
    control.text = "JACK"
    at_work.wait(lambda: dialog._held.text().startswith("JACK sets its own buffer size"))
    dialog.close()


def test_media_keys_are_off_and_without_a_bus_that_is_said(at_work, monkeypatch):
    said = told(at_work)
    monkeypatch.setattr(at_work.desk.media_keys, "switch", lambda *, is_on: not is_on)
    at_work.desk.preferences.keep(block=256)
    assert said == []
    at_work.desk.preferences.keep(has_media_keys=True)
    assert said == ["Cannot use media keys: the desktop has no session bus"]
