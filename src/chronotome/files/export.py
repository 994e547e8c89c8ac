"""What is heard, written to a file."""

from collections.abc import Iterable, Iterator
from pathlib import Path

from chronotome.dsp.audio import Samples
from chronotome.files.audio_out import Encoding, Written, write_blocks
from chronotome.files.writing import refuse_sources
from chronotome.progress import Progress, unheard
from chronotome.render.mix import Side
from chronotome.render.renderer import OfflineMix

FRAMES_AT_ONCE = 1 << 16


def export_mix(
    mix: OfflineMix,
    path: Path,
    *,
    rate: int,
    encoding: Encoding,
    start: int = 0,
    end: int | None = None,
    side: Side = Side.EDITED,
    sources: Iterable[Path] = (),
    progress: Progress = unheard,
) -> Written:
    """Write frames [start, end) of a mix, the very samples that the player plays; never onto a source.

    Raises
    ------
    CannotWrite, UnusableFile
    """
    refuse_sources(path, sources)
    end = mix.frames if end is None else end

    def blocks() -> Iterator[Samples]:
        for at in range(start, end, FRAMES_AT_ONCE):
            yield mix.read(at, min(FRAMES_AT_ONCE, end - at), side)

    return write_blocks(
        path,
        blocks(),
        rate=rate,
        channels=mix.channels,
        frames=end - start,
        encoding=encoding,
        progress=progress,
    )
