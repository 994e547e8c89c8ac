"""The command `share-place`: the stand-in of a sharing place, by itself."""

import argparse
import contextlib
from pathlib import Path
from typing import Any

from chronotome.files.share_place import SharePlace
from chronotome.files.writing import cannot_write
from chronotome.progress import Progress


def add_share_place_command(commands: Any) -> None:
    place = commands.add_parser("share-place", help="run a small sharing place on this machine")
    place.add_argument("folder", type=Path, metavar="FOLDER", help="where it keeps what it is given")
    place.add_argument("--port", type=int, default=0, metavar="N", help="one that is free, where not given")
    place.add_argument("--key", metavar="TEXT", help="a new one, where not given")


def share_place(arguments: argparse.Namespace, _progress: Progress) -> None:
    try:
        place = SharePlace(arguments.folder, port=arguments.port, token=arguments.key)
    except (OSError, OverflowError) as error:
        raise cannot_write(arguments.folder, error) from None
    print(f"{place.address}\nkey {place.token}", flush=True)
    with contextlib.suppress(KeyboardInterrupt):
        place.serve()
