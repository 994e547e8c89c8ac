"""A span of a recording, written as a recording of its own."""

from pathlib import Path

import numpy as np

from chronotome.errors import UnusableFile
from chronotome.files.audio_file import read_span
from chronotome.files.audio_out import wav_like, write_blocks
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress, unheard
from chronotome.words import tr

AT_ONCE = 1 << 16


def write_span(
    source: Path, out: Path, span: tuple[int, int], *, fade: int = 0, progress: Progress = unheard
) -> Path:
    """Write frames [span[0], span[1]) of a file to another one, its ends faded over `fade` frames.

    The samples between the fades are those of the source, bit for bit.

    Raises
    ------
    UnusableFile
        Where the span is empty, or the file is the source itself.
    CannotWrite
        With the reason and the way out.
    """
    start, end = span
    refuse_sources(out, [source])
    if end - start < 2:
        raise UnusableFile(source, tr("has no audio in this span"), tr("Choose a longer loop."))
    audio = read_span(source, start, end)
    samples = audio.samples.copy()
    fade = min(fade, len(samples) // 2)
    if fade > 0:
        rise = (0.5 - 0.5 * np.cos(np.pi * (np.arange(fade) + 0.5) / fade)).astype(np.float32)[:, None]
        samples[:fade] *= rise
        samples[-fade:] *= rise[::-1]
    blocks = (samples[at : at + AT_ONCE] for at in range(0, len(samples), AT_ONCE))
    write_blocks(
        out,
        blocks,
        rate=audio.rate,
        channels=samples.shape[1],
        frames=len(samples),
        encoding=wav_like(source),
        progress=progress,
    )
    return out
