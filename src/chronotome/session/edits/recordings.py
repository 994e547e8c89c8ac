"""Edits that bring recordings in, and keep what was found out about them."""

from collections.abc import Callable, Iterator

from chronotome.dsp.bands import Instrument
from chronotome.dsp.hits import HitTraits
from chronotome.session.edits.tracks import remove_track, with_takes
from chronotome.session.fit import Fit, Measured
from chronotome.session.kits import KitSlice
from chronotome.session.limits import ContentHash
from chronotome.session.metre import MetreMap
from chronotome.session.model import Clip, Recording, Section, Session, Take, Track, replace
from chronotome.session.onsets import Onsets

LEAST_RATE = 44_100
"""Frames per second of a session that nobody asked for another: below it all that comes sounds dull."""


def first_rate(*rates: int) -> int:
    """Of a session in which recordings of these rates come first."""
    return max(LEAST_RATE, *rates)


def set_rate(session: Session, rate: int) -> Session:
    """Another rate for all that sounds: everything stays where it is in time, to half a frame.

    What counts frames of a recording stays as it is; patterns follow their beats.
    """
    if rate == session.rate:
        return session
    ratio = rate / session.rate
    moved = {id(take): replace(take, start=round(take.start * ratio)) for take in _laid(session)}
    tracks = tuple(with_takes(track, lambda take: moved.get(id(take), take)) for track in session.tracks)
    return replace(session, rate=rate, tracks=tracks)


def _laid(session: Session) -> Iterator[Take]:
    return (take for track in session.tracks for take in track.takes if take.playing is None)


def add_recording(session: Session, recording: Recording, name: str, *, rate: int | None = None) -> Session:
    """A recording becomes a track with one clip at the session's start.

    The first one gives the session its rate, or that of `rate`. One that is there already gets another track.
    """
    is_known = session.has(recording.content)
    rate = session.rate if session.recordings else rate or first_rate(recording.rate)
    clip = Clip(session.next_id, Take(recording.content, 0, recording.frames))
    track = Track(session.next_id + 1, name, (clip,))
    return replace(
        session,
        name=name if not session.tracks and session.name == "Untitled" else session.name,
        rate=rate,
        recordings=session.recordings if is_known else (*session.recordings, recording),
        tracks=(*session.tracks, track),
        next_id=session.next_id + 2,
    )


def as_told(session: Session, metre: MetreMap | None, sections: tuple[Section, ...]) -> Session:
    """Metre and sections that the first recording of a session brought with it."""
    if len(session.tracks) != 1 or session.sections:
        return session
    metre = metre or session.metre
    return replace(session, first_metre=metre.first, metre_changes=metre.changes, sections=sections)


def add_take(session: Session, recording: Recording, name: str, place: int, tempo: float) -> Session:
    """A recording that was made while the song played, on a track of its own, where it was heard.

    What came before the song's first frame is left out. Its beats are the song's: its tempo, quarter notes
    per minute, is that at which it was played, beat one the first bar line in it.
    """
    recording = as_played(session, recording, place, tempo)
    session = bring_recording(session, recording)
    early = max(0, round(-place * recording.rate / session.rate))
    if early >= recording.frames - 1:
        return session
    take = Take(recording.content, early, recording.frames, max(0, place))
    number = session.next_id
    track = Track(number + 1, name, (Clip(number, take),))
    return replace(session, tracks=(*session.tracks, track), next_id=number + 2)


def as_played(session: Session, recording: Recording, place: int, tempo: float) -> Recording:
    """A recording that was made over the song, from a session frame on: its beats are the song's.

    Where the song's tempo changes they are measured.
    """
    return replace(recording, fit=_fit_of(session, recording, place, tempo))


def _fit_of(session: Session, recording: Recording, place: int, tempo: float) -> Fit:
    if len(session.tempo.changes) > 1:
        return recording.fit
    if abs(session.tempo.at(0.0) - tempo) > 1e-6:
        return replace(recording.fit, tempo=tempo)
    here = session.beat_of(max(0, place))
    later, _ = session.metre.beat_lines(here, here + session.metre.longest_bar)
    for line in (
        session.metre.next_bar(here),
        float(later[0]),
    ):  # of what is shorter than a bar: its first beat
        frame = round((session.frame_of(line) - place) * recording.rate / session.rate)
        if frame < recording.frames:
            return replace(recording.fit, tempo=tempo, beat_one=frame)
    return replace(recording.fit, tempo=tempo)


def bring_recording(session: Session, recording: Recording) -> Session:
    """A recording of another session, for clips that come from there; one that is there already stays."""
    if session.has(recording.content):
        return session
    rate = session.rate if session.recordings else first_rate(recording.rate)
    return replace(session, rate=rate, recordings=(*session.recordings, recording))


def without_recording(session: Session, content: ContentHash) -> Session:
    """Without a recording and every track that plays it."""
    if not session.has(content):
        return session
    for track in session.tracks:
        if any(clip.recording == content for clip in track.clips):
            session = remove_track(session, track.id)
    return replace(session, recordings=tuple(each for each in session.recordings if each.content != content))


def with_content(session: Session, old: ContentHash, new: ContentHash) -> Session:
    """A recording is told by other bytes: what it sounds like is the same."""

    def played(clip: Clip) -> Clip:
        if clip.take.recording != old:
            return clip
        return replace(clip, take=replace(clip.take, recording=new))

    def cut(each: KitSlice) -> KitSlice:
        return replace(each, recording=new) if each.recording == old else each

    return replace(
        with_recording(session, old, lambda recording: replace(recording, content=new)),
        tracks=tuple(replace(each, clips=tuple(map(played, each.clips))) for each in session.tracks),
        kits=tuple(replace(each, slices=tuple(map(cut, each.slices))) for each in session.kits),
    )


def set_analysis(
    session: Session,
    content: ContentHash,
    onsets: Onsets,
    measured: Measured | None,
    material: Instrument | None = None,
    *,
    quiet: int = 0,
) -> Session:
    """Keep what the analysis found; nothing is moved by it. `material` None: as it was."""

    def change(old: Recording) -> Recording:
        return replace(
            old,
            onsets=onsets,
            measured=measured,
            is_analysed=True,
            material=material or old.material,
            quiet=min(quiet, old.frames),
        )

    return with_recording(session, content, change)


def set_traits(session: Session, content: ContentHash, onsets: Onsets, traits: HitTraits) -> Session:
    """Keep how loud the hits are, where they are still those that were measured."""

    def change(old: Recording) -> Recording:
        if old.onsets.ids != onsets.ids or old.onsets.frames != onsets.frames:
            return old
        return replace(old, onsets=old.onsets.measured(traits))

    return with_recording(session, content, change)


def with_recording(
    session: Session, content: ContentHash, change: Callable[[Recording], Recording]
) -> Session:
    """The session with one recording changed; the same object where the change returned the same one."""
    old = next((each for each in session.recordings if each.content == content), None)
    if old is None:
        return session
    new = change(old)
    if new is old:
        return session
    return replace(session, recordings=tuple(new if each is old else each for each in session.recordings))
