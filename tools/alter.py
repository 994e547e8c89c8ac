"""What happens to recordings before somebody opens them: rooms, bleed, glue, codecs. For training only.

Every function takes a `Heard` (samples with what is true of them) and a random generator, and gives another.
"""

import tempfile
from collections.abc import Callable
from dataclasses import dataclass, replace
from pathlib import Path
from typing import Any

import numpy as np
import scipy.fft
import scipy.signal
import soundfile
from numpy.typing import NDArray
from scipy.ndimage import uniform_filter1d

Samples = NDArray[np.float32]
LEAST_APART = 0.08
LIKELY = 0.3
HEARD_DB = 3.0
"""By how much a stroke is above the rest in its best octave, to be one that must be found."""
WRITTEN_AT_ONCE = 16384


@dataclass(frozen=True, eq=False)
class Heard:
    """Samples (frames, channels), with what is true of them.

    `starts` of events in frames, with their slack in seconds; `silent` are frames of what may be
    found or not. Rows of starts, slack, masked, strum and soft belong together.
    """

    samples: Samples
    rate: int
    starts: NDArray[np.float64]
    slack: NDArray[np.float64]
    masked: NDArray[np.bool_]
    strum: NDArray[np.bool_]
    soft: NDArray[np.bool_]
    silent: NDArray[np.float64]

    def moved(self, places: NDArray[np.float64], silent: NDArray[np.float64], samples: Samples) -> "Heard":
        """The events at other places; those that are not a number are gone."""
        stays = np.isfinite(places)
        rows = {name: getattr(self, name)[stays] for name in ("slack", "masked", "strum", "soft")}
        return replace(
            self, samples=samples, starts=places[stays], silent=silent[np.isfinite(silent)], **rows
        )


Alteration = Callable[[Heard, np.random.Generator], Heard]


def coloured(random: np.random.Generator, frames: int, rate: int) -> NDArray[np.float64]:
    """Noise of a random slope, swelling slowly, its root mean square 1."""
    size = scipy.fft.next_fast_len(frames)
    spectrum = scipy.fft.rfft(random.standard_normal(size))
    slope = random.uniform(0, 1.2)
    spectrum *= np.maximum(scipy.fft.rfftfreq(size, 1 / rate), 30) ** -slope
    noise = scipy.fft.irfft(spectrum, size)[:frames]
    points = max(2, int(frames / rate * random.uniform(0.5, 6)))
    swell = np.interp(
        np.arange(frames), np.linspace(0, frames, points), random.normal(0, random.uniform(0, 6), points)
    )
    noise = noise * 10 ** (swell / 20)
    return noise / np.sqrt(np.mean(noise**2) + 1e-20)


def levels_at(
    samples: Samples, starts: NDArray[np.float64], rate: int, seconds: float
) -> NDArray[np.float64]:
    """Peak of so many seconds from each start on."""
    level = np.abs(samples).max(axis=1)
    length = int(seconds * rate)
    return np.array([float(level[int(at) : int(at) + length].max(initial=0.0)) for at in starts])


def with_noise(heard: Heard, random: np.random.Generator) -> Heard:
    """Room noise at any level; what drowns in it may be found or not."""
    count, channels = heard.samples.shape
    level = 10 ** (random.uniform(-75, -30) / 20) * float(np.abs(heard.samples).max())
    noise = coloured(random, count, heard.rate)
    if channels > 1 and random.random() < 0.5:
        both = np.stack([coloured(random, count, heard.rate) for _ in range(channels)], axis=1)
    else:
        both = np.repeat(noise[:, None], channels, axis=1)
    bright = np.diff(heard.samples, axis=0, prepend=0)
    is_loud = levels_at(heard.samples, heard.starts, heard.rate, 0.04) > 4 * level
    is_loud |= levels_at(bright, heard.starts, heard.rate, 0.04) > 4 * level * float(np.std(np.diff(noise)))
    samples = (heard.samples + level * both).astype(np.float32)
    return replace(heard, samples=samples, masked=heard.masked | ~is_loud)


