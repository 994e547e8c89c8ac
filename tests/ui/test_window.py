import gc
import weakref
from pathlib import Path
from types import SimpleNamespace

import numpy as np
import pytest
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QAbstractButton, QLabel, QWidget

from chronotome.files.journal import Journal
from chronotome.files.places import Settings
from chronotome.render.mix import Side
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tracks import rename
from chronotome.session.grid import Grid, TempoChange, TempoMap
from chronotome.session.model import replace
from chronotome.session.targets import Reason
from chronotome.session.tighten import targets_of
from chronotome.ui.application import build
from chronotome.ui.commands.session_files import DEMO_SESSION
from chronotome.ui.controls.plain_text import question
from chronotome.ui.dialogs.keys_and_marks import ShortcutsDialog
from chronotome.ui.state.view_state import Stage
from sounds import noise_hits, sine, write

CONTROL = Qt.KeyboardModifier.ControlModifier


def targets(person):
    return targets_of(person.session, person.session.tracks[0], person.session.tracks[0].clips[0].take)


def test_importing_finds_hits_and_moves_nothing(person, hits_file):
    person.drop(hits_file)
    person.settle()

    track = person.session.tracks[0]
    assert track.name == "stairwell"
    assert len(targets(person)) == 16
    np.testing.assert_array_equal(targets(person).target, targets(person).played)
    np.testing.assert_array_equal(person.offline(99000), person.offline(99000, Side.AS_PLAYED))


def test_several_files_become_tracks_and_the_second_is_brought_to_the_first_ones_rate(
    person, hits_file, tmp_path
):
    other = write(tmp_path / "bass.flac", sine(110, 1.0))

    person.drop(hits_file, other)
    person.settle()

    assert {track.name for track in person.session.tracks} == {"stairwell", "bass"}
    assert len(person.window.timeline.context_lanes) == 1
    regions = [source.region.frames for source in person.desk.recordings.pool.sources.values()]
    assert 48000 in regions or person.session.rate == 44100


def test_a_file_that_is_no_sound_is_told_and_changes_nothing(person, tmp_path):
    bad = tmp_path / "words.wav"
    bad.write_text("no sound")

    person.drop(bad)
    person.wait(lambda: person.desk.tasks.is_idle)

    assert any("words.wav" in sentence for sentence in person.window.messages.told)
    assert person.window.messages.isVisible()
    assert not person.session.tracks
    person.window.messages.close()


def test_typing_a_tempo_moves_the_grid_and_wrong_ones_are_told(at_work):
    field = at_work.window.transport.tempo
    at_work.type_into(field, "96,5")
    at_work.wait(lambda: at_work.session.tempo.at(0.0) == 96.5)

    at_work.type_into(field, "fast")

    assert at_work.session.tempo.at(0.0) == 96.5
    assert "is invalid" in at_work.window.status.words.said
    assert field.text() == "96.50"


def test_beat_one_is_set_at_the_selected_onset(at_work):
    onset = int(targets(at_work).onsets[4])
    at_work.desk.view.chosen.select(onset)

    at_work.press(Qt.Key.Key_B)

    played = targets(at_work).played[4]
    assert at_work.session.tempo.seconds_of(0.0) == pytest.approx(played / 48000)
    assert targets(at_work).line_beats[4] == 0.0


def test_the_measured_tempo_is_a_proposal_until_it_is_used(person, hits_file):
    person.drop(hits_file)
    person.settle()
    before = person.session.tempo

    person.press(Qt.Key.Key_U)

    assert before.beat_one == 0
    assert person.session.tempo.at(0.0) == pytest.approx(
        person.session.recordings[0].measured.beats_per_minute
    )
    assert person.session.is_beat_one_set


