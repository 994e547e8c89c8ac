"""Rendered pieces, kept by key, bounded in bytes."""

from collections import OrderedDict
from dataclasses import dataclass

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.dsp.stretch.segment import render_segment
from chronotome.render.arena import Arena, Region
from chronotome.render.plan import PieceKey
from chronotome.render.pool import Source

DEFAULT_BYTES = 1 << 30


@dataclass(frozen=True, eq=False)
class Rendered:
    """A piece in the arena. `gained` is its energy less that of the source span it stands for."""

    region: Region
    gained: float


class PieceCache:
    """Pieces in an arena; the longest unused go first.

    Invariants: one thread uses it. A piece is freed only by `make_room`, and only after `release` said that
    mixes up to the last one that `get` was told of are no longer read.
    """

    def __init__(self, arena: Arena, *, limit: int = DEFAULT_BYTES) -> None:
        self._arena = arena
        self._limit = limit
        self._pieces: OrderedDict[PieceKey, Rendered] = OrderedDict()
        self._used_by: dict[PieceKey, int] = {}
        self._released = -1
        self.bytes = 0
        self.rendered_count = 0

    def get(self, key: PieceKey, serial: int) -> Rendered | None:
        """The piece, if it is there; mix number `serial` will hold it."""
        piece = self._pieces.get(key)
        if piece is not None:
            self._pieces.move_to_end(key)
            self._used_by[key] = serial
        return piece

    def render(self, key: PieceKey, source: Source, serial: int) -> Rendered:
        """The piece, made now where it is not there."""
        found = self.get(key, serial)
        if found is not None:
            return found
        made = render_segment(
            source.region.samples,
            source.rate,
            (key.start, key.end),
            key.length,
            move_by=key.move_by,
            is_last=key.is_last,
        )
        region = self._arena.allocate(*made.shape)
        region.samples[:] = made
        piece = Rendered(region, _energy(made) - _energy(source.region.samples[key.start : key.end]))
        self._pieces[key] = piece
        self._used_by[key] = serial
        self.bytes += region.size * 4
        self.rendered_count += 1
        return piece

    def release(self, serial: int) -> None:
        """Mixes up to number `serial` are no longer read by anyone."""
        self._released = max(self._released, serial)

    def clear(self) -> None:
        """Free every piece; nobody may read one any more."""
        for piece in self._pieces.values():
            self._arena.free(piece.region)
        self._pieces.clear()
        self._used_by.clear()
        self.bytes = 0

    @property
    def is_over(self) -> bool:
        return self.bytes > self._limit

    def make_room(self) -> None:
        """Free the longest unused pieces; to be called when every piece in use was asked for by `get`."""
        for key in list(self._pieces):
            if self.bytes <= self._limit:
                return
            if self._used_by[key] <= self._released:
                piece = self._pieces.pop(key)
                del self._used_by[key]
                self.bytes -= piece.region.size * 4
                self._arena.free(piece.region)


def _energy(samples: Samples) -> float:
    return float(np.einsum("ij,ij->", samples, samples, dtype=np.float64))
