"""What runs in the audio callback: position, loop, and changes of mix or side without a gap or a click."""

import time

import numpy as np

from chronotome.dsp.audio import Curve, Samples
from chronotome.engine.control import Command, Control, Word, unpacked_span
from chronotome.render.mix import OUT_CHANNELS, Side, fold_down

CHANGE_FADE = 256
"""Frames over which one mix or side gives way to another."""
START_FADE = 16
HIT_FADE = 96
"""Frames over which a single hit ends."""
HIT_AT_ONCE = 4096
MOST_CHANNELS = 64
FOLDS = [fold_down(max(1, channels), OUT_CHANNELS) for channels in range(MOST_CHANNELS + 1)]
FOLDS[1] = np.ones((1, OUT_CHANNELS), np.float32)


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
        self._hit = self._hit_channels = self._hit_left = 0
        self._hit_start = self._hit_round = 0
        self._hit_gain = 1.0
        self._hit_part = np.zeros((HIT_AT_ONCE, OUT_CHANNELS), np.float32)
        self._hit_end = np.linspace(1, 0, HIT_FADE, endpoint=False, dtype=np.float32)[:, None]

    def process(self, out: Samples, when: float) -> bool:
        """Fill `out`, float32 (frames, 2), whose first frame will sound at `when` (monotonic seconds).

        False where it is silence, because nothing plays.
        """
        began = time.perf_counter_ns()
        control = self._control
        sounds = self._is_playing or self._hit_left > 0
        out.fill(0)
        self._obey()
        self._take_newest()
        done = 0
        while self._is_playing and done < len(out):
            length = len(out) - done
            if self._wait:
                waited = min(self._wait, length)
                self._fade_old(out[done : done + waited])
                self._wait -= waited
                done += waited
                continue
            start, end = self._loop
            if start < end and self._position < end:
                length = min(length, end - self._position)
            self._play(out[done : done + length])
            done += length
            if start < end and self._position == end:
                self._jump(start)
        if not self._is_playing:
            self._fade_old(out)
        if self._hit_left:
            self._add_hit(out)
            sounds = True
        control.put(Word.POSITION, self._position)
        control.put(
            Word.POSITION_TIME, int(when * 1e9) + int(1e9 * len(out) / max(1, control.get(Word.RATE)))
        )
        control.put(Word.IS_PLAYING, int(self._is_playing))
        control.put(Word.PEAK_LEFT, int(1e6 * max(out[:, 0].max(), -out[:, 0].min())))
        control.put(Word.PEAK_RIGHT, int(1e6 * max(out[:, 1].max(), -out[:, 1].min())))
        control.put(Word.BLOCKS, control.get(Word.BLOCKS) + 1)
        control.put(Word.BUSIEST, max(control.get(Word.BUSIEST), time.perf_counter_ns() - began))
        return sounds

    def _obey(self) -> None:
        while (command := self._control.next_command()) is not None:
            kind, a, b = command
            if kind == Command.PLAY:
                self._jump(a)
                self._is_playing = True
                self._wait = b
                self._control.put(Word.PLAY_STARTED, a)
            elif kind == Command.STOP and self._is_playing:
                self._leave()
                self._is_playing = False
                self._hit_left = min(self._hit_left, HIT_FADE if self._wait else self._hit_left)
                self._wait = 0
            elif kind == Command.SEEK:
                self._jump(a)
            elif kind == Command.LOOP:
                self._loop = (a, b)
            elif kind == Command.LISTEN and a != self._side:
                self._leave()
                self._side = a
            elif kind == Command.HEAR:
                self._take_hit(a, b)

    def _take_hit(self, offset: int, word: int) -> None:
        """A hit sounds from now on, over whatever plays; one that sounds already gives way to it."""
        frames, channels, gain = unpacked_span(word)
        if not frames:
            self._hit_left, self._hit_round = min(self._hit_left, HIT_FADE), 0
            return
        self._hit, self._hit_channels, self._hit_left, self._hit_gain = offset, channels, frames, gain
        self._hit_start, self._hit_round = offset, min(frames, self._control.get(Word.HEAR_LOOP))
        if self._hit_round and self._is_playing:
            done = (self._position - self._control.get(Word.HEAR_FROM)) % self._hit_round
            self._hit += done * channels
            self._hit_left = self._hit_round - done

    def _add_hit(self, out: Samples) -> None:
        """Add what comes next of the hit; its end is faded, so that it stops without a click."""
        done, channels = 0, self._hit_channels
        while self._hit_left and done < len(out):
            count = min(self._hit_left, len(out) - done, len(self._hit_part))
            span = self._floats[self._hit : self._hit + count * channels].reshape(count, channels)
            part = self._hit_part[:count]
            np.matmul(span, FOLDS[channels], out=part)
            part *= self._hit_gain
            ending = max(0, count - max(0, self._hit_left - HIT_FADE))
            if ending and not self._hit_round:
                passed = HIT_FADE - self._hit_left + count - ending
                part[count - ending :] *= self._hit_end[passed : passed + ending]
            out[done : done + count] += part
            self._hit += count * channels
            self._hit_left -= count
            done += count
            if not self._hit_left and self._hit_round:
                self._hit, self._hit_left = self._hit_start, self._hit_round

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

    def _play(self, out: Samples) -> None:
        if self._slot >= 0:
            self._control.tables[self._slot].add_into(out, self._position, self._side, self._floats)
        self._position += len(out)
        if self._rise:
            done = START_FADE - self._rise
            count = min(self._rise, len(out))
            out[:count] *= self._start[done : done + count]
            self._rise -= count
        self._fade_old(out)

    def _fade_old(self, out: Samples) -> None:
        """Lead what sounded before into `out`; where both are the same, nothing changes, to the bit."""
        if not self._old_left:
            return
        count = min(self._old_left, len(out))
        done = CHANGE_FADE - self._old_left
        tail = self._scratch[:count]
        tail.fill(0)
        self._control.tables[self._old_slot].add_into(tail, self._old_position, self._old_side, self._floats)
        if self._jumped or not self._is_playing:
            tail *= self._falling[done : done + count]
            out[:count] += tail
        elif (tail != out[:count]).any():
            out[:count] *= self._rising[done : done + count]
            tail *= self._falling[done : done + count]
            out[:count] += tail
        self._old_position += count
        self._old_left -= count
        if not self._old_left:
            self._control.put(Word.READING_OLD, -1)
            self._control.put(Word.OLDEST_SERIAL, self._control.get(Word.ADOPTED_SERIAL))
