"""A small sharing place on this machine: a stand-in that speaks the interface of `docs/sharing.md`.

It keeps what it is given in a folder: a file and its description for each upload. Nobody else reaches it.
"""

import contextlib
import hashlib
import json
import os
import re
import secrets
import threading
from collections.abc import Callable
from dataclasses import dataclass, field
from http import HTTPStatus
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from pathlib import Path
from typing import Annotated, Any

import msgspec
from msgspec import Meta

from chronotome.files.names import plain_name
from chronotome.files.safe_read import InvalidInput, bytes_of, trusted
from chronotome.files.sharing import MOST_FILE, UploadInfo
from chronotome.files.writing import private_folder, write_whole

HOST = "127.0.0.1"
MOST_HEAD, MOST_BLOCK = 1 << 16, 1 << 22
MOST_UPLOADS = 10_000
_ADDRESS = re.compile(r"/v1/uploads/([A-Za-z0-9_-]{1,64})(/done)?")
_BY_KEY = re.compile(r"/v1/uploads/by-key/([A-Za-z0-9_-]{1,64})")
_HEARD = re.compile(r"/s/([A-Za-z0-9_-]{1,64})")
_RANGE = re.compile(r"bytes (\d{1,12})-(\d{1,12})/(\d{1,12})")


class UploadRequest(UploadInfo, frozen=True, kw_only=True):
    """The body of the first request."""

    name: Annotated[str, Meta(min_length=1, max_length=255)]
    bytes: Annotated[int, Meta(ge=1, le=MOST_FILE)]
    sha256: Annotated[str, Meta(pattern=r"\A[0-9a-f]{64}\Z")]


class StoredUpload(msgspec.Struct, frozen=True):
    """What stands beside a file."""

    asked: UploadRequest
    key: str
    is_done: bool = False


@dataclass
class ShareFolder:
    """What was given, in a folder; one request at a time changes it."""

    folder: Path
    token: str
    lock: threading.Lock = field(default_factory=threading.Lock)

    def sound(self, number: str) -> Path:
        return self.folder / f"{number}.part"

    def about(self, number: str) -> Path:
        return self.folder / f"{number}.json"

    def find(self, number: str) -> StoredUpload | None:
        try:
            return trusted(bytes_of(self.about(number), MOST_HEAD), StoredUpload)
        except (OSError, InvalidInput):
            return None

    def by_key(self, key: str) -> str | None:
        for path in self.folder.glob("*.json"):
            kept = self.find(path.stem)
            if kept is not None and kept.key == key:
                return path.stem
        return None

    def keep(self, number: str, kept: StoredUpload) -> None:
        write_whole(self.about(number), msgspec.json.encode(kept))

    def received(self, number: str) -> int:
        try:
            return self.sound(number).stat().st_size
        except OSError:
            return 0

    def forget(self, number: str) -> None:
        for path in (self.sound(number), self.about(number)):
            with contextlib.suppress(OSError):
                path.unlink()


class _Refused(Exception):  # noqa: N818 - reads as what happened
    def __init__(self, status: HTTPStatus, words: str) -> None:
        super().__init__(words)
        self.status = status


class SharePlace:
    """A server in a thread. `address` is what the client is told, `token` its key."""

    def __init__(self, folder: Path, *, port: int = 0, token: str | None = None) -> None:
        private_folder(folder)
        self.shelf = ShareFolder(folder, token or secrets.token_urlsafe(18))
        shelf, place = self.shelf, self

        class Handler(_Handler):
            def __init__(self, *arguments: Any) -> None:
                self.shelf, self.place = shelf, place
                super().__init__(*arguments)

        self._server = ThreadingHTTPServer((HOST, port), Handler)
        self._server.daemon_threads = True
        self._thread = threading.Thread(target=self._server.serve_forever, name="share place", daemon=True)

    @property
    def address(self) -> str:
        return f"http://{HOST}:{self._server.server_address[1]}"

    @property
    def token(self) -> str:
        return self.shelf.token

    def start(self) -> "SharePlace":
        self._thread.start()
        return self

    def serve(self) -> None:
        """In this thread, until it is interrupted."""
        self._server.serve_forever()

    def close(self) -> None:
        self._server.shutdown()
        self._server.server_close()


