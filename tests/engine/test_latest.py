import threading

from chronotome.engine.latest import Latest


def test_dropped_work_learns_that_it_is_not_wanted_and_newer_work_is_done():
    began, released, seen = threading.Event(), threading.Event(), []

    def work(request, is_wanted):
        began.set()
        released.wait(5)
        seen.append((request, is_wanted()))

    latest = Latest(work, name="test")
    latest.ask("old")
    assert began.wait(5)

    latest.drop()
    released.set()
    assert latest.wait_idle()
    latest.ask("new")
    assert latest.wait_idle()
    latest.close()

    assert seen == [("old", False), ("new", True)]
