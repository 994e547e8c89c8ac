"""The command `batch`: a recipe that was saved from the window, for many files."""

import argparse
import os
import shlex
import sys
from collections.abc import Sequence
from pathlib import Path

from chronotome.errors import UnusableFile, readable
from chronotome.files.batch import Outcome, read_recipe, report, run_batch, sounds_in
from chronotome.progress import Progress


def batch(arguments: argparse.Namespace, progress: Progress) -> None:
    recipe, files = read_recipe(arguments.recipe), sounds_in(arguments.files)
    if not files:
        raise UnusableFile(arguments.files[0], "holds no sound files", "Choose another folder.")
    if arguments.commands:
        _print_commands(arguments, files)
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


def _print_commands(arguments: argparse.Namespace, files: Sequence[Path]) -> None:
    """One line each; a name that would make two lines of it is told, and left out."""
    for path in files:
        words = [
            "chronotome",
            "batch",
            *map(_argument, (arguments.recipe, path)),
            "-o",
            _argument(arguments.out),
        ]
        line = shlex.join(words)
        if len(line.splitlines()) == 1:
            sys.stdout.flush()
            sys.stdout.buffer.write(os.fsencode(line) + b"\n")
        else:
            told = readable(path)
            print(f"chronotome: “{told}” has a line break in its name: left out. Rename it.", file=sys.stderr)


def _argument(path: Path) -> str:
    """A path that is never taken for an option."""
    return f"./{path}" if str(path).startswith("-") else str(path)
