"""Onsets + grid + settings -> targets: computed, never baked."""

from dataclasses import dataclass, fields, replace
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from chronotome.session.counting import counted_of
from chronotome.session.follow import fitted_of
from chronotome.session.grid import TempoMap
from chronotome.session.lines import SAME_STEP, LineRules, lines_over
from chronotome.session.match import HitFeatures, Pairs, paired
from chronotome.session.memo import MANY, by_identity, by_parts
from chronotome.session.metre import MetreMap
from chronotome.session.model import Recording, Session, Take, Track, TrackId, placed_take
from chronotome.session.moves import Ends, MoveSettings
from chronotome.session.near_moves import HitRules
from chronotome.session.onsets import Onsets
from chronotome.session.patterns import Pattern
from chronotome.session.recipes import ScopedSettings, matching, recipes_of, shortest_step
from chronotome.session.rounds import PatternHits, hit_ids
from chronotome.session.settings import Alone
from chronotome.session.strokes import SHARE_OF_STEP, Strokes, strokes_of
from chronotome.session.targets import Targets
from chronotome.session.time_map import TimeMap
from chronotome.units import BeatArray, Frames, at_other_rate, frames_at


def targets_of(session: Session, track: Track, take: Take) -> Targets:
    """Targets of a take by its own onsets, and the recipes that hold where they are."""
    recording = session.recording_of(take)
    counts = counted_of(session, take)
    fitted = fitted_of(session, track, take)
    recipes = recipes_of(session, track, take)
    clock = track.own_tempo or session.tempo, session.metre, session.rate
    pairs = pairs_of(session, track, take)
    placed = placed_take(take)
    if take.playing is None:
        return _targets(placed, recording, counts, recipes, *clock, fitted, pairs)
    laid, pattern, _ = session.played_by(take, take.playing)
    return _of_voices(placed, recording, recipes, *clock, fitted, pairs, laid, pattern)


@by_identity(MANY)
def _of_voices(  # noqa: PLR0917 - found again by the identity of each
    take: Take,
    recording: Recording,
    recipes: ScopedSettings,
    tempo: TempoMap,
    metre: MetreMap,
    rate: int,
    fit: TimeMap | None,
    pairs: Pairs | None,
    laid: PatternHits,
    pattern: Pattern,
) -> Targets:
    """Targets of a pattern, slice by slice: hits of others may share a line; each is a stroke by itself."""
    voices = _voices(recording, laid, pattern)
    parts = [_targets(take, recording, own, recipes, tempo, metre, rate, fit, pairs) for _, own in voices]
    if len(parts) == 1:
        return parts[0]
    of = np.repeat(np.array([number for number, _ in voices]), [len(part.onsets) for part in parts])
    columns = {
        name: np.concatenate([getattr(part, name) for part in parts])
        for name in (each.name for each in fields(Targets))
        if name not in {"rate", "voices", "strokes", "leads"}
    }
    order = np.argsort(columns["played"], kind="stable")
    made = {name: column[order] for name, column in columns.items()}
    every = np.arange(len(order))
    return Targets(**made, strokes=every, leads=every, rate=rate, voices=of[order])


@by_identity(256)
def _voices(
    recording: Recording, laid: PatternHits, pattern: Pattern
) -> tuple[tuple[int, NDArray[np.bool_]], ...]:
    """The slices that a pattern plays, and for each which of its hits are its own."""
    slices = pattern.column("slices")[laid.step]
    ids, order = hit_ids(laid, pattern), recording.onsets.id_array
    by_id = dict(zip(ids.tolist(), slices.tolist(), strict=True))
    of = np.array([by_id[each] for each in order.tolist()], np.int64)
    numbers = np.unique(of).tolist() or [0]
    return tuple((number, of == number) for number in numbers)


def pairs_of(session: Session, track: Track, take: Take) -> Pairs | None:
    """The hits of a take paired with those of the take that it is matched to; None where it is to none.

    The other's hits are where it is heard. What goes round in a circle is matched to nothing.
    """
    matches = [each.match for each in recipes_of(session, track, take).every if each.match is not None]
    if not matches or _goes_round(session, track.id, matches[0].track):
        return None
    match, rate = matches[0], session.rate
    other = next(each for each in session.tracks if each.id == match.track)
    guide = session.track(session.guide_of(other.id))
    beside = session.beside(guide, take)
    if beside is None:
        return None
    fit = fitted_of(session, track, take)
    recording, counts = session.recording_of(take), counted_of(session, take)
    places = _places(recording, counts, take.source_start, take.start, rate, fit)
    theirs = targets_of(session, guide, beside)
    own = _heard(recording.onsets, places.chosen, places.fitted)
    return paired(own, _heard_of(session.recording_of(beside), theirs), match.within, rate, match.said)


