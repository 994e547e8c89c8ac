"""Plan -> mix: renders what is missing, nearest to the playhead first, and hands the mix over."""

from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import replace
from itertools import count

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.errors import Cancelled
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena, Region
from chronotome.render.cache import PieceCache
from chronotome.render.click import ClickPlan, click_sound
from chronotome.render.mix import (
    CLICK,
    FIRST_TRACK,
    OUT_CHANNELS,
    PART_COLUMNS,
    TABLE_BYTES,
    GainSegment,
    Mix,
    MixLane,
    MixTable,
    Parts,
    Side,
)
from chronotome.render.placements import Placed, TrackPlacement, laid_out
from chronotome.render.plan import ClipPlan, Plan, piece_of
from chronotome.render.pool import Source
from chronotome.render.rough import rough_joins
from chronotome.session.limits import ContentHash
from chronotome.session.model import ClickSound, ClipId
from chronotome.session.rough_joins import RoughJoins
from chronotome.session.score import Score

SOON_SECONDS = 0.4
NO_PARTS = np.zeros((0, PART_COLUMNS))
MANY_PIECES = 512
"""More unknown pieces than this are looked for in the cache only when their turn comes."""
Sources = Mapping[ContentHash, Source]
Publish = Callable[[Mix], None]


def always() -> bool:
    return True


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
        self._known_played: dict[ClipId, Placed] = {}
        """Of patterns as their steps were put, where Tighten moves them."""
        self._laid: dict[int, TrackPlacement] = {}
        self._rough: dict[int, RoughJoins] = {}
        self._makes_room = False

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
        every = (*placed.values(), *self._known_played.values())
        distinct = list({id(each): each for each in every}.values())
        missing = _missing(distinct, near, plan.frames)
        horizon = int(SOON_SECONDS * plan.rate)
        for done, (distance, owner, row) in enumerate(missing):
            if not is_wanted():
                raise Cancelled
            if distance > horizon:
                publish(self._mix(plan, placed, serial))
                self._make_room()
                serial = next(self._serials)
                horizon = 2 * distance
            known = distinct[owner]
            known.put(row, self.cache.render(piece_of(known.score, row), sources, serial))
            if done % 64 == 0:
                progress(done / len(missing))
        publish(self._mix(plan, placed, serial))
        self._make_room()
        self.cache.held = _held_bytes(distinct)

    def _make_room(self) -> None:
        """Once a mix was handed over, so that nobody waits for it."""
        if self._makes_room:  # every piece in use was asked for by name
            self._makes_room = False
            self.cache.make_room()

    def rough(self, plan: Plan, is_wanted: Callable[[], bool] = always) -> tuple[RoughJoins, ...]:
        """Joins above the proof of the plan that was rendered last; of the same score the very same."""
        before, self._rough = self._rough, {}
        for clip in (clip for track in plan.tracks for clip in track.clips):
            placed = self._known.get(clip.id)
            if placed is None or id(placed.score) in self._rough:
                continue
            found = before.get(id(placed.score))
            if found is None or found.score is not placed.score:
                found = rough_joins(placed, is_wanted)
            if found is None:
                break
            self._rough[id(placed.score)] = found
        return tuple(each for each in self._rough.values() if len(each.rows))

    def _place(self, plan: Plan, sources: Sources, serial: int) -> dict[ClipId, Placed]:
        """Find every piece that is there already; those of the last plan by comparing arrays.

        Clips with the same score share what is known of it.
        """
        is_over = self.cache.is_over
        last, last_played = ({}, {}) if is_over else (self._known, self._known_played)
        self._known, self._known_played, by_score = {}, {}, dict[int, Placed]()
        for clip in (clip for track in plan.tracks for clip in track.clips):
            for score, before, kept in zip(
                clip.scores, (last, last_played), (self._known, self._known_played), strict=False
            ):
                known = self._known_of(score, clip, sources, before.get(clip.id), by_score, serial)
                if known is None:
                    break
                kept[clip.id] = known
        self._makes_room = is_over
        return self._known

    def _known_of(  # noqa: PLR0917 - what is known so far
        self,
        score: Score,
        clip: ClipPlan,
        sources: Sources,
        before: Placed | None,
        by_score: dict[int, Placed],
        serial: int,
    ) -> Placed | None:
        """What is known of a score that a clip plays; None where a recording of it is not there."""
        found = tuple(sources[each] for each in score.recordings if each in sources)
        if len(found) < len(score.recordings):
            return None
        known = by_score.get(id(score))
        if known is None:
            if before is not None and before.is_of(score, found):
                known = before
            else:
                known = self._placed(score, found, before, serial)
            by_score[id(score)] = known
        if not known.is_whole:
            known.wanted[clip.rows_of(score)] = True
        return known

    def _placed(self, score: Score, sources: tuple[Source, ...], last: Placed | None, serial: int) -> Placed:
        regions = [source.region for source in sources]
        if len(regions) == 1:
            channels = np.full(len(score), regions[0].channels)
            offsets = regions[0].offset + score.start * regions[0].channels
        else:
            channels = np.array([region.channels for region in regions])[score.recording]
            offsets = np.array([region.offset for region in regions])[score.recording]
            offsets += score.start * channels
        count, verbatim = len(score), score.as_recorded.copy()
        unwanted = np.zeros(count, np.bool_)
        placed = Placed(
            score, sources, channels, offsets, np.zeros(count), np.zeros(count), verbatim, unwanted
        )
        unknown = ~verbatim
        if last is not None and last.has(sources):
            same = score.same_rows(last.score)
            taken = unknown & (same >= 0)
            taken[taken] = last.ready[same[taken]]
            offsets[taken] = last.offsets[same[taken]]
            placed.gained[taken] = last.gained[same[taken]]
            placed.rough[taken] = last.rough[same[taken]]
            placed.ready = verbatim | taken
            unknown &= ~taken
        if unknown.sum() > MANY_PIECES and not self.cache.is_over:
            return placed
        for row in np.flatnonzero(unknown).tolist():
            rendered = self.cache.get(piece_of(score, row), serial)
            if rendered is not None:
                placed.put(row, rendered)
        return placed

    def _mix(self, plan: Plan, placed: Mapping[ClipId, Placed], serial: int) -> Mix:
        lanes, parts, laid, count = list[MixLane](), list[Parts](), dict[int, TrackPlacement](), 0
        for number, track in enumerate(plan.tracks):
            knowns = tuple(placed.get(clip.id) for clip in track.clips)
            played = tuple(self._known_played.get(clip.id) for clip in track.clips)
            found = self._laid.get(number)
            if found is None or not found.is_of(track, (*knowns, *played)):
                found = laid_out(track, knowns, played)
            laid[number] = found
            bus = FIRST_TRACK + number
            lanes.extend(replace(lane, parts=lane.parts + count, bus=bus) for lane in found.lanes)
            parts.append(found.parts)
            count += len(found.parts)
        self._laid = laid
        total = sum(each.total for each in laid.values())
        gained = sum(each.gained for each in laid.values())
        gain = float(np.sqrt(max(total + gained, 0.0) / total)) if total > 0 else 1.0
        if plan.click is not None:
            lanes.extend(self._click_lanes(plan.click, plan.rate, count))
            parts.append(GainSegment(plan.click.gain, plan.click.gain).row())
        return Mix(serial, plan.frames, tuple(lanes), np.concatenate([NO_PARTS, *parts]), gain)

    def _click_lanes(self, click: ClickPlan, rate: int, part: int) -> Iterator[MixLane]:
        for places, is_accent in ((click.accents, True), (click.others, False)):
            key = (rate, click.sound, is_accent)
            if key not in self._clicks:
                sound = click_sound(rate, click.sound, is_accent=is_accent)
                self._clicks[key] = self.arena.allocate(*sound.shape)
                self._clicks[key].samples[:] = sound
            region, count = self._clicks[key], len(places)
            yield MixLane(
                Side.BOTH,
                places,
                np.full(count, region.frames),
                np.full(count, region.offset),
                np.full(count, region.channels),
                np.full(count, part),
                bus=CLICK,
            )


