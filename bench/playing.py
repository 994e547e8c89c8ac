"""Playing for a minute while the window is scrolled and edited: dropouts, jumps, and the very samples.

./run exec python -m bench.playing [SECONDS]
"""

import sys
import time

import numpy as np
from PySide6.QtCore import QCoreApplication

from bench.material import isolate, window_with, write_performance
from chronotome.engine.control import Word
from chronotome.render.plan import plan_for
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.tightening import move_hit
from chronotome.session.tighten import targets_of

EDITED_FROM = 0.75
"""Share of the recording from which on hits are edited; before it, nothing changes."""


def main() -> None:
    seconds = float(sys.argv[1]) if len(sys.argv) > 1 else 60.0
    home = isolate()
    window = window_with(write_performance(home / "take.wav", seconds / 60 / EDITED_FROM), in_process=False)
    desk, player = window.desk, window.player
    session = desk.store.session
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    targets = targets_of(session, track, clip.take)
    late = np.flatnonzero(targets.target > EDITED_FROM * session.frames + session.rate)
    offline = OfflineMix(
        render_mix(Renderer(desk.recordings.arena), plan_for(session), desk.recordings.pool.ready()),
        desk.recordings.arena,
    )
    desk.view.sight.zoom(20)
    before = player.control.get(Word.DROPOUTS)
    desk.transport.go_to(0)
    desk.transport.play()
    began, number = time.monotonic(), 0
    while time.monotonic() - began < seconds:
        at = int(late[number % len(late)])
        beat = session.tempo.beat_of((float(targets.target[at]) + 50 + number % 300) / session.rate)
        onset = int(targets.onsets[at])
        desk.store.apply(lambda s, o=onset, b=beat: move_hit(s, track.id, clip.id, o, b), "Move")
        desk.view.sight.scroll(40 if number % 50 < 25 else -40)
        window.repaint()
        QCoreApplication.processEvents()
        time.sleep(0.01)
        number += 1
    desk.transport.stop()
    time.sleep(0.3)
    dropouts = player.control.get(Word.DROPOUTS) - before
    played = player.played()
    start = int(np.flatnonzero(np.abs(played).max(axis=1) > 0)[0]) // 512 * 512
    frames = int((seconds - 1) * session.rate)
    expected = offline.read(0, frames)
    heard = played[start : start + frames]
    wrong = int((heard[16:] != expected[16 : len(heard)]).any(axis=1).sum())
    print(
        f"{seconds:.0f} s, {number} edits and scrolls: {dropouts} dropouts, "
        f"{wrong} of {len(heard)} frames differ from the offline render, "
        f"busiest callback {player.control.get(Word.BUSIEST) / 1e6:.1f} ms of 11.6"
    )
    desk.store.mark_saved(desk.store.session)
    window.close()


if __name__ == "__main__":
    main()
