"""Fields in the window: entered and left on purpose, so that keys are the window's at all other times."""

import pytest
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtGui import QWheelEvent
from PySide6.QtWidgets import QApplication

from chronotome.ui.controls.field import Field, stepped
from chronotome.ui.state.view_state import Stage


@pytest.fixture
def fields(at_work):
    """Tempo in the transport bar, tempo and bars in Fit, the name in Rework."""
    at_work.tempo = at_work.window.transport.tempo
    at_work.fit = at_work.window.trays[Stage.FIT]
    return at_work


def tempo(person):
    return person.session.tempo.at(0.0)


def test_a_stage_key_after_enter_and_after_another_stage_is_no_digit(fields):
    """Typed and left by Enter: the field has the focus, and 3 is Tighten. Left by another stage: kept."""
    fields.type_into(fields.tempo, "148")
    assert (tempo(fields), fields.tempo.hasFocus()) == (148.0, True)
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_2)
    assert fields.desk.view.stage is Stage.FIT
    assert fields.tempo.text() == "148.00"

    fields.click(fields.tempo)
    fields.bot.keyClicks(fields.tempo, "3")
    assert fields.tempo.is_entered
    assert fields.desk.view.stage is Stage.FIT
    fields.tempo.setText("90,5")
    fields.desk.view.show_stage(Stage.MARK)
    assert (tempo(fields), fields.tempo.is_entered) == (90.5, False)
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_3)
    assert fields.desk.view.stage is Stage.TIGHTEN


def test_escape_restores_tab_keeps_and_enter_enters(fields):
    fields.type_into(fields.tempo, "77", Qt.Key.Key_Escape)
    assert (tempo(fields), fields.tempo.text(), fields.tempo.is_entered) == (120.0, "120.00", False)
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_Return)
    assert fields.tempo.is_entered
    assert fields.tempo.selectedText() == "120.00"
    fields.bot.keyClicks(fields.tempo, "99")
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_Tab)
    assert (tempo(fields), fields.tempo.is_entered) == (99.0, False)
    steps = len(fields.desk.store.history.past)
    fields.type_into(fields.tempo, "nothing")
    assert (tempo(fields), len(fields.desk.store.history.past)) == (99.0, steps)
    assert "is invalid" in fields.window.status.words.said


def test_what_is_being_typed_is_kept_by_a_save_and_by_closing_and_large_lanes_give_way_to_the_shelf(fields):
    fields.click(fields.tempo)
    fields.tempo.setText("101")
    fields.window.actions_table.run("zoom-in")
    assert (tempo(fields), fields.tempo.is_entered) == (101.0, False)
    fields.click(fields.tempo)
    fields.tempo.setText("102")
    control, done = Qt.KeyboardModifier.ControlModifier, []
    fields.window.actions_table.takes = lambda name: done.append(name) or True
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_S, control)
    assert (tempo(fields), done) == (102.0, ["save"])
    fields.window.actions_table.takes = lambda _name: False
    fields.window.toggle_large()
    fields.window.toggle_shelf()
    fields.wait(fields.window.shelf.isVisible)
    assert not fields.window.is_large


def test_arrows_step_a_number_and_the_wheel_only_one_that_is_entered(fields):
    def wheel(turns):
        here = QPointF(fields.tempo.rect().center())
        event = QWheelEvent(
            here, QPointF(fields.tempo.mapToGlobal(here)), QPoint(), QPoint(0, turns),
            Qt.MouseButton.NoButton, Qt.KeyboardModifier.NoModifier, Qt.ScrollPhase.NoScrollPhase, False,
        )  # fmt: skip
        QApplication.sendEvent(fields.tempo, event)

    wheel(120)
    assert tempo(fields) == 120.0
    fields.tempo.setFocus()
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_Up)
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_Down, Qt.KeyboardModifier.ShiftModifier)
    assert tempo(fields) == 120.9
    fields.click(fields.tempo)
    wheel(120)
    wheel(120)
    wheel(-120)
    assert fields.tempo.text() == "121.90"
    fields.bot.keyClick(fields.tempo, Qt.Key.Key_Return)
    assert tempo(fields) == 121.9
    assert not [each for each in fields.window.findChildren(Field) if each.is_entered]


@pytest.mark.parametrize(
    ("text", "by", "then"),
    [
        ("8", 1, "9"),
        ("148.00", -1, "147.00"),
        ("−0.5 dB", 1, "0.5 dB"),
        ("12 ms", 0.1, "12.1 ms"),
        ("a", 1, "a"),
    ],
)
def test_a_number_is_stepped_in_its_text(text, by, then):
    assert stepped(text, by) == then
