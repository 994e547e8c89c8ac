"""A session with all its recordings in one file: an ordinary ZIP archive of its folder."""

import re
import shutil
import zipfile
import zlib
from collections.abc import Iterable, Sequence
from pathlib import Path
from typing import Any, Final

from chronotome.errors import CannotWrite, MissingRecordings, UnusableFile
from chronotome.files.audio_file import new_hash
from chronotome.files.safe_read import Bounded, InvalidInput, first_line, is_there, opened_file
from chronotome.files.session_file import (
    AUDIO,
    COPIED_AT_ONCE,
    DOCUMENT,
    MOST_DOCUMENT,
    Places,
    document_bytes,
    history_bytes,
    load_session,
    recordings_of,
)
from chronotome.files.writing import cannot_write, new_folder, refuse_sources, replacing_at
from chronotome.progress import Progress, part_of, unheard
from chronotome.session.history import History
from chronotome.words import tr

SUFFIX: Final = ".chronotome"
HISTORY = "history-1.jsonl"
MOST_ENTRIES = 20_000
MOST_HISTORY = 256 << 20
MOST_SOUND = 64 << 30
"""Bytes of all recordings together."""
MOST_READS, MOST_DIRECTORY = 100_000_000, 8 << 20
MOST_OF_LITTLE, MOST_RATIO = 256 << 20, 50
"""A pack of little silence may be small; else no sound packs to a fiftieth."""
KEPT_FREE = 64 << 20
"""Bytes of a disk that are left to others."""
TEXTS_SHARE = 0.05
_SOUND = re.compile(AUDIO + r"/(?!\.{1,2}\Z)[^/\\\x00-\x1f]{1,255}")
_ENCRYPTED = 0x1
WHENCE = tr("Ask the sender to pack the session again.")


def is_pack(path: Path) -> bool:
    return path.suffix.lower() == SUFFIX and is_there(path)


def pack(path: Path, history: History, places: Places, progress: Progress = unheard) -> Path:
    """Write a session, its history and every recording of either into one file.

    Raises
    ------
    CannotWrite, UnusableFile, MissingRecordings
        Whatever was there before stays.
    """
    path = path.with_suffix(SUFFIX)
    refuse_sources(path, places.values())
    recordings = recordings_of(history)
    there = {
        content: each.file
        for content, each in recordings.items()
        if content in places and is_there(places[content])
    }
    lost = {each.content: each.file for each in history.session.recordings if each.content not in there}
    if lost:
        raise MissingRecordings(lost)
    try:
        with replacing_at(path) as new:
            with zipfile.ZipFile(new, "w") as archive:
                _put(archive, DOCUMENT, document_bytes(history.session, HISTORY))
                _put(archive, HISTORY, history_bytes(history))
                for number, (content, name) in enumerate(there.items()):
                    share = part_of(progress, number / len(there), (number + 1) / len(there))
                    _put_sound(archive, places[content], name, content, share)
                    new.check()
            new.check()
    except OSError as error:
        raise cannot_write(path, error) from None
    return path


def _put(archive: zipfile.ZipFile, name: str, data: bytes) -> None:
    archive.writestr(zipfile.ZipInfo(name), data, zipfile.ZIP_DEFLATED)


def _put_sound(archive: zipfile.ZipFile, place: Path, name: str, content: str, progress: Progress) -> None:
    """As it lies on disk, not packed any tighter; refused where it is another one by now."""
    digest, total, done = new_hash(), max(1, place.stat().st_size), 0
    info = zipfile.ZipInfo(f"{AUDIO}/{name}")
    with place.open("rb") as source, archive.open(info, "w", force_zip64=True) as file:
        while block := source.read(COPIED_AT_ONCE):
            file.write(block)
            digest.update(block)
            done += len(block)
            progress(done / total)
    if digest.hexdigest() != content:
        words = tr("Reopen the session, or restore the old file.")
        raise UnusableFile(place, tr("has changed since you opened it"), words)


