"""The command `onsets`."""

import argparse
import sys
from typing import TYPE_CHECKING

from chronotome.cli.common import heard, material_of, put
from chronotome.dsp.audio import Audio
from chronotome.dsp.bands import Band
from chronotome.errors import UnusableFile
from chronotome.files.mark import Mark
from chronotome.files.marks import csv_text, write_marks
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress
from chronotome.session.clock import Clock
from chronotome.session.grid import FASTEST, SLOWEST, TempoChange, TempoMap
from chronotome.session.metre import Metre, metre_map
from chronotome.session.model import replace
from chronotome.session.onset_filter import OnsetFilter, Per, sifted
from chronotome.session.onsets import onsets_from

if TYPE_CHECKING:
    from chronotome.dsp.onsets.detection import DetectedOnsets


def onsets(arguments: argparse.Namespace, progress: Progress) -> None:
    for out in filter(None, (arguments.labels, arguments.midi, arguments.cue)):
        refuse_sources(out, [arguments.audio])
    audio, found = heard(arguments.audio, progress, material_of(arguments.material))
    onsets = onsets_from(found.frames, found.strengths, found.bands, found.doubts)
    sift, clock = _sift_of(arguments, audio, found)
    counts = sifted(onsets, arguments.threshold, sift, clock)
    marks = [
        Mark(frame / audio.rate, strength, Band(band))
        for frame, strength, band, is_counted in zip(
            onsets.frames, onsets.strengths, onsets.bands, counts.tolist(), strict=True
        )
        if is_counted
    ]
    for place, suffix in ((arguments.labels, ".tsv"), (arguments.midi, ".mid"), (arguments.cue, ".wav")):
        if place is not None:
            write_marks(place, marks, arguments.audio, audio.rate, suffix)
    if arguments.csv:
        sys.stdout.write(csv_text(marks, audio.rate))
        return
    rows = [
        {
            "frame": round(mark.seconds * audio.rate),
            "seconds": round(mark.seconds, 9),
            "strength": mark.strength,
            "band": mark.band.name.lower(),
            "doubt_ms": doubt,
        }
        for mark, doubt in zip(marks, onsets.doubt_array[counts].tolist(), strict=True)
    ]
    put({"version": 1, "rate": audio.rate, "material": str(found.material), "onsets": rows})


def _sift_of(
    arguments: argparse.Namespace, audio: Audio, found: "DetectedOnsets"
) -> tuple[OnsetFilter, Clock]:
    """What the arguments let through; bars and beats are those that are measured."""
    sift, tempo, metre = OnsetFilter(least_spacing=arguments.least_spacing), TempoMap(), Metre()
    if arguments.strongest_per in {"bar", "beat"}:
        from chronotome.dsp.beats.pulse import find_pulse  # noqa: PLC0415 - SciPy takes longer than the window to open

        pulse = find_pulse(audio, found, name=arguments.audio.stem)
        if pulse.beats_per_minute <= 0 or not len(pulse.downbeats):
            raise UnusableFile(
                arguments.audio, "has no bars: too few hits", "Give --strongest-per in seconds."
            )
        change = TempoChange(0.0, min(FASTEST, max(SLOWEST, pulse.beats_per_minute)))
        tempo = TempoMap((change,), float(pulse.downbeats[0]))
        sift = replace(sift, strongest_per=Per(arguments.strongest_per))
    elif arguments.strongest_per is not None:
        sift = replace(sift, strongest_per=Per.SECONDS, seconds=float(arguments.strongest_per))
    return sift, Clock(0, 0.0, audio.rate, tempo, metre_map(metre))