def test_sliders_of_tighten_draft_while_sliding_and_keep_when_let_go(at_work):
    tray = at_work.window.trays[Stage.TIGHTEN]
    slider, steps = tray.strength, len(at_work.desk.store.history.past)

    at_work.drag(slider, (slider.x_of(50), 32), (slider.x_of(90), 32), release=False)
    drafted = at_work.session.tracks[0].tighten.strength
    kept = at_work.desk.store.history.session.tracks[0].tighten.strength
    at_work.bot.mouseRelease(slider, Qt.MouseButton.LeftButton)

    assert (drafted, kept) == (0.9, 0.5)
    assert at_work.session.tracks[0].tighten.strength == 0.9
    assert len(at_work.desk.store.history.past) == steps + 1


def test_grid_feel_and_way_are_chosen_by_mouse_and_keys(at_work):
    tray = at_work.window.trays[Stage.TIGHTEN]

    for combo, times in ((tray.division, 1), (tray.feel, 1)):
        combo.setFocus()
        for _ in range(times):
            at_work.bot.keyClick(combo, Qt.Key.Key_Down)
    at_work.click(tray.moving.way, (10, 10))

    settings = at_work.session.tracks[0].tighten
    assert settings.grid.words == "1/16 triplet"
    assert at_work.session.tracks[0].moving.by == "cutting"


def test_what_is_listened_to_is_switched_while_it_plays(at_work):
    at_work.press(Qt.Key.Key_A)

    heard = at_work.listen(1.0)

    np.testing.assert_array_equal(heard[16:40000], at_work.offline(40000, Side.AS_PLAYED)[16:])
    assert at_work.window.transport.listen.index == 0


def test_mute_solo_and_level_are_heard(at_work):
    at_work.press(Qt.Key.Key_M)
    at_work.settle()
    silent = at_work.listen(0.5)
    at_work.press(Qt.Key.Key_M)
    at_work.press(Qt.Key.Key_Down, CONTROL)
    at_work.settle()

    heard = at_work.listen(0.5)

    assert not silent.any()
    assert at_work.session.tracks[0].level == -1.0
    np.testing.assert_array_equal(heard[16:20000], at_work.offline(20000)[16:])


def test_undo_and_redo_say_what_they_do(at_work):
    at_work.press(Qt.Key.Key_M)
    words = at_work.window.actions_table.words("undo")

    at_work.press(Qt.Key.Key_Z, CONTROL)

    assert words == "Undo Mute track"
    assert not at_work.session.tracks[0].is_muted
    assert at_work.window.actions_table.words("redo") == "Redo Mute track"


def test_keys_step_through_hits_nudge_and_reset(at_work):
    at_work.press(Qt.Key.Key_Right)
    at_work.press(Qt.Key.Key_Right)
    selected = at_work.desk.view.chosen.onset
    before = targets(at_work).target[targets(at_work).onsets == selected][0]

    at_work.press(Qt.Key.Key_Down)
    nudged = targets(at_work)
    at_work.press(Qt.Key.Key_Backspace)

    place = nudged.onsets == selected
    assert nudged.target[place][0] - before == 48
    assert nudged.reasons[place][0] == Reason.BY_HAND
    assert not at_work.session.tracks[0].clips[0].take.touches


def test_stages_by_key_and_card(at_work):
    at_work.press(Qt.Key.Key_5)
    by_key = at_work.desk.view.stage

    at_work.click(at_work.window.rail.cards[Stage.FIT], (40, 40))

    assert by_key is Stage.EXPORT
    assert at_work.desk.view.stage is Stage.FIT
    assert at_work.window.timeline.evidence["pulse"].isVisible()


def test_loop_click_and_theme(at_work):
    at_work.press(Qt.Key.Key_C)
    at_work.press(Qt.Key.Key_L)
    at_work.press(Qt.Key.Key_T, CONTROL)

    assert at_work.session.click.is_on
    assert at_work.session.is_looping
    assert at_work.desk.view.theme.name == "night"


