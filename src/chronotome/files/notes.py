"""Notes of a MIDI file, for the keys of a kit: a script of what is played."""

import io
from pathlib import Path
from typing import NamedTuple

from chronotome.errors import UnusableFile
from chronotome.files.door import Untrusted, bytes_of
from chronotome.session.kits import FIRST_NOTE
from chronotome.words import tr

MOST_BYTES = 4 << 20
MOST_BEATS = 4096.0
MOST_NOTES = 1000


class KeyNote(NamedTuple):
    """A key that is pressed or let go of, so many quarter notes after the file's start."""

    beat: float
    key: int
    velocity: float
    is_start: bool


def read_notes(path: Path) -> list[KeyNote]:
    """What is done to keys, in the order of time.

    Raises
    ------
    UnusableFile
        If it is damaged, or holds no notes or too many.
    """
    try:
        notes = _notes(bytes_of(path, MOST_BYTES))
    except OSError as error:
        raise UnusableFile(path, tr("cannot be read ({0})", error.strerror), tr("Check the file.")) from None
    except (Untrusted, ValueError, EOFError, KeyError, IndexError, TypeError) as error:
        words = str(error) if isinstance(error, Untrusted) else tr("holds no notes that can be read")
        raise UnusableFile(path, words, tr("Check that it is a MIDI file.")) from None
    if not notes:
        raise UnusableFile(path, tr("holds no notes"), tr("Notes from {0} on play the keys.", FIRST_NOTE))
    if len(notes) > MOST_NOTES:
        words = f"holds {len(notes) // 2} notes"
        raise UnusableFile(path, words, tr("{0} can be played at once: cut it.", MOST_NOTES // 2))
    return notes


def _notes(data: bytes) -> list[KeyNote]:
    import mido  # noqa: PLC0415 - the window opens without it

    file, now, found = mido.MidiFile(file=io.BytesIO(data)), 0, list[KeyNote]()
    for message in mido.merge_tracks(file.tracks):
        now += message.time
        beat = now / file.ticks_per_beat
        if message.type not in {"note_on", "note_off"} or beat > MOST_BEATS:
            continue
        is_start = message.type == "note_on" and message.velocity > 0
        key = message.note - FIRST_NOTE
        if key >= 0:
            found.append(KeyNote(beat, key, message.velocity / 127 if is_start else 1.0, is_start))
    return found
