"""The same for many files: a recipe that was saved, one file after another, each by itself.

What a file becomes depends on nothing but the file and the recipe: on one machine or on many it is the same
to the bit.
"""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from enum import StrEnum
from pathlib import Path
from typing import Annotated, Literal

import msgspec
import numpy as np
from msgspec import Meta, Struct

from chronotome.errors import Cancelled, CannotWrite, ChronotomeError, UnusableFile, readable
from chronotome.files.audio_file import SUFFIXES
from chronotome.files.audio_out import ENCODINGS, Encoding, encoding_like
from chronotome.files.headless import Headless, timed
from chronotome.files.naming import LONGEST, WrongTemplate, names_by
from chronotome.files.safe_read import InvalidInput, bytes_of, trusted
from chronotome.files.split import Splitting, split_file
from chronotome.files.straighten import Straightening, straighten_files
from chronotome.files.writing import cannot_write, write_whole
from chronotome.progress import Progress, part_of, unheard
from chronotome.session.edits.grooves import add_groove
from chronotome.session.edits.slicing import At, Cuts
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import set_moving
from chronotome.session.grid import Tempo
from chronotome.session.groove import Groove
from chronotome.session.limits import Share, Strength
from chronotome.session.model import replace
from chronotome.session.onset_filter import USUAL_THRESHOLD
from chronotome.session.settings import Moving, TightenSettings
from chronotome.session.tighten import targets_of
from chronotome.words import tr

SUFFIX = ".recipe.json"
MOST_BYTES = 4 << 20
LIKE = "like"
"""A file's own kind, depth and rate."""
SPLIT_NAMES = Splitting.names


class Doing(StrEnum):
    TIGHTEN = "tighten"
    STRAIGHTEN = "straighten"
    SPLIT = "split"


class BatchPreset(Struct, frozen=True):
    """What is done with each file. Of a recording whose `bpm` is not said the measured one counts."""

    do: Doing
    bpm: Tempo | None = None
    tighten: TightenSettings = TightenSettings()
    groove: Groove | None = None
    moving: Moving = Moving()
    threshold: Strength = USUAL_THRESHOLD
    steady: Share = 1.0
    cut_at: At = At.ONSETS
    step: Annotated[float, Meta(ge=1 / 64, le=64.0)] = 0.5
    parts: Annotated[int, Meta(ge=2, le=1024)] = 8
    names: Annotated[str, Meta(min_length=1, max_length=LONGEST)] = SPLIT_NAMES
    encoding: Annotated[str, Meta(max_length=20)] = LIKE
    format: Literal["chronotome-recipe"] = "chronotome-recipe"
    version: Literal[1] = 1


@dataclass(frozen=True)
class Outcome:
    """What became of a file: where it was written and what is to be said of it; or why not."""

    path: Path
    out: Path | None
    words: str

    @property
    def is_done(self) -> bool:
        return self.out is not None


def write_recipe(path: Path, recipe: BatchPreset) -> None:
    """Write it whole or not at all.

    Raises
    ------
    CannotWrite
    """
    try:
        write_whole(path, msgspec.json.format(msgspec.json.encode(recipe), indent=1) + b"\n")
    except OSError as error:
        raise cannot_write(path, error) from None


def read_recipe(path: Path) -> BatchPreset:
    """A recipe that was saved.

    Raises
    ------
    UnusableFile
    """
    try:
        recipe = trusted(bytes_of(path, MOST_BYTES), BatchPreset)
        names_by(recipe.names, [], "")
    except OSError as error:
        raise UnusableFile(
            path, tr("cannot be read: {0}", error.strerror), tr("Choose another preset.")
        ) from None
    except (InvalidInput, WrongTemplate) as error:
        words = tr("Choose a preset saved with Process files.")
        raise UnusableFile(path, str(error), words) from None
    if recipe.encoding != LIKE and recipe.encoding not in ENCODINGS:
        words = tr("Use {0}, {1}.", LIKE, ", ".join(ENCODINGS))
        raise UnusableFile(path, tr("has an unknown file format (“{0}”)", recipe.encoding), words)
    return recipe


def sounds_in(paths: Sequence[Path]) -> list[Path]:
    """Files as they are named, and the sound files of folders in the order of their names; each once."""
    found: dict[Path, None] = {}
    for path in paths:
        if path.is_dir():
            inside = sorted(each for each in path.iterdir() if each.suffix.lower() in SUFFIXES)
            found.update(dict.fromkeys(each for each in inside if each.is_file()))
        else:
            found[path] = None
    return list(found)


