"""The command line: the core alone, for scripts and for measuring. No Qt is imported here."""

import argparse
import os
import sys
from collections.abc import Sequence
from importlib import import_module

from chronotome.cli.arguments import parser, window_parser
from chronotome.errors import ChronotomeError
from chronotome.progress import Progress, unheard

COMMANDS = {
    "onsets": "onsets",
    "tempo": "fit",
    "straighten": "fit",
    "tempo-map": "fit",
    "tighten": "tighten",
    "groove": "tighten",
    "match": "tighten",
    "split": "split",
    "pattern": "pattern",
    "batch": "batch",
    "edit": "edit",
    "render": "render",
    "share-place": "share_place",
    "desktop": "desktop",
}
"""The module of each command; it has a function of the command's name."""
OF_THE_WINDOW = ("shot", "demo")


def run(arguments: argparse.Namespace) -> int:
    """Run one command of the core; 0 done, 1 the input cannot be used."""
    try:
        module = import_module(f"chronotome.cli.{COMMANDS[arguments.command]}")
        getattr(module, arguments.command.replace("-", "_"))(arguments, _terminal_progress())
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


def parsed(words: Sequence[str]) -> argparse.Namespace:
    """Arguments; a namespace with `files` where the window is wanted."""
    if words and words[0] in {*COMMANDS, *OF_THE_WINDOW}:
        return parser().parse_args(words)
    asked = next((word for word in words if word in {"-h", "--help", "--version"}), None)
    if asked is not None:
        parser().parse_args([asked])
    result = window_parser().parse_args(words)
    result.command = "open"
    return result
