"""Chunks of WAV files, beside the samples: cue markers with names, loops, tags."""

import io
import struct
from collections.abc import Iterator, Sequence
from itertools import islice
from typing import BinaryIO

MOST_CHUNK = 1 << 24
MOST_FILE = 0xFFFF0000
MOST_CHUNKS, MOST_POINTS = 10_000, 200_000


def chunk(kind: bytes, body: bytes) -> bytes:
    return kind + struct.pack("<I", len(body)) + body + b"\0" * (len(body) % 2)


def cue_chunks(cues: Sequence[tuple[int, str]]) -> bytes:
    """`cue ` of frames, and `LIST` of type `adtl` for their names."""
    points = b"".join(
        struct.pack("<II4sIII", number, frame, b"data", 0, 0, frame)
        for number, (frame, _) in enumerate(cues, 1)
    )
    names = b"".join(
        chunk(b"labl", struct.pack("<I", number) + name.encode() + b"\0")
        for number, (_, name) in enumerate(cues, 1)
        if name
    )
    return chunk(b"cue ", struct.pack("<I", len(cues)) + points) + chunk(b"LIST", b"adtl" + names)


def loop_chunk(frames: int, rate: int) -> bytes:
    """`smpl`: all of the file goes round, forwards, without end; it sounds as it is on middle C."""
    head = struct.pack("<9I", 0, 0, round(1e9 / rate), 60, 0, 0, 0, 1, 0)
    return chunk(b"smpl", head + struct.pack("<6I", 0, 0, 0, frames - 1, 0, 0))


def append(file: BinaryIO, chunks: bytes) -> None:
    """Put chunks after the samples; the size of the whole is set right. Files of over 4 GB have none."""
    file.seek(0)
    is_usual = file.read(4) == b"RIFF"  # RF64 counts otherwise
    end = file.seek(0, io.SEEK_END)
    if not is_usual or end + len(chunks) >= MOST_FILE:
        return
    file.write(b"\0" * (end % 2) + chunks)
    size = file.tell()
    file.seek(4)
    file.write(struct.pack("<I", size - 8))


def chunks(file: BinaryIO) -> Iterator[tuple[bytes, bytes]]:
    """Kind and body of each chunk but the samples, which are stepped over."""
    head = file.read(12)
    if head[:4] != b"RIFF" or head[8:] != b"WAVE":
        raise ValueError("no WAV file")
    for _ in range(MOST_CHUNKS):
        if len(head := file.read(8)) < 8:
            return
        kind, size = struct.unpack("<4sI", head)
        after = file.tell() + size + size % 2
        if kind != b"data" and size <= MOST_CHUNK:
            yield kind, file.read(size)
        file.seek(after)


def cues(file: BinaryIO) -> list[tuple[int, int, str]]:
    """Each cue as frame, frames a second, and name; raises ValueError or struct.error for what is damaged."""
    rate, places, names = 0, dict[int, int](), dict[int, str]()
    for kind, body in chunks(file):
        if kind == b"fmt ":
            rate = struct.unpack_from("<I", body, 4)[0]
        elif kind == b"cue ":
            for number in range(min(MOST_POINTS, struct.unpack_from("<I", body)[0])):
                key, _, _, _, _, frame = struct.unpack_from("<II4sIII", body, 4 + 24 * number)
                places[key] = frame
        elif body[:4] == b"adtl":
            names.update(islice(_names(body[4:]), MOST_POINTS))
    if not rate:
        raise ValueError("no format")
    return [(frame, rate, names.get(key, "")) for key, frame in places.items()]


def _names(body: bytes) -> Iterator[tuple[int, str]]:
    at = 0
    while at + 12 <= len(body):
        kind, size, key = struct.unpack_from("<4sII", body, at)
        if kind == b"labl":
            yield key, body[at + 12 : at + 8 + size].split(b"\0")[0].decode("utf-8", "replace")
        at += 8 + size + size % 2
