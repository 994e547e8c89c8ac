"""Session -> plan: which spans of which recordings sound where, at what length."""

from dataclasses import dataclass
from typing import NamedTuple

import numpy as np

from chronotome.dsp.stretch.segment import MoveBy
from chronotome.render.click import ClickPlan, click_plan
from chronotome.session.anchors import Anchors, anchors_of, extent_of
from chronotome.session.limits import ContentHash
from chronotome.session.model import Clip, LockGroup, Session, Track
from chronotome.units import Frames, gain_of


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
class ClipPlan:
    """One clip: source frames and session frames of its anchors; piece k lies between anchors k and k + 1.

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

    def same_pieces(self, other: "ClipPlan") -> Frames:
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


@dataclass(frozen=True, eq=False)
class TrackPlan:
    gain: float
    """0 where muted, or where another track is solo."""
    clips: tuple[ClipPlan, ...]


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
        clips = tuple(clip_plan(session, track, clip) for clip in track.clips)
        tracks.append(TrackPlan(gain_of(track.level) if is_heard else 0.0, clips))
    frames = extent_of(session)
    click = click_plan(session, frames) if session.click.is_on else None
    return Plan(session.rate, frames, tuple(tracks), click)


def clip_plan(session: Session, track: Track, clip: Clip) -> ClipPlan:
    """The pieces of one clip, and what they are stretched with."""
    guide = session.track(session.guide_of(track.id))
    anchors = anchors_of(session, track, clip)
    group = session.group_of(track.id)
    is_alone = group is None or guide.move_by is MoveBy.TAPE or _is_untouched(anchors)
    ears = () if is_alone or group is None else _ears(session, group, anchors.offset)
    played_at = int(anchors.source[0]) - anchors.offset
    return ClipPlan(
        clip.recording, session.rate, guide.move_by, anchors.source, anchors.heard, played_at, ears
    )


def _is_untouched(anchors: Anchors) -> bool:
    """Whether all of it sounds where it was played."""
    return len(anchors.source) == 2 and bool((anchors.heard - anchors.source == -anchors.offset).all())


def _ears(session: Session, group: LockGroup, offset: int) -> Ears:
    """The recordings of a lock group, each with how much later the same moment is in it than at `offset`."""
    return tuple(
        (clip.recording, session.source_at_session_rate(clip)[0] - clip.start - offset)
        for each in group.tracks
        for clip in session.track(each).clips[:1]
    )
