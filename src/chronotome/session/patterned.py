"""Hits of a pattern -> rows: each slice where its step is heard, as it was shaped."""

from dataclasses import dataclass, replace
from typing import Any, NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.bands import Instrument
from chronotome.dsp.stretch.engines import EngineName, MoveBy, StretchMaterial, engine_of
from chronotome.dsp.stretch.segment import PLAIN, Shape
from chronotome.dsp.tone import AS_RECORDED, Tone
from chronotome.session.grid import TempoMap
from chronotome.session.kits import Kit, tone_of
from chronotome.session.limits import ContentHash
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import Recording, Take
from chronotome.session.patterns import Pattern
from chronotome.session.rounds import PatternHits, hit_ids
from chronotome.session.runs import HIGHEST, LOUDEST, SOFTEST
from chronotome.session.score import NO_HIT, Score, joined
from chronotome.session.sliced import FALL_SECONDS, RISE_SECONDS
from chronotome.session.targets import Targets
from chronotome.units import Frames

Column = NDArray[Any]
LEAST_TIMES, MOST_TIMES = 0.125, 8.0


@dataclass(frozen=True, eq=False)
class Patterned:
    """The rows of a pattern, and where each of its hits is heard."""

    score: Score
    laid: PatternHits
    starts: Frames
    """Session frames, one per hit, as `ends`."""
    ends: Frames


@dataclass(frozen=True, eq=False)
class _Sources:
    """The slices of a kit at the session's rate: columns, one entry per slice."""

    contents: tuple[ContentHash, ...]
    recording: Frames
    start: Frames
    end: Frames
    total: Frames
    """Frames of its recording."""
    engine: NDArray[np.object_]
    """What stretches it."""
    columns: dict[str, Column]
    tones: tuple[Tone, ...]
    going_on: tuple[tuple[int, ...], ...]
    """For each slice, those in which its sound goes on."""


@by_identity(64)
def _sources(kit: Kit, recordings: tuple[Recording, ...], rate: int) -> _Sources:
    contents = tuple(dict.fromkeys(each.recording for each in kit.slices))
    found = {each.content: each for each in recordings}
    numbers = {content: number for number, content in enumerate(contents)}
    at = np.array([numbers[each.recording] for each in kit.slices])
    own = [found[each.recording] for each in kit.slices]

    def at_rate(frames: list[int]) -> Frames:
        pairs = zip(frames, own, strict=True)
        return np.array([round(frame * (rate / each.rate)) for frame, each in pairs], np.int64)

    engines = np.empty(len(own), np.object_)
    engines[:] = [_stretching(each.material) for each in own]
    names = ("loudness", "pan", "semitones", "is_reversed", "fade_in", "fade_out", "choke", "tempo")
    tones = [tone_of(each) for each in kit.slices]
    columns = {name: np.array([getattr(each, name) for each in kit.slices]) for name in names}
    columns["is_toned"] = np.array([each != AS_RECORDED for each in tones])
    return _Sources(
        contents,
        at,
        at_rate([each.start for each in kit.slices]),
        at_rate([each.end for each in kit.slices]),
        at_rate([each.frames for each in own]),
        engines,
        columns,
        tuple(tones),
        _going_on(kit),
    )


def _going_on(kit: Kit) -> tuple[tuple[int, ...], ...]:
    begins: dict[tuple[str, int], list[int]] = {}
    follows: dict[int, list[int]] = {}
    for at, each in enumerate(kit.slices):
        begins.setdefault((each.recording, each.start), []).append(at)
        if each.follows:
            follows.setdefault(each.follows, []).append(at)
    return tuple(
        (*begins.get((each.recording, each.end), ()), *follows.get(each.id, ())) for each in kit.slices
    )


def _stretching(material: Instrument) -> EngineName:
    return engine_of(MoveBy.STRETCHING, StretchMaterial.HEARD, material)


class _Sounds(NamedTuple):
    """What is heard: a hit, or one of its repeats; columns. Source frames [start, start + span)."""

    hit: Frames
    slice: Frames
    heard: Frames
    start: Frames
    span: Frames
    length: Frames
    loudness: Column
    is_whole: NDArray[np.bool_]
    """Which sound to their ends."""

    def only(self, which: NDArray[np.bool_]) -> "_Sounds":
        if which.all():
            return self
        columns: list[Any] = [column[which] for column in self]
        return _Sounds(*columns)


