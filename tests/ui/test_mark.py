import time

import numpy as np
import pytest
from PySide6.QtCore import QItemSelectionModel, Qt

from chronotome.dsp.bands import Instrument
from chronotome.engine.control import Word
from chronotome.files.marks import read_marks
from chronotome.render.mix import Side
from chronotome.session.check import Check, Checks, Kind
from chronotome.session.edits.tracks import set_level
from chronotome.session.onset_filter import Per
from chronotome.session.onsets import OnsetDecision
from chronotome.ui.dialogs.calibration import CalibrationDialog, lateness_ms
from chronotome.ui.state import ui_context
from chronotome.ui.state.view_state import MarkSnap, Stage

ALT, SHIFT = Qt.KeyboardModifier.AltModifier, Qt.KeyboardModifier.ShiftModifier
CONTROL = Qt.KeyboardModifier.ControlModifier


@pytest.fixture
def marking(at_work):
    """At work in Mark, listening to what was played."""
    at_work.press(Qt.Key.Key_1)
    at_work.desk.transport.listen(Side.AS_PLAYED)
    at_work.settle()
    return at_work


def recording(person):
    return person.session.recordings[0]


def onsets(person):
    return recording(person).onsets


def counted_xs(person):
    wave = person.window.timeline.wave
    return wave.xs_of(wave.shown.onset_frames()[wave.shown.counts])


def heard_since(person, before):
    return person.window.player.played()[before:]


def played_frames(person):
    return person.window.player.control.get(Word.PLAYED)


def test_a_clicked_notch_is_selected_and_heard_up_to_the_next_hit(marking):
    player = marking.window.player
    player.step(2)
    before = played_frames(marking)
    x = counted_xs(marking)[4]

    marking.click(marking.window.timeline.wave, (x, 4))
    player.step(60)

    shown = marking.desk.shown
    places = np.flatnonzero(shown.counts)
    assert marking.desk.view.chosen.onset == onsets(marking).ids[places[4]]
    heard = np.flatnonzero(np.abs(heard_since(marking, before)).max(axis=1) > 1e-4)
    length = np.diff(onsets(marking).frame_array[places[4:6]])[0]
    assert heard[0] < 512
    assert len(heard) > 500
    assert heard[-1] <= length
    assert not player.control.get(Word.IS_PLAYING)


def test_stepping_extends_the_selection_and_the_table_shows_it(marking):
    marking.press(Qt.Key.Key_Right)
    for _ in range(3):
        marking.press(Qt.Key.Key_Right, SHIFT)
    picked = marking.desk.view.chosen.onsets
    table = marking.window.mark_tray.onset_table
    marking.wait(lambda: len(table.selectionModel().selectedRows()) == 4)

    marking.press(Qt.Key.Key_Left, SHIFT)

    assert len(picked) == 4
    assert set(marking.desk.view.chosen.onsets) < set(picked)
    assert len(marking.desk.view.chosen.onsets) == 3


def test_a_row_of_the_table_is_the_onset(marking):
    table = marking.window.mark_tray.onset_table
    marking.wait(lambda: table.onsets.rowCount() == marking.desk.shown.counts.sum())
    rows = QItemSelectionModel.SelectionFlag.ClearAndSelect | QItemSelectionModel.SelectionFlag.Rows

    table.selectionModel().select(table.onsets.index(3, 0), rows)

    place = int(np.flatnonzero(marking.desk.shown.counts)[3])
    assert marking.desk.view.chosen.onsets == (onsets(marking).ids[place],)
    assert table.onsets.index(3, 2).data() == f"{onsets(marking).strengths[place]:.0f}"


