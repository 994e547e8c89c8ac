"""What a file's length, and the length of what repeats in it, say about its tempo.

Every whole number of beats is a proposal; each is judged by how well the onsets lie on its grid, how common
such a loop is, and what the ear made of the tempo. `measured` tempi are judged on the same scale.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
import scipy.fft

from chronotome.dsp.beats.tempo import FASTEST, Weights
from chronotome.dsp.onsets.listener import Listener
from chronotome.units import SecondsArray

LONGEST_LOOP = 90.0
LEAST_SILENCE = 0.005
LOUDEST_SILENCE, SILENCE_SECONDS, LEAST_SOUND = 0.003, 0.020, 1e-6
"""Of the peak: a file whose first or last 20 ms are no louder has silence there."""
SILENCE_COST = 0.001
WHOLE_TOLERANCE = 0.005
EXACT_TOLERANCE = 0.0011
"""Hits this near to one grid tell the tempo better than the end of the sound before silence does."""
CUT_TOLERANCE = 0.0005
"""Where zeros follow, and the tempo is this near, the sound was cut at a whole number of beats."""
STARTS_ON_ONE = 0.030
"""Seconds from the start of a loop within which its first attack lies."""
SAME_TEMPO = 0.015

BEATS = (*range(1, 17), *range(18, 65, 2), *range(68, 257, 4))
SLOWEST_LOOP, FASTEST_LOOP = 60.0, 210.0
USUAL_LOOP, USUAL_LOOP_SPREAD = 112.0, 0.45
RARE = {1: 0.0, 3: 3.0, 5: 4.5, 7: 5.0}
"""How much rarer than 2^k beats loops of 3, 5 and 7 times 2^k are, as a logarithm of odds."""
RAREST = 6.5
GRID_SHARE, HEARD_SHARE = 0.5, 0.75
"""How much onsets on a grid, and what was heard, count against how common a loop is."""
THIRDS_COST = 6.0
ON_GRID, OFF_GRID_SHARE, MOST_ODDS = 0.012, 0.15, 60.0
"""Spread of onsets on a grid in seconds; share of those that lie anywhere; what one onset may say at most."""
PHASES = np.arange(-0.020, 0.0201, 0.004)
UNHEARD = 0.03
NEARLY_AS_LIKELY = 0.6
OCTAVES, RELATED = (1.0, 0.5, 2.0), (2 / 3, 1.5, 0.75, 4 / 3, 1 / 3, 3.0, 0.8, 1.25)
WELL_ON_GRID = 0.4
"""Of what `on_grid` may say for each weight: from there on the onsets lie on the grid."""
STARTS_WELL, STARTS_LATE, HAS_SILENCE, IS_NO_ROUND = 3.0, -5.0, -2.5, -6.0
FREE_COST, DRIFT_COST = 3.0, 6.0
"""A measured tempo is fitted to the onsets, a drifting one more so; a proposal is not."""

LOW_RATE = 4000
SHORTEST_ROUND, LONGEST_ROUND = 0.3, 0.51
"""Seconds; share of the sound: a round is there twice."""
SAME_ROUND, LIKELY_ROUND, MOST_ROUNDS = 0.95, 0.4, 8
"""Correlation of a round with the next: at the full rate; at the low one, where it ends between samples."""
COMPARED = 1 << 18
"""Frames from the start by which the lag is found."""


@dataclass(frozen=True)
class Loop:
    """A file that is exactly `beats` beats long."""

    beats_per_minute: float
    beats: int


@dataclass(frozen=True)
class LoopSpan:
    """Seconds from `start` to `end` that may be whole beats. `source` is `length` or `rounds`."""

    start: float
    end: float
    source: str
    has_silence: bool = False
    is_digital: bool = False
    """The silence around it is all zeros: somebody put it there."""

    @property
    def seconds(self) -> float:
        return self.end - self.start


@dataclass(frozen=True)
class Proposal:
    """So many beats in a span; the higher the score, a logarithm of odds, the likelier.

    `is_exact`: the ends of the span are those of the file, or of a round, not of a sound that dies away.
    """

    loop: Loop
    start: float
    score: float
    source: str
    is_exact: bool = True


@dataclass(frozen=True)
class DetectedTempi:
    """Tempi that were heard, the likeliest first, each with its confidence; its score as of a proposal.

    `is_on_grid`: the onsets lie well on the grid of the likeliest.
    """

    tempi: tuple[tuple[float, float], ...]
    score: float
    is_on_grid: bool

    def relation(self, tempo: float) -> float | None:
        """What `tempo` is to the likeliest, where the ear decides between the two.

        An octave, or 3:2, 4:3 and 5:4 where the onsets lie well on the grid that was heard.
        """
        ratios = (*OCTAVES, *(RELATED if self.is_on_grid else ()))
        near = [ratio for ratio in ratios if abs(tempo / self.tempi[0][0] / ratio - 1) < SAME_TEMPO]
        return near[0] if near else None

    def outweighs(self, proposal: "Proposal") -> bool:
        """Whether the ear decides: the proposal is a relative of what was heard, and not nearly as likely."""
        tempo = proposal.loop.beats_per_minute
        relation = self.relation(tempo)
        if relation is None or relation == 1.0 or proposal.source != "length":
            return relation is not None
        return _heard(tempo, self.tempi, octaves=()) < NEARLY_AS_LIKELY * self.tempi[0][1]


@dataclass(frozen=True, eq=False)
class TempoHints:
    """What a file tells of its tempo besides its length.

    `moments` of the onsets in seconds; `weights` 0 to 1; `first` is the first sure attack; `heard` are tempi
    with their confidence.
    """

    moments: SecondsArray
    weights: Weights
    first: float
    heard: Sequence[tuple[float, float]]


def spans_of(listener: Listener) -> tuple[LoopSpan, ...]:
    """Spans of a file that may be whole beats: all of it, what is between silences, a round that repeats."""
    duration = listener.frames / listener.rate
    if not 0 < duration <= LONGEST_LOOP:
        return ()
    signal = listener.part(0, listener.frames)
    start, end = sound_of(signal, listener.rate)
    spans = [LoopSpan(0.0, duration, "length")]
    if start or end < len(signal):
        is_digital = not _range(signal[:start]) and not _range(signal[end:])
        within = LoopSpan(start / listener.rate, end / listener.rate, "length", True, is_digital)
        spans.append(within)
    again = round_of(signal[start:end], listener.rate)
    if again is not None:
        spans.append(LoopSpan(start / listener.rate, (start + again) / listener.rate, "rounds"))
    return tuple(spans)


def sound_of(signal: np.ndarray, rate: int) -> tuple[int, int]:
    """First frame and end of the sound between silences; all of it where there are none."""
    before, after = _silence(signal, rate), _silence(signal[::-1], rate)
    return (before, len(signal) - after) if before + after < len(signal) else (0, len(signal))


def _silence(signal: np.ndarray, rate: int) -> int:
    """Frames at the start that are no louder than twice what the first 20 ms are; 0 where they are few."""
    level = np.abs(signal - signal[0])
    floor = float(level[: int(SILENCE_SECONDS * rate)].max(initial=0.0))
    if floor > LOUDEST_SILENCE:
        return 0
    is_sound = level > max(2 * floor, LEAST_SOUND)
    start = int(is_sound.argmax())
    return start if is_sound.any() and start > LEAST_SILENCE * rate else 0


def _range(part: np.ndarray) -> float:
    return float(np.ptp(part)) if len(part) else 0.0


def round_of(signal: np.ndarray, rate: int) -> int | None:
    """Frames after which the sound is itself again, sample by sample; None where it never is."""
    parts = max(1, rate // LOW_RATE)
    count = len(signal) // parts
    low = signal[: count * parts].reshape(count, parts).mean(axis=1).astype(np.float64)
    if count < 8:
        return None
    size = scipy.fft.next_fast_len(2 * count)
    alike = scipy.fft.irfft(np.abs(scipy.fft.rfft(low, size)) ** 2, size)[:count]
    energy = np.concatenate([[0.0], np.cumsum(low**2)])
    lags = np.arange(count)
    alike /= np.sqrt(np.maximum(energy[count - lags] * (energy[count] - energy[lags]), 1e-12))
    alike[lags > LONGEST_ROUND * count] = 0
    alike[: int(SHORTEST_ROUND * rate / parts)] = 0
    is_peak = (alike[1:-1] >= alike[:-2]) & (alike[1:-1] >= alike[2:]) & (alike[1:-1] > LIKELY_ROUND)
    peaks = np.flatnonzero(is_peak) + 1
    likeliest = np.sort(peaks[np.argsort(-alike[peaks], kind="stable")[:MOST_ROUNDS]])
    for peak in likeliest.tolist():
        near = range(max(1, (peak - 1) * parts), min(len(signal) - 1, (peak + 1) * parts) + 1)
        lag = max(near, key=lambda each: _alike(signal[:COMPARED], each) if each < COMPARED else 0.0)
        if _alike(signal, lag) > SAME_ROUND:
            return lag
    return None


def _alike(signal: np.ndarray, lag: int) -> float:
    """Correlation of the sound with itself, so many frames later."""
    one, other = signal[:-lag], signal[lag:]
    return float(one @ other / np.sqrt(float(one @ one) * float(other @ other) + 1e-12))


def on_grid(places: SecondsArray, period: float, weights: Weights) -> float:
    """How much likelier the onsets are on quarters (or, dearer, thirds) of beats than anywhere; a logarithm.

    Parameters
    ----------
    places : in beats, one or more rows of which the best counts
    period : seconds of a beat
    """
    found = []
    for parts, cost in ((4, 0.0), (3, THIRDS_COST)):
        line = period / parts
        away = ((places * parts + 0.5) % 1 - 0.5) * line
        odds = line / (np.sqrt(2 * np.pi) * ON_GRID) * np.exp(-0.5 * (away / ON_GRID) ** 2)
        said = np.log(OFF_GRID_SHARE + (1 - OFF_GRID_SHARE) * np.minimum(odds, MOST_ODDS))
        found.append(float((said * weights).sum(axis=-1).max()) - cost)
    return max(found)


def _usual(tempo: float) -> float:
    return -0.5 * float(np.log2(tempo / USUAL_LOOP) / USUAL_LOOP_SPREAD) ** 2


def heard_on_grid(
    tempi: tuple[tuple[float, float], ...],
    places: SecondsArray,
    period: float,
    weights: Weights,
    confidence: float,
    *,
    is_constant: bool,
) -> DetectedTempi:
    """What was heard, judged like the proposals. `places` are beats of the onsets, `period` in seconds."""
    fit = on_grid(places[None] + PHASES[:, None] / period, period, weights)
    score = GRID_SHARE * fit + HEARD_SHARE * float(np.log(UNHEARD + confidence)) + _usual(60 / period)
    score -= FREE_COST if is_constant else FREE_COST + DRIFT_COST
    return DetectedTempi(tempi, score, fit > WELL_ON_GRID * float(weights.sum()))


def rounds_in(spans: Sequence[LoopSpan]) -> float:
    """How many rounds the sound is; 1 where nothing repeats. What repeats says nothing new."""
    again = [span.seconds for span in spans if span.source == "rounds"]
    sound = [span.seconds for span in spans if span.source == "length"]
    return max(1.0, sound[-1] / again[0]) if again else 1.0


def proposals(spans: Sequence[LoopSpan], evidence: TempoHints) -> list[Proposal]:
    """Every whole number of beats in every span, likeliest first."""
    again = next((span.seconds for span in spans if span.source == "rounds"), None)
    found = []
    for span in spans:
        for beats in BEATS:
            loop = Loop(60 * beats / span.seconds, beats)
            if SLOWEST_LOOP <= loop.beats_per_minute <= FASTEST_LOOP:
                score = _score(span, loop, evidence, again)
                found.append(Proposal(loop, span.start, score, span.source, not span.has_silence))
    return sorted(found, key=lambda each: -each.score)


def _score(span: LoopSpan, loop: Loop, evidence: TempoHints, again: float | None) -> float:
    period = 60 / loop.beats_per_minute
    places = (evidence.moments[None] - span.start - PHASES[:, None]) / period
    score = GRID_SHARE * on_grid(places, period, evidence.weights)
    score += HEARD_SHARE * float(np.log(UNHEARD + _heard(loop.beats_per_minute, evidence.heard)))
    score += _usual(loop.beats_per_minute) - rarity(loop.beats)
    if span.source == "rounds" or abs(evidence.first - span.start) < STARTS_ON_ONE:
        score += STARTS_WELL
    else:
        score += STARTS_LATE
    if span.has_silence and not span.is_digital:
        score += HAS_SILENCE
    if again is not None and span.source != "rounds":
        rounds = span.seconds / again
        if abs(rounds - round(rounds)) > 0.01:
            score += IS_NO_ROUND
    return score


def _heard(
    tempo: float, heard: Sequence[tuple[float, float]], *, octaves: Sequence[float] = (2.0, 0.5)
) -> float:
    """The confidence of a heard tempo that is this one, or half of it where it is one of its octaves."""
    shares = [
        confidence * share
        for other, confidence in heard
        for ratio, share in ((1.0, 1.0), *((octave, 0.5) for octave in octaves))
        if abs(tempo / other / ratio - 1) < SAME_TEMPO
    ]
    return max(shares, default=0.0)


@lru_cache(maxsize=256)
def rarity(beats: int) -> float:
    odd = beats
    while odd % 2 == 0:
        odd //= 2
    return RARE.get(odd, RAREST)


def loop_of(
    spans: Sequence[LoopSpan],
    measured: float,
    *,
    tolerance: float,
    named: float | None = None,
    beats_in_bar: int = 4,
    starts_on_one: bool = False,
) -> Loop | None:
    """The loop that the file is, if its length (with or without silence around it) fits the measured tempo.

    Parameters
    ----------
    spans : as from `spans_of`
    measured : float
        Beats per minute.
    tolerance : float
        Share by which the tempi may differ.
    named : float, optional
        A tempo in the file's name is a weak vote.
    beats_in_bar : int
    starts_on_one : bool
        The file starts with beat one, as loops do: whole bars may then differ from the measure by more.
    """
    best: tuple[float, Loop] | None = None
    for span in spans:
        if span.source == "rounds":
            continue
        for beats in BEATS:
            loop = Loop(60 * beats / span.seconds, beats)
            error = _loop_error(loop, measured)
            cost = error + SILENCE_COST * span.has_silence + _bar_cost(beats, beats_in_bar)
            if named and abs(loop.beats_per_minute - named) < 0.02 * named:
                cost -= 0.002
            is_whole = starts_on_one and not span.has_silence and beats % beats_in_bar == 0
            most = max(tolerance, WHOLE_TOLERANCE) if is_whole else tolerance
            if error < most and 50 <= loop.beats_per_minute <= FASTEST and (best is None or cost < best[0]):
                is_cut = span.is_digital and error < CUT_TOLERANCE
                if span.has_silence and not is_cut and max(tolerance, error) <= EXACT_TOLERANCE:
                    loop = Loop(measured * _nearest_ratio(loop.beats_per_minute / measured), beats)
                best = (cost, loop)
    return best[1] if best else None


def _nearest_ratio(ratio: float) -> float:
    return min((1.0, 2.0, 0.5), key=lambda each: abs(ratio - each))


def _loop_error(loop: Loop, measured: float) -> float:
    ratios = ((1.0, 0.0), (2.0, 0.0015), (0.5, 0.0015))
    return min(abs(loop.beats_per_minute / (measured * ratio) - 1) + cost for ratio, cost in ratios)


def _bar_cost(beats: int, beats_in_bar: int) -> float:
    bars = beats / beats_in_bar
    if bars in {1, 2, 4, 8, 16, 32}:
        return 0.0
    if beats % beats_in_bar == 0:
        return 0.0003
    return 0.0006 if beats % 3 == 0 else 0.0012
