"""Slices of a kit as sound files: as their keys play them, named by a template."""

from collections.abc import Sequence
from pathlib import Path

import numpy as np

from chronotome.dsp.bands import Band
from chronotome.files.audio_out import Encoding, write_blocks
from chronotome.files.naming import names_by, numbered
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena
from chronotome.render.kit_sounds import SliceSound
from chronotome.render.mix import OUT_CHANNELS
from chronotome.session.kits import FIRST_NOTE, Kit, KitSlice, key_name
from chronotome.session.model import Session


def slice_names(session: Session, kit: Kit, template: str, suffix: str) -> list[str]:
    """What the files of a kit's slices are called.

    Raises
    ------
    WrongTemplate
    """
    rates = {each.content: each.rate for each in session.recordings}
    rows = [
        {
            "name": each.name or kit.name,
            "number": numbered(number, len(kit.slices)),
            "band": Band(each.band).name.lower(),
            "key": key_name(each.key),
            "note": str(each.key + FIRST_NOTE),
            "bpm": f"{each.tempo or session.tempo.at(0.0):.6g}",
            "ms": f"{1000 * (each.end - each.start) / rates[each.recording]:.0f}",
        }
        for number, each in enumerate(kit.slices, 1)
    ]
    return names_by(template, rows, suffix)


def write_slices(  # noqa: PLR0917 - what is written, where, and as what
    folder: Path,
    named: Sequence[tuple[KitSlice, str]],
    sounds: dict[int, SliceSound],
    arena: Arena,
    rate: int,
    encoding: Encoding,
    progress: Progress = unheard,
) -> list[KitSlice]:
    """A file for each slice that has a sound, in a folder that is there; those that were written.

    Raises
    ------
    CannotWrite, Cancelled
    """
    made = []
    for number, (piece, name) in enumerate(named):
        sound = sounds.get(piece.key)
        if sound is not None:
            floats = arena.floats[sound.offset : sound.offset + sound.frames * OUT_CHANNELS]
            samples = floats.reshape(-1, OUT_CHANNELS) * np.array([sound.left, sound.right], np.float32)
            write_blocks(
                folder / name,
                iter([samples]),
                rate=rate,
                channels=OUT_CHANNELS,
                frames=len(samples),
                encoding=encoding,
            )
            made.append(piece)
        progress((number + 1) / len(named))
    return made
