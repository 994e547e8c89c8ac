"""How a recording lies on bars and beats: what was measured, and what a person said of it."""

from dataclasses import dataclass
from enum import StrEnum
from itertools import pairwise
from typing import Annotated

import numpy as np
from msgspec import Meta, Struct
from numpy.typing import NDArray

from chronotome.order_stats import middle_of
from chronotome.session.grid import Tempo
from chronotome.session.limits import MOST_BEATS, Beat, FrameNumber, Moment, Share
from chronotome.session.metre import Metre, MetreMap
from chronotome.units import BeatArray, SecondsArray

HALF_A_STEP = 0.5
"""Of a step of beats: nearer to a pin's number than that, a beat is the pin's own."""
LEAST_FROM_PIN = 0.3
"""Of a beat's length, that a beat outside of all pins keeps from the one it follows."""
SAME_NUMBER = 1e-6
"""Beats within which two numbers are one: what is left of adding up fractions."""
SAME_BEAT = 0.4
"""Of a beat: a beat that is dragged farther is another one."""
ON_BEAT = 0.1


class BeatSource(StrEnum):
    """Where the beats of a recording come from."""

    MEASURED = "measured"
    ONSETS = "onsets"
    """Every hit is a beat."""
    BARS = "bars"
    """Every hit is a bar."""

    @classmethod
    def _missing_(cls, value: object) -> "BeatSource | None":
        """What earlier versions wrote."""
        return {"every hit is a beat": cls.ONSETS, "every hit is a bar": cls.BARS}.get(str(value))


class Pin(Struct, frozen=True):
    """A frame of the recording that a person tied to a beat, in quarter notes from beat one."""

    frame: FrameNumber
    beat: Beat


class Fit(Struct, frozen=True):
    """What a person said of a recording's beats; the rest is computed from what was measured.

    Invariant: pins rise in frame and in beat.
    """

    tempo: Tempo | None = None
    """Quarter notes per minute all through; None: beat by beat, as measured."""
    beat_one: FrameNumber | None = None
    """Frame at which beat one sounds; None: as measured."""
    scale: Annotated[float, Meta(ge=0.125, le=8.0)] = 1.0
    """How many beats a measured beat counts for: 2 is double time."""
    reads: BeatSource = BeatSource.MEASURED
    pins: Annotated[tuple[Pin, ...], Meta(max_length=MOST_BEATS)] = ()


AnyTempo = Annotated[float, Meta(gt=0.0, le=10_000.0)]
"""Quarter notes or beats per minute as measured: of clicks, of drones."""


class TempoOption(Struct, frozen=True):
    """A tempo the recording may have, how likely it is, and what speaks for it."""

    beats_per_minute: AnyTempo
    confidence: Share
    sources: Annotated[tuple[Annotated[str, Meta(max_length=200)], ...], Meta(max_length=20)] = ("measured",)


LEAST_SWING, MOST_SWING = 52.5, 75.0
"""What is less is straight; what is more is another rhythm."""


class Measured(Struct, frozen=True):
    """What was found out about a recording's pulse. A proposal; nothing follows it by itself."""

    beats_per_minute: AnyTempo
    beat_one: Moment
    confidence: Share
    is_constant: bool
    loop_beats: Annotated[int, Meta(ge=1, le=MOST_BEATS)] | None = None
    beats: Annotated[tuple[Moment, ...], Meta(max_length=MOST_BEATS)] = ()
    beats_in_bar: Annotated[int, Meta(ge=1, le=32)] = 4
    bar_confidence: Share = 0.0
    swing: Annotated[float, Meta(ge=0.0, le=100.0)] | None = None
    swing_division: Annotated[int, Meta(ge=1, le=64)] = 8
    options: Annotated[tuple[TempoOption, ...], Meta(max_length=100)] = ()

    def __post_init__(self) -> None:
        if any(later <= earlier for earlier, later in pairwise(self.beats)):
            raise ValueError("measured beats must rise")

    @property
    def metre(self) -> Metre:
        """The metre it was heard in: two beats in a bar are 6/8, seven 7/8."""
        known = {2: Metre(6, 8), 7: Metre(7, 8)}
        return known.get(self.beats_in_bar, Metre(self.beats_in_bar, 4))

    @property
    def quarters(self) -> float:
        """Quarter notes in a measured beat."""
        return self.metre.bar / self.beats_in_bar

    @property
    def played_swing(self) -> tuple[float, int] | None:
        """Per cent of swing that is heard, and the notes that swing (8: eighths); None: it is straight."""
        if self.swing is None or self.swing <= LEAST_SWING or self.swing_division not in {8, 16}:
            return None
        return round(min(MOST_SWING, self.swing), 1), self.swing_division

    @property
    def tempo(self) -> float:
        """Quarter notes per minute."""
        return self.beats_per_minute * self.quarters


