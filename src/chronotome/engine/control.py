"""The memory that window and audio process share besides samples: status, commands, mixes, what was played.

Commands go through a ring with one writer and one reader: data first, index last, no lock. A mix is written
into a slot that nobody reads; publishing it is one store.
"""

import mmap
import os
import weakref
from enum import IntEnum

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.engine.beat_table import TABLE_BYTES as BEATS_BYTES
from chronotome.engine.beat_table import BeatTable
from chronotome.engine.kit_table import TABLE_BYTES as KIT_TABLE_BYTES
from chronotome.engine.kit_table import KitTable
from chronotome.render.mix import OUT_CHANNELS, TABLE_BYTES, Mix, MixTable
from chronotome.render.take_ring import TAKE_BYTES, TakeRing

RING = 1024
SLOTS = 4
TAPE_FRAMES = 48000 * 600
STATUS_BYTES, TEXT_BYTES = 8 * 64, 512
VALUES = 6
"""Of a command, besides its kind."""
COMMAND_BYTES = 8 * (1 + VALUES)
PAGE = mmap.PAGESIZE
LONG_TEXT_BYTES = 2 * PAGE
TEXTS = 6
LEFT_GAPS = 2


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
    INPUT_WANTED = 25
    """Which input is to be open: none, the real one, the simulated one."""
    INPUT_OFFSET = 26
    """Where the performance of the simulated input lies in the arena, as the two that follow."""
    INPUT_FRAMES = 27
    INPUT_CHANNELS = 28
    IS_MONITORED = 29
    """Whether what the input hears is heard."""
    WAITING = 30
    """Frames of a count-in that still come before POSITION."""
    IN_TIME = 31
    """With what it is to be in time, an `InTime`."""
    IS_IN_TIME = 32
    """Whether it is."""
    CLOCK_TEMPO = 33
    """Of the clock that is heard, in millionths of a beat a minute; 0: there is none."""
    HELD = 34
    """Whether the device holds its block: 0 while that is tried, 1 where it does, else `LEFT_GAPS`."""


class InTime(IntEnum):
    """What tells when it starts, stops and where it is."""

    NOTHING = 0
    JACK = 1
    CLOCK = 2


class Command(IntEnum):
    PLAY = 1
    STOP = 2
    SEEK = 3
    LOOP = 4
    LISTEN = 5
    HEAR = 6
    """Offset in the arena, frames, channels, gain in millionths, frames of a round or 0, session frame.

    At that frame it began, or would have, some rounds ago.
    """
    HUSH = 7
    """What is heard over the mix comes to its end."""


class SharedText:
    """Words that one process writes and another reads: a serial that grows, a length, bytes."""

    def __init__(self, view: memoryview, offset: int) -> None:
        self._head: NDArray[np.int64] = np.frombuffer(view, np.int64, 2, offset)
        self._bytes = np.frombuffer(view, np.uint8, LONG_TEXT_BYTES - 16, offset + 16)

    @property
    def serial(self) -> int:
        return int(self._head[0])

    @property
    def is_there(self) -> bool:
        """Whether it says anything."""
        return bool(self._head[1])

    @property
    def text(self) -> str:
        return bytes(self._bytes[: int(self._head[1])]).decode("utf-8", "replace")

    @text.setter
    def text(self, words: str) -> None:
        data = words.encode()[: len(self._bytes)]
        self._bytes[: len(data)] = np.frombuffer(data, np.uint8)
        self._head[1] = len(data)
        self._head[0] += 1


class Control:
    """Views over the shared memory; the same class on both sides."""

    def __init__(self, descriptor: int | None = None) -> None:
        tables = STATUS_BYTES + TEXT_BYTES + RING * COMMAND_BYTES
        tables = -(-tables // PAGE) * PAGE
        slot_bytes = -(-TABLE_BYTES // PAGE) * PAGE
        kit = tables + SLOTS * slot_bytes
        texts = kit + -(-KIT_TABLE_BYTES // PAGE) * PAGE
        beats = texts + TEXTS * LONG_TEXT_BYTES
        self.take_offset = beats + -(-BEATS_BYTES // PAGE) * PAGE
        tape = self.take_offset + -(-TAKE_BYTES // PAGE) * PAGE
        size = tape + TAPE_FRAMES * OUT_CHANNELS * 4
        self.descriptor = os.memfd_create("chronotome-control") if descriptor is None else descriptor
        if descriptor is None:
            os.ftruncate(self.descriptor, size)
            weakref.finalize(self, os.close, self.descriptor)
        self._map = mmap.mmap(self.descriptor, size)
        view = memoryview(self._map)
        self.words = np.frombuffer(view, np.int64, 64)
        self._text = np.frombuffer(view, np.uint8, TEXT_BYTES, STATUS_BYTES)
        self._ring: NDArray[np.int64] = np.frombuffer(
            view, np.int64, RING * (1 + VALUES), STATUS_BYTES + TEXT_BYTES
        ).reshape(RING, 1 + VALUES)
        self.tables = [MixTable(view, tables + slot * slot_bytes) for slot in range(SLOTS)]
        self.kit = KitTable(view, kit)
        self.midi = SharedText(view, texts)
        """Names of MIDI ports, a line each; or why there are none."""
        self.wanted_midi = SharedText(view, texts + LONG_TEXT_BYTES)
        """Those that are listened to; empty: all."""
        self.input = SharedText(view, texts + 2 * LONG_TEXT_BYTES)
        """What the input is that is open."""
        self.clocks = SharedText(view, texts + 3 * LONG_TEXT_BYTES)
        """Names of MIDI ports that a clock can go to, a line each."""
        self.wanted_clock = SharedText(view, texts + 4 * LONG_TEXT_BYTES)
        """Those that it goes to; empty: none."""
        self.wanted_ports = SharedText(view, texts + 5 * LONG_TEXT_BYTES)
        """Buses that have outputs of their own where that can be: number, a space, name; a line each."""
        self.beats = BeatTable(view, beats)
        self.take = TakeRing(view, self.take_offset)
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

    def send(self, kind: Command, *values: int) -> None:
        """Add a command; where the reader sleeps and the ring is full, the oldest is lost."""
        head = self.get(Word.HEAD)
        self._ring[head % RING] = (kind, *values, *(0,) * (VALUES - len(values)))
        self.put(Word.HEAD, head + 1)

    def next_command(self) -> tuple[int, list[int]] | None:
        head, tail = self.get(Word.HEAD), self.get(Word.TAIL)
        if tail >= head:
            return None
        tail = max(tail, head - RING)
        kind, *values = self._ring[tail % RING].tolist()
        self.put(Word.TAIL, tail + 1)
        return kind, values

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
