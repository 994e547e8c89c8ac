"""Sound files out: whole or not at all."""

import contextlib
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from pathlib import Path
from typing import Any, BinaryIO

import numpy as np
import soundfile
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.files.audio_file import kind_of
from chronotome.files.writing import NewFile, cannot_write, replacing_at
from chronotome.progress import Progress, unheard


@dataclass(frozen=True)
class Encoding:
    """A kind of file to write: its words, ending, and soundfile's names for it."""

    words: str
    suffix: str
    container: str
    subtype: str
    quality: float | None = None
    """0 to 1, of what leaves out what is hardly heard."""
    rates: tuple[int, ...] = ()
    """Frames a second that it holds; none: any."""

    @property
    def is_integer(self) -> bool:
        return self.subtype.startswith("PCM")

    @property
    def steps(self) -> float:
        """From silence to full scale, of whole numbers."""
        return {"PCM_16": 2.0**15, "PCM_24": 2.0**23}[self.subtype]

    @property
    def is_bounded(self) -> bool:
        """Whether it holds nothing over full scale."""
        return self.subtype != "FLOAT"


ENCODINGS = {
    "wav16": Encoding("WAV 16 bit", ".wav", "WAV", "PCM_16"),
    "wav24": Encoding("WAV 24 bit", ".wav", "WAV", "PCM_24"),
    "wavfloat": Encoding("WAV float", ".wav", "WAV", "FLOAT"),
    "flac16": Encoding("FLAC 16 bit", ".flac", "FLAC", "PCM_16"),
    "flac24": Encoding("FLAC 24 bit", ".flac", "FLAC", "PCM_24"),
    "ogg": Encoding("OGG Vorbis", ".ogg", "OGG", "VORBIS", 0.8),
    "opus": Encoding("Opus", ".opus", "OGG", "OPUS", 0.8, (8000, 12000, 16000, 24000, 48000)),
    "mp3": Encoding("MP3", ".mp3", "MP3", "MPEG_LAYER_III", 0.9, (16000, 22050, 24000, 32000, 44100, 48000)),
}


def wav_like(path: Path) -> Encoding:
    """The kind of WAV that holds a file's samples as they are; float where no whole numbers do."""
    kinds = {"PCM_16": "wav16", "PCM_24": "wav24"}
    return ENCODINGS[kinds.get(kind_of(path)[1], "wavfloat")]


def encoding_like(path: Path) -> Encoding:
    """A file's own kind and depth; where that is not written here, the WAV that holds its samples."""
    container, subtype = kind_of(path)
    return next(
        (each for each in ENCODINGS.values() if (each.container, each.subtype) == (container, subtype)),
        wav_like(path),
    )


@dataclass(frozen=True)
class WrittenFile:
    """What was written: frames, the loudest sample, and how many samples had to be held at full scale."""

    path: Path
    frames: int
    peak: float
    clipped: int


def write_blocks(
    path: Path,
    blocks: Iterator[Samples],
    *,
    rate: int,
    channels: int,
    frames: int,
    encoding: Encoding,
    progress: Progress = unheard,
    behind: Callable[[BinaryIO], None] | None = None,
) -> WrittenFile:
    """Write a file whole or not at all; `behind` may add to it once all samples are in it.

    Raises
    ------
    CannotWrite
        With the reason and the way out; what was there before stays.
    """
    done, loudest, clipped = 0, 0.0, 0
    container = encoding.container
    if container == "WAV" and frames * channels * 4 > 0xFFFF0000:
        container = "RF64"
    try:
        with replacing_at(path) as new:
            with (
                _told_by(new),
                soundfile.SoundFile(
                    new,
                    "w",
                    samplerate=rate,
                    channels=channels,
                    format=container,
                    subtype=encoding.subtype,
                    compression_level=None if encoding.quality is None else 1.0 - encoding.quality,
                ) as file,
            ):
                for block in blocks:
                    high = float(np.abs(block).max(initial=0.0))
                    loudest = max(loudest, high)
                    if encoding.is_bounded and high > 1.0:
                        clipped += int((np.abs(block) > 1.0).sum())
                        block = np.clip(block, -1.0, 1.0)  # noqa: PLW2901 - the block as it is written
                    if encoding.is_integer:
                        block = rounded(block, encoding.steps)  # noqa: PLW2901 - the same
                    file.write(block)
                    new.check()
                    done += len(block)
                    progress(done / max(1, frames))
            if behind is not None:
                behind(new)
    except (OSError, soundfile.LibsndfileError) as error:
        raise cannot_write(path, error) from None
    return WrittenFile(path, done, loudest, clipped)


def rounded(samples: NDArray[np.floating[Any]], steps: float) -> Samples:
    """To the nearest of so many steps up to full scale: libsndfile goes down to the one below."""
    scaled = np.rint(samples.astype(np.float64) * steps)
    return np.asarray(np.clip(scaled, -steps, steps - 1) / steps, np.float32)


@contextlib.contextmanager
def _told_by(new: NewFile) -> Iterator[None]:
    """What the disk said, where the library only says that it wrote too little."""
    try:
        yield
    except (soundfile.LibsndfileError, AssertionError):
        new.check()
        raise
