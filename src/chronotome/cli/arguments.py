"""What the command line understands: every command and what can be said to it.

Nothing of the core is imported to say so: help, completions and wrong words are told at once. The names and
bounds that stand here are those of the core; a test compares them.
"""

import argparse
import re
from collections.abc import Callable
from pathlib import Path
from typing import TYPE_CHECKING, Any

from chronotome import __version__

if TYPE_CHECKING:
    from chronotome.session.edits.slicing import Cuts
    from chronotome.session.grid import Grid
    from chronotome.session.metre import Metre

SLOWEST, FASTEST = 20.0, 400.0
USUAL_THRESHOLD, USUAL_SPACING = 45.0, 12.0
INSTRUMENTS = ("drums", "struck", "sustained", "mixed")
MATERIALS = ("auto", *INSTRUMENTS, "one-note", "chords", "noise", "tape")
MOVES = ("cutting", "stretching", "tape")
BEATS = ("measured", "hits", "bars")
ENCODINGS = ("wav16", "wav24", "wavfloat", "flac16", "flac24", "ogg", "opus", "mp3")
RATES = (22050, 32000, 44100, 48000, 88200, 96000, 176400, 192000)
FIELDS = ("name", "number", "band", "key", "note", "bpm", "ms")
USUAL_NAMES = "{name}-{number}"
LONGEST_TAIL = 60.0
MOST_BARS = 4
"""Of a groove."""
MOST_PATTERN_BARS = 1000
MOST_PARTS = 1024
AS_PLAYED = "as-played"
SMALLEST_PICTURE, LARGEST_PICTURE = 200, 8000
"""Pixels of a side."""
Parser = argparse.ArgumentParser


def between(low: float, high: float) -> Any:
    def read(text: str) -> float:
        value = float(text)
        if not low <= value <= high:
            raise argparse.ArgumentTypeError(f"{text} is not between {low:g} and {high:g}")
        return value

    return read


def metre_said(text: str) -> "Metre":
    """4/4, 6/8."""
    from chronotome.session.metre import metre_of  # noqa: PLC0415 - only where it is said

    try:
        return metre_of(text)
    except ValueError as error:
        raise argparse.ArgumentTypeError(str(error)) from None


def add_fit_commands(commands: Any) -> None:
    """`tempo`, `straighten` and `tempo-map`."""
    tempo = commands.add_parser("tempo", help="detect tempo, beats and bars")
    tempo.add_argument("audio", type=Path)
    tempo.add_argument("--json", action="store_true", help="one JSON document")
    tempo.add_argument("--bars", type=between(0.25, 4096), metavar="N", help="length of the file in bars")
    tempo.add_argument("--metre", type=metre_said, metavar="4/4", help="metre; detected if not given")
    tempo.add_argument("--guide", type=Path, metavar="AUDIO", help="recording whose beats are used")

    straighten = commands.add_parser(
        "straighten", help="straighten drifting recordings, locked to one of them"
    )
    straighten.add_argument("audio", type=Path, nargs="+")
    straighten.add_argument(
        "--guide", type=Path, metavar="AUDIO", help="recording whose beats are used; the first if not given"
    )
    straighten.add_argument(
        "--bpm", type=between(SLOWEST, FASTEST), help="target tempo; the guide's own if not given"
    )
    straighten.add_argument(
        "--tempo-map", type=Path, metavar="MIDI|JSON", help="tempo and metre of the song to follow"
    )
    straighten.add_argument("--beats", choices=BEATS, default="measured", help="beat source of the guide")
    straighten.add_argument("--steady", type=between(0, 100), default=100.0, metavar="0..100")
    straighten.add_argument("--by", choices=MOVES, default="stretching")
    straighten.add_argument("-o", "--out", type=Path, required=True, metavar="FOLDER")

    tempo_map = commands.add_parser("tempo-map", help="write the tempo map of a session as MIDI or JSON")
    tempo_map.add_argument("source", type=Path, metavar="SESSION|MIDI|JSON")
    tempo_map.add_argument("-o", "--out", type=Path, required=True, metavar="MIDI|JSON")


def grid_of(text: str) -> "Grid":
    """1/16, 1/8 triplet, 1/4 dotted."""
    from chronotome.session.grid import DIVISIONS, Feel, Grid  # noqa: PLC0415 - only where it is said

    words = text.replace("-", " ").split()
    head, feel = words[0] if words else "", words[1] if len(words) > 1 else "straight"
    try:
        grid = Grid(int(head.removeprefix("1/")), Feel(feel))
    except ValueError:
        raise argparse.ArgumentTypeError(f"“{text}” is no grid: say 1/16, or “1/8 triplet”") from None
    if not head.startswith("1/") or grid.division not in DIVISIONS:
        known = ", ".join(f"1/{division}" for division in DIVISIONS)
        raise argparse.ArgumentTypeError(f"“{text}” is no grid: {known} are")
    return grid