def run_batch(
    recipe: BatchPreset,
    paths: Sequence[Path],
    folder: Path,
    told: Callable[[int, float], None] = lambda _number, _share: None,
    progress: Progress = unheard,
) -> Iterator[Outcome]:
    """One file after another into a folder; what fails is told, and the rest goes on.

    `told` hears the number of a file, and how far it is.

    Raises
    ------
    CannotWrite
        Where there is no folder to write to.
    Cancelled
        In the middle of a file, of which nothing is left then.
    """
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise cannot_write(folder, error) from None
    for number, path in enumerate(paths):
        own = part_of(progress, number / len(paths), (number + 1) / len(paths))

        def both(share: float, number: int = number, own: Progress = own) -> None:
            told(number, share)
            own(share)

        yield run_one(recipe, path, folder, both)


def run_one(recipe: BatchPreset, path: Path, folder: Path, progress: Progress = unheard) -> Outcome:
    """One file; whatever is wrong with it is in the outcome."""
    try:
        out, words = _DOES[recipe.do](recipe, path, folder, progress)
    except Cancelled:
        raise
    except ChronotomeError as error:
        return Outcome(path, None, str(error))
    except MemoryError:
        return Outcome(
            path, None, tr("“{0}” is too large for the memory of this computer.", readable(path.name))
        )
    return Outcome(path, out, words)


def _free(folder: Path, path: Path, suffix: str) -> Path:
    """Where it is written to: nothing that is there is written over."""
    out = folder / f"{path.stem}{suffix}"
    if out.exists():
        raise CannotWrite(
            out, tr("the file already exists"), tr("Choose another folder, or move the existing one.")
        )
    return out


def _encoding(recipe: BatchPreset, path: Path) -> Encoding:
    return encoding_like(path) if recipe.encoding == LIKE else ENCODINGS[recipe.encoding]


def _tighten(recipe: BatchPreset, path: Path, folder: Path, progress: Progress) -> tuple[Path, str]:
    work = Headless()
    track = work.bring(path, part_of(progress, 0.0, 0.5), threshold=recipe.threshold)
    measured = work.session.recordings[0].measured
    beat_one = None if measured is None or recipe.bpm is None else measured.beat_one
    session = timed(work.session, track, path, tempo=recipe.bpm, beat_one=beat_one)
    settings = recipe.tighten
    if recipe.groove is not None:
        session, number = add_groove(session, recipe.groove)
        settings = replace(settings, groove=number)
    fields = {name: getattr(settings, name) for name in settings.__struct_fields__}
    session = set_tighten(session, track.id, **{**fields, "match": None, "follows_ruler": False})
    moving = {name: getattr(recipe.moving, name) for name in recipe.moving.__struct_fields__}
    work.session = session = set_moving(session, track.id, **moving)
    encoding = _encoding(recipe, path)
    out = _free(folder, path, encoding.suffix)
    track = session.track(track.id)
    work.write(track, out, encoding, [path], part_of(progress, 0.5, 1.0))
    targets = targets_of(session, track, track.takes[0])
    moved = np.abs(targets.target - targets.played) / session.rate * 1000
    hits = tr("{0} hits at {1:.2f} bpm", len(targets), session.tempo.at(0.0))
    return out, tr("{0}, moved by {1:.1f} ms", hits, float(np.median(moved)) if len(moved) else 0.0)


def _straighten(recipe: BatchPreset, path: Path, folder: Path, progress: Progress) -> tuple[Path, str]:
    encoding = _encoding(recipe, path)
    out = _free(folder, path, encoding.suffix)
    how = Straightening(recipe.bpm, recipe.steady, recipe.moving.by, encoding=encoding)
    done = straighten_files([path], path, folder, how, progress)
    return out, f"{done.session.tempo.at(0.0):.2f} bpm"


def _split(recipe: BatchPreset, path: Path, folder: Path, progress: Progress) -> tuple[Path, str]:
    out = _free(folder, path, "")
    cuts = Cuts(recipe.cut_at, recipe.step, recipe.parts)
    lines = recipe.cut_at is At.LINES
    how = Splitting(cuts, lines, recipe.bpm, None, recipe.threshold, recipe.names)
    document = split_file(path, out, how, progress)
    try:
        write_whole(out / "slices.json", msgspec.json.encode(document))
    except OSError as error:
        raise cannot_write(out / "slices.json", error) from None
    return out, f"{len(document['slices'])} slices"


_DOES = {Doing.TIGHTEN: _tighten, Doing.STRAIGHTEN: _straighten, Doing.SPLIT: _split}


def report(outcomes: Sequence[Outcome]) -> str:
    """A line for each file, tab-separated: done or failed, the file, and what is to be said of it."""
    rows = (
        f"{'done' if each.is_done else 'failed'}\t{readable(each.path)}\t{readable(each.words)}\n"
        for each in outcomes
    )
    return "".join(rows)
