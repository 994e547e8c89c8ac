"""The tempo map of a song from a MIDI file, or from JSON as `tempo_out` writes it."""

import math
from itertools import pairwise
from pathlib import Path

import msgspec

from chronotome.errors import UnusableFile
from chronotome.files.midi_in import MidiNotes, read_midi
from chronotome.files.safe_read import bytes_of, converted
from chronotome.files.tempo_out import TempoDocument
from chronotome.session.edits.tempo import SongMap
from chronotome.session.grid import FASTEST, SLOWEST, TempoChange
from chronotome.session.limits import MOST_BEATS
from chronotome.session.metre import (
    MOST_BEATS_IN_BAR,
    MOST_METRE_CHANGES,
    UNITS,
    Metre,
    MetreChange,
    MetreMap,
)
from chronotome.words import tr

MOST_BYTES = 16 << 20
MOST_CHANGES = 50_000
KINDS = (".mid", ".midi", ".json")


def read_tempo_map(path: Path) -> SongMap:
    """Tempo and metre changes of a file.

    Raises
    ------
    UnusableFile
        Where it is none, holds none, or more than a song has.
    """
    try:
        data = bytes_of(path, MOST_BYTES)
        return _of_midi(read_midi(data)) if data[:4] == b"MThd" else _of_json(data)
    except OSError as error:
        raise UnusableFile(path, tr("cannot be read"), str(error.strerror or error)) from None
    except (ValueError, msgspec.MsgspecError):
        words = tr("Choose a MIDI file, or a JSON file exported from here.")
        raise UnusableFile(path, tr("is not a tempo map"), words) from None


def _of_midi(file: MidiNotes) -> SongMap:
    if len(file.tempos) > MOST_CHANGES or len(file.metres) > MOST_METRE_CHANGES:
        raise ValueError("too many changes")
    tempi = {tick / file.ticks_per_beat: _bpm_of(tempo) for tick, tempo in file.tempos}
    changes = tuple(
        converted({"beat": beat, "beats_per_minute": bpm}, TempoChange) for beat, bpm in sorted(tempi.items())
    )
    if not file.metres:
        return SongMap(_thinned(changes), None)
    metre = MetreMap(Metre())
    for tick, beats, unit in file.metres:
        bar = round(metre.bar_at(tick / file.ticks_per_beat))
        if (
            unit in UNITS and 1 <= beats <= MOST_BEATS_IN_BAR and bar <= MOST_BEATS
        ):  # of others nothing is known
            metre = _with(metre, bar, Metre(beats, unit))
    return SongMap(_thinned(changes), metre)


def _bpm_of(microseconds: int) -> float:
    """The roundest tempo that a MIDI file holds as so many microseconds a quarter note."""
    bpm = 60e6 / microseconds
    roundest = next((round(bpm, at) for at in range(7) if _held(round(bpm, at)) == microseconds), bpm)
    return min(FASTEST, max(SLOWEST, roundest))


def _held(bpm: float) -> int:
    return round(60e6 / bpm) if bpm > 0 else 0


def _with(metre: MetreMap, bar: int, new: Metre) -> MetreMap:
    if bar <= 0:
        return MetreMap(new)
    kept = tuple(each for each in metre.changes if each.bar < bar)
    return MetreMap(metre.first, (*kept, MetreChange(bar, new)))


def _of_json(data: bytes) -> SongMap:
    document = converted(msgspec.json.decode(data), TempoDocument)
    if not 1 <= len(document.changes) <= MOST_CHANGES or len(document.metre_changes) > MOST_METRE_CHANGES:
        raise ValueError("too many changes")
    changes = tuple(
        TempoChange(each.beat, min(FASTEST, max(SLOWEST, each.bpm)))
        for each in document.changes
        if math.isfinite(each.bpm)
    )
    if not changes or any(later.beat <= earlier.beat for earlier, later in pairwise(changes)):
        raise ValueError("tempo changes must rise")
    metres = tuple(MetreChange(each.bar - 1, each.metre) for each in document.metre_changes)
    return SongMap(changes, MetreMap(document.metre, metres), document.beat_one_seconds)


def _thinned(changes: tuple[TempoChange, ...]) -> tuple[TempoChange, ...]:
    """Without those that say the tempo again."""
    first, *rest = changes
    kept = [first]
    for each in rest:
        if each.beats_per_minute != kept[-1].beats_per_minute:
            kept.append(each)
    return tuple(kept)
