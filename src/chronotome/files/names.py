"""Names of files as text: Linux allows any bytes in them, JSON and people do not."""

import contextlib
import os
import re
from pathlib import Path

from chronotome.errors import readable
from chronotome.session.limits import LONGEST_NAME

LONGEST_FILE_NAME = 200
"""Bytes; file systems allow 255, and names grow by an ending while they are written."""
_AS_BYTES = "bytes:"


def shown(text: str) -> str:
    """Text that can be kept and shown: bytes that are no text are replaced, and it is not too long."""
    return readable(text)[:LONGEST_NAME]


def plain_name(name: str) -> str:
    """A file name for a folder of ours: without signs that lead elsewhere, not too long, its ending kept."""
    clean = re.sub(r"[/\\\ufffd]", "_", shown(name))
    stem, suffix = Path(clean).stem, Path(clean).suffix[:20]
    room = LONGEST_FILE_NAME - len(suffix.encode())
    stem = stem.encode()[:room].decode("utf-8", "ignore").strip() or "recording"
    return "recording" if stem + suffix in {".", ".."} else stem + suffix


def path_words(path: Path) -> str:
    """A path as text that leads back to it, whatever bytes are in it."""
    words = str(path)
    return words if shown(words) == words else _AS_BYTES + os.fsencode(path).hex()


def words_shown(words: str) -> str:
    """What `path_words` told, to be read; mostly it can be read as it stands."""
    return shown(str(path_from(words))) if words.startswith(_AS_BYTES) else words


def path_from(words: str) -> Path:
    """The path that `path_words` told; whatever else is said is a path as it stands."""
    if words.startswith(_AS_BYTES):
        with contextlib.suppress(ValueError):
            return Path(os.fsdecode(bytes.fromhex(words.removeprefix(_AS_BYTES))))
    return Path(words)
