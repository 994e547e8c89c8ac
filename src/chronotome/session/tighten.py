"""Onsets + grid + settings -> targets: computed, never baked."""

from dataclasses import dataclass
from enum import IntEnum

import numpy as np
from numpy.typing import NDArray

from chronotome.session.counting import counted_of
from chronotome.session.follow import Fitted, fitted_of
from chronotome.session.grid import Metre, TempoMap, lines_between, nearest_lines
from chronotome.session.memo import by_identity
from chronotome.session.model import Clip, Recording, Session, TightenSettings, Track
from chronotome.units import BeatArray, Frames, at_other_rate, frames_at

FLAM_SECONDS = 0.040
LEAST_APART_SECONDS = 0.002


class Reason(IntEnum):
    """Why an onset lands where it lands."""

    GRID = 0
    LEFT_ALONE = 1
    BY_HAND = 2
    CARRIED = 3
    """Not the strongest on its line: it keeps its place between the hits around it."""


REASON_WORDS = {
    Reason.GRID: "grid",
    Reason.LEFT_ALONE: "left alone",
    Reason.BY_HAND: "by hand",
    Reason.CARRIED: "grid",
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
    line: Frames
    line_beats: BeatArray
    target: Frames
    reasons: NDArray[np.int64]
    rate: int

    def __len__(self) -> int:
        return len(self.onsets)

    @property
    def drift(self) -> NDArray[np.float64]:
        """Milliseconds from the line as played and fitted; negative early."""
        return np.asarray((self.fitted - self.line) * (1000.0 / self.rate), np.float64)

    @property
    def landing(self) -> NDArray[np.float64]:
        """Milliseconds from the line where it lands."""
        return np.asarray((self.target - self.line) * (1000.0 / self.rate), np.float64)

    @property
    def spread_before(self) -> float:
        """Root mean square of the drift as played, in ms, of hits that have a line of their own."""
        return _spread(self.drift[self.reasons != Reason.CARRIED])

    @property
    def spread_now(self) -> float:
        """The same of where they land."""
        return _spread(self.landing[self.reasons != Reason.CARRIED])


def _spread(drift: NDArray[np.float64]) -> float:
    return float(np.sqrt(np.mean(drift**2))) if len(drift) else 0.0


def targets_of(session: Session, track: Track, clip: Clip) -> Targets:
    """Targets of a clip by its own onsets and its track's settings."""
    recording = session.recording_of(clip)
    counts = counted_of(session, clip)
    fitted = fitted_of(session, track, clip)
    return _targets(
        clip, recording, counts, track.tighten, session.tempo, session.metre, session.rate, fitted
    )


@by_identity(64)
def _targets(  # noqa: PLR0917 - found again by the identity of each
    clip: Clip,
    recording: Recording,
    counts: NDArray[np.bool_],
    settings: TightenSettings,
    tempo: TempoMap,
    metre: Metre,
    rate: int,
    fit: Fitted | None,
) -> Targets:
    onsets = recording.onsets
    frames = onsets.frame_array
    chosen = np.flatnonzero(counts)
    played = clip.start + at_other_rate(frames[chosen] - clip.source_start, recording.rate, rate)
    distinct = np.diff(played, prepend=-1) > 0  # two neighbours may round to one frame at a lower rate
    chosen, played = chosen[distinct], played[distinct]
    fitted = played if fit is None else np.rint(fit(played)).astype(np.int64)
    if fit is not None:  # two of one frame stay in order; nothing sounds before the session's first frame
        apart = np.arange(len(fitted))
        fitted = np.maximum(np.maximum.accumulate(fitted - apart), 0) + apart
    beats = tempo.beats_at(fitted / rate)
    lines = _lines_at_or_after(beats, settings, tempo, metre)
    line_frames = frames_at(tempo.seconds_at(lines), rate)
    strengths = onsets.strength_array[chosen]
    ids = onsets.id_array[chosen]
    hand = {marker.onset: marker.beat for marker in clip.markers}
    by_hand = np.isin(ids, list(hand)) if hand else np.zeros(len(ids), bool)
    leads = _leaders(lines, strengths, np.abs(fitted - line_frames)) & ~by_hand
    alone = np.abs(fitted - line_frames) <= settings.leave_alone * rate / 1000.0
    target = fitted.astype(np.float64)
    pulled = leads & ~alone
    target[pulled] += settings.strength * (line_frames[pulled] - fitted[pulled])
    if by_hand.any():
        wanted = np.array([hand[int(onset)] for onset in ids[by_hand]])
        target[by_hand] = tempo.seconds_at(wanted) * rate
    fixed = leads | by_hand
    wanted_frames = np.rint(_carried(fitted, target, fixed, int(FLAM_SECONDS * rate))).astype(np.int64)
    landed = _in_order(fitted, wanted_frames, by_hand, max(1, int(LEAST_APART_SECONDS * rate)))
    reasons = np.where(by_hand, Reason.BY_HAND, np.where(leads, Reason.GRID, Reason.CARRIED))
    reasons[leads & alone] = Reason.LEFT_ALONE
    return Targets(ids, strengths, played, fitted, line_frames, lines, landed, reasons, rate)


def _lines_at_or_after(
    beats: BeatArray, settings: TightenSettings, tempo: TempoMap, metre: Metre
) -> BeatArray:
    """Nearest lines, none before the session's first frame."""
    lines = nearest_lines(beats, settings.grid, metre, settings.swing)
    start = tempo.beat_of(0.0)
    early = lines < start - 1e-9
    if early.any():
        later = lines_between(start, start + 2 * metre.bar, settings.grid, metre, settings.swing)
        lines = np.where(early, later[0], lines)
    return lines


def _leaders(lines: BeatArray, strengths: NDArray[np.float64], distance: Frames) -> NDArray[np.bool_]:
    """The strongest onset of each line, the nearest of equals."""
    order = np.lexsort((distance, -strengths, np.round(lines, 9)))
    first = np.ones(len(order), bool)
    first[1:] = np.diff(np.round(lines[order], 9)) > 0
    leads = np.zeros(len(order), bool)
    leads[order[first]] = True
    return leads


def _carried(
    played: Frames, target: NDArray[np.float64], fixed: NDArray[np.bool_], flam: int
) -> NDArray[np.float64]:
    """Onsets that follow others: rigidly within a flam after one, in proportion elsewhere."""
    if fixed.all() or not fixed.any():
        return target
    anchors, landed = played[fixed], target[fixed]
    follow = ~fixed
    at = np.searchsorted(anchors, played[follow])
    before = np.clip(at - 1, 0, len(anchors) - 1)
    shift = np.interp(played[follow], anchors, landed - anchors)
    near = (at > 0) & (played[follow] - anchors[before] <= flam)
    shift[near] = (landed - anchors)[before[near]]
    result = target.copy()
    result[follow] = played[follow] + shift
    return result


def _in_order(played: Frames, target: Frames, by_hand: NDArray[np.bool_], apart: int) -> Frames:
    """Targets that rise: what was set by hand stays, the rest gives way.

    Two onsets end at least `apart` frames from each other, or as near as they were played. Where hand-set
    ones leave no room between them, the last resort is one frame each, past them.
    """
    if not len(target):
        return target
    gaps = np.minimum(np.diff(played), apart)
    offsets = np.concatenate([[0], np.cumsum(gaps)])
    level = target - offsets  # rising with room is level with never falling
    if (np.diff(level) >= 0).all() and target[0] >= 0:
        return target
    floor = np.maximum.accumulate(np.where(by_hand, level, np.iinfo(np.int64).min))
    ceiling = np.minimum.accumulate(np.where(by_hand, level, np.iinfo(np.int64).max)[::-1])[::-1]
    level = np.maximum.accumulate(np.clip(level, floor, np.maximum(ceiling, floor)))
    result = np.maximum(level + offsets, np.arange(len(level)))
    return np.maximum.accumulate(result - np.arange(len(level))) + np.arange(len(level))
