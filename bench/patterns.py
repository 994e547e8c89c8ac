"""Kits, patterns and takes: what is exact, what a step costs, when a key sounds, what a kill loses.

./run exec python -m bench.patterns [RECORDINGS]
"""

import os
import signal
import subprocess
import sys
import time
from pathlib import Path

import numpy as np
import soundfile
from PySide6.QtCore import QCoreApplication
from scipy.signal import correlate

import chronotome
from bench.material import isolate, window_with, write_performance
from chronotome.engine.control import Word
from chronotome.engine.input import SIMULATED_DELAY, SimulatedInput
from chronotome.engine.key_voices import POLYPHONY, KeyVoices
from chronotome.engine.kit_table import KeySound, NoteKind
from chronotome.engine.mixer import START_FADE
from chronotome.engine.player import Player
from chronotome.files.audio_file import read_audio
from chronotome.files.headless import Headless
from chronotome.render.arena import Arena
from chronotome.render.mix import Mix, MixLane, Side
from chronotome.render.plan import plan_for
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.kits import make_kit
from chronotome.session.edits.patterns import (
    change_pattern,
    new_pattern,
    pattern_of_clip,
    play_pattern,
    set_played,
    set_step,
    shape_steps,
)
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_muted
from chronotome.session.normalise_patterns import settled
from chronotome.ui.application import pause, wait_until_ready
from chronotome.ui.commands.playing import PERFORMANCE
from chronotome.ui.state.view_state import Stage

DEMO = Path(chronotome.__file__).parent / "demo"
SECONDS = 20


def exactness(files: list[Path]) -> None:
    """Patterns made of recordings, as edited and as played."""
    differ = total = 0
    for path in files:
        work = Headless()
        track = work.bring(path)
        session = set_beat_one(set_tempo(work.session, 92.0), 0.65)
        made = settled(pattern_of_clip(session, (track.id, track.clips[0].id)))
        mixes = [
            OfflineMix(render_mix(Renderer(work.arena), plan_for(each), work.pool.ready()), work.arena)
            for each in (session, made)
        ]
        whole = mixes[0].read(0, mixes[0].frames)
        for side in (Side.EDITED, Side.AS_PLAYED):
            differ += int((mixes[1].read(0, len(whole), side) != whole).any(axis=1).sum())
            total += len(whole)
    print(f"{len(files)} recordings made patterns: {differ} of {total} frames differ (bar 0)")


def voices() -> None:
    """Share of a block's time that 64 voices take, each at a pitch of its own."""
    arena = Arena()
    region = arena.allocate(48000 * SECONDS, 2)
    random = np.random.default_rng(3)
    region.samples[:] = random.standard_normal(region.samples.shape).astype(np.float32) * 0.1
    np.setbufsize(128)
    for block in (128, 256, 512):
        bank, out, took, number = KeyVoices(arena.floats, block), np.zeros((block, 2), np.float32), [], 0
        for _ in range(1500):
            began = time.perf_counter()
            while bank.count < POLYPHONY:
                number += 1
                offset = region.offset + 2 * int(random.integers(0, 48000 * (SECONDS - 2)))
                length, semitones = (
                    int(48000 * (0.3 + 0.06 * (number % 7))),
                    (-7, -2.5, 0.3, 4, 7, 12)[number % 6],
                )
                at = int(random.integers(0, block))
                bank.start(number, offset, length, (0.1, 0.1), semitones, 0, 96, at, is_held=False)
            out.fill(0)
            bank.add_into(out)
            took.append(100 * (time.perf_counter() - began) * 48000 / block)
        print(
            f"64 pitched voices, block {block}: median {np.median(took):.0f}, "
            f"99 % {np.percentile(took, 99):.0f} % of the block (bar 40 at 256)"
        )


def keys() -> None:
    """From a key to its sound, beyond the output's latency; and a script of 500 notes."""
    for block in (128, 256):
        arena, rate = Arena(), 48000
        player = Player(arena, output="simulated", block=block)
        player.start(rate)
        click, silence = arena.allocate(64, 2), arena.allocate(rate * 60, 2)
        click.samples[:] = 1.0
        silence.samples[0] = 0.5  # so that the first session frame is found on the tape
        lane = MixLane(Side.BOTH, *(np.array([each]) for each in (0, rate * 60, silence.offset, 2, 0)))
        player.publish(Mix(1, rate * 60, (lane,)))
        player.set_kit({0: KeySound(click.offset, 64)})
        while not player.state().is_ready:
            time.sleep(0.01)
        player.play(0)
        time.sleep(0.5)
        random = np.random.default_rng(1)
        for _ in range(150):
            player.note(NoteKind.START, 0)
            time.sleep(float(random.uniform(0.02, 0.045)))
        time.sleep(0.5)
        notes = [note.frame for note in player.notes_played()]
        tape = player.played()[:, 0]
        began = int(np.flatnonzero(tape)[0])
        is_on = tape[began + 200 :] > 0.001
        starts = began + 200 + np.flatnonzero(is_on[1:] & ~is_on[:-1]) + 1
        later = (starts[: len(notes)] - began - np.array(notes[: len(starts)])) / rate * 1000
        later -= 1000 * player.latency
        print(
            f"key to sound, block {block}: {len(starts)} of {len(notes)} on the tape, median "
            f"{np.median(later):.3f}, sd {later.std():.3f} ms (bar {6.4 if block == 256 else 3.7}, sd 0.05)"
        )
        if block == 256:
            position = int(player.state().position) + rate // 2
            wanted = (position + np.cumsum(random.integers(200, 900, 500))).tolist()
            for frame in wanted:
                player.note(NoteKind.START, 0, frame=frame)
            time.sleep((wanted[-1] - position) / rate + 1.5)
            played = [note.frame for note in player.notes_played()]
            tape = player.played()[:, 0]
            off = sum(tape[began + frame - 1] > 0.001 or tape[began + frame] <= 0.001 for frame in wanted)
            told_off = sum(told != frame for told, frame in zip(played, wanted, strict=False))
            print(f"a script of 500 notes: {len(played)} told, {told_off} off, {off} off on the tape (bar 0)")
        player.close()