@by_identity(MANY)
def patterned(  # noqa: PLR0917 - found again by the identity of each
    take: Take,
    laid: PatternHits,
    pattern: Pattern,
    kit: Kit,
    recordings: tuple[Recording, ...],
    targets: Targets | None,
    louder: NDArray[np.float64] | None,
    tempo: TempoMap,
    rate: int,
) -> Patterned:
    """Rows of a take that plays a pattern; without targets, each hit where its step was put.

    `louder` are dB that Tighten adds, one a target.
    """
    ids, heard, loudness = hit_ids(laid, pattern), laid.start + laid.frames, np.zeros(len(laid))
    if targets is not None:
        moved = np.where(targets.target == targets.played, -1, targets.target)
        landed = _of_targets(ids, targets, moved, -1)
        heard = np.where(landed >= 0, landed, heard)
        if louder is not None:
            loudness = loudness + _of_targets(ids, targets, louder, 0.0)
    made = _PatternRows(take, laid, pattern, kit, _sources(kit, recordings, rate), tempo, rate)
    return made.patterned(np.maximum(heard, 0), loudness)


def _of_targets(ids: Frames, targets: Targets, values: Column, usual: float) -> Column:
    """For each hit the value of its target; what is usual where it has none."""
    if not len(targets.onsets) or not len(ids):
        return np.full(len(ids), usual, values.dtype)
    order = np.argsort(targets.onsets, kind="stable")
    known = targets.onsets[order]
    at = np.minimum(known.searchsorted(ids), len(known) - 1)
    return np.where(known[at] == ids, values[order][at], usual)


