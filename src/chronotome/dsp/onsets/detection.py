"""Audio -> frames, strengths and bands of what starts."""

from dataclasses import dataclass
from itertools import pairwise

import numpy as np
import soxr
from numpy.typing import NDArray
from threadpoolctl import threadpool_limits

from chronotome.dsp.audio import Audio, Curve
from chronotome.dsp.bands import Instrument
from chronotome.dsp.network import Features, network
from chronotome.dsp.onsets.attack import first_frames
from chronotome.dsp.onsets.candidates import features_of, find_candidates, shapes_of
from chronotome.dsp.onsets.crowds import strongest_within
from chronotome.dsp.onsets.detectors import DETECTORS, KINDS, MATERIALS
from chronotome.dsp.onsets.doubled import bring_nothing
from chronotome.dsp.onsets.listener import Listener
from chronotome.dsp.onsets.novelty import Novelty, novelty
from chronotome.dsp.onsets.rises import Rises, octave_rises
from chronotome.dsp.onsets.slow import LISTENED, UNSURE_MS, Unsure, heard_again
from chronotome.dsp.spectrum import in_threads
from chronotome.progress import Progress, part_of, unheard
from chronotome.units import Frames

EAR_RATE = 44100
"""Frames per second at which everything is listened to, whatever the rate of the recording."""
HOPS_MEET = 21120
"""Frames at that rate after which all hops, and the blocks of the peak follower, meet again."""
LONGEST_PART = 60.0
"""Seconds looked at in one piece: memory does not grow with the recording."""
SHORTEST_PART = 8.0
MARGIN = 2.0
PADDING = 0.25
SHORTEST = 256
"""Frames below which nothing is looked for."""
UNLIKELY = 0.01
"""Chance below which a candidate is forgotten."""
SURE = 0.5
SURE_STRENGTH = 45.0
LEAST_SHIFT, MOST_SHIFT = 0.001, 0.010
"""Seconds: smaller corrections would only blur an exact frame; larger ones are not believed."""
LEAST_RISE, SURE_RISE = 1.0, 2.0
"""Change of the rises from which the predictor's frame counts at all, and alone."""
SLOW_ATTACK, FAINT = 0.030, 30.0
"""Of two attacks closer than that the weaker is faint where it is unsure: a bow, a breath is one attack."""
ONE_ATTACK = 0.006
"""Seconds: closer candidates are one; strokes of a flam are farther apart."""
BAND_TILT = np.array([1.0, 3.0, 12.0], np.float32)  # natural spectra fall; without it nothing would be high
LOUDNESS_RANGE = 48.0
"""dB from the loudest hits down to what adds nothing to strength."""
MOST_RAISED = 3.0
"""By how much hearing again raises a logit at most: what beats in a bell comes and goes, and is no attack."""
CONFIDENT = 0.6
FEW = 4
"""Hits below which the material is not guessed."""


@dataclass(frozen=True, eq=False)
class DetectedOnsets:
    """Candidates in order of time.

    Invariants: equal lengths; `frames` strictly rising; `strengths` within 0 to 100, from 45 on more likely
    an onset than not; `doubts` are the expected errors of the frames in ms, at least 0.
    """

    frames: Frames
    strengths: NDArray[np.float64]
    bands: NDArray[np.int64]
    doubts: NDArray[np.float64]
    material: Instrument = Instrument.MIXED

    def __len__(self) -> int:
        return len(self.frames)


NOTHING = DetectedOnsets(np.zeros(0, np.int64), np.zeros(0), np.zeros(0, np.int64), np.zeros(0))


@dataclass(frozen=True, eq=False)
class ScoredCandidates:
    """Candidates of one part of a recording, with what the networks heard of them."""

    frames: Frames
    features: Features
    bands: NDArray[np.int64]
    gains: NDArray[np.float32]
    """dB of new energy, relative to a full-scale peak."""
    doubts: NDArray[np.float32]
    again: NDArray[np.float32]
    """Logits of those heard again, a column for each kind of material that may be known; 0 for the rest."""
    trust: NDArray[np.float32]
    """How much of that counts."""


