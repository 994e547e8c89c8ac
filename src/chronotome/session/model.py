"""The session: what the person has decided. Immutable, small parts; samples are never in it."""

from enum import StrEnum
from typing import Annotated

import msgspec
from msgspec import Meta, Struct

from chronotome.dsp.bands import Material
from chronotome.dsp.stretch.segment import MoveBy
from chronotome.session.fit import Fit, Measured
from chronotome.session.grid import Grid, Metre, TempoMap
from chronotome.session.limits import (
    Beat,
    Channels,
    ContentHash,
    FileName,
    FrameCount,
    FrameNumber,
    Id,
    Name,
    Rate,
    Share,
    Strength,
)
from chronotome.session.onsets import OnsetId, Onsets
from chronotome.session.sift import USUAL_THRESHOLD, Sift
from chronotome.session.strokes import USUAL_STROKE

TrackId = Id
ClipId = Id


class Recording(Struct, frozen=True):
    """An audio file as it was imported; never altered.

    Invariants: `content` is the hash of the file's bytes; `file` is a plain name inside the session's
    `audio` folder; onsets lie within `frames`.
    """

    content: ContentHash
    file: FileName
    rate: Rate
    frames: FrameCount
    channels: Channels
    onsets: Onsets = Onsets()
    threshold: Strength = USUAL_THRESHOLD
    sift: Sift = Sift()
    is_analysed: bool = False
    measured: Measured | None = None
    material: Material = Material.MIXED
    is_material_chosen: bool = False
    """True where a person said it; else it is what was heard."""
    fit: Fit = Fit()


class WarpMarker(Struct, frozen=True):
    """Ties an onset to a beat. Those in a session were set by hand; Tighten's own are derived."""

    onset: OnsetId
    beat: Beat


class Clip(Struct, frozen=True):
    """A span of a recording placed on a track.

    Invariants: `source_start` < `source_end`, at the recording's own rate; `start` is a session frame;
    markers are sorted by onset, one each.
    """

    id: ClipId
    recording: ContentHash
    source_start: FrameNumber
    source_end: FrameNumber
    start: FrameNumber = 0
    markers: tuple[WarpMarker, ...] = ()
    beat: Beat = 0.0
    """Beat of the song on which the recording's beat one lies while it follows the song."""

    def marker_of(self, onset: OnsetId) -> WarpMarker | None:
        return next((marker for marker in self.markers if marker.onset == onset), None)


class TightenSettings(Struct, frozen=True):
    """The recipe from onsets to targets. A new track has strength 0: nothing moves by itself."""

    grid: Grid = Grid()
    swing: Annotated[float, Meta(ge=50.0, le=75.0)] = 50.0
    strength: Share = 0.0
    leave_alone: Annotated[float, Meta(ge=0.0, le=100.0)] = 0.0
    """Milliseconds from the line within which a hit is not moved."""
    stroke: Annotated[float, Meta(ge=0.0, le=100.0)] = USUAL_STROKE
    """Milliseconds within which onsets are one stroke; less at fast grids."""
    catch: Share = 1.0
    """Of half a grid step: farther from its line than that nothing is pulled; 1 pulls all."""
    groove: Id | None = None
    groove_amount: Share = 0.0


class Follow(StrEnum):
    """Whether a track is where it was played, or where the song's beats are."""

    NOTHING = "nothing"
    SONG = "song"


class Lead(Struct, frozen=True):
    """The track that the song takes its tempo from: one tempo, or beat by beat where `bends`.

    `is_smooth` leaves out the jitter of single hits.
    """

    track: TrackId
    bends: bool = False
    is_smooth: bool = False


class Track(Struct, frozen=True):
    """Clips, how they are tightened and moved, and how loud they are."""

    id: TrackId
    name: Name
    clips: tuple[Clip, ...]
    tighten: TightenSettings = TightenSettings()
    move_by: MoveBy = MoveBy.STRETCHING
    follow: Follow = Follow.NOTHING
    steady: Share = 1.0
    """While it follows: how much of its own drift is taken out, from as played to fully steady."""
    level: Annotated[float, Meta(ge=-90.0, le=12.0)] = 0.0
    is_muted: bool = False
    is_solo: bool = False


class LockGroup(Struct, frozen=True):
    """Tracks that are always moved by the amounts of their guide.

    Invariant: the guide is one of the tracks.
    """

    id: Id
    tracks: tuple[TrackId, ...]
    guide: TrackId


class Section(Struct, frozen=True):
    """A named span on the ruler, in beats."""

    name: Name
    start: Beat
    end: Beat


class Span(Struct, frozen=True):
    """From one beat to a later one."""

    start: Beat
    end: Beat


class Groove(Struct, frozen=True):
    """A timing and loudness profile: offsets in beats and levels in dB on the lines of a grid."""

    id: Id
    name: Name
    grid: Grid
    bars: Annotated[int, Meta(ge=1, le=64)]
    offsets: tuple[Beat, ...]
    levels: tuple[Annotated[float, Meta(ge=-90.0, le=90.0)], ...]


class Slice(Struct, frozen=True):
    """The audio between two cuts, at the recording's own rate."""

    id: Id
    recording: ContentHash
    start: FrameNumber
    end: FrameNumber


