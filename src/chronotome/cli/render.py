"""The command `render`."""

import argparse

from chronotome.cli.common import encoding_of
from chronotome.errors import MissingRecordings, UnusableFile
from chronotome.files.audio_file import facts_of, load_source, refuse_another
from chronotome.files.export import export_mix, export_stems, heard_end
from chronotome.files.finish import Aim, Finish
from chronotome.files.markers import markers_of
from chronotome.files.session_file import document_of, load_session
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress, part_of
from chronotome.render.arena import Arena
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool
from chronotome.render.renderer import OfflineMix, Renderer, render_mix


def _finish_of(arguments: argparse.Namespace) -> Finish:
    aim, level = Aim.NOTHING, -1.0
    if arguments.peak is not None:
        aim, level = Aim.PEAK, arguments.peak
    elif arguments.loudness is not None:
        aim, level = Aim.LOUDNESS, arguments.loudness
    return Finish(arguments.rate, aim, level, not arguments.no_dither, arguments.closes, arguments.tail)


def render(arguments: argparse.Namespace, progress: Progress) -> None:
    usual = "wav24" if arguments.stems else None
    encoding, finish = encoding_of(arguments.out, arguments.encoding or usual), _finish_of(arguments)
    opened = load_session(arguments.session)
    if opened.missing:
        raise MissingRecordings(opened.missing)
    sources = [document_of(arguments.session), *opened.places.values()]
    refuse_sources(arguments.out, sources)
    session = opened.history.session
    arena, pool = Arena(), Pool()
    for number, recording in enumerate(session.recordings):
        facts = facts_of(opened.places[recording.content])
        refuse_another(facts, recording)
        share = part_of(
            progress, 0.6 * number / len(session.recordings), 0.6 * (number + 1) / len(session.recordings)
        )
        pool.add(load_source(facts, arena, session.rate, progress=share))
    mix = render_mix(Renderer(arena), plan_for(session), pool.ready(), part_of(progress, 0.6, 0.9))

    def frame_of(bar: float | None, otherwise: int) -> int:
        if bar is None:
            return otherwise
        moment = session.tempo.seconds_of(session.metre.beat_of(bar - 1))
        return max(0, min(mix.frames, round(moment * session.rate)))

    side = Side.AS_PLAYED if arguments.as_played else Side.EDITED
    start, end = frame_of(arguments.start, 0), frame_of(arguments.end, heard_end(session, side))
    if end <= start:
        raise UnusableFile(arguments.session, "has nothing between these bars", "Check --start and --end.")
    if arguments.stems:
        share, span = part_of(progress, 0.9, 1.0), (start, end)
        stems = export_stems(
            session,
            pool.ready(),
            arena,
            arguments.out,
            encoding,
            span,
            side,
            finish,
            share,
            is_marked=not arguments.no_markers,
        )
        for each in stems:
            print(each.path)
        return
    export_mix(
        OfflineMix(mix, arena),
        arguments.out,
        rate=session.rate,
        encoding=encoding,
        start=start,
        end=end,
        side=side,
        finish=finish,
        markers=None if arguments.no_markers else markers_of(session, start, end, is_loop=arguments.closes),
        sources=sources,
        progress=part_of(progress, 0.9, 1.0),
    )
