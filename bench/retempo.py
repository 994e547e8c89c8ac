"""The song's tempo changed while eight tracks of five minutes play: when it is heard, and dropouts.

    ./run bench retempo [--minutes 5] [--tracks 8]

Each track follows the song by stretching. The wait is from the edit until the audio process has the mix of
the new tempo in its hands, from the playhead on rendered; then whether it sounds without dropouts.
"""

import argparse
import time
from functools import partial

import numpy as np
import soundfile

from bench.material import RATE, isolate, performance
from chronotome.engine.control import Word
from chronotome.session.edits.fitting import TempoSync, set_following, set_recording_tempo
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.model import Session, TrackId

CHANGES = (101.0, 96.0, 104.5, 99.0, 110.0, 92.0)


def follow(session: Session, track: TrackId) -> Session:
    return set_following(set_recording_tempo(session, track, 100.0), track, TempoSync.RECORDING)


def main() -> None:
    parser = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    parser.add_argument("--minutes", type=float, default=5.0)
    parser.add_argument("--tracks", type=int, default=8)
    arguments = parser.parse_args()
    home = isolate()
    from chronotome.files.places import Settings  # noqa: PLC0415 - after `isolate`
    from chronotome.ui.application import application, build, wait_until_ready  # noqa: PLC0415 - the same

    qt = application()
    window = build(Settings(), output="simulated")
    window.show()
    paths = []
    for number in range(arguments.tracks):
        samples, _ = performance(arguments.minutes, seed=number + 1)
        paths.append(home / f"quay {number}.wav")
        soundfile.write(paths[-1], samples, RATE, "PCM_16")
    window.open(paths)
    wait_until_ready(window)
    desk, control = window.desk, window.player.control
    desk.store.apply(lambda s: set_tempo(s, 100.0), "Set tempo")
    for track in desk.session.tracks:
        desk.store.apply(partial(follow, track=track.id), "Follow")
    desk.rendering.wait(120)
    wait_until_ready(window)
    desk.transport.go_to(60.0 * RATE)
    desk.transport.play()

    def let_run(seconds: float) -> None:
        end = time.perf_counter() + seconds
        while time.perf_counter() < end:
            qt.processEvents()
            time.sleep(0.002)

    let_run(1.0)
    dropouts, waits, planning = window.player.state().dropouts, [], []
    for tempo in CHANGES:
        before = control.get(Word.ADOPTED_SERIAL)
        began = time.perf_counter()
        desk.store.apply(partial(set_tempo, beats_per_minute=tempo), "Set tempo")
        planning.append(time.perf_counter() - began)
        while control.get(Word.ADOPTED_SERIAL) == before and time.perf_counter() - began < 20:
            qt.processEvents()
            time.sleep(0.001)
        waits.append(time.perf_counter() - began)
        let_run(1.0)
    lost = window.player.state().dropouts - dropouts
    heard = f"heard after median {np.median(waits):.3f} s, at most {max(waits):.3f} s"
    print(f"{arguments.tracks} tracks of {arguments.minutes:g} min: {heard}; {lost} dropouts")
    print(f"the window's own part: {1000 * max(planning):.0f} ms at most")
    print("each:", " ".join(f"{wait:.3f}" for wait in waits))
    desk.transport.stop()
    desk.store.mark_saved(desk.store.history.session)
    window.close()


if __name__ == "__main__":
    main()
