"""Grooves in and out: JSON (`docs/groove.schema.json`), MIDI, the person's library, shipped ones."""

import contextlib
import inspect
import re
from collections.abc import Iterator
from importlib.resources import files
from pathlib import Path
from typing import Annotated, Any, Literal

import msgspec
import platformdirs
from msgspec import Meta, Struct

from chronotome.errors import CannotWrite, UnusableFile
from chronotome.files.midi_in import read_midi
from chronotome.files.names import plain_name, shown
from chronotome.files.places import NAME
from chronotome.files.safe_read import InvalidInput, bytes_of, converted, trusted
from chronotome.files.writing import cannot_write, private_folder, replacing_at, write_whole
from chronotome.session.grid import FASTEST, SLOWEST, Grid
from chronotome.session.groove import MOST_BARS, MOST_OFFSET, MOST_STEPS, SOFTEST, Groove, GrooveStep
from chronotome.session.limits import Name
from chronotome.session.metre import Metre
from chronotome.words import tr

MOST_BYTES = 4 << 20
TICKS = 9600
NOTE = 38
STEP_NOTE = 0.1
"""Quarter notes that a step's note is long."""
LEAST_MIDI_TEMPO = 60e6 / 0xFFFFFF
"""Slower than that no MIDI file can say; offsets in ms stay what they are."""
RANGE_DB = 36.0
"""From velocity 127 down to 1."""
REMOVED = "removed"
SUFFIX, MIDI_SUFFIXES = ".groove.json", (".mid", ".midi")


class GrooveDocument(Struct, frozen=True, forbid_unknown_fields=False):
    """What stands in a groove file. `bpm` is the tempo at which it was played, where that is known."""

    name: Name
    grid: Annotated[str, Meta(max_length=40)]
    steps: Annotated[tuple[GrooveStep, ...], Meta(max_length=MOST_STEPS)]
    bars: Annotated[int, Meta(ge=1, le=MOST_BARS)] = 1
    metre: Annotated[str, Meta(pattern=r"\A[0-9]{1,2}/[0-9]{1,2}\Z")] = "4/4"
    bpm: Annotated[float, Meta(ge=0.0, le=FASTEST)] = 0.0
    version: Literal[1] = 1


def schema() -> dict[str, Any]:
    """JSON Schema of a groove file, as the code has it."""
    made = msgspec.json.schema(GrooveDocument)
    for struct in made["$defs"].values():
        if "description" in struct:  # Python 3.13 takes the indentation out of docstrings, 3.11 does not
            struct["description"] = inspect.cleandoc(struct["description"])
    return made


def is_groove(path: Path) -> bool:
    """Whether its name says so."""
    return path.name.lower().endswith(SUFFIX) or path.suffix.lower() in {".json", *MIDI_SUFFIXES}


def read_groove(path: Path) -> Groove:
    """A groove from a JSON or a MIDI file; its id is 0.

    Raises
    ------
    UnusableFile
        If it is damaged or holds no groove.
    """
    try:
        data = bytes_of(path, MOST_BYTES)
        if path.suffix.lower() in MIDI_SUFFIXES:
            return _from_midi(data, path.stem)
        return _groove_of(trusted(data, GrooveDocument))
    except OSError as error:
        raise UnusableFile(path, tr("cannot be read: {0}", error.strerror), tr("Check the file.")) from None
    except ValueError as error:
        words = str(error) if isinstance(error, InvalidInput) else tr("contains no groove")
        raise UnusableFile(path, words, tr("Check that it is the right file.")) from None


def write_groove(path: Path, groove: Groove) -> None:
    """Write a groove as the ending says: MIDI, or JSON.

    Raises
    ------
    CannotWrite
    """
    try:
        if path.suffix.lower() in MIDI_SUFFIXES:
            with replacing_at(path) as file:
                _midi(groove).save(file=file)
        else:
            write_whole(path, groove_text(groove))
    except OSError as error:
        raise cannot_write(path, error) from None


def groove_text(groove: Groove) -> bytes:
    metre, bpm = f"{groove.metre.beats}/{groove.metre.unit}", groove.beats_per_minute
    document = GrooveDocument(groove.name, groove.grid.words, groove.steps, groove.bars, metre, bpm)
    order = ("version", "name", "grid", "bars", "metre", "bpm", "steps")
    values = msgspec.to_builtins(document)
    if not bpm:
        del values["bpm"]
    return (
        msgspec.json.format(msgspec.json.encode({n: values[n] for n in order if n in values}), indent=1)
        + b"\n"
    )


def _groove_of(document: GrooveDocument) -> Groove:
    found = re.fullmatch(r"1/(\d{1,2})(?: (\w+))?", document.grid)
    if found is None:
        raise InvalidInput(tr("has an invalid grid (“{0}”)", shown(document.grid)))
    beats, unit = (int(each) for each in document.metre.split("/"))
    metre = converted({"beats": beats, "unit": unit}, Metre)
    grid = converted({"division": int(found[1]), "feel": found[2] or "straight"}, Grid)
    steps = tuple(sorted(document.steps, key=lambda step: step.beat))
    return Groove(0, shown(document.name), grid, document.bars, metre, steps, document.bpm)


