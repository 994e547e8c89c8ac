"""Edits of Tighten: recipes of tracks, takes, spans and hits, variants, and hits moved by hand."""

import operator
from collections.abc import Callable, Collection, Iterable
from dataclasses import dataclass

import numpy as np

from chronotome.session.anchors import anchors_of
from chronotome.session.edits.tracks import changed, with_takes, with_track
from chronotome.session.limits import FARTHEST_BEAT
from chronotome.session.memo import by_identity
from chronotome.session.model import ClipId, Session, Take, Touch, Track, TrackId, replace
from chronotome.session.onsets import OnsetId
from chronotome.session.settings import MOST_ROUNDS, SettingsSpan, Snapshot, TightenSettings
from chronotome.session.targets import Targets
from chronotome.session.tighten import targets_of

LEAST_SPAN = 0.25
"""Beats."""
TakeChange = Callable[[Take], Take]


@dataclass(frozen=True)
class Scope:
    """What a recipe is for: a span of beats, chosen hits, or all of a track where it is neither."""

    span: tuple[float, float] | None = None
    hits: tuple[OnsetId, ...] = ()


ALL = Scope()


def recipe_for(track: Track, take: Take | None, scope: Scope) -> TightenSettings:
    """The recipe that holds there: of a span or hit that has none of its own, what it would begin with."""
    usual = track.tighten if take is None else track.recipe_of(take)
    if scope.hits and take is not None:
        touches = (take.touch_of(onset) for onset in scope.hits)
        return next((each.recipe for each in touches if each is not None and each.recipe), usual)
    if scope.span is not None:
        start, end = scope.span
        return next((each.recipe for each in track.spans if each.start < end and each.end > start), usual)
    return usual


def set_recipe(
    session: Session, track: TrackId, take: Take | None, scope: Scope, **values: object
) -> Session:
    """Change a recipe: of hits or a span, which get one of their own; of the take that has one, or the track.

    `track` is the one that leads, where others are locked to it.
    """
    if scope.hits and take is not None:
        return _set_of_hits(session, track, take, scope.hits, values)
    if scope.span is not None:
        return with_track(session, track, lambda old: _with_span(old, take, scope, values))
    recipe = None if take is None else take.tighten
    if take is None or recipe is None:
        return set_tighten(session, track, **values)
    new = _changed(recipe, values)
    return session if new is recipe else with_track(session, track, lambda old: _with_recipe(old, take, new))


def follow_ruler(session: Session, division: int) -> Session:
    """Recipes whose grid is what the ruler shows have this one."""

    def of(recipe: TightenSettings) -> TightenSettings:
        if not recipe.follows_ruler or recipe.grid.division == division:
            return recipe
        return replace(recipe, grid=replace(recipe.grid, division=division))

    def of_take(take: Take) -> Take:
        touches = tuple(
            each
            if each.recipe is None or of(each.recipe) is each.recipe
            else replace(each, recipe=of(each.recipe))
            for each in take.touches
        )
        tighten = None if take.tighten is None else of(take.tighten)
        if tighten is take.tighten and all(map(operator.is_, touches, take.touches)):
            return take
        return replace(take, touches=touches, tighten=tighten)

    def of_track(track: Track) -> Track:
        if not _follows_ruler(track):
            return track
        spans = tuple(
            span if of(span.recipe) is span.recipe else replace(span, recipe=of(span.recipe))
            for span in track.spans
        )
        variants = tuple(replace(each, recipe=of(each.recipe)) for each in track.variants)
        new = with_takes(track, of_take)
        return changed(new, tighten=of(track.tighten), spans=spans, variants=variants)

    for track in session.tracks:
        session = with_track(session, track.id, of_track)
    return session


@by_identity(64)
def _follows_ruler(track: Track) -> bool:
    """Whether any recipe of a track follows the ruler; asked at every change of the session."""
    touched = (touch.recipe for take in track.takes for touch in take.touches if touch.recipe is not None)
    own = (take.tighten for take in track.takes if take.tighten is not None)
    kept = (variant.recipe for variant in track.variants)
    every = (track.tighten, *(span.recipe for span in track.spans), *kept, *own, *touched)
    return any(recipe.follows_ruler for recipe in every)


def set_tighten(session: Session, track: TrackId, **values: object) -> Session:
    """Change settings of Tighten for a track, or for the guide that it is locked to."""

    def change(old: Track) -> Track:
        new = _changed(old.tighten, values)
        return old if new is old.tighten else replace(old, tighten=new)

    return with_track(session, session.guide_of(track), change)


def _changed(recipe: TightenSettings, values: dict[str, object]) -> TightenSettings:
    if all(getattr(recipe, name) == value for name, value in values.items()):
        return recipe
    return replace(recipe, **values)


