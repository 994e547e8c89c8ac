"""What was worked out once and is kept to be there sooner: how much that is, and empty again."""

import contextlib
from collections.abc import Iterator
from pathlib import Path

import platformdirs

from chronotome.files.places import NAME

ROOMS = ("analysis", "shelf")
"""Folders of it that are ours to empty."""


def cache_folder() -> Path:
    return Path(platformdirs.user_cache_dir(NAME))


def _files() -> Iterator[Path]:
    for room in ROOMS:
        with contextlib.suppress(OSError):
            yield from (each for each in (cache_folder() / room).iterdir() if each.is_file())


def cache_bytes() -> int:
    total = 0
    for path in _files():
        with contextlib.suppress(OSError):
            total += path.stat().st_size
    return total


def empty_cache() -> None:
    """All of it is worked out anew when it is wanted."""
    for path in _files():
        with contextlib.suppress(OSError):
            path.unlink()
