"""Hands a file to a sharing place over HTTP, whichever place speaks the interface of `docs/sharing.md`.

An upload has a number from its first request on: after an interruption it goes on where the place has it, and
what was asked for twice is there once.
"""

import hashlib
import http.client
import ipaddress
import json
import time
import uuid
from dataclasses import dataclass, field
from pathlib import Path
from typing import Annotated, Any
from urllib.parse import SplitResult, urlsplit

import msgspec
from msgspec import Meta, Struct

from chronotome.errors import Cancelled, ChronotomeError, UnusableFile, readable
from chronotome.files.door import Untrusted, trusted
from chronotome.progress import Progress, unheard
from chronotome.words import tr

AT_ONCE = 1 << 18
MOST_ANSWER = 1 << 20
TIMEOUT_SECONDS = 15.0
TRIES = 6
"""Without a byte more in between: then it is told, and may be tried again by hand."""
FIRST_PAUSE, LONGEST_PAUSE = 0.2, 5.0
MOST_TITLE, MOST_DESCRIPTION, MOST_TAGS = 200, 5_000, 20
MOST_FILE = 4 << 30


class CannotShare(ChronotomeError):  # noqa: N818 - reads as what happened
    """What the place, or the way there, said."""


class About(Struct, frozen=True):
    """What is told of a file that is shared."""

    title: Annotated[str, Meta(min_length=1, max_length=MOST_TITLE)]
    description: Annotated[str, Meta(max_length=MOST_DESCRIPTION)] = ""
    tags: Annotated[
        tuple[Annotated[str, Meta(min_length=1, max_length=60)], ...], Meta(max_length=MOST_TAGS)
    ] = ()
    is_public: bool = False


class Begun(Struct, frozen=True):
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
    about: About
    place: str
    key: str
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
        raise CannotShare(tr("“{0}” is no address of a sharing place. Say https://….", readable(text)))
    if place.scheme == "http" and not _is_here(place.hostname or ""):
        raise CannotShare(tr("“{0}” would be reached without encryption. Say https://….", readable(text)))
    return place


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
    size, digest = _facts(upload.path)
    client = _Client(place, upload.key)
    received, failures = -1, 0
    while True:
        try:
            begun = client.begin(upload, size, digest)
            if begun.received > received:
                failures = 0
            received = begun.received
            client.send(upload.path, begun, size, progress)
            return client.finish(begun.upload)
        except Cancelled:
            client.take_back(upload.number)
            raise
        except (OSError, http.client.HTTPException) as error:
            failures += 1
            if failures >= TRIES:
                words = tr("“{0}” could not be reached ({1}).", place.netloc, _words(error))
                raise CannotShare(tr("{0} Try again: it goes on where it was.", words)) from None
            _wait(min(LONGEST_PAUSE, pause * 2**failures), progress, received / max(1, size))


def _words(error: Exception) -> str:
    return readable(getattr(error, "strerror", None) or str(error) or type(error).__name__)[:200]


def _wait(seconds: float, progress: Progress, share_done: float) -> None:
    """In small steps: whoever cancels does not wait with it."""
    until = time.monotonic() + seconds
    while (left := until - time.monotonic()) > 0:
        progress(max(0.0, share_done))
        time.sleep(min(0.05, left))


def _facts(path: Path) -> tuple[int, str]:
    digest, size = hashlib.sha256(), 0
    try:
        with path.open("rb") as file:
            while block := file.read(1 << 20):
                digest.update(block)
                size += len(block)
    except OSError as error:
        raise UnusableFile(path, tr("cannot be read ({0})", error.strerror), tr("Export it again.")) from None
    if not 0 < size <= MOST_FILE:
        raise UnusableFile(path, tr("is empty, or larger than 4 GB"), tr("Choose a smaller kind of file."))
    return size, digest.hexdigest()


class _Client:
    """The interface of a sharing place; each request is a connection of its own."""

    def __init__(self, place: SplitResult, key: str) -> None:
        self._place, self._key = place, key

    def begin(self, upload: Upload, size: int, digest: str) -> Begun:
        about = msgspec.to_builtins(upload.about)
        body = {**about, "name": upload.path.name, "bytes": size, "sha256": digest}
        head = {"Idempotency-Key": upload.number, "Content-Type": "application/json"}
        return self._asked("POST", "/v1/uploads", Begun, json.dumps(body).encode(), head)

    def send(self, path: Path, begun: Begun, size: int, progress: Progress) -> None:
        """What the place has not yet."""
        at = begun.received
        with path.open("rb") as file:
            file.seek(at)
            while at < size:
                block = file.read(AT_ONCE)
                head = {"Content-Range": f"bytes {at}-{at + len(block) - 1}/{size}"}
                told = self._asked("PATCH", f"/v1/uploads/{begun.upload}", Begun, block, head)
                if told.received <= at:
                    raise CannotShare(tr("“{0}” takes nothing more. Try again later.", self._place.netloc))
                at = told.received
                file.seek(at)
                progress(at / size)

    def finish(self, number: str) -> str:
        return self._asked("POST", f"/v1/uploads/{number}/done", Shared, b"", {}).address

    def take_back(self, number: str) -> None:
        """Best effort: what was begun is not wanted."""
        try:
            self._answer("DELETE", f"/v1/uploads/by-key/{number}", b"", {})
        except (OSError, http.client.HTTPException, ChronotomeError):
            return

    def _asked(self, method: str, path: str, kind: Any, body: bytes, head: dict[str, str]) -> Any:
        status, data = self._answer(method, path, body, head)
        if status in {401, 403}:
            raise CannotShare(tr("“{0}” does not know this key. Check it in the dialog.", self._place.netloc))
        if status >= http.HTTPStatus.INTERNAL_SERVER_ERROR and status != http.HTTPStatus.INSUFFICIENT_STORAGE:
            raise http.client.HTTPException(tr("it answered {0}", status))
        if status >= 300:
            raise CannotShare(tr("“{0}” refused it ({1}): {2}", self._place.netloc, status, _told(data)))
        try:
            return trusted(data, kind)
        except Untrusted:
            raise CannotShare(
                tr("“{0}” answered what is no answer. Check the address.", self._place.netloc)
            ) from None

    def _answer(self, method: str, path: str, body: bytes, head: dict[str, str]) -> tuple[int, bytes]:
        kinds = {"http": http.client.HTTPConnection, "https": http.client.HTTPSConnection}
        connection = kinds[self._place.scheme](
            self._place.hostname or "", self._place.port, timeout=TIMEOUT_SECONDS
        )
        try:
            full = {"Authorization": f"Bearer {self._key}", "Content-Length": str(len(body)), **head}
            connection.request(method, self._place.path.rstrip("/") + path, body, full)
            answer = connection.getresponse()
            return answer.status, answer.read(MOST_ANSWER)
        finally:
            connection.close()


def _told(data: bytes) -> str:
    """What a refusal says, as text of one line."""
    return readable(data[:300].decode("utf-8", "replace")) or tr("no reason was given")
