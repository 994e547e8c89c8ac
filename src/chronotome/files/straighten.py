"""Recordings that belong together, straightened by one of them, without a window."""

from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

from chronotome.dsp.audio import Audio, is_silent
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.errors import UnusableFile
from chronotome.files.analysis import analyse
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.audio_out import encoding_like
from chronotome.files.export import export_mix
from chronotome.files.names import plain_name
from chronotome.files.tags import tempo_tag
from chronotome.files.writing import cannot_write, refuse_sources
from chronotome.progress import Progress, part_of, unheard
from chronotome.render.arena import Arena
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool, Source
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.fitting import set_reads, set_steady, straighten
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import lock, set_moving, set_solo
from chronotome.session.fit import Reads
from chronotome.session.follow import beats_of
from chronotome.session.model import Recording, Session
from chronotome.words import tr


@dataclass(frozen=True)
class Straightening:
    """At which tempo (None: the guide's own), how much, by what, and where the guide's beats come from."""

    beats_per_minute: float | None = None
    steady: float = 1.0
    move_by: MoveBy = MoveBy.STRETCHING
    reads: Reads = Reads.MEASURED
    beat_one: float | None = None
    """Seconds in the guide; None: as measured."""


@dataclass(frozen=True)
class Straightened:
    """What was written, and the session it comes from."""

    session: Session
    written: tuple[Path, ...]


def straighten_files(
    paths: Sequence[Path], guide: Path, folder: Path, how: Straightening, progress: Progress = unheard
) -> Straightened:
    """Lock recordings to a guide, straighten all of them, and write each to `folder` under its own name.

    Raises
    ------
    UnusableFile
        Where a file cannot be read, the guide has no beats, or two files have the same name or sound.
    CannotWrite
        Where the folder cannot be written.
    """
    others = [path for path in paths if not path.samefile(guide)] if guide.exists() else list(paths)
    every = [guide, *others]
    outs = [folder / path.with_suffix(".wav").name for path in every]
    if len(set(outs)) < len(outs):
        raise UnusableFile(folder, tr("would get two files of the same name"), tr("Rename one of them."))
    for out in outs:
        refuse_sources(out, every)
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise cannot_write(folder, error) from None
    arena, pool, session = Arena(), Pool(), Session()
    for number, path in enumerate(every):
        share = part_of(progress, 0.3 * number / len(every), 0.3 * (number + 1) / len(every))
        facts = facts_of(path, share)
        source = load_source(facts, arena, session.rate if session.recordings else facts.rate)
        recording = Recording(facts.content, plain_name(path.name), facts.rate, facts.frames, facts.channels)
        session = add_recording(session, recording, path.name)
        pool.add(source)
        if number == 0:
            session = _fitted(session, source, path, how, part_of(progress, 0.3, 0.5))
    tracks = [track.id for track in session.tracks]
    session = lock(session, tracks[0], tracks[1:])
    renderer, written = Renderer(arena), []
    for number, (track, (path, out)) in enumerate(
        zip(session.tracks, zip(every, outs, strict=True), strict=True)
    ):
        alone = set_solo(session, track.id, True)
        share = part_of(progress, 0.5 + 0.5 * number / len(every), 0.5 + 0.5 * (number + 1) / len(every))
        mix = render_mix(renderer, plan_for(alone), pool.ready(), part_of(share, 0, 0.8))
        channels = max(session.recording_of(take).channels for take in track.takes)
        export_mix(
            OfflineMix(mix, arena, channels=channels),
            out,
            rate=session.rate,
            encoding=encoding_like(path),
            progress=part_of(share, 0.8, 1.0),
        )
        written.append(out)
    return Straightened(session, tuple(written))


def _fitted(session: Session, source: Source, path: Path, how: Straightening, progress: Progress) -> Session:
    """The guide's beats found, and the guide made to follow a steady tempo."""
    recording, track = session.recordings[0], session.tracks[0]
    if is_silent(source.region.samples):
        raise UnusableFile(path, tr("is silent: there is nothing to find"), tr("Choose another guide."))
    audio = Audio(source.region.samples, source.rate)
    heard = analyse(audio, path.stem, progress, tag=tempo_tag(path))
    session = set_analysis(
        session, recording.content, heard.onsets, heard.measured, heard.material, heard.quiet
    )
    session = set_reads(session, track.id, how.reads)
    if all(beats_of(session, take) is None for take in track.takes):
        raise UnusableFile(path, tr("has no beats: too few hits"), tr("Choose another guide."))
    session = set_moving(session, track.id, by=how.move_by)
    if how.beat_one is not None:
        session = set_beat_one(session, how.beat_one)
    return set_steady(straighten(session, track.id, how.beats_per_minute), track.id, how.steady)
