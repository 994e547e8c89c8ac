"""Plan -> mix: renders what is missing, nearest to the playhead first, and hands the mix over."""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import count

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples
from chronotome.errors import Cancelled
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena, Region
from chronotome.render.cache import PieceCache, Rendered
from chronotome.render.click import ClickPlan, click_sound
from chronotome.render.mix import OUT_CHANNELS, TABLE_BYTES, Lane, Mix, MixTable, Part, Side
from chronotome.render.plan import ClipPlan, Fade, Plan, TakePlan, TrackPlan
from chronotome.render.pool import Source
from chronotome.session.limits import ContentHash
from chronotome.session.model import ClickSound, ClipId
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
    """What is known of a take's pieces: where each lies in the arena, and its gain in energy.

    Invariant: columns as long as the plan has pieces; `ready` is False where a piece was not rendered yet,
    `wanted` where no clip lets it sound.
    """

    plan: TakePlan
    source: Source
    offsets: Frames
    gained: NDArray[np.float64]
    ready: NDArray[np.bool_]
    wanted: NDArray[np.bool_]
    _is_whole: bool = False

    def put(self, piece: int, rendered: Rendered) -> None:
        self.offsets[piece] = rendered.region.offset
        self.gained[piece] = rendered.gained
        self.ready[piece] = True

    @property
    def is_whole(self) -> bool:
        """Whether every piece is rendered."""
        if not self._is_whole:
            self._is_whole = bool(self.ready.all())
        return self._is_whole

    def is_of(self, take: TakePlan, source: Source) -> bool:
        """Whether nothing is to be found out any more."""
        return self.plan is take and self.source is source and self.is_whole


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
        self._known: dict[ClipId, Placed] = {}
        self._laid: dict[int, _Laid] = {}

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
        distinct = list({id(each): each for each in placed.values()}.values())
        missing = _missing(distinct, near, plan.frames)
        horizon = int(SOON_SECONDS * plan.rate)
        for done, (distance, take, piece) in enumerate(missing):
            if not is_wanted():
                raise Cancelled
            if distance > horizon:
                publish(self._mix(plan, placed, serial))
                serial = next(self._serials)
                horizon = 2 * distance
            known = distinct[take]
            known.put(piece, self.cache.render(known.plan.key(piece), sources, serial))
            if done % 64 == 0:
                progress(done / len(missing))
        publish(self._mix(plan, placed, serial))
        self.cache.held = _held_bytes(distinct)

    def _place(self, plan: Plan, sources: Sources, serial: int) -> dict[ClipId, Placed]:
        """Find every piece that is there already; those of the last plan by comparing arrays.

        Clips with the same take share what is known of it.
        """
        is_over = self.cache.is_over
        last = {} if is_over else self._known
        self._known, by_take = {}, dict[int, Placed]()
        for clip in (clip for track in plan.tracks for clip in track.clips):
            source = sources.get(clip.take.content)
            if source is None:
                continue
            known = by_take.get(id(clip.take))
            if known is None:
                before = last.get(clip.id)
                if before is not None and before.is_of(clip.take, source):
                    known = before
                else:
                    known = self._placed(clip.take, source, before, serial)
                by_take[id(clip.take)] = known
            if not known.is_whole:
                known.wanted[clip.pieces] = True
            self._known[clip.id] = known
        if is_over:  # every piece in use was just asked for by name
            self.cache.make_room()
        return self._known

    def _placed(self, take: TakePlan, source: Source, last: Placed | None, serial: int) -> Placed:
        region = source.region
        verbatim = np.diff(take.heard) == np.diff(take.source)
        offsets = region.offset + take.source[:-1] * region.channels
        unwanted = np.zeros(len(take), np.bool_)
        placed = Placed(take, source, offsets, np.zeros(len(take)), verbatim, unwanted)
        unknown = ~verbatim
        if last is not None and last.source is source:
            same = take.same_pieces(last.plan)
            taken = unknown & (same >= 0)
            taken[taken] = last.ready[same[taken]]
            offsets[taken] = last.offsets[same[taken]]
            placed.gained[taken] = last.gained[same[taken]]
            placed.ready = verbatim | taken
            unknown &= ~taken
        if unknown.sum() > MANY_PIECES and not self.cache.is_over:
            return placed
        for piece in np.flatnonzero(unknown).tolist():
            rendered = self.cache.get(take.key(piece), serial)
            if rendered is not None:
                placed.put(piece, rendered)
        return placed

    def _mix(self, plan: Plan, placed: Mapping[ClipId, Placed], serial: int) -> Mix:
        lanes, parts, laid = list[Lane](), list[Part](), dict[int, _Laid]()
        for number, track in enumerate(plan.tracks):
            knowns = tuple(placed.get(clip.id) for clip in track.clips)
            found = self._laid.get(number)
            if found is None or not found.is_of(track, knowns):
                found = _laid_out(track, knowns)
            laid[number] = found
            lanes.extend(replace(lane, parts=lane.parts + len(parts)) for lane in found.lanes)
            parts.extend(found.parts)
        self._laid = laid
        total = sum(each.total for each in laid.values())
        gained = sum(each.gained for each in laid.values())
        gain = float(np.sqrt(max(total + gained, 0.0) / total)) if total > 0 else 1.0
        if plan.click is not None:
            lanes.extend(self._click_lanes(plan.click, plan.rate, len(parts)))
            parts.append(Part(plan.click.gain, plan.click.gain))
        return Mix(serial, plan.frames, tuple(lanes), tuple(parts), gain)

    def _click_lanes(self, click: ClickPlan, rate: int, part: int) -> Iterator[Lane]:
        for places, is_accent in ((click.accents, True), (click.others, False)):
            key = (rate, click.sound, is_accent)
            if key not in self._clicks:
                sound = click_sound(rate, click.sound, is_accent=is_accent)
                self._clicks[key] = self.arena.allocate(*sound.shape)
                self._clicks[key].samples[:] = sound
            region, count = self._clicks[key], len(places)
            yield Lane(
                Side.BOTH,
                places,
                np.full(count, region.frames),
                np.full(count, region.offset),
                np.full(count, region.channels),
                np.full(count, part),
            )


