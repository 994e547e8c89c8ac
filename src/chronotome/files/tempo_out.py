"""The song's tempo map and sections as JSON, for programs that read no MIDI."""

from pathlib import Path
from typing import Annotated, Any, Literal

import msgspec
from msgspec import Meta, Struct

from chronotome.files.writing import cannot_write, write_whole
from chronotome.session.limits import MOST_BEATS, Beat, Moment, Name
from chronotome.session.metre import Metre
from chronotome.session.model import Session


class Change(Struct, frozen=True):
    """From a beat on, counted in quarter notes from beat one, so many of them a minute."""

    beat: Beat
    seconds: Moment
    bpm: float


class BarChange(Struct, frozen=True):
    """From a bar on, counted from 1, another metre."""

    bar: Annotated[int, Meta(ge=2, le=MOST_BEATS)]
    beat: Beat
    metre: Metre


class SectionRow(Struct, frozen=True):
    """A section; seconds are counted from the start of the session's sound."""

    name: Name
    start_beat: Beat
    end_beat: Beat
    start_seconds: Moment
    end_seconds: Moment


class TempoDocument(Struct, frozen=True):
    """The tempo map of a session."""

    beat_one_seconds: Moment
    metre: Metre
    changes: tuple[Change, ...]
    sections: tuple[SectionRow, ...]
    metre_changes: tuple[BarChange, ...] = ()
    version: Literal[1] = 1


def schema() -> dict[str, Any]:
    """JSON Schema of the document, as the code has it."""
    return msgspec.json.schema(TempoDocument)


def tempo_document(session: Session) -> TempoDocument:
    tempo = session.tempo
    changes = tuple(
        Change(each.beat, tempo.seconds_of(each.beat), each.beats_per_minute) for each in tempo.changes
    )
    parts = tuple(
        SectionRow(each.name, each.start, each.end, tempo.seconds_of(each.start), tempo.seconds_of(each.end))
        for each in session.sections
    )
    metres = tuple(
        BarChange(each.bar + 1, session.metre.beat_of(each.bar), each.metre) for each in session.metre_changes
    )
    return TempoDocument(tempo.seconds_of(0.0), session.first_metre, changes, parts, metres)


def write_tempo_json(path: Path, session: Session) -> None:
    """Write it whole or not at all.

    Raises
    ------
    CannotWrite
    """
    try:
        write_whole(path, msgspec.json.format(msgspec.json.encode(tempo_document(session)), indent=1) + b"\n")
    except OSError as error:
        raise cannot_write(path, error) from None
