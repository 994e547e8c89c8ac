"""A held chord with a marker every 0.4 s, each span at another ratio: how its partials waver, by engine.

./run exec python -m bench.chord
"""

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.dsp.stretch.engines import EngineName
from chronotome.dsp.stretch.segment import Shape, render_segment

RATE, SECONDS, EVERY = 44100, 8, 0.4
CHORDS = ((220.0, 277.18, 329.63, 440.0), (55.0,), (110.0, 164.8))


def partial(sound: np.ndarray, pitch: float) -> np.ndarray:
    """One partial's complex amplitude over time."""
    turned = sound * np.exp(-2j * np.pi * pitch * np.arange(len(sound)) / RATE)
    window = np.hanning(RATE // 5)
    return np.convolve(turned, window / window.sum(), "valid")[RATE // 4 : -RATE // 4]


def away(heard: np.ndarray, truth: np.ndarray) -> float:
    """DB by which spectra are off those of the chord held as long."""
    size, wrong, right = 4096, 0.0, 0.0
    for at in range(RATE // 4, len(heard) - RATE // 4 - size, size // 4):
        one, two = (np.abs(np.fft.rfft(each[at : at + size] * np.hanning(size))) for each in (heard, truth))
        wrong, right = wrong + ((one - two) ** 2).sum(), right + (two**2).sum()
    return float(10 * np.log10(wrong / right + 1e-12))


def stretched(source: Samples, of: np.ndarray, to: np.ndarray, engine: EngineName) -> Samples:
    """With every marker an attack for drums, else with seams a second apart and markers that bend."""
    if engine is EngineName.DRUMS:
        edges, heard = of, to
    else:
        edges = np.linspace(0, of[-1], SECONDS + 1).astype(int)
        heard = np.rint(np.interp(edges, of, to)).astype(int)
    made = []
    for at in range(len(edges) - 1):
        inside = (of > edges[at]) & (of < edges[at + 1])
        bends = zip((of[inside] - edges[at]).tolist(), (to[inside] - heard[at]).tolist(), strict=True)
        is_last = at == len(edges) - 2
        shifts = (int(heard[at] - edges[at]), int(heard[at + 1] - edges[at + 1]))
        shape = Shape(tuple(bends), at > 0, not is_last, shifts=shifts)
        span, length = (int(edges[at]), int(edges[at + 1])), int(heard[at + 1] - heard[at])
        made.append(render_segment(source, RATE, span, length, engine=engine, is_last=is_last, shape=shape))
    return np.concatenate(made)


def main() -> None:
    time = np.arange(SECONDS * RATE) / RATE
    of = np.arange(0, SECONDS * RATE + 1, int(EVERY * RATE))
    ratios = np.random.default_rng(3).uniform(0.8, 1.25, len(of) - 1)
    to = np.rint(np.concatenate([[0], np.cumsum(np.diff(of) * ratios)])).astype(int)
    for pitches in CHORDS:
        source = sum(0.2 * np.sin(2 * np.pi * pitch * time + pitch) for pitch in pitches)
        whole = np.asarray(source, np.float32)[:, None]
        for engine in (EngineName.TONES, EngineName.NOTE, EngineName.DRUMS):
            heard = stretched(whole, of, to, engine)[:, 0].astype(float)
            found = [partial(heard, pitch) for pitch in pitches]
            wavers = [100 * float(np.abs(each).std() / np.abs(each).mean()) for each in found]
            turns = [np.polyfit(np.arange(len(each)), np.unwrap(np.angle(each)), 1)[0] for each in found]
            cents = [
                abs(1200 * np.log2(1 + turn * RATE / (2 * np.pi * pitch)))
                for turn, pitch in zip(turns, pitches, strict=True)
            ]
            moments = np.arange(len(heard)) / RATE
            truth = 0.2 * np.sin(2 * np.pi * np.outer(pitches, moments) + np.array(pitches)[:, None]).sum(0)
            off = away(heard, truth)
            print(f"{pitches} {engine}: wavers {np.mean(wavers):.2f} %, {max(cents):.1f} cents, {off:.0f} dB")


if __name__ == "__main__":
    main()
