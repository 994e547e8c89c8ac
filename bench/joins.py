"""Drums cut and stretched: the deepest holes, the loudest bumps, and clicks, by engine and ratio.

./run exec python -m bench.joins FOLDER [RATIO ...]
"""

import sys
import time
from pathlib import Path

import numpy as np
import soundfile
from scipy.ndimage import maximum_filter1d, minimum_filter1d

from bench.material import isolate
from bench.tones import SECONDS, convergence, stretched
from chronotome.dsp.audio import Samples, audio_of
from chronotome.dsp.clicks import second_difference
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.stretch.engines import EngineName
from chronotome.session.onset_filter import USUAL_THRESHOLD

WINDOW, STEP, AROUND = 0.010, 0.0025, 0.020
FLOOR = -45.0
RATIOS = (0.5, 0.9, 1.1, 1.25)


def levels(samples: Samples, rate: int) -> tuple[np.ndarray, np.ndarray]:
    hop, width = int(STEP * rate), int(WINDOW * rate)
    sums = np.cumsum(np.concatenate([[0.0], (samples.astype(float) ** 2).mean(1)]))
    at = np.arange(0, len(samples) - width, hop)
    return at + width / 2, 10 * np.log10((sums[at + width] - sums[at]) / width + 1e-12)


def holes(
    before: Samples, after: Samples, rate: int, to: np.ndarray, of: np.ndarray
) -> tuple[float, float, float]:
    """dB: the deepest hole, the hole at 1 %, and the highest bump, against the recording within 20 ms."""
    (places, level), (here, now) = levels(before, rate), levels(after, rate)
    around = int(AROUND * rate / int(STEP * rate))
    there = np.interp(here, to, of)
    low = np.interp(there, places, minimum_filter1d(level, 2 * around + 1))
    high = np.interp(there, places, maximum_filter1d(level, 2 * around + 1))
    loud, heard = low > level.max() + FLOOR, high > level.max() + FLOOR
    hole = (now - low)[loud]
    return (
        float(hole.min(initial=0.0)),
        float(np.percentile(hole, 1)) if len(hole) else 0.0,
        float((now - high)[heard].max(initial=-99.0)),
    )


def clicks(before: Samples, after: Samples, rate: int, to: np.ndarray) -> float:
    """How many dB rougher the 40 ms before an attack are than the recording's roughest place."""
    rough, roughest = second_difference(after), float(second_difference(before).max())
    worst = 1e-9
    for place in to[1:-1].tolist():
        part = rough[max(0, place - int(0.04 * rate)) : max(0, place - int(0.001 * rate))]
        worst = max(worst, float(part.max(initial=0.0)))
    return 20 * np.log10(worst / roughest)


def main() -> None:
    isolate()
    folder, *words = sys.argv[1:]
    ratios = [float(word) for word in words] or list(RATIOS)
    found: dict[float, list[tuple[float, ...]]] = {ratio: [] for ratio in ratios}
    names: dict[float, list[str]] = {ratio: [] for ratio in ratios}
    spent = lasted = 0.0
    for path in sorted(Path(folder).iterdir()):
        if path.suffix not in {".wav", ".flac"} or not path.name.startswith(("dr", "lp", "loop")):
            continue
        samples, rate = soundfile.read(path, dtype="float32", always_2d=True, stop=SECONDS * 44100)
        onsets = detect_onsets(audio_of(samples, rate))
        frames = onsets.frames[onsets.strengths >= USUAL_THRESHOLD]
        for ratio in ratios:
            began = time.perf_counter()
            made, to, of, _ = stretched(samples, rate, frames, ratio, EngineName.DRUMS)
            spent, lasted = spent + time.perf_counter() - began, lasted + len(made) / rate
            measured = holes(samples, made, rate, to, of)
            found[ratio].append(
                (*measured, clicks(samples, made, rate, to), convergence(samples, made, to, of))
            )
            names[ratio].append(path.name)
    for ratio, rows in found.items():
        table = np.array(rows)
        worst = names[ratio][int(table[:, 0].argmin())]
        middle = np.median(table, axis=0)
        print(f"x{ratio}: deepest hole {table[:, 0].min():.1f} dB ({worst}), middle {middle[0]:.1f}")
        print(f"      hole at 1 % {middle[1]:.1f}")
        print(f"      bump {table[:, 2].max():.1f}, middle {middle[2]:.1f}; click {table[:, 3].max():.1f}")
        print(f"      convergence {table[:, 4].mean():.1f}")
    print(f"{lasted / spent:.0f} x real time")


if __name__ == "__main__":
    main()
