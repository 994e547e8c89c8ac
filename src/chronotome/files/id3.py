"""ID3v2.4 tags, as MP3 files and WAV files hold them: texts, and chapters (ID3v2 Chapter Frame Addendum)."""

import struct
from collections.abc import Sequence

UTF8 = b"\x03"


def _syncsafe(size: int) -> bytes:
    return bytes((size >> shift) & 0x7F for shift in (21, 14, 7, 0))


def _frame(kind: bytes, body: bytes) -> bytes:
    return kind + _syncsafe(len(body)) + b"\0\0" + body


def _text(kind: bytes, text: str) -> bytes:
    return _frame(kind, UTF8 + text.encode())


def tag(tempo: float | None, texts: Sequence[tuple[str, str]], cues: Sequence[tuple[float, str]]) -> bytes:
    """A tempo, texts of our own, and a chapter from each cue to the next; in seconds."""
    frames = [] if tempo is None else [_text(b"TBPM", f"{tempo:.9g}")]
    frames += [_frame(b"TXXX", UTF8 + key.encode() + b"\0" + value.encode()) for key, value in texts]
    ends = [*(seconds for seconds, _ in cues[1:]), *(seconds for seconds, _ in cues[-1:])]
    for number, ((seconds, name), end) in enumerate(zip(cues, ends, strict=True)):
        moments = struct.pack(">4I", round(1000 * seconds), round(1000 * end), 0xFFFFFFFF, 0xFFFFFFFF)
        frames.append(_frame(b"CHAP", f"cue{number}".encode() + b"\0" + moments + _text(b"TIT2", name)))
    body = b"".join(frames)
    return b"ID3\x04\x00\x00" + _syncsafe(len(body)) + body
