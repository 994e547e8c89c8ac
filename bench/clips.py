"""200 clips on 24 tracks: an edit until the player has it, the paints of one step; 2,000 cuts and a join.

./run exec python -m bench.clips
"""

import time

import numpy as np
from PySide6.QtCore import QCoreApplication

from bench.edit_latency import latencies
from bench.material import isolate, window_with, write_performance
from chronotome.render.plan import plan_for
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.clips import copy, join, move, split
from chronotome.session.edits.recordings import add_recording
from chronotome.session.model import Session
from chronotome.ui.application import wait_until_ready
from chronotome.ui.state.view_state import Stage

TRACKS, CLIPS, STEPS = 24, 200, 40


def arranged(session: Session) -> Session:
    """The recording on many tracks, cut into parts, some of them moved away."""
    recording = session.recordings[0]
    for number in range(1, TRACKS):
        session = add_recording(session, recording, f"take {number}")
    length = session.frames
    for number, track in enumerate(session.tracks):
        cuts = [length * (each + 1) // 9 + 500 * number for each in range(CLIPS // TRACKS)]
        session = split(session, track.id, cuts)
        parts = session.track(track.id).clips
        session = move(session, [(track.id, parts[-1].id)], 2000 + 300 * number)
    return session


def heard(window, session: Session) -> np.ndarray:
    arena, sources = window.desk.recordings.arena, window.desk.recordings.pool.ready()
    mix = OfflineMix(render_mix(Renderer(arena), plan_for(session), sources), arena)
    return mix.read(0, mix.frames)


def main() -> None:
    window = window_with(write_performance(isolate() / "take.wav", 10))
    store, view = window.desk.store, window.desk.view
    session = store.session
    track = session.tracks[0]
    targets = len(session.recordings[0].onsets)
    print(f"10 min, {targets} onsets: median {np.median(latencies(window)):.1f} ms (bar 6)")
    whole = heard(window, store.session)
    frames = np.linspace(5000, session.frames - 5000, 2000).astype(int).tolist()
    began = time.perf_counter()
    parts = split(store.session, track.id, frames)
    cut = time.perf_counter() - began
    differ = int((heard(window, parts) != whole).any(axis=1).sum())
    again = join(parts, track.id, [clip.id for clip in parts.track(track.id).clips])
    back = int((heard(window, again) != whole).any(axis=1).sum())
    made = len(parts.track(track.id).clips)
    print(f"{made} parts in {cut:.2f} s: {differ} and {back} frames differ (bar 0, 0)")
    store.apply(arranged, "Arrange")
    wait_until_ready(window)
    count = sum(1 for _ in store.session.clips)
    found = latencies(window)
    print(f"{count} clips on {len(store.session.tracks)} tracks: median {np.median(found):.1f} ms (bar 12)")
    view.show_stage(Stage.REWORK)
    view.sight.fit()
    wait_until_ready(window)
    place = (store.session.tracks[0].id, store.session.tracks[0].clips[3].id)
    painted = []
    for number in range(STEPS):
        store.draft(lambda s, by=400 * number: move(s, [place], by))
        began = time.perf_counter()
        QCoreApplication.processEvents()
        painted.append(1000 * (time.perf_counter() - began))
        window.desk.rendering.wait()
    store.drop_draft()
    most = np.percentile(painted, 95)
    print(f"paints of one step: median {np.median(painted):.1f}, 95 % {most:.1f} ms (bar 16)")
    store.apply(lambda s: copy(s, [place], 5000), "Copy")
    store.mark_saved(store.session)
    window.close()


if __name__ == "__main__":
    main()
