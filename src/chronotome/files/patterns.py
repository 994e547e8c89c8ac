"""Patterns with their kits in and out: a folder with one JSON (`docs/pattern.schema.json`) and its slices."""

import inspect
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from pathlib import Path
from typing import Annotated, Any, Literal, NamedTuple

import msgspec
import numpy as np
from msgspec import Meta, Struct

from chronotome.dsp.audio import Audio, Samples
from chronotome.dsp.bands import Band, Instrument
from chronotome.errors import UnusableFile
from chronotome.files.audio_file import facts_of, read_span
from chronotome.files.audio_out import ENCODINGS, Encoding, write_blocks
from chronotome.files.names import plain_name, shown
from chronotome.files.safe_read import InvalidInput, bytes_of, converted, first_line, is_there, trusted
from chronotome.files.writing import cannot_write, new_folder, write_whole
from chronotome.progress import Progress, unheard
from chronotome.session.grid import FASTEST
from chronotome.session.kits import MOST_KIT, Kit, KitSlice
from chronotome.session.limits import ContentHash, FileName, FrameNumber, Id, Name, Rate
from chronotome.session.model import Recording, Session, replace
from chronotome.session.onsets import OnsetDecision, Onsets
from chronotome.session.patterns import Pattern, PatternId
from chronotome.session.slices import Semitones
from chronotome.words import tr

DOCUMENT, SPLIT = "pattern.json", "slices.json"
MOST_BYTES = 16 << 20
LEAD_SECONDS, TAIL_SECONDS = 0.004, 0.004
"""Of what is before and after a slice, so that it comes in and goes out as it did."""
FLAC_CHANNELS, FLAC_RATE = 8, 192_000
AS_RECORDED = ("id", "recording", "start", "end")
"""Of a slice of a kit: what a file of its own tells otherwise."""


class SliceDocument(Struct, frozen=True, omit_defaults=True):
    """One slice: frames [lead, end) of its file; what is before and after is not heard unless it leads over.

    `slice` has all that shapes it; its own recording, start and end are those of the file.
    """

    number: Id
    file: FileName
    start_frame: FrameNumber
    end_frame: FrameNumber
    material: Instrument
    slice: dict[str, Any]


class KitDocument(Struct, frozen=True):
    name: Name
    semitones: Semitones = 0.0
    by_tape: bool = True
    fits_song: bool = False


class PatternDocument(Struct, frozen=True):
    """What stands in `pattern.json`. `bpm` is the tempo of the song in which it was saved."""

    name: Name
    bpm: Annotated[float, Meta(ge=0.0, le=FASTEST)]
    kit: KitDocument
    slices: Annotated[tuple[SliceDocument, ...], Meta(min_length=1, max_length=MOST_KIT)]
    pattern: Pattern
    """Its steps, column by column; places and lengths are quarter notes."""
    version: Literal[1] = 1


class _SplitSlice(Struct, frozen=True):
    file: FileName
    start_frame: FrameNumber
    end_frame: FrameNumber
    band: str | None = None


class _SplitDocument(Struct, frozen=True):
    """What `split` wrote."""

    rate: Rate
    slices: Annotated[tuple[_SplitSlice, ...], Meta(min_length=1, max_length=MOST_KIT)]
    version: Literal[1] = 1


@dataclass(frozen=True)
class Saved:
    """A pattern as it was read: its kit's slices are recordings of their own, by content at a path."""

    pattern: Pattern
    kit: Kit
    recordings: tuple[Recording, ...]
    places: Mapping[ContentHash, Path]
    tempo: float
    """At which it was saved; 0: not known."""


def schema() -> dict[str, Any]:
    """JSON Schema of a pattern's document, as the code has it."""
    made = msgspec.json.schema(PatternDocument)
    for struct in made["$defs"].values():
        if "description" in struct:  # Python 3.13 takes the indentation out of docstrings, 3.11 does not
            struct["description"] = inspect.cleandoc(struct["description"])
    return made


def is_pattern(folder: Path) -> bool:
    """Whether a folder holds a pattern, or the slices of a recording."""
    return is_there(folder / DOCUMENT) or is_there(folder / SPLIT)


class PatternFacts(NamedTuple):
    """What is told of a saved pattern where it is looked for."""

    tempo: float
    beats: float
    steps: int
    slices: int


