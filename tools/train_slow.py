"""Weights of the networks that hear unsure attacks again, from generated performances with exact truth.

    python tools/train_slow.py SET... [--keep FOLDER]

SET as for `tools/train_onsets.py`, which has made the other networks of the shipped file before: what those
are not sure of is heard here. `led` learns where the attack is from places up to 25 ms beside it. With it all
are heard once more, and `settled`, `unsettled` and `amended` learn where the attack is, how far off that may
be, and whether there is one, each drawn twice and joined. Sets with many slow attacks serve best
(`tools/make_sets.py --varied`); of the others `--once` hears each altered only.
"""

import argparse
import pickle
import tempfile
import zlib
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass, replace
from pathlib import Path
from typing import Any

import numpy as np
import soxr
from sklearn.neural_network import MLPClassifier, MLPRegressor

from alter import Heard, altered
from chronotome.dsp.audio import audio_of
from chronotome.dsp.network import Network, network
from chronotome.dsp.onsets.candidates import features_of, find_candidates
from chronotome.dsp.onsets.detection import EAR_RATE, UNLIKELY, attacks_of, likely_of, logits_of
from chronotome.dsp.onsets.detectors import MATERIALS
from chronotome.dsp.onsets.listener import Listener
from chronotome.dsp.onsets.novelty import Low, novelty
from chronotome.dsp.onsets.rises import octave_rises
from chronotome.dsp.onsets.slow import MOST_SETTLED, SAME, UNSURE_MS, Unsure, new_around, settled_of, told_of
from join_networks import joined
from train_onsets import (
    NEAR,
    NEAR_SOFT,
    PADDING,
    SAME_ATTACK,
    UNKNOWN_SHARE,
    WEIGHTS,
    Layers,
    fitted,
    heard_of,
    labels_of,
    material_of,
)

BESIDE, AT_ATTACK = 0.025, 0.003
MOST_MS, MOST_ERROR_MS, FARTHEST_MS = 35.0, 20.0, 40.0
DRAWINGS = (0, 1)
Columns = dict[str, np.ndarray]


@dataclass(frozen=True, eq=False)
class Take:
    """What is unsure in one recording: all candidates and which are, with the sound at a low rate and truth.

    `late` are ms from each of `which` to the middle of its attack, `half` ms from there to its ends.
    """

    every: Unsure
    which: np.ndarray
    low: Low
    truth: Heard
    material: np.ndarray
    late: np.ndarray
    half: np.ndarray
    first: np.ndarray
    weight: np.ndarray

    @property
    def near(self) -> np.ndarray:
        return np.abs(self.late) - self.half < FARTHEST_MS


def middles(truth: Heard) -> tuple[np.ndarray, np.ndarray]:
    """Frames: the middle of each attack, and half its length; infinite where it cannot be heard alone."""
    half = truth.slack * truth.rate / 2
    heard = ~truth.masked & ~truth.strum
    return np.where(heard, truth.starts + half, np.inf), half


def attacks_among(truth: Heard, frames: np.ndarray) -> np.ndarray:
    """1 for the candidate nearest to the middle of each attack, and for those that are one with it."""
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


