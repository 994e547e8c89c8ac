"""Weights of the onset networks, from generated performances with exact truth.

    python tools/train_onsets.py SET... [--out src/chronotome/assets/onset-networks.npz]

Each SET is a folder of WAV files, each beside a JSON of its name with `samplerate`, `category`, `seconds`
and lists of `events` and `onsets` in frames (`bench/onsets.py` says where they come from). Every recording is
heard twice, once with its speed, tone and noise floor changed. Needs scikit-learn, which the application
does not: see `requirements/bench.txt`. Sets used here must not be used for reporting.
"""

import argparse
import json
import zlib
from collections.abc import Iterator
from concurrent.futures import ProcessPoolExecutor
from pathlib import Path
from typing import Any

import numpy as np
import scipy.signal
import soundfile
from sklearn.linear_model import LogisticRegression
from sklearn.neural_network import MLPClassifier, MLPRegressor
from sklearn.preprocessing import StandardScaler

from chronotome.dsp.attack import first_frames
from chronotome.dsp.audio import audio_of
from chronotome.dsp.bands import Material
from chronotome.dsp.candidates import features_of, find_candidates, shapes_of
from chronotome.dsp.listener import Listener
from chronotome.dsp.network import WIDEST
from chronotome.dsp.novelty import novelty
from chronotome.dsp.onsets import LEAST_RISE, MATERIALS, material_features
from chronotome.dsp.rises import octave_rises

WEIGHTS = Path(__file__).parent.parent / "src/chronotome/assets/onset-networks.npz"
NEAR, NEAR_SOFT = 0.025, 0.045
UNKNOWN_SHARE = 0.35
"""Of the examples that are not told their material."""
MOST_MS = 12.0
Layers = dict[str, np.ndarray]


def material_of(name: str, category: str) -> Material:
    if category in {"bass", "guitar", "keys"} or "bass" in name or name.startswith("sg_guitar"):
        return Material.STRUCK
    if category == "soft":
        return Material.SUSTAINED
    if category == "mix" or name == "sg_mix":
        return Material.MIXED
    return Material.DRUMS


def changed(samples: np.ndarray, rate: int, random: np.random.Generator) -> tuple[np.ndarray, int]:
    """Another tone, another noise floor; another speed by calling the rate something else."""
    tilt = random.uniform(-6, 6)
    low = scipy.signal.sosfilt(scipy.signal.butter(1, 900, fs=rate, output="sos"), samples, axis=0)
    samples = low * 10 ** (-tilt / 20) + (samples - low) * 10 ** (tilt / 20)
    samples = samples / np.abs(samples).max()
    samples = samples + random.standard_normal(samples.shape) * 10 ** (random.uniform(-85, -50) / 20)
    return samples.astype(np.float32), round(rate * random.uniform(0.85, 1.18))


def truth_of(truth: dict[str, Any]) -> tuple[np.ndarray, ...]:
    events = truth["events"] or [dict(each, orn=None) for each in truth["onsets"]]
    frames = np.array([each["sample"] for each in events], float)
    slack = np.array([each["slack_ms"] for each in events]) / 1000
    masked = np.array([bool(each["masked"]) for each in events])
    strum = np.array([each["orn"] == "strum" for each in events])
    soft = np.array([bool(each.get("soft", False)) for each in events])
    return frames, slack, masked, strum, soft


def labels_of(
    truth: dict[str, Any], frames: np.ndarray, rate: int
) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """Per candidate: is an onset; how much it says (0: masked, no answer); ms to the nearest attack."""
    starts, slack, masked, strum, soft = truth_of(truth)
    away = (frames[:, None] - starts[None]) / rate
    distance = np.maximum(np.maximum(-away, away - slack[None]), 0)
    live = ~masked & ~strum
    is_onset, weight = np.zeros(len(frames)), np.ones(len(frames))
    for event in np.flatnonzero(live):
        nearest = distance[:, event].min()
        if nearest <= (NEAR_SOFT if soft[event] else NEAR):
            is_onset[distance[:, event] <= max(nearest + 1e-9, 0.004)] = 1
    silent = [frame for each in truth["onsets"] if each["masked"] for frame in each["alt"]]
    if (~live).any():
        weight[(distance[:, ~live].min(axis=1) < 0.02) & (is_onset == 0)] = 0
    if silent:
        near = np.abs(frames[:, None] - np.array(silent)[None]).min(axis=1) / rate < NEAR
        weight[near & (is_onset == 0)] = 0
    late = np.where(live, np.where(away < 0, -away, np.where(away > slack, slack - away, 0)), np.inf)
    late = late[np.arange(len(frames)), np.abs(late).argmin(axis=1)] * 1000
    return is_onset, weight, late


def examples_of(wav: Path, *, variant: int) -> dict[str, np.ndarray] | None:
    truth = json.loads(wav.with_suffix(".json").read_text())
    samples, rate = soundfile.read(wav, dtype="float32", always_2d=True)
    if variant:
        samples, rate = changed(
            samples, rate, np.random.default_rng([variant, zlib.crc32(wav.name.encode())])
        )
    listener = Listener(audio_of(samples, rate))
    signal = listener.part(-int(0.25 * rate), len(samples) + int(0.25 * rate))
    flux, rises = novelty(signal, rate), octave_rises(signal, rate)
    found = find_candidates(flux, rises, rate)
    if not len(found):
        return None
    features = features_of(found, flux, rises, rate)
    places = found.places * rises.hop
    frames = np.where(found.heights > LEAST_RISE, first_frames(signal, rate, places), places)
    is_onset, weight, late = labels_of(truth, frames - int(0.25 * rate), rate)
    shapes = np.concatenate([shapes_of(frames, signal, rises, rate), features], axis=1).astype(np.float16)
    kind = material_of(wav.stem, truth["category"])
    told = np.array([each is kind for each in MATERIALS], np.float32)
    sure = features[is_onset > 0]
    return {
        "features": features,
        "shapes": shapes[is_onset > 0],
        "late": late[is_onset > 0],
        "is_onset": is_onset,
        "weight": weight,
        "material": told,
        "whole": material_features(sure) if len(sure) >= 4 else np.zeros(0, np.float32),
    }