def _with_span(track: Track, take: Take | None, scope: Scope, values: dict[str, object]) -> Track:
    start, end = scope.span or (0.0, 0.0)
    recipe = _changed(recipe_for(track, take, scope), values)
    return changed(track, spans=_with_spans(track.spans, [SettingsSpan(start, end, recipe)]))


def _with_spans(spans: Iterable[SettingsSpan], new: Collection[SettingsSpan]) -> tuple[SettingsSpan, ...]:
    """New spans over those that were there: what is under them is cut away."""
    left = list(spans)
    for over in new:
        parts = []
        for each in left:
            if each.start < over.start:
                parts.append(replace(each, end=min(each.end, over.start)))
            if each.end > over.end:
                parts.append(replace(each, start=max(each.start, over.end)))
        left = [each for each in parts if each.end > each.start]
    return tuple(sorted([*left, *new], key=lambda each: each.start))


def move_span(
    session: Session, track: TrackId, number: int, *, start: float | None = None, end: float | None = None
) -> Session:
    """An end of a span with a recipe of its own elsewhere, up to its other end and to its neighbours."""

    def change(old: Track) -> Track:
        if number >= len(old.spans):
            return old
        span, spans = old.spans[number], old.spans
        low = spans[number - 1].end if number else -FARTHEST_BEAT
        high = spans[number + 1].start if number + 1 < len(spans) else FARTHEST_BEAT
        first = span.start if start is None else max(low, min(start, span.end - LEAST_SPAN))
        last = span.end if end is None else min(high, max(end, span.start + LEAST_SPAN))
        new = replace(span, start=first, end=last)
        return changed(old, spans=(*spans[:number], new, *spans[number + 1 :]))

    return with_track(session, track, change)


def clear_span(session: Session, track: TrackId, start: float, end: float) -> Session:
    """Nothing between two beats has a recipe of its own any more, hits neither."""

    def change(old: Track) -> Track:
        kept = tuple(each for each in old.spans if each.end <= start or each.start >= end)
        return changed(old, spans=kept)

    return with_track(session, track, change)


def clear_hits(session: Session, track: TrackId, take: Take, onsets: Iterable[OnsetId]) -> Session:
    """Hits have no recipe of their own any more."""
    gone = set(onsets)

    def change(old: Take) -> Take:
        return _touched(old, {touch.onset: _without_recipe for touch in old.touches if touch.onset in gone})

    return _with_this(session, track, take, change)


def _without_recipe(touch: Touch) -> Touch:
    return replace(touch, recipe=None)


def _set_of_hits(
    session: Session, track: TrackId, take: Take, hits: Iterable[OnsetId], values: dict[str, object]
) -> Session:
    usual = session.track(track).recipe_of(take)

    def change(touch: Touch) -> Touch:
        recipe = _changed(touch.recipe or usual, values)
        return touch if recipe is touch.recipe else replace(touch, recipe=recipe)

    return _with_this(session, track, take, lambda old: _touched(old, dict.fromkeys(hits, change)))


def _touched(take: Take, changes: dict[OnsetId, Callable[[Touch], Touch]]) -> Take:
    """A take with what was changed of some hits changed again; what says nothing any more is gone."""
    known = {touch.onset: touch for touch in take.touches}
    for onset, change in changes.items():
        known[onset] = change(known.get(onset, Touch(onset)))
    kept = tuple(known[onset] for onset in sorted(known) if known[onset] != Touch(onset))
    return take if kept == take.touches else replace(take, touches=kept)


def once_more(
    session: Session, track: TrackId, take: Take | None, scope: Scope = ALL, by: int = 1
) -> Session:
    """Come closer by the same share of what is left, or take that back in steps."""
    rounds = recipe_for(session.track(track), take, scope).rounds + by
    return set_recipe(session, track, take, scope, rounds=min(MOST_ROUNDS, max(0, rounds)))


def set_own_recipe(session: Session, track: TrackId, take: Take, *, is_own: bool) -> Session:
    """Let a take have a recipe of its own, at first its track's; or have its track's again."""
    if is_own is (take.tighten is not None):
        return session
    return with_track(session, track, lambda old: _with_recipe(old, take, old.tighten if is_own else None))


def _with_recipe(track: Track, take: Take, recipe: TightenSettings | None) -> Track:
    return with_takes(track, lambda each: replace(each, tighten=recipe) if each is take else each)


