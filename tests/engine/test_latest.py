import threading

from chronotome.engine.latest import Latest


def test_dropped_work_learns_that_it_is_not_wanted_and_newer_work_is_done():
    began, released, seen = threading.Event(), threading.Event(), []

    def work(request, is_wanted):
        began.set()
        released.wait(5)
        seen.append((request, is_wanted()))

    latest = Latest(work, lambda _error: None, name="test")
    latest.ask("old")
    assert began.wait(5)

    latest.drop()
    released.set()
    assert latest.wait_idle()
    latest.ask("new")
    assert latest.wait_idle()
    latest.close()

    assert seen == [("old", False), ("new", True)]


def test_what_one_request_raises_is_told_and_the_next_is_worked_on():
    told, done = [], []

    def work(request, _is_wanted):
        if request == "bad":
            raise ZeroDivisionError("no frames")
        done.append(request)

    latest = Latest(work, lambda error: told.append(str(error)), name="test")
    latest.ask("bad")
    assert latest.wait_idle()
    latest.ask("good")
    assert latest.wait_idle()
    latest.close()

    assert (told, done) == (["no frames"], ["good"])
