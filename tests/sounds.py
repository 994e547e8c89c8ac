"""Signals whose truth is known."""

from dataclasses import dataclass
from pathlib import Path

import numpy as np
import soundfile
from numpy.typing import NDArray

from chronotome.dsp.audio import Audio, Samples, audio_of

RATE = 44100


@dataclass(frozen=True, eq=False)
class ClickTrain:
    audio: Audio
    frames: NDArray[np.int64]


def noise_hits(
    frames: list[int],
    total: int,
    *,
    rate: int = RATE,
    channels: int = 1,
    loudness: list[float] | None = None,
    decay: float = 0.02,
    seed: int = 1,
) -> Samples:
    """Bursts of noise that start exactly at `frames`, over a floor of -94 dB."""
    random = np.random.default_rng(seed)
    sound = random.standard_normal((total, channels)) * 2e-5
    levels = loudness or [0.7] * len(frames)
    length = int(6 * decay * rate)
    for frame, level in zip(frames, levels, strict=True):
        count = min(length, total - frame)
        burst = random.standard_normal((count, 1)) * np.exp(-np.arange(count) / (decay * rate))[:, None]
        sound[frame : frame + count] += level * burst / 3
    return sound.astype(np.float32)


def click_train(frames: list[int], total: int, *, rate: int = RATE, channels: int = 1) -> ClickTrain:
    return ClickTrain(
        audio_of(noise_hits(frames, total, rate=rate, channels=channels), rate), np.array(frames)
    )


def steady_hits(
    beats_per_minute: float,
    beats: int,
    *,
    rate: int = RATE,
    lead: float = 0.25,
    per_beat: int = 2,
    spread: float = 0.0,
    seed: int = 3,
) -> ClickTrain:
    """Hits on a grid, accented on the beat, each off by a normal spread in seconds."""
    random = np.random.default_rng(seed)
    step = 60 / beats_per_minute / per_beat
    moments = lead + np.arange(beats * per_beat) * step
    moments[1:] += random.normal(0, spread, len(moments) - 1) if spread else 0
    frames = [round(moment * rate) for moment in moments]
    total = round((lead + beats * per_beat * step) * rate)
    levels = [0.9 if place % per_beat == 0 else 0.4 for place in range(len(frames))]
    samples = noise_hits(frames, total, rate=rate, loudness=levels)
    return ClickTrain(audio_of(samples, rate), np.array(frames))


def sine(
    frequency: float, seconds: float, *, rate: int = RATE, channels: int = 1, level: float = 0.5
) -> Samples:
    wave = level * np.sin(2 * np.pi * frequency * np.arange(int(seconds * rate)) / rate)
    return np.repeat(wave[:, None], channels, axis=1).astype(np.float32)


def write(path: Path, samples: Samples, *, rate: int = RATE, subtype: str = "PCM_24") -> Path:
    container = "OGG" if path.suffix == ".opus" else None
    soundfile.write(path, samples, rate, subtype=subtype, format=container)
    return path


def highest_pitch(samples: Samples, rate: int) -> float:
    """Frequency of the strongest partial, by parabolic interpolation."""
    window = np.hanning(len(samples))
    spectrum = np.log(np.abs(np.fft.rfft(samples[:, 0] * window)) + 1e-12)
    peak = int(spectrum[1:-1].argmax()) + 1
    left, middle, right = spectrum[peak - 1 : peak + 2]
    return float((peak + 0.5 * (left - right) / (left - 2 * middle + right)) * rate / len(samples))
