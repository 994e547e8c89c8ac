"""A setting of Tighten on 30 minutes with 12,000 hits: from the slider to the paint.

./run exec python -m bench.setting
"""

import time

import numpy as np
from PySide6.QtCore import QCoreApplication

from bench.material import isolate, window_with, write_performance
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.onsets import onsets_from
from chronotome.ui.application import wait_until_ready
from chronotome.ui.state.view_state import Stage

MINUTES, HITS = 30, 12_000
BAR = 50


def main() -> None:
    home = isolate()
    window = window_with(write_performance(home / "long.wav", MINUTES))
    store, view = window.desk.store, window.desk.view
    wait_until_ready(window)
    recording = store.session.recordings[0]
    random = np.random.default_rng(1)
    frames = np.sort(random.choice(np.arange(2000, recording.frames, 900), HITS, replace=False))
    onsets = onsets_from(frames, random.uniform(50, 100, HITS), np.ones(HITS, np.int64))
    store.apply(lambda s: set_analysis(set_tempo(s, 100.0), recording.content, onsets, None), "Hits")
    view.show_stage(Stage.TIGHTEN)
    wait_until_ready(window)
    track = store.session.tracks[0].id
    for words, zoom in (("all in sight", 1.0), ("zoomed in", 60.0)):
        view.sight.fit()
        view.sight.zoom(zoom, 300)
        QCoreApplication.processEvents()
        found = []
        for step in range(60):
            strength = 0.3 + step / 200
            began = time.perf_counter()
            store.draft(lambda s, strength=strength: set_tighten(s, track, strength=strength))
            QCoreApplication.processEvents()
            found.append(1000 * (time.perf_counter() - began))
            time.sleep(0.02)
        store.drop_draft()
        print(
            f"{words}: median {np.median(found):.1f} ms, 95 % {np.percentile(found, 95):.1f} ms (bar {BAR})"
        )
    store.mark_saved(store.session)
    window.close()


if __name__ == "__main__":
    main()