def _held_bytes(scores: Sequence[Placed]) -> int:
    """Of the pieces that a mix holds, each once, however many scores play it."""
    places, sizes = [np.zeros(0, np.int64)], [np.zeros(0, np.int64)]
    for known in scores:
        rendered = known.ready & ~known.score.as_recorded
        places.append(known.offsets[rendered])
        sizes.append(4 * known.channels[rendered] * known.score.length[rendered])
    _, firsts = np.unique(np.concatenate(places), return_index=True)
    return int(np.concatenate(sizes)[firsts].sum())


def _missing(scores: Sequence[Placed], near: int, end: int) -> list[tuple[int, int, int]]:
    """(distance from the playhead, score, row) of all that is not rendered, nearest first."""
    distances, owners, numbers = [], [], []
    for owner, known in enumerate(scores):
        rows = np.flatnonzero(~known.ready & known.wanted)
        starts = known.score.heard[rows]
        ends = starts + known.score.length[rows]
        distances.append(np.where(ends > near, np.maximum(0, starts - near), end))
        owners.append(np.full(len(rows), owner))
        numbers.append(rows)
    if not scores:
        return []
    distance, owner_of, number = (np.concatenate(each) for each in (distances, owners, numbers))
    order = np.lexsort((number, owner_of, distance))
    return list(zip(distance[order].tolist(), owner_of[order].tolist(), number[order].tolist(), strict=True))


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
