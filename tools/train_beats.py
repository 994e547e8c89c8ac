"""Weights of the beat networks, from generated grooves with exact truth.

    python tools/train_beats.py SET... [--check SET] [--out src/chronotome/assets/beat-networks.npz]

Each SET is a folder of WAV files, each beside a JSON of its name with `beats`, `downbeats` (seconds) and
`beats_per_bar`; `tools/make_grooves.py` makes them. What was heard is kept beside each file (NPZ), so that
training again is quick. One network for each number of beats in a bar; all answers for a recording are judged
together: the loss is the cross-entropy of a softmax over them. Sets used here must not be used for reporting.
"""

import argparse
import json
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import numpy as np
import soundfile

from chronotome.dsp.audio import audio_of
from chronotome.dsp.beats.metre import TEMPI, hypotheses
from chronotome.dsp.beats.pacing import Pacing, first_pacing
from chronotome.dsp.beats.pulse import LEAST_STRENGTH
from chronotome.dsp.beats.tempo import onset_weights
from chronotome.dsp.network import WIDEST
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.onsets.listener import Listener

WEIGHTS = Path(__file__).parent.parent / "src/chronotome/assets/beat-networks.npz"
HIDDEN, DROPPED, BLUR = 28, 0.25, 0.1
RATE, DECAY = 2e-3, 0.01
Values = np.ndarray
Parameters = dict[str, Values]


@dataclass
class Take:
    """Features by beats in a bar; which answers have the right beat, and which the right bar too."""

    name: str
    features: dict[int, Values]
    has_beat: Values
    has_bar: Values


def heard(wav: Path) -> tuple[Values, Values, Values, float]:
    """Moments, rises and strengths of the onsets, and the duration; kept beside the file."""
    kept = wav.with_suffix(".npz")
    if not kept.exists():
        samples, rate = soundfile.read(wav, dtype="float32", always_2d=True)
        audio = audio_of(samples, rate)
        found = detect_onsets(audio)
        counted = found.strengths > LEAST_STRENGTH
        frames, strengths = found.frames[counted], found.strengths[counted]
        _, rises = onset_weights(Listener(audio), frames, strengths)
        np.savez(kept, moments=frames / rate, rises=rises, strengths=strengths, duration=len(samples) / rate)
    with np.load(kept) as data:
        return data["moments"], data["rises"], data["strengths"], float(data["duration"])


def labels(truth: dict[str, Any], pacing: Pacing, ratio: float, beats: int, starts: Values) -> Values:
    """Shape (2, starts): has the right beat, has the right bar."""
    right = np.zeros((2, len(starts)), bool)
    true_beats = np.array(truth["beats"])
    period, true_period = pacing.period * ratio, float(np.median(np.diff(true_beats)))
    if abs(period / true_period - 1) > 0.03:
        return right
    near = min(0.04, period / 5) / pacing.period
    bar, length = ratio * beats, len(truth["downbeats"])
    for row, moments, span in ((0, true_beats, ratio), (1, np.array(truth["downbeats"]), bar)):
        steps = pacing.steps_at(moments)
        distance = np.abs((steps[None] - starts[:, None] + span / 2) % span - span / 2)
        right[row] = np.mean(distance < near, axis=1) > (0.85, 0.8)[row]
    right[1] &= right[0] & (beats == truth["beats_per_bar"]) & (length > 0)
    return right


def take_of(wav: Path) -> Take | None:
    truth = json.loads(wav.with_suffix(".json").read_text())
    moments, rises, strengths, duration = heard(wav)
    if len(moments) < 3 or len(truth["beats"]) < 3:
        return None
    weights = strengths / 100 * (0.15 + np.sqrt(rises[-1]) + 0.5 * np.sqrt(rises[0]))
    pacing = first_pacing(moments, weights, duration)
    features: dict[int, list[Values]] = {beats: [] for beats in TEMPI}
    right: dict[int, list[Values]] = {beats: [] for beats in TEMPI}
    for group in hypotheses(moments, rises, strengths, pacing, duration):
        features[group.beats].append(group.features)
        right[group.beats].append(labels(truth, pacing, group.ratio, group.beats, group.starts))
    present = [beats for beats in TEMPI if features[beats]]
    both = np.concatenate([each for beats in present for each in right[beats]], axis=1)
    return Take(
        wav.stem,
        {beats: np.concatenate(features[beats]).astype(np.float16) for beats in present},
        both[0],
        both[1],
    )


def takes_of(folder: Path) -> list[Take]:
    wavs = sorted(path.with_suffix(".wav") for path in folder.glob("*.json") if path.stem != "index")
    with ProcessPoolExecutor(2) as pool:
        return [take for take in pool.map(take_of, wavs, chunksize=8) if take is not None]


def softmax(scores: Values) -> Values:
    raised = np.exp(scores - scores.max())
    return raised / raised.sum()


