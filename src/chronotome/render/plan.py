"""Session -> plan: which spans of which recordings sound where, at what length."""

from dataclasses import dataclass, replace
from functools import lru_cache
from typing import NamedTuple

from chronotome.dsp.stretch.engines import EngineName
from chronotome.dsp.stretch.segment import PLAIN, Shape
from chronotome.render.click import ClickPlan, click_plan
from chronotome.session.anchors import Anchors, Window, anchors_of, extent_of, parts_of, window_in
from chronotome.session.limits import ContentHash
from chronotome.session.memo import MANY, by_identity, by_parts
from chronotome.session.model import Clip, ClipId, Session, Track
from chronotome.session.patterned import Patterned
from chronotome.session.rows import patterned_of, score_of, sliced_of
from chronotome.session.score import Score, Together
from chronotome.session.sliced import Sliced
from chronotome.units import gain_of

SOFT_SECONDS = 0.003
"""Over which a cut edge comes in or goes out, so that it does not click."""


class PieceKey(NamedTuple):
    """All that a rendered piece depends on; equal keys sound alike, bit for bit."""

    content: ContentHash
    rate: int
    engine: EngineName
    start: int
    end: int
    length: int
    is_last: bool
    together: Together = ()
    semitones: float = 0.0
    is_reversed: bool = False
    shape: Shape = PLAIN
    keeps_formants: bool = False


def piece_of(score: Score, row: int) -> PieceKey:
    """The piece that a row plays."""
    shape = score.shapes[row] if score.shapes else PLAIN
    return PieceKey(
        score.recordings[int(score.recording[row])],
        score.rate,
        shape.engine or score.engine,
        int(score.start[row]),
        int(score.end[row]),
        int(score.length[row]),
        not score.joins[row],
        score.together,
        float(score.semitones[row]),
        bool(score.is_reversed[row]),
        shape,
        score.keeps_formants and bool(score.semitones[row]),
    )


class Fade(NamedTuple):
    """Session frames between which a clip comes in or goes out, by equal power."""

    start: int
    end: int


@dataclass(frozen=True, eq=False)
class ClipPlan:
    """A window on a score: which part of it sounds, how loud, and how it begins and ends."""

    id: ClipId
    score: Score
    window: Window
    map: Anchors
    """Where each frame of its take sounds."""
    gain: float
    """Its own; 0 where it is muted."""
    played: tuple[int, int]
    """Source frames that sound as played."""
    sliced: Sliced | None = None
    """Where its hits are heard, where it was taken apart."""
    patterned: Patterned | None = None
    """Where its steps are heard, where it plays a pattern."""
    as_played: Score | None = None
    """The rows of a pattern as its steps were put; None: what sounds as played is its recording."""
    fade_in: Fade | None = None
    fade_out: Fade | None = None

    @property
    def scores(self) -> tuple[Score, ...]:
        """All whose pieces it needs, each once."""
        if self.as_played is None or self.as_played is self.score:
            return (self.score,)
        return self.score, self.as_played

    @property
    def played_at(self) -> int:
        """Session frame at which its first source frame sounds as played."""
        return self.played[0] - self.map.offset

    @property
    def rows(self) -> slice:
        """Those of the score's rows that sound in the window, be it in part."""
        return self.rows_of(self.score)

    def rows_of(self, score: Score) -> slice:
        """The same of another score."""
        first = int(score.until.searchsorted(self.window.start, "right"))
        last = int(score.heard.searchsorted(self.window.end, "left"))
        return slice(min(first, max(0, last - 1)), last)


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
    anchors = anchors_of(session, track, clip.take)
    score = score_of(session, track, clip.take, anchors)
    window = window_in(anchors, clip, session.recording_of(clip), session.rate)
    take, apart, steps, as_played = clip.take, None, None, None
    if take.playing is not None:
        steps = patterned_of(session, track, take)
        as_played = patterned_of(session, track, take, is_edited=False).score
    elif take.slices is not None:
        apart = sliced_of(session, track, take, anchors)
    original = played_span(clip, session.recording_with(clip.recording).rate, window, session.rate)
    return _clip_plan(score, clip, window, anchors, original, apart, steps, as_played, session.rate)


@lru_cache(maxsize=MANY)
def _same_span(first: int, last: int) -> tuple[int, int]:
    """One object for equal ones: plans are found by identity."""
    return first, last


def played_span(clip: Clip, recording_rate: int, window: Window, rate: int) -> tuple[int, int]:
    """Source frames that sound as played: of what was taken apart, those that were there before."""
    slices, first, last = clip.take.slices, window.first, window.last
    if slices is not None:
        begin, end = (round(frame * rate / recording_rate) for frame in slices.original)
        first = min(max(first, begin), end - 1)
        last = max(min(last, end), first + 1)
    return _same_span(first, last)


@by_identity(MANY)
def _clip_plan(  # noqa: PLR0917 - found again by the identity of each
    score: Score,
    clip: Clip,
    window: Window,
    anchors: Anchors,
    played: tuple[int, int],
    apart: Sliced | None,
    steps: Patterned | None,
    as_played: Score | None,
    rate: int,
) -> ClipPlan:
    length = window.end - window.start
    rise, fall = (min(length, round(seconds * rate)) for seconds in (clip.fade_in, clip.fade_out))
    return ClipPlan(
        clip.id,
        score,
        window,
        anchors,
        0.0 if clip.is_muted else gain_of(clip.level),
        played,
        apart,
        steps,
        as_played,
        Fade(window.start, window.start + rise) if rise else None,
        Fade(window.end - fall, window.end) if fall else None,
    )


def _faded(clips: tuple[ClipPlan, ...], rate: int) -> tuple[ClipPlan, ...]:
    """Neighbours that overlap cross over; an edge that was cut is softened where nothing goes on after it."""
    if len(clips) < 2 and not any(_begins_late(clip) or _ends_early(clip) for clip in clips):
        return clips
    soft = _soft_frames(rate)
    ordered = sorted(clips, key=lambda clip: (clip.window.start, clip.window.end))
    alone: ClipPlan | None = None
    pairs = zip([alone, *ordered[:-1]], ordered, [*ordered[1:], alone], strict=True)
    return tuple(_with_edges(before, clip, after, soft) for before, clip, after in pairs)


def _begins_late(clip: ClipPlan) -> bool:
    """Whether something of its score would sound before the clip begins."""
    return clip.window.start > int(clip.score.heard[0])


def _ends_early(clip: ClipPlan) -> bool:
    return clip.window.end < int(clip.score.until[-1])


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
    elif rise is None and _begins_late(clip) and not _goes_on(before, clip):
        rise = Fade(window.start, window.start + min(soft, reach // 2))
    if after is not None and _overlaps(window, after.window):
        over = Fade(max(after.window.start, window.start), min(window.end, after.window.end))
        fall = over if fall is None or over.start < fall.start else fall
    elif fall is None and _ends_early(clip) and not _goes_on(clip, after):
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
        and before.score is after.score
        and (before.window.last == after.window.first or before.window.first == after.window.last)
        and before.window.end == after.window.start
        and before.gain == after.gain
        and before.fade_out is None
        and after.fade_in is None
    )
