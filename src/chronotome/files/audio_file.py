"""Sound files in: facts, samples, what is wrong with them."""

import contextlib
import hashlib
import os
import struct
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from pathlib import Path
from typing import BinaryIO, NamedTuple

import numpy as np
import soundfile
import soxr

from chronotome.dsp.audio import Audio, Samples
from chronotome.dsp.overview import BUCKET, Overview
from chronotome.errors import ChronotomeError, UnusableFile
from chronotome.files.safe_read import InvalidInput, opened_file, refuse_other_than_files
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena
from chronotome.render.pool import Source
from chronotome.session.limits import HIGHEST_RATE, LOWEST_RATE, MOST_FRAMES
from chronotome.session.model import Recording
from chronotome.words import tr

FRAMES_AT_ONCE = BUCKET * 512
MOST_CHANNELS = 8
MOST_HASHED = 4096
LOUDEST = 1e6
"""Times full scale: more is damage, and its square is no number."""
SUFFIXES = (".wav", ".aif", ".aiff", ".flac", ".ogg", ".oga", ".opus", ".mp3", ".w64", ".rf64", ".caf", ".au")
EXPORT_AGAIN = tr("Export the file again from its source.")
UNKNOWN_LENGTHS = {0, 0xFFFFFFFF, 0x7FFFFFFF, 0x7FFFF000}


@dataclass(frozen=True)
class FileFacts:
    """What a file says about itself."""

    path: Path
    content: str
    rate: int
    frames: int
    channels: int


def new_hash() -> "hashlib.blake2b":
    """What the bytes of a recording are told to."""
    return hashlib.blake2b(digest_size=16)


def content_hash(path: Path, progress: Progress = unheard) -> str:
    """Hash of a file's bytes, 32 hexadecimal digits.

    Raises
    ------
    OSError
    Untrusted
        If it is no regular file.
    """
    digest = new_hash()
    with opened_file(path) as file:
        before = _stamp(file)
        total, done = max(1, before.size), 0
        while block := file.read(1 << 22):
            digest.update(block)
            done += len(block)
            progress(done / total)
        if _stamp(file) == before:
            _hashed[before] = digest.hexdigest()
    while len(_hashed) > MOST_HASHED:
        _hashed.pop(next(iter(_hashed)))
    return digest.hexdigest()


def has_content(path: Path, content: str, progress: Progress = unheard) -> bool:
    """Whether a file is there with these bytes; read only where it is not as it was when it was read last."""
    try:
        with opened_file(path) as file:
            known = _hashed.get(_stamp(file))
        return (known or content_hash(path, progress)) == content
    except (OSError, InvalidInput):
        return False


class _Stamp(NamedTuple):
    """What changes when the bytes of a file do."""

    device: int
    node: int
    size: int
    changed: int


_hashed: dict[_Stamp, str] = {}


def _stamp(file: BinaryIO) -> _Stamp:
    facts = os.fstat(file.fileno())
    return _Stamp(facts.st_dev, facts.st_ino, facts.st_size, facts.st_mtime_ns)


def rate_of(path: Path) -> int:
    """Frames per second by a file's head; 0 where it cannot be read."""
    with contextlib.suppress(ChronotomeError), _opened(path) as file:
        return int(file.samplerate)
    return 0


def facts_of(path: Path, progress: Progress = unheard) -> FileFacts:
    """Open a file and check that it can be used.

    Raises
    ------
    UnusableFile
        With the reason and the way out.
    """
    with _opened(path) as file:
        facts = (file.samplerate, file.frames, file.channels)
    rate, frames, channels = facts
    if channels > MOST_CHANNELS:
        raise UnusableFile(
            path,
            tr("has {0} channels", channels),
            tr("Export the file with at most {0} channels.", MOST_CHANNELS),
        )
    if frames <= 0:
        raise UnusableFile(path, tr("has no audio"), tr("Choose a file with audio."))
    if not LOWEST_RATE <= rate <= HIGHEST_RATE:
        raise UnusableFile(
            path,
            tr("has a sample rate of {0} Hz", rate),
            tr("Sample rates from {0} to {1} can be opened. Convert the file.", LOWEST_RATE, HIGHEST_RATE),
        )
    if frames > MOST_FRAMES:
        raise UnusableFile(
            path,
            tr("claims {0} samples", frames),
            tr("At most {0} can be opened. Shorten the file.", MOST_FRAMES),
        )
    _refuse_cut_off(path)
    return FileFacts(path, content_hash(path, progress), rate, frames, channels)


