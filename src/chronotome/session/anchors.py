"""Where every frame of a clip sounds: targets, beats and ends as one map, the only one."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.engines import ENGINES, EngineName, engine_of
from chronotome.dsp.stretch.warp import rising
from chronotome.session.counting import counted_of
from chronotome.session.fit import BeatMap
from chronotome.session.follow import beats_of, fitted_of
from chronotome.session.limits import MOST_FRAMES
from chronotome.session.memo import MANY, by_identity, by_parts
from chronotome.session.model import Clip, Recording, Session, Take, Track, placed_take
from chronotome.session.targets import Targets
from chronotome.session.tighten import targets_of
from chronotome.session.time_map import TimeMap
from chronotome.units import Frames, at_other_rate

FAINT_ANCHOR = 20.0
"""Strength from which a faint onset's attack is kept from being smeared, though it has no target."""
FAINT_APART_SECONDS = 0.016
"""From other anchors: nearer, what lies between could not be stretched."""
MOST_END_STRETCH = 2.0
"""Of what is before the first hit and after the last: what would be more sounds as it was played."""
MOST_TIMES_LONGER, MOST_LONGER_SECONDS = 8, 60
"""By which a take may become longer, by both together: three times half of its tempo, a hit dragged far."""
BEAT_APART_SECONDS = 0.060
MOST_MOVED = 200
"""Hits from the first that moved to the last, up to which a map is worked out about them alone."""
LEAST_BEAT = 1e-4


@dataclass(frozen=True, eq=False)
class Anchors:
    """Source frames, at the session's rate, and the session frames at which they land.

    Invariants: both rise strictly; two anchors or more. `offset` leads from frames as played to source. A
    reversed take is heard at `axis` less where it lands.
    """

    source: Frames
    landed: Frames
    offset: int
    axis: int | None = None
    attacks: NDArray[np.bool_] | None = None
    """True for each anchor of which not a sample is stretched; None: for all of them."""
    fills: tuple[int, int] | None = None
    """Session frames that the take fills, be it with nothing at its ends; None: as far as it sounds."""

    def landed_at(self, source: NDArray[np.float64]) -> NDArray[np.float64]:
        """Session frames at which source frames land, straight on at both ends: what Tighten is about."""
        return _straight_on(source, self.source, self.landed)

    def heard_at(self, source: NDArray[np.float64]) -> NDArray[np.float64]:
        """Session frames at which source frames sound; straight on at both ends."""
        return self.mirrored(self.landed_at(source))

    def source_at(self, heard: NDArray[np.float64]) -> NDArray[np.float64]:
        """Source frames that sound at session frames; straight on at both ends."""
        return _straight_on(self.mirrored(heard), self.landed, self.source)

    def heard_of(self, source: float) -> int:
        """The session frame at which a source frame sounds."""
        return round(float(self.heard_at(np.array([source]))[0]))

    def source_of(self, heard: float) -> float:
        """The source frame that sounds at a session frame."""
        return float(self.source_at(np.array([heard]))[0])

    def mirrored(self, frames: NDArray[np.float64]) -> NDArray[np.float64]:
        """From where frames land to where they sound, and back: the same but in a reversed take."""
        return frames if self.axis is None else self.axis - frames


def _straight_on(frames: NDArray[np.float64], known: Frames, there: Frames) -> NDArray[np.float64]:
    """From one column of anchors to the other; past both ends as steep as between the last two."""
    first, last = ((there[at] - there[at - 1]) / (known[at] - known[at - 1]) for at in (1, -1))
    before = np.minimum(frames - known[0], 0) * first
    return np.asarray(np.interp(frames, known, there) + before + np.maximum(frames - known[-1], 0) * last)


def extent_of(session: Session) -> int:
    """Frames of all of it, as played or as it sounds, whichever is longer."""
    return max((_end_of(session, track) for track in session.tracks), default=0)


def parts_of(session: Session, track: Track) -> tuple[object, ...]:
    """All that decides where a track's clips sound, and how."""
    group = session.group_of(track.id)
    together = (session.track(each) for each in group.tracks) if group is not None else ()
    clock = session.tempo, session.metre, session.rate
    written = session.kits, session.patterns
    return track, group, *clock, session.recordings, session.grooves, *written, *together


@by_parts(64, parts_of)
def _end_of(session: Session, track: Track) -> int:
    sounding = (window_of(session, track, clip).end for clip in track.clips)
    played = (session.played_span(clip)[1] for clip in track.clips)
    return max((*sounding, *played), default=0)