def with_swells(heard: Heard, random: np.random.Generator) -> Heard:
    """Breath, sticks and rooms before strokes: faint noise that rises until the stroke."""
    samples = heard.samples.copy()
    peaks = levels_at(heard.samples, heard.starts, heard.rate, 0.05)
    for at, peak, is_soft in zip(heard.starts.tolist(), peaks.tolist(), heard.soft.tolist(), strict=True):
        if is_soft or random.random() > LIKELY:
            continue
        length = int(random.uniform(0.008, 0.045) * heard.rate)
        start = int(at) - length
        if start < 0:
            continue
        envelope = np.linspace(0, 1, length) ** random.uniform(0.3, 3)
        low = random.uniform(60, 3000)
        edges = (low, min(0.45 * heard.rate, low * random.uniform(2, 12)))
        noise = random.standard_normal(length + 400)
        noise = scipy.signal.sosfilt(
            scipy.signal.butter(2, edges, "bandpass", fs=heard.rate, output="sos"), noise
        )[400:]
        noise /= np.abs(noise).max() + 1e-9
        level = peak * 10 ** (random.uniform(-50, -20) / 20)
        samples[start : int(at)] += (level * envelope * noise)[:, None].astype(np.float32)
    return replace(heard, samples=samples)


def with_gaps(heard: Heard, random: np.random.Generator) -> Heard:
    """Silence just before strokes, as where slices were cut and laid anew."""
    samples = heard.samples.copy()
    order = np.argsort(heard.starts)
    before = -1e9
    for at in heard.starts[order].tolist():
        gap = int(random.choice([0.003, 0.006, 0.01, 0.02, 0.03]) * random.uniform(0.7, 1.3) * heard.rate)
        end = int(at) - int(random.choice([0, 0, 0.0002, 0.001]) * heard.rate)
        if at - before > LEAST_APART * heard.rate + gap and random.random() < 0.5 and end > gap:
            fade = max(1, int(random.choice([0.0, 0.0005, 0.003]) * heard.rate))
            samples[end - gap : end] = 0
            start = max(0, end - gap - fade)
            samples[start : end - gap] *= np.linspace(1, 0, end - gap - start)[:, None].astype(np.float32)
        before = at
    return replace(heard, samples=samples)


def glued(heard: Heard, random: np.random.Generator) -> Heard:
    """Slices from stroke to stroke in another order, their tails cut or a gap left between them."""
    cuts: list[float] = []
    for at in np.sort(heard.starts[~heard.soft & ~heard.strum]).tolist():
        if not cuts or at - cuts[-1] > LEAST_APART * heard.rate:
            cuts.append(at)
    if len(cuts) < 8:
        return heard
    early = int(random.choice([0, 0.0005, 0.002]) * heard.rate)
    edges = np.array([max(0, int(at) - early) for at in cuts] + [len(heard.samples)])
    order = random.permutation(len(cuts))
    places, silent = np.full(len(heard.starts), np.nan), np.full(len(heard.silent), np.nan)
    parts: list[Samples] = []
    total = 0
    for each in order.tolist():
        start, end = int(edges[each]), int(edges[each + 1])
        cut = min(end - start - 1, int(random.choice([0, 0.002, 0.006, 0.02]) * heard.rate))
        kept = heard.samples[start : end - cut].copy()
        fade = min(len(kept), 1 + int(random.choice([0, 0.001, 0.004]) * heard.rate))
        kept[-fade:] *= np.linspace(1, 0, fade)[:, None].astype(np.float32)
        gap = np.zeros((int(random.choice([0, 0.003, 0.006, 0.015]) * heard.rate), kept.shape[1]), np.float32)
        for known, now in ((heard.starts, places), (heard.silent, silent)):
            inside = (known >= start) & (known < start + len(kept) - 0.01 * heard.rate)
            now[inside] = known[inside] - start + total
        parts.extend([kept, gap])
        total += len(kept) + len(gap)
    return heard.moved(places, silent, np.concatenate(parts))