@dataclass(frozen=True, eq=False)
class BeatMap:
    """Moments of a recording and the beats they are, in quarter notes from its beat one.

    Invariants: two or more; both rise strictly; `by_hand` is True where a person tied it.
    """

    seconds: SecondsArray
    beats: BeatArray
    by_hand: NDArray[np.bool_]

    def __len__(self) -> int:
        return len(self.seconds)

    def beats_at(self, seconds: SecondsArray) -> BeatArray:
        return _through(seconds, self.seconds, self.beats)

    def seconds_at(self, beats: BeatArray) -> SecondsArray:
        return _through(beats, self.beats, self.seconds)

    @property
    def tempi(self) -> NDArray[np.float64]:
        """Quarter notes per minute from each beat to the next."""
        return np.asarray(60 * np.diff(self.beats) / np.diff(self.seconds))

    @property
    def beat_one(self) -> float:
        """Seconds."""
        return float(self.seconds_at(np.array([0.0]))[0])

    @property
    def tempo(self) -> float:
        """Quarter notes per minute of the straight line from beat one through all of it."""
        return 60 * self.slope

    @property
    def slope(self) -> float:
        """Quarter notes per second, by least squares through beat one."""
        away = self.seconds - self.beat_one
        return float((away * self.beats).sum() / max(1e-12, (away**2).sum()))

    @property
    def residual(self) -> float:
        """Distance from the best constant tempo, root mean square, in ms."""
        slope, start = np.polyfit(self.beats, self.seconds, 1)
        return float(np.sqrt(np.mean((self.seconds - start - slope * self.beats) ** 2)) * 1000)

    def smoothed(self, beats: int) -> NDArray[np.float64]:
        """Tempi as means of medians of `beats` neighbours: the curve without the jitter of single hits."""
        tempi = self.tempi
        if len(tempi) < 3 or beats < 2:
            return tempi
        reach = min(beats, len(tempi)) // 2
        padded = np.pad(tempi, reach, mode="edge")
        windows = np.lib.stride_tricks.sliding_window_view(padded, 2 * reach + 1)
        middle = np.pad(np.median(windows, axis=1), reach, mode="edge")
        return np.asarray(np.convolve(middle, np.ones(2 * reach + 1) / (2 * reach + 1), "valid"))

    def steadied(self, beats: int) -> "BeatMap":
        """The same beats without the jitter of single hits; what a person tied stays where it is.

        The distance from the straight line is smoothed by parabolas through `beats` neighbours on either side
        (A. Savitzky and M. Golay, 1964), mirrored at the ends: a steady change of tempo is not bent.
        """
        reach = min(beats, len(self) - 1)
        if reach < 1:
            return self
        slope, start = np.polyfit(self.beats, self.seconds, 1)
        off = np.pad(self.seconds - start - slope * self.beats, reach, mode="reflect", reflect_type="odd")
        places = np.arange(-reach, reach + 1, dtype=np.float64)
        weights = np.linalg.pinv(np.vander(places, min(3, 2 * reach + 1)))[-1]
        mean = np.convolve(off, weights[::-1], "valid")
        seconds = np.where(self.by_hand, self.seconds, start + slope * self.beats + mean)
        rising = np.concatenate([[True], np.diff(np.maximum.accumulate(seconds)) > 1e-4])
        return BeatMap(seconds[rising], self.beats[rising], self.by_hand[rising])


