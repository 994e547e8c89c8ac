"""Where beats of the song are, in memory that both processes share, asked for block by block."""

from bisect import bisect_right
from typing import NamedTuple

import numpy as np

from chronotome.session.grid import TempoMap
from chronotome.session.metre import MOST_METRE_CHANGES, ON_LINE, MetreMap

MOST_KNOTS = 1 << 16
MOST_STRETCHES = MOST_METRE_CHANGES + 1
HEADS = 8
COPY_BYTES = 8 * (HEADS + 3 * MOST_KNOTS + 5 * MOST_STRETCHES)
TABLE_BYTES = 8 * HEADS + 2 * COPY_BYTES


class Place(NamedTuple):
    """Of a session frame: its bar and beat from 1, the share of the beat that has passed, the tempo."""

    bar: int
    beat: int
    share: float
    beats_per_minute: float
    beats_in_bar: int
    unit: int
    counted: int
    """Beats of the metre from beat one to the bar's line."""


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
        behind = first + 8 * (HEADS + 3 * MOST_KNOTS)
        self._stretches = [
            np.frombuffer(view, np.float64, 5 * MOST_STRETCHES, behind + at * COPY_BYTES).reshape(
                5, MOST_STRETCHES
            )
            for at in (0, 1)
        ]

    def write(self, tempo: TempoMap, metre: MetreMap, rate: int) -> None:
        """Another map from now on; of one with more changes than there is room for, the first ones."""
        spare = 1 - int(self._which[0])
        beats, moments, per_beat = tempo.knots
        count = min(len(beats), MOST_KNOTS)
        for row, column in enumerate((beats, moments * rate, per_beat * rate)):
            self._columns[spare][row, :count] = column[:count]
        bars, starts, _ = metre.stretches
        beats_in_bar = np.array([each.beats for each in metre.metres], np.float64)
        units = np.array([each.unit for each in metre.metres], np.float64)
        counted = np.concatenate([[0.0], np.cumsum(np.diff(bars) * beats_in_bar[:-1])])
        stretches = min(len(bars), MOST_STRETCHES)
        for row, column in enumerate((starts, bars, counted, beats_in_bar, units)):
            self._stretches[spare][row, :stretches] = column[:stretches]
        self._heads[spare][:3] = (count, stretches, rate)
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

    def frames_per_beat(self, frame: float) -> float:
        """How long a quarter note is there."""
        return self._knot(1, frame)[2]

    def place_of(self, frame: float) -> Place:
        """Bar, beat and tempo at a session frame; before beat one bars count down from 0."""
        which, quarters = int(self._which[0]), self.beat_of(frame)
        _, count, rate = (float(each) for each in self._heads[which][:3])
        stretches = self._stretches[which]
        at = max(0, bisect_right(stretches[0], quarters + ON_LINE, 0, int(count)) - 1)
        start, first, counted, beats, unit = stretches[:, at].tolist()
        passed = (quarters - start) * unit / 4
        whole = int((passed + ON_LINE) // 1)
        bar, beat = divmod(whole, int(beats))
        return Place(
            int(first) + bar + 1,
            beat + 1,
            max(0.0, passed - whole),
            60.0 * rate / self.frames_per_beat(frame),
            int(beats),
            int(unit),
            int(counted) + bar * int(beats),
        )
