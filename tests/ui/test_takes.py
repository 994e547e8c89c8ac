"""Takes from the simulated input at the window: their delay measured, recorded, kept until they are saved."""

import os
import resource
import signal

import numpy as np
import pytest
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QMessageBox

from chronotome.engine.control import Word
from chronotome.engine.input import SIMULATED_DELAY, SimulatedInput
from chronotome.files.audio_file import read_audio
from chronotome.files.journal import Journal
from chronotome.files.places import Settings
from chronotome.files.take_writer import FRAME_BYTES
from chronotome.files.takes import TakeInfo, describe, left_behind, new_take, takes_folder
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_click
from chronotome.session.edits.tracks import set_muted
from chronotome.session.model import replace
from chronotome.ui.application import application, build
from chronotome.ui.commands import playing
from chronotome.ui.dialogs.loopback import LoopbackDialog
from chronotome.ui.window.recovery import offer_takes
from conftest import Person
from sounds import noise_hits, write

RATE = 48000


@pytest.fixture
def singer(qtbot, tmp_path, monkeypatch):
    """A window whose sound runs in a process of its own; the simulated input plays sixteen hits."""
    hits = noise_hits([1200 + 12000 * place for place in range(16)], 17 * 12000, rate=RATE, channels=2)
    monkeypatch.setattr(playing, "PERFORMANCE", write(tmp_path / "performance.wav", hits, rate=RATE))
    application()
    window = build(Settings(), output="simulated", journal=Journal(tmp_path / "journals"))
    window.show()
    someone = Person(window, qtbot)
    someone.hits, someone.folder = hits, tmp_path
    other = noise_hits([0], 17 * 12000, rate=RATE, seed=9)
    window.open([write(tmp_path / "other.wav", other, rate=RATE)])
    someone.settle()
    someone.desk.store.apply(lambda s: set_tempo(s, 120.0), "Tempo")
    yield someone
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()
    window.deleteLater()
    qtbot.wait(1)


def record(person, seconds):
    """A take of so many seconds, by its key and Space; where it was played, and its samples."""
    taking = person.desk.taking
    person.press(Qt.Key.Key_F, Qt.KeyboardModifier.ControlModifier)
    person.bot.waitUntil(lambda: taking.is_on and taking._player.take_frames > seconds * RATE, timeout=15000)
    person.press(Qt.Key.Key_Space)
    person.bot.waitUntil(lambda: any(each.name == "Take 1" for each in person.session.tracks), timeout=10000)
    person.settle()
    track = next(each for each in person.session.tracks if each.name == "Take 1")
    assert person.desk.view.chosen.focused is track
    return track.clips[0].take, read_audio(person.desk.recordings.places[track.clips[0].recording]).samples


def off_by(person, take, samples):
    """By how many frames a take lies beside what was performed."""
    count, found = 14000, []
    for after in range(100, 56000, count):  # of several places, since a busy machine loses a block
        performed = person.hits[take.start + after : take.start + after + count, 0]
        starts = take.source_start + after + np.arange(-100, 1500)
        unlike = [float((samples[start : start + count, 0] - performed).std()) for start in starts]
        if min(unlike) < 0.02:  # beside it 0.06
            found.append(int(np.argmin(unlike)) - 100)
    return min(found, key=abs)


def test_a_take_lies_where_it_was_played_once_its_delay_is_measured(singer, monkeypatch):
    take, samples = record(singer, 2.0)
    raw = off_by(singer, take, samples)
    singer.window.undo()
    shown = []

    def measure(dialog):
        shown.append(dialog)
        dialog.keep.click()
        singer.bot.waitUntil(lambda: dialog.measured is not None, timeout=24000)
        shown.append(dialog.words.text())
        dialog.keep.click()
        return dialog.result()

    monkeypatch.setattr(LoopbackDialog, "exec", measure)
    singer.window.actions_table.run("input-delay")
    dialog, words = shown
    take, samples = record(singer, 2.0)

    assert abs(raw - SIMULATED_DELAY * RATE) <= 1
    assert dialog.measured == pytest.approx(SIMULATED_DELAY * 1000, abs=0.03)
    assert abs(off_by(singer, take, samples)) <= 1
    assert "Three measurements agree to ±0.0" in words
    assert "JACK" not in words


