"""What a sound file's own tags say of its tempo."""

from pathlib import Path

from chronotome.session.grid import FASTEST, SLOWEST


def tempo_tag(path: Path) -> float | None:
    """Beats per minute in the tags (ID3, Vorbis comment, RIFF INFO, MP4); None where none can be read."""
    from tinytag import TinyTag  # noqa: PLC0415 - only when a file is analysed

    try:
        said = TinyTag.get(path).other.get("bpm") or []
        tempo = float(said[0].replace(",", ".")) if said else 0.0
    except Exception:  # noqa: BLE001 - tags that break their reader are no reason to refuse the sound
        return None
    return tempo if SLOWEST <= tempo <= FASTEST else None
