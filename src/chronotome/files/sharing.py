"""Hands a file to a sharing place over HTTP, whichever place speaks the interface of `docs/sharing.md`.

An upload has a number from its first request on: after an interruption it goes on where the place has it, and
what was asked for twice is there once.
"""

import contextlib
import hashlib
import http.client
import ipaddress
import json
import socket
import time
import uuid
from collections.abc import Callable
from dataclasses import dataclass, field
from functools import partial
from pathlib import Path
from typing import Annotated, Any
from urllib.parse import SplitResult, urlsplit

import msgspec
from msgspec import Meta, Struct

from chronotome.errors import Cancelled, ChronotomeError, UnusableFile, readable
from chronotome.files.safe_read import InvalidInput, trusted
from chronotome.files.waiting import waited_for
from chronotome.progress import Progress, unheard
from chronotome.words import tr

AT_ONCE = 1 << 18
MOST_ANSWER = 1 << 20
TIMEOUT_SECONDS = 15.0
"""Without a byte."""
ANSWER_SECONDS = 60.0
"""For one request, however many bytes drip in."""
TAKE_BACK_SECONDS = 0.5
"""So long somebody who cancelled waits until it is taken back."""
TRIES = 6
"""Without a byte more in between: then it is told, and may be tried again by hand."""
FIRST_PAUSE, LONGEST_PAUSE = 0.2, 5.0
MOST_TITLE, MOST_DESCRIPTION, MOST_TAGS = 200, 5_000, 20
MOST_FILE = 4 << 30


class CannotShare(ChronotomeError):  # noqa: N818 - reads as what happened
    """What the place, or the way there, said."""


class UploadInfo(Struct, frozen=True):
    """What is told of a file that is shared."""

    title: Annotated[str, Meta(min_length=1, max_length=MOST_TITLE)]
    description: Annotated[str, Meta(max_length=MOST_DESCRIPTION)] = ""
    tags: Annotated[
        tuple[Annotated[str, Meta(min_length=1, max_length=60)], ...], Meta(max_length=MOST_TAGS)
    ] = ()
    is_public: bool = False


class UploadState(Struct, frozen=True):
    """The answer to the first request, and to a question how far an upload is."""

    upload: Annotated[str, Meta(pattern=r"\A[A-Za-z0-9_-]{1,64}\Z")]
    received: Annotated[int, Meta(ge=0, le=MOST_FILE)]


class Shared(Struct, frozen=True):
    """The answer to the last request."""

    address: Annotated[str, Meta(min_length=1, max_length=2_000)]


@dataclass
class Upload:
    """One file on its way; the same object is handed over again for another try."""

    path: Path
    about: UploadInfo
    place: str
    key: str = field(repr=False)
    number: str = field(default_factory=lambda: uuid.uuid4().hex)
    """By which the place knows that a request is the same one again."""


def place_of(text: str) -> SplitResult:
    """The address of a place, which must be https unless it is on this machine.

    Raises
    ------
    CannotShare
    """
    place = urlsplit(text.strip())
    try:
        is_known = place.scheme in {"http", "https"} and bool(place.hostname) and (place.port or 1) > 0
    except ValueError:
        is_known = False
    if not is_known or place.username or place.query or place.fragment:
        raise CannotShare(tr("This is not a server address. Enter an address that begins with https://."))
    if place.scheme == "http" and not _is_here(place.hostname or ""):
        raise CannotShare(tr("This address is not encrypted. Enter an address that begins with https://."))
    return place


def origin_of(text: str) -> str:
    """Scheme, host and port: a key that was given for one is for no other; empty where it is no address."""
    try:
        place = place_of(text)
    except ChronotomeError:
        return ""
    port = place.port or {"http": 80, "https": 443}[place.scheme]
    return f"{place.scheme}://{(place.hostname or '').lower()}:{port}"


