"""Tones made longer and shorter: how far spectra are from the recording's, whether attacks stay, how fast.

./run exec python -m bench.tones FOLDER [RATIO ...]

FOLDER holds sounds, sorted by what their names begin with (`../shared/eval/make_set.py` makes such a set).
"""

import sys
import time
from collections import defaultdict
from pathlib import Path

import numpy as np
import scipy.fft
import soundfile

from bench.material import isolate
from chronotome.dsp.audio import Samples, audio_of
from chronotome.dsp.hits import has_attack
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.stretch.engines import EngineName
from chronotome.dsp.stretch.segment import Shape, render_segment
from chronotome.session.bends import shifts_of
from chronotome.session.onset_filter import USUAL_THRESHOLD

SECONDS = 12
SIZE = 4096
SEAM_SECONDS = 1.0
CLOSEST = 300
"""Frames between two anchors."""
RATIOS = (0.9, 1.1, 1.25)
KINDS = {"ba": "bass", "gt": "guitar", "pn": "piano", "mx": "mixes", "sg": "sung", "so": "sung"}


def convergence(before: Samples, after: Samples, to: np.ndarray, of: np.ndarray) -> float:
    """DB by which spectra are off those of the recording at the same moment; lower is better."""
    window = np.hanning(SIZE)[:, None]
    wrong = right = 0.0
    for moment in range(SIZE // 2, len(after) - SIZE // 2, SIZE // 4):
        place = round(float(np.interp(moment, to, of)))
        part = np.zeros((SIZE, before.shape[1]))
        low, high = max(0, place - SIZE // 2), min(len(before), place + SIZE // 2)
        part[low - place + SIZE // 2 : high - place + SIZE // 2] = before[low:high]
        one = np.abs(scipy.fft.rfft(part * window, axis=0))
        two = np.abs(scipy.fft.rfft(after[moment - SIZE // 2 : moment + SIZE // 2] * window, axis=0))
        wrong, right = wrong + ((one - two) ** 2).sum(), right + (one**2).sum()
    return float(10 * np.log10(wrong / right + 1e-12))


def stretched(
    samples: Samples, rate: int, onsets: np.ndarray, ratio: float, engine: EngineName
) -> tuple[np.ndarray, ...]:
    """The whole of it at another length, with each onset tied; and both sides of the map."""
    ends = np.array([0, len(samples)])
    if engine is EngineName.TONES:
        hard = onsets[has_attack(samples, rate, onsets)]
        soft = np.setdiff1d(onsets, hard)
    else:
        hard, soft = onsets, onsets[:0]
    hard = hard[(hard >= CLOSEST) & (hard <= len(samples) - CLOSEST)]
    hard = hard[np.diff(hard, prepend=-CLOSEST) >= CLOSEST]
    of = np.unique(np.concatenate([ends, hard]))
    is_seam = np.zeros(len(of), bool)
    if engine is EngineName.TONES:
        gaps = np.diff(of)
        parts = np.maximum(1, np.ceil(gaps / (SEAM_SECONDS * rate) - 0.3)).astype(int)
        seams = [
            int(start + gap * n / count)
            for start, gap, count in zip(of[:-1], gaps, parts, strict=True)
            for n in range(1, count)
        ]
        every = np.concatenate([of, np.array(seams, int)])
        order = np.argsort(every)
        is_seam = (np.arange(len(every)) >= len(of))[order]
        of = every[order]
    to = np.rint(of * ratio).astype(int)
    made = []
    for at in range(len(of) - 1):
        inside = soft[(soft > of[at]) & (soft < of[at + 1])]
        bends = tuple((int(x - of[at]), round(x * ratio) - int(to[at])) for x in inside.tolist())
        shifts = shifts_of(of, to, is_seam, rate)[at : at + 2].tolist()
        shape = Shape(bends, bool(is_seam[at]), bool(is_seam[at + 1]), shifts=(shifts[0], shifts[1]))
        span, length = (int(of[at]), int(of[at + 1])), int(to[at + 1] - to[at])
        is_last = at == len(of) - 2
        made.append(render_segment(samples, rate, span, length, engine=engine, is_last=is_last, shape=shape))
    return np.concatenate(made), to, of, hard


def main() -> None:  # noqa: C901 - a bench's loop
    isolate()
    folder, *words = sys.argv[1:]
    ratios = [float(word) for word in words] or list(RATIOS)
    found: dict[str, dict[EngineName, list[float]]] = defaultdict(lambda: defaultdict(list))
    spent: dict[tuple[EngineName, int], float] = defaultdict(float)
    lasted: dict[tuple[EngineName, int], float] = defaultdict(float)
    alike: dict[EngineName, list[float]] = defaultdict(list)
    for path in sorted(Path(folder).iterdir()):
        kind = KINDS.get(path.name[:2], "real" if path.suffix == ".flac" else "")
        if not kind or path.suffix not in {".wav", ".flac"}:
            continue
        samples, rate = soundfile.read(path, dtype="float32", always_2d=True, stop=SECONDS * 44100)
        onsets = detect_onsets(audio_of(samples, rate))
        frames = onsets.frames[onsets.strengths >= USUAL_THRESHOLD]
        for ratio in ratios:
            for engine in (EngineName.TONES, EngineName.DRUMS):
                began = time.perf_counter()
                made, to, of, hard = stretched(samples, rate, frames, ratio, engine)
                how = engine, samples.shape[1]
                spent[how] += time.perf_counter() - began
                lasted[how] += len(made) / rate
                found[kind][engine].append(convergence(samples, made, to, of))
                for attack in hard[:40].tolist():
                    place = round(float(np.interp(attack, of, to)))
                    one, two = samples[attack : attack + 400], made[place : place + 400]
                    if len(one) == len(two) == 400 and np.abs(one).max() > 1e-3:
                        alike[engine].append(float(np.abs(one - two).max() / np.abs(one).max()))
    for kind, engines in found.items():
        print(kind, *(f"{engine} {np.mean(values):.1f}" for engine, values in engines.items()), sep="  ")
    for (engine, channels), seconds in sorted(spent.items()):
        off = np.percentile(alike[engine], 95) if alike[engine] else 0.0
        speed = lasted[engine, channels] / seconds
        print(f"{engine}, {channels} channels: {speed:.0f} x real time; attacks off by {off:.4f} (95 %)")


if __name__ == "__main__":
    main()