class _PatternRows:
    """The rows of one take."""

    def __init__(  # noqa: PLR0917 - what a take is heard by
        self,
        take: Take,
        laid: PatternHits,
        pattern: Pattern,
        kit: Kit,
        sources: _Sources,
        tempo: TempoMap,
        rate: int,
    ) -> None:
        self._laid, self._pattern, self._kit, self._sources = laid, pattern, kit, sources
        self._tempo, self._rate = tempo, rate
        numbers = np.array([each.id for each in kit.slices])
        order = np.argsort(numbers)
        wanted = pattern.column("slices")[laid.step]
        at = np.minimum(numbers[order].searchsorted(wanted), len(numbers) - 1)
        self._slice = order[at]
        self._is_there = numbers[self._slice] == wanted  # another kit may have fewer
        more = 0.0 if take.playing is None else take.playing.semitones
        own = sources.columns["semitones"][self._slice] + pattern.column("semitones")[laid.step]
        self._semitones = np.clip(np.round(own + kit.semitones + more, 4), -HIGHEST, HIGHEST)
        self._times = self._lengthening()
        self._first = laid.start

    def _lengthening(self) -> Column:
        """How many times as long each slice sounds as it was recorded."""
        tempo = self._sources.columns["tempo"][self._slice]
        times = np.ones(len(self._laid))
        if self._kit.fits_song:
            ahead = self._tempo.seconds_at(self._laid.beats + 1.0) - self._tempo.seconds_at(self._laid.beats)
            fits = tempo > 0
            times[fits] = ahead[fits] * tempo[fits] / 60.0
        elif self._kit.by_tape:
            times = np.asarray(2.0 ** (-self._semitones / 12))
        return np.clip(np.where(np.abs(times - 1) < 1e-6, 1.0, times), LEAST_TIMES, MOST_TIMES)

    def patterned(self, heard: Frames, louder: Column) -> Patterned:
        sounds = self._choked(self._sounds(heard, louder))
        sounds = sounds.only((sounds.length > 0) & self._is_there[sounds.hit])
        ends = heard.copy()
        np.maximum.at(ends, sounds.hit, sounds.heard + sounds.length)
        score = self._score(sounds) if len(sounds.hit) else self._silence()
        return Patterned(score, self._laid, heard, ends)

    def _sounds(self, heard: Frames, louder: Column) -> _Sounds:
        """Each hit, or each of its repeats, as long as it sounds."""
        laid, pattern, sources = self._laid, self._pattern, self._sources
        wanted = pattern.column("lengths")[laid.step]
        until = self._tempo.seconds_at(laid.beats + wanted) - self._tempo.seconds_at(laid.beats)
        wanted = np.rint(until * self._rate).astype(np.int64)
        start = sources.start[self._slice]
        own = sources.end[self._slice] - start
        out = np.maximum(1, np.rint(own * self._times)).astype(np.int64)
        room = np.where(wanted > 0, wanted, out)
        repeats = pattern.column("repeats")[laid.step]
        hit = np.repeat(np.arange(len(laid)), repeats)
        number = np.arange(len(hit)) - np.repeat(np.cumsum(repeats) - repeats, repeats)
        begins = np.rint(room[hit] * number / repeats[hit]).astype(np.int64)
        until_next = np.rint(room[hit] * (number + 1) / repeats[hit]).astype(np.int64) - begins
        rings = (
            (repeats == 1) & ~sources.columns["is_reversed"][self._slice].astype(np.bool_) & (wanted > out)
        )
        most = np.where(rings, sources.total[self._slice] - start, own)
        longest = np.where(rings, np.maximum(out, np.floor(most * self._times)), out).astype(np.int64)
        length = np.minimum(until_next, longest[hit])
        span = np.clip(np.rint(length / self._times[hit]), 1, most[hit])
        span = np.where(length == out[hit], own[hit], span).astype(np.int64)
        turned = sources.columns["is_reversed"][self._slice][hit].astype(np.bool_)
        slope = pattern.column("slopes")[laid.step][hit] * number / np.maximum(1, repeats[hit] - 1)
        return _Sounds(
            hit,
            self._slice[hit],
            heard[hit] + begins,
            start[hit] + np.where(turned, np.maximum(0, own[hit] - span), 0),
            span,
            length,
            (pattern.column("loudness")[laid.step] + louder)[hit] + slope,
            (length == out[hit]) & (repeats[hit] == 1),
        )

    def _choked(self, sounds: _Sounds) -> _Sounds:
        """Cut where another of the same choke group begins; of two at one frame the later one sounds."""
        groups = self._sources.columns["choke"][sounds.slice]
        if not groups.any():
            return sounds
        order = np.lexsort((sounds.heard, groups))
        same = (groups[order][1:] == groups[order][:-1]) & (groups[order][1:] > 0)
        room = np.where(same, np.diff(sounds.heard[order]), np.iinfo(np.int64).max)
        until = np.full(len(order), np.iinfo(np.int64).max)
        until[order[:-1]] = room
        cut = until < sounds.length
        length = np.minimum(sounds.length, until)
        times = self._times[sounds.hit]
        span = np.where(cut, np.clip(np.rint(length / times), 1, sounds.span), sounds.span).astype(np.int64)
        turned = self._sources.columns["is_reversed"][sounds.slice].astype(np.bool_)
        start = sounds.start + np.where(turned, sounds.span - span, 0)
        return sounds._replace(start=start, length=length, span=span, is_whole=sounds.is_whole & ~cut)

    def _silence(self) -> Score:
        """One row of a frame that nobody hears: a pattern without a step."""
        source, heard = np.array([0, 1]), self._first + np.array([0, 1])
        score = joined(self._sources.contents[0], self._rate, EngineName.CUTTING, source, heard)
        return replace(score, gains=np.zeros((1, 2)))

    def _goes_on(self, sounds: _Sounds) -> tuple[Frames, NDArray[np.bool_]]:
        """For each sound the one that goes on where it ends, as recorded, or -1; and which are such."""
        columns = self._sources.columns
        is_plain = sounds.is_whole & (self._times[sounds.hit] == 1.0) & (self._semitones[sounds.hit] == 0)
        for name in ("is_reversed", "is_toned", "fade_in", "fade_out"):
            is_plain &= ~columns[name][sounds.slice].astype(np.bool_)
        following, is_led = np.full(len(sounds.hit), -1), np.zeros(len(sounds.hit), np.bool_)
        plain = np.flatnonzero(is_plain).tolist()
        slices, heard = sounds.slice.tolist(), sounds.heard.tolist()
        places = {(slices[at], heard[at]): at for at in plain}
        ends = (sounds.heard + sounds.length).tolist()
        for at in plain:
            for other in self._sources.going_on[slices[at]]:
                found = places.get((other, ends[at]))
                if found is not None and not is_led[found]:
                    following[at], is_led[found] = found, True
                    break
        return following, is_led

    def _score(self, sounds: _Sounds) -> Score:
        sources, slices = self._sources, sounds.slice
        columns = {name: column[slices] for name, column in sources.columns.items()}
        loudness = np.clip(columns["loudness"] + sounds.loudness, SOFTEST, LOUDEST)
        step = self._laid.step[sounds.hit]
        pans = np.clip(columns["pan"] + self._pattern.column("pans")[step], -1.0, 1.0)
        sides = np.stack([np.minimum(1.0, 1.0 - pans), np.minimum(1.0, 1.0 + pans)], axis=1)
        gains = sides * (10 ** (loudness / 20))[:, None]
        following, is_led = self._goes_on(sounds)
        ending = np.where((following >= 0)[:, None], gains[following], gains)
        rises, falls = self._edges(sounds, columns, following >= 0)
        is_tape = self._is_by_tape
        count = len(slices)
        rows = {
            "recording": sources.recording[slices],
            "start": sounds.start,
            "end": sounds.start + sounds.span,
            "heard": sounds.heard,
            "length": sounds.length,
            "onset": hit_ids(self._laid, self._pattern)[sounds.hit],
            "gains": gains,
            "semitones": np.zeros(count) if is_tape else self._semitones[sounds.hit],
            "is_reversed": columns["is_reversed"].astype(np.bool_),
            "rises": rises,
            "falls": falls,
            "ending": ending,
            "next": following,
            "number": np.arange(count),
        }
        leads = self._leads(sounds, columns, is_led, gains)
        rows = {name: np.concatenate([column, leads[name]]) for name, column in rows.items()}
        order = np.argsort(rows["heard"], kind="stable")
        rows = {name: column[order] for name, column in rows.items()}
        number, following = rows.pop("number"), rows.pop("next")
        joins = np.append((following[:-1] >= 0) & (following[:-1] == number[1:]), False)
        shapes = self._shapes(sounds, columns)
        all_shapes = tuple(PLAIN if at < 0 else shapes[at] for at in number.tolist()) if shapes else ()
        return Score(self._rate, EngineName.CUTTING, sources.contents, joins=joins, shapes=all_shapes, **rows)

    @property
    def _is_by_tape(self) -> bool:
        return self._kit.by_tape and not self._kit.fits_song

    def _shapes(self, sounds: _Sounds, columns: dict[str, Column]) -> list[Shape]:
        """What renders each sound; none where all are as recorded."""
        times, semitones = self._times[sounds.hit], self._semitones[sounds.hit]
        special = (times != 1.0) | (semitones != 0) | columns["is_toned"]
        if not special.any():
            return []
        shapes = [PLAIN] * len(special)
        for at in np.flatnonzero(special).tolist():
            engine = EngineName.TAPE if self._is_by_tape else self._sources.engine[sounds.slice[at]]
            is_moved = times[at] != 1.0 or semitones[at] != 0
            tone = self._sources.tones[sounds.slice[at]]
            shapes[at] = PLAIN._replace(engine=engine if is_moved else None, tone=tone)
        return shapes

    def _edges(
        self, sounds: _Sounds, columns: dict[str, Column], goes_on: NDArray[np.bool_]
    ) -> tuple[Frames, Frames]:
        """Session frames between which sounds come in and go out."""
        length, heard = sounds.length, sounds.heard
        per_ms, turned = self._rate / 1000, columns["is_reversed"].astype(np.bool_)
        rise = np.rint(columns["fade_in"] * per_ms).astype(np.int64)
        fall = np.rint(columns["fade_out"] * per_ms).astype(np.int64)
        is_end = (sounds.start + sounds.span == self._sources.total[sounds.slice]) & sounds.is_whole
        soft = np.where(goes_on | is_end, 0, np.minimum(round(FALL_SECONDS * self._rate), length // 2))
        rise = np.where(turned, np.maximum(rise, soft), rise)
        fall = np.where(turned, fall, np.maximum(fall, soft))
        rise, fall = np.minimum(rise, length), np.minimum(fall, length)
        rises = np.stack([heard, heard + rise], axis=1)
        falls = np.stack([heard + length - fall, heard + length], axis=1)
        rises[rise == 0] = 0
        falls[fall == 0] = 0
        return rises, falls

    def _leads(
        self, sounds: _Sounds, columns: dict[str, Column], is_led: NDArray[np.bool_], gains: Column
    ) -> dict[str, Column]:
        """More rows: what sounds just before attacks, as they come in; of reversed ones, as they go out."""
        turned = columns["is_reversed"].astype(np.bool_)
        room = np.where(turned, sounds.start, sounds.heard - self._first)
        before = np.minimum(np.minimum(round(RISE_SECONDS * self._rate), sounds.start), room)
        at = np.flatnonzero(~is_led & (before > 0) & (columns["fade_in"] == 0))
        lead, turned = before[at], turned[at]
        heard = np.where(turned, sounds.heard[at] + sounds.length[at], sounds.heard[at] - lead)
        span = np.stack([heard, heard + lead], axis=1)
        return {
            "recording": self._sources.recording[sounds.slice[at]],
            "start": sounds.start[at] - lead,
            "end": sounds.start[at],
            "heard": heard,
            "length": lead,
            "onset": np.full(len(at), NO_HIT),
            "gains": gains[at],
            "semitones": np.zeros(len(at)),
            "is_reversed": turned,
            "rises": np.where(turned[:, None], 0, span),
            "falls": np.where(turned[:, None], span, 0),
            "ending": gains[at],
            "next": np.full(len(at), -1),
            "number": np.full(len(at), -1),
        }
