"""Takes apart: whether they sound as before; what an edit of hits costs; alike hits; pitched attacks; paints.

./run exec python -m bench.slices [RECORDINGS]
"""

import json
import sys
import time
from collections.abc import Callable
from pathlib import Path

import numpy as np
import soundfile
from PySide6.QtCore import QCoreApplication

import chronotome
from bench.material import RATE, isolate, performance, window_with, write_performance
from chronotome.dsp.audio import audio_of
from chronotome.dsp.likeness import likeness_of
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.engine.control import Word
from chronotome.engine.mixer import START_FADE
from chronotome.files.headless import Headless
from chronotome.render.join_report import proof_of
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.hits import delete, scale_time, shuffle
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.shaping import set_fills, set_flag, set_roll, set_scatter, set_value
from chronotome.session.edits.slicing import At, Cuts, Place, take_apart
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import set_moving
from chronotome.session.model import Session, replace
from chronotome.session.onsets import onsets_from
from chronotome.session.slices import Roll, Scatter, Slices
from chronotome.ui.application import wait_until_ready
from chronotome.ui.state.view_state import Stage

DEMO = Path(chronotome.__file__).parent / "demo"
EDITS = 24


def heard(work: Headless, session: Session) -> np.ndarray:
    mix = render_mix(Renderer(work.arena), plan_for(session), work.pool.ready())
    return OfflineMix(mix, work.arena).read(0, mix.frames)


def exactness(files: list[Path]) -> None:
    """Taken apart at onsets, on lines and into parts, as played and moved each way at 90 %."""
    differ = ways = 0
    for path in files:
        work = Headless()
        track = work.bring(path)
        place = (track.id, track.clips[0].id)
        tight = set_tighten(work.session, track.id, strength=0.9)
        for by in (None, *MoveBy):
            session = work.session if by is None else set_moving(tight, track.id, by=by)
            whole = heard(work, session)
            for cuts in (Cuts(), Cuts(At.LINES, step=0.5), Cuts(At.PARTS, parts=7)):
                now = heard(work, take_apart(session, place, cuts))
                differ += int((now != whole).any(axis=1).sum()) if len(now) == len(whole) else len(whole)
                ways += 1
    print(f"{len(files)} recordings taken apart in {ways} ways: {differ} frames differ (bar 0)")


def pitched(home: Path) -> None:
    """Where attacks of hits land at another pitch, length kept.

    Of strokes that begin with their loudest frame: where that frame is. Of the kit: where the detector finds
    the attack again, against where it finds it unpitched.
    """
    samples, frames = performance(0.5)
    samples *= 0.1
    for frame in frames:
        samples[frame - 300 : frame] = 0.0
        samples[frame] = 1.0
    soundfile.write(home / "strokes.wav", samples, RATE, subtype="FLOAT")
    for path in (home / "strokes.wav", DEMO / "harbour-ferry" / "audio" / "bucket_kit.flac"):
        work = Headless()
        track = work.bring(path)
        place = (track.id, track.clips[0].id)
        if path.stem == "strokes":
            work.session = mark_only(work.session, frames)
        session = take_apart(work.session, place, Cuts())
        slices = slices_in(session, place)
        ids = slices.ids[1::3]
        starts = slices.start_array[slices.at(ids)]
        usual = detect_onsets(audio_of(heard(work, session), RATE)).frames
        away: list[int] = []
        for semitones in (-12.0, -7.0, -3.0, 3.0, 7.0, 12.0):
            now = heard(work, set_value(session, place, "pitch", dict.fromkeys(ids, semitones)))
            if path.stem == "strokes":
                power = np.abs(now).max(axis=1)
                away += [int(power[start - 100 : start + 100].argmax()) - 100 for start in starts.tolist()]
            else:
                again = detect_onsets(audio_of(now, RATE)).frames
                before = np.abs(usual[:, None] - starts).argmin(axis=0)
                after = np.abs(again[:, None] - starts).argmin(axis=0)
                away += (again[after] - usual[before]).tolist()
        most, usually = np.abs(away).max(), np.median(np.abs(away))
        print(
            f"{len(ids)} hits of {path.stem} at -12 to +12 semitones: attacks {usually:.0f} frames off in "
            f"the middle, {np.mean(np.abs(away) <= 22):.1%} within 0.5 ms, {most} at most (bar 0)"
        )


