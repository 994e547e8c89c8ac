"""MIDI's clock, 24 ticks a quarter note, with start, stop, continue and place: sent, and understood.

Source: MIDI 1.0 Detailed Specification, System Real Time Messages and Song Position Pointer.
"""

from collections import deque
from enum import IntEnum
from math import ceil
from typing import NamedTuple

import numpy as np

from chronotome.engine.beat_table import BeatTable

TICKS = 24
TICKS_OF_SIXTEENTH = 6
MOST_SIXTEENTHS = (1 << 14) - 1
HEARD_TICKS = 4 * TICKS
"""Over so many the tempo is measured."""
LEAST_TICKS = TICKS
UNEVEN_SECONDS = 0.002
SLOWEST, FASTEST = 20.0, 400.0
NEAR = 1e-6
LOST_SECONDS = 0.5
"""After so long without a tick there is no clock; at 20 beats a minute they come every 0.125 s."""


class Realtime(IntEnum):
    POSITION = 0xF2
    TICK = 0xF8
    START = 0xFA
    CONTINUE = 0xFB
    STOP = 0xFC


class ClockOut:
    """What machines are told of a song as it is played, block by block; the audio callback uses it.

    Where playing begins within a sixteenth, machines are told of the next one at once and begin with it: a
    place is always a sixteenth. Ticks go on where nothing plays, so that a machine knows the tempo before.
    """

    def __init__(self, beats: BeatTable) -> None:
        self._beats = beats
        self.is_on = False
        """Whether anybody wants it."""
        self._sent: list[tuple[int, bytes]] = []
        self._next: int | None = None
        self._begins_at: int | None = None
        """The tick at which machines begin, where they are still to."""
        self._is_running = False
        self._until_idle = 0.0

    def passed(self, at: int, position: int, frames: int) -> None:
        """From frame `at` of the block on, session frames from `position` on sound."""
        if not self.is_on or not self._beats.is_there:
            return
        tick = ceil(self._beats.beat_of(position) * TICKS - NEAR)
        if position != self._next:
            self._halt(at)
            self._begin(at, tick)
        self._next = position + frames
        frame = self._frame_of(tick)
        while frame < position + frames:
            if frame >= position:
                self._tick(at + frame - position, tick)
            tick += 1
            frame = self._frame_of(tick)
        self._until_idle = frame - self._next

    def _frame_of(self, tick: int) -> int:
        return round(self._beats.frame_of(tick / TICKS))

    def _begin(self, at: int, tick: int) -> None:
        sixteenth = max(0, ceil(tick / TICKS_OF_SIXTEENTH))
        self._begins_at = sixteenth * TICKS_OF_SIXTEENTH
        if 0 < sixteenth <= MOST_SIXTEENTHS:
            self._sent.append((at, bytes([Realtime.POSITION, sixteenth & 127, sixteenth >> 7])))

    def _tick(self, at: int, tick: int) -> None:
        if tick == self._begins_at and tick // TICKS_OF_SIXTEENTH <= MOST_SIXTEENTHS:
            self._sent.append((at, bytes([Realtime.START if tick == 0 else Realtime.CONTINUE])))
            self._begins_at, self._is_running = None, True
        self._sent.append((at, bytes([Realtime.TICK])))

    def _halt(self, at: int) -> None:
        if self._is_running:
            self._sent.append((at, bytes([Realtime.STOP])))
        self._is_running, self._begins_at = False, None

    def rest(self, at: int, position: int, frames: int) -> None:
        """From frame `at` of the block on nothing plays for so many; the playhead is at `position`."""
        if not self.is_on or not self._beats.is_there:
            return
        self._halt(at)
        self._next = None
        per_tick = self._beats.frames_per_beat(position) / TICKS
        while self._until_idle < frames:
            self._sent.append((at + round(self._until_idle), bytes([Realtime.TICK])))
            self._until_idle += per_tick
        self._until_idle -= frames

    def take(self) -> list[tuple[int, bytes]]:
        """What is to go out in this block, at which of its frames; in order."""
        sent, self._sent = self._sent, []
        return sent


class Order(NamedTuple):
    """What a machine wants: to play from a beat, at a moment (in seconds), or to stop (None)."""

    beat: float | None
    moment: float


class ClockIn:
    """The clock of a machine: its tempo, and when it starts and stops."""

    def __init__(self) -> None:
        self._ticks: deque[float] = deque(maxlen=HEARD_TICKS + 1)
        self._last = 0.0
        self._place = 0.0
        self._is_beginning = False

    def hear(self, message: bytes, moment: float, at: float) -> Order | None:
        """A message at a moment, in seconds; an order where it is one. Other messages are none.

        `at` is the same by the clock by which sound is made: a tempo is one only beside the song's.
        """
        kind = message[0]
        if kind == Realtime.TICK:
            return self._tick(moment, at)
        if kind == Realtime.STOP:
            self._is_beginning = False
            return Order(None, moment)
        if kind == Realtime.START:
            self._place = 0.0
        if kind == Realtime.POSITION and len(message) == 3:
            self._place = (message[1] + (message[2] << 7)) / 4
        elif kind in {Realtime.START, Realtime.CONTINUE}:
            self._is_beginning = True
        return None

    def _tick(self, moment: float, at: float) -> Order | None:
        if self._ticks and not 0.0 < at - self._ticks[-1] < LOST_SECONDS:
            self._ticks.clear()
        self._ticks.append(at)
        self._last = moment
        if not self._is_beginning:
            return None
        self._is_beginning = False
        return Order(self._place, moment)

    def tempo(self, now: float) -> float | None:
        """Beats a minute, the slope of a line through the last four beats of ticks; None without a clock.

        Where ticks do not lie on a line, since some came late, the middle one of all beats.
        """
        moments = np.array(self._ticks)
        if len(moments) <= LEAST_TICKS or now - self._last > LOST_SECONDS:
            return None
        numbers, moments = np.arange(len(moments)), moments - moments[0]
        slope, begin = np.polyfit(numbers, moments, 1).tolist()
        if np.abs(begin + slope * numbers - moments).max() > UNEVEN_SECONDS:
            slope = float(np.median(moments[TICKS:] - moments[:-TICKS])) / TICKS
        tempo = 60.0 / (TICKS * slope) if slope > 0 else 0.0
        return tempo if SLOWEST <= tempo <= FASTEST else None
