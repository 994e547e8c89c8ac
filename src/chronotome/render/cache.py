"""Rendered pieces, kept by key, bounded in bytes."""

from collections import OrderedDict
from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from chronotome.dsp.audio import Samples, frames_between
from chronotome.dsp.clicks import second_difference
from chronotome.dsp.crossover import one_band
from chronotome.dsp.mute_span import hushed
from chronotome.dsp.stretch.gaps import Fill
from chronotome.dsp.stretch.segment import render_hit
from chronotome.dsp.tone import AS_RECORDED, toned
from chronotome.render.arena import Arena, Region
from chronotome.render.coloured import coloured
from chronotome.render.plan import PieceKey
from chronotome.render.pool import Source
from chronotome.session.limits import ContentHash

SPARE_BYTES, MOST_SPARE_BYTES = 192 << 20, 1 << 30
"""For pieces that the mix does not hold: of a short session many changes can be taken back without rendering
anew, of a long one two."""
ROOM_SHARE = 0.75
"""Of what may be spare, as much as is left where more was."""
EARSHOT_SECONDS = 0.2
"""Sound around a piece that an engine may look at."""


@dataclass(frozen=True, eq=False)
class Rendered:
    """A piece in the arena. `gained` is its energy less that of the source span it stands for.

    `rough` is its loudest second difference.
    """

    region: Region
    gained: float
    rough: float


class PieceCache:
    """Pieces in an arena; the longest unused go first.

    Invariants: one thread uses it. A piece is freed only by `make_room`, and only after `release` said that
    mixes up to the last one that `get` was told of are no longer read.
    """

    def __init__(self, arena: Arena, *, spare: int = SPARE_BYTES) -> None:
        self._arena = arena
        self._spare = spare
        self.held = 0
        """Bytes of the pieces in the newest mix."""
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

    def render(self, key: PieceKey, sources: Mapping[ContentHash, Source], serial: int) -> Rendered:
        """The piece, made now where it is not there; locked ones are made together, from one search."""
        found = self.get(key, serial)
        if found is not None:
            return found
        present = [(content, key.start + away) for content, away in key.together if content in sources]
        members = present or [(key.content, key.start)]
        for (content, start), made in zip(members, _made(key, members, sources), strict=True):
            member = key if (content, start) == (key.content, key.start) else _key_of(key, content, start)
            if member not in self._pieces:
                self._keep(member, made, sources[content], serial)
        return self._pieces[key]

    def _keep(self, key: PieceKey, made: Samples, source: Source, serial: int) -> None:
        region = self._arena.allocate(*made.shape)
        region.samples[:] = made
        gained = _energy(made) - _energy(frames_between(source.region.samples, key.start, key.end))
        rough = float(second_difference(made).max(initial=0.0))
        self._pieces[key] = Rendered(region, gained, rough)
        self._used_by[key] = serial
        self.bytes += region.size * 4
        self.rendered_count += 1

    def release(self, serial: int) -> None:
        """Mixes up to number `serial` are no longer read by anyone."""
        self._released = max(self._released, serial)

    def keep_only(self, contents: Collection[ContentHash]) -> bool:
        """Free the pieces of other recordings that no mix holds; False where some must wait for that."""
        others = [key for key in self._pieces if key.content not in contents]
        free = [key for key in others if self._used_by[key] <= self._released]
        for key in free:
            self._free(key)
        return len(free) == len(others)

    def clear(self) -> None:
        """Free every piece; nobody may read one any more."""
        for piece in self._pieces.values():
            self._arena.free(piece.region)
        self._pieces.clear()
        self._used_by.clear()
        self.bytes = 0

    @property
    def is_over(self) -> bool:
        return self.bytes > self.held + self._spare_now

    @property
    def _spare_now(self) -> int:
        return min(MOST_SPARE_BYTES, max(self._spare, 2 * self.held))

    def make_room(self) -> None:
        """Free the longest unused pieces; to be called when every piece in use was asked for by `get`.

        More than is over: to ask for all of them by name takes time, and is not to be done at each edit.
        """
        enough = self.held + int(ROOM_SHARE * self._spare_now)
        for key in list(self._pieces):
            if self.bytes <= enough:
                return
            if self._used_by[key] <= self._released:
                self._free(key)

    def _free(self, key: PieceKey) -> None:
        piece = self._pieces.pop(key)
        del self._used_by[key]
        self.bytes -= piece.region.size * 4
        self._arena.free(piece.region)


def _key_of(key: PieceKey, content: ContentHash, start: int) -> PieceKey:
    """The key of the same piece of another member: the others are at other distances from it."""
    away = start - key.start
    together = tuple((each, distance - away) for each, distance in key.together)
    return key._replace(content=content, start=start, end=start + key.end - key.start, together=together)


def _made(
    key: PieceKey, members: Sequence[tuple[ContentHash, int]], sources: Mapping[ContentHash, Source]
) -> list[Samples]:
    """The piece of each member; several as one sound of many channels, so that all are treated alike."""
    span = key.end - key.start
    shape = key.shape
    is_bare = not (shape.hushed or key.keeps_formants or shape.band) and shape.tone == AS_RECORDED
    if len(members) == 1 and is_bare:
        whole, spanned = sources[members[0][0]].region.samples, (key.start, key.end)
    else:
        beside = int(EARSHOT_SECONDS * key.rate)
        parts = [
            _heard(key, sources[content], start - beside, start + span + beside) for content, start in members
        ]
        whole, spanned = np.concatenate(parts, axis=1), (beside, beside + span)
    room = None
    if key.shape.gap.fill is Fill.ROOM:
        rooms = [sources[content].room for content, _ in members]
        shortest = min(len(each) for each in rooms)
        room = np.concatenate([each[:shortest] for each in rooms], axis=1)
    made = render_hit(
        whole,
        key.rate,
        spanned,
        key.length,
        engine=key.engine,
        shape=key.shape,
        is_last=key.is_last,
        room=room,
        semitones=key.semitones,
        is_reversed=key.is_reversed,
    )
    widths = np.cumsum([sources[content].region.channels for content, _ in members])[:-1]
    return [np.ascontiguousarray(part) for part in np.split(made, widths, axis=1)]


def _heard(key: PieceKey, source: Source, start: int, end: int) -> Samples:
    """Frames of a recording as an engine hears them: coloured for another pitch, toned, without its noises.

    Noises are those of the recording that is the piece's own.
    """
    whole = source.region.samples
    if key.keeps_formants:
        part = coloured(source, 2 ** (key.semitones / 12), start, end)
    else:
        part = frames_between(whole, start, end)
    if key.shape.hushed and source.content == key.content:
        part = hushed(part, start, key.shape.hushed, whole, key.rate)
    if key.shape.band is not None:
        hertz, is_high = key.shape.band
        part = one_band(part, key.rate, hertz, is_high=is_high)
    return toned(part, key.rate, key.shape.tone)


def _energy(samples: Samples) -> float:
    return float(np.einsum("ij,ij->", samples, samples, dtype=np.float64))
