"""Where beats of the song are, in memory that both processes share, asked for block by block."""

from bisect import bisect_right
from typing import NamedTuple

import numpy as np

from chronotome.session.grid import Metre, TempoMap

MOST_KNOTS = 1 << 16
HEADS = 8
COPY_BYTES = 8 * (HEADS + 3 * MOST_KNOTS)
TABLE_BYTES = 8 * HEADS + 2 * COPY_BYTES


class Place(NamedTuple):
    """Of a session frame: its bar and beat from 1, the share of the beat that has passed, the tempo."""

    bar: int
    beat: int
    share: float
    beats_per_minute: float


class BeatTable:
    """A tempo map as knots: written beside the one that is read, then one word says which it is.

    Beats are quarter notes from beat one on, frames those of the session; neither need be whole. Until it is
    written there are no beats.
    """

    def __init__(self, view: memoryview | bytearray, offset: int) -> None:
        self._which = np.frombuffer(view, np.int64, HEADS, offset)
        first = offset + 8 * HEADS
        self._heads = [np.frombuffer(view, np.float64, HEADS, first + at * COPY_BYTES) for at in (0, 1)]
        self._columns = [
            np.frombuffer(view, np.float64, 3 * MOST_KNOTS, first + at * COPY_BYTES + 8 * HEADS).reshape(
                3, MOST_KNOTS
            )
            for at in (0, 1)
        ]

    def write(self, tempo: TempoMap, metre: Metre, rate: int) -> None:
        """Another map from now on; of one with more changes than there is room for, the first ones."""
        spare = 1 - int(self._which[0])
        beats, moments, per_beat = tempo.knots
        count = min(len(beats), MOST_KNOTS)
        for row, column in enumerate((beats, moments * rate, per_beat * rate)):
            self._columns[spare][row, :count] = column[:count]
        self._heads[spare][:4] = (count, metre.beats, metre.unit, rate)
        self._which[0] = spare

    @property
    def is_there(self) -> bool:
        return bool(self._heads[int(self._which[0])][0])

    def _knot(self, row: int, value: float) -> tuple[float, float, float]:
        which = int(self._which[0])
        count, columns = int(self._heads[which][0]), self._columns[which]
        at = max(0, bisect_right(columns[row], value, 0, count) - 1)
        beat, frame, per_beat = columns[:, at].tolist()
        return beat, frame, per_beat

    def frame_of(self, beat: float) -> float:
        """The session frame at which a beat sounds."""
        at, frame, per_beat = self._knot(0, beat)
        return frame + (beat - at) * per_beat

    def beat_of(self, frame: float) -> float:
        """The beat that sounds at a session frame."""
        beat, at, per_beat = self._knot(1, frame)
        return beat + (frame - at) / per_beat

    @property
    def metre(self) -> tuple[int, int]:
        """Beats of a bar, and the note that is one."""
        head = self._heads[int(self._which[0])]
        return int(head[1]), int(head[2])

    def frames_per_beat(self, frame: float) -> float:
        """How long a quarter note is there."""
        return self._knot(1, frame)[2]

    def place_of(self, frame: float) -> Place:
        """Bar, beat and tempo at a session frame; before beat one bars count down from 0."""
        beats, unit = self.metre
        counted = self.beat_of(frame) * unit / 4
        bar, beat = divmod(int(counted // 1), beats)
        rate = self._heads[int(self._which[0])][3]
        return Place(bar + 1, beat + 1, counted % 1, 60.0 * rate / self.frames_per_beat(frame))
