"""Onsets + grid + settings -> targets: computed, never baked."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from enum import IntEnum
from functools import cached_property, lru_cache

import numpy as np
from numpy.typing import NDArray

from chronotome.session.counting import counted_of
from chronotome.session.fitted import Fitted
from chronotome.session.follow import fitted_of
from chronotome.session.grid import Metre, TempoMap
from chronotome.session.groove import Groove
from chronotome.session.lines import SAME_STEP, Reach, Ruling, lines_over, same, same_reach
from chronotome.session.match import Heard, Pairs, paired
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import (
    Alone,
    RecipeSpan,
    Recording,
    Session,
    Take,
    TightenSettings,
    Touch,
    Track,
    TrackId,
)
from chronotome.session.onsets import OnsetId, Onsets
from chronotome.session.strokes import SHARE_OF_STEP, Strokes, strokes_of
from chronotome.units import BeatArray, Frames, at_other_rate, frames_at

LEAST_APART_SECONDS = 0.002
ON_LINE_MS = 10.0
"""A hit this near to its line is on it, and stays so."""
FAR_MS = 20.0
AS_NEAR_MS = 2.0
"""Strokes as near to a line as that are equally near: the stronger takes it."""


class Reason(IntEnum):
    """Why an onset lands where it lands."""

    GRID = 0
    LEFT_ALONE = 1
    BY_HAND = 2
    CARRIED = 3
    """Another stroke is nearer to its line, or it is out of catch range: its neighbours carry it along."""
    WITH_STROKE = 4
    """It is part of a stroke that another onset leads: it keeps its distance from that."""


REASON_WORDS = {
    Reason.GRID: "grid",
    Reason.LEFT_ALONE: "left alone",
    Reason.BY_HAND: "by hand",
    Reason.CARRIED: "between",
    Reason.WITH_STROKE: "with its stroke",
}


@dataclass(frozen=True, eq=False)
class Targets:
    """Where each counted onset of a clip is and where it should sound.

    Invariants: columns of equal length, in order of time; `played`, `fitted`, `line` and `target` are session
    frames; `played`, `fitted` and `target` rise strictly. `fitted` is where a hit is once its recording
    follows the song, and `played` where it does not.
    """

    onsets: Frames
    strengths: NDArray[np.float64]
    played: Frames
    fitted: Frames
    fitted_beats: BeatArray
    line: Frames
    line_beats: BeatArray
    steps: BeatArray
    """Where the lines would be on the straight grid: what a place is called."""
    other: BeatArray
    """The line that comes next on the side on which a hit is."""
    other_steps: BeatArray
    target: Frames
    reasons: NDArray[np.int64]
    strokes: NDArray[np.int64]
    """The stroke that each belongs to, counted from 0."""
    recipe: NDArray[np.int64]
    """The number of the recipe (`recipes_of`) that holds for each."""
    rate: int

    @property
    def spans(self) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
        """First and last hit of each stroke that is more than one."""
        firsts = np.flatnonzero(np.diff(self.strokes, prepend=-1) > 0)
        lasts = np.append(firsts[1:], len(self.strokes)) - 1
        return firsts[lasts > firsts], lasts[lasts > firsts]

    def room_of(self, at: int) -> tuple[float, float]:
        """The session frames between which hit number `at` may be moved: its neighbours' strokes stay."""
        before = np.flatnonzero(self.strokes < self.strokes[at])
        after = np.flatnonzero(self.strokes > self.strokes[at])
        apart = LEAST_APART_SECONDS * self.rate
        low, high = -np.inf, np.inf
        first, last = (np.flatnonzero(self.strokes == self.strokes[at])[place] for place in (0, -1))
        if len(before):
            low = self.target[before[-1]] + apart + self.target[at] - self.target[first]
        if len(after):
            high = self.target[after[0]] - apart - (self.target[last] - self.target[at])
        return float(min(low, self.target[at])), float(max(high, self.target[at]))

    def bearable(self, at: int, bears: float) -> tuple[float, float]:
        """The session frames between which hit number `at` may be before sound is stretched beyond that."""
        low, high, here = -np.inf, np.inf, float(self.target[at])
        for beside, side in ((at - 1, 1), (at + 1, -1)):
            if 0 <= beside < len(self):
                apart = abs(int(self.played[at] - self.played[beside]))
                ends = sorted(
                    float(self.target[beside]) + side * apart * times for times in (bears, 1 / bears)
                )
                low, high = max(low, ends[0]), min(high, ends[1])
        return min(low, here), max(high, here)

    def beside(self, at: int) -> list[int]:
        """The hits before and after that of hit number `at` that keep all others where they are, once held.

        Up to the first on either side that has a line or a place of its own: those between are carried by
        what is beside them.
        """
        leads = np.flatnonzero(self.reasons != Reason.WITH_STROKE)
        found = []
        for side in (
            leads[self.strokes[leads] < self.strokes[at]][::-1],
            leads[self.strokes[leads] > self.strokes[at]],
        ):
            fixed = np.flatnonzero(np.isin(self.reasons[side], (Reason.GRID, Reason.BY_HAND)))
            found += side[: int(fixed[0]) + 1 if len(fixed) else len(side)].tolist()
        return found

    def __len__(self) -> int:
        return len(self.onsets)

    @cached_property
    def leads(self) -> NDArray[np.int64]:
        """The strongest hit of each stroke."""
        order = np.lexsort((-self.strengths, self.strokes))
        return np.asarray(order[np.diff(self.strokes[order], prepend=-1) > 0])

    @cached_property
    def drift(self) -> NDArray[np.float64]:
        """Milliseconds from the line as played and fitted; negative early."""
        return np.asarray((self.fitted - self.line) * (1000.0 / self.rate), np.float64)

    @cached_property
    def landing(self) -> NDArray[np.float64]:
        """Milliseconds from the line where it lands."""
        return np.asarray((self.target - self.line) * (1000.0 / self.rate), np.float64)

    @property
    def spread_before(self) -> float:
        """Root mean square of the drift of every hit as played, in ms."""
        return _spread(self.drift)

    @property
    def spread_now(self) -> float:
        """The same of where they land."""
        return _spread(self.landing)

    @property
    def far_before(self) -> int:
        """Hits that were played more than 20 ms from their lines."""
        return int(np.count_nonzero(np.abs(self.drift) > FAR_MS))

    @property
    def far_now(self) -> int:
        """Hits that land more than 20 ms from their lines."""
        return int(np.count_nonzero(np.abs(self.landing) > FAR_MS))


