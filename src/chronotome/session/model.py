"""The session: what the person has decided. Immutable, small parts; samples are never in it."""

from collections.abc import Iterator
from dataclasses import dataclass
from enum import StrEnum
from functools import cached_property
from typing import Annotated

import msgspec
import numpy as np
from msgspec import Meta, Struct, field

from chronotome.dsp.bands import Instrument
from chronotome.dsp.mute_span import MuteMethod
from chronotome.session.fit import Fit, Measured
from chronotome.session.grid import TempoMap
from chronotome.session.groove import Groove, GrooveId
from chronotome.session.kits import MOST_KITS, Kit, KitId
from chronotome.session.limits import (
    MOST_ONSETS,
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
from chronotome.session.memo import by_identity, by_parts
from chronotome.session.metre import MOST_METRE_CHANGES, Metre, MetreChange, MetreMap, metre_map
from chronotome.session.onset_filter import USUAL_THRESHOLD, OnsetFilter
from chronotome.session.onsets import MEASURED, OnsetDecision, OnsetId, Onsets
from chronotome.session.patterns import LONGEST_PATTERN, MOST_PATTERNS, SHORTEST_PATTERN, Pattern, PatternId
from chronotome.session.rounds import PatternHits, laid_of, onsets_of
from chronotome.session.settings import (
    MOST_SPANS,
    MOST_VARIANTS,
    Moving,
    SettingsSpan,
    Snapshot,
    TightenSettings,
)
from chronotome.session.slices import COPY, Semitones, Slices
from chronotome.session.timebase import Timebase
from chronotome.units import Frames
from chronotome.words import Named

replace = msgspec.structs.replace
TrackId = Id


ClipId = Id


MOST_FADE = 3600.0


MOST_GROOVES = 1000


Level = Annotated[float, Meta(ge=-90.0, le=12.0)]


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
    sift: OnsetFilter = OnsetFilter()
    is_analysed: bool = False
    measured: Measured | None = None
    material: Instrument = Instrument.MIXED
    is_material_chosen: bool = False
    """True where a person said it; else it is what was heard."""
    fit: Fit = Fit()
    quiet: FrameNumber = 0
    """Frames from its beginning on that hold nothing but the room."""


@dataclass(frozen=True, eq=False)
class Rearranged:
    """A recording as slices lay it out: its onsets where they are placed."""

    recording: Recording
    owners: Frames
    """For each onset, where its slice stands in the columns."""


def rearranged(recording: Recording, slices: Slices) -> Rearranged:
    """The recording as slices lay it out; the very same where they lie as it was recorded."""
    return _rearranged(
        recording, slices.ids, slices.starts, slices.ends, slices.places, slices.copies, slices.lengths
    )


@by_identity(256)
def _rearranged(  # noqa: PLR0917 - found again by the identity of each
    recording: Recording,
    ids: tuple[int, ...],
    starts: tuple[int, ...],
    ends: tuple[int, ...],
    places: tuple[int, ...],
    copies: tuple[int, ...],
    lengths: tuple[int, ...],
) -> Rearranged:
    onsets, frames = recording.onsets, recording.onsets.frame_array
    start, end, place, copy = (np.array(each, np.int64) for each in (starts, ends, places, copies))
    length = np.array(lengths, np.int64) if lengths else np.zeros(len(ids), np.int64)
    last = np.where(length > 0, np.minimum(end, start + length), end)
    low, high = frames.searchsorted(start), frames.searchsorted(last)
    counts = high - low
    owners = np.repeat(np.arange(len(ids)), counts)
    at = np.repeat(low - np.cumsum(counts) + counts, counts) + np.arange(counts.sum())
    laid = frames[at] - start[owners] + place[owners]
    reach = int((place + np.maximum(end - start, length)).max(initial=1))
    if np.array_equal(laid, frames[at]) and not copy.any() and (np.diff(at) > 0).all():
        inside = np.zeros(len(frames), np.bool_)
        inside[at] = True
        whole = np.full(len(frames), -1)
        whole[at] = owners
        if inside.all() or not len(start) or _is_whole(start, end):
            return Rearranged(recording, whole)
    order = np.argsort(laid, kind="stable")
    laid, at, owners = laid[order], at[order], owners[order]
    laid = np.maximum.accumulate(laid - np.arange(len(laid))) + np.arange(len(laid))
    numbers = onsets.id_array[at] + COPY * copy[owners]
    standings = np.where(frames[at] == start[owners], int(OnsetDecision.KEPT), onsets.standing_array[at])
    columns = {
        name: tuple(np.array(getattr(onsets, name))[at].tolist()) if getattr(onsets, name) else ()
        for name in ("strengths", "bands", "doubts", "locks", *MEASURED)
    }
    made = Onsets(
        ids=tuple(numbers.tolist()),
        frames=tuple(laid.tolist()),
        standings=tuple(standings.tolist()),
        next_id=int(numbers.max(initial=0)) + 1,
        **columns,
    )
    return Rearranged(replace(recording, onsets=made, frames=max(recording.frames, reach)), owners)


def _is_whole(start: Frames, end: Frames) -> bool:
    """Whether slices go on in one another, without a gap."""
    return bool((start[1:] == end[:-1]).all())


class Touch(Struct, frozen=True):
    """What a person changed of one hit. Tighten's own places are derived."""

    onset: OnsetId
    beat: Beat | None = None
    """The beat it is tied to."""
    recipe: TightenSettings | None = None
    """A recipe of its own."""


class MuteSpan(Struct, frozen=True):
    """A span of a recording that is heard otherwise, as edited: silent, faded, softer, or as the room sounds.

    Invariant: `start` < `end`, frames at the recording's own rate, as are those of the room's quiet place.
    """

    start: FrameNumber
    end: FrameNumber
    by: MuteMethod = MuteMethod.SILENCE
    level: Annotated[float, Meta(ge=-90.0, le=0.0)] = 0.0
    room_start: FrameNumber = 0
    room_end: FrameNumber = 0


class Crossover(Struct, frozen=True):
    """Only what is below a frequency is heard, or only what is above."""

    hertz: Annotated[float, Meta(ge=20.0, le=20_000.0)]
    is_high: bool = False


class Playing(Struct, frozen=True):
    """A pattern that a take plays from its own beat on, over and over."""

    pattern: PatternId
    beats: Annotated[float, Meta(ge=SHORTEST_PATTERN, le=LONGEST_PATTERN)] = 4.0
    """Quarter notes that it plays."""
    kit: KitId = 0
    """0: the pattern's own."""
    semitones: Semitones = 0.0
    """By which all of it is higher."""


class Take(Struct, frozen=True):
    """A span of a recording laid on the session: what is fitted and tightened as one, whatever is cut of it.

    Or a pattern that is played: then its recording is that of its kit's first slice, and its frames are those
    of the pattern as it is laid out (`Session.recording_of`), from 0 on.

    Invariants: `source_start` < `source_end`, at the recording's own rate; `start` is the session frame at
    which it begins as played; touches are sorted by onset, one each.
    """

    recording: ContentHash
    source_start: FrameNumber
    source_end: FrameNumber
    start: FrameNumber = 0
    touches: tuple[Touch, ...] = ()
    beat: Beat = 0.0
    """Beat of the song on which the recording's beat one lies while it follows the song."""
    mirror: tuple[FrameNumber, FrameNumber] | None = None
    """A span of the recording that sounds from its end to its start, as edited, in the place that it has.

    What is around it is turned with it.
    """
    tighten: TightenSettings | None = None
    """A recipe of its own; None: its track's."""
    moving: Moving | None = None
    """Moved in a way of its own; None: in its track's."""
    accepted: Annotated[tuple[tuple[OnsetId, Name], ...], Meta(max_length=MOST_ONSETS)] = ()
    """Places to check that a person accepted for good: the hit, and what was said of it."""
    hushes: Annotated[tuple[MuteSpan, ...], Meta(max_length=MOST_SPANS)] = ()
    """Noises that are not to be heard, in order; they do not overlap."""
    crossover: Crossover | None = None
    """One band of it is heard; None: all of it."""
    playing: Playing | None = None
    """The pattern that it plays; None: it is a span of its recording."""
    slices: Slices | None = None
    """Its hits, where it was taken apart: they are what sounds, where they are placed. None: it is whole.

    Frames of the take, and all that is worked out of it, are then those of the recording as it is laid out by
    them (`rearranged`).
    """

    def touch_of(self, onset: OnsetId) -> Touch | None:
        return next((touch for touch in self.touches if touch.onset == onset), None)


def _of_places(take: Take) -> tuple[object, ...]:
    return (
        take.recording,
        take.source_start,
        take.source_end,
        take.start,
        take.touches,
        take.beat,
        take.mirror,
        take.tighten,
        take.moving,
        take.accepted,
        take.hushes,
        take.playing,
    )


@by_parts(1024, _of_places)
def placed_take(take: Take) -> Take:
    """All of a take that decides where its hits are heard: how they are shaped is left out."""
    return take if take.slices is None else replace(take, slices=None)


class Clip(Struct, frozen=True):
    """A window on a take. What is cut away at its ends changes nothing of what sounds between them.

    Parts of one take are clips with the same take: where their edges meet they sound as one.
    Invariants: `head` and `tail` are frames of the recording, less than the take together.
    """

    id: ClipId
    take: Take
    head: FrameNumber = 0
    tail: FrameNumber = 0
    level: Level = 0.0
    fade_in: Annotated[float, Meta(ge=0.0, le=MOST_FADE)] = 0.0
    """Seconds of the session, as is `fade_out`."""
    fade_out: Annotated[float, Meta(ge=0.0, le=MOST_FADE)] = 0.0
    is_muted: bool = False
    name: Name = ""
    """Empty: its track's."""
    group: Id = 0
    """Clips of one group are chosen together; 0: of none."""
    kept: Id = 0
    """The track on which is kept what it was bounced of; 0, or of a track that is gone: nothing."""

    @property
    def recording(self) -> ContentHash:
        return self.take.recording

    @property
    def source_start(self) -> int:
        """First frame of the recording that sounds."""
        return self.take.source_start + self.head

    @property
    def source_end(self) -> int:
        return self.take.source_end - self.tail


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


class TrackSize(StrEnum):
    """How tall a track's lane is while it stands among the others."""

    FOLDED = "folded"
    LOW = "low"
    USUAL = "usual"
    TALL = "tall"


class Layer(Struct, frozen=True):
    """What a track plays that follows another one: its patterns, on another kit or at another pitch."""

    of: TrackId
    kit: KitId = 0
    """0: the same."""
    semitones: Semitones = 0.0


class Track(Struct, frozen=True, dict=True):
    """Clips, how they are tightened and moved, and how loud they are."""

    id: TrackId
    name: Name
    clips: tuple[Clip, ...]
    tighten: TightenSettings = TightenSettings()
    moving: Moving = Moving()
    follow: Follow = Follow.NOTHING
    steady: Share = 1.0
    """While it follows: how much of its own drift is taken out, from as played to fully steady."""
    level: Level = 0.0
    is_muted: bool = False
    is_solo: bool = False
    pan: Annotated[float, Meta(ge=-1.0, le=1.0)] = 0.0
    """From left to right: the farther side becomes softer, the nearer stays as loud as it is."""
    is_flipped: bool = False
    """Upside down, against another microphone that is."""
    size: TrackSize = TrackSize.USUAL
    spans: Annotated[tuple[SettingsSpan, ...], Meta(max_length=MOST_SPANS)] = ()
    """Spans with a recipe of their own, in order; they do not overlap."""
    variants: Annotated[tuple[Snapshot, ...], Meta(max_length=MOST_VARIANTS)] = ()
    layer: Layer | None = None
    """What it plays along with; its clips are then those of that track (`settled`)."""
    own_tempo: TempoMap | None = None
    """By which its hits have their lines, since the song's tempo was changed and it does not follow the song.

    None: by the song's.
    """

    def clip(self, clip: ClipId) -> Clip:
        return next(each for each in self.clips if each.id == clip)

    @cached_property
    def takes(self) -> tuple[Take, ...]:
        """Each once, in the order of its first clip."""
        return tuple({id(clip.take): clip.take for clip in self.clips}.values())

    @cached_property
    def _take_ids(self) -> frozenset[int]:
        return frozenset(map(id, self.takes))

    def has(self, take: Take) -> bool:
        """Whether it is one of the track's takes, itself and not one like it."""
        return id(take) in self._take_ids

    def recipe_of(self, take: Take) -> TightenSettings:
        """How a take of this track is tightened."""
        return self.tighten if take.tighten is None else take.tighten

    def moving_of(self, take: Take) -> Moving:
        """How a take of this track is moved."""
        return self.moving if take.moving is None else take.moving

    @property
    def first_take(self) -> Take | None:
        """What is meant where a track is spoken of as one recording."""
        return next(iter(self.takes), None)


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


class BeatSpan(Struct, frozen=True):
    """From one beat to a later one."""

    start: Beat
    end: Beat


class ClickSound(Named):
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
    first_metre: Metre = field(default=Metre(), name="metre")
    metre_changes: Annotated[tuple[MetreChange, ...], Meta(max_length=MOST_METRE_CHANGES)] = ()
    recordings: tuple[Recording, ...] = ()
    tracks: tuple[Track, ...] = ()
    lock_groups: tuple[LockGroup, ...] = ()
    sections: tuple[Section, ...] = ()
    grooves: Annotated[tuple[Groove, ...], Meta(max_length=MOST_GROOVES)] = ()
    kits: Annotated[tuple[Kit, ...], Meta(max_length=MOST_KITS)] = ()
    patterns: Annotated[tuple[Pattern, ...], Meta(max_length=MOST_PATTERNS)] = ()
    loop: BeatSpan | None = None
    is_looping: bool = False
    click: Click = Click()
    is_tempo_set: bool = False
    lead: Lead | None = None
    is_beat_one_set: bool = False
    next_id: Id = 1

    def recording_of(self, part: Take | Clip) -> Recording:
        """What a take or clip plays: a recording as its slices lay it out, a pattern as its hits are laid."""
        recording, take = self.recording_with(part.recording), part.take if isinstance(part, Clip) else part
        if take.playing is not None:
            laid, pattern, kit = self.played_by(take, take.playing)
            return _as_recording(recording, laid, pattern, kit, self.rate)
        return recording if take.slices is None else rearranged(recording, take.slices).recording

    def played_by(self, take: Take, playing: Playing) -> tuple[PatternHits, Pattern, Kit]:
        """The hits of a pattern that a take plays, the pattern, and the kit that it is heard on."""
        pattern = self.pattern(playing.pattern)
        laid = laid_of(pattern, take.beat, playing.beats, self.tempo, self.rate)
        return laid, pattern, self.kit(playing.kit or pattern.kit)

    def pattern_of(self, take: Take) -> Pattern | None:
        """The pattern that a take plays; None where it plays a recording."""
        playing = take.playing
        return None if playing is None else self.pattern(playing.pattern)

    def kit_of(self, take: Take) -> Kit | None:
        """The kit that a take's pattern is heard on."""
        playing = take.playing
        return None if playing is None else self.kit(playing.kit or self.pattern(playing.pattern).kit)

    def kit(self, kit: KitId) -> Kit:
        return next(each for each in self.kits if each.id == kit)

    def pattern(self, pattern: PatternId) -> Pattern:
        return next(each for each in self.patterns if each.id == pattern)

    def recording_with(self, content: ContentHash) -> Recording:
        return next(recording for recording in self.recordings if recording.content == content)

    def has(self, content: ContentHash) -> bool:
        return any(recording.content == content for recording in self.recordings)

    def track(self, track: TrackId) -> Track:
        return next(each for each in self.tracks if each.id == track)

    def groove(self, groove: GrooveId) -> Groove | None:
        """None for 0, and for one that is gone."""
        return next((each for each in self.grooves if each.id == groove), None)

    def group_of(self, track: TrackId) -> LockGroup | None:
        return next((group for group in self.lock_groups if track in group.tracks), None)

    def guide_of(self, track: TrackId) -> TrackId:
        """The track whose onsets decide how this one moves: itself, unless it is locked to another."""
        group = self.group_of(track)
        return group.guide if group else track

    def leading(self, track: Track, take: Take) -> tuple[Track, Take]:
        """The track and take whose hits decide how a take moves: its own, or its guide's at the same time."""
        guide = self.track(self.guide_of(track.id))
        if guide is track:
            return track, take
        return guide, self.beside(guide, take) or take

    def beside(self, track: Track, take: Take) -> Take | None:
        """The take of a track that sounds longest while another does, as played; the first of such."""
        if len(track.takes) < 2:
            return track.first_take
        if track.has(take):
            return take
        first, last = self._span(take)
        starts, ends = _spans(track.takes, self.recordings, self.rate)
        return track.takes[int((np.minimum(ends, last) - np.maximum(starts, first)).argmax())]

    def _span(self, take: Take) -> tuple[int, int]:
        start, end = self.source_at_session_rate(take)
        return take.start, take.start + end - start

    @property
    def metre(self) -> MetreMap:
        """The song's bars."""
        return metre_map(self.first_metre, self.metre_changes)

    @property
    def timebase(self) -> Timebase:
        """The song's clock."""
        return Timebase(self.tempo, self.metre, self.rate)

    def frame_of(self, beat: float) -> float:
        """The session frame, with fractions, at which a beat of the song lies."""
        return self.tempo.seconds_of(beat) * self.rate

    def beat_of(self, frame: float) -> float:
        """The song's beat at a session frame."""
        return self.tempo.beat_of(frame / self.rate)

    def source_at_session_rate(self, part: Take | Clip) -> tuple[int, int]:
        """Its span in its recording, counted at the session's rate."""
        ratio = self.rate / self.recording_of(part).rate
        return round(part.source_start * ratio), round(part.source_end * ratio)

    def played_span(self, clip: Clip) -> tuple[int, int]:
        """Session frames between which a clip sounds as played; taken apart, as it is laid out."""
        first, _ = self.source_at_session_rate(clip.take)
        start, end = self.source_at_session_rate(clip)
        return clip.take.start + start - first, clip.take.start + end - first

    @property
    def clips(self) -> Iterator[tuple[Track, Clip]]:
        """All of them, with their tracks."""
        return ((track, clip) for track in self.tracks for clip in track.clips)

    @property
    def frames(self) -> int:
        """Length of all of it, as played."""
        return max((self.played_span(clip)[1] for _, clip in self.clips), default=0)


@by_identity(512)
def _as_recording(
    recording: Recording, laid: PatternHits, pattern: Pattern, kit: Kit, rate: int
) -> Recording:
    """The hits of a pattern as if they were a recording's: Tighten and Drift know nothing of patterns."""
    return Recording(
        content=recording.content,
        file=pattern.name,
        rate=rate,
        frames=laid.length,
        channels=recording.channels,
        onsets=onsets_of(laid, pattern, kit),
        is_analysed=True,
        material=recording.material,
        is_material_chosen=True,
    )


@by_identity(64)
def _spans(takes: tuple[Take, ...], recordings: tuple[Recording, ...], rate: int) -> tuple[Frames, Frames]:
    """Where takes begin and end as played."""
    ratios = {recording.content: rate / recording.rate for recording in recordings}
    starts = np.array([take.start for take in takes], np.int64)
    lengths = [(take.source_end - take.source_start) * ratios[take.recording] for take in takes]
    return starts, starts + np.rint(lengths).astype(np.int64)
