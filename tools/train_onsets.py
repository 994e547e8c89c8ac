"""Weights of the onset networks, from generated performances with exact truth.

    python tools/train_onsets.py SET... [--out src/chronotome/assets/onset-networks.npz]

Each SET is a folder of WAV files, each beside a JSON of its name with `samplerate`, `category`, `seconds`
and lists of `events` and `onsets` in frames (`bench/onsets.py` says where they come from). Every recording is
heard `--variants` times: once as it is, then altered as `tools/alter.py` does. Needs scikit-learn, which the
application does not: see `requirements/bench.txt`. Sets used here must not be used for reporting.
"""

import argparse
import json
import pickle
import zlib
from collections.abc import Iterator
from concurrent.futures import ProcessPoolExecutor
from dataclasses import replace
from pathlib import Path
from typing import Any

import numpy as np
import soundfile
import soxr
from sklearn.linear_model import LogisticRegression
from sklearn.neural_network import MLPClassifier, MLPRegressor
from sklearn.preprocessing import StandardScaler

from alter import Heard, altered
from chronotome.dsp.audio import audio_of
from chronotome.dsp.bands import Instrument
from chronotome.dsp.network import WIDEST
from chronotome.dsp.onsets.attack import first_frames
from chronotome.dsp.onsets.candidates import features_of, find_candidates, shapes_of
from chronotome.dsp.onsets.detection import EAR_RATE, LEAST_RISE, material_features
from chronotome.dsp.onsets.detectors import MATERIALS
from chronotome.dsp.onsets.listener import Listener
from chronotome.dsp.onsets.novelty import novelty
from chronotome.dsp.onsets.rises import octave_rises

WEIGHTS = Path(__file__).parent.parent / "src/chronotome/assets/onset-networks.npz"
NEAR, NEAR_SOFT = 0.025, 0.045
SAME_ATTACK = 0.004
PADDING = 0.25
MOST_TIMED = 600_000
UNKNOWN_SHARE = 0.35
"""Of the examples that are not told their material."""
MOST_MS = 12.0
Layers = dict[str, np.ndarray]


def material_of(name: str, category: str) -> Instrument:
    if category in {"bass", "guitar", "keys"} or "bass" in name or name.startswith("sg_guitar"):
        return Instrument.STRUCK
    if category == "soft":
        return Instrument.SUSTAINED
    if category == "mix" or name == "sg_mix":
        return Instrument.MIXED
    return Instrument.DRUMS


def heard_of(wav: Path) -> tuple[Heard, dict[str, Any]]:
    truth = json.loads(wav.with_suffix(".json").read_text())
    samples, rate = soundfile.read(wav, dtype="float32", always_2d=True)
    events = truth["events"] or [dict(each, orn=None) for each in truth["onsets"]]
    silent = [frame for each in truth["onsets"] if each["masked"] for frame in each["alt"]]
    return Heard(
        samples,
        rate,
        np.array([each["sample"] for each in events], float),
        np.array([each["slack_ms"] for each in events]) / 1000,
        np.array([bool(each["masked"]) for each in events]),
        np.array([each["orn"] == "strum" for each in events]),
        np.array([bool(each.get("soft", False)) for each in events]),
        np.array(silent, float),
    ), truth


def away_from(truth: Heard, frames: np.ndarray, rate: int) -> tuple[np.ndarray, np.ndarray]:
    """Seconds, frames by events: outside of each attack, and to its start or end."""
    away = (frames[:, None] - truth.starts[None]) / rate
    late = np.where(away < 0, -away, np.where(away > truth.slack, truth.slack - away, 0))
    return np.abs(late), late


def labels_of(truth: Heard, frames: np.ndarray, rate: int) -> tuple[np.ndarray, np.ndarray]:
    """Per candidate: is an onset; how much it says (0: masked, no answer)."""
    distance, _ = away_from(truth, frames, rate)
    live = ~truth.masked & ~truth.strum
    is_onset, weight = np.zeros(len(frames)), np.ones(len(frames))
    for event in np.flatnonzero(live):
        nearest = distance[:, event].min()
        if nearest <= (NEAR_SOFT if truth.soft[event] else NEAR):
            is_onset[distance[:, event] <= max(nearest + 1e-9, SAME_ATTACK)] = 1
    if (~live).any():
        weight[(distance[:, ~live].min(axis=1) < 0.02) & (is_onset == 0)] = 0
    if len(truth.silent):
        near = np.abs(frames[:, None] - truth.silent[None]).min(axis=1) / rate < NEAR
        weight[near & (is_onset == 0)] = 0
    return is_onset, weight


def timing_examples(
    truth: Heard, signal: np.ndarray, places: np.ndarray, heights: np.ndarray, random: np.random.Generator
) -> tuple[np.ndarray, np.ndarray]:
    """Shapes and ms to the attack, seen from where it was heard, from beside, and from where it is."""
    rate = truth.rate
    rises = octave_rises(signal, rate)
    distance, _ = away_from(truth, places, rate)
    distance[:, truth.masked | truth.strum] = np.inf
    nearest = distance.argmin(axis=1)
    beside = places + np.round(random.uniform(-0.011, 0.011, len(places)) * rate).astype(np.int64)
    true = truth.starts[nearest].astype(np.int64)
    close = true + np.round(random.normal(0, 0.0015, len(places)) * rate).astype(np.int64)
    exact = np.where(heights > LEAST_RISE, first_frames(signal, rate, close), close)
    shapes, lates = [], []
    for frames in (places, beside, exact):
        _, late = away_from(truth, frames, rate)
        shapes.append(shapes_of(frames, signal, rises, rate).astype(np.float16))
        lates.append(late[np.arange(len(frames)), nearest] * 1000)
    return np.concatenate(shapes), np.concatenate(lates)


