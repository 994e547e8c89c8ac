"""Beats and bars: where the pulse falls, following drift, and how the tempo is called."""

from dataclasses import dataclass, field, replace

import numpy as np

from chronotome.dsp.audio import Audio
from chronotome.dsp.beats.loops import (
    EXACT_TOLERANCE,
    STARTS_ON_ONE,
    DetectedTempi,
    Loop,
    LoopSpan,
    Proposal,
    TempoHints,
    heard_on_grid,
    loop_of,
    proposals,
    rounds_in,
    spans_of,
)
from chronotome.dsp.beats.metre import BeatReading, likeliest
from chronotome.dsp.beats.names import tempo_in_name
from chronotome.dsp.beats.pacing import Pacing, first_pacing
from chronotome.dsp.beats.ranking import AGREES, EXACT, NamedTempi, TempoCandidate, ranked, told_by_name_too
from chronotome.dsp.beats.swing import Swing, swing_of
from chronotome.dsp.beats.tempo import Weights, onset_weights
from chronotome.dsp.onsets.detection import SURE_STRENGTH, DetectedOnsets
from chronotome.dsp.onsets.listener import Listener
from chronotome.units import SecondsArray

LEAST_STRENGTH = 20.0
FEWEST_ONSETS = 3
ON_BEAT = 0.040
LAST_MOMENT, EARLIEST = 0.015, 0.020
FEWEST_ON_BEAT = 4
PEAK_REACH, PEAK_WIDTH, PEAK_SHARE = 0.15, 0.025, 0.5
DRAWN_SHARE, CLICK_SHARE = 0.8, 0.9
"""How far drifting beats are drawn to their onsets: all the way where nothing but beats is played."""
EDGE = 0.6
"""Of a beat, before the first and after the last onset, within which there may still be a beat."""


@dataclass(frozen=True, eq=False)
class Pulse:
    """What was found out about tempo and beats.

    Invariants: `beats` and `downbeats` rise strictly, in seconds; confidences within 0 to 1;
    `beats_per_minute` is 0 where there was nothing to measure; candidates are ranked. Two beats in a bar are
    6/8, seven 7/8.
    """

    beats_per_minute: float
    beats: SecondsArray
    downbeats: SecondsArray
    confidence: float
    is_constant: bool
    loop: Loop | None
    beats_in_bar: int = 4
    bar_confidence: float = 0.0
    swing: Swing | None = None
    candidates: tuple[TempoCandidate, ...] = field(default=())


NO_PULSE = Pulse(0.0, np.zeros(0), np.zeros(0), 0.0, is_constant=False, loop=None)


def find_pulse(audio: Audio, onsets: DetectedOnsets, *, name: str = "", tag: float | None = None) -> Pulse:
    """Tempo, beats, metre and first beats of bars of a recording.

    Parameters
    ----------
    audio : Audio
    onsets : DetectedOnsets
        As detected in `audio`; those of strength 20 and more count.
    name : str
        Of the file; a tempo in it is a vote.
    tag : float, optional
        Beats per minute in the file's own tags; a vote.
    """
    counted = onsets.strengths > LEAST_STRENGTH
    if counted.sum() < FEWEST_ONSETS:
        return NO_PULSE
    listener, duration = Listener(audio), audio.frames / audio.rate
    frames, strengths = onsets.frames[counted], onsets.strengths[counted]
    moments = frames / audio.rate
    weights, rises = onset_weights(listener, frames, strengths)
    take = TakeOnsets(moments, strengths, weights, rises, duration)
    pacing = first_pacing(moments, weights, duration)
    answer = likeliest(moments, rises, strengths, pacing, duration)
    spans, told = spans_of(listener), NamedTempi(tempo_in_name(name), tag)
    shares = take.shares / rounds_in(spans)
    heard = _heard(take, pacing, answer, shares)
    evidence = TempoHints(moments, shares, take.first, heard.tempi)
    proposed = told_by_name_too(proposals(spans, evidence), told)
    best = proposed[0] if proposed and proposed[0].score > heard.score else None
    if best is not None and not heard.outweighs(best):
        found: _PulseFound | None = _looped(take, best)
    else:
        found = _measured(take, pacing, answer, spans, told, best)
    if found is None:
        return NO_PULSE
    candidates = ranked(found.tempo, heard, proposed, told)
    mine = next(each.confidence for each in candidates if each.beats_per_minute == round(found.tempo, EXACT))
    return Pulse(
        found.tempo,
        found.beats,
        found.downs,
        round(mine if found.is_proposed else min(mine, answer.confidence), 3),
        found.is_constant,
        found.loop,
        found.answer.beats,
        round(found.answer.bar_confidence, 3),
        swing_of(moments, weights, found.beats),
        candidates,
    )