def test_a_sweep_selects_and_delete_drops_them_all_in_one_step(marking):
    strength = marking.window.timeline.evidence["strength"]
    xs = counted_xs(marking)
    count = int(marking.desk.shown.counts.sum())

    marking.drag(strength, (xs[2] - 6, 30), (xs[5] + 6, 60))
    swept = marking.desk.view.chosen.onsets
    marking.press(Qt.Key.Key_Delete)
    dropped = int(marking.desk.shown.counts.sum())
    marking.press(Qt.Key.Key_Z, CONTROL)

    assert len(swept) == 4
    assert (dropped, int(marking.desk.shown.counts.sum())) == (count - 4, count)


def test_keys_nudge_by_frames_and_ms_and_a_locked_mark_stays(marking):
    marking.press(Qt.Key.Key_Right)
    place = onsets(marking).place_of(marking.desk.view.chosen.onset)
    start, rate = onsets(marking).frames[place], recording(marking).rate
    seen = []
    for key, modifier in (
        (Qt.Key.Key_Period, None),
        (Qt.Key.Key_Comma, None),
        (Qt.Key.Key_Right, ALT),
        (Qt.Key.Key_Right, ALT | SHIFT),
        (Qt.Key.Key_Left, ALT),
    ):
        marking.press(key, modifier)
        seen.append(onsets(marking).frames[place] - start)
    marking.press(Qt.Key.Key_O)
    marking.press(Qt.Key.Key_Right, ALT)

    ms = rate // 1000
    assert seen == [1, 0, ms, 11 * ms, 10 * ms]
    assert onsets(marking).frames[place] - start == 10 * ms
    assert onsets(marking).lock_array[place]


def test_a_dragged_mark_is_pulled_to_the_attack_and_free_with_alt(marking):
    wave = marking.window.timeline.wave
    place = int(np.flatnonzero(marking.desk.shown.counts)[5])
    start = onsets(marking).frames[place]
    x = counted_xs(marking)[5]

    marking.drag(wave, (x, 4), (x + 3, 4), modifier=ALT)
    free = onsets(marking).frames[place]
    x = float(wave.xs_of(wave.shown.onset_frames())[place])
    marking.drag(wave, (x, 4), (x - 2, 4))

    assert free - start > 100
    assert abs(onsets(marking).frames[place] - start) <= 16
    marking.press(Qt.Key.Key_P)
    assert abs(onsets(marking).frames[place] - start) <= 16


def test_ctrl_drag_slips_the_sound_under_a_mark_that_stays(at_work):
    at_work.press(Qt.Key.Key_1)
    wave = at_work.window.timeline.wave
    targets = wave.shown.targets
    onset, target = int(targets.onsets[5]), int(targets.target[5])
    frame = onsets(at_work).frames[onsets(at_work).place_of(onset)]
    x = float(wave.xs_of(np.array([target]))[0])

    at_work.drag(wave, (x, 4), (x + 8, 4), modifier=CONTROL)

    after = wave.shown.targets
    at = np.flatnonzero(after.onsets == onset)[0]
    assert abs(int(after.target[at]) - target) <= 1
    assert onsets(at_work).frames[onsets(at_work).place_of(onset)] < frame


def test_in_the_lens_a_pixel_is_a_frame(marking):
    lens = marking.window.mark_tray.lens
    marking.press(Qt.Key.Key_Right)
    place = onsets(marking).place_of(marking.desk.view.chosen.onset)
    start = onsets(marking).frames[place]

    marking.drag(lens, (100, 50), (117, 50))
    moved = onsets(marking).frames[place]
    marking.drag(lens, (100, 50), (140, 50), release=False)
    marking.press(Qt.Key.Key_Escape)

    assert moved - start == 17
    assert onsets(marking).frames[place] == moved


def test_the_lens_shows_the_mark_under_the_pointer(marking):
    lens, wave = marking.window.mark_tray.lens, marking.window.timeline.wave
    marking.press(Qt.Key.Key_Right)
    marking.bot.mouseMove(wave, marking_point(counted_xs(marking)[7]))

    places = np.flatnonzero(marking.desk.shown.counts)
    assert lens.onset == onsets(marking).ids[places[7]]


