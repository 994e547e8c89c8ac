"""What sound is moved by: three ways that a person chooses, materials, and the engines behind both."""

from collections.abc import Callable
from dataclasses import dataclass

from chronotome.dsp.audio import Samples
from chronotome.dsp.bands import Instrument
from chronotome.dsp.stretch.cutting import cut_to_length
from chronotome.dsp.stretch.noise import drawn_anew
from chronotome.dsp.stretch.tape import at_tape_speed
from chronotome.dsp.stretch.wsola import overlap_similar
from chronotome.words import Named

OVERLAP, FINE_OVERLAP = 4, 6
"""Windows of the vocoder that lie over one another; finer steps serve one note by 0.2 dB, a fifth slower."""
ATTACK = 0.020
"""Seconds of an attack that stay verbatim where the rest is stretched."""
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
    CHORDS = "chords", "chords and mixes"
    NOISE = "noise"


class EngineName(Named):
    """What renders a span."""

    CUTTING = "cutting"
    DRUMS = "drums"
    NOTE = "one note", "single notes"
    TONES = "tones"
    TAPE = "tape"
    NOISE = "noise"


Middle = Callable[..., Samples]
"""Source frames to a length: (source, rate, start, end, length); `gap` and `room` too where it fills gaps."""


@dataclass(frozen=True)
class Engine:
    """A way to move sound: all that anybody asks about it. Another engine is another entry."""

    moves_by: MoveBy
    middle: Middle | None
    """None: it sees to the whole span itself, its ends and its bends too."""
    attack: float | None
    """Seconds from each anchor on that stay verbatim; None: all of a span is treated alike, its ends too."""
    keeps: StretchMaterial | None = None
    """The material for which it is chosen."""
    hears: frozenset[Instrument] = frozenset()
    """It is used for recordings that were heard as these, where nobody chose a material."""
    warps_between: bool = True
    """What lies between two hits becomes longer or shorter: beats and faint attacks are anchors as well."""
    hears_together: bool = True
    """Locked recordings are one sound of many channels to it, from one search for what is alike."""
    fills_gaps: bool = False
    """Nothing is stretched: hits move whole, and something comes into the gaps behind them."""
    is_evened: bool = False
    """Where its level strays from the recording's, other ways are tried."""
    pitched_by: EngineName | None = None
    """What renders it at another pitch, where its own pitch follows its speed."""
    overlap: int = 0
    """Of a vocoder, for which only attacks are anchors: what lies between two bends at the others."""

    @property
    def bends(self) -> bool:
        return self.overlap > 0


ENGINES = {
    EngineName.CUTTING: Engine(MoveBy.CUTTING, cut_to_length, 0.0, warps_between=False, fills_gaps=True),
    EngineName.DRUMS: Engine(
        MoveBy.STRETCHING,
        overlap_similar,
        ATTACK,
        StretchMaterial.DRUMS,
        frozenset({Instrument.DRUMS}),
        is_evened=True,
    ),
    EngineName.NOTE: Engine(MoveBy.STRETCHING, None, None, StretchMaterial.ONE_NOTE, overlap=FINE_OVERLAP),
    EngineName.TONES: Engine(
        MoveBy.STRETCHING,
        None,
        None,
        StretchMaterial.CHORDS,
        frozenset(set(Instrument) - {Instrument.DRUMS}),
        overlap=OVERLAP,
    ),
    EngineName.NOISE: Engine(MoveBy.STRETCHING, drawn_anew, ATTACK, StretchMaterial.NOISE),
    EngineName.TAPE: Engine(
        MoveBy.TAPE, at_tape_speed, None, hears_together=False, pitched_by=EngineName.TONES
    ),
}


def engine_of(move_by: MoveBy, keeps: StretchMaterial, material: Instrument) -> EngineName:
    """What renders a recording that was heard as a material, where nobody said what it is of."""
    of_way = [(name, engine) for name, engine in ENGINES.items() if engine.moves_by is move_by]
    for name, engine in of_way:
        if engine.keeps is keeps or (keeps is StretchMaterial.HEARD and material in engine.hears):
            return name
    return of_way[0][0]  # the one of its way, whatever the material