def _midi(groove: Groove) -> Any:
    """A note a step, early and late as it is; velocity tells loudness."""
    import mido  # noqa: PLC0415 - the window opens without it

    bpm = max(LEAST_MIDI_TEMPO, groove.beats_per_minute or 120.0)
    track = mido.MidiTrack(
        [
            mido.MetaMessage("track_name", name=groove.name.encode("latin-1", "replace").decode("latin-1")),
            mido.MetaMessage("set_tempo", tempo=round(60e6 / bpm)),
            mido.MetaMessage("time_signature", numerator=groove.metre.beats, denominator=groove.metre.unit),
        ]
    )
    events = []
    for step in groove.steps:
        beat = max(0.0, step.beat + step.offset_ms * bpm / 60000)
        velocity = max(1, min(127, round(127 + step.level_db * 126 / RANGE_DB)))
        tick = round(beat * TICKS)
        events.append((tick, 1, mido.Message("note_on", note=NOTE, velocity=velocity, channel=9)))
        end = tick + round(STEP_NOTE * min(1.0, groove.grid.step) * TICKS)
        events.append((end, 0, mido.Message("note_off", note=NOTE, channel=9)))
    now = 0
    for tick, _, message in sorted(events, key=lambda event: event[:2]):
        track.append(message.copy(time=tick - now))
        now = tick
    track.append(mido.MetaMessage("end_of_track", time=max(0, round(groove.length * TICKS) - now)))
    file = mido.MidiFile(ticks_per_beat=TICKS)
    file.tracks.append(track)
    return file


def _from_midi(data: bytes, name: str) -> Groove:
    """Notes at the sixteenths that they are nearest to; one to four bars, by where the last note is."""
    file = read_midi(data)
    notes = [
        (beat, note.velocity) for note, beat in zip(file.notes, file.beats(), strict=True) if note.velocity
    ]
    if not notes or len(notes) > MOST_STEPS:
        raise InvalidInput(tr("contains no notes") if not notes else tr("contains too many notes"))
    beats, unit = file.metres[0][1:] if file.metres else (4, 4)
    metre = converted({"beats": beats, "unit": unit}, Metre)
    bpm = min(FASTEST, max(SLOWEST, 60e6 / file.tempos[-1][1]))
    grid = Grid(16)
    bars = min(MOST_BARS, max(1, round(file.ticks / file.ticks_per_beat / metre.bar)))
    known = dict[int, GrooveStep]()
    for beat, velocity in notes:
        step = round(beat / grid.step)
        place = step % round(bars * metre.bar / grid.step)
        offset = (beat - step * grid.step) * 60000 / bpm
        level = max(SOFTEST, round((velocity - 127) * RANGE_DB / 126, 1))
        if place not in known or known[place].level_db < level:
            offset = max(-MOST_OFFSET, min(MOST_OFFSET, round(offset, 2)))
            known[place] = GrooveStep(place * grid.step, offset, level, 0.0, 1)
    return Groove(0, shown(name), grid, bars, metre, tuple(known[place] for place in sorted(known)), bpm)


# The person's library, and what is shipped


def library_folder() -> Path:
    return Path(platformdirs.user_data_dir(NAME)) / "grooves"


def keep_groove(groove: Groove) -> Path:
    """Keep a groove in the person's library, under its name; one of that name is replaced.

    Raises
    ------
    CannotWrite
    """
    folder = library_folder()
    path = folder / plain_name(f"{groove.name}{SUFFIX}")
    try:
        private_folder(folder)
    except OSError as error:
        raise cannot_write(folder, error) from None
    write_groove(path, groove)
    return path


def forget_groove(path: Path) -> Path:
    """Take a groove out of the person's library: where its file lies then, from where it can be put back.

    Raises
    ------
    CannotWrite
    """
    if path.parent != library_folder() or not path.name.endswith(SUFFIX):
        raise CannotWrite(path, tr("is not in the groove library"), tr("Nothing was removed."))
    folder = path.parent / REMOVED
    try:
        private_folder(folder)
        path.replace(folder / path.name)  # the last of a name that was taken away is kept
    except OSError as error:
        raise cannot_write(path, error) from None
    return folder / path.name


def kept_grooves() -> list[tuple[Path, Groove]]:
    """What can be read of the person's library, by name."""
    found = []
    with contextlib.suppress(OSError):
        for path in sorted(library_folder().iterdir()):
            if path.name.endswith(SUFFIX):
                with contextlib.suppress(UnusableFile):
                    found.append((path, read_groove(path)))
    return found


def shipped_grooves() -> Iterator[Groove]:
    """Eight of our own (`tools/make_feels.py`)."""
    folder = files("chronotome") / "assets" / "grooves"
    for place in sorted(folder.iterdir(), key=lambda each: each.name):
        if place.name.endswith(SUFFIX):
            yield _groove_of(trusted(place.read_bytes(), GrooveDocument))