def with_bleed(heard: Heard, other: Heard, random: np.random.Generator) -> Heard:
    """Another instrument in the same room, dull and faint; its strokes may be found or not."""
    count = len(heard.samples)
    sound = np.resize(other.samples.mean(axis=1), count)
    dull = scipy.signal.butter(1, random.uniform(800, 8000), fs=heard.rate, output="sos")
    sound = scipy.signal.sosfilt(dull, sound)
    level = 10 ** (random.uniform(-45, -18) / 20) * np.abs(heard.samples).max() / (np.abs(sound).max() + 1e-9)
    rounds = np.arange(0, count, len(other.samples))
    silent = (rounds[:, None] + other.starts[None]).ravel()
    samples = (heard.samples + level * sound[:, None]).astype(np.float32)
    return replace(heard, samples=samples, silent=np.concatenate([heard.silent, silent[silent < count]]))


def octave_powers(samples: Samples, starts: NDArray[np.float64], rate: int) -> NDArray[np.float64]:
    """Power per octave in the 20 ms from each start on, shape (starts, octaves)."""
    size = int(0.02 * rate)
    mono = np.pad(samples.mean(axis=1), (0, size))
    places = np.clip(starts.astype(int), 0, len(samples) - 1)
    rows = mono[places[:, None] + np.arange(size)] * np.hanning(size)
    power = np.abs(scipy.fft.rfft(rows, axis=1)) ** 2
    octave = np.log2(np.maximum(scipy.fft.rfftfreq(size, 1 / rate), 40) / 40).astype(int)
    return np.stack([power[:, octave == each].sum(axis=1) for each in range(9)], axis=1) + 1e-12


def layered(heard: Heard, other: Heard, random: np.random.Generator) -> Heard:
    """Played together with another instrument, which may be much fainter: what can be heard of it counts."""
    count, channels = heard.samples.shape
    if other.rate != heard.rate:
        return heard
    alone = np.zeros((count, channels), np.float32)
    used = min(count, len(other.samples))
    alone[:used] = other.samples[:used].mean(axis=1, keepdims=True)
    if random.random() < LIKELY:
        high = scipy.signal.butter(2, random.uniform(1500, 6000), "high", fs=heard.rate, output="sos")
        alone = scipy.signal.sosfilt(high, alone, axis=0).astype(np.float32)
    level = 10 ** (random.uniform(-36, 3) / 20) * np.abs(heard.samples).max() / (np.abs(alone).max() + 1e-9)
    alone *= np.float32(level)
    there = other.starts < used - 0.03 * heard.rate
    drowned = []
    for own, rest, starts in (
        (heard.samples, alone, heard.starts),
        (alone, heard.samples, other.starts[there]),
    ):
        powers = octave_powers(own, starts, heard.rate), octave_powers(rest, starts, heard.rate)
        ratio = 10 * np.log10(powers[0] / powers[1])
        ratio[powers[0] < powers[0].max(axis=1, keepdims=True) * 10**-2.5] = -np.inf
        drowned.append(ratio.max(axis=1) < HEARD_DB)
    joined: dict[str, Any] = {
        name: np.concatenate([getattr(heard, name), getattr(other, name)[there]])
        for name in ("starts", "slack", "strum", "soft")
    }
    masked = np.concatenate([heard.masked | drowned[0], other.masked[there] | drowned[1]])
    silent = np.concatenate([heard.silent, other.silent[other.silent < used]])
    samples = (heard.samples + alone).astype(np.float32)
    return replace(heard, samples=samples, masked=masked, silent=silent, **joined)


def in_a_room(heard: Heard, random: np.random.Generator) -> Heard:
    length = random.uniform(0.1, 0.6)
    fall = np.exp(-np.arange(int(length * heard.rate)) / heard.rate / (length / 5))
    answer = random.standard_normal(len(fall)) * fall
    answer[: int(random.uniform(0.001, 0.01) * heard.rate)] = 0
    wet = scipy.signal.fftconvolve(heard.samples, answer[:, None], axes=0)[: len(heard.samples)]
    wet *= 10 ** (random.uniform(-24, -8) / 20) * np.abs(heard.samples).max() / (np.abs(wet).max() + 1e-9)
    return replace(heard, samples=(heard.samples + wet).astype(np.float32))


