"""Comments in Ogg and FLAC files that are being written: libsndfile writes only a few of them.

RFC 3533 (Ogg), RFC 7845 (Opus), RFC 9639 (FLAC), and the Vorbis I specification, section 5.
"""

import struct
from collections.abc import Sequence
from functools import lru_cache
from typing import BinaryIO

Comments = Sequence[tuple[str, str]]
MOST_PACKET = 255 * 255 - 1
"""Bytes that surely fit into one page with what is beside them."""
SHIFTED_AT_ONCE = 1 << 22
_VORBIS, _OPUS = b"\x03vorbis", b"OpusTags"


def comment_block(vendor: bytes, comments: Comments) -> bytes:
    """A vendor, and KEY=value each."""
    texts = [f"{key}={value}".encode() for key, value in comments]
    parts = [struct.pack("<I", len(vendor)), vendor, struct.pack("<I", len(texts))]
    for text in texts:
        parts += [struct.pack("<I", len(text)), text]
    return b"".join(parts)


def replace_head(file: BinaryIO, old: int, new: bytes) -> None:
    """Put other bytes in the place of the first `old` ones; what is behind them moves."""
    more = len(new) - old
    end = file.seek(0, 2)
    at = end
    while more > 0 and at > old:
        count = min(SHIFTED_AT_ONCE, at - old)
        at -= count
        file.seek(at)
        block = file.read(count)
        file.seek(at + more)
        file.write(block)
    if more < 0:
        raise ValueError("a head does not become shorter")
    file.seek(0)
    file.write(new)


def add_to_flac(file: BinaryIO, comments: Comments) -> None:
    """With comments in the block that holds them."""
    file.seek(0)
    if file.read(4) != b"fLaC":
        raise ValueError("no FLAC file")
    blocks, is_last = list[tuple[int, bytes]](), False
    while not is_last:
        head = file.read(4)
        is_last, kind, size = bool(head[0] & 0x80), head[0] & 0x7F, int.from_bytes(head[1:], "big")
        blocks.append((kind, file.read(size)))
    old = file.tell()
    vendor = next((_vendor(body) for kind, body in blocks if kind == 4), b"Chronotome")
    kept = [(kind, body) for kind, body in blocks if kind != 4]
    kept.insert(1, (4, comment_block(vendor, comments)))
    kept.append((1, bytes(max(0, old - 4 - sum(4 + len(body) for _, body in kept) - 4))))  # padding
    parts = [
        bytes([kind | (0x80 if place == len(kept) - 1 else 0)]) + len(body).to_bytes(3, "big") + body
        for place, (kind, body) in enumerate(kept)
    ]
    replace_head(file, old, b"fLaC" + b"".join(parts))


def _vendor(body: bytes) -> bytes:
    size = struct.unpack_from("<I", body)[0]
    return body[4 : 4 + size]


def add_to_ogg(file: BinaryIO, comments: Comments) -> None:
    """With comments in the second packet, which begins the second page, as libsndfile lays them out."""
    file.seek(0)
    first = _page(file)
    start = file.tell()
    second = _page(file)
    packets = _packets(second)
    own = packets[0]
    head = next((each for each in (_VORBIS, _OPUS) if own.startswith(each)), None)
    if head is None or second[5] & 1:
        raise ValueError("no comments where they should be")
    ending = b"\x01" if head == _VORBIS else b""
    new = head + comment_block(_vendor(own[len(head) :]), comments) + ending
    new += bytes(max(0, len(own) - len(new)))  # as long, where there is room
    packets[0] = new
    page = _made(second, packets)
    replace_head(file, start + len(second), first + page)


def _page(file: BinaryIO) -> bytes:
    head = file.read(27)
    if head[:4] != b"OggS" or len(head) < 27:
        raise ValueError("no Ogg file")
    lacing = file.read(head[26])
    return head + lacing + file.read(sum(lacing))


def _packets(page: bytes) -> list[bytes]:
    """Those of a page on which each of them ends."""
    count = page[26]
    lacing, at = page[27 : 27 + count], 27 + count
    packets, start = list[bytes](), at
    for size in lacing:
        at += size
        if size < 255:
            packets.append(page[start:at])
            start = at
    if start != len(page):
        raise ValueError("a packet goes on in the next page")
    return packets


def _made(page: bytes, packets: Sequence[bytes]) -> bytes:
    """The page with other packets, its sum worked out anew."""
    lacing = b"".join(bytes([255] * (len(each) // 255) + [len(each) % 255]) for each in packets)
    if len(lacing) > 255:
        raise ValueError("more than a page holds")
    made = page[:22] + bytes(4) + bytes([len(lacing)]) + lacing + b"".join(packets)
    return made[:22] + struct.pack("<I", _sum(made)) + made[26:]


@lru_cache(maxsize=1)
def _table() -> list[int]:
    table = []
    for value in range(256):
        rest = value << 24
        for _ in range(8):
            rest = (rest << 1) ^ (0x04C11DB7 if rest & 0x80000000 else 0)
        table.append(rest & 0xFFFFFFFF)
    return table


def _sum(page: bytes) -> int:
    """CRC-32 of a page, not reflected, beginning with 0."""
    table, rest = _table(), 0
    for byte in page:
        rest = ((rest << 8) & 0xFFFFFFFF) ^ table[(rest >> 24) ^ byte]
    return rest