def heard_beats_of(session: Session, track: Track, take: Take | None = None) -> BeatMap | None:
    """The beats of a take, the first where none is named, in seconds of the session: what drift is left."""
    take = take or track.first_take
    if take is None:
        return None
    beats = beats_of(session, take)
    if beats is None:
        return None
    recording = session.recording_of(take)
    seconds = take.start / session.rate + beats.seconds - take.source_start / recording.rate
    fit = fitted_of(session, track, take)
    if fit is not None:
        seconds = fit(seconds * session.rate) / session.rate
    rising = np.concatenate([[True], np.diff(np.maximum.accumulate(seconds)) > LEAST_BEAT])
    if rising.sum() < 2:
        return beats
    return BeatMap(seconds[rising], beats.beats[rising], beats.by_hand[rising])


def anchors_of(session: Session, track: Track, take: Take) -> Anchors:
    """The map of a take: by its own targets and beats, or by its guide's, and both of its ends."""
    guide, leading = session.leading(track, take)
    recording = session.recording_of(take)
    anchors = _anchors(
        placed_take(take),
        recording,
        engine_for(session, guide, leading),
        session.group_of(track.id) is not None,
        track.moving_of(take).semitones != 0,
        targets_of(session, guide, leading),
        fitted_of(session, guide, leading),
        placed_take(leading),
        session.recording_of(leading),
        counted_of(session, leading),
        session.rate,
    )
    return anchors if take.mirror is None else _turned(anchors, placed_take(take), recording, session.rate)


def _is_within_reason(heard: Frames, played: int, rate: int) -> bool:
    """Whether a take may sound at these frames: not far longer than it was played, not before all time.

    A fit with a wrong beat in it can ask for a take of hours: it sounds as played until that is mended.
    """
    first, last = int(heard[0]), int(heard[-1])
    most = MOST_TIMES_LONGER * played + MOST_LONGER_SECONDS * rate
    return abs(first) <= MOST_FRAMES and 0 < last - first <= most


@by_identity(MANY)
def _turned(anchors: Anchors, take: Take, recording: Recording, rate: int) -> Anchors:
    """The map of a reversed take: the span that was turned lies where it did."""
    edges = np.rint(np.array(take.mirror) * rate / recording.rate)
    return replace(anchors, axis=int(np.rint(anchors.landed_at(edges)).sum()))


@by_identity(MANY)
def _anchors(  # noqa: PLR0917 - found again by the identity of each
    take: Take,
    recording: Recording,
    engine: EngineName,
    is_locked: bool,  # noqa: FBT001 - the same
    is_pitched: bool,  # noqa: FBT001 - the same
    targets: Targets,
    fit: TimeMap | None,
    leading: Take,
    led: Recording,
    counts: NDArray[np.bool_],
    rate: int,
) -> Anchors:
    places = (part for each in (take, leading) for part in (each.start, each.source_start, each.source_end))
    last = _last_anchors(*places, recording, engine, is_locked, is_pitched, fit, led, counts, rate)
    known, found = last.known, None
    if known is not None:
        found = _near(*known, targets, engine, fit, leading, led, counts, rate)
    if found is None:
        found = _all_anchors(
            take, recording, engine, is_locked, is_pitched, targets, fit, leading, led, counts, rate
        )
    last.known = targets, found
    return found


@dataclass(eq=False)
class _LastAnchors:
    """The map of a take as it was by the last targets."""

    known: tuple[Targets, Anchors] | None = None
    """Both at once: the window and the renderer ask in threads of their own."""


@by_identity(256)
def _last_anchors(*_parts: object) -> _LastAnchors:
    """One for each take in its place, whatever its targets are: by all parts that decide but these."""
    return _LastAnchors()


def _near(  # noqa: PLR0917 - all that it depends on
    before: Targets,
    anchors: Anchors,
    targets: Targets,
    engine: EngineName,
    fit: TimeMap | None,
    leading: Take,
    led: Recording,
    counts: NDArray[np.bool_],
    rate: int,
) -> Anchors | None:
    """The map with a few hits elsewhere than last time; None where all of it has to be worked out."""
    if before.played is not targets.played or fit is not None:
        return None
    moved = np.flatnonzero(before.target != targets.target)
    if not len(moved):
        return anchors
    first, end = int(moved[0]) - 1, int(moved[-1]) + 2
    is_inside = first > 1 and end < len(targets) - 1 and end - first <= MOST_MOVED
    if not is_inside or len(anchors.source) < len(targets) or bool((targets.target == targets.played).all()):
        return None
    source, heard = targets.played[first:end] + anchors.offset, targets.target[first:end]
    at, until = anchors.source.searchsorted(source[0]), anchors.source.searchsorted(source[-1]) + 1
    edges = anchors.landed[[at, until - 1]].tolist(), anchors.source[[at, until - 1]].tolist()
    if edges != ([heard[0], heard[-1]], [source[0], source[-1]]):
        return None
    if ENGINES[engine].warps_between:
        source, heard = _with_faint(leading, led, counts, rate, source, heard, anchors.offset)
    if np.array_equal(source, anchors.source[at:until]):
        landed = anchors.landed.copy()
        landed[at:until] = heard
        return replace(anchors, landed=landed)
    parts = ((anchors.source, source), (anchors.landed, heard))
    source, heard = (np.concatenate([old[:at], new, old[until:]]) for old, new in parts)
    attacks = anchors.attacks
    if attacks is not None:
        attacks = np.isin(source, _attacks(leading, led, rate, anchors.offset))
    return replace(anchors, source=source, landed=heard, attacks=attacks)


