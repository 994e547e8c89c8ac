"""Noises planted into recordings: how many are told of, how many that are none, whether silence cuts a hit.

./run exec python -m bench.noises [SEED] [FILE ...]: rattles, squeaks, clicks and creaks of -30 to -12 dB,
each in a gap between two hits and off the sixteenths; without files, the seven real loops and the demo.
"""

import sys
from pathlib import Path

import numpy as np
import soundfile
from scipy import signal

from bench.material import isolate
from bench.real import REAL
from chronotome.dsp.audio import Samples, audio_of
from chronotome.files.analysis import Analysis, analyse, off_lines
from chronotome.session.noises import AFTER_ATTACK, BEFORE_ATTACK, clear_spans, noise_marks
from chronotome.session.onset_filter import USUAL_THRESHOLD

DEMO = Path("src/chronotome/demo/harbour-ferry/audio")
KINDS = ("rattle", "squeak", "stick click", "creak")
SECONDS, EACH, ROOM, OFF, MARK = 30, 6, 0.160, 0.020, 0.003
"""The last: a mark is found again as near as that beside a noise."""


def noise_of(kind: str, rate: int, random: np.random.Generator) -> np.ndarray:
    """One of a kind, its peak 1."""

    def lasting(low: float, high: float) -> np.ndarray:
        return np.arange(int(random.uniform(low, high) * rate)) / rate

    if kind == "rattle":
        at = lasting(0.06, 0.12)
        band = signal.butter(2, [random.uniform(1500, 2500), random.uniform(5000, 8000)], "band", fs=rate)
        made = signal.lfilter(*band, random.standard_normal(len(at))) * np.exp(-at / 0.05)
        made *= 0.5 + 0.5 * signal.square(2 * np.pi * random.uniform(30, 60) * at)
    elif kind == "squeak":
        at = lasting(0.06, 0.15)
        phase = 2 * np.pi * np.cumsum(random.uniform(900, 2500) * (1 + 0.3 * at / at[-1])) / rate
        made = (np.sin(phase) + 0.4 * np.sin(2 * phase)) * np.hanning(len(at)) ** 0.5
    elif kind == "stick click":
        at = lasting(0.03, 0.03)
        made = np.sin(2 * np.pi * random.uniform(1800, 3500) * at) * np.exp(-at / 0.003)
        made += 0.3 * random.standard_normal(len(at)) * np.exp(-at / 0.001)
    else:
        at = lasting(0.10, 0.20)
        ticks = np.cumsum(random.uniform(0.004, 0.012, 60) * rate).astype(int)
        made = np.zeros(len(at))
        made[ticks[ticks < len(at)]] = random.uniform(0.5, 1.0, int((ticks < len(at)).sum()))
        band = signal.butter(2, [random.uniform(250, 500), random.uniform(900, 2000)], "band", fs=rate)
        made = signal.lfilter(*band, made) * np.hanning(len(at)) ** 0.5
    return made / np.abs(made).max()


def spans_of(found: Analysis, rate: int) -> np.ndarray:
    """What would be silenced."""
    onsets = found.onsets
    is_noise = noise_marks(onsets)
    hits = onsets.frame_array[(onsets.strength_array >= USUAL_THRESHOLD) & ~is_noise]
    frames = onsets.frame_array[is_noise]
    clear = clear_spans(np.stack([frames, frames + onsets.noise_array[is_noise]], axis=1), hits, rate)
    return clear[clear[:, 1] > clear[:, 0]]


def planted(
    samples: Samples, rate: int, found: Analysis, random: np.random.Generator
) -> tuple[Samples, list[tuple[str, int, int]]]:
    hits = found.onsets.frame_array[found.onsets.strength_array >= USUAL_THRESHOLD]
    made = samples.copy()
    there: list[tuple[str, int, int]] = []
    gaps = np.flatnonzero(np.diff(hits) > ROOM * rate)
    for at in random.permutation(gaps):
        if len(there) == EACH:
            break
        kind = KINDS[int(random.integers(4))]
        noise = noise_of(kind, rate, random) * np.abs(samples).max() * 10 ** (random.uniform(-30, -12) / 20)
        low, high = (
            hits[at] + round((AFTER_ATTACK + 0.005) * rate),
            hits[at] + 0.8 * (hits[at + 1] - hits[at]),
        )
        place = int(random.uniform(low, max(low + 1, high)))
        off = off_lines(found.measured, np.array([place]), rate, len(samples))
        if off is None or off[0] < OFF:
            continue
        noise = noise[: len(made) - place]
        made[place : place + len(noise)] += noise[:, None].astype(np.float32)
        there.append((kind, place, place + len(noise)))
    return made, there


def main() -> None:
    isolate()
    seed = int(sys.argv[1]) if len(sys.argv) > 1 else 1
    paths = [Path(each) for each in sys.argv[2:]] or [
        *sorted(REAL.glob("loop*.flac")),
        *sorted(DEMO.glob("*.flac")),
    ]
    random = np.random.default_rng(seed)
    told, of, false, cut = dict.fromkeys(KINDS, 0), dict.fromkeys(KINDS, 0), 0, 0
    for path in paths:
        samples, rate = soundfile.read(path, dtype="float32", always_2d=True, frames=-1)
        samples = samples[: SECONDS * rate]
        clean = analyse(audio_of(samples, rate), path.name)
        wrong = len(spans_of(clean, rate))
        made, there = planted(samples, rate, clean, random)
        spans = spans_of(analyse(audio_of(made, rate), path.name), rate)
        hits = clean.onsets.frame_array[clean.onsets.strength_array >= USUAL_THRESHOLD]
        near = [
            (spans[:, 0] < hit + AFTER_ATTACK * rate - 1)
            & (spans[:, 1] > hit - (BEFORE_ATTACK - MARK) * rate)
            for hit in hits.tolist()
        ]
        found = [((spans[:, 0] < end) & (spans[:, 1] > start)).any() for _, start, end in there]
        for (kind, _, _), is_told in zip(there, found, strict=True):
            told[kind], of[kind] = told[kind] + bool(is_told), of[kind] + 1
        false, cut = false + wrong, cut + int(np.any(near, axis=1).sum() if near else 0)
        print(f"{path.name}: {sum(found)} of {len(there)} told of; clean {wrong}")
    print(", ".join(f"{kind} {told[kind]} of {of[kind]}" for kind in KINDS))
    print(f"{sum(told.values())} of {sum(of.values())} told of, {false} that are none, {cut} hits cut")


if __name__ == "__main__":
    main()