def test_a_take_is_kept_until_the_session_has_it_and_asked_about_where_none_has(singer):
    record(singer, 1.0)
    (path,) = takes_folder().glob("*.wav")
    assert left_behind() == []  # a window has it

    for held in singer.desk.taking._kept.held.values():
        held.let_go()  # as if it had been killed
    (found,) = left_behind()
    assert offer_takes(singer.window)
    assert (found.path, found.about.track) == (path, "Take 1")
    (box,) = singer.window.findChildren(QMessageBox)
    next(each for each in box.buttons() if each.text() == "Restore").click()
    singer.settle()
    assert sum(each.name == "Take 1" for each in singer.session.tracks) == 2

    singer.desk.document.saved.emit()  # of a save that did not take it along
    assert path.is_file()
    singer.desk.document.save(singer.folder / "saved")
    singer.settle()
    assert list(takes_folder().iterdir()) == []
    assert len({each.recording for _, each in singer.session.clips}) == 2
    assert all(path.is_file() for path in singer.desk.recordings.places.values())


def test_what_was_recorded_before_the_sound_s_process_was_killed_is_a_take(singer):
    taking = singer.desk.taking
    singer.window.actions_table.run("take")
    singer.bot.waitUntil(lambda: taking.is_on and taking._player.take_frames > RATE, timeout=15000)
    os.kill(taking._player._child.pid, signal.SIGKILL)
    singer.bot.waitUntil(lambda: any(each.name == "Take 1" for each in singer.session.tracks), timeout=15000)

    assert next(each for each in singer.session.recordings if "take" in each.file).frames > 0.9 * RATE
    assert not taking.is_on


@pytest.mark.parametrize("ends", ["full", "killed"])
def test_a_take_that_cannot_be_written_on_is_told_at_once_and_what_was_written_is_kept(singer, ends):
    taking, said = singer.desk.taking, []
    singer.desk.tasks.error.connect(said.append)
    singer.window.actions_table.run("take")
    singer.bot.waitUntil(lambda: taking.is_on and taking._player.take_frames > RATE, timeout=15000)
    writer, path = taking._running.writer.pid, taking._running.path
    singer.bot.waitUntil(lambda: path.stat().st_size > 0.9 * RATE * FRAME_BYTES, timeout=15000)
    if ends == "full":
        size = path.stat().st_size
        resource.prlimit(writer, resource.RLIMIT_FSIZE, (size, size))
    else:
        os.kill(writer, signal.SIGKILL)

    singer.bot.waitUntil(lambda: not taking.is_on, timeout=3000)
    singer.bot.waitUntil(lambda: bool(said), timeout=15000)

    (recording,) = [each for each in singer.session.recordings if "take" in each.file]
    assert recording.frames > 0.7 * RATE
    assert f"Its first {recording.frames / RATE:.1f} s were kept" in said[0]
    assert ("too large" if ends == "full" else "process ended") in said[0]


def test_with_a_count_in_what_was_recorded_before_bar_one_is_left_out(singer):
    singer.desk.store.apply(lambda s: set_click(s, replace(s.click, count_in=1)), "Count in")
    singer.desk.store.apply(lambda s: set_tempo(s, 240.0), "Tempo")
    singer.desk.preferences.keep(input_ms={SimulatedInput.words: 1000 * SIMULATED_DELAY})
    take, samples = record(singer, 3.2)
    count = 1.0 * RATE  # a bar at 240
    assert take.start == 0
    assert count < take.source_start < count + 0.8 * RATE
    assert abs(off_by(singer, take, samples)) <= 1


def test_what_the_input_hears_is_heard_while_it_is_wanted_and_its_level_shown(singer):
    desk, player, meter = singer.desk, singer.window.player, singer.window.transport.meter
    singer.desk.store.apply(lambda s: set_muted(s, s.tracks[0].id, True), "Muted")
    singer.settle()

    def loudest():
        before = player.control.get(Word.PLAYED)
        desk.transport.go_to(0)
        desk.transport.play()
        singer.bot.waitUntil(lambda: player.control.get(Word.PLAYED) > before + 2 * RATE, timeout=8000)
        desk.transport.stop()
        return float(np.abs(player.played()[before:]).max())

    assert loudest() == 0.0
    singer.window.actions_table.run("hear-input")
    singer.bot.waitUntil(lambda: desk.taking.words == SimulatedInput.words, timeout=8000)
    assert loudest() > 0.2
    assert meter._input is not None
    assert "input" in singer.window.status.state.text()
    singer.window.actions_table.run("hear-input")
    singer.bot.waitUntil(lambda: not desk.taking.words, timeout=8000)
    assert loudest() == 0.0
    assert meter._input is None
    assert not desk.taking.is_on


