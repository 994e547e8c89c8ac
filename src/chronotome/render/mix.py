"""Rendered pieces in order, and the one function that turns them into sound for player and export."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from enum import IntEnum
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve, Samples
from chronotome.errors import ChronotomeError
from chronotome.units import Frames
from chronotome.words import tr

MOST_LANES = 512
MOST_PLACEMENTS = 1 << 18
MOST_PARTS = 1 << 18
HEADER = 8
LANE_COLUMNS = 4
COLUMNS = 5
PART_COLUMNS = 10
OUT_CHANNELS = 2
GAIN_COLUMNS = 5
TABLE_BYTES = 8 * (
    HEADER
    + LANE_COLUMNS * MOST_LANES
    + PART_COLUMNS * MOST_PARTS
    + (COLUMNS + GAIN_COLUMNS) * MOST_PLACEMENTS
)
MAIN, CLICK, FIRST_TRACK = range(3)
"""Buses: those of tracks follow in their order. The main outputs have all that has none of its own."""
QUARTER = np.pi / 2
Parts = NDArray[np.float64]
"""(parts, 10): gains of left and right, then start and end of four fades: those of the clip, of its row."""
EVEN = np.array([[1.0], [1.0], [1.0], [1.0], [0.0]])


class Side(IntEnum):
    """What is listened to."""

    AS_PLAYED = 0
    EDITED = 1
    BOTH = 2


class GainSegment(NamedTuple):
    """What sounds alike: how loud on the left and on the right, and where it comes in and goes out.

    Fades are session frames, by equal power; none where start and end are the same. A row of a clip has its
    own beside those of the clip.
    """

    left: float = 1.0
    right: float = 1.0
    fade_in: tuple[int, int] = (0, 0)
    fade_out: tuple[int, int] = (0, 0)

    def row(self) -> Parts:
        """As a mix has it, of a clip whose rows neither come in nor go out by themselves."""
        return np.array([[self.left, self.right, *self.fade_in, *self.fade_out, 0, 0, 0, 0]], np.float64)


class Heard(NamedTuple):
    """Which buses go to a pair of outputs: these, or all without them."""

    buses: frozenset[int] = frozenset()
    is_without: bool = True


EVERY_BUS = Heard()


@dataclass(frozen=True, eq=False)
class MixLane:
    """Placements that do not overlap: where they start, how long they are, where their samples lie.

    Invariants: columns of equal length; `starts` rises; a placement ends before the next one starts. `parts`
    says which of the mix's parts each belongs to.
    """

    side: Side
    starts: Frames
    lengths: Frames
    offsets: Frames
    channels: Frames
    parts: Frames
    loud: NDArray[np.float64] | None = None
    """(5, placements): how loud each is left and right, how loud at its end, over how many frames that
    changes; None: 1."""
    bus: int = field(default=MAIN, kw_only=True)
    """Which outputs it may have for itself: its track's, or the click's."""


@dataclass(frozen=True, eq=False)
class Mix:
    """A mix is data: lanes, the parts that their placements belong to, and the gain of As played.

    `serial` grows with every mix.
    """

    serial: int
    frames: int
    lanes: tuple[MixLane, ...]
    parts: Parts = field(default_factory=lambda: GainSegment().row())
    played_gain: float = 1.0
    """Matches the level of As played to that of Edited."""


class MixTable:
    """A mix laid out in plain memory, which another process can read."""

    def __init__(self, buffer: memoryview | bytearray, offset: int = 0) -> None:
        self._whole: NDArray[np.int64] = np.frombuffer(buffer, np.int64, HEADER, offset)
        self._gains: NDArray[np.float64] = np.frombuffer(buffer, np.float64, HEADER, offset)
        at = offset + 8 * HEADER
        self._lanes: NDArray[np.int64] = np.frombuffer(
            buffer, np.int64, LANE_COLUMNS * MOST_LANES, at
        ).reshape(MOST_LANES, LANE_COLUMNS)
        at += 8 * LANE_COLUMNS * MOST_LANES
        self._parts: NDArray[np.float64] = np.frombuffer(
            buffer, np.float64, PART_COLUMNS * MOST_PARTS, at
        ).reshape(MOST_PARTS, PART_COLUMNS)
        at += 8 * PART_COLUMNS * MOST_PARTS
        self._columns: NDArray[np.int64] = np.frombuffer(
            buffer, np.int64, COLUMNS * MOST_PLACEMENTS, at
        ).reshape(COLUMNS, MOST_PLACEMENTS)
        self._starts = self._columns[0]
        at += 8 * COLUMNS * MOST_PLACEMENTS
        self._loud: NDArray[np.float64] = np.frombuffer(
            buffer, np.float64, GAIN_COLUMNS * MOST_PLACEMENTS, at
        ).reshape(GAIN_COLUMNS, MOST_PLACEMENTS)

    @property
    def serial(self) -> int:
        return int(self._whole[0])

    @property
    def frames(self) -> int:
        return int(self._whole[1])

    def write(self, mix: Mix) -> None:
        total = sum(len(lane.starts) for lane in mix.lanes)
        if total > MOST_PLACEMENTS or len(mix.lanes) > MOST_LANES or len(mix.parts) > MOST_PARTS:
            counts = f"{total} placements of {len(mix.parts)} parts in {len(mix.lanes)} lanes"
            raise ChronotomeError(tr("{0} are too many to play. Undo the last step.", counts))
        at = 0
        for index, lane in enumerate(mix.lanes):
            end = at + len(lane.starts)
            columns = (lane.starts, lane.lengths, lane.offsets, lane.channels, lane.parts)
            for row, column in enumerate(columns):
                self._columns[row, at:end] = column
            self._loud[:, at:end] = EVEN if lane.loud is None else lane.loud
            self._lanes[index] = (at, end, lane.side, lane.bus)
            at = end
        self._parts[: len(mix.parts)] = mix.parts
        self._whole[:3] = (mix.serial, mix.frames, len(mix.lanes))
        self._gains[3] = mix.played_gain

    def add_into(self, out: Samples, start: int, side: int, floats: Curve, heard: Heard = EVERY_BUS) -> None:
        """Add frames [start, start + len(out)) of the buses that are heard to `out`.

        Runs in the audio callback and in the export; what it does depends on nothing but its arguments.
        """
        end = start + len(out)
        for lane in range(int(self._whole[2])):
            first, last, lane_side, bus = self._lanes[lane].tolist()
            if lane_side not in {side, Side.BOTH} or (bus in heard.buses) is heard.is_without:
                continue
            gain = float(self._gains[3]) if lane_side == Side.AS_PLAYED else 1.0
            at = first + max(0, int(self._starts[first:last].searchsorted(start, "right")) - 1)
            while at < last and self._starts[at] < end:
                self._add_placement(out, start, at, gain, floats)
                at += 1

    def _add_placement(self, out: Samples, start: int, at: int, gain: float, floats: Curve) -> None:
        begins, length, offset, channels, part = self._columns[:, at].tolist()
        left, right, *fades = self._parts[part].tolist()
        loud = self._loud[:, at].tolist()
        low, high = max(begins, start), min(begins + length, start + len(out))
        if low >= high or left == right == 0.0:
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
        span = faded(span, low, high, fades[:4])
        if fades[5] or fades[7]:
            span = faded(span, low, high, fades[4:])
        if loud[:2] == loud[2:4]:
            left, right = left * loud[0], right * loud[1]
        else:
            span = span * _leading(low, high, begins + length, loud, len(target[0]))
        if left != right and len(target[0]) == OUT_CHANNELS:
            target += span * np.array([left * gain, right * gain], np.float32)
            return
        gain *= left if abs(left) >= abs(right) else right
        target += span if gain == 1.0 else span * np.float32(gain)


def _leading(low: int, high: int, end: int, loud: Sequence[float], channels: int) -> Samples:
    """Gains of frames [low, high): as loud as it is, and over the last frames to how loud it ends."""
    begin, ending, over = np.array(loud[:2]), np.array(loud[2:4]), loud[4]
    share = np.clip((np.arange(low, high) + 0.5 - (end - over)) / max(1.0, over), 0.0, 1.0)
    gains = np.asarray(begin + (ending - begin) * share[:, None], np.float32)
    return gains if channels == OUT_CHANNELS else gains.max(axis=1, keepdims=True)


def faded(span: Samples, low: int, high: int, fades: Sequence[float]) -> Samples:
    """Frames [low, high) by equal power while they come in or go out: from and to a frame, each."""
    rises, risen, falls, fallen = fades
    if low < risen:
        share = np.clip((np.arange(low, high) + 0.5 - rises) / (risen - rises), 0.0, 1.0)
        span = span * np.sin(QUARTER * share).astype(np.float32)[:, None]
    if high > falls and fallen > falls:
        share = np.clip((np.arange(low, high) + 0.5 - falls) / (fallen - falls), 0.0, 1.0)
        span = span * np.cos(QUARTER * share).astype(np.float32)[:, None]
    return span


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