def take_of(wav: Path, other: Path, variant: int) -> Take | None:
    truth, facts = heard_of(wav)
    own_rate = truth.rate
    if variant:
        truth = altered(truth, heard_of(other)[0], np.random.default_rng([variant, crc(wav)]))
    padding = int(PADDING * truth.rate)
    signal = Listener(audio_of(truth.samples, truth.rate)).part(-padding, len(truth.samples) + padding)
    if truth.rate != EAR_RATE:
        signal = soxr.resample(signal, truth.rate, EAR_RATE)
    ear = EAR_RATE / truth.rate
    truth = replace(
        truth,
        samples=truth.samples[:0],
        rate=EAR_RATE,
        starts=(truth.starts + padding) * ear,
        silent=(truth.silent + padding) * ear,
        slack=truth.slack * own_rate / truth.rate,
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
    which = np.flatnonzero(doubts > UNSURE_MS)
    if not len(which):
        return None
    nearest = np.maximum(np.abs(frames[which, None] - places) - half, 0).argmin(axis=1)
    kind = material_of(wav.stem, facts["category"])
    first, weight = labels_of(truth, frames, EAR_RATE)
    return Take(
        Unsure(frames, doubts, logits[wanted]),
        which,
        flux.low,
        truth,
        np.array([each is kind for each in MATERIALS], np.float32),
        (places[nearest] - frames[which]) / EAR_RATE * 1000,
        half[nearest] / EAR_RATE * 1000,
        first[which],
        weight[which],
    )


def crc(wav: Path) -> int:
    return zlib.crc32(str(wav).encode())


def keep(task: tuple[Path, Path, int, Path]) -> None:
    wav, other, variant, file = task
    take = None if file.exists() else take_of(wav, other, variant)
    if take is not None:
        file.write_bytes(pickle.dumps(take))


def read(file: Path) -> Take:
    take: Take = pickle.loads(file.read_bytes())  # noqa: S301 - written by this very program
    return take


def beside(file: Path) -> Columns:
    """What is new around each frame, around a place beside it, and at the attack; with ms to the attack."""
    take = read(file)
    if not take.near.any():
        return {}
    random = np.random.default_rng(crc(file))
    frames = take.every.frames[take.which]
    middle = frames + take.late * (EAR_RATE / 1000)
    places = [
        frames,
        frames + random.uniform(-BESIDE, BESIDE, len(frames)) * EAR_RATE,
        middle + random.normal(0, AT_ATTACK, len(frames)) * EAR_RATE,
    ]
    new, late = [], []
    for each in (np.rint(at[take.near]).astype(np.int64) for at in places):
        new.append(new_around(each, take.low, EAR_RATE).astype(np.float16))
        late.append((middle[take.near] - each) / EAR_RATE * 1000)
    return {"new": np.concatenate(new), "late": np.concatenate(late)}


def again(file: Path) -> np.ndarray:
    take = read(file)
    return told_of(take.every.chosen(take.which), take.low, EAR_RATE).astype(np.float16)


def held(layers: Layers, name: str) -> Network:
    count = sum(key.startswith(f"{name}.weights") for key in layers)
    return Network(
        layers[f"{name}.mean"],
        layers[f"{name}.scale"],
        tuple(layers[f"{name}.weights{each}"].astype(np.float32) for each in range(count)),
        tuple(layers[f"{name}.biases{each}"] for each in range(count)),
    )


def drawn(name: str, inputs: np.ndarray, wanted: np.ndarray, **settings: Any) -> Layers:
    """A network drawn as often as `DRAWINGS`, joined."""
    kind = MLPClassifier if name == "amended" else MLPRegressor
    common: dict[str, Any] = {
        "early_stopping": True,
        "n_iter_no_change": 5,
        "batch_size": 256,
        "learning_rate_init": 1e-3,
        **settings,
    }
    one, *others = (fitted(name, kind(random_state=seed, **common), inputs, wanted)[0] for seed in DRAWINGS)
    for other in others:
        one = joined(name, one, other)
    kept_with(one)
    return one


def kept_with(layers: Layers) -> None:
    every: Layers = {**np.load(WEIGHTS), **layers}
    np.savez_compressed(WEIGHTS, allow_pickle=False, **every)
    network.cache_clear()


def judge(takes: list[Take], told: list[np.ndarray], settled: Network, unsettled: Network) -> None:
    """Learn from all that is known of each whether it is an attack; of some the material is not told."""
    random = np.random.default_rng(0)
    inputs, wanted = [], []
    for take, each in zip(takes, told, strict=True):
        known = each.astype(np.float32)
        ways = np.clip(settled(known)[:, 0], -MOST_SETTLED, MOST_SETTLED)
        more = settled_of(take.every, take.which, ways, unsettled(known)[:, 0], EAR_RATE)
        moved = take.every.frames.astype(float)
        moved[take.which] += ways * EAR_RATE / 1000
        is_attack = attacks_among(take.truth, moved)[take.which]
        counts = (take.weight > 0) | (is_attack > 0)
        is_told = random.random((len(known), 1)) > UNKNOWN_SHARE
        inputs.append(np.concatenate([known, more, is_told * take.material], axis=1)[counts])
        wanted.append(is_attack[counts])
    examples = np.concatenate(inputs).astype(np.float32)
    drawn("amended", examples, np.concatenate(wanted), hidden_layer_sizes=(32, 16), alpha=3e-2, max_iter=14)


def train(folder: Path) -> None:
    files = sorted(folder.glob("*.pkl"))
    with ProcessPoolExecutor(2) as pool:
        heard = [each for each in pool.map(beside, files, chunksize=8) if each]
    new, late = (np.concatenate([each[name] for each in heard]) for name in ("new", "late"))
    sizes: dict[str, Any] = {"hidden_layer_sizes": (64, 32), "alpha": 1e-2, "max_iter": 25}
    drawn("led", new.astype(np.float32), np.clip(late, -MOST_MS, MOST_MS), **sizes)
    del heard, new
    with ProcessPoolExecutor(2) as pool:
        told = list(pool.map(again, files, chunksize=8))
    silence = Low(np.zeros(0, np.float32), 1)
    takes = [replace(read(file), low=silence) for file in files]
    settles = np.concatenate([take.near & (take.first > 0) for take in takes])
    late, half = (np.concatenate([getattr(take, name) for take in takes]) for name in ("late", "half"))
    late, half = np.clip(late, -FARTHEST_MS, FARTHEST_MS)[settles], half[settles]
    every = np.concatenate(told).astype(np.float32)[settles]
    settled = held(drawn("settled", every, late, **sizes), "settled")
    left = np.clip(np.abs(late - settled(every)[:, 0]) - half, 0, MOST_ERROR_MS)
    few = {"hidden_layer_sizes": (16,), "alpha": 3e-2, "max_iter": 15}
    unsettled = held(drawn("unsettled", every, left, **few), "unsettled")
    del every
    judge(takes, told, settled, unsettled)


def main() -> None:
    arguments = argparse.ArgumentParser(description=__doc__)
    arguments.add_argument("sets", nargs="+", type=Path)
    arguments.add_argument("--once", nargs="*", default=[], type=Path, help="sets heard only altered")
    arguments.add_argument("--variants", type=int, default=2)
    arguments.add_argument("--keep", type=Path, help="keep what was heard here, or take it from here")
    given = arguments.parse_args()
    wavs = [
        (wav, variant)
        for sets, variants in ((given.sets, range(given.variants)), (given.once, range(1, 2)))
        for folder in sets
        for wav in sorted(folder.glob("*.wav"))
        for variant in variants
    ]
    random = np.random.default_rng(3)
    with tempfile.TemporaryDirectory() as scratch:
        folder = given.keep or Path(scratch)
        folder.mkdir(exist_ok=True)
        tasks = [
            (wav, wavs[random.integers(len(wavs))][0], variant, folder / f"{crc(wav)}-{variant}.pkl")
            for wav, variant in wavs
        ]
        with ProcessPoolExecutor(2) as pool:
            for done, _ in enumerate(pool.map(keep, tasks, chunksize=4), 1):
                if done % 100 == 0:
                    print(f"{done} of {len(tasks)} heard", flush=True)
        train(folder)


if __name__ == "__main__":
    main()