def _held_bytes(takes: Sequence[Placed]) -> int:
    """Of the pieces that a mix holds, each once, however many takes play it."""
    places, sizes = [np.zeros(0, np.int64)], [np.zeros(0, np.int64)]
    for known in takes:
        lengths = np.diff(known.plan.heard)
        rendered = known.ready & (lengths != np.diff(known.plan.source))
        places.append(known.offsets[rendered])
        sizes.append(4 * known.source.region.channels * lengths[rendered])
    _, firsts = np.unique(np.concatenate(places), return_index=True)
    return int(np.concatenate(sizes)[firsts].sum())


def _missing(takes: Sequence[Placed], near: int, end: int) -> list[tuple[int, int, int]]:
    """(distance from the playhead, take, piece) of all that is not rendered, nearest first."""
    distances, owners, numbers = [], [], []
    for owner, known in enumerate(takes):
        pieces = np.flatnonzero(~known.ready & known.wanted)
        starts, ends = known.plan.heard[pieces], known.plan.heard[pieces + 1]
        distances.append(np.where(ends > near, np.maximum(0, starts - near), end))
        owners.append(np.full(len(pieces), owner))
        numbers.append(pieces)
    if not takes:
        return []
    distance, owner_of, number = (np.concatenate(each) for each in (distances, owners, numbers))
    order = np.lexsort((number, owner_of, distance))
    return list(zip(distance[order].tolist(), owner_of[order].tolist(), number[order].tolist(), strict=True))


Columns = tuple[Frames, Frames, Frames, Frames]
"""Starts, lengths, offsets and channels of placements, in order."""


class _Loudness:
    """How much louder all of it is as edited than as played; parts of one take add up to the whole of it."""

    def __init__(self) -> None:
        self._takes: dict[tuple[int, float], tuple[Placed, Frames, list[int]]] = {}

    def add(self, clip: ClipPlan, known: Placed, gain: float) -> None:
        key = (id(clip.take), gain)
        if key not in self._takes:
            self._takes[key] = known, np.zeros(len(clip.take), np.int64), []
        _, heard_frames, source_frames = self._takes[key]
        heard, window = clip.take.heard[clip.pieces.start : clip.pieces.stop + 1], clip.window
        heard_frames[clip.pieces] += np.minimum(heard[1:], window.end) - np.maximum(heard[:-1], window.start)
        source_frames.append(window.last - window.first)

    @property
    def sums(self) -> tuple[float, float]:
        """Energy as played, and what is gained as edited."""
        total = gained = 0.0
        for (_, gain), (known, heard_frames, source_frames) in self._takes.items():
            share = sum(source_frames) / int(known.plan.source[-1] - known.plan.source[0])
            shares = heard_frames / np.diff(known.plan.heard)
            total += share * known.source.energy * gain**2
            gained += float((shares * known.gained).sum()) * gain**2
        return total, gained


