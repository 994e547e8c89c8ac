"""The process that writes a take while it is recorded: it outlives the window.

    python -m chronotome.files.take_writer DESCRIPTOR OFFSET RATE PARENT, the new file as standard output

The file is a WAV of 32-bit floats whose header is true four times a second: killed at any moment, what is on
disk can be read but for the last of them.
"""

import contextlib
import errno
import fcntl
import mmap
import os
import signal
import struct
import sys
import time

from chronotome.files.writing import write_all
from chronotome.render.take_ring import CHANNELS, TakeRing, TakeWord

POLL_SECONDS = 0.05
HEADER_SECONDS = 0.25
IDLE_SECONDS = 1.0
"""After the window is gone, so long nothing may come before the take has ended."""
FRAME_BYTES = 4 * CHANNELS
HEADER = struct.Struct("<4sI4s4sIHHIIHH4sII4sI")
MOST_BYTES = 0xFFFF0000
FLOAT = 3


def header(rate: int, frames: int) -> bytes:
    """Of a WAV with so many frames of floats."""
    data = frames * FRAME_BYTES
    return HEADER.pack(
        b"RIFF",
        HEADER.size - 8 + data,
        b"WAVE",
        b"fmt ",
        16,
        FLOAT,
        CHANNELS,
        rate,
        rate * FRAME_BYTES,
        FRAME_BYTES,
        32,
        b"fact",
        4,
        frames,
        b"data",
        data,
    )


class TakeWriter:
    """Moves frames from the ring into a file."""

    def __init__(self, ring: TakeRing, file: int, rate: int) -> None:
        self._ring, self._file, self._rate = ring, file, rate
        self.frames = 0
        self._told = 0.0

    def begin(self) -> None:
        write_all(self._file, header(self._rate, 0))

    def move(self) -> int:
        """Write what there is; how many frames that was."""
        head, tail = self._ring.get(TakeWord.HEAD), self._ring.get(TakeWord.TAIL)
        room = (MOST_BYTES - HEADER.size) // FRAME_BYTES - self.frames
        head = min(head, tail + room)
        for part in self._ring.parts(tail, head):
            write_all(self._file, part.data)
        self.frames += head - tail
        self._ring.set(TakeWord.TAIL, head)
        if head > tail and time.monotonic() - self._told > HEADER_SECONDS:
            self.tell()
        return head - tail

    def keep_what_is_there(self) -> None:
        """After a write that failed: as many frames as the disk took."""
        self.frames = max(0, os.fstat(self._file).st_size - HEADER.size) // FRAME_BYTES

    def tell(self) -> None:
        """Let the header be true."""
        with contextlib.suppress(OSError):  # not even a header has room: nothing is kept
            os.pwrite(self._file, header(self._rate, self.frames), 0)
        self._told = time.monotonic()


def run(descriptor: int, offset: int, rate: int, parent: int, file: int) -> None:
    """Write until the take has ended, or its window is gone and nothing more comes."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    fcntl.flock(file, fcntl.LOCK_EX)
    ring = TakeRing(memoryview(mmap.mmap(descriptor, 0)), offset)
    writer, last = TakeWriter(ring, file, rate), time.monotonic()
    try:
        writer.begin()
        while True:
            is_over = bool(ring.get(TakeWord.QUIT))
            if writer.move():
                last = time.monotonic()
            elif is_over or (os.getppid() != parent and time.monotonic() - last > IDLE_SECONDS):
                break
            time.sleep(POLL_SECONDS)
    except OSError as error:  # the window is told, and ends the take
        ring.set(TakeWord.PROBLEM, error.errno or errno.EIO)
        writer.keep_what_is_there()
    finally:
        writer.tell()
        with contextlib.suppress(OSError):
            os.fsync(file)


if __name__ == "__main__":
    shared, begins, frames_per_second, parent_id = (int(each) for each in sys.argv[1:])
    run(shared, begins, frames_per_second, parent_id, sys.stdout.fileno())
