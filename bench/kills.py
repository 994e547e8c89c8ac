"""kill -9 at random moments: what is lost, and does everything open.

./run exec python -m bench.kills [KILLS [SEED]]

Each life edits, and does one thing more, over and over: saves, packs, records takes, or leaves the session
(discarding it) and opens it anew. The next life of the same person begins with what the last one left: it
brings that back, and edits on. Then it is killed as well.
"""

import ctypes
import multiprocessing
import random
import signal
import sys
import time
import zipfile
from functools import partial
from pathlib import Path

import soundfile

from bench.material import isolate
from chronotome.engine.audio_process import PR_SET_PDEATHSIG
from chronotome.errors import ChronotomeError
from chronotome.files.journal import discard, left_behind, recover
from chronotome.files.session_file import load_session, sweep_session
from chronotome.files.takes import left_behind as left_takes

LIVES = 3
WAYS = ("save", "pack", "take", "leave")
FORKS = multiprocessing.get_context("forkserver")
REPORT_EACH = 90


def life(way: str, folder: Path, first: int, said: Path) -> None:
    """Edit, and do one thing more, until it is killed; what was edited when stands in a file."""
    from PySide6.QtCore import QCoreApplication  # noqa: PLC0415 - in a process of its own

    from chronotome.files.places import Settings  # noqa: PLC0415 - the same
    from chronotome.session.edits.tempo import set_tempo  # noqa: PLC0415 - the same
    from chronotome.ui.application import application, build, wait_until_ready  # noqa: PLC0415 - the same
    from chronotome.ui.commands.session_files import DEMO_SESSION  # noqa: PLC0415 - the same

    ctypes.CDLL(None).prctl(PR_SET_PDEATHSIG, signal.SIGKILL)
    application()
    window = build(Settings(), in_process=True)
    window.show()
    desk = window.desk
    found = next(filter(None, map(recover, left_behind())), None)
    if found is None:
        desk.document.open_session(DEMO_SESSION, as_copy=True)
    else:
        desk.document.restore(found)
    wait_until_ready(window)
    with said.open("w") as told:
        for number in range(first, first + 100000):
            tempo = 60 + (number % 1000) / 10
            desk.store.apply(partial(set_tempo, beats_per_minute=tempo), f"Edit {number}")
            print(number, time.time(), file=told, flush=True)
            turn = number % 12  # often enough for a busy machine, on which an edit takes 0.1 s
            if way == "save" and turn == 3:
                desk.document.save(folder)
            if way == "pack" and turn == 3:
                desk.document.pack(folder.with_suffix(".chronotome"))
            if way == "take" and turn in {3, 9}:
                desk.taking.end() if desk.taking.is_on else desk.taking.begin()
            if way == "leave" and turn == 9:
                print("left", number, file=told, flush=True)
                desk.store.mark_saved(desk.store.history.session)
                desk.document.open_session(DEMO_SESSION, as_copy=True)
                wait_until_ready(window)
            QCoreApplication.processEvents()
            time.sleep(0.01)


def main() -> None:
    kills = int(sys.argv[1]) if len(sys.argv) > 1 else 50
    home = isolate()
    FORKS.set_forkserver_preload(["chronotome.ui.application", "chronotome.ui.window.main_window"])
    chance = random.Random(int(sys.argv[2]) if len(sys.argv) > 2 else 4)
    worst, unreadable, left, swept, lives = 0.0, 0, 0, 0, dict.fromkeys(WAYS, 0)
    number = 0
    while sum(lives.values()) < kills:
        way, folder = WAYS[number % len(WAYS)], home / f"session-{number}"
        first, number = 0, number + 1
        for _ in range(LIVES):
            told, was_left = _lived(way, folder, first, chance.uniform(0.0, 2.0))
            lives[way] += 1
            unreadable += _unreadable(folder)
            left += len(list(folder.rglob(".chronotome-*")))
            sweep_session(folder)
            swept += len(list(folder.rglob(".chronotome-*.part")))
            newest, last = max(told, default=first - 1), _last_edit(folder)
            kept_from = max(was_left, min(told, default=0))
            if newest > max(last, was_left):
                lost = told[newest] - told.get(last, told[kept_from])
                worst = max(worst, lost)
                if lost > 1:
                    print(f"{way}: {lost:.2f} s lost, edits {last} of {newest}, left at {was_left}")
            first = newest + 1
        for path in left_behind():
            discard(path)
        if sum(lives.values()) % REPORT_EACH == 0 or sum(lives.values()) >= kills:
            each = ", ".join(f"{way} {count}" for way, count in lives.items())
            print(
                f"{sum(lives.values())} kills ({each}): "
                f"at most {worst:.2f} s of edits lost (bar 1), {unreadable} files that do not open (bar 0), "
                f"{left} files left behind, {swept} after the next start (bar 0)",
                flush=True,
            )


def _lived(way: str, folder: Path, first: int, seconds: float) -> tuple[dict[int, float], int]:
    """When each edit was made, and the last one of a session that was left; killed after so many seconds."""
    said = folder.with_name(f"{folder.name}-{first}.said")
    child = FORKS.Process(target=life, args=(way, folder, first, said))
    child.start()
    while child.is_alive() and not (said.exists() and said.stat().st_size):
        time.sleep(0.005)
    time.sleep(seconds)
    child.kill()
    child.join()
    words = [each for each in (line.split() for line in said.read_text().split("\n")) if len(each) == 2]
    told = {int(edit): float(moment) for edit, moment in words if edit != "left"}
    return told, max((int(moment) for edit, moment in words if edit == "left"), default=-1)


def _unreadable(folder: Path) -> int:
    """Documents, packs, journals and takes that cannot be opened."""
    found = 0
    packed = folder.with_suffix(".chronotome")
    try:
        if (folder / "session.json").exists():
            load_session(folder)
        if packed.exists():
            assert zipfile.ZipFile(packed).testzip() is None
        for take in left_takes():
            if take.path.stat().st_size:  # it was killed before anything came
                soundfile.info(take.path)
    except (ChronotomeError, AssertionError, RuntimeError, zipfile.BadZipFile) as error:
        found += 1
        print(error)
    return found


def _last_edit(folder: Path) -> int:
    """Number of the newest edit that came back, from the journals or the saved session."""
    histories = [found.history for found in map(recover, left_behind()) if found is not None]
    if (folder / "session.json").exists():
        histories.append(load_session(folder).history)
    labels = [step.label.split() for history in histories for step in history.past]
    return max((int(words[1]) for words in labels if words[:1] == ["Edit"]), default=-1)


if __name__ == "__main__":
    main()
