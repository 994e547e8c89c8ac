"""Edits of Match: whom a take follows, and pairs set by hand."""

from collections.abc import Iterable

from chronotome.session.edits.tightening import ALL, Scope, recipe_for, set_recipe
from chronotome.session.model import Session, Take, TrackId, replace
from chronotome.session.onsets import OnsetId
from chronotome.session.settings import Match

FULL = 1.0


def match_to(
    session: Session, track: TrackId, take: Take | None, other: TrackId | None, scope: Scope = ALL
) -> Session:
    """Let hits follow those of another track, at full strength where they had none; None: the grid again."""
    recipe = recipe_for(session.track(track), take, scope)
    if other is None or other == track:
        return set_recipe(session, track, take, scope, match=None)
    match = Match(other) if recipe.match is None else replace(recipe.match, track=other, said=())
    return set_recipe(session, track, take, scope, match=match, strength=recipe.strength or FULL)


def set_match(
    session: Session, track: TrackId, take: Take | None, scope: Scope = ALL, **values: object
) -> Session:
    """Change what a pair may be, or what becomes of hits alone."""
    match = recipe_for(session.track(track), take, scope).match
    if match is None:
        return session
    return set_recipe(session, track, take, scope, match=replace(match, **values))


def set_pair(  # noqa: PLR0917 - what a pair is
    session: Session,
    track: TrackId,
    take: Take | None,
    onset: OnsetId,
    other: OnsetId | None,
    scope: Scope = ALL,
) -> Session:
    """Pair a hit with one of the other take, or with none; who had that partner has none any more."""
    match = recipe_for(session.track(track), take, scope).match
    if match is None:
        return session
    said = {one: two for one, two in match.said if one != onset and (two is None or two != other)}
    said[onset] = other
    return set_recipe(session, track, take, scope, match=replace(match, said=tuple(sorted(said.items()))))


def forget_pairs(
    session: Session, track: TrackId, take: Take | None, onsets: Iterable[OnsetId], scope: Scope = ALL
) -> Session:
    """Let the machine say again whom hits are paired with."""
    match = recipe_for(session.track(track), take, scope).match
    if match is None:
        return session
    gone = set(onsets)
    kept = tuple(pair for pair in match.said if pair[0] not in gone)
    return set_recipe(session, track, take, scope, match=replace(match, said=kept))