def _spread(drift: NDArray[np.float64]) -> float:
    return float(np.sqrt(np.mean(drift**2))) if len(drift) else 0.0


@dataclass(frozen=True, eq=False)
class Recipes:
    """The recipes of a take, the usual one first, and which of them holds where."""

    every: tuple[TightenSettings, ...]
    reach: Reach


def ruling_of(recipe: TightenSettings, grooves: Sequence[Groove]) -> Ruling:
    """Where the lines of a recipe are."""
    groove = next((each for each in grooves if each.id == recipe.groove), None) if recipe.groove else None
    swing = (recipe.grid, recipe.swing, recipe.swing_of)
    return same(Ruling(*swing, groove, recipe.timing, recipe.scales, recipe.shift))


def recipes_of(session: Session, track: Track, take: Take) -> Recipes:
    """What a take of this track is tightened by: its own recipe or its track's, spans', single hits'."""
    return _recipes(track.recipe_of(take), track.spans, take.touches, session.grooves)


@by_identity(MANY)
def _recipes(
    usual: TightenSettings,
    spans: tuple[RecipeSpan, ...],
    touches: tuple[Touch, ...],
    grooves: tuple[Groove, ...],
) -> Recipes:
    every = [usual, *(span.recipe for span in spans)]
    hits, known = list[tuple[OnsetId, int]](), dict[TightenSettings, int]()
    for touch in touches:
        if touch.recipe is not None:
            if touch.recipe not in known:
                known[touch.recipe] = len(every)
                every.append(touch.recipe)
            hits.append((touch.onset, known[touch.recipe]))
    bounds = tuple((span.start, span.end) for span in spans)
    rulings = tuple(ruling_of(each, grooves) for each in every)
    return Recipes(tuple(every), same_reach(Reach(rulings, bounds, tuple(hits))))


def targets_of(session: Session, track: Track, take: Take) -> Targets:
    """Targets of a take by its own onsets, and the recipes that hold where they are."""
    recording = session.recording_of(take)
    counts = counted_of(session, take)
    fitted = fitted_of(session, track, take)
    recipes = recipes_of(session, track, take)
    clock = session.tempo, session.metre, session.rate
    pairs = pairs_of(session, track, take)
    return _targets(take, recording, counts, recipes, *clock, fitted, pairs)


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
def _heard(onsets: Onsets, chosen: Frames, frames: Frames) -> Heard:
    traits = onsets.level_array[chosen], onsets.timbre_array[chosen]
    return Heard(onsets.id_array[chosen], frames, *traits)


