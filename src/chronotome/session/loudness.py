"""How much louder each hit becomes: drawn towards an even level, or towards a groove's."""

from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from chronotome.session.groove import Groove
from chronotome.session.match import Pairs
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import Recording, Session, Take, Track
from chronotome.session.recipes import ScopedSettings, recipes_of
from chronotome.session.settings import Alone
from chronotome.session.targets import Targets
from chronotome.session.tighten import pairs_of, targets_of

MOST_LOUDER, MOST_SOFTER, SILENCE = 12.0, -24.0, -120.0
Decibels = NDArray[np.float64]


def hit_gains_of(session: Session, track: Track, take: Take) -> Decibels | None:
    """DB by which each of the take's targets is louder; None where none is."""
    recipes = recipes_of(session, track, take)
    silences = any(each.match is not None and each.match.alone is Alone.SILENT for each in recipes.every)
    if not silences and not any(each.loudness for each in recipes.every):
        return None
    grooves = tuple(
        session.groove(each.groove) if each.loudness and each.groove else None for each in recipes.every
    )
    recording, targets = session.recording_of(take), targets_of(session, track, take)
    pairs = pairs_of(session, track, take) if silences else None
    return _drawn(targets, recording, recipes, _same_grooves(grooves), pairs)


@lru_cache(maxsize=64)
def _same_grooves(grooves: tuple[Groove | None, ...]) -> tuple[Groove | None, ...]:
    return grooves


@by_identity(MANY)
def levels_of(recording: Recording, onsets: NDArray[np.int64]) -> tuple[Decibels, NDArray[np.int64]]:
    """DB of onsets by their ids, and in which band each is; NaN where nobody has measured it."""
    order = np.argsort(recording.onsets.id_array)
    at = order[np.searchsorted(recording.onsets.id_array[order], onsets)]
    return recording.onsets.level_array[at], recording.onsets.band_array[at]


@by_identity(MANY)
def _drawn(
    targets: Targets,
    recording: Recording,
    recipes: ScopedSettings,
    grooves: tuple[Groove | None, ...],
    pairs: Pairs | None,
) -> Decibels:
    """Hits of one band are compared with one another only: a kick stays louder than a shaker.

    What is drawn becomes neither louder nor softer in the middle.
    """
    levels, bands = levels_of(recording, targets.onsets)
    gains = np.zeros(len(levels))
    for number, (recipe, groove) in enumerate(zip(recipes.every, grooves, strict=True)):
        for band in range(3) if recipe.loudness else ():
            here = (targets.recipe == number) & (bands == band) & ~np.isnan(levels)
            if not here.any():
                continue
            wanted = np.zeros(int(here.sum())) if groove is None else groove.levels_at(targets.steps[here])
            missing = wanted - levels[here]
            gains[here] = recipe.loudness * (missing - np.median(missing))
    gains = np.clip(gains, MOST_SOFTER, MOST_LOUDER)
    if pairs is not None:
        silent = [each.match is not None and each.match.alone is Alone.SILENT for each in recipes.every]
        gains[np.array(silent)[targets.recipe] & ~pairs.is_paired] = SILENCE
    return gains
