"""Tempo points and metres under the hand: the lane, the ruler, what is asked for, undone and left."""

from types import SimpleNamespace

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtWidgets import QInputDialog

from chronotome.files.tempo_out import write_tempo_json
from chronotome.session.edits.metre import set_metre_from
from chronotome.session.edits.sections import add_section
from chronotome.session.edits.tempo import set_tempo_at, set_tempo_from
from chronotome.session.metre import Metre
from chronotome.session.tempo_points import points_of
from chronotome.ui.dialogs.metre import MetreDialog

SHIFT = Qt.KeyboardModifier.ShiftModifier


@pytest.fixture
def bent(at_work):
    """120 bpm, 90 from beat 4 on; a bar of 3/4 in the middle."""
    store = at_work.desk.store
    store.apply(lambda each: set_tempo_from(each, 4.0, 90.0), "Tempo")
    store.apply(lambda each: set_metre_from(each, 1, Metre(3, 4), bars=1), "Metre")
    at_work.settle()
    return at_work


def points(person):
    return [
        (round(each.beat, 6), round(each.bpm, 2), each.is_ramp) for each in points_of(person.session.tempo)
    ]


def metres(person):
    return [(each.bar, each.metre.words) for each in person.session.metre_changes]


def place_of(lane, number):
    xs, ys = lane._places()
    return float(xs[number]), float(ys[number])


def test_a_point_is_dragged_up_and_along_and_escape_leaves_no_trace(bent):
    lane = bent.window.timeline.tempo
    x, y = place_of(lane, 1)
    bent.drag(lane, (x, y), (x, y - 15), release=False)
    assert bent.session.tempo.at(4.0) > 100
    bent.press(Qt.Key.Key_Escape)
    bent.bot.mouseRelease(lane, Qt.MouseButton.LeftButton, pos=QPoint(round(x), round(y - 15)))
    assert points(bent) == [(0, 120, False), (4, 90, False)]
    low, high = lane._range()
    bent.drag(lane, (x, y), (x + 2, y - 15))
    rise = 15 * (high - low) / 30
    assert points(bent)[1] == (4, round(90 + rise), False)
    assert bent.desk.store.history.undo_label == "Move tempo point"
    bent.desk.store.undo()
    bent.window.commands.song.set_tempo_from(4.0, 91.5)
    x, y = place_of(lane, 1)
    bent.drag(lane, (x, y), (x, y - 15))
    assert points(bent)[1] == (4, 106, False)  # 105.75 without Shift
    bent.desk.store.undo()
    bent.desk.store.undo()
    x, y = place_of(lane, 1)
    bent.drag(lane, (x, y), (lane.x_of(bent.session.frame_of(2.1)), y + 3))
    assert points(bent)[1] == (2, 90, False)
    bent.drag(lane, place_of(lane, 1), (0, place_of(lane, 1)[1]))  # off the edge: behind the first point
    assert points(bent)[1][0] > 0


def test_a_double_click_adds_a_point_and_types_one_and_the_menu_ramps_it(bent, monkeypatch):
    lane, table = bent.window.timeline.tempo, bent.window.actions_table
    x = lane.x_of(bent.session.frame_of(6.1))
    bent.bot.mouseDClick(lane, Qt.MouseButton.LeftButton, pos=QPoint(round(x), 15))
    assert points(bent)[2][:2] == (6, 120)
    monkeypatch.setattr(QInputDialog, "getDouble", lambda *_given: (101.0, True))
    at = place_of(lane, 2)
    bent.bot.mouseDClick(lane, Qt.MouseButton.LeftButton, pos=QPoint(round(at[0]), round(at[1])))
    assert points(bent)[2] == (6, 101, False)
    assert lane.offers_at(*place_of(lane, 2)) == "tempo"
    table.run("tempo-even")
    assert points(bent)[2] == (6, 101, True)
    assert "ramp" in lane.told_at(QPoint(*map(round, place_of(lane, 2))).toPointF())
    table.run("tempo-gone")
    table.run("tempo-gone")
    assert bent.session.tempo.is_constant
    assert not lane.isVisible()
    assert "tempo change" in table.missing("tempo-gone")


def test_undone_under_the_hand_nothing_is_moved_and_a_tap_keeps_the_other_stretches(bent):
    lane, ruler, store = bent.window.timeline.tempo, bent.window.timeline.ruler, bent.desk.store
    x, y = place_of(lane, 1)
    bent.drag(lane, (x, y), (x, y - 8), release=False)
    box = ruler._metre_boxes()[-1][0].center()
    store.undo()
    store.undo()
    bent.move(lane, QPoint(round(x), round(y - 12)), Qt.KeyboardModifier.NoModifier)
    bent.bot.mouseRelease(lane, Qt.MouseButton.LeftButton, pos=QPoint(round(x), round(y - 12)))
    assert points(bent) == [(0, 120, False)]
    assert metres(bent) == []
    store.redo()
    store.redo()
    bent.drag(ruler, (box.x(), box.y()), (box.x() + 60, box.y()), release=False)
    store.undo()
    bent.move(ruler, QPoint(round(box.x()) + 200, round(box.y())), Qt.KeyboardModifier.NoModifier)
    bent.bot.mouseRelease(ruler, Qt.MouseButton.LeftButton)
    assert metres(bent) == []
    bent.desk.transport.go_to(bent.session.frame_of(5.0))
    store.apply(lambda each: set_tempo_at(each, each.beat_of(bent.desk.transport.position), 70.0), "Tap")
    assert [each[1] for each in points(bent)] == [120, 70]


