"""Files that are made to be dragged into another program: in a folder of ours, for a day."""

import contextlib
import shutil
import tempfile
import time
from pathlib import Path

from chronotome.files.names import plain_name
from chronotome.files.places import state_folder
from chronotome.files.writing import cannot_write, private_folder

KEPT_SECONDS = 24 * 3600.0


def dragged_folder() -> Path:
    return state_folder() / "dragged"


def new_file(name: str) -> Path:
    """A place for a file of that name, by itself; what was dragged longer than a day ago goes.

    Raises
    ------
    CannotWrite
    """
    folder = dragged_folder()
    try:
        private_folder(folder)
        _sweep(folder)
        return Path(tempfile.mkdtemp(dir=folder)) / plain_name(name)
    except OSError as error:
        raise cannot_write(folder / name, error) from None


def _sweep(folder: Path) -> None:
    """The other program had a day to copy it."""
    oldest = time.time() - KEPT_SECONDS
    for each in folder.iterdir():
        with contextlib.suppress(OSError):
            if each.is_dir() and not each.is_symlink() and each.stat().st_mtime < oldest:
                shutil.rmtree(each)
