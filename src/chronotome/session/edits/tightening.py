"""Edits of Tighten: its settings, and hits moved by hand."""

from collections.abc import Callable

from chronotome.session.edits.tracks import with_takes, with_track
from chronotome.session.model import (
    ClipId,
    Session,
    Take,
    TightenSettings,
    Touch,
    Track,
    TrackId,
    replace,
)
from chronotome.session.onsets import OnsetId

TakeChange = Callable[[Take], Take]


def set_tighten(session: Session, track: TrackId, **values: object) -> Session:
    """Change settings of Tighten for a track, or for the guide that it is locked to."""

    def change(old: Track) -> Track:
        new = _changed(old.tighten, values)
        return old if new is old.tighten else replace(old, tighten=new)

    return with_track(session, session.guide_of(track), change)


def set_recipe(session: Session, track: TrackId, take: Take | None, **values: object) -> Session:
    """The same for a take: its own settings where it has such, else its track's."""
    recipe = None if take is None else take.tighten
    if take is None or recipe is None:
        return set_tighten(session, track, **values)
    new = _changed(recipe, values)
    return session if new is recipe else with_track(session, track, lambda old: _with_recipe(old, take, new))


def _changed(recipe: TightenSettings, values: dict[str, object]) -> TightenSettings:
    if all(getattr(recipe, name) == value for name, value in values.items()):
        return recipe
    return replace(recipe, **values)


def set_own_recipe(session: Session, track: TrackId, take: Take, *, is_own: bool) -> Session:
    """Let a take have a recipe of its own, at first its track's; or have its track's again."""
    if is_own is (take.tighten is not None):
        return session
    return with_track(session, track, lambda old: _with_recipe(old, take, old.tighten if is_own else None))


def _with_recipe(track: Track, take: Take, recipe: TightenSettings | None) -> Track:
    return with_takes(track, lambda each: replace(each, tighten=recipe) if each is take else each)


def move_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId, beat: float) -> Session:
    """Put a hit at a beat by hand; it stays there when the rest is computed again."""

    def place(old: Take) -> Take:
        touch = Touch(onset, beat)
        if old.touch_of(onset) == touch:
            return old
        others = [each for each in old.touches if each.onset != onset]
        return replace(old, touches=tuple(sorted([*others, touch], key=lambda each: each.onset)))

    return _with_take(session, track, clip, place)


def reset_hit(session: Session, track: TrackId, clip: ClipId, onset: OnsetId) -> Session:
    """Take back what was set by hand for one hit."""

    def release(old: Take) -> Take:
        kept = tuple(each for each in old.touches if each.onset != onset)
        return old if len(kept) == len(old.touches) else replace(old, touches=kept)

    return _with_take(session, track, clip, release)


def reset_hits(session: Session, track: TrackId) -> Session:
    """Take back all that was set by hand on a track."""

    def change(old: Track) -> Track:
        return with_takes(old, lambda take: replace(take, touches=()) if take.touches else take)

    return with_track(session, track, change)


def _with_take(session: Session, track: TrackId, clip: ClipId, change: TakeChange) -> Session:
    """A clip's take changed, and that of all its other parts with it."""

    def change_track(old: Track) -> Track:
        take = old.clip(clip).take
        return with_takes(old, lambda each: change(each) if each is take else each)

    return with_track(session, track, change_track)
