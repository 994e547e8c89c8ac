"""Notes of a MIDI file, for the keys of a kit: a script of what is played."""

from pathlib import Path
from typing import NamedTuple

from chronotome.errors import UnusableFile
from chronotome.files.midi_in import read_midi
from chronotome.files.safe_read import InvalidInput, bytes_of
from chronotome.progress import Progress, unheard
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


def read_notes(path: Path, progress: Progress = unheard) -> list[KeyNote]:
    """What is done to keys, in the order of time.

    Raises
    ------
    UnusableFile
        If it is damaged, or holds no notes or too many.
    """
    try:
        notes = _notes(bytes_of(path, MOST_BYTES), progress)
    except OSError as error:
        raise UnusableFile(path, tr("cannot be read: {0}", error.strerror), tr("Check the file.")) from None
    except ValueError as error:
        words = str(error) if isinstance(error, InvalidInput) else tr("contains no readable notes")
        raise UnusableFile(path, words, tr("Check that it is a MIDI file.")) from None
    if not notes:
        raise UnusableFile(path, tr("contains no notes"), tr("Notes from {0} up play the keys.", FIRST_NOTE))
    if len(notes) > MOST_NOTES:
        words = tr("holds {0} notes", sum(note.is_start for note in notes))
        raise UnusableFile(path, words, tr("At most {0} can be played. Shorten the file.", MOST_NOTES // 2))
    return notes


def _notes(data: bytes, progress: Progress) -> list[KeyNote]:
    read = read_midi(data, progress)
    return [
        KeyNote(beat, note.key - FIRST_NOTE, note.velocity / 127 if note.velocity else 1.0, note.velocity > 0)
        for note, beat in zip(read.notes, read.beats(), strict=True)
        if beat <= MOST_BEATS and note.key >= FIRST_NOTE
    ]
