"""The window's panels and lanes: dragged, folded, out on a rim; and a second window on the session."""

import pytest
from PySide6.QtCore import QEvent, QPoint, QPointF, Qt
from PySide6.QtGui import QCursor, QEnterEvent, QMouseEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QWidget

from chronotome.files.places import load_settings
from chronotome.session.edits.tempo import set_tempo
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.view_state import Stage
from sounds import noise_hits, write


@pytest.fixture
def three_tracks(at_work, tmp_path):
    for name in ("second", "third"):
        write(tmp_path / f"{name}.wav", noise_hits([3000, 60000], 200000, rate=48000), rate=48000)
        at_work.window.open([tmp_path / f"{name}.wav"])
        at_work.settle()
    return at_work


def pull(grip, by, *, release=True):
    """A grip that goes along with the pointer."""
    left, none = Qt.MouseButton.LeftButton, Qt.MouseButton.NoButton
    local = QPointF(2, min(200, grip.height() / 2))
    start = QPointF(grip.mapToGlobal(local))
    moves = [
        (QEvent.Type.MouseButtonPress, 0, left),
        *((QEvent.Type.MouseMove, share, none) for share in (0.5, 1)),
    ]
    for kind, share, button in moves + [(QEvent.Type.MouseButtonRelease, 1, left)] * release:
        there = start + QPointF(by[0] * share, by[1] * share)
        held = none if kind is QEvent.Type.MouseButtonRelease else left
        event = QMouseEvent(kind, local, there, button, held, Qt.KeyboardModifier.NoModifier)
        QApplication.sendEvent(grip, event)
        QTest.qWait(1)


def top(lane):
    return lane.mapToGlobal(QPoint(0, 0)).y()


def test_a_folded_tray_comes_out_over_the_lanes_under_the_pointer_and_by_key(at_work, monkeypatch):
    window, side = at_work.window, at_work.window.tray_side
    tray, before = window.trays[Stage.TIGHTEN], window.timeline.width()
    at_work.press(Qt.Key.Key_F7)
    at_work.wait(lambda: window.timeline.width() > before + 250)
    wide = window.timeline.width()
    assert not tray.isVisible()
    assert side.rim.isVisible()
    assert "Strength 50 %" in side.rim.figures

    place = {"at": side.rim.mapToGlobal(QPoint(5, 300))}
    monkeypatch.setattr(QCursor, "pos", lambda: place["at"])
    QApplication.sendEvent(side.rim, enter_event())
    at_work.wait(tray.isVisible)
    assert window.timeline.width() == wide
    place["at"] = tray.mapToGlobal(QPoint(20, 300))
    QTest.qWait(400)
    assert tray.isVisible()
    place["at"] = window.timeline.wave.mapToGlobal(QPoint(200, 50))
    at_work.wait(lambda: not tray.isVisible())

    at_work.press(Qt.Key.Key_F6)
    assert tray.isAncestorOf(window.focusWidget())
    QTest.qWait(400)
    assert tray.isVisible(), "it stays while the keys are in it"
    slider = next(each for each in tray.findChildren(ValueSlider) if each.accessibleName() == "Strength")
    slider.setFocus()
    at_work.press_in(slider, Qt.Key.Key_Right)
    assert "Strength 51 %" in side.rim.figures
    at_work.press(Qt.Key.Key_Escape)
    assert not tray.isVisible()
    at_work.press(Qt.Key.Key_F7)
    at_work.wait(lambda: window.timeline.width() == before)


def enter_event():
    return QEnterEvent(QPointF(5, 300), QPointF(5, 300), QPointF(5, 300))


def test_a_panel_is_dragged_wider_escape_takes_it_back_far_enough_it_folds(at_work):
    window, side = at_work.window, at_work.window.tray_side
    grip, usual = side.grip, side.wide
    pull(grip, (-60, 0))
    assert side.wide == usual + 60
    at_work.wait(lambda: window.trays[Stage.TIGHTEN].width() >= usual + 50)
    pull(grip, (40, 0), release=False)
    assert side.wide == usual + 20
    at_work.press(Qt.Key.Key_Escape)
    assert side.wide == usual + 60
    pull(window.rail_side.grip, (-90, 0))
    assert window.rail_side.is_folded
    assert not window.rail.isVisible()
    rim = window.rail_side.rim
    at_work.click(rim, tuple(rim.row_of(Stage.FIT).center().toTuple()))
    assert at_work.desk.view.stage is Stage.FIT
    window.actions_table.run("usual-layout")
    assert (side.wide, window.rail.isVisible()) == (usual, True)


