"""The command line: the core alone, for scripts and for measuring. No Qt is imported here."""

import argparse
import os
import re
import sys
from collections.abc import Sequence
from pathlib import Path
from typing import TYPE_CHECKING

from chronotome import __version__
from chronotome.cli.batch import add_batch_command, batch
from chronotome.cli.common import between, encoding_of, heard, material_of, put
from chronotome.cli.desktop import add_desktop_command, desktop
from chronotome.cli.edit import add_edit_command, edit
from chronotome.cli.fit import add_fit_commands, straighten, tempo, tempo_map
from chronotome.cli.pattern import add_pattern_command, pattern
from chronotome.cli.share_place import add_share_place_command, share_place
from chronotome.cli.split import add_split_command, split
from chronotome.cli.tighten import add_tighten_commands, groove, match, tighten
from chronotome.dsp.audio import Audio
from chronotome.dsp.bands import Band, Instrument
from chronotome.errors import ChronotomeError, MissingRecordings, UnusableFile
from chronotome.files.audio_file import facts_of, load_source, refuse_another
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.export import export_mix, export_stems, heard_end
from chronotome.files.finish import LONGEST_TAIL, RATES, Aim, Finish
from chronotome.files.mark import Mark
from chronotome.files.markers import markers_of
from chronotome.files.marks import csv_text, write_marks
from chronotome.files.session_file import document_of, load_session
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress, part_of, unheard
from chronotome.render.arena import Arena
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.render.pool import Pool
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.clock import Clock
from chronotome.session.grid import FASTEST, SLOWEST, TempoChange, TempoMap
from chronotome.session.metre import Metre, metre_map
from chronotome.session.model import replace
from chronotome.session.onset_filter import USUAL_SPACING, USUAL_THRESHOLD, OnsetFilter, Per, sifted
from chronotome.session.onsets import onsets_from

if TYPE_CHECKING:
    from chronotome.dsp.onsets.detection import DetectedOnsets


SMALLEST_PICTURE, LARGEST_PICTURE = 200, 8000
"""Pixels of a side."""


def size_of(text: str) -> tuple[int, int]:
    """1280x800."""
    found = re.fullmatch(r"(\d{1,5})x(\d{1,5})", text)
    size = (int(found[1]), int(found[2])) if found else (0, 0)
    if not (min(size) >= SMALLEST_PICTURE and max(size) <= LARGEST_PICTURE):
        raise argparse.ArgumentTypeError(
            f"“{text}” is no size: say 1280x800, from {SMALLEST_PICTURE} to {LARGEST_PICTURE}"
        )
    return size


def _per(text: str) -> str:
    if text not in {"bar", "beat"} and not 0.02 <= float(text) <= 60:
        raise argparse.ArgumentTypeError(f"{text} is not bar, beat, or 0.02 to 60 seconds")
    return text


