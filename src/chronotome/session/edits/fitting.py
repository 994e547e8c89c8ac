"""Edits of Fit: what a recording's beats are, and who follows whom."""

from collections.abc import Callable, Sequence
from enum import StrEnum

import numpy as np

from chronotome.order_stats import middle_of
from chronotome.session.edits.metre import set_metre
from chronotome.session.edits.pickup import with_room
from chronotome.session.edits.recordings import with_recording
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tracks import changed, with_takes, with_track
from chronotome.session.fit import BeatMap, BeatSource, Fit, Pin
from chronotome.session.follow import beats_of
from chronotome.session.grid import FASTEST, SLOWEST, TempoChange, TempoMap
from chronotome.session.metre import MetreMap
from chronotome.session.model import Follow, Lead, Recording, Session, Take, Track, TrackId, replace

MOST_CHANGES = 20_000
SMOOTH_BEATS = 4


class TempoSync(StrEnum):
    """Who follows whom."""

    NOBODY = "nobody"
    RECORDING = "recording"
    """The recording follows the song."""
    SONG = "song"
    """The song takes the recording's tempo."""
    GRID = "grid"
    """The song's beats follow the performance; nothing is stretched."""


class BeatCorrection(StrEnum):
    """What may be wrong with the beats from a bar on."""

    HALF = "half"
    DOUBLE = "double"
    EARLIER = "a beat earlier"
    LATER = "a beat later"


def guide_take(session: Session, track: TrackId) -> tuple[Track, Take] | None:
    """The track and take whose beats count for a track: its own or its guide's."""
    guide = session.track(session.guide_of(track))
    return None if guide.first_take is None else (guide, guide.first_take)


def following_of(session: Session, track: TrackId) -> TempoSync:
    guide = session.guide_of(track)
    if session.track(guide).follow is Follow.SONG:
        return TempoSync.RECORDING
    if session.lead is not None and session.lead.track == guide:
        return TempoSync.GRID if session.lead.bends else TempoSync.SONG
    return TempoSync.NOBODY


def set_following(session: Session, track: TrackId, who: TempoSync) -> Session:
    """Decide who follows whom. A recording that begins to follow has its beat one at the nearest bar."""
    found = guide_take(session, track)
    if found is None or following_of(session, track) is who:
        return session
    guide, take = found
    beats = beats_of(session, take)
    if who is not TempoSync.NOBODY and beats is None:
        return session
    if session.lead is not None and session.lead.track == guide.id:
        session = replace(session, lead=None)
    session = with_track(session, guide.id, lambda old: changed(old, follow=Follow.NOTHING, own_tempo=None))
    if who is TempoSync.RECORDING:
        return _following(session, guide.id)
    if who is TempoSync.NOBODY:
        return session
    return led(replace(session, lead=Lead(guide.id, bends=who is TempoSync.GRID)))


def set_smooth(session: Session, is_smooth: bool) -> Session:  # noqa: FBT001 - the value itself
    """Whether a grid that bends to a performance leaves out the jitter of single hits."""
    if session.lead is None or session.lead.is_smooth == is_smooth:
        return session
    return led(replace(session, lead=replace(session.lead, is_smooth=is_smooth)))


def _following(session: Session, track: TrackId) -> Session:
    metre = session.metre

    def placed(take: Take) -> Take:
        beats = beats_of(session, take)
        if beats is None:
            return take
        one = session.tempo.beat_of(played_seconds(session, take, beats.beat_one))
        beat = (
            0.0 if one < metre.first.bar else metre.nearest_bar(one)
        )  # less than a bar before it is a pickup
        return take if take.beat == beat else replace(take, beat=beat)

    def change(old: Track) -> Track:
        return replace(with_takes(old, placed), follow=Follow.SONG, own_tempo=None)

    return with_room(with_track(session, track, change))


def played_seconds(session: Session, take: Take, seconds: float) -> float:
    """Seconds of the session, as played, of a moment of the clip's recording."""
    return take.start / session.rate + seconds - take.source_start / session.recording_of(take).rate


def led(session: Session) -> Session:
    """The session with its tempo taken anew from the track that leads it."""
    if session.lead is None:
        return session
    found = guide_take(session, session.lead.track)
    beats = beats_of(session, found[1]) if found else None
    if found is None or beats is None:
        return replace(session, lead=None)
    take = found[1]
    if session.lead.bends and session.lead.is_smooth:
        beats = beats.steadied(SMOOTH_BEATS)
    one = played_seconds(session, take, beats.beat_one)
    changes = _changes(beats) if session.lead.bends else (TempoChange(0.0, tempo_of(session, take, beats)),)
    tempo = TempoMap(changes, one)
    if tempo == session.tempo and session.is_tempo_set and session.is_beat_one_set:
        return session
    return with_room(replace(session, tempo=tempo, is_tempo_set=True, is_beat_one_set=True))


