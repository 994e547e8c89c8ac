"""From letting go of a dragged hit to the new sound being what the player reads: 10 minutes against 1.

    ./run exec python -m bench.edit_latency

Each edit moves another hit near the playhead by hand, as a drag does, and waits until the audio side has the
new mix in its hands (its own block clock is left out: a block of 512 adds up to 12 ms).
"""

import time

import numpy as np

from bench.material import isolate, window_with, write_performance
from chronotome.engine.control import Word
from chronotome.session.edits.tightening import move_hit
from chronotome.session.tighten import targets_of

EDITS = 60


def latencies(window) -> list[float]:
    desk, player = window.desk, window.player
    session = desk.store.session
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    targets = targets_of(session, track, clip.take)
    middle = len(targets) // 2
    desk.transport.go_to(float(targets.target[middle]))
    found = []
    for number in range(EDITS):
        onset = int(targets.onsets[middle + 1 + number])
        beat = session.tempo.beat_of(
            (float(targets.target[middle + 1 + number]) + 200 + number) / session.rate
        )
        before = player.control.tables[player.control.get(Word.PUBLISHED)].serial
        began = time.perf_counter()
        desk.store.apply(lambda s, o=onset, b=beat: move_hit(s, track.id, clip.id, o, b), "Move")
        while player.control.tables[player.control.get(Word.PUBLISHED)].serial == before:
            time.sleep(0.0002)
        player.step(1)
        found.append(1000 * (time.perf_counter() - began))
        desk.rendering.wait()
    return found[5:]


def main() -> None:
    home = isolate()
    medians = {}
    for minutes in (1, 10):
        window = window_with(write_performance(home / f"{minutes}.wav", minutes))
        onsets = len(window.desk.session.recordings[0].onsets)
        figures = latencies(window)
        medians[minutes] = float(np.median(figures))
        print(
            f"{minutes:3d} min, {onsets} onsets: median {medians[minutes]:.1f} ms, "
            f"95 % {np.percentile(figures, 95):.1f} ms"
        )
        window.desk.store.mark_saved(window.desk.store.session)
        window.close()
    print(f"10 min against 1 min: {medians[10] / medians[1]:.2f}x (bar: 1.5x), median at most 30 ms")


if __name__ == "__main__":
    main()
