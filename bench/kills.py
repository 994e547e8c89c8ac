"""kill -9 at random moments of a scripted editing run that also saves: what is lost, and does it open.

./run exec python -m bench.kills [KILLS]
"""

import os
import random
import signal
import subprocess
import sys
import time
from pathlib import Path

from bench.material import isolate
from chronotome.files.journal import discard, left_behind, recover
from chronotome.files.session_file import load_session, sweep_session

SCRIPT = """
import os, sys, time
from pathlib import Path
from chronotome.files.places import Settings
from chronotome.session.edits.timing import set_tempo
from chronotome.ui.application import application, build, wait_until_ready
from chronotome.ui.commands.session_files import DEMO_SESSION
from PySide6.QtCore import QCoreApplication
application()
window = build(Settings(), in_process=True)
window.show()
window.desk.document.open_session(DEMO_SESSION, as_copy=True)
wait_until_ready(window)
folder = Path(sys.argv[1])
for number in range(100000):
    window.desk.store.apply(lambda s: set_tempo(s, 60 + (number % 1000) / 10), f"Edit {number}")
    if number % 40 == 5:
        window.desk.document.save(folder)
    QCoreApplication.processEvents()
    print(number, time.time(), flush=True)
    time.sleep(0.01)
"""


def main() -> None:
    kills = int(sys.argv[1]) if len(sys.argv) > 1 else 50
    home = isolate()
    chance = random.Random(4)
    worst, unreadable, saved, left, swept = 0.0, 0, 0, 0, 0
    for number in range(kills):
        folder = home / f"session-{number}"
        child = subprocess.Popen(
            [sys.executable, "-c", SCRIPT, str(folder)],
            stdout=subprocess.PIPE,
            text=True,
            env=dict(os.environ),
        )
        assert child.stdout is not None
        child.stdout.readline()
        time.sleep(chance.uniform(0.0, 2.0))
        child.send_signal(signal.SIGKILL)
        lines = child.communicate()[0].split("\n")
        told = [line.split() for line in lines if len(line.split()) == 2]
        if folder.exists() and (folder / "session.json").exists():
            saved += 1
            try:
                load_session(folder)
            except Exception as error:  # noqa: BLE001 - any is a failure to count
                unreadable += 1
                print(error)
        left += len(list(folder.rglob(".chronotome-*")))
        sweep_session(folder)
        swept += len(list(folder.rglob(".chronotome-*.part")))
        last = _last_edit(folder)
        times = {int(edit): float(moment) for edit, moment in told}
        if times:
            newest = max(times)
            lost = times[newest] - times.get(last, times[min(times)]) if last < newest else 0.0
            worst = max(worst, lost)
    print(
        f"{kills} kills, {saved} after a save: at most {worst:.2f} s of edits lost (bar 1), "
        f"{unreadable} documents that do not open (bar 0), "
        f"{left} files left behind, {swept} after the next start (bar 0)"
    )


def _last_edit(folder: Path) -> int:
    """Number of the newest edit that came back, from the journal or the saved session."""
    numbers = [-1]
    for path in left_behind():
        found = recover(path)
        if found is not None and found.history.undo_label:
            numbers.append(int(found.history.undo_label.split()[-1]))
        discard(path)
    if (folder / "session.json").exists():
        label = load_session(folder).history.undo_label
        numbers.append(int(label.split()[-1]) if label else -1)
    return max(numbers)


if __name__ == "__main__":
    main()