def test_tapping_gives_a_tempo(at_work, monkeypatch):
    moments = iter([0.0, 0.5, 1.01, 1.5, 2.0])
    clock = SimpleNamespace(monotonic=lambda: next(moments))
    monkeypatch.setattr("chronotome.ui.commands.fit.time", clock)

    for _ in range(5):
        at_work.press(Qt.Key.Key_T)

    assert at_work.session.tempo.at(0.0) == pytest.approx(120, abs=0.5)


def test_the_grid_follows_the_zoom_or_is_fixed(at_work):
    view = at_work.desk.view
    far = view.grid
    view.sight.zoom(16.0)
    near = view.grid

    at_work.window.transport.snap.setCurrentIndex(9)
    at_work.window.transport.snap.activated.emit(9)

    assert near.division > far.division
    assert view.grid == Grid(8, "triplet")


def test_every_action_has_words_and_no_key_stands_twice(person):
    table = person.window.actions_table

    keys = [
        key.toString()
        for entry in table.entries
        for key in table.get(entry.name).shortcuts()
        if key.toString()
    ]
    assert len(keys) == len(set(keys))
    assert all(entry.do is not None for entry in table.entries)


def test_shortcuts_can_be_changed_but_not_doubled(person):
    dialog = ShortcutsDialog(person.window.actions_table, {}, person.window)
    edit, _ = dialog._edits["play"]
    edit.setKeySequence("P")
    chosen = dialog.shortcuts()
    other, _ = dialog._edits["mute"]
    other.setKeySequence("P")
    dialog._on_accept()

    assert chosen == {"play": "P"}
    assert "two actions" in dialog.problem.text()
    assert not dialog.result()
    dialog.close()


def test_screen_readers_get_names(at_work):
    nameless = [
        widget
        for widget in at_work.window.findChildren(QWidget)
        if widget.isVisible()
        and widget.focusPolicy() & Qt.FocusPolicy.TabFocus
        and not (widget.accessibleName() or (isinstance(widget, QAbstractButton) and widget.text()))
        and type(widget).__module__.startswith("chronotome")
    ]

    assert nameless == []


def test_the_demo_opens_with_something_to_look_at(person):
    person.window.session_files.open_demo()
    person.settle()

    cards = person.window.rail.cards
    assert len(person.session.tracks) == 8
    person.wait(lambda: cards[Stage.MARK].figures.key == "82 onsets")
    person.wait(lambda: cards[Stage.TIGHTEN].figures.to_check > 0)
    assert not person.desk.store.is_modified
    assert person.desk.document.folder is None
    assert Path(DEMO_SESSION).is_dir()


def test_a_track_is_brought_into_the_tall_lane_and_led_by_its_guide(person):
    person.window.session_files.open_demo()
    person.settle()
    lane = person.window.timeline.context_lanes[0]

    person.click(lane, (30, 12))

    assert person.desk.view.chosen.focused.name == "Room pair"
    person.desk.view.show_stage(Stage.TIGHTEN)
    assert person.window.trays[Stage.TIGHTEN].about.text() == "guide: Bucket kit"


def test_large_lanes_have_all_of_the_window_and_keys_go_on_working(at_work):
    window, timeline = at_work.window, at_work.window.timeline
    width = timeline.width()
    at_work.press(Qt.Key.Key_F9)
    rims = sum(side.rim.width() for side in window.sides)
    at_work.wait(lambda: timeline.width() == window.width() - rims)
    assert width < window.width() - 400
    assert not window.rail.isVisible()
    assert not window.trays[Stage.TIGHTEN].isVisible()
    at_work.press(Qt.Key.Key_2)
    assert at_work.desk.view.stage is Stage.FIT
    at_work.press(Qt.Key.Key_F9)
    at_work.wait(lambda: timeline.width() == width)
    assert window.rail.isVisible()
    at_work.press(Qt.Key.Key_F11)
    assert window.isFullScreen()
    at_work.press(Qt.Key.Key_F11)
    assert not window.isFullScreen()