def detect_onsets(
    audio: Audio, *, material: Instrument | None = None, progress: Progress = unheard
) -> DetectedOnsets:
    """Every candidate, from faint to sure, each at the frame where its attack starts.

    Parameters
    ----------
    audio : Audio
        Any rate and number of channels.
    material : Material or None
        None: chosen by what is heard.
    progress : Progress

    Returns
    -------
    DetectedOnsets
        Empty for silence.

    Notes
    -----
    Whitened log-flux curves with vibrato suppression (Böck and Widmer, 2013) and the rises of octave-band
    energies name the candidates; the first frame that a linear predictor of the past does not expect is
    where each starts. Small networks judge, from rises and levels per octave, how likely a candidate is an
    onset, and where it starts; a slow or hidden one is heard again by what is new around it alone. The
    recording is looked at in parts of at most a minute, so that memory does not grow with it. All hops are
    counted from the loudest frame, at one rate: a recording that is cut or padded elsewhere is heard alike.
    """
    listener = Listener(audio)
    if audio.frames < SHORTEST or listener.peak <= 0:
        return NOTHING
    with threadpool_limits(1, "blas"):  # its threads would wait for one another; the parts have their own
        heard = _heard(listener, progress=part_of(progress, 0.0, 0.98))
    if not len(heard.frames):
        return NOTHING
    likely = _likelihoods(heard, material)
    if material is None:
        material = _material_of(heard.features, likely)
        likely = _likelihoods(heard, material)
    early = max(1, int(0.012 * audio.rate))
    if np.abs(listener.part(0, early)).max() < 0.02:  # padding giving way to a noise floor is no onset
        likely[heard.frames < early] = 0.0
    kept = _kept(heard.frames, likely, ONE_ATTACK * audio.rate)
    strengths = _strengths(likely, heard.gains)[kept]
    detector = DETECTORS[material]
    unsure = heard.doubts[kept] > detector.slow_ms
    strengths = _slow_attacks_once(heard.frames[kept], strengths, unsure, audio.rate)
    strengths = _found_twice(audio, heard.frames[kept], strengths)
    if detector.judge is not None:
        strengths = detector.judge(audio, heard.frames[kept], strengths)
    progress(1.0)
    return DetectedOnsets(
        heard.frames[kept],
        np.round(strengths, 2),
        heard.bands[kept],
        np.round(heard.doubts[kept], 2).astype(np.float64),
        material,
    )


def _found_twice(audio: Audio, frames: Frames, strengths: NDArray[np.float64]) -> NDArray[np.float64]:
    """Of two sure marks on one attack the second is faint, and the first as strong as either."""
    sure = np.flatnonzero(strengths >= SURE_STRENGTH)
    second = np.flatnonzero(bring_nothing(audio.samples, audio.rate, frames[sure]))
    if not len(second):
        return strengths
    made = strengths.copy()
    for at in second.tolist():
        made[sure[at - 1]] = max(made[sure[at - 1]], strengths[sure[at]])
        made[sure[at]] = FAINT
    return made


def _likelihoods(heard: ScoredCandidates, material: Instrument | None) -> NDArray[np.float64]:
    """By what was heard first, and of the unsure by what was heard again."""
    first = logits_of(heard.features, material)
    again = np.minimum(heard.again[:, _column(material)], first + MOST_RAISED)
    return likely_of(first + heard.trust * (again - first))


def _kept(frames: Frames, likely: NDArray[np.float64], spacing: float) -> NDArray[np.int64]:
    """Places in order of time, the likeliest of those that are one attack."""
    order = np.argsort(frames, kind="stable")
    order = order[likely[order] >= UNLIKELY]
    return order[strongest_within(frames[order], likely[order], spacing)]


def _slow_attacks_once(
    frames: Frames, strengths: NDArray[np.float64], unsure: NDArray[np.bool_], rate: int
) -> NDArray[np.float64]:
    """The strengths, but of two attacks close together the weaker is faint where unsure: it is a slow one."""
    result = strengths.copy()
    sure = np.flatnonzero(strengths >= SURE_STRENGTH)
    close = np.diff(frames[sure]) < SLOW_ATTACK * rate
    for at in np.flatnonzero(close).tolist():
        pair = sure[at : at + 2]
        weaker = pair[int(result[pair[1]] <= result[pair[0]])]
        if unsure[weaker] and (result[pair] >= SURE_STRENGTH).all():
            result[weaker] = min(FAINT, result[weaker])
    return result


