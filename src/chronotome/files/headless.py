"""A session without a window: recordings brought in and heard at once, and what it sounds like written."""

from collections.abc import Sequence
from pathlib import Path

from chronotome.dsp.audio import Audio, is_silent
from chronotome.dsp.bands import Instrument
from chronotome.errors import UnusableFile
from chronotome.files.analysis import analyse
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.audio_out import Encoding
from chronotome.files.export import export_mix, heard_end
from chronotome.files.names import plain_name
from chronotome.files.tags import tempo_tag
from chronotome.progress import Progress, part_of, unheard
from chronotome.render.arena import Arena
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.fitting import TempoSync, set_following, set_smooth
from chronotome.session.edits.grooves import groove_of
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_solo
from chronotome.session.grid import Grid
from chronotome.session.groove import Groove
from chronotome.session.model import Recording, Session, Track, replace
from chronotome.session.onset_filter import USUAL_THRESHOLD
from chronotome.words import tr

SILENT = (tr("is silent"), tr("Check the file and its level."))


class Headless:
    """A session that grows by recordings; edits are made to `session`."""

    def __init__(self) -> None:
        self.session = Session()
        self.arena, self.pool = Arena(), Pool()
        self._renderer = Renderer(self.arena)

    def bring(
        self,
        path: Path,
        progress: Progress = unheard,
        *,
        material: Instrument | None = None,
        threshold: float = USUAL_THRESHOLD,
    ) -> Track:
        """A recording as a track, its onsets and its pulse found.

        Raises
        ------
        UnusableFile
            If it cannot be read, or is silent.
        """
        facts = facts_of(path, part_of(progress, 0.0, 0.1))
        session = self.session
        rate = session.rate if session.recordings else facts.rate
        source = load_source(facts, self.arena, rate, progress=part_of(progress, 0.1, 0.3))
        if is_silent(source.region.samples):
            raise UnusableFile(path, *SILENT)
        name, shape = plain_name(path.name), (facts.rate, facts.frames, facts.channels)
        recording = Recording(facts.content, name, *shape, threshold=threshold)
        session = add_recording(session, recording, path.stem, rate=rate)
        heard = analyse(
            Audio(source.region.samples, rate),
            path.stem,
            part_of(progress, 0.3, 1.0),
            rate=facts.rate,
            frames=facts.frames,
            material=material,
            tag=tempo_tag(path),
        )
        self.session = set_analysis(
            session, facts.content, heard.onsets, heard.measured, heard.material, quiet=heard.quiet
        )
        self.pool.add(source)
        return self.session.tracks[-1]

    def write(
        self,
        track: Track,
        out: Path,
        encoding: Encoding,
        sources: Sequence[Path],
        progress: Progress = unheard,
    ) -> None:
        """What one track sounds like.

        Raises
        ------
        CannotWrite
        """
        session = set_solo(self.session, track.id, True)
        mix = render_mix(self._renderer, plan_for(session), self.pool.ready(), part_of(progress, 0.0, 0.8))
        export_mix(
            OfflineMix(
                mix, self.arena, channels=max(session.recording_of(take).channels for take in track.takes)
            ),
            out,
            rate=session.rate,
            encoding=encoding,
            end=heard_end(session, Side.EDITED),
            sources=sources,
            progress=part_of(progress, 0.8, 1.0),
        )


def timed(
    session: Session,
    track: Track,
    path: Path,
    *,
    tempo: float | None = None,
    beat_one: float | None = None,
    needs_beats: bool = True,
) -> Session:
    """With the tempo that lines are counted by: as said, else as measured, beat by beat where it drifts.

    Raises
    ------
    UnusableFile
        Where beats are needed and none were found.
    """
    measured = session.recordings[0].measured
    if tempo is not None:
        return set_beat_one(set_tempo(session, tempo), beat_one or 0.0)
    if not needs_beats:
        return session
    if measured is None:
        raise UnusableFile(path, tr("has too few hits to find beats"), tr("Enter the tempo."))
    session = set_following(session, track.id, TempoSync.SONG if measured.is_constant else TempoSync.GRID)
    return session if beat_one is None else set_beat_one(session, beat_one)


def groove_from(
    path: Path,
    grid: Grid,
    bars: int,
    progress: Progress = unheard,
    *,
    tempo: float | None = None,
    beat_one: float | None = None,
    threshold: float = USUAL_THRESHOLD,
) -> Groove:
    """The groove of a recording: at a tempo, or at the measured one; where that drifts, beat by beat.

    Raises
    ------
    UnusableFile
        If it cannot be read, is silent, or has neither beats nor hits.
    """
    work = Headless()
    track = work.bring(path, progress, threshold=threshold)
    session, measured = work.session, work.session.recordings[0].measured
    if tempo is not None:
        session = set_beat_one(set_tempo(session, tempo), beat_one or 0.0)
    elif measured is None:
        raise UnusableFile(path, tr("has too few hits to find beats"), tr("Enter the tempo."))
    else:
        session = set_following(session, track.id, TempoSync.SONG)
        if not measured.is_constant:
            session = set_smooth(set_following(session, track.id, TempoSync.GRID), True)
        if beat_one is not None:
            session = set_beat_one(session, beat_one)
    (take,) = session.track(track.id).takes
    found = groove_of(session, session.track(track.id), take, grid, bars)
    if not found.steps:
        raise UnusableFile(path, tr("has no hits for a groove"), tr("Lower the threshold."))
    return replace(found, name=path.stem)
