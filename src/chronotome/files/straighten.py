"""Recordings that belong together, straightened by one of them, without a window."""

from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

import numpy as np

from chronotome.dsp.audio import Audio, is_silent
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.errors import UnusableFile
from chronotome.files.analysis import analyse
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.audio_out import Encoding, encoding_like
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
from chronotome.session.edits.tempo import SongMap, take_song_map
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import lock, set_moving, set_solo
from chronotome.session.fit import BeatSource
from chronotome.session.follow import beats_of
from chronotome.session.model import Recording, Session
from chronotome.session.tighten import targets_of
from chronotome.words import tr

BEFORE_SECONDS = 0.010
"""Of sound before the first hit of a pickup."""
AT_ONCE = 1 << 18
OVER = 1e-4


@dataclass(frozen=True)
class Straightening:
    """At which tempo (None: the guide's own), how much, by what, and where the guide's beats come from."""

    beats_per_minute: float | None = None
    steady: float = 1.0
    move_by: MoveBy = MoveBy.STRETCHING
    reads: BeatSource = BeatSource.MEASURED
    beat_one: float | None = None
    """Seconds in the guide; None: as measured."""
    encoding: Encoding | None = None
    """None: as each file is."""
    song: SongMap | None = None
    """Tempo and metre of the song that is followed, instead of one tempo."""


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
    outs = [folder / f"{path.stem}{(how.encoding or encoding_like(path)).suffix}" for path in every]
    if len(set(outs)) < len(outs):
        raise UnusableFile(
            folder, tr("would create two files with the same name"), tr("Rename one of the tracks.")
        )
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
        rate = session.rate if session.recordings else facts.rate
        source = load_source(facts, arena, rate)
        recording = Recording(facts.content, plain_name(path.name), facts.rate, facts.frames, facts.channels)
        session = add_recording(session, recording, path.name, rate=rate)
        pool.add(source)
        if number == 0:
            session = _fitted(session, source, path, how, part_of(progress, 0.3, 0.5))
    tracks = [track.id for track in session.tracks]
    session = lock(session, tracks[0], tracks[1:])
    renderer, mixes = Renderer(arena), []
    for number, track in enumerate(session.tracks):
        share = part_of(progress, 0.5 + 0.4 * number / len(every), 0.5 + 0.4 * (number + 1) / len(every))
        plan = plan_for(set_solo(session, track.id, True))
        channels = max(session.recording_of(take).channels for take in track.takes)
        mixes.append(OfflineMix(render_mix(renderer, plan, pool.ready(), share), arena, channels=channels))
    start, end = _music(session, mixes)
    for number, (mix, path, out) in enumerate(zip(mixes, every, outs, strict=True)):
        share = part_of(progress, 0.9 + 0.1 * number / len(every), 0.9 + 0.1 * (number + 1) / len(every))
        encoding = how.encoding or encoding_like(path)
        export_mix(mix, out, rate=session.rate, encoding=encoding, start=start, end=end, progress=share)
    return Straightened(session, tuple(outs))


def _fitted(session: Session, source: Source, path: Path, how: Straightening, progress: Progress) -> Session:
    """The guide's beats found, and the guide made to follow a steady tempo."""
    recording, track = session.recordings[0], session.tracks[0]
    if is_silent(source.region.samples):
        raise UnusableFile(path, tr("is silent"), tr("Choose another guide."))
    audio = Audio(source.region.samples, source.rate)
    heard = analyse(audio, path.stem, progress, tag=tempo_tag(path))
    session = set_analysis(
        session, recording.content, heard.onsets, heard.measured, heard.material, quiet=heard.quiet
    )
    session = set_reads(session, track.id, how.reads)
    if all(beats_of(session, take) is None for take in track.takes):
        raise UnusableFile(path, tr("has too few hits to find beats"), tr("Choose another guide."))
    session = set_moving(session, track.id, by=how.move_by)
    if how.song is not None:
        session = take_song_map(session, how.song)
    if how.beat_one is not None:
        session = set_beat_one(session, how.beat_one)
    return set_steady(straighten(session, track.id, how.beats_per_minute), track.id, how.steady)


def _music(session: Session, mixes: Sequence[OfflineMix]) -> tuple[int, int]:
    """From bar one, or the first hit of a pickup before it, to the last of what any of them sounds like."""
    guide = session.tracks[0]
    hits = targets_of(session, guide, guide.first_take or next(iter(guide.takes))).target
    bar_one = max(0, round(session.frame_of(0.0)))
    before = hits[hits < bar_one - round(BEFORE_SECONDS * session.rate)]
    start = bar_one if not len(before) else max(0, int(before[0]) - round(BEFORE_SECONDS * session.rate))
    return start, max(start + 1, *(_last_sound(mix) for mix in mixes))


def _last_sound(mix: OfflineMix) -> int:
    """The frame behind the last one that is louder than 80 dB below the loudest."""
    starts = range(0, mix.frames, AT_ONCE)
    peaks = [float(np.abs(mix.read(at, AT_ONCE)).max(initial=0.0)) for at in starts]
    least = max(peaks, default=0.0) * OVER
    loud = [number for number, each in enumerate(peaks) if each > least]
    if not loud:
        return 0
    last = np.abs(mix.read(loud[-1] * AT_ONCE, AT_ONCE)).max(axis=1)
    return min(mix.frames, loud[-1] * AT_ONCE + int(np.flatnonzero(last > least)[-1]) + 1)