def examples_of(wav: Path, other: Path, *, variant: int) -> dict[str, np.ndarray] | None:
    heard, truth = heard_of(wav)
    random = np.random.default_rng([variant, zlib.crc32(str(wav).encode())])
    if variant:
        heard = altered(heard, heard_of(other)[0], random)
    rate, padding = heard.rate, int(PADDING * heard.rate)
    listener = Listener(audio_of(heard.samples, rate))
    signal = listener.part(-padding, len(heard.samples) + padding)
    if rate != EAR_RATE:
        signal, ear = soxr.resample(signal, rate, EAR_RATE), EAR_RATE / rate
        heard = replace(heard, rate=EAR_RATE, starts=heard.starts * ear, silent=heard.silent * ear)
        rate, padding = EAR_RATE, round(padding * ear)
    flux, rises = novelty(signal, rate), octave_rises(signal, rate)
    found = find_candidates(flux, rises, rate)
    heard = replace(heard, starts=heard.starts + padding, silent=heard.silent + padding)
    if not len(found) or not len(heard.starts):
        return None
    features = features_of(found, flux, rises, rate)
    places = found.places * rises.hop
    frames = np.where(found.heights > LEAST_RISE, first_frames(signal, rate, places), places)
    is_onset, weight = labels_of(heard, frames, rate)
    hits = is_onset > 0
    shapes, late = timing_examples(heard, signal, places[hits], found.heights[hits], random)
    kind = material_of(wav.stem, truth["category"])
    told = np.array([each is kind for each in MATERIALS], np.float32)
    sure = features[hits]
    return {
        "features": features,
        "shapes": shapes,
        "late": late,
        "is_onset": is_onset,
        "weight": weight,
        "material": told,
        "whole": material_features(sure) if len(sure) >= 4 else np.zeros(0, np.float32),
    }


def _examples(task: tuple[Path, Path, int]) -> dict[str, np.ndarray] | None:
    return examples_of(task[0], task[1], variant=task[2])


def gathered(sets: list[Path], variants: int) -> Iterator[dict[str, np.ndarray]]:
    wavs = [wav for folder in sets for wav in sorted(folder.glob("*.wav"))]
    random = np.random.default_rng(2)
    tasks = [(wav, wavs[random.integers(len(wavs))], variant) for wav in wavs for variant in range(variants)]
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
    arguments.add_argument("--variants", type=int, default=3)
    arguments.add_argument("--examples", type=Path, help="keep what was heard here, or take it from here")
    given = arguments.parse_args()
    random = np.random.default_rng(1)
    if given.examples and given.examples.exists():
        heard = pickle.loads(given.examples.read_bytes())  # noqa: S301 - written by this very program
    else:
        heard = list(gathered(given.sets, given.variants))
        if given.examples:
            given.examples.write_bytes(pickle.dumps(heard))
    features = np.concatenate([each["features"] for each in heard])
    material = np.concatenate(
        [
            np.broadcast_to(each["material"], (len(each["features"]), 3)) * (random.random() > UNKNOWN_SHARE)
            for each in heard
        ]
    )
    is_onset, weight = (np.concatenate([each[key] for each in heard]) for key in ("is_onset", "weight"))
    says = weight > 0
    common: dict[str, Any] = {"max_iter": 40, "early_stopping": True, "random_state": 0, "batch_size": 256}
    told = np.concatenate([features, material], axis=1)[says]
    kept, _ = fitted(
        "strength",
        MLPClassifier((80, 40), alpha=3e-3, n_iter_no_change=8, learning_rate_init=2e-3, **common),
        told,
        is_onset[says],
    )
    late = np.concatenate([each["late"] for each in heard])
    near = np.flatnonzero(np.abs(late) < 22)
    near = np.sort(random.permutation(near)[:MOST_TIMED])
    shapes = np.concatenate([each["shapes"] for each in heard])[near].astype(np.float32)
    late = np.clip(late[near], -MOST_MS, MOST_MS)
    common |= {"alpha": 1e-2, "n_iter_no_change": 6, "learning_rate_init": 1e-3}
    timing, guessed = fitted("timing", MLPRegressor(hidden_layer_sizes=(96, 48), **common), shapes, late)
    left = np.abs(late - np.sign(guessed) * np.maximum(np.abs(guessed) - 1, 0))
    doubt, _ = fitted("doubt", MLPRegressor(hidden_layer_sizes=(16,), **common), shapes, left)
    whole = [each for each in heard if len(each["whole"])]
    kinds = [int(np.append(each["material"], 0.5).argmax()) for each in whole]
    kind = linear("material", np.stack([each["whole"] for each in whole]), np.array(kinds))
    every: dict[str, Any] = {**kept, **timing, **doubt, **kind}
    np.savez_compressed(given.out, **every)
    print(f"{given.out}: {given.out.stat().st_size} bytes")


if __name__ == "__main__":
    main()
