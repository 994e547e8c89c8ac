"""Opening ten minutes: first wave, whole wave against decoding alone, and memory.

./run exec python -m bench.opening
"""

import resource
import time
from pathlib import Path

import soundfile
from PySide6.QtCore import QCoreApplication

from bench.material import isolate, write_performance


def resident() -> int:
    for line in Path("/proc/self/status").read_text("ascii").splitlines():
        if line.startswith("VmRSS"):
            return int(line.split()[1]) * 1024
    return 0


def main() -> None:
    home = isolate()
    path = write_performance(home / "long.wav", 10)
    from chronotome.files.places import Settings  # noqa: PLC0415 - after `isolate`
    from chronotome.ui.application import application, build, wait_until_ready  # noqa: PLC0415 - the same

    began = time.perf_counter()
    with soundfile.SoundFile(path) as file:
        for _ in file.blocks(1 << 17, dtype="float32"):
            pass
        decoded = file.frames * file.channels * 4
    decoding = time.perf_counter() - began
    application()
    window = build(Settings(), in_process=True)
    window.resize(1280, 800)
    window.show()
    QCoreApplication.processEvents()
    before = resident()
    seen: dict[str, float] = {}
    recordings = window.desk.recordings
    recordings.source_grew.connect(lambda _content: seen.setdefault("first", time.perf_counter()))
    recordings.source_ready.connect(lambda _content: seen.setdefault("whole", time.perf_counter()))
    began = time.perf_counter()
    window.open([path])
    most = 0
    while "whole" not in seen or not window.desk.tasks.is_idle:
        QCoreApplication.processEvents()
        most = max(most, resident())
        time.sleep(0.001)
    analysed = time.perf_counter() - began
    wait_until_ready(window)
    first, whole = seen["first"] - began, seen["whole"] - began
    print(f"first wave after {first:.2f} s (bar 0.5), whole after {whole:.2f} s")
    print(f"hits found after {analysed:.2f} s: {600 / analysed:.0f}x real time")
    print(f"whole wave against decoding alone ({decoding:.2f} s): {whole / decoding:.2f}x")
    print(f"memory while opening: {(most - before) / decoded:.2f}x the decoded audio (bar 2.5)")
    print(f"with the interpreter, Qt and the window: {most / decoded:.2f}x")
    print(f"peak of the process: {resource.getrusage(resource.RUSAGE_SELF).ru_maxrss * 1024 / decoded:.2f}x")
    window.desk.store.mark_saved(window.desk.store.session)
    window.close()


if __name__ == "__main__":
    main()
