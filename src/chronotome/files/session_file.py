"""A session on disk: a folder with one JSON document, its history, and the recordings."""

import contextlib
import errno
import inspect
import os
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from pathlib import Path
from typing import Annotated, Any

import msgspec
from msgspec import Meta, Struct

from chronotome.errors import CannotWrite, MissingRecordings, UnusableFile
from chronotome.files.audio_file import SUFFIXES, content_hash, has_content, new_hash
from chronotome.files.history_lines import LedgerReader, LedgerWriter, whole_lines
from chronotome.files.migrations import session_of_today, with_shared_takes
from chronotome.files.safe_read import InvalidInput, bytes_of, converted, first_line, is_there, trusted
from chronotome.files.session_lock import NAME as LOCK
from chronotome.files.writing import cannot_write, folder_at, replacing, sweep
from chronotome.progress import Progress, part_of, unheard
from chronotome.session.history import History
from chronotome.session.limits import ContentHash, FileName
from chronotome.session.model import Recording, Session, replace
from chronotome.session.validity import check
from chronotome.words import tr

FORMAT = "chronotome-session"
VERSION = 4
"""1: a clip is a recording; 2: a window on a take; 3: how sound is moved is one thing; 4: takes apart."""
DOCUMENT = "session.json"
AUDIO = "audio"
COPIED_AT_ONCE = 1 << 22
MOST_DOCUMENT = 128 << 20
"""Bytes: a million hits. Decoded it takes ten times as much."""
Places = Mapping[ContentHash, Path]


class SessionDocument(Struct, frozen=True, kw_only=True):
    """What stands in session.json. `history` is the file beside it that tells how it came to be.

    Its format comes first: desktops tell what a file is by how it begins.
    """

    format: str = FORMAT
    version: int = VERSION
    history: FileName | None = None
    session: Session


class _NamesHistory(Struct, frozen=True):
    """What a document says of its history, where that is one of ours."""

    history: Annotated[str, Meta(pattern=r"\Ahistory-[0-9]{1,9}\.jsonl\Z")]


@dataclass(frozen=True, eq=False)
class Opened:
    """A session as read, where its recordings lie, and what could not be read though the session could."""

    history: History
    places: dict[ContentHash, Path]
    missing: dict[ContentHash, str]
    note: str | None = None


def schema() -> dict[str, Any]:
    """JSON Schema of the document, as the code has it."""
    made = msgspec.json.schema(SessionDocument)
    for struct in made["$defs"].values():
        if "description" in struct:  # Python 3.13 takes the indentation out of docstrings, 3.11 does not
            struct["description"] = inspect.cleandoc(struct["description"])
    return made


def document_of(path: Path) -> Path:
    """The document of a session given by its folder or by the document itself."""
    return path / DOCUMENT if path.is_dir() else path


def is_session(path: Path) -> bool:
    return path.name == DOCUMENT or (path / DOCUMENT).is_file()


def load_session(path: Path, progress: Progress = unheard) -> Opened:
    """Read a session; nothing on disk is touched.

    Raises
    ------
    UnusableFile
        If it is damaged, newer than this program, or names files outside its folder.
    """
    document_path = document_of(path)
    document = _read_document(document_path)
    folder = document_path.parent
    places: dict[ContentHash, Path] = {}
    missing: dict[ContentHash, str] = {}
    for recording in document.session.recordings:
        place = folder / AUDIO / recording.file
        if is_there(place) and not place.is_symlink():
            places[recording.content] = place
        else:
            missing[recording.content] = recording.file
    if missing:
        found = find_recordings(missing, (folder / AUDIO, folder), progress)
        places.update(found)
        missing = {content: name for content, name in missing.items() if content not in found}
    history, note = _read_history(folder, document)
    return Opened(history, places, missing, note)


