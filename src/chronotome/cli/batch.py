"""The command `batch`: a recipe that was saved from the window, for many files."""

import argparse
import shlex
import sys
from pathlib import Path
from typing import Any

from chronotome.errors import UnusableFile
from chronotome.files.batch import Outcome, read_recipe, report, run_batch, sounds_in
from chronotome.progress import Progress


def add_batch_command(commands: Any) -> None:
    batch = commands.add_parser(
        "batch", help="do the same with many files, by a recipe saved from the window"
    )
    batch.add_argument("recipe", type=Path, metavar="RECIPE")
    batch.add_argument("files", type=Path, nargs="+", metavar="FILE", help="sound files, or folders of them")
    batch.add_argument("-o", "--out", type=Path, required=True, metavar="FOLDER")
    words = "print one command a file instead, for a runner of yours on one machine or many"
    batch.add_argument("--commands", action="store_true", help=words)


def batch(arguments: argparse.Namespace, progress: Progress) -> None:
    recipe, files = read_recipe(arguments.recipe), sounds_in(arguments.files)
    if not files:
        raise UnusableFile(arguments.files[0], "holds no sound files", "Choose another folder.")
    if arguments.commands:
        for path in files:
            words = ["chronotome", "batch", arguments.recipe, path, "-o", arguments.out]
            print(shlex.join(map(str, words)))
        return
    outcomes: list[Outcome] = []
    for outcome in run_batch(recipe, files, arguments.out, progress=progress):
        outcomes.append(outcome)
        sys.stdout.write(report([outcome]))
        sys.stdout.flush()
    failed = sum(not each.is_done for each in outcomes)
    if failed:
        raise UnusableFile(
            arguments.files[0] if len(files) == 1 else f"{failed} of {len(files)} files",
            "could not be done",
            "The lines that begin with “failed” say why.",
        )