def bars_of(text: str) -> tuple[int, int]:
    """5-8: from the start of bar 5 to the end of bar 8."""
    found = re.fullmatch(r"(\d{1,6})(?:-(\d{1,6}))?", text)
    first, last = (int(found[1]), int(found[2] or found[1])) if found else (0, 0)
    if not 1 <= first <= last:
        raise argparse.ArgumentTypeError(f"“{text}” are no bars: say 5-8")
    return first, last


def swing_of(text: str) -> float | None:
    """50 to 75; None: as it is played."""
    return None if text == AS_PLAYED else float(between(50, 75)(text))


def add_tighten_commands(commands: Any) -> list[argparse.ArgumentParser]:
    """`tighten`, `groove` and `match`; those that write sound are returned."""
    tighten = commands.add_parser("tighten", help="move hits to the grid, to a groove or to another take")
    tighten.add_argument("audio", type=Path)
    tighten.add_argument("--bpm", type=between(SLOWEST, FASTEST), help="tempo; detected if not given")
    tighten.add_argument("--beat-one", type=between(-1e6, 1e6), metavar="SECONDS")
    tighten.add_argument("--grid", type=grid_of, default="1/16", metavar="1/16")
    tighten.add_argument("--swing", type=swing_of, default=50.0, metavar="50..75|as-played")
    tighten.add_argument(
        "--groove", type=Path, metavar="FILE|AUDIO", help="groove file, or recording to extract it from"
    )
    tighten.add_argument("--groove-amount", type=between(0, 150), default=100.0, metavar="0..150")
    words = "its offsets stay ms, or the same share of a step at any tempo"
    tighten.add_argument("--groove-as", choices=["ms", "share"], default="ms", help=words)
    tighten.add_argument("--match", type=Path, metavar="AUDIO", help="move hits to those of this take")
    tighten.add_argument(
        "--catch",
        type=between(0, 100),
        default=100.0,
        metavar="0..100",
        help="attraction, in percent of half a step",
    )
    tighten.add_argument("--bars", type=bars_of, metavar="A-B", help="move hits only in these bars")
    match = commands.add_parser("match", help="move the hits of one take to the hits of another")
    match.add_argument("audio", type=Path, metavar="A", help="take that is moved")
    match.add_argument("other", type=Path, metavar="B")
    match.add_argument("--within", type=between(5, 500), default=90.0, metavar="MS")
    for writer in (tighten, match):
        writer.add_argument("-o", "--out", type=Path, required=True, metavar="OUT", help="WAV or FLAC")
        writer.add_argument("--strength", type=between(0, 100), default=100.0, metavar="0..100")
        writer.add_argument("--leave-alone", type=between(0, 100), default=0.0, metavar="MS")
        writer.add_argument("--threshold", type=between(0, 100), default=USUAL_THRESHOLD, metavar="0..100")
        writer.add_argument("--by", choices=MOVES, default="stretching")
        words = "what attacks are of, and what stretching keeps clean"
        writer.add_argument("--material", choices=MATERIALS, default="auto", help=words)
        words = "write every onset and where it landed"
        writer.add_argument("--moves", type=Path, metavar="JSON", help=words)

    groove = commands.add_parser("groove", help="extract the groove of a recording")
    groove.add_argument("audio", type=Path)
    groove.add_argument("-o", "--out", type=Path, required=True, metavar="FILE", help="JSON, or MIDI: .mid")
    groove.add_argument("--bars", type=int, choices=range(1, MOST_BARS + 1), default=1)
    groove.add_argument("--grid", type=grid_of, default="1/16", metavar="1/16")
    groove.add_argument("--bpm", type=between(SLOWEST, FASTEST), help="tempo; detected if not given")
    groove.add_argument("--beat-one", type=between(-1e6, 1e6), metavar="SECONDS")
    groove.add_argument("--threshold", type=between(0, 100), default=USUAL_THRESHOLD, metavar="0..100")
    return [tighten, match]


def cuts_of(text: str) -> "Cuts":
    """onsets, a line of 1/1 to 1/64, or a number of equal parts."""
    from chronotome.session.edits.slicing import At, Cuts  # noqa: PLC0415 - only where it is said

    line = re.fullmatch(r"1/(\d{1,2})", text)
    if text == "onsets":
        return Cuts()
    if line and 1 <= int(line[1]) <= 64:
        return Cuts(At.LINES, step=4.0 / int(line[1]))
    if text.isdigit() and 2 <= int(text) <= MOST_PARTS:
        return Cuts(At.PARTS, parts=int(text))
    raise argparse.ArgumentTypeError(
        f"“{text}” is no place to cut: say onsets, 1/8, or 2 to {MOST_PARTS} parts"
    )