def _read_document(path: Path) -> SessionDocument:
    class Head(Struct):
        format: str
        version: int

    try:
        data = bytes_of(path, MOST_DOCUMENT)
    except OSError as error:
        raise UnusableFile(
            path, tr("cannot be read: {0}", error.strerror), tr("Choose a session folder.")
        ) from None
    except InvalidInput as error:
        raise UnusableFile(path, str(error), tr("Choose a session folder.")) from None
    try:
        head = trusted(data, Head)
    except InvalidInput:
        raise UnusableFile(
            path, tr("is not a Chronotome session, or is damaged"), tr("Open a copy from a backup.")
        ) from None
    if head.format != FORMAT:
        raise UnusableFile(
            path, tr("is not a Chronotome session"), tr("Choose a folder that contains session.json.")
        )
    if head.version > VERSION:
        raise UnusableFile(
            path,
            tr("needs a newer Chronotome (format {0}; this version reads up to {1})", head.version, VERSION),
            tr("Update Chronotome. The session is unchanged."),
        )
    try:
        document = _decoded(data, head.version)
        check(document.session)
    except ValueError as error:
        if ".file`" in str(error) or ".history`" in str(error):
            raise UnusableFile(
                path,
                tr("refers to a file outside its folder"),
                tr("This folder is not from Chronotome. Do not open it."),
            ) from None
        words = str(error) if isinstance(error, InvalidInput) else tr("is damaged: {0}", first_line(error))
        raise UnusableFile(path, words, tr("Open a copy from a backup.")) from None
    return document


def _decoded(data: bytes, version: int) -> SessionDocument:
    """The document, in today's shape; raises ValueError."""
    if version < VERSION:
        written = trusted(data, dict[str, Any])
        document = converted(
            {**written, "session": session_of_today(written.get("session"))}, SessionDocument
        )
    else:
        document = trusted(data, SessionDocument)
    tracks = tuple(with_shared_takes(track) for track in document.session.tracks)
    return replace(document, session=replace(document.session, tracks=tracks))


def _read_history(folder: Path, document: SessionDocument) -> tuple[History, str | None]:
    alone = History(document.session)
    if document.history is None:
        return alone, None
    lost = tr("The undo history could not be read. The session is complete.")
    reader = LedgerReader()
    try:
        reader.read(whole_lines(bytes_of(folder / document.history)))
    except (OSError, ValueError):
        return alone, lost
    if reader.history is None or reader.history.session != document.session:
        return alone, lost
    return reader.history, None


def find_recordings(
    missing: Mapping[ContentHash, str], folders: Iterable[Path], progress: Progress = unheard
) -> dict[ContentHash, Path]:
    """Look for recordings by content in folders (not in folders within them) and in files."""
    found: dict[ContentHash, Path] = {}
    candidates: list[Path] = []
    for folder in folders:
        if folder.is_dir():
            candidates.extend(each for each in sorted(folder.iterdir()) if each.suffix.lower() in SUFFIXES)
        elif folder.is_file():
            candidates.append(folder)
    names = set(missing.values())
    candidates.sort(key=lambda path: path.name not in names)
    for number, candidate in enumerate(candidates):
        if len(found) == len(missing):
            break
        share = part_of(progress, number / len(candidates), (number + 1) / len(candidates))
        share(0.0)
        try:
            content = content_hash(candidate, share)
        except (OSError, InvalidInput):
            continue
        if content in missing:
            found.setdefault(content, candidate)
    return found


def save_session(
    folder: Path, history: History, places: Places, progress: Progress = unheard
) -> dict[ContentHash, Path]:
    """Write a session whole: recordings first, then the history, last the document, renamed into place.

    Returns
    -------
    where each recording lies now

    Raises
    ------
    CannotWrite, MissingRecordings, UnusableFile
        What was saved before stays readable.
    """
    try:
        folder.mkdir(parents=True, exist_ok=True)
        with folder_at(folder) as place:
            sweep(place)
            with folder_at(Path(AUDIO), place) as audio:
                sweep(audio)
                now = _save_recordings(folder, audio, history, places, part_of(progress, 0.0, 0.9))
            _save_document(folder, place, history)
    except OSError as error:
        if error.errno in {errno.ELOOP, errno.ENOTDIR} and folder.is_dir():
            raise CannotWrite(
                folder / AUDIO,
                tr("the path is a link or not a folder"),
                tr("Move the folder, or save under another name."),
            ) from None
        raise cannot_write(folder / DOCUMENT, error) from None
    progress(1.0)
    return now


def remove_recordings(folder: Path, unwanted: Iterable[Path]) -> None:
    """Remove files that were asked to go, where they are in the folder of recordings of a session."""
    with contextlib.suppress(OSError), folder_at(folder) as place, folder_at(Path(AUDIO), place) as audio:
        for path in unwanted:
            if path.parent == folder / AUDIO:
                with contextlib.suppress(FileNotFoundError):
                    os.unlink(path.name, dir_fd=audio)


def sweep_session(folder: Path) -> None:
    """Remove what a save that was killed left behind; the caller holds the session's lock."""
    with contextlib.suppress(OSError), folder_at(folder) as place:
        sweep(place)
        with folder_at(Path(AUDIO), place) as audio:
            sweep(audio)