def _parts(frames: int, rate: int) -> list[tuple[int, int]]:
    count = 1
    if frames > 2 * SHORTEST_PART * rate:
        count = 2 * max(1, int(np.ceil(frames / (2 * LONGEST_PART * rate))))
    edges = np.linspace(0, frames, count + 1).astype(int).tolist()
    return list(pairwise(edges))


def _heard(listener: Listener, *, progress: Progress) -> ScoredCandidates:
    parts = _parts(listener.frames, listener.rate)
    heard: list[ScoredCandidates | None] = [None] * len(parts)

    def listen(first: int, last: int) -> None:
        for place in range(first, last):
            heard[place] = hear_part(listener, *parts[place])

    in_threads(listen, len(parts), 1, progress)
    whole = [each for each in heard if each is not None]
    return ScoredCandidates(
        *(
            np.concatenate([getattr(each, column) for each in whole])
            for column in ("frames", "features", "bands", "gains", "doubts", "again", "trust")
        )
    )


def hear_part(listener: Listener, start: int, end: int) -> ScoredCandidates:
    """Candidates that start within [start, end)."""
    rate, ear = listener.rate, EAR_RATE / listener.rate
    before = min(start, int(MARGIN * rate)) + int(PADDING * rate)
    before += round((start - before - listener.loudest) * ear % HOPS_MEET / ear)
    after = min(listener.frames - end, int(MARGIN * rate)) + int(PADDING * rate)
    part = listener.part(start - before, end + after)
    signal = part if rate == EAR_RATE else soxr.resample(part, rate, EAR_RATE)
    flux, rises = novelty(signal, EAR_RATE), octave_rises(signal, EAR_RATE)
    found = find_candidates(flux, rises, EAR_RATE)
    features = features_of(found, flux, rises, EAR_RATE)
    places = found.places * rises.hop
    logits = logits_of(features, None) if len(found) else np.zeros(0, np.float32)
    wanted = likely_of(logits) >= UNLIKELY
    first, last = before * ear - PADDING * EAR_RATE, (len(part) - after) * ear + PADDING * EAR_RATE
    wanted &= (places >= first) & (places < last)
    places, features, heights = places[wanted], features[wanted], found.heights[wanted]
    if not len(places):
        return ScoredCandidates(
            places, features, places, heights, heights, np.zeros((0, len(KINDS)), np.float32), heights
        )
    frames, doubts = attacks_of(places, heights, signal, rises, part, rate=rate)
    again, trust = np.zeros((len(frames), len(KINDS)), np.float32), np.zeros(len(frames), np.float32)
    rings_on = frames < listener.frames - start + before - LISTENED * rate
    which = np.flatnonzero((doubts > UNSURE_MS) & rings_on)
    if len(which):
        every = Unsure(_at_rate(frames, rate, EAR_RATE), doubts, logits[wanted])
        better = heard_again(every, which, flux.low, EAR_RATE)
        frames[which] += np.rint(better.shifts * (rate / 1000)).astype(np.int64)
        doubts[which], again[which], trust[which] = better.doubts, better.logits, better.trust
    bands, gains = _bands(flux, _at_rate(frames, rate, EAR_RATE), EAR_RATE)
    frames = frames - before + start
    inside = (frames < end) & ((frames >= start) | (start == 0))
    return ScoredCandidates(
        np.maximum(frames, 0)[inside],
        features[inside],
        bands[inside],
        gains[inside],
        np.maximum(doubts, 0)[inside],
        again[inside],
        trust[inside],
    )


def attacks_of(
    places: Frames, heights: NDArray[np.float32], signal: Curve, rises: Rises, part: Curve, *, rate: int
) -> tuple[Frames, NDArray[np.float32]]:
    """The frame of `part` where each attack starts, and its expected error in ms.

    A network leads from the place to about where the attack is, a linear predictor from there to the frame,
    and the network corrects that where the attack is slow. The network hears `signal`, at the rate of all
    listening, where the places are; the predictor hears `part`, at the rate of the recording.
    """
    near = places + _shifts(shapes_of(places, signal, rises, EAR_RATE), EAR_RATE, least=0.0)
    near = _at_rate(near, EAR_RATE, rate)
    trust = np.clip((heights - LEAST_RISE) / (SURE_RISE - LEAST_RISE), 0, 1)  # no step between the two ways
    frames, clear = near.copy(), trust > 0
    exact = first_frames(part, rate, near[clear])
    frames[clear] += np.rint(trust[clear] * (exact - near[clear])).astype(np.int64)
    shapes = shapes_of(_at_rate(frames, rate, EAR_RATE), signal, rises, EAR_RATE)
    return frames + _shifts(shapes, rate, least=LEAST_SHIFT), network("doubt")(shapes)[:, 0]