def parser() -> argparse.ArgumentParser:
    """Everything the command line understands besides opening the window."""
    main = argparse.ArgumentParser(
        prog="chronotome",
        description="Ties recordings to the beat. With files or a session and no command: opens the window.",
        epilog="chronotome [SESSION | AUDIO...] opens the window.",
    )
    main.add_argument("--version", action="version", version=f"chronotome {__version__}")
    commands = main.add_subparsers(dest="command", metavar="COMMAND")

    onsets = commands.add_parser("onsets", help="detect onsets")
    onsets.add_argument("audio", type=Path)
    onsets.add_argument("--threshold", type=between(0, 100), default=USUAL_THRESHOLD, metavar="0..100")
    onsets.add_argument(
        "--material", choices=["auto", *Instrument], default="auto", help="instrument; auto: detected"
    )
    onsets.add_argument("--least-spacing", type=between(0, 500), default=USUAL_SPACING, metavar="MS")
    onsets.add_argument(
        "--strongest-per", type=_per, metavar="bar|beat|SECONDS", help="keep only the strongest onset of each"
    )
    for kind, words in (
        ("labels", "tab-separated labels"),
        ("midi", "notes"),
        ("cue", "WAV with cue markers"),
    ):
        onsets.add_argument(f"--{kind}", type=Path, metavar="OUT", help=f"write {words} too")
    kinds = onsets.add_mutually_exclusive_group()
    kinds.add_argument("--json", action="store_true", help="one JSON document (default)")
    kinds.add_argument("--csv", action="store_true", help="frame,seconds,strength,band,locked")

    add_fit_commands(commands)

    writers = add_tighten_commands(commands)
    add_split_command(commands)
    writers.append(add_pattern_command(commands))

    add_batch_command(commands)
    add_edit_command(commands)

    render = commands.add_parser("render", help="render a session to an audio file")
    render.add_argument("session", type=Path)
    render.add_argument("-o", "--out", type=Path, required=True, metavar="OUT")
    render.add_argument("--as-played", action="store_true", help="without edits")
    render.add_argument("--start", type=float, metavar="BAR")
    render.add_argument("--end", type=float, metavar="BAR", help="end at the start of this bar")
    _add_finish(render)
    for command in (*writers, render):
        command.add_argument(
            "--encoding", choices=list(ENCODINGS), help="file format; by the file name if not given"
        )

    shot = commands.add_parser("shot", help="write a picture of the window")
    shot.add_argument("session", help="a session, or “demo”")
    shot.add_argument("-o", "--out", type=Path, required=True, metavar="PNG")
    shot.add_argument("--stage", choices=["mark", "fit", "tighten", "rework", "export"], default="tighten")
    shot.add_argument("--track", metavar="NAME", help="track in the large lane")
    shot.add_argument("--size", type=size_of, default=(1280, 800), metavar="1280x800")
    shot.add_argument("--theme", choices=["day", "night"], default="day")

    add_share_place_command(commands)
    add_desktop_command(commands, lambda: (parser(), window_parser()))

    demo = commands.add_parser("demo", help="open the window with the demo session")
    demo.add_argument("--output", choices=["auto", "simulated"], default="auto")
    return main


COMMANDS = {
    "onsets",
    "tempo",
    "straighten",
    "tempo-map",
    "tighten",
    "groove",
    "match",
    "split",
    "pattern",
    "batch",
    "edit",
    "render",
    "shot",
    "demo",
    "share-place",
    "desktop",
}


def run(arguments: argparse.Namespace) -> int:
    """Run one command of the core; 0 done, 1 the input cannot be used."""
    work = {
        "onsets": _onsets,
        "tempo": tempo,
        "straighten": straighten,
        "tempo-map": tempo_map,
        "tighten": tighten,
        "groove": groove,
        "match": match,
        "split": split,
        "pattern": pattern,
        "batch": batch,
        "edit": edit,
        "render": _render,
        "share-place": share_place,
        "desktop": desktop,
    }[arguments.command]
    try:
        work(arguments, _terminal_progress())
        sys.stdout.flush()
    except ChronotomeError as error:
        print(f"chronotome: {error}", file=sys.stderr)
        return 1
    except BrokenPipeError:  # whoever read the output has had enough
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
    except OSError as error:  # everything else that is written has said so itself
        print(f"chronotome: the output could not be written: {error.strerror}.", file=sys.stderr)
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 1
    except MemoryError:
        print("chronotome: there is not enough memory. Close other programs and try again.", file=sys.stderr)
        return 1
    finally:
        if sys.stderr.isatty():
            sys.stderr.write("\r\033[K")
    return 0


def _terminal_progress() -> Progress:
    if not sys.stderr.isatty():
        return unheard
    shown = -1

    def show(fraction: float) -> None:
        nonlocal shown
        percent = int(100 * fraction)
        if percent != shown:
            shown = percent
            sys.stderr.write(f"\r{percent:3d} % ")
            sys.stderr.flush()

    return show


def _onsets(arguments: argparse.Namespace, progress: Progress) -> None:
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


