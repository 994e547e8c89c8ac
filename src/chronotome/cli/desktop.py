"""The command `desktop`: Chronotome in the menus, or out of them again."""

import argparse
import sys
import time
from pathlib import Path

from chronotome.cli.completions import completions
from chronotome.cli.manual_page import manual_page
from chronotome.files.desktop import data_home, put_in_menus, take_from_menus
from chronotome.progress import Progress

Parser = argparse.ArgumentParser


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