def test_where_nothing_comes_back_the_delay_is_not_guessed_and_can_be_measured_again(singer, monkeypatch):
    dialogs = []

    def measure(dialog):
        dialogs.append(dialog)
        dialog._loopback.spread = 0.007
        for seconds, loudest in ((0.02, 0.4), (None, 0.0), (None, 0.4)):
            dialog._loopback.measured.emit(seconds, loudest)
            dialogs.append(dialog.words.text())
        dialog.measured = None
        dialog.keep.click()  # once more
        assert dialog._loopback.is_on
        dialog.reject()
        return dialog.result()

    monkeypatch.setattr(LoopbackDialog, "exec", measure)
    singer.window.actions_table.run("input-delay")
    dialog, unsteady, nothing, unclear = dialogs
    assert "±7.00 ms. Takes can be off by as much. For exact takes, choose JACK" in unsteady
    assert nothing.startswith("No signal. Check the cable, the input and its level.")
    assert unclear.startswith("The sounds are hidden in noise. Raise the level and measure again. Connect")
    assert not dialog._loopback.is_on
    assert singer.desk.preferences.settings.input_ms == {}


def test_a_folder_that_cannot_be_written_is_told_and_nothing_is_recorded(singer, monkeypatch):
    said = []
    singer.desk.tasks.error.connect(said.append)
    takes_folder().parent.mkdir(parents=True, exist_ok=True)
    takes_folder().write_text("no folder")
    singer.window.actions_table.run("take")
    singer.bot.waitUntil(lambda: bool(said), timeout=8000)

    assert "takes" in said[0]
    assert not singer.desk.taking.is_on
    assert not singer.desk.transport.is_playing
    takes_folder().unlink()
    singer.window.actions_table.run("take")
    singer.bot.waitUntil(lambda: singer.desk.taking.is_on, timeout=8000)


def test_a_window_that_is_closed_while_it_records_leaves_a_whole_take(singer):
    taking = singer.desk.taking
    singer.window.actions_table.run("take")
    singer.bot.waitUntil(lambda: taking.is_on and taking._player.take_frames > RATE, timeout=15000)
    writer, frames = taking._running.writer, taking._player.take_frames
    singer.desk.store.mark_saved(singer.desk.store.history.session)
    singer.window.close()

    assert writer.poll() == 0
    ((path, about),) = [(each.path, each.about) for each in left_behind()]
    assert len(read_audio(path).samples) >= frames
    assert about.track == "Take 1"


def test_the_first_take_of_an_empty_session_goes_on_until_it_is_ended(singer):
    singer.desk.store.mark_saved(singer.desk.store.history.session)
    singer.window.session_files.new()
    singer.settle()
    assert singer.session.tracks == ()
    singer.desk.preferences.keep(input_ms={SimulatedInput.words: 1000 * SIMULATED_DELAY})
    take, samples = record(singer, 2.5)  # longer than a second past the end of nothing
    assert take.source_end - take.source_start > 1.8 * RATE
    assert abs(off_by(singer, take, samples)) <= 1


def test_a_take_over_a_session_that_was_left_meanwhile_is_not_put_into_the_next_one(singer):
    taking, said = singer.desk.taking, []
    singer.desk.tasks.told.connect(said.append)
    singer.window.actions_table.run("take")
    singer.bot.waitUntil(lambda: taking.is_on and taking._player.take_frames > RATE, timeout=15000)
    singer.desk.store.mark_saved(singer.desk.store.history.session)
    singer.window.session_files.new()
    singer.desk.transport.stop()
    singer.bot.waitUntil(lambda: any("is kept, as another session" in words for words in said), timeout=10000)
    singer.settle()
    assert singer.session.tracks == ()
    assert [each.about.track for each in left_behind()] == ["Take 1"]


def test_a_take_that_was_killed_before_anything_came_is_gone_without_a_word(person):
    path, descriptor = new_take()
    os.close(descriptor)
    describe(path, TakeInfo("Take 1", RATE))
    said = person.window.status.words.said

    assert not offer_takes(person.window)

    assert not path.exists()
    assert person.window.status.words.said == said
