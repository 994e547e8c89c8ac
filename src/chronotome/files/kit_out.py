"""A kit for samplers of others: SFZ with a file for each slice, as its key plays it."""

from pathlib import Path

import numpy as np

from chronotome.files.audio_out import ENCODINGS, Encoding, write_blocks
from chronotome.files.names import plain_name
from chronotome.files.writing import cannot_write, new_folder, write_whole
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena
from chronotome.render.kit_sounds import kit_sounds
from chronotome.render.mix import OUT_CHANNELS
from chronotome.render.renderer import Sources
from chronotome.session.kits import FIRST_NOTE, HIGHEST_NOTE, Kit, KitSlice, key_name
from chronotome.session.model import Session

RELEASE_SECONDS, CHOKE_SECONDS = 0.02, 0.006


def write_sfz(
    folder: Path,
    session: Session,
    kit: Kit,
    sources: Sources,
    arena: Arena,
    *,
    encoding: Encoding = ENCODINGS["wav24"],
    progress: Progress = unheard,
) -> Path:
    """A new or an empty folder with one instrument and its samples; slices beyond the last note are left out.

    Pitch, fades, direction and loudness of each slice are in its samples: what a player of others lets sound
    is what the key does here. Key, choke group, and whether it lasts as long as it is held are opcodes of
    SFZ 1.0.

    Returns
    -------
    the path of the instrument

    Raises
    ------
    CannotWrite, Cancelled
    """
    new_folder(folder)
    stem = Path(plain_name(kit.name)).stem or "kit"
    sounds = kit_sounds(session, kit, sources, arena, lambda: True)
    lines = [
        "<control>",
        "default_path=samples/",
        "<global>",
        f"amp_velcurve_1={1 / 127:.4f} amp_velcurve_127=1",  # as loud as it is struck, as here
    ]
    path = folder / f"{stem}.sfz"
    try:
        try:
            (folder / "samples").mkdir()
        except OSError as error:
            raise cannot_write(folder / "samples", error) from None
        pieces = [each for each in kit.slices if each.key in sounds and each.key + FIRST_NOTE <= HIGHEST_NOTE]
        digits = max(2, len(str(len(pieces))))
        for number, piece in enumerate(pieces):
            sound = sounds[piece.key]
            floats = arena.floats[sound.offset : sound.offset + sound.frames * OUT_CHANNELS]
            samples = floats.reshape(-1, OUT_CHANNELS) * np.array([sound.left, sound.right], np.float32)
            name = plain_name(f"{stem} {number + 1:0{digits}d} {key_name(piece.key)}{encoding.suffix}")
            write_blocks(
                folder / "samples" / name,
                iter([samples]),
                rate=session.rate,
                channels=OUT_CHANNELS,
                frames=len(samples),
                encoding=encoding,
            )
            lines += _region(piece, name)
            progress((number + 1) / len(pieces))
        try:
            write_whole(path, ("\n".join(lines) + "\n").encode())
        except OSError as error:
            raise cannot_write(path, error) from None
        return path
    finally:
        for sound in sounds.values():
            arena.free(sound.region)


def _region(piece: KitSlice, name: str) -> list[str]:
    """One slice on its key."""
    mode = "no_loop" if piece.is_held else "one_shot"
    lines = ["", f"<region> key={piece.key + FIRST_NOTE} loop_mode={mode}"]
    if piece.choke:
        lines.append(f"group={piece.choke} off_by={piece.choke} off_mode=normal")
    if piece.is_held or piece.choke:
        lines.append(f"ampeg_release={RELEASE_SECONDS if piece.is_held else CHOKE_SECONDS:g}")
    lines.append(f"sample={name}")  # last of its line: a name may have spaces
    return lines