def marking_point(x):
    from PySide6.QtCore import QPoint

    return QPoint(round(x), 4)


def test_a_mark_by_ear_is_corrected_and_pulled_to_its_attack(marking):
    marking.desk.preferences.keep(reaction_ms=40.0)
    place = int(np.flatnonzero(marking.desk.shown.counts)[6])
    attack, rate = onsets(marking).frames[place], recording(marking).rate
    marking.desk.view.chosen.select(onsets(marking).ids[place])
    marking.press(Qt.Key.Key_Delete)
    count = len(onsets(marking))
    marking.desk.transport.play()
    marking.desk.transport.position = attack + 0.055 * rate  # 15 ms late, besides the reaction
    marking.press(Qt.Key.Key_I)
    marking.desk.transport.stop()

    by_hand = onsets(marking).frame_array[onsets(marking).is_kept]
    assert np.abs(by_hand - attack).min() <= 16
    assert len(onsets(marking)) - count in {0, 1}


def test_the_very_start_can_be_marked_before_playing(marking):
    marking.desk.transport.go_to(0)
    marking.press(Qt.Key.Key_I)

    assert onsets(marking).frames[0] == 0
    assert onsets(marking).standings[0] == OnsetDecision.ADDED


def test_scrubbing_moves_the_playhead_and_is_heard(marking):
    place = int(np.flatnonzero(marking.desk.shown.counts)[2])
    attack = onsets(marking).frames[place]
    marking.desk.transport.go_to(attack - 0.02 * marking.session.rate)
    marking.window.player.step(2)
    before = played_frames(marking)

    marking.press(Qt.Key.Key_Right, CONTROL)
    marking.window.player.step(12)

    assert marking.desk.transport.position == pytest.approx(attack, abs=1)
    heard = np.abs(heard_since(marking, before)).max(axis=1) > 1e-4
    assert 0 < np.flatnonzero(heard)[-1] <= 0.08 * marking.session.rate


def test_brackets_jump_by_bars(marking):
    session, seen = marking.session, []
    bars = [session.tempo.seconds_of(bar * 4.0) * session.rate for bar in (0, 1)]
    marking.desk.transport.go_to(0)
    for key in (Qt.Key.Key_BracketRight, Qt.Key.Key_BracketRight, Qt.Key.Key_BracketLeft):
        marking.press(key)
        seen.append(marking.desk.transport.position)

    assert seen == pytest.approx([bars[0], bars[1], bars[0]], abs=1)


def test_the_selection_is_looped_from_attack_to_attack_and_its_join_is_played(marking):
    marking.press(Qt.Key.Key_Right)
    for _ in range(3):
        marking.press(Qt.Key.Key_Right, SHIFT)
    places = [onsets(marking).place_of(each) for each in marking.desk.view.chosen.onsets]
    first = onsets(marking).frames[min(places)]

    marking.press(Qt.Key.Key_L, SHIFT)
    session = marking.session
    start = session.tempo.seconds_of(session.loop.start) * session.rate
    marking.press(Qt.Key.Key_J)
    marking.window.player.step(2)

    assert start == pytest.approx(first, abs=2)
    assert session.is_looping
    assert marking.window.player.control.get(Word.IS_PLAYING)
    marking.desk.transport.stop()


def test_a_cut_leaves_two_clips_that_sound_as_one(marking):
    whole = marking.offline(150000, Side.AS_PLAYED)
    marking.press(Qt.Key.Key_Right)
    marking.press(Qt.Key.Key_Right)
    marking.press(Qt.Key.Key_X)
    marking.settle()

    assert [len(track.clips) for track in marking.session.tracks] == [2]
    np.testing.assert_array_equal(marking.offline(150000, Side.AS_PLAYED), whole)


