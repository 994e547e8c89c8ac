"""Session -> plan: which spans of which recordings sound where, at what length."""

from dataclasses import dataclass, replace
from functools import lru_cache
from typing import NamedTuple

import numpy as np

from chronotome.dsp.stretch.segment import MoveBy
from chronotome.render.click import ClickPlan, click_plan
from chronotome.session.anchors import Anchors, Window, anchors_of, extent_of, parts_of, window_of
from chronotome.session.limits import ContentHash
from chronotome.session.memo import MANY, by_identity, by_parts
from chronotome.session.model import Clip, ClipId, LockGroup, Session, Take, Track
from chronotome.units import Frames, gain_of

SOFT_SECONDS = 0.003
"""Over which a cut edge comes in or goes out, so that it does not click."""


class PieceKey(NamedTuple):
    """All that a rendered piece depends on; equal keys sound alike, bit for bit."""

    content: ContentHash
    rate: int
    move_by: MoveBy
    start: int
    end: int
    length: int
    is_last: bool
    ears: "Ears" = ()


Ears = tuple[tuple[ContentHash, int], ...]
"""Recordings stretched as one, each with its distance in frames from the one at hand; empty: alone."""


@dataclass(frozen=True, eq=False)
class TakePlan:
    """One take: source frames and session frames of its anchors; piece k lies between anchors k and k + 1.

    Invariants: both rise strictly, at the session's rate; two anchors or more.
    """

    content: ContentHash
    rate: int
    move_by: MoveBy
    source: Frames
    heard: Frames
    played_at: int
    """Session frame at which the first anchor sounds as played."""
    ears: Ears = ()

    def __len__(self) -> int:
        return len(self.source) - 1

    def key(self, piece: int) -> PieceKey:
        start, end = int(self.source[piece]), int(self.source[piece + 1])
        length = int(self.heard[piece + 1] - self.heard[piece])
        is_last = piece == len(self) - 1
        return PieceKey(self.content, self.rate, self.move_by, start, end, length, is_last, self.ears)

    def same_pieces(self, other: "TakePlan") -> Frames:
        """For each piece, which piece of another plan has the same key; -1 where none has."""
        mine = (self.content, self.rate, self.move_by, self.ears)
        if (other.content, other.rate, other.move_by, other.ears) != mine:
            return np.full(len(self), -1)
        at = np.minimum(np.searchsorted(other.source[:-1], self.source[:-1]), len(other) - 1)
        same = other.source[at] == self.source[:-1]
        same &= other.source[at + 1] == self.source[1:]
        same &= np.diff(other.heard)[at] == np.diff(self.heard)
        same[-1] &= at[-1] == len(other) - 1
        same[:-1] &= at[:-1] != len(other) - 1
        return np.where(same, at, -1)


class Fade(NamedTuple):
    """Session frames between which a clip comes in or goes out, by equal power."""

    start: int
    end: int


@dataclass(frozen=True, eq=False)
class ClipPlan:
    """A window on a take: which part of it sounds, how loud, and how it begins and ends."""

    id: ClipId
    take: TakePlan
    window: Window
    gain: float
    """Its own; 0 where it is muted."""
    fade_in: Fade | None = None
    fade_out: Fade | None = None

    @property
    def played_at(self) -> int:
        """Session frame at which its first source frame sounds as played."""
        return self.take.played_at + self.window.first - int(self.take.source[0])

    @property
    def pieces(self) -> slice:
        """Those of the take's pieces that sound in the window, be it in part."""
        heard = self.take.heard
        first = int(heard.searchsorted(self.window.start, "right")) - 1
        last = int(heard.searchsorted(self.window.end, "left"))
        return slice(max(0, first), min(last, len(self.take)))


@dataclass(frozen=True, eq=False)
class TrackPlan:
    gain: float
    """0 where muted, or where another track is solo."""
    clips: tuple[ClipPlan, ...]
    """In the order in which they sound."""
    sides: tuple[float, float] = (1.0, 1.0)
    """Gains of left and right; both below 0 where it is upside down."""


@dataclass(frozen=True, eq=False)
class Plan:
    """Everything that sounds."""

    rate: int
    frames: int
    tracks: tuple[TrackPlan, ...]
    click: ClickPlan | None = None
    """The metronome: for the player, never for an export."""


def plan_for(session: Session) -> Plan:
    """The plan of a session; cheap enough for every move of the mouse."""
    any_solo = any(track.is_solo for track in session.tracks)
    tracks = []
    for track in session.tracks:
        is_heard = not track.is_muted and (track.is_solo or not any_solo)
        gain = gain_of(track.level) if is_heard else 0.0
        tracks.append(TrackPlan(gain, clip_plans(session, track), _sides_of(track)))
    frames = extent_of(session)
    click = click_plan(session, frames) if session.click.is_on else None
    return Plan(session.rate, frames, tuple(tracks), click)


def _sides_of(track: Track) -> tuple[float, float]:
    sign = -1.0 if track.is_flipped else 1.0
    return sign * min(1.0, 1.0 - track.pan), sign * min(1.0, 1.0 + track.pan)


@by_parts(64, parts_of)
def clip_plans(session: Session, track: Track) -> tuple[ClipPlan, ...]:
    """The clips of a track in the order in which they sound, as they fade into one another."""
    return _faded(tuple(clip_plan(session, track, clip) for clip in track.clips), session.rate)


