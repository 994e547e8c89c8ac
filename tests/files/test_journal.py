import errno
import signal
import subprocess
import sys
import textwrap
import time

import pytest

from chronotome.files import writing
from chronotome.files.journal import Journal, discard, left_behind, recover
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.history import History
from strategies import simple_session

SCRIPT = """
    import sys, time
    from pathlib import Path
    sys.path[:0] = sys.argv[2].split(":")
    from strategies import simple_session
    from chronotome.files.journal import Journal
    from chronotome.session.edits.tempo import set_tempo
    from chronotome.session.history import History

    history = History(simple_session([0, 6000], 20000))
    journal = Journal(Path(sys.argv[1]))
    journal.start(history, {}, None)
    for number in range(100000):
        history = history.then(set_tempo(history.session, 60 + number % 100), f"Edit {number}")
        journal.happened("then", history)
        journal.flush()
        print(number, flush=True)
"""


@pytest.fixture
def journal(tmp_path):
    made = Journal(tmp_path)
    yield made
    made.finish()


def edited(journal, count):
    history = History(simple_session([0, 6000], 20000))
    journal.start(history, {}, None)
    for number in range(count):
        history = history.then(set_tempo(history.session, 60.0 + number), f"Edit {number}")
        journal.happened("then", history)
    return history


def test_edits_undo_and_redo_come_back(journal):
    history = edited(journal, 5)
    for kind in ("undo", "undo", "redo"):
        history = history.undone() if kind == "undo" else history.redone()
        journal.happened(kind, history)
    journal.flush()

    found = recover(journal.path)

    assert found.edits == 8
    assert found.history.session == history.session
    assert found.history.undo_label == "Edit 3"
    assert found.history.redo_label == "Edit 4"


def test_what_the_machine_found_out_is_no_edit_to_be_brought_back(journal):
    history = edited(journal, 0)
    journal.happened("amend", history.amended(set_tempo(history.session, 77.0)))
    journal.flush()
    assert recover(journal.path) is None

    journal.happened("then", history.then(set_tempo(history.session, 66.0), "Edit"))
    journal.flush()
    assert recover(journal.path).edits == 1


def test_a_running_session_is_not_offered_and_an_orderly_end_leaves_nothing(journal, tmp_path):
    edited(journal, 2)
    journal.flush()

    while_running = left_behind(tmp_path)

    journal.finish()
    assert while_running == []
    assert list(tmp_path.iterdir()) == []


def test_a_new_start_forgets_what_was_saved(journal):
    history = edited(journal, 2)
    journal.start(history, {}, None)
    journal.flush()

    assert recover(journal.path) is None


@pytest.mark.parametrize("wait", [0.0, 0.05, 0.11])
def test_killed_at_any_moment_all_that_was_told_comes_back(tmp_path, wait):
    script = tmp_path / "editing.py"
    script.write_text(textwrap.dedent(SCRIPT))
    folder = tmp_path / "journals"
    child = subprocess.Popen(
        [sys.executable, str(script), str(folder), ":".join(sys.path)], stdout=subprocess.PIPE, text=True
    )
    child.stdout.readline()
    time.sleep(wait)
    child.send_signal(signal.SIGKILL)
    told = [int(line) for line in child.communicate()[0].split()] or [0]

    (left,) = left_behind(folder)
    found = recover(left)

    assert found.edits >= told[-1] + 1
    assert found.history.undo_label == f"Edit {found.edits - 1}"
    discard(left)
    assert left_behind(folder) == []


def test_a_torn_or_damaged_end_is_left_out(journal, tmp_path):
    edited(journal, 6)
    journal.flush()
    torn = tmp_path / "torn.jsonl"
    torn.write_bytes(journal.path.read_bytes()[:-40] + b'\n{"event":"then","session":99}\n')

    found = recover(torn)

    assert found.history.undo_label == "Edit 4"


def test_a_folder_that_cannot_be_written_is_told_and_stops_nothing(tmp_path):
    blocked = tmp_path / "file"
    blocked.write_text("")
    journal = Journal(blocked / "journals")

    edited(journal, 1)
    journal.flush()

    assert "Autosave to" in journal.problem
    journal.finish()


def brought_back(journal, tmp_path, edits=3):
    """A journal whose session was killed, and a new session that has its edits."""
    edited(journal, edits)
    journal.flush()
    killed = tmp_path / ("a" * 32 + ".jsonl")
    killed.write_bytes(journal.path.read_bytes())
    found = recover(killed)
    again = Journal(tmp_path / "new")
    again.start(found.history, {}, None, edits=found.edits, instead_of=found)
    return killed, again


def test_what_was_brought_back_comes_back_after_a_second_crash(journal, tmp_path):
    killed, again = brought_back(journal, tmp_path)
    again.flush()

    found = recover(again.path)

    assert not killed.exists()
    assert (found.edits, found.history.undo_label) == (3, "Edit 2")
    assert found.older == (again.path.parent / killed.name,)
    again.finish()


def test_on_a_full_disk_the_old_journal_stays_until_the_new_one_is_on_disk(journal, tmp_path, monkeypatch):
    def full(*_):
        raise OSError(errno.ENOSPC, "full")

    with monkeypatch.context() as disk:
        disk.setattr(writing.disk, "sync", full)
        killed, again = brought_back(journal, tmp_path)
        again.flush()
        assert killed.exists()
        assert left_behind(tmp_path) == []  # nobody else is asked about it

    again.start(History(simple_session([0], 20000)), {}, None)  # saved: both are not needed any more
    again.flush()
    assert not killed.exists()
    again.finish()


def test_edits_made_while_it_was_being_saved_are_kept(journal):
    history = edited(journal, 2)
    journal.start(history, {}, None, edits=1)
    journal.flush()

    assert recover(journal.path).edits == 1