def _checked_key(key: str) -> str:
    """A key, which is one word of plain signs; what is wrong is told without it."""
    if not (key.isascii() and key.isprintable()) or " " in key:
        raise CannotShare(tr("The access key has invalid characters. Copy the key again, without spaces."))
    return key


def _checked_address(text: str) -> str:
    """An address that may be shown, copied and opened; a place may say anything."""
    try:
        address = urlsplit(text)
        is_safe = address.scheme == "https" or (address.scheme == "http" and _is_here(address.hostname or ""))
        is_safe = is_safe and bool(address.hostname) and address.username is None
    except ValueError:
        is_safe = False
    if not is_safe or not (text.isascii() and text.isprintable()) or " " in text:
        raise CannotShare(
            tr(
                "The file is shared, but the server sent no address that can be opened. Look on "
                "the server’s page."
            )
        )
    return text


def _is_here(host: str) -> bool:
    try:
        return host == "localhost" or ipaddress.ip_address(host).is_loopback
    except ValueError:
        return False


def share(upload: Upload, progress: Progress = unheard, *, pause: float = FIRST_PAUSE) -> str:
    """Hand the file over, however often the way there breaks.

    Returns
    -------
    the address at which it can be heard

    Raises
    ------
    CannotShare
        Where the place refuses, or cannot be reached: the same `upload` goes on from where it is.
    UnusableFile
        Where the file cannot be read.
    Cancelled
        What was handed over so far is taken back.
    """
    place = place_of(upload.place)
    size, digest = _facts(upload.path, progress)
    received, failures = -1, 0
    client = _Client(place, _checked_key(upload.key), lambda: progress(max(0, received) / size))
    while True:
        try:
            begun = client.begin(upload, size, digest)
            if begun.received > received:
                failures = 0
            received = begun.received
            client.send(upload.path, begun, size, progress)
            return _checked_address(client.finish(begun.upload))
        except Cancelled:
            client.take_back(upload.number)
            raise
        except (OSError, http.client.HTTPException) as error:
            failures += 1
            if failures >= TRIES:
                words = _words(error).replace(upload.key, "•••") if upload.key else _words(error)
                text = tr("Cannot reach the server ({0}). Check the address and the network.", words)
                raise CannotShare(tr("{0} Try again: the upload continues where it stopped.", text)) from None
            _wait(min(LONGEST_PAUSE, pause * 2**failures), progress, received / max(1, size))


def _words(error: Exception) -> str:
    return readable(getattr(error, "strerror", None) or str(error) or type(error).__name__)[:200]


def _wait(seconds: float, progress: Progress, share_done: float) -> None:
    """In small steps: whoever cancels does not wait with it."""
    until = time.monotonic() + seconds
    while (left := until - time.monotonic()) > 0:
        progress(max(0.0, share_done))
        time.sleep(min(0.05, left))


def _facts(path: Path, progress: Progress) -> tuple[int, str]:
    digest, size = hashlib.sha256(), 0
    try:
        with path.open("rb") as file:
            while block := file.read(1 << 20):
                digest.update(block)
                size += len(block)
                progress(0.0)
    except OSError as error:
        raise UnusableFile(
            path, tr("cannot be read: {0}", error.strerror), tr("Export the file again.")
        ) from None
    if not 0 < size <= MOST_FILE:
        raise UnusableFile(path, tr("is empty or larger than 4 GB"), tr("Choose a smaller file format."))
    return size, digest.hexdigest()


