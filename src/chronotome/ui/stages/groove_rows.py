"""The groove that hits are drawn to: which one, how much of it, and blended with another."""

from functools import partial

from PySide6.QtWidgets import QMenu, QPushButton

from chronotome.files.grooves import kept_grooves, shipped_grooves
from chronotome.session.groove import Groove, blended
from chronotome.session.model import Session, replace
from chronotome.session.settings import TightenSettings
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.grooves import GrooveCommands
from chronotome.ui.controls.segmented import index_in
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.recipe_rows import recipe_slider
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.figures import percent
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr


class GrooveRows(Rows):
    def __init__(self, desk: UiContext, actions: Actions, commands: GrooveCommands) -> None:
        super().__init__(desk, actions)
        self._commands = commands
        self._blend: tuple[Groove, Groove] | None = None
        """The groove as it was, and the one that it is blended with."""
        self.groove = self.combo(tr("Groove"), [], self._choose_groove)
        self.timing = recipe_slider(
            self, "timing", tr("Timing"), 0, 150, percent, tr("Set groove timing"), unit=100, usual=100
        )
        self.loudness = recipe_slider(
            self, "loudness", tr("Loudness"), 0, 100, percent, tr("Set groove loudness"), unit=100
        )
        self.beside(self.timing, self.loudness)
        self.blending = QPushButton(tr("Blend…"))
        self.blending.setToolTip(tr("Blend with another groove"))
        self.blending.clicked.connect(self._ask_blend)
        self.add_buttons("take-groove", "keep-groove", more=(self.blending,))
        self.blend = ValueSlider(desk.view, tr("Blend"), 0, 100, percent)
        self.add(self.blend)
        self.bind(self.blend, self._set_blend, tr("Blend grooves"))
        self.blend.hide()
        desk.view.library_changed.connect(self._fill)
        desk.store.watch(self, self._fill, lambda session: session.grooves)

    @property
    def offered(self) -> list[Groove]:
        """The person's own library, then what is shipped."""
        return [*(groove for _, groove in kept_grooves()), *shipped_grooves()]

    def _choose_groove(self, index: int) -> None:
        groove = self.groove.itemData(index)
        if isinstance(groove, Groove):
            self._commands.play(groove)
            self.desk.view.show_groove(None)
            self.desk.view.show_evidence(Stage.TIGHTEN, "groove")

    def _ask_blend(self) -> None:
        """With which other groove."""
        groove = self.desk.groove
        if groove is None:
            self.desk.say(tr("No groove to blend. Extract one first."))
            return
        menu = QMenu(self)
        for other in (*self.desk.session.grooves, *self.offered):
            if other.name != groove.name:
                menu.addAction(other.name, partial(self.blend_with, other))
        menu.exec(self.blending.mapToGlobal(self.blending.rect().bottomLeft()))

    def blend_with(self, other: Groove) -> None:
        """Let the slider lead from the groove in the lane to another."""
        groove = self.desk.groove
        if groove is not None:
            self._blend = (groove, other)
            self.blend.set_value(0, tr("with {0}", other.name))
            self.blend.show()

    def _set_blend(self, session: Session, value: float) -> Session:
        if self._blend is None:
            return session
        base, other = self._blend
        made = blended(base, other, value / 100) if value else base
        kept = tuple(
            replace(made, id=each.id, name=each.name) if each.id == base.id else each
            for each in session.grooves
        )
        return session if kept == session.grooves else replace(session, grooves=kept)

    def _fill(self) -> None:
        self.groove.clear()
        session = self.desk.session
        for groove in session.grooves:
            self.groove.addItem(groove.name, groove)
        taken = {groove.name for groove in session.grooves}
        others = [groove for groove in self.offered if groove.name not in taken]
        if session.grooves and others:
            self.groove.insertSeparator(self.groove.count())
        for groove in others:
            self.groove.addItem(groove.name, groove)
        self.show_of(self.desk.view.recipe)

    def show_of(self, recipe: TightenSettings) -> None:
        self.timing.set_value(round(recipe.timing * 100))
        self.loudness.set_value(round(recipe.loudness * 100))
        groove = self.desk.session.groove(recipe.groove)
        names = [self.groove.itemText(at) for at in range(self.groove.count())]
        self.groove.setCurrentIndex(-1 if groove is None else index_in(names, groove.name))
        if self._blend is not None and (self.desk.groove is None or self.desk.groove.id != self._blend[0].id):
            self._blend = None
            self.blend.hide()
