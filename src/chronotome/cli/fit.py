"""The commands of Fit: tempo and straighten."""

import argparse
from typing import TYPE_CHECKING, Any

import numpy as np

from chronotome.cli.common import heard, put
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.errors import UnusableFile
from chronotome.files.analysis import measured_of
from chronotome.files.audio_file import facts_of
from chronotome.files.midi_out import write_tempo_midi
from chronotome.files.session_file import load_session
from chronotome.files.straighten import Straightening, straighten_files
from chronotome.files.tags import tempo_tag
from chronotome.files.tempo_in import KINDS, read_tempo_map
from chronotome.files.tempo_out import write_tempo_json
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress
from chronotome.session.edits.tempo import take_song_map
from chronotome.session.fit import BeatMap, BeatMapInput, BeatSource, Fit, Measured, beat_map
from chronotome.session.grid import FASTEST, SLOWEST
from chronotome.session.metre import Metre, metre_map
from chronotome.session.model import Session

if TYPE_CHECKING:
    from chronotome.dsp.beats.pulse import Pulse

NOTICEABLE_SWING = 52.5
BEATS = {"measured": BeatSource.MEASURED, "hits": BeatSource.ONSETS, "bars": BeatSource.BARS}


def tempo(arguments: argparse.Namespace, progress: Progress) -> None:
    """Of the file; with --guide the bars are the guide's, counted in the file's time."""
    from chronotome.dsp.beats.pulse import find_pulse  # noqa: PLC0415 - SciPy takes longer than the window to open

    path = arguments.guide or arguments.audio
    audio, found = heard(path, progress)
    pulse = find_pulse(audio, found, name=path.stem, tag=tempo_tag(path))
    measured = measured_of(pulse)
    metre = arguments.metre or (measured.metre if measured else Metre())
    fit = _fit_of(arguments, metre)
    beats = beat_map(
        fit, measured, BeatMapInput(audio.frames, audio.rate, np.zeros(0, np.int64), metre_map(metre))
    )
    if arguments.json:
        put(_tempo_document(pulse, measured, beats, metre, fit))
    elif fit.tempo is not None:
        print(f"{fit.tempo:.2f} bpm: {arguments.bars:g} bars of {metre.beats}/{metre.unit}")
    elif beats is None:
        print("no tempo found: fewer than three hits")
    else:
        _print_tempo(pulse, metre, beats)


def _fit_of(arguments: argparse.Namespace, metre: Metre) -> Fit:
    """What the arguments say of the beats: --bars counts the length of the file itself."""
    facts = facts_of(arguments.audio)
    if not arguments.bars:
        return Fit()
    bpm = 60 * arguments.bars * metre.bar * facts.rate / facts.frames
    if not SLOWEST <= bpm <= FASTEST:
        words = f"would be {bpm:.2f} bpm as {arguments.bars:g} bars"
        raise UnusableFile(arguments.audio, words, "Give another number.")
    return Fit(tempo=bpm, beat_one=0)


def _print_tempo(pulse: "Pulse", metre: Metre, beats: BeatMap) -> None:
    kind = "constant" if pulse.is_constant else "drifting"
    print(f"{pulse.beats_per_minute:.2f} bpm, {kind}, confidence {pulse.confidence:.2f}")
    print(f"metre {metre.beats}/{metre.unit}, confidence {pulse.bar_confidence:.2f}")
    if pulse.swing and pulse.swing.percent > NOTICEABLE_SWING:
        print(f"swing {pulse.swing.percent:.1f} % of 1/{pulse.swing.division}")
    if pulse.loop:
        print(f"the file is {pulse.loop.beats} beats at {pulse.loop.beats_per_minute:.2f} bpm")
    if len(pulse.downbeats):
        print(f"beat one at {pulse.downbeats[0]:.3f} s")
    print(f"distance from a constant tempo {beats.residual:.1f} ms")
    for option in pulse.candidates[:5]:
        said = ", ".join(option.sources)
        print(f"  {option.beats_per_minute:8.2f} bpm {option.confidence:5.0%}  {said}")


def _tempo_document(
    pulse: "Pulse", measured: Measured | None, beats: BeatMap | None, metre: Metre, fit: Fit
) -> dict[str, Any]:
    """What was measured; with --bars, the beats are those of the bars."""
    said = beats is not None and fit.tempo is not None
    per_beat = measured.quarters if measured and not said else metre.beat
    moments = [] if beats is None else beats.seconds.tolist()
    numbers = [] if beats is None else np.rint(beats.beats / per_beat).astype(int).tolist()
    per_bar = round(metre.bar / per_beat)
    loop = {"bpm": round(pulse.loop.beats_per_minute, 4), "beats": pulse.loop.beats} if pulse.loop else None
    return {
        "version": 1,
        "bpm": round(fit.tempo if said and fit.tempo else pulse.beats_per_minute, 4),
        "metre": f"{metre.beats}/{metre.unit}",
        "metre_confidence": pulse.bar_confidence,
        "beats": [round(moment, 6) for moment in moments],
        "downbeats": [
            round(moment, 6) for moment, number in zip(moments, numbers, strict=True) if number % per_bar == 0
        ],
        "confidence": pulse.confidence,
        "constant": pulse.is_constant or said,
        "residual_ms": round(beats.residual, 3) if beats is not None else None,
        "swing": pulse.swing.percent if pulse.swing else None,
        "swing_division": pulse.swing.division if pulse.swing else None,
        "loop": loop,
        "candidates": [
            {"bpm": each.beats_per_minute, "confidence": each.confidence, "sources": list(each.sources)}
            for each in pulse.candidates
        ],
    }


def tempo_map(arguments: argparse.Namespace, _progress: Progress) -> None:
    """Of a session, or of a tempo map that is to be had in the other format."""
    refuse_sources(arguments.out, [arguments.source])
    if arguments.source.suffix.lower() in KINDS and arguments.source.is_file():
        session = take_song_map(Session(), read_tempo_map(arguments.source))
    else:
        session = load_session(arguments.source).history.session
    is_json = arguments.out.suffix.lower() == ".json"
    (write_tempo_json if is_json else write_tempo_midi)(arguments.out, session)
    print(arguments.out)


def straighten(arguments: argparse.Namespace, progress: Progress) -> None:
    song = read_tempo_map(arguments.tempo_map) if arguments.tempo_map else None
    how = Straightening(
        arguments.bpm, arguments.steady / 100, MoveBy(arguments.by), BEATS[arguments.beats], song=song
    )
    guide = arguments.guide or arguments.audio[0]
    done = straighten_files(arguments.audio, guide, arguments.out, how, progress)
    for path in done.written:
        print(path)