class _Client:
    """The interface of a sharing place; each request is a connection of its own."""

    def __init__(self, place: SplitResult, key: str, still: Callable[[], None]) -> None:
        self._place, self._key, self._still = place, key, still

    def begin(self, upload: Upload, size: int, digest: str) -> UploadState:
        about = msgspec.to_builtins(upload.about)
        body = {**about, "name": upload.path.name, "bytes": size, "sha256": digest}
        head = {"Idempotency-Key": upload.number, "Content-Type": "application/json"}
        return self._asked("POST", "/v1/uploads", UploadState, json.dumps(body).encode(), head)

    def send(self, path: Path, begun: UploadState, size: int, progress: Progress) -> None:
        """What the place has not yet."""
        at = begun.received
        with path.open("rb") as file:
            file.seek(at)
            while at < size:
                block = file.read(AT_ONCE)
                head = {"Content-Range": f"bytes {at}-{at + len(block) - 1}/{size}"}
                told = self._asked("PATCH", f"/v1/uploads/{begun.upload}", UploadState, block, head)
                if told.received <= at:
                    raise CannotShare(tr("The server accepts no more uploads. Try again later."))
                at = told.received
                file.seek(at)
                progress(at / size)

    def finish(self, number: str) -> str:
        return self._asked("POST", f"/v1/uploads/{number}/done", Shared, b"", {}).address

    def take_back(self, number: str) -> None:
        """Best effort: what was begun is not wanted. It goes on by itself where it takes longer."""
        until = time.monotonic() + TAKE_BACK_SECONDS

        def wait() -> None:
            if time.monotonic() > until:
                raise Cancelled

        path = f"/v1/uploads/by-key/{number}"
        with contextlib.suppress(OSError, http.client.HTTPException, ChronotomeError):
            waited_for(lambda: self._asked_once("DELETE", path, b"", {}), wait, seconds=ANSWER_SECONDS)

    def _asked(self, method: str, path: str, kind: Any, body: bytes, head: dict[str, str]) -> Any:
        status, data = self._answer(method, path, body, head)
        if status in {401, 403}:
            raise CannotShare(tr("The server rejected the key. Check the key in this dialog."))
        if status >= http.HTTPStatus.INTERNAL_SERVER_ERROR and status != http.HTTPStatus.INSUFFICIENT_STORAGE:
            raise http.client.HTTPException(tr("the server answered {0}", status))
        if status >= 300:
            raise CannotShare(tr("The server refused the upload ({0}): {1}", status, self._told(data)))
        try:
            return trusted(data, kind)
        except InvalidInput:
            raise CannotShare(tr("The server sent an invalid answer. Check the address.")) from None

    def _answer(self, method: str, path: str, body: bytes, head: dict[str, str]) -> tuple[int, bytes]:
        """Whoever cancels waits no longer than a moment, whatever the place does or does not say."""
        connection = self._connection()
        return waited_for(
            lambda: self._asked_once(method, path, body, head, connection),
            self._still,
            seconds=ANSWER_SECONDS,
            end=partial(_break, connection),
        )

    def _connection(self) -> http.client.HTTPConnection:
        kinds = {"http": http.client.HTTPConnection, "https": http.client.HTTPSConnection}
        return kinds[self._place.scheme](
            self._place.hostname or "", self._place.port, timeout=TIMEOUT_SECONDS
        )

    def _asked_once(
        self,
        method: str,
        path: str,
        body: bytes,
        head: dict[str, str],
        connection: http.client.HTTPConnection | None = None,
    ) -> tuple[int, bytes]:
        connection = connection or self._connection()
        try:
            full = {"Authorization": f"Bearer {self._key}", "Content-Length": str(len(body)), **head}
            connection.request(method, self._place.path.rstrip("/") + path, body, full)
            answer = connection.getresponse()
            return answer.status, answer.read(MOST_ANSWER)
        finally:
            connection.close()

    def _told(self, data: bytes) -> str:
        """What a refusal says, as text of one line, without the key."""
        words = readable(data[:300].decode("utf-8", "replace"))
        if self._key:
            words = words.replace(self._key, "•••")
        return words or tr("no reason given")


def _break(connection: http.client.HTTPConnection) -> None:
    """Let what reads or writes it fail now."""
    way = connection.sock
    if way is not None:
        with contextlib.suppress(OSError):
            way.shutdown(socket.SHUT_RDWR)
