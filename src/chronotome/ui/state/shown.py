"""Where things of a clip are on screen, for the side that is listened to."""

from dataclasses import dataclass, replace
from functools import cached_property
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.render.mix import Side
from chronotome.render.plan import ClipPlan, clip_plan, clip_plans
from chronotome.session.anchors import Anchors, parts_of
from chronotome.session.counting import counted_of
from chronotome.session.memo import MANY, by_identity, by_parts
from chronotome.session.model import Clip, Recording, Session, Take, Track
from chronotome.session.onsets import Onsets
from chronotome.session.score import Score
from chronotome.session.settings import TightenSettings
from chronotome.session.slices import Slices
from chronotome.session.targets import Targets
from chronotome.session.tighten import targets_of

LEAST_HEARD = 0.005
"""Seconds of a hit within a clip: what reaches less into it is not heard there."""
WHOLE_BEATS = 0.1
"""A clip this near to whole beats comes again every so many."""
NOWHERE = -1e12
"""The place of what is not within the clip."""


@dataclass(frozen=True, eq=False)
class Shown:
    """One clip as it is heard: its plan, the map of its take, its targets, and which side is listened to."""

    track: Track
    clip: Clip
    recording: Recording
    plan: ClipPlan
    targets: Targets
    counts: NDArray[np.bool_]
    """True for each onset of the recording that counts."""
    side: Side
    rate: int

    @property
    def take(self) -> Take:
        return self.clip.take

    @property
    def map(self) -> Anchors:
        return self.plan.map

    @property
    def recipe(self) -> TightenSettings:
        return self.track.recipe_of(self.take)

    @property
    def rows(self) -> Score | None:
        """The rows that are drawn one by one; None where the clip is one wave, as recorded or stretched."""
        if self.take.playing is not None:
            return self.plan.score if self.side is Side.EDITED else self.plan.as_played
        return self.plan.score if self.take.slices is not None and self.side is Side.EDITED else None

    @cached_property
    def anchors(self) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
        """Source frames and session frames of the clip's edges and of what is tied down between them.

        In the order in which they are heard: source frames fall in a reversed clip.
        """
        plan, window = self.plan, self.plan.window
        if self.side is not Side.EDITED:
            first, last = plan.played
            return np.array([first, last]), plan.played_at + np.array([0, last - first])
        known = self.map.source
        inner = known[(known > window.first) & (known < window.last)]
        heard = np.rint(self.map.heard_at(inner.astype(np.float64))).astype(np.int64)
        is_reversed = self.take.mirror is not None
        ends = (window.last, window.first) if is_reversed else (window.first, window.last)
        turn = slice(None, None, -1 if is_reversed else 1)
        return (
            np.concatenate([[ends[0]], inner[turn], [ends[1]]]),
            np.concatenate([[window.start], heard[turn], [window.end]]),
        )

    @property
    def source_anchors(self) -> NDArray[np.int64]:
        return self.anchors[0]

    @property
    def heard_anchors(self) -> NDArray[np.int64]:
        return self.anchors[1]

    def under(self, edges: NDArray[np.float64]) -> tuple[NDArray[np.float64], NDArray[np.bool_]]:
        """Source frames under screen edges, and which columns between two edges lie within the clip."""
        source, heard = self.anchors
        is_within = (edges[1:] > heard[0]) & (edges[:-1] < heard[-1])
        return np.interp(edges, heard, source), is_within

    def gains(self, frames: NDArray[np.float64]) -> NDArray[np.float32]:
        """How loud the clip is at session frames on screen: what is drawn is what is heard."""
        gain, plan = self.edge_gains(frames), self.plan
        if self.side is Side.EDITED and not plan.score.is_even:
            row = np.maximum(plan.score.heard.searchsorted(frames, "right") - 1, 0)
            gain *= plan.score.gains[row].max(axis=1).astype(np.float32)
        return gain

    def edge_gains(self, frames: NDArray[np.float64]) -> NDArray[np.float32]:
        """The same without its hits: its own loudness, and how it comes in and goes out."""
        gain, plan = np.full(len(frames), self.plan.gain, np.float32), self.plan
        if self.side is Side.EDITED and plan.fade_in is not None:
            share = (frames - plan.fade_in.start) / (plan.fade_in.end - plan.fade_in.start)
            gain *= np.sin(np.pi / 2 * np.clip(share, 0, 1)).astype(np.float32)
        if self.side is Side.EDITED and plan.fade_out is not None:
            share = (frames - plan.fade_out.start) / (plan.fade_out.end - plan.fade_out.start)
            gain *= np.cos(np.pi / 2 * np.clip(share, 0, 1)).astype(np.float32)
        return gain

    def heard_of_played(self, played: NDArray[np.int64] | NDArray[np.float64]) -> NDArray[np.float64]:
        """Session frames on screen of session frames as played; straight on past the take's ends."""
        if self.side is not Side.EDITED:
            return played.astype(np.float64)
        return self.map.heard_at(played.astype(np.float64) + self.map.offset)

    @cached_property
    def landings(self) -> NDArray[np.float64]:
        """Session frames at which each hit is to sound, as edited."""
        return self.map.mirrored(self.targets.target.astype(np.float64))

    @cached_property
    def sounding(self) -> NDArray[np.bool_]:
        """True for each target that sounds in a clip of the track, this one or another part of its take."""
        ratio = self.rate / self.recording.rate
        source = (self.targets.played - self.take.start) / ratio + self.take.source_start
        return _sounding(self.track, self.take, np.rint(source))

    @cached_property
    def hits(self) -> NDArray[np.float64]:
        """Session frames on screen of the counted onsets; of those that were cut away, nowhere."""
        heard = self.heard_of_played(self.targets.played)
        if self.take.playing is not None and self.side is Side.EDITED:
            heard = self.landings
        return np.where(self.sounding, heard, NOWHERE)

    def onset_frames(self) -> NDArray[np.float64]:
        """Session frames on screen of every candidate."""
        recording = self.recording
        frames = _onset_frames(
            recording.onsets, self.map, self.track, self.take, self.side, recording.rate, self.rate
        )
        if self.take.playing is None or not len(self.targets.onsets):
            return frames
        order = np.argsort(self.targets.onsets, kind="stable")  # each is where it is heard, map or not
        frames, known = frames.copy(), self.targets.onsets[order]
        at = np.minimum(known.searchsorted(recording.onsets.id_array), len(known) - 1)
        there = known[at] == recording.onsets.id_array
        frames[there] = self.hits[order][at][there]
        return frames

    def with_counts(self, recording: Recording, counts: NDArray[np.bool_]) -> "Shown":
        """The same places, with other onsets that count."""
        return replace(self, recording=recording, counts=counts)

    def frame_shown(self, frame: float) -> float:
        """Session frame on screen of a frame of the recording."""
        return float(self.frames_shown(np.array([frame]))[0])

    def frames_shown(self, frames: NDArray[np.float64] | NDArray[np.int64]) -> NDArray[np.float64]:
        """The same of many."""
        played = self.take.start + (frames - self.take.source_start) * self.rate / self.recording.rate
        return np.asarray(self.heard_of_played(np.rint(played).astype(np.int64)), np.float64)

    def recording_frame(self, shown: float) -> int:
        """Frame of the recording, at its own rate, under a session frame on screen."""
        source, heard = self.anchors
        return round(float(np.interp(shown, heard, source)) * self.recording.rate / self.rate)

    def recording_frame_beyond(self, shown: float) -> int:
        """The same, straight on past the clip's ends, where there is more of the recording."""
        is_edited = self.side is Side.EDITED
        source = self.map.source_of(shown) if is_edited else shown + self.map.offset
        return round(source * self.recording.rate / self.rate)


