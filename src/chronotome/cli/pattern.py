"""The command of patterns: pattern."""

import argparse

from chronotome.cli.common import encoding_of
from chronotome.errors import UnusableFile
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.export import export_mix
from chronotome.files.patterns import read_pattern
from chronotome.progress import Progress, part_of
from chronotome.render.arena import Arena
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.patterns import bring_pattern, play_pattern
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.model import Session, replace
from chronotome.session.normalise_patterns import settled
from chronotome.session.patterns import LONGEST_PATTERN


def pattern(arguments: argparse.Namespace, progress: Progress) -> None:
    """A pattern at a tempo, for so many bars from beat one on."""
    bars = int(arguments.bars)
    float_wav = arguments.encoding or ("wavfloat" if arguments.out.suffix.lower() == ".wav" else None)
    encoding = encoding_of(arguments.out, float_wav)
    saved = read_pattern(arguments.folder, arguments.bpm, part_of(progress, 0.0, 0.2))
    written = saved.pattern
    if arguments.seed is not None:
        written = replace(written, seed=int(arguments.seed))
    session = bring_pattern(set_tempo(Session(), arguments.bpm), written, saved.kit, saved.recordings)
    beats = session.metre.beat_of(bars)
    if beats > LONGEST_PATTERN:
        raise UnusableFile(arguments.folder, f"cannot play {bars} bars", "Use fewer bars.")
    session = settled(play_pattern(session, None, session.patterns[-1].id, 0.0, beats))
    arena, pool = Arena(), Pool()
    for content, path in saved.places.items():
        if content in {each.content for each in session.recordings}:
            pool.add(load_source(facts_of(path), arena, session.rate))
    mix = render_mix(Renderer(arena), plan_for(session), pool.ready(), part_of(progress, 0.4, 0.8))
    channels = max(each.channels for each in session.recordings)
    export_mix(
        OfflineMix(mix, arena, channels=channels),
        arguments.out,
        rate=session.rate,
        encoding=encoding,
        sources=list(saved.places.values()),
        progress=part_of(progress, 0.8, 1.0),
    )
