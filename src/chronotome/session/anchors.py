"""Where every frame of a clip sounds: targets, beats and ends as one map, the only one."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.segment import MoveBy
from chronotome.dsp.warp import rising
from chronotome.session.counting import counted_of
from chronotome.session.fit import BeatMap
from chronotome.session.fitted import Fitted
from chronotome.session.follow import beats_of, fitted_of
from chronotome.session.memo import by_identity
from chronotome.session.model import Clip, Session, Track
from chronotome.session.tighten import targets_of
from chronotome.units import Frames, at_other_rate

FAINT_ANCHOR = 20.0
"""Strength from which a faint onset's attack is kept from being smeared, though it has no target."""
NARROWEST_SECONDS = 0.004
MOST_TAIL_STRETCH = 2.0
BEAT_APART_SECONDS = 0.060
LEAST_BEAT = 1e-4


@dataclass(frozen=True, eq=False)
class Anchors:
    """Source frames, at the session's rate, and the session frames at which they sound.

    Invariants: both rise strictly; two anchors or more. `offset` leads from frames as played to source.
    """

    source: Frames
    heard: Frames
    offset: int

    def heard_at(self, source: NDArray[np.float64]) -> NDArray[np.float64]:
        """Session frames at which source frames sound; straight on at both ends."""
        first, last = (
            (self.heard[at] - self.heard[at - 1]) / (self.source[at] - self.source[at - 1]) for at in (1, -1)
        )
        inside = np.interp(source, self.source, self.heard)
        before = np.minimum(source - self.source[0], 0) * first
        return np.asarray(inside + before + np.maximum(source - self.source[-1], 0) * last)


@by_identity(8)
def extent_of(session: Session) -> int:
    """Frames of all of it, as played or as it sounds, whichever is longer."""
    ends = [
        int(anchors_of(session, track, clip).heard[-1]) for track in session.tracks for clip in track.clips
    ]
    return max([session.frames, *ends])


def heard_beats_of(session: Session, track: Track) -> BeatMap | None:
    """The beats of a track's recording in seconds of the session, after the fit: what drift is left."""
    if not track.clips:
        return None
    clip = track.clips[0]
    beats = beats_of(session, clip)
    if beats is None:
        return None
    recording = session.recording_of(clip)
    seconds = clip.start / session.rate + beats.seconds - clip.source_start / recording.rate
    fit = fitted_of(session, track, clip)
    if fit is not None:
        seconds = fit(seconds * session.rate) / session.rate
    rising = np.concatenate([[True], np.diff(np.maximum.accumulate(seconds)) > LEAST_BEAT])
    if rising.sum() < 2:
        return beats
    return BeatMap(seconds[rising], beats.beats[rising], beats.by_hand[rising])


@by_identity(16)
def anchors_of(session: Session, track: Track, clip: Clip) -> Anchors:
    """The map of one clip: by its own targets and beats, or by its guide's, and both of its ends."""
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
        return Anchors(source, heard, offset)
    if fit is not None:
        source, heard = _with_fitted_ends(played + offset, landed, (start, end), offset, fit)
    else:
        rings = session.group_of(track.id) is not None
        source, heard = _with_ends(played + offset, landed, start, end, clip.start, keeps_tail=rings)
    if guide.move_by is not MoveBy.CUTTING:
        source, heard = _with_faint(session, leading, source, heard, offset)
    return Anchors(source, heard, offset)


def _with_fitted_ends(
    source: Frames, heard: Frames, ends: tuple[int, int], offset: int, fit: Fitted
) -> tuple[Frames, Frames]:
    """Add both ends where the fit has them: a loop of whole bars fills its bars to the frame."""
    inside = (source > ends[0]) & (source < ends[1])
    fitted = np.rint(fit(np.array(ends) - offset)).astype(np.int64)
    inside &= (heard > fitted[0]) & (heard < fitted[1])
    source = np.concatenate([[ends[0]], source[inside], [ends[1]]])
    heard = np.concatenate([[fitted[0]], heard[inside], [fitted[1]]])
    if heard[0] < 0:  # nothing sounds before the session's first frame
        kept = heard > 0
        cut = float(np.interp(0.0, heard, source))
        source = np.concatenate([[int(np.ceil(cut))], source[kept]])
        heard = np.concatenate([[0], heard[kept]])
    return rising(source, heard)


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

    Where others are locked to it, what is after the last anchor rings out as it was played.
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
