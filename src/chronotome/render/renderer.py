"""Plan -> mix: renders what is missing, nearest to the playhead first, and hands the mix over."""

from collections.abc import Callable, Iterator, Mapping
from itertools import count

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.errors import Cancelled
from chronotome.progress import Progress, unheard
from chronotome.render.arena import Arena, Region
from chronotome.render.cache import PieceCache, Rendered
from chronotome.render.mix import OUT_CHANNELS, TABLE_BYTES, Lane, Mix, MixTable, Side
from chronotome.render.plan import ClickPlan, ClipPlan, PieceKey, Plan
from chronotome.render.pool import Source
from chronotome.session.model import ContentHash

SOON_SECONDS = 2.0
ACCENT_HERTZ, BEAT_HERTZ = 1760.0, 1174.7
Sources = Mapping[ContentHash, Source]
Publish = Callable[[Mix], None]


def always() -> bool:
    return True


class Renderer:
    """Turns plans into mixes. One thread uses it."""

    def __init__(self, arena: Arena, cache: PieceCache | None = None) -> None:
        self.arena = arena
        self.cache = cache or PieceCache(arena)
        self._serials: Iterator[int] = count(1)
        self._clicks: dict[int, tuple[Region, Region]] = {}

    def render(  # noqa: PLR0917 - everything a request carries
        self,
        plan: Plan,
        sources: Sources,
        publish: Publish,
        near: int = 0,
        is_wanted: Callable[[], bool] = always,
        progress: Progress = unheard,
    ) -> None:
        """Publish a mix when the seconds after `near` are ready, and again when all is.

        Raises
        ------
        Cancelled
            If it was no longer wanted.
        """
        serial = next(self._serials)
        missing = self._missing(plan, sources, serial, near)
        soon = int(SOON_SECONDS * plan.rate)
        is_told = False
        for done, (distance, key) in enumerate(missing):
            if not is_wanted():
                raise Cancelled
            if not is_told and distance > soon:
                publish(self._mix(plan, sources, serial))
                serial = next(self._serials)
                is_told = True
            self.cache.render(key, sources[key.content], serial)
            if done % 64 == 0:
                progress(done / len(missing))
        publish(self._mix(plan, sources, serial))

    def _missing(self, plan: Plan, sources: Sources, serial: int, near: int) -> list[tuple[int, PieceKey]]:
        """Keys that are not in the cache with their distance from the playhead, nearest first."""
        missing: list[tuple[int, PieceKey]] = []
        for clip in _known_clips(plan, sources):
            ends = clip.heard[1:]
            distances = np.where(ends > near, np.maximum(clip.heard[:-1] - near, 0), plan.frames)
            missing.extend(
                (distance, key)
                for key, distance in zip(clip.keys(), distances.tolist(), strict=True)
                if not key.is_verbatim and self.cache.get(key, serial) is None
            )
        missing.sort(key=lambda entry: entry[0])
        return missing

    def _mix(self, plan: Plan, sources: Sources, serial: int) -> Mix:
        lanes: list[Lane] = []
        total = gained = 0.0
        for track in plan.tracks:
            for clip in track.clips:
                source = sources.get(clip.content)
                if source is None:
                    continue
                lanes.append(_played_lane(clip, source, track.gain))
                lane, more = self._edited_lane(clip, source, track.gain, serial)
                lanes.append(lane)
                total += source.energy * track.gain**2
                gained += more * track.gain**2
        gain = float(np.sqrt(max(total + gained, 0.0) / total)) if total > 0 else 1.0
        if plan.click is not None:
            lanes.extend(self._click_lanes(plan.click, plan.rate))
        return Mix(serial, plan.frames, tuple(lanes), gain)

    def _click_lanes(self, click: ClickPlan, rate: int) -> Iterator[Lane]:
        if rate not in self._clicks:
            regions = []
            for frequency in ACCENT_HERTZ, BEAT_HERTZ:
                sound = click_sound(rate, frequency)
                region = self.arena.allocate(*sound.shape)
                region.samples[:] = sound
                regions.append(region)
            self._clicks[rate] = (regions[0], regions[1])
        for region, places in zip(self._clicks[rate], (click.accents, click.others), strict=True):
            count = len(places)
            yield Lane(
                Side.BOTH,
                click.gain,
                places,
                np.full(count, region.frames),
                np.full(count, region.offset),
                np.full(count, region.channels),
            )

    def _edited_lane(self, clip: ClipPlan, source: Source, gain: float, serial: int) -> tuple[Lane, float]:
        region, channels = source.region, source.region.channels
        keys = clip.keys()
        offsets = region.offset + clip.source[:-1] * channels
        ready = np.ones(len(keys), bool)
        gained = 0.0
        for index, key in enumerate(keys):
            if key.is_verbatim:
                continue
            piece: Rendered | None = self.cache.get(key, serial)
            if piece is None:
                ready[index] = False
            else:
                offsets[index] = piece.region.offset
                gained += piece.gained
        lane = Lane(
            Side.EDITED,
            gain,
            clip.heard[:-1][ready],
            np.diff(clip.heard)[ready],
            offsets[ready],
            np.full(int(ready.sum()), channels),
        )
        return lane, gained


def click_sound(rate: int, frequency: float) -> Samples:
    """A struck wooden bar, 30 ms, peak 1."""
    moments = np.arange(int(0.030 * rate)) / rate
    fade = np.exp(-moments / 0.006) * np.minimum(1, (len(moments) - np.arange(len(moments))) / (0.005 * rate))
    sound = np.sin(2 * np.pi * frequency * moments) + 0.3 * np.sin(2 * np.pi * 2.76 * frequency * moments)
    sound *= fade
    return (sound / np.abs(sound).max())[:, None].astype(np.float32)


def _known_clips(plan: Plan, sources: Sources) -> Iterator[ClipPlan]:
    for track in plan.tracks:
        for clip in track.clips:
            if clip.content in sources:
                yield clip


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
