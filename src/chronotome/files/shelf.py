"""Folders of sound files and patterns: what is in them, kept as an index in the cache folder."""

import contextlib
import hashlib
import os
import time
from collections.abc import Callable, Iterator, Mapping, Sequence
from pathlib import Path
from typing import Annotated

import msgspec
from msgspec import Meta, Struct

from chronotome.dsp.beats.names import tempo_in_name
from chronotome.errors import UnusableFile
from chronotome.files.audio_file import header_of
from chronotome.files.cache import cache_folder
from chronotome.files.names import path_from, path_words, words_shown
from chronotome.files.patterns import DOCUMENT, pattern_facts
from chronotome.files.places import Words
from chronotome.files.safe_read import InvalidInput, bytes_of, trusted
from chronotome.files.tags import tempo_tag
from chronotome.files.writing import keep
from chronotome.progress import Progress, unheard
from chronotome.words import tr

SUFFIXES = frozenset({".wav", ".aif", ".aiff", ".flac", ".ogg", ".opus", ".mp3"})
MOST_FILES = 200_000
AT_ONCE = 256
POLITE_EVERY, POLITE_SECONDS = 4, 0.0005
INDEX_VERSION = 1
PLAIN_TEMPO = 120.0
Count = Annotated[int, Meta(ge=0, le=1 << 62)]


class ShelfEntry(Struct, frozen=True):
    """A sound file of a folder, or a pattern.

    `frames` is 0 until its header was read, and stays so where it cannot be.
    """

    name: Words
    """Its path from the folder on, as `path_words` tells it."""
    size: Count
    changed: int
    """Nanoseconds, as the file system tells."""
    frames: Count = 0
    rate: Count = 0
    channels: Count = 0
    tempo: Annotated[float, Meta(ge=0.0, le=10_000.0)] | None = None
    source: Annotated[str, Meta(max_length=20)] = ""
    """What tells the tempo: `name`, `tag`, `measured`, or `saved` for a pattern."""
    is_pattern: bool = False
    """A folder with a pattern and its kit. Its frames are thousandths of a second."""
    steps: Count = 0

    def __post_init__(self) -> None:
        name = self.name if self.name == self.words else str(self.path)
        if name.startswith("/") or "/../" in f"/{name}/":
            raise ValueError("a file of a shelf lies in its folder")

    @property
    def path(self) -> Path:
        """From the folder on."""
        return path_from(self.name)

    @property
    def words(self) -> str:
        """The same, to be read."""
        return words_shown(self.name)

    @property
    def seconds(self) -> float:
        return self.frames / self.rate if self.rate else 0.0

    def is_same_file(self, other: "ShelfEntry") -> bool:
        return (self.size, self.changed, self.is_pattern) == (other.size, other.changed, other.is_pattern)


class _Index(Struct, frozen=True):
    folder: Words
    entries: tuple[ShelfEntry, ...]
    version: int = INDEX_VERSION


def index_of(folder: Path) -> Path:
    """Where the index of a folder is kept."""
    name = hashlib.sha256(os.fsencode(folder)).hexdigest()[:32]
    return cache_folder() / "shelf" / f"{name}.json"


def kept_entries(folder: Path) -> list[ShelfEntry]:
    """As they were when the folder was last looked through; none where it never was."""
    try:
        index = trusted(bytes_of(index_of(folder)), _Index)
    except (OSError, InvalidInput):
        return []
    is_ours = index.version == INDEX_VERSION and index.folder == path_words(folder)
    return list(index.entries) if is_ours else []


def keep_entries(folder: Path, entries: Sequence[ShelfEntry]) -> None:
    """Best effort: a full disk must not stop the work."""
    keep(index_of(folder), msgspec.json.encode(_Index(path_words(folder), tuple(entries))))


def _files_in(folder: Path) -> Iterator[ShelfEntry]:
    for place, folders, names in os.walk(folder):
        folders[:] = sorted(name for name in folders if not name.startswith("."))
        if place != str(folder) and DOCUMENT in names:  # what else lies there are its slices
            folders[:] = []
            with contextlib.suppress(OSError):
                facts = Path(place, DOCUMENT).stat()
                words = path_words(Path(place).relative_to(folder))
                yield ShelfEntry(words, facts.st_size, facts.st_mtime_ns, is_pattern=True)
            continue
        for name in sorted(names):
            if name.startswith(".") or Path(name).suffix.lower() not in SUFFIXES:
                continue
            path = Path(place, name)
            with contextlib.suppress(OSError):
                facts = path.stat()
                yield ShelfEntry(path_words(path.relative_to(folder)), facts.st_size, facts.st_mtime_ns)


def _let_others(number: int) -> None:
    """The window's thread comes first: without a pause, each of its calls would wait for the interpreter."""
    if number % POLITE_EVERY == 0:
        time.sleep(POLITE_SECONDS)


def _file_read(path: Path, entry: ShelfEntry) -> ShelfEntry:
    rate, frames, channels = header_of(path)
    tempo, source = tempo_in_name(path.stem), "name"
    if tempo is None:
        tempo, source = tempo_tag(path), "tag"
    source = source if tempo is not None else ""
    return msgspec.structs.replace(
        entry, frames=frames, rate=rate, channels=channels, tempo=tempo, source=source
    )


def _pattern_read(path: Path, entry: ShelfEntry) -> ShelfEntry:
    facts = pattern_facts(path)
    tempo = facts.tempo or None
    frames = round(1000 * facts.beats * 60 / (facts.tempo or PLAIN_TEMPO))
    source = "saved" if tempo else ""
    return msgspec.structs.replace(
        entry, frames=max(1, frames), rate=1000, steps=facts.steps, tempo=tempo, source=source
    )


def scan(
    folder: Path,
    known: Mapping[str, ShelfEntry],
    found: Callable[[list[ShelfEntry]], None],
    progress: Progress = unheard,
) -> list[ShelfEntry]:
    """Look through a folder: names first, then the headers of those that are new or were changed.

    Parameters
    ----------
    folder : Path
    known : mapping of name to entry
        Those of the index; a file with the same size and time is not read again.
    found : callable
        Told of entries in batches, as they come; the same name may come again with more known of it.

    Raises
    ------
    UnusableFile
        If the folder cannot be read.
    Cancelled
        Where `progress` raises it.
    """
    if not folder.is_dir() or not os.access(folder, os.R_OK | os.X_OK):
        raise UnusableFile(folder, tr("is not a readable folder"), tr("Choose another folder."))
    entries: dict[str, ShelfEntry] = {}
    batch: list[ShelfEntry] = []
    for entry in _files_in(folder):
        before = known.get(entry.name)
        same = before if before is not None and before.is_same_file(entry) else entry
        entries[entry.name] = same
        batch.append(same)
        _let_others(len(entries))
        if len(batch) >= AT_ONCE:
            found(batch)
            batch = []
            progress(0.0)
        if len(entries) >= MOST_FILES:
            break
    found(batch)
    unread = [entry for entry in entries.values() if not entry.frames]
    batch = []
    for number, entry in enumerate(unread):
        progress(number / len(unread))
        _let_others(number)
        path = folder / entry.path
        with contextlib.suppress(UnusableFile):
            read = _pattern_read(path, entry) if entry.is_pattern else _file_read(path, entry)
            entries[entry.name] = read
            batch.append(read)
        if len(batch) >= AT_ONCE:
            found(batch)
            batch = []
    found(batch)
    progress(1.0)
    return list(entries.values())
