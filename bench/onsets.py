"""How well, how fast and in how much memory onsets are found.

    ./run bench onsets score --seed 21 --seed 31     every figure of accuracy, per seed
    ./run bench onsets score --sets FOLDER           the same of sets by other sound banks, a folder each
    ./run bench onsets speed                         against librosa's default detection, same run, warm
    ./run bench onsets memory                        peak above the decoded audio, 10 and 60 min; with tempo

`score` needs the generator and the scorer (`--eval`, usually ../shared/eval) and, from the system's packages,
fluidsynth and fluid-soundfont-gm. The seeds in `TRAINED` made the networks: report on others.
"""

import argparse
import json
import resource
import subprocess
import sys
import tempfile
import time
from concurrent.futures import ProcessPoolExecutor
from pathlib import Path

import numpy as np
import soundfile

from bench.material import RATE, performance
from chronotome.dsp.audio import Audio, audio_of
from chronotome.dsp.beats.pulse import find_pulse
from chronotome.dsp.onsets.crowds import first_of_crowds
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.session.onset_filter import USUAL_SPACING, USUAL_THRESHOLD

EVAL = Path(__file__).parents[2] / "shared" / "eval"
TRAINED = {11, 12, 41, 203, 204, 205, 207, 208, 209, *range(301, 321), *range(401, 455)}
BEATS = ("tempo", "loops", "beats")


def predicted(wav: Path) -> tuple[str, list[float]]:
    """Seconds of the onsets that count as usual."""
    samples, rate = soundfile.read(wav, dtype="float32", always_2d=True)
    found = detect_onsets(audio_of(samples, rate))
    sure = found.strengths >= USUAL_THRESHOLD
    frames, strengths = found.frames[sure], found.strengths[sure]
    counts = first_of_crowds(frames, strengths, USUAL_SPACING * rate / 1000)
    return wav.stem, (frames[counts] / rate).tolist()


def score(seeds: list[int], tools: Path, sets: Path | None) -> None:
    """Of generated performances; with `sets`, of the folders in there, whatever made them."""
    with tempfile.TemporaryDirectory() as folder:
        for seed in seeds if sets is None else []:
            if seed in TRAINED:
                sys.exit(f"seed {seed} made the networks: choose another")
            make = [sys.executable, str(tools / "make_set.py"), f"{folder}/{seed}", "--seed", str(seed)]
            subprocess.run(make, check=True, stdout=subprocess.DEVNULL)
        for made in sorted(path for path in (sets or Path(folder)).iterdir() if path.is_dir()):
            with tempfile.TemporaryDirectory() as told:
                with ProcessPoolExecutor(2) as pool:
                    for name, seconds in pool.map(predicted, sorted(made.glob("*.wav"))):
                        (Path(told) / f"{name}.json").write_text(json.dumps({"onsets": seconds}))
                ask = [sys.executable, str(tools / "score.py"), str(made), told, "--split", "all"]
                text = subprocess.run(ask, check=True, capture_output=True, text=True).stdout
            rows = [line for line in text.splitlines() if not line.lstrip().startswith(BEATS)]
            print(made.name, "\n".join(rows), sep="\n", flush=True)


def speed(minutes: float) -> None:
    import librosa  # noqa: PLC0415 - bench only

    audio = audio_of(performance(minutes)[0], RATE)

    def theirs() -> None:
        librosa.onset.onset_detect(y=librosa.to_mono(audio.samples.T), sr=RATE)

    ways = {"librosa": theirs, "chronotome": lambda: detect_onsets(audio)}
    taken: dict[str, list[float]] = {name: [] for name in ways}
    for _ in range(4):  # the first round warms up
        for name, way in ways.items():
            began = time.perf_counter()
            way()
            taken[name].append(time.perf_counter() - began)
    ratios = np.array(taken["librosa"][1:]) / np.array(taken["chronotome"][1:])
    for name, times in taken.items():
        print(f"{name}: {minutes * 60 / np.median(times[1:]):.0f} times real time")
    print(f"ratio {np.median(ratios):.2f} (rounds {', '.join(f'{ratio:.2f}' for ratio in ratios)})")


def memory() -> None:
    for minutes in (10, 60):
        told = subprocess.run(
            [sys.executable, "-m", "bench.onsets", "peak", str(minutes)],
            check=True,
            capture_output=True,
            text=True,
        )
        print(told.stdout.strip(), flush=True)


def peak(minutes: int) -> None:
    """In a process of its own: what the analysis adds to the most memory that was held before."""
    block, _ = performance(1)
    samples = np.empty((minutes * len(block), 2), np.float32)
    for minute in range(minutes):
        samples[minute * len(block) : (minute + 1) * len(block)] = block
    audio = Audio(samples, RATE)
    detect_onsets(Audio(block, RATE))
    before = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    held = _resident()
    found = detect_onsets(audio)
    after = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    find_pulse(audio, found)
    with_tempo = (resource.getrusage(resource.RUSAGE_SELF).ru_maxrss - max(held, before)) / 1024
    above = (after - max(held, before)) / 1024
    print(
        f"{minutes} min: {above:.0f} MB above the audio, {with_tempo:.0f} with tempo, {len(found)} candidates"
    )


def _resident() -> int:
    """KB of memory held now."""
    lines = Path("/proc/self/status").read_text().splitlines()
    return next(int(line.split()[1]) for line in lines if line.startswith("VmRSS"))


def main() -> None:
    arguments = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    arguments.add_argument("what", choices=["score", "speed", "memory", "peak"])
    arguments.add_argument("minutes", nargs="?", type=int, default=10)
    arguments.add_argument("--seed", action="append", type=int)
    arguments.add_argument("--eval", type=Path, default=EVAL)
    arguments.add_argument("--sets", type=Path, help="folders of performances that `tools/make_sets.py` made")
    given = arguments.parse_args()
    if given.what == "score":
        score(given.seed or [21, 31], given.eval, given.sets)
    elif given.what == "speed":
        speed(given.minutes)
    elif given.what == "memory":
        memory()
    else:
        peak(given.minutes)


if __name__ == "__main__":
    main()