def test_how_a_session_stood_it_stands_again(three_tracks, tmp_path):
    person, window = three_tracks, three_tracks.window
    person.desk.document.save(tmp_path / "kept")
    person.settle()
    stack = window.timeline.stack
    handle = stack.handle(stack.indexOf(window.timeline.evidence["drift"]))
    before = window.timeline.wave.height()
    pull(handle, (0, 80))
    assert abs(window.timeline.wave.height() - before - 80) <= 2
    taller = window.timeline.wave.height()
    person.desk.view.show_stage(Stage.MARK)
    person.desk.view.show_stage(Stage.TIGHTEN)
    person.wait(lambda: window.timeline.wave.height() == taller)
    person.press(Qt.Key.Key_F7)
    person.press(Qt.Key.Key_F9)
    person.desk.document.new()
    window.usual_layout()
    assert not window.is_large

    window.open([tmp_path / "kept"])
    person.settle()
    assert window.is_large
    person.press(Qt.Key.Key_F9)
    assert window.tray_side.is_folded
    person.press(Qt.Key.Key_F7)
    person.wait(lambda: abs(window.timeline.wave.height() - taller) <= 2)
    person.double_click(handle, (300, 0))
    person.wait(lambda: abs(window.timeline.wave.height() - before) <= 2)


def test_a_track_grows_in_its_place_among_the_others(three_tracks):
    timeline, view = three_tracks.window.timeline, three_tracks.desk.view
    first, second, third = (track.id for track in three_tracks.session.tracks)
    view.chosen.focus(first)
    kept = {lane.track_id: lane for lane in timeline.context_lanes}
    assert list(kept) == [second, third]
    three_tracks.click(kept[second], (30, 8))
    QTest.qWait(20)
    assert view.chosen.focused.id == second
    above, below = timeline.context_lanes
    assert (above.track_id, below.track_id) == (first, third)
    assert below is kept[third]
    assert top(above) < top(timeline.wave) < top(below)
    three_tracks.press(Qt.Key.Key_PageDown)
    QTest.qWait(20)
    assert [lane.track_id for lane in timeline.context_lanes] == [first, second]
    assert top(timeline.context_lanes[1]) < top(timeline.wave)


def test_a_second_window_shows_another_stage_of_the_same_session(at_work):
    window = at_work.window
    window.actions_table.run("new-window")
    second = window.second
    assert second.desk.view.stage is Stage.REWORK
    second.desk.view.show_stage(Stage.EXPORT)
    assert at_work.desk.view.stage is Stage.TIGHTEN
    at_work.wait(lambda: at_work.desk.proving.proof is not None)
    assert second.windowTitle().endswith("(2) – Chronotome")

    second.actions_table.run("mute")
    assert at_work.session.tracks[0].is_muted
    at_work.bot.keyClick(second, Qt.Key.Key_Z, Qt.KeyboardModifier.ControlModifier)
    assert not at_work.session.tracks[0].is_muted
    second.resize(1100, 720)
    second.close()
    assert not second.isVisible()
    assert window.isVisible()
    assert load_settings().second_window
    window.new_window()
    assert window.second is second
    at_work.desk.store.mark_saved(at_work.desk.store.history.session)
    second.quit()
    assert not window.isVisible()
    assert not second.isVisible()


@pytest.mark.parametrize("stage", list(Stage))
def test_tab_goes_through_transport_stages_tracks_and_tray_and_misses_nothing(three_tracks, stage):
    window = three_tracks.window
    three_tracks.desk.view.chosen.focus(three_tracks.session.tracks[1].id)
    three_tracks.desk.view.show_stage(stage)
    QTest.qWait(20)
    window.setFocus()
    panels, visited = [window.transport, window.rail, window.timeline, window.trays[stage]], []
    while True:
        QTest.keyClick(window.focusWidget() or window, Qt.Key.Key_Tab)
        if window.focusWidget() in visited:
            break
        visited.append(window.focusWidget())
    order = [next(at for at, each in enumerate(panels) if each.isAncestorOf(widget)) for widget in visited]
    assert order == sorted(order)
    tracks = [top(each) for each in visited if each.accessibleName().startswith(("Mute, ", "Solo, "))]
    assert tracks == sorted(tracks)
    takes = Qt.FocusPolicy.TabFocus
    shown = [each for each in window.findChildren(QWidget) if each.isVisible() and each.isEnabled()]
    missed = {each for each in shown if each.focusPolicy() & takes} - set(visited)
    assert not missed


def test_escape_ends_what_began_last(at_work):
    view, decision, run = at_work.desk.view, at_work.window.decision, at_work.window.actions_table.run
    run("put-on-keys")
    view.chosen.select(at_work.session.recordings[0].onsets.ids[3])
    at_work.desk.store.apply(lambda s: set_tempo(s, 97.0), "Tempo")
    at_work.wait(lambda: decision.decision is not None)
    run("play-keys")
    at_work.press(Qt.Key.Key_F7)
    at_work.press(Qt.Key.Key_F6)
    assert at_work.window.tray_side.is_out
    at_work.press(Qt.Key.Key_Escape)
    assert not at_work.window.tray_side.is_out
    assert at_work.window.commands.playing.is_on
    at_work.press(Qt.Key.Key_Escape)
    assert not at_work.window.commands.playing.is_on
    asked = decision.about
    assert asked is not None
    view.chosen.select(at_work.session.recordings[0].onsets.ids[5])
    at_work.press(Qt.Key.Key_Escape)
    assert (view.chosen.onset, decision.about) == (None, asked)
    at_work.press(Qt.Key.Key_Escape)
    at_work.wait(lambda: decision.about != asked)
