"""Where things of a clip are on screen, for the side that is listened to."""

from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.warp import WarpMap
from chronotome.render.mix import Side
from chronotome.render.plan import ClipPlan, clip_plan
from chronotome.session.counting import counted_of
from chronotome.session.memo import by_identity
from chronotome.session.model import Clip, Recording, Session, Track
from chronotome.session.onsets import Onsets
from chronotome.session.tighten import Targets, targets_of

NOWHERE = -1e12
"""The place of what is not within the clip."""


@dataclass(frozen=True, eq=False)
class Shown:
    """One clip as it is heard: its plan, its targets, and which side is listened to."""

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
    def source_anchors(self) -> NDArray[np.int64]:
        return self.plan.source if self.side is Side.EDITED else self.plan.source[[0, -1]]

    @property
    def heard_anchors(self) -> NDArray[np.int64]:
        if self.side is Side.EDITED:
            return self.plan.heard
        start = self.plan.played_at
        return np.array([start, start + int(self.plan.source[-1] - self.plan.source[0])])

    def under(self, edges: NDArray[np.float64]) -> tuple[NDArray[np.float64], NDArray[np.bool_]]:
        """Source frames under screen edges, and which columns between two edges lie within the clip."""
        source, heard = self.source_anchors, self.heard_anchors
        is_within = (edges[1:] > heard[0]) & (edges[:-1] < heard[-1])
        return np.interp(edges, heard, source), is_within

    def heard_of_played(self, played: NDArray[np.int64] | NDArray[np.float64]) -> NDArray[np.float64]:
        """Session frames on screen of session frames as played."""
        if self.side is not Side.EDITED:
            return played.astype(np.float64)
        offset = int(self.plan.source[0]) - self.plan.played_at
        return np.interp(played + offset, self.plan.source, self.plan.heard)

    @cached_property
    def hits(self) -> NDArray[np.float64]:
        """Session frames on screen of the counted onsets."""
        return self.heard_of_played(self.targets.played)

    def onset_frames(self) -> NDArray[np.float64]:
        """Session frames on screen of every candidate."""
        recording = self.recording
        return _onset_frames(recording.onsets, self.plan, self.clip, self.side, recording.rate, self.rate)

    def with_counts(self, recording: Recording, counts: NDArray[np.bool_]) -> "Shown":
        """The same places, with other onsets that count."""
        return replace(self, recording=recording, counts=counts)

    def frame_shown(self, frame: float) -> float:
        """Session frame on screen of a frame of the recording."""
        played = self.clip.start + (frame - self.clip.source_start) * self.rate / self.recording.rate
        return float(self.heard_of_played(np.array([round(played)]))[0])

    def recording_frame(self, shown: float) -> int:
        """Frame of the recording, at its own rate, under a session frame on screen."""
        warp = WarpMap(self.source_anchors, self.heard_anchors)
        source = float(warp.source_at(np.array([shown]))[0])
        return round(source * self.recording.rate / self.rate)


@by_identity(32)
def _onset_frames(  # noqa: PLR0917 - found again by the identity of each
    onsets: Onsets, plan: ClipPlan, clip: Clip, side: Side, recording_rate: int, rate: int
) -> NDArray[np.float64]:
    ratio = rate / recording_rate
    played = np.rint(clip.start + (onsets.frame_array - clip.source_start) * ratio)
    if side is Side.EDITED:
        played = np.interp(played + (int(plan.source[0]) - plan.played_at), plan.source, plan.heard)
    is_cut_off = (onsets.frame_array < clip.source_start) | (onsets.frame_array >= clip.source_end)
    played[is_cut_off] = NOWHERE
    return played


def shown_of(session: Session, track: Track, side: Side) -> Shown | None:
    """The first clip of a track as it is shown."""
    if not track.clips:
        return None
    return _shown(session, track, side)


@by_identity(64)
def _shown(session: Session, track: Track, side: Side) -> Shown:
    clip = track.clips[0]
    return Shown(
        track,
        clip,
        session.recording_of(clip),
        clip_plan(session, track, clip),
        targets_of(session, track, clip),
        counted_of(session, clip),
        side,
        session.rate,
    )