def joins(files: list[Path]) -> None:
    """Joins that click, by the proof of Export, after each of a dozen edits of half the hits."""
    checked = clicks = 0
    loudest = -np.inf
    for path in files:
        work = Headless()
        track = work.bring(path)
        place = (track.id, track.clips[0].id)
        session = take_apart(work.session, place, Cuts())
        ids = slices_in(session, place).ids
        some = ids[1::2]
        for edited in (
            delete(session, place, some),
            set_fills(delete(session, place, some), place, fills=True),
            shuffle(session, place, ids[1:], 3),
            scale_time(session, place, ids[1:], 0.5),
            set_flag(session, place, some, "reversed", value=True),
            set_value(session, place, "pitch", dict.fromkeys(some, 5.0)),
            set_value(session, place, "pitch", dict.fromkeys(some, -7.0)),
            set_flag(
                set_value(session, place, "pitch", dict.fromkeys(some, 5.0)),
                place,
                ids,
                "by_tape",
                value=True,
            ),
            set_value(session, place, "tilt", dict.fromkeys(some, 9.0)),
            set_value(session, place, "start", dict.fromkeys(some, 0.02)),
            set_roll(session, place, some, Roll(4, loudness=(-12.0, 0.0))),
            set_scatter(session, place, ids[1:], Scatter(3, 6.0, 0.5, 3.0, 5.0, 10.0)),
        ):
            plan = plan_for(edited)
            mix = render_mix(Renderer(work.arena), plan, work.pool.ready())
            proof = proof_of(OfflineMix(mix, work.arena), plan)
            checked, clicks = checked + len(proof.joins), clicks + proof.clicks
            loudest = max(loudest, float(proof.levels.max(initial=-99.0)))
    print(
        f"{len(files)} recordings, 12 edits each: {clicks} of {checked} joins click, "
        f"loudest {loudest:+.1f} dB"
    )


def slices_in(session: Session, place: Place) -> Slices:
    slices = session.track(place[0]).clip(place[1]).take.slices
    if slices is None:
        raise ValueError("it was not taken apart")
    return slices


def mark_only(session: Session, frames: np.ndarray) -> Session:
    """With exactly these onsets."""
    content = session.recordings[0].content
    count = len(frames)
    onsets = onsets_from(frames, np.full(count, 90.0), np.ones(count, np.int64))
    return set_analysis(session, content, onsets, None)


def likeness() -> None:
    right = total = 0
    for path in sorted((DEMO / "truth").glob("*.json")):
        truth = json.loads(path.read_text())
        audio = DEMO / "harbour-ferry" / "audio" / f"{path.stem}.flac"
        samples, rate = soundfile.read(audio, dtype="float32", always_2d=True)
        frames = np.array([each["frame"] for each in truth["onsets"]])
        kinds = np.array([each["kind"] for each in truth["onsets"]])
        found = likeness_of(samples, rate, frames, np.append(frames[1:], len(samples)))
        alike = np.array([found.alike(np.array([at])) for at in range(len(frames))])
        same = (alike == (kinds[:, None] == kinds[None])).sum(axis=1)
        right, total = right + int(same.sum()), total + len(frames) ** 2
        print(f"  {path.stem}: {100 * same.sum() / len(frames) ** 2:.1f} % right")
    print(f"hits chosen by likeness, one click each: {100 * right / total:.1f} % right (bar 98)")


def waited(window, edit: Callable[[Session], Session], label: str) -> float:
    """Milliseconds from an edit to the mix that the player reads."""
    desk, player = window.desk, window.player
    before = player.control.tables[player.control.get(Word.PUBLISHED)].serial
    began = time.perf_counter()
    desk.store.apply(edit, label)
    while player.control.tables[player.control.get(Word.PUBLISHED)].serial == before:
        time.sleep(0.0002)
    player.step(1)
    took = 1000 * (time.perf_counter() - began)
    desk.rendering.wait()
    return took


def scattered(place: Place, ids: tuple[int, ...], scatter: Scatter | None) -> Callable[[Session], Session]:
    return lambda session: set_scatter(session, place, ids, scatter)


def valued(place: Place, name: str, hit: int, value: float) -> Callable[[Session], Session]:
    return lambda session: set_value(session, place, name, {hit: value})