def _goes_round(session: Session, track: TrackId, other: TrackId) -> bool:
    """Whether a track would be matched to itself, be it by way of others; or to one that is not there."""
    known = {each.id: each for each in session.tracks}
    seen = {session.guide_of(track)}
    while other in known:
        other = session.guide_of(other)
        if other in seen:
            return True
        seen.add(other)
        recipes = (known[other].tighten, *(take.tighten for take in known[other].takes if take.tighten))
        recipes = (*recipes, *(span.recipe for span in known[other].spans))
        following = [each.match.track for each in recipes if each.match is not None]
        if not following:
            return False
        other = following[0]
    return True


@by_identity(64)
def _heard(onsets: Onsets, chosen: Frames, frames: Frames) -> HitFeatures:
    traits = onsets.level_array[chosen], onsets.timbre_array[chosen]
    return HitFeatures(onsets.id_array[chosen], frames, *traits)


@by_identity(64)
def _heard_of(recording: Recording, targets: Targets) -> HitFeatures:
    at = np.flatnonzero(np.isin(recording.onsets.id_array, targets.onsets))
    return _heard(recording.onsets, at, targets.target)


@by_identity(MANY)
def _targets(  # noqa: PLR0917 - found again by the identity of each
    take: Take,
    recording: Recording,
    counts: NDArray[np.bool_],
    recipes: ScopedSettings,
    tempo: TempoMap,
    metre: MetreMap,
    rate: int,
    fit: TimeMap | None,
    pairs: Pairs | None,
) -> Targets:
    places = _places(recording, counts, take.source_start, take.start, rate, fit)
    lined = _lined(places, recording.onsets, recipes.reach, tempo, metre, rate)
    if pairs is not None:
        lined = _matched(lined, pairs, matching(recipes), tempo, rate)
    strokes = _strokes(places, recording, lined, _windows(recipes, tempo), rate)
    ends = _ends(take, recording.rate, tempo, metre, rate, fit)
    rules = _rules(places, recording.onsets, lined, strokes, recipes, ends, tempo, rate)
    landed = rules.landed(take.touches)
    return Targets(
        rules.ids,
        rules.strengths,
        places.played,
        places.fitted,
        lined.beats,
        lined.line_frames,
        lined.lines,
        lined.steps,
        lined.other,
        lined.other_steps,
        landed.target,
        landed.reasons,
        strokes.of,
        strokes.leaders,
        lined.recipe,
        rate,
    )


def _place_in_song(  # noqa: PLR0917 - those of what asks
    take: Take, own: int, tempo: TempoMap, metre: MetreMap, rate: int, fit: TimeMap | None
) -> tuple[object, ...]:
    return take.start, take.source_start, take.source_end, own, tempo, metre, rate, fit


@by_parts(MANY, _place_in_song)
def _ends(  # noqa: PLR0917 - found again by the identity of each
    take: Take, own: int, tempo: TempoMap, metre: MetreMap, rate: int, fit: TimeMap | None
) -> Ends:
    """Where a take begins and ends, once it follows the song: tightening makes it no longer."""
    start, end = (round(frame * rate / own) for frame in (take.source_start, take.source_end))
    span = np.array([take.start, take.start + end - start])
    first, last = (span if fit is None else np.rint(fit(span))).astype(np.int64).tolist()
    return Ends.of(max(0, first), max(first + 1, last), tempo, metre, rate)


@dataclass(frozen=True, eq=False)
class _Places:
    """Which onsets count, where they are as played, and where after the fit; frames of the session."""

    chosen: NDArray[np.int64]
    played: Frames
    fitted: Frames


@by_identity(MANY)
def _places(  # noqa: PLR0917 - found again by the identity of each
    recording: Recording,
    counts: NDArray[np.bool_],
    source_start: int,
    start: int,
    rate: int,
    fit: TimeMap | None,
) -> _Places:
    """What no setting of Tighten changes: sliders move only what comes after."""
    chosen = np.flatnonzero(counts)
    frames = recording.onsets.frame_array[chosen]
    played = start + at_other_rate(frames - source_start, recording.rate, rate)
    distinct = np.diff(played, prepend=-1) > 0  # two neighbours may round to one frame at a lower rate
    chosen, played = chosen[distinct], played[distinct]
    fitted = played if fit is None else np.rint(fit(played)).astype(np.int64)
    if fit is not None:  # two of one frame stay in order; nothing sounds before the session's first frame
        apart = np.arange(len(fitted))
        fitted = np.maximum(np.maximum.accumulate(fitted - apart), 0) + apart
    return _Places(chosen, played, fitted)


@dataclass(frozen=True, eq=False)
class _AssignedLines:
    """Hits after the fit in beats, and their lines: straight, as the recipe has them, in frames."""

    beats: BeatArray
    steps: BeatArray
    lines: BeatArray
    other: BeatArray
    other_steps: BeatArray
    line_frames: Frames
    recipe: NDArray[np.int64]
    """The number of the recipe that holds for each."""
    has_line: NDArray[np.bool_]
    stays: NDArray[np.bool_]
    """Without a line, and not carried along either."""