def _through(at: BeatArray, known: BeatArray, values: BeatArray) -> BeatArray:
    """Straight between known places, and straight on at both ends."""
    first = (values[1] - values[0]) / (known[1] - known[0])
    last = (values[-1] - values[-2]) / (known[-1] - known[-2])
    inside = np.interp(at, known, values)
    return np.asarray(inside + np.minimum(at - known[0], 0) * first + np.maximum(at - known[-1], 0) * last)


@dataclass(frozen=True)
class BeatMapInput:
    """What a beat map is computed from: length and rate of the recording, hits that count, in frames."""

    frames: int
    rate: int
    hits: NDArray[np.int64]
    metre: MetreMap


def beat_map(fit: Fit, measured: Measured | None, evidence: BeatMapInput) -> BeatMap | None:
    """The beats of a recording; None where nothing is known of them."""
    known = _unpinned(fit, measured, evidence)
    if known is None or len(known[0]) < 2:
        return None
    seconds, beats = known
    step = middle_of(np.diff(beats))
    pins = [(pin.frame / evidence.rate, pin.beat) for pin in fit.pins]
    if fit.beat_one is not None and not any(beat == 0 for _, beat in pins):
        pins.append((fit.beat_one / evidence.rate, 0.0))
    pins = _in_order(sorted(pins))
    hand = {pin.frame for pin in fit.pins}
    if pins:
        is_steady = fit.tempo is not None or (measured is not None and measured.is_constant)
        seconds, beats = _pinned(
            seconds, beats, pins, step=step, bar=evidence.metre.first.bar, is_steady=is_steady
        )
    rising = np.concatenate([[True], (np.diff(seconds) > 1e-4) & (np.diff(beats) > 1e-9)])
    for moment, beat in pins:  # stays, however little room is left between it and the one before
        rising |= (seconds == moment) & (beats == beat)
    seconds, beats = seconds[rising], beats[rising]
    if len(seconds) < 2:
        return None
    by_hand = np.isin(np.rint(seconds * evidence.rate).astype(np.int64), list(hand))
    return BeatMap(seconds, beats, by_hand)


def _in_order(pins: list[tuple[float, float]]) -> list[tuple[float, float]]:
    """Without those that would not rise in time and beat."""
    kept: list[tuple[float, float]] = []
    for moment, beat in pins:
        if not kept or (moment > kept[-1][0] and beat > kept[-1][1]):
            kept.append((moment, beat))
    return kept


def _unpinned(
    fit: Fit, measured: Measured | None, evidence: BeatMapInput
) -> tuple[SecondsArray, BeatArray] | None:
    """Seconds and beats before anything that was tied by hand."""
    duration = evidence.frames / evidence.rate
    if fit.reads is not BeatSource.MEASURED:
        seconds = evidence.hits / evidence.rate
        one = 0
        if fit.beat_one is not None and len(seconds):
            one = int(np.abs(seconds - fit.beat_one / evidence.rate).argmin())
        numbers = (np.arange(len(seconds)) - one) * np.float64(fit.scale)
        if fit.reads is BeatSource.BARS:
            return seconds, evidence.metre.beats_of(numbers)
        return seconds, numbers * evidence.metre.first.beat
    one_at = measured.beat_one if measured else 0.0
    if fit.beat_one is not None:
        one_at = fit.beat_one / evidence.rate
    if fit.tempo is not None:
        period = 60 / fit.tempo
        first, last = np.ceil(-one_at / period - 1e-6), np.floor((duration - one_at) / period + 1e-6)
        numbers = np.arange(first, min(max(last, first + 1), first + MOST_BEATS) + 1)
        return one_at + numbers * period, numbers
    if measured is None or len(measured.beats) < 2:
        return None
    return _measured_beats(measured, one_at, measured.quarters * fit.scale)


def _measured_beats(measured: Measured, one_at: float, step: float) -> tuple[SecondsArray, BeatArray]:
    """Measured beats counted from beat one; where that lies between two of them, all are moved along."""
    seconds = np.array(measured.beats)
    places = np.arange(len(seconds), dtype=np.float64)
    one = float(_through(np.array([one_at]), seconds, places)[0])
    if abs(one - round(one)) < ON_BEAT:
        return seconds, (places - round(one)) * step
    shifted = _through(places + (one - np.floor(one)), places, seconds)
    beats = (places - np.floor(one)) * step
    inside = shifted > -0.02
    return np.maximum(shifted[inside], 0), beats[inside]