def test_another_material_is_analysed_again_and_undo_brings_back_the_old(marking):
    tray = marking.window.mark_tray
    before = onsets(marking)

    tray.material.setCurrentIndex(3)
    tray.material.activated.emit(3)
    marking.wait(lambda: recording(marking).is_analysed)

    assert recording(marking).material is Instrument.SUSTAINED
    assert onsets(marking) is not before
    marking.press(Qt.Key.Key_Z, CONTROL)
    assert onsets(marking).frames == before.frames


def test_a_material_chosen_while_another_is_looked_at_is_the_one_that_counts(marking):
    tray = marking.window.mark_tray

    for index in (3, 1, 3, 1):
        tray.material.activated.emit(index)
    marking.wait(lambda: recording(marking).is_analysed)

    assert recording(marking).material is Instrument.DRUMS
    assert len(onsets(marking))


def test_the_tray_sifts_without_another_analysis(marking):
    tray, content = marking.window.mark_tray, recording(marking).content
    every = int(marking.desk.shown.counts.sum())
    tray.per.activated.emit(1)
    per_bar = int(marking.desk.shown.counts.sum())
    tray.per.activated.emit(0)
    commonest = int(np.bincount(onsets(marking).band_array).argmax())
    marking.click(tray.bands[commonest], (8, 8))
    without = int(marking.desk.shown.counts.sum())

    assert recording(marking).sift.strongest_per is Per.ALL
    assert 0 < per_bar < every
    assert without < every
    assert recording(marking).content == content
    assert not marking.desk.tasks.running


def test_marks_at_equal_parts_and_as_found(marking):
    tray = marking.window.mark_tray
    every = int(marking.desk.shown.counts.sum())
    tray.grid.setCurrentText("equal parts")
    marking.type_into(tray.parts, "8")

    marking.click(tray.mark_grid)
    parts = marking.desk.shown.recording.onsets.frame_array[marking.desk.shown.counts]
    marking.window.actions_table.run("as-found")

    assert parts.tolist() == [round(part * recording(marking).frames / 8) for part in range(8)]
    assert int(marking.desk.shown.counts.sum()) == every


def test_marks_go_out_and_come_in_again(marking, tmp_path):
    path = tmp_path / "marks.csv"
    every = onsets(marking).frame_array[marking.desk.shown.counts].tolist()
    rate = recording(marking).rate

    marking.window.mark_files.write(path)
    marking.wait(path.exists)
    marking.wait(lambda: marking.desk.tasks.is_idle)
    marking.window.actions_table.run("as-found")
    path.write_text(path.read_text() + f"{7},{7 / rate:.9f},50,high,0\n")
    marking.window.mark_files.bring(path)
    marking.wait(lambda: onsets(marking).frames[0] == 7)

    assert [round(mark.seconds * rate) for mark in read_marks(path, rate)] == [7, *every]


def test_marks_from_a_damaged_file_are_refused_with_its_name(marking, tmp_path):
    path = tmp_path / "broken.mid"
    path.write_bytes(b"MThd")
    said = []
    marking.desk.tasks.error.connect(said.append)

    marking.window.mark_files.bring(path)
    marking.wait(lambda: bool(said))

    assert "broken.mid" in said[0]


def test_next_to_check_in_mark_goes_to_doubtful_marks(marking):
    close = onsets(marking).frames[3] + round(0.02 * recording(marking).rate)
    marking.desk.store.amend(lambda session: with_doubt(session, 2))
    assert close

    marking.press(Qt.Key.Key_N)

    place = onsets(marking).place_of(marking.desk.view.chosen.onset)
    assert onsets(marking).doubts[place] > 4
    marking.wait(lambda: marking.window.rail.cards[Stage.MARK].figures.to_check >= 1)


def with_doubt(session, number):
    from chronotome.session.edits.recordings import set_analysis
    from chronotome.session.model import replace

    old = session.recordings[0].onsets
    places = [place for place, strength in enumerate(old.strengths) if strength > 60]
    doubts = [9.0 if place == places[number] else 0.0 for place in range(len(old))]
    return set_analysis(session, session.recordings[0].content, replace(old, doubts=tuple(doubts)), None)


