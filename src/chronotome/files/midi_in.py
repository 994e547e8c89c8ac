"""Notes of Standard MIDI Files (RP-001), read in one pass: what is no note and no tempo is stepped over.

However damaged a file is, reading it takes no longer than its bytes allow.
"""

import operator
from collections.abc import Iterator
from dataclasses import dataclass, field
from typing import NamedTuple

from chronotome.progress import Progress, unheard

MOST_EVENTS = 1_000_000
USUAL_TEMPO = 500_000
"""Microseconds a quarter note, until it is said."""
LOOKED_AFTER = 20_000
"""Events between two looks whether it is still wanted."""
NOTE_OFF, NOTE_ON, ONE_BYTE = 0x80, 0x90, {0xC0, 0xD0}
META, SET_TEMPO, TIME_SIGNATURE, END_OF_TRACK = 0xFF, 0x51, 0x58, 0x2F
SYSTEM = {0xF0, 0xF7}


class MidiNote(NamedTuple):
    """A key that is pressed (`velocity` above 0) or let go of."""

    tick: int
    key: int
    velocity: int


@dataclass(frozen=True)
class MidiNotes:
    """All notes in the order of time, and what a tick is."""

    ticks_per_beat: int
    notes: tuple[MidiNote, ...]
    tempos: tuple[tuple[int, int], ...]
    """(tick, microseconds a quarter note), in order, the first at 0."""
    metres: tuple[tuple[int, int, int], ...]
    """(tick, beats, unit) of every change, in order; none where nothing is said."""
    ticks: int
    """Where the last event is."""

    def beats(self) -> Iterator[float]:
        """Where each note is, in quarter notes."""
        return (note.tick / self.ticks_per_beat for note in self.notes)

    def seconds(self) -> Iterator[float]:
        """When each note is."""
        (at, tempo), *rest = self.tempos
        passed, changes = 0.0, iter([*rest, None])
        change = next(changes)
        for note in self.notes:
            while change is not None and change[0] <= note.tick:
                passed += (change[0] - at) * tempo / 1e6 / self.ticks_per_beat
                at, tempo = change
                change = next(changes)
            yield passed + (note.tick - at) * tempo / 1e6 / self.ticks_per_beat


def read_midi(data: bytes, progress: Progress = unheard) -> MidiNotes:
    """Notes and tempos of all tracks.

    Raises
    ------
    ValueError
        If it is no such file, says nothing of its time, or holds more events than any that is played.
    """
    if data[:4] != b"MThd" or len(data) < 14:
        raise ValueError("no MIDI file")
    division = int.from_bytes(data[12:14], "big")
    if not 0 < division < 0x8000:  # frames of film: nothing says what a beat is
        raise ValueError(f"ticks a quarter note must be 1 to 32767, not {division}")
    found = _TrackEvents()
    at, left = 8 + int.from_bytes(data[4:8], "big"), MOST_EVENTS
    while at + 8 <= len(data):
        kind, size = data[at : at + 4], int.from_bytes(data[at + 4 : at + 8], "big")
        if kind == b"MTrk":
            left -= _Track(data[at + 8 : at + 8 + size], found, left, progress).read()
        at += 8 + size
    found.notes.sort(key=lambda note: note.tick)
    tempos = sorted(found.tempos, key=operator.itemgetter(0))  # of two at once the later one holds
    if not tempos or tempos[0][0] > 0:
        tempos.insert(0, (0, USUAL_TEMPO))
    metres = sorted(found.metres, key=operator.itemgetter(0))
    return MidiNotes(division, tuple(found.notes), tuple(tempos), tuple(metres), found.ticks)


@dataclass
class _TrackEvents:
    """What the tracks of a file hold together."""

    notes: list[MidiNote] = field(default_factory=list)
    tempos: list[tuple[int, int]] = field(default_factory=list)
    metres: list[tuple[int, int, int]] = field(default_factory=list)
    ticks: int = 0


class _Track:
    def __init__(self, data: bytes, found: _TrackEvents, most: int, progress: Progress) -> None:
        self._data, self._found = data, found
        self._most, self._progress = most, progress
        self._at = self._tick = self._status = 0

    def read(self) -> int:
        """How many events there were; what is cut off in the middle of one ends before it."""
        count = 0
        try:
            while self._at < len(self._data):
                count += 1
                if count > self._most:
                    raise ValueError(f"more than {MOST_EVENTS} events")
                if count % LOOKED_AFTER == 0:
                    self._progress(self._at / len(self._data))
                self._tick += self._number()
                self._found.ticks = max(self._found.ticks, self._tick)
                if self._event() == END_OF_TRACK:
                    break
        except IndexError:
            return count
        return count

    def _event(self) -> int:
        """Read one; the kind of a meta event, else 0."""
        status = self._data[self._at]
        if status < 0x80:  # as the one before
            status = self._status
        else:
            self._at += 1
        if status == META:
            return self._meta()
        if status in SYSTEM:
            size = self._number()
            self._at += size
            return 0
        if not 0x80 <= status < 0xF0:
            raise ValueError(f"an event begins with {status:#x}")
        self._status = status
        self._channel_event(status & 0xF0)
        return 0

    def _channel_event(self, kind: int) -> None:
        size = 1 if kind in ONE_BYTE else 2
        body = self._data[self._at : self._at + size]
        self._at += size
        if kind in {NOTE_ON, NOTE_OFF}:
            velocity = body[1] & 0x7F if kind == NOTE_ON else 0
            self._found.notes.append(MidiNote(self._tick, body[0] & 0x7F, velocity))

    def _meta(self) -> int:
        kind = self._data[self._at]
        self._at += 1
        size = self._number()
        body = self._data[self._at : self._at + size]
        self._at += size
        if kind == SET_TEMPO and len(body) == 3 and any(body):
            self._found.tempos.append((self._tick, int.from_bytes(body, "big")))
        elif kind == TIME_SIGNATURE and len(body) >= 2 and body[1] < 8:
            self._found.metres.append((self._tick, body[0], 1 << body[1]))
        return kind

    def _number(self) -> int:
        """A number of up to four bytes of seven bits."""
        value = 0
        for _ in range(4):
            byte = self._data[self._at]
            self._at += 1
            value = value << 7 | byte & 0x7F
            if byte < 0x80:
                return value
        raise ValueError("a number of more than four bytes")
