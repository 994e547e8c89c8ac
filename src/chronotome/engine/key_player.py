"""What keys do, in the audio callback: each note at its frame, and told where in the song it was heard."""

from collections import deque

import numpy as np

from chronotome.dsp.audio import Curve, Samples
from chronotome.engine.control import Control, Word
from chronotome.engine.key_voices import KeyVoices
from chronotome.engine.kit_table import PLAYED, WANTED, Note, NoteKind

MARGIN_SECONDS = 0.001
"""From one block to the next a note may be that much late, and still sound at its frame."""
USUAL_BLOCK = 512
REMEMBERED = 400
"""Stretches of what was played, by which the place of a note is found that came a little ago."""
NOWHERE = -(1 << 60)
LOOKED_AT = 128


class KeyPlayer:
    """One thread uses it, the audio callback; another may append to `arrived`.

    A note sounds a block and a millisecond after it came, always: what varies less is played better than what
    comes sooner. Its place in the song is what was heard when it came.
    """

    def __init__(self, control: Control, floats: Curve) -> None:
        self._control, self._kit = control, control.kit
        self._voices = KeyVoices(floats, USUAL_BLOCK)
        self.arrived: deque[Note] = deque()
        self._waiting: list[Note] = []
        self._passed: deque[tuple[int, int, int]] = deque(maxlen=REMEMBERED)
        """(output frame, session frame, frames) of each stretch that was played or waited for."""
        self._frame = self._frames = 0
        self._when = 0.0
        self._is_ready = False

    @property
    def count(self) -> int:
        """How many voices sound."""
        return self._voices.count

    def begin(self, when: float, frames: int) -> None:
        """A block of so many frames, the first of which sounds at a moment of the monotonic clock."""
        if not self._is_ready:
            np.setbufsize(LOOKED_AT)  # of this thread: NumPy would take 132 KB a block otherwise
            self._is_ready = True
        self._frame += self._frames
        self._when, self._frames = when, frames

    def passed(self, at: int, position: int, frames: int) -> None:
        """From frame `at` of the block on, session frames from `position` on are played."""
        self._passed.append((self._frame + at, position, frames))

    def add_into(self, out: Samples) -> bool:
        """Add what keys let sound to a block; False where that is nothing."""
        while (note := self._kit.take(WANTED)) is not None:
            self._waiting.append(note)
        while self.arrived:
            self._waiting.append(self.arrived.popleft())
        if self._waiting:
            self._waiting = [note for note in self._waiting if not self._done(note)]
        if not self._voices.count:
            return False
        self._voices.add_into(out)
        return True

    def _done(self, note: Note) -> bool:
        """Do what a note asks for where it falls into this block; False where it is for a later one."""
        at = self._frame_of(note)
        if at is None or at >= self._frames:
            return False
        self._do(note, max(0, at))
        place = note.frame if note.frame >= 0 else self._place_of(note.stamp)
        self._kit.put(PLAYED, note._replace(frame=place))
        return True

    def _do(self, note: Note, at: int) -> None:
        voices = self._voices
        if note.kind == NoteKind.RELEASE:
            voices.release(note.key, at)
        elif note.kind == NoteKind.SILENCE:
            voices.silence(at)
        elif note.kind == NoteKind.START:
            sound = self._kit.sound_of(note.key)
            if sound is not None:
                offset, frames, group, is_held, left, right, semitones, release = sound
                rate = self._control.get(Word.RATE)
                voices.start(
                    note.key,
                    int(offset),
                    int(frames),
                    (left * note.velocity, right * note.velocity),
                    semitones,
                    int(group),
                    max(1, round(release * rate)),
                    at,
                    is_held=bool(is_held),
                )

    def _frame_of(self, note: Note) -> int | None:
        """The frame of this block at which a note is to sound; None where the song is not there yet."""
        if note.kind in {NoteKind.TAKE, NoteKind.CONTROL}:
            return 0
        if note.frame < 0:
            rate = self._control.get(Word.RATE)
            later = self._frames / rate + MARGIN_SECONDS + self._control.get(Word.LATENCY) / 1e9
            return round((note.stamp / 1e9 + later - self._when) * rate)
        last = None
        for frame, position, frames in reversed(self._passed):
            if frame < self._frame:
                break
            if position <= note.frame < position + frames:
                return frame - self._frame + note.frame - position
            last = position
        return 0 if last is not None and note.frame < last else None

    def _place_of(self, stamp: int) -> int:
        """The session frame that was heard at a time; `NOWHERE` where nothing played."""
        rate = self._control.get(Word.RATE)
        heard = self._frame + round((stamp / 1e9 - self._when) * rate)
        for frame, position, frames in reversed(self._passed):
            if frame <= heard < frame + frames:
                return position + heard - frame
            if frame + frames < heard - frames:
                break
        return NOWHERE
