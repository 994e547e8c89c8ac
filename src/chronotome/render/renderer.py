"""Plan -> mix: renders what is missing, nearest to the playhead first, and hands the mix over."""

from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass
from itertools import count

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.errors import Cancelled
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena, Region
from chronotome.render.cache import PieceCache, Rendered
from chronotome.render.click import ClickPlan, click_sound
from chronotome.render.mix import OUT_CHANNELS, TABLE_BYTES, Lane, Mix, MixTable, Side
from chronotome.render.plan import ClipPlan, Plan
from chronotome.render.pool import Source
from chronotome.session.limits import ContentHash
from chronotome.session.model import ClickSound
from chronotome.units import Frames

SOON_SECONDS = 0.4
MANY_PIECES = 512
"""More unknown pieces than this are looked for in the cache only when their turn comes."""
Sources = Mapping[ContentHash, Source]
Publish = Callable[[Mix], None]


def always() -> bool:
    return True


@dataclass(eq=False)
class Placed:
    """What is known of a clip's pieces: where each lies in the arena, and its gain in energy.

    Invariant: columns as long as the plan has pieces; `ready` is False where a piece was not rendered yet.
    """

    plan: ClipPlan
    source: Source
    offsets: Frames
    gained: NDArray[np.float64]
    ready: NDArray[np.bool_]

    def put(self, piece: int, rendered: Rendered) -> None:
        self.offsets[piece] = rendered.region.offset
        self.gained[piece] = rendered.gained
        self.ready[piece] = True

    @property
    def rendered_bytes(self) -> int:
        """Of the pieces that are stretched; the others are the source itself."""
        rendered = np.diff(self.plan.heard) != np.diff(self.plan.source)
        return 4 * self.source.region.channels * int(np.diff(self.plan.heard)[rendered].sum())


class Renderer:
    """Turns plans into mixes. One thread uses it.

    It remembers where the pieces of the last plan lie, so that an edit costs what it changes: pieces with
    the same key are found by comparing arrays, not one by one.
    """

    def __init__(self, arena: Arena, cache: PieceCache | None = None) -> None:
        self.arena = arena
        self.cache = cache or PieceCache(arena)
        self._serials: Iterator[int] = count(1)
        self._clicks: dict[tuple[int, ClickSound, bool], Region] = {}
        self._known: dict[tuple[int, int], Placed] = {}

    def render(  # noqa: PLR0917 - everything a request carries
        self,
        plan: Plan,
        sources: Sources,
        publish: Publish,
        near: int = 0,
        is_wanted: Callable[[], bool] = always,
        progress: Progress = unheard,
    ) -> None:
        """Publish a mix when the moment after `near` is ready, each time twice as much is, and at the end.

        Raises
        ------
        Cancelled
            If it was no longer wanted.
        """
        serial = next(self._serials)
        placed = self._place(plan, sources, serial)
        missing = _missing(placed, near, plan.frames)
        horizon = int(SOON_SECONDS * plan.rate)
        for done, (distance, clip, piece) in enumerate(missing):
            if not is_wanted():
                raise Cancelled
            if distance > horizon:
                publish(self._mix(plan, placed, serial))
                serial = next(self._serials)
                horizon = 2 * distance
            known = placed[clip]
            known.put(piece, self.cache.render(known.plan.key(piece), sources, serial))
            if done % 64 == 0:
                progress(done / len(missing))
        self.cache.held = sum(known.rendered_bytes for known in placed.values())
        publish(self._mix(plan, placed, serial))

    def _place(self, plan: Plan, sources: Sources, serial: int) -> dict[tuple[int, int], Placed]:
        """Find every piece that is there already; those of the last plan by comparing arrays."""
        is_over = self.cache.is_over
        last = {} if is_over else self._known
        self._known = {}
        for track_number, track in enumerate(plan.tracks):
            for clip_number, clip in enumerate(track.clips):
                source = sources.get(clip.content)
                if source is not None:
                    place = (track_number, clip_number)
                    self._known[place] = self._placed(clip, source, last.get(place), serial)
        if is_over:  # every piece in use was just asked for by name
            self.cache.make_room()
        return self._known

    def _placed(self, clip: ClipPlan, source: Source, last: Placed | None, serial: int) -> Placed:
        region = source.region
        verbatim = np.diff(clip.heard) == np.diff(clip.source)
        offsets = region.offset + clip.source[:-1] * region.channels
        placed = Placed(clip, source, offsets, np.zeros(len(clip)), verbatim)
        unknown = ~verbatim
        if last is not None and last.source is source:
            same = clip.same_pieces(last.plan)
            taken = unknown & (same >= 0)
            taken[taken] = last.ready[same[taken]]
            offsets[taken] = last.offsets[same[taken]]
            placed.gained[taken] = last.gained[same[taken]]
            placed.ready = verbatim | taken
            unknown &= ~taken
        if unknown.sum() > MANY_PIECES and not self.cache.is_over:
            return placed
        for piece in np.flatnonzero(unknown).tolist():
            rendered = self.cache.get(clip.key(piece), serial)
            if rendered is not None:
                placed.put(piece, rendered)
        return placed

    def _mix(self, plan: Plan, placed: Mapping[tuple[int, int], Placed], serial: int) -> Mix:
        lanes: list[Lane] = []
        total = gained = 0.0
        for (track_number, _), known in placed.items():
            gain = plan.tracks[track_number].gain
            lanes.append(_played_lane(known.plan, known.source, gain))
            lanes.append(_edited_lane(known, gain))
            total += known.source.energy * gain**2
            gained += float(known.gained.sum()) * gain**2
        gain = float(np.sqrt(max(total + gained, 0.0) / total)) if total > 0 else 1.0
        if plan.click is not None:
            lanes.extend(self._click_lanes(plan.click, plan.rate))
        return Mix(serial, plan.frames, tuple(lanes), gain)

    def _click_lanes(self, click: ClickPlan, rate: int) -> Iterator[Lane]:
        for places, is_accent in ((click.accents, True), (click.others, False)):
            key = (rate, click.sound, is_accent)
            if key not in self._clicks:
                sound = click_sound(rate, click.sound, is_accent=is_accent)
                self._clicks[key] = self.arena.allocate(*sound.shape)
                self._clicks[key].samples[:] = sound
            region, count = self._clicks[key], len(places)
            yield Lane(
                Side.BOTH,
                click.gain,
                places,
                np.full(count, region.frames),
                np.full(count, region.offset),
                np.full(count, region.channels),
            )


