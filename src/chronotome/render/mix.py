"""Rendered pieces in order, and the one function that turns them into sound for player and export."""

from dataclasses import dataclass
from enum import IntEnum

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve, Samples
from chronotome.units import Frames

MOST_LANES = 512
MOST_PLACEMENTS = 1 << 18
HEADER = 8
COLUMNS = 4
OUT_CHANNELS = 2
TABLE_BYTES = 8 * (HEADER + 4 * MOST_LANES + COLUMNS * MOST_PLACEMENTS)


class Side(IntEnum):
    """What is listened to."""

    AS_PLAYED = 0
    EDITED = 1
    BOTH = 2


@dataclass(frozen=True, eq=False)
class Lane:
    """Placements that do not overlap: where they start, how long they are, where their samples lie.

    Invariants: columns of equal length; `starts` rises; a placement ends before the next one starts.
    """

    side: Side
    gain: float
    starts: Frames
    lengths: Frames
    offsets: Frames
    channels: Frames


@dataclass(frozen=True, eq=False)
class Mix:
    """A mix is data: lanes, and the gain of each side. `serial` grows with every mix."""

    serial: int
    frames: int
    lanes: tuple[Lane, ...]
    played_gain: float = 1.0
    """Matches the level of As played to that of Edited."""


class MixTable:
    """A mix laid out in plain memory, which another process can read."""

    def __init__(self, buffer: memoryview | bytearray, offset: int = 0) -> None:
        self._whole: NDArray[np.int64] = np.frombuffer(buffer, np.int64, HEADER, offset)
        self._gains: NDArray[np.float64] = np.frombuffer(buffer, np.float64, HEADER, offset)
        at = offset + 8 * HEADER
        self._lanes: NDArray[np.int64] = np.frombuffer(buffer, np.int64, 3 * MOST_LANES, at).reshape(
            MOST_LANES, 3
        )
        at += 8 * 3 * MOST_LANES
        self._lane_gains: NDArray[np.float64] = np.frombuffer(buffer, np.float64, MOST_LANES, at)
        at += 8 * MOST_LANES
        self._columns: NDArray[np.int64] = np.frombuffer(
            buffer, np.int64, COLUMNS * MOST_PLACEMENTS, at
        ).reshape(COLUMNS, MOST_PLACEMENTS)
        self._starts = self._columns[0]

    @property
    def serial(self) -> int:
        return int(self._whole[0])

    @property
    def frames(self) -> int:
        return int(self._whole[1])

    def write(self, mix: Mix) -> None:
        total = sum(len(lane.starts) for lane in mix.lanes)
        if total > MOST_PLACEMENTS or len(mix.lanes) > MOST_LANES:
            raise ValueError(f"{total} placements in {len(mix.lanes)} lanes are more than a mix holds")
        at = 0
        for index, lane in enumerate(mix.lanes):
            end = at + len(lane.starts)
            for row, column in enumerate((lane.starts, lane.lengths, lane.offsets, lane.channels)):
                self._columns[row, at:end] = column
            self._lanes[index] = (at, end, lane.side)
            self._lane_gains[index] = lane.gain
            at = end
        self._whole[:3] = (mix.serial, mix.frames, len(mix.lanes))
        self._gains[3] = mix.played_gain

    def add_into(self, out: Samples, start: int, side: int, floats: Curve) -> None:
        """Add frames [start, start + len(out)) to `out`.

        Runs in the audio callback and in the export; what it does depends on nothing but its arguments.
        """
        end = start + len(out)
        for lane in range(int(self._whole[2])):
            first, last, lane_side = self._lanes[lane].tolist()
            gain = float(self._lane_gains[lane])
            if gain == 0.0 or lane_side not in {side, Side.BOTH}:
                continue
            if lane_side == Side.AS_PLAYED:
                gain *= float(self._gains[3])
            at = first + max(0, int(self._starts[first:last].searchsorted(start, "right")) - 1)
            while at < last and self._starts[at] < end:
                self._add_placement(out, start, at, np.float32(gain), floats)
                at += 1

    def _add_placement(self, out: Samples, start: int, at: int, gain: np.float32, floats: Curve) -> None:
        begins, length, offset, channels = self._columns[:, at].tolist()
        low, high = max(begins, start), min(begins + length, start + len(out))
        if low >= high:
            return
        first = offset + (low - begins) * channels
        span = floats[first : first + (high - low) * channels]
        target = out[low - start : high - start]
        if channels == 1:
            span = span[:, None]
        elif channels != out.shape[1]:
            span = span.reshape(-1, channels) @ fold_down(channels, out.shape[1])
        else:
            span = span.reshape(-1, channels)
        target += span if gain == 1.0 else span * gain


def fold_down(channels: int, wanted: int) -> Samples:
    """How many channels become fewer: 5.1 by ITU-R BS.775, others left and right in turn.

    Returns
    -------
    float32, shape (channels, wanted)
    """
    weights = np.zeros((channels, wanted), np.float32)
    if channels == 6 and wanted == 2:
        weights[[0, 2, 4], 0] = 1.0, 0.7071, 0.7071
        weights[[1, 2, 5], 1] = 1.0, 0.7071, 0.7071
        return weights
    for channel in range(channels):
        weights[channel, channel % wanted] = 1.0
    return weights / np.maximum(1, weights.sum(axis=0))