def tinted(heard: Heard, random: np.random.Generator) -> Heard:
    """Another tone: a tilt, perhaps without lows or highs."""
    samples = heard.samples.astype(np.float64)
    tilt, pivot = random.uniform(-9, 9), random.uniform(300, 3000)
    low = scipy.signal.sosfilt(scipy.signal.butter(1, pivot, fs=heard.rate, output="sos"), samples, axis=0)
    samples = low * 10 ** (-tilt / 20) + (samples - low) * 10 ** (tilt / 20)
    if random.random() < LIKELY:
        edge, kind = random.choice([(random.uniform(60, 300), "high"), (random.uniform(3500, 9000), "low")])
        sos = scipy.signal.butter(2, float(edge), str(kind), fs=heard.rate, output="sos")
        samples = scipy.signal.sosfilt(sos, samples, axis=0)
    return replace(heard, samples=samples.astype(np.float32))


def pressed(heard: Heard, random: np.random.Generator) -> Heard:
    """Driven or compressed: what is faint comes nearer to what is loud."""
    samples = heard.samples / (np.abs(heard.samples).max() + 1e-9)
    if random.random() < 0.5:
        return replace(heard, samples=np.tanh(samples * random.uniform(1.5, 5)).astype(np.float32))
    size = int(random.uniform(0.003, 0.03) * heard.rate)
    level = np.sqrt(np.maximum(uniform_filter1d((samples**2).mean(axis=1), size), 0))
    gain = (level + 0.01) ** -random.uniform(0.2, 0.6)
    return replace(heard, samples=(samples * gain[:, None]).astype(np.float32))


def coded(heard: Heard, random: np.random.Generator) -> Heard:
    """Through a lossy codec and back; these ones keep every frame in its place."""
    kind, subtype, suffix = (("MP3", "MPEG_LAYER_III", ".mp3"), ("OGG", "VORBIS", ".ogg"))[
        int(random.integers(2))
    ]
    if heard.rate not in {44100, 48000}:
        return heard
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / f"take{suffix}"
        channels, level = heard.samples.shape[1], float(random.uniform(0.4, 0.8))
        with soundfile.SoundFile(
            path, "w", heard.rate, channels, subtype, format=kind, compression_level=level
        ) as file:
            for start in range(0, len(heard.samples), WRITTEN_AT_ONCE):  # more at once crash the library
                file.write(heard.samples[start : start + WRITTEN_AT_ONCE])
        back, _ = soundfile.read(path, dtype="float32", always_2d=True)
    whole = np.zeros_like(heard.samples)
    count = min(len(whole), len(back))
    whole[:count] = back[:count]
    return replace(heard, samples=whole)


def later(heard: Heard, random: np.random.Generator) -> Heard:
    """Some frames later, so that no hop lies where it lay."""
    by = int(random.integers(1, 4000))
    samples = np.concatenate([np.zeros((by, heard.samples.shape[1]), np.float32), heard.samples])
    return heard.moved(heard.starts + by, heard.silent + by, samples)


def at_another_speed(heard: Heard, random: np.random.Generator) -> Heard:
    """Faster or slower, higher or lower: the rate is called something else."""
    return replace(heard, rate=round(heard.rate * 2 ** random.uniform(-0.45, 0.4)))


def altered(heard: Heard, other: Heard, random: np.random.Generator) -> Heard:
    """A random chain of what may have happened, in the order in which it would."""
    chances: list[tuple[float, Alteration]] = [
        (0.3, lambda it, chance: layered(it, other, chance)),
        (0.25, with_swells),
        (0.15, in_a_room),
        (0.2, lambda it, chance: with_bleed(it, other, chance)),
        (0.6, with_noise),
        (0.5, tinted),
        (0.2, pressed),
        (0.15, with_gaps),
        (0.15, glued),
        (1.0, later),
        (0.2, coded),
        (0.7, at_another_speed),
    ]
    if random.random() < LIKELY:  # a chopped loop under something that was not chopped
        other = (with_gaps if random.random() < 0.5 else glued)(other, random)
    for chance, change in chances:
        if random.random() < chance:
            heard = change(heard, random)
    return heard
