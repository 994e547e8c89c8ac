"""Sessions and their renders kept, and compared to the frame: what a change of the walls must leave as it is.

./run exec python -m bench.recorded keep|compare FOLDER
"""

import sys
from collections.abc import Iterator
from pathlib import Path

import numpy as np

from bench.material import isolate
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.session_file import load_session, save_session
from chronotome.render.arena import Arena
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.render.pool import Source
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.clips import crop
from chronotome.session.edits.fitting import set_steady, straighten
from chronotome.session.edits.tightening import move_hit, set_tighten
from chronotome.session.edits.tracks import lock, set_level, set_moving, set_solo, unlock
from chronotome.session.history import History
from chronotome.session.model import Session
from chronotome.ui.commands.session_files import DEMO_SESSION


def sessions(demo: Session) -> Iterator[tuple[str, Session]]:
    """The demo as it is and worked on in every way there was."""
    tracks = [track.id for track in demo.tracks]
    loose = demo
    for track in tracks:
        loose = unlock(loose, track)
    yield "demo", demo
    for way in MoveBy:
        tight = loose
        for track in tracks:
            tight = set_moving(set_tighten(tight, track, strength=0.8, leave_alone=4.0), track, by=way)
        yield f"tight-{way}", tight
        yield f"locked-{way}", lock(tight, tracks[0], tracks[1:])
    for number, track in enumerate(tracks):
        straight = straighten(loose, track, 96.0)
        yield f"straight-{number}", straight
        yield f"half-{number}", lock(set_steady(straight, track, 0.5), track, tracks[:2])
    first = tight.tracks[0]
    clip, recording = first.clips[0], tight.recordings[0]
    moved = set_level(tight, tracks[0], -4.0)
    for number, onset in enumerate(recording.onsets.ids[5:40:6]):
        moved = move_hit(moved, first.id, clip.id, onset, 2.0 + number * 1.03)
    yield "by-hand", moved
    middle = recording.frames // 2
    yield "cropped", set_solo(crop(tight, first.id, clip.id, middle // 2, middle), first.id, True)


def rendered(session: Session, sources: dict[str, Source], arena: Arena) -> np.ndarray:
    mix = OfflineMix(render_mix(Renderer(arena), plan_for(session), sources), arena)
    return np.stack([mix.read(0, mix.frames, side) for side in (Side.EDITED, Side.AS_PLAYED)])


def main() -> None:
    kind, folder = sys.argv[1], Path(sys.argv[2])
    isolate()
    opened, arena = load_session(DEMO_SESSION), Arena()
    rate = opened.history.session.rate
    sources = {key: load_source(facts_of(path), arena, rate) for key, path in opened.places.items()}
    if kind == "keep":
        for name, session in sessions(opened.history.session):
            (folder / name).mkdir(parents=True)
            save_session(folder / name, History(session), opened.places)
            np.save(folder / f"{name}.npy", rendered(session, sources, arena))
        return
    total = 0
    for path in sorted(folder.glob("*.npy")):
        before = np.load(path)
        after = rendered(load_session(folder / path.stem).history.session, sources, arena)
        alike = min(before.shape[1], after.shape[1])
        differ = (before[:, :alike] != after[:, :alike]).any(axis=2).sum() + abs(
            before.shape[1] - after.shape[1]
        )
        total += int(differ)
        print(f"{path.stem}: {differ} of {before.shape[1]} frames differ")
    print(f"frames that differ: {total} (bar 0)")


if __name__ == "__main__":
    main()
