"""A kit rendered into the arena, a stereo region a slice, for keys to play."""

from collections.abc import Callable
from dataclasses import dataclass

from chronotome.dsp.audio import Samples
from chronotome.errors import Cancelled
from chronotome.render.arena import Arena, Region
from chronotome.render.cache import PieceCache
from chronotome.render.mix import OUT_CHANNELS, faded, fold_down
from chronotome.render.plan import piece_of
from chronotome.render.renderer import Sources
from chronotome.session.kits import Kit
from chronotome.session.model import Session
from chronotome.session.sounding import sounding

GUARD = 8
"""Frames of silence on both sides: between frames a voice reads a little beyond what it plays."""


@dataclass(frozen=True, eq=False)
class SliceSound:
    """What a key plays: frames [GUARD, GUARD + frames) of a region, and how loud on both sides."""

    region: Region
    frames: int
    left: float
    right: float

    @property
    def offset(self) -> int:
        return self.region.offset + GUARD * OUT_CHANNELS


def kit_sounds(
    session: Session,
    kit: Kit,
    sources: Sources,
    arena: Arena,
    is_wanted: Callable[[], bool],
) -> dict[int, SliceSound]:
    """Each slice of a kit by its key, pitched, turned and stretched as a step plays it.

    Slices whose recording was not read yet are left out.

    Raises
    ------
    Cancelled
        If it is no longer wanted; nothing is left behind.
    """
    made = sounding(session, kit)
    score, cache, found = made.score, PieceCache(arena), dict[int, SliceSound]()
    for piece, row in zip(kit.slices, made.rows, strict=True):
        source = sources.get(piece.recording)
        if not is_wanted() or row < 0 or source is None or not source.is_whole:
            continue
        if score.as_recorded[row]:
            samples = source.region.samples[int(score.start[row]) : int(score.end[row])]
        else:
            samples = cache.render(piece_of(score, row), sources, 0).region.samples
        heard, edges = int(score.heard[row]), [*score.rises[row].tolist(), *score.falls[row].tolist()]
        region = _stereo(faded(samples, heard, heard + len(samples), edges), arena)
        left, right = score.gains[row].tolist()
        found[piece.key] = SliceSound(region, len(samples), left, right)
    cache.clear()
    if not is_wanted():
        for sound in found.values():
            arena.free(sound.region)
        raise Cancelled
    return found


def _stereo(samples: Samples, arena: Arena) -> Region:
    region = arena.allocate(len(samples) + 2 * GUARD, OUT_CHANNELS)
    region.samples[:GUARD], region.samples[-GUARD:] = 0.0, 0.0
    inner = region.samples[GUARD:-GUARD]
    channels = samples.shape[1]
    inner[:] = samples if channels <= OUT_CHANNELS else samples @ fold_down(channels, OUT_CHANNELS)
    return region