def _all_anchors(  # noqa: PLR0917 - all that it depends on
    take: Take,
    recording: Recording,
    engine: EngineName,
    is_locked: bool,  # noqa: FBT001 - the value itself
    is_pitched: bool,  # noqa: FBT001 - the same
    targets: Targets,
    fit: TimeMap | None,
    leading: Take,
    led: Recording,
    counts: NDArray[np.bool_],
    rate: int,
) -> Anchors:
    start, end = (round(frame * rate / recording.rate) for frame in (take.source_start, take.source_end))
    offset = start - take.start
    played, landed = targets.played, targets.target
    if fit is not None and ENGINES[engine].warps_between:
        played, landed = _with_beats(fit, played, landed, int(BEAT_APART_SECONDS * rate))
    is_as_played = bool((landed == played).all())  # at another pitch, attacks are kept where they are
    if not len(played) or (is_as_played and not is_pitched):
        source, heard = np.array([start, end]), np.array([take.start, take.start + end - start])
        return Anchors(source, heard, offset)
    span = np.array([take.start, take.start + end - start])
    first, last = (span if fit is None else np.rint(fit(span))).astype(np.int64).tolist()
    fills = max(0, first), last
    source, heard = played + offset, landed
    if fit is not None:  # beats beyond the take are not its own
        inside = (heard >= fills[0]) & (heard < fills[1])
        source, heard = source[inside], heard[inside]
    source, heard = _with_ends(source, heard, (start, end), (first, last), keeps_tail=is_locked)
    if len(source) < 2 or heard[0] < 0 or not _is_within_reason(heard, end - start, rate):
        heard = np.array([take.start, take.start + end - start])
        return Anchors(np.array([start, end]), heard, offset)
    if ENGINES[engine].warps_between:
        source, heard = _with_faint(leading, led, counts, rate, source, heard, offset)
    if not ENGINES[engine].bends:
        return Anchors(source, heard, offset, fills=fills)
    attacks = np.isin(source, _attacks(leading, led, rate, offset))
    return Anchors(source, heard, offset, attacks=attacks, fills=fills)


def _attacks(take: Take, recording: Recording, rate: int, offset: int) -> Frames:
    """Source frames of onsets that are attacks; what nobody has measured yet counts as one."""
    onsets = recording.onsets
    frames = onsets.frame_array[onsets.attack_array]
    return take.start + offset + at_other_rate(frames - take.source_start, recording.rate, rate)


def engine_for(session: Session, track: Track, take: Take) -> EngineName:
    """What renders the takes of a track that leads; steps are moved, never stretched."""
    if take.playing is not None:
        return EngineName.CUTTING
    moving = track.moving_of(take)
    return engine_of(moving.by, moving.keeps, session.recording_of(take).material)


@dataclass(frozen=True)
class Window:
    """The session frames between which a clip sounds, and the source frames that sound there, as edited."""

    start: int
    end: int
    first: int
    last: int
    """Source frames, at the session's rate."""


def window_of(session: Session, track: Track, clip: Clip) -> Window:
    """Where a clip's edges sound. Parts of one take meet at the very same frame."""
    return window_in(anchors_of(session, track, clip.take), clip, session.recording_of(clip), session.rate)


@by_identity(MANY)
def window_in(anchors: Anchors, clip: Clip, recording: Recording, rate: int) -> Window:
    first, last = int(anchors.source[0]), int(anchors.source[-1])
    if clip.head:
        first = min(max(first, round(clip.source_start * rate / recording.rate)), last - 1)
    if clip.tail:
        last = max(min(last, round(clip.source_end * rate / recording.rate)), first + 1)
    landed = np.rint(anchors.landed_at(np.array([first, last], np.float64)))
    if anchors.fills is not None:
        landed[0] = landed[0] if clip.head else min(landed[0], anchors.fills[0])
        landed[1] = landed[1] if clip.tail else max(landed[1], anchors.fills[1])
    start, end = np.sort(anchors.mirrored(landed)).astype(np.int64).tolist()
    return Window(start, max(end, start + 1), first, last)