@dataclass(frozen=True, eq=False)
class _Laid:
    """A track as it stands in a mix; the parts of its lanes count from 0."""

    track: TrackPlan
    knowns: tuple[Placed | None, ...]
    is_whole: bool
    lanes: tuple[Lane, ...]
    parts: tuple[Part, ...]
    total: float
    gained: float

    def is_of(self, track: TrackPlan, knowns: tuple[Placed | None, ...]) -> bool:
        """Whether it is still so: the very same clips, and all of them rendered."""
        return (
            self.is_whole
            and self.track.clips is track.clips
            and (self.track.gain, self.track.sides) == (track.gain, track.sides)
            and all(new is old for new, old in zip(knowns, self.knowns, strict=True))
        )


def _laid_out(track: TrackPlan, knowns: tuple[Placed | None, ...]) -> _Laid:
    edited, played = _Spread(Side.EDITED), _Spread(Side.AS_PLAYED)
    parts, loudness = list[Part](), _Loudness()
    for clip, known in zip(track.clips, knowns, strict=True):
        gain = track.gain * clip.gain
        if known is not None and gain:
            loudness.add(clip, known, gain)
            edited.add(_edited(clip, known), len(parts))
            played.add(_played(clip, known.source), len(parts) + 1)
            parts.extend(_parts(clip, gain, track.sides))
    is_whole = all(known is not None and known.is_whole for known in knowns)
    lanes = (*played.lanes(), *edited.lanes())
    return _Laid(track, knowns, is_whole, lanes, tuple(parts), *loudness.sums)


class _Spread:
    """Clips of a track laid out over as few lanes as need be: no two in one lane sound at once."""

    def __init__(self, side: Side) -> None:
        self._side = side
        self._lanes: list[list[tuple[Frames, ...]]] = []
        self._ends: list[int] = []

    def add(self, columns: Columns, part: int) -> None:
        starts, lengths = columns[:2]
        if not len(starts):
            return
        free = (lane for lane, end in enumerate(self._ends) if end <= starts[0])
        lane = next(free, len(self._lanes))
        if lane == len(self._lanes):
            self._lanes.append([])
            self._ends.append(0)
        self._lanes[lane].append((*columns, np.full(len(starts), part)))
        self._ends[lane] = int(starts[-1] + lengths[-1])

    def lanes(self) -> Iterator[Lane]:
        for clips in self._lanes:
            yield Lane(self._side, *(np.concatenate(column) for column in zip(*clips, strict=True)))


def _edited(clip: ClipPlan, known: Placed) -> Columns:
    """The pieces that are ready, the first and last of them only as far as the window lets them sound."""
    pieces, window, channels = clip.pieces, clip.window, known.source.region.channels
    ready = known.ready[pieces]
    heard = known.plan.heard[pieces.start : pieces.stop + 1]
    begins = np.maximum(heard[:-1], window.start)[ready]
    ends = np.minimum(heard[1:], window.end)[ready]
    offsets = known.offsets[pieces][ready] + (begins - heard[:-1][ready]) * channels
    return begins, ends - begins, offsets, np.full(len(begins), channels)


def _played(clip: ClipPlan, source: Source) -> Columns:
    """The clip's span as it was recorded."""
    first, last = clip.window.first, clip.window.last
    offset = source.region.offset + first * source.region.channels
    one = np.array([clip.played_at])
    return one, np.array([last - first]), np.array([offset]), np.array([source.region.channels])


def _parts(clip: ClipPlan, gain: float, sides: tuple[float, float]) -> tuple[Part, Part]:
    """How loud a clip is and how it begins and ends: as edited, as played."""
    begin, end = clip.played_at, clip.played_at + clip.window.last - clip.window.first
    rise, fall = clip.fade_in or Fade(0, 0), clip.fade_out or Fade(0, 0)
    up, down = (min(each.end - each.start, end - begin) for each in (rise, fall))
    left, right = (gain * side for side in sides)
    edited = Part(left, right, rise, fall)
    played = Part(left, right, (begin, begin + up) if up else (0, 0), (end - down, end) if down else (0, 0))
    return edited, played


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