def test_a_metre_is_dragged_to_another_bar_and_goes(bent):
    ruler, table = bent.window.timeline.ruler, bent.window.actions_table
    assert metres(bent) == [(1, "3/4"), (2, "4/4")]
    boxes = {words: box for box, _, words in ruler._metre_boxes()[1:]}
    start = boxes["4/4"].center()
    to = start.x() + ruler.x_of(bent.session.frame_of(10.0)) - ruler.x_of(bent.session.frame_of(7.0))
    bent.drag(ruler, (start.x(), start.y()), (to, start.y()), release=False)
    assert metres(bent) == [(1, "3/4"), (3, "4/4")]
    bent.press(Qt.Key.Key_Escape)
    assert metres(bent) == [(1, "3/4"), (2, "4/4")]
    bent.bot.mouseRelease(ruler, Qt.MouseButton.LeftButton)
    start = {words: box for box, _, words in ruler._metre_boxes()[1:]}["4/4"].center()
    bent.drag(ruler, (start.x(), start.y()), (to, start.y()))
    assert metres(bent) == [(1, "3/4"), (3, "4/4")]
    assert bent.session.loop is None  # no loop was dragged under it
    bent.desk.transport.go_to(bent.session.frame_of(10.5))
    table.run("metre-gone")
    assert metres(bent) == [(1, "3/4")]
    assert bent.window.transport.metre.currentText() == "3/4"
    bent.desk.transport.go_to(bent.session.frame_of(1.0))
    assert bent.window.transport.metre.currentText() == "4/4"
    assert "metre change" in table.missing("metre-gone")


def test_the_metre_dialog_takes_what_is_one_and_sections_have_theirs(bent, monkeypatch):
    dialog = MetreDialog(Metre(), "Metre:", None)
    ok = dialog._buttons.button(dialog._buttons.StandardButton.Ok)
    for words, is_one in (("13/8", True), ("4/5", False), ("", False), ("9/8", True)):
        dialog._box.setEditText(words)
        assert ok.isEnabled() == is_one
    dialog._bars.setValue(2)
    assert (dialog.metre, dialog.bars) == (Metre(9, 8), 2)

    def say(self):
        self._box.setEditText("7/8")
        self._bars.setValue(2)
        return 1

    monkeypatch.setattr(MetreDialog, "exec", say)
    bent.desk.transport.go_to(bent.session.frame_of(8.0))
    bent.window.actions_table.run("metre-here")
    assert metres(bent) == [(1, "3/4"), (2, "7/8"), (4, "4/4")]
    bent.desk.store.apply(lambda each: add_section(each, "verse", 0.0, 4.0), "Section")
    section = bent.session.sections[0]
    bent.window.commands.song.ask_section_metre(section)
    assert bent.session.first_metre == Metre(7, 8)
    monkeypatch.setattr(QInputDialog, "getDouble", lambda *_given: (150.0, True))
    bent.window.commands.song.ask_section_tempo(section)
    assert [bent.session.tempo.at(beat) for beat in (0.0, 3.9, 4.0)] == [150, 150, 90]


def test_taps_set_the_tempo_of_the_loop_and_are_one_step(bent, monkeypatch):
    from chronotome.session.edits.timing import set_loop
    from chronotome.ui.commands import song

    bent.desk.store.apply(lambda each: set_loop(each, 1.0, 3.0), "Loop")
    before = bent.session
    moments = iter(np.arange(6) * 0.4)
    monkeypatch.setattr(song, "time", SimpleNamespace(monotonic=lambda: float(next(moments))))
    for _ in range(6):
        bent.window.actions_table.run("tempo-tap")
    assert points(bent) == [(0, 120, False), (1, 150, False), (3, 120, False), (4, 90, False)]
    bent.desk.store.undo()
    assert bent.session == before


def test_a_tempo_map_of_a_file_is_taken_and_one_that_is_none_is_told(bent, tmp_path):
    write_tempo_json(tmp_path / "a.json", bent.session)
    tempo, metre = bent.session.tempo, bent.session.metre
    bent.desk.store.undo()
    bent.desk.store.undo()
    bent.window.commands.song.read_map(tmp_path / "a.json")
    bent.settle()
    assert (bent.session.tempo, bent.session.metre) == (tempo, metre)
    (tmp_path / "b.mid").write_bytes(b"no")
    errors = []
    bent.desk.tasks.error.connect(errors.append)
    bent.window.commands.song.read_map(tmp_path / "b.mid")
    bent.wait(lambda: bool(errors))
    assert "b.mid" in errors[0]
    assert "Choose a MIDI file" in errors[0]


def test_a_point_keeps_its_place_under_the_hand_with_shift(bent):
    lane = bent.window.timeline.tempo
    x, y = place_of(lane, 1)
    low, high = lane._range()
    bent.drag(lane, (x, y), (x, y - 15), modifier=SHIFT)
    assert points(bent)[1][1] == pytest.approx(90 + 1.5 * (high - low) / 30, abs=0.02)
