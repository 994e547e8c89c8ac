"""The command of Rework: split."""

import argparse
import re
from pathlib import Path
from typing import Any

from chronotome.cli.common import between, write_json
from chronotome.files.naming import FIELDS, WrongTemplate, names_by
from chronotome.files.split import Splitting, split_file
from chronotome.progress import Progress
from chronotome.session.edits.slicing import At, Cuts
from chronotome.session.grid import FASTEST, SLOWEST
from chronotome.session.onset_filter import USUAL_THRESHOLD

MOST_PARTS = 1024


def cuts_of(text: str) -> Cuts:
    """onsets, a line of 1/1 to 1/64, or a number of equal parts."""
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
    try:
        names_by(text, [], "")
    except WrongTemplate as error:
        raise argparse.ArgumentTypeError(f"“{text}” names no files: {error}") from None
    return text


def add_split_command(commands: Any) -> None:
    split = commands.add_parser("split", help="slice a recording into files")
    split.add_argument("audio", type=Path)
    split.add_argument("-o", "--out", type=Path, required=True, metavar="FOLDER", help="new or empty folder")
    split.add_argument("--at", type=cuts_of, default=Cuts(), metavar="onsets|1/8|N")
    split.add_argument(
        "--bpm", type=between(SLOWEST, FASTEST), help="tempo of the grid; detected if not given"
    )
    split.add_argument("--beat-one", type=between(-1e6, 1e6), metavar="SECONDS")
    words = f"of files, with any of {', '.join(f'{{{each}}}' for each in FIELDS)}"
    split.add_argument("--names", type=template_of, default=Splitting.names, metavar="TEMPLATE", help=words)
    split.add_argument("--threshold", type=between(0, 100), default=USUAL_THRESHOLD, metavar="0..100")


def split(arguments: argparse.Namespace, progress: Progress) -> None:
    """Slices as float WAV, and what they are in `slices.json`."""
    cuts = arguments.at
    lines, tempo = cuts.at is At.LINES, arguments.bpm
    how = Splitting(cuts, lines, tempo, arguments.beat_one, arguments.threshold, arguments.names)
    document = split_file(arguments.audio, arguments.out, how, progress)
    write_json(arguments.out / "slices.json", document)
