"""A recording's onsets and pulse, worked out once and kept under its content."""

import contextlib
from pathlib import Path
from typing import TYPE_CHECKING

import msgspec
import numpy as np
import platformdirs
from msgspec import Struct

from chronotome.dsp.audio import Audio
from chronotome.dsp.bands import ANALYSIS_VERSION
from chronotome.files.places import NAME
from chronotome.progress import Progress, part_of, unheard
from chronotome.session.model import ContentHash, Measured
from chronotome.session.onsets import Onsets, onsets_from
from chronotome.units import at_other_rate

if TYPE_CHECKING:
    from chronotome.dsp.beats import Pulse


class Analysis(Struct, frozen=True):
    """What is kept: onsets at the recording's own rate, and the measured pulse."""

    onsets: Onsets
    measured: Measured | None
    version: int = ANALYSIS_VERSION


def analyse(
    audio: Audio,
    name: str,
    progress: Progress = unheard,
    *,
    rate: int | None = None,
    frames: int | None = None,
) -> tuple[Onsets, Measured | None]:
    """Onsets and pulse of samples; onsets counted at the recording's own `rate`, none beyond `frames`."""
    from chronotome.dsp.beats import find_pulse  # noqa: PLC0415 - SciPy takes longer than the window to open
    from chronotome.dsp.onsets import detect_onsets  # noqa: PLC0415 - the same

    found = detect_onsets(audio, progress=part_of(progress, 0.0, 0.9))
    counted = at_other_rate(found.frames, audio.rate, rate or audio.rate)
    kept = (np.diff(counted, prepend=-1) > 0) & (counted < (frames or audio.frames))
    onsets = onsets_from(counted[kept], found.strengths[kept], found.bands[kept])
    measured = measured_of(find_pulse(audio, found, name=name))
    progress(1.0)
    return onsets, measured


def measured_of(pulse: "Pulse") -> Measured | None:
    """The pulse as a session keeps it."""
    if pulse.beats_per_minute <= 0 or not len(pulse.downbeats):
        return None
    tempo = pulse.loop.beats_per_minute if pulse.loop else pulse.beats_per_minute
    return Measured(
        round(tempo, 3),
        round(float(pulse.downbeats[0]), 6),
        pulse.confidence,
        pulse.is_constant,
        pulse.loop.beats if pulse.loop else None,
        tuple(round(float(beat), 4) for beat in pulse.beats),
    )


def _kept_at(content: ContentHash) -> Path:
    return Path(platformdirs.user_cache_dir(NAME)) / "analysis" / f"{content}-{ANALYSIS_VERSION}.json"


def kept_analysis(content: ContentHash) -> Analysis | None:
    """The analysis of an earlier session, if there is one."""
    try:
        return msgspec.json.decode(_kept_at(content).read_bytes(), type=Analysis)
    except (OSError, msgspec.MsgspecError, ValueError):
        return None


def keep_analysis(content: ContentHash, onsets: Onsets, measured: Measured | None) -> None:
    """Best effort: a full disk must not stop the work."""
    path = _kept_at(content)
    with contextlib.suppress(OSError):
        path.parent.mkdir(parents=True, exist_ok=True)
        new = path.with_suffix(".part")
        new.write_bytes(msgspec.json.encode(Analysis(onsets, measured)))
        new.replace(path)
