"""The onsets of a recording: sorted, unique, with ids that are never used twice."""

from collections.abc import Iterable, Sequence
from enum import IntEnum
from functools import cached_property
from typing import Annotated, TypeVar

import msgspec
import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.dsp.hits import HitTraits
from chronotome.session.limits import MOST_ONSETS, FrameNumber, Id, Strength
from chronotome.session.memo import by_identity
from chronotome.units import Frames

OnsetId = Id
UNMEASURED = -1000.0
"""The level of an onset that nobody has measured yet."""
DB_PER_STRENGTH = 0.3
MEASURED = ("levels", "timbres", "attacks", "energies", "noises")
T = TypeVar("T")


class OnsetDecision(IntEnum):
    """What a person said about an onset, beyond the threshold."""

    BY_STRENGTH = 0
    KEPT = 1
    DROPPED = 2
    ADDED = 3
    """Kept, and not found by the analysis: dropped, it is gone."""


COUNTED_BY_HAND = (OnsetDecision.KEPT, OnsetDecision.ADDED)


@by_identity(16)
def _highest(ids: tuple[OnsetId, ...]) -> int:
    """The highest id, which most edits leave as they are; ValueError where one stands twice."""
    if len(set(ids)) != len(ids):
        raise ValueError("ids of onsets must be unique")
    return max(ids, default=0)


