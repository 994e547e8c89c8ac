"""What the actions do to how sound is moved: of the track, or of a clip that is moved in a way of its own."""

from typing import cast

from chronotome.session.edits.tracks import set_moving
from chronotome.session.model import Session
from chronotome.session.settings import LEAST_CROSSFADE, MOST_CROSSFADE, MOST_SEMITONES, Moving
from chronotome.ui.state.figures import plain
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import Named, tr

BOUNDS = {
    "semitones": (-MOST_SEMITONES, MOST_SEMITONES, tr("Pitch"), tr("st")),
    "crossfade": (LEAST_CROSSFADE, MOST_CROSSFADE, tr("Crossfade"), tr("ms")),
    "bears": (1.05, 3.0, tr("Stretch limit"), tr("times")),
}


class MovingCommands:
    """One setting a step, or to its next choice."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    @property
    def current(self) -> Moving:
        """How the focused track, or its clip, is moved."""
        leading, guiding = self._desk.view.leading, self._desk.guiding
        if leading is None:
            return Moving()
        return leading[0].moving if guiding is None else leading[0].moving_of(guiding.take)

    def edited(self, session: Session, **values: object) -> Session:
        """The session with that moved otherwise."""
        return self._desk.leading_edit(lambda each, track, take: set_moving(each, track, take, **values))(
            session
        )

    def set(self, label: str, **values: object) -> None:
        self._desk.store.apply(lambda session: self.edited(session, **values), label)

    def step(self, name: str, by: float) -> None:
        low, high, words, unit = BOUNDS[name]
        value = round(min(high, max(low, getattr(self.current, name) + by)), 3)
        self.set(tr("Set {0}", words.lower()), **{name: value})
        self._desk.say(f"{words} {plain(value, 2)} {unit}")

    def next(self, name: str) -> None:
        """The choice after the present one; the first after the last."""
        now = cast("Named", getattr(self.current, name))
        every = list(type(now))
        new = every[(every.index(now) + 1) % len(every)]
        self.set(tr("Change method"), **{name: new})
        self._desk.say(new.label.capitalize())

    def toggle_formants(self) -> None:
        self.set(tr("Keep formants"), keeps_formants=not self.current.keeps_formants)
