"""The Mark stage on an hour of hits: dragging the threshold, and from a click on a hit to its sound.

./run exec python -m bench.marking
"""

import time

import numpy as np
from PySide6.QtCore import QCoreApplication, QEvent, QPointF, Qt
from PySide6.QtGui import QMouseEvent

from bench.material import isolate, window_with, write_performance
from chronotome.engine.control import Word
from chronotome.ui.state.view_state import Stage

BLOCK = 256
MOVES, CLICKS = 200, 40


def send(widget, kind: QEvent.Type, x: float, y: float) -> None:
    place, button = QPointF(x, y), Qt.MouseButton.LeftButton
    where = QPointF(widget.mapToGlobal(place))
    event = QMouseEvent(kind, place, where, button, button, Qt.KeyboardModifier.NoModifier)
    QCoreApplication.sendEvent(widget, event)


def drag_times(window) -> list[float]:
    """Ms per move of the threshold line: the edit, the sifting and every paint that follows."""
    lane = window.timeline.evidence["strength"]
    x, y = lane.width() - 60.0, lane._y_of(lane.shown.recording.threshold)
    send(lane, QEvent.Type.MouseButtonPress, x, y)
    taken = []
    for move in range(MOVES):
        wanted = lane._y_of(50 + 45 * np.sin(move / 15))
        began = time.perf_counter()
        send(lane, QEvent.Type.MouseMove, x, wanted)
        QCoreApplication.processEvents()
        taken.append(1000 * (time.perf_counter() - began))
    window.timeline.cancel_drag()
    QCoreApplication.processEvents()
    return taken[5:]


def click_times(window) -> list[float]:
    """Ms from the press on a notch until the block with the sound is at the output, its latency included."""
    wave, control = window.timeline.wave, window.player.control
    latency = 1000 * control.get(Word.LATENCY) / 1e9
    taken = []
    for _ in range(CLICKS):
        while control.get(Word.PEAK_LEFT) > 0:
            time.sleep(0.01)
        xs = wave.xs_of(wave.shown.onset_frames()[wave.shown.counts])
        x = xs[(xs > 300) & (xs < 900)][0]
        time.sleep(0.0137)
        began = time.perf_counter()
        send(wave, QEvent.Type.MouseButtonPress, x, 4)
        while control.get(Word.PEAK_LEFT) == 0:
            pass
        taken.append(1000 * (time.perf_counter() - began) + latency)
        send(wave, QEvent.Type.MouseButtonRelease, x, 4)
        window.desk.view.chosen.select(None)
        QCoreApplication.processEvents()
        time.sleep(0.4)
    return taken


def main() -> None:
    home = isolate()
    long = write_performance(home / "hour.wav", 60)
    window = window_with(long)
    window.desk.view.show_stage(Stage.MARK)
    count = len(window.desk.session.recordings[0].onsets)
    for name, show in (
        ("all of it", window.desk.view.sight.fit),
        ("one bar", lambda: window.desk.view.sight.zoom(2000, 300)),
    ):
        show()
        QCoreApplication.processEvents()
        taken = drag_times(window)
        print(
            f"threshold dragged, 60 min, {count} candidates, {name} in sight: "
            f"median {np.median(taken):.1f} ms, 95 % {np.percentile(taken, 95):.1f} ms (bar 16)"
        )
    window.desk.store.mark_saved(window.desk.store.session)
    window.close()
    window = window_with(write_performance(home / "short.wav", 1), in_process=False, block=BLOCK)
    window.desk.view.show_stage(Stage.MARK)
    window.desk.view.sight.zoom(6, 300)
    QCoreApplication.processEvents()
    taken = click_times(window)
    print(
        f"click on a hit to its sound, block {BLOCK}: median {np.median(taken):.1f} ms, "
        f"most {max(taken):.1f} ms (bar 30)"
    )
    window.desk.store.mark_saved(window.desk.store.session)
    window.close()


if __name__ == "__main__":
    main()
