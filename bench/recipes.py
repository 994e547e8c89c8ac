"""A slider of Tighten with 3,000 hits on 8 tracks: from the value to the mix that the player has.

./run exec python -m bench.recipes [HITS] [TRACKS]
"""

import sys
import time

import numpy as np

from bench.material import RATE, isolate, performance
from chronotome.dsp.hits import HitTraits
from chronotome.dsp.overview import Overview
from chronotome.render.arena import Arena
from chronotome.render.mix import Mix
from chronotome.render.plan import plan_for
from chronotome.render.pool import Source
from chronotome.render.renderer import Renderer
from chronotome.session.edits.grooves import add_groove
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.groove import Groove, GrooveStep
from chronotome.session.model import Recording, Session
from chronotome.session.onsets import onsets_from

TIMES = 20
SETTINGS = ("strength", "swing", "timing", "loudness", "shift")


def main() -> None:
    isolate()
    hits, tracks = (int(word) for word in (*sys.argv[1:], *("3000", "8")[len(sys.argv) - 1 :]))
    arena, sources, session = Arena(), {}, Session()
    for number in range(tracks):
        samples, frames = performance(hits / tracks / 300, seed=number)
        region = arena.allocate(*samples.shape)
        region.samples[:] = samples
        content = "0123456789abcdef"[number % 16] * 32
        sources[content] = Source(content, region, RATE, Overview(len(samples)))
        sources[content].finish()
        count = len(frames)
        onsets = onsets_from(frames, np.full(count, 80.0), np.ones(count, np.int64))
        levels = np.random.default_rng(number).uniform(-30, -10, count)
        onsets = onsets.measured(HitTraits(levels, levels, np.zeros(count, np.int64), np.ones(count, bool)))
        session = add_recording(
            session, Recording(content, f"{number}.wav", RATE, len(samples), 2), str(number)
        )
        session = set_analysis(session, content, onsets, None)
    session = set_beat_one(set_tempo(session, 75.0), 2000 / RATE)
    steps = tuple(GrooveStep(at / 4, 5.0 * (at % 3), -3.0 * (at % 4)) for at in range(16))
    session, groove = add_groove(session, Groove(0, "feel", steps=steps))
    renderer = Renderer(arena)
    for track in session.tracks:
        session = set_tighten(session, track.id, strength=0.8, groove=groove)
    renderer.render(plan_for(session), sources, lambda _mix: None)
    which = session.tracks[0].id
    for name in SETTINGS:
        heard, whole = [], []
        for at in range(TIMES):
            value = {"strength": 0.5, "swing": 50.0, "timing": 0.4, "loudness": 0.1, "shift": -10.0}[name]
            scale = {"strength": 0.02, "swing": 0.5, "timing": 0.04, "loudness": 0.04, "shift": 1.0}[name]
            changed = set_tighten(session, which, **{name: value + scale * at})
            mixes: list[float] = []

            def tell(_mix: Mix, mixes: list[float] = mixes) -> None:
                mixes.append(time.perf_counter())

            began = time.perf_counter()
            renderer.render(plan_for(changed), sources, tell)
            heard.append(1000 * (mixes[0] - began))
            whole.append(1000 * (mixes[-1] - began))
        first, last = np.median(heard), np.median(whole)
        print(f"{name}: {first:.0f} ms to the first mix (most {max(heard):.0f}), all {last:.0f}")


if __name__ == "__main__":
    main()
