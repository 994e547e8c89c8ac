"""What runs in the audio callback: position, loop, and changes of mix or side without a gap or a click."""

import time
from collections import deque
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Protocol

import numpy as np

from chronotome.dsp.audio import Curve, Samples
from chronotome.engine.control import Command, Control, Word
from chronotome.engine.jack_transport import Now
from chronotome.engine.key_player import KeyPlayer
from chronotome.engine.kit_table import Note
from chronotome.engine.midi_clock import ClockOut, Order
from chronotome.engine.monitor import Monitor
from chronotome.engine.voices import PREVIEW, Voices, VoiceSource
from chronotome.render.mix import EVERY_BUS, OUT_CHANNELS, Heard, Side

CHANGE_FADE = 256
"""Frames over which one mix or side gives way to another."""
START_FADE = 16
MOST_SENT = 4096
"""Messages of the clock that wait for a port; where nobody takes them, the oldest go."""


class Leader(Protocol):
    """What is asked where others play with us: they start, and we with them."""

    def play(self, position: int) -> None: ...

    def stop(self) -> None: ...

    def seek(self, position: int) -> None: ...


@dataclass(eq=False)
class Target:
    """A pair of outputs: a block, and which buses are heard there."""

    out: Samples
    heard: Heard = EVERY_BUS


