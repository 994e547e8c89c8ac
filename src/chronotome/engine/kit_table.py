"""The kit that is played live, in memory that both processes share: one entry a key, and rings of notes."""

from collections.abc import Sequence
from dataclasses import dataclass
from enum import IntEnum
from typing import NamedTuple

import numpy as np

KEYS = 4096
NOTES = 1024
"""A ring that is full refuses; nothing that may be being read is overwritten."""
KEY_ENTRY = np.dtype(
    [(name, "<i8") for name in ("offset", "frames", "group", "is_held")]
    + [(name, "<f8") for name in ("left", "right", "semitones", "release")]
)
NOTE_ENTRY = np.dtype(
    [(name, "<i8") for name in ("stamp", "frame", "serial", "kind", "key")] + [("velocity", "<f8")]
)
HEADS_BYTES = 8 * 64
KIT_BYTES = KEYS * KEY_ENTRY.itemsize
RING_BYTES = NOTES * NOTE_ENTRY.itemsize
TABLE_BYTES = HEADS_BYTES + 2 * KIT_BYTES + 2 * RING_BYTES
PLAYED, WANTED = 0, 1
"""The two rings: what was played comes back in the first, what is to be played goes in the second."""


class NoteKind(IntEnum):
    START = 1
    RELEASE = 2
    SILENCE = 3
    """Everything that keys let sound ends."""
    TAKE = 4
    """A frame of the take that is recorded came in: its number stands in place of a key."""
    CONTROL = 5
    """A control of a MIDI device was turned: its number in place of a key, how far in place of velocity."""


class Note(NamedTuple):
    """Something done to a key.

    `stamp` is when, in nanoseconds of the monotonic clock. `frame` is the session frame at which it is to
    sound, or -1: as its time says. Of what was played, `frame` is what was heard at that time.
    """

    kind: int
    key: int
    velocity: float = 1.0
    stamp: int = 0
    frame: int = -1


@dataclass(frozen=True)
class KeySound:
    """What a key plays: frames of the arena, stereo; `semitones` higher than they are, read faster."""

    offset: int
    """Floats."""
    frames: int
    left: float = 1.0
    right: float = 1.0
    semitones: float = 0.0
    group: int = 0
    is_held: bool = False
    release: float = 0.005
    """Seconds over which it ends once its key is let go of."""


class KitTable:
    """Views over the shared memory; one writer and one reader a ring: notes first, heads last, no lock."""

    def __init__(self, view: memoryview, offset: int) -> None:
        self._heads = np.frombuffer(view, np.int64, 64, offset)
        at = offset + HEADS_BYTES
        self._kits = [np.frombuffer(view, KEY_ENTRY, KEYS, at + number * KIT_BYTES) for number in (0, 1)]
        at += 2 * KIT_BYTES
        self._rings = [np.frombuffer(view, NOTE_ENTRY, NOTES, at + number * RING_BYTES) for number in (0, 1)]

    # The kit: written beside the one that is read, then one word says which it is

    def write_kit(self, sounds: dict[int, KeySound]) -> None:
        """Another kit on the keys from now on; voices that sound go on in memory that stays theirs."""
        spare = 1 - int(self._heads[8])
        kit = self._kits[spare]
        kit["frames"] = 0
        for key, sound in sounds.items():
            if 0 <= key < KEYS:
                kit[key] = (
                    sound.offset,
                    sound.frames,
                    sound.group,
                    int(sound.is_held),
                    sound.left,
                    sound.right,
                    sound.semitones,
                    sound.release,
                )
        self._heads[8] = spare

    def sound_of(self, key: int) -> Sequence[float] | None:
        """As `KEY_ENTRY` has it; None where nothing is on the key."""
        if not 0 <= key < KEYS:
            return None
        entry: tuple[float, ...] = self._kits[int(self._heads[8])][key].item()
        return entry if entry[1] > 0 else None

    # The rings

    def put(self, ring: int, note: Note) -> bool:
        """False where the ring is full."""
        head, tail = int(self._heads[2 * ring]), int(self._heads[2 * ring + 1])
        if head - tail >= NOTES:
            return False
        entry = (note.stamp, note.frame, head + 1, note.kind, note.key, note.velocity)
        self._rings[ring][head % NOTES] = entry
        self._heads[2 * ring] = head + 1
        return True

    def take(self, ring: int) -> Note | None:
        """The next note that was put; None where there is none, or it is not whole yet."""
        head, tail = int(self._heads[2 * ring]), int(self._heads[2 * ring + 1])
        if tail >= head:
            return None
        stamp, frame, serial, kind, key, velocity = self._rings[ring][tail % NOTES].item()
        if serial != tail + 1:
            return None
        self._heads[2 * ring + 1] = tail + 1
        return Note(kind, key, velocity, stamp, frame)
