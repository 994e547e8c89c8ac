"""The command `share-place`: the stand-in of a sharing place, by itself."""

import argparse
import contextlib

from chronotome.files.share_place import SharePlace
from chronotome.files.writing import cannot_write
from chronotome.progress import Progress


def share_place(arguments: argparse.Namespace, _progress: Progress) -> None:
    try:
        place = SharePlace(arguments.folder, port=arguments.port, token=arguments.key)
    except (OSError, OverflowError) as error:
        raise cannot_write(arguments.folder, error) from None
    print(f"{place.address}\nkey {place.token}", flush=True)
    with contextlib.suppress(KeyboardInterrupt):
        place.serve()