class _Handler(BaseHTTPRequestHandler):
    shelf: ShareFolder
    place: SharePlace
    server_version = "SharePlace/1"
    timeout = 20

    def log_message(self, *_words: Any) -> None:
        """Nothing is printed."""

    def do_POST(self) -> None:
        self._answered(self._post)

    def do_PATCH(self) -> None:
        self._answered(self._patch)

    def do_DELETE(self) -> None:
        self._answered(self._delete)

    def do_GET(self) -> None:
        self._answered(self._get)

    def _answered(self, do: Callable[[], dict[str, Any] | None]) -> None:
        try:
            told = do()
        except _Refused as refused:
            self._say(refused.status, str(refused).encode(), "text/plain; charset=utf-8")
        except (OSError, ValueError):
            with contextlib.suppress(OSError):
                self._say(HTTPStatus.INTERNAL_SERVER_ERROR, b"it could not be kept", "text/plain")
        else:
            if told is not None:
                self._say(HTTPStatus.OK, json.dumps(told).encode(), "application/json")

    def _say(self, status: HTTPStatus, data: bytes, kind: str) -> None:
        self.send_response(status)
        self.send_header("Content-Type", kind)
        self.send_header("Content-Length", str(len(data)))
        self.send_header("Connection", "close")
        self.end_headers()
        self.wfile.write(data)
        self.close_connection = True

    def _know(self) -> None:
        said = self.headers.get("Authorization", "")
        if not secrets.compare_digest(said.encode(), f"Bearer {self.shelf.token}".encode()):
            raise _Refused(HTTPStatus.UNAUTHORIZED, "the key is not known")

    def _size(self, most: int) -> int:
        text = self.headers.get("Content-Length", "")
        size = int(text) if text.isdigit() else -1
        if not 0 <= size <= most:
            raise _Refused(HTTPStatus.REQUEST_ENTITY_TOO_LARGE, "the request is too large")
        return size

    def _upload(self, path: str) -> tuple[str, StoredUpload, bool]:
        found = _ADDRESS.fullmatch(path)
        kept = None if found is None else self.shelf.find(found[1])
        if found is None or kept is None:
            raise _Refused(HTTPStatus.NOT_FOUND, "there is no such upload")
        return found[1], kept, found[2] is not None

    def _post(self) -> dict[str, Any]:
        self._know()
        data = self.rfile.read(self._size(MOST_HEAD))
        if self.path != "/v1/uploads":
            return self._done()
        try:
            asked = trusted(data, UploadRequest)
        except InvalidInput as error:
            raise _Refused(HTTPStatus.BAD_REQUEST, f"the description {error}") from None
        key = self.headers.get("Idempotency-Key", "")
        if not re.fullmatch(r"[A-Za-z0-9_-]{1,64}", key):
            raise _Refused(HTTPStatus.BAD_REQUEST, "there is no Idempotency-Key")
        with self.shelf.lock:
            number = self.shelf.by_key(key)
            if number is None:
                if len(list(self.shelf.folder.glob("*.json"))) >= MOST_UPLOADS:
                    raise _Refused(HTTPStatus.INSUFFICIENT_STORAGE, "there is no room")
                number = secrets.token_urlsafe(12)
                self.shelf.keep(number, StoredUpload(asked, key))
            return {"upload": number, "received": self.shelf.received(number)}

    def _patch(self) -> dict[str, Any]:
        self._know()
        number, kept, _ = self._upload(self.path)
        said = _RANGE.fullmatch(self.headers.get("Content-Range", ""))
        size = self._size(MOST_BLOCK)
        if said is None or int(said[3]) != kept.asked.bytes or int(said[2]) - int(said[1]) + 1 != size:
            raise _Refused(HTTPStatus.BAD_REQUEST, "the range does not fit the file")
        data, is_whole = self._come(size)  # without the lock: whoever does not go on keeps nobody waiting
        with self.shelf.lock:
            is_next = int(said[1]) == self.shelf.received(number) and int(said[2]) < kept.asked.bytes
            if is_next and not kept.is_done and self.shelf.find(number) is not None:
                self._take(number, data)
            if not is_whole:
                raise OSError("the way broke")
            return {"upload": number, "received": self.shelf.received(number)}

    def _come(self, size: int) -> tuple[bytes, bool]:
        """What comes of so many bytes, and whether that is all of them."""
        parts, left = list[bytes](), size
        with contextlib.suppress(OSError):
            while left > 0 and (block := self.rfile.read1(min(left, 1 << 16))):
                parts.append(block)
                left -= len(block)
        return b"".join(parts), left == 0

    def _take(self, number: str, data: bytes) -> None:
        flags = os.O_WRONLY | os.O_CREAT | os.O_APPEND | os.O_NOFOLLOW | os.O_CLOEXEC
        handle = os.open(self.shelf.sound(number), flags, 0o600)
        with os.fdopen(handle, "ab") as file:
            file.write(data)

    def _done(self) -> dict[str, Any]:
        number, kept, is_done = self._upload(self.path)
        if not is_done:
            raise _Refused(HTTPStatus.NOT_FOUND, "there is nothing here")
        with self.shelf.lock:
            if not kept.is_done:
                digest = hashlib.sha256()
                with self.shelf.sound(number).open("rb") as file:
                    while block := file.read(1 << 20):
                        digest.update(block)
                if digest.hexdigest() != kept.asked.sha256:
                    self.shelf.forget(number)
                    raise _Refused(HTTPStatus.CONFLICT, "it did not arrive as it was sent")
                self.shelf.keep(number, StoredUpload(kept.asked, kept.key, is_done=True))
        return {"address": f"{self.place.address}/s/{number}"}

    def _delete(self) -> dict[str, Any]:
        self._know()
        found = _BY_KEY.fullmatch(self.path)
        with self.shelf.lock:
            number = None if found is None else self.shelf.by_key(found[1])
            if number is not None:
                self.shelf.forget(number)
        return {}

    def _get(self) -> None:
        found = _HEARD.fullmatch(self.path)
        kept = None if found is None else self.shelf.find(found[1])
        if found is None or kept is None or not kept.is_done:
            raise _Refused(HTTPStatus.NOT_FOUND, "there is nothing here")
        if not kept.asked.is_public:
            self._know()
        path = self.shelf.sound(found[1])
        with path.open("rb") as file:
            name = plain_name(kept.asked.name).encode("ascii", "replace").decode().replace('"', "_")
            self.send_response(HTTPStatus.OK)
            self.send_header("Content-Type", "application/octet-stream")
            self.send_header("Content-Length", str(path.stat().st_size))
            self.send_header("Content-Disposition", f'attachment; filename="{name}"')
            self.end_headers()
            while block := file.read(1 << 20):
                self.wfile.write(block)