def tempo_of(session: Session, take: Take, beats: BeatMap) -> float:
    """One tempo for all of a recording: as said or measured where it is steady, else its mean."""
    recording = session.recording_of(take)
    fit, measured = recording.fit, recording.measured
    if fit.pins or fit.reads is not BeatSource.MEASURED:
        return _held(beats.tempo)
    if fit.tempo is not None:
        return _held(fit.tempo)
    if measured is not None and measured.is_constant:
        return _held(measured.tempo * fit.scale)
    return _held(beats.tempo)


def _held(tempo: float) -> float:
    return float(max(SLOWEST, min(FASTEST, round(tempo, 6))))


def _changes(beats: BeatMap) -> tuple[TempoChange, ...]:
    """A tempo for each beat; equal neighbours are one."""
    changes: list[TempoChange] = []
    for beat, tempo in zip(
        beats.beats[:MOST_CHANGES].tolist(), beats.tempi[:MOST_CHANGES].tolist(), strict=False
    ):
        held = _held(tempo)
        if not changes or abs(changes[-1].beats_per_minute - held) > 1e-9:
            changes.append(TempoChange(round(beat, 6), held))
    return tuple(changes)


# What the recording's beats are


def set_fit(session: Session, track: TrackId, change: Callable[[Fit], Fit]) -> Session:
    """Change what is said of the beats of a track's recording, or its guide's; a song it leads follows."""
    found = guide_take(session, track)
    if found is None:
        return session

    def fitted(recording: Recording) -> Recording:
        fit = change(recording.fit)
        return recording if fit == recording.fit else replace(recording, fit=fit)

    after = with_recording(session, found[1].recording, fitted)
    return session if after is session else with_room(led(after))


def set_recording_tempo(session: Session, track: TrackId, tempo: float | None) -> Session:
    """One tempo all through, in quarter notes per minute; None: as measured, beat by beat."""
    held = None if tempo is None else _held(tempo)
    return set_fit(session, track, lambda fit: replace(fit, tempo=held, scale=1.0, pins=()))


def scale_beats(session: Session, track: TrackId, factor: float) -> Session:
    """Half or double time: the beats count for half or twice as many."""

    def change(fit: Fit) -> Fit:
        pins = tuple(Pin(pin.frame, pin.beat * factor) for pin in fit.pins)
        if fit.tempo is not None:
            return replace(fit, tempo=_held(fit.tempo * factor), pins=pins)
        return replace(fit, scale=max(0.125, min(8.0, fit.scale * factor)), pins=pins)

    return set_fit(session, track, change)


def set_bars(session: Session, track: TrackId, bars: float) -> Session:
    """The clip is so many bars of the song's metre: one tempo, beat one at the clip's start."""
    found = guide_take(session, track)
    if found is None or bars <= 0:
        return session
    take = found[1]
    recording = session.recording_of(take)
    seconds = (take.source_end - take.source_start) / recording.rate
    tempo = 60 * session.metre.seen_from(take.beat).beat_of(bars) / seconds
    if not SLOWEST <= tempo <= FASTEST:
        return session
    start = take.source_start
    return set_fit(session, track, lambda _: Fit(tempo=tempo, beat_one=start))


def bars_in(session: Session, take: Take) -> float:
    """How many bars of the song's metre the clip is, by its own beats; 0 where nothing is known."""
    beats = beats_of(session, take)
    if beats is None:
        return 0.0
    rate = session.recording_of(take).rate
    ends = beats.beats_at(np.array([take.source_start, take.source_end]) / rate)
    return float(np.diff(session.metre.seen_from(take.beat).bars_at(ends))[0])


def set_recording_beat_one(session: Session, track: TrackId, frame: int) -> Session:
    """Beat one of the recording at one of its frames; what is before stays as a pickup."""
    found = guide_take(session, track)
    if found is None:
        return session
    frame = max(0, min(session.recording_of(found[1]).frames - 1, frame))
    return set_fit(
        session, track, lambda fit: replace(fit, beat_one=frame, pins=_rebased(session, track, frame))
    )


def _rebased(session: Session, track: TrackId, frame: int) -> tuple[Pin, ...]:
    """The pins counted from another beat one."""
    found = guide_take(session, track)
    beats = beats_of(session, found[1]) if found else None
    if found is None or beats is None:
        return ()
    recording = session.recording_of(found[1])
    by = float(np.round(beats.beats_at(np.array([frame / recording.rate]))[0] * 4) / 4)
    return tuple(Pin(pin.frame, pin.beat - by) for pin in recording.fit.pins if pin.beat != by)


def set_reads(session: Session, track: TrackId, reads: BeatSource) -> Session:
    """Where the beats come from: measured, or one for every hit that counts."""
    return set_fit(session, track, lambda fit: replace(fit, reads=reads, tempo=None, pins=()))