def pattern_facts(folder: Path) -> PatternFacts:
    """Of a saved pattern, without reading its slices.

    Raises
    ------
    UnusableFile
        If it cannot be read.
    """
    try:
        document = trusted(bytes_of(folder / DOCUMENT, MOST_BYTES), PatternDocument)
    except (OSError, InvalidInput, ValueError) as error:
        raise UnusableFile(
            folder / DOCUMENT, tr("cannot be read: {0}", error), tr("Save the pattern again.")
        ) from None
    made = document.pattern
    return PatternFacts(document.bpm, made.beats, len(made), len(document.slices))


# Out


def write_pattern(
    folder: Path,
    session: Session,
    number: PatternId,
    places: Mapping[ContentHash, Path],
    progress: Progress = unheard,
) -> None:
    """Write a pattern and its kit to a new or an empty folder: nothing of either is lost.

    Raises
    ------
    CannotWrite, UnusableFile
    """
    pattern = session.pattern(number)
    kit = session.kit(pattern.kit)
    with new_folder(folder):
        reaches = _reaches(session, pattern, kit)
        follows = _follows(kit)
        stem, digits, documents = Path(plain_name(kit.name)).stem, max(2, len(str(len(kit.slices)))), []
        for at, each in enumerate(kit.slices):
            recording, path = session.recording_with(each.recording), places.get(each.recording)
            if path is None:
                raise UnusableFile(
                    folder / DOCUMENT,
                    tr("needs {0}", recording.file),
                    tr("Find the missing recording first."),
                )
            lead = min(each.start, round(LEAD_SECONDS * recording.rate))
            tail = min(recording.frames - each.end, max(reaches[at], round(TAIL_SECONDS * recording.rate)))
            audio = read_span(path, each.start - lead, each.end + tail)
            encoding = _lossless(audio)
            name = f"{stem}-{at + 1:0{digits}d}{encoding.suffix}"
            write_blocks(
                folder / name,
                _one(audio.samples),
                rate=audio.rate,
                channels=audio.samples.shape[1],
                frames=len(audio.samples),
                encoding=encoding,
            )
            shape = {key: value for key, value in msgspec.to_builtins(each).items() if key not in AS_RECORDED}
            shape["follows"] = each.follows or follows.get(each.id, 0)
            usual = msgspec.to_builtins(KitSlice(0, each.recording, 0, 1, 0))
            shape = {key: value for key, value in shape.items() if key == "key" or value != usual[key]}
            end = lead + each.end - each.start
            documents.append(SliceDocument(each.id, name, lead, end, recording.material, shape))
            progress((at + 1) / len(kit.slices))
        about = KitDocument(kit.name, kit.semitones, kit.by_tape, kit.fits_song)
        beats_per_minute = session.tempo.at(0.0)
        whole = PatternDocument(pattern.name, beats_per_minute, about, tuple(documents), pattern)
        values = {"version": 1} | msgspec.to_builtins(whole)
        try:
            write_whole(folder / DOCUMENT, msgspec.json.format(msgspec.json.encode(values), indent=1) + b"\n")
        except OSError as error:
            raise cannot_write(folder / DOCUMENT, error) from None


def _one(samples: Samples) -> Iterator[Samples]:
    yield samples


def _lossless(audio: Audio) -> Encoding:
    """FLAC where that holds the samples as they are, else float."""
    samples = audio.samples.astype(np.float64)
    if audio.rate <= FLAC_RATE and audio.samples.shape[1] <= FLAC_CHANNELS and (np.abs(samples) < 1.0).all():
        for bits, name in ((15, "flac16"), (23, "flac24")):
            scaled = samples * 2.0**bits
            if np.array_equal(scaled, np.rint(scaled)):
                return ENCODINGS[name]
    return ENCODINGS["wavfloat"]


def _reaches(session: Session, pattern: Pattern, kit: Kit) -> list[int]:
    """For each slice, frames after its end that steps let sound, at its recording's rate."""
    tempo = min(each.beats_per_minute for each in session.tempo.changes)
    wanted = dict[int, float]()
    for piece, length in zip(pattern.slices, pattern.column("lengths").tolist(), strict=True):
        wanted[piece] = max(wanted.get(piece, 0.0), length * 60.0 / tempo)
    reaches = []
    for each in kit.slices:
        rate = session.recording_with(each.recording).rate
        reaches.append(max(0, round(wanted.get(each.id, 0.0) * rate) - (each.end - each.start)))
    return reaches