def test_while_the_threshold_is_dragged_places_rest_and_what_counts_follows(marking):
    lane = marking.window.timeline.evidence["strength"]
    places, every = marking.desk.shown.plan, int(marking.desk.shown.counts.sum())
    y = lane._y_of(recording(marking).threshold)

    marking.drag(lane, (lane.width() - 20, y), (lane.width() - 20, lane._y_of(99.5)), release=False)
    resting, counting = marking.desk.shown.plan, int(marking.desk.shown.counts.sum())
    marking.bot.mouseRelease(lane, Qt.MouseButton.LeftButton)

    assert resting is places
    assert counting < every
    marking.settle()
    assert len(marking.desk.shown.targets) == counting


def test_marks_snap_to_what_was_chosen(marking):
    shown = marking.desk.shown
    place = int(np.flatnonzero(shown.counts)[4])
    attack = onsets(marking).frames[place]
    marks = marking.window.commands.marks
    marking.desk.view.set_mark_snap(MarkSnap.NOTHING)
    free = marks.pulled(shown, attack + 150, reach=0.03)
    marking.desk.view.set_mark_snap(MarkSnap.CROSSING)
    crossing = marks.pulled(shown, attack + 150, reach=0.03)
    samples = marking.desk.recordings.pool.get(recording(marking).content).region.samples.mean(axis=1)

    assert free == attack + 150
    assert samples[crossing - 1] * samples[crossing] <= 0


def test_lateness_is_the_median_of_the_taps_that_meant_a_click():
    clicks = [0.6 * number for number in range(12)]
    taps = [click + 0.030 for click in clicks] + [clicks[3] + 0.29, clicks[5] + 0.035]

    assert lateness_ms(taps, clicks) == pytest.approx(30.0)
    assert lateness_ms(taps[:3], clicks) is None
    assert lateness_ms([], []) is None


def test_the_calibration_plays_its_clicks_and_measures(marking, monkeypatch):
    dialog = CalibrationDialog(marking.desk, marking.window)
    dialog._timer.stop()
    dialog.show()
    now = [100.0]
    monkeypatch.setattr(time, "monotonic", lambda: now[0])
    before = played_frames(marking)
    for _ in range(16):
        dialog._click()
        now[0] += 0.025
        marking.bot.keyClick(dialog, Qt.Key.Key_A)
        now[0] += 0.575
    marking.window.player.step(4)
    dialog._click()

    assert dialog.measured == pytest.approx(25.0, abs=0.1)
    assert np.abs(heard_since(marking, before)).max() > 0.2
    dialog.reject()


def test_the_playhead_leaves_no_ghost_after_a_zoom(marking):
    """What is drawn anew is where it was since the zoom, not where it was before it."""
    from PySide6.QtCore import QEvent, QObject, QPoint

    painted = []

    class Watch(QObject):
        def eventFilter(self, _widget, event):
            if event.type() is QEvent.Type.Paint:
                painted.append(event.region())
            return False

    wave, watch = marking.window.timeline.wave, Watch()
    marking.desk.transport.go_to(20000)
    marking.desk.view.sight.zoom(2.0, 10)
    marking.bot.wait(20)
    ghost = QPoint(round(wave.x_of(20000)), 80)
    wave.installEventFilter(watch)

    marking.desk.transport.go_to(60000)
    marking.bot.waitUntil(lambda: bool(painted))

    assert wave.rect().contains(ghost)
    assert any(region.contains(ghost) for region in painted)