class Kit(Struct, frozen=True):
    """Slices on keys."""

    id: Id
    name: Name
    slices: tuple[Slice, ...]
    keys: tuple[Annotated[int, Meta(ge=0, le=127)], ...]


class Step(Struct, frozen=True):
    """A slice played at a beat of its pattern."""

    slice: Id
    beat: Beat
    level: Annotated[float, Meta(ge=-90.0, le=90.0)] = 0.0
    chance: Share = 1.0
    repeats: Annotated[int, Meta(ge=1, le=64)] = 1


class Pattern(Struct, frozen=True):
    """Steps that play the slices of a kit."""

    id: Id
    name: Name
    kit: Id
    beats: Beat
    steps: tuple[Step, ...]


class ClickSound(StrEnum):
    """What a click sounds like."""

    WOOD = "wood"
    TICK = "tick"
    BELL = "bell"


class Click(Struct, frozen=True):
    """The metronome."""

    is_on: bool = False
    sound: ClickSound = ClickSound.WOOD
    accents: bool = True
    """Whether beat one sounds higher."""
    count_in: Annotated[int, Meta(ge=0, le=4)] = 0
    """Bars clicked before it plays."""
    level: Annotated[float, Meta(ge=-60.0, le=6.0)] = -12.0


class Session(Struct, frozen=True):
    """The document.

    Invariants: recordings are unique by content; every clip names one of them; track and clip ids are unique
    and below `next_id`; a track is in at most one lock group. `rate` is the rate at which all of it sounds.
    """

    name: Name = "Untitled"
    rate: Rate = 48000
    tempo: TempoMap = TempoMap()
    metre: Metre = Metre()
    recordings: tuple[Recording, ...] = ()
    tracks: tuple[Track, ...] = ()
    lock_groups: tuple[LockGroup, ...] = ()
    sections: tuple[Section, ...] = ()
    grooves: tuple[Groove, ...] = ()
    kits: tuple[Kit, ...] = ()
    patterns: tuple[Pattern, ...] = ()
    loop: Span | None = None
    is_looping: bool = False
    click: Click = Click()
    is_tempo_set: bool = False
    lead: Lead | None = None
    is_beat_one_set: bool = False
    next_id: Id = 1

    def recording_of(self, clip: Clip) -> Recording:
        return self.recording_with(clip.recording)

    def recording_with(self, content: ContentHash) -> Recording:
        return next(recording for recording in self.recordings if recording.content == content)

    def track(self, track: TrackId) -> Track:
        return next(each for each in self.tracks if each.id == track)

    def group_of(self, track: TrackId) -> LockGroup | None:
        return next((group for group in self.lock_groups if track in group.tracks), None)

    def guide_of(self, track: TrackId) -> TrackId:
        """The track whose onsets decide how this one moves: itself, unless it is locked to another."""
        group = self.group_of(track)
        return group.guide if group else track

    def source_at_session_rate(self, clip: Clip) -> tuple[int, int]:
        """The clip's span in its recording, counted at the session's rate."""
        ratio = self.rate / self.recording_of(clip).rate
        return round(clip.source_start * ratio), round(clip.source_end * ratio)

    def end_of(self, clip: Clip) -> int:
        """Session frame at which the clip ends, as played."""
        start, end = self.source_at_session_rate(clip)
        return clip.start + end - start

    @property
    def frames(self) -> int:
        """Length of all of it, as played."""
        return max((self.end_of(clip) for track in self.tracks for clip in track.clips), default=0)


def check(session: Session) -> None:
    """Raise ValueError where an invariant across parts is broken; for documents from outside."""
    contents = [recording.content for recording in session.recordings]
    if len(set(contents)) != len(contents):
        raise ValueError("two recordings have the same content")
    known = set(contents)
    ids = [track.id for track in session.tracks] + [
        clip.id for track in session.tracks for clip in track.clips
    ]
    if len(set(ids)) != len(ids) or max(ids, default=0) >= session.next_id:
        raise ValueError("ids of tracks and clips must be unique and below next_id")
    for clip in (clip for track in session.tracks for clip in track.clips):
        if clip.recording not in known:
            raise ValueError(f"clip {clip.id} names a recording that is not in the session")
        if not 0 <= clip.source_start < clip.source_end <= session.recording_of(clip).frames:
            raise ValueError(f"clip {clip.id} does not lie within its recording")
    _check_names(session)
    spans = [(section.start, section.end) for section in session.sections]
    if session.loop is not None:
        spans.append((session.loop.start, session.loop.end))
    if any(end <= start for start, end in spans):
        raise ValueError("a span must end after it starts")


def _check_names(session: Session) -> None:
    """Lock groups and the lead name tracks that are there."""
    tracks = {track.id for track in session.tracks}
    for group in session.lock_groups:
        if group.guide not in group.tracks or not tracks.issuperset(group.tracks):
            raise ValueError(f"lock group {group.id} names a track that is not there")
    if session.lead is not None and session.lead.track not in tracks:
        raise ValueError("the song takes its tempo from a track that is not there")


replace = msgspec.structs.replace