def _follows(kit: Kit) -> dict[int, int]:
    """For each slice the one whose sound goes on in it."""
    ends = {(each.recording, each.end): each.id for each in kit.slices}
    pairs = ((each.id, ends.get((each.recording, each.start), 0)) for each in kit.slices)
    return {own: before for own, before in pairs if before and before != own}


# In


def read_pattern(folder: Path, tempo: float, progress: Progress = unheard) -> Saved:
    """A pattern with its kit from a folder; of what `split` wrote, the recording as it was, at a tempo.

    Raises
    ------
    UnusableFile
        If there is none, or a slice is missing or damaged.
    """
    name = DOCUMENT if is_there(folder / DOCUMENT) else SPLIT
    try:
        data = bytes_of(folder / name, MOST_BYTES)
        if name == SPLIT:
            return _from_split(folder, trusted(data, _SplitDocument), tempo, progress)
        return _from_document(folder, trusted(data, PatternDocument), progress)
    except OSError as error:
        raise UnusableFile(
            folder, tr("contains no pattern: {0}", error.strerror), tr("Choose the folder of the pattern.")
        ) from None
    except (InvalidInput, ValueError) as error:
        words = str(error) if isinstance(error, InvalidInput) else tr("is damaged: {0}", first_line(error))
        raise UnusableFile(folder / name, words, tr("Check that it is the right folder.")) from None


def _from_document(folder: Path, document: PatternDocument, progress: Progress) -> Saved:
    made, recordings, places = list[KitSlice](), dict[ContentHash, Recording](), dict[ContentHash, Path]()
    for at, each in enumerate(document.slices):
        recording = _recording(folder / each.file, each.start_frame, each.material)
        if not each.start_frame < each.end_frame <= recording.frames:
            raise InvalidInput(tr("uses samples that {0} does not have", each.file))
        own = {"id": each.number, "recording": recording.content}
        span = {"start": each.start_frame, "end": each.end_frame}
        made.append(converted({**each.slice, **own, **span}, KitSlice))
        recordings[recording.content], places[recording.content] = recording, folder / each.file
        progress((at + 1) / len(document.slices))
    about = document.kit
    highest = max(each.id for each in made)
    slices = tuple(sorted(made, key=lambda each: each.key))
    name = shown(about.name)
    kit = Kit(0, name, slices, about.semitones, about.by_tape, about.fits_song, next_id=highest + 1)
    pattern = replace(document.pattern, id=0, kit=0, name=shown(document.name))
    return Saved(pattern, kit, tuple(recordings.values()), places, document.bpm)


def _recording(path: Path, onset: int, material: Instrument) -> Recording:
    """A slice's file as a recording that nobody has to listen to: it has one onset."""
    facts = facts_of(path)
    onset = min(onset, facts.frames - 1)
    onsets = Onsets((1,), (onset,), (100.0,), (1,), (int(OnsetDecision.KEPT),), next_id=2)
    return Recording(
        facts.content,
        plain_name(path.name),
        facts.rate,
        facts.frames,
        facts.channels,
        onsets,
        is_analysed=True,
        material=material,
        is_material_chosen=True,
    )


def _from_split(folder: Path, document: _SplitDocument, tempo: float, progress: Progress) -> Saved:
    bands = {band.name.lower(): int(band) for band in Band}
    made, recordings, places = list[KitSlice](), dict[ContentHash, Recording](), dict[ContentHash, Path]()
    for at, each in enumerate(document.slices):
        recording = _recording(folder / each.file, 0, Instrument.DRUMS)
        is_led = at > 0 and document.slices[at - 1].end_frame == each.start_frame
        piece = KitSlice(
            at + 1,
            recording.content,
            0,
            recording.frames,
            at,
            band=bands.get(each.band or "", 1),
            tempo=tempo,
            follows=at if is_led else 0,
        )
        made.append(piece)
        recordings[recording.content], places[recording.content] = recording, folder / each.file
        progress((at + 1) / len(document.slices))
    per_frame = tempo / 60.0 / document.rate
    last = max(each.end_frame for each in document.slices) * per_frame
    name = shown(folder.name) or "slices"
    pattern = Pattern(0, name, 0, max(4.0, float(np.ceil(last / 4.0 - 1e-6)) * 4.0))
    starts = [each.start_frame * per_frame for each in document.slices]
    pattern = pattern.with_steps({"slices": [each.id for each in made], "places": starts})
    kit = Kit(0, name, tuple(made), next_id=len(made) + 1)
    return Saved(pattern, kit, tuple(recordings.values()), places, tempo)
