"""Weights of the networks that hear unsure attacks again, from generated performances with exact truth.

    python tools/train_slow.py SET... [--networks src/chronotome/assets/onset-networks.npz]

SET as for `tools/train_onsets.py`, which has made the other networks of the file before: what those are not
sure of is heard here. `led` learns where the attack is from places up to 25 ms beside it; then everything is
heard once more with it, and `settled`, `unsettled` and `amended` learn where the attack is, how far off that
may be, and whether there is one. Sets with many slow attacks serve best (`tools/make_sets.py --varied`).
"""

import argparse
import zlib
from concurrent.futures import ProcessPoolExecutor
from dataclasses import replace
from pathlib import Path
from typing import Any

import numpy as np
import soxr
from sklearn.neural_network import MLPClassifier, MLPRegressor

from alter import Heard, altered
from chronotome.dsp.audio import audio_of
from chronotome.dsp.candidates import features_of, find_candidates
from chronotome.dsp.listener import Listener
from chronotome.dsp.novelty import novelty
from chronotome.dsp.onsets import EAR_RATE, UNLIKELY, attacks_of, likely_of, logits_of
from chronotome.dsp.rises import octave_rises
from chronotome.dsp.slow import UNSURE_MS, Unsure, new_around, told_of
from train_onsets import NEAR, NEAR_SOFT, PADDING, SAME_ATTACK, WEIGHTS, Layers, fitted, heard_of, labels_of

BESIDE, AT_ATTACK = 0.025, 0.003
SAME = 0.006
"""Seconds: candidates that near are one attack."""
MOST_MS, MOST_ERROR_MS, FARTHEST_MS = 35.0, 20.0, 40.0
Columns = dict[str, np.ndarray]


def middles(truth: Heard) -> tuple[np.ndarray, np.ndarray]:
    """Frames: the middle of each attack, and half its length; infinite where it cannot be heard alone."""
    half = truth.slack * truth.rate / 2
    heard = ~truth.masked & ~truth.strum
    return np.where(heard, truth.starts + half, np.inf), half


def attacks_among(truth: Heard, frames: np.ndarray) -> np.ndarray:
    """1 for the candidate in the middle of each attack and those that are one with it."""
    places, half = middles(truth)
    away = np.abs(frames[:, None] - places)
    outside = np.maximum(away - half, 0) / truth.rate
    found = np.zeros(len(frames))
    for event in np.flatnonzero(np.isfinite(places)):
        nearest = outside[:, event].min()
        if nearest <= (NEAR_SOFT if truth.soft[event] else NEAR):
            inside = np.flatnonzero(outside[:, event] <= max(nearest + 1e-9, SAME_ATTACK))
            best = frames[inside[away[inside, event].argmin()]]
            found[inside[np.abs(frames[inside] - best) <= SAME * truth.rate]] = 1
    return found


def examples_of(wav: Path, other: Path, variant: int, *, is_led: bool) -> Columns | None:
    """Of one recording; before `led` is there what it learns from, then what the others do."""
    truth, _ = heard_of(wav)
    random = np.random.default_rng([variant, zlib.crc32(str(wav).encode())])
    own_rate = truth.rate
    if variant:
        truth = altered(truth, heard_of(other)[0], random)
    padding = int(PADDING * truth.rate)
    signal = Listener(audio_of(truth.samples, truth.rate)).part(-padding, len(truth.samples) + padding)
    if truth.rate != EAR_RATE:
        signal = soxr.resample(signal, truth.rate, EAR_RATE)
    ear = EAR_RATE / truth.rate
    starts, silent = (truth.starts + padding) * ear, (truth.silent + padding) * ear
    truth = replace(
        truth, rate=EAR_RATE, starts=starts, silent=silent, slack=truth.slack * own_rate / truth.rate
    )
    flux, rises = novelty(signal, EAR_RATE), octave_rises(signal, EAR_RATE)
    found = find_candidates(flux, rises, EAR_RATE)
    places, half = middles(truth)
    if not len(found) or not np.isfinite(places).any():
        return None
    logits = logits_of(features_of(found, flux, rises, EAR_RATE), None)
    wanted = likely_of(logits) >= UNLIKELY
    frames, doubts = attacks_of(
        found.places[wanted] * rises.hop, found.heights[wanted], signal, rises, signal, rate=EAR_RATE
    )
    again = doubts > UNSURE_MS
    if not again.any():
        return None
    unsure = Unsure(frames[again], doubts[again], logits[wanted][again])
    away = np.abs(unsure.frames[:, None] - places)
    nearest = np.maximum(away - half, 0).argmin(axis=1)
    middle, half = places[nearest], half[nearest] / EAR_RATE * 1000
    first, weight = labels_of(truth, frames, EAR_RATE)

    def late(at: np.ndarray) -> np.ndarray:
        return (middle - at) / EAR_RATE * 1000

    near = np.abs(late(unsure.frames)) - half < FARTHEST_MS
    if not is_led:
        beside = random.uniform(-BESIDE, BESIDE, len(middle)) * EAR_RATE
        on_it = middle + random.normal(0, AT_ATTACK, len(middle)) * EAR_RATE
        each = [unsure.frames, np.rint(unsure.frames + beside).astype(int), np.rint(on_it).astype(int)]
        heard = [new_around(at, flux, EAR_RATE)[near] for at in each]
        lates = np.concatenate([late(at)[near] for at in each])
        return {"new": np.concatenate(heard).astype(np.float16), "late": lates}
    told = told_of(unsure, flux, EAR_RATE)
    moved = frames.astype(float)
    moved[again] += told[:, -3] * EAR_RATE / 1000
    is_attack = attacks_among(truth, moved)[again]
    counts = (weight[again] > 0) | (is_attack > 0)
    return {
        "told": told.astype(np.float16),
        "late": late(unsure.frames),
        "half": half,
        "is_attack": is_attack,
        "counts": counts,
        "settles": near & ((first[again] > 0) | (is_attack > 0)),
    }