@by_identity(64)
def _heard_of(recording: Recording, targets: Targets) -> Heard:
    at = np.flatnonzero(np.isin(recording.onsets.id_array, targets.onsets))
    return _heard(recording.onsets, at, targets.target)


@by_identity(MANY)
def _targets(  # noqa: PLR0917 - found again by the identity of each
    take: Take,
    recording: Recording,
    counts: NDArray[np.bool_],
    recipes: Recipes,
    tempo: TempoMap,
    metre: Metre,
    rate: int,
    fit: Fitted | None,
    pairs: Pairs | None,
) -> Targets:
    places = _places(recording, counts, take.source_start, take.start, rate, fit)
    lined = _lined(places, recording.onsets, recipes.reach, tempo, metre, rate)
    if pairs is not None:
        lined = _matched(lined, pairs, _matching(recipes), tempo, rate)
    hits = _hits(take, recording, places, lined, tempo, rate)
    strokes = _strokes(places, recording, lined, _windows(recipes, tempo), rate)
    moves = _moves(hits, strokes, _Asked.of(recipes, lined.recipe, tempo, rate), _Scale(rate))
    landed = _in_order(
        places.fitted,
        np.rint(moves.target).astype(np.int64),
        hits.by_hand,
        max(1, int(LEAST_APART_SECONDS * rate)),
    )
    return Targets(
        hits.ids,
        hits.strengths,
        places.played,
        places.fitted,
        lined.beats,
        lined.line_frames,
        lined.lines,
        lined.steps,
        lined.other,
        lined.other_steps,
        landed,
        moves.reasons,
        strokes.of,
        lined.recipe,
        rate,
    )


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
    fit: Fitted | None,
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
class _Lined:
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
    places: _Places, onsets: Onsets, reach: Reach, tempo: TempoMap, metre: Metre, rate: int
) -> _Lined:
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
        rule((beats > start - metre.bar) & (beats < end + metre.bar), number, start, end)
    ids = onsets.id_array[places.chosen]
    for number in sorted({number for _, number in reach.hits}):
        rule(np.isin(ids, [onset for onset, each in reach.hits if each == number]), number)
    return _Lined(
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


@lru_cache(maxsize=64)
def _same_flags(flags: tuple[Alone | None, ...]) -> tuple[Alone | None, ...]:
    return flags


def _matching(recipes: Recipes) -> tuple[Alone | None, ...]:
    """Which recipes follow another take, and what they do with hits alone."""
    return _same_flags(tuple(each.match.alone if each.match is not None else None for each in recipes.every))


@by_identity(MANY)
def _matched(
    lined: _Lined, pairs: Pairs, matching: tuple[Alone | None, ...], tempo: TempoMap, rate: int
) -> _Lined:
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


def _windows(recipes: Recipes, tempo: TempoMap) -> tuple[float, ...]:
    """Seconds within which onsets are one stroke, by each recipe: less where its grid is fast."""
    return _same_windows(
        tuple(min(each.stroke / 1000, SHARE_OF_STEP * _shortest_step(each, tempo)) for each in recipes.every)
    )


@lru_cache(maxsize=256)
def _same_windows(windows: tuple[float, ...]) -> tuple[float, ...]:
    return windows


@by_identity(MANY)
def _strokes(
    places: _Places, recording: Recording, lined: _Lined, windows: tuple[float, ...], rate: int
) -> Strokes:
    """Onsets that are one stroke, each by the window of its recipe."""
    strengths = recording.onsets.strength_array[places.chosen]
    if len(set(windows)) == 1 or not lined.recipe.any():
        return strokes_of(places.fitted, strengths, windows[0] * rate)
    within = np.array(windows)[lined.recipe] * rate
    starts = np.flatnonzero(np.diff(within, prepend=-1.0))
    of, leaders, count = [], [], 0
    for start, end in zip(starts.tolist(), [*starts[1:].tolist(), len(within)], strict=True):
        part = strokes_of(places.fitted[start:end], strengths[start:end], float(within[start]))
        of.append(part.of + count)
        leaders.append(part.leaders + start)
        count += len(part)
    return Strokes(np.concatenate(of), np.concatenate(leaders))


def _shortest_step(settings: TightenSettings, tempo: TempoMap) -> float:
    """Seconds between two lines where the song is fastest."""
    return settings.grid.step * 60 / max(change.beats_per_minute for change in tempo.changes)


@dataclass(frozen=True)
class _Scale:
    """Frames per second."""

    rate: int

    def frames(self, milliseconds: float) -> float:
        return milliseconds * self.rate / 1000.0


@dataclass(frozen=True, eq=False)
class _Asked:
    """What the recipe of each hit says, in frames."""

    pull: NDArray[np.float64]
    alone: NDArray[np.float64]
    catch: NDArray[np.float64]
    """Frames from its line beyond which a hit is not pulled."""

    @staticmethod
    def of(recipes: Recipes, recipe: NDArray[np.int64], tempo: TempoMap, rate: int) -> "_Asked":
        every = recipes.every
        pull = np.array([each.pull for each in every])
        alone = np.array([each.leave_alone * rate / 1000.0 for each in every])
        catch = np.array(
            [
                np.inf if each.catch >= 1 else 0.5 * each.catch * _shortest_step(each, tempo) * rate
                for each in every
            ]
        )
        return _Asked(pull[recipe], alone[recipe], catch[recipe])


@dataclass(frozen=True, eq=False)
class _Hits:
    """Counted onsets in session frames, their lines in beats, where a person put them (or NaN)."""

    ids: Frames
    fitted: Frames
    lines: BeatArray
    away: NDArray[np.float64]
    """Frames from the line, negative early."""
    strengths: NDArray[np.float64]
    asked: NDArray[np.float64]
    by_hand: NDArray[np.bool_]
    keeps_line: NDArray[np.bool_]
    """Set by hand, and still nearest to the line that it would take: no other takes that."""
    has_line: NDArray[np.bool_]
    stays: NDArray[np.bool_]


@by_identity(MANY)
def _hits(  # noqa: PLR0917 - found again by the identity of each
    take: Take, recording: Recording, places: _Places, lined: _Lined, tempo: TempoMap, rate: int
) -> _Hits:
    ids = recording.onsets.id_array[places.chosen]
    hand = {touch.onset: touch.beat for touch in take.touches if touch.beat is not None}
    by_hand = np.isin(ids, list(hand)) if hand else np.zeros(len(ids), bool)
    asked = np.full(len(ids), np.nan)
    if by_hand.any():
        wanted = np.array([hand[int(onset)] for onset in ids[by_hand]])
        asked[by_hand] = np.rint(tempo.seconds_at(wanted) * rate)
    keeps_line = np.zeros(len(ids), bool)
    if by_hand.any():
        step = np.abs(tempo.seconds_at(np.where(by_hand, lined.other, 0.0)) * rate - lined.line_frames)
        keeps_line = by_hand & (np.abs(asked - lined.line_frames) < 0.5 * step)
    away = (places.fitted - lined.line_frames).astype(np.float64)
    strengths = recording.onsets.strength_array[places.chosen]
    return _Hits(
        ids,
        places.fitted,
        lined.lines,
        away,
        strengths,
        asked,
        by_hand,
        keeps_line,
        lined.has_line,
        lined.stays,
    )


@dataclass(frozen=True, eq=False)
class _Moves:
    target: NDArray[np.float64]
    reasons: NDArray[np.int64]


def _moves(hits: _Hits, strokes: Strokes, asked: _Asked, scale: _Scale) -> _Moves:
    """Where each hit goes: strokes first, then lines, then what lies between.

    The nearest stroke takes a line; the others move by what their neighbours move, never farther from their
    lines than they were played. What was left alone or lies on its line stays there, whatever leads it.
    """
    away, by_hand = hits.away, hits.by_hand
    leader = strokes.leaders[strokes.of]
    alone = (((np.abs(away) <= asked.alone) & hits.has_line) | hits.stays) & ~by_hand
    low, high = _allowed(away, alone, by_hand | ~hits.has_line, strokes, scale)
    near = np.abs(away[strokes.leaders]) <= asked.catch[strokes.leaders]
    near &= hits.has_line[strokes.leaders]
    takes = _nearest(hits, strokes, scale.rate) & near & ~by_hand[strokes.leaders]
    wanted = -asked.pull[strokes.leaders] * away[strokes.leaders]
    held = by_hand[strokes.leaders]
    wanted[held] = (hits.asked - hits.fitted)[strokes.leaders[held]]
    moves = np.where(held, wanted, np.clip(wanted, low, high))
    rest = ~(takes | held)
    moves[rest] = _between(hits, strokes, moves, takes | held, (low, high))[rest]
    target = hits.fitted.astype(np.float64) + moves[strokes.of]
    target[by_hand] = hits.asked[by_hand]
    reasons = np.where(takes, int(Reason.GRID), int(Reason.CARRIED))[strokes.of]
    reasons[leader != np.arange(len(leader))] = Reason.WITH_STROKE
    reasons[alone & (target == hits.fitted)] = Reason.LEFT_ALONE
    reasons[by_hand] = Reason.BY_HAND
    return _Moves(target, reasons)


def _allowed(
    away: NDArray[np.float64],
    alone: NDArray[np.bool_],
    by_hand: NDArray[np.bool_],
    strokes: Strokes,
    scale: _Scale,
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """How far each stroke may move: none of its hits leaves its line, none that is left alone moves."""
    on_line = scale.frames(ON_LINE_MS)
    is_on = (np.abs(away) <= on_line) & ~by_hand
    low = np.where(is_on, -on_line - away, -np.inf)
    high = np.where(is_on, on_line - away, np.inf)
    low[alone] = high[alone] = 0.0
    return _least(strokes, low), -_least(strokes, -high)


def _least(strokes: Strokes, values: NDArray[np.float64]) -> NDArray[np.float64]:
    """The highest value of each stroke's hits."""
    return np.asarray(np.maximum.reduceat(values, strokes.firsts)) if len(values) else values


@by_identity(MANY)
def _nearest(hits: _Hits, strokes: Strokes, rate: int) -> NDArray[np.bool_]:
    """Which strokes are the nearest of their line, of equally near ones the strongest."""
    nearness = np.floor(np.abs(hits.away[strokes.leaders]) * (1000.0 / rate / AS_NEAR_MS))
    lines = np.round(hits.lines[strokes.leaders], 9)
    taken = (hits.by_hand & ~hits.keeps_line)[strokes.leaders]
    order = np.lexsort((-hits.strengths[strokes.leaders], nearness, taken, lines))
    first = np.ones(len(order), bool)
    first[1:] = np.diff(lines[order]) > 0
    takes = np.zeros(len(order), bool)
    takes[order[first]] = True
    return takes


def _between(
    hits: _Hits,
    strokes: Strokes,
    moves: NDArray[np.float64],
    fixed: NDArray[np.bool_],
    allowed: tuple[NDArray[np.float64], NDArray[np.float64]],
) -> NDArray[np.float64]:
    """Moves of the strokes between those that are fixed: by what these move, never farther from a line."""
    if fixed.all() or not fixed.any():
        return np.zeros(len(moves))
    places = hits.fitted[strokes.leaders]
    whole = np.rint(places + moves) - places  # a hit that is held where it lands carries others as before
    carried = np.interp(places, places[fixed], whole[fixed])
    low, high = _over_the_line(hits, strokes)
    low, high = np.maximum(low, allowed[0]), np.minimum(high, allowed[1])
    return np.where(low <= high, np.clip(carried, low, np.maximum(low, high)), 0.0)


@by_identity(MANY)
def _over_the_line(hits: _Hits, strokes: Strokes) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """How far each stroke may move until one of its hits is as far from its line on the other side."""
    free = np.where(hits.has_line, 0.0, np.inf)
    low = _least(strokes, np.where(hits.away > 0, -2 * hits.away, -free))
    return low, -_least(strokes, np.where(hits.away < 0, 2 * hits.away, -free))


def _in_order(played: Frames, target: Frames, by_hand: NDArray[np.bool_], apart: int) -> Frames:
    """Targets that rise: what was set by hand stays, the rest gives way.

    Two onsets end at least `apart` frames from each other, or as near as they were played. Where hand-set
    ones leave no room between them, the last resort is one frame each, past them.
    """
    if not len(target):
        return target
    gaps = np.minimum(np.diff(played), apart)
    offsets = np.concatenate([[0], np.cumsum(gaps)])
    level = target - offsets  # rising with room is level with never falling
    if (np.diff(level) >= 0).all() and target[0] >= 0:
        return target
    floor = np.maximum.accumulate(np.where(by_hand, level, np.iinfo(np.int64).min))
    ceiling = np.minimum.accumulate(np.where(by_hand, level, np.iinfo(np.int64).max)[::-1])[::-1]
    level = np.maximum.accumulate(np.clip(level, floor, np.maximum(ceiling, floor)))
    result = np.maximum(level + offsets, np.arange(len(level)))
    return np.maximum.accumulate(result - np.arange(len(level))) + np.arange(len(level))
