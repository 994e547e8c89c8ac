"""The command `desktop`: Chronotome in the menus, or out of them again."""

import argparse
import sys
import time
from collections.abc import Callable
from pathlib import Path
from typing import Any

from chronotome.cli.completions import completions
from chronotome.cli.manual_page import manual_page
from chronotome.files.desktop import data_home, put_in_menus, take_from_menus
from chronotome.progress import Progress

Parser = argparse.ArgumentParser


def add_desktop_command(commands: Any, parsers: Callable[[], tuple[Parser, Parser]]) -> None:
    """`parsers` gives those of the commands and of the window, which know of this command."""
    desktop = commands.add_parser("desktop", help="add Chronotome to your desktop’s menus, or remove it")
    desktop.add_argument("action", choices=["install", "uninstall", "manual"])
    words = "what the menu starts; this program where not given"
    desktop.add_argument("--program", type=Path, metavar="PATH", help=words)
    desktop.set_defaults(parsers=parsers)


def desktop(arguments: argparse.Namespace, _progress: Progress) -> None:
    parser, window_parser = arguments.parsers()
    page = manual_page(parser, window_parser, time.strftime("%Y-%m-%d"))
    if arguments.action == "manual":
        sys.stdout.write(page)
        return
    made = {"man/man1/chronotome.1": page, **completions(parser)}
    if arguments.action == "uninstall":
        print(f"Removed {len(take_from_menus(made))} files from “{data_home()}”.")
        return
    program = arguments.program or Path(sys.argv[0])
    print(f"Wrote {len(put_in_menus(program.absolute(), made))} files to “{data_home()}”.")
