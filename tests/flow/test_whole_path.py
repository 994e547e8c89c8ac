"""The main job from end to end, as a person does it at the window."""

import numpy as np
import pytest
import soundfile
from PySide6.QtCore import Qt

from chronotome.dsp.audio import audio_of
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.files.journal import Journal, left_behind, recover
from chronotome.files.places import Settings
from chronotome.render.mix import Side
from chronotome.session.tighten import targets_of
from chronotome.ui.application import build
from chronotome.ui.state.view_state import Stage
from chronotome.ui.window.recovery import offer_recovery

CONTROL = Qt.KeyboardModifier.ControlModifier


def test_open_tighten_hear_undo_save_reopen_export(at_work, tmp_path, monkeypatch):
    tray = at_work.window.trays[Stage.TIGHTEN]
    at_work.drag(tray.strength, (tray.strength.x_of(50), 32), (tray.strength.x_of(100), 32))
    at_work.settle()
    session = at_work.session
    heard = at_work.listen(3.0)
    np.testing.assert_array_equal(heard[16:140000], at_work.offline(140000)[16:])

    at_work.press(Qt.Key.Key_M)
    at_work.press(Qt.Key.Key_Z, CONTROL)
    assert at_work.session is session

    folder = tmp_path / "Ferry"
    monkeypatch.setattr(
        "chronotome.ui.window.asked.QFileDialog.getSaveFileName", lambda *_args: (str(folder), "")
    )
    at_work.press(Qt.Key.Key_S, CONTROL)
    at_work.wait(lambda: at_work.desk.document.folder == folder)
    assert not at_work.desk.store.is_modified

    at_work.window.actions_table.run("new")
    assert not at_work.session.tracks
    at_work.window.open([folder])
    at_work.wait(lambda: bool(at_work.session.tracks))
    at_work.settle()
    assert at_work.session == session
    assert at_work.desk.store.history.undo_label == "Set strength"
    assert at_work.desk.store.history.redo_label == "Mute track"

    out = tmp_path / "tight.wav"
    at_work.window.export_tray.precision.choose(2)
    at_work.window.export_tray.export(out)
    at_work.settle()
    written, rate = soundfile.read(out, dtype="float32")
    np.testing.assert_array_equal(written, at_work.offline(len(written)))
    at_work.desk.view.show_stage(Stage.EXPORT)
    at_work.wait(lambda: at_work.window.timeline.evidence["proof"].proof is not None)
    assert at_work.window.timeline.evidence["proof"].proof.clicks == 0
    assert "no clicks" in at_work.window.export_tray.proof.text()
    assert at_work.window.rail.cards[Stage.EXPORT].figures.key == "tight.wav"

    found = detect_onsets(audio_of(written, rate))
    lines = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take).line
    distances = np.abs(found.frames[:, None] - lines[None]).min(axis=0)
    assert np.median(distances) <= 0.001 * rate


def test_a_killed_session_is_offered_back_and_comes_back(at_work, tmp_path, qtbot):
    at_work.desk.view.chosen.select(int(at_work.session.recordings[0].onsets.ids[5]))
    for _ in range(3):
        at_work.press(Qt.Key.Key_Down)
    at_work.window._journal.flush()
    session = at_work.session
    kept = at_work.window._journal.path.read_bytes()  # what the disk has when the process is killed
    state = tmp_path / "home"
    state.mkdir()
    (state / "killed.jsonl").write_bytes(kept)

    (journal,) = left_behind(state)
    window = build(Settings(), in_process=True, journal=Journal(tmp_path / "new journals"))
    brought = recover(journal)
    window.restore(brought)
    qtbot.waitUntil(lambda: window.desk.tasks.is_idle and window.desk.rendering.is_current)

    window._journal.flush()
    assert recover(window._journal.path).edits == brought.edits  # killed once more, it is offered once more
    assert window.desk.session == session
    assert window.desk.store.history.undo_label == "Nudge hit"
    assert window.desk.store.is_modified
    assert left_behind(state) == []
    window.desk.store.mark_saved(window.desk.session)
    window.close()


def test_recovery_asks_first(person, own_home, at_work):
    from chronotome.files.places import journal_folder

    at_work.window._journal.flush()
    journal_folder().mkdir(parents=True)
    (journal_folder() / "left.jsonl").write_bytes(at_work.window._journal.path.read_bytes())

    offer_recovery(at_work.window)

    from PySide6.QtWidgets import QMessageBox

    (box,) = [each for each in at_work.window.findChildren(QMessageBox) if each.isVisible()]
    assert "not closed properly" in box.text()
    next(button for button in box.buttons() if button.text() == "Discard").click()
    at_work.wait(lambda: not left_behind())


def test_a_failed_save_tells_and_the_session_goes_on(at_work, tmp_path):
    blocked = tmp_path / "a file"
    blocked.write_text("here")

    at_work.desk.document.save(blocked)
    at_work.wait(lambda: "a file with this name" in at_work.window.status.words.said)

    assert at_work.desk.store.is_modified
    assert at_work.desk.document.folder is None


def test_a_lost_recording_is_asked_for_and_found(at_work, tmp_path, hits_file):
    folder = tmp_path / "Ferry"
    at_work.desk.document.save(folder)
    at_work.wait(lambda: at_work.desk.document.folder == folder)
    elsewhere = tmp_path / "moved"
    elsewhere.mkdir()
    (folder / "audio" / "stairwell.wav").rename(elsewhere / "renamed.wav")

    at_work.window.open([folder])
    at_work.wait(lambda: bool(at_work.desk.recordings.lost))
    at_work.desk.recordings.find_missing([elsewhere])
    at_work.wait(lambda: not at_work.desk.recordings.lost)
    at_work.settle()

    assert len(at_work.desk.recordings.pool.ready()) == 1


@pytest.mark.parametrize("side", [Side.AS_PLAYED, Side.EDITED])
def test_edits_are_heard_while_it_plays_without_a_click(at_work, side):
    from chronotome.dsp.clicks import second_difference
    from chronotome.engine.control import Word

    player = at_work.window.player
    at_work.desk.transport.listen(side)
    at_work.desk.transport.go_to(24000)
    player.step(2)
    first = player.control.get(Word.PLAYED)
    at_work.desk.transport.play()
    player.step(20)
    at_work.desk.view.chosen.select(int(at_work.session.recordings[0].onsets.ids[5]))
    for key in (Qt.Key.Key_Down, Qt.Key.Key_Up, Qt.Key.Key_A, Qt.Key.Key_A):
        at_work.press(key)
        at_work.wait(lambda: at_work.desk.rendering.is_current)
        player.step(4)

    heard = player.played()[first:]
    roughest = second_difference(at_work.offline(200000, Side.AS_PLAYED)).max()
    assert second_difference(heard).max() <= 2 * roughest
    assert player.control.get(Word.ADOPTED_SERIAL) > 2
