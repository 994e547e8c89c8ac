"""The shelf on a folder of many files: first rows on screen, and the longest the window was blocked.

    ./run bench shelf [--files 10000]

Times are of this machine; the share that matters is first rows against the whole scan, in the same run.
"""

import argparse
import os
import tempfile
import time
from pathlib import Path

import numpy as np
import soundfile

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")

TICK_MILLISECONDS = 2


def folder_of(place: Path, count: int) -> Path:
    """Copies of one short file, in folders of 500."""
    random = np.random.default_rng(1)
    soundfile.write(place / "one.wav", random.normal(0, 0.1, 4410).astype(np.float32), 44100, "PCM_16")
    data = (place / "one.wav").read_bytes()
    shelf = place / "shelf"
    for number in range(count):
        part = shelf / f"part {number // 500:03d}"
        part.mkdir(parents=True, exist_ok=True)
        (part / f"quay hit {number:05d} {80 + number % 90}bpm.wav").write_bytes(data)
    return shelf


def main() -> None:
    parser = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    parser.add_argument("--files", type=int, default=10000)
    count = parser.parse_args().files
    with tempfile.TemporaryDirectory() as place:
        os.environ["XDG_CACHE_HOME"] = str(Path(place) / "cache")
        os.environ["XDG_CONFIG_HOME"] = str(Path(place) / "config")
        shelf = folder_of(Path(place), count)
        from PySide6.QtCore import QEventLoop, QTimer  # noqa: PLC0415 - after the platform is chosen

        from chronotome.files.journal import Journal  # noqa: PLC0415
        from chronotome.files.places import Settings  # noqa: PLC0415
        from chronotome.ui.application import application, build  # noqa: PLC0415

        application()
        window = build(Settings(), in_process=True, journal=Journal(Path(place) / "journals"))
        window.show()
        window.toggle_shelf()
        for words in ("first time", "from the index"):
            last = [time.perf_counter()]
            worst, first = [0.0], [0.0]

            def tick(last: list[float] = last, worst: list[float] = worst) -> None:
                now = time.perf_counter()
                worst[0] = max(worst[0], now - last[0])
                last[0] = now

            timer = QTimer()
            timer.timeout.connect(tick)
            timer.start(TICK_MILLISECONDS)
            began = time.perf_counter()

            def seen(first: list[float] = first, began: float = began) -> None:
                if not first[0] and window.shelf.rows.rowCount():
                    window.shelf.table.grab()
                    first[0] = time.perf_counter() - began

            window.desk.shelf.changed.connect(seen)
            window.shelf.open(shelf)
            loop = QEventLoop()
            ended = QTimer()
            ended.timeout.connect(lambda loop=loop: window.desk.tasks.is_idle and loop.quit())
            ended.start(20)
            loop.exec()
            whole = time.perf_counter() - began
            window.desk.shelf.changed.disconnect(seen)
            print(
                f"{words}: {window.shelf.rows.rowCount()} rows, first on screen after {first[0]:.3f} s, "
                f"all known after {whole:.2f} s; the window was blocked for {1000 * worst[0]:.0f} ms at most"
            )
        window.desk.store.mark_saved(window.desk.store.history.session)
        window.close()


if __name__ == "__main__":
    main()
