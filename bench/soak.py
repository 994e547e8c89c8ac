"""An hour of playing and editing at a person's pace, two reopenings: dropouts, and growth of memory.

A witness runs beside it: the same output, as high in rank, with nothing to play. What it misses is the
machine's doing; what only the audio process misses is ours.

./run exec python -m bench.soak [MINUTES] [SEED]
"""

import contextlib
import gc
import os
import random
import sys
import time
from multiprocessing import get_context
from multiprocessing.sharedctypes import Synchronized
from pathlib import Path

from PySide6.QtCore import QCoreApplication
from PySide6.QtWidgets import QApplication

from bench.actions import action, answer_dialogs, drag, tidy
from bench.material import isolate
from chronotome.engine.audio_process import NICER
from chronotome.engine.control import Word
from chronotome.engine.output import SimulatedOutput
from chronotome.engine.player import DEFAULT_BLOCK
from chronotome.files.journal import Journal
from chronotome.files.places import Settings
from chronotome.ui.application import application, build, wait_until_ready
from chronotome.ui.window.main_window import MainWindow

PAUSE_SECONDS = 0.6
"""Between two gestures."""
SETTLED_SHARE = 1 / 6
"""Of the time, until memory is first read: ten minutes of an hour."""
UNHEARD = {"play", "toggle_play", "stop", "find_missing"}


def private_of(process: int) -> float:
    """MB that a process holds, samples shared with the other one counted half."""
    lines = Path(f"/proc/{process}/smaps_rollup").read_text().splitlines()
    return int(next(line for line in lines if line.startswith("Pss:")).split()[1]) / 1024


def witness(missed: "Synchronized[int]", rate: int, block: int) -> None:
    """Plays nothing in time until it is killed, and counts what came too late all the same."""
    with contextlib.suppress(OSError):
        os.nice(NICER)
    output = SimulatedOutput(lambda _out, _when: True, rate=rate, block=block)
    output.start()
    while True:
        missed.value = output.dropouts
        time.sleep(0.1)


def main() -> None:
    minutes = float(sys.argv[1]) if len(sys.argv) > 1 else 60.0
    chance = random.Random(int(sys.argv[2]) if len(sys.argv) > 2 else 1)
    home, raised = isolate(), []
    application()
    answer_dialogs(chance)
    sys.excepthook = lambda kind, error, _place: raised.append(f"{kind.__name__}: {error}")
    window = build(Settings(), output="simulated", journal=Journal(home / "journals"))
    window.resize(1280, 800)
    window.show()
    window.session_files.open_demo()
    wait_until_ready(window)
    window.desk.document.save(home / "saved")
    wait_until_ready(window)
    player, transport = window.player, window.desk.transport
    children = Path(f"/proc/self/task/{os.getpid()}/children").read_text().split()
    processes = get_context("spawn")
    missed = processes.Value("i", 0)
    beside = processes.Process(target=witness, args=(missed, player.rate, DEFAULT_BLOCK), daemon=True)
    beside.start()
    began, number, reopened, settled = time.monotonic(), 0, 0, None
    settled_pieces = 0
    while (now := time.monotonic() - began) < 60 * minutes:
        if not transport.is_playing:
            transport.play()
        (drag if chance.random() < 0.7 else action)(window, chance)
        tidy(window, 0)
        number += 1
        until = time.monotonic() + PAUSE_SECONDS
        while time.monotonic() < until:
            QApplication.processEvents()
            time.sleep(0.005)
        if now > 60 * minutes * (reopened + 1) / 3 and reopened < 2:
            reopened += 1
            window.desk.document.save(home / "saved")
            wait_until_ready(window)
            window.desk.document.open_session(home / "saved")
            wait_until_ready(window)
        if settled is None and now > 60 * minutes * SETTLED_SHARE:
            settled, settled_pieces = measured(children), pieces(window)
        if number % 50 == 0:
            print(
                f"{now / 60:.1f} min: {measured(children)} MB, {pieces(window)} of it in pieces, "
                f"{len(window.desk.store.history.past)} steps, "
                f"{player.control.get(Word.DROPOUTS)} dropouts, {missed.value} of the witness, "
                f"load {os.getloadavg()[0]:.1f}",
                flush=True,
            )
    ended = measured(children)
    dropouts = player.control.get(Word.DROPOUTS)
    growth = sum(ended) / sum(settled or ended) - 1
    without = (sum(ended) - pieces(window)) / (sum(settled or ended) - settled_pieces) - 1
    print(
        f"{minutes:.0f} min, {number} gestures, {reopened} reopenings: {dropouts} dropouts (bar 0), "
        f"{missed.value} of the witness, "
        f"{len(raised)} exceptions {raised[:3]}, memory {ended} MB, {100 * growth:+.1f} %, "
        f"beside the pieces {100 * without:+.1f} % (bar 5)"
    )
    QCoreApplication.processEvents()
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()


def pieces(window: MainWindow) -> int:
    """MB of rendered pieces, bounded by what the session sounds like (`render/cache.py`)."""
    return window.desk.rendering._renderer.cache.bytes >> 20


def measured(children: list[str]) -> list[int]:
    """MB of the window and of the audio process."""
    gc.collect()
    return [round(private_of(each)) for each in (os.getpid(), *map(int, children))]


if __name__ == "__main__":
    main()
