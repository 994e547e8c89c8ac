"""Session -> plan: which spans of which recordings sound where, at what length."""

from dataclasses import dataclass
from typing import NamedTuple

import numpy as np

from chronotome.dsp.stretch.segment import MoveBy
from chronotome.dsp.warp import rising
from chronotome.render.click import ClickPlan, click_plan
from chronotome.session.counting import counted_of
from chronotome.session.follow import Fitted, fitted_of
from chronotome.session.model import Clip, ContentHash, LockGroup, Session, Track
from chronotome.session.tighten import targets_of
from chronotome.units import Frames, at_other_rate, gain_of

FAINT_ANCHOR = 20.0
"""Strength from which a faint onset's attack is kept from being smeared, though it has no target."""
NARROWEST_SECONDS = 0.004
MOST_TAIL_STRETCH = 2.0
BEAT_APART_SECONDS = 0.060


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
    ends = [int(clip.heard[-1]) for track in tracks for clip in track.clips]
    frames = max([session.frames, *ends])
    click = click_plan(session, frames) if session.click.is_on else None
    return Plan(session.rate, frames, tuple(tracks), click)


def clip_plan(session: Session, track: Track, clip: Clip) -> ClipPlan:
    """Anchors of one clip: its targets and beats, or its guide's, and both of its ends."""
    guide = session.track(session.guide_of(track.id))
    leading = clip if guide is track else (guide.clips[0] if guide.clips else clip)
    targets = targets_of(session, guide, leading)
    fit = fitted_of(session, guide, leading)
    start, end = session.source_at_session_rate(clip)
    offset = start - clip.start
    played, landed = targets.played, targets.target
    if fit is not None and guide.move_by is not MoveBy.CUTTING:
        played, landed = _with_beats(fit, played, landed, int(BEAT_APART_SECONDS * session.rate))
    if not len(played) or (landed == played).all():
        source, heard = np.array([start, end]), np.array([clip.start, clip.start + end - start])
        return ClipPlan(clip.recording, session.rate, guide.move_by, source, heard, clip.start)
    group = session.group_of(track.id)
    keeps_tail = fit is not None or group is not None
    source, heard = _with_ends(played + offset, landed, start, end, clip.start, keeps_tail=keeps_tail)
    if guide.move_by is not MoveBy.CUTTING:
        source, heard = _with_faint(session, leading, source, heard, offset)
    first_played = clip.start + int(source[0]) - start
    ears = _ears(session, group, offset) if group and guide.move_by is not MoveBy.TAPE else ()
    return ClipPlan(clip.recording, session.rate, guide.move_by, source, heard, first_played, ears)


def _ears(session: Session, group: LockGroup, offset: int) -> Ears:
    """The recordings of a lock group, each with how much later the same moment is in it than at `offset`."""
    return tuple(
        (clip.recording, session.source_at_session_rate(clip)[0] - clip.start - offset)
        for each in group.tracks
        for clip in session.track(each).clips[:1]
    )


def _with_beats(fit: Fitted, played: Frames, landed: Frames, apart: int) -> tuple[Frames, Frames]:
    """Add the beats that no hit is near to, so that long notes follow as well."""
    beats, lands = np.rint(fit.played).astype(np.int64), np.rint(fit.fitted).astype(np.int64)
    known = np.concatenate([[np.iinfo(np.int32).min], played, [np.iinfo(np.int64).max // 2]])
    heard = np.concatenate([[-1], landed, [np.iinfo(np.int64).max // 2]])
    after = np.searchsorted(known, beats)
    gaps = (beats - known[after - 1], known[after] - beats, lands - heard[after - 1], heard[after] - lands)
    clear = np.min(np.stack(gaps), axis=0) >= apart
    order = np.argsort(np.concatenate([played, beats[clear]]), kind="stable")
    return (
        np.concatenate([played, beats[clear]])[order],
        np.concatenate([landed, lands[clear]])[order],
    )


def _with_ends(
    source: Frames, heard: Frames, start: int, end: int, clip_start: int, *, keeps_tail: bool
) -> tuple[Frames, Frames]:
    """Add both ends: what is before the first hit moves with it, the end stays where it was.

    Where the recording follows the song, or others are locked to it, what is after the last anchor rings out
    as it was played.
    """
    inside = (source >= start) & (source < end)
    source, heard = source[inside], heard[inside]
    if not len(source):
        return np.array([start, end]), np.array([clip_start, clip_start + end - start])
    lead = min(int(source[0]) - start, int(heard[0]))  # nothing sounds before the session's first frame
    if lead > 0:
        source = np.concatenate([[source[0] - lead], source])
        heard = np.concatenate([[heard[0] - lead], heard])
    tail = end - int(source[-1])
    room = clip_start + end - start - int(heard[-1])
    if keeps_tail or not tail / MOST_TAIL_STRETCH <= room <= tail * MOST_TAIL_STRETCH:
        room = tail
    source, heard = np.append(source, end), np.append(heard, heard[-1] + room)
    return rising(source, heard)


def _with_faint(
    session: Session, clip: Clip, source: Frames, heard: Frames, offset: int
) -> tuple[Frames, Frames]:
    """Add faint onsets at their mapped places, so that no attack is smeared.

    Each is placed by rounding between its neighbours, so an edit elsewhere does not touch it.
    """
    recording = session.recording_of(clip)
    onsets = recording.onsets
    faint = ~counted_of(session, clip) & (onsets.strength_array >= FAINT_ANCHOR)
    frames = onsets.frame_array[faint]
    frames = frames[(frames >= clip.source_start) & (frames < clip.source_end)]
    extra = clip.start + offset + at_other_rate(frames - clip.source_start, recording.rate, session.rate)
    narrow = int(NARROWEST_SECONDS * session.rate)
    if len(extra):
        after = np.searchsorted(source, extra)
        roomy = (after > 0) & (after < len(source))
        extra, after = extra[roomy], after[roomy]
        mapped = np.rint(np.interp(extra, source, heard)).astype(np.int64)
        gaps = (
            extra - source[after - 1],
            source[after] - extra,
            mapped - heard[after - 1],
            heard[after] - mapped,
        )
        wide = np.min(np.stack(gaps), axis=0) >= 4 * narrow
        extra, mapped = extra[wide], mapped[wide]
        order = np.argsort(np.concatenate([source, extra]), kind="stable")
        source = np.concatenate([source, extra])[order]
        heard = np.concatenate([heard, mapped])[order]
    return rising(source, heard)