def clip_plan(session: Session, track: Track, clip: Clip) -> ClipPlan:
    """One clip by itself, its edges as the person faded them."""
    return _clip_plan(
        take_plan(session, track, clip.take), clip, window_of(session, track, clip), session.rate
    )


@by_identity(MANY)
def _clip_plan(take: TakePlan, clip: Clip, window: Window, rate: int) -> ClipPlan:
    length = window.end - window.start
    rise, fall = (min(length, round(seconds * rate)) for seconds in (clip.fade_in, clip.fade_out))
    return ClipPlan(
        clip.id,
        take,
        window,
        0.0 if clip.is_muted else gain_of(clip.level),
        Fade(window.start, window.start + rise) if rise else None,
        Fade(window.end - fall, window.end) if fall else None,
    )


def _faded(clips: tuple[ClipPlan, ...], rate: int) -> tuple[ClipPlan, ...]:
    """Neighbours that overlap cross over; an edge that was cut is softened where nothing goes on after it."""
    if len(clips) < 2 and not any(_is_cut(clip) for clip in clips):
        return clips
    soft = _soft_frames(rate)
    ordered = sorted(clips, key=lambda clip: (clip.window.start, clip.window.end))
    alone: ClipPlan | None = None
    pairs = zip([alone, *ordered[:-1]], ordered, [*ordered[1:], alone], strict=True)
    return tuple(_with_edges(before, clip, after, soft) for before, clip, after in pairs)


def _is_cut(clip: ClipPlan) -> bool:
    source = clip.take.source
    return (clip.window.first, clip.window.last) != (int(source[0]), int(source[-1]))


@lru_cache
def _soft_frames(rate: int) -> int:
    return round(SOFT_SECONDS * rate)


@by_identity(MANY)
def _with_edges(before: ClipPlan | None, clip: ClipPlan, after: ClipPlan | None, soft: int) -> ClipPlan:
    window, rise, fall = clip.window, clip.fade_in, clip.fade_out
    reach = max(1, window.end - window.start)
    if before is not None and _overlaps(before.window, window):
        over = Fade(window.start, min(before.window.end, window.end))
        rise = over if rise is None or over.end > rise.end else rise
    elif rise is None and window.first > clip.take.source[0] and not _goes_on(before, clip):
        rise = Fade(window.start, window.start + min(soft, reach // 2))
    if after is not None and _overlaps(window, after.window):
        over = Fade(max(after.window.start, window.start), min(window.end, after.window.end))
        fall = over if fall is None or over.start < fall.start else fall
    elif fall is None and window.last < clip.take.source[-1] and not _goes_on(clip, after):
        fall = Fade(window.end - min(soft, reach // 2), window.end)
    rise, fall = (fade if fade is not None and fade.end > fade.start else None for fade in (rise, fall))
    return (
        clip if (rise, fall) == (clip.fade_in, clip.fade_out) else replace(clip, fade_in=rise, fade_out=fall)
    )


def _overlaps(first: Window, second: Window) -> bool:
    """Whether one ends while the other goes on; of one within another both sound."""
    return first.start < second.start < first.end < second.end


def _goes_on(before: ClipPlan | None, after: ClipPlan | None) -> bool:
    """Whether two clips are parts of one take that meet, and sound alike: nothing is heard of the cut."""
    return (
        before is not None
        and after is not None
        and before.take is after.take
        and before.window.last == after.window.first
        and before.window.end == after.window.start
        and before.gain == after.gain
        and before.fade_out is None
        and after.fade_in is None
    )


def take_plan(session: Session, track: Track, take: Take) -> TakePlan:
    """The pieces of one take, and what they are stretched with."""
    guide = session.track(session.guide_of(track.id))
    anchors = anchors_of(session, track, take)
    group = session.group_of(track.id)
    is_alone = group is None or guide.move_by is MoveBy.TAPE or _is_untouched(anchors)
    ears = () if is_alone or group is None else _ears(session, group, take, anchors.offset)
    return _take_plan(take, anchors, session.rate, guide.move_by, ears)


@by_identity(MANY)
def _take_plan(take: Take, anchors: Anchors, rate: int, move_by: MoveBy, ears: Ears) -> TakePlan:
    played_at = int(anchors.source[0]) - anchors.offset
    return TakePlan(take.recording, rate, move_by, anchors.source, anchors.heard, played_at, ears)


def _is_untouched(anchors: Anchors) -> bool:
    """Whether all of it sounds where it was played."""
    return len(anchors.source) == 2 and bool((anchors.heard - anchors.source == -anchors.offset).all())


def _ears(session: Session, group: LockGroup, take: Take, offset: int) -> Ears:
    """The recordings of a lock group, each with how much later the same moment is in it than at `offset`."""
    beside = (session.beside(session.track(each), take) for each in group.tracks)
    return _same(
        tuple(
            (other.recording, session.source_at_session_rate(other)[0] - other.start - offset)
            for other in beside
            if other is not None
        )
    )


@lru_cache(maxsize=1024)
def _same(ears: Ears) -> Ears:
    """One object for equal ones: plans are found by identity."""
    return ears
