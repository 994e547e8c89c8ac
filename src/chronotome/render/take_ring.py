"""What an input hears, on its way from the audio process to the file: a ring in memory that both share."""

from enum import IntEnum

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples

RING_FRAMES = 1 << 20
"""22 seconds at 48 kHz: a disk may stall that long."""
CHANNELS = 2
HEAD_BYTES = 8 * 64
TAKE_BYTES = HEAD_BYTES + RING_FRAMES * CHANNELS * 4


class TakeWord(IntEnum):
    HEAD = 0
    """Frames that were put."""
    TAIL = 1
    """Frames that are in the file: their room is free."""
    IS_ON = 2
    """Whether what is heard is put."""
    QUIT = 3
    """The take has ended: what is in the ring is written, and no more."""
    LOST = 4
    """Frames for which there was no room."""
    PROBLEM = 6
    """What the disk said (an errno) when it took no more; 0: it takes what comes."""
    PEAK = 5
    """The loudest sample since it was looked at last, in millionths."""


class TakeRing:
    """One writer, one reader, no lock: frames first, heads last; room is free once they are in a file."""

    def __init__(self, view: memoryview | bytearray, offset: int = 0) -> None:
        self.words: NDArray[np.int64] = np.frombuffer(view, np.int64, 64, offset)
        self.samples: Samples = np.frombuffer(
            view, np.float32, RING_FRAMES * CHANNELS, offset + HEAD_BYTES
        ).reshape(RING_FRAMES, CHANNELS)

    def get(self, word: TakeWord) -> int:
        return int(self.words[word])

    def set(self, word: TakeWord, value: int) -> None:
        self.words[word] = value

    def begin(self) -> None:
        """Another take: nothing is in the ring."""
        self.words[: len(TakeWord)] = 0

    def put(self, block: Samples) -> None:
        """Add what was heard, float32 (frames, 2); where there is no room for it, it is lost, and counted."""
        head, frames = int(self.words[TakeWord.HEAD]), len(block)
        if head + frames - int(self.words[TakeWord.TAIL]) > RING_FRAMES:
            self.words[TakeWord.LOST] += frames
            return
        at = head % RING_FRAMES
        first = min(frames, RING_FRAMES - at)
        self.samples[at : at + first] = block[:first]
        self.samples[: frames - first] = block[first:]
        self.words[TakeWord.HEAD] = head + frames

    def parts(self, start: int, end: int) -> list[Samples]:
        """Frames [start, end) that are in the ring: views, one or two of them."""
        at, frames = start % RING_FRAMES, end - start
        first = min(frames, RING_FRAMES - at)
        parts = [self.samples[at : at + first], self.samples[: frames - first]]
        return [part for part in parts if len(part)]