def pin_beat(session: Session, track: TrackId, beat: float, frame: int) -> Session:
    """Tie a beat to a frame of the recording by hand; a bar that is dragged far takes what follows along."""
    found = guide_take(session, track)
    beats = beats_of(session, found[1]) if found else None
    if found is None or beats is None or frame < 0:
        return session
    recording = session.recording_of(found[1])
    pins = {pin.beat: pin for pin in recording.fit.pins}
    if not pins and beat != 0 and recording.fit.beat_one is None:
        one = round(beats.beat_one * recording.rate)
        if one >= 0 and (one < frame) == (beat > 0):
            pins[0.0] = Pin(one, 0.0)
    pins = {
        each.beat: each
        for each in pins.values()
        if (each.beat - beat) * (each.frame - frame) > 0  # others must stay in order
    }
    pins[beat] = Pin(frame, beat)
    ordered = tuple(sorted(pins.values(), key=lambda pin: pin.beat))
    return set_fit(session, track, lambda fit: replace(fit, pins=ordered))


def unpin_beat(session: Session, track: TrackId, beat: float) -> Session:
    """Take back what was set by hand for one beat."""

    def change(fit: Fit) -> Fit:
        kept = tuple(pin for pin in fit.pins if abs(pin.beat - beat) > 1e-6)
        return replace(fit, pins=kept) if len(kept) < len(fit.pins) else fit

    return set_fit(session, track, change)


def _bars_of(session: Session, track: TrackId) -> MetreMap:
    """The song's bars as a track's recording has them: its beat one begins bar 0."""
    found = guide_take(session, track)
    return session.metre if found is None else session.metre.seen_from(found[1].beat)


def bar_is_here(session: Session, track: TrackId, bar: int, frame: int) -> Session:
    """Bar number `bar`, counted from 1, starts at a frame of the recording; later bars count on from it."""
    return pin_beat(session, track, _bars_of(session, track).beat_of(bar - 1), frame)


def forget_fit(session: Session, track: TrackId) -> Session:
    """As measured."""
    return set_fit(session, track, lambda _: Fit())


def set_tapped(session: Session, track: TrackId, frames: Sequence[int]) -> Session:
    """Beats tapped while it played: one tempo through all taps, beat one at the first."""
    found = guide_take(session, track)
    if found is None or len(frames) < 4:
        return session
    rate = session.recording_of(found[1]).rate
    beat = session.metre.metre_at(found[1].beat).beat
    places = np.asarray(frames, np.float64) / rate
    period = middle_of(np.diff(places))
    numbers = np.concatenate([[0], np.cumsum(np.maximum(1, np.round(np.diff(places) / period)))])
    slope, start = np.polyfit(numbers, places, 1)
    one = max(0, round(float(start) * rate))
    return set_fit(session, track, lambda _: Fit(tempo=_held(60 * beat / float(slope)), beat_one=one))


def mend(session: Session, track: TrackId, beat: float, how: BeatCorrection) -> Session:
    """One-key mends from a doubtful bar on: the beats from there count half, double, or are a beat off."""
    found = guide_take(session, track)
    beats = beats_of(session, found[1]) if found else None
    if found is None or beats is None:
        return session
    rate = session.recording_of(found[1]).rate
    metre = _bars_of(session, track).metre_at(beat)
    bar, step = metre.bar, metre.beat
    here = float(beats.seconds_at(np.array([beat]))[0])
    if how in {BeatCorrection.EARLIER, BeatCorrection.LATER}:
        by = -step if how is BeatCorrection.EARLIER else step
        moment = float(beats.seconds_at(np.array([beat + by]))[0])
        return pin_beat(session, track, beat, round(moment * rate))
    factor = 0.5 if how is BeatCorrection.HALF else 2.0
    there = float(beats.seconds_at(np.array([beat + bar]))[0])
    session = pin_beat(session, track, beat, round(here * rate))
    return pin_beat(session, track, beat + bar * factor, round(there * rate))


def set_steady(session: Session, track: TrackId, share: float) -> Session:
    """How much of its drift is taken out of a recording that follows the song."""
    share = max(0.0, min(1.0, share))
    return with_room(with_track(session, session.guide_of(track), lambda old: changed(old, steady=share)))


def straighten(session: Session, track: TrackId, tempo: float | None = None) -> Session:
    """A drifting take made steady: it follows the song beat by beat.

    A song whose tempo was never set takes the take's mean tempo, or the one that is given.
    """
    found = guide_take(session, track)
    beats = beats_of(session, found[1]) if found else None
    if found is None or beats is None:
        return session
    session = set_following(session, track, TempoSync.NOBODY)
    if tempo is not None or not session.is_tempo_set:
        session = set_tempo(session, round(beats.tempo, 2) if tempo is None else tempo)
    if not session.is_beat_one_set:
        one = played_seconds(session, found[1], beats.beat_one)
        session = replace(session, tempo=TempoMap(session.tempo.changes, one), is_beat_one_set=True)
    return set_following(session, track, TempoSync.RECORDING)


def use_measured(session: Session, track: TrackId) -> Session:
    """The song takes tempo, metre and beat one from what was measured in a recording."""
    found = guide_take(session, track)
    measured = session.recording_of(found[1]).measured if found else None
    if found is None or measured is None:
        return session
    if measured.bar_confidence > 0.5 and not session.metre_changes:
        session = set_metre(session, measured.metre)
    return set_following(replace(session, lead=None), track, TempoSync.SONG)