def test_dropped_marks_are_brought_in_and_not_opened_as_sound(marking, tmp_path):
    path = tmp_path / "more.txt"
    path.write_text("0.001\t0.001\tfirst\n")

    marking.drop(path)
    marking.wait(lambda: onsets(marking).frames[0] == recording(marking).rate // 1000)

    assert len(marking.session.recordings) == 1


@pytest.mark.parametrize("name", ["marks.wav", "marks"])
def test_menu_dialogs_write_what_they_were_told(marking, tmp_path, monkeypatch, name):
    from PySide6.QtWidgets import QFileDialog

    chosen = (str(tmp_path / name), "Labels (*.txt)")
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_arguments: chosen)

    marking.window.actions_table.run("export-marks")
    path = tmp_path / (name if "." in name else "marks.txt")
    marking.wait(path.exists)
    marking.wait(lambda: marking.desk.tasks.is_idle)
    monkeypatch.setattr(QFileDialog, "getOpenFileName", lambda *_arguments: (str(path), ""))
    before = onsets(marking)
    marking.window.actions_table.run("import-marks")
    marking.wait(lambda: onsets(marking) is not before)

    kept = onsets(marking).frame_array[onsets(marking).is_kept]
    assert set(kept.tolist()) == set(before.frame_array[marking.desk.shown.counts].tolist())


def test_a_double_clicked_stem_is_dropped_and_a_hollow_one_kept(marking):
    strength, shown = marking.window.timeline.evidence["strength"], marking.desk.shown
    place = int(np.flatnonzero(shown.counts)[3])
    x = float(strength.xs_of(shown.onset_frames())[place])
    y = strength._y_of(onsets(marking).strengths[place])
    seen = []

    for _ in range(2):
        marking.double_click(strength, (x, y))
        seen.append(bool(marking.desk.shown.counts[place]))

    assert seen == [False, True]


def test_mark_and_tighten_agree_on_what_is_to_be_checked(marking, monkeypatch):
    """An onset too many is gone through in Mark, and Tighten tells how many are there."""
    view, window = marking.desk.view, marking.window
    onset = recording(marking).onsets.ids[5]
    check = Check(onset, 2.0, 30_000, "two hits on one line", "9 ms", "second hit", kind=Kind.DOUBLED)
    two = Checks((Kind.FAR, Kind.DOUBLED), np.array([9, 30_000]), np.array([1, onset]), lambda _at: check)
    before = len(marking.desk.mark_checks(marking.session.tracks[0], None))
    monkeypatch.setattr(ui_context, "checks_of", lambda *_: two)
    marking.desk.store.apply(lambda s: set_level(s, s.tracks[0].id, -1.0), "Level")
    marking.wait(lambda: window.rail.cards[Stage.MARK].figures.to_check == before + 1)
    marking.press(Qt.Key.Key_N)
    assert view.chosen.onset == onset

    view.show_stage(Stage.TIGHTEN)
    kinds = window.trays[Stage.TIGHTEN].checks.kind
    last = kinds.count() - 1
    marking.wait(lambda: kinds.itemText(last) == f"in Mark: {before + 1}")
    kinds.activated.emit(last)
    assert view.stage is Stage.MARK
    assert view.chosen.onset == onset


def test_a_file_is_not_written_over_where_its_ending_was_added(marking, tmp_path, monkeypatch):
    from PySide6.QtWidgets import QFileDialog, QMessageBox

    there = tmp_path / "hits.csv"
    there.write_text("mine")
    monkeypatch.setattr(
        QFileDialog, "getSaveFileName", lambda *_arguments: (str(tmp_path / "hits"), "Table (*.csv)")
    )
    asked = []
    monkeypatch.setattr(
        QMessageBox, "exec", lambda box: asked.append(box.text()) or QMessageBox.StandardButton.Cancel
    )
    marking.window.mark_files.ask_and_write()
    marking.settle()

    assert asked == ["“hits.csv” exists already"]
    assert there.read_text() == "mine"
    monkeypatch.setattr(QMessageBox, "exec", lambda _box: QMessageBox.StandardButton.Yes)
    marking.window.mark_files.ask_and_write()
    marking.wait(lambda: there.read_text().startswith("frame,"))