def unpack(path: Path, folder: Path, progress: Progress = unheard) -> Path:
    """Write what a packed session holds to a new or an empty folder, and see that it can be opened.

    Raises
    ------
    UnusableFile
        If it is damaged, or holds anything that no session has.
    CannotWrite
    """
    try:
        with opened_file(path) as file:
            bounded: Any = Bounded(file, reads=MOST_READS, at_once=MOST_DIRECTORY)
            archive = zipfile.ZipFile(bounded)
            progress(0.0)
            entries = _entries(path, archive)
            _refuse_too_large(path, folder, entries)
            with new_folder(folder):
                _write_all(path, archive, entries, folder, progress)
    except InvalidInput as error:
        raise UnusableFile(path, str(error), WHENCE) from None
    except (zipfile.BadZipFile, zlib.error, EOFError, NotImplementedError, ValueError) as error:
        raise UnusableFile(path, tr("is damaged: {0}", first_line(error)), WHENCE) from None
    except OSError as error:
        if error.filename == str(path):
            raise UnusableFile(
                path, tr("cannot be read: {0}", error.strerror), tr("Choose another file.")
            ) from None
        raise cannot_write(folder, error) from None
    return folder


def _entries(path: Path, archive: zipfile.ZipFile) -> list[zipfile.ZipInfo]:
    """What is in it, where all of that is what a session has, and no more of it than a session may be."""
    found = archive.infolist()
    most = {DOCUMENT: MOST_DOCUMENT, HISTORY: MOST_HISTORY}
    for entry in found:
        is_ours = entry.filename in most or _SOUND.fullmatch(entry.filename) is not None
        is_known = entry.compress_type in {zipfile.ZIP_STORED, zipfile.ZIP_DEFLATED}
        if not is_ours or not is_known or entry.flag_bits & _ENCRYPTED:
            raise UnusableFile(
                path, tr("contains “{0}”, which does not belong in a session", entry.filename[:80]), WHENCE
            )
        if entry.file_size > most.get(entry.filename, MOST_SOUND):
            raise UnusableFile(path, tr("is too large for a session (“{0}”)", entry.filename[:80]), WHENCE)
    names = [entry.filename for entry in found]
    if DOCUMENT not in names or len(set(names)) < len(names) or len(names) > MOST_ENTRIES:
        raise UnusableFile(path, tr("is not a packed session"), tr("Choose a file made with Pack session."))
    return found


def _write_all(
    path: Path, archive: zipfile.ZipFile, entries: Sequence[zipfile.ZipInfo], folder: Path, progress: Progress
) -> None:
    """The session first; then the recordings that it names, and no others."""
    texts = [entry for entry in entries if entry.filename in {DOCUMENT, HISTORY}]
    sounds = [entry for entry in entries if entry not in texts]
    for entry in texts:
        _write_out(archive, entry, folder, part_of(progress, 0.0, TEXTS_SHARE))
    names = {f"{AUDIO}/{each.file}" for each in recordings_of(load_session(folder).history).values()}
    foreign = next((entry.filename[:80] for entry in sounds if entry.filename not in names), None)
    if foreign is not None:
        raise UnusableFile(path, tr("contains “{0}”, which its session does not use", foreign), WHENCE)
    rest = part_of(progress, TEXTS_SHARE, 1.0)
    for number, entry in enumerate(sounds):
        _write_out(archive, entry, folder, part_of(rest, number / len(sounds), (number + 1) / len(sounds)))
    progress(1.0)


def _refuse_too_large(path: Path, folder: Path, entries: Iterable[zipfile.ZipInfo]) -> None:
    """Rather than fill a disk and find out then."""
    needed = sum(entry.file_size for entry in entries)
    if needed > MOST_OF_LITTLE + MOST_RATIO * path.stat().st_size:
        words = tr("would unpack to {0} MB, which is too much for its size", needed >> 20)
        raise UnusableFile(path, words, WHENCE)
    near = next((each for each in (folder, *folder.parents) if each.is_dir()), Path("/"))
    if needed > min(MOST_SOUND, shutil.disk_usage(near).free - KEPT_FREE):
        words = tr("needs {0} MB; the disk has less free space", needed >> 20)
        raise CannotWrite(folder, words, tr("Free some disk space, or choose another disk."))


def _write_out(archive: zipfile.ZipFile, entry: zipfile.ZipInfo, folder: Path, progress: Progress) -> None:
    done, total = 0, max(1, entry.file_size)
    place = folder / entry.filename
    if place.parent != folder:
        place.parent.mkdir(exist_ok=True)
    with archive.open(entry) as source, replacing_at(place, is_synced=False) as file:
        while block := source.read(COPIED_AT_ONCE):
            file.write(block)
            file.check()
            done += len(block)
            progress(min(1.0, done / total))