class Trainer:
    """A hidden layer of rectifiers for each number of beats in a bar; Adam with decay."""

    def __init__(self, takes: list[Take], seed: int) -> None:
        self.random = np.random.default_rng(seed)
        self.mean: dict[int, Values] = {}
        self.scale: dict[int, Values] = {}
        self.values: Parameters = {}
        for beats in TEMPI:
            rows = np.concatenate([take.features[beats][::29] for take in takes if beats in take.features])
            rows = rows.astype(np.float32)
            self.mean[beats], self.scale[beats] = rows.mean(axis=0), rows.std(axis=0) + 1e-3
            inputs = rows.shape[1]
            draw = self.random.normal(0, 1 / np.sqrt(inputs), (inputs, HIDDEN))
            self.values |= {
                f"in{beats}": draw.astype(np.float32),
                f"bias{beats}": np.zeros(HIDDEN, np.float32),
                f"out{beats}": self.random.normal(0, 0.1, HIDDEN).astype(np.float32),
                f"top{beats}": np.zeros(1, np.float32),
            }
        self.first = {name: np.zeros_like(value) for name, value in self.values.items()}
        self.second = {name: np.zeros_like(value) for name, value in self.values.items()}
        self.steps = 0

    def standard(self, take: Take) -> dict[int, Values]:
        return {
            beats: np.clip((rows.astype(np.float32) - self.mean[beats]) / self.scale[beats], -WIDEST, WIDEST)
            for beats, rows in take.features.items()
        }

    def scores(self, rows: dict[int, Values]) -> tuple[Values, dict[int, Values]]:
        hidden = {
            beats: np.maximum(each @ self.values[f"in{beats}"] + self.values[f"bias{beats}"], 0)
            for beats, each in rows.items()
        }
        scores = [hidden[beats] @ self.values[f"out{beats}"] + self.values[f"top{beats}"] for beats in rows]
        return np.concatenate(scores), hidden

    def learn(self, take: Take, rate: float) -> None:
        random, rows = self.random, self.standard(take)
        rows = {
            beats: (each + np.asarray(random.normal(0, BLUR, each.shape[1]), np.float32))
            * np.asarray((random.random(each.shape[1]) > DROPPED) / (1 - DROPPED), np.float32)
            for beats, each in rows.items()
        }
        scores, hidden = self.scores(rows)
        shares = softmax(scores)
        wanted = np.zeros_like(shares)
        rights = [each for each in (take.has_beat, take.has_bar) if each.any()]
        for right in rights:
            wanted += np.where(right, shares, 0) / max(shares[right].sum(), 1e-12) / len(rights)
        error, at, slopes = (shares - wanted).astype(np.float32), 0, {}
        for beats, each in rows.items():
            mine = error[at : at + len(each)]
            at += len(each)
            back = mine[:, None] * self.values[f"out{beats}"] * (hidden[beats] > 0)
            slopes[f"in{beats}"], slopes[f"bias{beats}"] = each.T @ back, back.sum(axis=0)
            slopes[f"out{beats}"], slopes[f"top{beats}"] = hidden[beats].T @ mine, mine.sum(keepdims=True)
        self.steps += 1
        for name, slope in slopes.items():
            first, second, value = self.first[name], self.second[name], self.values[name]
            first += 0.1 * (slope - first)
            second += 0.001 * (slope * slope - second)
            value -= rate * (first / (np.sqrt(second / (1 - 0.999**self.steps)) + 1e-7) + DECAY * value)

    def share_right(self, takes: list[Take]) -> tuple[float, float]:
        """Of the takes, whose likeliest answer has the right beat, and the right bar too."""
        best = [int(self.scores(self.standard(take))[0].argmax()) for take in takes]
        return (
            float(np.mean([take.has_beat[at] for take, at in zip(takes, best, strict=True)])),
            float(np.mean([take.has_bar[at] for take, at in zip(takes, best, strict=True)])),
        )

    def save(self, path: Path) -> None:
        kept: dict[str, Any] = {}
        for beats in TEMPI:
            kept[f"bar{beats}.mean"], kept[f"bar{beats}.scale"] = self.mean[beats], self.scale[beats]
            kept[f"bar{beats}.weights0"] = self.values[f"in{beats}"].astype(np.float16)
            kept[f"bar{beats}.biases0"] = self.values[f"bias{beats}"]
            kept[f"bar{beats}.weights1"] = self.values[f"out{beats}"][:, None]
            kept[f"bar{beats}.biases1"] = self.values[f"top{beats}"]
        np.savez_compressed(path, **kept)


def main() -> None:
    parser = argparse.ArgumentParser(
        description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter
    )
    parser.add_argument("sets", nargs="+", type=Path)
    parser.add_argument("--check", nargs="*", type=Path, default=[])
    parser.add_argument("--out", type=Path, default=WEIGHTS)
    parser.add_argument("--rounds", type=int, default=16)
    parser.add_argument("--seed", type=int, default=0)
    arguments = parser.parse_args()
    takes = [take for folder in arguments.sets for take in takes_of(folder)]
    checks = {folder: takes_of(folder) for folder in arguments.check}
    known = [take for take in takes if take.has_beat.any()]
    print(f"{len(takes)} takes, {len(known)} with the right answer among those considered")
    trainer = Trainer(known, arguments.seed)
    for turn in range(arguments.rounds):
        for place in trainer.random.permutation(len(known)):
            trainer.learn(known[place], RATE * (1 - turn / arguments.rounds) + 1e-4)
        print(
            turn,
            trainer.share_right(known[::8]),
            {f.name: trainer.share_right(t) for f, t in checks.items()},
            flush=True,
        )
    trainer.save(arguments.out)


if __name__ == "__main__":
    main()