def template_of(text: str) -> str:
    """A name with fields that there are."""
    from chronotome.files.naming import WrongTemplate, names_by  # noqa: PLC0415 - only where it is said

    try:
        names_by(text, [], "")
    except WrongTemplate as error:
        raise argparse.ArgumentTypeError(f"“{text}” names no files: {error}") from None
    return text


def add_split_command(commands: Any) -> None:
    split = commands.add_parser("split", help="slice a recording into files")
    split.add_argument("audio", type=Path)
    split.add_argument("-o", "--out", type=Path, required=True, metavar="FOLDER", help="new or empty folder")
    split.add_argument("--at", type=cuts_of, default="onsets", metavar="onsets|1/8|N")
    split.add_argument(
        "--bpm", type=between(SLOWEST, FASTEST), help="tempo of the grid; detected if not given"
    )
    split.add_argument("--beat-one", type=between(-1e6, 1e6), metavar="SECONDS")
    words = f"of files, with any of {', '.join(f'{{{each}}}' for each in FIELDS)}"
    split.add_argument("--names", type=template_of, default=USUAL_NAMES, metavar="TEMPLATE", help=words)
    split.add_argument("--threshold", type=between(0, 100), default=USUAL_THRESHOLD, metavar="0..100")


def add_pattern_command(commands: Any) -> argparse.ArgumentParser:
    pattern = commands.add_parser("pattern", help="render a saved pattern to an audio file")
    words = "a saved pattern with its kit, or what split wrote"
    pattern.add_argument("folder", type=Path, metavar="FOLDER", help=words)
    pattern.add_argument("-o", "--out", type=Path, required=True, metavar="OUT", help="WAV or FLAC")
    pattern.add_argument("--bpm", type=between(SLOWEST, FASTEST), required=True)
    pattern.add_argument("--bars", type=between(1, MOST_PATTERN_BARS), required=True, metavar="N")
    pattern.add_argument("--seed", type=between(0, 1 << 31), help="seed of chance and random values")
    made: argparse.ArgumentParser = pattern
    return made


def add_batch_command(commands: Any) -> None:
    batch = commands.add_parser("batch", help="process many files by a preset saved from the window")
    batch.add_argument("recipe", type=Path, metavar="PRESET")
    batch.add_argument("files", type=Path, nargs="+", metavar="FILE", help="audio files, or folders of them")
    batch.add_argument("-o", "--out", type=Path, required=True, metavar="FOLDER")
    words = "print one command a file instead, for a runner of yours on one machine or many"
    batch.add_argument("--commands", action="store_true", help=words)


def add_edit_command(commands: Any) -> None:
    edit = commands.add_parser("edit", help="edit a session by named actions, into a new folder")
    edit.add_argument("session", type=Path, nargs="?")
    edit.add_argument("actions", nargs="*", metavar="ACTION[=VALUE,...]", help="in this order; see --list")
    edit.add_argument("-o", "--out", type=Path, metavar="FOLDER", help="new folder for the edited session")
    edit.add_argument(
        "--track", action="append", default=[], metavar="NAME", help="tracks meant; all if none"
    )
    edit.add_argument("--list", action="store_true", help="print the actions and their values")


def add_share_place_command(commands: Any) -> None:
    place = commands.add_parser("share-place", help="run a small share server on this computer")
    place.add_argument("folder", type=Path, metavar="FOLDER", help="folder that stores the uploads")
    place.add_argument("--port", type=int, default=0, metavar="N", help="port; a free one if not given")
    place.add_argument("--key", metavar="TEXT", help="access key; a new one if not given")


def add_desktop_command(commands: Any, parsers: Callable[[], tuple[Parser, Parser]]) -> None:
    """`parsers` gives those of the commands and of the window, which know of this command."""
    desktop = commands.add_parser("desktop", help="add Chronotome to your desktop’s menus, or remove it")
    desktop.add_argument("action", choices=["install", "uninstall", "manual"])
    words = "what the menu starts; this program where not given"
    desktop.add_argument("--program", type=Path, metavar="PATH", help=words)
    desktop.set_defaults(parsers=parsers)


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
        "--material", choices=["auto", *INSTRUMENTS], default="auto", help="instrument; auto: detected"
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
            "--encoding", choices=ENCODINGS, help="file format; by the file name if not given"
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
