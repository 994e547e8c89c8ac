"""The command `share-place`: the stand-in of a sharing place, by itself."""

import argparse
import contextlib
from pathlib import Path
from typing import Any

from chronotome.files.share_place import SharePlace
from chronotome.files.writing import cannot_write
from chronotome.progress import Progress


def add_share_place_command(commands: Any) -> None:
    place = commands.add_parser("share-place", help="run a small share server on this computer")
    place.add_argument("folder", type=Path, metavar="FOLDER", help="folder that stores the uploads")
    place.add_argument("--port", type=int, default=0, metavar="N", help="port; a free one if not given")
    place.add_argument("--key", metavar="TEXT", help="access key; a new one if not given")


def share_place(arguments: argparse.Namespace, _progress: Progress) -> None:
    try:
        place = SharePlace(arguments.folder, port=arguments.port, token=arguments.key)
    except (OSError, OverflowError) as error:
        raise cannot_write(arguments.folder, error) from None
    print(f"{place.address}\nkey {place.token}", flush=True)
    with contextlib.suppress(KeyboardInterrupt):
        place.serve()