@dataclass(frozen=True, eq=False)
class TakeOnsets:
    """Onsets of a recording: moments in seconds, strengths, weights, rises (bands, onsets); its length."""

    moments: SecondsArray
    strengths: Weights
    weights: Weights
    rises: Weights
    duration: float

    @property
    def first(self) -> float:
        """The first sure attack."""
        return float(self.moments[int((self.strengths > SURE_STRENGTH).argmax())])

    @property
    def shares(self) -> Weights:
        """Weights within 0 to 1, the faint ones raised."""
        return np.asarray(np.sqrt(self.weights / max(1e-12, float(self.weights.max()))))


@dataclass(frozen=True, eq=False)
class _PulseFound:
    """Beats and bars as they are told."""

    tempo: float
    beats: SecondsArray
    downs: SecondsArray
    is_constant: bool
    loop: Loop | None
    answer: BeatReading
    is_proposed: bool = False


def _heard(take: TakeOnsets, pacing: Pacing, answer: BeatReading, shares: Weights) -> DetectedTempi:
    """The likeliest tempo first."""
    minute = 60 / pacing.period
    tempi = [(minute / each.ratio, each.confidence) for each in answer.candidates]
    tempi.sort(key=lambda each: each[0] != minute / answer.ratio)
    places = (pacing.steps_at(take.moments) - answer.start) / answer.ratio
    return heard_on_grid(
        tuple(tempi),
        places,
        answer.ratio * pacing.period,
        shares,
        answer.confidence,
        is_constant=pacing.is_constant,
    )


def _looped(take: TakeOnsets, proposal: Proposal) -> _PulseFound:
    """The file is so many beats from its start, whatever was heard."""
    loop, start = proposal.loop, proposal.start
    period = 60 / loop.beats_per_minute
    pacing = Pacing(np.array([start, start + period]), is_constant=True, spread=0.0)
    answer = likeliest(take.moments, take.rises, take.strengths, pacing, take.duration, ratios=(1.0,))
    if loop.beats % answer.beats:
        answer = replace(answer, beats=4)
    first = np.ceil((-EARLIEST - start) / period)
    last = np.floor((take.duration - LAST_MOMENT - start) / period)
    numbers = np.arange(first, last + 1)
    beats = np.maximum(start + period * numbers, 0)
    whole = loop if proposal.source == "length" else None
    downs = beats[numbers % answer.beats == 0]
    return _PulseFound(loop.beats_per_minute, beats, downs, True, whole, answer, is_proposed=True)


def _measured(  # noqa: PLR0917 - all of it was worked out before
    take: TakeOnsets,
    pacing: Pacing,
    answer: BeatReading,
    spans: tuple[LoopSpan, ...],
    told: NamedTempi,
    best: Proposal | None,
) -> _PulseFound | None:
    """As it was heard; where the file is whole beats of this tempo, these tell it exactly."""
    beats, downs = _placed(take.moments, take.weights, pacing, answer, take.duration)
    if len(beats) < 2:
        return None
    gaps = np.diff(beats)
    tempo = 60 / float(np.mean(gaps) if pacing.is_constant else np.median(gaps))
    error = 4 * pacing.spread / np.sqrt(len(take.moments)) / max(0.5, float(np.ptp(take.moments)))
    tolerance = max(0.001, min(0.004, error)) if pacing.is_constant else 0.006
    is_vague = tolerance > EXACT_TOLERANCE
    loop = (_nearly(best, tempo) if best and (best.is_exact or is_vague) else None) or loop_of(
        spans,
        tempo,
        tolerance=tolerance,
        named=told.name,
        beats_in_bar=answer.beats,
        starts_on_one=bool(len(downs)) and float(downs[0]) < STARTS_ON_ONE,
    )
    loop = None if loop is None else _at_octave(loop, tempo)
    if loop is None or not pacing.is_constant or not len(downs):
        return _PulseFound(tempo, beats, downs, pacing.is_constant, loop, answer)
    exact = loop.beats_per_minute
    beats, downs = (_spaced(each, exact / tempo, beats) for each in (beats, downs))
    begins = [span.start for span in spans if abs(float(downs[0]) - span.start) < STARTS_ON_ONE]
    if begins:  # a loop's beat one is where it begins, not where a player was late
        by = float(downs[0]) - begins[-1]
        beats, downs = np.maximum(beats - by, 0), np.maximum(downs - by, 0)
    return _PulseFound(exact, beats, downs, True, loop, answer)


