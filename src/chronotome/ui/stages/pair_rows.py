"""The take that another follows: which one, what is a pair, what becomes of hits alone."""

from chronotome.session.edits.matching import set_match
from chronotome.session.model import Session, Track
from chronotome.session.settings import Alone, TightenSettings
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.tightening import TightenCommands
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

ALONES = tuple(Alone)


class PairRows(Rows):
    def __init__(self, desk: UiContext, actions: Actions, commands: TightenCommands) -> None:
        super().__init__(desk, actions)
        self._commands = commands
        self.follows = self.combo(tr("Follow"), [], self._choose_take)
        self.within = ValueSlider(
            desk.view, tr("Pair window"), 5, 300, lambda value: tr("±{0:.0f} ms", value), step=5, usual=90
        )
        self.bind(self.within, self._set_within, tr("Set pair window"))
        self.add(self.within)
        self.alones = Segmented(
            desk.view, tr("Unpaired hits"), [tr("move along"), tr("as played"), tr("mute")]
        )
        self.alones.chosen.connect(self._choose_alone)
        self.row(tr("Unpaired")).addWidget(self.alones, 1)
        self.add_buttons("break-pair", "pair-found", "hear-pair")
        self._filled: list[tuple[str, int]] = []
        desk.store.watch(self, self._fill, lambda session: session.tracks)
        desk.view.chosen.focus_changed.connect(self._fill)

    @property
    def others(self) -> list[Track]:
        """Tracks that this one can follow, the likeliest first: of a name that begins alike."""
        leading, session = self.desk.view.leading, self.desk.session
        if leading is None:
            return []
        guide = leading[0]
        others = [track for track in session.tracks if session.guide_of(track.id) != guide.id]
        first = guide.name.split(" ")[0].casefold()
        return sorted(others, key=lambda track: not track.name.casefold().startswith(first))

    def _choose_take(self, index: int) -> None:
        self._commands.match(self.follows.itemData(index))

    def _choose_alone(self, index: int) -> None:
        self.desk.store.apply(lambda session: self._with(session, alone=ALONES[index]), tr("Unpaired hits"))

    def _set_within(self, session: Session, value: float) -> Session:
        return self._with(session, within=value)

    def _with(self, session: Session, **values: object) -> Session:
        scope = self.desk.view.scope
        edit = self.desk.leading_edit(lambda each, track, take: set_match(each, track, take, scope, **values))
        return edit(session)

    def _fill(self) -> None:
        others = [(track.name, track.id) for track in self.others]
        if others != self._filled:
            self._filled = others
            self.follows.clear()
            for name, track in others:
                self.follows.addItem(name, track)
        self.show_of(self.desk.view.recipe)

    def show_of(self, recipe: TightenSettings) -> None:
        match = recipe.match
        if match is not None:
            self.follows.setCurrentIndex(self.follows.findData(match.track))
            self.within.set_value(match.within)
            self.alones.set_index(ALONES.index(match.alone))