def _examples(task: tuple[Path, Path, int, bool]) -> Columns | None:
    return examples_of(*task[:3], is_led=task[3])


def gathered(sets: list[Path], variants: int, *, is_led: bool) -> Columns:
    wavs = [wav for folder in sets for wav in sorted(folder.glob("*.wav"))]
    random = np.random.default_rng(3)
    others = [wavs[random.integers(len(wavs))] for _ in range(len(wavs) * variants)]
    tasks = [
        (wav, other, place % variants, is_led)
        for place, (wav, other) in enumerate(
            zip((wav for wav in wavs for _ in range(variants)), others, strict=True)
        )
    ]
    with ProcessPoolExecutor(2) as pool:
        every = [each for each in pool.map(_examples, tasks, chunksize=4) if each is not None]
    return {name: np.concatenate([each[name] for each in every]) for name in every[0]}


def kept_with(path: Path, layers: Layers) -> None:
    every: Layers = {**np.load(path), **layers}
    np.savez_compressed(path, allow_pickle=False, **every)


def main() -> None:
    arguments = argparse.ArgumentParser(description=__doc__)
    arguments.add_argument("sets", nargs="+", type=Path)
    arguments.add_argument("--networks", type=Path, default=WEIGHTS)
    arguments.add_argument("--variants", type=int, default=2)
    given = arguments.parse_args()
    common: dict[str, Any] = {
        "early_stopping": True,
        "n_iter_no_change": 5,
        "batch_size": 256,
        "learning_rate_init": 1e-3,
        "random_state": 0,
    }
    sizes: dict[str, Any] = {"hidden_layer_sizes": (64, 32), "alpha": 1e-2, "max_iter": 25}
    heard = gathered(given.sets, given.variants, is_led=False)
    late = np.clip(heard["late"], -MOST_MS, MOST_MS)
    led, _ = fitted("led", MLPRegressor(**sizes, **common), heard["new"].astype(np.float32), late)
    kept_with(given.networks, led)
    heard = gathered(given.sets, given.variants, is_led=True)
    told = heard["told"].astype(np.float32)
    settles, counts = heard["settles"], heard["counts"]
    late = np.clip(heard["late"], -FARTHEST_MS, FARTHEST_MS)[settles]
    settled, guessed = fitted("settled", MLPRegressor(**sizes, **common), told[settles], late)
    left = np.clip(np.abs(late - guessed) - heard["half"][settles], 0, MOST_ERROR_MS)
    doubt = MLPRegressor(hidden_layer_sizes=(16,), alpha=3e-2, max_iter=15, **common)
    unsettled, _ = fitted("unsettled", doubt, told[settles], left)
    judge = MLPClassifier((32, 16), alpha=3e-2, max_iter=14, **common)
    amended, _ = fitted("amended", judge, told[counts], heard["is_attack"][counts])
    kept_with(given.networks, {**settled, **unsettled, **amended})


if __name__ == "__main__":
    main()
