"""Where hits are, and where they should sound: what Tighten works out of a take."""

from dataclasses import dataclass
from enum import IntEnum
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from chronotome.units import BeatArray, Frames

LEAST_APART_SECONDS = 0.002
FAR_MS = 20.0


class Reason(IntEnum):
    """Why an onset lands where it lands."""

    GRID = 0
    LEFT_ALONE = 1
    BY_HAND = 2
    CARRIED = 3
    """Another stroke is nearer to its line, or it is out of catch range: its neighbours carry it along."""
    WITH_STROKE = 4
    """It is part of a stroke that another onset leads: it keeps its distance from that."""
    INSIDE = 5
    """Its line is past an end of its take, which stays as long as it was: it stays inside."""


REASON_WORDS = {
    Reason.GRID: "grid",
    Reason.LEFT_ALONE: "within tolerance",
    Reason.BY_HAND: "set by hand",
    Reason.CARRIED: "moved with neighbours",
    Reason.WITH_STROKE: "with its flam",
    Reason.INSIDE: "kept inside",
}


@dataclass(frozen=True, eq=False)
class Targets:
    """Where each counted onset of a clip is and where it should sound.

    Invariants: columns of equal length, in order of time; `played`, `fitted`, `line` and `target` are session
    frames; `played`, `fitted` and `target` rise strictly. `fitted` is where a hit is once its recording
    follows the song, and `played` where it does not.
    """

    onsets: Frames
    strengths: NDArray[np.float64]
    played: Frames
    fitted: Frames
    fitted_beats: BeatArray
    line: Frames
    line_beats: BeatArray
    steps: BeatArray
    """Where the lines would be on the straight grid: what a place is called."""
    other: BeatArray
    """The line that comes next on the side on which a hit is."""
    other_steps: BeatArray
    target: Frames
    reasons: NDArray[np.int64]
    strokes: NDArray[np.int64]
    """The stroke that each belongs to, counted from 0."""
    leads: NDArray[np.int64]
    """The hit that leads each stroke: its loudest as heard."""
    recipe: NDArray[np.int64]
    """The number of the recipe (`recipes_of`) that holds for each."""
    rate: int
    voices: NDArray[np.int64] | None = None
    """Of a pattern, the slice that each plays: hits of others may share a line, and change places.

    Then only those of one voice rise strictly. None: all are of one.
    """

    @property
    def spans(self) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
        """First and last hit of each stroke that is more than one."""
        firsts = np.flatnonzero(np.diff(self.strokes, prepend=-1) > 0)
        lasts = np.append(firsts[1:], len(self.strokes)) - 1
        return firsts[lasts > firsts], lasts[lasts > firsts]

    def room_of(self, at: int) -> tuple[float, float]:
        """The session frames between which hit number `at` may be moved: its neighbours' strokes stay."""
        same = np.True_ if self.voices is None else self.voices == self.voices[at]
        before = np.flatnonzero((self.strokes < self.strokes[at]) & same)
        after = np.flatnonzero((self.strokes > self.strokes[at]) & same)
        apart = LEAST_APART_SECONDS * self.rate
        low, high = -np.inf, np.inf
        first, last = (np.flatnonzero(self.strokes == self.strokes[at])[place] for place in (0, -1))
        if len(before):
            low = self.target[before[-1]] + apart + self.target[at] - self.target[first]
        if len(after):
            high = self.target[after[0]] - apart - (self.target[last] - self.target[at])
        return float(min(low, self.target[at])), float(max(high, self.target[at]))

    def shared_room(self, at: NDArray[np.int64]) -> tuple[float, float]:
        """Frames by which several hits can be moved together: what is beside them stays where it is."""
        moving = np.zeros(len(self), bool)
        moving[at] = True
        apart = LEAST_APART_SECONDS * self.rate
        gaps = np.diff(self.target)
        into = np.flatnonzero(~moving[:-1] & moving[1:])
        out = np.flatnonzero(moving[:-1] & ~moving[1:])
        low = float((apart - gaps[into]).max(initial=-np.inf))
        high = float((gaps[out] - apart).min(initial=np.inf))
        return min(0.0, low), max(0.0, high)

    def bearable(self, at: int, bears: float) -> tuple[float, float]:
        """The session frames between which hit number `at` may be before sound is stretched beyond that."""
        low, high, here = -np.inf, np.inf, float(self.target[at])
        for beside, side in ((at - 1, 1), (at + 1, -1)):
            if 0 <= beside < len(self):
                apart = abs(int(self.played[at] - self.played[beside]))
                ends = sorted(
                    float(self.target[beside]) + side * apart * times for times in (bears, 1 / bears)
                )
                low, high = max(low, ends[0]), min(high, ends[1])
        return min(low, here), max(high, here)

    def beside(self, at: int) -> list[int]:
        """The hits before and after that of hit number `at` that keep all others where they are, once held.

        Up to the first on either side that has a line or a place of its own: those between are carried by
        what is beside them.
        """
        leads = np.flatnonzero(self.reasons != Reason.WITH_STROKE)
        found = []
        for side in (
            leads[self.strokes[leads] < self.strokes[at]][::-1],
            leads[self.strokes[leads] > self.strokes[at]],
        ):
            fixed = np.flatnonzero(np.isin(self.reasons[side], (Reason.GRID, Reason.BY_HAND)))
            found += side[: int(fixed[0]) + 1 if len(fixed) else len(side)].tolist()
        return found

    def __len__(self) -> int:
        return len(self.onsets)

    @cached_property
    def drift(self) -> NDArray[np.float64]:
        """Milliseconds from the line as played and fitted; negative early."""
        return np.asarray((self.fitted - self.line) * (1000.0 / self.rate), np.float64)

    @cached_property
    def landing(self) -> NDArray[np.float64]:
        """Milliseconds from the line where it lands."""
        return np.asarray((self.target - self.line) * (1000.0 / self.rate), np.float64)

    @property
    def spread_before(self) -> float:
        """Root mean square of the drift of every hit as played, in ms."""
        return _spread(self.drift)

    @property
    def spread_now(self) -> float:
        """The same of where they land."""
        return _spread(self.landing)

    @property
    def far_before(self) -> int:
        """Hits that were played more than 20 ms from their lines."""
        return int(np.count_nonzero(np.abs(self.drift) > FAR_MS))

    @property
    def far_now(self) -> int:
        """Hits that land more than 20 ms from their lines."""
        return int(np.count_nonzero(np.abs(self.landing) > FAR_MS))


def _spread(drift: NDArray[np.float64]) -> float:
    return float(np.sqrt(np.mean(drift**2))) if len(drift) else 0.0