def _sounding(track: Track, take: Take, frames: NDArray[np.float64]) -> NDArray[np.bool_]:
    """Which frames of a take's recording lie within one of its clips."""
    parts = [clip for clip in track.clips if clip.take is take]
    starts, ends = (
        np.sort([getattr(clip, name) for clip in parts]) for name in ("source_start", "source_end")
    )
    return np.asarray(starts.searchsorted(frames, "right") > ends.searchsorted(frames, "right"))


@by_identity(32)
def _onset_frames(  # noqa: PLR0917 - found again by the identity of each
    onsets: Onsets, anchors: Anchors, track: Track, take: Take, side: Side, recording_rate: int, rate: int
) -> NDArray[np.float64]:
    ratio = rate / recording_rate
    played = np.rint(take.start + (onsets.frame_array - take.source_start) * ratio)
    if side is Side.EDITED:
        played = anchors.heard_at(played + anchors.offset)
    played[~_sounding(track, take, onsets.frame_array.astype(np.float64))] = NOWHERE
    return played


def _asked(session: Session, track: Track, side: Side, clip: Clip | None = None) -> tuple[object, ...]:
    return session, track, side, clip


@by_parts(32, _asked)
def shown_of(session: Session, track: Track, side: Side, clip: Clip | None = None) -> Shown | None:
    """A clip of a track as it is shown: the first where none is named."""
    clip = clip or next(iter(track.clips), None)
    if clip is None:
        return None
    return _shown(
        track,
        clip,
        session.recording_of(clip),
        clip_plan(session, track, clip),
        targets_of(session, track, clip.take),
        counted_of(session, clip.take),
        side,
        session.rate,
    )


def _parts_of(session: Session, track: Track, side: Side) -> tuple[object, ...]:
    return (*parts_of(session, track), side)


@by_parts(32, _parts_of)
def all_shown(session: Session, track: Track, side: Side) -> tuple[Shown, ...]:
    """Every clip of a track as it is shown, fading into its neighbours."""
    clips = {clip.id: clip for clip in track.clips}
    return tuple(
        _shown(
            track,
            clips[plan.id],
            session.recording_of(clips[plan.id]),
            plan,
            targets_of(session, track, clips[plan.id].take),
            counted_of(session, clips[plan.id].take),
            side,
            session.rate,
        )
        for plan in clip_plans(session, track)
    )


_shown = by_identity(MANY)(Shown)


class Spans(NamedTuple):
    """Where hits are heard: session frames, one per slice."""

    slices: Slices
    starts: NDArray[np.int64]
    ends: NDArray[np.int64]
    heard: NDArray[np.bool_]
    """Which are heard in the clip at hand: its take may be longer."""


def spans_of(shown: Shown | None) -> Spans | None:
    """None where a clip is whole, or is listened to as it was played."""
    if shown is None or shown.side is not Side.EDITED or shown.plan.sliced is None:
        return None
    slices, (starts, ends) = shown.take.slices, (shown.plan.sliced.starts, shown.plan.sliced.ends)
    window = shown.plan.window
    least = np.minimum(ends - starts, round(LEAST_HEARD * shown.rate))
    heard = (ends > starts) & (starts + least <= window.end) & (ends - least >= window.start)
    return None if slices is None else Spans(slices, starts, ends, heard)


def period_of(session: Session, shown: Shown) -> int:
    """Frames after which a clip comes again: whole beats where it is about so long, else its length."""
    start, end = (float(shown.heard_anchors[at]) for at in (0, -1))
    beat = session.beat_of(start)
    beats = session.beat_of(end) - beat
    if round(beats) >= 1 and abs(beats - round(beats)) < WHOLE_BEATS:
        return round(session.frame_of(beat + round(beats)) - start)
    return round(end - start)