def refuse_another(facts: FileFacts, recording: Recording) -> None:
    """Refuse a file that is not the one a session speaks of.

    Raises
    ------
    UnusableFile
    """
    if facts.content != recording.content:
        raise UnusableFile(
            facts.path,
            tr("has changed since you first opened it"),
            tr("Restore the old file, or import the new one."),
        )
    told = (recording.rate, recording.frames, recording.channels)
    if told != (facts.rate, facts.frames, facts.channels):
        raise UnusableFile(
            facts.path,
            tr("does not match the length or type in the session"),
            tr("Reopen the file."),
        )


def header_of(path: Path) -> tuple[int, int, int]:
    """Rate, frames and channels as the file's header tells; nothing else of it is read.

    Raises
    ------
    UnusableFile
        With the reason and the way out.
    """
    with _opened(path) as file:
        return file.samplerate, file.frames, file.channels


@contextlib.contextmanager
def _opened(path: Path) -> Iterator[soundfile.SoundFile]:
    try:
        if path.is_dir():
            raise UnusableFile(
                path, tr("is a folder, not an audio file"), tr("Choose a file in that folder.")
            )
        refuse_other_than_files(path)
        if path.stat().st_size == 0:
            raise UnusableFile(path, tr("is empty"), EXPORT_AGAIN)
        with soundfile.SoundFile(os.fsencode(path)) as file:  # as text, some names cannot be opened
            yield file
    except InvalidInput as error:
        raise UnusableFile(path, str(error), tr("Choose an audio file.")) from None
    except FileNotFoundError:
        raise UnusableFile(path, tr("is missing"), tr("Check the name and the folder.")) from None
    except PermissionError:
        raise UnusableFile(
            path,
            tr("cannot be read: permission denied"),
            tr("Change the permissions of the file, or copy it."),
        ) from None
    except OSError as error:
        raise UnusableFile(
            path, tr("cannot be read: {0}", error.strerror), tr("Copy it to another disk.")
        ) from None
    except (soundfile.LibsndfileError, ValueError, RuntimeError):
        raise UnusableFile(
            path,
            tr("is not an audio file that Chronotome can read"),
            tr("WAV, AIFF, FLAC, OGG Vorbis, Opus and MP3 can be opened."),
        ) from None


def _refuse_cut_off(path: Path) -> None:
    """A truncated WAV or AIFF reads without an error: compare its header with what came."""
    with path.open("rb") as file:
        promised = _promised_bytes(file)
    if promised is None:
        return
    start, length = promised
    there = path.stat().st_size - start
    if there < length:
        raise UnusableFile(
            path,
            tr("is incomplete: {0} of {1} bytes of audio are missing", length - max(0, there), length),
            EXPORT_AGAIN,
        )


def _promised_bytes(file: BinaryIO) -> tuple[int, int] | None:
    """Where the samples start and how many bytes the header says they are; None where it does not say."""
    head = file.read(12)
    if head[:4] == b"RIFF" and head[8:] == b"WAVE":
        order, wanted = "<", b"data"
    elif head[:4] == b"FORM" and head[8:] in {b"AIFF", b"AIFC"}:
        order, wanted = ">", b"SSND"
    else:
        return None
    while len(chunk := file.read(8)) == 8:
        (size,) = struct.unpack(order + "I", chunk[4:])
        if chunk[:4] == wanted:
            return None if size in UNKNOWN_LENGTHS else (file.tell(), size)
        file.seek(size + (size & 1), os.SEEK_CUR)
    return None


def read_blocks(path: Path, frames: int, out: Callable[[int], Samples]) -> Iterator[tuple[int, Samples]]:
    """Read a file block by block into the arrays that `out(length)` gives; checks every value.

    Raises
    ------
    UnusableFile
        If there is less than `frames`, or a value is not a number.
    """
    done = 0
    with _opened(path) as file:
        while done < frames:
            wanted = min(FRAMES_AT_ONCE, frames - done)
            block = out(wanted)
            read = _filled(file, block)
            if len(read) < wanted:
                raise UnusableFile(
                    path,
                    tr("is incomplete: it has {0} of {1} samples", done + len(read), frames),
                    EXPORT_AGAIN,
                )
            if not np.isfinite(read).all():
                bad = done + int(np.flatnonzero(~np.isfinite(read).all(axis=1))[0])
                raise UnusableFile(
                    path,
                    tr("contains invalid samples (the first at {0:.3f} s)", bad / file.samplerate),
                    EXPORT_AGAIN,
                )
            loudest = float(np.abs(read).max())
            if loudest > LOUDEST:
                words = tr("contains invalid levels (up to {0:.0e} times full scale)", loudest)
                raise UnusableFile(path, words, EXPORT_AGAIN)
            yield done, read
            done += len(read)


