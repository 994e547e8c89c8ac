"""Marks in and out: tab-separated labels, CSV, cue markers of a WAV file, notes of a MIDI file."""

import csv
import io
import struct
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from pathlib import Path
from typing import TYPE_CHECKING

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.bands import Band
from chronotome.errors import UnusableFile
from chronotome.files import riff
from chronotome.files.audio_file import read_audio
from chronotome.files.audio_out import wav_like, write_blocks
from chronotome.files.jams import read_jams, write_jams
from chronotome.files.mark import Mark
from chronotome.files.midi_in import read_midi
from chronotome.files.names import shown
from chronotome.files.safe_read import InvalidInput, bytes_of, opened_file
from chronotome.files.writing import cannot_write, refuse_sources, replacing_at, write_whole
from chronotome.progress import Progress, unheard
from chronotome.session.limits import MOST_SECONDS
from chronotome.session.model import Recording
from chronotome.words import tr

if TYPE_CHECKING:
    from mido import MidiFile

TICKS = 19200
TEMPO = 500_000
"""Microseconds per quarter note in a MIDI file of marks: it keeps seconds, whatever the session's tempo."""
NOTE_OF = {Band.LOW: 36, Band.MID: 38, Band.HIGH: 42}
BAND_OF = {note: band for band, note in NOTE_OF.items()}
NOTE_SECONDS = 0.05
MOST_BYTES = 64 << 20
MOST_MARKS = 100_000
"""Of one file."""
LOOKED_AFTER = 5_000
"""Marks between two looks whether they are still wanted."""
FIELDS = ("frame", "seconds", "strength", "band", "locked")


def marks_of(recording: Recording, counts: NDArray[np.bool_]) -> list[Mark]:
    """The onsets that count, as marks."""
    onsets = recording.onsets
    return [
        Mark(
            onsets.frames[place] / recording.rate,
            onsets.strengths[place],
            Band(onsets.bands[place]),
            is_locked=bool(onsets.lock_array[place]),
        )
        for place in np.flatnonzero(counts).tolist()
    ]


def write_marks(
    path: Path, marks: Sequence[Mark], recording: Path, rate: int, suffix: str | None = None
) -> None:
    """Write marks as the ending says, or as `suffix` does; a `.wav` is a copy of the recording with cues.

    Raises
    ------
    UnusableFile
        For another ending, or where the recording cannot be read.
    CannotWrite
        Where `path` cannot be written.
    """
    suffix = suffix or path.suffix.lower()
    refuse_sources(path, [recording])
    if suffix not in SUFFIXES:
        raise UnusableFile(
            path,
            tr("has a file extension that cannot be written for onsets"),
            tr("Use {0}.", ", ".join(SUFFIXES)),
        )
    try:
        FORMAT_OF[suffix].write(path, marks, recording, rate)
    except OSError as error:
        raise cannot_write(path, error) from error


def read_marks(path: Path, rate: int, progress: Progress = unheard) -> list[Mark]:
    """Marks from a file, in order of time; `rate` is that of the recording they are for.

    Raises
    ------
    UnusableFile
        If it is damaged or holds no marks.
    """
    if path.suffix.lower() not in SUFFIXES:
        raise UnusableFile(
            path,
            tr("has a file extension that cannot be imported as onsets"),
            tr("Use {0}.", ", ".join(SUFFIXES)),
        )
    try:
        marks = list(_bounded(FORMAT_OF[path.suffix.lower()].read(path, rate, progress), progress))
    except OSError as error:
        raise UnusableFile(path, tr("cannot be read: {0}", error.strerror), tr("Check the file.")) from None
    except InvalidInput as error:
        raise UnusableFile(path, str(error), tr("Check that it is the right file.")) from None
    except _TooMany:
        words = tr("has more than {0:,} onsets", MOST_MARKS)
        raise UnusableFile(path, words, tr("Import onsets of a shorter span.")) from None
    except (ValueError, KeyError, ArithmeticError, TypeError, struct.error, csv.Error):
        raise UnusableFile(
            path, tr("is damaged or contains no onsets"), tr("Check that it is the right file.")
        ) from None
    marks = [mark for mark in marks if mark.seconds >= 0]
    if not marks:
        raise UnusableFile(path, tr("contains no onsets"), tr("Check that it is the right file."))
    return sorted(marks, key=lambda mark: mark.seconds)


class _TooMany(Exception):  # noqa: N818 - reads as what happened
    pass


def _bounded(marks: Iterator[Mark], progress: Progress) -> Iterator[Mark]:
    """Marks that are numbers, of a recording that may be, and not without end; else ValueError."""
    for number, mark in enumerate(marks):
        if number >= MOST_MARKS:
            raise _TooMany
        if not abs(mark.seconds) <= MOST_SECONDS or not 0 <= mark.strength <= 100:
            raise ValueError("a mark out of bounds")
        if number % LOOKED_AFTER == 0:
            progress(number / MOST_MARKS)
        yield replace(mark, name=shown(mark.name))


def text_of(path: Path) -> str:
    return bytes_of(path, MOST_BYTES).decode("utf-8-sig")


def labels_text(marks: Sequence[Mark]) -> str:
    """Start, end and name in columns, in seconds, as audio editors read them."""
    rows = (
        f"{mark.seconds:.6f}\t{mark.seconds:.6f}\t"
        f"{mark.name or f'{mark.band.name.lower()} {mark.strength:.0f}'}\n"
        for mark in marks
    )
    return "".join(rows)