def _save_document(folder: Path, place: int, history: History) -> None:
    """The history under a new name, then the document that names it; only then the old history goes."""
    old = _known_history(folder / DOCUMENT)
    number = 1 + (int(old.removeprefix("history-").removesuffix(".jsonl")) if old else 0)
    name = f"history-{number}.jsonl"
    with replacing(name, place) as file:
        file.write(history_bytes(history))
    with replacing(DOCUMENT, place) as file:
        file.write(document_bytes(history.session, name))
    if old is not None and old != name:
        with contextlib.suppress(FileNotFoundError):
            os.unlink(old, dir_fd=place)


def history_bytes(history: History) -> bytes:
    """A history as its file holds it."""
    return b"".join(line + b"\n" for line in LedgerWriter().whole(history))


def document_bytes(session: Session, history: str | None) -> bytes:
    """A session as its document holds it."""
    document = SessionDocument(session=session, history=history)
    return msgspec.json.format(msgspec.json.encode(document), indent=1)


def _known_history(document: Path) -> str | None:
    """The history that a document names, if it is one of ours."""
    try:
        return trusted(bytes_of(document), _NamesHistory).history
    except (OSError, InvalidInput):
        return None


def recordings_of(history: History) -> dict[ContentHash, Recording]:
    """Every recording that any step of the history needs."""
    sessions = [step.session for step in (*history.past, *history.future)]
    return {
        recording.content: recording
        for session in (*sessions, history.session)
        for recording in session.recordings
    }


def _save_recordings(
    folder: Path, audio: int, history: History, places: Places, progress: Progress
) -> dict[ContentHash, Path]:
    now: dict[ContentHash, Path] = {}
    missing: dict[str, str] = {}
    recordings = recordings_of(history)
    for number, (content, recording) in enumerate(recordings.items()):
        place, wanted = places.get(content), folder / AUDIO / recording.file
        if place is None or not has_content(place, content):
            missing[content] = recording.file
        elif place == wanted:
            now[content] = place
        else:
            _keep_other(recording.file, wanted, audio, content)
            _copy(
                place,
                recording.file,
                audio,
                content,
                part_of(progress, number / len(recordings), (number + 1) / len(recordings)),
            )
            now[content] = wanted
    _refuse_lost(history, missing)
    return now


def refuse_lost(history: History, places: Places, progress: Progress = unheard) -> None:
    """Refuse to save what could not be opened again: each recording must be there with its content.

    Raises
    ------
    MissingRecordings
    """
    missing = {}
    for content, recording in recordings_of(history).items():
        place = places.get(content)
        if place is None or not has_content(place, content, progress):
            missing[content] = recording.file
    _refuse_lost(history, missing)


def _refuse_lost(history: History, missing: dict[ContentHash, str]) -> None:
    """What only steps of the history still need may be gone."""
    needed = {recording.content for recording in history.session.recordings}
    lost = {content: name for content, name in missing.items() if content in needed}
    if lost:
        raise MissingRecordings(lost)


def _keep_other(name: str, wanted: Path, audio: int, content: ContentHash) -> None:
    """A file of that name that is another recording stays, under another name."""
    if not wanted.exists() or has_content(wanted, content):
        return
    for number in range(1, 1000):
        other = f"{Path(name).stem} (other {number}){Path(name).suffix}"
        if not (wanted.parent / other).exists():
            os.rename(name, other, src_dir_fd=audio, dst_dir_fd=audio)
            return


def _copy(place: Path, name: str, audio: int, content: ContentHash, progress: Progress) -> None:
    """Into the folder of recordings, unless its bytes are others by now."""
    digest, total, done = new_hash(), max(1, place.stat().st_size), 0
    with replacing(name, audio) as file:
        with place.open("rb") as source:
            while block := source.read(COPIED_AT_ONCE):
                file.write(block)
                digest.update(block)
                done += len(block)
                progress(done / total)
        if digest.hexdigest() != content:
            raise UnusableFile(
                place,
                tr("has changed since you opened it"),
                tr("Reopen the session, or restore the old file."),
            )


def check_place(folder: Path) -> None:
    """Refuse to save over something that is not a session.

    Raises
    ------
    CannotWrite
    """
    if folder.is_file():
        raise CannotWrite(folder, tr("a file with this name exists"), tr("Choose another name."))
    if (
        folder.is_dir()
        and any(each.name != LOCK for each in folder.iterdir())
        and not (folder / DOCUMENT).is_file()
    ):
        raise CannotWrite(folder, tr("the folder contains other files"), tr("Choose a new or empty folder."))