def _filled(file: soundfile.SoundFile, block: Samples) -> Samples:
    """As much of a block as there is: damaged files come in smaller pieces than were asked for."""
    done = 0
    while done < len(block):
        read = file.read(len(block) - done, dtype="float32", always_2d=True, out=block[done:])
        if not len(read):
            break
        done += len(read)
    return block[:done]


def kind_of(path: Path) -> tuple[str, str]:
    """Container and kind of samples of a file, as the library names them: FLAC and PCM_16."""
    with _opened(path) as file:
        return str(file.format), str(file.subtype)


def read_audio(path: Path, progress: Progress = unheard) -> Audio:
    """A whole file in memory, at its own rate."""
    with _opened(path) as file:
        rate, frames, channels = file.samplerate, file.frames, file.channels
    _refuse_too_large(path, frames, channels)
    samples = np.empty((frames, channels), np.float32)
    position = 0

    def place(length: int) -> Samples:
        return samples[position : position + length]

    for start, block in read_blocks(path, frames, place):
        position = start + len(block)
        progress(position / frames)
    samples.flags.writeable = False
    return Audio(samples, rate)


def read_span(path: Path, start: int, end: int) -> Audio:
    """Frames [start, end) of a file in memory, at its own rate."""
    with _opened(path) as file:
        rate, channels = file.samplerate, file.channels
        end = min(end, file.frames)
        _refuse_too_large(path, max(0, end - start), channels)
        file.seek(start)
        samples = file.read(max(0, end - start), dtype="float32", always_2d=True)
    if not np.isfinite(samples).all():
        raise UnusableFile(path, tr("contains invalid samples"), EXPORT_AGAIN)
    return Audio(samples, rate)


def load_source(
    facts: FileFacts,
    arena: Arena,
    rate: int,
    *,
    progress: Progress = unheard,
    started: Callable[[Source], None] | None = None,
) -> Source:
    """Decode a file into the arena at `rate`, its overview growing with it.

    `started` hears of the source before it is whole, so that it can be drawn while it is read.
    """
    frames = round(facts.frames * rate / facts.rate)
    _refuse_too_large(facts.path, frames, facts.channels)
    region = arena.allocate(frames, facts.channels)
    source = Source(facts.content, region, rate, Overview(frames))
    if started is not None:
        started(source)
    try:
        if rate == facts.rate:
            _fill(facts, source, progress)
        else:
            _fill_resampled(facts, source, progress)
    except BaseException:
        arena.free(region)
        raise
    source.finish()
    return source


def resampled(source: Source, arena: Arena, rate: int, frames: int) -> Source:
    """A recording at another rate, from its samples: for one whose file cannot be read any more."""
    samples = soxr.resample(source.region.samples, source.rate, rate, quality="HQ")[:frames]
    region = arena.allocate(frames, source.region.channels)
    region.samples[: len(samples)] = samples
    other = Source(source.content, region, rate, Overview(frames))
    other.overview.add(0, region.samples)
    other.finish()
    return other


def _fill(facts: FileFacts, source: Source, progress: Progress) -> None:
    samples = source.region.samples
    position = 0

    def place(length: int) -> Samples:
        return samples[position : position + length]

    for start, block in read_blocks(facts.path, facts.frames, place):
        source.overview.add(start, block)
        position = start + len(block)
        progress(position / facts.frames)


def _fill_resampled(facts: FileFacts, source: Source, progress: Progress) -> None:
    samples = source.region.samples
    stream = soxr.ResampleStream(facts.rate, source.rate, facts.channels, dtype="float32", quality="HQ")
    buffer = np.empty((FRAMES_AT_ONCE, facts.channels), np.float32)
    written = drawn = 0
    for start, block in read_blocks(facts.path, facts.frames, lambda length: buffer[:length]):
        is_last = start + len(block) >= facts.frames
        converted = stream.resample_chunk(block, last=is_last)[: len(samples) - written]
        samples[written : written + len(converted)] = converted
        written += len(converted)
        whole = len(samples) if is_last else written // BUCKET * BUCKET
        source.overview.add(drawn, samples[drawn:whole])
        drawn = whole
        progress((start + len(block)) / facts.frames)


def _refuse_too_large(path: Path, frames: int, channels: int) -> None:
    needed = frames * channels * 4 * 1.3
    available = _available_bytes()
    if needed > available:
        raise UnusableFile(
            path,
            tr(
                "needs {0:.1f} GB of memory; {1:.1f} GB are free",
                needed / 1000000000.0,
                available / 1000000000.0,
            ),
            tr("Close other programs, or split the file."),
        )


def _available_bytes() -> int:
    with Path("/proc/meminfo").open(encoding="ascii") as file:
        for line in file:
            if line.startswith("MemAvailable:"):
                return int(line.split()[1]) * 1024
    return 1 << 62