def _with_beats(fit: TimeMap, played: Frames, landed: Frames, apart: int) -> tuple[Frames, Frames]:
    """Add the beats that no hit is near to, so that long notes follow as well."""
    beats, lands = np.rint(fit.played).astype(np.int64), np.rint(fit.fitted).astype(np.int64)
    clear = _are_apart(beats, lands, played, landed, apart) & (lands >= apart - 1)
    return _merged(played, landed, beats[clear], lands[clear])


def _are_apart(extra: Frames, places: Frames, source: Frames, heard: Frames, apart: int) -> NDArray[np.bool_]:
    """Which extra anchors keep `apart` from the anchors on both sides, in the recording and as heard."""
    if not len(source):
        return np.ones(len(extra), np.bool_)
    after = source.searchsorted(extra)
    before, behind = np.maximum(after - 1, 0), np.minimum(after, len(source) - 1)
    from_before = np.minimum(extra - source[before], places - heard[before])
    to_behind = np.minimum(source[behind] - extra, heard[behind] - places)
    is_first, is_last = after == 0, after == len(source)
    return np.asarray((is_first | (from_before >= apart)) & (is_last | (to_behind >= apart)))


def _merged(source: Frames, heard: Frames, extra: Frames, places: Frames) -> tuple[Frames, Frames]:
    """Both in the order of the recording."""
    order = np.argsort(np.concatenate([source, extra]), kind="stable")
    return np.concatenate([source, extra])[order], np.concatenate([heard, places])[order]


def _with_ends(
    source: Frames, heard: Frames, ends: tuple[int, int], fills: tuple[int, int], *, keeps_tail: bool
) -> tuple[Frames, Frames]:
    """Add both ends, which lie where they are: a loop of whole bars fills its bars to the frame.

    What is before the first hit and after the last is stretched to fit. Where that would be by too much, and
    after the last hit where others are locked to it, as much of it sounds, as it was played, as has room.
    """
    inside = (source >= ends[0]) & (source < ends[1])
    source, heard = source[inside], heard[inside]
    if not len(source):
        return np.array(ends), np.array(fills)
    lead, tail = int(source[0]) - ends[0], ends[1] - int(source[-1])
    room = int(heard[0]) - fills[0], fills[1] - int(heard[-1])
    first = _end(lead, room[0], is_stretched=fills[0] >= 0)
    last = _end(tail, room[1] or -1, is_stretched=not keeps_tail)
    if first[0] > 0 and first[1] > 0:
        source = np.concatenate([[source[0] - first[0]], source])
        heard = np.concatenate([[heard[0] - first[1]], heard])
    if heard[0] < 0:  # nothing sounds before the session's first frame
        kept = heard > 0
        cut = float(np.interp(0.0, heard, source))
        source, heard = (
            np.concatenate([[int(np.ceil(cut))], source[kept]]),
            np.concatenate([[0], heard[kept]]),
        )
    source, heard = np.append(source, source[-1] + last[0]), np.append(heard, heard[-1] + last[1])
    return rising(source, heard)


def _end(there: int, room: int, *, is_stretched: bool) -> tuple[int, int]:
    """How many frames of a recording sound at an end of a take, and for how long."""
    if room < 0:  # a hand has moved the hit past the end: what belongs to it goes along
        return there, there
    if is_stretched and there / MOST_END_STRETCH <= room <= there * MOST_END_STRETCH:
        return there, room
    return min(there, room), min(there, room)


def _with_faint(  # noqa: PLR0917 - all that it depends on
    take: Take,
    recording: Recording,
    counts: NDArray[np.bool_],
    rate: int,
    source: Frames,
    heard: Frames,
    offset: int,
) -> tuple[Frames, Frames]:
    """Add faint onsets at their mapped places, so that no attack is smeared.

    Each is placed by rounding between its neighbours, so an edit elsewhere does not touch it.
    """
    onsets = recording.onsets
    faint = ~counts & (onsets.strength_array >= FAINT_ANCHOR)
    frames = onsets.frame_array[faint]
    frames = frames[(frames >= take.source_start) & (frames < take.source_end)]
    extra = take.start + offset + at_other_rate(frames - take.source_start, recording.rate, rate)
    inside = (extra > source[0]) & (extra <= source[-1])
    extra = extra[inside]
    mapped = np.rint(np.interp(extra, source, heard)).astype(np.int64)
    wide = _are_apart(extra, mapped, source, heard, round(FAINT_APART_SECONDS * rate))
    return rising(*_merged(source, heard, extra[wide], mapped[wide]))