def _missing(
    placed: Mapping[tuple[int, int], Placed], near: int, end: int
) -> list[tuple[int, tuple[int, int], int]]:
    """(distance from the playhead, clip, piece) of all that is not rendered, nearest first."""
    clips = list(placed)
    distances, owners, numbers = [], [], []
    for owner, clip in enumerate(clips):
        known = placed[clip]
        pieces = np.flatnonzero(~known.ready)
        starts, ends = known.plan.heard[pieces], known.plan.heard[pieces + 1]
        distances.append(np.where(ends > near, np.maximum(0, starts - near), end))
        owners.append(np.full(len(pieces), owner))
        numbers.append(pieces)
    if not clips:
        return []
    distance, owner_of, number = (np.concatenate(each) for each in (distances, owners, numbers))
    order = np.lexsort((number, owner_of, distance))
    rows = zip(distance[order].tolist(), owner_of[order].tolist(), number[order].tolist(), strict=True)
    return [(far, clips[owner], piece) for far, owner, piece in rows]


def _edited_lane(known: Placed, gain: float) -> Lane:
    ready = known.ready
    lengths = np.diff(known.plan.heard)[ready]
    channels = np.full(len(lengths), known.source.region.channels)
    return Lane(Side.EDITED, gain, known.plan.heard[:-1][ready], lengths, known.offsets[ready], channels)


def _played_lane(clip: ClipPlan, source: Source, gain: float) -> Lane:
    """The clip's span as it was recorded, from its first anchor to its last."""
    first, last = int(clip.source[0]), int(clip.source[-1])
    offset = source.region.offset + first * source.region.channels
    return Lane(
        Side.AS_PLAYED,
        gain,
        np.array([clip.played_at]),
        np.array([last - first]),
        np.array([offset]),
        np.array([source.region.channels]),
    )


def render_mix(renderer: Renderer, plan: Plan, sources: Sources, progress: Progress = unheard) -> Mix:
    """The whole mix, in this thread."""
    mixes: list[Mix] = []
    renderer.render(plan, sources, mixes.append, progress=progress)
    return mixes[-1]


class OfflineMix:
    """A mix read block by block, through the same table and function as the player's."""

    def __init__(self, mix: Mix, arena: Arena, *, channels: int = OUT_CHANNELS) -> None:
        self._table = MixTable(bytearray(TABLE_BYTES))
        self._table.write(mix)
        self._floats = arena.floats
        self.channels = channels
        self.frames = mix.frames

    def read(self, start: int, frames: int, side: Side = Side.EDITED) -> Samples:
        """float32, shape (frames, channels): what is heard from session frame `start` on."""
        out = np.zeros((frames, self.channels), np.float32)
        self._table.add_into(out, start, side, self._floats)
        return out