def keep_variant(session: Session, track: TrackId, name: str) -> Session:
    """Keep a track's recipe and its spans under a name; what had the name is replaced."""

    def change(old: Track) -> Track:
        new = Snapshot(name, old.tighten, old.spans)
        others = [each for each in old.variants if each.name != name]
        if len(others) == len(old.variants):
            return replace(old, variants=(*old.variants, new))
        return changed(old, variants=tuple(new if each.name == name else each for each in old.variants))

    return with_track(session, track, change)


def use_variant(session: Session, track: TrackId, name: str) -> Session:
    """Tighten by a recipe that was kept."""

    def change(old: Track) -> Track:
        kept = next((each for each in old.variants if each.name == name), None)
        return old if kept is None else changed(old, tighten=kept.recipe, spans=kept.spans)

    return with_track(session, track, change)


def remove_variant(session: Session, track: TrackId, name: str) -> Session:
    def change(old: Track) -> Track:
        return changed(old, variants=tuple(each for each in old.variants if each.name != name))

    return with_track(session, track, change)


def move_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId, beat: float) -> Session:
    """Put a hit at a beat by hand; it stays there when the rest is computed again."""
    return move_hits(session, track, clip, {onset: beat})


def move_hits(session: Session, track: TrackId, clip: ClipId, beats: dict[OnsetId, float]) -> Session:
    """Put hits at beats of the song by hand."""
    own = session.track(track).own_tempo

    def at(beat: float) -> Callable[[Touch], Touch]:
        kept = beat if own is None else own.beat_of(session.tempo.seconds_of(beat))
        return lambda touch: replace(touch, beat=kept)

    changes = {onset: at(beat) for onset, beat in beats.items()}
    return _with_take(session, track, clip, lambda old: _touched(old, changes))


def held(session: Session, targets: Targets, at: Iterable[int]) -> dict[OnsetId, float]:
    """Hits at the beats at which they are: set by hand, they stay there whatever else is moved."""
    places = np.array(sorted(set(at)), np.int64)
    beats = session.tempo.beats_at(targets.target[places] / targets.rate)
    return dict(zip(targets.onsets[places].tolist(), beats.tolist(), strict=True))


def hold_neighbours(session: Session, track: TrackId, clip: ClipId, onset: OnsetId) -> Session:
    """Hold the strokes before and after a hit where they are."""
    old = session.track(track)
    targets = targets_of(session, old, old.clip(clip).take)
    at = np.flatnonzero(targets.onsets == onset)
    if not len(at):
        return session
    return move_hits(session, track, clip, held(session, targets, targets.beside(int(at[0]))))


def tie_here(session: Session, track: TrackId, clip: ClipId, frame: int) -> tuple[Session, OnsetId | None]:
    """A warp marker at a frame of the recording, where nothing has to begin; its neighbours are held.

    Nothing moves by it: it ties the moment to where it sounds.
    """
    old = session.track(track)
    take = old.clip(clip).take
    recording = session.recording_of(take)
    anchors = anchors_of(session, old, take)
    heard = float(anchors.landed_at(np.array([frame * session.rate / recording.rate]))[0])
    targets = targets_of(session, old, take)
    before = int(targets.target.searchsorted(heard)) - 1
    beside = [at for at in (before, before + 1) if 0 <= at < len(targets)]
    beats = held(session, targets, beside)
    onsets = recording.onsets.added(frame)
    onset = onsets.ids[onsets.frames.index(frame)]
    beats[onset] = session.beat_of(heard)
    recordings = tuple(
        replace(each, onsets=onsets) if each is recording else each for each in session.recordings
    )
    return move_hits(replace(session, recordings=recordings), track, clip, beats), onset


def reset_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId) -> Session:
    """Take back what was set by hand for one hit."""
    return reset_some(session, track, clip, [onset])


def reset_some(session: Session, track: TrackId, clip: ClipId, onsets: Iterable[OnsetId]) -> Session:
    """Take back what was set by hand for some hits."""
    return _with_take(
        session,
        track,
        clip,
        lambda old: _touched(old, dict.fromkeys(onsets, lambda touch: Touch(touch.onset))),
    )


def reset_hits(session: Session, track: TrackId) -> Session:
    """Take back all that was set by hand on a track."""

    def change(old: Track) -> Track:
        return with_takes(old, lambda take: replace(take, touches=()) if take.touches else take)

    return with_track(session, track, change)


def _with_take(session: Session, track: TrackId, clip: ClipId, change: TakeChange) -> Session:
    """A clip's take changed, and that of all its other parts with it."""
    return _with_this(session, track, session.track(track).clip(clip).take, change)


def _with_this(session: Session, track: TrackId, take: Take, change: TakeChange) -> Session:
    return with_track(
        session, track, lambda old: with_takes(old, lambda each: change(each) if each is take else each)
    )