class Onsets(Struct, frozen=True, dict=True):
    """Columns, one entry per candidate.

    Invariants: columns of equal length; `frames` strictly rising, at least 0, counted at the recording's own
    rate; ids unique and below `next_id`; strengths 0 to 100; bands 0 low, 1 mid, 2 high. `doubts` are the
    expected errors of the frames in ms, `locks` hold an onset where it is, `levels`, `energies` (dB) and
    `timbres` are as `dsp.hits` measures them. Each of these may be empty: nothing said, nothing measured.
    """

    ids: Annotated[tuple[OnsetId, ...], Meta(max_length=MOST_ONSETS)] = ()
    frames: tuple[FrameNumber, ...] = ()
    strengths: tuple[Strength, ...] = ()
    bands: tuple[Annotated[int, Meta(ge=0, le=2)], ...] = ()
    standings: tuple[Annotated[int, Meta(ge=0, le=3)], ...] = ()
    next_id: Id = 1
    doubts: tuple[Annotated[float, Meta(ge=0.0, le=1e5)], ...] = ()
    locks: tuple[bool, ...] = ()
    levels: tuple[Annotated[float, Meta(ge=UNMEASURED, le=100.0)], ...] = ()
    timbres: tuple[Annotated[int, Meta(ge=0, lt=1 << 48)], ...] = ()
    attacks: tuple[bool, ...] = ()
    energies: tuple[Annotated[float, Meta(ge=UNMEASURED, le=100.0)], ...] = ()
    noises: tuple[FrameNumber, ...] = ()
    """How long a noise is that begins there; 0 where it is none."""

    def __post_init__(self) -> None:
        columns = (self.ids, self.frames, self.strengths, self.bands, self.standings)
        measured = (getattr(self, each) for each in MEASURED)
        optional = (each for each in (self.doubts, self.locks, *measured) if each)
        lengths = {len(column) for column in (*columns, *optional)}
        if len(lengths) != 1:
            raise ValueError(f"columns of onsets must be of one length, are {sorted(lengths)}")
        frames = self.frame_array
        if len(frames) and (frames[0] < 0 or (np.diff(frames) <= 0).any()):
            raise ValueError("frames of onsets must rise strictly from 0")
        if _highest(self.ids) >= self.next_id:
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
    def doubt_array(self) -> NDArray[np.float64]:
        return np.array(self.doubts or np.zeros(len(self)), np.float64)

    @cached_property
    def lock_array(self) -> NDArray[np.bool_]:
        return np.array(self.locks or np.zeros(len(self)), bool)

    @cached_property
    def level_array(self) -> NDArray[np.float64]:
        """dB; NaN where it is not measured yet."""
        levels = np.array(self.levels or np.full(len(self), UNMEASURED), np.float64)
        return np.where(levels == UNMEASURED, np.nan, levels)

    @cached_property
    def timbre_array(self) -> Frames:
        return np.array(self.timbres or np.zeros(len(self)), np.int64)

    @cached_property
    def attack_array(self) -> NDArray[np.bool_]:
        """Which begin with an attack; those that are not measured yet are taken for such."""
        return np.array(self.attacks or np.ones(len(self)), bool)

    @cached_property
    def noise_array(self) -> Frames:
        return np.array(self.noises or np.zeros(len(self)), np.int64)

    @property
    def is_measured(self) -> bool:
        """Whether level and timbre of each are known."""
        return not len(self) or (len(self.energies) > 0 and UNMEASURED not in self.levels)

    def measured(self, traits: HitTraits) -> "Onsets":
        """With level, energy and timbre of each, and whether it is an attack."""
        return msgspec.structs.replace(
            self,
            levels=tuple(np.round(traits.levels, 1).tolist()),
            energies=tuple(np.round(traits.energies, 1).tolist()),
            timbres=tuple(traits.timbres.tolist()),
            attacks=tuple(traits.attacks.tolist()),
        )

    @cached_property
    def loudness_array(self) -> NDArray[np.float64]:
        """By which hits are compared: the energy of their attacks in dB; their strength until it is known."""
        energies = np.array(self.energies or np.full(len(self), UNMEASURED), np.float64)
        is_known = bool((energies > UNMEASURED).all())
        return energies if is_known else DB_PER_STRENGTH * self.strength_array

    @cached_property
    def _places(self) -> dict[OnsetId, int]:
        return {onset: place for place, onset in enumerate(self.ids)}

    def frame_of(self, onset: OnsetId) -> int:
        """The frame of an onset that is there; KeyError where it is not."""
        return self.frames[self._places[onset]]

    def place_of(self, onset: OnsetId) -> int | None:
        """Where the onset stands in the columns."""
        return self._places.get(onset)

    def counted(self, threshold: float) -> NDArray[np.bool_]:
        """True for what stands: strong enough, or kept by hand, and not dropped by hand."""
        strong = self.strength_array >= threshold
        return self.is_kept | (strong & (self.standing_array == OnsetDecision.BY_STRENGTH))

    @cached_property
    def is_kept(self) -> NDArray[np.bool_]:
        """True for what a person wants, whatever its strength."""
        return np.isin(self.standing_array, COUNTED_BY_HAND)

    def with_rows(self, frames: Iterable[int], *, strength: float = 100.0, band: int = 1) -> "Onsets":
        """With onsets added by hand at these frames; those that start at one of them already are kept."""
        wanted = sorted({frame for frame in frames if frame >= 0})
        there = dict(zip(self.frames, self.ids, strict=True))
        present = self.standings_at([there[frame] for frame in wanted if frame in there], OnsetDecision.KEPT)
        new = [frame for frame in wanted if frame not in there]
        if not new:
            return present
        order = np.argsort(
            np.concatenate([self.frame_array, np.array(new, np.int64)]), kind="stable"
        ).tolist()

        def merged(column: Sequence[T], values: Sequence[T]) -> tuple[T, ...]:
            both = (*column, *values)
            return tuple(both[place] for place in order)

        count = len(new)
        return Onsets(
            merged(self.ids, range(self.next_id, self.next_id + count)),
            merged(self.frames, new),
            merged(self.strengths, (strength,) * count),
            merged(self.bands, (band,) * count),
            merged(present.standings, (int(OnsetDecision.ADDED),) * count),
            self.next_id + count,
            merged(self.doubt_array.tolist(), (0.0,) * count),
            merged(self.lock_array.tolist(), (False,) * count),
            merged(self.levels or (UNMEASURED,) * len(self), (UNMEASURED,) * count),
            merged(self.timbre_array.tolist(), (0,) * count),
            merged(self.attack_array.tolist(), (True,) * count),
            merged(self.energies or (UNMEASURED,) * len(self), (UNMEASURED,) * count),
            merged(self.noise_array.tolist(), (0,) * count),
        )

    def added(self, frame: int, *, strength: float = 100.0, band: int = 1) -> "Onsets":
        """With an onset added by hand; the one that starts at `frame` already is kept."""
        return self.with_rows([frame], strength=strength, band=band)

    def moved(self, onset: OnsetId, frame: int) -> "Onsets":
        """With one onset at another frame, held between its neighbours; it counts as kept by hand."""
        return self.shifted(
            [onset], frame - (self.frames[self._places[onset]] if onset in self._places else 0)
        )

    def shifted(self, onsets: Iterable[OnsetId], by: int) -> "Onsets":
        """With onsets moved by frames together, as far as those that stay allow; they count as kept.

        Locked ones stay.
        """
        places = sorted(place for place in map(self.place_of, onsets) if place is not None)
        places = [place for place in places if not self.lock_array[place]]
        if not places or by == 0:
            return self
        moving = set(places)
        for place in places:
            low = self.frames[place - 1] + 1 if place else 0
            if by < 0 and place - 1 not in moving:
                by = max(by, low - self.frames[place])
            if by > 0 and place + 1 < len(self) and place + 1 not in moving:
                by = min(by, self.frames[place + 1] - 1 - self.frames[place])
        if by == 0:
            return self
        frames, standings, doubts = list(self.frames), list(self.standings), self.doubt_array.tolist()
        for place in places:
            frames[place] += by
            doubts[place] = 0.0
            if standings[place] not in COUNTED_BY_HAND:
                standings[place] = int(OnsetDecision.KEPT)
        return msgspec.structs.replace(
            self, frames=tuple(frames), standings=tuple(standings), doubts=tuple(doubts)
        )

    def standing(self, onset: OnsetId, standing: OnsetDecision) -> "Onsets":
        """With another word said about one onset."""
        return self.standings_at([onset], standing)

    def standings_at(self, onsets: Iterable[OnsetId], standing: OnsetDecision) -> "Onsets":
        """With another word said about several; an added one that is dropped is gone, locked ones stay."""
        places = [place for place in map(self.place_of, onsets) if place is not None]
        places = [place for place in places if not self.lock_array[place]]
        gone = {
            place
            for place in places
            if standing is OnsetDecision.DROPPED and self.standings[place] == OnsetDecision.ADDED
        }
        standings = list(self.standings)
        for place in places:
            if not (standing is OnsetDecision.KEPT and standings[place] == OnsetDecision.ADDED):
                standings[place] = int(standing)
        changed = self
        if tuple(standings) != self.standings:
            changed = msgspec.structs.replace(self, standings=tuple(standings))
        return changed.without(gone) if gone else changed

    def as_found(self) -> "Onsets":
        """Without anything that was said by hand; corrected frames stay."""
        added = {place for place, each in enumerate(self.standings) if each == OnsetDecision.ADDED}
        plain = msgspec.structs.replace(self, standings=(int(OnsetDecision.BY_STRENGTH),) * len(self))
        return plain.without(added) if added else plain

    def locked(self, onsets: Iterable[OnsetId], *, is_locked: bool) -> "Onsets":
        """With onsets held where they are, or free again."""
        locks = self.lock_array.tolist()
        for place in map(self.place_of, onsets):
            if place is not None:
                locks[place] = is_locked
        return (
            self if locks == self.lock_array.tolist() else msgspec.structs.replace(self, locks=tuple(locks))
        )

    def without(self, places: set[int]) -> "Onsets":
        """Without the onsets at these places of the columns."""

        def left(column: tuple[T, ...]) -> tuple[T, ...]:
            return tuple(value for place, value in enumerate(column) if place not in places)

        return Onsets(
            left(self.ids),
            left(self.frames),
            left(self.strengths),
            left(self.bands),
            left(self.standings),
            self.next_id,
            left(self.doubts),
            left(self.locks),
            left(self.levels),
            left(self.timbres),
            left(self.attacks),
            left(self.energies),
            left(self.noises),
        )


def onsets_from(
    frames: Frames,
    strengths: NDArray[np.float64],
    bands: NDArray[np.int64],
    doubts: NDArray[np.float64] | None = None,
    *,
    first_id: int = 1,
) -> Onsets:
    """Onsets as detected; ids are given in order of time."""
    total = len(frames)
    return Onsets(
        tuple(range(first_id, first_id + total)),
        tuple(int(frame) for frame in frames),
        tuple(round(float(strength), 2) for strength in strengths),
        tuple(int(band) for band in bands),
        (int(OnsetDecision.BY_STRENGTH),) * total,
        first_id + total,
        () if doubts is None else tuple(round(float(doubt), 2) for doubt in doubts),
    )