@dataclass(frozen=True)
class _Tied:
    """A pin, and what it says of the beats around it."""

    moment: float
    """Seconds at which it ties its beat down."""
    beat: float
    counted: int
    """Steps by which the beats at it are counted on."""
    away: float
    """Seconds from where that beat was found to the pin."""


def _tied(pin: tuple[float, float], seconds: SecondsArray, beats: BeatArray, step: float) -> _Tied:
    moment, beat = pin
    nearest = int(np.abs(seconds - moment).argmin())
    counted = round((beat - float(beats[nearest])) / step)
    found = float(_through(np.array([beat - counted * step]), beats, seconds)[0])
    return _Tied(moment, beat, counted, moment - found)


def _pinned(
    seconds: SecondsArray,
    beats: BeatArray,
    pins: list[tuple[float, float]],
    *,
    step: float,
    bar: float,
    is_steady: bool,
) -> tuple[SecondsArray, BeatArray]:
    """Beats between pins move in proportion; one that was tied to another number is counted on from there.

    Where the numbers of two pins do not fit the beats between them, these stay as they are up to a bar before
    the later pin, and the rest is even.
    """
    tied = [_tied(pin, seconds, beats, step) for pin in pins]
    fade = np.inf if is_steady else bar
    first, last = tied[0], tied[-1]
    parts = [_outside(seconds, beats + first.counted * step, first, fade, is_before=True)]
    for here, there in pairwise(tied):
        parts.append((np.array([here.moment]), np.array([here.beat])))
        numbers = beats + here.counted * step
        if here.counted == there.counted:
            inside = (numbers > here.beat + step * HALF_A_STEP) & (numbers < there.beat - step * HALF_A_STEP)
            away = np.interp(numbers[inside], (here.beat, there.beat), (here.away, there.away))
            parts.append((seconds[inside] + away, numbers[inside]))
        else:
            parts.append(_filled(seconds + here.away, numbers, here, there, step=step, bar=bar))
    parts.append((np.array([last.moment]), np.array([last.beat])))
    parts.append(_outside(seconds, beats + last.counted * step, last, fade, is_before=False))
    return np.concatenate([part[0] for part in parts]), np.concatenate([part[1] for part in parts])


def _outside(
    seconds: SecondsArray, beats: BeatArray, pin: _Tied, fade: float, *, is_before: bool
) -> tuple[SecondsArray, BeatArray]:
    """Beats before the first pin or after the last: they move along, less and less where the take drifts."""
    distance = (pin.beat - beats) if is_before else (beats - pin.beat)
    share = np.ones(len(beats)) if np.isinf(fade) else np.clip(1 - distance / fade, 0, 1)
    moved = seconds + pin.away * share
    least = LEAST_FROM_PIN * middle_of(np.diff(seconds))
    is_clear = (moved < pin.moment - least) if is_before else (moved > pin.moment + least)
    chosen = (distance > SAME_NUMBER) & is_clear & (moved >= 0)
    return moved[chosen], beats[chosen]


def _filled(
    seconds: SecondsArray,
    numbers: BeatArray,
    here: _Tied,
    there: _Tied,
    *,
    step: float,
    bar: float,
) -> tuple[SecondsArray, BeatArray]:
    """Beats as they are up to a bar before the later pin, as far as there is room; from there even steps."""
    period = middle_of(np.diff(seconds))
    kept = (numbers > here.beat + step * HALF_A_STEP) & (numbers <= there.beat - bar + SAME_NUMBER)
    left = (there.beat - numbers) / step * period
    kept &= seconds + SAME_BEAT * left < there.moment
    kept_seconds, kept_numbers = seconds[kept], numbers[kept]
    has_any = len(kept_seconds) > 0
    start, first = (float(kept_seconds[-1]), float(kept_numbers[-1])) if has_any else (here.moment, here.beat)
    more = np.arange(first + step, there.beat - step * HALF_A_STEP, step)
    filled = start + (more - first) / (there.beat - first) * (there.moment - start)
    return np.concatenate([kept_seconds, filled]), np.concatenate([kept_numbers, more])
