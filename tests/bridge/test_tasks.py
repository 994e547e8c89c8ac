import threading

import pytest

from chronotome.bridge.tasks import Task, Tasks
from chronotome.errors import Cancelled, UnusableFile
from chronotome.session.memo import by_identity
from strategies import simple_session


@pytest.fixture
def tasks(qapp):
    made = Tasks()
    yield made
    made.close()


def test_the_result_arrives_in_the_interface_thread_with_progress(tasks, qtbot):
    arrived = []

    def work(progress):
        progress(0.5)
        return threading.current_thread()

    tasks.run("Work", work, lambda thread: arrived.append((thread, threading.current_thread())))
    qtbot.waitUntil(lambda: tasks.is_idle)

    ((worked, told),) = arrived
    qtbot.waitUntil(lambda: not tasks.findChildren(Task))  # none is kept
    assert worked is not told
    assert told is threading.main_thread()


def test_a_cancelled_task_stops_without_a_word(tasks, qtbot):
    begun, heard, failed = threading.Event(), [], []
    tasks.error.connect(heard.append)

    def work(progress):
        begun.set()
        while True:
            progress(0.1)

    task = tasks.run("Work", work, heard.append)
    begun.wait(5)
    task.cancel()
    qtbot.waitUntil(lambda: tasks.is_idle)
    tasks.run("Other", work, heard.append, failed.append).cancel()
    qtbot.waitUntil(lambda: tasks.is_idle)

    assert heard == []
    assert isinstance(failed[0], Cancelled)


@pytest.mark.parametrize(
    ("raised", "words"),
    [
        (UnusableFile("a.wav", "is empty", "Export the file again."), "“a.wav” is empty"),
        (MemoryError(), "not enough memory"),
    ],
)
def test_what_goes_wrong_becomes_a_sentence(tasks, qtbot, raised, words):
    heard = []
    tasks.error.connect(heard.append)

    def work(_progress):
        raise raised

    tasks.run("Reading a.wav", work, heard.append)
    qtbot.waitUntil(lambda: bool(heard))

    assert words in heard[0]


def test_a_defect_of_ours_is_a_sentence_too_and_is_printed(tasks, qtbot, capsys):
    heard = []
    tasks.error.connect(heard.append)

    tasks.run("Counting", lambda _progress: 1 // 0, heard.append)
    qtbot.waitUntil(lambda: bool(heard))

    assert heard == ["Counting failed (integer division or modulo by zero). Nothing was changed."]
    assert "ZeroDivisionError" in capsys.readouterr().err


def test_results_are_found_again_by_identity_only():
    calls = []

    @by_identity(2)
    def work(session):
        calls.append(session)
        return len(calls)

    one, same, other = simple_session([0], 900), simple_session([0], 900), simple_session([5], 900)

    results = [work(one), work(one), work(same), work(other), work(one)]

    assert one == same
    assert results == [1, 1, 2, 3, 4]