@by_identity(MANY)
def _lined(  # noqa: PLR0917 - found again by the identity of each
    places: _Places, onsets: Onsets, reach: LineRules, tempo: TempoMap, metre: MetreMap, rate: int
) -> _AssignedLines:
    beats = tempo.beats_at(places.fitted / rate)
    steps, lines, other, other_steps = np.zeros((4, len(beats)))
    recipe = np.zeros(len(beats), np.int64)

    def rule(which: NDArray[np.bool_], number: int, start: float = -np.inf, end: float = np.inf) -> None:
        """Give hits the lines of a ruling, where these are within the span."""
        at = np.flatnonzero(which)
        if not len(at):
            return
        first, last = float(beats[at].min()), float(beats[at].max())
        found = lines_over(first, last, reach.rulings[number], metre, tempo)
        near = found.nearest(beats[at])
        inside = (found.steps[near] >= start - SAME_STEP) & (found.steps[near] < end - SAME_STEP)
        at, near = at[inside], near[inside]
        steps[at], lines[at] = found.steps[near], found.beats[near]
        beside = near + np.where(beats[at] > found.beats[near], 1, -1)
        other[at], other_steps[at] = found.beats[beside], found.steps[beside]
        recipe[at] = number

    rule(np.ones(len(beats), bool), 0)
    for number, (start, end) in enumerate(reach.spans, 1):
        rule((beats > metre.bars_from(start, -1)) & (beats < metre.bars_from(end, 1)), number, start, end)
    ids = onsets.id_array[places.chosen]
    for number in sorted({number for _, number in reach.hits}):
        rule(np.isin(ids, [onset for onset, each in reach.hits if each == number]), number)
    return _AssignedLines(
        beats,
        steps,
        lines,
        other,
        other_steps,
        frames_at(tempo.seconds_at(lines), rate),
        recipe,
        np.ones(len(beats), bool),
        np.zeros(len(beats), bool),
    )


@by_identity(64)
def _rules(  # noqa: PLR0917 - found again by the identity of each
    places: _Places,
    onsets: Onsets,
    lined: _AssignedLines,
    strokes: Strokes,
    recipes: ScopedSettings,
    ends: Ends,
    tempo: TempoMap,
    rate: int,
) -> HitRules:
    chosen = places.chosen
    return HitRules(
        onsets.id_array[chosen],
        places.fitted,
        lined.lines,
        lined.steps,
        lined.other,
        lined.line_frames,
        lined.has_line,
        lined.stays,
        onsets.strength_array[chosen],
        onsets.loudness_array[chosen],
        strokes,
        MoveSettings.of(recipes, lined.recipe, tempo, rate),
        ends,
        tempo,
        rate,
    )


@by_identity(MANY)
def _matched(
    lined: _AssignedLines, pairs: Pairs, matching: tuple[Alone | None, ...], tempo: TempoMap, rate: int
) -> _AssignedLines:
    """With the other take's hits for lines, where a recipe says so; a hit alone has no line."""
    follows = np.array([each is not None for each in matching])[lined.recipe]
    is_left = np.array([each is Alone.LEFT for each in matching])[lined.recipe]
    partner = follows & pairs.is_paired
    places = np.zeros(len(lined.beats), np.int64)
    places[partner] = pairs.other.frames[pairs.partner[partner]]
    beats = tempo.beats_at(places / rate)
    lines = np.where(partner, beats, np.where(follows, lined.beats, lined.lines))
    frames = np.where(partner, places, np.where(follows, pairs.own.frames, lined.line_frames))
    return replace(
        lined,
        lines=lines,
        other=np.where(follows, np.inf, lined.other),
        line_frames=frames,
        has_line=~follows | partner,
        stays=follows & ~partner & is_left,
    )


def _windows(recipes: ScopedSettings, tempo: TempoMap) -> tuple[float, ...]:
    """Seconds within which onsets are one stroke, by each recipe: less where its grid is fast."""
    return _same_windows(
        tuple(min(each.stroke / 1000, SHARE_OF_STEP * shortest_step(each, tempo)) for each in recipes.every)
    )


@lru_cache(maxsize=256)
def _same_windows(windows: tuple[float, ...]) -> tuple[float, ...]:
    return windows


@by_identity(MANY)
def _strokes(
    places: _Places, recording: Recording, lined: _AssignedLines, windows: tuple[float, ...], rate: int
) -> Strokes:
    """Onsets that are one stroke, each by the window of its recipe."""
    loudness = recording.onsets.loudness_array[places.chosen]
    if len(set(windows)) == 1 or not lined.recipe.any():
        return strokes_of(places.fitted, loudness, windows[0] * rate)
    within = np.array(windows)[lined.recipe] * rate
    starts = np.flatnonzero(np.diff(within, prepend=-1.0))
    of, leaders, count = [], [], 0
    for start, end in zip(starts.tolist(), [*starts[1:].tolist(), len(within)], strict=True):
        part = strokes_of(places.fitted[start:end], loudness[start:end], float(within[start]))
        of.append(part.of + count)
        leaders.append(part.leaders + start)
        count += len(part)
    return Strokes(np.concatenate(of), np.concatenate(leaders))
