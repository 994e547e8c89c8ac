"""What MIDI messages are to us: notes on keys, controls, the clock of a machine."""

import time
from collections import deque
from collections.abc import Callable

from chronotome.engine.control import Control, InTime, Word
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.engine.midi_clock import ClockIn, Order, Realtime

FIRST_NOTE = 36
"""The note of the first key of a kit. Those below it are controls."""
CONTROLS = 128
"""Of a channel; the notes below the first key follow, as further ones."""
NOTES = 0x80, 0x90
CONTROL_CHANGE = 0xB0
REALTIME = frozenset(Realtime)
Put = Callable[[Note], None]


def control_number(channel: int, control: int, *, is_note: bool = False) -> int:
    """Of a control: 0 to 127 of channel 0, then its notes, then those of the next channel."""
    return 2 * CONTROLS * channel + (CONTROLS if is_note else 0) + control


def control_name(number: int) -> tuple[int, int, bool]:
    """Channel from 1, control or note, and whether it is a note."""
    channel, rest = divmod(number, 2 * CONTROLS)
    return channel + 1, rest % CONTROLS, rest >= CONTROLS


class MidiMessages:
    """Takes messages with their moments; each backend's own thread calls it.

    Notes and controls are put where the mixer finds them, what a machine wants into `orders`.
    """

    def __init__(self, control: Control, put: Put, orders: "deque[Order]") -> None:
        self._control, self._put, self._orders = control, put, orders
        self._clock = ClockIn()

    def take(self, data: bytes, stamp: int, at: float | None = None) -> None:
        """One whole message, at a moment of the monotonic clock in nanoseconds.

        `at`: in seconds of the clock by which sound is made, where that is known; a tempo is measured by it.
        """
        if not data:
            return
        kind, channel = data[0] & 0xF0, data[0] & 0x0F
        if kind in NOTES and len(data) == 3:
            self._note(channel, data[1], data[2] if kind == NOTES[1] else 0, stamp)
        elif kind == CONTROL_CHANGE and len(data) == 3:
            self._turned(control_number(channel, data[1]), data[2] / 127, stamp)
        elif data[0] in REALTIME and self._control.get(Word.IN_TIME) == InTime.CLOCK:
            order = self._clock.hear(data, stamp / 1e9, stamp / 1e9 if at is None else at)
            if order is not None:
                self._orders.append(order)

    def _note(self, channel: int, note: int, velocity: int, stamp: int) -> None:
        if note >= FIRST_NOTE:
            kind = NoteKind.START if velocity else NoteKind.RELEASE
            self._put(Note(kind, note - FIRST_NOTE, velocity / 127 if velocity else 1.0, stamp))
        elif velocity:
            self._turned(control_number(channel, note, is_note=True), velocity / 127, stamp)

    def _turned(self, number: int, value: float, stamp: int) -> None:
        self._put(Note(NoteKind.CONTROL, number, value, stamp))

    def tell_tempo(self) -> None:
        """The tempo of the clock that is heard, where the window looks; in millionths, 0 without one."""
        is_wanted = self._control.get(Word.IN_TIME) == InTime.CLOCK
        tempo = self._clock.tempo(time.monotonic()) if is_wanted else None
        self._control.put(Word.CLOCK_TEMPO, 0 if tempo is None else round(tempo * 1e6))
