"""The command of Rework: split."""

import argparse

from chronotome.cli.common import write_json
from chronotome.files.split import Splitting, split_file
from chronotome.progress import Progress
from chronotome.session.edits.slicing import At


def split(arguments: argparse.Namespace, progress: Progress) -> None:
    """Slices as float WAV, and what they are in `slices.json`."""
    cuts = arguments.at
    lines, tempo = cuts.at is At.LINES, arguments.bpm
    how = Splitting(cuts, lines, tempo, arguments.beat_one, arguments.threshold, arguments.names)
    document = split_file(arguments.audio, arguments.out, how, progress)
    write_json(arguments.out / "slices.json", document)
