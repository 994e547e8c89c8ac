"""A kit for samplers of others: SFZ with a file for each slice, as its key plays it."""

from pathlib import Path

from chronotome.files.audio_out import ENCODINGS, Encoding
from chronotome.files.names import plain_name
from chronotome.files.slice_files import slice_names, write_slices
from chronotome.files.writing import cannot_write, new_folder, write_whole
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena
from chronotome.render.kit_sounds import kit_sounds
from chronotome.render.renderer import Sources
from chronotome.session.kits import FIRST_NOTE, HIGHEST_NOTE, Kit, KitSlice
from chronotome.session.model import Session, replace

SAMPLES = "samples"
TEMPLATE = "{name} {number} {key}"
RELEASE_SECONDS, CHOKE_SECONDS = 0.02, 0.006


def write_sfz(
    folder: Path,
    session: Session,
    kit: Kit,
    sources: Sources,
    arena: Arena,
    *,
    encoding: Encoding = ENCODINGS["wav24"],
    template: str = TEMPLATE,
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
    with new_folder(folder):
        stem = Path(plain_name(kit.name)).stem or "kit"
        sounds = kit_sounds(session, kit, sources, arena, lambda: True)
        lines = [
            "<group>",
            f"amp_velcurve_1={1 / 127:.4f} amp_velcurve_127=1",  # as loud as it is struck, as here
        ]
        path = folder / f"{stem}.sfz"
        try:
            try:
                (folder / SAMPLES).mkdir()
            except OSError as error:
                raise cannot_write(folder / SAMPLES, error) from None
            pieces = [
                each for each in kit.slices if each.key in sounds and each.key + FIRST_NOTE <= HIGHEST_NOTE
            ]
            names = slice_names(
                session, replace(kit, name=stem, slices=tuple(pieces)), template, encoding.suffix
            )
            named = list(zip(pieces, names, strict=True))
            write_slices(folder / SAMPLES, named, sounds, arena, session.rate, encoding, progress)
            for piece, name in named:
                lines += _region(piece, name)
            try:
                write_whole(path, ("\n".join(lines) + "\n").encode())
            except OSError as error:
                raise cannot_write(path, error) from None
            return path
        finally:
            for sound in sounds.values():
                arena.free(sound.region)


def write_slice_files(  # noqa: PLR0917 - what is written, where, as what, and how it is called
    folder: Path,
    session: Session,
    kit: Kit,
    sources: Sources,
    arena: Arena,
    encoding: Encoding,
    template: str,
    progress: Progress = unheard,
) -> int:
    """A new or an empty folder with a file for each slice, as its key plays it; how many were written.

    Raises
    ------
    CannotWrite, Cancelled, WrongTemplate
    """
    named = list(zip(kit.slices, slice_names(session, kit, template, encoding.suffix), strict=True))
    with new_folder(folder):
        sounds = kit_sounds(session, kit, sources, arena, lambda: True)
        try:
            return len(write_slices(folder, named, sounds, arena, session.rate, encoding, progress))
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
    lines.append(f"sample={SAMPLES}/{name}")  # last of its line: a name may have spaces
    return lines