def edits(window, place: Place) -> None:
    slices = window.desk.session.track(place[0]).clip(place[1]).take.slices
    window.desk.view.show_stage(Stage.REWORK)
    window.desk.transport.go_to(150.0 * RATE)
    every = slices.ids
    for words, scatter in (
        ("loudness", Scatter(loudness=6.0)),
        ("loudness, pan, timing", Scatter(loudness=6.0, pan=0.5, timing=8.0)),
        ("all, pitch too", Scatter(1, 6.0, 0.5, 2.0, 5.0, 8.0)),
    ):
        took = [
            waited(window, scattered(place, every, replace(scatter, seed=seed)), "Random")
            for seed in range(1, EDITS // 3)
        ]
        print(
            f"{len(every)} hits scattered ({words}): median {np.median(took):.0f}, "
            f"most {max(took):.0f} ms (bar 100)"
        )
    window.desk.store.apply(scattered(place, every, None), "None")
    window.desk.rendering.wait()
    middle = len(every) // 2
    for name, value in (("loudness", -3.0), ("pan", 0.5), ("pitch", -3.0)):
        took = [
            waited(window, valued(place, name, every[middle + number], value), "Shape")
            for number in range(EDITS)
        ]
        print(f"one hit’s {name}: median {np.median(took[4:]):.1f}, most {max(took[4:]):.1f} ms (bar 15)")


def listening(window, place: Place) -> None:
    slices = window.desk.session.track(place[0]).clip(place[1]).take.slices
    content = window.desk.session.recordings[0].content
    found: list[np.ndarray] = []
    for words in ("listened to for the first time", "once it was listened to"):
        found.clear()
        began = time.perf_counter()
        window.desk.likenesses.alike(content, slices, np.array([7]), found.append)
        while not found:
            QCoreApplication.processEvents()
        took = time.perf_counter() - began
        print(
            f"{len(slices)} hits chosen by likeness, {words}: {took:.2f} s, "
            f"{int(found[0].sum())} alike (bar 0.3)"
        )


def paints(window, place: Place) -> None:
    view = window.desk.view
    view.show_stage(Stage.REWORK)
    view.chosen.choose_hits(place, window.desk.session.track(place[0]).clip(place[1]).take.slices.ids[::9])
    seconds = 500 / 2000 * 300
    view.sight.show(view.sight.viewport.fitted(100 * RATE, int((100 + seconds) * RATE)))
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
    print(f"500 hits in sight: median {np.median(took):.1f}, 95 % {np.percentile(took, 95):.1f} ms (bar 16)")


def export(window) -> None:
    desk, player = window.desk, window.player
    track = desk.session.tracks[0]
    every = track.clips[0].take.slices.ids
    scatter = Scatter(3, 6.0, 0.5, 2.0, 5.0, 8.0)
    desk.store.apply(scattered((track.id, track.clips[0].id), every, scatter), "Random")
    desk.rendering.wait(60)
    player.step(2)
    start = int(149.5 * RATE)
    before = player.control.get(Word.PLAYED)
    desk.transport.go_to(start)
    desk.transport.play()
    player.step(400)
    desk.transport.stop()
    played = player.played()[before:]
    arena, sources = desk.recordings.arena, desk.recordings.pool.ready()
    offline = OfflineMix(render_mix(Renderer(arena), plan_for(desk.session), sources), arena)
    wanted = offline.read(start, len(played) - 8192, Side.EDITED)
    heard_of = played[: len(wanted)]
    differ = int((heard_of != wanted)[START_FADE:].any(axis=1).sum())
    print(f"export against what was heard: {differ} of {len(wanted) - START_FADE} frames differ (bar 0)")


def main() -> None:
    home = isolate()
    real = [Path(each) for each in sys.argv[1:]]
    files = sorted((DEMO / "harbour-ferry" / "audio").glob("*.flac"))
    files += [each for folder in real for each in sorted(folder.glob("*.flac"))]
    exactness(files)
    joins(files)
    pitched(home)
    likeness()
    window = window_with(write_performance(home / "take.wav", 5, per_minute=400))
    store = window.desk.store
    track = store.session.tracks[0]
    place = (track.id, track.clips[0].id)
    store.apply(lambda s: take_apart(s, place, Cuts()), "Slice")
    wait_until_ready(window)
    edits(window, place)
    listening(window, place)
    paints(window, place)
    export(window)
    store.mark_saved(store.session)
    window.close()


if __name__ == "__main__":
    main()
