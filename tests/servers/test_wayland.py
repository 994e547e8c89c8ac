"""The window under a Wayland compositor: a file dropped in, files on the clipboard, scale.

The compositor is a window of an X server that nobody sees, for it has no pointer of its own.
"""

import contextlib
import json
import os
import shutil
import subprocess
import sys
import threading
import time
from pathlib import Path

import numpy as np
import pytest

from sound_servers import until
from sounds import noise_hits, write
from wayland_windows import COLOUR

NEEDED = ("Xvfb", "weston", "xdotool", "wl-paste")
SIZE, SCALE = (1300, 850), 2
WINDOWS = Path(__file__).resolve().parent.parent / "wayland_windows.py"


class Desktop:
    """An X server, and in it a compositor that draws twice as finely."""

    def __init__(self, folder):
        self.folder, self._running = folder, []
        number = os.getpid() % 500 + 100
        width, height = (SCALE * side for side in SIZE)
        self.environment = {
            **os.environ,
            "DISPLAY": f":{number}",
            "XDG_RUNTIME_DIR": str(folder),
            "WAYLAND_DISPLAY": "wayland-test",
            "QT_QPA_PLATFORM": "wayland",
        }
        folder.chmod(0o700)
        screen = [f"{width}x{height}x24", "-fbdir", str(folder), "-nolisten", "tcp"]
        self.run(["Xvfb", f":{number}", "-screen", "0", *screen])
        until(lambda: self.said(["xdotool", "getdisplaygeometry"]))
        weston = [
            "weston",
            "--backend=x11-backend.so",
            "--use-pixman",
            "--socket=wayland-test",
            "--idle-time=0",
        ]
        self.run([*weston, f"--width={SIZE[0]}", f"--height={SIZE[1]}", f"--scale={SCALE}"])
        until((folder / "wayland-test").exists)

    def run(self, command, **more):
        log = subprocess.DEVNULL
        process = subprocess.Popen(command, env=self.environment, stderr=log, **{"stdout": log, **more})
        self._running.append(process)
        return process

    def said(self, command):
        return subprocess.run(
            command, env=self.environment, capture_output=True, check=False, timeout=10
        ).stdout.decode()

    def pointer(self, *words):
        self.said(["xdotool", *map(str, words)])
        time.sleep(0.15)

    def coloured(self):
        """Where on the screen the other window is, if it is."""
        raw = (self.folder / "Xvfb_screen0").read_bytes()
        head = np.frombuffer(raw, ">u4", 25)
        first = int(head[0]) + 12 * int(head[19])
        pixels = np.frombuffer(raw, "<u4", int(head[12]) // 4 * int(head[5]), first).reshape(int(head[5]), -1)
        rows, columns = np.nonzero((pixels & 0xFFFFFF) == COLOUR)
        return (int(np.median(columns)), int(np.median(rows))) if len(rows) > 1000 else None

    def close(self):
        for process in reversed(self._running):
            process.terminate()
        for process in reversed(self._running):
            process.wait(10)
            if process.stdout is not None:
                process.stdout.close()


@pytest.fixture
def desktop(tmp_path):
    absent = [each for each in NEEDED if shutil.which(each) is None]
    if absent:
        pytest.skip(f"{', '.join(absent)} is not here")
    made = Desktop(tmp_path)
    yield made
    made.close()


def drag(desktop, far):
    """From the other window to the larger side of the screen."""
    start = desktop.coloured()
    sides = [SCALE * side for side in SIZE]
    target = [at + far * side * (1 if at < side / 2 else -1) for at, side in zip(start, sides, strict=True)]
    desktop.pointer("mousemove", *start)
    desktop.pointer("mousedown", 1)
    for share in (0.1, 0.4, 0.7, 1.0):
        way = [round(a + share * (b - a)) for a, b in zip(start, target, strict=True)]
        desktop.pointer("mousemove", *way)
    desktop.pointer("mouseup", 1)


def test_a_file_is_dropped_in_and_a_clip_is_copied_as_a_file(desktop, tmp_path):
    path = write(tmp_path / "stairwell.wav", noise_hits([4800, 28800], 96000, rate=48000), rate=48000)
    window = desktop.run(
        [sys.executable, str(WINDOWS), "ours", str(tmp_path / "journals")], stdout=subprocess.PIPE
    )
    states = []
    threading.Thread(target=lambda: states.extend(map(json.loads, window.stdout)), daemon=True).start()
    until(lambda: states, 30)
    assert states[-1][:2] == [2.0, []]
    desktop.run([sys.executable, str(WINDOWS), "other", str(path)])
    until(desktop.coloured, 30)
    time.sleep(1.0)
    for far in (0.33, 0.25, 0.4):  # where windows are put is left to chance
        drag(desktop, far)
        with contextlib.suppress(AssertionError):
            until(lambda: states[-1][1], 8)
            break
    until(lambda: states[-1][1:] == [["stairwell"], True], 30)
    desktop.pointer("click", 1)
    desktop.pointer("key", "ctrl+alt+c")
    until(lambda: "x-special" in desktop.said(["wl-paste", "--list-types"]), 20)
    listed = desktop.said(["wl-paste", "--type", "text/uri-list"]).split()
    pasted = desktop.said(["wl-paste", "--type", "x-special/gnome-copied-files"]).split()
    assert pasted == ["copy", *listed]
    assert Path(listed[0].removeprefix("file://")).stat().st_size > 96000
