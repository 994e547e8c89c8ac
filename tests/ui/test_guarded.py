import sys

import pytest
from PySide6.QtCore import QEvent, QPointF, Qt
from PySide6.QtGui import QMouseEvent
from PySide6.QtWidgets import QApplication

from chronotome.ui.state import guarded
from chronotome.ui.state.view_state import Stage


@pytest.mark.parametrize("stage", [Stage.MARK, Stage.TIGHTEN])
def test_a_paint_that_raises_is_told_in_its_place_and_reported_once(at_work, monkeypatch, stage):
    reported = []
    monkeypatch.setattr(sys, "excepthook", lambda *told: reported.append(told))
    monkeypatch.setattr(guarded, "_reported", set())
    wave = at_work.window.timeline.wave
    at_work.desk.view.show_stage(stage)
    whole = wave.grab().toImage()

    def fail(*_):
        raise ValueError("out of bounds")

    with monkeypatch.context() as broken:
        broken.setattr(type(wave), "paint_content", fail)
        for _ in range(3):
            assert wave.grab().toImage() != whole
            at_work.window.grab()

    assert [kind for kind, _, _ in reported] == [ValueError]
    assert wave.grab().toImage() == whole


def test_what_c_raises_in_a_handler_does_not_end_the_program(at_work, monkeypatch):
    """In Python 3.11 it is no object yet, and the binding would take it for one."""
    lane, raised = at_work.window.timeline.wave, []
    at_work.desk.view.show_stage(Stage.FIT)
    monkeypatch.setattr(type(lane), "_put_playhead", lambda *_: 1.5 * 10**400)
    press, left = QEvent.Type.MouseButtonPress, Qt.MouseButton.LeftButton
    none, place = Qt.KeyboardModifier.NoModifier, QPointF(300, 60)

    for _ in range(3):
        try:
            QApplication.sendEvent(lane, QMouseEvent(press, place, place, left, left, none))
        except OverflowError as error:
            raised.append(str(error))

    assert len(raised) == 3
    assert "int too large" in raised[0]
