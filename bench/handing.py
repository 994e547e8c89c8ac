"""Handing over: how fast a mix is written, and whether what was written is what was heard.

./run exec python -m bench.handing
"""

import tempfile
import time
from pathlib import Path
from typing import Any, cast

import numpy as np

from chronotome.demo import __file__ as demo_file
from chronotome.files.audio_file import facts_of, load_source, read_audio
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.export import export_mix, export_stems, without_click
from chronotome.files.finish import Aim, Finish
from chronotome.files.markers import markers_of
from chronotome.files.session_file import load_session
from chronotome.render.arena import Arena
from chronotome.render.join_report import proof_of
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.clips import copy
from chronotome.session.edits.tracks import set_muted
from chronotome.session.model import Session

COPIES = 13


def long_session() -> tuple[Session, Arena, Pool]:
    """The demo's eight tracks, edited as they are, thirteen times one after the other: five minutes."""
    opened = load_session(Path(demo_file).parent / "harbour-ferry")
    session, arena, pool = opened.history.session, Arena(), Pool()
    for path in opened.places.values():
        pool.add(load_source(facts_of(path), arena, session.rate))
    for track in session.tracks:
        session = set_muted(session, track.id, False)
    places = [(track.id, clip.id) for track, clip in session.clips]
    step = round(session.frame_of(9 * session.metre.first.bar) - session.frame_of(0.0))
    for number in range(1, COPIES):
        session = copy(session, places, number * step)
    return session, arena, pool


def main() -> None:
    session, arena, pool = long_session()
    home = Path(tempfile.mkdtemp(prefix="chronotome-bench-"))
    ways = (
        ("flac24", Finish()),
        ("wav16", Finish()),
        ("flac24", Finish(aim=Aim.LOUDNESS, level=-14.0)),
        ("flac24", Finish(rate=48000)),
        ("opus", Finish()),
        ("mp3", Finish()),
    )
    for number, (name, finish) in enumerate(ways):
        began = time.perf_counter()
        renderer = Renderer(arena)
        mix = OfflineMix(render_mix(renderer, without_click(plan_for(session)), pool.ready()), arena)
        path = home / f"{number}{ENCODINGS[name].suffix}"
        markers = markers_of(session, 0, mix.frames)
        export_mix(mix, path, rate=session.rate, encoding=ENCODINGS[name], finish=finish, markers=markers)
        took = time.perf_counter() - began
        seconds = mix.frames / session.rate
        renderer.cache.clear()
        print(
            f"{len(session.tracks)} tracks, {seconds / 60:.1f} min, to {ENCODINGS[name].words}, "
            f"{finish.aim}, {finish.rate or session.rate} Hz: {seconds / took:.0f} times real time (bar 60)"
        )
    mix = OfflineMix(render_mix(Renderer(arena), without_click(plan_for(session)), pool.ready()), arena)
    began = time.perf_counter()
    proof = proof_of(mix, without_click(plan_for(session)))
    seconds = time.perf_counter() - began
    print(f"the proof of all of it, {len(proof.joins)} joins: {seconds:.1f} s, {proof.clicks} clicks")
    heard = mix.read(0, mix.frames)
    for name, step in (("wavfloat", 0.0), ("flac24", 0.5 / 2**23)):
        path = home / f"again{ENCODINGS[name].suffix}"
        export_mix(mix, path, rate=session.rate, encoding=ENCODINGS[name])
        read = read_audio(path).samples
        once = home / f"once{ENCODINGS[name].suffix}"
        export_mix(cast("Any", _Read(read)), once, rate=session.rate, encoding=ENCODINGS[name])
        off = int((np.abs(read - np.clip(heard, -1, 1 if step else 9)) > step + 1e-9).any(axis=1).sum())
        differ = int((read_audio(once).samples != read).any(axis=1).sum())
        print(f"{name}: {off} of {len(read)} frames off what was heard, {differ} once more exported (bar 0)")
    stems = export_stems(session, pool.ready(), arena, home / "stems", ENCODINGS["wavfloat"], (0, None))
    total = sum(read_audio(each.path).samples for each in stems)
    print(f"{len(stems)} stems together against the mix: {np.abs(total - heard).max():.1e} off at most")


class _Read:
    """What was written, as a mix."""

    def __init__(self, samples: np.ndarray) -> None:
        self._samples = samples
        self.frames, self.channels = samples.shape

    def read(self, start: int, frames: int, _side: object = None) -> np.ndarray:
        return self._samples[start : start + frames]


if __name__ == "__main__":
    main()
