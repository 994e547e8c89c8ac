"""What a sound file's own tags say."""

from pathlib import Path
from typing import Any

from chronotome.files.safe_read import Bounded, opened_file
from chronotome.session.grid import FASTEST, SLOWEST

MOST_TEXTS, LONGEST = 5_000, 1_000
MOST_READS, MOST_AT_ONCE = 100_000, 16 << 20
"""Of a file's tags; a picture in them may be as large as that."""


def texts_of(path: Path) -> dict[str, str]:
    """Fields beyond the usual ones (ID3, Vorbis comment, RIFF INFO, MP4) by their names in small letters."""
    from tinytag import TinyTag  # noqa: PLC0415 - only when a file is opened or analysed

    try:
        with opened_file(path) as file:
            bounded: Any = Bounded(file, reads=MOST_READS, at_once=MOST_AT_ONCE)
            told = TinyTag.get(str(path), file_obj=bounded).other
        return {
            str(key).lower(): str(said[0])[:LONGEST] for key, said in list(told.items())[:MOST_TEXTS] if said
        }
    except Exception:  # noqa: BLE001 - tags that break their reader are no reason to refuse the sound
        return {}


def tempo_tag(path: Path) -> float | None:
    """Beats per minute in the tags; None where none can be read."""
    try:
        tempo = float(texts_of(path).get("bpm", "").replace(",", "."))
    except ValueError:
        return None
    return tempo if SLOWEST <= tempo <= FASTEST else None
