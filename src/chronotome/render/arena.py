"""The memory in which all samples lie: recordings and rendered pieces, shared with the audio process."""

import mmap
import os
import threading
import weakref
from bisect import insort
from ctypes import CDLL, c_int, c_int64

import numpy as np

from chronotome.dsp.audio import Curve, Samples

VIRTUAL_BYTES = 1 << 38
"""Address space, not memory: a page costs nothing until it is written."""
LEAST_BYTES = 1 << 30
PAGE_FLOATS = mmap.PAGESIZE // 4
PUNCH_HOLE = 0x03  # FALLOC_FL_KEEP_SIZE | FALLOC_FL_PUNCH_HOLE


def _made() -> tuple[int, mmap.mmap]:
    """As much address space as there is, down to a gigabyte."""
    descriptor, size = os.memfd_create("chronotome-arena"), VIRTUAL_BYTES
    while True:
        try:
            os.ftruncate(descriptor, size)
            return descriptor, mmap.mmap(descriptor, size)
        except OSError:
            if size <= LEAST_BYTES:
                os.close(descriptor)
                raise MemoryError("there is no room for samples") from None
            size //= 2


class Region:
    """A block of samples in an arena; `samples` views it."""

    __slots__ = ("_arena", "channels", "frames", "offset", "size")

    def __init__(self, arena: "Arena", offset: int, size: int, frames: int, channels: int) -> None:
        self._arena = arena
        self.offset = offset
        self.size = size
        self.frames = frames
        self.channels = channels

    @property
    def samples(self) -> Samples:
        end = self.offset + self.frames * self.channels
        return self._arena.floats[self.offset : end].reshape(self.frames, self.channels)


class Arena:
    """Floats in an anonymous file that another process can map too; regions are whole pages.

    Invariant: regions that are in use never overlap. Any thread may allocate and free.
    """

    def __init__(self, descriptor: int | None = None) -> None:
        if descriptor is None:
            self.descriptor, self._map = _made()
            weakref.finalize(self, os.close, self.descriptor)
        else:
            self.descriptor = descriptor
            self._map = mmap.mmap(descriptor, os.fstat(descriptor).st_size)
        self.floats: Curve = np.frombuffer(self._map, np.float32)
        self._next = 0
        self._holes: list[tuple[int, int]] = []  # (size, offset), sorted
        self._lock = threading.Lock()

    def allocate(self, frames: int, channels: int) -> Region:
        """A region of silence."""
        size = -(-max(1, frames * channels) // PAGE_FLOATS) * PAGE_FLOATS
        with self._lock:
            for index, (room, offset) in enumerate(self._holes):
                if room >= size:
                    del self._holes[index]
                    if room > size:
                        insort(self._holes, (room - size, offset + size))
                    return Region(self, offset, size, frames, channels)
            offset = self._next
            self._next += size
        if self._next * 4 > len(self._map):
            raise MemoryError("the sample memory is used up")
        return Region(self, offset, size, frames, channels)

    def free(self, region: Region) -> None:
        """Give the region's memory back to the machine; nothing may read it any more."""
        _punch(self.descriptor, region.offset * 4, region.size * 4)
        with self._lock:
            insort(self._holes, (region.size, region.offset))

    @property
    def resident_bytes(self) -> int:
        """Memory the arena takes now."""
        return os.fstat(self.descriptor).st_blocks * 512


def _punch(descriptor: int, start: int, length: int) -> None:
    fallocate = CDLL(None, use_errno=True).fallocate
    fallocate.argtypes = [c_int, c_int, c_int64, c_int64]
    fallocate(descriptor, PUNCH_HOLE, start, length)