def _nearly(best: Proposal, tempo: float) -> Loop | None:
    """The likeliest proposal, where it is nearly what was measured, or nearly its half or double."""
    if best.source != "length":
        return None
    ratios = (best.loop.beats_per_minute * ratio / tempo for ratio in (1.0, 0.5, 2.0))
    return best.loop if any(abs(ratio - 1) < AGREES for ratio in ratios) else None


def _at_octave(loop: Loop, tempo: float) -> Loop | None:
    """The same length counted in beats of the measured tempo, not of its half or double."""
    ratio = min((1.0, 0.5, 2.0), key=lambda each: abs(loop.beats_per_minute * each - tempo))
    beats = loop.beats * ratio
    return Loop(loop.beats_per_minute * ratio, round(beats)) if beats % 1 == 0 else None


def _spaced(moments: SecondsArray, factor: float, beats: SecondsArray) -> SecondsArray:
    """The same moments so many times as fast, about the middle of the beats."""
    middle = float(np.mean(beats))
    return np.maximum(middle + (moments - middle) / factor, 0)


def _placed(
    moments: SecondsArray, weights: Weights, pacing: Pacing, answer: BeatReading, duration: float
) -> tuple[SecondsArray, SecondsArray]:
    """Beats and first beats of bars in seconds, drawn to the onsets on them."""
    ratio, steps = answer.ratio, pacing.steps_at(moments)
    start = answer.start + ratio * _off_peak((steps - answer.start) / ratio, weights)
    first = np.ceil((steps[0] - EDGE * ratio - start) / ratio)
    last = np.floor((steps[-1] + EDGE * ratio - start) / ratio)
    numbers = np.arange(first, last + 1)
    beats = pacing.seconds_at(start + ratio * numbers)
    beats = _drawn(beats, moments, weights, is_constant=pacing.is_constant)
    inside = (beats > -0.02) & (beats < duration - LAST_MOMENT)
    beats, numbers = np.maximum(beats[inside], 0), numbers[inside]
    return beats, beats[numbers % answer.beats == 0]


def _off_peak(places: SecondsArray, weights: Weights) -> float:
    """Beats by which the onsets near to the beats lie off them, where hardly any lie on them; else 0."""
    off = (places + 0.5) % 1.0 - 0.5
    axis = np.linspace(-PEAK_REACH, PEAK_REACH, 61)
    heights = np.exp(-0.5 * ((off[None] - axis[:, None]) / PEAK_WIDTH) ** 2) @ weights
    peak = int(heights.argmax())
    return float(axis[peak]) if heights[len(axis) // 2] < PEAK_SHARE * heights[peak] else 0.0


def _drawn(
    beats: SecondsArray, moments: SecondsArray, weights: Weights, *, is_constant: bool
) -> SecondsArray:
    """Move beats to the onsets on them: all by one straight line where the tempo is constant."""
    if len(beats) < 2:
        return beats
    reach = min(ON_BEAT, float(np.median(np.diff(beats))) / 6)
    after = np.clip(np.searchsorted(beats, moments), 1, len(beats) - 1)
    nearest = np.where(moments - beats[after - 1] <= beats[after] - moments, after - 1, after)
    error = moments - beats[nearest]
    on = np.abs(error) < reach
    if on.sum() < FEWEST_ON_BEAT:
        return beats
    if is_constant:
        trusted, at = weights[on] ** 2, nearest[on].astype(np.float64)
        line, off = np.zeros(2), error[on]
        for _ in range(3):
            share = trusted * np.exp(-0.5 * ((off - np.polyval(line, at)) / 0.012) ** 2)
            spread = float(np.average((at - np.average(at, weights=share)) ** 2, weights=share))
            if spread < 1.0:
                line = np.array([0.0, float(np.average(off, weights=share))])
            else:
                line = np.polyfit(at, off, 1, w=np.sqrt(share))
        moved: SecondsArray = beats + np.polyval(line, np.arange(len(beats)))
        return moved
    is_click = on.mean() > CLICK_SHARE and len(np.unique(nearest[on])) > CLICK_SHARE * len(beats)
    order = np.argsort(weights[on])  # the heaviest onset of a beat is put last and stays
    drawn = beats.copy()
    drawn[nearest[on][order]] += (1.0 if is_click else DRAWN_SHARE) * error[on][order]
    return drawn