def running_steps(home: Path) -> None:
    """Steps set in a pattern that runs: whether each is heard the next time that its place comes."""
    window = window_with(write_performance(home / "run.wav", 0.2), in_process=False, block=256)
    desk, player = window.desk, window.player
    store, track = desk.store, desk.session.tracks[0]
    place = (track.id, track.clips[0].id)
    store.apply(lambda s: set_muted(make_kit(s, place), track.id, True), "Kit")
    kit = store.session.kits[0]
    store.apply(lambda s: new_pattern(s, kit.id, 4.0), "Pattern")
    number = store.session.patterns[0].id
    store.apply(lambda s: play_pattern(s, None, number, 0.0, 64.0), "Play")
    wait_until_ready(window)
    desk.transport.go_to(0.0)
    desk.transport.play()
    pause(1500)
    random, heard, tries = np.random.default_rng(2), 0, 80
    for _ in range(tries):
        store.apply(lambda s: change_pattern(s, number, lambda old: old.only([])), "Clear")
        pause(120)
        session = store.session
        ahead = float(random.uniform(0.030, 0.060))
        at = player.state().position + ahead * session.rate
        beat = session.beat_of(at) % 4.0
        piece = kit.slices[int(random.integers(0, len(kit.slices)))].id
        store.apply(lambda s, p=piece, b=beat: set_step(s, number, p, b), "Step")
        pause(200)
        frame = round(session.frame_of(beat + 4.0 * (session.beat_of(at) // 4.0)))
        position, played = player.control.get(Word.POSITION), player.control.get(Word.PLAYED)
        tape = player.played()
        around = played - (position - frame)
        heard += bool(tape[max(0, around - 4) : around + 1500].any())
    desk.transport.stop()
    print(f"a step set 30 to 60 ms ahead in a running pattern: heard {heard} of {tries} times (bar always)")
    store.mark_saved(store.session)
    window.close()


def drawing_and_export(home: Path) -> None:
    """64 rows by 8 bars: paints; and what is exported against what was heard."""
    window = window_with(write_performance(home / "take.wav", 0.5))
    desk = window.desk
    store, track = desk.store, desk.session.tracks[0]
    place = (track.id, track.clips[0].id)

    def prepare(session):
        session = make_kit(session, place)
        kit = session.kits[0]
        session = new_pattern(session, kit.id, 32.0)
        pattern, random = session.patterns[0].id, np.random.default_rng(5)
        rows = [each.id for each in kit.slices[:64]]
        columns = {"slices": [], "places": []}
        for row in rows:
            for at in np.flatnonzero(random.uniform(size=128) < 0.15).tolist():
                columns["slices"].append(row)
                columns["places"].append(at / 4)
        session = change_pattern(session, pattern, lambda old: old.with_steps(columns))
        steps = session.patterns[0].ids
        session = shape_steps(session, pattern, steps[::5], "chances", 0.5)
        session = shape_steps(session, pattern, steps[1::7], "repeats", 4)
        session = play_pattern(session, None, pattern, 0.0, 32.0)
        return set_muted(session, track.id, True)

    store.apply(prepare, "Pattern")
    ids = store.session.patterns[0].ids
    view = desk.view
    view.show_stage(Stage.REWORK)
    made = store.session.tracks[-1]
    view.chosen.choose_hits((made.id, made.clips[0].id), ids[:3])
    store.apply(lambda s: set_played(s, (made.id, made.clips[0].id), 64.0), "Cycles")
    view.sight.show(view.sight.viewport.fitted(0, int(desk.session.frame_of(32.0))))
    wait_until_ready(window)
    took = []
    for step in range(200):
        if step % 4 < 2:
            view.sight.scroll(23 if step % 2 else -19)
        else:
            view.sight.zoom(1.02 if step % 2 else 1 / 1.02, 300)
        began = time.perf_counter()
        QCoreApplication.processEvents()
        took.append(1000 * (time.perf_counter() - began))
    print(
        f"{len(ids)} steps, 64 rows by 8 bars: median {np.median(took):.1f}, "
        f"95 % {np.percentile(took, 95):.1f} ms (bar 16)"
    )
    export(window)
    store.mark_saved(store.session)
    window.close()


def export(window) -> None:
    """What a pattern with chance and repeats is exported as, against what was heard of it."""
    desk, player = window.desk, window.player
    before = player.control.get(Word.PLAYED)
    desk.transport.go_to(0)
    desk.transport.play()
    player.step(1200)
    desk.transport.stop()
    played = player.played()[before:]
    arena, sources = desk.recordings.arena, desk.recordings.pool.ready()
    offline = OfflineMix(render_mix(Renderer(arena), plan_for(desk.session), sources), arena)
    wanted = offline.read(0, len(played) - 8192)
    differ = int((played[: len(wanted)] != wanted)[START_FADE:].any(axis=1).sum())
    print(
        f"export against what was heard, chance and repeats: {differ} of {len(wanted) - START_FADE} "
        "frames differ (bar 0)"
    )


def killed(home: Path) -> None:
    """A window that is killed while it records: what is on disk, against what had come in."""
    for number in range(3):
        child = subprocess.Popen(
            [sys.executable, "-m", "bench.patterns", "--record", str(home)], stdout=subprocess.PIPE, text=True
        )
        line = child.stdout.readline() if child.stdout else ""
        frames, rate = int(line.split()[0]), int(line.split()[1])
        os.kill(child.pid, signal.SIGKILL)
        child.wait()
        time.sleep(2.5)
        takes = sorted((home / "state" / "chronotome" / "takes").glob("*.wav"))
        written = soundfile.info(str(takes[-1])).frames
        print(
            f"killed while recording, {number + 1}: {frames} frames had come in, {written} are on disk "
            f"({max(0.0, (frames - written) / rate):.2f} s lost; bar 1 s)"
        )
        for each in (home / "state" / "chronotome" / "takes").iterdir():
            each.unlink()


def delays(home: Path) -> None:
    """The delay of the simulated input as it is measured, and where takes lie once it is known."""
    window = window_with(write_performance(home / "over.wav", 0.5), in_process=False)
    desk = window.desk
    pause(1500)
    found: list[float | None] = []
    for _ in range(5):
        loopback = desk.taking.loopback()
        loopback.measured.connect(lambda seconds, _loudest: found.append(seconds))
        loopback.start()
        number = len(found)
        while len(found) == number:
            pause(50)
        pause(300)
    away = [1000 * ((each or 9.9) - SIMULATED_DELAY) for each in found]
    print(
        f"delay measured by a loop-back, {len(away)} times: off by {max(map(abs, away)):.3f} ms at most "
        f"(true {1000 * SIMULATED_DELAY:.1f} ms)"
    )
    performed = read_audio(PERFORMANCE).samples.mean(axis=1)
    for delay in (0.0, float(np.median([each for each in found if each is not None]))):
        desk.taking.delays_ms = {SimulatedInput.words: 1000 * delay}
        off = []
        for number in range(5):
            count = len(desk.session.tracks)
            desk.transport.go_to(1000.0 + 7777 * number)
            desk.taking.begin(performance=PERFORMANCE)
            while not desk.taking.is_on or window.player.take_frames < 2 * desk.session.rate:
                pause(20)
            desk.transport.stop()
            while len(desk.session.tracks) == count:
                pause(20)
            take = desk.session.tracks[-1].clips[0].take
            heard = read_audio(desk.recordings.places[take.recording]).samples.mean(axis=1)
            heard = heard[take.source_start :]
            wanted = performed[take.start : take.start + len(heard)]
            lags = correlate(wanted[19000:61000], heard[20000:60000], "valid")
            off.append(1000 - int(np.abs(lags).argmax()))
        words = "taken out" if delay else "not known"
        print(f"takes, the delay {words}: {min(off)} to {max(off)} frames late")
    desk.store.mark_saved(desk.store.session)
    window.close()


def record(home: Path) -> None:
    """What is killed."""
    window = window_with(write_performance(home / "song.wav", 0.5), in_process=False)
    pause(1500)
    window.desk.taking.begin(performance=PERFORMANCE)
    pause(4000)
    print(window.player.take_frames, window.desk.session.rate, flush=True)
    pause(20000)


def main() -> None:
    if sys.argv[1:2] == ["--record"]:
        os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
        record(Path(sys.argv[2]))
        return
    home = isolate()
    files = sorted((DEMO / "harbour-ferry" / "audio").glob("*.flac"))
    for folder in sys.argv[1:]:
        files += [each for each in sorted(Path(folder).iterdir()) if each.suffix in {".flac", ".wav"}]
    exactness(files)
    voices()
    keys()
    running_steps(home)
    drawing_and_export(home)
    killed(home)
    delays(home)


if __name__ == "__main__":
    main()
