"""What keys and menus do to what hits are like: their values, rolls, scatters."""

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from chronotome.session.edits.clips import Place
from chronotome.session.edits.hits import clip_at
from chronotome.session.edits.shaping import (
    as_recorded,
    keep_scatter,
    roll_of,
    roll_to_hits,
    scatter_of,
    set_flag,
    set_lengthened,
    set_roll,
    set_scatter,
    set_value,
    values_of,
)
from chronotome.session.model import Session, replace
from chronotome.session.slices import VALUES, Lengthen, Roll, Scatter, SliceId
from chronotome.ui.commands.choosing import ChosenHits
from chronotome.ui.state.figures import counted
from chronotome.words import tr


class ShapedHits(ChosenHits):
    """The chosen hits, and what shapes them."""

    def _edit(
        self, do: str, label: str, edit: Callable[[Session, Place, tuple[SliceId, ...]], Session]
    ) -> None:
        meant = self._meant(do)
        if meant is not None:
            place, hits = meant
            words = label if "{" not in label else label.format(counted(len(hits), "hit"))
            self._desk.store.apply(lambda session: edit(session, place, hits), words)

    def reverse(self) -> None:
        slices, hits = self.slices, self._desk.view.chosen.hits
        if slices is not None:
            column = slices.column("reversed")
            is_on = not all(column[at] for at in slices.at(hits))
            self._edit(
                "reverse",
                tr("Reverse {}"),
                lambda session, place, hits: set_flag(session, place, hits, "reversed", value=is_on),
            )

    def toggle_tape(self) -> None:
        is_on = not self.is_tape
        self._edit(
            "pitch",
            tr("Change length with pitch of {}") if is_on else tr("Keep length with pitch of {}"),
            lambda session, place, hits: set_flag(session, place, hits, "by_tape", value=is_on),
        )

    @property
    def is_tape(self) -> bool:
        slices = self.slices
        return slices is not None and any(
            slices.column("by_tape")[at] for at in slices.at(self._desk.view.chosen.hits)
        )

    def lengthen_by(self, how: Lengthen) -> None:
        """What becomes of chosen hits that are longer than they are."""
        if self.has_chosen:
            self._edit(
                "lengthen",
                tr("Change stretch mode of {}"),
                lambda session, place, hits: set_lengthened(session, place, hits, how),
            )

    def as_recorded(self) -> None:
        self._edit(tr("reset"), tr("Reset shape of {}"), as_recorded)

    def step_value(self, name: str, direction: int) -> None:
        """One of the values of the chosen hits, each a step on."""
        clip, slices, column = self._clip, self.slices, VALUES[name]
        if clip is None or slices is None:
            self._meant(tr("shape"))
            return

        def edit(session: Session, place: Place, hits: tuple[SliceId, ...]) -> Session:
            now, at = values_of(session, clip.take, name), slices.at(hits)
            wanted = {slices.ids[each]: column.stepped(float(now[each]), direction) for each in at}
            return set_value(session, place, name, wanted)

        self._edit("shape", tr("{0} of {{}}", column.label), edit)

    def _shape(self, label: str, change: Callable[[NDArray[np.float64]], NDArray[np.float64]]) -> None:
        """Change the value in the Shape lane of the chosen hits, in the order of their places."""
        name = self._desk.view.shape

        def edit(session: Session, place: Place, hits: tuple[SliceId, ...]) -> Session:
            take = clip_at(session, place).take
            if take.slices is None:
                return session
            at = take.slices.at(hits)
            new = change(values_of(session, take, name)[at]).tolist()
            return set_value(
                session,
                place,
                name,
                {take.slices.ids[each]: value for each, value in zip(at, new, strict=True)},
            )

        self._edit("shape", tr("{0}: {1} of {{}}", label, name), edit)

    def ramp(self) -> None:
        """In a line from the value of the first chosen hit to that of the last."""
        self._shape(tr("Ramp"), lambda values: np.linspace(values[0], values[-1], len(values)))

    def scale_values(self, factor: float) -> None:
        """All values of the chosen hits so many times as far from what is usual."""
        usual = VALUES[self._desk.view.shape].usual
        words = tr("Scale up") if factor > 1 else tr("Scale down")
        self._shape(words, lambda values: usual + (values - usual) * factor)

    def usual(self) -> None:
        usual = VALUES[self._desk.view.shape].usual
        self._shape(tr("Reset"), lambda values: np.full_like(values, usual))

    # Rolls and scatters

    @property
    def roll(self) -> Roll | None:
        """That of the first chosen hit that is one."""
        slices = self.slices
        return None if slices is None else roll_of(slices, self._desk.view.chosen.hits)

    def set_roll(self, roll: Roll | None) -> None:
        label = tr("Roll {}") if roll is not None else tr("Remove roll of {}")
        self._edit("roll", label, lambda session, place, hits: set_roll(session, place, hits, roll))

    def toggle_roll(self) -> None:
        self.set_roll(None if self.roll is not None else Roll())

    def single_hits(self) -> None:
        """What rolls sound like, as hits that can be changed one by one."""
        if self._meant(tr("expand rolls of")) is not None and self.roll is None:
            self._desk.say(tr("None of the selected hits is a roll"))
            return
        self._edit("unroll", tr("Expand rolls of {}"), roll_to_hits)

    @property
    def scatter(self) -> Scatter | None:
        slices = self.slices
        return None if slices is None else scatter_of(slices, self._desk.view.chosen.hits)

    def set_scatter(self, scatter: Scatter | None, label: str = tr("Randomise {}")) -> None:
        self._edit("scatter", label, lambda session, place, hits: set_scatter(session, place, hits, scatter))

    def draw_again(self) -> None:
        scatter = self.scatter
        if scatter is None:
            if self._meant(tr("randomise")) is not None:
                self._desk.say(tr("Set an amount first: Random in the tray"))
            return
        self.set_scatter(replace(scatter, seed=scatter.seed + 1), tr("Redraw random values of {}"))

    def keep_scatter(self) -> None:
        if self._meant(tr("keep random values of")) is not None and self.scatter is None:
            self._desk.say(tr("None of the selected hits is randomised"))
            return
        self._edit("scatter", tr("Keep random values of {}"), keep_scatter)
