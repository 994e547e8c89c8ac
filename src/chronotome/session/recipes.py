"""Which recipe holds where: of a take or its track, of spans, of single hits."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from chronotome.session.grid import TempoMap
from chronotome.session.groove import Groove
from chronotome.session.lines import GridRule, LineRules, same, same_reach
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import Session, Take, Track
from chronotome.session.onsets import OnsetId
from chronotome.session.settings import Alone, SettingsSpan, TightenSettings
from chronotome.session.touches import OwnRecipes, own_recipes


@dataclass(frozen=True, eq=False)
class ScopedSettings:
    """The recipes of a take, the usual one first, and which of them holds where."""

    every: tuple[TightenSettings, ...]
    reach: LineRules


def ruling_of(recipe: TightenSettings, grooves: Sequence[Groove]) -> GridRule:
    """Where the lines of a recipe are."""
    groove = next((each for each in grooves if each.id == recipe.groove), None) if recipe.groove else None
    swing = (recipe.grid, recipe.swing, recipe.swing_of)
    return same(GridRule(*swing, groove, recipe.timing, recipe.scales, recipe.shift))


def recipes_of(session: Session, track: Track, take: Take) -> ScopedSettings:
    """What a take of this track is tightened by: its own recipe or its track's, spans', single hits'."""
    return _recipes(track.recipe_of(take), track.spans, own_recipes(take.touches), session.grooves)


@by_identity(MANY)
def _recipes(
    usual: TightenSettings,
    spans: tuple[SettingsSpan, ...],
    own: OwnRecipes,
    grooves: tuple[Groove, ...],
) -> ScopedSettings:
    every = [usual, *(span.recipe for span in spans)]
    hits, known = list[tuple[OnsetId, int]](), dict[TightenSettings, int]()
    for onset, recipe in own:
        if recipe not in known:
            known[recipe] = len(every)
            every.append(recipe)
        hits.append((onset, known[recipe]))
    bounds = tuple((span.start, span.end) for span in spans)
    rulings = tuple(ruling_of(each, grooves) for each in every)
    return ScopedSettings(tuple(every), same_reach(LineRules(rulings, bounds, tuple(hits))))


@lru_cache(maxsize=64)
def _same_flags(flags: tuple[Alone | None, ...]) -> tuple[Alone | None, ...]:
    return flags


def matching(recipes: ScopedSettings) -> tuple[Alone | None, ...]:
    """Which recipes follow another take, and what they do with hits alone."""
    return _same_flags(tuple(each.match.alone if each.match is not None else None for each in recipes.every))


def shortest_step(settings: TightenSettings, tempo: TempoMap) -> float:
    """Seconds between two lines where the song is fastest."""
    return settings.grid.step * 60 / max(change.beats_per_minute for change in tempo.changes)
