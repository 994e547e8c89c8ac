"""The memory that window and audio process share besides samples: status, commands, mixes, what was played.

Commands go through a ring with one writer and one reader: data first, index last, no lock. A mix is written
into a slot that nobody reads; publishing it is one store.
"""

import mmap
import os
from enum import IntEnum

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.render.mix import OUT_CHANNELS, TABLE_BYTES, Mix, MixTable

RING = 1024
SLOTS = 4
TAPE_FRAMES = 48000 * 600
STATUS_BYTES, TEXT_BYTES = 8 * 64, 512
COMMAND = np.dtype([("kind", "<i8"), ("a", "<i8"), ("b", "<i8")])
PAGE = mmap.PAGESIZE


class Word(IntEnum):
    """Words of status; times in nanoseconds of the monotonic clock, levels in millionths."""

    HEAD = 0
    TAIL = 1
    PUBLISHED = 2
    READING = 3
    READING_OLD = 4
    POSITION = 5
    POSITION_TIME = 6
    IS_PLAYING = 7
    PEAK_LEFT = 8
    PEAK_RIGHT = 9
    DROPOUTS = 10
    IS_READY = 11
    QUIT = 12
    LATENCY = 13
    IS_SIMULATED = 14
    PLAYED = 15
    TEXT_LENGTH = 16
    ADOPTED_SERIAL = 17
    OLDEST_SERIAL = 18
    BLOCKS = 19
    BUSIEST = 20
    RATE = 21
    PLAY_STARTED = 22
    MOVE_SERIAL = 23
    """With the mix of this number the position moves by MOVE_FRAMES: the song's tempo is another one."""
    MOVE_FRAMES = 24
    HEAR_LOOP = 25
    """Frames after which what is heard over the mix begins again; 0: it is heard once."""
    HEAR_FROM = 26
    """Session frame at which it begins, or would have, some loops ago."""


class Command(IntEnum):
    PLAY = 1
    STOP = 2
    SEEK = 3
    LOOP = 4
    LISTEN = 5
    HEAR = 6
    """`a`: offset in the arena, `b`: frames, channels and gain as `packed_span` has them."""


def packed_span(frames: int, channels: int, gain: float) -> int:
    """A span of samples in one word of a command: frames up to 2^31, channels up to 255, gain up to 16."""
    return frames << 32 | channels << 24 | min((1 << 24) - 1, round(gain * (1 << 20)))


def unpacked_span(word: int) -> tuple[int, int, float]:
    """Frames, channels and gain."""
    return word >> 32, word >> 24 & 0xFF, (word & 0xFFFFFF) / (1 << 20)


class Control:
    """Views over the shared memory; the same class on both sides."""

    def __init__(self, descriptor: int | None = None) -> None:
        tables = STATUS_BYTES + TEXT_BYTES + RING * COMMAND.itemsize
        tables = -(-tables // PAGE) * PAGE
        slot_bytes = -(-TABLE_BYTES // PAGE) * PAGE
        tape = tables + SLOTS * slot_bytes
        size = tape + TAPE_FRAMES * OUT_CHANNELS * 4
        self.descriptor = os.memfd_create("chronotome-control") if descriptor is None else descriptor
        if descriptor is None:
            os.ftruncate(self.descriptor, size)
        self._map = mmap.mmap(self.descriptor, size)
        view = memoryview(self._map)
        self.words = np.frombuffer(view, np.int64, 64)
        self._text = np.frombuffer(view, np.uint8, TEXT_BYTES, STATUS_BYTES)
        self._ring = np.frombuffer(view, COMMAND, RING, STATUS_BYTES + TEXT_BYTES)
        self.tables = [MixTable(view, tables + slot * slot_bytes) for slot in range(SLOTS)]
        self.tape: Samples = np.frombuffer(view, np.float32, TAPE_FRAMES * OUT_CHANNELS, tape).reshape(
            TAPE_FRAMES, OUT_CHANNELS
        )
        if descriptor is None:
            self.words[[Word.PUBLISHED, Word.READING, Word.READING_OLD]] = -1

    def get(self, word: Word) -> int:
        return int(self.words[word])

    def put(self, word: Word, value: int) -> None:
        self.words[word] = value

    @property
    def text(self) -> str:
        """What the device is, or why it is not the one that was asked for."""
        return bytes(self._text[: self.get(Word.TEXT_LENGTH)]).decode("utf-8", "replace")

    @text.setter
    def text(self, words: str) -> None:
        data = words.encode()[:TEXT_BYTES]
        self._text[: len(data)] = np.frombuffer(data, np.uint8)
        self.put(Word.TEXT_LENGTH, len(data))

    def send(self, kind: Command, a: int = 0, b: int = 0) -> None:
        """Add a command; where the reader sleeps and the ring is full, the oldest is lost."""
        head = self.get(Word.HEAD)
        self._ring[head % RING] = (kind, a, b)
        self.put(Word.HEAD, head + 1)

    def next_command(self) -> tuple[int, int, int] | None:
        head, tail = self.get(Word.HEAD), self.get(Word.TAIL)
        if tail >= head:
            return None
        tail = max(tail, head - RING)
        kind, a, b = self._ring[tail % RING].tolist()
        self.put(Word.TAIL, tail + 1)
        return kind, a, b

    def publish(self, mix: Mix) -> None:
        """Write a mix where nobody reads, then flip one index."""
        taken = {self.get(Word.PUBLISHED), self.get(Word.READING), self.get(Word.READING_OLD)}
        slot = next(slot for slot in range(SLOTS) if slot not in taken)
        self.tables[slot].write(mix)
        self.put(Word.PUBLISHED, slot)

    def adopt(self) -> int:
        """The newest slot, marked as being read; -1 where nothing was published."""
        while True:
            slot = self.get(Word.PUBLISHED)
            self.put(Word.READING, slot)
            if self.get(Word.PUBLISHED) == slot:
                return slot
