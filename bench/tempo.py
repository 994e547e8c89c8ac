"""How well tempo, beats and bars are found.

    ./run bench tempo score --seed 31 --seed 71      every figure of accuracy, per seed
    ./run bench tempo straighten --seed 31           the drifting song, straightened by its guide click

Both need the generator and the scorer (`--eval`, usually ../shared/eval) and, from the system's packages,
fluidsynth and fluid-soundfont-gm. The beat networks learned from `tools/make_grooves.py`, never from this
generator's performances; the onset networks did learn from some seeds: report on others.
"""

import argparse
import json
import subprocess
import sys
import tempfile
from concurrent.futures import ProcessPoolExecutor
from pathlib import Path
from typing import Any

import numpy as np
import scipy.signal
import soundfile

from bench.onsets import EVAL, TRAINED
from chronotome.dsp.audio import audio_of
from chronotome.dsp.beats.pulse import find_pulse
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.files.straighten import Straightening, straighten_files

CLEAN_BPM = 0.02
SONG_TEMPO, FAR_FRAMES = 97.0, 211


def predicted(wav: Path) -> tuple[str, dict[str, Any]]:
    samples, rate = soundfile.read(wav, dtype="float32", always_2d=True)
    audio = audio_of(samples, rate)
    found = detect_onsets(audio)
    pulse = find_pulse(audio, found, name=wav.stem)
    return wav.stem, {
        "onsets": (found.frames[found.strengths >= 45] / rate).tolist(),
        "bpm": pulse.beats_per_minute,
        "beats": pulse.beats.tolist(),
        "downbeats": pulse.downbeats.tolist(),
        "loop_bpm": pulse.loop.beats_per_minute if pulse.loop else pulse.beats_per_minute,
        "beats_in_bar": pulse.beats_in_bar,
        "swing": pulse.swing.percent if pulse.swing else None,
    }


def score(seeds: list[int], tools: Path, sets: Path | None, *, tells_files: bool) -> None:
    for seed in seeds:
        if seed in TRAINED:
            print(f"seed {seed} made the onset networks")
        with tempfile.TemporaryDirectory() as folder:
            made = (sets / str(seed)) if sets else Path(folder) / "set"
            told = Path(folder) / "told"
            told.mkdir()
            if not (made / "index.json").exists():
                make = [sys.executable, str(tools / "make_set.py"), str(made), "--seed", str(seed)]
                subprocess.run(make, check=True, stdout=subprocess.DEVNULL)
            answers = {}
            with ProcessPoolExecutor(2) as pool:
                for name, answer in pool.map(predicted, sorted(made.glob("*.wav"))):
                    answers[name] = answer
                    (told / f"{name}.json").write_text(json.dumps(answer))
            ask = [sys.executable, str(tools / "score.py"), str(made), str(told), "--split", "all"]
            ask += ["--files"] if tells_files else []
            text = subprocess.run(ask, check=True, capture_output=True, text=True).stdout
            print(f"seed {seed}")
            for line in text.splitlines():
                if line.startswith(("tempo", "loops", "beats", "  beats", "   lp")):
                    print(line)
            _own_figures(made, answers)


def _own_figures(made: Path, answers: dict[str, dict[str, Any]]) -> None:
    clean = total = metres = scored = 0
    swings = []
    for name, answer in answers.items():
        truth = json.loads((made / f"{name}.json").read_text())
        if truth.get("loop"):
            total += 1
            clean += min(abs(answer["loop_bpm"] - truth["bpm"] * f) / f for f in (1, 2, 0.5)) <= CLEAN_BPM
        if truth["beats_scored"]:
            scored += 1
            metres += answer["beats_in_bar"] == truth["beats_per_bar"]
            is_right = abs(answer["bpm"] / truth["bpm"] - 1) < 0.02
            if truth["swing_ratio"] > 0.5 and answer["swing"] and is_right:
                swings.append(abs(answer["swing"] - 100 * truth["swing_ratio"]))
    print(
        f"loops within {CLEAN_BPM} bpm, octave allowed: {clean} of {total}; metre right: {metres} of {scored}"
    )
    print(f"swing: {len(swings)} takes, median error {np.median(swings) if swings else 0:.1f} percent points")


def straighten(seeds: list[int], tools: Path, sets: Path | None) -> None:
    """Bars of the straightened guide against the grid, and the lag between two locked microphones."""
    for seed in seeds:
        with tempfile.TemporaryDirectory() as folder:
            made = (sets / str(seed)) if sets else Path(folder) / "set"
            if not (made / "index.json").exists():
                make = [
                    sys.executable,
                    str(tools / "make_set.py"),
                    str(made),
                    "--seed",
                    str(seed),
                    "--only",
                    "sg_",
                ]
                subprocess.run(make, check=True, stdout=subprocess.DEVNULL)
            near = Path(folder) / "near.wav"
            far = Path(folder) / "far.wav"
            samples, rate = soundfile.read(made / "sg_drums.wav", always_2d=True)
            soundfile.write(near, samples, rate, "PCM_24")
            late = np.concatenate([np.zeros((FAR_FRAMES, samples.shape[1])), samples])[: len(samples)]
            soundfile.write(far, 0.7 * late, rate, "PCM_24")
            guide, out = made / "sg_click.wav", Path(folder) / "out"
            for move_by in MoveBy:
                straighten_files([near, far], guide, out, Straightening(SONG_TEMPO, move_by=move_by))
                click = audio_of(*soundfile.read(out / "sg_click.wav", dtype="float32", always_2d=True))
                found = detect_onsets(click)
                beats = found.frames[found.strengths > 45] / click.rate
                bars = beats[::4] - beats[0]
                off = np.abs(bars - np.arange(len(bars)) * 240 / SONG_TEMPO) * 1000
                lags = _lags(out / "near.wav", out / "far.wav")
                print(
                    f"seed {seed}, {move_by}: {len(bars)} bars, worst {off.max():.2f} ms off the grid; "
                    f"lag between two locked microphones {lags.min()} to {lags.max()} frames "
                    f"(recorded {FAR_FRAMES}), {len(lags)} windows"
                )


def _lags(near: Path, far: Path) -> np.ndarray:
    """Frames by which one file is behind the other, in windows of half a second that are not silent."""
    one, rate = soundfile.read(near, always_2d=True)
    other, _ = soundfile.read(far, always_2d=True)
    one, other = one.mean(axis=1), other.mean(axis=1)
    size, lags = rate // 2, []
    for start in range(size, min(len(one), len(other)) - 2 * size, size):
        fixed, moving = one[start : start + size], other[start - 2048 : start + size + 2048]
        if np.sqrt(np.mean(fixed**2)) < 1e-3:
            continue
        lags.append(int(np.argmax(scipy.signal.correlate(moving, fixed, "valid", method="fft"))) - 2048)
    return np.array(lags)


def main() -> None:
    parser = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    parser.add_argument("what", choices=["score", "straighten"])
    parser.add_argument("--seed", type=int, action="append", default=[])
    parser.add_argument("--eval", type=Path, default=EVAL)
    parser.add_argument("--sets", type=Path, help="where sets are kept, a folder a seed")
    parser.add_argument("--files", action="store_true")
    arguments = parser.parse_args()
    seeds = arguments.seed or [31]
    if arguments.what == "straighten":
        straighten(seeds, arguments.eval, arguments.sets)
    else:
        score(seeds, arguments.eval, arguments.sets, tells_files=arguments.files)


if __name__ == "__main__":
    main()
