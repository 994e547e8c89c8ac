"""Where attacks land by each engine, whether they are found there again, and what the joins sound like.

./run exec python -m bench.landing
"""

import numpy as np

from bench.material import RATE, isolate, performance
from chronotome.dsp.audio import audio_of
from chronotome.dsp.clicks import clicks_at
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.overview import Overview
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.render.arena import Arena
from chronotome.render.join_report import joins_of
from chronotome.render.plan import plan_for
from chronotome.render.pool import Source
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.anchors import anchors_of
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_moving
from chronotome.session.model import Recording, Session
from chronotome.session.onsets import onsets_from
from chronotome.session.tighten import targets_of


def main() -> None:
    isolate()
    samples, _ = performance(1.0)
    found = detect_onsets(audio_of(samples, RATE))
    arena = Arena()
    region = arena.allocate(*samples.shape)
    region.samples[:] = samples
    source = Source("a" * 32, region, RATE, Overview(len(samples)))
    source.finish()
    session = add_recording(Session(), Recording("a" * 32, "a.wav", RATE, len(samples), 2), "a")
    onsets = onsets_from(found.frames, found.strengths, found.bands)
    session = set_analysis(session, "a" * 32, onsets, None)
    session = set_beat_one(set_tempo(session, 75.0), 2000 / RATE)
    track = session.tracks[0].id
    session = set_tighten(session, track, strength=1.0)
    for way in MoveBy:
        session = set_moving(session, track, by=way)
        plan = plan_for(session)
        mix = OfflineMix(render_mix(Renderer(arena), plan, {source.content: source}), arena)
        heard = mix.read(0, mix.frames)
        targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)
        again = detect_onsets(audio_of(heard, RATE)).frames
        distance = 1000 * np.abs(again[:, None] - targets.target[None]).min(axis=0) / RATE
        anchors = anchors_of(session, session.tracks[0], session.tracks[0].clips[0].take)
        landed = anchors.heard_at((targets.played + anchors.offset).astype(np.float64))
        off = 1000 * np.abs(landed - targets.target) / RATE
        verbatim = ""
        if way is not MoveBy.TAPE:
            alike = [
                np.array_equal(heard[target : target + 300], samples[played : played + 300])
                for played, target in zip(targets.played, targets.target, strict=True)
            ]
            verbatim = f", attacks bit for bit {np.mean(alike):.1%}"
        clicks = clicks_at(heard, joins_of(plan).frames, samples)
        print(
            f"{way}: lands within {off.max():.3f} ms (bar 0.1); found again within 1 ms "
            f"{np.mean(distance <= 1):.1%}, median {np.median(distance):.2f} ms{verbatim}; "
            f"roughest join {clicks.max():+.1f} dB (bar +6)"
        )


if __name__ == "__main__":
    main()
