"""What several commands share."""

import json
import re
import sys
from pathlib import Path
from typing import TYPE_CHECKING, Any

from chronotome.dsp.audio import Audio, is_silent
from chronotome.dsp.bands import Instrument
from chronotome.errors import UnusableFile
from chronotome.files.audio_file import facts_of, read_audio
from chronotome.files.audio_out import ENCODINGS, Encoding
from chronotome.files.headless import SILENT
from chronotome.files.writing import cannot_write, write_whole
from chronotome.progress import Progress, part_of
from chronotome.words import UNSEEN

if TYPE_CHECKING:
    from chronotome.dsp.onsets.detection import DetectedOnsets


def put(document: dict[str, Any]) -> None:
    """As JSON; signs that a terminal would obey are written as numbers."""
    is_plain = not (sys.stdout.encoding or "").lower().startswith("utf")
    words = json.dumps(document, ensure_ascii=is_plain)
    sys.stdout.write(re.sub(f"[{UNSEEN}]", lambda found: f"\\u{ord(found[0]):04x}", words) + "\n")


def heard(
    path: Path, progress: Progress, material: Instrument | None = None
) -> "tuple[Audio, DetectedOnsets]":
    from chronotome.dsp.onsets.detection import detect_onsets  # noqa: PLC0415 - SciPy takes longer than the window to open

    facts_of(path, part_of(progress, 0.0, 0.05))
    audio = read_audio(path, part_of(progress, 0.05, 0.2))
    if is_silent(audio.samples):
        raise UnusableFile(path, *SILENT)
    return audio, detect_onsets(audio, material=material, progress=part_of(progress, 0.2, 1.0))


def material_of(words: str) -> Instrument | None:
    """None for `auto`, and for what says nothing of how attacks are: as it is heard."""
    return Instrument(words) if words in set(Instrument) else None


def encoding_of(path: Path, name: str | None) -> Encoding:
    """As named, or as the ending says: 24 bit."""
    if name is not None:
        return ENCODINGS[name]
    usual = {".wav": "wav24", ".flac": "flac24", ".ogg": "ogg", ".opus": "opus", ".mp3": "mp3"}
    if path.suffix.lower() not in usual:
        words = "Use .wav, .flac, .ogg, .opus or .mp3."
        raise UnusableFile(path, "has an ending that cannot be written", words)
    return ENCODINGS[usual[path.suffix.lower()]]


def write_json(path: Path, document: dict[str, Any]) -> None:
    try:
        write_whole(path, json.dumps(document).encode())
    except OSError as error:
        raise cannot_write(path, error) from None
