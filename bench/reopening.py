"""Sessions opened one after the other: what memory is kept.

./run exec python -m bench.reopening [TIMES]
"""

import gc
import sys
from pathlib import Path

from bench.material import isolate, window_with, write_performance
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.ui.application import wait_until_ready


def resident() -> float:
    """MB of this process, shared samples included."""
    lines = Path("/proc/self/status").read_text().splitlines()
    return int(next(line for line in lines if line.startswith("VmRSS")).split()[1]) / 1024


def main() -> None:
    times = int(sys.argv[1]) if len(sys.argv) > 1 else 20
    home = isolate()
    window = window_with(write_performance(home / "take.wav", 5), in_process=False)
    store = window.desk.store
    track = store.session.tracks[0].id
    store.apply(lambda s: set_beat_one(set_tempo(s, 120.0), 0.1), "Fit")
    store.apply(lambda s: set_tighten(s, track, strength=1.0), "Tighten")
    wait_until_ready(window)
    window.desk.document.save(home / "saved")
    wait_until_ready(window)
    found = []
    for _ in range(times + 1):
        window.desk.document.open_session(home / "saved")
        wait_until_ready(window)
        gc.collect()
        found.append(resident())
    print(", ".join(f"{each:.0f}" for each in found))
    print(f"after {times} reopenings {found[-1] / found[0]:.3f} of the first's memory (bar 1.1)")
    store.mark_saved(store.session)
    window.close()


if __name__ == "__main__":
    main()
