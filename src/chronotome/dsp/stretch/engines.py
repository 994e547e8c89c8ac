"""What sound is moved by: three ways that a person chooses, materials, and the engines behind both."""

from typing import NamedTuple

from chronotome.dsp.bands import Instrument
from chronotome.words import Named

OVERLAP, FINE_OVERLAP = 4, 6
"""Windows of the vocoder that lie over one another; finer steps serve one note by 0.2 dB, a fifth slower."""
Bends = tuple[tuple[int, int], ...]
"""Source and heard frames, counted from a span's start."""


class MoveBy(Named):
    """How targets are realised."""

    CUTTING = "cutting"
    STRETCHING = "stretching"
    TAPE = "tape"


class StretchMaterial(Named):
    """What stretching must keep clean."""

    HEARD = "as heard", "detected"
    DRUMS = "drums"
    ONE_NOTE = "one note", "single notes"
    CHORDS = "chords"


class Fill(Named):
    """What comes into the gap behind a hit that was cut and moved."""

    TO_AND_FRO = "tail to and fro", "tail back and forth"
    AGAIN = "tail again", "repeat tail"
    ROOM = "room tone"
    NOTHING = "nothing", "none"

    @classmethod
    def _missing_(cls, value: object) -> "Fill | None":
        """Older sessions may say that it is always turned round: in all but long gaps that is the first."""
        return cls.TO_AND_FRO if value == "tail reversed" else None


class Crossing(Named):
    """Along which curve one sound gives way to another where it is cut."""

    SMOOTH = "smooth", "S-curve"
    STRAIGHT = "straight", "linear"
    FIRM = "firm", "steep"
    """Most of it happens in the middle."""


class Gap(NamedTuple):
    """What comes into gaps where it is cut, and how it is joined."""

    fill: Fill = Fill.TO_AND_FRO
    fade: float = 0.005
    """Seconds over which what fills a gap comes in; it leads into the next attack over twice as much."""
    crossing: Crossing = Crossing.SMOOTH


class EngineName(Named):
    """What renders a span."""

    CUTTING = "cutting"
    DRUMS = "drums"
    NOTE = "one note", "single notes"
    TONES = "tones"
    TAPE = "tape"


def engine_of(move_by: MoveBy, keeps: StretchMaterial, material: Instrument) -> EngineName:
    """What renders a recording that was heard as a material, where nobody said what it is of."""
    if move_by is MoveBy.CUTTING:
        return EngineName.CUTTING
    if move_by is MoveBy.TAPE:
        return EngineName.TAPE
    if keeps is StretchMaterial.DRUMS or (keeps is StretchMaterial.HEARD and material is Instrument.DRUMS):
        return EngineName.DRUMS
    return EngineName.NOTE if keeps is StretchMaterial.ONE_NOTE else EngineName.TONES