def _examples(task: tuple[Path, int]) -> dict[str, np.ndarray] | None:
    return examples_of(task[0], variant=task[1])


def gathered(sets: list[Path], variants: int) -> Iterator[dict[str, np.ndarray]]:
    tasks = [
        (wav, variant)
        for folder in sets
        for wav in sorted(folder.glob("*.wav"))
        for variant in range(variants)
    ]
    with ProcessPoolExecutor(2) as pool:
        yield from (each for each in pool.map(_examples, tasks, chunksize=8) if each is not None)


def layers(name: str, scaler: StandardScaler, net: MLPClassifier | MLPRegressor) -> Layers:
    kept = {
        f"{name}.mean": scaler.mean_.astype(np.float32),
        f"{name}.scale": scaler.scale_.astype(np.float32),
    }
    for layer, (weights, biases) in enumerate(zip(net.coefs_, net.intercepts_, strict=True)):
        kept[f"{name}.weights{layer}"] = weights.astype(np.float16)
        kept[f"{name}.biases{layer}"] = biases.astype(np.float32)
    return kept


def fitted(
    name: str, net: MLPClassifier | MLPRegressor, inputs: np.ndarray, wanted: np.ndarray
) -> tuple[Layers, np.ndarray]:
    scaler = StandardScaler().fit(inputs)
    scaler.scale_ = np.maximum(scaler.scale_, 1e-3)
    held = np.clip((inputs - scaler.mean_) / scaler.scale_, -WIDEST, WIDEST).astype(np.float32)
    net.fit(held, wanted)
    print(
        f"{name}: {inputs.shape}, loss {net.loss_:.4f}, held out {net.best_validation_score_:.4f}", flush=True
    )
    return layers(name, scaler, net), net.predict(held)


def linear(name: str, inputs: np.ndarray, wanted: np.ndarray) -> dict[str, np.ndarray]:
    """One layer: more would learn the few recordings by heart."""
    scaler = StandardScaler().fit(inputs)
    scaler.scale_ = np.maximum(scaler.scale_, 1e-3)
    fit = LogisticRegression(C=0.01, max_iter=2000).fit(scaler.transform(inputs), wanted)
    kept = {
        f"{name}.mean": scaler.mean_.astype(np.float32),
        f"{name}.scale": scaler.scale_.astype(np.float32),
    }
    kept |= {
        f"{name}.weights0": fit.coef_.T.astype(np.float16),
        f"{name}.biases0": fit.intercept_.astype(np.float32),
    }
    print(f"{name}: {inputs.shape}, right {fit.score(scaler.transform(inputs), wanted):.3f}", flush=True)
    return kept


def main() -> None:
    arguments = argparse.ArgumentParser(description=__doc__)
    arguments.add_argument("sets", nargs="+", type=Path)
    arguments.add_argument("--out", type=Path, default=WEIGHTS)
    arguments.add_argument("--variants", type=int, default=2)
    given = arguments.parse_args()
    random = np.random.default_rng(1)
    heard = list(gathered(given.sets, given.variants))
    features = np.concatenate([each["features"] for each in heard])
    material = np.concatenate(
        [
            np.broadcast_to(each["material"], (len(each["features"]), 3)) * (random.random() > UNKNOWN_SHARE)
            for each in heard
        ]
    )
    is_onset, weight = (np.concatenate([each[key] for each in heard]) for key in ("is_onset", "weight"))
    says = weight > 0
    common: dict[str, Any] = {"max_iter": 60, "early_stopping": True, "random_state": 0, "batch_size": 256}
    told = np.concatenate([features, material], axis=1)[says]
    kept, _ = fitted(
        "strength",
        MLPClassifier((48, 24), alpha=3e-3, n_iter_no_change=8, learning_rate_init=2e-3, **common),
        told,
        is_onset[says],
    )
    late = np.concatenate([each["late"] for each in heard])
    near = np.abs(late) < 22
    shapes = np.concatenate([each["shapes"] for each in heard])[near].astype(np.float32)
    late = np.clip(late[near], -MOST_MS, MOST_MS)
    common |= {"alpha": 1e-2, "n_iter_no_change": 6, "learning_rate_init": 1e-3}
    timing, guessed = fitted("timing", MLPRegressor(hidden_layer_sizes=(48, 24), **common), shapes, late)
    left = np.abs(late - np.where(np.abs(guessed) > 1, guessed, 0))
    doubt, _ = fitted("doubt", MLPRegressor(hidden_layer_sizes=(16,), **common), shapes, left)
    whole = [each for each in heard if len(each["whole"])]
    kinds = [int(np.append(each["material"], 0.5).argmax()) for each in whole]
    kind = linear("material", np.stack([each["whole"] for each in whole]), np.array(kinds))
    every: dict[str, Any] = {**kept, **timing, **doubt, **kind}
    np.savez_compressed(given.out, **every)
    print(f"{given.out}: {given.out.stat().st_size} bytes")


if __name__ == "__main__":
    main()