def _at_rate(frames: Frames, rate: int, other: int) -> Frames:
    return frames if rate == other else np.rint(frames * (other / rate)).astype(np.int64)


def _shifts(shapes: Features, rate: int, *, least: float) -> Frames:
    """Frames to the attack; nothing at `least` seconds and below, rising from there without a step."""
    shifts = network("timing")(shapes)[:, 0] / 1000
    believed = np.sign(shifts) * np.clip(np.abs(shifts) - least, 0, MOST_SHIFT)
    return np.round(believed * rate).astype(np.int64)


def _bands(flux: Novelty, frames: Frames, rate: int) -> tuple[NDArray[np.int64], NDArray[np.float32]]:
    """The band that gains most just after each frame, and the gain over all in dB."""
    hops = np.round(frames / flux.hop).astype(np.int64)
    per_ms, last = rate / 1000 / flux.hop, len(flux.bands) - 1
    later = np.arange(round(5 * per_ms), round(25 * per_ms) + 1)
    earlier = np.arange(-round(25 * per_ms), -round(15 * per_ms) + 1)
    after = flux.bands[np.clip(hops[:, None] + later, 0, last)].max(axis=1)
    before = flux.bands[np.clip(hops[:, None] + earlier, 0, last)].mean(axis=1)
    gained = np.maximum(after - before, 0) * np.sqrt(BAND_TILT)
    total = np.sqrt((gained**2).sum(axis=1))
    return gained.argmax(axis=1), 20 * np.log10(np.maximum(total, np.float32(1e-6)))


def logits_of(features: Features, material: Instrument | None) -> NDArray[np.float32]:
    """How likely each candidate is an onset."""
    kind = KINDS[_column(material)]
    told = np.concatenate([features, np.broadcast_to(kind, (len(features), len(kind)))], axis=1)
    return network("strength")(told)[:, 0]


def _column(material: Instrument | None) -> int:
    return 0 if material is None else DETECTORS[material].column


def likely_of(logits: NDArray[np.float32]) -> NDArray[np.float64]:
    """Chance that each candidate is an onset."""
    return 1 / (1 + np.exp(-np.clip(logits.astype(np.float64), -30, 30)))


def _material_of(features: Features, likely: NDArray[np.float64]) -> Instrument:
    """What the sure onsets sound like together; mixed where that is not clear."""
    sure = features[likely >= SURE]
    if len(sure) < FEW:
        return Instrument.MIXED
    logits = network("material")(material_features(sure)[None])[0].astype(np.float64)
    chances = np.exp(logits - logits.max())
    chances /= chances.sum()
    best = int(chances.argmax())
    return (*MATERIALS, Instrument.MIXED)[best] if chances[best] >= CONFIDENT else Instrument.MIXED


def material_features(sure: Features) -> NDArray[np.float32]:
    """Mean of each feature over the sure onsets of a recording."""
    return np.asarray(np.clip(sure, -12, 12).mean(axis=0), np.float32)


def _strengths(likely: NDArray[np.float64], gains: NDArray[np.float32]) -> NDArray[np.float64]:
    """0 to 100: up to 45 by likelihood alone, above that also by loudness among the sure ones."""
    sure = likely >= SURE
    loudest = float(np.percentile(gains[sure], 95)) if sure.any() else 0.0
    loudness = np.clip(1 + (gains.astype(np.float64) - loudest) / LOUDNESS_RANGE, 0, 1)
    surety = np.clip((likely - SURE) / (1 - SURE), 0, 1)
    above = SURE_STRENGTH + (100 - SURE_STRENGTH) * surety * (0.3 + 0.7 * loudness)
    return np.where(sure, above, likely * SURE_STRENGTH / SURE)