def _write_labels(path: Path, marks: Sequence[Mark], _recording: Path, _rate: int) -> None:
    write_whole(path, labels_text(marks).encode())


def _from_labels(path: Path, _rate: int, _progress: Progress) -> Iterator[Mark]:
    for line in text_of(path).splitlines():
        if not line.strip() or line.startswith("\\"):  # a line of frequencies belongs to the label before it
            continue
        cells = line.split("\t")
        yield Mark(float(cells[0].replace(",", ".")), name=cells[-1] if len(cells) > 2 else "")


def csv_text(marks: Sequence[Mark], rate: int) -> str:
    """A header and one row per mark."""
    text = io.StringIO()
    writer = csv.writer(text, lineterminator="\n")
    writer.writerow(FIELDS)
    for mark in marks:
        frame = round(mark.seconds * rate)
        row = (
            frame,
            f"{mark.seconds:.9f}",
            f"{mark.strength:.2f}",
            mark.band.name.lower(),
            int(mark.is_locked),
        )
        writer.writerow(row)
    return text.getvalue()


def _write_csv(path: Path, marks: Sequence[Mark], _recording: Path, rate: int) -> None:
    write_whole(path, csv_text(marks, rate).encode())


def _from_csv(path: Path, rate: int, _progress: Progress) -> Iterator[Mark]:
    for row in csv.DictReader(io.StringIO(text_of(path))):
        seconds = float(row["seconds"]) if row.get("seconds") else int(row["frame"]) / rate
        band = Band[(row.get("band") or "mid").upper()]
        yield Mark(seconds, float(row.get("strength") or 100.0), band, is_locked=row.get("locked") == "1")


def _midi(marks: Sequence[Mark]) -> "MidiFile":
    """Notes: the pitch tells the band, the velocity the strength."""
    import mido  # noqa: PLC0415 - the window opens without it

    track = mido.MidiTrack([mido.MetaMessage("set_tempo", tempo=TEMPO)])
    events = []
    for mark in marks:
        note, velocity = NOTE_OF[mark.band], max(1, min(127, round(mark.strength * 1.27)))
        start = round(mido.second2tick(mark.seconds, TICKS, TEMPO))
        end = start + max(1, round(mido.second2tick(NOTE_SECONDS, TICKS, TEMPO)))
        events.append((start, 1, mido.Message("note_on", note=note, velocity=velocity, channel=9)))
        events.append((end, 0, mido.Message("note_off", note=note, channel=9)))
    now = 0
    for tick, _, message in sorted(events, key=lambda event: event[:2]):
        track.append(message.copy(time=tick - now))
        now = tick
    file = mido.MidiFile(ticks_per_beat=TICKS)
    file.tracks.append(track)
    return file


def _write_midi(path: Path, marks: Sequence[Mark], _recording: Path, _rate: int) -> None:
    with replacing_at(path) as file:
        _midi(marks).save(file=file)


def _from_midi(path: Path, _rate: int, progress: Progress) -> Iterator[Mark]:
    read = read_midi(bytes_of(path, MOST_BYTES), progress)
    for note, seconds in zip(read.notes, read.seconds(), strict=True):
        if note.velocity:
            yield Mark(seconds, note.velocity / 1.27, BAND_OF.get(note.key, Band.MID))


def _write_cues(path: Path, marks: Sequence[Mark], recording: Path, rate: int) -> None:
    """A copy of the recording's samples, as they are, with markers behind them."""
    encoding, audio = wav_like(recording), read_audio(recording)
    cues = [(round(mark.seconds * rate), mark.name) for mark in marks]
    write_blocks(
        path,
        iter([audio.samples]),
        rate=audio.rate,
        channels=audio.channels,
        frames=audio.frames,
        encoding=encoding,
        behind=lambda file: riff.append(file, riff.cue_chunks(cues)),
    )


def _from_cues(path: Path, _rate: int, _progress: Progress) -> Iterator[Mark]:
    with opened_file(path) as file:
        for frame, rate, name in riff.cues(file):
            yield Mark(frame / rate, name=name)


@dataclass(frozen=True)
class MarkFormat:
    """One format. Another one is another row, and a module with its two functions."""

    words: str
    suffixes: tuple[str, ...]
    write: Callable[[Path, Sequence[Mark], Path, int], None]
    """(path, marks, their recording, its rate); raises OSError where it cannot be written."""
    read: Callable[[Path, int, Progress], Iterator[Mark]]
    """(path, rate of the recording, progress); raises ValueError and its like where it is damaged."""


FORMATS = (
    MarkFormat(tr("Labels"), (".txt", ".tsv"), _write_labels, _from_labels),
    MarkFormat(tr("Table"), (".csv",), _write_csv, _from_csv),
    MarkFormat(tr("WAV with cue markers"), (".wav",), _write_cues, _from_cues),
    MarkFormat(tr("MIDI notes"), (".mid", ".midi"), _write_midi, _from_midi),
    MarkFormat(tr("JAMS annotations"), (".jams",), write_jams, read_jams),
)
FORMAT_OF = {suffix: each for each in FORMATS for suffix in each.suffixes}
SUFFIXES = tuple(FORMAT_OF)
