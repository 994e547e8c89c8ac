"""The onsets of a recording: sorted, unique, with ids that are never used twice."""

from enum import IntEnum
from functools import cached_property

import msgspec
import numpy as np
from msgspec import Struct
from numpy.typing import NDArray

from chronotome.units import Frames

OnsetId = int


class Standing(IntEnum):
    """What a person said about an onset, beyond the threshold."""

    BY_STRENGTH = 0
    KEPT = 1
    DROPPED = 2


class Onsets(Struct, frozen=True, dict=True):
    """Columns, one entry per candidate.

    Invariants: columns of equal length; `frames` strictly rising, at least 0, counted at the recording's own
    rate; ids unique and below `next_id`; strengths 0 to 100; bands 0 low, 1 mid, 2 high.
    """

    ids: tuple[OnsetId, ...] = ()
    frames: tuple[int, ...] = ()
    strengths: tuple[float, ...] = ()
    bands: tuple[int, ...] = ()
    standings: tuple[int, ...] = ()
    next_id: int = 1

    def __post_init__(self) -> None:
        lengths = {
            len(column) for column in (self.ids, self.frames, self.strengths, self.bands, self.standings)
        }
        if len(lengths) != 1:
            raise ValueError(f"columns of onsets must be of one length, are {sorted(lengths)}")
        frames = self.frame_array
        if len(frames) and (frames[0] < 0 or (np.diff(frames) <= 0).any()):
            raise ValueError("frames of onsets must rise strictly from 0")
        if len(set(self.ids)) != len(self.ids) or max(self.ids, default=0) >= self.next_id:
            raise ValueError("ids of onsets must be unique and below next_id")

    def __len__(self) -> int:
        return len(self.ids)

    @cached_property
    def frame_array(self) -> Frames:
        return np.array(self.frames, np.int64)

    @cached_property
    def strength_array(self) -> NDArray[np.float64]:
        return np.array(self.strengths, np.float64)

    @cached_property
    def id_array(self) -> Frames:
        return np.array(self.ids, np.int64)

    @cached_property
    def band_array(self) -> Frames:
        return np.array(self.bands, np.int64)

    @cached_property
    def standing_array(self) -> Frames:
        return np.array(self.standings, np.int64)

    @cached_property
    def _places(self) -> dict[OnsetId, int]:
        return {onset: place for place, onset in enumerate(self.ids)}

    def place_of(self, onset: OnsetId) -> int | None:
        """Where the onset stands in the columns."""
        return self._places.get(onset)

    def counted(self, threshold: float) -> NDArray[np.bool_]:
        """True for what stands: strong enough, or kept by hand, and not dropped by hand."""
        standing = self.standing_array
        strong = self.strength_array >= threshold
        return (standing == Standing.KEPT) | (strong & (standing == Standing.BY_STRENGTH))

    def nearest(self, frame: int) -> int | None:
        """Place of the onset nearest to a frame."""
        if not len(self):
            return None
        return int(np.abs(self.frame_array - frame).argmin())

    def added(self, frame: int, *, strength: float = 100.0, band: int = 1) -> "Onsets":
        """With an onset kept by hand; the same object where one already starts at `frame`."""
        if frame < 0 or frame in self.frames:
            return self
        at = int(np.searchsorted(self.frame_array, frame))

        def put(column: tuple, value: object) -> tuple:  # type: ignore[type-arg]  # columns of several types
            return (*column[:at], value, *column[at:])

        return Onsets(
            put(self.ids, self.next_id),
            put(self.frames, frame),
            put(self.strengths, strength),
            put(self.bands, band),
            put(self.standings, int(Standing.KEPT)),
            self.next_id + 1,
        )

    def moved(self, onset: OnsetId, frame: int) -> "Onsets":
        """With one onset at another frame, held between its neighbours; it counts as kept by hand."""
        at = self.place_of(onset)
        if at is None:
            return self
        low = self.frames[at - 1] + 1 if at else 0
        high = self.frames[at + 1] - 1 if at + 1 < len(self) else frame
        frame = max(low, min(high, frame))
        if frame == self.frames[at]:
            return self
        frames = (*self.frames[:at], frame, *self.frames[at + 1 :])
        return msgspec.structs.replace(self, frames=frames).standing(onset, Standing.KEPT)

    def standing(self, onset: OnsetId, standing: Standing) -> "Onsets":
        """With another word said about one onset."""
        at = self.place_of(onset)
        if at is None or self.standings[at] == standing:
            return self
        standings = (*self.standings[:at], int(standing), *self.standings[at + 1 :])
        return msgspec.structs.replace(self, standings=standings)


def onsets_from(
    frames: Frames, strengths: NDArray[np.float64], bands: NDArray[np.int64], *, first_id: int = 1
) -> Onsets:
    """Onsets as detected; ids are given in order of time."""
    total = len(frames)
    return Onsets(
        tuple(range(first_id, first_id + total)),
        tuple(int(frame) for frame in frames),
        tuple(round(float(strength), 2) for strength in strengths),
        tuple(int(band) for band in bands),
        (int(Standing.BY_STRENGTH),) * total,
        first_id + total,
    )
