"""Edits of grooves: taken from a track, changed step by step, put away."""

from collections.abc import Callable, Iterable

import numpy as np

from chronotome.session.counting import counted_of
from chronotome.session.edits.tightening import ALL, Scope, set_recipe
from chronotome.session.edits.tracks import with_takes
from chronotome.session.grid import Grid
from chronotome.session.groove import Groove, GrooveId, taken
from chronotome.session.limits import Id
from chronotome.session.model import Session, Take, Track, TrackId, replace
from chronotome.session.onsets import OnsetId
from chronotome.session.settings import TightenSettings
from chronotome.session.tighten import targets_of


def groove_of(  # noqa: PLR0917 - what is asked for
    session: Session,
    track: Track,
    take: Take,
    grid: Grid,
    bars: int = 1,
    hits: Iterable[OnsetId] = (),
    span: tuple[float, float] | None = None,
) -> Groove:
    """How a take was played: its hits as they are after the fit, folded into one to four bars.

    `hits` and `span` leave all others out. Its id is 0.
    """
    targets = targets_of(session, track, take)
    onsets = session.recording_of(take).onsets
    counted = np.flatnonzero(counted_of(session, take))
    at = counted[np.isin(onsets.id_array[counted], targets.onsets)]
    chosen = np.ones(len(targets), bool)
    some = set(hits)
    if some:
        chosen &= np.isin(targets.onsets, list(some))
    if span is not None:
        beats = targets.fitted_beats
        chosen &= (beats >= span[0] - grid.step / 2) & (beats < span[1] - grid.step / 2)
    chosen &= np.isin(np.arange(len(targets)), targets.leads)
    where = float(targets.fitted_beats[chosen].mean()) if chosen.any() else 0.0
    name, tempo = track.name, session.timebase.tempo_at(where)
    metre = session.metre.metre_at(where)
    chosen &= session.metre.kinds_at(targets.fitted_beats) == session.metre.kinds_at(np.array([where]))
    like = Groove(0, name, grid, bars, metre, (), tempo)
    return taken(
        targets.fitted[chosen] / session.rate,
        targets.fitted_beats[chosen],
        onsets.level_array[at][chosen],
        targets.strengths[chosen],
        session.timebase,
        like,
    )


def add_groove(session: Session, groove: Groove) -> tuple[Session, GrooveId]:
    """Bring a groove in; one that is the very same but for its id is there already."""
    for each in session.grooves:
        if replace(each, id=groove.id) == groove:
            return session, each.id
    new = replace(groove, id=session.next_id)
    return replace(session, grooves=(*session.grooves, new), next_id=session.next_id + 1), new.id


def play_groove(
    session: Session, track: TrackId, take: Take | None, groove: Groove | None, scope: Scope = ALL
) -> Session:
    """Tighten to a groove, which is brought in; or to the straight grid again."""
    if groove is None:
        return set_recipe(session, track, take, scope, groove=0)
    session, number = add_groove(session, groove)
    return set_recipe(session, track, take, scope, groove=number)


def change_groove(session: Session, groove: GrooveId, change: Callable[[Groove], Groove]) -> Session:
    """Change a groove: whatever plays it follows."""
    old = session.groove(groove)
    if old is None:
        return session
    new = change(old)
    if new == old:
        return session
    return replace(session, grooves=tuple(new if each is old else each for each in session.grooves))


def remove_groove(session: Session, groove: GrooveId) -> Session:
    """Without a groove; what played it plays the straight grid."""
    if session.groove(groove) is None:
        return session
    kept = tuple(each for each in session.grooves if each.id != groove)
    tracks = tuple(_without(track, groove) for track in session.tracks)
    return replace(session, grooves=kept, tracks=tracks)


def _without(track: Track, groove: Id) -> Track:
    def straight(recipe: TightenSettings) -> TightenSettings:
        return replace(recipe, groove=0) if recipe.groove == groove else recipe

    def of_take(take: Take) -> Take:
        if take.tighten is None and not any(touch.recipe for touch in take.touches):
            return take
        touches = tuple(
            touch if touch.recipe is None else replace(touch, recipe=straight(touch.recipe))
            for touch in take.touches
        )
        return replace(take, tighten=take.tighten and straight(take.tighten), touches=touches)

    return replace(
        with_takes(track, of_take),
        tighten=straight(track.tighten),
        spans=tuple(replace(span, recipe=straight(span.recipe)) for span in track.spans),
        variants=tuple(
            replace(
                each,
                recipe=straight(each.recipe),
                spans=tuple(replace(span, recipe=straight(span.recipe)) for span in each.spans),
            )
            for each in track.variants
        ),
    )
