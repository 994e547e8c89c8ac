"""Patterns and tempo maps as MIDI files of format 1, 960 ticks a quarter note."""

from collections.abc import Sequence
from pathlib import Path
from typing import Any

from chronotome.errors import UnusableFile
from chronotome.files.writing import cannot_write, replacing_at
from chronotome.session.kits import FIRST_NOTE, HIGHEST_NOTE, Kit
from chronotome.session.model import Session, Take
from chronotome.session.rounds import laid_of
from chronotome.words import tr

TICKS = 960
SHORTEST = 1 / 32
"""Quarter notes of a note that says nothing of how long it sounds."""
SOFTEST_DB = 40.0
"""Below the usual loudness: as soft as a note can be."""
Event = tuple[int, int, Any]
"""Tick, order at that tick, message."""


def write_pattern_midi(path: Path, session: Session, take: Take) -> int:
    """What a pattern's clip plays as notes, chance and repeats as they are drawn; how many notes that is.

    The file begins where the clip does. Keys are notes from 36 on, loudness is velocity.

    Raises
    ------
    CannotWrite, UnusableFile
        Where it plays nothing that is a note.
    """
    import mido  # noqa: PLC0415 - the window opens without it

    if take.playing is None:
        raise UnusableFile(
            path, tr("needs a clip that plays a pattern"), tr("Choose a clip that plays a pattern.")
        )
    _, pattern, kit = session.played_by(take, take.playing)
    laid = laid_of(pattern, take.beat, take.playing.beats, session.tempo, session.rate)
    events = list[Event]()
    columns = {name: pattern.column(name)[laid.step] for name in ("slices", "loudness", "lengths", "repeats")}
    keys, spans, timebase = _keys(kit), _spans(session, kit), session.timebase
    for at, beat in enumerate((laid.beats - take.beat).tolist()):
        piece = int(columns["slices"][at])
        note = keys.get(piece)
        if note is None:
            continue
        loud = float(columns["loudness"][at])
        velocity = max(1, min(127, round(127 * (1.0 + min(0.0, loud) / SOFTEST_DB))))
        count = max(1, int(columns["repeats"][at]))
        own = float(columns["lengths"][at])
        length = own or timebase.beats_in(spans[piece], take.beat + beat)
        for number in range(count):
            start = beat + number * length / count
            end = start + max(SHORTEST / count, length / count)
            events.append((round(start * TICKS), 1, mido.Message("note_on", note=note, velocity=velocity)))
            events.append((round(end * TICKS), 0, mido.Message("note_off", note=note)))
    if not events:
        raise UnusableFile(path, tr("would contain no notes"), tr("Add steps first."))
    name = _text(pattern.name)
    whole = round(take.playing.beats * TICKS)
    _save(path, [_tempo_track(session, take.beat), (name, events, whole)])
    return len(events) // 2


def write_tempo_midi(path: Path, session: Session) -> None:
    """The song's tempo and metre from its first bar line on, its sections as markers.

    Raises
    ------
    CannotWrite
    """
    _save(path, [_tempo_track(session, 0.0)])


def _keys(kit: Kit) -> dict[int, int]:
    notes = ((each.id, each.key + FIRST_NOTE) for each in kit.slices)
    return {piece: note for piece, note in notes if note <= HIGHEST_NOTE}


def _spans(session: Session, kit: Kit) -> dict[int, float]:
    """For how many seconds each slice sounds by itself."""
    rates = {each.content: each.rate for each in session.recordings}
    return {each.id: (each.end - each.start) / rates[each.recording] for each in kit.slices}


def _tempo_track(session: Session, first: float) -> tuple[str, list[Event], int]:
    """Tempo, metre and sections, in ticks from a beat of the song on."""
    import mido  # noqa: PLC0415 - the window opens without it

    events = list[Event]()
    starts = session.metre.stretches[1].tolist()
    for at, metre in enumerate(session.metre.metres):
        tick = 0 if at == 0 else max(0, round((starts[at] - first) * TICKS))
        events = [each for each in events if each[0] != tick]
        events.append(
            (tick, 0, mido.MetaMessage("time_signature", numerator=metre.beats, denominator=metre.unit))
        )
    for at, change in enumerate(session.tempo.changes):
        tick = 0 if at == 0 else max(0, round((change.beat - first) * TICKS))
        events = [each for each in events if not (each[0] == tick and each[2].type == "set_tempo")]
        events.append((tick, 1, mido.MetaMessage("set_tempo", tempo=round(60e6 / change.beats_per_minute))))
    for section in session.sections:
        if section.end > first:
            tick = max(0, round((section.start - first) * TICKS))
            events.append((tick, 2, mido.MetaMessage("marker", text=_text(section.name))))
    return _text(session.name), events, 0


def _save(path: Path, tracks: Sequence[tuple[str, list[Event], int]]) -> None:
    import mido  # noqa: PLC0415 - the window opens without it

    file = mido.MidiFile(type=1, ticks_per_beat=TICKS)
    for name, events, length in tracks:
        track, now = mido.MidiTrack([mido.MetaMessage("track_name", name=name)]), 0
        for tick, _, message in sorted(events, key=lambda event: event[:2]):
            track.append(message.copy(time=tick - now))
            now = tick
        track.append(mido.MetaMessage("end_of_track", time=max(0, length - now)))
        file.tracks.append(track)
    try:
        with replacing_at(path) as new:
            file.save(file=new)
    except OSError as error:
        raise cannot_write(path, error) from None


def _text(words: str) -> str:
    """As the format holds it: Latin-1."""
    return words.encode("latin-1", "replace").decode("latin-1")
