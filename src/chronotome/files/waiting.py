"""Waiting for what may never answer: in a thread that is left alone once nobody waits any more."""

import threading
import time
from collections.abc import Callable
from concurrent.futures import Future, wait
from typing import TypeVar

T = TypeVar("T")
LOOK_SECONDS = 0.05


def waited_for(
    work: Callable[[], T], still: Callable[[], None], *, seconds: float, end: Callable[[], None] | None = None
) -> T:
    """What the work gives, or raises.

    `still` is called every 50 ms meanwhile, and may raise to stop waiting. Then, and where the time is over,
    `end` is called to let the work fail, and its thread is not waited for.

    Raises
    ------
    TimeoutError
        If it takes longer.
    """
    future: Future[T] = Future()
    threading.Thread(target=_run, args=(future, work), name="may never answer", daemon=True).start()
    until = time.monotonic() + seconds
    try:
        while not wait([future], LOOK_SECONDS).done:
            still()
            _refuse_late(until, seconds)
    except BaseException:
        if end is not None:
            end()
        raise
    return future.result()


def _run(future: "Future[T]", work: Callable[[], T]) -> None:
    try:
        future.set_result(work())
    except BaseException as error:  # noqa: BLE001 - raised where it is waited for
        future.set_exception(error)


def _refuse_late(until: float, seconds: float) -> None:
    if time.monotonic() > until:
        raise TimeoutError(f"no answer in {seconds:.0f} s")