def test_a_cancelled_search_for_hits_can_be_done_again(person, tmp_path):
    long = write(tmp_path / "long.wav", noise_hits([5000], 48000 * 40, rate=48000), rate=48000)
    person.drop(long)
    person.wait(lambda: any("Detecting onsets" in task.words for task in person.desk.tasks.running))

    person.click(person.window.status.cancel)
    person.settle()
    cancelled = person.session.recordings[0].is_analysed
    person.window.actions_table.run("find-hits")
    person.settle()

    assert not cancelled
    assert len(targets(person)) == 1


def test_a_window_that_is_closed_gives_back_all_that_it_held(qtbot, tmp_path):
    window = build(Settings(), in_process=True, journal=Journal(tmp_path))
    window.show()
    held = [weakref.ref(each) for each in (window.desk.recordings.arena, window.desk.store, window)]
    window.close()
    window.deleteLater()
    del window
    qtbot.wait(10)
    gc.collect()

    assert [each() for each in held] == [None] * 3


def test_names_are_text_whatever_signs_are_in_them(at_work):
    name = "<h1>Bucket</h1>\u202e kit"
    at_work.desk.store.apply(lambda session: rename(session, session.tracks[0].id, name), f"Name {name}")
    at_work.desk.view.show_stage(Stage.TIGHTEN)
    at_work.desk.store.apply(lambda session: set_tempo(session, 61.0), "Tempo")
    at_work.wait(lambda: "<h1>" in at_work.window.decision.words.text())
    box = question(at_work.window, name, name)

    labels = [*at_work.window.findChildren(QLabel), *box.findChildren(QLabel)]
    tips = [each.toolTip() for each in at_work.window.findChildren(QWidget)]

    assert any("<h1>" in each.text() for each in labels)
    assert [
        each.text() for each in labels if each.textFormat() is not Qt.TextFormat.PlainText and each.text()
    ] == []
    assert [each for each in tips if "<h1>" in each] == []
    at_work.wait(lambda: "&lt;h1&gt;" in at_work.window.decision.toolTip())
    assert "\u202e" not in at_work.window.decision.words.text()


def test_what_sounded_stays_in_sight_at_the_end_and_one_key_loops_all_of_it(at_work):
    view, transport = at_work.desk.view, at_work.desk.transport
    view.sight.zoom(3.0, 0.0)
    end = at_work.session.frames
    view.sight.scroll(1e6)
    shown = view.sight.viewport
    transport.go_to(end - 4000)
    transport.play()
    said = at_work.window.status.words
    for _ in range(200):
        at_work.window.player.step(2)
        at_work.bot.wait(2)
        if not transport.is_playing:
            break
    at_work.wait(lambda: "Press L to loop it" in said.text())
    assert view.sight.viewport == shown
    at_work.press(Qt.Key.Key_L)
    loop = at_work.session.loop
    assert at_work.session.is_looping
    assert (loop.start, loop.end) == (0.0, 8.0)
    at_work.press(Qt.Key.Key_L)
    assert not at_work.session.is_looping


def test_the_tempo_shown_is_that_of_the_playhead(at_work):
    changing = TempoMap((TempoChange(0.0, 120.0), TempoChange(4.0, 90.0)), 0.025)
    at_work.desk.store.apply(lambda s: replace(s, tempo=changing), "Tempo")
    tempo, transport = at_work.window.transport.tempo, at_work.desk.transport
    for beat, words in ((3.9, "120.00"), (4.1, "90.00"), (0.0, "120.00")):
        transport.go_to(at_work.session.frame_of(beat) + 1)
        assert tempo.text() == words
    transport.go_to(at_work.session.frame_of(5.0))
    at_work.type_into(tempo, "100")
    assert [each.beats_per_minute for each in at_work.session.tempo.changes] == [120.0, 100.0]
    at_work.desk.store.undo()
    at_work.window.actions_table.run("double")
    assert [each.beats_per_minute for each in at_work.session.tempo.changes] == [240.0, 180.0]