def _add_finish(render: argparse.ArgumentParser) -> None:
    """What becomes of the mix on its way into the file."""
    render.add_argument(
        "--stems", action="store_true", help="write each track as a stem into the new folder OUT"
    )
    render.add_argument(
        "--rate", type=int, choices=RATES, default=0, help="sample rate; the session's if not given"
    )
    level = render.add_mutually_exclusive_group()
    level.add_argument("--peak", type=between(-60, 0), metavar="DB", help="target peak")
    level.add_argument(
        "--loudness", type=between(-60, 0), metavar="LUFS", help="target loudness (ITU-R BS.1770)"
    )
    render.add_argument("--no-dither", action="store_true", help="no dither noise at 16 bits")
    render.add_argument("--tail", type=between(0, LONGEST_TAIL), default=0.0, metavar="SECONDS")
    words = "no tempo, bars and sections in the file"
    render.add_argument("--no-markers", action="store_true", help=words)
    render.add_argument(
        "--closes", action="store_true", help="add the tail after the end to the start, for loops"
    )


def _finish_of(arguments: argparse.Namespace) -> Finish:
    aim, level = Aim.NOTHING, -1.0
    if arguments.peak is not None:
        aim, level = Aim.PEAK, arguments.peak
    elif arguments.loudness is not None:
        aim, level = Aim.LOUDNESS, arguments.loudness
    return Finish(arguments.rate, aim, level, not arguments.no_dither, arguments.closes, arguments.tail)


def _render(arguments: argparse.Namespace, progress: Progress) -> None:
    usual = "wav24" if arguments.stems else None
    encoding, finish = encoding_of(arguments.out, arguments.encoding or usual), _finish_of(arguments)
    opened = load_session(arguments.session)
    if opened.missing:
        raise MissingRecordings(opened.missing)
    sources = [document_of(arguments.session), *opened.places.values()]
    refuse_sources(arguments.out, sources)
    session = opened.history.session
    arena, pool = Arena(), Pool()
    for number, recording in enumerate(session.recordings):
        facts = facts_of(opened.places[recording.content])
        refuse_another(facts, recording)
        share = part_of(
            progress, 0.6 * number / len(session.recordings), 0.6 * (number + 1) / len(session.recordings)
        )
        pool.add(load_source(facts, arena, session.rate, progress=share))
    mix = render_mix(Renderer(arena), plan_for(session), pool.ready(), part_of(progress, 0.6, 0.9))

    def frame_of(bar: float | None, otherwise: int) -> int:
        if bar is None:
            return otherwise
        moment = session.tempo.seconds_of(session.metre.beat_of(bar - 1))
        return max(0, min(mix.frames, round(moment * session.rate)))

    side = Side.AS_PLAYED if arguments.as_played else Side.EDITED
    start, end = frame_of(arguments.start, 0), frame_of(arguments.end, heard_end(session, side))
    if end <= start:
        raise UnusableFile(arguments.session, "has nothing between these bars", "Check --start and --end.")
    if arguments.stems:
        share, span = part_of(progress, 0.9, 1.0), (start, end)
        stems = export_stems(
            session,
            pool.ready(),
            arena,
            arguments.out,
            encoding,
            span,
            side,
            finish,
            share,
            is_marked=not arguments.no_markers,
        )
        for each in stems:
            print(each.path)
        return
    export_mix(
        OfflineMix(mix, arena),
        arguments.out,
        rate=session.rate,
        encoding=encoding,
        start=start,
        end=end,
        side=side,
        finish=finish,
        markers=None if arguments.no_markers else markers_of(session, start, end, is_loop=arguments.closes),
        sources=sources,
        progress=part_of(progress, 0.9, 1.0),
    )


def parsed(words: Sequence[str]) -> argparse.Namespace:
    """Arguments; a namespace with `files` where the window is wanted."""
    if words and words[0] in COMMANDS:
        return parser().parse_args(words)
    asked = next((word for word in words if word in {"-h", "--help", "--version"}), None)
    if asked is not None:
        parser().parse_args([asked])
    result = window_parser().parse_args(words)
    result.command = "open"
    return result


def window_parser() -> argparse.ArgumentParser:
    """What is understood where the window is wanted."""
    window = argparse.ArgumentParser(prog="chronotome", add_help=False)
    words = "a session folder, or recordings, which are added to an empty one"
    window.add_argument("files", nargs="*", type=Path, metavar="FILE", help=words)
    window.add_argument(
        "--output",
        choices=["auto", "simulated"],
        default="auto",
        help="audio output; simulated: without an audio device",
    )
    return window
