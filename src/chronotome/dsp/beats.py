"""Beats and bars: where the pulse falls, following drift, and how the tempo is called."""

from dataclasses import dataclass, field

import numpy as np

from chronotome.dsp.audio import Audio
from chronotome.dsp.listener import Listener
from chronotome.dsp.loops import Loop, loop_of
from chronotome.dsp.metre import Answer, likeliest
from chronotome.dsp.names import tempo_in_name
from chronotome.dsp.onsets import DetectedOnsets
from chronotome.dsp.pacing import Pacing, first_pacing
from chronotome.dsp.swing import Swing, swing_of
from chronotome.dsp.tempo import FASTEST, SLOWEST, Weights, onset_weights
from chronotome.units import SecondsArray

LEAST_STRENGTH = 20.0
FEWEST_ONSETS = 3
ON_BEAT = 0.040
STARTS_ON_ONE, LAST_MOMENT = 0.030, 0.015
FEWEST_ON_BEAT = 4
PEAK_REACH, PEAK_WIDTH, PEAK_SHARE = 0.15, 0.025, 0.5
DRAWN_SHARE, CLICK_SHARE = 0.8, 0.9
"""How far drifting beats are drawn to their onsets: all the way where nothing but beats is played."""
EDGE = 0.6
"""Of a beat, before the first and after the last onset, within which there may still be a beat."""
NAME_SHARE, TAG_SHARE, LOOP_SHARE = 3.0, 6.0, 1.5
"""How many times likelier a tempo is that the file's name, its tags, or its length agree with."""
AGREES = 0.015
UNHEARD_SHARE = 0.06
FEWEST_SHARE, LEAST_SHARE = 0.004, 0.001
RELATIVES = (0.5, 2.0, 2 / 3, 1.5)
"""Half, double and 3:2 are always among the candidates: no ear is sure of them."""


@dataclass(frozen=True)
class TempoCandidate:
    """A tempo that the recording may have, how likely it is, and what speaks for it."""

    beats_per_minute: float
    confidence: float
    sources: tuple[str, ...] = ("measured",)
    """Among `measured`, `name`, `tag`, `length`."""


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
    pacing = first_pacing(moments, weights, duration)
    answer = likeliest(moments, rises, strengths, pacing, duration)
    beats, downs = _placed(moments, weights, pacing, answer, duration)
    if len(beats) < 2:
        return NO_PULSE
    tempo = 60 / (float(np.mean(np.diff(beats))) if pacing.is_constant else float(np.median(np.diff(beats))))
    error = 4 * pacing.spread / np.sqrt(len(moments)) / max(0.5, float(np.ptp(moments)))
    tolerance = max(0.001, min(0.004, error)) if pacing.is_constant else 0.006
    loop = loop_of(
        listener,
        tempo,
        tolerance=tolerance,
        name=name,
        beats_in_bar=answer.beats,
        starts_on_one=bool(len(downs)) and float(downs[0]) < STARTS_ON_ONE,
    )
    if loop is not None and pacing.is_constant and abs(loop.beats_per_minute / tempo - 1) < AGREES:
        beats, downs = (_spaced(each, loop.beats_per_minute / tempo, beats) for each in (beats, downs))
        tempo = loop.beats_per_minute
    return Pulse(
        tempo,
        beats,
        downs,
        round(answer.confidence, 3),
        pacing.is_constant,
        loop,
        answer.beats,
        round(answer.bar_confidence, 3),
        swing_of(moments, weights, beats),
        _candidates(answer, tempo, loop, (tempo_in_name(name), tag)),
    )


def _spaced(moments: SecondsArray, factor: float, beats: SecondsArray) -> SecondsArray:
    """The same moments so many times as fast, about the middle of the beats."""
    middle = float(np.mean(beats))
    return np.maximum(middle + (moments - middle) / factor, 0)


def _placed(
    moments: SecondsArray, weights: Weights, pacing: Pacing, answer: Answer, duration: float
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


def _candidates(
    answer: Answer,
    tempo: float,
    loop: Loop | None,
    told: tuple[float | None, float | None],
) -> tuple[TempoCandidate, ...]:
    """Measured tempi and what the file says of itself, ranked; a told tempo that was not heard comes last."""
    exact = loop.beats_per_minute if loop is not None else tempo
    found: dict[float, tuple[float, tuple[str, ...]]] = {}
    for candidate in answer.candidates:
        found[exact * answer.ratio / candidate.ratio] = (candidate.confidence, ("measured",))
    for ratio in RELATIVES:
        other = exact * ratio
        if SLOWEST <= other <= FASTEST and all(abs(each / other - 1) > AGREES for each in found):
            found[other] = (LEAST_SHARE, ("measured",))
    votes = [("name", told[0], NAME_SHARE), ("tag", told[1], TAG_SHARE)]
    if loop is not None:
        votes.append(("length", loop.beats_per_minute, LOOP_SHARE))
    for source, said, factor in votes:
        if said is None:
            continue
        agreeing = [each for each in found if abs(each / said - 1) < AGREES]
        if agreeing:
            share, sources = found[agreeing[0]]
            odds = share / max(1e-9, 1 - share) * factor
            found[agreeing[0]] = (odds / (1 + odds), (*sources, source))
        else:
            found[said] = (UNHEARD_SHARE, (source,))
    total = sum(share for share, _ in found.values())
    ranked = sorted(found.items(), key=lambda item: -item[1][0])
    return tuple(
        TempoCandidate(round(each, 3), round(share / total, 3), sources)
        for each, (share, sources) in ranked
        if share / total > FEWEST_SHARE or any(abs(each / exact / ratio - 1) < AGREES for ratio in RELATIVES)
    )
