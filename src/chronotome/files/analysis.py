"""A recording's onsets and pulse, worked out once and kept under its content."""

from pathlib import Path
from typing import TYPE_CHECKING

import msgspec
import numpy as np
from msgspec import Struct
from numpy.typing import NDArray

from chronotome.dsp.audio import Audio
from chronotome.dsp.bands import ANALYSIS_VERSION, Instrument
from chronotome.dsp.hits import hit_traits
from chronotome.dsp.mute_span import quiet_until
from chronotome.dsp.noises import StrokeSounds, noises_among
from chronotome.files.cache import cache_folder
from chronotome.files.safe_read import InvalidInput, bytes_of, trusted
from chronotome.files.writing import keep
from chronotome.progress import Progress, part_of, unheard
from chronotome.session.fit import BeatMapInput, Fit, Measured, TempoOption, beat_map
from chronotome.session.limits import ContentHash, FrameNumber
from chronotome.session.metre import metre_map
from chronotome.session.onsets import Onsets, onsets_from
from chronotome.units import Frames, at_other_rate

if TYPE_CHECKING:
    from chronotome.dsp.beats.pulse import Pulse


SIXTEENTHS = 4
"""Lines in a quarter note."""


class Analysis(Struct, frozen=True):
    """Onsets at the recording's own rate, the measured pulse, and the material it was heard as."""

    onsets: Onsets
    measured: Measured | None
    material: Instrument = Instrument.MIXED
    quiet: FrameNumber = 0
    version: int = ANALYSIS_VERSION


def analyse(
    audio: Audio,
    name: str,
    progress: Progress = unheard,
    *,
    rate: int | None = None,
    frames: int | None = None,
    material: Instrument | None = None,
    tag: float | None = None,
) -> Analysis:
    """Onsets and pulse of samples; onsets counted at the recording's own `rate`, none beyond `frames`.

    `material` None: as it is heard. `tag` is the tempo that the file's tags tell.
    """
    from chronotome.dsp.beats.pulse import find_pulse  # noqa: PLC0415 - SciPy takes longer than the window to open
    from chronotome.dsp.onsets.detection import detect_onsets  # noqa: PLC0415 - the same

    found = detect_onsets(audio, material=material, progress=part_of(progress, 0.0, 0.9))
    counted = at_other_rate(found.frames, audio.rate, rate or audio.rate)
    kept = (np.diff(counted, prepend=-1) > 0) & (counted < (frames or audio.frames))
    onsets = onsets_from(counted[kept], found.strengths[kept], found.bands[kept], found.doubts[kept])
    traits = hit_traits(audio.samples, audio.rate, found.frames[kept])
    measured = measured_of(find_pulse(audio, found, name=name, tag=tag))
    off = off_lines(measured, found.frames[kept], audio.rate, audio.frames)
    if off is not None:
        strokes = StrokeSounds(found.frames[kept], found.strengths[kept], off, traits)
        lengths = noises_among(audio.samples, audio.rate, strokes)
        lengths = at_other_rate(lengths, audio.rate, rate or audio.rate)
        onsets = msgspec.structs.replace(onsets, noises=tuple(lengths.tolist()))
    onsets = onsets.measured(traits)
    quiet = round(quiet_until(audio.samples, audio.rate) * (rate or audio.rate) / audio.rate)
    progress(1.0)
    return Analysis(onsets, measured, found.material, quiet)


def off_lines(
    measured: Measured | None, frames: Frames, rate: int, length: int
) -> NDArray[np.float64] | None:
    """Seconds of each frame from the nearest sixteenth as measured; None where no beats are known."""
    if measured is None:
        return None
    beats = beat_map(Fit(), measured, BeatMapInput(length, rate, frames, metre_map(measured.metre)))
    if beats is None:
        return None
    seconds = frames / rate
    lines = np.rint(beats.beats_at(seconds) * SIXTEENTHS) / SIXTEENTHS
    return np.asarray(np.abs(beats.seconds_at(lines) - seconds))


def measured_of(pulse: "Pulse") -> Measured | None:
    """The pulse as a session keeps it."""
    if pulse.beats_per_minute <= 0 or not len(pulse.downbeats):
        return None
    tempo = pulse.loop.beats_per_minute if pulse.loop else pulse.beats_per_minute
    return Measured(
        round(tempo, 6),
        round(float(pulse.downbeats[0]), 8),
        pulse.confidence,
        pulse.is_constant,
        pulse.loop.beats if pulse.loop else None,
        tuple(round(float(beat), 8) for beat in pulse.beats),
        pulse.beats_in_bar,
        pulse.bar_confidence,
        pulse.swing.percent if pulse.swing else None,
        pulse.swing.division if pulse.swing else 8,
        tuple(TempoOption(each.beats_per_minute, each.confidence, each.sources) for each in pulse.candidates),
    )


def _kept_at(content: ContentHash, material: Instrument | None) -> Path:
    name = f"{content}-{ANALYSIS_VERSION}-{material or 'heard'}.json"
    return cache_folder() / "analysis" / name


def kept_analysis(content: ContentHash, material: Instrument | None = None) -> Analysis | None:
    """The analysis of an earlier session, if there is one; `material` as it was asked for."""
    try:
        return trusted(bytes_of(_kept_at(content, material)), Analysis)
    except (OSError, InvalidInput):
        return None


def keep_analysis(content: ContentHash, analysis: Analysis, material: Instrument | None = None) -> None:
    """Best effort: a full disk must not stop the work."""
    keep(_kept_at(content, material), msgspec.json.encode(analysis))
