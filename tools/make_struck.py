"""Performances on instruments that were never built: `python tools/make_struck.py OUT [--seed 1]`.

Struck bodies, plucked strings, bowed tones and bursts of noise of random make, in random rhythms, some in a
room, with exact truth in the form that `tools/train_onsets.py` reads. They keep the onset networks from
learning the sounds of one sound bank only.
"""

import argparse
import json
from pathlib import Path

import numpy as np
import soundfile

from make_demo import RATE, Wave, burst, in_room, modal, plucked, stairwell

SECONDS = 12.0
KINDS = {"body": "drums", "noise": "drums", "bell": "keys", "string": "guitar", "bowed": "soft"}


def one_shot(kind: str, random: np.random.Generator, pitch: float) -> Wave:
    if kind == "noise":
        low = random.uniform(60, 4000)
        return burst(random, low, min(20000, low * random.uniform(2, 8)), random.uniform(0.005, 0.15), 0.6)
    if kind == "string":
        return plucked(random, pitch, random.uniform(0.6, 1.6), random.uniform(0.985, 0.999))
    if kind == "bowed":
        length = int(random.uniform(0.4, 1.2) * RATE)
        time = np.arange(length) / RATE
        wobble = 1 + 0.006 * np.sin(2 * np.pi * random.uniform(4, 7) * time) * np.minimum(1, time / 0.3)
        phase = 2 * np.pi * pitch * np.cumsum(wobble) / RATE
        tone = sum(
            np.sin(k * phase + random.uniform(0, 6)) / k ** random.uniform(0.8, 1.6) for k in range(1, 9)
        )
        rise, fall = random.uniform(0.02, 0.12), random.uniform(0.04, 0.15)
        return tone * np.minimum(1, time / rise) * np.minimum(1, (time[-1] - time) / fall)
    count = int(random.integers(3, 9))
    longest = 0.12 if kind == "body" else random.uniform(0.3, 1.0)
    spread = np.sort(np.concatenate([[1.0], random.uniform(1.2, 9, count)]))
    modes = [
        (pitch * k, random.uniform(0.1, 1) / k**0.5, longest * random.uniform(0.2, 1) / k**0.4)
        for k in spread
    ]
    struck = modal(
        [m for m in modes if m[0] < 18000], min(2.0, 6 * longest), random.uniform(0, 1.5) * (kind == "body")
    )
    return (
        struck + random.uniform(0, 0.6) * burst(random, 900, 9000, 0.006, len(struck) / RATE)[: len(struck)]
    )


def starts_of(sound: Wave, *, is_soft: bool) -> tuple[int, float]:
    """Frame of the attack, slack in ms: -40 to -20 dB of the first 60 ms, soft ones -20 to -10 of 300."""
    level = np.abs(sound[: int(0.8 * RATE)])
    if is_soft:
        size = int(0.005 * RATE)
        level = np.sqrt(np.convolve(level**2, np.ones(size) / size, "same"))
    first = int((level >= level.max() * 1e-3).argmax())
    peak = level[first : first + int((0.3 if is_soft else 0.06) * RATE)].max()
    low, high = (0.1, 0.316) if is_soft else (0.01, 0.1)
    start = first + int((level[first:] >= peak * low).argmax())
    end = first + int((level[first:] >= peak * high).argmax())
    return start, min(40.0, (end - start) / RATE * 1000)


def performance(random: np.random.Generator, kind: str) -> tuple[Wave, list[dict[str, float | int | None]]]:
    step = 60 / random.uniform(70, 170) / random.choice([1, 2, 2, 4])
    total = int(SECONDS * RATE)
    wave, events, moment = np.zeros(total), [], random.uniform(0.0, 0.5)
    base = random.uniform(50, 300) if kind == "body" else random.uniform(60, 900)
    while moment < SECONDS - 1.0:
        pitch = (
            base * 2 ** (random.integers(0, 13) / 12)
            if kind != "body"
            else base * random.choice([1, 1.5, 2.3])
        )
        sound = one_shot(kind, random, pitch)
        if kind == "bowed":
            sound = sound[: int(max(0.15, step * 4) * RATE)] if step * 4 * RATE < len(sound) else sound
        attack, slack = starts_of(sound, is_soft=kind == "bowed")
        gain = random.uniform(0.15, 1.0) if kind != "bowed" else random.uniform(0.5, 1.0)
        at = int(moment * RATE)
        end = min(total, at + len(sound))
        wave[at:end] += gain * sound[: end - at] / np.abs(sound).max()
        is_soft = kind == "bowed"
        event = {"sample": at + attack, "slack_ms": slack, "masked": False, "orn": None, "soft": is_soft}
        events.append(event)
        gap = (
            step * random.choice([1, 1, 2, 3])
            if kind != "bowed"
            else max(0.2, step * random.choice([3, 4, 6]))
        )
        moment += max(0.06, gap + random.normal(0, 0.006))
    return wave, events


def main() -> None:
    arguments = argparse.ArgumentParser(description=__doc__)
    arguments.add_argument("out", type=Path)
    arguments.add_argument("--seed", type=int, default=1)
    arguments.add_argument("--count", type=int, default=80)
    given = arguments.parse_args()
    given.out.mkdir(parents=True, exist_ok=True)
    for number in range(given.count):
        random = np.random.default_rng([given.seed, number])
        kind = list(KINDS)[number % len(KINDS)]
        wave, events = performance(random, kind)
        sound = wave[:, None]
        if random.random() < 0.5:
            sound = np.stack([wave, wave], axis=1) + random.uniform(0.1, 0.5) * in_room(
                wave, stairwell(random, 1.0)
            )
        sound = 0.8 * sound / np.abs(sound).max() + random.standard_normal(sound.shape) * 2e-5
        soundfile.write(given.out / f"{kind}_{number}.wav", sound, RATE, subtype="PCM_16")
        onsets = [
            {**event, "alt": [event["sample"]], "alt_slack_ms": [event["slack_ms"]]} for event in events
        ]
        truth = {
            "samplerate": RATE,
            "category": KINDS[kind],
            "seconds": SECONDS,
            "events": events,
            "onsets": onsets,
        }
        (given.out / f"{kind}_{number}.json").write_text(json.dumps(truth))


if __name__ == "__main__":
    main()
