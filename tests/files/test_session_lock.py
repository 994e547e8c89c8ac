import os
import signal
import subprocess
import sys
import time

import pytest
from PySide6.QtWidgets import QMessageBox

from chronotome.files.session_file import load_session, save_session
from chronotome.files.session_lock import NAME, Holder, SessionLock, take
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.history import History
from chronotome.ui.commands.session_files import DEMO_SESSION
from strategies import simple_session, with_audio

HOLDS = """
import sys, time
from pathlib import Path
from chronotome.files.session_lock import take
lock = take(Path(sys.argv[1]))
print("held", flush=True)
time.sleep(60)
"""


@pytest.fixture
def saved(tmp_path):
    session, places = with_audio(simple_session([0, 6000], 20000), tmp_path)
    save_session(tmp_path / "ferry", History(session), places)
    return tmp_path / "ferry"


@pytest.fixture
def other(saved):
    """Another process that has the session open."""
    child = subprocess.Popen([sys.executable, "-c", HOLDS, str(saved)], stdout=subprocess.PIPE, text=True)
    assert child.stdout.readline() == "held\n"
    yield child
    child.kill()
    child.communicate()


def test_a_session_is_held_by_one_and_free_after_its_end_whatever_that_is(saved, other):
    told = take(saved)
    assert told == Holder(other.pid, os.uname().nodename)
    assert told.words == f"in another window (process {other.pid})"
    assert "on elsewhere" in Holder(7, "elsewhere").words

    other.send_signal(signal.SIGKILL)
    other.wait()
    lock = take(saved)

    assert isinstance(lock, SessionLock)
    lock.release()
    assert not (saved / NAME).exists()


@pytest.mark.parametrize("text", ["", "nonsense", '{"process": -1}', "x" * 9999])
def test_a_lock_that_says_nonsense_is_still_a_lock(saved, other, text):
    (saved / NAME).write_text(text)

    assert take(saved).words == "in another window"


def test_a_planted_link_is_no_lock_and_is_not_followed(saved, tmp_path):
    (tmp_path / "precious").write_text("precious")
    (saved / NAME).symlink_to(tmp_path / "precious")

    assert take(saved) is None
    assert (tmp_path / "precious").read_text() == "precious"


def test_a_session_that_is_open_elsewhere_is_opened_as_a_copy_or_not_at_all(person, saved, other, qtbot):
    person.window.open([saved])
    person.wait(lambda: bool(person.window.findChildren(QMessageBox)))
    (box,) = person.window.findChildren(QMessageBox)
    assert f"process {other.pid}" in box.text()
    assert not person.session.recordings

    next(button for button in box.buttons() if button.text() == "Open a copy").click()
    person.wait(lambda: bool(person.session.recordings))
    person.settle()

    assert person.desk.document.folder is None


@pytest.mark.parametrize("is_demo", [True, False])
def test_nothing_is_written_into_a_session_that_is_open_as_a_copy(person, saved, tmp_path, is_demo):
    folder, desk, told = DEMO_SESSION if is_demo else saved, person.desk, []
    before = sorted(path.name for path in folder.rglob("*"))
    desk.tasks.told.connect(told.append)
    desk.document.open_session(folder, as_copy=True)
    person.wait(lambda: bool(person.session.recordings))
    person.settle()
    content = person.session.recordings[0].content

    desk.fits.write(content)
    assert "Save this copy first" in told[-1]
    assert sorted(path.name for path in folder.rglob("*")) == before

    desk.document.save(tmp_path / "mine")
    person.settle()
    desk.fits.write(content)
    assert told[-1].startswith(f"Saved {tmp_path / 'mine' / 'audio'}")


def test_nobody_saves_over_a_session_that_is_open_elsewhere(at_work, saved, other):
    errors, before = [], (saved / "session.json").read_bytes()
    at_work.desk.tasks.error.connect(errors.append)

    at_work.desk.document.save(saved)
    at_work.settle()

    assert "is open in another window" in errors[0]
    assert (saved / "session.json").read_bytes() == before


def test_what_a_killed_save_left_is_gone_once_the_session_is_open_again(person, saved):
    name = ".chronotome-0123456789abcdef.part"
    left = [saved / name, saved / "audio" / name]
    theirs = saved / "audio" / ".theirs.part"
    for path in (*left, theirs):
        path.write_text("half")

    person.window.open([saved])
    person.wait(lambda: bool(person.session.recordings))
    person.settle()

    assert not any(path.exists() for path in left)
    assert theirs.exists()


def is_held(folder):
    """Whether another process would have to wait."""
    words = "import sys; from pathlib import Path; from chronotome.files.session_lock import Holder, take"
    words = f"{words}; print(isinstance(take(Path(sys.argv[1])), Holder))"
    return subprocess.check_output([sys.executable, "-c", words, str(folder)], text=True) == "True\n"


def test_the_lock_goes_with_the_session(person, saved, tmp_path):
    document = person.desk.document
    person.window.open([saved])
    person.wait(lambda: bool(person.session.recordings))
    person.settle()
    assert is_held(saved)

    person.desk.store.apply(lambda session: set_tempo(session, 99.0), "Set tempo")
    document.save(saved)
    person.settle()
    document.save(tmp_path / "elsewhere")
    person.settle()

    assert load_session(saved).history.session.tempo.at(0.0) == 99.0
    assert not (saved / NAME).exists()
    assert is_held(tmp_path / "elsewhere")
    document.new()
    assert not (tmp_path / "elsewhere" / NAME).exists()


def test_nobody_waits_for_himself(person, saved, tmp_path):
    """Opened twice, saved twice into a new folder, before the first is done."""
    errors, document = [], person.desk.document
    person.desk.tasks.error.connect(errors.append)
    document.held.connect(lambda _path, _holder: errors.append("held"))
    document.open_session(saved)
    document.open_session(saved)
    person.wait(lambda: bool(person.session.recordings))
    person.settle()
    assert is_held(saved)

    document.save(tmp_path / "new")
    document.save(tmp_path / "new")
    person.settle()

    assert not errors
    assert not is_held(saved)
    assert is_held(tmp_path / "new")
    document.close()
    assert not is_held(tmp_path / "new")
    assert load_session(tmp_path / "new").history.session == person.session


def test_what_another_session_sounded_like_is_forgotten(at_work):
    cache, arena = at_work.desk.rendering._renderer.cache, at_work.desk.recordings.arena
    assert cache.bytes > 0

    at_work.desk.document.new()
    for _ in range(100):
        at_work.desk.rendering.ask()
        at_work.window.player.step(2)
        at_work.desk.rendering.wait()
        if arena.resident_bytes == 0:
            break
        time.sleep(0.02)

    assert cache.bytes == 0
    assert arena.resident_bytes < 1 << 20