class Mixer:
    """Plays the published mix. One thread calls `process`.

    Invariant: what it plays is what `MixTable.add_into` gives at its position, but for the fades after a
    change, a start, a jump and a stop.
    """

    def __init__(self, control: Control, floats: Curve) -> None:
        self._control = control
        self._floats = floats
        self._slot = self._old_slot = -1
        self._side: int = Side.EDITED
        self._old_side: int = Side.EDITED
        self._position = self._old_position = 0
        self._old_left = 0
        self._rise = 0
        self._is_playing = False
        self._loop = (0, 0)
        self._wait = 0
        self._scratch = np.zeros((CHANGE_FADE, OUT_CHANNELS), np.float32)
        self._falling = np.linspace(1, 0, CHANGE_FADE, endpoint=False, dtype=np.float32)[:, None]
        self._rising = 1 - self._falling
        self._start = ((np.arange(START_FADE, dtype=np.float32) + 1) / (START_FADE + 1))[:, None]
        self._jumped = False
        self._voices = Voices(floats)
        self._keys = KeyPlayer(control, floats)
        self.monitor = Monitor()
        self.leader: Leader | None = None
        self.orders: deque[Order] = deque()
        """What a machine's clock wants."""
        self.sent: deque[tuple[float, bytes]] = deque(maxlen=MOST_SENT)
        """What machines are told: moments in seconds of the monotonic clock, and MIDI messages."""
        self._clock = ClockOut(control.beats)
        self._targets = [Target(np.zeros((0, OUT_CHANNELS), np.float32))]
        self.apart: tuple[Target, ...] = ()
        """Buses that have outputs of their own, each with a block as long as any that is asked for."""
        self._obeyed: dict[int, Callable[[Sequence[int]], None]] = {
            Command.PLAY: self._begin,
            Command.STOP: self._stop,
            Command.SEEK: lambda values: self._jump(values[0]),
            Command.LOOP: self._go_round,
            Command.LISTEN: self._listen,
            Command.HEAR: self._hear,
            Command.HUSH: lambda _values: self._voices.release(PREVIEW),
        }

    @property
    def notes(self) -> "deque[Note]":
        """What arrives in this process, of a MIDI thread; as if it came from the window."""
        return self._keys.arrived

    def process(self, out: Samples, when: float) -> bool:
        """Fill `out`, float32 (frames, 2), whose first frame will sound at `when` (monotonic seconds).

        False where it is silence, because nothing plays.
        """
        began = time.perf_counter_ns()
        control = self._control
        sounds = self._is_playing or self._voices.sound
        out.fill(0)
        self._aim(out)
        self._obey()
        self._take_newest()
        self._keys.begin(when, len(out))
        while self.orders:
            self._follow_order(self.orders.popleft(), when)
        self._play_block(out)
        for at, message in self._clock.take():
            self.sent.append((when + at / control.get(Word.RATE), message))
        if self._voices.sound:
            self._voices.add_into(out)
            sounds = True
        sounds |= self._keys.add_into(out)
        if control.get(Word.IS_MONITORED):
            sounds |= self.monitor.add_into(out)
        self._tell(out, when)
        control.put(Word.BUSIEST, max(control.get(Word.BUSIEST), time.perf_counter_ns() - began))
        return sounds

    def _aim(self, out: Samples) -> None:
        """The main outputs, which have what no others have, then those."""
        apart = self.apart
        without = (
            frozenset[int]().union(*(target.heard.buses for target in apart)) if apart else frozenset[int]()
        )
        self._targets = [Target(out, Heard(without)), *(Target(t.out[: len(out)], t.heard) for t in apart)]
        for target in self._targets[1:]:
            target.out.fill(0)

    def _play_block(self, out: Samples) -> None:
        """What is played from the position on, waited for, and gone round; keys and clock hear of it."""
        clock, done = self._clock, 0
        clock.is_on = self._control.wanted_clock.is_there
        while self._is_playing and done < len(out):
            length = len(out) - done
            if self._wait:
                length = min(self._wait, length)
                self._fade_old(done, length)
                self._keys.passed(done, self._position - self._wait, length)
                clock.rest(done, self._position, length)
                self._wait -= length
                done += length
                continue
            start, end = self._loop
            if start < end and self._position < end:
                length = min(length, end - self._position)
            self._keys.passed(done, self._position, length)
            clock.passed(done, self._position, length)
            self._play(done, length)
            done += length
            if start < end and self._position == end:
                self._jump(start)
        if not self._is_playing:
            self._fade_old(0, len(out))
            clock.rest(0, self._position, len(out))

    def _tell(self, out: Samples, when: float) -> None:
        """Where it is and how loud, for the window."""
        control = self._control
        control.put(Word.POSITION, self._position)
        control.put(Word.WAITING, self._wait)
        control.put(
            Word.POSITION_TIME, int(when * 1e9) + int(1e9 * len(out) / max(1, control.get(Word.RATE)))
        )
        control.put(Word.IS_PLAYING, int(self._is_playing))
        control.put(Word.PEAK_LEFT, int(1e6 * max(out[:, 0].max(), -out[:, 0].min())))
        control.put(Word.PEAK_RIGHT, int(1e6 * max(out[:, 1].max(), -out[:, 1].min())))
        control.put(Word.BLOCKS, control.get(Word.BLOCKS) + 1)

    def _obey(self) -> None:
        while (command := self._control.next_command()) is not None:
            kind, values = command
            if self.leader is None or not _led(self.leader, kind, values):
                self._obeyed[kind](values)

    def follow(self, position: int, *, is_playing: bool) -> None:
        """Others are at a session frame, and so is this from the next block on."""
        self._begin((position, 0)) if is_playing else self._jump(position)

    def halt(self) -> None:
        """Others have stopped."""
        self._stop(())

    @property
    def now(self) -> Now:
        """Where it is, as those who follow and lead want to know."""
        return Now(self._position, self._is_playing, self._wait, self._loop)

    def _follow_order(self, order: Order, when: float) -> None:
        """A machine starts or stops: in time with it, also where the block sounds later than it said so."""
        if order.beat is None:
            self._stop(())
        elif self._control.beats.is_there:
            later = (when - order.moment) * self._control.get(Word.RATE)
            self._begin((max(0, round(self._control.beats.frame_of(order.beat) + later)), 0))

    def _begin(self, values: Sequence[int]) -> None:
        position, wait = values[:2]
        self._jump(position)
        self._is_playing = True
        self._wait = wait
        self._control.put(Word.PLAY_STARTED, position)

    def _stop(self, _values: Sequence[int]) -> None:
        if not self._is_playing:
            return
        self._leave()
        self._is_playing = False
        if self._wait:  # nothing is counted in any more
            self._voices.release(PREVIEW)
        self._wait = 0

    def _listen(self, values: Sequence[int]) -> None:
        if values[0] != self._side:
            self._leave()
            self._side = values[0]

    def _go_round(self, values: Sequence[int]) -> None:
        self._loop = (values[0], values[1])

    def _hear(self, values: Sequence[int]) -> None:
        """A span sounds from now on, over whatever plays; what goes round is in time with that."""
        offset, frames, channels, millionths, rounds, began = values
        span = VoiceSource(offset, frames, channels, millionths / 1e6, min(frames, rounds))
        is_in_time = span.round > 0 and self._is_playing
        self._voices.start(span, PREVIEW, (self._position - began) % span.round if is_in_time else 0)

    def _take_newest(self) -> None:
        control = self._control
        if control.get(Word.PUBLISHED) == self._slot:
            return
        self._leave()  # marks the old slot as read before the new one is taken
        self._slot = control.adopt()
        serial = control.tables[self._slot].serial
        control.put(Word.ADOPTED_SERIAL, serial)
        if 0 < control.get(Word.MOVE_SERIAL) <= serial:
            self._position = max(0, self._position + control.get(Word.MOVE_FRAMES))
            control.put(Word.MOVE_SERIAL, 0)
            control.put(Word.PLAY_STARTED, min(control.get(Word.PLAY_STARTED), self._position))
            self._rise, self._jumped = START_FADE, True
        if self._old_left == 0:
            control.put(Word.OLDEST_SERIAL, serial)

    def _leave(self) -> None:
        """What sounds now goes on for a moment, fading."""
        self._old_slot, self._old_side, self._old_position = self._slot, self._side, self._position
        self._old_left = CHANGE_FADE if self._is_playing and self._slot >= 0 else 0
        self._jumped = False
        if self._old_left:
            self._control.put(Word.READING_OLD, self._old_slot)

    def _jump(self, position: int) -> None:
        self._leave()
        self._position = position
        self._rise = START_FADE
        self._jumped = True

    def _play(self, at: int, frames: int) -> None:
        done = START_FADE - self._rise
        count = min(self._rise, frames)
        for target in self._targets:
            out = target.out[at : at + frames]
            if self._slot >= 0:
                table = self._control.tables[self._slot]
                table.add_into(out, self._position, self._side, self._floats, target.heard)
            if count:
                out[:count] *= self._start[done : done + count]
        self._position += frames
        self._rise -= count
        self._fade_old(at, frames)

    def _fade_old(self, at: int, frames: int) -> None:
        """Lead what sounded before into what is played; where both are the same, not a bit changes."""
        if not self._old_left:
            return
        count = min(self._old_left, frames)
        done = CHANGE_FADE - self._old_left
        tail, table = self._scratch[:count], self._control.tables[self._old_slot]
        for target in self._targets:
            out = target.out[at : at + count]
            tail.fill(0)
            table.add_into(tail, self._old_position, self._old_side, self._floats, target.heard)
            if self._jumped or not self._is_playing:
                tail *= self._falling[done : done + count]
                out += tail
            elif (tail != out).any():
                out *= self._rising[done : done + count]
                tail *= self._falling[done : done + count]
                out += tail
        self._old_position += count
        self._old_left -= count
        if not self._old_left:
            self._control.put(Word.READING_OLD, -1)
            self._control.put(Word.OLDEST_SERIAL, self._control.get(Word.ADOPTED_SERIAL))


def _led(leader: Leader, kind: int, values: Sequence[int]) -> bool:
    """Ask others for what was asked of us; True where that is all, and they bring it about."""
    if kind == Command.PLAY and not values[1]:  # a count-in is ours alone: they come with us after it
        leader.play(values[0])
        return True
    if kind == Command.STOP:
        leader.stop()
    elif kind == Command.SEEK:
        leader.seek(values[0])
    return False
