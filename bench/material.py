"""Recordings of known length and number of hits, and a window that works on them."""

import os
import tempfile
from pathlib import Path

import numpy as np
import soundfile

from chronotome.dsp.audio import Samples
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one

RATE = 44100


def isolate() -> Path:
    """No bench touches real settings, caches or journals."""
    home = Path(tempfile.mkdtemp(prefix="chronotome-bench-"))
    for name in ("CONFIG", "STATE", "CACHE", "DATA"):
        os.environ[f"XDG_{name}_HOME"] = str(home / name.lower())
    os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
    return home


def performance(minutes: float, *, per_minute: int = 300, seed: int = 5) -> tuple[Samples, np.ndarray]:
    """Stereo hits in sixteenths-like order, each up to 15 ms off; and the frames where they start."""
    random = np.random.default_rng(seed)
    total = int(minutes * 60 * RATE)
    step = 60 * RATE / per_minute
    frames = (2000 + np.arange(int(minutes * per_minute)) * step).astype(int)
    frames += random.integers(-660, 660, len(frames))
    frames = frames[frames < total - 2000]
    samples = (random.standard_normal((total, 2)) * 3e-5).astype(np.float32)
    length = int(0.15 * RATE)
    envelope = np.exp(-np.arange(length) / (0.03 * RATE))[:, None]
    kinds = [random.standard_normal((length, 2)) * envelope * 0.25 for _ in range(8)]
    for place, frame in enumerate(frames):
        end = min(total, frame + length)
        samples[frame:end] += (kinds[place % 8][: end - frame] * random.uniform(0.4, 1.0)).astype(np.float32)
    return samples, frames


def write_performance(path: Path, minutes: float, **options: int) -> Path:
    samples, _ = performance(minutes, **options)
    soundfile.write(path, samples, RATE, subtype="PCM_16")
    return path


def window_with(path: Path, *, in_process: bool = True, output: str = "simulated", block: int = 512):
    """A window on a file, tightened, all of it rendered."""
    from chronotome.files.places import Settings  # noqa: PLC0415 - after `isolate`
    from chronotome.ui.application import application, build, wait_until_ready  # noqa: PLC0415 - the same

    application()
    window = build(Settings(block=block), in_process=in_process, output=output)
    window.resize(1280, 800)
    window.show()
    window.open([path])
    wait_until_ready(window)
    store = window.desk.store
    track = store.session.tracks[0].id
    store.apply(lambda s: set_beat_one(set_tempo(s, 75.0), 2000 / RATE), "Fit")
    store.apply(lambda s: set_tighten(s, track, strength=0.8), "Tighten")
    wait_until_ready(window)
    return window
