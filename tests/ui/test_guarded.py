import sys

import pytest

from chronotome.ui import guarded
from chronotome.ui.view_state import Stage


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
