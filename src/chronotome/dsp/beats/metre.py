"""Which steps are beats and which beats start a bar: every likely answer is judged by how its bar sounds.

For each relation of the beat to the first guess, each number of beats in a bar and each place where bars may
start, the onsets are folded into one bar. Small networks, made by `tools/train_beats.py` from generated
grooves, say how likely a bar is that sounds like this; a softmax over all of them gives confidences.
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy.ndimage import gaussian_filter1d

from chronotome.dsp.beats.pacing import Pacing
from chronotome.dsp.beats.tempo import ALL, LOW, Weights
from chronotome.dsp.network import beat_networks
from chronotome.units import SecondsArray

RATIOS = (1 / 3, 0.5, 2 / 3, 0.75, 1.0, 1.25, 4 / 3, 1.5, 2.0, 2.5, 3.0)
"""Length of a beat in steps of the first guess."""
TEMPI = {2: (38.0, 100.0), 3: (60.0, 230.0), 4: (48.0, 215.0), 5: (70.0, 215.0), 7: (150.0, 330.0)}
"""Beats in a bar, and the tempi at which they are considered. Two are 6/8, seven are 7/8."""
COMMON = {2: 0.8, 3: 0.8, 4: 1.0, 5: 0.3, 7: 0.2}
"""How common a metre is in what people record, against how common it was where the networks learned."""
PER_BEAT = 48
PLACES = np.array([0, 8, 12, 14, 16, 24, 29, 32, 36, 38, 40])
"""Forty-eighths of a beat at which the folded bar is looked at: straight, swung and triplet places."""
STARTS = np.array([0, 8, 12, 14, 16, 24, 29, 32, 36, 38, 40])
"""Forty-eighths of a step by which beats may be off the first guess."""
TIMING = 0.018
STRONG = 0.4
PER_STEP = 24
CLOSE = 0.06
Rises = NDArray[np.float64]
Features = NDArray[np.float32]


@dataclass(frozen=True, eq=False)
class BarHypotheses:
    """Answers that share the length of a beat and of a bar.

    Invariants: `starts` are steps at which a bar may start, less than a bar from 0; one row of `features` for
    each.
    """

    ratio: float
    beats: int
    starts: SecondsArray
    features: Features


@dataclass(frozen=True)
class Candidate:
    """A length of the beat and how likely it is."""

    ratio: float
    confidence: float


@dataclass(frozen=True)
class BeatReading:
    """The likeliest beat, and the likeliest bar made of it.

    `start` is a step at which a bar starts; `confidence` is that of the beat, `bar_confidence` that of the
    bar if the beat is right.
    """

    ratio: float
    beats: int
    start: float
    confidence: float
    bar_confidence: float
    candidates: tuple[Candidate, ...]


def likeliest(
    moments: SecondsArray,
    rises: Rises,
    strengths: Weights,
    pacing: Pacing,
    duration: float,
    *,
    ratios: Sequence[float] = RATIOS,
) -> BeatReading:
    """Judge every answer. `rises` as from `onset_weights`, shape (4, onsets); `ratios` as in `RATIOS`."""
    groups = list(hypotheses(moments, rises, strengths, pacing, duration, ratios=ratios))
    networks = beat_networks()
    scores = [
        networks[group.beats](group.features)[:, 0].astype(np.float64) + np.log(COMMON[group.beats])
        for group in groups
    ]
    highest = max(float(score.max()) for score in scores)
    total = sum(float(np.exp(score - highest).sum()) for score in scores)
    shares = [np.exp(score - highest) / total for score in scores]
    beats: dict[tuple[float, int], float] = {}
    tempi: dict[float, float] = {}
    for group, share in zip(groups, shares, strict=True):
        tempi[group.ratio] = tempi.get(group.ratio, 0.0) + float(share.sum())
        for phase, each in zip(_phases(group), share.tolist(), strict=True):
            beats[group.ratio, phase] = beats.get((group.ratio, phase), 0.0) + each
    (ratio, phase), confidence = max(beats.items(), key=lambda item: item[1])
    bars = [
        (float(each), group.beats, float(start))
        for group, share in zip(groups, shares, strict=True)
        if group.ratio == ratio
        for each, start, its in zip(share, group.starts, _phases(group), strict=True)
        if its == phase
    ]
    metres = {count: sum(share for share, beats, _ in bars if beats == count) for count in TEMPI}
    count = max(metres, key=lambda each: metres[each])
    bar, _, start = max(each for each in bars if each[1] == count)
    ranked = sorted(tempi.items(), key=lambda item: -item[1])
    candidates = tuple(Candidate(each, share) for each, share in ranked if share > 0.004)
    return BeatReading(ratio, count, start, confidence, bar / max(confidence, 1e-12), candidates)


def _phases(group: BarHypotheses) -> list[int]:
    """For each start, which place within a beat it is, in thousandths."""
    return [round(1000 * (float(start) / group.ratio % 1.0)) % 1000 for start in group.starts]


def hypotheses(
    moments: SecondsArray,
    rises: Rises,
    strengths: Weights,
    pacing: Pacing,
    duration: float,
    *,
    ratios: Sequence[float] = RATIOS,
) -> Iterator[BarHypotheses]:
    """Every answer worth considering, with what the networks look at."""
    accents = np.sqrt(rises) * (strengths / 100)
    accents /= accents[ALL].mean() + 1e-9
    take = _Take(
        pacing.steps_at(moments),
        accents,
        60 / pacing.period,
        (float(pacing.steps_at(np.array(0.0))), float(pacing.steps_at(np.array(duration)))),
    )
    take.compare()
    for ratio in ratios:
        for beats, (slowest, fastest) in TEMPI.items():
            if slowest <= take.tempo / ratio <= fastest:
                yield _bars(take, ratio, beats)


@dataclass
class _Take:
    """Accents (bands, onsets) at steps; `tempo` is steps per minute; `ends` are those of the recording."""

    steps: SecondsArray
    accents: Rises
    tempo: float
    ends: tuple[float, float]

    def compare(self) -> None:
        """How alike the accents are to themselves, later: autocorrelation, bands by lags."""
        steps = self.steps
        strong = np.flatnonzero(self.accents[ALL] > STRONG)
        self.first = float(steps[strong[0]]) if len(strong) else float(steps[0])
        self.last = float(steps[strong[-1]]) if len(strong) else float(steps[-1])
        self.span = float(steps[-1] - steps[0])
        place = (steps - steps[0] + 1) * PER_STEP
        axis = np.zeros((len(self.accents), int((self.span + 2) * PER_STEP) + 2))
        _add(axis, place, self.accents, wraps=False)
        axis = gaussian_filter1d(axis, max(0.6, TIMING * self.tempo / 60 * PER_STEP), axis=1)
        total = axis.shape[1]
        alike = np.fft.irfft(np.abs(np.fft.rfft(axis, 2 * total, axis=1)) ** 2, axis=1)[:, :total]
        self.alike = alike / (alike[:, :1] + 1e-9) / np.maximum(0.15, 1 - np.arange(total) / total)

    def alike_at(self, lag: float) -> Weights:
        place = lag * PER_STEP
        whole = int(place)
        if whole + 1 >= 0.9 * self.alike.shape[1]:
            return np.full(len(self.alike), -0.1)
        share = place - whole
        return np.asarray(self.alike[:, whole] * (1 - share) + self.alike[:, whole + 1] * share)


def _add(axis: Rises, place: SecondsArray, accents: Rises, *, wraps: bool) -> None:
    whole = np.floor(place).astype(np.int64)
    share = place - whole
    size = axis.shape[1]
    for number, values in enumerate(accents):
        for at, part in ((whole, 1 - share), (whole + 1, share)):
            axis[number] += np.bincount(at % size if wraps else at, values * part, size)[:size]


def _bars(take: _Take, ratio: float, beats: int) -> BarHypotheses:
    bar, bins = ratio * beats, PER_BEAT * beats
    tempo = take.tempo / ratio
    folded = np.zeros((len(take.accents), bins))
    _add(folded, take.steps / bar % 1 * bins, take.accents, wraps=True)
    width = max(0.8, TIMING * tempo / 60 * PER_BEAT)
    count = max(1.0, (take.span + 0.25 * ratio) / bar)
    folded = gaussian_filter1d(folded, width, axis=1, mode="wrap") * (np.sqrt(2 * np.pi) * width / count)
    starts = (np.arange(beats)[:, None] * PER_BEAT + STARTS).ravel()
    looks = (np.arange(beats)[:, None] * PER_BEAT + PLACES).ravel()
    profile = folded[:, (starts[:, None] + looks) % bins]
    steps = starts / PER_BEAT * ratio
    rest = _around(take, profile[:, :, :: len(PLACES)], steps, ratio=ratio, beats=beats, count=count)
    rest.append(np.full(len(steps), np.log(folded[ALL].sum() / (np.sqrt(2 * np.pi) * width) / beats + 0.05)))
    lags = (ratio, 2 * ratio, bar, 2 * bar, bar / 2 if beats % 2 == 0 else 3 * ratio)
    alike = np.concatenate([take.alike_at(lag) for lag in lags])
    features = np.concatenate(
        [
            np.stack(rest, axis=1),
            np.repeat(alike[None], len(steps), axis=0),
            np.log(0.05 + profile).transpose(1, 2, 0).reshape(len(steps), -1),
        ],
        axis=1,
    )
    return BarHypotheses(ratio, beats, steps, features.astype(np.float32))


def _around(
    take: _Take, on_beats: Rises, steps: SecondsArray, *, ratio: float, beats: int, count: float
) -> list[Weights]:
    """What is not in the folded bar: tempo, where the music begins and ends, whole bars in the file."""
    bar = ratio * beats
    octave = np.log2(take.tempo / ratio / 110)
    bars_in_file = (take.ends[1] - take.ends[0]) / bar
    off = (bars_in_file - round(bars_in_file)) * beats
    whole = float(np.exp(-0.5 * (off / 0.04) ** 2)) if bars_in_file > 0.9 else 0.0

    def near(step: float, period: float) -> Weights:
        distance = np.abs((step - steps + period / 2) % period - period / 2) / ratio
        return np.asarray(np.exp(-0.5 * (distance / CLOSE) ** 2))

    same = np.ones(len(steps))
    begins = near(take.ends[0], bar)
    return [
        same * octave,
        same * octave**2,
        same * np.log(count),
        near(take.first, bar),
        begins,
        near(take.first, ratio),
        near(take.last, bar),
        whole * begins,
        same * whole,
        ((take.first - steps) % bar) / bar,
        np.mean(on_beats[ALL] > 0.3, axis=1),
        np.log(0.05 + on_beats[ALL].mean(axis=1)),
        np.log(0.05 + on_beats[LOW].mean(axis=1)),
        same * float(ratio == 1.0),
    ]
